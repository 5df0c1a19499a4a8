import InputAdornment from '@mui/material/InputAdornment';
import type { SxProps, Theme } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import type { Ref } from 'react';
import { useUnits } from './units';

interface Props {
  label: string;
  text: string;
  onText: (text: string) => void;
  /** A figure to be read at arm's length. */
  big?: boolean;
  error?: string;
  helper?: string;
  autoFocus?: boolean;
  inputRef?: Ref<HTMLInputElement>;
  size?: 'small' | 'medium';
  required?: boolean;
  sx?: SxProps<Theme>;
  className?: string;
}

/** A weight, typed in any unit; what it comes to in grams stands below, unless it was typed in them. */
export function WeightField({
  label,
  text,
  onText,
  big,
  error,
  helper,
  autoFocus,
  inputRef,
  size,
  required,
  sx,
  className,
}: Props) {
  const units = useUnits();
  const grams = units.readWeight(text);
  const unreadable = text.trim() !== '' && grams === null;
  const below = unreadable
    ? 'Not a weight. Write 8.4, 8.4 kg, 840 g or 10 lb 6 oz.'
    : (error ?? helper ?? (grams !== null ? units.weight(grams) : ' '));
  return (
    <TextField
      label={label}
      value={text}
      onChange={(event) => onText(event.target.value)}
      error={unreadable || Boolean(error)}
      helperText={below}
      autoFocus={autoFocus}
      inputRef={inputRef}
      size={size}
      required={required}
      sx={sx}
      className={className}
      autoComplete="off"
      slotProps={{
        htmlInput: { inputMode: 'decimal' },
        inputLabel: { shrink: true }, // else it runs into the unit
        input: {
          endAdornment: <InputAdornment position="end">{units.weightUnit}</InputAdornment>,
          sx: big
            ? { '& input': { py: 1.5, height: 56, fontSize: 48, fontWeight: 640, lineHeight: 1.1 } }
            : undefined,
        },
      }}
    />
  );
}
