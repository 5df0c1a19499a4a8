import { useQuery } from '@tanstack/react-query';
import { answer, api } from './client';

export const useMethods = () =>
  useQuery({ queryKey: ['methods'], queryFn: () => answer(api.GET('/api/methods')), staleTime: Infinity });

export const pieceQuery = (id: string) => ({
  queryKey: ['pieces', id],
  queryFn: () => answer(api.GET('/api/pieces/{id}', { params: { path: { id } } })),
});

export const usePiece = (id: string) => useQuery(pieceQuery(id));

/** Every look at a piece, the newest first. */
export const useLooks = (id: string) =>
  useQuery({
    queryKey: ['looks', id],
    queryFn: () => answer(api.GET('/api/pieces/{id}/looks', { params: { path: { id } } })),
  });

export const usePieceRecord = (id: string) =>
  useQuery({
    queryKey: ['record', id],
    queryFn: () => answer(api.GET('/api/pieces/{id}/record', { params: { path: { id } } })),
  });

export const useCutPieces = () =>
  useQuery({ queryKey: ['pieces', 'cut'], queryFn: () => answer(api.GET('/api/pieces/cut')) });

export const taggedQuery = (tag: string) => ({
  queryKey: ['tagged', tag],
  queryFn: () => answer(api.GET('/api/pieces', { params: { query: { tag } } })),
});

export const useTagged = (tag: string) =>
  useQuery({ ...taggedQuery(tag), enabled: tag !== '', placeholderData: (before) => before });

export const usePreparation = (pieceId: string) =>
  useQuery({
    queryKey: ['preparation', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/preparation', { params: { path: { pieceId } } })),
  });
