import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useUnits, type Units } from '../kit/units';
import { writeFigures } from '../kit/weights';

/** Nobody counts more. */
const MOST_SPOONS = 24;

const inWords = ({ amount, symbol }: Schema['ScaledView']['amounts'][number], units: Units) =>
  symbol === 'g' ? units.dose(amount) : `${writeFigures(amount)} ${symbol}`;

/** How much a piece gets: the whole large, what to weigh out of each part below it. */
export function Amounts({ scaled, unlabelled }: { scaled: Schema['ScaledView']; unlabelled?: string }) {
  const units = useUnits();
  const [whole, ...others] = scaled.amounts;
  const label = scaled.onLabel && (
    <Typography sx={{ color: 'text.secondary' }}>
      The label says {inWords(scaled.onLabel, units)} for it.
    </Typography>
  );
  if (!whole) {
    return label;
  }
  const spoons = others.filter((each) => each.amount >= 0.1 && each.amount <= MOST_SPOONS);
  return (
    <Box component="section" aria-label="Amount">
      <Typography sx={{ fontSize: 44, fontWeight: 640, lineHeight: 1.1 }} role="status">
        {inWords(whole, units)}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>
        {spoons.map((each) => inWords(each, units)).join(' · ')}
        {spoons.length > 0 && ' · '}
        {units.sentence(`⟦area ${scaled.squareMetres}⟧`)} of surface
      </Typography>
      {label}
      {scaled.shares.length > 0 && (
        <Shares shares={scaled.shares} costMinor={scaled.costMinor} units={units} />
      )}
      {scaled.timesLabel && (
        <Typography sx={{ mt: 1, fontWeight: 620, color: scaled.overLabel ? 'error.main' : 'text.primary' }}>
          {writeFigures(scaled.timesLabel)} × the dose on the label
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
  units: Units;
}

function Shares({ shares, costMinor, units }: SharesProps) {
  return (
    <Box component="table" sx={{ mt: 1, borderCollapse: 'collapse', '& td': { py: 0.25, pr: 2 } }}>
      <tbody>
        {shares.map((share) => (
          <Box component="tr" key={share.name} sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
            <td>{share.name}</td>
            <Box component="td" sx={{ textAlign: 'right', fontWeight: 620 }}>
              {units.dose(share.grams)}
            </Box>
            <Box component="td" sx={{ textAlign: 'right' }}>
              {share.costMinor > 0 ? units.money(share.costMinor) : ''}
            </Box>
          </Box>
        ))}
        {costMinor > 0 && (
          <Box component="tr" sx={{ borderTop: '2px solid', borderColor: 'divider' }}>
            <td>bought for</td>
            <td />
            <Box component="td" sx={{ textAlign: 'right', fontWeight: 620 }}>
              {units.money(costMinor)}
            </Box>
          </Box>
        )}
      </tbody>
    </Box>
  );
}
