import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';

type Tasting = Schema['TastingView'];

/** Which code is what, by sample and round. */
export function codesOf(tasting: Tasting, sample: number, round: number): number[] {
  const codes = tasting.plates
    .filter((plate) => plate.round === round)
    .flatMap(({ servings }) =>
      servings.filter((serving) => serving.sample === sample).map(({ code }) => code),
    );
  return [...new Set(codes)].sort((one, other) => one - other);
}

/** The key. It stays covered until it is wanted: guests look over shoulders. */
export function Key({ tasting }: { tasting: Tasting }) {
  const [shown, setShown] = useState(tasting.state === 'REVEALED');
  const rounds = [...new Set(tasting.plates.map(({ round }) => round))];
  return (
    <Box component="section" aria-label="The key">
      <Typography variant="h2" sx={{ mb: 1 }}>
        The key
      </Typography>
      {!shown ? (
        <Button variant="outlined" onClick={() => setShown(true)}>
          Show which code is what
        </Button>
      ) : (
        <DataTable label="Codes by sample">
          <thead>
            <tr>
              <th scope="col">Sample</th>
              {rounds.map((round) => (
                <th scope="col" key={round}>
                  {rounds.length === 1 ? 'Codes' : `Round ${round + 1}`}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {tasting.samples.map((sample, index) => (
              <tr key={sample.id}>
                <th scope="row">{sample.name}</th>
                {rounds.map((round) => (
                  <Box component="td" key={round} sx={{ fontWeight: 640 }}>
                    {codesOf(tasting, index, round).join(', ')}
                  </Box>
                ))}
              </tr>
            ))}
          </tbody>
        </DataTable>
      )}
    </Box>
  );
}
