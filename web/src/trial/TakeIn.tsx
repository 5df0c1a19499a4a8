import Box from '@mui/material/Box';
import { useMutation } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answer, api, Problem, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';
import { FileButton } from '../kit/FileButton';
import { ProblemNotice } from '../kit/Notices';

/** More than any protocol has. */
const MOST_BYTES = 200_000;

async function read(file: File): Promise<Schema['ProtocolFile']> {
  if (file.size > MOST_BYTES) {
    throw new Problem(413, { detail: 'That is more than a protocol has. Nothing was taken in.' });
  }
  try {
    return JSON.parse(await file.text()) as Schema['ProtocolFile'];
  } catch {
    throw new Problem(422, { detail: 'That file is no JSON. Nothing was taken in.' });
  }
}

/** Takes a file of another house in: a protocol leads to a new trial, a result to the trial it belongs to. */
export function TakeIn({ label }: { label: string }) {
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: async (file: File) => {
      const body = await read(file);
      return answer(api.POST('/api/protocols', { params: { query: { as: newId() } }, body }));
    },
    onSuccess: async ({ id, trialId }) => {
      await refresh();
      navigate(trialId ? `/trials/${trialId}` : `/trials/new?protocol=${id}`);
    },
  });
  return (
    <Box>
      <FileButton
        label={label}
        name="A protocol file"
        accept=".json,application/json"
        busy={take.isPending}
        onFile={(file) => take.mutate(file)}
      />
      <ProblemNotice failure={take.error} />
    </Box>
  );
}
