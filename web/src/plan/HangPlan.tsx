import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answer, api, type Answers, type Schema } from '../api/client';
import { refresh, useToday } from '../api/house';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { Save } from '../kit/form/Save';
import { useUnits } from '../kit/units';

interface Draft {
  lotId: string;
  supplier: string;
  grade: string;
  temperature: string;
  price: string;
  pieces: { id: string; weight: string }[];
}

const Came = fieldsOf<Draft>();

/** What the server calls these. */
const names = {
  'lot.supplier': 'supplier',
  'lot.grade': 'grade',
  'lot.priceMinorPerKg': 'price',
  'lot.arrivalCelsius': 'temperature',
  'split.pieces.*.greenGrams': 'pieces.*.weight',
};

/** What was planned has come: its real weights, and it hangs, in one step. */
export function HangPlan({ plan, onClose }: { plan: Schema['PlanView']; onClose: () => void }) {
  const units = useUnits();
  const navigate = useNavigate();
  const today = useToday();
  const { form: planned } = plan;
  const form = useKeptForm<Draft>(`hang ${planned.id}`, () => ({
    lotId: newId(),
    supplier: '',
    grade: '',
    temperature: '',
    price: planned.priceMinorPerKg > 0 ? units.priceForField(planned.priceMinorPerKg) : '',
    pieces: Array.from({ length: planned.pieces }, () => ({ id: newId(), weight: '' })),
  }));
  const draft = form.values;
  const grams = draft.pieces.map((piece) => units.readWeight(piece.weight));
  const total = grams.reduce<number>((sum, each) => sum + (each ?? 0), 0);
  const hang = useMutation({
    mutationFn: (answers: Answers) =>
      answer(
        api.POST('/api/plans/{id}/hang', {
          params: { path: { id: planned.id } },
          body: {
            lot: lotOf(draft, plan, total, today, units, answers),
            split: splitOf(draft, plan, grams, today, answers),
          },
        }),
      ),
    onSuccess: async ({ lotId }) => {
      form.clear();
      await refresh();
      navigate(`/lots/${lotId}`);
    },
  });
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="hang-title">
      <DialogTitle id="hang-title" sx={{ typography: 'h2' }}>
        Hang it: {planned.name}
      </DialogTitle>
      <DialogContent>
        <Form
          form={form}
          failure={hang.error}
          names={names}
          onChange={hang.reset}
          onSubmit={() => hang.mutate({})}
          sx={{ display: 'grid', gap: 2, pt: 1 }}
        >
          <Typography>
            {plan.cutName}, to hang in {plan.chamberName} for {planned.targetDays} days. Weigh each piece as
            it hangs.
          </Typography>
          {draft.pieces.map((piece, index) => (
            <Came.Weight
              key={piece.id}
              name={`pieces.${index}.weight`}
              label={planned.pieces === 1 ? 'Green weight' : `Green weight of piece ${index + 1}`}
              required="Weigh it as it hangs."
              autoFocus={index === 0}
              helper={`planned ${units.weight(planned.greenGrams)}`}
            />
          ))}
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
            <Came.Text name="supplier" label="Supplier" />
            <Came.Text name="grade" label="Grade or marbling" />
            <Came.Measure name="price" label={`Price per ${units.perWeightUnit}`} of="price" />
            <Came.Measure name="temperature" label="Temperature on arrival" of="temperature" />
          </Box>
          <Save
            busy={hang.isPending}
            failure={hang.error}
            keep="Hang it so"
            onAnswer={(answers) => hang.mutate(answers)}
            beside={
              <Button color="inherit" onClick={onClose}>
                Not yet
              </Button>
            }
          >
            Hang it
          </Save>
        </Form>
      </DialogContent>
    </Dialog>
  );
}

function lotOf(
  draft: Draft,
  { form }: Schema['PlanView'],
  receivedGrams: number,
  today: string,
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
    priceMinorPerKg:
      draft.price.trim() === '' ? undefined : (units.readPrice(draft.price) ?? form.priceMinorPerKg),
    supplier: draft.supplier,
    receivedOn: today,
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
  today: string,
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
      hungOn: today,
      targetDays: form.targetDays,
      coatGrams: 0,
      coating: form.coating,
      contactPercent: form.contactPercent,
      consumablesMinor: form.consumablesMinor,
    })),
  };
}
