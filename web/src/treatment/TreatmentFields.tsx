import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputAdornment from '@mui/material/InputAdornment';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Schema } from '../api/client';
import { readNumber, useUnits } from '../kit/units';
import { asCuts, methodChoices } from '../kit/choices';
import { WeightField } from '../kit/WeightField';
import { basisWords, firstOf, measureWords, type Draft } from './draft';

interface Props {
  draft: Draft;
  kind: Schema['TreatmentView'];
  kinds: Schema['TreatmentView'][];
  cuts: Schema['CutView'][];
  methods: Schema['MethodView'][];
  onChange: (part: Partial<Draft>) => void;
}

const inIt = [
  ['rawGarlicOrHerbs', 'raw garlic or fresh herbs in it'],
  ['oil', 'oil in it'],
  ['spirit', 'a strong spirit in it'],
  ['sharedChamber', 'other meat or food in the chamber'],
] as const;

const unread = (text: string) =>
  text.trim() !== '' && readNumber(text) === null ? { error: true, helperText: 'Not a number.' } : {};

/** What is put on which piece. */
export function TreatmentFields({ draft, kind, kinds, cuts, methods, onChange }: Props) {
  const units = useUnits();
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'repeat(2, minmax(0, 1fr))',
        gap: 1.5,
        '& .whole': { gridColumn: '1 / -1' },
      }}
    >
      <TextField
        select
        className="whole"
        label="Treatment"
        value={kind.kind}
        onChange={(event) => {
          const next = kinds.find((each) => each.kind === event.target.value);
          if (next) {
            onChange(firstOf(next));
          }
        }}
        helperText={kind.what}
      >
        {kinds.map((each) => (
          <MenuItem key={each.kind} value={each.kind}>
            {each.label}
          </MenuItem>
        ))}
      </TextField>
      <Autocomplete
        className="whole"
        size="small"
        disableClearable
        options={cuts}
        value={cuts.find((each) => each.code === draft.cutCode)}
        {...asCuts}
        onChange={(_, next) => onChange({ cutCode: next.code })}
        renderInput={(params) => <TextField {...params} label="Cut" />}
      />
      <WeightField
        size="small"
        label="Green weight"
        text={draft.weight}
        onText={(weight) => onChange({ weight })}
      />
      <TextField
        select
        size="small"
        label="Method"
        value={draft.method}
        onChange={(event) => onChange({ method: event.target.value as Draft['method'] })}
      >
        {methodChoices(methods)}
      </TextField>
      {kind.first && (
        <>
          <TextField
            size="small"
            label="Dose"
            value={draft.amount}
            onChange={(event) => onChange({ amount: event.target.value })}
            {...unread(draft.amount)}
            slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          />
          <TextField
            select
            size="small"
            label="Measured in"
            value={draft.measure}
            onChange={(event) => onChange({ measure: event.target.value as Draft['measure'] })}
          >
            {Object.entries(measureWords).map(([measure, words]) => (
              <MenuItem key={measure} value={measure}>
                {words}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            className="whole"
            size="small"
            label="For"
            value={draft.basis}
            onChange={(event) => onChange({ basis: event.target.value as Draft['basis'] })}
          >
            {Object.entries(basisWords).map(([basis, words]) => (
              <MenuItem key={basis} value={basis}>
                {words}
              </MenuItem>
            ))}
          </TextField>
        </>
      )}
      {kind.kind === 'COLD_SMOKE' && (
        <TextField
          className="whole"
          size="small"
          label="The meat measures"
          value={draft.celsius}
          onChange={(event) => onChange({ celsius: event.target.value })}
          {...unread(draft.celsius)}
          slotProps={{
            htmlInput: { inputMode: 'decimal' },
            input: { endAdornment: <InputAdornment position="end">{units.temperatureUnit}</InputAdornment> },
          }}
        />
      )}
      <Box className="whole" sx={{ display: 'grid' }}>
        {inIt.map(([part, words]) => (
          <FormControlLabel
            key={part}
            control={
              <Checkbox checked={draft[part]} onChange={(_, checked) => onChange({ [part]: checked })} />
            }
            label={words}
          />
        ))}
      </Box>
    </Box>
  );
}
