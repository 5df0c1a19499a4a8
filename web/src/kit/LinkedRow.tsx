import Box from '@mui/material/Box';
import type { SxProps, Theme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { Link } from 'react-router';

interface Props {
  to: string;
  /** What it is about, where what it shows does not say so. */
  label?: string;
  /** How the row is laid out. */
  sx?: SxProps<Theme>;
  children: ReactNode;
}

/** A row that leads to what it is about, wherever it is touched. */
export function LinkedRow({ to, label, sx, children }: Props) {
  return (
    <Box
      component={Link}
      to={to}
      aria-label={label}
      sx={[
        { color: 'text.primary', textDecoration: 'none', '&:hover': { bgcolor: 'background.paper' } },
        ...(Array.isArray(sx) ? sx : [sx]),
      ]}
    >
      {children}
    </Box>
  );
}

/** The look of rows that stand under each other. */
export const ruled = { display: 'grid', gap: 1, py: 1, borderTop: '1px solid', borderColor: 'divider' };
