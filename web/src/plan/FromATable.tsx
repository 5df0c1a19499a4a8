import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { useToday } from '../api/house';
import { answer, api, type Schema } from '../api/client';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Figure } from '../kit/Figure';
import { ProblemNotice } from '../kit/Notices';
import { date, percent, readNumber, useUnits } from '../kit/units';
import { KeepPlan } from './KeepPlan';
import { RoomList } from './Rooms';

interface Text {
  portions: string;
  portion: string;
  servedOn: string;
}

const Table = fieldsOf<Text>();

interface Props {
  scenario: Schema['ScenarioForm'] | null;
  chambers: Schema['ChamberForm'][];
  cuts: Schema['CutView'][];
}

/** So many portions on a day: what to buy, by when, where it hangs, what it costs. */
export function FromATable({ scenario, chambers, cuts }: Props) {
  const units = useUnits();
  const today = useToday();
  const form = useKeptForm<Text>('table', () => ({
    portions: '12',
    portion: units.weightForField(300),
    servedOn: dayjs(today).add(6, 'week').format('YYYY-MM-DD'),
  }));
  const draft = form.values;
  const ask = useMutation({
    mutationFn: (body: Schema['TableForm']) => answer(api.POST('/api/plan/table', { body })),
  });
  const submit = () =>
    scenario &&
    ask.mutate({
      scenario,
      portions: Math.round(readNumber(draft.portions) ?? 0),
      portionGrams: units.readWeight(draft.portion) ?? 0,
      servedOn: draft.servedOn,
    });
  return (
    <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
      <Form
        form={form}
        failure={ask.error}
        names={{ portionGrams: 'portion' }}
        onChange={ask.reset}
        onSubmit={submit}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}
      >
        <Table.Measure name="portions" label="Portions" of="number" required sx={{ width: 130 }} />
        <Box sx={{ width: 160 }}>
          <Table.Weight name="portion" label="Each of" required />
        </Box>
        <Table.Day name="servedOn" label="On the table on" required sx={{ width: 190 }} />
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={!scenario || ask.isPending}
          sx={{ minHeight: 56 }}
        >
          What to buy
        </Button>
      </Form>
      <ProblemNotice failure={ask.error} />
      {ask.data && scenario && (
        <Answer
          table={ask.data}
          scenario={scenario}
          chambers={chambers}
          cuts={cuts}
          name={`Table of ${draft.portions} on ${date(draft.servedOn)}`}
        />
      )}
    </Box>
  );
}

function Answer({
  table,
  scenario,
  chambers,
  cuts,
  name,
}: {
  table: Schema['TableView'];
  scenario: Schema['ScenarioForm'];
  chambers: Schema['ChamberForm'][];
  cuts: Schema['CutView'][];
  name: string;
}) {
  const units = useUnits();
  const cut = cuts.find((each) => each.code === scenario.cutCode);
  return (
    <>
      <Box role="status">
        <Typography variant="h2" sx={{ fontSize: '1.8rem' }}>
          Buy {table.pieces} × {cut?.name.toLowerCase()} of {units.about(table.greenGramsEach)}, and hang{' '}
          {table.pieces === 1 ? 'it' : 'them'} by {date(table.hangBy)}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          Enough four times in five: each piece gives at least {table.portionsEach} portions then.
        </Typography>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: 2 }}>
        <Figure name="Green weight in all" big>
          {units.about(table.greenGrams)}
        </Figure>
        <Figure
          name="Steak expected"
          note={`${percent(table.expected.steakLeast)} to ${percent(table.expected.steakMost)} of green`}
          big
        >
          {units.about(table.expected.steak * table.greenGrams)}
        </Figure>
        {table.costMinor > 0 && (
          <Figure name="Cost of it all" note={`${units.money(table.costPerPortionMinor)} a portion`} big>
            {units.money(table.costMinor)}
          </Figure>
        )}
      </Box>
      <RoomList rooms={table.rooms} />
      <KeepPlan
        key={`${table.pieces} ${table.greenGramsEach} ${table.hangBy}`}
        scenario={() => scenario}
        cutCode={scenario.cutCode}
        chamberId={scenario.chamberId}
        chambers={chambers}
        cuts={cuts}
        wanted={{ pieces: table.pieces, greenGrams: table.greenGramsEach, hangOn: table.hangBy, name }}
      />
    </>
  );
}
