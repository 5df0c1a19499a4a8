import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { moment, useUnits } from '../kit/units';

/** The core while it cools: what was measured, when it is going to be cold, and the next reading. */
export function CoolingLog({ carcass }: { carcass: Schema['CarcassView'] }) {
  const units = useUnits();
  const { cooling } = carcass;
  const [entryId, setEntryId] = useState(newId);
  const [text, setText] = useState('');
  const [wrong, setWrong] = useState<string | null>(null);
  const celsius = units.readTemperature(text);
  const unreadable = text.trim() !== '' && celsius === null;
  const measure = useMutation({
    mutationFn: (core: Schema['CoreForm']) =>
      answer(
        api.PUT('/api/carcasses/{id}/cores/{entryId}', {
          params: { path: { id: carcass.id, entryId } },
          body: core,
        }),
      ),
    onSuccess: async () => {
      await refresh();
      setEntryId(newId());
      setText('');
      setWrong(null);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (celsius !== null) {
      const mended = cooling.cores.find(({ id }) => id === wrong);
      measure.mutate({ celsius, ...(mended && { corrects: mended.id, at: mended.at }) });
    }
  };
  const limit = units.temperature(cooling.limitCelsius);
  return (
    <Box component="section" aria-labelledby="cooling" sx={{ display: 'grid', gap: 1 }}>
      <Typography id="cooling" variant="h2">
        Cooling
      </Typography>
      <Typography
        sx={{ fontWeight: cooling.late ? 640 : 400, color: cooling.late ? 'error.main' : undefined }}
      >
        {cooling.coldAt
          ? `Cold, at or below ${limit}, after ${cooling.hours?.toFixed(1)} h.`
          : cooling.expectedColdAt
            ? `At ${limit} by ${moment(cooling.expectedColdAt)}, going on as it did.`
            : `Not known to be cold: ${limit} in the core.`}
        {cooling.late &&
          ' That is more than a day: it may be spoilt inside. Smell at the bone before anything else.'}
      </Typography>
      {cooling.cores.length > 0 && (
        <Box component="ul" aria-label="Core readings" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {cooling.cores.map((core) => (
            <Box component="li" key={core.id} sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
              <Typography sx={{ flex: 1 }}>{moment(core.at)}</Typography>
              <Typography sx={{ fontWeight: 620 }}>{units.temperature(core.celsius)}</Typography>
              <Button
                size="small"
                color="inherit"
                aria-pressed={wrong === core.id}
                onClick={() => setWrong(wrong === core.id ? null : core.id)}
              >
                wrong
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {((carcass.card.state === 'HANGING' && !cooling.coldAt) || wrong) && (
        <Box
          component="form"
          noValidate
          onSubmit={submit}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'start' }}
        >
          <TextField
            size="small"
            label={`${wrong ? 'What it was' : 'Core now'}, ${units.temperatureUnit}`}
            value={text}
            onChange={(event) => setText(event.target.value)}
            error={unreadable}
            helperText={unreadable ? 'Not a temperature. Write 12 or 12.5.' : undefined}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <Button
            type="submit"
            variant="outlined"
            disabled={celsius === null || measure.isPending}
            sx={{ minHeight: 40 }}
          >
            {wrong ? 'Correct it' : 'Note it'}
          </Button>
        </Box>
      )}
      <ProblemNotice failure={measure.error} />
    </Box>
  );
}
