import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Answers, type PieceView } from '../api/client';
import { refresh } from '../api/house';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readDays, useUnits } from '../kit/units';
import { offerUndo } from '../kit/undo';

interface Text {
  targetDays: string;
}

const Days = fieldsOf<Text>();

/** Gives a hanging piece another number of days. */
export function Target({ piece }: { piece: PieceView }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const form = useKeptForm<Text>(`target ${piece.card.id} ${piece.card.targetDays ?? ''}`, () => ({
    targetDays: String(piece.card.targetDays ?? ''),
  }));
  const save = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/pieces/{id}/target', {
          params: { path: { id: piece.card.id } },
          body: {
            version: piece.version,
            targetDays: Math.round(readDays(form.values.targetDays) ?? 0),
            answers,
          },
        }),
      ),
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
            onSubmit={() => save.mutate({})}
            sx={{ display: 'grid', gap: 2, pt: 1 }}
          >
            <Days.Measure
              name="targetDays"
              label="Days in all, from the hanging"
              of="days"
              required="Say for how many days."
              autoFocus
            />
            {piece.ahead?.otherDays.map((sentence) => (
              <Typography key={sentence} variant="body2">
                {units.sentence(sentence)}
              </Typography>
            ))}
            <Save
              busy={save.isPending}
              failure={save.error}
              keep="Let it hang so long"
              onAnswer={(answers) => save.mutate(answers)}
            >
              Set target
            </Save>
          </Form>
        </DialogContent>
      </Dialog>
    </>
  );
}
