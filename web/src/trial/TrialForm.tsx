import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useDesignCheck } from '../api/trials';
import { newId } from '../kit/drafts';
import { Form } from '../kit/form/Form';
import { Group } from '../kit/form/group';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { Caution } from '../kit/Notices';
import { useDebouncedValue } from '../kit/debounced';
import { useUnits } from '../kit/units';
import { ArmFields } from './ArmFields';
import {
  armOf,
  firstGive,
  LATER,
  lotNow,
  missing,
  plainArm,
  trialBody,
  type Known,
  type TrialText,
} from './draft';
import { Flaws } from './Flaws';
import { Parts } from './Parts';
import { QuestionFields } from './QuestionFields';
import { Shared } from './Shared';
import { usualAgeing } from '../kit/methods';

interface Props {
  next: Schema['NextForm'] | null;
  /** Which of the ways to do each arm of the trial before, by arm. */
  chosen: number[];
  known: Known;
}

/** What the server calls these. */
const names = {
  'arms.*.setUp.method': 'arms.*.method',
  'arms.*.setUp.chamberId': 'arms.*.chamberId',
  'arms.*.setUp.targetDays': 'arms.*.days',
  'arms.*.setUp.consumablesMinor': 'arms.*.consumables',
  'arms.*.setUp.benchOrder': 'arms.*.order',
  'arms.*.setUp.treatments.*.amount': 'arms.*.gives.*.amount',
  'arms.*.setUp.treatments.*.number': 'arms.*.gives.*.number',
  'arms.*.setUp.treatments.*.exactly': 'arms.*.gives.*.exactly',
};

const MOST_ARMS = 6;

/** How long typing pauses before the design is judged again. */
const SETTLED_MS = 400;

export function TrialForm({ next, chosen, known }: Props) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const first = known.chambers[0];
  const firstChamber = first?.id ?? '';
  const usual = usualAgeing(known.methods, first?.kind, units);
  const form = useKeptForm<TrialText>(
    next ? `trial after ${next.fromId ?? next.protocolId} ${chosen.join()}` : 'trial',
    () => ({
      question: next?.question ?? '',
      factor: next?.factor ?? 'TREATMENT',
      measure: next?.measure ?? 'USABLE_YIELD',
      waitTogether: false,
      lotId: LATER,
      hungOn: known.today,
      parts: next ? next.arms.map(() => '') : ['', ''],
      arms: next
        ? next.arms.map((arm, index) => armOf(arm, chosen[index] ?? 0, known.kinds, firstChamber, units))
        : [
            { ...plainArm('Plain', true, firstChamber, []), ...usual },
            { ...plainArm('Treated', false, firstChamber, firstGive(known.kinds)), ...usual },
          ],
    }),
  );
  const text = { ...form.values, lotId: lotNow(form.values.lotId, known.uncut) };
  const [answers, setAnswers] = useState<Answers>({});
  const [wrong, setWrong] = useState<string | null>(null);
  const body = trialBody(text, units);
  const complete =
    text.lotId === ''
      ? text.arms.every((arm) => arm.pieces.length > 0)
      : text.lotId !== LATER && body.parts.length >= text.arms.length;
  const settled = useDebouncedValue(JSON.stringify(complete ? body : null), SETTLED_MS);
  const checked = useDesignCheck(JSON.parse(settled) as Schema['TrialForm'] | null);
  const create = useMutation({
    mutationFn: (given: Answers) =>
      answer(
        api.PUT('/api/trials/{id}', {
          params: { path: { id } },
          body: { ...body, fromId: next?.fromId, protocolId: next?.protocolId, answers: given },
        }),
      ),
    onSuccess: async () => {
      form.clear();
      await refresh();
      navigate(`/trials/${id}`);
    },
  });
  const { change } = form;
  const submit = () => {
    const lacking = missing(text);
    setWrong(lacking);
    if (lacking === null) {
      create.mutate(answers);
    }
  };
  const answered = (given: Answers) => {
    const all = { ...answers, ...given };
    setAnswers(all);
    create.mutate(all);
  };
  if (known.chambers.length === 0) {
    return (
      <Typography>
        There is no chamber to hang anything in yet. <Link to="/settings">Add one</Link>, then come back.
      </Typography>
    );
  }
  return (
    <Form
      form={form}
      failure={create.error ?? checked.error}
      names={names}
      onChange={() => {
        setWrong(null);
        setAnswers({}); // they were about other values
        create.reset();
      }}
      onSubmit={submit}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 360px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 2.5 }}>
        <QuestionFields text={text} known={known} onChange={change} />
        {text.lotId !== '' && (
          <Shared
            text={text}
            known={known}
            onAll={(part) => change({ arms: text.arms.map((arm) => ({ ...arm, ...part })) })}
          />
        )}
        {text.arms.map((arm, index) => (
          <Group key={arm.id} name={`arms.${index}`}>
            <ArmFields
              index={index}
              text={text}
              known={known}
              onControl={() =>
                change({ arms: text.arms.map((each) => ({ ...each, control: each.id === arm.id })) })
              }
              onRemove={
                text.arms.length > 2
                  ? () => change({ arms: text.arms.filter((each) => each.id !== arm.id) })
                  : undefined
              }
            />
          </Group>
        ))}
        {text.arms.length < MOST_ARMS && (
          <Button
            variant="outlined"
            sx={{ justifySelf: 'start' }}
            onClick={() => {
              const like = text.arms.at(-1);
              const fresh = plainArm('', false, firstChamber, firstGive(known.kinds));
              change({ arms: [...text.arms, { ...fresh, ...like, id: fresh.id, name: '', pieces: [] }] });
            }}
          >
            One arm more
          </Button>
        )}
        {text.lotId === LATER && (
          <Typography>
            There is no lot to split. <Link to="/receive">Receive one</Link>; what you set up here waits.
          </Typography>
        )}
        {text.lotId !== '' && text.lotId !== LATER && <Parts text={text} onChange={change} />}
      </Box>
      <Box sx={{ display: 'grid', gap: 2, position: { md: 'sticky' }, top: 16 }}>
        {checked.data && checked.data.length > 0 && (
          <Flaws flaws={checked.data} title="Can it answer the question?" />
        )}
        {checked.data && checked.data.length === 0 && (
          <Typography role="status" sx={{ fontWeight: 620, color: 'success.main' }}>
            The design is fair: one thing is changed, and the rest is the same.
          </Typography>
        )}
        {wrong && (
          <Typography role="alert" color="error">
            {wrong}
          </Typography>
        )}
        <Save
          busy={create.isPending}
          failure={create.error ?? checked.error}
          keep="Do it so"
          or="or change it"
          onAnswer={answered}
        >
          {text.lotId === '' ? 'Begin the trial' : 'Draw, split and hang it'}
        </Save>
        {checked.data && checked.data.length > 0 && (
          <Typography variant="body2" sx={{ color: 'text.secondary' }}>
            It may go on as it is; what weakens it stands beside the verdict.
          </Typography>
        )}
        {text.lotId !== '' && (
          <Typography variant="body2">
            Chance decides which part goes into which arm: the ends of a lot are not alike. The draw is kept
            and can be shown again.
          </Typography>
        )}
        <Caution of="TREATED_COLD" />
      </Box>
    </Form>
  );
}
