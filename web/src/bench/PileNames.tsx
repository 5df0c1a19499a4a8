import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

interface Props {
  /** Those the house used before, and those such a piece usually has. */
  names: string[];
  name: string;
  onName: (name: string) => void;
}

/** What the house calls what lies in the container: lean, medium belly, flat iron. */
export function PileNames({ names, name, onName }: Props) {
  return (
    <Autocomplete
      freeSolo
      options={names}
      inputValue={name}
      onInputChange={(_, next) => onName(next)}
      onKeyDown={(event) => event.key === 'Enter' && event.preventDefault()}
      sx={{ maxWidth: 420 }}
      renderInput={(parts) => (
        <TextField {...parts} size="small" label="Name of your own for it (optional)" />
      )}
    />
  );
}
