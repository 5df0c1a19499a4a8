import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';

interface Props {
  attribute: Schema['Attribute'];
  value: number | undefined;
  onChange: (value: number) => void;
}

const steps = [1, 2, 3, 4, 5, 6, 7];

/** Seven steps between two words, each as wide as a thumb. */
export function Scale({ attribute, value, onChange }: Props) {
  return (
    <Box role="group" aria-label={attribute.label} sx={{ minWidth: 0 }}>
      <Typography sx={{ fontWeight: 640, fontSize: '1.1rem' }}>{attribute.label}</Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(7, minmax(0, 1fr))', gap: '3px', my: 0.5 }}>
        {steps.map((step) => (
          <ToggleButton
            key={step}
            value={step}
            selected={value === step}
            onChange={() => onChange(step)}
            aria-label={`${attribute.label} ${step} of 7`}
            sx={{
              minHeight: 52,
              minWidth: 0,
              p: 0,
              fontSize: '1.2rem',
              fontWeight: 640,
              borderColor: 'rail',
              '&.Mui-selected, &.Mui-selected:hover': {
                bgcolor: 'secondary.main',
                color: 'secondary.contrastText',
                borderColor: 'secondary.main',
              },
            }}
          >
            {step}
          </ToggleButton>
        ))}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', color: 'text.secondary' }}>
        <Typography variant="body2">{attribute.low}</Typography>
        <Typography variant="body2">{attribute.high}</Typography>
      </Box>
    </Box>
  );
}
