import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from '../kit/drafts';

type Due = Schema['WorkView'];

interface Decision {
  due: Due;
  verdict: Schema['DecisionForm']['verdict'];
  movedTo?: string;
  reason?: string;
}

/** Decides about a task; tried again after a lost answer it is kept once. */
export function useDecide(onDone?: () => void) {
  const [id, setId] = useState(newId);
  return useMutation({
    mutationFn: ({ due, verdict, movedTo, reason }: Decision) =>
      api.PUT('/api/tasks/{id}', {
        params: { path: { id } },
        body: {
          pieceId: due.subject.id,
          work: due.work,
          plannedOn: due.plannedOn ?? '',
          verdict,
          movedTo,
          reason: reason ?? '',
        },
      }),
    onSuccess: async () => {
      setId(newId());
      onDone?.();
      await refresh();
    },
  });
}
