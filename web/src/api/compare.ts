import { useQuery } from '@tanstack/react-query';
import { evidenceQuery, type Ask } from './ask';
import { answer, api, type Schema } from './client';

export const useComparison = (pieces: string[]) =>
  useQuery({
    queryKey: ['compare', pieces],
    queryFn: () => answer(api.GET('/api/compare', { params: { query: { pieces } } })),
    enabled: pieces.length >= 2,
    placeholderData: (before) => before,
  });

export const useEvidence = (ask: Ask) =>
  useQuery({
    queryKey: ['evidence', ask],
    queryFn: () => answer(api.GET('/api/evidence', { params: { query: evidenceQuery(ask) } })),
    placeholderData: (before) => before,
  });

/** How good the forecasts were, and what is not learnt from. */
export const useTrackRecord = () =>
  useQuery({
    queryKey: ['track record'],
    queryFn: () => answer(api.GET('/api/forecasts/record')),
    staleTime: 60_000,
  });

/** How good forecasts like that of a piece were, in a sentence; undefined while nothing is known. */
export const useForecastsLike = (pieceId: string) =>
  useQuery({
    queryKey: ['track record', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{id}/forecast/record', { params: { path: { id: pieceId } } })),
    staleTime: 60_000,
  }).data?.sentence;

/** The same of a method, for a piece that does not hang yet. */
export const useForecastsOf = (method: Schema['ScenarioForm']['method']) =>
  useQuery({
    queryKey: ['track record', 'of', method],
    queryFn: () => answer(api.GET('/api/forecasts/like', { params: { query: { method } } })),
    staleTime: 60_000,
  }).data?.sentence;

export const useAsks = () => useQuery({ queryKey: ['asks'], queryFn: () => answer(api.GET('/api/asks')) });
