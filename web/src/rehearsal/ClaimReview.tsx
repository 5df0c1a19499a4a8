import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Schema } from '../api/client';
import { percent } from '../kit/units';
import { Score } from './Score';

/** What is told of an answer: what was said, what was shown, and what as many would show another time. */
export function ClaimReview({ review }: { review: Schema['ClaimView'] }) {
  return (
    <Box sx={{ display: 'grid', gap: 4, maxWidth: 860 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: { xs: 2, md: 5 }, alignItems: 'center' }}>
        <Score points={review.score} words="of 100, against what could be known" />
        <Box sx={{ flex: '1 1 20rem' }}>
          <Typography role="status" sx={{ typography: 'h2', m: 0 }}>
            {review.passed ? 'Passed' : 'Not passed'}
          </Typography>
          <Typography sx={{ mt: 1, fontSize: '1.1rem' }}>{review.moral}</Typography>
        </Box>
      </Box>
      <Box>
        {review.told.map((each) => (
          <Typography key={each} sx={{ py: 0.5 }}>
            {each}
          </Typography>
        ))}
      </Box>
      <Box component="section" aria-labelledby="again">
        <Typography variant="h2" id="again" sx={{ mb: 1.5 }}>
          {review.againOf}
        </Typography>
        <Box component="dl" sx={{ m: 0, display: 'grid', gap: 1 }}>
          {review.again.map(({ label, share, own }) => (
            <Box
              key={label}
              sx={{
                display: 'grid',
                gridTemplateColumns: '9rem minmax(0, 1fr) 4rem',
                gap: 1.5,
                alignItems: 'center',
              }}
            >
              <Typography component="dt" sx={{ fontWeight: own ? 680 : 400 }}>
                {label}
                {own && ', yours'}
              </Typography>
              <Box
                aria-hidden
                sx={{ height: 22, bgcolor: 'background.paper', border: '1px solid', borderColor: 'divider' }}
              >
                <Box
                  sx={{
                    height: '100%',
                    width: `${100 * share}%`,
                    bgcolor: own ? 'primary.main' : 'text.secondary',
                  }}
                />
              </Box>
              <Typography
                component="dd"
                sx={{ m: 0, textAlign: 'right', fontVariantNumeric: 'tabular-nums' }}
              >
                {percent(share)}
              </Typography>
            </Box>
          ))}
        </Box>
      </Box>
    </Box>
  );
}
