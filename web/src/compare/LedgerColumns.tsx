import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { SectionGlyph } from '../kit/SectionGlyph';
import { days, percent, useUnits } from '../kit/units';
import { noCost } from '../kit/words';

type Column = Schema['ColumnView'];

/** The ledgers as columns, best and worst of each row marked in words and weight. */
export function LedgerColumns({ comparison }: { comparison: Schema['CompareView'] }) {
  const units = useUnits();
  const { columns, marks } = comparison;
  const mark = (measure: string | undefined, id: string) => {
    const found = marks.find((each) => each.measure === measure);
    return found?.best === id ? 'best' : found?.worst === id ? 'worst' : undefined;
  };
  const rows: { label: string; measure?: string; cell: (column: Column) => ReactNode }[] = [
    { label: 'Green weight', cell: ({ ledger }) => units.weight(ledger.greenGrams) },
    { label: 'Aged weight', cell: ({ ledger }) => units.weight(ledger.agedGrams) },
    { label: 'Hung', cell: ({ card }) => days(card.dayNumber ?? 0) },
    { label: 'Method', cell: ({ card }) => card.methodLabel },
    { label: 'Chamber', cell: ({ card }) => card.chamberName },
    { label: 'Grade', cell: ({ card }) => card.grade },
    { label: 'Supplier', cell: ({ card }) => card.supplier },
    { label: 'Shrink', measure: 'SHRINK', cell: ({ ledger }) => percent(ledger.shrinkFraction) },
    { label: 'Steak yield', measure: 'STEAK_YIELD', cell: ({ ledger }) => percent(ledger.steakYield) },
    { label: 'Usable yield', measure: 'USABLE_YIELD', cell: ({ ledger }) => percent(ledger.usableYield) },
    { label: 'Trim', measure: 'TRIM', cell: ({ ledger }) => percent(ledger.trimFraction) },
    { label: 'Discard', measure: 'DISCARD', cell: ({ ledger }) => percent(ledger.discardFraction) },
    { label: 'Spent', cell: ({ cost }) => (cost.total == null ? 'not known' : units.money(cost.total)) },
    {
      label: 'Cost of the steak',
      measure: 'COST',
      cell: ({ cost }) => (cost.perKgSteak == null ? noCost(cost) : units.pricePer(cost.perKgSteak)),
    },
  ];
  return (
    <DataTable label="Ledgers side by side">
      <thead>
        <tr>
          <Box component="th" scope="col" sx={{ border: '0 !important' }}>
            <Typography variant="h2" component="span">
              Ledger
            </Typography>
          </Box>
          {columns.map(({ card }) => (
            <Box component="th" scope="col" key={card.id} sx={{ border: '0 !important', minWidth: 118 }}>
              <SectionGlyph shape={card.shape} section={card.section} size={64} />
              <Box
                component={Link}
                to={`/bench/${card.id}`}
                sx={{ typography: 'h3', color: 'secondary.main' }}
              >
                {card.tag}
              </Box>
              <Typography variant="body2">{card.cutName}</Typography>
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.label}>
            <Box
              component="th"
              scope="row"
              sx={{ fontWeight: 560, color: 'text.secondary', whiteSpace: 'nowrap' }}
            >
              {row.label}
            </Box>
            {columns.map((column) => {
              const found = mark(row.measure, column.card.id);
              return (
                <Box
                  component="td"
                  key={column.card.id}
                  sx={{
                    fontWeight: found ? 680 : 400,
                    color:
                      found === 'best' ? 'success.main' : found === 'worst' ? 'warning.main' : 'text.primary',
                  }}
                >
                  {row.cell(column)}
                  {found && (
                    <Typography component="span" variant="caption" sx={{ ml: 0.75, fontWeight: 680 }}>
                      {found}
                    </Typography>
                  )}
                </Box>
              );
            })}
          </tr>
        ))}
      </tbody>
    </DataTable>
  );
}
