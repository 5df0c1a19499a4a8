import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { useSession } from '../api/house';
import { useRoom } from '../api/room';
import { Page, Waiting } from '../kit/Page';
import { shortDate } from '../kit/units';
import { AskedOfMe } from '../rehearsal/AskedOfMe';
import { Alarms } from './Alarms';
import { ChamberRails } from './ChamberRails';
import { DueList } from './DueList';
import { whenOpened } from '../kit/whenOpened';
import { EVERYBODY, MINE, useWhose, workOf } from './whose';

const FirstPiece = whenOpened(async () => (await import('./FirstPiece')).FirstPiece);

/** What hangs where, and what needs me now. */
export function Room() {
  const room = useRoom();
  const rehearsing = useSession().data?.me?.rehearsing;
  if (!room.data) {
    return <Waiting failure={room.error} />;
  }
  const { chambers, today } = room.data;
  return (
    <Page title="Room" aside={<Typography sx={{ color: 'text.secondary' }}>{shortDate(today)}</Typography>}>
      <Alarms />
      {!rehearsing && <AskedOfMe />}
      {chambers.length === 0 ? (
        <FirstPiece />
      ) : (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '330px minmax(0, 1fr)' },
            gap: { xs: 4, md: 5 },
            alignItems: 'start',
          }}
        >
          <Work room={room.data} />
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

/** What is due, of those one wants to see, and the same on paper. */
function Work({ room }: { room: Schema['RoomView'] }) {
  const me = useSession().data?.me?.id ?? '';
  const { whose, choose } = useWhose();
  const kept = room.chambers.some(({ keeperId }) => keeperId);
  const known = [EVERYBODY, MINE, ...room.chambers.map(({ id }) => id)].includes(whose);
  /** Where one person has one chamber there is nothing to choose, and what was chosen once hides nothing. */
  const several = kept || room.chambers.length > 1;
  const shown = several && known ? whose : EVERYBODY;
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1.5 }}>
        {several && (
          <TextField
            select
            size="small"
            label="Whose work"
            value={shown}
            onChange={(event) => choose(event.target.value)}
            sx={{ flex: 1 }}
          >
            <MenuItem value={EVERYBODY}>everybody’s</MenuItem>
            {kept && <MenuItem value={MINE}>mine, and nobody’s</MenuItem>}
            {room.chambers.map(({ id, name, keeper }) => (
              <MenuItem key={id} value={id}>
                {name}
                {keeper && ` (${keeper})`}
              </MenuItem>
            ))}
          </TextField>
        )}
        <Button component={Link} to="/day" color="inherit">
          On paper
        </Button>
      </Box>
      <DueList due={workOf(room, shown, me)} />
    </Box>
  );
}
