import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { Figure } from '../kit/Figure';
import { percent, useUnits } from '../kit/units';
import { noCost } from '../kit/words';

/** The ledger of a closed bench: yields, expected beside found, and what the steak cost. */
export function FoundLedger({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { ledger, cost, card } = bench.piece;
  const early = ledger.withdrawnGrams > 0;
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))', gap: 2.5 }}>
        <Figure
          name="Shrink"
          note={
            early
              ? `${percent(ledger.shrinkFractionWithoutWithdrawals)} without what was taken early`
              : units.weight(ledger.shrinkGrams)
          }
          big
        >
          {percent(ledger.shrinkFraction)}
        </Figure>
        <Figure
          name="Steak yield"
          note={`${percent(bench.expected.steak)} was expected${early ? `; ${percent(ledger.steakYieldWithoutWithdrawals)} without what was taken early` : ''}`}
          big
        >
          {percent(ledger.steakYield)}
        </Figure>
        <Figure name="Usable yield" note="steaks, usable trim, fat" big>
          {percent(ledger.usableYield)}
        </Figure>
        <Figure name="Discard" note={units.weight(ledger.piles.DISCARD ?? 0)} big>
          {percent(ledger.discardFraction)}
        </Figure>
      </Box>
      <Box
        sx={{
          borderTop: '1px solid',
          borderColor: 'divider',
          pt: 2,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fit, minmax(140px, 1fr))',
          gap: 2.5,
        }}
      >
        <Figure name="Cost of the steak" note="the price at which it breaks even" big>
          {cost.perKgSteak == null ? noCost(cost) : units.pricePer(cost.perKgSteak)}
        </Figure>
        <Figure name="To ask for the target margin">
          {cost.priceForMargin == null ? noCost(cost) : units.pricePer(cost.priceForMargin)}
        </Figure>
        {cost.marginAtList != null && (
          <Figure name="Margin at the list price">{percent(cost.marginAtList)}</Figure>
        )}
        <Figure name="Spent in all" note={`less ${units.money(cost.credit)} for trim, fat and bone`}>
          {cost.total == null
            ? `not known; ${units.money(cost.besides)} besides the meat`
            : units.money(cost.total)}
        </Figure>
      </Box>
      <Typography>
        <Link to={`/compare?p=${card.id}`} style={{ color: 'inherit' }}>
          Compare {card.tag} with others
        </Link>
      </Typography>
    </Box>
  );
}
