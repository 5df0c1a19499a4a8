import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { HowSure } from '../kit/HowSure';
import { Waiting } from '../kit/Page';
import { SectionGlyph, describeSection } from '../kit/SectionGlyph';
import { date, percent } from '../kit/units';
import { WeightBar } from '../kit/WeightBar';
import { Lines } from '../tasting/Lines';
import { armColour } from '../trial/arms';
import { ArmsChart } from '../trial/ArmsChart';
import { Plain } from './Plain';
import { SaveButtons } from './SaveButtons';
import { SharedPhoto } from './SharedPhoto';

type Shared = Schema['SharedTrial'];

/** A trial as whoever has its link sees it: the question, the arms, the answer and its doubt. */
export default function SharedTrialPage() {
  const { token = '' } = useParams();
  const page = useQuery({
    queryKey: ['shared trial', token],
    queryFn: () =>
      answer(api.GET('/shared/TRIAL', { params: { header: { Authorization: `Bearer ${token}` } } })),
    retry: false,
  });
  if (page.error) {
    return <Plain title="This page is no longer shown">The link was taken back, or it is not whole.</Plain>;
  }
  if (!page.data) {
    return <Waiting />;
  }
  const trial = page.data;
  return (
    <Plain title={trial.question} caution={trial.caution}>
      <Typography sx={{ color: 'text.secondary', mb: 2 }}>
        {trial.factor}, judged by {trial.measure}, since {date(trial.startedOn)},{' '}
        {trial.ended ? 'ended' : 'still running'}
      </Typography>
      <Box sx={{ display: 'grid', gap: 4 }}>
        <Answer trial={trial} />
        <Arms trial={trial} token={token} />
        <ArmsChart arms={trial.arms} />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 5 }}>
          {trial.lines.map((lines, index) => (
            <Lines key={index} lines={lines} />
          ))}
        </Box>
        {trial.weakenedBy.length > 0 && (
          <Box>
            <Typography variant="h2">What weakens it</Typography>
            {trial.weakenedBy.map((sentence) => (
              <Typography key={sentence}>{sentence}</Typography>
            ))}
          </Box>
        )}
        <SaveButtons what="TRIAL" token={token} />
      </Box>
    </Plain>
  );
}

function Answer({ trial }: { trial: Shared }) {
  return (
    <Box sx={{ maxWidth: 900 }}>
      {trial.answers.map((sentence) => (
        <Typography key={sentence} sx={{ fontSize: '1.5rem', fontWeight: 640, lineHeight: 1.3, mb: 1 }}>
          {sentence}
        </Typography>
      ))}
      {trial.best && <Typography sx={{ fontSize: '1.15rem' }}>{trial.best}</Typography>}
      {!trial.ended &&
        trial.drying.map((sentence) => (
          <Typography key={sentence} sx={{ fontSize: '1.15rem' }}>
            {sentence}
          </Typography>
        ))}
      {trial.beside.map((sentence) => (
        <Typography key={sentence}>{sentence}</Typography>
      ))}
      <HowSure lines={trial.statistics} />
    </Box>
  );
}

function Arms({ trial, token }: { trial: Shared; token: string }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        gridTemplateColumns: {
          xs: 'minmax(0, 1fr)',
          sm: `repeat(${Math.min(3, trial.arms.length)}, minmax(0, 1fr))`,
        },
      }}
    >
      {trial.arms.map((arm, index) => (
        <Box key={arm.name} sx={{ borderTop: '4px solid', borderColor: armColour(index), pt: 1 }}>
          <Typography variant="h2">
            {arm.name}
            {arm.control && ' (control)'}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>{arm.done}</Typography>
          {arm.pieces.map((piece, number) => (
            <Box key={number} sx={{ my: 1 }}>
              <SectionGlyph
                shape={piece.shape}
                section={piece.section}
                size={120}
                title={describeSection(piece.section)}
              />
              <WeightBar
                ledger={piece.ledger}
                scaleGrams={piece.ledger.greenGrams}
                height={18}
                name={`${arm.name} ${number + 1}`}
              />
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
                {piece.photos.map((photo) => (
                  <SharedPhoto
                    key={photo.id}
                    what="TRIAL"
                    token={token}
                    photo={photo.id}
                    alt={`${arm.name} on day ${photo.day}`}
                  />
                ))}
              </Box>
            </Box>
          ))}
          {arm.means && (
            <Typography>
              {percent(arm.means.usableYield)} usable, {percent(arm.means.steakYield)} steak,{' '}
              {percent(arm.means.shrink)} water lost, {percent(arm.means.discard)} thrown away
            </Typography>
          )}
        </Box>
      ))}
    </Box>
  );
}
