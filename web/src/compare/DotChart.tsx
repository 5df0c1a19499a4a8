import Box from '@mui/material/Box';
import { ChartsContainer } from '@mui/x-charts/ChartsContainer';
import { ChartsGrid } from '@mui/x-charts/ChartsGrid';
import { ChartsTooltip } from '@mui/x-charts/ChartsTooltip';
import { ChartsXAxis } from '@mui/x-charts/ChartsXAxis';
import { ChartsYAxis } from '@mui/x-charts/ChartsYAxis';
import { LinePlot } from '@mui/x-charts/LineChart';
import { ScatterPlot } from '@mui/x-charts/ScatterChart';
import { roundAxis, writtenOn, type Axis } from '../kit/axis';
import { Later } from '../kit/Later';

/** A piece somewhere between two figures. */
export interface Dot {
  id: string;
  name: string;
  x: number;
  y: number;
  /** Stands out. */
  marked?: boolean;
}

export interface Cloud {
  name: string;
  colour: string;
  dots: Dot[];
  /** The curve through it, if there is one: x to y, as many points as wanted. */
  curve?: { x: number; y: number }[];
}

interface Props {
  /** What the picture shows, in a sentence. */
  label: string;
  clouds: Cloud[];
  xLabel: string;
  yLabel: string;
  x: Axis;
  y: Axis;
  /** From 0, or from the least there is. */
  fromZero?: boolean;
  /** Upwards by ratios, where one piece may be worth ten others. */
  ratios?: boolean;
  onPick: (id: string) => void;
}

const span = (values: number[], fromZero: boolean): [number, number] => {
  const most = Math.max(...values);
  const least = fromZero ? Math.min(0, ...values) : Math.min(...values);
  const room = Math.max(most - least, Math.abs(most) * 0.05) * 0.03; // no dot lies on the frame
  return [fromZero && least === 0 ? 0 : least - room, most + room];
};

/** One, two and five of each power of ten between two figures above 0. */
export function steps(least: number, most: number): number[] {
  const found: number[] = [];
  if (!(least > 0)) {
    return found; // no power of ten is as small as nothing
  }
  for (let power = 10 ** Math.floor(Math.log10(least)); power <= most; power *= 10) {
    found.push(...[1, 2, 5].map((step) => step * power));
  }
  return found.filter((step) => step >= least && step <= most);
}

/** Pieces as dots between two figures, a colour for each group, with curves through them. A dot leads to its piece. */
export function DotChart({
  label,
  clouds,
  xLabel,
  yLabel,
  x,
  y,
  fromZero = false,
  ratios = false,
  onPick,
}: Props) {
  const dots = clouds.flatMap((cloud) => cloud.dots);
  const curves = clouds.filter((cloud) => cloud.curve);
  const xs = [...new Set(curves.flatMap(({ curve }) => curve?.map(({ x }) => x) ?? []))].sort(
    (a, b) => a - b,
  );
  const [least, most] = span([...dots.map(({ x }) => x), ...xs], fromZero);
  const [low, high] = span(
    dots.map(({ y }) => y),
    fromZero,
  );
  const lowest = Math.min(...dots.map(({ y }) => y));
  return (
    <Box role="img" aria-label={label}>
      <Box aria-hidden>
        <Later height={300}>
          <ChartsContainer
            height={300}
            skipAnimation
            disableKeyboardNavigation
            margin={{ left: 4, right: 34, top: 12, bottom: 0 }}
            xAxis={[
              {
                // A line needs its days on the axis; without one the axis is of the dots alone.
                data: xs.length > 0 ? xs : undefined,
                scaleType: 'linear',
                ...roundAxis(x, least, most),
                label: xLabel,
                height: 44,
              },
            ]}
            yAxis={[
              ratios
                ? {
                    scaleType: 'log' as const,
                    min: lowest * 0.9,
                    max: high * 1.1,
                    width: 84,
                    label: yLabel,
                    valueFormatter: (value: number) => writtenOn(y, value),
                    tickInterval: steps((lowest * 0.9) / y.one, (high * 1.1) / y.one).map(
                      (step) => step * y.one,
                    ),
                  }
                : { ...roundAxis(y, low, high), width: 84, label: yLabel },
            ]}
            series={[
              ...curves.map((cloud, index) => ({
                type: 'line' as const,
                id: `curve-${index}`,
                color: cloud.colour,
                curve: 'linear' as const,
                showMark: false,
                data: xs.map((x) => cloud.curve?.find((point) => point.x === x)?.y ?? null),
                connectNulls: true,
              })),
              ...clouds.map((cloud, index) => ({
                type: 'scatter' as const,
                id: `dots-${index}`,
                label: cloud.name,
                color: cloud.colour,
                markerSize: 5,
                data: cloud.dots.map(({ id, x, y }) => ({ id, x, y })),
                valueFormatter: (value: { id?: string | number; x: number; y: number } | null) =>
                  value
                    ? `${cloud.dots.find(({ id }) => id === value.id)?.name}: ${writtenOn(x, value.x)}, ${writtenOn(y, value.y)}`
                    : '',
              })),
            ]}
          >
            <ChartsGrid horizontal />
            <LinePlot slotProps={{ line: { strokeWidth: 2.5 } }} />
            <ScatterPlot
              onItemClick={(_, { seriesId, dataIndex }) => {
                const dot = clouds[Number(String(seriesId).replace('dots-', ''))]?.dots[dataIndex];
                if (dot) {
                  onPick(dot.id);
                }
              }}
            />
            <ChartsXAxis />
            <ChartsYAxis />
            <ChartsTooltip trigger="item" />
          </ChartsContainer>
        </Later>
      </Box>
    </Box>
  );
}
