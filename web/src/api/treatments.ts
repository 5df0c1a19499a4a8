import { useQuery } from '@tanstack/react-query';
import { answer, api, type Schema } from './client';

export const useTreatments = () =>
  useQuery({
    queryKey: ['treatments'],
    queryFn: () => answer(api.GET('/api/treatments')),
    staleTime: Infinity,
  });

/** How much of a treatment a piece gets; the answer before stays on screen until the next is there. */
export const useScaled = (body: Schema['TreatmentScenario'] | null) =>
  useQuery({
    queryKey: ['treatments', 'scaled', body],
    queryFn: ({ signal }) =>
      answer(api.POST('/api/treatments/scaled', { body: body as Schema['TreatmentScenario'], signal })),
    enabled: body !== null,
    networkMode: 'always', // without a network it fails and says so; a dose of something else must not stay on screen
    placeholderData: (before) => before,
    retry: false,
  });

export const useRecipes = () =>
  useQuery({ queryKey: ['recipes'], queryFn: () => answer(api.GET('/api/recipes')) });

/** What was given to a piece. */
export const useGiven = (pieceId: string) =>
  useQuery({
    queryKey: ['given', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/treatments', { params: { path: { pieceId } } })),
  });
