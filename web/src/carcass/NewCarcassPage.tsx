import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useAnimals } from '../api/carcasses';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId, useDraft } from '../kit/drafts';
import { FormGrid } from '../kit/FormGrid';
import { CautionText, ProblemNotice, Questions } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { Pick } from '../stock/Pick';
import { carcassBody, missingOf, noAnimal, type Animal, type CarcassText } from './draft';
import { testWords } from './words';

/** An animal comes in: its tag, its weight, how fast it cooled, and where it hangs or lies on ice. */
export default function NewCarcassPage() {
  const animals = useAnimals();
  const chambers = useChambers();
  if (!animals.data || !chambers.data) {
    return <Waiting failure={animals.error ?? chambers.error} />;
  }
  return <Coming animals={animals.data} chambers={chambers.data} />;
}

function Coming({
  animals,
  chambers,
}: {
  animals: Schema['AnimalView'][];
  chambers: Schema['ChamberForm'][];
}) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const [text, setText, clear] = useDraft<CarcassText>('carcass', () => noAnimal);
  const animal = animals.find((each) => each.animal === text.animal);
  const take = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/carcasses/{id}', { params: { path: { id } }, body: carcassBody(text, units, answers) }),
      ),
    onSuccess: async () => {
      clear();
      await refresh();
      await navigate(`/carcass/${id}`);
    },
  });
  const change = (part: Partial<CarcassText>) => {
    setText((before) => ({ ...before, ...part }));
    take.reset();
  };
  const field = (key: keyof CarcassText, label: string, most: number) => (
    <TextField
      size="small"
      label={label}
      value={text[key]}
      onChange={(event) => change({ [key]: event.target.value })}
      slotProps={{ htmlInput: { maxLength: most } }}
    />
  );
  const time = (key: 'killedAt' | 'cooledAt', label: string) => (
    <TextField
      size="small"
      type="datetime-local"
      label={label}
      value={text[key]}
      onChange={(event) => change({ [key]: event.target.value })}
      slotProps={{ inputLabel: { shrink: true } }}
    />
  );
  const there = chambers.filter(({ kind }) => (kind === 'ICE_CHEST') === text.iced);
  const missing = missingOf(text, units);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (missing.length === 0) {
      take.mutate({});
    }
  };
  return (
    <Page title="An animal comes in">
      <Box
        component="form"
        noValidate
        onSubmit={submit}
        sx={{ display: 'grid', gap: 2.5, maxWidth: 760, gridTemplateColumns: 'minmax(0, 1fr)' }}
      >
        <FormGrid>
          <Pick
            label="Animal"
            value={text.animal}
            choices={
              Object.fromEntries(animals.map((each) => [each.animal, each.label])) as Record<Animal, string>
            }
            onChange={(next) =>
              change({
                animal: next,
                days: String(animals.find((each) => each.animal === next)?.mostDays ?? 10),
                weighed:
                  animals.find((each) => each.animal === next)?.build === 'HOOFED'
                    ? 'FIELD_DRESSED'
                    : 'HANGING',
              })
            }
          />
          {field('tag', 'Game tag', 60)}
          {field('permit', 'Permit', 60)}
          {field('place', 'Where, in words', 120)}
          {time('killedAt', 'Killed')}
          {time('cooledAt', 'Cold to the core (optional)')}
          {field('wound', 'Wound', 200)}
          {field('supplier', 'From', 80)}
          <WeightField
            size="small"
            label="Weight"
            text={text.weight}
            onText={(weight) => change({ weight })}
          />
          <Pick
            label="Weighed"
            value={text.weighed}
            choices={{ FIELD_DRESSED: 'field-dressed, skin and head on', HANGING: 'as it hangs' }}
            onChange={(weighed) => change({ weighed })}
          />
          <TextField
            size="small"
            label={`Price a ${units.perWeightUnit} (optional)`}
            value={text.price}
            onChange={(event) => change({ price: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <FormControlLabel
            control={<Checkbox checked={text.skinOn} onChange={(_, skinOn) => change({ skinOn })} />}
            label="Skin or feathers on"
          />
          {animal?.mayBeTested && (
            <Pick
              label="Disease test"
              value={text.test}
              choices={testWords}
              onChange={(test) => change({ test })}
            />
          )}
        </FormGrid>
        <FormGrid>
          <Pick
            label="How"
            value={text.iced ? 'ICE' : 'HANG'}
            choices={{ HANG: 'hung in the cold', ICE: 'laid on ice' }}
            onChange={(how) => change({ iced: how === 'ICE', chamberId: '' })}
          />
          <TextField
            select
            size="small"
            label="Where it goes"
            value={there.some(({ id: known }) => known === text.chamberId) ? text.chamberId : ''}
            onChange={(event) => change({ chamberId: event.target.value })}
          >
            {chamberChoices(there)}
          </TextField>
          <TextField
            size="small"
            label="Days"
            value={text.days}
            onChange={(event) => change({ days: event.target.value })}
            helperText={
              animal && `${animal.fewestDays} to ${animal.mostDays} is usual. ${animal.daysBecause}`
            }
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          />
          {text.iced && field('meat', `Meat, ${units.temperatureUnit}`, 6)}
          {text.iced && field('outside', `Air outside, ${units.temperatureUnit}`, 6)}
        </FormGrid>
        {animal?.cautions.map(({ caution, topic, sentence }) => (
          <CautionText key={caution} topic={topic}>
            {sentence}
          </CautionText>
        ))}
        <ProblemNotice failure={take.error} />
        <Questions failure={take.error} busy={take.isPending} onAnswer={(answers) => take.mutate(answers)} />
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={missing.length > 0 || take.isPending}
          sx={{ minHeight: 56 }}
        >
          {missing.length > 0 ? `Say ${missing.join(', ')}` : text.iced ? 'Lay it on ice' : 'Hang it'}
        </Button>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Gloves for a dead animal. Local law and a licensed practitioner decide what may be eaten and sold.
        </Typography>
      </Box>
    </Page>
  );
}
