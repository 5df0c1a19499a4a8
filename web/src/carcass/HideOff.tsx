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
import { useUnits } from '../kit/units';

interface Text {
  weight: string;
}

const Hide = fieldsOf<Text>();

/** The hide comes off while the meat hangs: weighed, so that it is not taken for water lost. */
export function HideOff({ pieceId }: { pieceId: string }) {
  const units = useUnits();
  const [open, setOpen] = useState(false);
  const form = useKeptForm<Text>(`hide ${pieceId}`, () => ({ weight: '' }));
  const [entryId] = useState(newId);
  const off = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/pieces/{id}/hide/{entryId}', {
          params: { path: { id: pieceId, entryId } },
          body: { grams: units.readWeight(form.values.weight) ?? 0 },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
    },
  });
  if (!open) {
    return (
      <Button color="inherit" variant="outlined" onClick={() => setOpen(true)} sx={{ justifySelf: 'start' }}>
        Take its hide off
      </Button>
    );
  }
  return (
    <Form
      form={form}
      failure={off.error}
      names={{ grams: 'weight' }}
      onChange={off.reset}
      onSubmit={() => off.mutate()}
      sx={{ display: 'grid', gap: 1, maxWidth: 360 }}
    >
      <Hide.Weight name="weight" label="Weight of the hide" required="Weigh the hide." autoFocus />
      <Save busy={off.isPending} disabled={!units.readWeight(form.values.weight)} failure={off.error}>
        The hide is off
      </Save>
    </Form>
  );
}
