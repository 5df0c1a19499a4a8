import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useNext } from '../api/pieces';
import { days, shortDate } from '../kit/units';

/** What three lines take, px. */
const ROOM = 172;

/** What comes next for a piece, and why. */
export function Next({ pieceId }: { pieceId: string }) {
  const { data: next, isPending } = useNext(pieceId);
  if (isPending) {
    return <Box sx={{ minHeight: { xs: 0, sm: ROOM } }} />; // so that nothing jumps once it is there
  }
  if (!next || next.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="next">
      <Typography id="next" variant="h2" sx={{ mb: 0.5 }}>
        What comes next
      </Typography>
      <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {next.map((each) => (
          <Box
            component="li"
            key={each.work + each.on}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '12rem 1fr' },
              columnGap: 2,
              py: 0.75,
              borderTop: '1px solid',
              borderColor: 'divider',
            }}
          >
            <Typography sx={{ fontWeight: 620 }}>
              {each.label},{' '}
              {each.days > 0 ? `${days(each.days)} late` : each.days === 0 ? 'today' : shortDate(each.on)}
            </Typography>
            <Typography sx={{ color: 'text.secondary' }}>{each.reason}</Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
