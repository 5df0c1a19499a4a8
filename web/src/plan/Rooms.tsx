import { memo } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useToday } from '../api/house';
import type { Schema } from '../api/client';
import { useRooms } from '../api/plans';
import { useDebouncedValue } from '../kit/debounced';
import { Fullness } from '../kit/Fullness';
import { date } from '../kit/units';

type Load = Schema['ChamberLoad'];

const DAYS = 60;
const RESTS_MS = 300;

/** Where the piece finds room, if it came today. */
export function Rooms({ scenario }: { scenario: Schema['ScenarioForm'] }) {
  // What the air is does not change what fits, and a moving slider asks when it rests.
  const asked = useDebouncedValue(
    JSON.stringify({
      ...scenario,
      celsius: undefined,
      humidityPercent: undefined,
      metresPerSecond: undefined,
      steakMm: 30,
    }),
    RESTS_MS,
  );
  const rooms = useRooms({
    scenario: JSON.parse(asked) as Schema['ScenarioForm'],
    pieces: 1,
    from: useToday(),
    showDays: DAYS,
  });
  return rooms.data && rooms.data.length > 0 ? <RoomList rooms={rooms.data} /> : null;
}

/** Each chamber with how full it will be, and when the pieces fit. */
export const RoomList = memo(function RoomList({ rooms }: { rooms: Load[] }) {
  return (
    <Box component="section" aria-labelledby="rooms">
      <Typography id="rooms" variant="h3" sx={{ mb: 0.5 }}>
        Room for it
      </Typography>
      {rooms.map((room) => (
        <Box
          key={room.chamberId}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '9rem 12rem 1fr' },
            columnGap: 2,
            alignItems: 'center',
            py: 0.75,
            borderTop: '1px solid',
            borderColor: 'divider',
          }}
        >
          <Typography sx={{ fontWeight: 620 }}>{room.name}</Typography>
          <Fullness room={room} height={28} />
          <Typography
            variant="body2"
            sx={{ color: room.fits ? 'text.secondary' : 'warning.main', fontWeight: room.fits ? 400 : 620 }}
          >
            {sentence(room)}
            {room.humidity && (
              <Box component="span" sx={{ display: 'block', color: 'text.secondary', fontWeight: 400 }}>
                {room.humidity}
              </Box>
            )}
          </Typography>
        </Box>
      ))}
    </Box>
  );
});

function sentence(room: Load): string {
  const full = room.tooFullOn
    ? ` With what is planned already it is too full from ${date(room.tooFullOn)}.`
    : '';
  if (room.fits) {
    return `Fits.${full}`;
  }
  const later = room.firstFit ? `It fits from ${date(room.firstFit)}` : 'It fits on no day within a year';
  const pull =
    room.pull.length > 0
      ? `, or if ${room.pull.join(' and ')} ${room.pull.length === 1 ? 'is' : 'are'} pulled first`
      : '';
  return `Too full. ${later}${pull}.${full}`;
}
