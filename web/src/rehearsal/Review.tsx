import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Schema } from '../api/client';
import { CurveChart } from '../kit/CurveChart';
import { Caution } from '../kit/Notices';
import { SurfaceDrawing } from '../kit/SurfaceDrawing';
import { useUnits } from '../kit/units';
import { Otherwise } from './Otherwise';
import { Score } from './Score';

type ReviewOf = Schema['ReviewView'];

const points = (curve: Schema['WeightOnDay'][]) => curve.map(({ day, grams }) => ({ day, value: grams }));

/** What is told when it is over: what truly was, what could have been noticed and when, and what it cost. */
export function Review({ piece, review }: { piece: Schema['PieceBefore']; review: ReviewOf }) {
  const units = useUnits();
  const [shown, setShown] = useState(0);
  const finding = review.findings[shown];
  const last = review.curve.at(-1);
  return (
    <Box sx={{ display: 'grid', gap: 4 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: { xs: 2, md: 5 }, alignItems: 'center' }}>
        <Score
          points={review.score}
          words={piece.isDone ? 'of 100, against what could be known' : 'of 100: it was not cut up'}
        />
        <Box sx={{ flex: '1 1 20rem' }}>
          <Typography role="status" sx={{ typography: 'h2', m: 0 }}>
            {review.passed ? 'Passed' : piece.isDone ? 'Not passed' : 'Given up'}
          </Typography>
          {review.dangerGrams > 0 && (
            <Typography sx={{ color: 'error.main', fontWeight: 620 }}>
              {units.weight(review.dangerGrams)} of what had turned was kept. Nobody tastes to find out: that
              ends it, whatever else was right.
            </Typography>
          )}
          {review.toughGrams > 0 && (
            <Typography>
              {units.weight(review.toughGrams)} of crust was cut as steak. It does not chew.
            </Typography>
          )}
          {review.wasteGrams > 0 && (
            <Typography>{units.weight(review.wasteGrams)} of good steak was thrown away.</Typography>
          )}
          {review.wronglyWeighed > 0 && (
            <Typography>
              {review.wronglyWeighed === 1 ? 'One weight was' : `${review.wronglyWeighed} weights were`}{' '}
              written down with something else on the scale. Take the piece off, look, and tare.
            </Typography>
          )}
          {review.moral && <Typography sx={{ mt: 1, fontSize: '1.1rem' }}>{review.moral}</Typography>}
        </Box>
        <SurfaceDrawing appearance={piece.appearance} width={200} title="The piece as it was at the end" />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) minmax(0, 1fr)' },
          gap: { xs: 4, lg: 6 },
        }}
      >
        <Box component="section" aria-labelledby="noticed">
          <Typography variant="h2" id="noticed">
            What could have been noticed
          </Typography>
          {review.findings.length === 0 && (
            <Typography>Nothing was wrong that anybody could have seen.</Typography>
          )}
          {review.findings.map((each, index) => (
            <Box key={each.told} sx={{ py: 1.25, borderBottom: '1px solid', borderColor: 'divider' }}>
              <Typography sx={{ fontWeight: 620 }}>
                From day {each.sinceDay} on {each.told}
                {each.untilDay > each.sinceDay ? `, until day ${each.untilDay}` : ''}.
              </Typography>
              <Typography sx={{ color: 'text.secondary' }}>
                {each.lateDays > 0
                  ? `${each.lateDays} ${each.lateDays === 1 ? 'day' : 'days'} later than a careful person comes by.`
                  : 'In time.'}
                {each.costGrams > 0 &&
                  ` Done at once, it would have kept ${units.weight(each.costGrams)} more steak, worth ${units.money(each.costMinor)}.`}
              </Typography>
              {each.instead.length > 1 && review.findings.length > 1 && (
                <Button
                  size="small"
                  color="inherit"
                  aria-pressed={index === shown}
                  onClick={() => setShown(index)}
                  sx={{ textDecoration: 'underline', px: 0.5, minHeight: 40 }}
                >
                  {index === shown ? 'Drawn beside yours' : 'Draw it beside yours'}
                </Button>
              )}
            </Box>
          ))}
          <Typography variant="h2" sx={{ mt: 3 }}>
            What befell it
          </Typography>
          {review.befell.length === 0 && <Typography>Nothing but time.</Typography>}
          {review.befell.map(({ told, day }) => (
            <Typography key={told}>
              Day {day}: {told}.
            </Typography>
          ))}
        </Box>
        <Box component="section" aria-labelledby="weight">
          <Typography variant="h2" id="weight">
            Its weight, and what it would have been
          </Typography>
          {last && (
            <CurveChart
              label={`Weight by day, down to ${units.weight(last.grams)} on day ${Math.floor(last.day)}${finding ? '; broken: if done at once' : ''}`}
              height={280}
              days={Math.ceil(last.day)}
              axis={units.axes.weight}
              curves={[
                {
                  name: 'as it was',
                  colour: 'var(--mui-palette-secondary-main)',
                  points: points(review.curve),
                },
                ...(finding
                  ? [
                      {
                        name: 'if done at once',
                        colour: 'var(--mui-palette-primary-main)',
                        broken: true,
                        points: points(finding.instead),
                      },
                    ]
                  : []),
              ]}
            />
          )}
          <Typography variant="h2" sx={{ mt: 3 }}>
            What truly lay on the block
          </Typography>
          {review.truth.map(({ label, grams }) => (
            <Typography key={label} sx={{ display: 'flex', justifyContent: 'space-between', maxWidth: 420 }}>
              <span>{label}</span>
              <span>{units.weight(grams)}</span>
            </Typography>
          ))}
          <Typography sx={{ mt: 1.5 }}>
            Bought for {units.money(review.paidMinor)}; what was kept is worth {units.money(review.keptMinor)}
            .
          </Typography>
          <Caution of="NOBODY_TASTES" />
        </Box>
      </Box>
      {piece.isDone && <Otherwise curve={review.curve} />}
    </Box>
  );
}
