import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import dayjs from 'dayjs';
import type { FormEvent } from 'react';
import { answer, api, type Schema } from '../api/client';
import { useDraft } from '../kit/drafts';
import { Figure } from '../kit/Figure';
import { ProblemNotice } from '../kit/Notices';
import { date, percent, readNumber, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { KeepPlan } from './KeepPlan';
import { RoomList } from './Rooms';

interface Props {
  scenario: Schema['ScenarioForm'] | null;
  chambers: Schema['ChamberForm'][];
  cuts: Schema['CutView'][];
}

/** So many portions on a day: what to buy, by when, where it hangs, what it costs. */
export function FromATable({ scenario, chambers, cuts }: Props) {
  const units = useUnits();
  const [draft, setDraft] = useDraft('table', () => ({
    portions: '12',
    portion: units.weightForField(300),
    servedOn: dayjs().add(6, 'week').format('YYYY-MM-DD'),
  }));
  const portions = readNumber(draft.portions);
  const portionGrams = units.readWeight(draft.portion);
  const ask = useMutation({
    mutationFn: (body: Schema['TableForm']) => answer(api.POST('/api/plan/table', { body })),
  });
  const change = (part: Partial<typeof draft>) => {
    setDraft({ ...draft, ...part });
    ask.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (scenario && portions !== null && portionGrams !== null) {
      ask.mutate({ scenario, portions: Math.round(portions), portionGrams, servedOn: draft.servedOn });
    }
  };
  return (
    <Box sx={{ display: 'grid', gap: 3, minWidth: 0 }}>
      <Box
        component="form"
        onSubmit={submit}
        noValidate
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}
      >
        <TextField
          label="Portions"
          fullWidth={false}
          value={draft.portions}
          onChange={(event) => change({ portions: event.target.value })}
          sx={{ width: 110 }}
          slotProps={{ htmlInput: { inputMode: 'numeric' } }}
        />
        <Box sx={{ width: 160 }}>
          <WeightField label="Each of" text={draft.portion} onText={(portion) => change({ portion })} />
        </Box>
        <TextField
          label="On the table on"
          fullWidth={false}
          type="date"
          value={draft.servedOn}
          onChange={(event) => change({ servedOn: event.target.value })}
          sx={{ width: 190 }}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Button
          type="submit"
          variant="contained"
          size="large"
          disabled={!scenario || portions === null || portionGrams === null || ask.isPending}
          sx={{ minHeight: 56 }}
        >
          What to buy
        </Button>
      </Box>
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
          Buy {table.pieces} × {cut?.name.toLowerCase()} of {units.weight(table.greenGramsEach)}, and hang{' '}
          {table.pieces === 1 ? 'it' : 'them'} by {date(table.hangBy)}
        </Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          Enough four times in five: each piece gives at least {table.portionsEach} portions then.
        </Typography>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))', gap: 2 }}>
        <Figure name="Green weight in all" big>
          {units.weight(table.greenGrams)}
        </Figure>
        <Figure
          name="Steak expected"
          note={`${percent(table.expected.steakLeast)} to ${percent(table.expected.steakMost)} of green`}
          big
        >
          {units.weight(Math.round(table.expected.steak * table.greenGrams))}
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
