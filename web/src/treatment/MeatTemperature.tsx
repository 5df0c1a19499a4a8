import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import { useUnits } from '../kit/units';

/** What the thermometer in the meat shows. */
export function MeatTemperature({ text, onText }: { text: string; onText: (text: string) => void }) {
  const units = useUnits();
  const unread = text.trim() !== '' && units.readTemperature(text) === null;
  return (
    <TextField
      className="whole"
      size="small"
      label="The meat measures"
      value={text}
      onChange={(event) => onText(event.target.value)}
      error={unread}
      helperText={unread ? 'Not a number.' : undefined}
      slotProps={{
        htmlInput: { inputMode: 'decimal' },
        input: { endAdornment: <InputAdornment position="end">{units.temperatureUnit}</InputAdornment> },
      }}
    />
  );
}
