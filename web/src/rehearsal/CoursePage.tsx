import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import type { Schema } from '../api/client';
import { begin, enter, useCourse } from '../api/rehearsal';
import { newId } from '../kit/drafts';
import { Caution, ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { FreePlay } from './FreePlay';
import { Hands } from './Hands';
import { goOver } from './over';

/** The lessons in their order, what is running, and for an owner who passed what. */
export function CoursePage() {
  const course = useCourse();
  const go = useMutation({
    mutationFn: async (what: { id: string; body?: Schema['RehearsalForm'] }) => {
      if (what.body) {
        await begin(what.id, what.body);
      }
      await enter(what.id);
    },
    onSuccess: () => goOver('/rehearsal'),
  });
  if (!course.data) {
    return <Waiting failure={course.error} />;
  }
  const ofAPlan = Boolean(go.variables?.body?.plan);
  const { lessons, running, hands, purse } = course.data;
  const next = lessons.find(({ passed }) => !passed);
  const start = (lesson: Schema['LessonLine']['lesson']) =>
    go.mutate({ id: newId(), body: { lesson, answers: {} } });
  return (
    <Page title="Rehearsal">
      <Typography sx={{ maxWidth: 720, mb: 3, fontSize: '1.1rem' }}>
        Age a piece in ten minutes, make the mistakes on no meat at all, and be told why. You work on the same
        screens as with the real thing, in a house of its own that touches none of your records.
      </Typography>
      <ProblemNotice failure={ofAPlan ? null : go.error} />
      {running.length > 0 && (
        <Box component="section" aria-labelledby="running" sx={{ mb: 4 }}>
          <Typography variant="h2" id="running">
            Go on with
          </Typography>
          {running.map(({ id, title }) => (
            <Button
              key={id}
              variant="contained"
              disabled={go.isPending}
              onClick={() => go.mutate({ id })}
              sx={{ minHeight: 52, mr: 1, mt: 1 }}
            >
              {title}
            </Button>
          ))}
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 380px' },
          gap: { xs: 4, lg: 6 },
        }}
      >
        <Box component="section" aria-labelledby="lessons">
          <Typography variant="h2" id="lessons">
            Lessons
          </Typography>
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {lessons.map((each, index) => (
              <Lesson
                key={each.lesson}
                lesson={each}
                number={index + 1}
                next={each === next}
                busy={go.isPending}
                onStart={() => start(each.lesson)}
              />
            ))}
          </Box>
        </Box>
        <Box sx={{ display: 'grid', alignContent: 'start', gap: 4 }}>
          <FreePlay
            purse={purse}
            busy={go.isPending}
            failure={ofAPlan ? go.error : null}
            onBegin={(body) => go.mutate({ id: newId(), body })}
          />
          {hands.length > 1 && <Hands hands={hands} lessons={lessons} />}
          <Caution of="NOBODY_TASTES" />
        </Box>
      </Box>
    </Page>
  );
}

interface LessonProps {
  lesson: Schema['LessonLine'];
  number: number;
  next: boolean;
  busy: boolean;
  onStart: () => void;
}

function Lesson({ lesson, number, next, busy, onStart }: LessonProps) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '2.4rem minmax(0, 1fr)', sm: '2.4rem minmax(0, 1fr) auto' },
        columnGap: 2,
        alignItems: 'center',
        py: 1.5,
        borderBottom: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Typography
        aria-hidden
        sx={{ typography: 'h2', color: lesson.passed ? 'primary.main' : 'text.secondary', m: 0 }}
      >
        {lesson.passed ? '✓' : number}
      </Typography>
      <Box>
        <Typography sx={{ fontWeight: 640 }}>
          {lesson.title}
          {lesson.asked && !lesson.passed && (
            <Box component="span" sx={{ color: 'warning.main', ml: 1 }}>
              your shop asks for it
            </Box>
          )}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>{lesson.task}</Typography>
        {lesson.best !== undefined && (
          <Typography variant="body2">
            {lesson.passed ? 'Passed' : 'Not passed yet'}, best {lesson.best} of 100
          </Typography>
        )}
      </Box>
      <Button
        variant={next ? 'contained' : 'outlined'}
        color={next ? 'primary' : 'inherit'}
        disabled={busy}
        onClick={onStart}
        aria-label={`${lesson.passed ? 'Again' : 'Begin'}: ${lesson.title}`}
        sx={{ minHeight: 48, gridColumn: { xs: '2', sm: '3' }, justifySelf: 'start', mt: { xs: 1, sm: 0 } }}
      >
        {lesson.passed ? 'Again' : 'Begin'}
      </Button>
    </Box>
  );
}
