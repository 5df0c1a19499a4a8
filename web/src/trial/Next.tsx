import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { useNext } from '../api/trials';
import { RadioButtons } from '../kit/RadioButtons';
import { armColour } from './arms';

type NextArm = Schema['NextArm'];

const longer = { '-10': 'ten days less', '0': 'as many days', '10': 'ten days more' } as const;

/** What is proposed of an arm; as it was where nothing is. */
const proposed = (arm: NextArm): number =>
  Math.max(
    0,
    arm.choices.findIndex((choice) => choice.reason != null),
  );

/** The next trial, arm by arm: what may be changed in each, what is proposed and why. */
export function Next({ trial }: { trial: Schema['TrialView'] }) {
  const [days, setDays] = useState<keyof typeof longer>('0');
  const [picked, setPicked] = useState<Record<number, number>>({});
  const next = useNext(trial.id, Number(days));
  if (!next.data) {
    return null;
  }
  const chosen = next.data.arms.map((arm, index) => picked[index] ?? proposed(arm));
  return (
    <Box component="section" aria-labelledby="next" className="no-print" sx={{ maxWidth: 900 }}>
      <Typography id="next" variant="h2" sx={{ mb: 1 }}>
        The next trial, arm by arm
      </Typography>
      <Box sx={{ display: 'grid', gap: 2 }}>
        {next.data.arms.map((arm, index) => (
          <Arm
            key={arm.name}
            arm={arm}
            colour={armColour(index)}
            chosen={chosen[index] ?? 0}
            onChoose={(choice) => setPicked({ ...picked, [index]: choice })}
          />
        ))}
        <Box sx={{ maxWidth: 520 }}>
          <RadioButtons
            label="For how long"
            value={days}
            choices={(['-10', '0', '10'] as const).map((each) => [each, longer[each]])}
            onChange={setDays}
          />
        </Box>
        <Button
          variant="contained"
          component={Link}
          to={`/trials/new?from=${trial.id}&days=${days}&arms=${chosen.join(',')}`}
          sx={{ justifySelf: 'start', minHeight: 48 }}
        >
          Set it up
        </Button>
      </Box>
    </Box>
  );
}

interface ArmProps {
  arm: NextArm;
  colour: string;
  chosen: number;
  onChoose: (choice: number) => void;
}

function Arm({ arm, colour, chosen, onChoose }: ArmProps) {
  const reason = arm.choices.find((choice) => choice.reason != null)?.reason;
  return (
    <Box sx={{ borderLeft: '6px solid', borderColor: colour, pl: 2 }}>
      <Typography sx={{ fontWeight: 640 }}>
        {arm.name}
        {arm.control && ', the control'}
      </Typography>
      {arm.choices.length === 0 && <Typography variant="body2">What was done is not known.</Typography>}
      {arm.choices.length === 1 && (
        <Typography>
          {arm.choices[0]?.label}
          {reason && `. ${reason}`}
        </Typography>
      )}
      {arm.choices.length > 1 && (
        <>
          {reason && <Typography variant="body2">{reason}</Typography>}
          <RadioGroup
            aria-label={`${arm.name} next time`}
            value={chosen}
            onChange={(_, value) => onChoose(Number(value))}
          >
            {arm.choices.map((choice, index) => (
              <FormControlLabel
                key={choice.label}
                value={index}
                control={<Radio size="small" />}
                label={choice.reason ? `${choice.label} (proposed)` : choice.label}
              />
            ))}
          </RadioGroup>
        </>
      )}
    </Box>
  );
}
