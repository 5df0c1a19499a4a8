import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { CurveChart } from '../kit/CurveChart';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';

type Body = Schema['ReplayForm'];
type Deed = NonNullable<Body['deed']>;

interface Choice {
  label: string;
  body: (day: number) => Body;
  /** What the day is asked as; absent where none is. */
  asks?: string;
}

const deeds: [Deed, string, string][] = [
  ['TURNED', 'turned', 'Turned on day'],
  ['RESEALED', 'sealed again', 'Sealed again on day'],
  ['UNWRAPPED', 'unwrapped', 'Unwrapped on day'],
  ['TRIMMED', 'trimmed', 'Trimmed on day'],
  ['SAW_TO_THE_ROOM', 'seen to the room', 'Room seen to on day'],
];

const choices: Choice[] = [
  {
    label: 'taken down on another day',
    asks: 'Taken down on day',
    body: (day) => ({ kind: 'PULLED_ON', day }),
  },
  { label: 'cut closer to the crust', body: () => ({ kind: 'CUT_SO_CLOSE', closeness: 'STRONGER' }) },
  { label: 'cut away more than the crust', body: () => ({ kind: 'CUT_SO_CLOSE', closeness: 'MILDER' }) },
  { label: 'the other order at the bench', body: () => ({ kind: 'OTHER_ORDER' }) },
  ...deeds.map(([deed, words, asks]): Choice => ({
    label: `${words} once more`,
    asks,
    body: (day) => ({ kind: 'DONE_ON', day, deed }),
  })),
  ...deeds.map(([deed, words]): Choice => ({
    label: `never ${words}`,
    body: () => ({ kind: 'NEVER_DONE', deed }),
  })),
];

/** The same piece in the same world, with one choice made otherwise. */
export function Otherwise({ curve }: { curve: Schema['WeightOnDay'][] }) {
  const units = useUnits();
  const [chosen, setChosen] = useState(0);
  const [day, setDay] = useState('');
  const replay = useMutation({
    mutationFn: (body: Body) => answer(api.POST('/api/rehearsal/replay', { body })),
  });
  const choice = choices[chosen];
  const last = Math.max(curve.at(-1)?.day ?? 1, replay.data?.curve.at(-1)?.day ?? 1);
  const points = (of: Schema['WeightOnDay'][]) => of.map((each) => ({ day: each.day, value: each.grams }));
  return (
    <Box component="section" aria-labelledby="otherwise">
      <Typography variant="h2" id="otherwise">
        Played again, with one choice made otherwise
      </Typography>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (choice) {
            replay.mutate(choice.body(Math.round(Number(day))));
          }
        }}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mt: 1 }}
      >
        <TextField
          select
          size="small"
          label="Otherwise"
          value={chosen}
          onChange={(event) => {
            setChosen(Number(event.target.value));
            replay.reset();
          }}
          sx={{ width: 280 }}
        >
          {choices.map(({ label }, index) => (
            <MenuItem key={label} value={index}>
              {label}
            </MenuItem>
          ))}
        </TextField>
        {choice?.asks && (
          <TextField
            size="small"
            required
            label={choice.asks}
            value={day}
            onChange={(event) => {
              setDay(event.target.value);
              replay.reset();
            }}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            sx={{ width: 170 }}
          />
        )}
        <Button type="submit" variant="outlined" disabled={replay.isPending} sx={{ minHeight: 48 }}>
          Play it again
        </Button>
      </Box>
      <ProblemNotice failure={replay.error} />
      {replay.data && (
        <Box aria-live="polite" sx={{ mt: 2 }}>
          <Typography sx={{ fontWeight: 620 }}>
            {changed(replay.data.steakGrams, 'steak', units.weight)}
            {replay.data.spoiltGrams !== 0 &&
              `, ${changed(replay.data.spoiltGrams, 'to throw away', units.weight)}`}
            {replay.data.worthMinor !== 0 &&
              `: worth ${units.money(Math.abs(replay.data.worthMinor))} ${replay.data.worthMinor > 0 ? 'more' : 'less'}`}
            .
          </Typography>
          <CurveChart
            label="Weight by day, as it was; broken: with the other choice"
            height={240}
            days={Math.ceil(last)}
            axis={units.axes.weight}
            curves={[
              { name: 'as it was', colour: 'var(--mui-palette-secondary-main)', points: points(curve) },
              {
                name: 'otherwise',
                colour: 'var(--mui-palette-primary-main)',
                broken: true,
                points: points(replay.data.curve),
              },
            ]}
          />
        </Box>
      )}
    </Box>
  );
}

const changed = (grams: number, what: string, weight: (grams: number) => string) =>
  grams === 0 ? `As much ${what}` : `${weight(Math.abs(grams))} ${grams > 0 ? 'more' : 'less'} ${what}`;
