import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Answers, type PieceView } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId, useDraft } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';
import { readNumber, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';

/** Hangs a piece that was treated for days first: what it weighs now is its green weight. */
export function HangDialog({ piece: { card }, onClose }: { piece: PieceView; onClose: () => void }) {
  const units = useUnits();
  const chambers = useChambers();
  const [id] = useState(newId);
  const [draft, setDraft, clearDraft] = useDraft(`hang ${card.id}`, () => ({
    weight: '',
    chamberId: '',
    days: String(card.targetDays ?? ''),
  }));
  const grams = units.readWeight(draft.weight);
  const days = readNumber(draft.days);
  const chamberId = draft.chamberId === '' ? (chambers.data?.[0]?.id ?? '') : draft.chamberId;
  const hang = useMutation({
    mutationFn: (answers: Answers) =>
      api.PUT('/api/pieces/{id}/hang/{entryId}', {
        params: { path: { id: card.id, entryId: id } },
        body: { greenGrams: grams ?? 0, chamberId, targetDays: Math.round(days ?? 0), answers },
      }),
    onSuccess: async () => {
      clearDraft();
      onClose();
      await refresh();
    },
  });
  const change = (part: Partial<typeof draft>) => {
    setDraft({ ...draft, ...part });
    hang.reset();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="hang-title">
      <DialogTitle id="hang-title" sx={{ typography: 'h2' }}>
        Hang {card.tag}
      </DialogTitle>
      <DialogContent>
        <Stack spacing={2}>
          <Typography>
            It weighed {units.weight(card.greenGrams)} when it was cut. Drain it, dry its faces and weigh it:
            that is the green weight everything later is a share of.
          </Typography>
          <WeightField
            label="Weight as it hangs"
            text={draft.weight}
            onText={(weight) => change({ weight })}
            big
            autoFocus
          />
          <TextField
            select
            label="Chamber"
            value={chamberId}
            onChange={(event) => change({ chamberId: event.target.value })}
          >
            {chamberChoices(chambers.data ?? [])}
          </TextField>
          <TextField
            label="Target days"
            value={draft.days}
            onChange={(event) => change({ days: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          />
          <ProblemNotice failure={hang.error} />
          <Questions
            failure={hang.error}
            busy={hang.isPending}
            keep="Hang it all the same"
            onAnswer={(answers) => hang.mutate(answers)}
          />
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Not yet
        </Button>
        <Button
          variant="contained"
          disabled={!grams || !days || chamberId === '' || hang.isPending}
          onClick={() => hang.mutate({})}
        >
          Hang it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
