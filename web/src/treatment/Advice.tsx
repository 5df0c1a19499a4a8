import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { Caution } from '../kit/Notices';
import { Amounts } from './Amounts';
import { Clashes } from './Clashes';
import { whenWords } from './moments';

interface Props {
  kind: Schema['TreatmentView'];
  /** Whether it is a recipe of the workshop's own. */
  own: boolean;
  scaled?: Schema['ScaledView'];
}

/** How much, what stands against it, what to do when, and what to look for. */
export function Advice({ kind, own, scaled }: Props) {
  return (
    <>
      {scaled && (
        <>
          <Amounts scaled={scaled} unlabelled={kind.onLabel || own ? undefined : kind.first?.words} />
          <Clashes clashes={scaled.clashes} />
        </>
      )}
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
                {whenWords[step.moment]}
                {step.moment !== 'AT_THE_TABLE' && `, day ${step.day}`}
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
      <Caution of="TREATED_COLD" />
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
