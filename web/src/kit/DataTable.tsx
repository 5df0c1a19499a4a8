import Box from '@mui/material/Box';
import type { SxProps } from '@mui/material/styles';
import type { ReactNode } from 'react';

interface Props {
  /** What the table shows; it scrolls sideways where the screen is narrow. */
  label: string;
  children: ReactNode;
  sx?: SxProps;
}

/** A table of hairlines, read from the left. */
export function DataTable({ label, children, sx = {} }: Props) {
  return (
    <Box sx={{ overflowX: 'auto', maxWidth: '100%' }} tabIndex={0} role="region" aria-label={label}>
      <Box
        component="table"
        sx={[
          {
            borderCollapse: 'collapse',
            '& th, & td': {
              textAlign: 'left',
              verticalAlign: 'top',
              py: 0.75,
              pr: 3,
              borderTop: '1px solid',
              borderColor: 'divider',
            },
          },
          ...(Array.isArray(sx) ? sx : [sx]),
        ]}
      >
        {children}
      </Box>
    </Box>
  );
}
