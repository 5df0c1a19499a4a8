import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useBench = (pieceId: string) =>
  useQuery({
    queryKey: ['bench', pieceId],
    queryFn: () => answer(api.GET('/api/bench/{pieceId}', { params: { path: { pieceId } } })),
    retry: false,
  });

/** Steaks of a thickness, or of a weight; the answer before stays until the next is there. */
export const useSteaks = (
  pieceId: string,
  query: { thicknessMm?: number; gramsEach?: number; lengthMm?: number; saw: boolean; endMm: number },
) =>
  useQuery({
    queryKey: ['steaks', pieceId, query],
    queryFn: () => answer(api.GET('/api/bench/{pieceId}/steaks', { params: { path: { pieceId }, query } })),
    enabled: query.thicknessMm !== undefined || query.gramsEach !== undefined,
    placeholderData: (before) => before,
    retry: false,
    gcTime: 30_000,
  });

export const useBenchLessons = () =>
  useQuery({ queryKey: ['bench lessons'], queryFn: () => answer(api.GET('/api/bench-lessons')) });
