import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';

interface Props {
  product: Schema['MakingForm']['product'];
  sources: Schema['UsedForm'][];
  /** What to do, on the button. */
  act: string;
  /** What is expected to come out. */
  expected?: string;
  onMade: () => void;
}

/** What came out is weighed; what went in leaves its packs. */
export function MakeIt({ product, sources, act, expected, onMade }: Props) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const [weight, setWeight] = useState('');
  const [words, setWords] = useState('');
  const grams = units.readWeight(weight);
  const make = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/makings/{id}', {
          params: { path: { id } },
          body: { product, sources, grams: grams ?? 0, words: words.trim(), answers },
        }),
      ),
    onSuccess: async () => {
      onMade();
      await refresh();
      await navigate(`/makings/${id}`);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (grams) {
      make.mutate({});
    }
  };
  return (
    <Box component="form" noValidate onSubmit={submit} sx={{ display: 'grid', gap: 1.5 }}>
      <WeightField
        label="What came out"
        text={weight}
        onText={(next) => {
          setWeight(next);
          make.reset();
        }}
        big
        helper={expected}
      />
      <TextField
        size="small"
        label="Note (optional)"
        value={words}
        onChange={(event) => setWords(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 400 } }}
      />
      <ProblemNotice failure={make.error} />
      <Questions failure={make.error} busy={make.isPending} onAnswer={(answers) => make.mutate(answers)} />
      <Button
        type="submit"
        variant="contained"
        size="large"
        disabled={!grams || sources.length === 0 || make.isPending}
        sx={{ minHeight: 56 }}
      >
        {act}
      </Button>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        What went in is taken out of its packs, and what came out is a lot of its own that is packed next.
      </Typography>
    </Box>
  );
}
