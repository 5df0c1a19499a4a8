import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';

/** What a look at the bench said to throw away: a part onto its pile, or all that is left in one step. */
export function DiscardRest({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { card, ledger } = bench.piece;
  const [entryId] = useState(newId);
  const [reason, setReason] = useState<string | null>(null);
  const discard = useMutation({
    mutationFn: (why: string) =>
      answer(
        api.PUT('/api/bench/{pieceId}/discard/{entryId}', {
          params: { path: { pieceId: card.id, entryId } },
          body: { reason: why },
        }),
      ),
    onSuccess: refresh,
  });
  return (
    <Box sx={{ display: 'grid', gap: 1.5, maxWidth: 520 }}>
      <Typography>
        A part: cut it out wide, and put it onto Discard with its cause. Change knives before going on.
      </Typography>
      {reason === null ? (
        <Button
          variant="outlined"
          color="error"
          onClick={() => setReason('')}
          sx={{ justifySelf: 'start', minHeight: 48 }}
        >
          It goes through: throw all of it away
        </Button>
      ) : (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            if (reason.trim()) {
              discard.mutate(reason);
            }
          }}
          sx={{ display: 'grid', gap: 1.5 }}
        >
          <TextField
            label="What was wrong with it"
            value={reason}
            autoFocus
            onChange={(event) => setReason(event.target.value)}
            slotProps={{ htmlInput: { maxLength: 1000 } }}
          />
          <Button
            variant="contained"
            color="error"
            type="submit"
            disabled={!reason.trim() || discard.isPending}
            sx={{ minHeight: 56 }}
          >
            Throw {units.weight(Math.max(0, ledger.residualGrams))} away and close
          </Button>
        </Box>
      )}
      <ProblemNotice failure={discard.error} />
    </Box>
  );
}
