import Box from '@mui/material/Box';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import type { Schema } from '../api/client';

interface Props {
  name: string;
  children: ReactNode;
  note?: string;
  big?: boolean;
  /** How the number came about; its name then opens it. */
  working?: Schema['Working'];
}

/** One number with its name above it. */
export function Figure({ name, children, note, big, working }: Props) {
  return (
    <Box sx={{ minWidth: 0, position: 'relative' }}>
      {working ? (
        <Opener name={name} working={working} />
      ) : (
        <Typography variant="caption" component="div" sx={{ color: 'text.secondary', minHeight: 24 }}>
          {name}
        </Typography>
      )}
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

function Opener({ name, working }: { name: string; working: Schema['Working'] }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Box
        component="button"
        type="button"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`${name}: how it is worked out`}
        sx={{
          typography: 'caption',
          color: 'text.secondary',
          bgcolor: 'transparent',
          border: 0,
          p: 0,
          minHeight: 24,
          display: 'block',
          cursor: 'help',
          textAlign: 'left',
          textDecoration: 'underline dotted',
          textUnderlineOffset: 3,
          // The number below it belongs to what a glove may touch.
          '&::after': { content: { xs: '""', md: 'none' }, position: 'absolute', inset: 0, minHeight: 48 },
        }}
      >
        {name}
      </Box>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={() => setAnchor(null)}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { sx: { p: 2, maxWidth: 460, border: '1px solid', borderColor: 'divider' } } }}
      >
        <Typography variant="h3">{working.name}</Typography>
        <Typography sx={{ mt: 0.5 }}>{working.formula}</Typography>
        <Typography sx={{ fontWeight: 560, mt: 0.5 }}>{working.filled}</Typography>
        <Typography variant="caption" sx={{ color: 'text.secondary', display: 'block', mt: 0.5 }}>
          {working.source}
        </Typography>
      </Popover>
    </>
  );
}
