import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { useLocation } from 'react-router';
import { answer, api, type Answers, type PieceView, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useGiven } from '../api/treatments';
import { newId } from '../kit/drafts';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice, Questions } from '../kit/Notices';
import { moment, shortDate, useUnits } from '../kit/units';
import { Bursts } from './Bursts';
import { HowMuchItWas } from './HowMuchItWas';
import { whenWords } from './moments';

type Treatment = Schema['GivenView'];
type Step = Schema['GivenStep'];

interface Props {
  piece: PieceView;
  /** Opens the entry for a coat put on. */
  onCoat: () => void;
}

/** What was given to a piece, with its steps: what is done, and what comes when. Nothing where nothing was given. */
export function Given({ piece, onCoat }: Props) {
  const given = useGiven(piece.card.id);
  const { hash } = useLocation();
  const there = (given.data?.length ?? 0) > 0;
  useEffect(() => {
    if (there && hash === '#treatments') {
      document.getElementById('treatments')?.scrollIntoView();
    }
  }, [there, hash]);
  if (!given.data || !there) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="treatments">
      <Typography id="treatments" variant="h2" sx={{ mb: 1 }}>
        Given to it
      </Typography>
      {given.data.map((treatment) => (
        <One key={treatment.id} treatment={treatment} piece={piece} onCoat={onCoat} />
      ))}
    </Box>
  );
}

function One({ treatment, piece, onCoat }: Props & { treatment: Treatment }) {
  const units = useUnits();
  const [backId] = useState(newId);
  const back = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/pieces/{pieceId}/treatments/{treatmentId}/back/{entryId}', {
          params: { path: { pieceId: piece.card.id, treatmentId: treatment.id, entryId: backId } },
          body: { words: '' },
        }),
      ),
    onSuccess: refresh,
  });
  const hangs = piece.card.state === 'HANGING' || piece.card.state === 'WAITING';
  const begun = treatment.steps.some((step) => step.done);
  const coats = piece.card.coatGrams === 0 && piece.card.state === 'HANGING' && piece.coating !== 'NONE';
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1 }}>
      <Typography sx={{ fontWeight: 620 }}>{treatment.words}</Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {[
          treatment.amount && `${treatment.amount} for this piece`,
          treatment.onLabel && `the label says ${treatment.onLabel}`,
          treatment.shares.map((share) => `${units.dose(share.grams)} ${share.name}`).join(', '),
          treatment.costMinor > 0 && units.money(treatment.costMinor),
          `${treatment.by}, ${moment(treatment.at)}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Typography>
      <Box component="ol" sx={{ m: 0, mt: 1, p: 0, listStyle: 'none' }}>
        {treatment.steps.map((step) => (
          <StepRow key={step.number} pieceId={piece.card.id} treatmentId={treatment.id} step={step} />
        ))}
      </Box>
      {treatment.smokedMinutes != null &&
        (treatment.over || !hangs ? (
          <Typography sx={{ fontWeight: 620 }}>{treatment.smokedMinutes} minutes of smoke in all</Typography>
        ) : (
          <Bursts pieceId={piece.card.id} treatment={treatment} />
        ))}
      {(piece.card.state === 'PULLED' || piece.card.state === 'CUT') && (
        <Typography sx={{ mt: 1 }}>
          <strong>Look for:</strong> {treatment.lookFor} <strong>Next time:</strong> {treatment.nextTime}
        </Typography>
      )}
      <Box className="no-print" sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        {coats && (
          <Button size="small" variant="outlined" onClick={onCoat}>
            Coat on
          </Button>
        )}
        {!begun && (
          <Button size="small" color="inherit" disabled={back.isPending} onClick={() => back.mutate()}>
            It was not given: take back
          </Button>
        )}
        {treatment.guess && <HowMuchItWas pieceId={piece.card.id} treatmentId={treatment.id} />}
      </Box>
      <ProblemNotice failure={back.error} />
    </Box>
  );
}

function StepRow({ pieceId, treatmentId, step }: { pieceId: string; treatmentId: string; step: Step }) {
  const [id, setId] = useState(newId);
  const form = useKeptForm<Record<string, never>>(null, () => ({}));
  const done = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.PUT('/api/pieces/{pieceId}/treatments/{treatmentId}/steps/{entryId}', {
          params: { path: { pieceId, treatmentId, entryId: id } },
          body: {
            number: step.number,
            words: '',
            answers,
          },
        }),
      ),
    onSuccess: async () => {
      setId(newId());
      await refresh();
    },
  });
  const when = step.on ? shortDate(step.on) : whenWords[step.moment];
  return (
    <Box component="li" sx={{ py: 0.5, borderTop: '1px dotted', borderColor: 'divider' }}>
      <Form
        form={form}
        failure={done.error}
        onChange={done.reset}
        onSubmit={() => done.mutate({})}
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr) auto', sm: '7.5rem minmax(0, 1fr) auto' },
          columnGap: 2,
          alignItems: 'center',
        }}
      >
        <Typography
          variant="body2"
          sx={{ color: 'text.secondary', gridColumn: { xs: '1 / -1', sm: 'auto' } }}
        >
          {when}
        </Typography>
        <Typography sx={{ color: step.done ? 'text.secondary' : 'text.primary' }}>{step.words}</Typography>
        {step.minutes > 0 && (
          <Typography variant="body2" sx={{ gridColumn: { sm: 2 } }}>
            {step.minutes} minutes of smoke
          </Typography>
        )}
        {step.done ? (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            done {step.doneAt && moment(step.doneAt)}, {step.by}
          </Typography>
        ) : step.measuresMeat ? null : (
          <Button
            type="submit"
            variant="outlined"
            disabled={done.isPending}
            aria-label={`Done: ${step.words}`}
          >
            Done
          </Button>
        )}
      </Form>
      <ProblemNotice failure={done.error} />
      <Questions
        failure={done.error}
        busy={done.isPending}
        keep="Done all the same"
        onAnswer={(answers) => done.mutate(answers)}
      />
    </Box>
  );
}
