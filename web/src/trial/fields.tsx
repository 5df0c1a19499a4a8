import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import type { Schema } from '../api/client';
import { chamberChoices } from '../kit/choices';
import { useUnits } from '../kit/units';

interface FieldProps {
  value: string;
  onChange: (value: string) => void;
}

export function ChamberSelect({
  chambers,
  value,
  onChange,
}: FieldProps & { chambers: Schema['ChamberForm'][] }) {
  return (
    <TextField
      select
      size="small"
      label="Chamber"
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      {chamberChoices(chambers)}
    </TextField>
  );
}

export function DaysField({ value, onChange }: FieldProps) {
  return (
    <TextField
      size="small"
      label="Target days"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ htmlInput: { inputMode: 'numeric' } }}
    />
  );
}

export function MaterialsField({ value, onChange }: FieldProps) {
  const units = useUnits();
  return (
    <TextField
      size="small"
      label="Materials, a piece"
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{
        htmlInput: { inputMode: 'decimal' },
        inputLabel: { shrink: true },
        input: { endAdornment: <InputAdornment position="end">{units.currency}</InputAdornment> },
      }}
    />
  );
}
