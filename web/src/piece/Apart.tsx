import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type PieceView } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useUnits } from '../kit/units';

interface Text {
  things: { id: string; weight: string }[];
}

const Of = fieldsOf<Text>();

/** Takes a batch of like things apart: each is weighed, and is a piece of its own from then on. */
export function Apart({ piece }: { piece: PieceView }) {
  const { card } = piece;
  const [open, setOpen] = useState(false);
  const [id] = useState(newId);
  const units = useUnits();
  const form = useKeptForm<Text>(`apart ${card.id}`, () => ({
    things: Array.from({ length: card.count }, () => ({ id: newId(), weight: '' })),
  }));
  const apart = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/pieces/{id}/apart/{entryId}', {
          params: { path: { id: card.id, entryId: id } },
          body: {
            things: form.values.things.map((each) => ({
              id: each.id,
              grams: units.readWeight(each.weight) ?? 0,
            })),
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      setOpen(false);
      await refresh();
    },
  });
  if (card.count === 1 || card.state !== 'HANGING') {
    return null;
  }
  return (
    <>
      <Button onClick={() => setOpen(true)}>Take apart</Button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="apart-title">
        <DialogTitle id="apart-title">
          {card.tag}: {card.count} like things
        </DialogTitle>
        <DialogContent>
          <Form
            form={form}
            failure={apart.error}
            names={{ 'things.*.grams': 'things.*.weight' }}
            onChange={apart.reset}
            onSubmit={() => apart.mutate()}
            sx={{ display: 'grid', gap: 2, pt: 1 }}
          >
            <Typography>
              Weigh each of them. Each is a piece of its own from now on, with its share of what was hung and
              of what it lost so far.
            </Typography>
            <Box
              sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 2 }}
            >
              {form.values.things.map((each, index) => (
                <Of.Weight
                  key={each.id}
                  name={`things.${index}.weight`}
                  label={`Number ${index + 1}`}
                  required="Weigh each of them."
                  autoFocus={index === 0}
                />
              ))}
            </Box>
            <Save busy={apart.isPending} failure={apart.error}>
              Take apart
            </Save>
          </Form>
        </DialogContent>
      </Dialog>
    </>
  );
}
