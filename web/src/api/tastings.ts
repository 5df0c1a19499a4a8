import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

export const useTastings = () =>
  useQuery({ queryKey: ['tastings'], queryFn: () => answer(api.GET('/api/tastings')) });

/** A tasting; while sheets come in it is read every few seconds. */
export const useTasting = (id: string) =>
  useQuery({
    queryKey: ['tastings', id],
    queryFn: () => answer(api.GET('/api/tastings/{id}', { params: { path: { id } } })),
    refetchInterval: (query) => (query.state.data?.state === 'OPEN' ? 3000 : false),
  });

/** What a tasting begins with, by itself or to answer a trial. */
/** What a new tasting begins with: of a trial, of these pieces, or of nothing yet. */
export const useFirstTasting = (trialId: string | null, piece: string[]) =>
  useQuery({
    queryKey: ['tastings', 'first', trialId, piece],
    queryFn: () =>
      trialId === null
        ? answer(api.GET('/api/tastings/first', { params: { query: { piece } } }))
        : answer(api.GET('/api/trials/{id}/tasting', { params: { path: { id: trialId } } })),
  });

export const useTastingChoices = () =>
  useQuery({
    queryKey: ['tastings', 'choices'],
    queryFn: () => answer(api.GET('/api/tastings/choices')),
    staleTime: Infinity,
  });

export const useTasters = () =>
  useQuery({ queryKey: ['tastings', 'tasters'], queryFn: () => answer(api.GET('/api/tastings/tasters')) });

export const useStrengths = () =>
  useQuery({
    queryKey: ['tastings', 'strengths'],
    queryFn: () => answer(api.GET('/api/tastings/strengths')),
  });

export const useNotes = (words: string) =>
  useQuery({
    queryKey: ['tastings', 'notes', words],
    queryFn: () => answer(api.GET('/api/tastings/notes', { params: { query: { words } } })),
    enabled: words.trim() !== '',
    placeholderData: (before) => before,
  });

/** What a tasting that is only planned can show; the answer before stays until the next is there. */
export const usePanelCheck = (body: Schema['TastingForm'] | null) =>
  useQuery({
    queryKey: ['tastings', 'check', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/tastings/check', { body: body as Schema['TastingForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });
