import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';

/** What is to be told of a plan before anything is hung: how little a small piece keeps, and what will not go well. */
export function Told({ forward }: { forward: Pick<Schema['ForwardView'], 'wholeInstead' | 'doubts'> }) {
  return (
    <>
      {forward.wholeInstead && (
        <Typography sx={{ mt: 1.5, fontWeight: 560 }}>{forward.wholeInstead}</Typography>
      )}
      {forward.doubts.map((doubt) => (
        <Typography
          key={doubt.id}
          role="status"
          sx={{ mt: 1, borderLeft: '6px solid', borderColor: 'warning.main', pl: 1.5 }}
        >
          {doubt.sentence}
        </Typography>
      ))}
    </>
  );
}
