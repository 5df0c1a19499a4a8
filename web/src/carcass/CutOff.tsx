import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Answers, type Schema } from '../api/client';
import { useChambers } from '../api/chambers';
import { refresh } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { RadioButtons } from '../kit/RadioButtons';
import { readDays, useUnits } from '../kit/units';
import { isKeepable, LiveWeight } from '../weigh/LiveWeight';
import { useScale, useScales } from '../weigh/scale';

type Goes = 'BENCH' | 'WHOLE' | 'FURTHER';

const ways: [Goes, string][] = [
  ['BENCH', 'To the bench'],
  ['WHOLE', 'Whole, to pack'],
  ['FURTHER', 'Hang or ice it further'],
];

interface Text {
  weight: string;
  goes: Goes;
  chamberId: string;
  days: string;
  meat: string;
  outside: string;
}

const Part = fieldsOf<Text>();

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
  const form = useKeptForm<Text>(null, () => ({
    weight: '',
    goes: later ? 'WHOLE' : 'BENCH',
    chamberId: '',
    days: '7',
    meat: '',
    outside: '',
  }));
  const text = form.values;
  const [typing, setTyping] = useState(false);
  const further = text.goes === 'FURTHER';
  const iced = further && chambers.data?.find(({ id }) => id === text.chamberId)?.kind === 'ICE_CHEST';
  const live = shown && !typing && text.weight === '' ? shown : null;
  const [asked, setAsked] = useState<number | null>(null);
  const fromScale = live && isKeepable(live, 0) ? live.grams : null;
  const grams = live ? fromScale : units.readWeight(text.weight);
  const cut = useMutation({
    mutationFn: ({ weight, answers }: { weight: number; answers: Answers }) =>
      answer(
        api.PUT('/api/carcasses/{id}/parts/{partId}', {
          params: { path: { id: carcassId, partId: pieceId } },
          body: {
            part: part.part,
            grams: weight,
            answers,
            asItIs: text.goes === 'WHOLE',
            ...(further && {
              chamberId: text.chamberId,
              method: iced ? 'ON_ICE' : 'OPEN_AIR',
              days: readDays(text.days) ?? 0,
            }),
            ...(iced && {
              meatCelsius: units.readTemperature(text.meat) ?? undefined,
              outsideCelsius: units.readTemperature(text.outside) ?? undefined,
            }),
          },
        }),
      ),
    onSuccess: async () => {
      await refresh();
      onOff();
    },
  });
  const submit = () => {
    if (grams) {
      setAsked(grams);
      cut.mutate({ weight: grams, answers: {} });
    }
  };
  return (
    <Form
      form={form}
      failure={cut.error}
      names={{ grams: 'weight', meatCelsius: 'meat', outsideCelsius: 'outside' }}
      onChange={cut.reset}
      onSubmit={submit}
      sx={{ display: 'grid', gap: 2 }}
    >
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
        <Part.Weight
          name="weight"
          label={`Weight of the ${part.label.toLowerCase()}`}
          required="Weigh it."
          big
          autoFocus
        />
      )}
      <RadioButtons<Goes>
        label="Where it goes"
        value={text.goes}
        choices={ways}
        onChange={(goes) => form.change({ goes })}
      />
      {further && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 110px', gap: 1.5 }}>
          <Part.Choice size="small" name="chamberId" label="Where" required="Say where.">
            {chamberChoices(chambers.data ?? [])}
          </Part.Choice>
          <Part.Measure size="small" name="days" label="Days" of="days" required="Say for how many days." />
          {iced && (
            <>
              <Part.Measure size="small" name="outside" label="Air round the chest" of="temperature" />
              <Part.Measure size="small" name="meat" label="Meat" of="temperature" />
            </>
          )}
        </Box>
      )}
      <Save
        busy={cut.isPending}
        disabled={!grams || (further && !text.chamberId)}
        failure={cut.error}
        onAnswer={(answers) => asked && cut.mutate({ weight: asked, answers })}
      >
        Cut it off
      </Save>
    </Form>
  );
}
