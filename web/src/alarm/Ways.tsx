import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { fate, lost } from './words';

/** How far a message got, way by way. */
export function Ways({ ways }: { ways: Schema['DeliveryView'][] }) {
  return ways.map((way) => (
    <Typography
      key={way.channel + way.name}
      variant="body2"
      sx={{ color: lost(way) ? 'warning.main' : 'text.secondary' }}
    >
      {fate(way)}
    </Typography>
  ));
}
