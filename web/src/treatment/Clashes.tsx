import Box from '@mui/material/Box';
import type { Schema } from '../api/client';

/** What the treatment must not meet, with the reason. */
export function Clashes({ clashes }: { clashes: Schema['ClashView'][] }) {
  return clashes.map((each) => (
    <Box
      key={each.clash}
      role={each.answer === 'STOP' ? 'alert' : 'note'}
      sx={{
        borderLeft: '8px solid',
        borderColor: each.answer === 'STOP' ? 'error.main' : 'warning.main',
        bgcolor: 'background.paper',
        px: 2,
        py: 1.25,
      }}
    >
      <strong>{each.answer === 'STOP' ? 'Stop.' : 'Think of it.'}</strong> {each.reason}
    </Box>
  ));
}
