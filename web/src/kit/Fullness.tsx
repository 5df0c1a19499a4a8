import Box from '@mui/material/Box';
import type { Schema } from '../api/client';
import { useUnits } from './units';

/** How much hangs there, day by day, as a row of bars under the limit. */
export function Fullness({ room, height }: { room: Schema['ChamberLoad']; height: number }) {
  const units = useUnits();
  if (room.days.length === 0) {
    return <span />;
  }
  const most = Math.max(room.limitGrams, ...room.days.map((day) => day.grams));
  const peak = Math.max(...room.days.map((day) => day.grams));
  const width = 100 / room.days.length;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`At most ${units.load(peak)} of ${units.load(room.limitGrams)} in ${room.days.length} days`}
      viewBox="0 0 100 24"
      preserveAspectRatio="none"
      sx={{ width: '100%', height, display: 'block' }}
    >
      {room.days.map((day, index) => (
        <rect
          key={day.day}
          x={index * width}
          width={width}
          y={24 - (day.grams / most) * 24}
          height={(day.grams / most) * 24}
          fill={
            day.grams > room.limitGrams || day.places > room.places
              ? 'var(--mui-palette-warning-main)'
              : 'var(--mui-palette-rail)'
          }
          opacity={0.65}
        />
      ))}
      <line
        x1={0}
        x2={100}
        y1={24 - (room.limitGrams / most) * 24}
        y2={24 - (room.limitGrams / most) * 24}
        stroke="var(--mui-palette-text-primary)"
        strokeWidth={1}
        strokeDasharray="3 2"
        vectorEffect="non-scaling-stroke"
      />
    </Box>
  );
}
