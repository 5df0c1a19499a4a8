import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Chip from '@mui/material/Chip';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useUnits } from '../kit/units';
import { PieceFinder } from '../kit/Search';
import { sample, type SampleText, type TastingText } from './draft';

interface Props {
  text: TastingText;
  fewest: number;
  most: number;
  onChange: (part: Partial<TastingText>) => void;
}

/** What is tasted: pieces by their tags, or anything else by its name. */
export function SampleFields({ text, fewest, most, onChange }: Props) {
  const units = useUnits();
  const { samples } = text;
  const set = (id: string, part: Partial<SampleText>) =>
    onChange({ samples: samples.map((each) => (each.id === id ? { ...each, ...part } : each)) });
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ p: 0, mb: 1 }}>
        What is tasted
      </Typography>
      {samples.map((each, index) => (
        <Box
          key={each.id}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr 1fr', sm: 'minmax(0, 1.5fr) minmax(0, 1.2fr) 120px auto auto' },
            gap: 1.5,
            alignItems: 'center',
            borderTop: '1px solid',
            borderColor: 'divider',
            py: 1.25,
          }}
        >
          <TextField
            size="small"
            label={`Sample ${index + 1}`}
            value={each.name}
            onChange={(event) => set(each.id, { name: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 120 } }}
          />
          {each.pieceId ? (
            <Box>
              <Chip
                label={`piece ${each.tag ?? ''}`}
                onDelete={() => set(each.id, { pieceId: undefined, tag: undefined })}
              />
            </Box>
          ) : (
            <PieceFinder
              size="small"
              label={`Piece of sample ${index + 1}, by its tag`}
              onPick={(card) =>
                set(each.id, {
                  pieceId: card.id,
                  tag: card.tag,
                  name: each.name || `${card.cutName} ${card.tag}`,
                })
              }
            />
          )}
          <TextField
            size="small"
            label={`Thickness, ${units.lengthUnit}`}
            value={each.thickness}
            onChange={(event) => set(each.id, { thickness: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <FormControlLabel
            control={<Checkbox checked={each.thawed} onChange={(_, thawed) => set(each.id, { thawed })} />}
            label="thawed"
          />
          {samples.length > fewest && (
            <Button
              color="inherit"
              aria-label={`Remove sample ${index + 1}`}
              onClick={() => onChange({ samples: samples.filter(({ id }) => id !== each.id) })}
            >
              Remove
            </Button>
          )}
        </Box>
      ))}
      {samples.length < most && (
        <Button onClick={() => onChange({ samples: [...samples, sample('', units)] })}>
          One sample more
        </Button>
      )}
    </Box>
  );
}
