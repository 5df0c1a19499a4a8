import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Stack from '@mui/material/Stack';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { api, type PieceView } from '../api/client';
import { refresh } from '../api/house';
import { ProblemNotice } from '../kit/Notices';
import { readNumber } from '../kit/units';

/** Gives a hanging piece another number of days. */
export function Target({ piece }: { piece: PieceView }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState(String(piece.card.targetDays ?? ''));
  const days = readNumber(text);
  const save = useMutation({
    mutationFn: (targetDays: number) =>
      api.PUT('/api/pieces/{id}/target', {
        params: { path: { id: piece.card.id } },
        body: { version: piece.version, targetDays },
      }),
    onSuccess: async () => {
      setOpen(false);
      await refresh();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (days !== null) {
      save.mutate(Math.round(days));
    }
  };
  return (
    <>
      <Button onClick={() => setOpen(true)}>New target</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="target-title">
        <DialogTitle id="target-title">Target for {piece.card.tag}</DialogTitle>
        <DialogContent>
          <Stack component="form" spacing={2} sx={{ pt: 1 }} onSubmit={submit}>
            <TextField
              label="Days in all, from the hanging"
              value={text}
              onChange={(event) => setText(event.target.value)}
              autoFocus
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            />
            <ProblemNotice failure={save.error} />
            <Button type="submit" variant="contained" disabled={days === null || save.isPending}>
              Set target
            </Button>
          </Stack>
        </DialogContent>
      </Dialog>
    </>
  );
}
