import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { AnswerButtons } from '../alarm/AnswerButtons';
import { answered } from '../alarm/words';
import { useAlarms } from '../api/notices';
import { moment } from '../kit/units';

/** What is wrong now, before all else; and what could not be told anybody. */
export function Alarms() {
  const alarms = useAlarms();
  const open = alarms.data?.alarms.filter(({ endedAt }) => !endedAt) ?? [];
  const stuck = alarms.data?.stuck ?? [];
  if (open.length === 0 && stuck.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Alarms" sx={{ display: 'grid', gap: 1.5, mb: 3 }}>
      {open.map((alarm) => (
        <Box
          key={alarm.id}
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            alignItems: 'center',
            gap: 2,
            borderLeft: '6px solid',
            borderColor: 'warning.main',
            bgcolor: 'background.paper',
            px: 2,
            py: 1.5,
          }}
        >
          <Box sx={{ flex: '1 1 320px' }}>
            <Typography
              component={Link}
              to={`/alarms/${alarm.id}`}
              sx={{ fontSize: 20, fontWeight: 680, color: 'text.primary' }}
            >
              {alarm.subject}: {alarm.words}
            </Typography>
            <Typography variant="body2">
              {alarm.label}, since {moment(alarm.beganAt)}.{alarm.hangs && ` ${alarm.hangs}`}{' '}
              {answered(alarm)}
            </Typography>
            {alarm.nobodyReached && (
              <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 620 }}>
                Nobody could be told. <Link to="/reminders">Say how you are told</Link>
              </Typography>
            )}
          </Box>
          {alarm.answered?.kind !== 'TAKEN_OVER' && <AnswerButtons alarmId={alarm.id} />}
        </Box>
      ))}
      {stuck.map((words) => (
        <Alert key={words} severity="warning" variant="outlined">
          {words} <Link to="/reminders">Reminders and alarms</Link>
        </Alert>
      ))}
    </Box>
  );
}
