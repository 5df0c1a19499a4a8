import { useCallback, useEffect, useState } from 'react';
import { v4 } from 'uuid';

/** An id for something new, made here so that a retried request is known to be the same. */
export const newId = (): string => v4();

const prefix = 'elvaro draft ';
let owner = '';

/** Drafts belong to a person: another one on the same device has their own. */
export function keepDraftsOf(accountId: string | undefined): void {
  if (accountId) {
    owner = `${accountId} `;
  }
}

const place = (key: string) => prefix + owner + key;

/** What was kept of a draft on this device; where there is nothing, or nothing that can be read, the first state. */
export function readDraft<T>(key: string, first: () => T): T {
  try {
    const kept = localStorage.getItem(place(key));
    return kept === null ? first() : (JSON.parse(kept) as T);
  } catch {
    return first();
  }
}

export function keepDraft(key: string, value: unknown): void {
  try {
    localStorage.setItem(place(key), JSON.stringify(value));
  } catch {
    // A full or forbidden store loses the draft, not the work.
  }
}

export const dropDraft = (key: string): void => localStorage.removeItem(place(key));

/**
 * State that survives leaving the page, kept on this device only, and dropped by `clear` once it was saved. What people
 * fill in is a form: see kit/form.
 */
export function useDraft<T>(
  key: string,
  initial: () => T,
): [T, (next: T | ((before: T) => T)) => void, () => void] {
  const [value, setValue] = useState<T>(() => readDraft(key, initial));
  const set = useCallback(
    (next: T | ((before: T) => T)) =>
      setValue((before) => {
        const after = next instanceof Function ? next(before) : next;
        keepDraft(key, after);
        return after;
      }),
    [key],
  );
  const clear = useCallback(() => {
    dropDraft(key);
    setValue(initial());
    // The initial value is made afresh on purpose whenever the draft is dropped.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return [value, set, clear];
}

const mine = () => Object.keys(localStorage).filter((key) => key.startsWith(prefix + owner));

/** How many forms of this person were left half-filled on this device. */
export const countDrafts = (): number => mine().length;

/** They go when somebody signs out. */
export const dropDrafts = (): void => mine().forEach((key) => localStorage.removeItem(key));

export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Elvaro`;
  }, [title]);
}
