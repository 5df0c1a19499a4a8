import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type PieceView } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber } from '../kit/units';
import { offerUndo } from '../kit/undo';

interface Text {
  targetDays: string;
}

const Days = fieldsOf<Text>();

/** Gives a hanging piece another number of days. */
export function Target({ piece }: { piece: PieceView }) {
  const [open, setOpen] = useState(false);
  const form = useKeptForm<Text>(`target ${piece.card.id} ${piece.card.targetDays ?? ''}`, () => ({
    targetDays: String(piece.card.targetDays ?? ''),
  }));
  const save = useMutation({
    mutationFn: (targetDays: number) =>
      api.PUT('/api/pieces/{id}/target', {
        params: { path: { id: piece.card.id } },
        body: { version: piece.version, targetDays },
      }),
    onSuccess: async () => {
      if (piece.card.targetDays != null) {
        offerUndo(`${piece.card.tag}: another target`, {
          kind: 'TARGET',
          pieceId: piece.card.id,
          days: piece.card.targetDays,
        });
      }
      form.clear();
      setOpen(false);
      await refresh();
    },
  });
  const submit = () => save.mutate(Math.round(readNumber(form.values.targetDays) ?? 0));
  return (
    <>
      <Button onClick={() => setOpen(true)}>New target</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="target-title">
        <DialogTitle id="target-title">Target for {piece.card.tag}</DialogTitle>
        <DialogContent>
          <Form
            form={form}
            failure={save.error}
            onChange={save.reset}
            onSubmit={submit}
            sx={{ display: 'grid', gap: 2, pt: 1 }}
          >
            <Days.Measure
              name="targetDays"
              label="Days in all, from the hanging"
              of="number"
              required="Say for how many days."
              autoFocus
            />
            <Save busy={save.isPending} failure={save.error}>
              Set target
            </Save>
          </Form>
        </DialogContent>
      </Dialog>
    </>
  );
}
