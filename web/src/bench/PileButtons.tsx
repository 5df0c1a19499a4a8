import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { Schema } from '../api/client';
import { fillOf, streams } from '../kit/streams';
import { useUnits } from '../kit/units';
import { onPiles, piles, type Pile } from './piles';

interface Props {
  bench: Schema['BenchView'];
  /** Whether there is a weight to be put anywhere. */
  ready: boolean;
  /** Steaks in the container, 0 where nobody counts. */
  count: number;
  onCount: (count: number) => void;
  onPut: (pile: Pile) => void;
}

/** A button for each pile, large enough for a gloved hand; it shows what lies there. */
export function PileButtons({ bench, ready, count, onCount, onPut }: Props) {
  const units = useUnits();
  const lie = onPiles(bench.piece.log);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1 }}>
      <Box
        role="group"
        aria-label="Piles"
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'repeat(2, minmax(0, 1fr))', sm: 'repeat(3, minmax(0, 1fr))' },
          gap: 1,
        }}
      >
        {(Object.keys(piles) as Pile[]).map((pile) => {
          const { label, stream } = piles[pile];
          const part = streams.find((each) => each.stream === stream)?.part ?? 'steak';
          return (
            <Button
              key={pile}
              color="inherit"
              aria-disabled={!ready}
              onClick={() => onPut(pile)}
              sx={{
                display: 'grid',
                gridTemplateColumns: '22px 1fr',
                columnGap: 1.25,
                justifyItems: 'start',
                minHeight: 88,
                border: '2px solid',
                borderColor: ready ? 'primary.main' : 'divider',
                bgcolor: ready ? 'background.paper' : undefined,
                textAlign: 'left',
              }}
            >
              <svg width="22" height="22" aria-hidden>
                <rect width="22" height="22" fill={fillOf(part)} stroke="var(--mui-palette-text-secondary)" />
              </svg>
              <span>
                <span style={visuallyHidden}>Onto </span>
                {label}
              </span>
              <Typography component="span" sx={{ gridColumn: 2, fontSize: 22, fontWeight: 660 }}>
                {units.weight(lie[pile])}
              </Typography>
            </Button>
          );
        })}
      </Box>
      <Box
        sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}
        role="group"
        aria-label="Steaks in it"
      >
        <Typography sx={{ minWidth: 190 }}>
          {count === 0 ? 'Steaks in it: not counted' : `Steaks in it: ${count}`}
        </Typography>
        <Button
          variant="outlined"
          color="inherit"
          aria-label="One steak less"
          disabled={count === 0}
          onClick={() => onCount(count - 1)}
          sx={{ minWidth: 56, minHeight: 48, fontSize: 22 }}
        >
          −
        </Button>
        <Button
          variant="outlined"
          color="inherit"
          aria-label="One steak more"
          onClick={() => onCount(count + 1)}
          sx={{ minWidth: 56, minHeight: 48, fontSize: 22 }}
        >
          +
        </Button>
        {bench.cut.gramsEach != null && (
          <Typography sx={{ color: 'text.secondary' }}>
            {bench.cut.steaks} cut, {units.weight(Math.round(bench.cut.gramsEach))} each
            {bench.cut.spreadGrams != null && ` ± ${units.small(bench.cut.spreadGrams)}`}
          </Typography>
        )}
      </Box>
    </Box>
  );
}
