import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useChambers } from '../api/chambers';
import { useCuts } from '../api/lots';
import { useMethods } from '../api/pieces';
import { chamberChoices, methodChoices } from '../kit/choices';
import { Pick } from '../stock/Pick';
import { fieldWords, withColumn, type Field, type Form, type Sheet } from './past';
import type { Stream } from '../kit/streams';

interface Props {
  sheet: Sheet;
  form: Form;
  onChange: (form: Form) => void;
}

export const grid = {
  display: 'grid',
  gridTemplateColumns: 'repeat(auto-fill, minmax(170px, 1fr))',
  gap: 1.25,
  width: '100%',
};

type Rest = 'TOLD' | Exclude<Stream, 'STEAK'>;

const restWords: Record<Rest, string> = {
  TOLD: 'must be told',
  DISCARD: 'was discarded',
  USABLE_TRIM: 'was usable trim',
  FAT: 'was fat',
  BONE: 'was bone',
};

/** Which column is what, and what goes without saying. */
export function PastMeaning({ sheet, form, onChange }: Props) {
  const cuts = useCuts();
  const methods = useMethods();
  const chambers = useChambers();
  return (
    <>
      <Box role="group" aria-label="What the columns hold" sx={grid}>
        {(Object.keys(fieldWords) as Field[]).map((field) => (
          <TextField
            key={field}
            select
            size="small"
            label={fieldWords[field]}
            value={form.columns[field] ?? ''}
            onChange={(event) =>
              onChange(withColumn(form, field, event.target.value === '' ? null : Number(event.target.value)))
            }
            slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          >
            <MenuItem value="">not in the table</MenuItem>
            {sheet.columns.map((name, column) => (
              <MenuItem key={column} value={column}>
                {name || `column ${column + 1}`}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
      <Box role="group" aria-label="What goes without saying" sx={grid}>
        <Pick
          label="Bare weights are"
          value={form.unit}
          choices={{ GRAM: 'grams', KILOGRAM: 'kilograms', POUND: 'pounds', OUNCE: 'ounces' }}
          onChange={(unit) => onChange({ ...form, unit })}
        />
        <Pick
          label="Days are written"
          value={form.order}
          choices={{ DAY_FIRST: 'day, month, year', MONTH_FIRST: 'month, day, year' }}
          onChange={(order) => onChange({ ...form, order })}
        />
        <TextField
          select
          size="small"
          label="Cut, where none is said"
          value={form.cutCode ?? ''}
          onChange={(event) => onChange({ ...form, cutCode: event.target.value || undefined })}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">ask</MenuItem>
          {cuts.data?.map((cut) => (
            <MenuItem key={cut.code} value={cut.code}>
              {cut.name}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label="Method, where none is said"
          value={methods.data ? form.method : ''}
          onChange={(event) => onChange({ ...form, method: event.target.value as Form['method'] })}
        >
          {methodChoices(methods.data ?? [])}
        </TextField>
        <TextField
          select
          size="small"
          label="New pieces hung in"
          value={chambers.data ? (form.chamberId ?? '') : ''}
          onChange={(event) => onChange({ ...form, chamberId: event.target.value || undefined })}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
        >
          <MenuItem value="">choose</MenuItem>
          {chamberChoices(chambers.data ?? [])}
        </TextField>
        <Pick<Rest>
          label="What no pile tells of"
          value={(form.rest as Rest | undefined) ?? 'TOLD'}
          choices={restWords}
          onChange={(rest) => onChange({ ...form, rest: rest === 'TOLD' ? undefined : rest })}
        />
      </Box>
    </>
  );
}
