import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useUnits } from '../kit/units';
import { measured } from './draft';

/** Nobody counts more. */
const MOST_SPOONS = 24;

/** How much a piece gets: the whole large, what to weigh out of each part below it. */
export function Amounts({ scaled, unlabelled }: { scaled: Schema['ScaledView']; unlabelled?: string }) {
  const units = useUnits();
  const [whole, ...others] = scaled.amounts;
  if (!whole) {
    return null;
  }
  const spoons = others.filter((each) => each.amount >= 0.1 && each.amount <= MOST_SPOONS);
  return (
    <Box component="section" aria-label="Amount">
      <Typography sx={{ fontSize: 44, fontWeight: 640, lineHeight: 1.1 }} role="status">
        {measured(whole.amount)} {whole.symbol}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        {spoons.map((each) => `${measured(each.amount)} ${each.symbol}`).join(' · ')}
        {spoons.length > 0 && ' · '}
        {measured(scaled.squareMetres)} m² of surface
      </Typography>
      {scaled.shares.length > 0 && (
        <Shares shares={scaled.shares} costMinor={scaled.costMinor} money={units.money} />
      )}
      {scaled.timesLabel && (
        <Typography sx={{ mt: 1, fontWeight: 620, color: scaled.overLabel ? 'error.main' : 'text.primary' }}>
          {measured(scaled.timesLabel)} × the dose on the label
          {scaled.overLabel && ': more than three times. Use less.'}
        </Typography>
      )}
      {unlabelled && (
        <Typography variant="body2" sx={{ mt: 1, color: 'text.secondary' }}>
          There is no label. {unlabelled} is where to start from; the first trial shows more.
        </Typography>
      )}
    </Box>
  );
}

interface SharesProps {
  shares: Schema['GivenShare'][];
  costMinor: number;
  money: (minor: number) => string;
}

function Shares({ shares, costMinor, money }: SharesProps) {
  return (
    <Box component="table" sx={{ mt: 1, borderCollapse: 'collapse', '& td': { py: 0.25, pr: 2 } }}>
      <tbody>
        {shares.map((share) => (
          <Box component="tr" key={share.name} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
            <td>{share.name}</td>
            <Box component="td" sx={{ textAlign: 'right', fontWeight: 620 }}>
              {measured(share.grams)} g
            </Box>
            <Box component="td" sx={{ textAlign: 'right' }}>
              {share.costMinor > 0 ? money(share.costMinor) : ''}
            </Box>
          </Box>
        ))}
        {costMinor > 0 && (
          <Box component="tr" sx={{ borderTop: '2px solid', borderColor: 'divider' }}>
            <td>bought for</td>
            <td />
            <Box component="td" sx={{ textAlign: 'right', fontWeight: 620 }}>
              {money(costMinor)}
            </Box>
          </Box>
        )}
      </tbody>
    </Box>
  );
}
