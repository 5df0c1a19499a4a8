import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { answer, api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { leave, useRehearsal } from '../api/rehearsal';
import { ProblemNotice } from '../kit/Notices';
import { useScaleIsWatched } from '../weigh/scale';
import { goOver } from './over';

type Heap = Schema['HeapOnBlock']['heap'];

/** What lies on the scale: the piece itself, a heap of it, or nothing but what was left there. */
type Laid = 'PIECE' | 'NOTHING' | Heap;

const STEPS = [1, 3, 7];

/** So often a scale says what lies on it. */
const ASKED_EVERY_MS = 800;

/** Marks a rehearsal as one on every view, lets its days go by, and lays things on its scale. */
export function RehearsalStrip() {
  const rehearsal = useRehearsal(true);
  const watched = useScaleIsWatched();
  const [heap, setHeap] = useState<Laid | null>(null);
  const here = rehearsal.data;
  const over = here?.isOver ?? false;
  const piece = here?.piece;
  // What hangs is laid on as soon as a scale is looked at; at the block one chooses.
  useLaid(piece && watched && !over ? (piece.isDown || heap === 'NOTHING' ? heap : 'PIECE') : null);
  const pass = useMutation({
    mutationFn: (body: Schema['DaysForm']) => answer(api.POST('/api/rehearsal/days', { body })),
    onSuccess: refresh,
  });
  const out = useMutation({ mutationFn: leave, onSuccess: () => goOver('/rehearsal') });
  return (
    <Box
      component="section"
      aria-label="Rehearsal"
      className="no-print"
      sx={{
        px: { xs: 2, md: 4 },
        py: 1,
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        borderBottom: '3px solid',
        borderColor: 'warning.main',
        bgcolor: 'background.paper',
        backgroundImage:
          'repeating-linear-gradient(135deg, color-mix(in srgb, var(--mui-palette-warning-main) 14%, transparent) 0 10px, transparent 10px 26px)',
      }}
    >
      <Box sx={{ flex: '1 1 16rem', minWidth: 0 }}>
        <Typography sx={{ fontWeight: 680 }}>
          Rehearsal{here ? `: ${here.title}` : ''}
          {piece && `. Day ${here.day} of ${here.plannedDays}`}
        </Typography>
        <Typography variant="body2">No real meat. Nothing here is in your records.</Typography>
      </Box>
      {piece && !over && !piece.isDown && (
        <Box role="group" aria-label="Let days go by" sx={{ display: 'flex', gap: 0.5 }}>
          {STEPS.map((days) => (
            <Button
              key={days}
              variant="contained"
              disabled={pass.isPending}
              onClick={() => pass.mutate({ days, shownDay: here.day })}
              sx={{ minHeight: 48 }}
            >
              {days === 1 ? 'Next day' : `${days} days on`}
            </Button>
          ))}
        </Box>
      )}
      {piece && !over && piece.isDown && !piece.isDone && (
        <Box role="group" aria-label="Lay on the scale" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
          {piece.heaps.map(({ heap: what, label }) => (
            <Lay key={what} what={what} label={label} laid={heap} onLay={setHeap} />
          ))}
        </Box>
      )}
      {piece && !over && watched && !piece.isDone && (
        <Lay what="NOTHING" label="Nothing" laid={heap} onLay={setHeap} />
      )}
      <Button component={Link} to="/rehearsal" color="inherit" variant="outlined" sx={{ minHeight: 48 }}>
        {over || !here ? 'What it came to' : piece ? `See ${piece.tag}` : 'What is asked'}
      </Button>
      <Button color="inherit" disabled={out.isPending} onClick={() => out.mutate()} sx={{ minHeight: 48 }}>
        Leave
      </Button>
      {pass.data?.called && (
        <Typography role="alert" sx={{ flexBasis: '100%', fontWeight: 620, color: 'error.main' }}>
          {pass.data.called}
        </Typography>
      )}
      <ProblemNotice failure={pass.error ?? out.error ?? rehearsal.error} />
    </Box>
  );
}

interface LayProps {
  what: Laid;
  label: string;
  laid: Laid | null;
  onLay: (what: Laid | null) => void;
}

function Lay({ what, label, laid, onLay }: LayProps) {
  const on = laid === what;
  return (
    <Button
      variant="outlined"
      color="inherit"
      aria-pressed={on}
      onClick={() => onLay(on ? null : what)}
      sx={{
        minHeight: 48,
        bgcolor: on ? 'text.primary' : 'background.paper',
        color: on ? 'background.paper' : 'text.primary',
        '&:hover': { bgcolor: on ? 'text.primary' : 'background.default' },
      }}
    >
      {what === 'NOTHING' && (on ? 'The scale is empty' : 'Empty the scale')}
      {what !== 'NOTHING' && (on ? `${label}: on the scale` : `Weigh: ${label}`)}
    </Button>
  );
}

/** Keeps showing what lies on the scale, as a scale does. */
function useLaid(laid: Laid | null): void {
  useEffect(() => {
    if (laid === null) {
      return;
    }
    const show = () =>
      void (
        laid === 'NOTHING'
          ? api.POST('/api/rehearsal/scale/clear')
          : api.POST('/api/rehearsal/scale', { body: laid === 'PIECE' ? {} : { heap: laid } })
      ).catch(() => undefined);
    show();
    const asked = window.setInterval(show, ASKED_EVERY_MS);
    return () => {
      window.clearInterval(asked);
      void api.POST('/api/rehearsal/scale/clear').catch(() => undefined);
    };
  }, [laid]);
}
