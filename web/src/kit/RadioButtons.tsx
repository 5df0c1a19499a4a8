import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

interface Props<T extends string> {
  /** What is chosen. */
  label: string;
  value: T;
  choices: [T, ReactNode][];
  onChange: (value: T) => void;
  disabled?: boolean;
  minHeight?: number;
}

/** One of a few, each a button for cold hands; the chosen one is filled. */
export function RadioButtons<T extends string>({
  label,
  value,
  choices,
  onChange,
  disabled,
  minHeight = 48,
}: Props<T>) {
  return (
    <Box role="radiogroup" aria-label={label} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {choices.map(([choice, words]) => {
        const on = choice === value;
        return (
          <Button
            key={choice}
            role="radio"
            aria-checked={on}
            variant="outlined"
            color="inherit"
            disabled={disabled}
            onClick={() => onChange(choice)}
            sx={{
              minHeight,
              flex: 1,
              minWidth: 120,
              display: 'grid',
              lineHeight: 1.2,
              bgcolor: on ? 'text.primary' : 'background.paper',
              color: on ? 'background.paper' : 'text.primary',
              '&:hover': { bgcolor: on ? 'text.primary' : 'background.default' },
            }}
          >
            {words}
          </Button>
        );
      })}
    </Box>
  );
}
