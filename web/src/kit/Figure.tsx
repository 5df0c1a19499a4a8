import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** One number with its name above it. */
export function Figure({
  name,
  children,
  note,
  big,
}: {
  name: string;
  children: ReactNode;
  note?: string;
  big?: boolean;
}) {
  return (
    <Box sx={{ minWidth: 0 }}>
      <Typography variant="caption" component="div" sx={{ color: 'text.secondary' }}>
        {name}
      </Typography>
      <Typography component="div" sx={{ fontSize: big ? 34 : 21, fontWeight: 640, lineHeight: 1.15 }}>
        {children}
      </Typography>
      {note && (
        <Typography variant="caption" component="div" sx={{ color: 'text.secondary' }}>
          {note}
        </Typography>
      )}
    </Box>
  );
}
