import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import { methodChoices } from '../kit/choices';
import { differ, type ArmText, type Known, type TrialText } from './draft';
import { ChamberSelect, DaysField, MaterialsField } from './fields';

interface Props {
  text: TrialText;
  known: Known;
  onChange: (part: Partial<TrialText>) => void;
}

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
export function Shared({ text, known, onChange }: Props) {
  const own = apart(text);
  const [first] = text.arms;
  if (!first) {
    return null;
  }
  const all = (part: Partial<ArmText>) => onChange({ arms: text.arms.map((arm) => ({ ...arm, ...part })) });
  return (
    <Box
      role="group"
      aria-label="The same in all arms"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, '& .MuiTextField-root': { width: 156 } }}
    >
      <TextField
        size="small"
        label="Hung on"
        type="date"
        value={text.hungOn}
        onChange={(event) => onChange({ hungOn: event.target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      {!own.method && (
        <TextField
          select
          size="small"
          label="Method"
          value={first.method}
          onChange={(event) => all({ method: event.target.value as ArmText['method'] })}
        >
          {methodChoices(known.methods)}
        </TextField>
      )}
      {!own.chamber && (
        <ChamberSelect
          chambers={known.chambers}
          value={first.chamberId}
          onChange={(chamberId) => all({ chamberId })}
        />
      )}
      {!own.days && <DaysField value={first.days} onChange={(days) => all({ days })} />}
      {!own.materials && (
        <MaterialsField value={first.consumables} onChange={(consumables) => all({ consumables })} />
      )}
    </Box>
  );
}
