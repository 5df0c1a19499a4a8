import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useDevices, useLoad } from '../api/chambers';
import { Fullness } from '../kit/Fullness';
import { date, useUnits } from '../kit/units';

const DAYS = 84;

/** How full it will be over the coming weeks, with what hangs and is planned. */
export function ChamberLoad({ id }: { id: string }) {
  const units = useUnits();
  const room = useLoad(DAYS).data?.find(({ chamberId }) => chamberId === id);
  const now = room?.days[0];
  if (!room || !now) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="load">
      <Typography id="load" variant="h2">
        Its load
      </Typography>
      <Typography>
        {units.load(now.grams)} as hung, of {units.load(room.limitGrams)}, and {now.places} of {room.places}{' '}
        places today.
      </Typography>
      <Box sx={{ mt: 1, maxWidth: 420 }}>
        <Fullness room={room} height={56} />
        <Box sx={{ display: 'flex', justifyContent: 'space-between', color: 'text.secondary' }}>
          <Typography variant="body2">today</Typography>
          <Typography variant="body2">{date(room.days.at(-1)?.day ?? now.day)}</Typography>
        </Box>
      </Box>
      {room.tooFullOn && (
        <Typography sx={{ color: 'warning.main', fontWeight: 620 }}>
          With what is planned it is too full from {date(room.tooFullOn)}.
        </Typography>
      )}
    </Box>
  );
}

/** What measures it. */
export function Probes({ id }: { id: string }) {
  const devices = useDevices().data?.filter(({ chamberId }) => chamberId === id);
  if (!devices) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="probes">
      <Typography id="probes" variant="h2">
        What measures it
      </Typography>
      {devices.map(({ id: device, name }) => (
        <Typography key={device}>{name}</Typography>
      ))}
      <Typography sx={{ color: 'text.secondary' }}>
        {devices.length === 0 && 'No probe. '}
        <Link to="/settings#probes">{devices.length === 0 ? 'Add a probe' : 'Probes in Settings'}</Link>
      </Typography>
    </Box>
  );
}
