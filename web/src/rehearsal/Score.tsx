import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** Points of a rehearsal that is over. */
export function Score({ points, words }: { points: number; words: string }) {
  return (
    <Box>
      <Typography sx={{ fontSize: 72, lineHeight: 1, fontWeight: 700, fontVariantNumeric: 'tabular-nums' }}>
        {points}
      </Typography>
      <Typography sx={{ color: 'text.secondary' }}>{words}</Typography>
    </Box>
  );
}
