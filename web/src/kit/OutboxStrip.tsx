import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { Problem } from '../api/client';
import { refresh } from '../api/house';
import { putEntry } from './entries';
import { Questions } from './Notices';
import { answerInOutbox, dropFromOutbox, openOutbox, sendOutbox, useOutbox, type Waiting } from './outbox';

const TRY_EVERY_MS = 4_000;

const trySending = async () => {
  if (await sendOutbox(({ pieceId, entryId, entry }) => putEntry(pieceId, entryId, entry))) {
    await refresh();
  }
};

/** What waits on this device, until Elvaro has it. */
export function OutboxStrip({ accountId }: { accountId: string }) {
  const waiting = useOutbox();
  const unsent = waiting.filter(({ questions, refused }) => !questions && !refused);
  const some = unsent.length > 0;
  useEffect(() => openOutbox(accountId), [accountId]);
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
  if (waiting.length === 0) {
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
          {unsent.length === 1 ? '1 entry waits' : `${unsent.length} entries wait`} on this device and will be
          sent when Elvaro answers: {unsent.map((each) => each.name).join(', ')}
        </Typography>
      )}
      {waiting
        .filter(({ questions, refused }) => questions || refused)
        .map((each) => (
          <Box key={each.entryId} sx={{ py: 1 }}>
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
            {each.refused && <Drop each={each} />}
          </Box>
        ))}
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
