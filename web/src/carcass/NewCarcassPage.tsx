import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useAnimals } from '../api/carcasses';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { FormGrid } from '../kit/FormGrid';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { CautionText } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { useUnits } from '../kit/units';
import { Pick } from '../stock/Pick';
import { NoPlace } from './NoPlace';
import { carcassBody, carcassNames, missingOf, noAnimal, type CarcassText } from './draft';
import { testWords } from './words';

const Came = fieldsOf<CarcassText>();

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
  const form = useKeptForm<CarcassText>('carcass', () => noAnimal);
  const { values: text, change } = form;
  const animal = animals.find((each) => each.animal === text.animal);
  const take = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/carcasses/{id}', { params: { path: { id } }, body: carcassBody(text, units, answers) }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
      await navigate(`/carcass/${id}`);
    },
  });
  const there = chambers.filter(({ kind }) => (kind === 'ICE_CHEST') === text.iced);
  const missing = missingOf(text, units);
  const choose = (next: Schema['AnimalView'] | undefined) =>
    change({
      days: String(next?.mostDays ?? 10),
      weighed: next?.build === 'HOOFED' ? 'FIELD_DRESSED' : 'HANGING',
    });
  return (
    <Page title="An animal comes in">
      <Form
        form={form}
        failure={take.error}
        names={carcassNames}
        onChange={take.reset}
        onSubmit={() => take.mutate({})}
        sx={{ display: 'grid', gap: 2.5, maxWidth: 760, gridTemplateColumns: 'minmax(0, 1fr)' }}
      >
        <FormGrid>
          <Came.Choice
            size="small"
            name="animal"
            label="Animal"
            choices={Object.fromEntries(animals.map((each) => [each.animal, each.label]))}
            onChanged={(next) => choose(animals.find((each) => each.animal === next))}
          />
          <Came.Text size="small" name="tag" label="Game tag" most={60} />
          <Came.Text size="small" name="permit" label="Permit" most={60} />
          <Came.Text size="small" name="place" label="Where, in words" most={120} />
          <Came.Day size="small" name="killedAt" label="Killed" clock required="Say when it was killed." />
          <Came.Day
            size="small"
            name="hungOn"
            label={text.iced ? 'On ice since (optional)' : 'Hung since (optional)'}
            helper="Empty: the day it was killed."
          />
          <Came.Day size="small" name="cooledAt" label="Cold to the core (optional)" clock />
          <Came.Text size="small" name="wound" label="Wound" most={200} />
          <Came.Text size="small" name="supplier" label="From" most={80} />
          <Came.Weight
            size="small"
            name="weight"
            label="Weight"
            helper={text.weight === '' ? 'Without a scale leave it empty and say its size.' : undefined}
          />
          {text.weight === '' && (
            <Came.Choice
              size="small"
              name="size"
              label="Size, for its kind"
              choices={{ SMALL: 'small', MIDDLING: 'middling', LARGE: 'large' }}
            />
          )}
          <Came.Choice
            size="small"
            name="weighed"
            label="Weighed"
            choices={{ FIELD_DRESSED: 'field-dressed, skin and head on', HANGING: 'as it hangs' }}
          />
          <Came.Measure
            size="small"
            name="price"
            label={`Price per ${units.perWeightUnit} (optional)`}
            of="price"
          />
          <Came.Check name="skinOn" label="Skin or feathers on" />
          {animal?.mayBeTested && (
            <Came.Choice size="small" name="test" label="Disease test" choices={testWords} />
          )}
        </FormGrid>
        <FormGrid>
          <Pick
            label="How"
            value={text.iced ? 'ICE' : 'HANG'}
            choices={{ HANG: 'hung in the cold', ICE: 'laid on ice' }}
            onChange={(how) => change({ iced: how === 'ICE', chamberId: '' })}
          />
          {there.length === 0 ? (
            <NoPlace iced={text.iced} onMade={(chamberId) => change({ chamberId })} />
          ) : (
            <Came.Choice
              size="small"
              name="chamberId"
              label="Where it goes"
              shown={there.some(({ id: known }) => known === text.chamberId) ? text.chamberId : ''}
              required="Say where it goes."
            >
              {chamberChoices(there)}
            </Came.Choice>
          )}
          <Came.Measure
            size="small"
            name="days"
            label="Days"
            of="days"
            required="Say for how many days."
            helper={animal && `${animal.fewestDays} to ${animal.mostDays} is usual. ${animal.daysBecause}`}
          />
          {text.iced && <Came.Measure size="small" name="meat" label="Meat" of="temperature" />}
          {text.iced && <Came.Measure size="small" name="outside" label="Air outside" of="temperature" />}
          {text.iced && <Came.Weight size="small" name="bag" label="A bag of ice holds (optional)" />}
        </FormGrid>
        {animal?.cautions.map(({ caution, topic, sentence }) => (
          <CautionText key={caution} topic={topic}>
            {sentence}
          </CautionText>
        ))}
        <Save
          busy={take.isPending}
          disabled={missing.length > 0}
          failure={take.error}
          onAnswer={(answers) => take.mutate(answers)}
        >
          {missing.length > 0 ? `Say ${missing.join(', ')}` : text.iced ? 'Lay it on ice' : 'Hang it'}
        </Save>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          Gloves for a dead animal. Local law and a licensed practitioner decide what may be eaten and sold.
        </Typography>
      </Form>
    </Page>
  );
}
