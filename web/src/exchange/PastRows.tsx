import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { fieldWords, type Field, type Form, type Sheet } from './past';

const SHOWN = 12;

interface Props {
  sheet: Sheet;
  form: Form;
  faults: Schema['CellFault'][];
}

/** The first rows and all that have a fault, with each wrong cell marked and what is wrong with it below. */
export function PastRows({ sheet, form, faults }: Props) {
  const meant = (column: number) =>
    (Object.entries(form.columns).find(([, at]) => at === column)?.[0] ?? null) as Field | null;
  const wrong = new Set(faults.map(({ row }) => row));
  const shown = sheet.rows
    .map((cells, index) => ({ cells, row: index + sheet.headRow + 1 }))
    .filter(({ row }, index) => index < SHOWN || wrong.has(row))
    .slice(0, 60);
  return (
    <>
      <DataTable label="The table" sx={{ fontSize: '0.9rem', whiteSpace: 'nowrap', '& th, & td': { px: 1 } }}>
        <thead>
          <tr>
            <th scope="col">row</th>
            {sheet.columns.map((name, column) => {
              const field = meant(column);
              return (
                <th key={column} scope="col">
                  {name}
                  <Box component="span" sx={{ display: 'block', fontWeight: 400, color: 'text.secondary' }}>
                    {field ? fieldWords[field] : column in form.weighings ? 'a weighing' : 'left out'}
                  </Box>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {shown.map(({ cells, row }) => (
            <tr key={row}>
              <th scope="row">{row}</th>
              {cells.map((cell, column) => {
                const fault = faults.find(
                  (each) => each.row === row && each.field === meant(column) && each.field,
                );
                return (
                  <Box
                    component="td"
                    key={column}
                    title={fault?.sentence}
                    sx={
                      fault && {
                        boxShadow: 'inset 0 0 0 2px var(--mui-palette-warning-main)',
                        fontWeight: 620,
                      }
                    }
                  >
                    {cell || (fault ? '?' : '')}
                  </Box>
                );
              })}
            </tr>
          ))}
        </tbody>
      </DataTable>
      {shown.length < sheet.rows.length && (
        <Typography variant="body2" sx={{ color: 'text.secondary' }}>
          {shown.length} of {sheet.rows.length} rows are shown.
        </Typography>
      )}
      {faults.length > 0 && (
        <Box role="status" sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2 }}>
          <Typography sx={{ fontWeight: 620 }}>
            {faults.length === 1 ? 'One cell cannot be:' : `${faults.length} cells cannot be:`}
          </Typography>
          {faults.slice(0, 20).map((fault, index) => (
            <Typography key={index}>
              Row {fault.row}
              {fault.field && `, ${fieldWords[fault.field].toLowerCase()}`}: {fault.sentence}
            </Typography>
          ))}
        </Box>
      )}
    </>
  );
}
