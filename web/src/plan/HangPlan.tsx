import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import dayjs from 'dayjs';
import type { FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId, useDraft } from '../kit/drafts';
import { ProblemNotice, Questions } from '../kit/Notices';
import { useUnits } from '../kit/units';
import { WeightField } from '../kit/WeightField';

interface Draft {
  lotId: string;
  supplier: string;
  grade: string;
  temperature: string;
  price: string;
  pieces: { id: string; weight: string }[];
}

/** What was planned has come: its real weights, and it hangs, in one step. */
export function HangPlan({ plan, onClose }: { plan: Schema['PlanView']; onClose: () => void }) {
  const units = useUnits();
  const navigate = useNavigate();
  const { form } = plan;
  const [draft, setDraft, clearDraft] = useDraft<Draft>(`hang ${form.id}`, () => ({
    lotId: newId(),
    supplier: '',
    grade: '',
    temperature: '',
    price: form.priceMinorPerKg > 0 ? units.priceForField(form.priceMinorPerKg) : '',
    pieces: Array.from({ length: form.pieces }, () => ({ id: newId(), weight: '' })),
  }));
  const grams = draft.pieces.map((piece) => units.readWeight(piece.weight));
  const ready = grams.every((each) => each !== null && each > 0);
  const total = grams.reduce<number>((sum, each) => sum + (each ?? 0), 0);
  const hang = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.POST('/api/plans/{id}/hang', {
          params: { path: { id: form.id } },
          body: {
            lot: lotOf(draft, plan, total, units, answers),
            split: splitOf(draft, plan, grams, answers),
          },
        }),
      ),
    onSuccess: async ({ lotId }) => {
      clearDraft();
      await refresh();
      navigate(`/lots/${lotId}`);
    },
  });
  const change = (part: Partial<Draft>) => {
    setDraft({ ...draft, ...part });
    hang.reset();
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    hang.mutate({});
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="hang-title">
      <DialogTitle id="hang-title" sx={{ typography: 'h2' }}>
        Hang it: {form.name}
      </DialogTitle>
      <DialogContent>
        <Box component="form" onSubmit={submit} noValidate sx={{ display: 'grid', gap: 2, pt: 1 }}>
          <Typography>
            {plan.cutName}, to hang in {plan.chamberName} for {form.targetDays} days. Weigh each piece as it
            hangs.
          </Typography>
          {draft.pieces.map((piece, index) => (
            <WeightField
              key={piece.id}
              label={form.pieces === 1 ? 'Green weight' : `Green weight of piece ${index + 1}`}
              text={piece.weight}
              autoFocus={index === 0}
              onText={(weight) =>
                change({
                  pieces: draft.pieces.map((each) => (each.id === piece.id ? { ...each, weight } : each)),
                })
              }
              helper={`planned ${units.weight(form.greenGrams)}`}
            />
          ))}
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
            <TextField
              label="Supplier"
              value={draft.supplier}
              onChange={(event) => change({ supplier: event.target.value })}
            />
            <TextField
              label="Grade or marbling"
              value={draft.grade}
              onChange={(event) => change({ grade: event.target.value })}
            />
            <TextField
              label={`Price per ${units.perWeightUnit}`}
              value={draft.price}
              onChange={(event) => change({ price: event.target.value })}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
            <TextField
              label={`Temperature on arrival, ${units.temperatureUnit}`}
              value={draft.temperature}
              onChange={(event) => change({ temperature: event.target.value })}
              slotProps={{ htmlInput: { inputMode: 'decimal' } }}
            />
          </Box>
          <ProblemNotice failure={hang.error} />
          <Questions
            failure={hang.error}
            busy={hang.isPending}
            keep="Hang it so"
            onAnswer={(answers) => hang.mutate(answers)}
          />
          <Box>
            <Button type="submit" variant="contained" size="large" disabled={!ready || hang.isPending}>
              Hang it
            </Button>
            <Button color="inherit" onClick={onClose} sx={{ ml: 1 }}>
              Not yet
            </Button>
          </Box>
        </Box>
      </DialogContent>
    </Dialog>
  );
}

function lotOf(
  draft: Draft,
  { form }: Schema['PlanView'],
  receivedGrams: number,
  units: ReturnType<typeof useUnits>,
  answers: Answers,
): Schema['LotForm'] {
  return {
    id: draft.lotId,
    version: 0,
    cutCode: form.cutCode,
    grade: draft.grade,
    boneIn: form.boneIn,
    fatCoverMm: form.fatCoverMm,
    receivedGrams,
    priceMinorPerKg: draft.price.trim() === '' ? 0 : (units.readPrice(draft.price) ?? form.priceMinorPerKg),
    supplier: draft.supplier,
    receivedOn: dayjs().format('YYYY-MM-DD'),
    arrivalCelsius:
      draft.temperature.trim() === '' ? undefined : (units.readTemperature(draft.temperature) ?? undefined),
    sourceTag: '',
    note: form.name,
    answers,
  };
}

function splitOf(
  draft: Draft,
  { form }: Schema['PlanView'],
  grams: (number | null)[],
  answers: Answers,
): Schema['SplitForm'] {
  return {
    answers,
    pieces: draft.pieces.map((piece, index) => ({
      id: piece.id,
      role: 'PLAIN' as const,
      greenGrams: grams[index] ?? 0,
      method: form.method,
      chamberId: form.chamberId,
      hungOn: dayjs().format('YYYY-MM-DD'),
      targetDays: form.targetDays,
      coatGrams: 0,
      coating: form.coating,
      contactPercent: form.contactPercent,
      consumablesMinor: form.consumablesMinor,
    })),
  };
}
