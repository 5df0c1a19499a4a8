import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type PieceView, type Schema } from '../api/client';
import { useForecastsLike } from '../api/compare';
import { DataTable } from '../kit/DataTable';
import { Figure } from '../kit/Figure';
import { ProblemNotice } from '../kit/Notices';
import { date, figure, percent, readNumber, useUnits } from '../kit/units';
import { noCost } from '../kit/words';

type Ahead = Schema['AheadView'];

/** What the piece is expected to be on its day, each number with its working. */
export function AtTheTarget({ piece, ahead }: { piece: PieceView; ahead: Ahead }) {
  const units = useUnits();
  const { atTarget, now, bestDay } = ahead;
  const howGood = useForecastsLike(piece.card.id);
  const working = (name: string) => piece.workings.find((each) => each.name === name);
  return (
    <Box component="section" aria-labelledby="ahead">
      <Typography id="ahead" variant="h2" sx={{ mb: 1 }}>
        On day {atTarget.day}
        {atTarget.style && <Box component="span" sx={{ fontWeight: 400 }}>{`, ${atTarget.style}`}</Box>}
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: 2 }}>
        <Figure
          name="Weight"
          note={`${units.about(atTarget.leastGrams)} to ${units.about(atTarget.mostGrams)}`}
          working={working('80 % band')}
        >
          {units.about(atTarget.grams)}
        </Figure>
        <Figure
          name="Steak to come"
          note={`${percent(atTarget.steakLeast)} to ${percent(atTarget.steakMost)} of green`}
          working={working('Steak ahead')}
        >
          {units.about(atTarget.steak * piece.card.greenGrams)}
        </Figure>
        <Figure name="Crust" note={`${percent(atTarget.crust)} of green`} working={working('Crust')}>
          {atTarget.crustMm > 0 ? `${units.thickness(atTarget.crustMm)} deep` : 'none'}
        </Figure>
        {atTarget.tenderness != null && (
          <Figure
            name="Tenderness"
            note={
              'of what ageing can give' + (now.tenderness != null ? `; ${percent(now.tenderness)} now` : '')
            }
            working={working('Tenderness')}
          >
            {percent(atTarget.tenderness)}
          </Figure>
        )}
        <Figure
          name={units.sentence('Age, in days at ⟦temperature 0⟧')}
          note={`${figure(now.equivalentDays, 1)} so far; a warmer day counts for more`}
          working={working('Equivalent days')}
        >
          {figure(atTarget.equivalentDays, 1)}
        </Figure>
        {atTarget.costPerKg != null && (
          <Figure
            name="Cost of the steak"
            note={bestDay != null ? `most is left over on day ${bestDay}` : undefined}
            working={working('Cost per kg steak ahead')}
          >
            {units.pricePer(atTarget.costPerKg)}
          </Figure>
        )}
        {atTarget.marginalCost != null && (
          <Figure name="A day longer costs" working={working('One more day')}>
            {units.money(atTarget.marginalCost)}
          </Figure>
        )}
      </Box>
      {ahead.otherDays.length > 0 && (
        <Typography sx={{ mt: 1.5, maxWidth: 760 }}>
          {ahead.otherDays.map((sentence) => units.sentence(sentence)).join(' ')}
        </Typography>
      )}
      {howGood && (
        <Typography variant="body2" sx={{ mt: 1.5, color: 'text.secondary', maxWidth: 760 }}>
          {howGood}
        </Typography>
      )}
    </Box>
  );
}

/** When a shrink is reached. */
export function Reach({ piece }: { piece: PieceView }) {
  const [text, setText] = useState('');
  const shrinkPercent = readNumber(text);
  const ask = useMutation({
    mutationFn: (share: number) =>
      answer(
        api.GET('/api/pieces/{id}/reach', {
          params: { path: { id: piece.card.id }, query: { shrinkPercent: share } },
        }),
      ),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (shrinkPercent !== null) {
      ask.mutate(shrinkPercent);
    }
  };
  return (
    <Box component="form" onSubmit={submit} className="no-print" noValidate sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography component="label" htmlFor="reach">
          When has it lost
        </Typography>
        <TextField
          id="reach"
          size="small"
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            ask.reset();
          }}
          fullWidth={false}
          slotProps={{
            htmlInput: { inputMode: 'decimal' },
            input: { endAdornment: <InputAdornment position="end">%</InputAdornment> },
          }}
          sx={{ width: 100 }}
        />
        <Button type="submit" variant="outlined" disabled={shrinkPercent === null || ask.isPending}>
          Tell me
        </Button>
        {ask.data && (
          <Typography role="status" sx={{ fontWeight: 620 }}>
            on {date(ask.data.expected)}; between {date(ask.data.earliest)} and{' '}
            {ask.data.latest ? date(ask.data.latest) : 'never'}
          </Typography>
        )}
      </Box>
      <ProblemNotice failure={ask.error} />
    </Box>
  );
}

/** A piece that goes its own way: what is likely behind it and what to do. */
export function DriftNotice({ advice }: { advice: string }) {
  return (
    <Typography
      role="status"
      sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2, py: 0.5, fontWeight: 560 }}
    >
      {advice} Until it settles, the forecast leans on its whole past and may be off: weigh it again soon.
    </Typography>
  );
}

/** What was expected when it was hung, beside what the bench found. */
export function ExpectedAndFound({ piece, plan }: { piece: PieceView; plan: Schema['PiecePlanView'] }) {
  const units = useUnits();
  const { ledger, cost, card } = piece;
  const inside = (found: number, least: number, most: number) =>
    found >= least && found <= most
      ? 'as expected'
      : found < least
        ? 'less than expected'
        : 'more than expected';
  const rows: [string, string, string, string][] = [
    ['Days', String(plan.targetDays), String(card.dayNumber ?? ''), ''],
    [
      'Shrink',
      `${percent(plan.lost)} (${percent(plan.lostLeast)} to ${percent(plan.lostMost)})`,
      percent(ledger.shrinkFraction),
      inside(ledger.shrinkFraction, plan.lostLeast, plan.lostMost),
    ],
    [
      'Steak',
      `${percent(plan.steak)} (${percent(plan.steakLeast)} to ${percent(plan.steakMost)})`,
      percent(ledger.steakYield),
      inside(ledger.steakYield, plan.steakLeast, plan.steakMost),
    ],
    [
      'Cost of the steak',
      plan.costPerKg != null ? units.pricePer(plan.costPerKg) : 'none',
      cost.perKgSteak != null ? units.pricePer(cost.perKgSteak) : noCost(cost),
      '',
    ],
  ];
  return (
    <Box component="section" aria-labelledby="expected">
      <Typography id="expected" variant="h2" sx={{ mb: 1 }}>
        Expected when hung, and found
      </Typography>
      <Typography variant="body2" sx={{ mb: 1, color: 'text.secondary' }}>
        What was expected then of day {plan.days}.
      </Typography>
      <DataTable list label="Expected and found" sx={{ '& th, & td': { fontWeight: 400 } }}>
        <thead>
          <tr>
            <th />
            <th scope="col">expected</th>
            <th scope="col">found</th>
            <th scope="col">
              <Box component="span" sx={{ position: 'absolute', left: -9999 }}>
                verdict
              </Box>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, expected, found, verdict]) => (
            <tr key={name}>
              <Box component="th" scope="row" sx={{ '&&': { fontWeight: 620 } }}>
                {name}
              </Box>
              <td>{expected}</td>
              <td>{found}</td>
              <td>{verdict}</td>
            </tr>
          ))}
        </tbody>
      </DataTable>
    </Box>
  );
}
