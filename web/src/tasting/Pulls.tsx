import Box from '@mui/material/Box';
import type { Schema } from '../api/client';
import { armColour } from '../trial/arms';

interface Props {
  names: string[];
  result: Schema['ResultView'];
}

const WIDTH = 460;
const ROW = 30;
const TOP = 46;
const LEFT = 70;
const RIGHT = WIDTH - 70;
const MIDDLE = WIDTH / 2;

/** Two plates and a thread from every taster to the one liked more. */
export function Pulls({ names, result }: Props) {
  const height = TOP + ROW * result.choices.length + 10;
  const centre = TOP + (ROW * (result.choices.length - 1)) / 2;
  const pair = result.pairs[0];
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`${names[0]} was liked more by ${pair?.likedFirst ?? 0}, ${names[1]} by ${pair?.likedSecond ?? 0}`}
      sx={{ width: '100%', maxWidth: WIDTH, height: 'auto', fontFamily: 'fontFamily', fontSize: 15 }}
    >
      {[LEFT, RIGHT].map((x, sample) => (
        <g key={x}>
          <Box
            component="text"
            x={x}
            y={22}
            textAnchor="middle"
            sx={{ fill: 'var(--mui-palette-text-primary)', fontWeight: 640 }}
          >
            {names[sample]}
          </Box>
          <Box component="circle" cx={x} cy={centre} r={26} sx={{ fill: armColour(sample) }} />
          <Box
            component="text"
            x={x}
            y={centre + 9}
            textAnchor="middle"
            sx={{ fill: 'var(--mui-palette-background-paper)', fontWeight: 700, fontSize: 25 }}
          >
            {result.choices.filter(({ picked }) => picked === sample).length}
          </Box>
        </g>
      ))}
      {result.choices.map(({ taster, round, picked }, index) => {
        const y = TOP + ROW * index;
        const end = picked === 0 ? LEFT + 28 : RIGHT - 28;
        const start = picked === 0 ? MIDDLE - 48 : MIDDLE + 48;
        return (
          <g key={`${taster} ${round}`}>
            <Box
              component="text"
              x={MIDDLE}
              y={y + 5}
              textAnchor="middle"
              sx={{ fill: 'var(--mui-palette-text-primary)' }}
            >
              {taster}
            </Box>
            {picked != null && (
              <Box
                component="line"
                x1={start}
                y1={y}
                x2={end}
                y2={centre}
                strokeWidth={2.5}
                sx={{ stroke: armColour(picked) }}
              />
            )}
          </g>
        );
      })}
    </Box>
  );
}
