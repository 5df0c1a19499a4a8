import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';
import { percent, useUnits } from '../kit/units';

const hasText = (focused: Element | null) => focused instanceof HTMLInputElement && focused.value !== '';

/** Whether it adds up, and closing or opening again. */
export function Balance({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { card, ledger } = bench.piece;
  const [entryId, setEntryId] = useState(newId);
  const closed = card.state === 'CUT';
  const close = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/bench/{pieceId}/close/{entryId}', {
          params: { path: { pieceId: card.id, entryId } },
          body: { answers },
        }),
      ),
    onSuccess: async () => {
      setEntryId(newId());
      await refresh();
    },
  });
  const left = ledger.residualGrams;
  const closes = bench.balance === 'CLOSES';
  const button = useRef<HTMLButtonElement>(null);
  const before = useRef(closes);
  useEffect(() => {
    // The last gram was put onto a pile just now: closing it is next.
    if (closes && !before.current && !hasText(document.activeElement)) {
      button.current?.focus({ preventScroll: true });
    }
    before.current = closes;
  }, [closes]);
  const words =
    left === 0 ? 'Every gram is on a pile' : left > 0 ? 'is on no pile' : 'more on the piles than there was';
  return (
    <Box component="section" aria-labelledby="balance" sx={{ display: 'grid', gap: 2 }}>
      <Box role="status">
        <Typography id="balance" variant="h2">
          Balance
        </Typography>
        <Typography
          sx={{
            fontSize: 40,
            fontWeight: 660,
            lineHeight: 1.1,
            color: closes ? 'text.primary' : 'warning.main',
          }}
        >
          {units.weight(Math.abs(left))}
        </Typography>
        <Typography>
          {words}
          {left !== 0 && closes && ', within what scale and drip explain'}
        </Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {bench.askAboveGrams < bench.refuseAboveGrams &&
            `asked about above ${units.weight(Math.round(bench.askAboveGrams))}, `}
          a reason needed above {units.weight(Math.round(bench.refuseAboveGrams))}
        </Typography>
      </Box>
      <ProblemNotice failure={close.error} />
      <Questions
        failure={close.error}
        busy={close.isPending}
        keep="Close it so"
        onAnswer={(answers) => close.mutate(answers)}
      />
      {closed ? (
        <Reopen pieceId={card.id} />
      ) : (
        <Button
          ref={button}
          variant="contained"
          size="large"
          disabled={close.isPending}
          // The last pile arrives as it is pressed, and moves it from under the finger: it is pressed all the same.
          onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
          onClick={() => close.mutate({})}
          sx={{ minHeight: 56 }}
        >
          Close the bench
        </Button>
      )}
      {!closed && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Steak so far {percent(ledger.steakYield)} of the green weight; {percent(bench.expected.steak)} was
          expected.
        </Typography>
      )}
    </Box>
  );
}

function Reopen({ pieceId }: { pieceId: string }) {
  const [entryId] = useState(newId);
  const [reason, setReason] = useState<string | null>(null);
  const open = useMutation({
    mutationFn: (why: string) =>
      answer(
        api.PUT('/api/bench/{pieceId}/reopen/{entryId}', {
          params: { path: { pieceId, entryId } },
          body: { reason: why },
        }),
      ),
    onSuccess: refresh,
  });
  if (reason === null) {
    return (
      <Button variant="outlined" color="inherit" onClick={() => setReason('')} sx={{ justifySelf: 'start' }}>
        Open it again
      </Button>
    );
  }
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) {
          open.mutate(reason);
        }
      }}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <TextField
        label="Why it is opened again"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        autoFocus
        slotProps={{ htmlInput: { maxLength: 1000 } }}
      />
      <ProblemNotice failure={open.error} />
      <Button variant="outlined" type="submit" disabled={!reason.trim() || open.isPending}>
        Open the bench
      </Button>
    </Box>
  );
}
