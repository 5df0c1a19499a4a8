import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { useUnits } from '../kit/units';
import { discardCauses } from './words';

type Entry = Schema['EntryView'];

interface Props {
  log: Entry[];
  nameOf: (entry: Entry) => string;
  onTakeBack: (entry: Entry) => void;
}

/** Every container that was weighed onto a pile, the last first. */
export function Weighed({ log, nameOf, onTakeBack }: Props) {
  const units = useUnits();
  return (
    <Box component="ol" aria-label="Weighed onto piles" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {[...log]
        .reverse()
        .filter((entry) => entry.kind === 'PILE' && entry.stands)
        .map((entry) => (
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
            <Typography sx={{ flex: 1 }}>
              {nameOf(entry)}
              {(entry.steaks ?? 0) > 0 && `, ${entry.steaks}`}
              {entry.cause && entry.cause !== 'CRUST' && `, ${discardCauses[entry.cause]}`}
              {entry.words && `, ${entry.words}`}
            </Typography>
            <Typography sx={{ fontWeight: 620 }}>{units.weight(entry.grams)}</Typography>
            <Button
              color="inherit"
              size="small"
              aria-label={`Take back ${nameOf(entry)} ${units.weight(entry.grams)}`}
              onClick={() => onTakeBack(entry)}
            >
              Take back
            </Button>
          </Box>
        ))}
    </Box>
  );
}
