import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { useNotes, useStrengths, useTasters, useTastings } from '../api/tastings';
import { Page, Waiting } from '../kit/Page';
import { useDebouncedValue } from '../kit/debounced';
import { date } from '../kit/units';
import { Panel } from './Panel';
import { Strengths } from './Strengths';

const SETTLED_MS = 300;

/** What was tasted, what is liked, and who tastes. */
export default function TastingsPage() {
  const tastings = useTastings();
  const strengths = useStrengths();
  const tasters = useTasters();
  if (!tastings.data || !strengths.data || !tasters.data) {
    return <Waiting failure={tastings.error ?? strengths.error ?? tasters.error} />;
  }
  return (
    <Page
      title="Table"
      aside={
        <Button variant="contained" component={Link} to="/tastings/new">
          New tasting
        </Button>
      }
    >
      {tastings.data.length === 0 && (
        <Typography sx={{ maxWidth: 560 }}>
          Nothing was tasted blind yet. Friends who saw the label decide nothing: cook two pieces alike, give
          each a number, and let six people say which they like more.
        </Typography>
      )}
      <Box sx={{ display: 'grid', gap: 4, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <Box component="section" aria-label="Tastings">
          {tastings.data.map((tasting) => (
            <Line key={tasting.id} tasting={tasting} />
          ))}
        </Box>
        <Strengths strengths={strengths.data} />
        <Panel tasters={tasters.data} />
        {tastings.data.some(({ state }) => state === 'REVEALED') && <Words />}
      </Box>
    </Page>
  );
}

function Line({ tasting }: { tasting: Schema['TastingLine'] }) {
  const said = {
    PLANNED: 'The table is set.',
    OPEN: `Being tasted: ${tasting.sheets} of ${tasting.sheetsAsked} sheets are in.`,
    REVEALED: tasting.verdicts[0]?.sentence ?? 'Nobody answered.',
    DROPPED: 'Given up.',
  }[tasting.state];
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1.25 }}>
      <Typography
        component={Link}
        to={`/tastings/${tasting.id}`}
        sx={{ typography: 'h3', color: 'text.primary' }}
      >
        {tasting.question}
      </Typography>
      <Typography sx={{ mt: 0.25, fontWeight: tasting.state === 'OPEN' ? 640 : 400 }}>{said}</Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mt: 0.25 }}>
        {tasting.samples.join(', ')}; {tasting.kindLabel.toLowerCase()}, {tasting.tasters}{' '}
        {tasting.tasters === 1 ? 'taster' : 'tasters'}, {date(tasting.heldOn)}
      </Typography>
    </Box>
  );
}

/** Finds what was said of samples, over all tastings. */
function Words() {
  const [typed, setTyped] = useState('');
  const found = useNotes(useDebouncedValue(typed, SETTLED_MS));
  return (
    <Box component="section" aria-label="In their words">
      <Typography variant="h2" sx={{ mb: 1 }}>
        In their words
      </Typography>
      <TextField
        size="small"
        label="Find a word tasters used"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        sx={{ maxWidth: 320 }}
      />
      <Box role="status" sx={{ mt: 1 }}>
        {typed.trim() !== '' && found.data?.length === 0 && 'Nobody used it.'}
        {typed.trim() !== '' &&
          found.data?.map((note, index) => (
            <Typography key={index}>
              <strong>{note.sample}</strong> {note.words}{' '}
              <Typography
                component={Link}
                to={`/tastings/${note.tastingId}`}
                variant="body2"
                sx={{ color: 'secondary.main' }}
              >
                {note.question}
              </Typography>
            </Typography>
          ))}
      </Box>
    </Box>
  );
}
