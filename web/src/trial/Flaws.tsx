import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';

/** What is wrong with a design, and how to mend it. */
export function Flaws({ flaws, title }: { flaws: Schema['Flaw'][]; title: string }) {
  if (flaws.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {flaws.map((flaw) => (
        <Box
          key={flaw.sentence}
          sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2, mb: 1.5, maxWidth: 820 }}
        >
          <Typography sx={{ fontWeight: 620 }}>{flaw.sentence}</Typography>
          <Typography>{flaw.mend}</Typography>
        </Box>
      ))}
    </Box>
  );
}
