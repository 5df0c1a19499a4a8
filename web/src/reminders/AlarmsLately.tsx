import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { answered } from '../alarm/words';
import { useAlarms } from '../api/notices';
import { moment } from '../kit/units';
import { Part } from '../settings/Part';

/** What was wrong in the last month, and who saw to it. */
export function AlarmsLately() {
  const alarms = useAlarms();
  if (!alarms.data || alarms.data.alarms.length === 0) {
    return null;
  }
  return (
    <Part title="Alarms of the last month">
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {alarms.data.alarms.map((alarm) => (
          <Box key={alarm.id} component="li" sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}>
            <Typography
              component={Link}
              to={`/alarms/${alarm.id}`}
              sx={{ color: 'text.primary', fontWeight: 620 }}
            >
              {alarm.label}: {alarm.subject}
            </Typography>
            <Typography variant="body2">
              {moment(alarm.beganAt)}
              {alarm.endedAt ? ` to ${moment(alarm.endedAt)}` : ', and goes on'}.{' '}
              {answered(alarm) || (alarm.nobodyReached ? 'Nobody could be told.' : 'Nobody took it over.')}
            </Typography>
          </Box>
        ))}
      </Box>
    </Part>
  );
}
