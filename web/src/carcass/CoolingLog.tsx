import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { figure, moment, useUnits } from '../kit/units';

interface Text {
  core: string;
}

const Core = fieldsOf<Text>();

/** The core while it cools: what was measured, when it is going to be cold, and the next reading. */
export function CoolingLog({ carcass }: { carcass: Schema['CarcassView'] }) {
  const units = useUnits();
  const { cooling } = carcass;
  const [entryId, setEntryId] = useState(newId);
  const form = useKeptForm<Text>(null, () => ({ core: '' }));
  const [wrong, setWrong] = useState<string | null>(null);
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
      form.clear();
      setWrong(null);
    },
  });
  const submit = () => {
    const mended = cooling.cores.find(({ id }) => id === wrong);
    measure.mutate({
      celsius: units.readTemperature(form.values.core) ?? 0,
      ...(mended && { corrects: mended.id, at: mended.at }),
    });
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
          ? `Cold, at or below ${limit}, after ${figure(cooling.hours ?? 0, 1)} h.`
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
        <Form
          form={form}
          failure={measure.error}
          names={{ celsius: 'core' }}
          onChange={measure.reset}
          onSubmit={submit}
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'start' }}
        >
          <Core.Measure
            size="small"
            name="core"
            label={wrong ? 'What it was' : 'Core now'}
            of="temperature"
            required="Measure it first."
          />
          <Button type="submit" variant="outlined" disabled={measure.isPending} sx={{ minHeight: 40 }}>
            {wrong ? 'Correct it' : 'Note it'}
          </Button>
        </Form>
      )}
      <ProblemNotice failure={measure.error} />
    </Box>
  );
}
