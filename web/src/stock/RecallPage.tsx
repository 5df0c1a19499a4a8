import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import { useRecall } from '../api/stock';
import { DataTable } from '../kit/DataTable';
import { Page, Waiting } from '../kit/Page';
import { moment, useUnits } from '../kit/units';

/** Which packs came from a lot, and where each went. */
export default function RecallPage() {
  const { id = '' } = useParams();
  const units = useUnits();
  const recall = useRecall(id);
  if (!recall.data) {
    return <Waiting failure={recall.error} />;
  }
  const { lotNumber, cutName, supplier, packs } = recall.data;
  const left = packs.reduce((sum, { leftGrams }) => sum + leftGrams, 0);
  return (
    <Page
      title={`What came of lot ${lotNumber}`}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {cutName}
          {supplier && `, ${supplier}`}
        </Typography>
      }
    >
      <Typography sx={{ fontSize: '1.25rem', fontWeight: 620, mb: 2 }}>
        {packs.length === 0
          ? 'Nothing of it was packed.'
          : `${packs.length} ${packs.length === 1 ? 'pack' : 'packs'}; ${units.weight(left)} still here.`}
      </Typography>
      {packs.length > 0 && (
        <DataTable list label="Packs of the lot">
          <thead>
            <tr>
              <th scope="col">Pack</th>
              <th scope="col">What</th>
              <th scope="col">Still here</th>
              <th scope="col">Went</th>
            </tr>
          </thead>
          <tbody>
            {packs.map((pack) => (
              <tr key={pack.packId}>
                <th scope="row">
                  <MuiLink component={Link} to={`/packs/${pack.packId}`}>
                    {pack.number}
                  </MuiLink>
                </th>
                <td>
                  {pack.contentLabel} of {pack.tag}
                </td>
                <td>{pack.leftGrams === 0 ? 'nothing' : `${units.weight(pack.leftGrams)}, ${pack.place}`}</td>
                <td>
                  {pack.outs
                    .filter(({ slip }) => !slip)
                    .map((out) => (
                      <Box key={out.id}>
                        {units.weight(out.grams)} {out.wayLabel}
                        {out.words && `, ${out.words}`}, {moment(out.at)}
                      </Box>
                    ))}
                </td>
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
      <Button className="no-print" sx={{ mt: 2 }} variant="outlined" onClick={() => window.print()}>
        Print
      </Button>
    </Page>
  );
}
