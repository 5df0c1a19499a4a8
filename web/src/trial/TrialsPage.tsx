import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { useLessons, useTrials } from '../api/trials';
import { Page, Waiting } from '../kit/Page';
import { SectionGlyph } from '../kit/SectionGlyph';
import { date } from '../kit/units';
import { Lessons } from './Lessons';
import { TakeIn } from './TakeIn';

/** The questions that were asked, what is running, and what was learnt. */
export default function TrialsPage() {
  const trials = useTrials();
  const lessons = useLessons();
  if (!trials.data || !lessons.data) {
    return <Waiting failure={trials.error ?? lessons.error} />;
  }
  const running = trials.data.filter((trial) => !trial.ended);
  const ended = trials.data.filter((trial) => trial.ended);
  return (
    <Page
      title="Trials"
      aside={
        <>
          <Box sx={{ flex: 1 }} />
          <TakeIn label="Take a protocol in" />
          <Button variant="contained" component={Link} to="/trials/new">
            New trial
          </Button>
        </>
      }
    >
      {trials.data.length === 0 && (
        <Typography sx={{ maxWidth: 560 }}>
          No question has been asked yet. Split one lot in two, change one thing in one half, and keep the
          other as you always do it: that is a trial.
        </Typography>
      )}
      <Group title="Running" trials={running} />
      <Group title="Ended" trials={ended} />
      <Lessons lessons={lessons.data} />
    </Page>
  );
}

function Group({ title, trials }: { title: string; trials: Schema['TrialLine'][] }) {
  if (trials.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-label={title} sx={{ mb: 4 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {title}
      </Typography>
      {trials.map((trial) => (
        <Line key={trial.id} trial={trial} />
      ))}
    </Box>
  );
}

function Line({ trial }: { trial: Schema['TrialLine'] }) {
  return (
    <Box
      sx={{
        borderTop: '1px solid',
        borderColor: 'divider',
        py: 1.25,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) auto' },
        columnGap: 4,
        rowGap: 1,
      }}
    >
      <Box>
        <Typography
          component={Link}
          to={`/trials/${trial.id}`}
          sx={{ typography: 'h3', color: 'text.primary' }}
        >
          {trial.question}
        </Typography>
        {trial.conclusions.map((conclusion) => (
          <Typography key={conclusion} sx={{ mt: 0.25 }}>
            {conclusion}
          </Typography>
        ))}
        <Typography variant="body2" sx={{ color: 'text.secondary', mt: 0.25 }}>
          {trial.factorLabel}, since {date(trial.startedOn)}
          {trial.flaws > 0 && `, weakened in ${trial.flaws === 1 ? 'one way' : `${trial.flaws} ways`}`}
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
        {trial.arms.map((arm) => (
          <Box key={arm.name} sx={{ minWidth: 84 }}>
            <Box sx={{ display: 'flex', gap: 0.5 }}>
              {arm.pieces.map((card) => (
                <SectionGlyph key={card.id} shape={card.shape} section={card.section} size={38} />
              ))}
            </Box>
            <Typography variant="body2" sx={{ fontWeight: arm.control ? 400 : 620 }}>
              {arm.name}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
