import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import type { Schema } from '../api/client';
import { KeyCards } from './KeyCards';

interface Props<T extends string> {
  label: string;
  words: Record<T, string>;
  chosen: readonly T[];
  /** Whether several can be true at once. */
  several?: boolean;
  /** Said for none of them, where several can be true. */
  none?: string;
  /** Which question of the key it is, where its answers are drawn. */
  drawn?: Schema['KeyEntry']['asked'];
  onChange: (chosen: T[]) => void;
}

/** A question with its answers side by side, each large enough for a gloved finger. */
export function Chips<T extends string>({ label, words, chosen, several, none, drawn, onChange }: Props<T>) {
  const id = useId();
  const all = Object.keys(words) as T[];
  const pick = (each: T) =>
    onChange(
      several ? (chosen.includes(each) ? chosen.filter((one) => one !== each) : [...chosen, each]) : [each],
    );
  return (
    <Box role={several ? 'group' : 'radiogroup'} aria-labelledby={id}>
      <Typography id={id} variant="h3" sx={{ mb: 0.75 }}>
        {label}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {none && <Chip on={chosen.length === 0} role="checkbox" words={none} onClick={() => onChange([])} />}
        {all.map((each) => (
          <Chip
            key={each}
            on={chosen.includes(each)}
            role={several ? 'checkbox' : 'radio'}
            words={words[each]}
            onClick={() => pick(each)}
          />
        ))}
      </Box>
      {drawn && <KeyCards asked={drawn} words={words} chosen={chosen} onPick={pick} />}
    </Box>
  );
}

interface ChipProps {
  on: boolean;
  role: 'radio' | 'checkbox';
  words: string;
  onClick: () => void;
}

function Chip({ on, role, words, onClick }: ChipProps) {
  return (
    <Button
      type="button"
      role={role}
      aria-checked={on}
      color="inherit"
      variant="outlined"
      onClick={onClick}
      sx={{
        minHeight: 48,
        px: 1.75,
        borderColor: on ? 'text.primary' : 'divider',
        bgcolor: on ? 'text.primary' : 'background.paper',
        color: on ? 'background.paper' : 'text.primary',
        '&:hover': { bgcolor: on ? 'text.primary' : 'background.default' },
      }}
    >
      {words}
    </Button>
  );
}
