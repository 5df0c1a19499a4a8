import Box from '@mui/material/Box';
import type { FormEventHandler, ReactNode } from 'react';

interface Props {
  children: ReactNode;
  /** Where the fields are a form of their own. */
  onSubmit?: FormEventHandler;
  maxWidth?: number;
}

/** Fields in two columns; what carries the class `whole` takes both. */
export function FormGrid({ children, onSubmit, maxWidth }: Props) {
  return (
    <Box
      {...(onSubmit && { component: 'form', noValidate: true, onSubmit })}
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
        gap: 1.5,
        pt: onSubmit ? 1 : 0, // a dialog cuts the first label off otherwise
        maxWidth,
        '& .whole': { gridColumn: '1 / -1' },
      }}
    >
      {children}
    </Box>
  );
}
