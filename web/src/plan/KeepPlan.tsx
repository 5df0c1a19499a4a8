import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { memo, useState } from 'react';
import { answer, api, type Schema } from '../api/client';
import { refresh, useToday } from '../api/house';
import { chamberChoices } from '../kit/choices';
import { newId } from '../kit/drafts';
import { fieldsOf } from '../kit/form/fields';
import { Form } from '../kit/form/Form';
import { useKeptForm } from '../kit/form/keptForm';
import { ProblemNotice } from '../kit/Notices';
import { readNumber } from '../kit/units';

interface Props {
  /** The scenario as it is when the plan is kept; asked for then, so that a slider does not draw this again. */
  scenario: () => Schema['ScenarioForm'] | null;
  cutCode: string;
  chamberId?: string;
  chambers: Schema['ChamberForm'][];
  cuts: Schema['CutView'][];
  /** Where a table asks for more than one piece, on a day. */
  wanted?: { pieces: number; greenGrams: number; hangOn: string; name: string };
}

interface Text {
  name: string;
  pieces: string;
  hangOn: string;
  chamberId: string;
}

const Kept = fieldsOf<Text>();

/** Keeps a plan: it takes its places in the chamber and reminds of the purchase. */
export const KeepPlan = memo(function KeepPlan({
  scenario,
  cutCode,
  chamberId,
  chambers,
  cuts,
  wanted,
}: Props) {
  const cutName = cuts.find((cut) => cut.code === cutCode)?.name ?? '';
  const today = useToday();
  const [id, setId] = useState(newId);
  const form = useKeptForm<Text>(null, () => ({
    name: '',
    pieces: wanted ? String(wanted.pieces) : '1',
    hangOn: wanted?.hangOn ?? today,
    chamberId: chambers[0]?.id ?? '',
  }));
  const text = form.values;
  const keep = useMutation({
    mutationFn: (body: Schema['PlanForm']) =>
      answer(api.PUT('/api/plans/{id}', { params: { path: { id: body.id } }, body })),
    onSuccess: async () => {
      setId(newId());
      await refresh();
    },
  });
  const where = chamberId ?? text.chamberId;
  const submit = () => {
    const plan = scenario();
    if (plan === null) {
      return;
    }
    keep.mutate({
      id,
      version: 0,
      name: text.name.trim() === '' ? (wanted?.name ?? cutName) : text.name,
      cutCode: plan.cutCode,
      boneIn: plan.boneIn,
      fatCoverMm: plan.fatCoverMm,
      pieces: Math.round(readNumber(text.pieces) ?? 0),
      greenGrams: wanted?.greenGrams ?? plan.greenGrams,
      method: plan.method,
      coating: plan.coating,
      contactPercent: plan.contactPercent,
      chamberId: where,
      hangOn: text.hangOn,
      targetDays: plan.targetDays,
      priceMinorPerKg: plan.priceMinorPerKg,
      consumablesMinor: plan.consumablesMinor,
    });
  };
  if (chambers.length === 0) {
    return <Typography>Add a chamber in the settings, and the plan can be kept and hung.</Typography>;
  }
  return (
    <Form
      form={form}
      failure={keep.error}
      onChange={keep.reset}
      onSubmit={submit}
      label="Keep this plan"
      sx={{ display: 'grid', gap: 1.5 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        <Kept.Text
          size="small"
          name="name"
          label="What for"
          placeholder={wanted?.name ?? cutName}
          sx={{ width: 210 }}
        />
        <Kept.Measure size="small" name="pieces" label="Pieces" of="number" required sx={{ width: 96 }} />
        <Kept.Day size="small" name="hangOn" label="Hang on" required sx={{ width: 164 }} />
        {chamberId === undefined && (
          <Kept.Choice size="small" name="chamberId" label="In" sx={{ width: 170 }}>
            {chamberChoices(chambers)}
          </Kept.Choice>
        )}
        <Button type="submit" variant="contained" disabled={keep.isPending}>
          Keep this plan
        </Button>
      </Box>
      {keep.isSuccess && (
        <Typography role="status">
          Kept below, with its places in the chamber. Hang it from there when it comes.
        </Typography>
      )}
      <ProblemNotice failure={keep.error} />
    </Form>
  );
});
