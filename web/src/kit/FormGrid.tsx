import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

interface Props {
  children: ReactNode;
  maxWidth?: number;
  /** At the top of a dialog, which cuts the first label off otherwise. */
  dialog?: boolean;
}

/** Fields in two columns; what carries the class `whole` takes both. */
export function FormGrid({ children, maxWidth, dialog }: Props) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
        gap: 1.5,
        pt: dialog ? 1 : 0,
        maxWidth,
        '& .whole': { gridColumn: '1 / -1' },
        '& .clock': { gridColumn: { xs: '1 / -1', sm: 'auto' } }, // a day with its hour is cut off in half a phone
      }}
    >
      {children}
    </Box>
  );
}
