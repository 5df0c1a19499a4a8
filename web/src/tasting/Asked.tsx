import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { ownAttribute } from './draft';

type Attribute = Schema['Attribute'];

interface Props {
  usual: Attribute[];
  chosen: Attribute[];
  onChange: (chosen: Attribute[]) => void;
}

const nothing = { label: '', low: '', high: '' };

/** What is scored, each between two words of its own. */
export function Asked({ usual, chosen, onChange }: Props) {
  const [own, setOwn] = useState(nothing);
  const has = (attribute: Attribute) => chosen.some(({ key }) => key === attribute.key);
  const all = [...usual, ...chosen.filter((each) => !usual.some(({ key }) => key === each.key))];
  const toggle = (attribute: Attribute) =>
    onChange(
      has(attribute)
        ? chosen.filter(({ key }) => key !== attribute.key)
        : all.filter((each) => has(each) || each.key === attribute.key),
    );
  const ready = own.label.trim() !== '' && own.low.trim() !== '' && own.high.trim() !== '';
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ p: 0, mb: 0.5 }}>
        What is scored, 1 to 7
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1.5, maxWidth: 640 }}>
        Liking decides and is tested by itself. Everything else says why; the more of it, the less each can
        prove.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
        {all.map((attribute) => (
          <Chip
            key={attribute.key}
            label={attribute.label}
            variant={has(attribute) ? 'filled' : 'outlined'}
            color={has(attribute) ? 'secondary' : 'default'}
            aria-pressed={has(attribute)}
            onClick={() => toggle(attribute)}
            sx={{ height: 40, borderRadius: 1 }}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <TextField
          size="small"
          label="One of your own"
          value={own.label}
          onChange={(event) => setOwn({ ...own, label: event.target.value })}
          sx={{ width: 200 }}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <TextField
          size="small"
          label="1 means"
          value={own.low}
          onChange={(event) => setOwn({ ...own, low: event.target.value })}
          sx={{ width: 130 }}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
        <TextField
          size="small"
          label="7 means"
          value={own.high}
          onChange={(event) => setOwn({ ...own, high: event.target.value })}
          sx={{ width: 130 }}
          slotProps={{ htmlInput: { maxLength: 40 } }}
        />
        <Button
          disabled={!ready}
          onClick={() => {
            onChange([...chosen, ownAttribute(own.label, own.low, own.high)]);
            setOwn(nothing);
          }}
        >
          Add it
        </Button>
      </Box>
    </Box>
  );
}
