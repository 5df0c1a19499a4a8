import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

export const cutsQuery = {
  queryKey: ['cuts'],
  queryFn: () => answer(api.GET('/api/cuts')),
  staleTime: Infinity,
};

export const useCuts = () => useQuery(cutsQuery);

export const useSuppliers = () =>
  useQuery({ queryKey: ['suppliers'], queryFn: () => answer(api.GET('/api/suppliers')) });

export const useLots = () => useQuery({ queryKey: ['lots'], queryFn: () => answer(api.GET('/api/lots')) });

export const useLot = (id: string) =>
  useQuery({
    queryKey: ['lots', id],
    queryFn: () => answer(api.GET('/api/lots/{id}', { params: { path: { id } } })),
  });

/** A cut as it would look cut through, before anything is lost; asked once there is a weight. */
export const useSection = (query: { code: string; grams: number; fatCoverMm: number; boneIn: boolean }) =>
  useQuery({
    queryKey: ['cuts', query],
    queryFn: () => answer(api.GET('/api/cuts/section', { params: { query } })),
    enabled: query.code !== '' && query.grams > 0,
    placeholderData: (before) => before,
    staleTime: Infinity,
  });

/** What a lot would become, as it is being described. */
export const useLotAhead = (body: Schema['LotAheadForm'] | null) =>
  useQuery({
    queryKey: ['plan', 'lot', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/plan/lot', { body: body as Schema['LotAheadForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
