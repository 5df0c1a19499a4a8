import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState } from 'react';

interface Props {
  left: string;
  leftWords: string;
  right: string;
  rightWords: string;
}

/** Two pictures over each other, parted by a slider. */
export function Beside({ left, leftWords, right, rightWords }: Props) {
  const [part, setPart] = useState(50);
  return (
    <Box>
      <Box sx={{ position: 'relative', aspectRatio: '4 / 3', overflow: 'hidden', bgcolor: 'common.black' }}>
        <img
          src={right}
          alt={rightWords}
          style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', objectFit: 'cover' }}
        />
        <img
          src={left}
          alt={leftWords}
          style={{
            position: 'absolute',
            inset: 0,
            width: '100%',
            height: '100%',
            objectFit: 'cover',
            clipPath: `inset(0 ${100 - part}% 0 0)`,
          }}
        />
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            top: 0,
            bottom: 0,
            left: `${part}%`,
            width: 2,
            bgcolor: 'common.white',
          }}
        />
      </Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr auto', gap: 2, alignItems: 'center', pt: 0.5 }}
      >
        <Typography variant="body2">{leftWords}</Typography>
        <Slider
          aria-label={`Between ${leftWords} and ${rightWords}`}
          value={part}
          onChange={(_, next) => setPart(next as number)}
        />
        <Typography variant="body2">{rightWords}</Typography>
      </Box>
    </Box>
  );
}
