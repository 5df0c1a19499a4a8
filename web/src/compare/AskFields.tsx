import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { Pick } from '../stock/Pick';
import { asked, byWords, measureWords, type Ask, type Asked, type By, type Compared } from '../api/ask';
import { DateField } from '../kit/DateField';
import { useUnits } from '../kit/units';

const facetWords: Record<string, string> = {
  species: 'Species',
  cut: 'Cut',
  grade: 'Grade',
  supplier: 'Supplier',
  bone: 'Bone',
  method: 'Method',
  chamber: 'Chamber',
  treatment: 'Treatment',
  person: 'Cut by',
};

const ranges: [Asked, string][] = [
  ['daysFrom', 'Days from'],
  ['daysTo', 'Days to'],
];

const fats: [Asked, string][] = [
  ['fatFrom', 'Fat cover from'],
  ['fatTo', 'Fat cover to'],
];

/** What is asked for most; the rest is folded away. */
const first = ['species', 'cut', 'method', 'chamber', 'treatment'];

interface Props {
  ask: Ask;
  facets: Schema['FacetView'][];
  onChange: (ask: Ask) => void;
}

interface ThicknessProps {
  label: string;
  /** Whole millimetres, or '' for none. */
  mm: string;
  onChange: (mm: string) => void;
}

/** A thickness in the person's unit; what is typed stands as it is typed, as long as it means the same. */
function Thickness({ label, mm, onChange }: ThicknessProps) {
  const units = useUnits();
  const [typed, setTyped] = useState('');
  const inMm = (text: string) => String(units.readLength(text) ?? '').slice(0, 3);
  return (
    <TextField
      size="small"
      label={`${label}, ${units.lengthUnit}`}
      value={inMm(typed) === mm ? typed : mm && units.lengthForField(Number(mm))}
      error={typed.trim() !== '' && inMm(typed) === ''}
      onChange={({ target }) => {
        setTyped(target.value);
        onChange(inMm(target.value));
      }}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
    />
  );
}

/** The question: what is compared by what, and of which pieces. */
export function AskFields({ ask, facets, onChange }: Props) {
  const set = (key: Asked, value: string) => onChange({ ...ask, filter: { ...ask.filter, [key]: value } });
  const known = facets.filter(({ name, values }) => values.length > 1 || ask.filter[name as Asked]);
  const folded = asked.some((key) => !first.includes(key) && ask.filter[key]);
  const grid = { display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(158px, 1fr))', gap: 1.25 };
  const facet = ({ name, values }: Schema['FacetView']) => (
    <TextField
      key={name}
      select
      size="small"
      label={facetWords[name]}
      value={values.some(({ value }) => value === ask.filter[name as Asked]) ? ask.filter[name as Asked] : ''}
      onChange={(event) => set(name as Asked, event.target.value)}
      slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
    >
      <MenuItem value="">all</MenuItem>
      {values.map(({ value, label, pieces }) => (
        <MenuItem key={value} value={value}>
          {label} ({pieces})
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box role="group" aria-label="Which pieces" sx={{ display: 'grid', gap: 1.25 }}>
      <Box sx={grid}>
        <Pick<Compared>
          label="Compare"
          value={ask.measure}
          choices={measureWords}
          onChange={(measure) => onChange({ ...ask, measure })}
        />
        <Pick<By>
          label="Groups by"
          value={ask.by}
          choices={byWords as Record<By, string>}
          onChange={(by) => onChange({ ...ask, by })}
        />
        {known.filter(({ name }) => first.includes(name)).map(facet)}
      </Box>
      <Box component="details" open={folded || undefined}>
        <Box component="summary" sx={{ cursor: 'pointer', fontWeight: 560, minHeight: 32 }}>
          Days, supplier, grade and more
        </Box>
        <Box sx={{ ...grid, pt: 1.25 }}>
          {known.filter(({ name }) => !first.includes(name)).map(facet)}
          {ranges.map(([key, label]) => (
            <TextField
              key={key}
              size="small"
              label={label}
              value={ask.filter[key] ?? ''}
              onChange={(event) => set(key, event.target.value.replace(/\D/g, '').slice(0, 3))}
              slotProps={{ htmlInput: { inputMode: 'numeric' } }}
            />
          ))}
          {fats.map(([key, label]) => (
            <Thickness key={key} label={label} mm={ask.filter[key] ?? ''} onChange={(mm) => set(key, mm)} />
          ))}
          {(['from', 'to'] as const).map((key) => (
            <DateField
              key={key}
              size="small"
              label={key === 'from' ? 'Pulled from' : 'Pulled to'}
              value={ask.filter[key] ?? ''}
              onChange={(day) => set(key, day)}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
}
