import Box from '@mui/material/Box';
import type { Schema } from '../api/client';
import { animals, type Part } from './outlines';

interface Props {
  build: Schema['AnimalView']['build'];
  parts: Schema['PartView'][];
  chosen: Part | null;
  onChoose: (part: Part) => void;
}

/**
 * The animal from above: what is on it still is filled, what is off is a dashed outline with the tag it went under. The
 * list beside says the same in words.
 */
export function Outline({ build, parts, chosen, onChoose }: Props) {
  return (
    <Box
      component="svg"
      viewBox="0 0 300 362"
      aria-hidden
      sx={{ width: '100%', maxWidth: 420, display: 'block', userSelect: 'none' }}
    >
      {animals[build].map(({ part, path, at, word }) => {
        const state = parts.find((each) => each.part === part);
        const off = Boolean(state?.pieceId);
        return (
          <g key={part} onClick={() => onChoose(part)} style={{ cursor: 'pointer' }}>
            <path
              d={path}
              fill={off ? 'transparent' : 'var(--mui-palette-part-steak)'}
              fillOpacity={chosen === part ? 1 : 0.78}
              stroke={off ? 'var(--mui-palette-text-secondary)' : 'var(--mui-palette-background-default)'}
              strokeWidth={chosen === part ? 0 : 2}
              strokeDasharray={off ? '5 4' : undefined}
            />
            {chosen === part && (
              <path d={path} fill="none" stroke="var(--mui-palette-warning-main)" strokeWidth={4} />
            )}
            {word && (
              <text
                x={at[0]}
                y={at[1]}
                textAnchor="middle"
                fontSize={12}
                fontWeight={640}
                fill={off ? 'var(--mui-palette-text-primary)' : 'var(--mui-palette-background-default)'}
                style={{ pointerEvents: 'none' }}
              >
                {off ? state?.tag : word}
              </text>
            )}
          </g>
        );
      })}
    </Box>
  );
}
