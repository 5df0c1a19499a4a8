import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useMutation } from '@tanstack/react-query';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { answer, api, Problem, type PieceView, type Schema } from '../api/client';
import { refresh } from '../api/house';
import { newId } from './drafts';
import { didNotGetThrough, dropFromOutbox, putAside, waitsInOutbox } from './outbox';

type EntryForm = Schema['EntryForm'];
export type NewEntry = Pick<EntryForm, 'kind'> & Partial<EntryForm>;

/** Kinds that may wait on this device; what else is written leads on to what needs Elvaro's answer. */
const mayWait = new Set<EntryForm['kind']>([
  'WEIGHED',
  'PULLED',
  'NOTE',
  'TURNED',
  'RETIED',
  'RESEALED',
  'RESTED',
  'TRIMMED',
]);

export const putEntry = (pieceId: string, entryId: string, entry: NewEntry): Promise<PieceView> =>
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
    networkMode: 'always',
    mutationFn: async ({ entry, name }: { entry: NewEntry; name?: string; said?: string }) => {
      try {
        await putEntry(pieceId, entryId, entry);
        return 'stored';
      } catch (failure) {
        if (!name || !mayWait.has(entry.kind) || !didNotGetThrough(failure)) {
          throw failure;
        }
        putAside({
          pieceId,
          entryId,
          entry: { ...entry, at: entry.at ?? new Date().toISOString() },
          stamped: entry.at === undefined,
          name,
        });
        return 'waiting';
      }
    },
    onSuccess: (where, { name, said }) => {
      if (said) {
        undo(where === 'waiting' ? `${name} kept on this device` : said, pieceId, entryId);
      }
      setEntryId(newId());
      void refresh();
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
  const startOver = () => {
    // One that is under way would no longer be told of when it was stored.
    if (mutation.isError) {
      mutation.reset();
    }
  };
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
      if (last && waitsInOutbox(last.entryId)) {
        dropFromOutbox(last.entryId);
      } else if (last) {
        await putEntry(last.pieceId, newId(), {
          kind: 'TAKEN_BACK',
          corrects: last.entryId,
          words: 'Undone.',
        });
      }
    },
    networkMode: 'always',
    onSettled: () => {
      setLast(null);
      void refresh();
    },
  });
  // On a phone what is pressed next lies at the foot.
  const phone = useMediaQuery('(max-width:899px)');
  const close = useMemo(() => () => setLast(null), []);
  return (
    <UndoContext.Provider value={offer}>
      {children}
      <Snackbar
        open={last !== null}
        autoHideDuration={UNDO_MS}
        onClose={(_, reason) => reason === 'timeout' && close()}
        message={last?.said}
        anchorOrigin={{ vertical: phone ? 'top' : 'bottom', horizontal: 'right' }}
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
