import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { figure, useUnits } from '../kit/units';

const score = (value?: number): string => (value == null ? '' : figure(value, 1));

const signed = (value: number): string => `${value < 0 ? '−' : '+'}${figure(Math.abs(value), 1)}`;

/** What each grade gains by ageing, side by side, and whether the cheap one reaches the dear one fresh. */
export function Ageing({ ageing }: { ageing: Schema['AgeingView'] }) {
  const units = useUnits();
  const price = (value?: number) => (value == null ? 'not known' : units.pricePer(value));
  return (
    <Box component="section" aria-labelledby="ageing" sx={{ my: 2 }}>
      <Typography id="ageing" variant="h2" sx={{ mb: 1 }}>
        What ageing gains
      </Typography>
      <DataTable list label="What each grade gains by ageing" sx={{ '& th, & td': { fontWeight: 400 } }}>
        <thead>
          <tr>
            <th scope="col">aged</th>
            <th scope="col">paid</th>
            <th scope="col">steak, fresh</th>
            <th scope="col">steak, aged</th>
            <th scope="col">liking, fresh</th>
            <th scope="col">liking, aged</th>
            <th scope="col">gain</th>
          </tr>
        </thead>
        <tbody>
          {ageing.gains.map((gain) => (
            <tr key={gain.aged}>
              <th scope="row">{gain.aged}</th>
              <td>{price(gain.paidMinorPerKg)}</td>
              <td>{price(gain.freshPerKg)}</td>
              <td>{price(gain.agedPerKg)}</td>
              <td>{score(gain.freshScore)}</td>
              <td>{score(gain.agedScore)}</td>
              <Box component="td" sx={{ fontWeight: 640 }}>
                {gain.shift != null && signed(gain.shift)}
                {gain.band && ` (${signed(gain.band.low)} to ${signed(gain.band.high)})`}
              </Box>
            </tr>
          ))}
        </tbody>
      </DataTable>
      {ageing.gains.map(
        (gain) =>
          gain.liked && (
            <Typography key={gain.aged} sx={{ mt: 0.5 }}>
              {gain.liked}
            </Typography>
          ),
      )}
      {ageing.cheapAgainstDear && (
        <Typography sx={{ mt: 1, fontSize: '1.15rem', fontWeight: 620, maxWidth: 900 }}>
          The cheapest aged against the dearest fresh: {ageing.cheapAgainstDear}
        </Typography>
      )}
    </Box>
  );
}
