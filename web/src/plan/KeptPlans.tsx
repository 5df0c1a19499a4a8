import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { memo, useState } from 'react';
import { api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { usePlans } from '../api/plans';
import { ProblemNotice } from '../kit/Notices';
import { offerUndo } from '../kit/undo';
import { date, days, useUnits } from '../kit/units';
import { HangPlan } from './HangPlan';

/** The purchases that are planned: hang them when they come, or drop them. */
export const KeptPlans = memo(function KeptPlans() {
  const plans = usePlans();
  const units = useUnits();
  const [hanging, setHanging] = useState<Schema['PlanView'] | null>(null);
  const drop = useMutation({
    mutationFn: ({ form }: Schema['PlanView']) =>
      api.PUT('/api/plans/{id}/drop', { params: { path: { id: form.id } }, body: { version: form.version } }),
    onSuccess: (_, { form }) => {
      offerUndo(`${form.name}: plan dropped`, { kind: 'PLAN', form });
      return refresh();
    },
  });
  if (!plans.data || plans.data.length === 0) {
    return null;
  }
  return (
    <Box component="section" id="kept" aria-labelledby="kept-title" sx={{ mt: 5, maxWidth: 1100 }}>
      <Typography id="kept-title" variant="h2" sx={{ mb: 1 }}>
        Planned purchases
      </Typography>
      <ProblemNotice failure={drop.error} />
      {plans.data.map((plan) => (
        <Box
          key={plan.form.id}
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            alignItems: 'center',
            columnGap: 2,
            py: 0.75,
            borderTop: '1px solid',
            borderColor: 'divider',
          }}
        >
          <Typography sx={{ typography: 'h3', minWidth: 180 }}>{plan.form.name}</Typography>
          <Typography sx={{ flex: '1 1 380px' }}>
            {plan.form.pieces} × {plan.cutName.toLowerCase()} of {units.weight(plan.form.greenGrams)},{' '}
            {plan.chamberName}, {days(plan.form.targetDays)} from {date(plan.form.hangOn)}
          </Typography>
          <Button variant="contained" onClick={() => setHanging(plan)} aria-label={`Hang ${plan.form.name}`}>
            It came: hang it
          </Button>
          <Button
            color="inherit"
            onClick={() => drop.mutate(plan)}
            disabled={drop.isPending}
            aria-label={`Drop ${plan.form.name}`}
          >
            Drop
          </Button>
        </Box>
      ))}
      {hanging && <HangPlan key={hanging.form.id} plan={hanging} onClose={() => setHanging(null)} />}
    </Box>
  );
});
