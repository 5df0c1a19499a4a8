import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import { Problem, type Answers, type Schema } from '../api/client';
import { useCuts, useSuppliers } from '../api/lots';
import { asCuts } from '../kit/choices';
import { Caution, CautionText, ProblemNotice, Questions } from '../kit/Notices';
import { SectionGlyph } from '../kit/SectionGlyph';
import { useUnits, type Units } from '../kit/units';
import { WeightField } from '../kit/WeightField';

/** A lot as it is being typed. */
export interface LotText {
  cutCode: string;
  grade: string;
  boneIn: boolean;
  fatCover: string;
  weight: string;
  price: string;
  supplier: string;
  packedOn: string;
  receivedOn: string;
  temperature: string;
  sourceTag: string;
  note: string;
}

export function lotBody(
  text: LotText,
  units: Units,
  id: string,
  version: number,
  answers: Answers,
): Schema['LotForm'] {
  return {
    id,
    version,
    cutCode: text.cutCode,
    grade: text.grade,
    boneIn: text.boneIn,
    fatCoverMm: text.fatCover === '' ? 0 : (units.readLength(text.fatCover) ?? 0),
    receivedGrams: units.readWeight(text.weight) ?? 0,
    priceMinorPerKg: text.price === '' ? 0 : (units.readPrice(text.price) ?? 0),
    supplier: text.supplier,
    packedOn: text.packedOn === '' ? undefined : text.packedOn,
    receivedOn: text.receivedOn,
    arrivalCelsius:
      text.temperature === '' ? undefined : (units.readTemperature(text.temperature) ?? undefined),
    sourceTag: text.sourceTag,
    note: text.note,
    answers,
  };
}

interface Wrong {
  field: keyof LotText;
  sentence: string;
}

/** What cannot be sent at all; everything else is for the server to judge. */
function firstWrong(text: LotText, units: Units): Wrong | null {
  if (text.cutCode === '') {
    return { field: 'cutCode', sentence: 'Choose the cut.' };
  }
  if (units.readWeight(text.weight) === null) {
    return { field: 'weight', sentence: 'Weigh it: the weight is needed.' };
  }
  if (text.price !== '' && units.readPrice(text.price) === null) {
    return { field: 'price', sentence: 'Not a price. Write it like 21.50.' };
  }
  if (text.fatCover !== '' && units.readLength(text.fatCover) === null) {
    return { field: 'fatCover', sentence: 'Not a depth. Write a number.' };
  }
  if (text.temperature !== '' && units.readTemperature(text.temperature) === null) {
    return { field: 'temperature', sentence: 'Not a temperature. Write it like 2.5.' };
  }
  return null;
}

const serverNames: Record<string, keyof LotText> = {
  receivedGrams: 'weight',
  priceMinorPerKg: 'price',
  fatCoverMm: 'fatCover',
  arrivalCelsius: 'temperature',
};

interface Props {
  text: LotText;
  onText: (text: Partial<LotText>) => void;
  save: string;
  busy: boolean;
  failure: unknown;
  onSave: (answers: Answers) => void;
}

export function LotFields({ text, onText, save, busy, failure, onSave }: Props) {
  const units = useUnits();
  const cuts = useCuts();
  const suppliers = useSuppliers();
  const [wrong, setWrong] = useState<Wrong | null>(null);
  const cut = cuts.data?.find((each) => each.code === text.cutCode) ?? null;

  const change = (part: Partial<LotText>) => {
    setWrong(null);
    onText(part);
  };
  const field = (name: keyof LotText) => {
    const said = failure instanceof Problem && failure.questions.length === 0 ? failure : null;
    const refused =
      said?.field && (serverNames[said.field] ?? said.field) === name ? said.message : undefined;
    const sentence = wrong?.field === name ? wrong.sentence : refused;
    return { error: Boolean(sentence), helperText: sentence && sentence };
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const found = firstWrong(text, units);
    setWrong(found);
    if (!found) {
      onSave({});
    }
  };
  const fatShare = Math.min(0.2, (units.readLength(text.fatCover) ?? 0) / 80);
  const boneShare = text.boneIn ? (cut?.boneShare ?? 0) : 0;

  return (
    <Box
      component="form"
      onSubmit={submit}
      noValidate
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 720px) 260px' },
        gap: { xs: 2, md: 6 },
      }}
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'repeat(6, 1fr)' },
          gap: 2,
          alignItems: 'start',
        }}
      >
        <Box sx={{ gridColumn: { sm: 'span 6' } }}>
          <Autocomplete
            options={cuts.data ?? []}
            {...asCuts}
            value={cut}
            filterOptions={(options, { inputValue }) => {
              const asked = inputValue.toLowerCase();
              return options.filter((option) =>
                `${option.name} ${option.otherNames} ${option.speciesLabel} ${option.imps ?? ''}`
                  .toLowerCase()
                  .includes(asked),
              );
            }}
            onChange={(_, option) =>
              change({ cutCode: option?.code ?? '', boneIn: option?.usuallyOnTheBone ?? false })
            }
            renderOption={(props, option) => (
              <Box component="li" {...props} key={option.code} sx={{ gap: 1 }}>
                <span>{option.name}</span>
                <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                  {option.otherNames}
                  {option.imps && `, IMPS ${option.imps}`}
                </Typography>
              </Box>
            )}
            renderInput={(params) => <TextField {...params} label="Cut" required {...field('cutCode')} />}
          />
        </Box>
        <Box sx={{ gridColumn: { sm: 'span 3' } }}>
          <WeightField
            label="Weight"
            text={text.weight}
            onText={(weight) => change({ weight })}
            big
            error={field('weight').helperText}
          />
        </Box>
        <TextField
          sx={{ gridColumn: { sm: 'span 3' } }}
          label={`Price per ${units.perWeightUnit}`}
          value={text.price}
          onChange={(event) => change({ price: event.target.value })}
          {...field('price')}
          slotProps={{
            htmlInput: { inputMode: 'decimal' },
            input: { endAdornment: <InputAdornment position="end">{units.currency}</InputAdornment> },
          }}
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 3' } }}
          label="Grade or marbling"
          value={text.grade}
          onChange={(event) => change({ grade: event.target.value })}
          {...field('grade')}
        />
        <Autocomplete
          sx={{ gridColumn: { sm: 'span 3' } }}
          freeSolo
          options={suppliers.data ?? []}
          inputValue={text.supplier}
          onInputChange={(_, supplier) => change({ supplier })}
          renderInput={(params) => <TextField {...params} label="Supplier" {...field('supplier')} />}
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 3' } }}
          label="Fat cover"
          value={text.fatCover}
          onChange={(event) => change({ fatCover: event.target.value })}
          {...field('fatCover')}
          slotProps={{
            htmlInput: { inputMode: 'decimal' },
            input: { endAdornment: <InputAdornment position="end">{units.lengthUnit}</InputAdornment> },
          }}
        />
        <FormControlLabel
          sx={{ gridColumn: { sm: 'span 3' }, minHeight: 56 }}
          control={
            <Checkbox checked={text.boneIn} onChange={(event) => change({ boneIn: event.target.checked })} />
          }
          label="On the bone"
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 2' } }}
          label="Temperature on arrival"
          value={text.temperature}
          onChange={(event) => change({ temperature: event.target.value })}
          {...field('temperature')}
          slotProps={{
            htmlInput: { inputMode: 'decimal' },
            input: { endAdornment: <InputAdornment position="end">{units.temperatureUnit}</InputAdornment> },
          }}
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 2' } }}
          label="Came on"
          type="date"
          required
          value={text.receivedOn}
          onChange={(event) => change({ receivedOn: event.target.value })}
          {...field('receivedOn')}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 2' } }}
          label="Packed on"
          type="date"
          value={text.packedOn}
          onChange={(event) => change({ packedOn: event.target.value })}
          {...field('packedOn')}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 2' } }}
          label="Seller's lot or game tag"
          value={text.sourceTag}
          onChange={(event) => change({ sourceTag: event.target.value })}
          {...field('sourceTag')}
        />
        <TextField
          sx={{ gridColumn: { sm: 'span 4' } }}
          label="Note"
          value={text.note}
          onChange={(event) => change({ note: event.target.value })}
          {...field('note')}
        />
        <Box sx={{ gridColumn: { sm: 'span 6' }, display: 'grid', gap: 2 }}>
          <ProblemNotice failure={failure} />
          <Questions failure={failure} busy={busy} onAnswer={onSave} />
          <Button
            type="submit"
            variant="contained"
            size="large"
            disabled={busy}
            sx={{ justifySelf: 'start', px: 5 }}
          >
            {save}
          </Button>
        </Box>
      </Box>
      <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
        {cut && (
          <Box sx={{ display: { xs: 'none', md: 'grid' }, placeItems: 'center' }}>
            <SectionGlyph
              shape={cut.shape}
              size={190}
              section={{ now: 1, fat: fatShare, bone: boneShare, crust: 0, steak: 1 - fatShare - boneShare }}
            />
            <Typography sx={{ mt: 1, textAlign: 'center' }}>{cut.name}</Typography>
          </Box>
        )}
        <Caution of="HELD_COLD" />
        {cut?.cautions.map(({ caution, topic, sentence }) => (
          <CautionText key={caution} topic={topic}>
            {sentence}
          </CautionText>
        ))}
      </Box>
    </Box>
  );
}
