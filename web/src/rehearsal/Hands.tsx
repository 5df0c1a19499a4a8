import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { refresh } from '../api/house';
import { askFor } from '../api/rehearsal';
import { ProblemNotice } from '../kit/Notices';

type Hand = Schema['HandLine'];
type Lessons = Schema['LessonLine'][];

interface Props {
  hands: Hand[];
  lessons: Lessons;
}

/** Who passed what, and what is asked of them before they work alone. */
export function Hands({ hands, lessons }: Props) {
  const [asked, setAsked] = useState<Hand | null>(null);
  return (
    <Box component="section" aria-labelledby="hands">
      <Typography variant="h2" id="hands">
        Who passed what
      </Typography>
      {hands.map((hand) => (
        <Box
          key={hand.id}
          sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', alignItems: 'center', py: 0.5 }}
        >
          <span>
            {hand.name}
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              {stands(hand)}
            </Typography>
          </span>
          <Button
            color="inherit"
            aria-label={`Ask ${hand.name} for lessons`}
            onClick={() => setAsked(hand)}
            sx={{ minHeight: 44, textDecoration: 'underline' }}
          >
            Ask for lessons
          </Button>
        </Box>
      ))}
      {asked && <Ask hand={asked} lessons={lessons} onClose={() => setAsked(null)} />}
    </Box>
  );
}

function stands({ passed, asked, all }: Hand): string {
  const open = asked.filter((lesson) => !passed.includes(lesson)).length;
  const works =
    asked.length === 0
      ? ''
      : open === 0
        ? ', all that was asked: works alone'
        : `, ${open} asked for still open`;
  return `${passed.length} of ${all}${works}`;
}

function Ask({ hand, lessons, onClose }: { hand: Hand; lessons: Lessons; onClose: () => void }) {
  const [chosen, setChosen] = useState<Hand['asked']>(hand.asked);
  const save = useMutation({
    mutationFn: () => askFor(hand.id, chosen),
    onSuccess: async () => {
      await refresh();
      onClose();
    },
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="ask-title">
      <DialogTitle id="ask-title" sx={{ typography: 'h2' }}>
        Before {hand.name} works alone
      </DialogTitle>
      <DialogContent>
        <Typography sx={{ color: 'text.secondary' }}>
          What is asked stands in their Room until it is passed. It shuts nothing.
        </Typography>
        {lessons.map(({ lesson, title }) => (
          <FormControlLabel
            key={lesson}
            sx={{ display: 'flex' }}
            control={
              <Checkbox
                checked={chosen.includes(lesson)}
                onChange={(_, on) =>
                  setChosen(on ? [...chosen, lesson] : chosen.filter((each) => each !== lesson))
                }
              />
            }
            label={`${title}${hand.passed.includes(lesson) ? ' (passed)' : ''}`}
          />
        ))}
        <ProblemNotice failure={save.error} />
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Leave it
        </Button>
        <Button variant="contained" disabled={save.isPending} onClick={() => save.mutate()}>
          Ask for these
        </Button>
      </DialogActions>
    </Dialog>
  );
}
