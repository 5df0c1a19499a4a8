import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { figure, percent, useUnits } from '../kit/units';
import { measureWords, narrowed, writeAsk, type Ask, type Compared } from '../api/ask';

/** Fewer pieces than this show nothing. */
const FEW = 3;

interface Props {
  evidence: Schema['EvidenceView'];
  ask: Ask;
  colourOf: (group: string) => string;
}

/** The groups with what was found and what is left of it at the same days and size. */
export function GroupTable({ evidence, ask, colourOf }: Props) {
  const units = useUnits();
  const cost = evidence.measure === 'COST' || evidence.measure === 'COST_EATEN';
  const found = (value: number) => (cost ? units.pricePer(value) : percent(value));
  const signed = (value: number) => `${value > 0 ? '+' : ''}${figure(value * 100, 1)}`;
  const unit = cost ? '%' : 'points';
  return (
    <DataTable
      list
      label="Groups"
      sx={{ width: '100%', '& td:not(:first-of-type)': { whiteSpace: 'nowrap' } }}
    >
      <thead>
        <tr>
          <th scope="col">group</th>
          <th scope="col">pieces</th>
          <th scope="col">{measureWords[evidence.measure as Compared]}, as found</th>
          <th scope="col">days, mean</th>
          <th scope="col">at the same days and size</th>
        </tr>
      </thead>
      <tbody>
        {evidence.groups.map((group) => {
          const to = narrowed(ask, group, evidence.facets);
          return (
            <tr key={group.name}>
              <th scope="row">
                <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                  <Box
                    aria-hidden
                    sx={{
                      width: 12,
                      height: 12,
                      flexShrink: 0,
                      borderRadius: '50%',
                      bgcolor: colourOf(group.name),
                    }}
                  />
                  {to ? (
                    <MuiLink
                      component={Link}
                      to={`/compare?${writeAsk(to)}#pieces`}
                      sx={{ color: 'text.primary' }}
                    >
                      {group.name}
                    </MuiLink>
                  ) : (
                    group.name
                  )}
                </Box>
              </th>
              <td>{group.pieces}</td>
              <Box component="td" sx={{ fontWeight: 640 }}>
                {found(group.measure)}
              </Box>
              <td>{group.meanDays.toFixed(0)}</td>
              <td>
                {group.effect ? (
                  <>
                    <Typography component="span" sx={{ fontWeight: group.effect.shown ? 680 : 400 }}>
                      {signed(group.effect.value)} {unit}
                    </Typography>{' '}
                    <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                      95 %: {signed(group.effect.band.low)} to {signed(group.effect.band.high)}
                      {group.pieces < FEW ? '; an anecdote' : group.effect.shown ? '' : '; not shown'}
                    </Typography>
                  </>
                ) : (
                  <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                    {group.name === evidence.reference ? 'the rest is held against it' : 'cannot be told'}
                  </Typography>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </DataTable>
  );
}
