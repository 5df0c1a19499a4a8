import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh, useToday } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice, Questions } from '../kit/Notices';
import { RadioButtons } from '../kit/RadioButtons';
import { readNumber, useUnits } from '../kit/units';

interface Text {
  minutes: string;
  felt: 'COLD' | 'WARM' | 'MEASURED';
  celsius: string;
}

const Burst = fieldsOf<Text>();

const A_BURST = '10';

/** Smoke in bursts: a timer, the meat felt or measured in a touch, the minutes summed. */
export function Bursts({ pieceId, treatment }: { pieceId: string; treatment: Schema['GivenView'] }) {
  const units = useUnits();
  const today = useToday();
  const [id, setId] = useState(newId);
  const form = useKeptForm<Text>(`smoke ${treatment.id}`, () => ({
    minutes: A_BURST,
    felt: 'COLD',
    celsius: '',
  }));
  const { minutes, felt, celsius } = form.values;
  const session =
    treatment.steps.filter((step) => step.on != null && step.on <= today).at(-1) ?? treatment.steps[0];
  const burst = useMutation({
    mutationFn: ({ last, answers }: { last: boolean; answers: Answers }) =>
      answer(
        api.PUT('/api/pieces/{pieceId}/treatments/{treatmentId}/steps/{entryId}', {
          params: { path: { pieceId, treatmentId: treatment.id, entryId: id } },
          body: {
            number: session?.number ?? 0,
            minutes: Math.round(readNumber(minutes) ?? 0),
            feltCold: felt === 'MEASURED' ? undefined : felt === 'COLD',
            meatCelsius: felt === 'MEASURED' ? (units.readTemperature(celsius) ?? undefined) : undefined,
            last,
            words: '',
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      setId(newId());
      await refresh();
    },
  });
  return (
    <Box component="section" aria-label="Smoke" sx={{ display: 'grid', gap: 1.5, mt: 1 }}>
      <Typography role="status" sx={{ fontSize: 28, fontWeight: 640 }}>
        {treatment.smokedMinutes} minutes of smoke so far
      </Typography>
      <Form
        form={form}
        failure={burst.error}
        names={{ meatCelsius: 'celsius', feltCold: 'felt' }}
        onChange={burst.reset}
        onSubmit={() => burst.mutate({ last: false, answers: {} })}
        sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)', maxWidth: 520 }}
      >
        <Timer minutes={Math.round(readNumber(minutes) ?? 0)} />
        <RadioButtons<Text['felt']>
          label="The meat"
          value={felt}
          choices={[
            ['COLD', 'feels cold'],
            ['WARM', 'no longer cold'],
            ['MEASURED', 'measured'],
          ]}
          onChange={(next) => form.change({ felt: next })}
        />
        <Box sx={{ display: 'flex', gap: 1.5 }}>
          <Burst.Measure size="small" name="minutes" label="Minutes of smoke" of="minutes" required />
          {felt === 'MEASURED' && (
            <Burst.Measure size="small" name="celsius" label="The meat measures" of="temperature" required />
          )}
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button type="submit" variant="contained" disabled={burst.isPending} sx={{ minHeight: 52 }}>
            Burst done
          </Button>
          <Button
            color="inherit"
            variant="outlined"
            disabled={burst.isPending}
            onClick={() => burst.mutate({ last: true, answers: {} })}
            sx={{ minHeight: 52 }}
          >
            Done, and that was all of it
          </Button>
        </Box>
        <ProblemNotice failure={burst.error} />
        <Questions
          failure={burst.error}
          busy={burst.isPending}
          keep="Done all the same"
          or="or feel it and say so"
          onAnswer={(answers) => burst.mutate({ last: false, answers })}
        />
      </Form>
    </Box>
  );
}

/** Counts a burst down; when it is over it says so until somebody stops it. */
function Timer({ minutes }: { minutes: number }) {
  const [endsAt, setEndsAt] = useState<number | null>(null);
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (endsAt === null) {
      return;
    }
    const tick = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(tick);
  }, [endsAt]);
  if (endsAt === null) {
    return (
      <Button
        variant="outlined"
        disabled={minutes < 1}
        sx={{ justifySelf: 'start', minHeight: 52 }}
        onClick={() => {
          setNow(Date.now());
          setEndsAt(Date.now() + minutes * 60_000);
        }}
      >
        Start the timer: {minutes} min
      </Button>
    );
  }
  const left = Math.max(0, Math.ceil((endsAt - now) / 1000));
  const over = left === 0;
  return (
    <Box
      sx={{
        borderLeft: '6px solid',
        borderColor: over ? 'warning.main' : 'divider',
        pl: 2,
        display: 'flex',
        gap: 2,
      }}
    >
      <Typography role="timer" sx={{ fontSize: 44, fontWeight: 640, fontVariantNumeric: 'tabular-nums' }}>
        {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
      </Typography>
      {over && (
        <Typography role="alert" sx={{ alignSelf: 'center', fontWeight: 620 }}>
          Back to the cold with it, and feel it.
        </Typography>
      )}
      <Button color="inherit" onClick={() => setEndsAt(null)}>
        Stop the timer
      </Button>
    </Box>
  );
}
