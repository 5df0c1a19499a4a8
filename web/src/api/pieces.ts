import { useQuery } from '@tanstack/react-query';
import { answer, api, type PieceCard, type Schema } from './client';
import { queryClient } from './house';
import { isReached } from './reach';

export const useMethods = () =>
  useQuery({ queryKey: ['methods'], queryFn: () => answer(api.GET('/api/methods')), staleTime: Infinity });

export const pieceQuery = (id: string) => ({
  queryKey: ['pieces', id],
  queryFn: () => answer(api.GET('/api/pieces/{id}', { params: { path: { id } } })),
});

export const usePiece = (id: string) => useQuery(pieceQuery(id));

/** Every picture of a piece, in the order they were taken. */
export const usePhotos = (id: string) =>
  useQuery({
    queryKey: ['photos', id],
    queryFn: () => answer(api.GET('/api/pieces/{id}/photos', { params: { path: { id } } })),
  });

/** Every look at a piece, the newest first. */
export const looksQuery = (id: string) => ({
  queryKey: ['looks', id],
  queryFn: () => answer(api.GET('/api/pieces/{id}/looks', { params: { path: { id } } })),
});

export const useLooks = (id: string) => useQuery(looksQuery(id));

/** What comes next for a piece. */
export const useNext = (id: string) =>
  useQuery({
    queryKey: ['pieces', id, 'next'],
    queryFn: () => answer(api.GET('/api/pieces/{id}/next', { params: { path: { id } } })),
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
  queryFn: () =>
    answer(api.GET('/api/pieces', { params: { query: { tag } } })).catch((failure: unknown) => {
      if (isReached()) {
        throw failure;
      }
      return knownTagged(tag);
    }),
});

/** Where Elvaro does not answer: among what hangs, as far as this device knows. */
export function knownTagged(tag: string): PieceCard[] {
  const room = queryClient.getQueryData<Schema['RoomView']>(['room']);
  return [...(room?.pulled ?? []), ...(room?.chambers.flatMap(({ pieces }) => pieces) ?? [])].filter(
    (piece) => piece.tag.toLowerCase().startsWith(tag.toLowerCase()),
  );
}

export const useTagged = (tag: string) =>
  useQuery({ ...taggedQuery(tag), enabled: tag !== '', placeholderData: (before) => before });

export const usePreparation = (pieceId: string) =>
  useQuery({
    queryKey: ['preparation', pieceId],
    queryFn: () => answer(api.GET('/api/pieces/{pieceId}/preparation', { params: { path: { pieceId } } })),
  });
