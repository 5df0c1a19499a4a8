import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Fragment } from 'react';
import type { Schema } from '../api/client';
import { begin, enter, runs } from '../api/rehearsal';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { goOver } from './over';

interface Props {
  /** Null while it cannot be read. */
  plan: Schema['FreePlan'] | null;
}

/** A plan let run in twenty worlds in which something may go wrong. */
export function TwentyTimes({ plan }: Props) {
  const run = useMutation({ mutationFn: runs });
  const one = useMutation({
    mutationFn: async (body: Schema['FreePlan']) => {
      const id = newId();
      await begin(id, { plan: body, answers: {} });
      await enter(id);
    },
    onSuccess: () => goOver('/rehearsal'),
  });
  const isOfThis = JSON.stringify(run.variables) === JSON.stringify(plan);
  return (
    <Box component="section" aria-labelledby="twenty">
      <Typography variant="h2" id="twenty">
        Rehearse it
      </Typography>
      <Typography sx={{ color: 'text.secondary', mb: 1.5, maxWidth: 680 }}>
        Twenty such pieces in twenty rooms, where fans stand and films lift as they do: how it goes where
        somebody looks, and where nobody does. It goes by the middle of the trade, not by your own benches.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button
          variant="outlined"
          disabled={plan === null || run.isPending}
          onClick={() => plan && run.mutate(plan)}
          sx={{ minHeight: 48 }}
        >
          {run.isPending ? 'They hang …' : 'Let it run twenty times'}
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          disabled={plan === null || one.isPending}
          onClick={() => plan && one.mutate(plan)}
          sx={{ minHeight: 48 }}
        >
          Age one of them yourself
        </Button>
      </Box>
      <ProblemNotice failure={run.error ?? one.error} />
      {run.data && isOfThis && <Runs view={run.data} />}
    </Box>
  );
}

function Runs({ view }: { view: Schema['RunsView'] }) {
  const units = useUnits();
  return (
    <Box aria-live="polite" sx={{ mt: 2, display: 'grid', gap: 1.5 }}>
      {view.told.map((each) => (
        <Typography key={each}>{each}</Typography>
      ))}
      <Box
        role="img"
        aria-label={`Steak of each run: ${view.told.join(' ')}`}
        sx={{
          display: 'grid',
          gridTemplateColumns: `repeat(${view.runs.length}, minmax(0, 1fr))`,
          gap: 0.5,
          alignItems: 'end',
          height: 132,
          maxWidth: 680,
          borderBottom: '1px solid',
          borderColor: 'divider',
        }}
      >
        {view.runs.map(({ lookedAfter, leftAlone }, index) => (
          <Box
            key={index}
            sx={{ display: 'flex', gap: '2px', alignItems: 'end', height: '100%' }}
            title={`${units.weight(lookedAfter)}; left alone ${units.weight(leftAlone)}`}
          >
            <Bar grams={lookedAfter} most={view.mostGrams} colour="primary.main" />
            <Bar grams={leftAlone} most={view.mostGrams} colour="warning.main" />
          </Box>
        ))}
      </Box>
      <Typography variant="body2" sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
        <Key colour="primary.main">steak where somebody looks</Key>
        <Key colour="warning.main">where nobody does</Key>
      </Typography>
      {view.befell.length > 0 && (
        <Typography>
          What went wrong:{' '}
          {view.befell.map(({ told, times }, index) => (
            <Fragment key={told}>
              {index > 0 && '; '}
              {told} ({times} of {view.runs.length})
            </Fragment>
          ))}
          .
        </Typography>
      )}
    </Box>
  );
}

function Bar({ grams, most, colour }: { grams: number; most: number; colour: string }) {
  return <Box sx={{ flex: 1, height: `${(100 * grams) / most}%`, bgcolor: colour, minHeight: '1px' }} />;
}

function Key({ colour, children }: { colour: string; children: string }) {
  return (
    <span>
      <Box
        component="span"
        sx={{ display: 'inline-block', width: 12, height: 12, bgcolor: colour, mr: 0.75 }}
      />
      {children}
    </span>
  );
}
