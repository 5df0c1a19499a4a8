import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';

type Group = Schema['StrengthGroup'];

/** How things are liked against each other, over all tastings; only what was ever tasted together. */
export function Strengths({ strengths }: { strengths: Schema['StrengthsView'] }) {
  if (strengths.treatments.length + strengths.methods.length === 0) {
    return null;
  }
  return (
    <Box component="section" aria-labelledby="strengths">
      <Typography id="strengths" variant="h2" sx={{ mb: 0.5 }}>
        What is liked
      </Typography>
      <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2, maxWidth: 720 }}>
        How many of a hundred tasters would like it more than what it is held against, over all tastings; the
        bar is what holds four times in five. Only what met at a table, or met the same, is compared.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' }, gap: 4 }}>
        <Groups title="Treatments" groups={strengths.treatments} />
        <Groups title="Methods" groups={strengths.methods} />
      </Box>
    </Box>
  );
}

function Groups({ title, groups }: { title: string; groups: Group[] }) {
  if (groups.length === 0) {
    return null;
  }
  return (
    <Box>
      <Typography variant="h3">{title}</Typography>
      {groups.map((group) => (
        <Box key={group.against} sx={{ mt: 1 }}>
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            against {group.against}
          </Typography>
          {group.others.map((other) => (
            <Box
              key={other.name}
              sx={{
                display: 'grid',
                gridTemplateColumns: {
                  xs: 'minmax(0, 1fr) minmax(0, 1fr)',
                  sm: 'minmax(0, 1fr) 180px 190px',
                },
                py: { xs: 0.5, sm: 0 },
                '& > :last-child': { gridColumn: { xs: '1 / -1', sm: 'auto' } },
                gap: 2,
                alignItems: 'center',
                minHeight: 34,
              }}
            >
              <Typography noWrap>{other.name}</Typography>
              <Bar low={other.low} high={other.high} chance={other.chance} />
              <Typography variant="body2">
                <strong>{Math.round(other.chance * 100)}</strong> ({Math.round(other.low * 100)} to{' '}
                {Math.round(other.high * 100)}), {other.tastings}{' '}
                {other.tastings === 1 ? 'tasting' : 'tastings'}
              </Typography>
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  );
}

function Bar({ low, high, chance }: { low: number; high: number; chance: number }) {
  const clear = low > 0.5 || high < 0.5;
  return (
    <Box
      component="svg"
      viewBox="0 0 100 16"
      aria-hidden
      preserveAspectRatio="none"
      sx={{ width: '100%', height: 16 }}
    >
      <Box
        component="line"
        x1="50"
        x2="50"
        y1="0"
        y2="16"
        sx={{ stroke: 'var(--mui-palette-rail)' }}
        strokeWidth="1"
      />
      <Box
        component="rect"
        x={low * 100}
        width={(high - low) * 100}
        y="5"
        height="6"
        sx={{ fill: clear ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-rail)', opacity: 0.6 }}
      />
      <Box
        component="rect"
        x={chance * 100 - 1}
        width="2"
        y="1"
        height="14"
        sx={{ fill: 'var(--mui-palette-text-primary)' }}
      />
    </Box>
  );
}
