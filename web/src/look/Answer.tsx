import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import type { Schema } from '../api/client';
import { useWriteEntry } from '../kit/entries';
import { Caution, ProblemNotice } from '../kit/Notices';
import { Discard } from './Discard';
import { answers, type LookView } from './words';

const colours = { CARRY_ON: 'primary.main', ACT: 'warning.main', STOP: 'error.main' } as const;

/** A shape for each answer, so that it is told apart without colour: a ring, a triangle, an octagon. */
const shapes = {
  CARRY_ON: 'M24 6A18 18 0 1 1 23.9 6Z',
  ACT: 'M24 5L44 41H4Z',
  STOP: 'M16 4H32L44 16V32L32 44H16L4 32V16Z',
} as const;

interface AnswerProps {
  look: LookView;
  pieceId: string;
  tag: string;
  /** Off the rail: there is nothing to turn or reseal any more. */
  atBench?: boolean;
  /** How what is bad is thrown away there. */
  discard?: ReactNode;
}

/** What follows from a look, why, and what can be done about it at once. */
export function Answer({ look, pieceId, tag, atBench = false, discard }: AnswerProps) {
  return (
    <Box
      component="section"
      aria-label={`Answer for ${tag}`}
      sx={{
        borderLeft: '8px solid',
        borderColor: colours[look.answer],
        bgcolor: 'background.paper',
        px: 2.5,
        py: 2,
        display: 'grid',
        gap: 1.5,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Box component="svg" viewBox="0 0 48 48" aria-hidden sx={{ width: 48, color: colours[look.answer] }}>
          <path
            d={shapes[look.answer]}
            fill={look.answer === 'CARRY_ON' ? 'none' : 'currentColor'}
            stroke="currentColor"
            strokeWidth="5"
          />
        </Box>
        <Box>
          <Typography role="status" sx={{ typography: 'h1' }}>
            {answers[look.answer]}
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>
            {tag}: {look.seen}
          </Typography>
        </Box>
      </Box>
      {look.because.map((each) => (
        <Typography key={each.rule}>
          <strong>{each.seen}.</strong> {each.reason}
        </Typography>
      ))}
      {look.answer === 'ACT' && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {look.work
            .filter(({ work }) => !atBench || work === 'REST')
            .map((each) => (
              <Done key={each.work} pieceId={pieceId} tag={tag} {...each} />
            ))}
        </Box>
      )}
      {look.answer === 'STOP' && atBench && discard}
      {look.answer === 'STOP' && !atBench && (
        <Discard pieceId={pieceId} tag={tag} whole={look.discard === 'WHOLE'} />
      )}
      <Caution of="NOBODY_TASTES" />
    </Box>
  );
}

type DoneProps = Schema['ToDo'] & { pieceId: string; tag: string };

function Done({ pieceId, tag, done: word, logs: kind }: DoneProps) {
  const write = useWriteEntry(pieceId);
  if (!kind || !word) {
    return null;
  }
  return write.isSuccess ? (
    <Typography sx={{ py: 1 }}>{word}: in the log.</Typography>
  ) : (
    <>
      <Button
        variant="contained"
        color="warning"
        disabled={write.isPending}
        onClick={() =>
          write.mutate({ entry: { kind }, name: `${tag}: ${word}`, said: `${tag}: ${word.toLowerCase()}` })
        }
        sx={{ minHeight: 48 }}
      >
        {word}
      </Button>
      <Typography sx={{ alignSelf: 'center', color: 'text.secondary' }}>
        or later: it stands in the Room until it is done
      </Typography>
      <ProblemNotice failure={write.error} />
    </>
  );
}
