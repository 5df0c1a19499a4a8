import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useCallback, useEffect, useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { answer, api, Problem } from '../api/client';
import { useDraft, useTitle } from '../kit/drafts';
import { Choice } from './Choice';
import { bearer, useHandIn } from './handIn';
import { blank, lacking, sheetOf, steps, type Draft, type Table } from './sheet';
import { Taste } from './Taste';

/** Whether it has begun is looked for more often than whether it is over. */
const BEFORE_MS = 4000;
const MEANWHILE_MS = 12_000;

/** A taster's own page: codes, one at a time, and nothing that tells what they are. */
export default function TablePage() {
  const { token = '' } = useParams();
  useTitle('Tasting');
  const table = useQuery({
    queryKey: ['table', token],
    queryFn: () => answer(api.GET('/taste/sheets', { params: bearer(token) })),
    refetchInterval: (query) =>
      ended(query.state.error) ? false : query.state.data?.begun ? MEANWHILE_MS : BEFORE_MS,
    retry: false,
    gcTime: 0,
  });
  if (ended(table.error)) {
    return <Plain title="This table is cleared">{table.error?.message}</Plain>;
  }
  if (!table.data) {
    return (
      <Plain title="One moment">{table.error ? 'There is no connection. It goes on by itself.' : ''}</Plain>
    );
  }
  return <Sitting key={token} token={token} table={table.data} onTaken={table.refetch} />;
}

const ended = (failure: unknown) => failure instanceof Problem && failure.status === 401;

function Plain({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <Box component="main" sx={{ p: 3, pt: 8, maxWidth: 520, mx: 'auto' }}>
      <Typography variant="h1" sx={{ mb: 2 }}>
        {title}
      </Typography>
      <Typography role="status" sx={{ fontSize: '1.15rem' }}>
        {children}
      </Typography>
    </Box>
  );
}

function Sitting({ token, table, onTaken }: { token: string; table: Table; onTaken: () => void }) {
  const taken = useCallback(() => void onTaken(), [onTaken]);
  const { waiting, refused, handIn } = useHandIn(token, taken);
  const next = table.rounds.find((round) => !round.handedIn && !waiting.includes(round.round));
  const [seated, setSeated] = useDraft<boolean>(`table seated ${token}`, () => false);
  if (!seated) {
    return <Seat table={table} onSit={() => setSeated(true)} />;
  }
  return (
    <>
      {waiting.length > 0 && (
        <Alert severity="info" variant="outlined" role="status" sx={{ borderRadius: 0 }}>
          {refused ??
            `${waiting.length === 1 ? 'One sheet waits' : `${waiting.length} sheets wait`} on this phone and ${waiting.length === 1 ? 'is' : 'are'} sent as soon as there is a connection. Leave the page open.`}
        </Alert>
      )}
      {waiting.length === 0 && refused && (
        <Alert severity="warning" variant="outlined" sx={{ borderRadius: 0 }}>
          {refused}
        </Alert>
      )}
      {next ? (
        <Round
          key={next.round}
          token={token}
          table={table}
          round={next.round}
          codes={next.codes}
          onDone={(draft) => handIn(sheetOf(table, draft))}
        />
      ) : (
        <Plain title={waiting.length > 0 ? 'Written down' : 'Thank you'}>
          {waiting.length > 0
            ? 'It is being handed in.'
            : 'All of it is handed in. Say nothing about it until your host reveals what was what.'}
        </Plain>
      )}
    </>
  );
}

/** Before the first bite: what is going to happen, and for whom it is not. */
function Seat({ table, onSit }: { table: Table; onSit: () => void }) {
  return (
    <Box component="main" sx={{ p: 2.5, pt: 5, pb: 14, maxWidth: 520, mx: 'auto', display: 'grid', gap: 2 }}>
      <Typography variant="h1">Place {table.place}</Typography>
      <Typography sx={{ fontSize: '1.15rem' }}>
        {table.rounds.length === 1 ? 'One round' : `${table.rounds.length} rounds`} of{' '}
        {table.rounds[0]?.codes.length ?? 0} plates. Each has a number; taste them in the order shown, rinse
        between them, and say nothing aloud. Nobody sees your answers until the end.
      </Typography>
      {table.caution && (
        <Box sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2 }}>
          <Typography sx={{ fontWeight: 560 }}>{table.caution}</Typography>
        </Box>
      )}
      {!table.begun && (
        <Typography role="status" sx={{ color: 'text.secondary' }}>
          Your host has not begun yet. This page notices by itself.
        </Typography>
      )}
      <Foot>
        <Button
          variant="contained"
          size="large"
          disabled={!table.begun}
          onClick={onSit}
          sx={{ minHeight: 60, flex: 1 }}
        >
          Begin
        </Button>
      </Foot>
    </Box>
  );
}

interface RoundProps {
  token: string;
  table: Table;
  round: number;
  codes: number[];
  onDone: (draft: Draft) => void;
}

function Round({ token, table, round, codes, onDone }: RoundProps) {
  const [draft, setDraft, clear] = useDraft<Draft>(`table ${token} ${round}`, () => blank(round));
  const [wrong, setWrong] = useState<string | null>(null);
  const all = steps(table, codes);
  const step = all[Math.min(draft.step, all.length - 1)] ?? { kind: 'end' as const };
  const change = (part: Partial<Draft>) => {
    setWrong(null);
    setDraft((before) => ({ ...before, ...part }));
  };
  useEffect(() => {
    window.scrollTo(0, 0);
  }, [draft.step]);
  const onward = () => {
    const missing = lacking(table, draft, step);
    if (missing) {
      setWrong(missing);
    } else if (step.kind === 'end') {
      onDone(draft);
      clear();
    } else {
      change({ step: draft.step + 1 });
    }
  };
  return (
    <Box component="main" sx={{ px: 1, pt: 2, pb: 14, maxWidth: 520, mx: 'auto' }}>
      <Box
        role="progressbar"
        aria-label="How far"
        aria-valuemin={1}
        aria-valuemax={all.length}
        aria-valuenow={draft.step + 1}
        sx={{ display: 'flex', gap: 0.5, mb: 2 }}
      >
        {all.map((_, index) => (
          <Box
            key={index}
            sx={{ flex: 1, height: 5, bgcolor: index <= draft.step ? 'secondary.main' : 'divider' }}
          />
        ))}
      </Box>
      {table.rounds.length > 1 && (
        <Typography sx={{ color: 'text.secondary', mb: 1 }}>
          Round {round + 1} of {table.rounds.length}
        </Typography>
      )}
      {step.kind === 'taste' && <Taste table={table} code={step.code} draft={draft} onChange={change} />}
      {step.kind === 'rest' && <Rest />}
      {step.kind === 'choose' && <Choice kind={table.kind} codes={codes} draft={draft} onChange={change} />}
      {step.kind === 'end' && (
        <Box sx={{ display: 'grid', gap: 2 }}>
          <Typography variant="h2" component="h1">
            Hand it in?
          </Typography>
          <Typography>Once it is handed in it stays as it is.</Typography>
          <FormControlLabel
            control={<Checkbox checked={draft.knew} onChange={(_, knew) => change({ knew })} />}
            label="I knew, or guessed, which was which"
            sx={{ minHeight: 56 }}
          />
        </Box>
      )}
      {wrong && (
        <Typography role="alert" color="error" sx={{ mt: 2, fontWeight: 620 }}>
          {wrong}
        </Typography>
      )}
      <Foot>
        {draft.step > 0 && (
          <Button
            variant="outlined"
            color="inherit"
            onClick={() => change({ step: draft.step - 1 })}
            sx={{ minHeight: 60, minWidth: 96 }}
          >
            Back
          </Button>
        )}
        <Button variant="contained" size="large" onClick={onward} sx={{ minHeight: 60, flex: 1 }}>
          {step.kind === 'end' ? 'Hand in' : 'Next'}
        </Button>
      </Foot>
    </Box>
  );
}

function Rest() {
  return (
    <Box sx={{ display: 'grid', gap: 2, pt: 6, textAlign: 'center' }}>
      <Typography variant="h1">Rinse</Typography>
      <Typography sx={{ fontSize: '1.2rem' }}>
        A sip of water, a bite of plain bread. Half a minute, then the next plate.
      </Typography>
    </Box>
  );
}

/** What leads on, under the thumb. */
function Foot({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        position: 'fixed',
        bottom: 0,
        left: 0,
        right: 0,
        p: 1.5,
        bgcolor: 'background.default',
        borderTop: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, maxWidth: 520, mx: 'auto' }}>{children}</Box>
    </Box>
  );
}
