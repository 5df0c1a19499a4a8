import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import type { Schema } from '../api/client';
import { useTrial } from '../api/trials';
import { HowSure } from '../kit/HowSure';
import { ShareButton } from '../share/ShareDialog';
import { Page, Waiting } from '../kit/Page';

import { date } from '../kit/units';
import { Ageing } from './Ageing';
import { Arms } from './Arms';
import { ArmsChart } from './ArmsChart';
import { Flaws } from './Flaws';
import { Houses } from './Houses';
import { LooksStrip } from './LooksStrip';
import { Next } from './Next';
import { Learnt, Thread } from './Thread';

type Trial = Schema['TrialView'];

/** Is the difference real, was it worth it, what next. */
export default function TrialPage() {
  const { id = '' } = useParams();
  const trial = useTrial(id);
  if (!trial.data) {
    return <Waiting failure={trial.error} />;
  }
  return <TrialSheet key={id} trial={trial.data} />;
}

function TrialSheet({ trial }: { trial: Trial }) {
  const cut = trial.arms.flatMap((arm) => arm.pieces).filter(({ card }) => card.state === 'CUT');
  return (
    <Page
      title={trial.question}
      aside={
        <>
          <ShareButton what="TRIAL" id={trial.id} />
          <Button
            className="no-print"
            color="inherit"
            href={`/api/trials/${trial.id}/report`}
            target="_blank"
            rel="noreferrer"
          >
            Report
          </Button>
        </>
      }
    >
      <Typography sx={{ color: 'text.secondary', mt: -1.5, mb: 2 }}>
        {trial.factorLabel}, judged by {trial.measureLabel}, since {date(trial.startedOn)},{' '}
        {trial.ended ? 'ended' : 'running'}
        {trial.seed ? ', drawn by lot' : ''}
      </Typography>
      <Box sx={{ display: 'grid', gap: 4 }}>
        <Outcome trial={trial} />
        <Arms trial={trial} />
        <ArmsChart arms={trial.arms} />
        <LooksStrip trial={trial} />
        <Flaws flaws={trial.flaws} title="What weakens it" />
        <Learnt key={trial.version} trial={trial} />
        <Next trial={trial} />
        <Houses trialId={trial.id} />
        {trial.thread.length > 1 && <Thread trial={trial} />}
        <Box className="no-print" sx={{ display: 'flex', gap: 1 }}>
          {cut.length >= 2 && (
            <Button
              component={Link}
              to={`/compare?p=${cut
                .slice(0, 8)
                .map(({ card }) => card.id)
                .join(',')}`}
            >
              Compare its pieces
            </Button>
          )}
          <Button onClick={() => window.print()}>Print</Button>
        </Box>
      </Box>
    </Page>
  );
}

/** What it showed, the answer large; while it runs, how the arms dry so far. */
function Outcome({ trial }: { trial: Trial }) {
  const asked = trial.verdicts.filter((verdict) => verdict.asked);
  return (
    <Box component="section" aria-label="Outcome">
      {trial.conclusions.map((each) => (
        <Box key={each.arm} sx={{ mb: 1.5, maxWidth: 900 }}>
          <Typography sx={{ fontSize: '1.6rem', fontWeight: 640, lineHeight: 1.25 }}>
            {each.sentence}
          </Typography>
          {each.more.map((sentence) => (
            <Typography key={sentence} sx={{ fontSize: '1.15rem', mt: 0.5 }}>
              {sentence}
            </Typography>
          ))}
          {each.weakenedBy.length > 0 && (
            <Typography sx={{ color: 'warning.main', fontWeight: 560, mt: 0.5 }}>
              Weakened: {each.weakenedBy.join(' ')}
            </Typography>
          )}
        </Box>
      ))}
      {trial.best && (
        <Typography sx={{ fontSize: '1.15rem', maxWidth: 900, mb: 1 }}>
          {trial.best.sentence} {trial.best.proposal && <strong>Next time: {trial.best.proposal}</strong>}
        </Typography>
      )}
      {trial.together.map((sentence) => (
        <Typography key={sentence} sx={{ fontSize: '1.15rem', maxWidth: 900 }}>
          {sentence}
        </Typography>
      ))}
      <HowSure lines={asked.map(({ statistics }) => statistics)} />
      {trial.ageing && <Ageing ageing={trial.ageing} />}
      <Beside verdicts={trial.verdicts.filter(({ asked, measure }) => !asked && measure !== 'LIKING')} />
      {!trial.ended &&
        (trial.drying.length > 0 ? (
          trial.drying.map((sentence) => (
            <Typography key={sentence} sx={{ fontSize: '1.35rem', fontWeight: 620 }}>
              {sentence}
            </Typography>
          ))
        ) : (
          <Typography sx={{ fontSize: '1.1rem' }}>
            Too little is gone yet to tell the arms apart. Weigh them when it is due.
          </Typography>
        ))}
      <Tasted trial={trial} />
    </Box>
  );
}

/** What was not asked and is seen beside it. */
function Beside({ verdicts }: { verdicts: Trial['verdicts'] }) {
  if (verdicts.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="beside" sx={{ mt: 2 }}>
      <Typography id="beside" variant="h3">
        Seen beside it
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', maxWidth: 720 }}>
        Nobody asked for these beforehand, and among so many something always differs. What stands out even so
        is worth a trial of its own.
      </Typography>
      <Box component="ul" sx={{ m: 0, mt: 0.5, p: 0, listStyle: 'none' }}>
        {verdicts.map((verdict) => (
          <Box
            component="li"
            key={verdict.arm + verdict.measure}
            sx={{ py: 0.25, fontWeight: verdict.standsOut ? 640 : 400 }}
          >
            {verdict.sentence}
          </Box>
        ))}
      </Box>
      <HowSure lines={verdicts.map(({ statistics }) => statistics)} />
    </Box>
  );
}

/** What was tasted of it, or how to. */
function Tasted({ trial }: { trial: Trial }) {
  return (
    <Box sx={{ mt: 1.5 }}>
      {trial.tastings.map((tasting) => (
        <Typography key={tasting.id}>
          <MuiLink component={Link} to={`/tastings/${tasting.id}`}>
            Tasted on {date(tasting.heldOn)}
          </MuiLink>
          {tasting.state === 'REVEALED'
            ? ` by ${tasting.tasters}, as ${tasting.kindLabel.toLowerCase()}`
            : ': what came of it is not revealed yet.'}
        </Typography>
      ))}
      {trial.tastings.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>
          {trial.ended
            ? 'Taste: no blind tasting was held.'
            : 'Taste: a blind tasting when the pieces are cut. Set a steak of each arm aside.'}
        </Typography>
      )}
      <Button
        className="no-print"
        variant="outlined"
        component={Link}
        to={`/tastings/new?trial=${trial.id}`}
        sx={{ mt: 1 }}
      >
        Taste it blind
      </Button>
    </Box>
  );
}
