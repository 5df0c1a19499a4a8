import { ChartsReferenceLine } from '@mui/x-charts/ChartsReferenceLine';
import { LineChart } from '@mui/x-charts/LineChart';
import type { CurvesOverDays } from './CurveChart';
import { roundAxis, writtenOn } from './axis';
import { at } from './curves';

const untold = { valueFormatter: () => null };

/** The picture of a CurveChart. */
export default function CurveDrawing({
  height,
  curves,
  marks = [],
  lines = [],
  days,
  least,
  most,
  axis,
}: CurvesOverDays) {
  const measured = [
    { marks, colour: 'var(--mui-palette-text-primary)' },
    ...curves.map((curve) => ({ marks: curve.marks ?? [], colour: curve.colour })),
  ].filter((each) => each.marks.length > 0);
  const xs = [
    ...new Set([
      ...curves.flatMap((curve) => curve.points.map((point) => point.day)),
      ...measured.flatMap((each) => each.marks.map((mark) => mark.day)),
    ]),
  ]
    .filter((day) => day <= days)
    .sort((a, b) => a - b);
  const held = [
    ...curves.flatMap(({ points }) => xs.map((day) => at(points, day))),
    ...curves.flatMap(({ band = [] }) =>
      band.filter(({ day }) => day <= days).flatMap(({ low, high }) => [low, high]),
    ),
    ...measured.flatMap((each) => each.marks.filter(({ day }) => day <= days).map(({ value }) => value)),
    least,
    most,
  ].filter((value) => value != null);
  const bands = curves.flatMap((curve, index) => {
    if (!curve.band) {
      return [];
    }
    const low = curve.band.map(({ day, low: value }) => ({ day, value }));
    const wide = curve.band.map((each) => ({ day: each.day, value: each.high - each.low }));
    return [
      {
        id: `low-${index}`,
        data: xs.map((day) => at(low, day)),
        stack: `band-${index}`,
        area: true,
        color: 'transparent',
      },
      {
        id: `band-${index}`,
        data: xs.map((day) => at(wide, day)),
        stack: `band-${index}`,
        area: true,
        color: curve.colour,
      },
    ];
  });
  /** What the pointer lies on, in words: nothing of the two halves a band is drawn from. */
  const told = (value: number | null) => (value === null ? null : writtenOn(axis, value));
  const strokes: Record<string, { strokeWidth: number; strokeDasharray: string }> = Object.fromEntries(
    curves.map((curve, index) => [
      `& [data-series="line-${index}"].MuiLineChart-line`,
      { strokeWidth: 2.5, strokeDasharray: curve.broken ? '7 5' : 'none' },
    ]),
  );
  return (
    <LineChart
      height={height}
      hideLegend
      skipAnimation
      disableKeyboardNavigation
      disableAxisListener
      margin={{ left: 4, right: 18, top: 16, bottom: 0 }}
      grid={{ horizontal: true }}
      xAxis={[
        {
          data: xs,
          scaleType: 'linear',
          min: 0,
          max: days,
          label: 'days hung',
          height: 42,
          valueFormatter: (day: number, { location }) =>
            location === 'tick' ? String(Math.round(day)) : `day ${Math.floor(day)}`,
        },
      ]}
      yAxis={[{ width: 76, ...roundAxis(axis, Math.min(...held), Math.max(...held)) }]}
      series={[
        ...bands.map((band) => ({ ...band, ...untold, showMark: false, curve: 'linear' as const })),
        ...curves.map((curve, index) => ({
          id: `line-${index}`,
          data: xs.map((day) => at(curve.points, day)),
          label: curve.name,
          valueFormatter: told,
          color: curve.colour,
          curve: 'linear' as const,
          showMark: false,
        })),
        ...measured.map((each, index) => ({
          id: `marks-${index}`,
          data: xs.map((day) => each.marks.find((mark) => mark.day === day)?.value ?? null),
          label: 'measured',
          valueFormatter: told,
          color: each.colour,
          curve: 'linear' as const,
          showMark: true,
          shape: (['circle', 'diamond', 'square', 'triangle'] as const)[index % 4],
        })),
      ]}
      slotProps={{ line: { strokeWidth: 2 } }}
      sx={{
        '& .MuiLineChart-area': { opacity: 0.18 },
        '& [data-series^="low-"], & [data-series^="band-"].MuiLineChart-line, & [data-series^="marks-"].MuiLineChart-line':
          { stroke: 'none' },
        ...strokes,
      }}
    >
      {lines
        .filter((line) => line.day <= days)
        .map((line, row) => (
          <ChartsReferenceLine
            key={line.name}
            x={line.day}
            label={line.name}
            labelAlign="start"
            lineStyle={{ stroke: 'var(--mui-palette-text-secondary)', strokeDasharray: '2 3' }}
            spacing={{ x: line.day > days * 0.75 ? -5 : 5, y: 4 + row * 14 }} // two on one day stay readable
            labelStyle={{
              fontSize: 12,
              fill: 'var(--mui-palette-text-secondary)',
              textAnchor: line.day > days * 0.75 ? 'end' : 'start',
            }}
          />
        ))}
    </LineChart>
  );
}
