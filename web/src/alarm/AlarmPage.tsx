import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import type { Schema } from '../api/client';
import { useAlarm } from '../api/notices';
import { Page, Waiting } from '../kit/Page';
import { moment } from '../kit/units';
import { AnswerButtons } from './AnswerButtons';
import { Ways } from './Ways';
import { answered } from './words';

/** One alarm: what is wrong, what hangs there, who was told, and what one says to it. */
export default function AlarmPage() {
  const { id = '' } = useParams();
  const alarm = useAlarm(id);
  if (!alarm.data) {
    return <Waiting failure={alarm.error} />;
  }
  const { label, subject, words, hangs, beganAt, endedAt, endWords, chamberId, told, nobodyReached } =
    alarm.data;
  const says = answered(alarm.data);
  return (
    <Page title={`${label}: ${subject}`}>
      <Box sx={{ display: 'grid', gap: 3, maxWidth: 640 }}>
        <Box
          sx={{
            borderLeft: '6px solid',
            borderColor: endedAt ? 'divider' : 'warning.main',
            pl: 2,
            display: 'grid',
            gap: 1,
          }}
        >
          <Typography sx={{ fontSize: 24, lineHeight: 1.25, fontWeight: 680 }}>
            {endedAt ? `It is over. ${endWords ?? ''}` : `${capital(words)}.`}
          </Typography>
          <Typography>
            Since {moment(beganAt)}
            {endedAt && `, until ${moment(endedAt)}. Before it was over: ${words}`}.{hangs && ` ${hangs}`}
          </Typography>
          {says && <Typography sx={{ fontWeight: 620 }}>{says}</Typography>}
          {nobodyReached && (
            <Typography sx={{ color: 'warning.main', fontWeight: 620 }}>
              Nobody could be told: nobody has a way yet. <Link to="/reminders">Say how you are told</Link>
            </Typography>
          )}
        </Box>
        {!endedAt && <AnswerButtons alarmId={id} />}
        {chamberId && (
          <Typography>
            <Link to={`/chambers/${chamberId}`}>The air of {subject}</Link>
          </Typography>
        )}
        <Told told={told} />
      </Box>
    </Page>
  );
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** Who was told when, and how far it got. */
function Told({ told }: { told: Schema['ToldView'][] }) {
  if (told.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label="Who was told">
      <Typography variant="h2" sx={{ mb: 1 }}>
        Who was told
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {told.map(({ name, at, title, ways }) => (
          <Box
            key={name + at + title}
            component="li"
            sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}
          >
            <Typography>
              <b>{name || 'The other program'}</b>, {moment(at)}
            </Typography>
            <Typography variant="body2">{title}</Typography>
            <Ways ways={ways} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}
