import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';

/** The hide comes off while the meat hangs: weighed, so that it is not taken for water lost. */
export function HideOff({ pieceId }: { pieceId: string }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [entryId] = useState(newId);
  const grams = units.readWeight(text);
  const off = useMutation({
    mutationFn: (weight: number) =>
      answer(
        api.PUT('/api/pieces/{id}/hide/{entryId}', {
          params: { path: { id: pieceId, entryId } },
          body: { grams: weight },
        }),
      ),
    onSuccess: refresh,
  });
  if (!open) {
    return (
      <Button color="inherit" variant="outlined" onClick={() => setOpen(true)} sx={{ justifySelf: 'start' }}>
        Take its hide off
      </Button>
    );
  }
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (grams) {
      off.mutate(grams);
    }
  };
  return (
    <Box component="form" noValidate onSubmit={submit} sx={{ display: 'grid', gap: 1, maxWidth: 360 }}>
      <WeightField label="Weight of the hide" text={text} onText={setText} autoFocus />
      <ProblemNotice failure={off.error} />
      <Button type="submit" variant="contained" disabled={!grams || off.isPending} sx={{ minHeight: 48 }}>
        The hide is off
      </Button>
    </Box>
  );
}
