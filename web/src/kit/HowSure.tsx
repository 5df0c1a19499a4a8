import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useId, useState } from 'react';

/** The statistics behind what was said in plain words, one touch below it. */
export function HowSure({ lines }: { lines: string[] }) {
  const [open, setOpen] = useState(false);
  const id = useId();
  if (lines.length === 0) {
    return null;
  }
  return (
    <Box sx={{ my: 0.5 }}>
      <Button
        className="no-print"
        color="inherit"
        size="small"
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        sx={{ ml: -0.75, color: 'text.secondary' }}
      >
        How sure is that?
      </Button>
      <Box
        id={id}
        component="ul"
        sx={{
          display: open ? 'block' : 'none',
          '@media print': { display: 'block' },
          m: 0,
          pl: 2.5,
          maxWidth: 940,
          fontSize: '0.9rem',
          color: 'text.secondary',
        }}
      >
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}
