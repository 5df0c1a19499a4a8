import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useRoomWater } from '../api/chambers';
import { date, figure, percent, useUnits } from '../kit/units';

type Water = Schema['RoomWaterView'];

/** What the load gives off, what the room takes away, and how damp it will be. */
export function RoomWater({ id }: { id: string }) {
  const units = useUnits();
  const water = useRoomWater(id).data;
  if (!water || (water.givenGrams < 1 && !water.sentence)) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="water">
      <Typography id="water" variant="h2">
        Its water
      </Typography>
      <Typography>
        What hangs here gives off {units.small(water.givenGrams)} today.
        {water.perKilogram && ` ${rise(water.perKilogram, units.small(100))}`}
      </Typography>
      {water.sentence && <Typography sx={{ mt: 0.5 }}>{water.sentence}</Typography>}
      {water.days.length > 0 && <Weeks days={water.days} />}
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 0.5 }}>
        {water.restsOnDays > 0
          ? `Learnt from ${water.restsOnDays} measured days and what hung here on them.`
          : 'How damp it will be is learnt once its humidity was measured for a week.'}
      </Typography>
    </Box>
  );
}

const rise = ({ mean, least, most }: NonNullable<Water['perKilogram']>, hundredGrams: string) =>
  `${hundredGrams} a day more would raise its humidity by ${points(mean)} points ` +
  `(${points(least)} to ${points(most)}).`;

/** Of a tenth of a kilogram. */
const points = (perKilogram: number) => figure(perKilogram * 10, 1);

function Weeks({ days }: { days: Water['days'] }) {
  return (
    <Box
      component="ul"
      aria-label="Humidity to come"
      sx={{ listStyle: 'none', p: 0, my: 1, display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 0.5 }}
    >
      {days
        .filter((_, index) => index % 7 === 0)
        .map(({ day, humidity }) => (
          <li key={day}>
            <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
              {date(day)}{' '}
            </Typography>
            <Typography component="span" sx={{ fontWeight: 620 }}>
              {percent(humidity.mean)}
            </Typography>
            <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
              {` ${percent(humidity.least)} to ${percent(humidity.most)}`}
            </Typography>
          </li>
        ))}
    </Box>
  );
}
