import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { readNumber } from '../kit/units';
import { basisWords, measureWords, type Draft } from './draft';

type Dose = Pick<Draft, 'amount' | 'measure' | 'basis'>;

interface Props {
  dose: Dose;
  /** A mixture is weighed; nothing else is offered. */
  onlyGrams?: boolean;
  onChange: (part: Partial<Dose>) => void;
}

const unread = (text: string) =>
  text.trim() !== '' && readNumber(text) === null ? { error: true, helperText: 'Not a number.' } : {};

/** How much for how much. */
export function DoseFields({ dose, onlyGrams, onChange }: Props) {
  return (
    <>
      <TextField
        size="small"
        label="Dose"
        value={dose.amount}
        onChange={(event) => onChange({ amount: event.target.value })}
        {...unread(dose.amount)}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <TextField
        select
        size="small"
        label="Measured in"
        value={dose.measure}
        disabled={onlyGrams}
        onChange={(event) => onChange({ measure: event.target.value as Dose['measure'] })}
      >
        {Object.entries(measureWords).map(([measure, words]) => (
          <MenuItem key={measure} value={measure}>
            {words}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        className="whole"
        size="small"
        label="For"
        value={dose.basis}
        onChange={(event) => onChange({ basis: event.target.value as Dose['basis'] })}
      >
        {Object.entries(basisWords).map(([basis, words]) => (
          <MenuItem key={basis} value={basis}>
            {words}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}
