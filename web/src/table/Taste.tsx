import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Plate } from './Plate';
import { Scale } from './Scale';
import type { Draft, Table } from './sheet';

interface Props {
  table: Table;
  code: number;
  draft: Draft;
  /** Whether somebody types in what a taster wrote. */
  typed?: boolean;
  onChange: (part: Partial<Draft>) => void;
}

/** One serving: its plate, its scales, and words for it. */
export function Taste({ table, code, draft, typed = false, onChange }: Props) {
  const chosen = draft.chips[code] ?? [];
  const toggle = (chip: string) =>
    onChange({
      chips: {
        ...draft.chips,
        [code]: chosen.includes(chip) ? chosen.filter((each) => each !== chip) : [...chosen, chip],
      },
    });
  return (
    <Box sx={{ display: 'grid', gap: 2.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Plate code={code} size={132} />
        <Typography variant="h2" component={typed ? 'h3' : 'h1'}>
          {typed ? 'Plate' : 'Taste'} {code}
        </Typography>
      </Box>
      {table.attributes.map((attribute) => (
        <Scale
          key={attribute.key}
          attribute={attribute}
          value={draft.scores[attribute.key]?.[code]}
          onChange={(value) =>
            onChange({
              scores: { ...draft.scores, [attribute.key]: { ...draft.scores[attribute.key], [code]: value } },
            })
          }
        />
      ))}
      <Box>
        {!typed && <Typography sx={{ fontWeight: 640, mb: 1 }}>Words for it, if you like</Typography>}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
          {table.chips.map((chip) => (
            <Chip
              key={chip}
              label={chip}
              variant={chosen.includes(chip) ? 'filled' : 'outlined'}
              color={chosen.includes(chip) ? 'secondary' : 'default'}
              aria-pressed={chosen.includes(chip)}
              onClick={() => toggle(chip)}
              sx={{ height: 44, px: 0.75, fontSize: '1rem', borderRadius: 1 }}
            />
          ))}
        </Box>
        <TextField
          label={typed ? `Words for ${code}` : `Your own words for ${code}`}
          value={draft.words[code] ?? ''}
          onChange={(event) => onChange({ words: { ...draft.words, [code]: event.target.value } })}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
      </Box>
    </Box>
  );
}
