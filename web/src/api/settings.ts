import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useWorkshop = () =>
  useQuery({ queryKey: ['workshop'], queryFn: () => answer(api.GET('/api/workshop')) });

export const usePeople = (mayAsk: boolean) =>
  useQuery({ queryKey: ['people'], queryFn: () => answer(api.GET('/api/people')), enabled: mayAsk });

/** What was changed in the house from the first to the last day. */
export const useChanges = (from: string, to: string) =>
  useQuery({
    queryKey: ['record', 'changes', from, to],
    queryFn: () => answer(api.GET('/api/record/changes', { params: { query: { from, to } } })),
    placeholderData: (before) => before,
    retry: false,
  });

/** Where one is signed in. */
export const useMySessions = () =>
  useQuery({ queryKey: ['my sessions'], queryFn: () => answer(api.GET('/api/me/sessions')) });

/** Goes along the whole record and says whether it is what was written. */
export const checkRecord = () => answer(api.GET('/api/record/chain'));
