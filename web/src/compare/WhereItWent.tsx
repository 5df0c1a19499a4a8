import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useUnits } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';
import { agedWords } from '../kit/words';
import { StreamKey } from './StreamKey';

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
                {agedWords(card).join(', ')}
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
      <StreamKey />
    </Box>
  );
}
