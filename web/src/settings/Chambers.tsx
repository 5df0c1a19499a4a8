import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { useChambers, useUsualChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { usePeople } from '../api/settings';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { readNumber, useUnits, type Units } from '../kit/units';
import { chamberWords } from '../kit/words';
import { columns, Part } from './Part';

type Chamber = Schema['ChamberForm'];

/** A spare refrigerator: what most people start with. It waits for its name. */
const starting = (usual: Chamber[]): Chamber | null => {
  const one = usual.find(({ kind }) => kind === 'REFRIGERATOR');
  return one ? { ...one, id: newId(), name: '' } : null;
};

export function Chambers({ mayChange }: { mayChange: boolean }) {
  const chambers = useChambers();
  const usual = useUsualChambers(mayChange);
  const units = useUnits();
  const [editing, setEditing] = useState<Chamber | null>(null);
  return (
    <Part title="Chambers" about="Where meat hangs. Never more than its limit, with air round every face.">
      {chambers.data?.map((chamber) => (
        <Box
          key={chamber.id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 2,
            borderTop: '1px solid',
            borderColor: 'divider',
            py: 0.5,
          }}
        >
          <Box sx={{ flex: 1, display: { sm: 'flex' }, gap: 2, alignItems: 'baseline' }}>
            <Typography sx={{ typography: 'h3', width: { sm: 180 } }}>{chamber.name}</Typography>
            <Typography>
              {chamberWords[chamber.kind].toLowerCase()}, {units.load(chamber.limitGrams)},{' '}
              {units.temperature(chamber.setCelsius)}
              {chamber.setHumidityPercent != null && `, ${chamber.setHumidityPercent} % RH`}
            </Typography>
          </Box>
          {mayChange && (
            <Button color="inherit" onClick={() => setEditing(chamber)} aria-label={`Change ${chamber.name}`}>
              Change
            </Button>
          )}
        </Box>
      ))}
      {/* Not before the list stands above it: it would move from under the finger. */}
      {mayChange && !editing && chambers.data && usual.data && (
        <Button
          variant="outlined"
          onClick={() => setEditing(starting(usual.data))}
          sx={{ justifySelf: 'start' }}
        >
          Add a chamber
        </Button>
      )}
      {editing && (
        <ChamberForm
          key={editing.id}
          chamber={editing}
          usual={usual.data ?? []}
          onDone={() => setEditing(null)}
        />
      )}
    </Part>
  );
}

interface ChamberText {
  name: string;
  kind: Chamber['kind'];
  limit: string;
  rails: string;
  places: string;
  temperature: string;
  humidity: string;
  speed: string;
  shelf: string;
  purchase: string;
  years: string;
  watts: string;
  forMeatAlone: boolean;
  keeperId: string;
}

const textOf = (chamber: Chamber, units: Units): ChamberText => ({
  name: chamber.name,
  kind: chamber.kind,
  limit: units.weightForField(chamber.limitGrams),
  rails: String(chamber.rails),
  places: String(chamber.placesPerRail),
  temperature: units.temperatureForField(chamber.setCelsius),
  humidity: chamber.setHumidityPercent == null ? '' : String(chamber.setHumidityPercent),
  speed: String(chamber.setMetresPerSecond),
  shelf: chamber.shelfSquareCentimetres == null ? '' : String(chamber.shelfSquareCentimetres),
  purchase: units.moneyForField(chamber.purchaseMinor),
  years: String(chamber.lifeYears),
  watts: String(chamber.powerWatts),
  forMeatAlone: chamber.forMeatAlone ?? true,
  keeperId: chamber.keeperId ?? '',
});

const bodyOf = (text: ChamberText, { id, version }: Chamber, units: Units): Chamber => {
  const number = (part: string) => Math.round(readNumber(part) ?? 0);
  return {
    id,
    version,
    name: text.name,
    kind: text.kind,
    rails: number(text.rails),
    placesPerRail: number(text.places),
    limitGrams: units.readWeight(text.limit) ?? 0,
    setCelsius: units.readTemperature(text.temperature) ?? 0,
    setHumidityPercent: text.humidity.trim() === '' ? undefined : number(text.humidity),
    setMetresPerSecond: readNumber(text.speed) ?? 0,
    shelfSquareCentimetres: text.shelf.trim() === '' ? undefined : number(text.shelf),
    purchaseMinor: units.readMoney(text.purchase) ?? 0,
    lifeYears: number(text.years),
    powerWatts: number(text.watts),
    forMeatAlone: text.forMeatAlone,
    keeperId: text.keeperId || undefined,
  };
};

/** What the server calls these. */
const names = {
  limitGrams: 'limit',
  placesPerRail: 'places',
  setCelsius: 'temperature',
  setHumidityPercent: 'humidity',
  setMetresPerSecond: 'speed',
  shelfSquareCentimetres: 'shelf',
  purchaseMinor: 'purchase',
  lifeYears: 'years',
  powerWatts: 'watts',
};

const Of = fieldsOf<ChamberText>();

/** What of a new chamber is still as its kind usually is, as another kind usually is. */
function asUsual(text: ChamberText, was: ChamberText, will: ChamberText): Partial<ChamberText> {
  const still = (Object.keys(will) as (keyof ChamberText)[]).filter(
    (part) => part !== 'name' && part !== 'kind' && text[part] === was[part],
  );
  return Object.fromEntries(still.map((part) => [part, will[part]]));
}

interface FormProps {
  chamber: Chamber;
  usual: Chamber[];
  onDone: () => void;
}

function ChamberForm({ chamber, usual, onDone }: FormProps) {
  const units = useUnits();
  const people = usePeople(true);
  const form = useKeptForm(
    chamber.version === 0 ? 'chamber' : `chamber ${chamber.id} ${chamber.version}`,
    () => textOf(chamber, units),
  );
  const save = useMutation({
    mutationFn: (body: Chamber) =>
      answer(api.PUT('/api/chambers/{id}', { params: { path: { id: chamber.id } }, body })),
    onSuccess: async () => {
      form.clear();
      await refresh();
      onDone();
    },
  });
  const usualText = (kind: string) => {
    const one = usual.find((each) => each.kind === kind);
    return one && textOf(one, units);
  };
  const text = form.values;
  const becomes = (kind: string) => {
    const was = usualText(text.kind);
    const will = usualText(kind);
    if (chamber.version === 0 && was && will) {
      form.change(asUsual(text, was, will));
    }
  };
  const leave = () => {
    form.clear();
    onDone();
  };
  return (
    <Form
      form={form}
      failure={save.error}
      names={names}
      onChange={save.reset}
      onSubmit={() => save.mutate(bodyOf(form.hook.getValues(), chamber, units))}
      sx={{ ...columns, p: 2.5, bgcolor: 'background.paper', border: '1px solid', borderColor: 'divider' }}
    >
      <Of.Text name="name" label="Name of the chamber" required autoFocus />
      <Of.Choice name="kind" label="Kind" choices={chamberWords} onChanged={becomes} />
      <Of.Weight name="limit" label="Carries at most" required />
      <Of.Measure name="rails" label="Rails or shelves" of="number" required />
      <Of.Measure name="places" label="Places on each" of="number" required />
      <Of.Measure name="temperature" label="Set to" of="temperature" required />
      <Of.Measure name="humidity" label="Humidity set to" of="percent" />
      <Of.Measure name="speed" label="Air moves at, m/s" of="number" required />
      <Of.Measure name="shelf" label="Shelf area, cm² (if shelves)" of="number" />
      <Of.Measure name="purchase" label="Bought for" of="money" />
      <Of.Measure name="years" label="Lasts, years" of="number" required />
      <Of.Measure name="watts" label="Draws on average, W" of="number" required />
      <Of.Check name="forMeatAlone" label="It runs for the meat alone; its energy is the meat’s" />
      <Of.Choice name="keeperId" label="Whose work it is" empty="everybody’s">
        {people.data?.map((person) => (
          <MenuItem key={person.id} value={person.id}>
            {person.name}
          </MenuItem>
        ))}
      </Of.Choice>
      <Save
        busy={save.isPending}
        failure={save.error}
        beside={
          <Button color="inherit" onClick={leave}>
            Leave it
          </Button>
        }
      >
        Save chamber
      </Save>
    </Form>
  );
}
