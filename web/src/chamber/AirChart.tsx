import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { ChartsReferenceLine } from '@mui/x-charts/ChartsReferenceLine';
import { LineChart } from '@mui/x-charts/LineChart';
import type { ReactNode } from 'react';
import type { Schema } from '../api/client';
import { roundAxis, writtenOn, type Axis } from '../kit/axis';
import { moment } from '../kit/units';
import { axisTime, ticks, withGaps } from './stretch';
import { Later } from '../kit/Later';

type AirPoint = Schema['AirPointView'];

interface Level {
  value: number;
  name: string;
  act?: boolean;
}

interface Props {
  title: string;
  /** Stands beside the title. */
  aside?: ReactNode;
  /** What the picture shows, in a sentence. */
  label: string;
  air: Schema['AirView'];
  colour: string;
  height: number;
  mean: (point: Partial<AirPoint>) => number | undefined;
  low?: (point: Partial<AirPoint>) => number | undefined;
  high?: (point: Partial<AirPoint>) => number | undefined;
  levels?: Level[];
  /** Room left above the highest and below the lowest, in the chart's unit. */
  margin: number;
  axis: Axis;
}

/** One quantity of the air over time: its mean, and between which it swung. Every chart of a page has the same axis. */
export function AirChart(props: Props) {
  const { title, aside, label, air, colour, height, mean, low, high, levels = [], margin, axis } = props;
  const hours = (Date.parse(air.to) - Date.parse(air.from)) / 3_600_000;
  const rows: (Partial<AirPoint> & { at: string })[] = withGaps(air.points, air.stepSeconds);
  if (!rows.some((row) => mean(row) !== undefined)) {
    return null; // not measured, which is said above
  }
  const seen = rows
    .flatMap((row) => [mean(row), low?.(row), high?.(row)])
    .filter((value) => value !== undefined)
    .concat(levels.map(({ value }) => value));
  const least = seen.reduce((a, b) => Math.min(a, b)) - margin;
  const most = seen.reduce((a, b) => Math.max(a, b)) + margin;
  const band =
    low && high
      ? [
          { id: 'low', data: rows.map((row) => low(row) ?? null), color: 'transparent' },
          { id: 'band', data: rows.map((row) => spread(low(row), high(row))), color: colour },
        ].map((each) => ({
          ...each,
          stack: 'band',
          area: true,
          showMark: false,
          curve: 'linear' as const,
          valueFormatter: () => null,
        }))
      : [];
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Box
        component="figcaption"
        sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}
      >
        <Typography variant="h2">{title}</Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {aside}
        </Typography>
      </Box>
      <Box role="img" aria-label={label}>
        <Box aria-hidden>
          <Later height={height}>
            <LineChart
              height={height}
              hideLegend
              skipAnimation
              disableKeyboardNavigation
              disableAxisListener
              margin={{ left: 4, right: levels.length > 0 ? 58 : 18, top: 12, bottom: 0 }}
              grid={{ horizontal: true }}
              xAxis={[
                {
                  data: rows.map((row) => new Date(row.at)),
                  scaleType: 'time',
                  min: new Date(air.from),
                  max: new Date(air.to),
                  height: 26,
                  tickInterval: ticks(air.from, air.to),
                  valueFormatter: (at: Date, { location }) =>
                    location === 'tick' ? axisTime(at, hours) : moment(at.toISOString()),
                },
              ]}
              yAxis={[{ width: 64, ...roundAxis(axis, least, most, height / 40) }]}
              series={[
                ...band,
                {
                  id: 'mean',
                  label: title,
                  valueFormatter: (value: number | null) => (value === null ? null : writtenOn(axis, value)),
                  data: rows.map((row) => mean(row) ?? null),
                  color: colour,
                  showMark: false,
                  curve: 'linear' as const,
                },
              ]}
              sx={{
                '& .MuiLineChart-area': { opacity: 0.28 },
                '& [data-series="low"], & [data-series="band"].MuiLineChart-line': { stroke: 'none' },
                '& [data-series="mean"].MuiLineChart-line': { strokeWidth: 1.75 },
              }}
            >
              {levels.map((level) => (
                <ChartsReferenceLine
                  key={level.name}
                  y={level.value}
                  label={level.name}
                  labelAlign="end"
                  spacing={{ x: -6, y: -4 }} // beside the picture, never on its curve
                  lineStyle={{
                    stroke: level.act
                      ? 'var(--mui-palette-warning-main)'
                      : 'var(--mui-palette-text-secondary)',
                    strokeDasharray: level.act ? '7 4' : '2 3',
                  }}
                  labelStyle={{
                    fontSize: 12,
                    textAnchor: 'start',
                    fill: level.act ? 'var(--mui-palette-warning-main)' : 'var(--mui-palette-text-secondary)',
                  }}
                />
              ))}
            </LineChart>
          </Later>
        </Box>
      </Box>
    </Box>
  );
}

const spread = (low: number | undefined, high: number | undefined): number | null =>
  low === undefined || high === undefined ? null : high - low;
