import { useCallback, useEffect, useState } from 'react';
import { v4 } from 'uuid';

/** An id for something new, made here so that a retried request is known to be the same. */
export const newId = (): string => v4();

const prefix = 'elvaro draft ';

/**
 * State that survives leaving the page: a form left half-filled is there on return. Kept on this device only, and
 * dropped by `clear` once it was saved.
 */
export function useDraft<T>(
  key: string,
  initial: () => T,
): [T, (next: T | ((before: T) => T)) => void, () => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      const kept = localStorage.getItem(prefix + key);
      return kept === null ? initial() : (JSON.parse(kept) as T);
    } catch {
      return initial();
    }
  });
  const set = useCallback(
    (next: T | ((before: T) => T)) =>
      setValue((before) => {
        const after = next instanceof Function ? next(before) : next;
        try {
          localStorage.setItem(prefix + key, JSON.stringify(after));
        } catch {
          // A full or forbidden store loses the draft, not the work.
        }
        return after;
      }),
    [key],
  );
  const clear = useCallback(() => {
    localStorage.removeItem(prefix + key);
    setValue(initial());
    // The initial value is made afresh on purpose whenever the draft is dropped.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  return [value, set, clear];
}

/** Drafts belong to a person: they go when somebody signs out. */
export function dropDrafts(): void {
  Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix))
    .forEach((key) => localStorage.removeItem(key));
}

export function useTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Elvaro`;
  }, [title]);
}
