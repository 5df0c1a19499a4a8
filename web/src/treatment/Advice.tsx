import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { Caution } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { measured } from './draft';

interface Props {
  kind: Schema['TreatmentView'];
  scaled?: Schema['ScaledView'];
}

const moments = {
  BEFORE_HANGING: 'before hanging, day',
  HANGING: 'hanging, day',
  AFTER_PULL: 'after the pull, day',
  AT_THE_TABLE: 'at the table',
} as const;

/** Nobody counts more. */
const MOST_SPOONS = 24;

/** How much, what stands against it, what to do when, and what to look for. */
export function Advice({ kind, scaled }: Props) {
  const units = useUnits();
  const [whole, ...others] = scaled?.amounts ?? [];
  const spoons = others.filter((each) => each.amount >= 0.1 && each.amount <= MOST_SPOONS);
  return (
    <>
      {whole && scaled && (
        <Box component="section" aria-label="Amount">
          <Typography sx={{ fontSize: 44, fontWeight: 640, lineHeight: 1.1 }} role="status">
            {measured(whole.amount)} {whole.symbol}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            {spoons.map((each) => `${measured(each.amount)} ${each.symbol}`).join(' · ')}
            {spoons.length > 0 && ' · '}
            {measured(scaled.squareMetres)} m² of surface
          </Typography>
          {scaled.timesLabel && (
            <Typography
              sx={{ mt: 1, fontWeight: 620, color: scaled.overLabel ? 'error.main' : 'text.primary' }}
            >
              {measured(scaled.timesLabel)} × the dose on the label
              {scaled.overLabel && ': more than three times. Use less.'}
            </Typography>
          )}
          {!kind.onLabel && (
            <Typography variant="body2" sx={{ mt: 1, color: 'text.secondary' }}>
              There is no label. {kind.first?.words} is where to start from; the first trial shows more.
            </Typography>
          )}
        </Box>
      )}
      {scaled?.clashes.map((each) => (
        <Box
          key={each.clash}
          role={each.answer === 'STOP' ? 'alert' : 'note'}
          sx={{
            borderLeft: '8px solid',
            borderColor: each.answer === 'STOP' ? 'error.main' : 'warning.main',
            bgcolor: 'background.paper',
            px: 2,
            py: 1.25,
          }}
        >
          <strong>{each.answer === 'STOP' ? 'Stop.' : 'Think of it.'}</strong> {units.sentence(each.reason)}
        </Box>
      ))}
      <Box component="section" aria-label="Steps">
        <Typography variant="h2" sx={{ mb: 1 }}>
          What to do when
        </Typography>
        <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {kind.steps.map((step) => (
            <Box
              component="li"
              key={step.words + step.day}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '12rem 1fr' },
                py: 0.75,
                borderTop: '1px solid',
                borderColor: 'divider',
              }}
            >
              <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                {moments[step.moment]} {step.moment !== 'AT_THE_TABLE' && step.day}
              </Typography>
              <Typography>{step.words}</Typography>
            </Box>
          ))}
        </Box>
      </Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'repeat(3, 1fr)' }, gap: 3 }}
      >
        <Said title="On the drying">
          {kind.slows
            ? `It is reckoned as ${kind.onTheSurface}: the piece dries slower than its control.`
            : 'None that is known: it dries as a bare piece does.'}
        </Said>
        <Said title="Look for at the pull">{kind.lookFor}</Said>
        <Said title="Next time">{kind.nextTime}</Said>
      </Box>
      <Caution rule="cold">
        All of it is done cold, at 5 °C or below. Local law and a licensed practitioner decide.
      </Caution>
    </>
  );
}

function Said({ title, children }: { title: string; children: string }) {
  return (
    <section>
      <Typography variant="h3">{title}</Typography>
      <Typography>{children}</Typography>
    </section>
  );
}
