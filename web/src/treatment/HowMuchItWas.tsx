import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber } from '../kit/units';
import { measureWords, type Draft } from './draft';

interface Text {
  full: string;
  left: string;
  measure: Draft['measure'];
}

const Bottle = fieldsOf<Text>();

/** A dose that was a guess, told afterwards: the bottle before, and what is left of it. */
export function HowMuchItWas({ pieceId, treatmentId }: { pieceId: string; treatmentId: string }) {
  const [open, setOpen] = useState(false);
  const [entryId] = useState(newId);
  const form = useKeptForm<Text>(`used ${treatmentId}`, () => ({
    full: '',
    left: '',
    measure: 'MILLILITRE',
  }));
  const say = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/pieces/{pieceId}/treatments/{treatmentId}/used/{entryId}', {
          params: { path: { pieceId, treatmentId, entryId } },
          body: {
            full: readNumber(form.values.full) ?? 0,
            left: readNumber(form.values.left) ?? 0,
            measure: form.values.measure,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
    },
  });
  if (!open) {
    return (
      <Button size="small" variant="outlined" onClick={() => setOpen(true)}>
        Say how much it was
      </Button>
    );
  }
  return (
    <Form
      form={form}
      failure={say.error}
      onChange={say.reset}
      onSubmit={() => say.mutate()}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', mt: 1 }}
    >
      <Box sx={{ width: 150 }}>
        <Bottle.Measure size="small" name="full" label="In the bottle before" of="number" required />
      </Box>
      <Box sx={{ width: 130 }}>
        <Bottle.Measure size="small" name="left" label="Left of it" of="number" required />
      </Box>
      <Box sx={{ width: 140 }}>
        <Bottle.Choice size="small" name="measure" label="In" choices={measureWords} />
      </Box>
      <Save busy={say.isPending} failure={say.error}>
        Save
      </Save>
    </Form>
  );
}
