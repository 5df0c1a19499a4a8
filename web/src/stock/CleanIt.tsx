import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { streams, type Stream } from '../kit/streams';
import { useUnits } from '../kit/units';

type Text = Record<Stream, string>;

const Cleaned = fieldsOf<Text>();

/** The second weighing of what was frozen untrimmed: each pile it gave; what is missing dripped. */
export function CleanIt({ pack }: { pack: Schema['PackView'] }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const [id] = useState(newId);
  const form = useKeptForm<Text>(`clean ${pack.id}`, () => ({
    STEAK: '',
    USABLE_TRIM: '',
    FAT: '',
    BONE: '',
    DISCARD: '',
  }));
  const piles = streams.flatMap(({ stream }) => {
    const grams = units.readWeight(form.values[stream]);
    return grams ? [{ stream, grams }] : [];
  });
  const clean = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/packs/{id}/cleaned/{outId}', {
          params: { path: { id: pack.id, outId: id } },
          body: { piles, answers },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
    },
  });
  if (!open) {
    return (
      <Button
        className="no-print"
        variant="contained"
        sx={{ justifySelf: 'start' }}
        onClick={() => setOpen(true)}
      >
        Thawed and cleaned
      </Button>
    );
  }
  return (
    <Form
      form={form}
      failure={clean.error}
      onChange={clean.reset}
      onSubmit={() => piles.length > 0 && clean.mutate({})}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <Typography variant="h2">What it gave</Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(170px, 1fr))', gap: 1.5 }}>
        {streams.map(({ stream, label }) => (
          <Cleaned.Weight key={stream} size="small" name={stream} label={label} />
        ))}
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        The pack held {units.weight(pack.grams)}. What is on no pile counts as drip.
      </Typography>
      <Save
        busy={clean.isPending}
        disabled={piles.length === 0}
        failure={clean.error}
        onAnswer={(answers) => clean.mutate(answers)}
      >
        Keep the weights
      </Save>
    </Form>
  );
}
