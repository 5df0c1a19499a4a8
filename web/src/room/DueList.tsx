import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { useRoom } from '../api/room';
import { alongTheRails, inRounds, muchIn, roundOf, type Round } from '../kit/rounds';
import { ProblemNotice } from '../kit/Notices';
import { useWriteEntry } from '../kit/entries';
import { whenOpened } from '../kit/whenOpened';
import { kindWords } from '../kit/words';
import { AheadList } from './AheadList';
import { useDecide } from './decide';

const EntryDialog = whenOpened(async () => (await import('../piece/EntryDialog')).EntryDialog);
const DecideDialog = whenOpened(async () => (await import('./DecideDialog')).DecideDialog);

type Due = Schema['WorkView'];

/** So that the rails come into sight without scrolling past everything. */
const FIRST_ON_A_PHONE = 6;

/** What to do now, the most urgent first, each one touch from done. */
export function DueList({ due }: { due: Due[] }) {
  const [doing, setDoing] = useState<Due | null>(null);
  const [deciding, setDeciding] = useState<Due | null>(null);
  const [all, setAll] = useState(false);
  const decide = useDecide();
  const phone = useMediaQuery('(max-width:899px)');
  const room = useRoom().data;
  /** Rounds that somebody wants to see piece by piece. */
  const [singly, setSingly] = useState<Due['work'][]>([]);
  const lines = inRounds(due).flatMap((line) =>
    'all' in line && singly.includes(line.work) ? line.all : [line],
  );
  const shown = phone && !all ? lines.slice(0, FIRST_ON_A_PHONE) : lines;
  return (
    <Box component="section" aria-labelledby="due">
      <Typography id="due" variant="h2" sx={{ mb: 1 }}>
        {due.length === 0 ? 'Nothing is due' : `${due.length} to do`}
      </Typography>
      <ProblemNotice failure={decide.error} />
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shown.map((line) =>
          'all' in line ? (
            <RoundRow
              key={line.work}
              round={line}
              first={alongTheRails(room, line.all)[0]?.subject.id ?? ''}
              onSingly={() => setSingly([...singly, line.work])}
            />
          ) : (
            <DueRow
              key={`${line.work} ${line.subject.id} ${line.subject.name} ${line.on} ${line.words}`}
              due={line}
              onDo={() =>
                line.place === 'SCALE' ? setDoing(line) : decide.mutate({ due: line, verdict: 'DONE' })
              }
              onDecide={() => setDeciding(line)}
            />
          ),
        )}
      </Box>
      {shown.length < lines.length && (
        <Button fullWidth color="inherit" onClick={() => setAll(true)}>
          {muchIn(lines.slice(shown.length))} more
        </Button>
      )}
      <AheadList />
      {doing && (
        <EntryDialog
          pieceId={doing.subject.id}
          kind={doing.work === 'WEIGH' ? 'WEIGHED' : 'PULLED'}
          onClose={() => setDoing(null)}
        />
      )}
      {deciding && <DecideDialog due={deciding} onClose={() => setDeciding(null)} />}
    </Box>
  );
}

/** The piece or lot itself, wherever the work on it is done. */
const itself = ({ subject, at }: Due): string => (subject.kind === 'PIECE' ? `/pieces/${subject.id}` : at);

/** What grows late grows louder: a day or two is said, three are coloured, and a pull or a stop is filled at once. */
function loudness({ work, days }: Due): 0 | 1 | 2 {
  if (work === 'PULL_OVERDUE' || work === 'STOP' || (work !== 'BUY' && days >= LOUD_DAYS)) {
    return 2;
  }
  return work !== 'BUY' && days >= LATE_DAYS ? 1 : 0;
}

const LATE_DAYS = 3;
const LOUD_DAYS = 14;

interface RoundProps {
  round: Round;
  /** The piece it begins with. */
  first: string;
  onSingly: () => void;
}

/** Many pieces that wait for the same: one walk past all of them. */
function RoundRow({ round: { work, all }, first, onSingly }: RoundProps) {
  const loud = Math.max(...all.map(loudness));
  const { path, does } = roundOf[work] ?? { path: '/', does: '' };
  const what = `${does} ${all.length} pieces`;
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        columnGap: 1,
        py: 0.75,
        borderTop: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: '1 1 9rem', minWidth: 0 }}>
        <Typography sx={{ typography: 'h2', fontSize: '1.25rem' }}>{what}</Typography>
        <Typography
          variant="body2"
          sx={{ color: loud > 0 ? 'warning.main' : 'text.secondary', fontWeight: loud > 0 ? 640 : 400 }}
        >
          one round along the rails; the first {all[0]?.words}
        </Typography>
      </Box>
      <Button color="inherit" onClick={onSingly} aria-label={`One by one: ${what.toLowerCase()}`}>
        One by one
      </Button>
      <Button
        variant={loud === 2 ? 'contained' : 'outlined'}
        color={loud === 2 ? 'warning' : 'primary'}
        component={Link}
        to={`${path}?piece=${first}`}
        aria-label={`Begin the round: ${what.toLowerCase()}`}
        sx={{ minHeight: 48 }}
      >
        Begin
      </Button>
    </Box>
  );
}

interface RowProps {
  due: Due;
  onDo: () => void;
  onDecide: () => void;
}

function DueRow({ due, onDo, onDecide }: RowProps) {
  const write = useWriteEntry(due.subject.id);
  const kind = due.logs;
  const log =
    kind &&
    (() =>
      write.mutate({
        entry: { kind },
        name: `${due.subject.tag}: ${kindWords[kind]}`,
        said: `${due.subject.tag}: ${kindWords[kind].toLowerCase()}`,
      }));
  const loud = loudness(due);
  const late = loud === 2;
  const name = `${due.label} ${due.subject.tag}`;
  const here = due.place === 'HERE' || due.place === 'SCALE';
  const look = { variant: late ? 'contained' : 'outlined', color: late ? 'warning' : 'primary' } as const;
  const untagged = due.subject.kind === 'PLAN' || due.subject.kind === 'CHAMBER';
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        py: 0.5,
        borderTop: '1px solid',
        borderColor: 'divider',
      }}
    >
      {!untagged && (
        <Typography
          component={Link}
          to={itself(due)}
          sx={{
            typography: 'h2',
            width: '3.2rem',
            color: late ? 'warning.main' : 'text.primary',
            textDecoration: 'none',
          }}
        >
          {due.subject.tag}
        </Typography>
      )}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography sx={{ fontWeight: 560, lineHeight: 1.25 }}>
          {untagged ? due.subject.tag : due.subject.name}
        </Typography>
        <Typography
          variant="body2"

          sx={{ color: loud > 0 ? 'warning.main' : 'text.secondary', fontWeight: loud > 0 ? 640 : 400 }}
        >
          {due.words}
        </Typography>
      </Box>
      {due.plannedOn && (
        <IconButton size="small" onClick={onDecide} aria-label={`Move or skip: ${name}`}>
          <svg width="18" height="18" viewBox="0 0 18 18" aria-hidden>
            <path
              d="M2 9H13M9 4.5L13.5 9L9 13.5M16.5 3V15"
              fill="none"
              stroke="currentColor"
              strokeWidth="1.6"
            />
          </svg>
        </IconButton>
      )}
      {!here ? (
        <Button {...look} component={Link} to={due.at} aria-label={name}>
          {due.label}
        </Button>
      ) : (
        <Button
          {...look}
          onClick={log ?? onDo}
          disabled={write.isPending}
          aria-label={`${due.done ?? due.label} ${due.subject.tag}`}
        >
          {due.done ?? due.label}
        </Button>
      )}
      <ProblemNotice failure={write.error} />
    </Box>
  );
}
