import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { PieceView } from '../api/client';
import { CurveChart } from '../kit/CurveChart';
import { useUnits } from '../kit/units';

/** The weighings on the forecast, with the band four weighings in five will lie in. */
export function ForecastCurve({ piece }: { piece: PieceView }) {
  const units = useUnits();
  const { ahead, card, weighings } = piece;
  if (!ahead) {
    return null;
  }
  const hanging = card.state === 'HANGING';
  const lastDay = hanging
    ? (ahead.days.at(-1)?.day ?? 0)
    : Math.max(card.dayNumber ?? 0, card.targetDays ?? 0, weighings.at(-1)?.day ?? 0);
  const { atTarget } = ahead;
  const lines = [
    { day: card.targetDays ?? 0, name: 'target' },
    ...(hanging ? [{ day: ahead.dayNow, name: 'now' }] : []),
  ];
  return (
    <Box component="figure" sx={{ m: 0 }}>
      <Typography variant="h2" component="figcaption" sx={{ mb: 0.5 }}>
        Weighed and expected
      </Typography>
      <CurveChart
        label={`${weighings.length} weighings, from ${units.weight(card.greenGrams)} to ${units.weight(card.nowGrams)}. On day ${atTarget.day} ${units.about(atTarget.grams)} is expected, four times in five between ${units.about(atTarget.leastGrams)} and ${units.about(atTarget.mostGrams)}.`}
        height={270}
        days={Math.max(1, lastDay)}
        marks={[
          { day: 0, value: card.greenGrams },
          ...weighings.map(({ day, netGrams }) => ({ day, value: netGrams })),
        ]}
        lines={lines}
        axis={units.axes.weight}
        curves={[
          {
            name: 'expected',
            colour: 'var(--mui-palette-secondary-main)',
            points: ahead.days.map(({ day, grams }) => ({ day, value: grams })),
            band: ahead.days.map(({ day, leastGrams, mostGrams }) => ({
              day,
              low: leastGrams,
              high: mostGrams,
            })),
          },
        ]}
      />
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {restsOn(ahead.restsOnPieces, weighings.length)}
      </Typography>
    </Box>
  );
}

function restsOn(pieces: number, weighings: number): string {
  const shop =
    pieces === 0
      ? 'no finished piece of this method and chamber yet, so the estimates'
      : `${pieces} finished ${pieces === 1 ? 'piece' : 'pieces'} of this method and chamber`;
  const own =
    weighings === 0 ? '' : ` and its own ${weighings} ${weighings === 1 ? 'weighing' : 'weighings'}`;
  return `The shaded band holds four weighings in five. It rests on ${shop}${own}.`;
}
