import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

/** Every caution, by topic of the guide. */
export const useCautions = () =>
  useQuery({
    queryKey: ['cautions'],
    queryFn: () => answer(api.GET('/api/cautions')),
    staleTime: Infinity,
  });

export const useInspectionRules = () =>
  useQuery({
    queryKey: ['inspection-rules'],
    queryFn: () => answer(api.GET('/api/inspection-rules')),
    staleTime: Infinity,
  });

/** What each choice of a look is like, drawn and told. */
export const useLookKey = (wanted: boolean) =>
  useQuery({
    queryKey: ['look-key'],
    queryFn: () => answer(api.GET('/api/look-key')),
    staleTime: Infinity,
    enabled: wanted,
  });
