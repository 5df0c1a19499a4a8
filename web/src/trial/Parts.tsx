import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { fieldsOf } from '../kit/form/fields';
import { useUnits } from '../kit/units';
import { CuttingLoss } from '../receive/CuttingLoss';
import type { TrialText } from './draft';

interface Props {
  text: TrialText;
  onChange: (part: Partial<TrialText>) => void;
}

const Trial = fieldsOf<TrialText>();

const MOST_PARTS = 26;

/** The weights of the parts a lot was cut into, in the order they lie. */
export function Parts({ text, onChange }: Props) {
  const units = useUnits();
  const arms = text.arms.length;
  const grams = text.parts.flatMap((part) => units.readWeight(part) ?? []).filter((each) => each > 0);
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0, minWidth: 0 }}>
      <Typography component="legend" variant="h2" sx={{ mb: 0.5, p: 0 }}>
        The parts, side by side
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 1.5 }}>
        Cut it, weigh each part, and enter them from one end to the other. {arms * 2} parts give every arm two
        pieces, and a verdict that is more than an anecdote.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        {text.parts.map((_, index) => (
          <Box key={index} sx={{ width: 132 }}>
            <Trial.Weight
              size="small"
              name={`parts.${index}`}
              label={`Part ${index + 1}`}
              required="Each part of the lot needs its weight."
            />
          </Box>
        ))}
        {text.parts.length < MOST_PARTS && (
          <Button onClick={() => onChange({ parts: [...text.parts, ''] })}>One part more</Button>
        )}
        {text.parts.length > arms && (
          <Button color="inherit" onClick={() => onChange({ parts: text.parts.slice(0, -1) })}>
            One part less
          </Button>
        )}
      </Box>
      <CuttingLoss lotId={text.lotId} grams={grams} />
    </Box>
  );
}
