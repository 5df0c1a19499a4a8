import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import type { Schema } from '../api/client';
import { SectionGlyph, describeSection } from '../kit/SectionGlyph';
import { figure, percent, useUnits } from '../kit/units';
import { armColour } from './arms';
import { gone } from '../kit/weighed';

type Trial = Schema['TrialView'];

/** The arms side by side: their pieces as they are now, what is done with them, and what came of it. */
export function Arms({ trial }: { trial: Trial }) {
  return (
    <Box
      component="section"
      aria-label="Arms"
      sx={{
        display: 'grid',
        gridTemplateColumns: {
          xs: 'minmax(0, 1fr)',
          sm: `repeat(${Math.min(3, trial.arms.length)}, minmax(0, 1fr))`,
        },
        gap: 3,
      }}
    >
      {trial.arms.map((arm, index) => (
        <Box key={arm.id} sx={{ borderTop: '4px solid', borderColor: armColour(index), pt: 1 }}>
          <Typography variant="h2" component="h2">
            {arm.name}
            {arm.control && (
              <Typography component="span" sx={{ ml: 1, color: 'text.secondary' }}>
                control
              </Typography>
            )}
          </Typography>
          <Typography variant="body2" sx={{ color: 'text.secondary', minHeight: { sm: '3.3em' } }}>
            {arm.setUp}
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, my: 1 }}>
            {arm.pieces.map(({ card }) => (
              <Box key={card.id} sx={{ textAlign: 'center' }}>
                <SectionGlyph
                  shape={card.shape}
                  section={card.section}
                  size={104}
                  title={describeSection(card.section)}
                />
                <Typography
                  component={Link}
                  to={card.state === 'CUT' ? `/bench/${card.id}` : `/pieces/${card.id}`}
                  sx={{ typography: 'h3', color: 'secondary.main' }}
                >
                  {card.tag}
                </Typography>
                <Typography variant="body2">
                  {gone(card)}
                  {card.state === 'HANGING' && `, day ${card.dayNumber}`}
                </Typography>
              </Box>
            ))}
          </Box>
          {arm.means && <Means means={arm.means} />}
        </Box>
      ))}
    </Box>
  );
}

function Means({ means }: { means: Schema['MeansView'] }) {
  const units = useUnits();
  const rows: [string, string][] = [
    ['Usable yield', percent(means.usableYield)],
    ['Steak yield', percent(means.steakYield)],
    ['Shrink', percent(means.shrink)],
    ['Discard', percent(means.discard)],
    [
      'Steaks of a piece',
      means.steaks == null ? 'not counted' : figure(means.steaks, 1).replace(/[.,]0$/, ''),
    ],
    ['Cost of the steak', means.perKgSteak == null ? 'not known' : units.pricePer(means.perKgSteak)],
    ['Cost of all that is eaten', means.perKgEaten == null ? 'not known' : units.pricePer(means.perKgEaten)],
  ];
  return (
    <Box component="dl" sx={{ m: 0, display: 'grid', gridTemplateColumns: '1fr auto', columnGap: 2 }}>
      {rows.map(([label, value]) => (
        <Box
          key={label}
          sx={{
            display: 'contents',
            '& > *': { borderTop: '1px solid', borderColor: 'divider', py: 0.4, m: 0 },
          }}
        >
          <Box component="dt" sx={{ color: 'text.secondary' }}>
            {label}
          </Box>
          <Box component="dd" sx={{ fontWeight: 620, textAlign: 'right' }}>
            {value}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
