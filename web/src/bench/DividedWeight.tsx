import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { fillOf, stretches } from '../kit/streams';
import { percent, useUnits } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';

/** The green weight as it is being divided, what was expected in a thin bar under it, and each part in words. */
export function DividedWeight({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { ledger, card } = bench.piece;
  const expected = { ...ledger, piles: bench.expectedPiles, residualGrams: 0 };
  const foreseen = new Map(stretches(expected).map((part) => [part.share, part.grams]));
  return (
    <Box>
      <WeightBar
        ledger={ledger}
        scaleGrams={ledger.greenGrams}
        height={64}
        name={`${card.tag}, ${units.weight(ledger.greenGrams)} green`}
      />
      <Box sx={{ mt: 0.5 }}>
        <WeightBar ledger={expected} scaleGrams={ledger.greenGrams} height={14} name="Expected" />
      </Box>
      <Box
        component="ul"
        aria-hidden
        sx={{
          listStyle: 'none',
          m: 0,
          mt: 0.75,
          p: 0,
          display: 'flex',
          flexWrap: 'wrap',
          columnGap: 3,
          rowGap: 0.5,
        }}
      >
        {stretches(ledger).map((part) => {
          const before = foreseen.get(part.share);
          return (
            <Box component="li" key={part.share} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <svg width="18" height="18">
                <rect
                  width="18"
                  height="18"
                  fill={fillOf(part.share)}
                  stroke="var(--mui-palette-text-secondary)"
                />
              </svg>
              <Typography variant="body2">
                {part.label} <strong>{units.weight(part.grams)}</strong>{' '}
                {before != null && part.share !== 'water' && part.share !== 'withdrawn'
                  ? `of ${units.weight(before)}`
                  : percent(part.grams / ledger.greenGrams)}
              </Typography>
            </Box>
          );
        })}
        <Typography component="li" variant="body2" sx={{ color: 'text.secondary' }}>
          below it: as expected
        </Typography>
      </Box>
    </Box>
  );
}
