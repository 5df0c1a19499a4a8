import { answer, api, type PieceView, type Schema } from '../api/client';

export type EntryForm = Schema['EntryForm'];
export type NewEntry = Pick<EntryForm, 'kind'> & Partial<EntryForm>;

/** Writes one entry into the log of a piece; sent again under its id it is stored once. */
export const putEntry = (pieceId: string, entryId: string, entry: NewEntry): Promise<PieceView> =>
  answer(
    api.PUT('/api/pieces/{id}/log/{entryId}', {
      params: { path: { id: pieceId, entryId } },
      body: { grams: 0, words: '', answers: {}, ...entry } satisfies EntryForm,
    }),
  );
