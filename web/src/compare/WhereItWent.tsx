import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { fillOf, streams } from '../kit/streams';
import { useUnits } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';

/** Each piece as a bar on one scale, divided into where its green weight went. */
export function WhereItWent({ columns }: { columns: Schema['ColumnView'][] }) {
  const units = useUnits();
  const heaviest = Math.max(...columns.map((column) => column.ledger.greenGrams));
  return (
    <Box component="section" aria-labelledby="went">
      <Typography id="went" variant="h2" sx={{ mb: 1.5 }}>
        Where the weight went
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '3.6rem 1fr', sm: '11rem 1fr' },
          rowGap: 1,
          columnGap: 2,
          alignItems: 'center',
        }}
      >
        {columns.map(({ card, ledger }) => (
          <Box key={card.id} sx={{ display: 'contents' }}>
            <Box>
              <Typography sx={{ typography: 'h3' }}>{card.tag}</Typography>
              <Typography
                variant="caption"
                sx={{ color: 'text.secondary', display: { xs: 'none', sm: 'block' }, lineHeight: 1.25 }}
              >
                {card.methodLabel?.toLowerCase()}, {card.dayNumber} days
              </Typography>
            </Box>
            <WeightBar
              ledger={ledger}
              scaleGrams={heaviest}
              height={40}
              name={`${card.tag}, ${units.weight(ledger.greenGrams)} green`}
            />
          </Box>
        ))}
      </Box>
      <Box aria-hidden sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, mt: 1.5 }}>
        {[
          ...streams.map(({ part, label }) => ({ part, label })),
          { part: 'water' as const, label: 'Water' },
        ].map(({ part, label }) => (
          <Box key={part} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <svg width="16" height="16">
              <rect width="16" height="16" fill={fillOf(part)} stroke="var(--mui-palette-text-secondary)" />
            </svg>
            <Typography variant="body2">{label}</Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
