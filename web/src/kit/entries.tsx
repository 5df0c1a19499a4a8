import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useMutation } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { answer, api, Problem, type PieceView, type Schema } from '../api/client';
import { refresh } from '../api/queries';
import { newId } from './drafts';

type EntryForm = Schema['EntryForm'];
export type NewEntry = Pick<EntryForm, 'kind'> & Partial<EntryForm>;

const put = (pieceId: string, entryId: string, entry: NewEntry): Promise<PieceView> =>
  answer(
    api.PUT('/api/pieces/{id}/log/{entryId}', {
      params: { path: { id: pieceId, entryId } },
      body: { grams: 0, words: '', answers: {}, ...entry } satisfies EntryForm,
    }),
  );

/**
 * Writing into a piece's log. The entry's id is made before the first try and kept until it was stored, so that trying
 * again after a lost answer stores it once.
 */
export function useWriteEntry(pieceId: string) {
  const [entryId, setEntryId] = useState(newId);
  const undo = useUndo();
  const mutation = useMutation({
    mutationFn: ({ entry }: { entry: NewEntry; said?: string }) => put(pieceId, entryId, entry),
    onSuccess: async (_, { said }) => {
      if (said) {
        undo(said, pieceId, entryId);
      }
      setEntryId(newId());
      await refresh();
    },
    onError: async (failure) => {
      // The first try was stored after all and its answer lost; then the value was changed. What was stored is shown,
      // and the next try is an entry of its own.
      if (failure instanceof Problem && failure.type === 'id-used') {
        setEntryId(newId());
        await refresh();
      }
    },
  });
  /** A changed value is another entry; the one that failed was not stored under its id, or the server says so. */
  const startOver = () => mutation.reset();
  return { ...mutation, startOver };
}

type OfferUndo = (said: string, pieceId: string, entryId: string) => void;

const UndoContext = createContext<OfferUndo>(() => undefined);

/** Says what was just written and offers to take it back. */
export const useUndo = (): OfferUndo => useContext(UndoContext);

const UNDO_MS = 60_000;

export function UndoProvider({ children }: { children: ReactNode }) {
  const [last, setLast] = useState<{ said: string; pieceId: string; entryId: string } | null>(null);
  const offer = useCallback<OfferUndo>((said, pieceId, entryId) => setLast({ said, pieceId, entryId }), []);
  const undo = useMutation({
    mutationFn: async () => {
      if (last) {
        await put(last.pieceId, newId(), { kind: 'TAKEN_BACK', corrects: last.entryId, words: 'Undone.' });
      }
    },
    onSettled: async () => {
      setLast(null);
      await refresh();
    },
  });
  const close = useMemo(() => () => setLast(null), []);
  return (
    <UndoContext.Provider value={offer}>
      {children}
      <Snackbar
        open={last !== null}
        autoHideDuration={UNDO_MS}
        onClose={(_, reason) => reason === 'timeout' && close()}
        message={last?.said}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        sx={{ mb: { xs: 8, md: 0 } }}
        action={
          <>
            <Button color="inherit" onClick={() => undo.mutate()} disabled={undo.isPending}>
              Undo
            </Button>
            <Button color="inherit" onClick={close}>
              Close
            </Button>
          </>
        }
      />
    </UndoContext.Provider>
  );
}
