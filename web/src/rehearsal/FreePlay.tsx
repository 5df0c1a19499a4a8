import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Answers, Schema } from '../api/client';
import { useMethods } from '../api/pieces';
import { coatingChoices, methodChoices } from '../kit/choices';
import { CutField } from '../kit/form/CutField';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { RadioButtons } from '../kit/RadioButtons';
import { readDays, useUnits } from '../kit/units';
import { chamberWords } from '../kit/words';

type Plan = Schema['FreePlan'];

interface Text {
  cutCode: string;
  boneIn: boolean;
  weight: string;
  place: Plan['place'];
  method: Plan['method'];
  coating: Plan['coating'];
  days: string;
}

const Free = fieldsOf<Text>();

const places: Plan['place'][] = ['REFRIGERATOR', 'CABINET', 'WALK_IN', 'SHED', 'ICE_CHEST'];

interface Props {
  /** What there is to spend, in words. */
  purse: string;
  busy: boolean;
  failure: unknown;
  onBegin: (body: Schema['RehearsalForm']) => void;
}

/** A piece of one's own choosing; what befalls it is left to chance. */
export function FreePlay({ purse, busy, failure, onBegin }: Props) {
  const methods = useMethods();
  const units = useUnits();
  const form = useKeptForm<Text>('rehearsal', () => ({
    cutCode: 'strip',
    boneIn: false,
    weight: units.weightForField(5000),
    place: 'CABINET',
    method: 'OPEN_AIR',
    coating: 'NONE',
    days: '35',
  }));
  const { values } = form;
  const submit = (answers: Answers) =>
    onBegin({
      plan: {
        cutCode: values.cutCode,
        boneIn: values.boneIn,
        grams: units.readWeight(values.weight) ?? 0,
        place: values.place,
        method: values.method,
        coating: values.coating,
        days: Math.round(readDays(values.days) ?? 0),
      },
      answers,
    });
  return (
    <Box component="section" aria-labelledby="free">
      <Typography variant="h2" id="free">
        A plan of your own
      </Typography>
      <Typography sx={{ color: 'text.secondary', mb: 2 }}>
        You have {purse}. What goes wrong, if anything, is left to chance.
      </Typography>
      <Form
        form={form}
        failure={failure}
        names={{ 'plan.cutCode': 'cutCode', 'plan.grams': 'weight', 'plan.days': 'days' }}
        onSubmit={() => submit({})}
        sx={{ display: 'grid', gap: 2 }}
      >
        <CutField name="cutCode" required="Choose the cut." />
        <Free.Weight name="weight" label="Weight" />
        <RadioButtons<Plan['place']>
          label="Where"
          value={values.place}
          choices={places.map((place) => [place, chamberWords[place]])}
          onChange={(place) => form.change({ place })}
        />
        <Free.Choice name="method" label="Method">
          {methodChoices(methods.data ?? [])}
        </Free.Choice>
        <Free.Choice name="coating" label="On it">
          {coatingChoices()}
        </Free.Choice>
        <Free.Text name="days" label="Days" />
        <Save busy={busy} failure={failure} onAnswer={submit}>
          Rehearse it
        </Save>
      </Form>
    </Box>
  );
}
