import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { armColour } from '../trial/arms';
import { HowSure } from '../kit/HowSure';
import { Lines } from './Lines';
import { Pulls } from './Pulls';
import { figure } from '../kit/units';

type Tasting = Schema['TastingView'];
type Result = Schema['ResultView'];

const marks = { SHOWN: 'shown', LEANING: 'leaning', NOT_SHOWN: 'not shown', ANECDOTE: 'an anecdote' };

/** What came of it: the verdict large, then every taster's own line. */
export function Results({ tasting, result }: { tasting: Tasting; result: Result }) {
  const [first, ...rest] = result.verdicts;
  const names = tasting.samples.map(({ name }) => name);
  return (
    <Box
      component="section"
      aria-label="What came of it"
      sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3, mb: 4 }}
    >
      <Box>
        <Typography sx={{ fontSize: '1.6rem', fontWeight: 640, lineHeight: 1.25, maxWidth: 940 }}>
          {first?.sentence ?? 'Nobody answered.'}
        </Typography>
        <HowSure lines={result.verdicts.map(({ statistics }) => statistics)} />
        {tasting.weakenedBy.length > 0 && (
          <Typography sx={{ color: 'warning.main', fontWeight: 560, mt: 0.5 }}>
            Weakened: {tasting.weakenedBy.join(' ')}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 5, alignItems: 'flex-start' }}>
        {tasting.kind === 'PAIRED' && <Pulls names={names} result={result} />}
        {tasting.kind === 'TRIANGLE' && <Odd result={result} />}
        {result.lines.map((lines) => (
          <Lines key={lines.title} lines={lines} />
        ))}
      </Box>
      {rest.length > 0 && (
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', maxWidth: 940 }}>
          {rest.map(({ sentence, strength }) => (
            <Box
              component="li"
              key={sentence}
              sx={{ py: 0.25, fontWeight: strength === 'SHOWN' ? 640 : 400 }}
            >
              {sentence}
            </Box>
          ))}
        </Box>
      )}
      {result.pairs.length > 1 && <Pairs names={names} result={result} />}
      {result.notes.length > 0 && <Notes names={names} result={result} />}
    </Box>
  );
}

function Odd({ result }: { result: Result }) {
  return (
    <Box component="ul" aria-label="Who found the odd one" sx={{ m: 0, p: 0, listStyle: 'none' }}>
      {result.choices.map(({ taster, round, rightOdd }) => (
        <Box
          component="li"
          key={`${taster} ${round}`}
          sx={{ display: 'flex', gap: 2, alignItems: 'center', minHeight: 32 }}
        >
          <Box
            aria-hidden
            sx={{
              width: 18,
              height: 18,
              borderRadius: '50%',
              border: '2px solid',
              borderColor: 'secondary.main',
              bgcolor: rightOdd ? 'secondary.main' : 'transparent',
            }}
          />
          <span>
            {taster} {rightOdd ? 'found it' : 'did not'}
          </span>
        </Box>
      ))}
    </Box>
  );
}

function Pairs({ names, result }: { names: string[]; result: Result }) {
  return (
    <Box>
      <Typography variant="h3">Pair by pair</Typography>
      {result.pairs.map(({ first, second, likedFirst, likedSecond, adjustedP }) => (
        <Typography key={`${first} ${second}`} sx={{ fontWeight: adjustedP < 0.05 ? 640 : 400 }}>
          {names[first]} before {names[second]}: {likedFirst} of {likedFirst + likedSecond}; p{' '}
          {figure(adjustedP, 3)} among {result.pairs.length} pairs (Holm),{' '}
          {marks[adjustedP < 0.05 ? 'SHOWN' : 'NOT_SHOWN']}.
        </Typography>
      ))}
    </Box>
  );
}

function Notes({ names, result }: { names: string[]; result: Result }) {
  return (
    <Box>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        In their words
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 4 }}>
        {names.map((name, sample) => {
          const own = result.notes.filter((note) => note.sample === sample);
          return own.length === 0 ? null : (
            <Box
              key={name}
              sx={{ borderTop: '4px solid', borderColor: armColour(sample), pt: 0.5, maxWidth: 420 }}
            >
              <Typography sx={{ fontWeight: 640 }}>{name}</Typography>
              {own.map((note) => (
                <Typography key={note.taster + note.words}>
                  {note.words}{' '}
                  <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                    {note.taster}
                  </Typography>
                </Typography>
              ))}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}
