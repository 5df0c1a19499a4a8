import Box from '@mui/material/Box';
import { fillOf, stretches, type Drawn } from './streams';
import { useUnits } from './units';

interface Props {
  ledger: Drawn;
  /** What the whole width stands for, in grams: the green weight, or the heaviest of several. */
  scaleGrams: number;
  height: number;
  name: string;
}

/** The green weight as one bar, divided into where it went. */
export function WeightBar({ ledger, scaleGrams, height, name }: Props) {
  const units = useUnits();
  const parts = stretches(ledger);
  const text = parts.map((part) => `${part.label.toLowerCase()} ${units.weight(part.grams)}`).join(', ');
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`${name}: ${text}`}
      sx={{ width: '100%', height, display: 'block', overflow: 'visible' }}
    >
      {parts.map((part) => (
        <rect
          key={part.share}
          x={`${(part.from / scaleGrams) * 100}%`}
          y={0}
          width={`${(part.grams / scaleGrams) * 100}%`}
          height={height}
          fill={fillOf(part.share)}
          stroke="var(--mui-palette-background-paper)"
          strokeWidth={1}
        >
          <title>{`${part.label} ${units.weight(part.grams)}`}</title>
        </rect>
      ))}
      <rect
        x={0}
        y={0}
        width={`${(ledger.greenGrams / scaleGrams) * 100}%`}
        height={height}
        fill="none"
        stroke="var(--mui-palette-text-secondary)"
        strokeWidth={1.25}
        strokeDasharray="4 3"
      />
    </Box>
  );
}
