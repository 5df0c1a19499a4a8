import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { armColour } from '../trial/arms';

const HEIGHT = 190;
const COLUMN = 104;
const EDGE = 14;

/** A line for every taster across the samples, and the mean of all, thick. */
export function Lines({ lines }: { lines: Schema['TasterLines'] }) {
  const { title, low, high, from, to, samples: names, colours, tasters, means, written } = lines;
  const width = COLUMN * names.length;
  const x = (sample: number) => COLUMN / 2 + COLUMN * sample;
  const y = (value: number) => EDGE + ((to - value) / (to - from)) * (HEIGHT - 2 * EDGE);
  const points = (values: (number | null | undefined)[]) =>
    values.flatMap((value, sample) => (value == null ? [] : [`${x(sample)},${y(value)}`])).join(' ');
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography component="figcaption" sx={{ fontWeight: 640 }}>
        {title}
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {high}
      </Typography>
      <Box
        component="svg"
        viewBox={`0 0 ${width} ${HEIGHT}`}
        role="img"
        aria-label={`${title}: ${names.map((name, sample) => `${name} ${written[sample] ?? ''}`).join(', ')}`}
        sx={{ width, maxWidth: '100%', height: 'auto', display: 'block' }}
      >
        {names.map((name, sample) => (
          <Box
            component="line"
            key={name}
            x1={x(sample)}
            x2={x(sample)}
            y1={EDGE}
            y2={HEIGHT - EDGE}
            sx={{ stroke: 'var(--mui-palette-divider)' }}
          />
        ))}
        {tasters.map((taster, index) => (
          <Box
            component="polyline"
            key={index}
            points={points(taster.values)}
            strokeWidth={1.5}
            sx={{ fill: 'none', stroke: 'var(--mui-palette-rail)', opacity: 0.75 }}
          />
        ))}
        <Box
          component="polyline"
          points={points(means)}
          strokeWidth={3}
          sx={{ fill: 'none', stroke: 'var(--mui-palette-text-primary)' }}
        />
        {means.map(
          (value, sample) =>
            value != null && (
              <Box
                component="circle"
                key={sample}
                cx={x(sample)}
                cy={y(value)}
                r={8}
                sx={{ fill: armColour(colours[sample] ?? sample) }}
              />
            ),
        )}
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {low}
      </Typography>
      <Box sx={{ display: 'flex', width, maxWidth: '100%' }}>
        {names.map((name, sample) => (
          <Typography
            key={name}
            variant="body2"
            sx={{
              flex: 1,
              textAlign: 'center',
              fontWeight: 620,
              borderTop: '4px solid',
              borderColor: armColour(colours[sample] ?? sample),
              mx: 0.5,
            }}
          >
            {name} {written[sample]}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
