import { useSyncExternalStore } from 'react';
import { Problem, type Question, type Schema } from '../api/client';
import { newId } from './drafts';
import type { NewEntry } from './putEntry';

/** An entry that Elvaro could not be given yet. */
export interface Waiting {
  pieceId: string;
  entryId: string;
  entry: NewEntry;
  /** What was seen, where it is a look; the entry then only says when. */
  look?: Schema['LookForm'];
  /** Its pictures, kept beside this in the device's own store. */
  photos?: string[];
  /** What to call it, e.g. `23A: 4.215 kg`. */
  name: string;
  /** Who entered it. */
  by?: string;
  /** Whether its moment was read off the clock of this device, which may be wrong, and not said by a person. */
  stamped?: boolean;
  /** Asked when it was sent; it waits for the answer. */
  questions?: Question[];
  /** Why it was refused; it waits to be mended or dropped. */
  refused?: string;
  /** What came back the last time it was sent, though nothing was wrong with it. */
  trouble?: string;
}

const prefix = 'elvaro outbox ';
let owner: string | null = null;
let ownerName: string | undefined;
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
export function openOutbox(accountId: string, name?: string): void {
  ownerName = name;
  if (owner !== accountId) {
    owner = accountId;
    show(stored());
  }
}

/** What others entered on this device, and waits until they are signed in again: a name and a number each. */
export function waitsForOthers(): { name: string; entries: number }[] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(prefix) && key !== prefix + owner)
    .flatMap((key) => {
      try {
        const kept = JSON.parse(localStorage.getItem(key) ?? '[]') as Waiting[];
        return kept.length > 0 ? [{ name: kept[0]?.by ?? 'Somebody else', entries: kept.length }] : [];
      } catch {
        return [];
      }
    });
}

export const waitsInOutbox = (entryId: string): boolean => waiting.some((each) => each.entryId === entryId);

/** Keeps an entry on this device. Throws where the device has no room, so that it is not taken for kept. */
export const putAside = (entry: Waiting): void => change((kept) => [...kept, { by: ownerName, ...entry }]);

export const dropFromOutbox = (entryId: string): void =>
  change((kept) => kept.filter((each) => each.entryId !== entryId));

const replace = (next: Waiting): void =>
  change((kept) => kept.map((each) => (each.entryId === next.entryId ? next : each)));

/** Of these answers none is about the entry itself: who sent it is not in, or too much came at once. */
const notAboutIt = new Set([401, 403, 408, 425, 429]);

/** Whether Elvaro could not take an entry though nothing is wrong with it, so that it is worth sending again as it is. */
export const didNotGetThrough = (failure: unknown): boolean =>
  failure instanceof Problem &&
  (failure.status === 0 || failure.status >= 500 || notAboutIt.has(failure.status));

let sending = false;

/**
 * Sends what waits, in the order it was entered; each under the id it was first sent with, so that it is stored once
 * however often it is sent. Stops where nothing gets through, or nobody is in.
 *
 * @param put sends one entry
 * @return whether anything was stored
 */
export async function sendOutbox(put: (each: Waiting) => Promise<unknown>): Promise<boolean> {
  if (sending) {
    return false;
  }
  sending = true;
  const whose = owner;
  let stored = false;
  try {
    for (const each of waiting.filter(({ questions, refused }) => !questions && !refused)) {
      if (owner !== whose) {
        break; // Another person took over this device meanwhile.
      }
      try {
        await put(each);
        stored = true;
        dropFromOutbox(each.entryId);
      } catch (failure) {
        if (!(failure instanceof Problem)) {
          break;
        }
        if (didNotGetThrough(failure)) {
          if (failure.status < 500) {
            break;
          }
          // Of this one Elvaro may stumble every time; those behind it need not wait for that.
          replace({ ...each, trouble: failure.message });
          continue;
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

/** A refused entry put right; it is an entry of its own, for the first may have been stored after all. */
export const mendInOutbox = (entryId: string, change: Partial<NewEntry>, name: string): void => {
  const wrong = waiting.find((each) => each.entryId === entryId);
  if (wrong) {
    dropFromOutbox(entryId);
    putAside({
      ...wrong,
      entryId: newId(),
      entry: { ...wrong.entry, ...change },
      name,
      stamped: wrong.stamped && change.at === undefined,
      refused: undefined,
      trouble: undefined,
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
