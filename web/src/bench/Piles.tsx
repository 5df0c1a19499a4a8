import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import type { Schema } from '../api/client';
import { useWriteEntry } from '../kit/entries';
import { ProblemNotice } from '../kit/Notices';
import { fillOf, streams, type Stream } from '../kit/streams';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';

/** The piles: choose one, weigh a container onto it. Several containers to a pile add up. */
export function Piles({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { card, ledger, log } = bench.piece;
  const [stream, setStream] = useState<Stream>('STEAK');
  const [text, setText] = useState('');
  const write = useWriteEntry(card.id);
  const grams = units.readWeight(text);
  const chosen = streams.find((each) => each.stream === stream);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (grams) {
      write.mutate(
        { entry: { kind: 'PILE', stream, grams }, said: `${chosen?.label}: ${units.weight(grams)}` },
        { onSuccess: () => setText('') },
      );
    }
  };
  return (
    <Box component="form" onSubmit={submit} noValidate sx={{ display: 'grid', gap: 2 }}>
      <Box
        role="radiogroup"
        aria-label="Pile"
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: 1 }}
      >
        {streams.map((each) => (
          <Button
            key={each.stream}
            role="radio"
            aria-checked={stream === each.stream}
            color="inherit"
            onClick={() => {
              setStream(each.stream);
              write.startOver();
            }}
            sx={{
              display: 'grid',
              gridTemplateColumns: '20px 1fr',
              columnGap: 1.25,
              justifyItems: 'start',
              minHeight: 84,
              border: '2px solid',
              borderColor: stream === each.stream ? 'secondary.main' : 'divider',
              bgcolor: stream === each.stream ? 'background.paper' : undefined,
              textAlign: 'left',
            }}
          >
            <svg width="20" height="20" aria-hidden>
              <rect
                width="20"
                height="20"
                fill={fillOf(each.part)}
                stroke="var(--mui-palette-text-secondary)"
              />
            </svg>
            <span>{each.label}</span>
            <Typography component="span" sx={{ gridColumn: 2, fontSize: 22, fontWeight: 660 }}>
              {units.weight(ledger.piles[each.key])}
            </Typography>
          </Button>
        ))}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 380px) auto' },
          gap: 2,
          alignItems: 'start',
        }}
      >
        <WeightField
          label={`Onto ${chosen?.label.toLowerCase()}`}
          text={text}
          onText={(next) => {
            setText(next);
            write.startOver();
          }}
          big
          autoFocus
        />
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={!grams || write.isPending}
          sx={{ minHeight: 76, px: 4, justifySelf: { sm: 'start' } }}
        >
          Add to the pile
        </Button>
      </Box>
      <ProblemNotice failure={write.error} />
      <Box component="ol" aria-label="Weighed onto piles" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {[...log]
          .reverse()
          .filter((entry) => entry.kind === 'PILE' && entry.stands)
          .map((entry) => {
            const label = streams.find((each) => each.stream === entry.stream)?.label ?? '';
            return (
              <Box
                component="li"
                key={entry.id}
                sx={{
                  display: 'flex',
                  alignItems: 'center',
                  gap: 2,
                  borderTop: '1px solid',
                  borderColor: 'divider',
                }}
              >
                <Typography sx={{ flex: 1 }}>{label}</Typography>
                <Typography sx={{ fontWeight: 620 }}>{units.weight(entry.grams)}</Typography>
                <Button
                  color="inherit"
                  size="small"
                  aria-label={`Take back ${label} ${units.weight(entry.grams)}`}
                  onClick={() => write.mutate({ entry: { kind: 'TAKEN_BACK', corrects: entry.id } })}
                >
                  Take back
                </Button>
              </Box>
            );
          })}
      </Box>
    </Box>
  );
}
