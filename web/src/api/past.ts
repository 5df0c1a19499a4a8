import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

/** What a table of the past would bring. */
export const usePastPreview = (body: Schema['PastForm'] | null) =>
  useQuery({
    queryKey: ['past', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/past/preview', { body: body as Schema['PastForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
