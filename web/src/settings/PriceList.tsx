import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useWorkshop } from '../api/settings';
import { ProblemNotice } from '../kit/Notices';
import { readNumber, useUnits } from '../kit/units';
import { Part } from './Part';

type Settings = Schema['WorkshopSettings'];

export function PriceList() {
  const workshop = useWorkshop();
  return workshop.data ? <Steps key={workshop.data.version} settings={workshop.data} /> : null;
}

/** What steaks sell for by the days they hung; the best day to pull follows from it. */
function Steps({ settings }: { settings: Settings }) {
  const units = useUnits();
  const [rows, setRows] = useState(() =>
    settings.priceByAge.map((step) => ({
      day: String(step.fromDay),
      price: units.priceForField(step.minorPerKg),
    })),
  );
  const save = useMutation({
    mutationFn: (body: Settings) => answer(api.PUT('/api/workshop', { body })),
    onSuccess: refresh,
  });
  const change = (next: typeof rows) => {
    setRows(next);
    save.reset();
  };
  const steps = rows.map((row) => ({ fromDay: readNumber(row.day), minorPerKg: units.readPrice(row.price) }));
  const ready = steps.every((step) => step.fromDay !== null && step.minorPerKg !== null);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate({
      ...settings,
      priceByAge: steps.map((step) => ({
        fromDay: Math.round(step.fromDay ?? 0),
        minorPerKg: step.minorPerKg ?? 0,
      })),
    });
  };
  return (
    <Part
      title="Prices by age"
      about="What steak sells for from a day on. Plan and pieces then show the day on which most is left over. Leave it empty for one price at every age."
    >
      <Box
        component="form"
        onSubmit={submit}
        noValidate
        sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}
      >
        {rows.map((row, index) => (
          <Box key={index} sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
            <TextField
              size="small"
              label="From day"
              value={row.day}
              onChange={(event) =>
                change(rows.map((each, at) => (at === index ? { ...each, day: event.target.value } : each)))
              }
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
              sx={{ width: 110 }}
            />
            <TextField
              size="small"
              label={`Price, per ${units.perWeightUnit}`}
              value={row.price}
              onChange={(event) =>
                change(rows.map((each, at) => (at === index ? { ...each, price: event.target.value } : each)))
              }
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
              sx={{ width: 150 }}
            />
            <Button
              color="inherit"
              onClick={() => change(rows.filter((_, at) => at !== index))}
              aria-label={`Remove the price from day ${row.day}`}
            >
              Remove
            </Button>
          </Box>
        ))}
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button
            variant="outlined"
            onClick={() => change([...rows, { day: '', price: '' }])}
            disabled={rows.length >= 12}
          >
            One step more
          </Button>
          <Button type="submit" variant="contained" disabled={!ready || save.isPending}>
            Save prices
          </Button>
        </Box>
        <ProblemNotice failure={save.error} />
      </Box>
    </Part>
  );
}
