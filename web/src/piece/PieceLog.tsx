import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PieceView, Schema } from '../api/client';
import { useLooks } from '../api/pieces';
import { useWriteEntry } from '../kit/entries';
import { LookEntry } from '../look/LookEntry';
import { ProblemNotice } from '../kit/Notices';
import { streams } from '../kit/streams';
import { moment, useUnits } from '../kit/units';
import { kindWords } from '../kit/words';
import { EntryDialog } from './EntryDialog';
import type { EntryKind } from './EntryPanel';

type Entry = Schema['EntryView'];

const correctable: ReadonlySet<string> = new Set<EntryKind>([
  'WEIGHED',
  'PULLED',
  'WITHDRAWN',
  'CUT_AWAY',
  'COAT_ON',
  'COAT_OFF',
  'NOTE',
]);

/** What is not taken back: it is undone by what comes after. */
const standsForGood = new Set<Entry['kind']>([
  'TAKEN_BACK',
  'TREATED',
  'MOVED',
  'CLOSED',
  'REOPENED',
  'PILE',
]);

/** Everything that happened, the newest first. A wrong entry is corrected by another; both stay. */
export function PieceLog({ piece }: { piece: PieceView }) {
  const units = useUnits();
  const [correcting, setCorrecting] = useState<Entry | null>(null);
  const write = useWriteEntry(piece.card.id);
  const looks = useLooks(piece.card.id);
  const open = piece.card.state !== 'CUT';
  const newestFirst = [...piece.log].reverse();
  return (
    <Box component="section" aria-labelledby="log">
      <Typography id="log" variant="h2" sx={{ mb: 1 }}>
        Log
      </Typography>
      <ProblemNotice failure={write.error} />
      {piece.log.length === 0 && (
        <Typography sx={{ color: 'text.secondary' }}>Nothing entered since it was hung.</Typography>
      )}
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {newestFirst.map((entry) => {
          const mayCorrect = entry.stands && correctable.has(entry.kind) && (open || entry.kind === 'NOTE');
          const mayTakeBack = mayCorrect || (entry.stands && open && !standsForGood.has(entry.kind));
          const look = looks.data?.find((each) => each.id === entry.id);
          return (
            <Box
              component="li"
              key={entry.id}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr auto', sm: '8.5rem 1fr auto' },
                alignItems: 'center',
                columnGap: 2,
                py: 0.5,
                borderTop: '1px solid',
                borderColor: 'divider',
                color: entry.stands ? 'text.primary' : 'text.secondary',
              }}
            >
              <Typography
                variant="body2"
                sx={{ color: 'text.secondary', gridColumn: { xs: '1 / -1', sm: 'auto' } }}
              >
                {moment(entry.happenedAt)}
              </Typography>
              <Typography
                sx={{ textDecoration: entry.stands || entry.kind === 'TAKEN_BACK' ? 'none' : 'line-through' }}
              >
                {title(entry, units.weight)}
                <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                  {entry.words && ` ${entry.words}`} {entry.cameWith}{' '}
                  {entry.corrects && entry.stands && '(corrects an entry)'} {entry.by}
                </Typography>
                {look && <LookEntry look={look} pieceId={piece.card.id} />}
              </Typography>
              {mayTakeBack && (
                <Box className="no-print">
                  {mayCorrect && (
                    <Button
                      size="small"
                      color="inherit"
                      onClick={() => setCorrecting(entry)}
                      aria-label={`Correct ${title(entry, units.weight)}`}
                    >
                      Correct
                    </Button>
                  )}
                  <Button
                    size="small"
                    color="inherit"
                    disabled={write.isPending}
                    aria-label={`Take back ${title(entry, units.weight)}`}
                    onClick={() => write.mutate({ entry: { kind: 'TAKEN_BACK', corrects: entry.id } })}
                  >
                    Take back
                  </Button>
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
      {piece.decisions.length > 0 && <Decisions decisions={piece.decisions} />}
      {correcting && (
        <EntryDialog
          pieceId={piece.card.id}
          kind={correcting.kind as EntryKind}
          corrects={correcting}
          onClose={() => setCorrecting(null)}
        />
      )}
    </Box>
  );
}

function title(entry: Entry, weight: (grams: number) => string): string {
  const pile = streams.find(({ stream }) => stream === entry.stream)?.label;
  const figure = entry.kind === 'COUNTED' ? String(entry.steaks) : entry.grams > 0 ? weight(entry.grams) : '';
  return [pile ?? kindWords[entry.kind], figure, entry.estimated ? '(estimated)' : ''].join(' ').trim();
}

/** Values that were questioned and kept, with who kept them and why. */
export function Decisions({ decisions }: { decisions: Schema['DecisionView'][] }) {
  return (
    <Box sx={{ mt: 3 }}>
      <Typography variant="h3">Questioned and kept</Typography>
      {decisions.map((decision) => (
        <Typography key={decision.decidedAt + decision.sentence} variant="body2" sx={{ mt: 0.5 }}>
          {moment(decision.decidedAt)}, {decision.by}: {decision.sentence}{' '}
          <strong>{decision.reason || 'Kept.'}</strong>
        </Typography>
      ))}
    </Box>
  );
}
