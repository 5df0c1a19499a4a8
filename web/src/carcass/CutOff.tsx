import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';
import { RadioButtons } from '../kit/RadioButtons';
import { readNumber, useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import { useScale, useScales } from '../weigh/scale';

type Goes = 'BENCH' | 'WHOLE' | 'FURTHER';

const ways: [Goes, string][] = [
  ['BENCH', 'To the bench'],
  ['WHOLE', 'Whole, to pack'],
  ['FURTHER', 'Hang or ice it further'],
];

interface Props {
  carcassId: string;
  part: Schema['PartView'];
  /** Whether this house trims when it thaws. */
  later: boolean;
  onOff: () => void;
}

/** One part: what to see to at its joint, what it weighs, and where it goes. */
export function CutOff({ carcassId, part, later, onOff }: Props) {
  const units = useUnits();
  const chambers = useChambers();
  const shown = useScale(useScales().scale?.id);
  const [pieceId] = useState(newId);
  const [text, setText] = useState('');
  const [typing, setTyping] = useState(false);
  const [goes, setGoes] = useState<Goes>(later ? 'WHOLE' : 'BENCH');
  const [chamberId, setChamberId] = useState('');
  const [days, setDays] = useState('7');
  const [meat, setMeat] = useState('');
  const [outside, setOutside] = useState('');
  const further = goes === 'FURTHER';
  const iced = further && chambers.data?.find(({ id }) => id === chamberId)?.kind === 'ICE_CHEST';
  const live = shown && !typing ? shown : null;
  const [asked, setAsked] = useState<number | null>(null);
  const fromScale = live && isKeepable(live, 0) ? live.grams : null;
  const grams = live ? fromScale : units.readWeight(text);
  const cut = useMutation({
    mutationFn: ({ weight, answers }: { weight: number; answers: Answers }) =>
      answer(
        api.PUT('/api/carcasses/{id}/parts/{partId}', {
          params: { path: { id: carcassId, partId: pieceId } },
          body: {
            part: part.part,
            grams: weight,
            answers,
            asItIs: goes === 'WHOLE',
            ...(further && { chamberId, method: iced ? 'ON_ICE' : 'OPEN_AIR', days: readNumber(days) ?? 0 }),
            ...(iced && {
              meatCelsius: units.readTemperature(meat) ?? undefined,
              outsideCelsius: units.readTemperature(outside) ?? undefined,
            }),
          },
        }),
      ),
    onSuccess: async () => {
      await refresh();
      onOff();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (grams) {
      setAsked(grams);
      cut.mutate({ weight: grams, answers: {} });
    }
  };
  return (
    <Box component="form" noValidate onSubmit={submit} sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ borderLeft: '6px solid', borderColor: 'warning.main', pl: 2 }}>
        <Typography variant="h2">{part.label}</Typography>
        <Typography>{part.see}</Typography>
        <Typography sx={{ color: 'text.secondary' }}>
          some {units.weight(part.expectedGrams)} is to be expected
        </Typography>
      </Box>
      {live ? (
        <LiveWeight
          shown={live}
          keptLaying={0}
          tag={part.label.toLowerCase()}
          ready="Steady: cut it off below"
          onType={() => setTyping(true)}
        />
      ) : (
        <WeightField
          label={`Weight of the ${part.label.toLowerCase()}`}
          text={text}
          onText={(next) => {
            setText(next);
            cut.reset();
          }}
          big
          autoFocus
        />
      )}
      <RadioButtons<Goes> label="Where it goes" value={goes} choices={ways} onChange={setGoes} />
      {further && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 110px', gap: 1.5 }}>
          <TextField
            select
            size="small"
            label="Where"
            value={chamberId}
            onChange={(event) => setChamberId(event.target.value)}
          >
            {chambers.data ? chamberChoices(chambers.data) : <MenuItem value="" />}
          </TextField>
          <TextField
            size="small"
            label="Days"
            value={days}
            onChange={(event) => setDays(event.target.value)}
            slotProps={{ htmlInput: { inputMode: 'numeric' } }}
          />
          {iced &&
            [
              { label: 'Air round the chest', value: outside, set: setOutside },
              { label: 'Meat', value: meat, set: setMeat },
            ].map((field) => (
              <TextField
                key={field.label}
                size="small"
                label={`${field.label}, ${units.temperatureUnit}`}
                value={field.value}
                onChange={(event) => field.set(event.target.value)}
                slotProps={{ htmlInput: { inputMode: 'decimal' } }}
              />
            ))}
        </Box>
      )}
      <ProblemNotice failure={cut.error} />
      <Questions
        failure={cut.error}
        busy={cut.isPending}
        onAnswer={(answers) => asked && cut.mutate({ weight: asked, answers })}
      />
      <Button
        type="submit"
        variant="contained"
        size="large"
        disabled={!grams || cut.isPending || (further && !chamberId)}
        sx={{ minHeight: 56 }}
      >
        Cut it off
      </Button>
    </Box>
  );
}
