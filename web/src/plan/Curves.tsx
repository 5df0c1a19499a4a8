import { memo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { CurveChart, type Curve } from '../kit/CurveChart';
import { percent, useUnits } from '../kit/units';

type Forward = Schema['ForwardView'];

/** One way, or two beside one another. */
export interface Way {
  letter: string;
  forward: Forward;
  /** Whether the meat has a price. */
  priced: boolean;
}

const colours = ['var(--mui-palette-secondary-main)', 'var(--mui-palette-primary-main)'];

/** Shrink with its band, and the cost of the steak, by day. */
export const Curves = memo(function Curves({ ways }: { ways: Way[] }) {
  const units = useUnits();
  const days = Math.max(...ways.map(({ forward }) => forward.days.at(-1)?.day ?? 0));
  const several = ways.length > 1;
  const targets = named(ways, ({ forward }) => forward.target.day, 'day');
  const best = named(ways, ({ forward }) => forward.bestDay ?? null, 'best day');
  const cost = ways
    .map(({ letter, forward, priced }, index): Curve => ({
      name: letter,
      colour: colours[index] ?? '',
      broken: index > 0,
      points: forward.days.flatMap(({ day, costPerKg }) =>
        priced && costPerKg != null ? [{ day, value: costPerKg }] : [],
      ),
    }))
    .filter((curve) => curve.points.length > 0);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: cost.length > 0 ? '1.35fr 1fr' : '1fr' },
        gap: 3,
      }}
    >
      <Box component="figure" sx={{ m: 0, minWidth: 0 }}>
        <Typography variant="h3" component="figcaption">
          Shrink by day
        </Typography>
        <CurveChart
          label={ways
            .map(
              ({ letter, forward: { target } }) =>
                `${several ? `Way ${letter}: ` : ''}${percent(target.lost)} gone on day ${target.day}, four times in five between ${percent(target.lostLeast)} and ${percent(target.lostMost)}.`,
            )
            .join(' ')}
          height={250}
          days={days}
          least={0}
          lines={targets}
          format={(share) => percent(share)}
          curves={ways.map(({ letter, forward }, index) => ({
            name: letter,
            colour: colours[index] ?? '',
            broken: index > 0,
            points: forward.days.map(({ day, lost }) => ({ day, value: lost })),
            band: forward.days.map(({ day, lostLeast, lostMost }) => ({
              day,
              low: lostLeast,
              high: lostMost,
            })),
          }))}
        />
      </Box>
      {cost.length > 0 && (
        <Box component="figure" sx={{ m: 0, minWidth: 0 }}>
          <Typography variant="h3" component="figcaption">
            Cost of the steak by day
          </Typography>
          <CurveChart
            label={ways
              .map(
                ({ letter, forward: { target } }) =>
                  `${several ? `Way ${letter}: ` : ''}${target.costPerKg != null ? units.pricePer(target.costPerKg) : 'no steak'} on day ${target.day}.`,
              )
              .join(' ')}
            height={250}
            days={days}
            lines={best}
            format={(minor) => units.pricePer(minor)}
            curves={cost}
          />
        </Box>
      )}
    </Box>
  );
});

/** Days to be named on a chart; two ways that share one share its name. */
function named(
  ways: Way[],
  dayOf: (way: Way) => number | null,
  word: string,
): { day: number; name: string }[] {
  const days = [...new Set(ways.map(dayOf))].filter((day): day is number => day !== null);
  return days.map((day) => {
    const letters = ways.filter((way) => dayOf(way) === day).map((way) => way.letter);
    const whose = letters.length === ways.length ? '' : `${letters.join(' and ')}: `;
    return { day, name: `${whose}${word} ${day}` };
  });
}
