import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link, useParams } from 'react-router';
import type { Schema } from '../api/client';
import { useTrial } from '../api/trials';
import { Page, Waiting } from '../kit/Page';
import { date } from '../kit/units';
import { Arms } from './Arms';
import { ArmsChart } from './ArmsChart';
import { Flaws } from './Flaws';
import { LooksStrip } from './LooksStrip';
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
          <Typography sx={{ color: 'text.secondary', flex: 1 }}>
            {trial.factorLabel}, since {date(trial.startedOn)}, {trial.ended ? 'ended' : 'running'}
            {trial.seed ? ', drawn by lot' : ''}
          </Typography>
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
      <Box sx={{ display: 'grid', gap: 4 }}>
        <Outcome trial={trial} />
        <Arms trial={trial} />
        <ArmsChart trial={trial} />
        <LooksStrip trial={trial} />
        <Flaws flaws={trial.flaws} title="What weakens it" />
        <Learnt key={trial.version} trial={trial} />
        <Next trial={trial} />
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
  return (
    <Box component="section" aria-label="Outcome">
      {trial.conclusions.map((each) => (
        <Box key={each.sentence} sx={{ mb: 1 }}>
          <Typography sx={{ fontSize: '1.6rem', fontWeight: 640, lineHeight: 1.25, maxWidth: 900 }}>
            {each.sentence}
          </Typography>
          {each.weakenedBy.length > 0 && (
            <Typography sx={{ color: 'warning.main', fontWeight: 560 }}>
              Weakened in {each.weakenedBy.length === 1 ? 'one way' : `${each.weakenedBy.length} ways`}, said
              below and with the tasting.
            </Typography>
          )}
        </Box>
      ))}
      {trial.verdicts.length > 0 && (
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {trial.verdicts.map((verdict) => (
            <Box component="li" key={verdict.arm + verdict.measure} sx={{ py: 0.25 }}>
              {verdict.sentence}
            </Box>
          ))}
        </Box>
      )}
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
            ? `: ${tasting.verdicts[0] ?? 'nobody answered.'}`
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

function Next({ trial }: { trial: Trial }) {
  return (
    <Box component="section" aria-labelledby="next" className="no-print">
      <Typography id="next" variant="h2" sx={{ mb: 1 }}>
        Next trial from this one
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {trial.next.map(({ change, label }) => (
          <Button
            key={change}
            variant="outlined"
            component={Link}
            to={`/trials/new?from=${trial.id}&change=${change}`}
          >
            {label}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
