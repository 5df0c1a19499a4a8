import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { useByFinger } from '../kit/focus';
import { useUnits } from '../kit/units';
import type { Shown } from './scale';

/** Whether a figure may be kept: at rest, and not what was kept before. Layings count anew when Elvaro starts again. */
export const isKeepable = (shown: Shown, keptLaying: number): boolean =>
  shown.steady && !shown.empty && !shown.overloaded && shown.laying !== keptLaying;

/** More than this on the scale is something, not its zero that wanders. */
const SOMETHING_GRAMS = 20;

function state(shown: Shown, keptLaying: number, what: string, ready: string): string {
  if (shown.overloaded) {
    return 'Too heavy for this scale';
  }
  if (shown.grams < 0 && shown.grams + shown.tareGrams > SOMETHING_GRAMS && shown.steady) {
    return 'Lighter than the container that was tared: tare again';
  }
  if (shown.empty) {
    return `Lay ${what} on the scale`;
  }
  if (!shown.steady) {
    return 'Settling …';
  }
  return shown.laying !== keptLaying ? ready : `Kept. Take it off and lay ${what} on`;
}

interface Props {
  shown: Shown;
  keptLaying: number;
  /** What is to be laid on it. */
  tag: string;
  /** Whether that stands beside the figure as large as the figure: the piece that is about to be written. */
  named?: boolean;
  /** What to do with a steady figure, if not to save it. */
  ready?: string;
  onType: () => void;
}

const large = {
  fontSize: { xs: 56, md: 76 },
  lineHeight: 1.05,
  fontWeight: 680,
  fontVariantNumeric: 'tabular-nums',
  whiteSpace: 'nowrap',
};

/** The figure of the scale as it moves, to be read at arm's length, and what it waits for. */
export function LiveWeight({ shown, keptLaying, tag, named, ready, onType }: Props) {
  const units = useUnits();
  const keepable = isKeepable(shown, keptLaying);
  const byFinger = useByFinger();
  return (
    <Box
      sx={{
        borderLeft: '6px solid',
        borderColor: keepable ? 'primary.main' : 'divider',
        bgcolor: 'background.paper',
        px: 2,
        py: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, alignItems: 'baseline' }}>
        {named && <Typography sx={{ ...large, color: 'primary.main' }}>{tag}</Typography>}
        <Typography
          component="output"
          aria-label="Figure of the scale"
          aria-live="off"
          sx={{ ...large, color: keepable ? 'text.primary' : 'text.secondary' }}
        >
          {shown.overloaded ? '– – –' : units.weight(shown.grams)}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 1 }}>
        <Typography role="status" sx={{ flex: 1, fontWeight: 560 }}>
          {state(shown, keptLaying, tag, ready ?? (byFinger ? 'Steady: keep it' : 'Steady: Enter keeps it'))}
          {/* Whoever does not see the figure is told it once it is at rest, not five times a second. */}
          {keepable && (
            <Box component="span" sx={visuallyHidden}>
              {units.weight(shown.grams)}
            </Box>
          )}
        </Typography>
        <Button type="button" color="inherit" onClick={onType}>
          Type it instead
        </Button>
      </Box>
    </Box>
  );
}
