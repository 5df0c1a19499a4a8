import { useSyncExternalStore } from 'react';

/** Whether Elvaro answered the last time it was asked. */
let reached = true;
const listeners = new Set<() => void>();

export function noteReach(now: boolean): void {
  if (reached !== now) {
    reached = now;
    listeners.forEach((each) => each());
  }
}

export const isReached = (): boolean => reached;

export const useReached = (): boolean =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, isReached);
