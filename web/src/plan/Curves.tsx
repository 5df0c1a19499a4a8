import { memo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { CurveChart, type Curve } from '../kit/CurveChart';
import { percent, useUnits } from '../kit/units';
import { shares } from '../kit/axis';

type Forward = Schema['ForwardView'];

/** One way, or two beside one another. */
export interface Way {
  letter: string;
  forward: Forward;
  /** Whether the meat has a price. */
  priced: boolean;
}

const colours = ['var(--mui-palette-secondary-main)', 'var(--mui-palette-primary-main)'];

/** Shrink with its band, the cost of the steak, its crust and how tender it grows, by day. */
export const Curves = memo(function Curves({ ways }: { ways: Way[] }) {
  const units = useUnits();
  const days = Math.max(...ways.map(({ forward }) => forward.days.at(-1)?.day ?? 0));
  const several = ways.length > 1;
  const targets = named(ways, ({ forward }) => forward.target.day, 'day');
  const best = named(ways, ({ forward }) => forward.bestDay ?? null, 'best day');
  const drawn = (of: (way: Way, day: Forward['days'][number]) => number | null | undefined): Curve[] =>
    ways
      .map((way, index) => ({
        name: way.letter,
        colour: colours[index] ?? '',
        broken: index > 0,
        points: way.forward.days.flatMap((each) => {
          const value = of(way, each);
          return value == null ? [] : [{ day: each.day, value }];
        }),
      }))
      .filter((curve) => curve.points.length > 0);
  const told = (of: (way: Way) => string) =>
    ways.map((way) => `${several ? `Way ${way.letter}: ` : ''}${of(way)}`).join(' ');
  const pictures = [
    {
      title: 'Cost of the steak by day',
      curves: drawn(({ priced }, { costPerKg }) => (priced ? costPerKg : null)),
      lines: best,
      least: undefined,
      most: undefined,
      axis: units.axes.price,
      label: told(
        ({ forward: { target } }) =>
          `${target.costPerKg != null ? units.pricePer(target.costPerKg) : 'no steak'} on day ${target.day}.`,
      ),
    },
    {
      title: 'Crust and trim by day',
      curves: drawn((_, { crust }) => crust),
      lines: targets,
      least: 0,
      most: undefined,
      axis: shares,
      label: told(({ forward: { target } }) => `${percent(target.crust)} on day ${target.day}.`),
    },
    {
      title: 'Tenderness by day, of what ageing can give',
      curves: drawn((_, { tenderness }) => tenderness),
      lines: targets,
      least: 0,
      most: 1,
      axis: shares,
      label: told(({ forward: { target } }) => `${percent(target.tenderness ?? 0)} on day ${target.day}.`),
    },
  ].filter(({ curves }) => curves.length > 0);
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: '1fr 1fr' },
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
          axis={shares}
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
      {pictures.map(({ title, ...chart }) => (
        <Box key={title} component="figure" sx={{ m: 0, minWidth: 0 }}>
          <Typography variant="h3" component="figcaption">
            {title}
          </Typography>
          <CurveChart height={250} days={days} {...chart} />
        </Box>
      ))}
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
