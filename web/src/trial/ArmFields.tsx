import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Chip from '@mui/material/Chip';
import FormControlLabel from '@mui/material/FormControlLabel';
import { FormGrid } from '../kit/FormGrid';
import { chamberChoices, methodChoices } from '../kit/choices';
import { fieldsOf } from '../kit/form/fields';
import { Group, useGroup } from '../kit/form/group';
import { PieceFinder } from '../kit/PieceFinder';
import { GiveFields } from '../treatment/GiveFields';
import { armColour } from './arms';
import { firstGive, type ArmText, type Known, type TrialText } from './draft';
import { apart, DAYS } from './Shared';

interface Props {
  index: number;
  text: TrialText;
  known: Known;
  /** What follows when it is made the control. */
  onControl: () => void;
  onRemove?: () => void;
}

const Arm = fieldsOf<ArmText>();

/** One arm: its name, whether it is the control, and what is done with it that is compared. */
export function ArmFields({ index, text, known, onControl, onRemove }: Props) {
  const { values: arm, change } = useGroup<ArmText>();
  const ofLot = text.lotId !== '';
  const mayBeTreated = ofLot && !arm.fresh && (text.factor === 'TREATMENT' || arm.gives.length > 0);
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
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', mb: 1.5 }}>
        <Arm.Text
          size="small"
          name="name"
          label={`Name of arm ${index + 1}`}
          required="Every arm has a name."
          most={80}
          sx={{ width: 180 }}
        />
        <Arm.Check
          name="control"
          label="the control"
          ariaLabel={`${name} is the control`}
          onChecked={(checked) => checked && onControl()}
        />
        {mayBeTreated && (
          <FormControlLabel
            control={
              <Checkbox
                checked={arm.gives.length > 0}
                onChange={(_, checked) => change({ gives: checked ? firstGive(known.kinds) : [] })}
                slotProps={{ input: { 'aria-label': `${name} is treated` } }}
              />
            }
            label="treated"
          />
        )}
        {ofLot && <Arm.Check name="fresh" label="kept fresh" ariaLabel={`${name} is kept fresh`} />}
        {onRemove && (
          <Button color="inherit" onClick={onRemove} aria-label={`Remove ${name}`}>
            Remove
          </Button>
        )}
      </Box>
      {ofLot && !arm.fresh && <Apart text={text} known={known} />}
      {mayBeTreated && arm.gives.length > 0 && (
        <Treatments name={name} arm={arm} known={known} onChange={(gives) => change({ gives })} />
      )}
      {!ofLot && <Pieces name={name} pieces={arm.pieces} onChange={(pieces) => change({ pieces })} />}
    </Box>
  );
}

interface TreatmentsProps {
  name: string;
  arm: ArmText;
  known: Known;
  onChange: (gives: ArmText['gives']) => void;
}

const MOST_TREATMENTS = 4;

/** Everything that is put on an arm, one after the other. */
function Treatments({ name, arm, known, onChange }: TreatmentsProps) {
  return (
    <>
      {arm.gives.map((give, index) => (
        <Box key={index} sx={{ display: 'flex', gap: 1, alignItems: 'flex-start', mb: 1 }}>
          <Box sx={{ flex: 1, maxWidth: 560 }}>
            <FormGrid maxWidth={560}>
              <Group name={`gives.${index}`}>
                <GiveFields kinds={known.kinds} recipes={known.recipes} />
              </Group>
            </FormGrid>
          </Box>
          {arm.gives.length > 1 && (
            <Button
              color="inherit"
              aria-label={`Remove treatment ${index + 1} of ${name}`}
              onClick={() => onChange(arm.gives.filter((each) => each !== give))}
            >
              Remove
            </Button>
          )}
        </Box>
      ))}
      {arm.gives.length < MOST_TREATMENTS && (
        <Button color="inherit" onClick={() => onChange([...arm.gives, ...firstGive(known.kinds)])}>
          One treatment more
        </Button>
      )}
    </>
  );
}

/** What this arm does otherwise than the others. */
function Apart({ text, known }: { text: TrialText; known: Known }) {
  const own = apart(text);
  return (
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
        <Arm.Choice size="small" name="method" label="Method">
          {methodChoices(known.methods)}
        </Arm.Choice>
      )}
      {own.chamber && (
        <Arm.Choice size="small" name="chamberId" label="Chamber">
          {chamberChoices(known.chambers)}
        </Arm.Choice>
      )}
      {own.days && <Arm.Measure size="small" name="days" label="Target days" of="days" required={DAYS} />}
      {own.materials && <Arm.Measure size="small" name="consumables" label="Materials, a piece" of="money" />}
      {text.factor === 'BENCH_ORDER' && (
        <Arm.Choice
          size="small"
          name="order"
          label="At the bench"
          choices={{ SLICE_FIRST: 'slice first', TRIM_FIRST: 'trim first' }}
        />
      )}
    </Box>
  );
}

interface PiecesProps {
  name: string;
  pieces: ArmText['pieces'];
  onChange: (pieces: ArmText['pieces']) => void;
}

/** Pieces that hang or hung already, found by their tags. */
function Pieces({ name, pieces, onChange }: PiecesProps) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      {pieces.map((piece) => (
        <Chip
          key={piece.id}
          label={piece.tag}
          onDelete={() => onChange(pieces.filter((each) => each.id !== piece.id))}
        />
      ))}
      <Box sx={{ width: 220 }}>
        <PieceFinder
          size="small"
          label={`A piece of ${name}, by its tag`}
          onPick={({ id, tag }) => onChange([...pieces.filter((each) => each.id !== id), { id, tag }])}
        />
      </Box>
    </Box>
  );
}
