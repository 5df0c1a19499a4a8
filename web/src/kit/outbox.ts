import { useSyncExternalStore } from 'react';
import { Problem, type Question } from '../api/client';
import type { NewEntry } from './entries';

/** An entry that Elvaro could not be given yet. */
export interface Waiting {
  pieceId: string;
  entryId: string;
  entry: NewEntry;
  /** What to call it, e.g. `23A: 4.215 kg`. */
  name: string;
  /** Asked when it was sent; it waits for the answer. */
  questions?: Question[];
  /** Why it was refused; it waits to be dropped. */
  refused?: string;
}

const prefix = 'elvaro outbox ';
let owner: string | null = null;
let waiting: Waiting[] = [];
const listeners = new Set<() => void>();

function stored(): Waiting[] {
  try {
    return owner ? (JSON.parse(localStorage.getItem(prefix + owner) ?? '[]') as Waiting[]) : waiting;
  } catch {
    return []; // Unreadable: nothing that could be sent.
  }
}

function show(next: Waiting[]): void {
  waiting = next;
  listeners.forEach((each) => each());
}

/** Changes what is kept as it stands now: another tab of the same person may have put something beside it. */
function change(how: (kept: Waiting[]) => Waiting[]): void {
  const next = how(stored());
  if (owner) {
    localStorage.setItem(prefix + owner, JSON.stringify(next));
  }
  show(next);
}

/** Each person has an outbox of their own on a device, which stays there when they sign out. */
export function openOutbox(accountId: string): void {
  if (owner !== accountId) {
    owner = accountId;
    show(stored());
  }
}

export const waitsInOutbox = (entryId: string): boolean => waiting.some((each) => each.entryId === entryId);

/** Keeps an entry on this device. Throws where the device has no room, so that it is not taken for kept. */
export const putAside = (entry: Waiting): void => change((kept) => [...kept, entry]);

export const dropFromOutbox = (entryId: string): void =>
  change((kept) => kept.filter((each) => each.entryId !== entryId));

const replace = (next: Waiting): void =>
  change((kept) => kept.map((each) => (each.entryId === next.entryId ? next : each)));

/** Whether an entry did not get through, so that it is worth sending again as it is. */
export const didNotGetThrough = (failure: unknown): boolean =>
  failure instanceof Problem && (failure.status === 0 || failure.status >= 502);

let sending = false;

/**
 * Sends what waits, in the order it was entered; each under the id it was first sent with, so that it is stored once
 * however often it is sent. Stops where nothing gets through.
 *
 * @param put sends one entry
 * @return whether anything was stored
 */
export async function sendOutbox(put: (each: Waiting) => Promise<unknown>): Promise<boolean> {
  if (sending) {
    return false;
  }
  sending = true;
  let stored = false;
  try {
    for (const each of waiting.filter(({ questions, refused }) => !questions && !refused)) {
      try {
        await put(each);
        stored = true;
        dropFromOutbox(each.entryId);
      } catch (failure) {
        if (!(failure instanceof Problem) || didNotGetThrough(failure) || failure.status === 401) {
          break;
        }
        replace(
          failure.questions.length > 0
            ? { ...each, questions: failure.questions }
            : { ...each, refused: failure.message },
        );
      }
    }
  } finally {
    sending = false;
  }
  return stored;
}

/** The answers to what was asked; it is sent again with them. */
export const answerInOutbox = (entryId: string, answers: Record<string, string>): void => {
  const asked = waiting.find((each) => each.entryId === entryId);
  if (asked) {
    replace({
      ...asked,
      questions: undefined,
      entry: { ...asked.entry, answers: { ...asked.entry.answers, ...answers } },
    });
  }
};

export const useOutbox = (): Waiting[] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => waiting,
  );
