import { useQuery } from '@tanstack/react-query';
import { evidenceQuery, type Ask } from './ask';
import { answer, api } from './client';

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

export const useAsks = () => useQuery({ queryKey: ['asks'], queryFn: () => answer(api.GET('/api/asks')) });
