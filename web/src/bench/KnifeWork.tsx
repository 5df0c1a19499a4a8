import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { useBenchLessons } from '../api/bench';
import { refresh } from '../api/house';
import { DataTable } from '../kit/DataTable';
import { ProblemNotice } from '../kit/Notices';
import { figure, percent, readNumber, type Units, useUnits } from '../kit/units';
import { orderWords, type Order } from './words';

type Lesson = Schema['BenchLesson'];

/** What the weights say of crust and knife, and what the shop has learnt from all its benches. */
export function KnifeWork({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const lessons = useBenchLessons();
  const { knife } = bench;
  const order = bench.piece.benchOrder ?? 'SLICE_FIRST';
  return (
    <Box component="section" aria-labelledby="knife" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography id="knife" variant="h2">
        Crust and knife
      </Typography>
      {knife ? (
        <Typography>
          Cut away <strong>{units.thickness(knife.cutMm)}</strong> deep, over all lean faces. The crust was{' '}
          {units.thickness(knife.crustMm)} {knife.measured ? 'as measured' : 'by the drying law'}, so{' '}
          {knife.marginMm >= 0
            ? `${units.thickness(knife.marginMm)} of good meat went with it`
            : `${units.thickness(-knife.marginMm)} of it stayed on`}
          ; to {orderWords[order]} usually takes {units.thickness(knife.usualMarginMm)}.
          {knife.steakOver != null &&
            ` Steak came out ${percent(Math.abs(knife.steakOver))} of the green weight ${knife.steakOver >= 0 ? 'over' : 'under'} what was expected.`}
        </Typography>
      ) : (
        <Typography sx={{ color: 'text.secondary' }}>
          The weights say nothing of the knife here: nothing was trimmed, or too much was thrown away.
        </Typography>
      )}
      <Measured bench={bench} />
      {lessons.data && <Lessons lessons={lessons.data} units={units} />}
    </Box>
  );
}

function Measured({ bench }: { bench: Schema['BenchView'] }) {
  const units = useUnits();
  const { card, benchOrder } = bench.piece;
  const known = bench.crustTenthsMm;
  const [text, setText] = useState(known == null ? '' : units.lengthForField(known / 10));
  const read = readNumber(text);
  const tenths = read === null ? undefined : Math.round(read * (units.lengthUnit === 'in' ? 254 : 10));
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.PUT('/api/bench/{pieceId}/cutting', {
          params: { path: { pieceId: card.id } },
          body: { order: benchOrder, closeness: bench.closeness, crustTenthsMm: tenths },
        }),
      ),
    onSuccess: refresh,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    save.mutate();
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      className="no-print"
      sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}
    >
      <TextField
        size="small"
        label={`Crust at a cut face, ${units.lengthUnit}`}
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
        sx={{ width: 220 }}
      />
      <Button
        type="submit"
        variant="outlined"
        color="inherit"
        disabled={save.isPending || (tenths ?? null) === (known ?? null)}
      >
        Keep what was measured
      </Button>
      <ProblemNotice failure={save.error} />
    </Box>
  );
}

function Lessons({ lessons, units }: { lessons: Schema['LessonsOfBenches']; units: Units }) {
  const mm = (value: number) => `${value <= -0.05 ? '−' : ''}${units.thickness(Math.abs(value))}`;
  const times = (value: number) => `${figure(value, 2)} times the law`;
  const points = (value: number) => percent(value);
  const rows: { name: string; lesson: Lesson; say: (value: number) => string }[] = [
    ...lessons.margin.map((lesson) => ({
      name: `Knife margin, ${orderWords[lesson.name as Order]}`,
      lesson,
      say: mm,
    })),
    ...lessons.byPerson.map((lesson) => ({ name: `Margin over the usual, ${lesson.name}`, lesson, say: mm })),
    ...(lessons.crust ? [{ name: 'Crust as measured', lesson: lessons.crust, say: times }] : []),
    { name: 'Steak over the forecast', lesson: lessons.steak, say: points },
  ];
  return (
    <DataTable list label="What the benches have taught">
      <thead>
        <tr>
          <th scope="col">For the next piece</th>
          <th scope="col">Expect</th>
          <th scope="col">80 % of the time</th>
          <th scope="col">Rests on</th>
        </tr>
      </thead>
      <tbody>
        {rows
          .filter(({ lesson }) => lesson.benches > 0)
          .map(({ name, lesson, say }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{say(lesson.value)}</td>
              <td>
                {say(lesson.least)} to {say(lesson.most)}
              </td>
              <td>
                {lesson.benches} {lesson.benches === 1 ? 'bench' : 'benches'}
              </td>
            </tr>
          ))}
      </tbody>
    </DataTable>
  );
}
