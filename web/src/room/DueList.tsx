import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { dueWords, workWords } from '../kit/words';
import { EntryDialog } from '../piece/EntryDialog';

type Due = Schema['DueView'];

/** So that the rails come into sight without scrolling past everything. */
const FIRST_ON_A_PHONE = 6;

/** What to do now, the most urgent first, each one touch from done. */
export function DueList({ due }: { due: Due[] }) {
  const [doing, setDoing] = useState<Due | null>(null);
  const [all, setAll] = useState(false);
  const phone = useMediaQuery('(max-width:899px)');
  const shown = phone && !all ? due.slice(0, FIRST_ON_A_PHONE) : due;
  return (
    <Box component="section" aria-labelledby="due">
      <Typography id="due" variant="h2" sx={{ mb: 1 }}>
        {due.length === 0 ? 'Nothing is due' : `${due.length} to do`}
      </Typography>
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shown.map((each) => (
          <DueRow key={`${each.work} ${each.tag}`} due={each} onDo={() => setDoing(each)} />
        ))}
      </Box>
      {shown.length < due.length && (
        <Button fullWidth color="inherit" onClick={() => setAll(true)}>
          {due.length - shown.length} more
        </Button>
      )}
      {doing?.pieceId && (
        <EntryDialog
          pieceId={doing.pieceId}
          kind={doing.work === 'WEIGH' ? 'WEIGHED' : 'PULLED'}
          onClose={() => setDoing(null)}
        />
      )}
    </Box>
  );
}

function DueRow({ due, onDo }: { due: Due; onDo: () => void }) {
  const late = due.work === 'PULL_OVERDUE';
  const word = workWords[due.work];
  const name = `${word} ${due.tag}`;
  const look = { variant: late ? 'contained' : 'outlined', color: late ? 'warning' : 'primary' } as const;
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        py: 0.75,
        borderTop: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Typography
        component={Link}
        to={due.pieceId ? `/pieces/${due.pieceId}` : `/lots/${due.lotId}`}
        sx={{
          typography: 'h2',
          width: '3.2rem',
          color: late ? 'warning.main' : 'text.primary',
          textDecoration: 'none',
        }}
      >
        {due.tag}
      </Typography>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography noWrap sx={{ fontWeight: 560, lineHeight: 1.25 }}>
          {due.cutName}
        </Typography>
        <Typography
          variant="body2"
          noWrap
          sx={{ color: late ? 'warning.main' : 'text.secondary', fontWeight: late ? 640 : 400 }}
        >
          {dueWords(due)}
        </Typography>
      </Box>
      {due.work === 'CUT' || due.work === 'HANG' ? (
        <Button
          {...look}
          component={Link}
          to={due.work === 'CUT' ? `/bench/${due.pieceId}` : `/lots/${due.lotId}`}
          aria-label={name}
        >
          {word}
        </Button>
      ) : (
        <Button {...look} onClick={onDo} aria-label={name}>
          {word}
        </Button>
      )}
    </Box>
  );
}
