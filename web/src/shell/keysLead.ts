import { useSyncExternalStore } from 'react';

const place = 'elvaro keys off';
const listeners = new Set<() => void>();

function set(lead: boolean): void {
  if (lead) {
    localStorage.removeItem(place);
  } else {
    localStorage.setItem(place, 'yes');
  }
  listeners.forEach((each) => each());
}

/** Whether single keys lead round the house on this device. Whoever speaks their words, or is scanned at, turns them off. */
export const useKeysLead = (): [boolean, (lead: boolean) => void] => [
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => localStorage.getItem(place) === null,
  ),
  set,
];
