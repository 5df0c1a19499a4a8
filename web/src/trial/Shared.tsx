import Box from '@mui/material/Box';
import { chamberChoices, methodChoices } from '../kit/choices';
import { fieldsOf } from '../kit/form/fields';
import { differ, type ArmText, type Known, type TrialText } from './draft';

interface Props {
  text: TrialText;
  known: Known;
  /** Puts the same into every arm. */
  onAll: (part: Partial<ArmText>) => void;
}

const Trial = fieldsOf<TrialText>();

/** Which fields every arm shows by itself: what is compared, and what differs anyway. */
export const apart = (text: TrialText) => ({
  method:
    text.factor === 'METHOD' || text.factor === 'HANG_OR_ICE' || differ(text.arms, ({ method }) => method),
  chamber:
    text.factor === 'CHAMBER' ||
    text.factor === 'HANG_OR_ICE' ||
    differ(text.arms, ({ chamberId }) => chamberId),
  days: text.factor === 'DAYS' || differ(text.arms, ({ days }) => days),
  materials: text.factor === 'METHOD' || differ(text.arms, ({ consumables }) => consumables),
});

/** What all arms have alike, so that only what is compared differs. */
export function Shared({ text, known, onAll }: Props) {
  const own = apart(text);
  return (
    <Box
      role="group"
      aria-label="The same in all arms"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, '& .MuiTextField-root': { width: 156 } }}
    >
      <Trial.Day size="small" name="hungOn" label="Hung on" />
      {text.arms.some(({ gives }) => gives.length > 0) && (
        <Trial.Check
          name="waitTogether"
          label="what is not soaked waits for what is, so that all hang from one day"
        />
      )}
      {!own.method && (
        <Trial.Choice
          size="small"
          name="arms.0.method"
          label="Method"
          onChanged={(method) => onAll({ method: method as ArmText['method'] })}
        >
          {methodChoices(known.methods)}
        </Trial.Choice>
      )}
      {!own.chamber && (
        <Trial.Choice
          size="small"
          name="arms.0.chamberId"
          label="Chamber"
          onChanged={(chamberId) => onAll({ chamberId })}
        >
          {chamberChoices(known.chambers)}
        </Trial.Choice>
      )}
      {!own.days && (
        <Trial.Measure
          size="small"
          name="arms.0.days"
          label="Target days"
          of="number"
          required={DAYS}
          onChanged={(days) => onAll({ days })}
        />
      )}
      {!own.materials && (
        <Trial.Measure
          size="small"
          name="arms.0.consumables"
          label="Materials, a piece"
          of="money"
          onChanged={(consumables) => onAll({ consumables })}
        />
      )}
    </Box>
  );
}

export const DAYS = 'Say for how many days.';
