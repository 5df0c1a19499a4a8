import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { Caution, ProblemNotice } from '../kit/Notices';
import { ClaimReview } from './ClaimReview';
import { GiveUp } from './GiveUp';

type Question = Schema['QuestionBefore'];
type Claim = Schema['ClaimForm']['claim'];

interface Props {
  task: string;
  isOver: boolean;
  question: Question;
}

/** What is asked of several: a table or a trial is made on its own screen, and here is said what it shows. */
export function QuestionPart({ task, isOver, question }: Props) {
  if (question.review) {
    return <ClaimReview review={question.review} />;
  }
  if (isOver) {
    return <Typography role="status">Given up. Nothing was said of it.</Typography>;
  }
  return (
    <Box sx={{ display: 'grid', gap: 3, maxWidth: 760 }}>
      <Typography sx={{ fontSize: '1.15rem' }}>{task}</Typography>
      {question.work === 'TASTING' ? <Table question={question} /> : <Trial question={question} />}
      {question.choices.length > 0 && <Say choices={question.choices} />}
      <Box sx={{ justifySelf: 'start' }}>
        <GiveUp label="Give up" />
      </Box>
      <Caution of="NOBODY_TASTES" />
    </Box>
  );
}

function Table({ question }: { question: Question }) {
  const eat = useMutation({
    mutationFn: () => answer(api.POST('/api/rehearsal/tasters')),
    onSuccess: refresh,
  });
  const isSet = question.unanswered > 0 || question.choices.length > 0;
  const pieces = question.pieces.map(({ id }) => `piece=${id}`).join('&');
  return (
    <Steps label="At the table">
      <Step
        done={isSet}
        todo={
          <Button
            component={Link}
            to={`/tastings/new?${pieces}`}
            variant={isSet ? 'outlined' : 'contained'}
            color={isSet ? 'inherit' : 'primary'}
            sx={{ minHeight: 52 }}
          >
            Set a blind table
          </Button>
        }
      >
        Two dozen guests are known by name; “Everybody who tasted before” seats them.
      </Step>
      <Step
        done={question.choices.length > 0}
        todo={
          <Button
            variant="contained"
            disabled={question.unanswered === 0 || eat.isPending}
            onClick={() => eat.mutate()}
            sx={{ minHeight: 52 }}
          >
            Let the guests eat
          </Button>
        }
      >
        {question.unanswered > 0
          ? `${question.unanswered} sheets wait.`
          : 'Once the table is open, they fill in their sheets.'}
      </Step>
      <Step
        done={question.choices.length > 0}
        todo={
          <Button component={Link} to="/tastings" variant="outlined" color="inherit" sx={{ minHeight: 52 }}>
            The tables
          </Button>
        }
      >
        Reveal it, and read what it shows.
      </Step>
      <ProblemNotice failure={eat.error} />
    </Steps>
  );
}

function Trial({ question }: { question: Question }) {
  const work = useMutation({
    mutationFn: () => answer(api.POST('/api/rehearsal/hand')),
    onSuccess: refresh,
  });
  const isMade = question.pieces.length > 0;
  const isCut = question.choices.length > 0;
  return (
    <Steps label="The trial">
      <Step
        done={isMade}
        todo={
          <Button
            component={Link}
            to="/trials/new"
            variant={isMade ? 'outlined' : 'contained'}
            color={isMade ? 'inherit' : 'primary'}
            sx={{ minHeight: 52 }}
          >
            Make a trial of the loin
          </Button>
        }
      >
        Compare the method: open air against a salt tray, in as many pieces as it takes.
      </Step>
      <Step
        done={isCut}
        todo={
          <Button
            variant="contained"
            disabled={question.hanging === 0 || work.isPending}
            onClick={() => work.mutate()}
            sx={{ minHeight: 52 }}
          >
            {work.isPending ? 'The hand is at it …' : 'Let a hand see it through'}
          </Button>
        }
      >
        {question.hanging > 0
          ? `${question.hanging} pieces hang: it weighs them each week, takes them down and cuts them.`
          : 'It weighs what hangs each week, takes it down and cuts it.'}
      </Step>
      <Step
        done={isCut}
        todo={
          <Button
            component={Link}
            to={question.askedId ? `/trials/${question.askedId}` : '/trials'}
            variant="outlined"
            color="inherit"
            sx={{ minHeight: 52 }}
          >
            The trial
          </Button>
        }
      >
        Read what it shows.
      </Step>
      <ProblemNotice failure={work.error} />
    </Steps>
  );
}

function Say({ choices }: { choices: Question['choices'] }) {
  const say = useMutation({
    mutationFn: (claim: Claim) => answer(api.POST('/api/rehearsal/claim', { body: { claim } })),
    onSuccess: refresh,
  });
  return (
    <Box component="section" aria-labelledby="say">
      <Typography variant="h2" id="say" sx={{ mb: 1 }}>
        What does it show?
      </Typography>
      <Box sx={{ display: 'grid', gap: 1, justifyItems: 'start' }}>
        {choices.map(({ claim, label }) => (
          <Button
            key={claim}
            variant="outlined"
            color="inherit"
            disabled={say.isPending}
            onClick={() => say.mutate(claim)}
            sx={{ minHeight: 52, textAlign: 'left', bgcolor: 'background.paper' }}
          >
            {label.charAt(0).toUpperCase() + label.slice(1)}
          </Button>
        ))}
      </Box>
      <ProblemNotice failure={say.error} />
    </Box>
  );
}

function Steps({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box component="ol" aria-label={label} sx={{ listStyle: 'none', m: 0, p: 0, counterReset: 'step' }}>
      {children}
    </Box>
  );
}

/** One thing to do, and what is to be known of it. */
function Step({ done, todo, children }: { done: boolean; todo: ReactNode; children: ReactNode }) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '2.4rem minmax(0, 1fr)', sm: '2.4rem 15rem minmax(0, 1fr)' },
        columnGap: 2,
        rowGap: 1,
        alignItems: 'center',
        py: 1.5,
        borderBottom: '1px solid',
        borderColor: 'divider',
        counterIncrement: 'step',
        '&::before': {
          content: done ? '"✓" / ""' : 'counter(step) / ""',
          typography: 'h2',
          color: done ? 'primary.main' : 'text.secondary',
        },
      }}
    >
      <Box sx={{ display: 'grid' }}>{todo}</Box>
      <Typography sx={{ gridColumn: { xs: '2', sm: '3' } }}>
        {children}
        {done && <strong> Done.</strong>}
      </Typography>
    </Box>
  );
}
