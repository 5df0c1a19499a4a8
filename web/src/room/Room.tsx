import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useRoom } from '../api/queries';
import { Page, Waiting } from '../kit/Page';
import { shortDate } from '../kit/units';
import { ChamberRails } from './ChamberRails';
import { DueList } from './DueList';

/** What hangs where, and what needs me now. */
export function Room() {
  const room = useRoom();
  if (!room.data) {
    return <Waiting failure={room.error} />;
  }
  const { chambers, due, today } = room.data;
  return (
    <Page title="Room" aside={<Typography sx={{ color: 'text.secondary' }}>{shortDate(today)}</Typography>}>
      {chambers.length === 0 ? (
        <NothingYet />
      ) : (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '330px minmax(0, 1fr)' },
            gap: { xs: 4, md: 5 },
            alignItems: 'start',
          }}
        >
          <DueList due={due} />
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4.5, rowGap: 2.5 }}>
            {chambers.map((chamber) => (
              <ChamberRails key={chamber.id} chamber={chamber} />
            ))}
          </Box>
        </Box>
      )}
    </Page>
  );
}

function NothingYet() {
  return (
    <Box sx={{ maxWidth: 560 }}>
      <Typography sx={{ mb: 2 }}>
        Nothing hangs yet. First say where meat can hang: a refrigerator, a cabinet, a room. Then receive what
        you bought.
      </Typography>
      <Button component={Link} to="/settings" variant="contained" size="large">
        Add a chamber
      </Button>
    </Box>
  );
}
