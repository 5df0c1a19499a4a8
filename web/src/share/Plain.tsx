import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { useTitle } from '../kit/drafts';
import { Hatchings } from '../kit/streams';

interface Props {
  title: string;
  /** Stands at the foot of whatever is shown. */
  caution?: string;
  children?: ReactNode;
}

/** The frame of a page that is shown around: no way into the house. */
export function Plain({ title, caution, children }: Props) {
  useTitle(title);
  return (
    <Box component="main" sx={{ p: { xs: 2, sm: 4 }, maxWidth: 1080, mx: 'auto' }}>
      <Hatchings />
      <Typography variant="h1" sx={{ mb: 2 }}>
        {title}
      </Typography>
      {children}
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 5 }}>
        {caution}
      </Typography>
    </Box>
  );
}
