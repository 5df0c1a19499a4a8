import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Problem } from '../api/client';
import { refresh } from '../api/house';
import { sendLook } from './looks';
import { putEntry } from './putEntry';
import { Questions } from './Notices';
import {
  answerInOutbox,
  dropFromOutbox,
  openOutbox,
  sendOutbox,
  useOutbox,
  waitsForOthers,
  type Waiting,
} from './outbox';
import { whenOpened } from './whenOpened';

const MendEntry = whenOpened(async () => (await import('./MendEntry')).MendEntry);

const TRY_EVERY_MS = 4_000;

const send = (each: Waiting) => (each.look ? sendLook(each) : sendEntry(each));

const sendEntry = ({ pieceId, entryId, entry, stamped }: Waiting) =>
  putEntry(pieceId, entryId, { ...entry, ...(stamped && { sentAt: new Date().toISOString() }) });

const trySending = async () => {
  if (await sendOutbox(send)) {
    await refresh();
  }
};

const counted = (entries: number) => (entries === 1 ? '1 entry' : `${entries} entries`);

/** What waits on this device, until Elvaro has it. */
export function OutboxStrip({ accountId, name }: { accountId: string; name?: string }) {
  const waiting = useOutbox();
  const unsent = waiting.filter(({ questions, refused }) => !questions && !refused);
  const some = unsent.length > 0;
  const trouble = unsent.find((each) => each.trouble)?.trouble;
  useEffect(() => openOutbox(accountId, name), [accountId, name]);
  useEffect(() => {
    if (!some) {
      return;
    }
    const timer = setInterval(() => void trySending(), TRY_EVERY_MS);
    const now = () => void trySending();
    window.addEventListener('online', now);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', now);
    };
  }, [some]);
  const others = waitsForOthers();
  if (waiting.length === 0 && others.length === 0) {
    return null;
  }
  return (
    <Box
      component="section"
      aria-label="Waiting on this device"
      className="no-print"
      sx={{ bgcolor: 'background.paper', borderLeft: '6px solid', borderColor: 'warning.main', px: 3, py: 1 }}
    >
      {some && (
        <Typography role="status">
          {counted(unsent.length)} {unsent.length === 1 ? 'waits' : 'wait'} on this device and will be sent
          when Elvaro answers: {unsent.map((each) => each.name).join(', ')}
        </Typography>
      )}
      {trouble && <Typography sx={{ color: 'text.secondary' }}>The last try: {trouble}</Typography>}
      {waiting
        .filter(({ questions, refused }) => questions || refused)
        .map((each) => (
          <HeldBack key={each.entryId} each={each} />
        ))}
      {others.map((other) => (
        <Typography key={other.name} sx={{ color: 'text.secondary' }}>
          {counted(other.entries)} of {other.name} {other.entries === 1 ? 'waits' : 'wait'} here too, to be
          sent once they are signed in
        </Typography>
      ))}
    </Box>
  );
}

/** An entry that needs a person: it was asked about, or refused. */
function HeldBack({ each }: { each: Waiting }) {
  const [mending, setMending] = useState(false);
  return (
    <Box sx={{ py: 1 }}>
      <Typography sx={{ fontWeight: 620 }}>{each.name}, not stored yet</Typography>
      {each.refused && <Typography>{each.refused}</Typography>}
      {each.questions && (
        <Questions
          failure={new Problem(422, { questions: each.questions })}
          busy={false}
          quiet
          or={<Drop each={each} />}
          onAnswer={(answers) => {
            answerInOutbox(each.entryId, answers);
            void trySending();
          }}
        />
      )}
      {mending && <MendEntry each={each} onDone={() => void trySending()} />}
      {each.refused && !mending && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          {!each.look && (
            <Button
              variant="outlined"
              onClick={() => setMending(true)}
              aria-label={`Correct ${each.name}`}
              sx={{ minHeight: 48 }}
            >
              Correct it
            </Button>
          )}
          <Drop each={each} />
        </Box>
      )}
    </Box>
  );
}

function Drop({ each }: { each: Waiting }) {
  return (
    <Button color="inherit" onClick={() => dropFromOutbox(each.entryId)} aria-label={`Drop ${each.name}`}>
      Drop it
    </Button>
  );
}
