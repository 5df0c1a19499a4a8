import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import type { Schema } from '../api/client';
import { useLookKey } from '../api/guide';
import { SurfaceDrawing } from '../kit/SurfaceDrawing';

interface Props<T extends string> {
  /** Which question of the key it is. */
  asked: Schema['KeyEntry']['asked'];
  words: Record<T, string>;
  chosen: readonly T[];
  onPick: (each: T) => void;
}

/** "Which of these is it?": every answer drawn and told, to be chosen by what one has before one. */
export function KeyCards<T extends string>({ asked, words, chosen, onPick }: Props<T>) {
  const [open, setOpen] = useState(false);
  const id = useId();
  const key = useLookKey(open);
  const all = Object.keys(words) as T[];
  return (
    <Box>
      <Button
        type="button"
        color="inherit"
        size="small"
        aria-expanded={open}
        aria-controls={id}
        onClick={() => setOpen(!open)}
        sx={{ textDecoration: 'underline', minHeight: 40, px: 0.5 }}
      >
        Which of these is it?
      </Button>
      <Box
        id={id}
        hidden={!open}
        sx={{
          display: open ? 'grid' : 'none',
          gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))',
          gap: 1,
        }}
      >
        {all.map((each) => {
          const line = key.data?.find((one) => one.asked === asked && one.choice === each);
          return (
            line && (
              <Button
                key={each}
                type="button"
                color="inherit"
                variant="outlined"
                aria-pressed={chosen.includes(each)}
                onClick={() => onPick(each)}
                sx={{
                  display: 'grid',
                  alignContent: 'start',
                  justifyItems: 'start',
                  justifyContent: 'start',
                  gap: 0.5,
                  p: 1,
                  textAlign: 'left',
                  borderColor: chosen.includes(each) ? 'text.primary' : 'divider',
                  borderWidth: chosen.includes(each) ? 2 : 1,
                }}
              >
                {line.appearance && <SurfaceDrawing appearance={line.appearance} width={132} />}
                <Typography component="span" sx={{ fontWeight: 620 }}>
                  {words[each]}
                </Typography>
                <Typography component="span" variant="body2" sx={{ color: 'text.secondary' }}>
                  {line.told}
                </Typography>
              </Button>
            )
          );
        })}
      </Box>
    </Box>
  );
}
