import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

export const useStock = () => useQuery({ queryKey: ['stock'], queryFn: () => answer(api.GET('/api/stock')) });

export const usePacksOf = (pieceId: string) =>
  useQuery({
    queryKey: ['packs of', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/packs', { params: { path: { pieceId } } })),
  });

export const usePack = (id: string) =>
  useQuery({
    queryKey: ['packs', id],
    queryFn: () => answer(api.GET('/api/packs/{id}', { params: { path: { id } } })),
  });

export const useMakings = () =>
  useQuery({ queryKey: ['makings'], queryFn: () => answer(api.GET('/api/makings')) });

export const useMaking = (id: string) =>
  useQuery({
    queryKey: ['makings', id],
    queryFn: () => answer(api.GET('/api/makings/{id}', { params: { path: { id } } })),
  });

/** What is to be expected of so much fat. */
export const useTallow = (grams: number) =>
  useQuery({
    queryKey: ['tallow', grams],
    queryFn: () => answer(api.GET('/api/stock/tallow', { params: { query: { grams } } })),
    enabled: grams > 0,
    placeholderData: (before) => before,
    gcTime: 30_000,
  });

export const useRecall = (lotId: string) =>
  useQuery({
    queryKey: ['recall', lotId],
    queryFn: () => answer(api.GET('/api/lots/{id}/recall', { params: { path: { id: lotId } } })),
  });

export const useLabelSizes = () =>
  useQuery({
    queryKey: ['label sizes'],
    queryFn: () => answer(api.GET('/api/label-sizes')),
    staleTime: Infinity,
  });

/** The cheapest grind of what is there; the answer before stays until the next is there. */
export const useBlend = (body: Schema['BlendForm'] | null) =>
  useQuery({
    queryKey: ['blend', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/stock/blend', { body: body as Schema['BlendForm'], signal })),
    enabled: body !== null,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

type Content = Schema['PackForm']['content'];

/** What packs are made of. */
export type Packable = { pieceId: string } | { makingId: string };

/** What would be left of it to pack once packs of these weights were made too, in grams. */
export const useLeft = (of: Packable, content: Content, grams: number[]): number | undefined =>
  useQuery({
    queryKey: ['stock', 'left', of, content, grams],
    queryFn: () =>
      'pieceId' in of
        ? answer(
            api.GET('/api/pieces/{pieceId}/packs/left', { params: { path: of, query: { content, grams } } }),
          )
        : answer(
            api.GET('/api/makings/{id}/packs/left', {
              params: { path: { id: of.makingId }, query: { content, grams } },
            }),
          ),
    placeholderData: (before) => before,
  }).data?.grams;

/** What a grind begins with. */
export const useFirstBlend = () =>
  useQuery({ queryKey: ['stock', 'blend'], queryFn: () => answer(api.GET('/api/stock/blend')) });
