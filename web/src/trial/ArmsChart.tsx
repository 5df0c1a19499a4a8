import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { CurveChart } from '../kit/CurveChart';
import { percent } from '../kit/units';
import { armColour } from './arms';
import { shares } from '../kit/axis';

const FIRST_MARK = ['●', '◆', '■', '▲'];

/** An arm as its curve is drawn. */
interface Drying {
  name: string;
  curve: Schema['ArmDay'][];
  pieces: { weighings: Schema['ArmWeighing'][] }[];
}

/** What the arms lose, on one chart: expected with its band, and as it was weighed. */
export function ArmsChart({ arms: all }: { arms: Drying[] }) {
  // An arm keeps its colour and its stroke where one before it has no curve, as meat set aside fresh.
  const arms = all.map((arm, place) => ({ ...arm, place })).filter((arm) => arm.curve.length > 0);
  if (arms.length === 0) {
    return null;
  }
  const last = Math.max(...arms.flatMap((arm) => arm.curve.map((day) => day.day)));
  const spoken = arms
    .map((arm) => {
      const end = arm.curve.at(-1);
      return end ? `${arm.name} ${percent(end.lost)}, ${percent(end.least)} to ${percent(end.most)}` : '';
    })
    .join('; ');
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography variant="h2" component="figcaption" sx={{ mb: 0.5 }}>
        Water gone, arm by arm
      </Typography>
      <CurveChart
        label={`Share of the green weight lost by day ${last}: ${spoken}.`}
        height={280}
        days={Math.max(1, last)}
        least={0}
        axis={shares}
        curves={arms.map((arm) => ({
          name: arm.name,
          colour: armColour(arm.place),
          broken: arm.place > 0,
          points: arm.curve.map(({ day, lost }) => ({ day, value: lost })),
          band: arm.curve.map(({ day, least, most }) => ({ day, low: least, high: most })),
          marks: arm.pieces.flatMap((piece) =>
            piece.weighings.map(({ day, lost }) => ({ day, value: Math.max(0, lost) })),
          ),
        }))}
      />
      <Box aria-hidden sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3 }}>
        {arms.map((arm, index) => (
          <Typography key={arm.name} variant="body2" sx={{ color: armColour(arm.place), fontWeight: 620 }}>
            {FIRST_MARK[index % FIRST_MARK.length]} {arm.name}
          </Typography>
        ))}
      </Box>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        The mean of each arm; the shaded bands hold four weighings in five.
      </Typography>
    </Box>
  );
}
