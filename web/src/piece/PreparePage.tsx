import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { answer, api } from '../api/client';
import { queryClient } from '../api/house';
import { usePreparation } from '../api/pieces';
import { newId } from '../kit/drafts';
import { Caution, ProblemNotice } from '../kit/Notices';
import { Page, Waiting } from '../kit/Page';
import { moment, useUnits } from '../kit/units';

/** What is done to the piece before it hangs, ticked as it is done, and what is needed. Fit to print. */
export default function PreparePage() {
  const { id = '' } = useParams();
  const sheet = usePreparation(id);
  const units = useUnits();
  const tick = useMutation({
    mutationFn: ({ step, done }: { step: string; done: boolean }) =>
      answer(
        api.PUT('/api/pieces/{pieceId}/preparation/{tickId}', {
          params: { path: { pieceId: id, tickId: newId() } },
          body: { step, done },
        }),
      ),
    onSuccess: (after) => queryClient.setQueryData(['preparation', id], after),
  });
  if (!sheet.data) {
    return <Waiting failure={sheet.error} />;
  }
  const { card, steps, needs } = sheet.data;
  const left = steps.filter((step) => !step.done).length;
  return (
    <Page
      title={`Prepare ${card.tag}`}
      aside={
        <Typography sx={{ color: 'text.secondary' }}>
          {card.cutName}, {units.weight(card.greenGrams)}, {card.methodLabel?.toLowerCase()},{' '}
          {card.chamberName}
        </Typography>
      }
    >
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 640px) 300px' },
          gap: { xs: 3, md: 6 },
        }}
      >
        <Box component="section" aria-label="Steps">
          <Typography variant="h2" sx={{ mb: 1 }}>
            {left === 0 ? 'All done' : `${left} of ${steps.length} to do`}
          </Typography>
          <ProblemNotice failure={tick.error} />
          <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
            {steps.map((step) => (
              <Box
                key={step.key}
                component="li"
                sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.5, breakInside: 'avoid' }}
              >
                <Box
                  component="label"
                  sx={{ display: 'flex', alignItems: 'flex-start', gap: 1, cursor: 'pointer' }}
                >
                  <Checkbox
                    checked={step.done}
                    disabled={tick.isPending}
                    onChange={(_, done) => tick.mutate({ step: step.key, done })}
                  />
                  <Box sx={{ pt: 1 }}>
                    <Typography sx={{ fontWeight: 620, fontSize: '1.1rem', lineHeight: 1.3 }}>
                      {step.words}
                    </Typography>
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                      {step.why}
                      {step.at && ` Done ${moment(step.at)}, ${step.by}.`}
                    </Typography>
                  </Box>
                </Box>
              </Box>
            ))}
          </Box>
        </Box>
        <Box component="section" aria-label="What is needed">
          <Typography variant="h2" sx={{ mb: 1 }}>
            What it takes
          </Typography>
          {needs.map((need) => (
            <Box key={need.what} sx={{ borderTop: '1px solid', borderColor: 'divider', py: 0.75 }}>
              <Typography sx={{ fontWeight: 620 }}>{need.what}</Typography>
              <Typography>{need.amount}</Typography>
            </Box>
          ))}
          <Box sx={{ mt: 2 }}>
            <Caution of="WORK_COLD" />
          </Box>
          <Button variant="outlined" className="no-print" sx={{ mt: 2 }} onClick={() => window.print()}>
            Print the sheet
          </Button>
        </Box>
      </Box>
    </Page>
  );
}
