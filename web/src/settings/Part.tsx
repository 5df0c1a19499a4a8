import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** One part of the settings: what it is about, and its content. */
export function Part({ title, about, children }: { title: string; about?: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'minmax(0, 1fr)' }}
    >
      <Box>
        <Typography variant="h2">{title}</Typography>
        {about && <Typography sx={{ color: 'text.secondary' }}>{about}</Typography>}
      </Box>
      {children}
    </Box>
  );
}

/** One of several in a part: what it is, and what can be done with it. */
export function PartLine({ children }: { children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 2,
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 0.5,
        minHeight: 48,
      }}
    >
      {children}
    </Box>
  );
}

export const columns = {
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fill, minmax(200px, 1fr))',
  gap: 2,
  alignItems: 'start',
  '& .whole': { gridColumn: '1 / -1' },
} as const;
