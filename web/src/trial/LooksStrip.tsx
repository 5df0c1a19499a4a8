import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { DataTable } from '../kit/DataTable';
import { photoAddress } from '../kit/photos';
import { answers } from '../look/words';
import { armColour } from './arms';

/** The looks at the pieces, day by day under each other, with their pictures. Nothing before the first look. */
export function LooksStrip({ trial }: { trial: Schema['TrialView'] }) {
  const rows = trial.arms.flatMap((arm, index) => arm.pieces.map((piece) => ({ arm, index, piece })));
  const days = [...new Set(rows.flatMap(({ piece }) => piece.looks.map((look) => look.day)))].sort(
    (one, other) => one - other,
  );
  if (days.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="looks">
      <Typography id="looks" variant="h2" sx={{ mb: 1 }}>
        Looked at, day by day
      </Typography>
      <DataTable label="Looks by day">
        <thead>
          <tr>
            <th scope="col">Piece</th>
            {days.map((day) => (
              <th scope="col" key={day}>
                day {day}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ arm, index, piece }) => (
            <tr key={piece.card.id}>
              <Box component="th" scope="row" sx={{ color: armColour(index), whiteSpace: 'nowrap' }}>
                {piece.card.tag}
                <Typography variant="body2">{arm.name}</Typography>
                {arm.smells.length > 0 && (
                  <Typography
                    variant="body2"
                    sx={{ color: 'text.secondary', whiteSpace: 'normal', maxWidth: 180 }}
                  >
                    smelled {arm.smells.map(({ label, times }) => `${label} ${times}×`).join(', ')}
                  </Typography>
                )}
              </Box>
              {days.map((day) => (
                <Box component="td" key={day} sx={{ minWidth: 132, maxWidth: 190 }}>
                  {piece.looks
                    .filter((look) => look.day === day)
                    .map((look) => (
                      <Box key={look.id}>
                        {look.photos.map((photo) => (
                          <img
                            key={photo}
                            src={photoAddress(piece.card.id, look.id, photo)}
                            alt={`${piece.card.tag} on day ${day}`}
                            style={{ width: 120, display: 'block', marginBottom: 4 }}
                          />
                        ))}
                        <Typography variant="body2">
                          <strong>{answers[look.answer]}.</strong> {look.seen}
                        </Typography>
                      </Box>
                    ))}
                </Box>
              ))}
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Box>
  );
}
