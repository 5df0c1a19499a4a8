import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { LineChart } from '@mui/x-charts/LineChart';
import type { PieceView } from '../api/client';
import { percent, useUnits } from '../kit/units';

/** Weight against days hung, from the green weight on. */
export function WeighingCurve({ piece }: { piece: PieceView }) {
  const units = useUnits();
  const points = [{ day: 0, netGrams: piece.card.greenGrams }, ...piece.weighings];
  const last = points[points.length - 1];
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography variant="h2" component="figcaption" sx={{ mb: 1 }}>
        Weighings
      </Typography>
      <Box
        role="img"
        aria-label={`${points.length - 1} weighings, from ${units.weight(piece.card.greenGrams)} to ${units.weight(last?.netGrams ?? 0)}, ${percent(piece.card.shrinkFraction)} gone.`}
      >
        <Box aria-hidden>
          <LineChart
            height={240}
            hideLegend
            disableKeyboardNavigation
            margin={{ left: 8, right: 20, top: 12, bottom: 4 }}
            grid={{ horizontal: true }}
            xAxis={[
              {
                data: points.map((point) => point.day),
                scaleType: 'linear',
                min: 0,
                max: Math.max(piece.card.targetDays ?? 0, last?.day ?? 0),
                label: 'days hung',
                valueFormatter: (day: number) => String(Math.round(day)),
              },
            ]}
            yAxis={[{ width: 80, valueFormatter: (grams: number) => units.weight(grams) }]}
            series={[
              {
                data: points.map((point) => point.netGrams),
                curve: 'linear',
                color: 'var(--mui-palette-secondary-main)',
                showMark: true,
                valueFormatter: (grams) => units.weight(grams ?? 0),
              },
            ]}
          />
        </Box>
      </Box>
    </Box>
  );
}
