import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useRehearsal } from '../api/rehearsal';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { SurfaceDrawing } from '../kit/SurfaceDrawing';
import { answers } from '../look/words';
import { GiveUp } from './GiveUp';
import { QuestionPart } from './QuestionPart';
import { Review } from './Review';

type Piece = Schema['PieceBefore'];

/** The piece as it lies before one: seen, touched, smelled; and what was told of the last look. */
export function PlayPage() {
  const rehearsal = useRehearsal(true);
  if (!rehearsal.data) {
    return <Waiting failure={rehearsal.error} />;
  }
  const here = rehearsal.data;
  const { piece, question } = here;
  return (
    <Page title={here.title}>
      {piece?.review && <Review piece={piece} review={piece.review} />}
      {piece && !piece.review && <Before key={here.day} task={here.task} day={here.day} piece={piece} />}
      {question && <QuestionPart task={here.task} isOver={here.isOver} question={question} />}
    </Page>
  );
}

function Before({ task, day, piece }: { task: string; day: number; piece: Piece }) {
  const [touched, setTouched] = useState(false);
  const [smelled, setSmelled] = useState(false);
  const room = useMutation({
    mutationFn: (id: string) => answer(api.PUT('/api/rehearsal/room/{id}', { params: { path: { id } } })),
    onSuccess: refresh,
  });
  const end = useMutation({
    mutationFn: () => answer(api.POST('/api/rehearsal/end')),
    onSuccess: refresh,
  });
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 520px) minmax(0, 1fr)' },
        gap: { xs: 3, md: 6 },
      }}
    >
      <Box>
        <SurfaceDrawing
          appearance={piece.appearance}
          width={500}
          title={`${piece.tag} as it looks on day ${day}`}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 2 }}>
          <Button variant="outlined" color="inherit" onClick={() => setTouched(true)} sx={{ minHeight: 48 }}>
            Touch it
          </Button>
          <Button variant="outlined" color="inherit" onClick={() => setSmelled(true)} sx={{ minHeight: 48 }}>
            Smell it
          </Button>
          <Button
            variant="outlined"
            color="inherit"
            disabled={room.isPending || piece.isDown}
            onClick={() => room.mutate(newId())}
            sx={{ minHeight: 48 }}
          >
            See to the room
          </Button>
        </Box>
        <Box aria-live="polite" sx={{ mt: 2, display: 'grid', gap: 1 }}>
          {touched && (
            <Typography>
              <strong>Under a gloved finger:</strong> {piece.feels}
            </Typography>
          )}
          {smelled && (
            <Typography>
              <strong>Close to it:</strong> {piece.smells}
            </Typography>
          )}
          {room.data?.sentences.map((each) => (
            <Typography key={each}>
              <strong>The room:</strong> {each}
            </Typography>
          ))}
        </Box>
        <ProblemNotice failure={room.error ?? end.error} />
      </Box>
      <Box sx={{ display: 'grid', alignContent: 'start', gap: 2.5 }}>
        <Typography sx={{ fontSize: '1.15rem' }}>{task}</Typography>
        <Box
          component="nav"
          aria-label="Work on the piece"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}
        >
          {!piece.isDown && (
            <>
              <Go to={`/look?piece=${piece.id}`}>Look at {piece.tag}</Go>
              <Go to={`/weigh?piece=${piece.id}`}>Weigh {piece.tag}</Go>
              <Go to={`/pieces/${piece.id}`}>Turn, reseal or pull {piece.tag}</Go>
            </>
          )}
          {piece.isDown && !piece.isDone && (
            <Go to={`/bench/${piece.id}`}>Cut {piece.tag} up at the bench</Go>
          )}
          <Go to="/">The room</Go>
        </Box>
        {piece.lastLook && <LastLook look={piece.lastLook} />}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          {piece.isDone ? (
            <Button
              variant="contained"
              disabled={end.isPending}
              onClick={() => end.mutate()}
              sx={{ minHeight: 52 }}
            >
              Be told what it came to
            </Button>
          ) : (
            <GiveUp label="Give up, and be told why" />
          )}
        </Box>
      </Box>
    </Box>
  );
}

function Go({ to, children }: { to: string; children: ReactNode }) {
  return (
    <Button component={Link} to={to} variant="contained" sx={{ minHeight: 52 }}>
      {children}
    </Button>
  );
}

function LastLook({ look }: { look: Schema['LookTold'] }) {
  const right = look.yours === look.right;
  return (
    <Box
      component="section"
      aria-label="Your last look"
      sx={{
        borderLeft: '6px solid',
        borderColor: right ? 'primary.main' : 'warning.main',
        bgcolor: 'background.paper',
        px: 2,
        py: 1.5,
      }}
    >
      <Typography sx={{ fontWeight: 640 }}>
        {right
          ? `Your last look led to the right answer: ${answers[look.right].toLowerCase()}.`
          : `Your last look led to “${answers[look.yours].toLowerCase()}”; it should have been “${answers[look.right].toLowerCase()}”.`}
      </Typography>
      {look.missed.map((each) => (
        <Typography key={each}>{each}</Typography>
      ))}
    </Box>
  );
}
