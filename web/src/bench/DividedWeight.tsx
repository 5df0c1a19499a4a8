import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { fillOf, stretches } from '../kit/streams';
import { percent, useUnits } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';

/** The green weight as it is being divided, with the name and weight of each part under it. */
export function DividedWeight({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { ledger, card } = bench.piece;
  return (
    <Box>
      <WeightBar
        ledger={ledger}
        scaleGrams={ledger.greenGrams}
        height={84}
        name={`${card.tag}, ${units.weight(ledger.greenGrams)} green`}
      />
      <Box
        component="ul"
        aria-hidden
        sx={{
          listStyle: 'none',
          m: 0,
          mt: 1,
          p: 0,
          display: 'flex',
          flexWrap: 'wrap',
          columnGap: 3,
          rowGap: 0.5,
        }}
      >
        {stretches(ledger).map((part) => (
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
              {percent(part.grams / ledger.greenGrams)}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
