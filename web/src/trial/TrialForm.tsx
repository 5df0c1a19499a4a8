import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { useDesignCheck } from '../api/trials';
import { newId, useDraft } from '../kit/drafts';
import { Caution, ProblemNotice, Questions } from '../kit/Notices';
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
  type Factor,
  type Known,
  type TrialText,
} from './draft';
import { Flaws } from './Flaws';
import { Parts } from './Parts';
import { Shared } from './Shared';

interface Props {
  next: Schema['NextForm'] | null;
  known: Known;
}

const MOST_ARMS = 6;

/** How long typing pauses before the design is judged again. */
const SETTLED_MS = 400;

export function TrialForm({ next, known }: Props) {
  const units = useUnits();
  const navigate = useNavigate();
  const [id] = useState(newId);
  const firstChamber = known.chambers[0]?.id ?? '';
  const [draft, setDraft, clearText] = useDraft<TrialText>(
    next ? `trial after ${next.fromId} ${next.changed}` : 'trial',
    () => ({
      question: next?.question ?? '',
      factor: next?.factor ?? 'TREATMENT',
      lotId: LATER,
      hungOn: known.today,
      parts: next ? next.arms.map(() => '') : ['', ''],
      arms: next
        ? next.arms.map((arm) => armOf(arm, known.kinds, firstChamber, units))
        : [
            plainArm('Plain', true, firstChamber, null),
            plainArm('Treated', false, firstChamber, firstGive(known.kinds)),
          ],
    }),
  );
  const text = { ...draft, lotId: lotNow(draft.lotId, known.uncut) };
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
          body: { ...body, fromId: next?.fromId, changed: next?.changed ?? '', answers: given },
        }),
      ),
    onSuccess: async () => {
      clearText();
      await refresh();
      navigate(`/trials/${id}`);
    },
  });
  /** What all of a lot is alike in, so that no lot can be split for it. */
  const ofTheLot = (factor: Factor) => known.factors.some((each) => each.factor === factor && each.ofTheLot);
  const change = (part: Partial<TrialText>) => {
    setDraft((before) => ({ ...before, ...part }));
    setWrong(null);
    setAnswers({}); // they were about other values
    create.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    const lacking = missing(text, units);
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
    <Box
      component="form"
      noValidate
      onSubmit={submit}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 360px' },
        gap: { xs: 3, md: 6 },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 2.5 }}>
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: '1fr', sm: '1fr 220px' } }}>
          <TextField
            label="The question, in words"
            placeholder="Does a honey coat change the shrink or the taste?"
            value={text.question}
            onChange={(event) => change({ question: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 300 }, inputLabel: { shrink: true } }}
          />
          <TextField
            select
            label="What is compared"
            value={text.factor}
            onChange={(event) => {
              const factor = event.target.value as Factor;
              change({ factor, ...(ofTheLot(factor) && { lotId: '' }) });
            }}
          >
            {known.factors.map(({ factor, label }) => (
              <MenuItem key={factor} value={factor}>
                {label}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        <TextField
          select
          label="Of which pieces"
          value={text.lotId}
          onChange={(event) => change({ lotId: event.target.value })}
          slotProps={{ inputLabel: { shrink: true }, select: { displayEmpty: true } }}
          helperText={
            ofTheLot(text.factor)
              ? 'One animal has one of it: choose pieces of several.'
              : 'A lot that is split into all the arms answers best: the animal is the same.'
          }
        >
          {!ofTheLot(text.factor) &&
            known.uncut.map(({ subject }) => (
              <MenuItem key={subject.id} value={subject.id}>
                split lot {subject.tag}, {subject.name}
              </MenuItem>
            ))}
          {text.lotId === LATER && <MenuItem value={LATER}>a lot that is still to come</MenuItem>}
          <MenuItem value="">pieces that hang or hung already</MenuItem>
        </TextField>
        {text.lotId !== '' && <Shared text={text} known={known} onChange={change} />}
        {text.arms.map((arm, index) => (
          <ArmFields
            key={arm.id}
            index={index}
            arm={arm}
            text={text}
            known={known}
            onChange={(part) =>
              change({
                arms: text.arms.map((each) =>
                  each.id === arm.id
                    ? { ...each, ...part }
                    : part.control
                      ? { ...each, control: false }
                      : each,
                ),
              })
            }
            onRemove={
              text.arms.length > 2
                ? () => change({ arms: text.arms.filter((each) => each.id !== arm.id) })
                : undefined
            }
          />
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
        <ProblemNotice failure={create.error ?? checked.error} />
        {wrong && (
          <Typography role="alert" color="error">
            {wrong}
          </Typography>
        )}
        <Questions
          failure={create.error}
          busy={create.isPending}
          keep="Do it so"
          or="or change it"
          onAnswer={answered}
        />
        <Button type="submit" variant="contained" size="large" disabled={create.isPending}>
          {text.lotId === '' ? 'Begin the trial' : 'Draw, split and hang it'}
        </Button>
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
    </Box>
  );
}
