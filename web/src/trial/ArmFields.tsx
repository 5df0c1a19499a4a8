import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Chip from '@mui/material/Chip';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { FormGrid } from '../kit/FormGrid';
import { methodChoices } from '../kit/choices';
import { PieceFinder } from '../kit/Search';
import { GiveFields } from '../treatment/GiveFields';
import { armColour } from './arms';
import { firstGive, type ArmText, type Known, type TrialText } from './draft';
import { ChamberSelect, DaysField, MaterialsField } from './fields';
import { apart } from './Shared';

interface Props {
  index: number;
  arm: ArmText;
  text: TrialText;
  known: Known;
  onChange: (part: Partial<ArmText>) => void;
  onRemove?: () => void;
}

/** One arm: its name, whether it is the control, and what is done with it that is compared. */
export function ArmFields({ index, arm, text, known, onChange, onRemove }: Props) {
  const ofLot = text.lotId !== '';
  const own = apart(text);
  const treated = ofLot && (text.factor === 'TREATMENT' || arm.give !== null);
  const name = arm.name || `Arm ${index + 1}`;
  return (
    <Box
      component="fieldset"
      sx={{
        border: 0,
        borderTop: '4px solid',
        borderColor: armColour(index),
        m: 0,
        p: 0,
        pt: 1.5,
        minWidth: 0,
      }}
    >
      <Box component="legend" sx={{ position: 'absolute', left: -9999 }}>
        {name}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 1.5 }}>
        <TextField
          size="small"
          label={`Name of arm ${index + 1}`}
          value={arm.name}
          onChange={(event) => onChange({ name: event.target.value })}
          sx={{ width: 180 }}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <FormControlLabel
          control={
            <Checkbox
              checked={arm.control}
              onChange={(_, control) => onChange({ control })}
              slotProps={{ input: { 'aria-label': `${name} is the control` } }}
            />
          }
          label="the control"
        />
        {treated && (
          <FormControlLabel
            control={
              <Checkbox
                checked={arm.give !== null}
                onChange={(_, checked) => onChange({ give: checked ? firstGive(known.kinds) : null })}
                slotProps={{ input: { 'aria-label': `${name} is treated` } }}
              />
            }
            label="treated"
          />
        )}
        {onRemove && (
          <Button color="inherit" onClick={onRemove} aria-label={`Remove ${name}`}>
            Remove
          </Button>
        )}
      </Box>
      {ofLot && (
        <Box
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            gap: 1.5,
            '& > .MuiTextField-root': { width: 156 },
            '&:empty': { display: 'none' },
          }}
        >
          {own.method && (
            <TextField
              select
              size="small"
              label="Method"
              value={arm.method}
              onChange={(event) => onChange({ method: event.target.value as ArmText['method'] })}
            >
              {methodChoices(known.methods)}
            </TextField>
          )}
          {own.chamber && (
            <ChamberSelect
              chambers={known.chambers}
              value={arm.chamberId}
              onChange={(chamberId) => onChange({ chamberId })}
            />
          )}
          {own.days && <DaysField value={arm.days} onChange={(days) => onChange({ days })} />}
          {own.materials && (
            <MaterialsField value={arm.consumables} onChange={(consumables) => onChange({ consumables })} />
          )}
          {text.factor === 'BENCH_ORDER' && (
            <TextField
              select
              size="small"
              label="At the bench"
              value={arm.order}
              onChange={(event) => onChange({ order: event.target.value as ArmText['order'] })}
            >
              <MenuItem value="SLICE_FIRST">slice first</MenuItem>
              <MenuItem value="TRIM_FIRST">trim first</MenuItem>
            </TextField>
          )}
        </Box>
      )}
      {ofLot && arm.give && (
        <FormGrid maxWidth={560}>
          <GiveFields
            give={arm.give}
            kinds={known.kinds}
            recipes={known.recipes}
            onChange={(part) => arm.give && onChange({ give: { ...arm.give, ...part } })}
          />
        </FormGrid>
      )}
      {!ofLot && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
          {arm.pieces.map((piece) => (
            <Chip
              key={piece.id}
              label={piece.tag}
              onDelete={() => onChange({ pieces: arm.pieces.filter((each) => each.id !== piece.id) })}
            />
          ))}
          <Box sx={{ width: 220 }}>
            <PieceFinder
              size="small"
              label={`A piece of ${name}, by its tag`}
              onPick={(card) =>
                onChange({
                  pieces: [
                    ...arm.pieces.filter((each) => each.id !== card.id),
                    { id: card.id, tag: card.tag },
                  ],
                })
              }
            />
          </Box>
        </Box>
      )}
    </Box>
  );
}
