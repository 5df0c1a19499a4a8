import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';

interface Props<T extends string> {
  label: string;
  value: T;
  /** By what the server takes, as it is read. */
  choices: Record<T, string>;
  onChange: (value: T) => void;
  width?: number;
}

/** One of a few, by its words. */
export function Pick<T extends string>({ label, value, choices, onChange, width }: Props<T>) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
      sx={{ width }}
    >
      {(Object.keys(choices) as T[]).map((each) => (
        <MenuItem key={each} value={each}>
          {choices[each]}
        </MenuItem>
      ))}
    </TextField>
  );
}
