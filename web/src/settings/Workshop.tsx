import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useWorkshop } from '../api/settings';
import { ProblemNotice } from '../kit/Notices';
import { Waiting } from '../kit/Page';
import { readNumber, useUnits, type Units } from '../kit/units';
import { columns, Part } from './Part';

type Settings = Schema['WorkshopSettings'];

interface Field {
  key: keyof Settings;
  label: (units: Units) => string;
  show: (value: number, units: Units) => string;
  read: (text: string, units: Units) => number | null;
}

const perWeight = (name: string) => (units: Units) => `${name}, per ${units.perWeightUnit}`;
const price = {
  show: (value: number, units: Units) => units.priceForField(value),
  read: (text: string, units: Units) => units.readPrice(text),
};
const money = {
  show: (value: number, units: Units) => units.moneyForField(value),
  read: (text: string, units: Units) => units.readMoney(text),
};
const whole = { show: String, read: (text: string) => readNumber(text) };

const fields: Field[] = [
  { key: 'divisionGrams', label: () => 'Scale division, g', ...whole },
  { key: 'steakPriceMinorPerKg', label: perWeight('List price of steak'), ...price },
  { key: 'usableTrimPriceMinorPerKg', label: perWeight('Worth of usable trim'), ...price },
  { key: 'fatPriceMinorPerKg', label: perWeight('Worth of fat'), ...price },
  { key: 'bonePriceMinorPerKg', label: perWeight('Worth of bone'), ...price },
  { key: 'targetMarginPercent', label: () => 'Target margin, %', ...whole },
  { key: 'labourMinorPerHour', label: () => 'Labour, per hour', ...money },
  { key: 'benchMinutesPerPiece', label: () => 'Minutes at the bench, a piece', ...whole },
  { key: 'tariffMinorPerKwh', label: () => 'Electricity, per kWh', ...money },
];

export function Workshop() {
  const workshop = useWorkshop();
  return workshop.data ? (
    <Form key={workshop.data.version} settings={workshop.data} />
  ) : (
    <Waiting failure={workshop.error} />
  );
}

function Form({ settings }: { settings: Settings }) {
  const units = useUnits();
  const [words, setWords] = useState({
    name: settings.name,
    currency: settings.currency,
    zone: settings.zone,
  });
  const [texts, setTexts] = useState(() =>
    Object.fromEntries(fields.map((field) => [field.key, field.show(Number(settings[field.key]), units)])),
  );
  const save = useMutation({
    mutationFn: (body: Settings) => answer(api.PUT('/api/workshop', { body })),
    onSuccess: refresh,
  });
  const wrong = fields.find((field) => field.read(texts[field.key] ?? '', units) === null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const numbers = Object.fromEntries(
      fields.map((field) => [field.key, Math.round(field.read(texts[field.key] ?? '', units) ?? 0)]),
    );
    save.mutate({ ...settings, ...words, ...numbers });
  };
  return (
    <Part
      title="Workshop"
      about="Its scale, and what things cost and fetch; every cost per kilogram rests on these."
    >
      <Box component="form" onSubmit={submit} noValidate sx={columns}>
        <TextField
          label="Name"
          value={words.name}
          onChange={(event) => setWords({ ...words, name: event.target.value })}
        />
        <TextField
          label="Currency"
          value={words.currency}
          onChange={(event) => setWords({ ...words, currency: event.target.value.toUpperCase() })}
        />
        <TextField
          label="Time zone"
          value={words.zone}
          onChange={(event) => setWords({ ...words, zone: event.target.value })}
        />
        {fields.map((field) => (
          <TextField
            key={field.key}
            label={field.label(units)}
            value={texts[field.key]}
            error={wrong?.key === field.key}
            helperText={wrong?.key === field.key ? 'Write a number, 0 or more.' : undefined}
            onChange={(event) => setTexts({ ...texts, [field.key]: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
        ))}
        <Button
          type="submit"
          variant="contained"
          disabled={wrong !== undefined || save.isPending}
          sx={{ minHeight: 56 }}
        >
          Save workshop
        </Button>
      </Box>
      <ProblemNotice failure={save.error} />
    </Part>
  );
}
