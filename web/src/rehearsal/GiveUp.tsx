import { useMutation } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { refresh } from '../api/house';
import { AskFirst } from '../kit/AskFirst';
import { ProblemNotice } from '../kit/Notices';

/** Ends a rehearsal that was not done. */
export function GiveUp({ label }: { label: string }) {
  const end = useMutation({
    mutationFn: () => answer(api.POST('/api/rehearsal/end')),
    onSuccess: refresh,
  });
  return (
    <>
      <AskFirst
        label={label}
        warning="It counts as not passed."
        busy={end.isPending}
        onYes={() => end.mutate()}
      />
      <ProblemNotice failure={end.error} />
    </>
  );
}
