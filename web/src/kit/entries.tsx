import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Problem } from '../api/client';
import { refresh } from '../api/house';
import { newId } from './drafts';
import { didNotGetThrough, putAside } from './outbox';
import { putEntry, type EntryForm, type NewEntry } from './putEntry';
import { offerUndo } from './undo';

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

/**
 * Writing into a piece's log. The entry's id is made before the first try and kept until it was stored, so that trying
 * again after a lost answer stores it once.
 */
export function useWriteEntry(pieceId: string) {
  const [entryId, setEntryId] = useState(newId);
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
        offerUndo(where === 'waiting' ? `${name} kept on this device` : said, {
          kind: 'ENTRY',
          pieceId,
          entryId,
        });
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
