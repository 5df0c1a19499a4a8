import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { fieldsOf } from '../kit/form/fields';
import { useUnits } from '../kit/units';
import { PieceFinder } from '../kit/PieceFinder';
import { finishWords, sample, type SampleText, type TastingText } from './draft';

const Table = fieldsOf<TastingText>();

interface Props {
  samples: SampleText[];
  /** What one more is like. */
  first: Schema['FirstTasting'];
  fewest: number;
  most: number;
  onChange: (samples: SampleText[]) => void;
}

/** What is tasted: pieces by their tags, or anything else by its name. */
export function SampleFields({ samples, first, fewest, most, onChange }: Props) {
  const units = useUnits();
  const set = (id: string, part: Partial<SampleText>) =>
    onChange(samples.map((each) => (each.id === id ? { ...each, ...part } : each)));
  const more = () =>
    sample(
      { name: '', thicknessMm: first.samples[0]?.thicknessMm ?? 0, finish: 'NOTHING', thawed: false },
      units,
    );
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
            gridTemplateColumns: {
              xs: '1fr 1fr',
              sm: 'minmax(0, 1.5fr) minmax(0, 1.2fr) 120px 150px auto auto',
            },
            gap: 1.5,
            alignItems: 'start',
            borderTop: '1px solid',
            borderColor: 'divider',
            py: 1.25,
          }}
        >
          <Table.Text
            size="small"
            name={`samples.${index}.name`}
            label={`Sample ${index + 1}`}
            required="Give every sample a name."
            most={120}
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
          <Table.Measure size="small" name={`samples.${index}.thickness`} label="Thickness" of="length" />
          <Table.Choice size="small" name={`samples.${index}.finish`} label="On it" choices={finishWords} />
          <Table.Check name={`samples.${index}.thawed`} label="thawed" />
          {samples.length > fewest && (
            <Button
              color="inherit"
              aria-label={`Remove sample ${index + 1}`}
              onClick={() => onChange(samples.filter(({ id }) => id !== each.id))}
            >
              Remove
            </Button>
          )}
        </Box>
      ))}
      {samples.length < most && (
        <Button onClick={() => onChange([...samples, more()])}>One sample more</Button>
      )}
    </Box>
  );
}
