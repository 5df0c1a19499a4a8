import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useMutation } from '@tanstack/react-query';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useWorkshop } from '../api/settings';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber, useUnits } from '../kit/units';
import { Part } from './Part';

type Settings = Schema['WorkshopSettings'];

export function PriceList() {
  const workshop = useWorkshop();
  return workshop.data ? <Steps key={workshop.data.version} settings={workshop.data} /> : null;
}

interface Text {
  steps: { day: string; price: string }[];
}

const Age = fieldsOf<Text>();

/** How many steps a price may have. */
const MOST = 12;

/** What steaks sell for by the days they hung; the best day to pull follows from it. */
function Steps({ settings }: { settings: Settings }) {
  const units = useUnits();
  const form = useKeptForm<Text>(`prices ${settings.version}`, () => ({
    steps: settings.priceByAge.map((step) => ({
      day: String(step.fromDay),
      price: units.priceForField(step.minorPerKg),
    })),
  }));
  const { steps } = form.values;
  const save = useMutation({
    mutationFn: (body: Settings) => answer(api.PUT('/api/workshop', { body })),
    onSuccess: refresh,
  });
  const submit = () =>
    save.mutate({
      ...settings,
      priceByAge: steps.map((step) => ({
        fromDay: Math.round(readNumber(step.day) ?? 0),
        minorPerKg: units.readPrice(step.price) ?? 0,
      })),
    });
  return (
    <Part
      title="Prices by age"
      about="What steak sells for from a day on. Plan and pieces then show the day on which most is left over. Leave it empty for one price at every age."
    >
      <Form
        form={form}
        failure={save.error}
        names={{ 'priceByAge.*.fromDay': 'steps.*.day', 'priceByAge.*.minorPerKg': 'steps.*.price' }}
        onChange={save.reset}
        onSubmit={submit}
        sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}
      >
        {steps.map((step, index) => (
          <Box key={index} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
            <Age.Measure
              name={`steps.${index}.day`}
              size="small"
              label="From day"
              of="number"
              required
              sx={{ width: 110 }}
            />
            <Age.Measure
              name={`steps.${index}.price`}
              size="small"
              label={`Price per ${units.perWeightUnit}`}
              of="price"
              required
              sx={{ width: 150 }}
            />
            <Button
              color="inherit"
              onClick={() => form.change({ steps: steps.filter((_, at) => at !== index) })}
              aria-label={`Remove the price from day ${step.day}`}
            >
              Remove
            </Button>
          </Box>
        ))}
        <Save
          busy={save.isPending}
          failure={save.error}
          beside={
            <Button
              variant="outlined"
              onClick={() => form.change({ steps: [...steps, { day: '', price: '' }] })}
              disabled={steps.length >= MOST}
            >
              One step more
            </Button>
          }
        >
          Save prices
        </Save>
      </Form>
    </Part>
  );
}
