import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';

/** How each number came about: formula, this piece's figures in it, source. */
export function Workings({ workings }: { workings: Schema['Working'][] }) {
  return (
    <Box component="details" sx={{ borderTop: '1px solid', borderColor: 'divider', pt: 1.5 }}>
      <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 620, minHeight: 32 }}>
        How these numbers are worked out
      </Box>
      <Box
        component="dl"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '9rem 1fr' },
          rowGap: 1,
          m: 0,
          mt: 1,
        }}
      >
        {workings.map((working) => (
          <Box key={working.name} sx={{ display: 'contents' }}>
            <Typography component="dt" sx={{ fontWeight: 620 }}>
              {working.name}
            </Typography>
            <Box component="dd" sx={{ m: 0 }}>
              <Typography component="span">{working.formula}</Typography>
              <Typography sx={{ fontWeight: 560 }}>{working.filled}</Typography>
              <Typography variant="caption" sx={{ color: 'text.secondary' }}>
                {working.source}
              </Typography>
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
