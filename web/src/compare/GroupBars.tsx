import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import type { Drawn } from '../kit/streams';
import { useUnits } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';
import { StreamKey } from './StreamKey';

/** Of each kilogram or pound that was hung: where it went, a bar for each group. */
export function GroupBars({ groups }: { groups: Schema['GroupView'][] }) {
  const { perWeightWord, perWeightGrams } = useUnits();
  return (
    <Box component="section" aria-labelledby="group-bars">
      <Typography id="group-bars" variant="h2" sx={{ mb: 1.5 }}>
        Where the weight went, of each {perWeightWord} hung
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '6rem 1fr', sm: '14rem 1fr' },
          gap: 1,
          columnGap: 2,
          alignItems: 'center',
        }}
      >
        {groups.map((group) => (
          <Box key={group.name} sx={{ display: 'contents' }}>
            <Typography sx={{ lineHeight: 1.2 }}>{group.name}</Typography>
            <WeightBar
              ledger={ofWeight(perWeightGrams, group.went)}
              scaleGrams={perWeightGrams}
              height={30}
              name={group.name}
            />
          </Box>
        ))}
      </Box>
      <StreamKey />
    </Box>
  );
}

/** Only what the bar draws. */
function ofWeight(greenGrams: number, went: Schema['Went']): Drawn {
  const grams = (share: number) => Math.round(share * greenGrams);
  const shares = Object.entries(went.piles);
  const found = went.shrink + went.withdrawn + shares.reduce((sum, [, share]) => sum + share, 0);
  return {
    greenGrams,
    cutAwayGrams: 0,
    withdrawnGrams: grams(went.withdrawn),
    shrinkGrams: grams(went.shrink),
    residualGrams: grams(1 - found),
    piles: Object.fromEntries(shares.map(([stream, share]) => [stream, grams(share)])),
  };
}
