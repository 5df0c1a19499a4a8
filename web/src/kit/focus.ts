import useMediaQuery from '@mui/material/useMediaQuery';

/** Whether a person is in a field: what they type is meant for that, and its focus is never taken. */
export const isField = (focused: Element | null): boolean =>
  focused?.matches('input, textarea, select, [contenteditable], [role=combobox]') ?? false;

/** Leads the keys on to the next thing, where they are nowhere any more. */
export function focusFirst(within: Element | null): void {
  if (document.activeElement === document.body || document.activeElement === null) {
    within
      ?.querySelector<HTMLElement>('a[href], button:not(:disabled), input')
      ?.focus({ preventScroll: true });
  }
}

/** At a desk the first field has the keys at once; on a phone a keyboard over half of the screen would be in the way. */
export const useAtDesk = (): boolean => useMediaQuery('(min-width:900px)', { noSsr: true });

/** Whether a finger does what a key would. */
export const useByFinger = (): boolean => useMediaQuery('(pointer: coarse)', { noSsr: true });
