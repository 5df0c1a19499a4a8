import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useHouses } from '../api/trials';
import { DataTable } from '../kit/DataTable';
import { TakeIn } from './TakeIn';

/** The trial in other houses: the file they follow, and what all found together. */
export function Houses({ trialId }: { trialId: string }) {
  const told = useHouses(trialId).data?.houses;
  return (
    <Box component="section" aria-labelledby="houses" sx={{ maxWidth: 900 }}>
      <Typography id="houses" variant="h2" sx={{ mb: 1 }}>
        In other houses
      </Typography>
      {told ? (
        <>
          {told.together.map((sentence) => (
            <Typography key={sentence} sx={{ fontSize: '1.15rem', fontWeight: 620 }}>
              {sentence}
            </Typography>
          ))}
          <DataTable list label="What each house found" sx={{ my: 1, '& th, & td': { fontWeight: 400 } }}>
            <thead>
              <tr>
                <th scope="col">house</th>
                <th scope="col">arm</th>
                <th scope="col">found</th>
              </tr>
            </thead>
            <tbody>
              {told.houses.map((line) => (
                <tr key={line.house + line.arm}>
                  <th scope="row">{line.house}</th>
                  <td>{line.arm}</td>
                  <td>{line.sentence}</td>
                </tr>
              ))}
            </tbody>
          </DataTable>
        </>
      ) : (
        <Typography sx={{ mb: 1 }}>
          A house that tries the same thing turns an anecdote into evidence. Send it the protocol; what came
          of it there comes back as a file, and is pooled with yours.
        </Typography>
      )}
      <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button variant="outlined" href={`/api/trials/${trialId}/protocol`} download="trial.protocol.json">
          Protocol and result as a file
        </Button>
        <TakeIn label="Take a result in" />
      </Box>
    </Box>
  );
}
