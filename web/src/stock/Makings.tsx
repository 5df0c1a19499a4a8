import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useMakings } from '../api/stock';
import { DataTable } from '../kit/DataTable';
import { moment, percent, useUnits } from '../kit/units';

/** What was ground and rendered here, the newest first. */
export function Makings() {
  const units = useUnits();
  const makings = useMakings();
  if (!makings.data || makings.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="made" sx={{ mt: 5 }}>
      <Typography id="made" variant="h2" sx={{ mb: 1 }}>
        Ground and rendered
      </Typography>
      <DataTable list label="Ground and rendered" sx={{ '& th, & td': { whiteSpace: 'nowrap' } }}>
        <thead>
          <tr>
            <th scope="col">Lot</th>
            <th scope="col">Came out</th>
            <th scope="col">To pack</th>
            <th scope="col">Cost</th>
            <th scope="col">Made</th>
          </tr>
        </thead>
        <tbody>
          {makings.data.map((making) => (
            <tr key={making.id}>
              <th scope="row">
                <MuiLink component={Link} to={`/makings/${making.id}`}>
                  {making.name}
                </MuiLink>
              </th>
              <td>
                {making.undone
                  ? 'undone'
                  : `${units.weight(making.grams)}, ${percent(making.share)} of what went in`}
              </td>
              <td>{making.leftGrams > 0 && units.weight(making.leftGrams)}</td>
              <td>{units.pricePer(making.costPerKg)}</td>
              <td>{moment(making.madeAt)}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Box>
  );
}
