import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useUnits } from '../kit/units';

interface Text {
  weight: string;
  words: string;
}

const Out = fieldsOf<Text>();

interface Props {
  product: Schema['MakingForm']['product'];
  sources: Schema['UsedForm'][];
  /** What to do, on the button. */
  act: string;
  /** What is expected to come out. */
  expected?: string;
  /** What is weighed, where nothing is done to it. */
  out?: string;
  onMade: () => void;
}

/** What came out is weighed; what went in leaves its packs. */
export function MakeIt({ product, sources, act, expected, out = 'What came out', onMade }: Props) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const form = useKeptForm<Text>(`make ${product}`, () => ({ weight: '', words: '' }));
  const make = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/makings/{id}', {
          params: { path: { id } },
          body: {
            product,
            sources,
            grams: units.readWeight(form.values.weight) ?? 0,
            words: form.values.words.trim(),
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      onMade();
      await refresh();
      await navigate(`/makings/${id}`);
    },
  });
  return (
    <Form
      form={form}
      failure={make.error}
      names={{ grams: 'weight' }}
      onChange={make.reset}
      onSubmit={() => make.mutate({})}
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <Out.Weight name="weight" label={out} required="Weigh what came out." big helper={expected} />
      <Out.Text size="small" name="words" label="Note (optional)" most={400} />
      <Save
        busy={make.isPending}
        disabled={sources.length === 0}
        failure={make.error}
        onAnswer={(answers) => make.mutate(answers)}
      >
        {act}
      </Save>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        What went in is taken out of its packs, and what came out is a lot of its own that is packed next.
      </Typography>
    </Form>
  );
}
