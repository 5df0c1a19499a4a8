import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { fillOf, streams } from '../kit/streams';

/** What the hatchings of a bar stand for. */
export function StreamKey() {
  return (
    <Box aria-hidden sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, mt: 1.5 }}>
      {[
        ...streams.map(({ part, label }) => ({ part, label })),
        { part: 'water' as const, label: 'Water' },
      ].map(({ part, label }) => (
        <Box key={part} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <svg width="16" height="16">
            <rect width="16" height="16" fill={fillOf(part)} stroke="var(--mui-palette-text-secondary)" />
          </svg>
          <Typography variant="body2">{label}</Typography>
        </Box>
      ))}
    </Box>
  );
}
