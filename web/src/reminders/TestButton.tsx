import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { Ways } from '../alarm/Ways';
import { answer, api, type Schema } from '../api/client';
import { useTold } from '../api/notices';
import { newId } from '../kit/drafts';
import { ProblemNotice } from '../kit/Notices';

const WATCH_MS = 2_000;

/** Sends a message that says nothing, and says how far it got. */
export function TestButton({
  channel,
  label,
}: {
  channel: Schema['DeliveryView']['channel'];
  label: string;
}) {
  const test = useMutation({
    mutationFn: () =>
      answer(api.PUT('/api/me/notices/tests/{id}', { params: { path: { id: newId() } }, body: { channel } })),
  });
  return (
    <Box sx={{ display: 'grid', gap: 0.5, justifyItems: 'start' }}>
      <Button variant="outlined" disabled={test.isPending} onClick={() => test.mutate()}>
        {label}
      </Button>
      {test.data && <HowFar noticeId={test.data.noticeId} />}
      <ProblemNotice failure={test.error} />
    </Box>
  );
}

function HowFar({ noticeId }: { noticeId: string }) {
  const told = useTold(WATCH_MS);
  const ways = told.data?.find(({ id }) => id === noticeId)?.ways;
  return (
    <Box role="status">
      {ways ? <Ways ways={ways} /> : <Typography variant="body2">On its way …</Typography>}
    </Box>
  );
}
