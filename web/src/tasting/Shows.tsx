import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { CautionText } from '../kit/Notices';

/** What a panel can show, before anybody tastes. */
export function Shows({ check }: { check: Schema['TastingCheck'] | null }) {
  if (!check) {
    return <Typography>Name the tasters, and what they can show is said here.</Typography>;
  }
  return (
    <Box role="status" sx={{ display: 'grid', gap: 2 }}>
      <Power power={check.power} />
      {check.hints.map((hint) => (
        <Typography key={hint} sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2 }}>
          {hint}
        </Typography>
      ))}
      {check.cautions.map((caution) => (
        <CautionText key={caution} topic="COOKING">
          {caution}
        </CautionText>
      ))}
    </Box>
  );
}

export function Power({ power }: { power: Schema['PanelPower'] }) {
  const [first, ...rest] = power.sentences;
  return (
    <Box
      sx={{ borderLeft: '6px solid', borderColor: power.canShow ? 'success.main' : 'warning.main', pl: 2 }}
    >
      <Typography sx={{ fontSize: '1.25rem', fontWeight: 640, lineHeight: 1.25 }}>{first}</Typography>
      {rest.map((sentence) => (
        <Typography key={sentence} sx={{ mt: 0.5 }}>
          {sentence}
        </Typography>
      ))}
    </Box>
  );
}
