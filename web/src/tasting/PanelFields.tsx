import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { taster, type TasterText } from './draft';

interface Props {
  tasters: TasterText[];
  known: Schema['TasterView'][];
  onChange: (tasters: TasterText[]) => void;
}

/** Who tastes: people who did before, or new ones by their first names. */
export function PanelFields({ tasters, known, onChange }: Props) {
  const set = (id: string, name: string) => {
    const one = known.find((each) => each.name === name.trim());
    onChange(tasters.map((each) => (each.id === id ? { ...each, name, tasterId: one?.id } : each)));
  };
  const free = known.filter((one) => !tasters.some(({ tasterId }) => tasterId === one.id));
  const named = tasters.filter(({ name }) => name.trim() !== '');
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ p: 0, mb: 0.5 }}>
        Who tastes
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1.5, maxWidth: 640 }}>
        A first name is enough. Whoever knows which piece is which should cook, not taste.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 1.5 }}>
        {tasters.map((each, index) => (
          <Autocomplete
            key={each.id}
            freeSolo
            size="small"
            options={free.map(({ name }) => name)}
            inputValue={each.name}
            onInputChange={(_, name) => set(each.id, name)}
            renderInput={(params) => <TextField {...params} label={`Place ${index + 1}`} />}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        <Button onClick={() => onChange([...tasters, taster('')])}>One place more</Button>
        {tasters.length > 1 && (
          <Button color="inherit" onClick={() => onChange(tasters.slice(0, -1))}>
            One place less
          </Button>
        )}
        {free.length > 1 && (
          <Button
            onClick={() => onChange([...named, ...free.slice(0, 24).map(({ name, id }) => taster(name, id))])}
          >
            Everybody who tasted before
          </Button>
        )}
      </Box>
    </Box>
  );
}
