import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { usePeople } from '../api/settings';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { readNumber, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { chamberWords } from '../kit/words';
import { columns, Part } from './Part';

type Chamber = Schema['ChamberForm'];

/** A spare refrigerator: what most people start with. */
const starting = (): Chamber => ({
  id: newId(),
  version: 0,
  name: '',
  kind: 'REFRIGERATOR',
  rails: 1,
  placesPerRail: 4,
  limitGrams: 20_000,
  setCelsius: 2,
  setHumidityPercent: 65,
  setMetresPerSecond: 0.1,
  purchaseMinor: 0,
  lifeYears: 10,
  powerWatts: 40,
});

export function Chambers({ mayChange }: { mayChange: boolean }) {
  const chambers = useChambers();
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
              {chamberWords[chamber.kind].toLowerCase()}, {units.weight(chamber.limitGrams)},{' '}
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
      {mayChange && !editing && (
        <Button variant="outlined" onClick={() => setEditing(starting())} sx={{ justifySelf: 'start' }}>
          Add a chamber
        </Button>
      )}
      {editing && <Form key={editing.id} chamber={editing} onDone={() => setEditing(null)} />}
    </Part>
  );
}

function Form({ chamber, onDone }: { chamber: Chamber; onDone: () => void }) {
  const units = useUnits();
  const [name, setName] = useState(chamber.name);
  const [kind, setKind] = useState(chamber.kind);
  const [keeperId, setKeeperId] = useState(chamber.keeperId ?? '');
  const people = usePeople(true);
  const [text, setText] = useState({
    limit: units.weightForField(chamber.limitGrams),
    rails: String(chamber.rails),
    places: String(chamber.placesPerRail),
    temperature: units.temperatureForField(chamber.setCelsius),
    speed: String(chamber.setMetresPerSecond),
    shelf: chamber.shelfSquareCentimetres == null ? '' : String(chamber.shelfSquareCentimetres),
    humidity: chamber.setHumidityPercent == null ? '' : String(chamber.setHumidityPercent),
    purchase: units.moneyForField(chamber.purchaseMinor),
    years: String(chamber.lifeYears),
    watts: String(chamber.powerWatts),
  });
  const save = useMutation({
    mutationFn: (body: Chamber) =>
      answer(api.PUT('/api/chambers/{id}', { params: { path: { id: chamber.id } }, body })),
    onSuccess: async () => {
      await refresh();
      onDone();
    },
  });
  const number = (part: string) => Math.round(readNumber(part) ?? 0);
  const field = (key: keyof typeof text, label: string) => (
    <TextField
      label={label}
      value={text[key]}
      onChange={(event) => {
        setText({ ...text, [key]: event.target.value });
        save.reset();
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate({
      id: chamber.id,
      version: chamber.version,
      name,
      kind,
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
      keeperId: keeperId || undefined,
    });
  };
  return (
    <Box
      component="form"
      onSubmit={submit}
      noValidate
      sx={{ ...columns, p: 2.5, bgcolor: 'background.paper', border: '1px solid', borderColor: 'divider' }}
    >
      <TextField
        label="Name of the chamber"
        value={name}
        onChange={(event) => setName(event.target.value)}
        autoFocus
      />
      <TextField
        select
        label="Kind"
        value={kind}
        onChange={(event) => setKind(event.target.value as Chamber['kind'])}
      >
        {(Object.keys(chamberWords) as Chamber['kind'][]).map((each) => (
          <MenuItem key={each} value={each}>
            {chamberWords[each]}
          </MenuItem>
        ))}
      </TextField>
      <WeightField
        label="Carries at most"
        text={text.limit}
        onText={(limit) => setText({ ...text, limit })}
      />
      {field('rails', 'Rails or shelves')}
      {field('places', 'Places on each')}
      {field('temperature', `Set to, ${units.temperatureUnit}`)}
      {field('humidity', 'Humidity set to, %')}
      {field('speed', 'Air moves at, m/s')}
      {field('shelf', 'Shelf area, cm² (if shelves)')}
      {field('purchase', `Bought for, ${units.currency}`)}
      {field('years', 'Lasts, years')}
      {field('watts', 'Draws on average, W')}
      <TextField
        select
        label="Whose work it is"
        value={keeperId}
        onChange={(event) => setKeeperId(event.target.value)}
        slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
      >
        <MenuItem value="">everybody’s</MenuItem>
        {people.data?.map((person) => (
          <MenuItem key={person.id} value={person.id}>
            {person.name}
          </MenuItem>
        ))}
      </TextField>
      <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 2 }}>
        <ProblemNotice failure={save.error} />
        <Box>
          <Button type="submit" variant="contained" disabled={save.isPending}>
            Save chamber
          </Button>
          <Button color="inherit" onClick={onDone} sx={{ ml: 1 }}>
            Leave it
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
