import { useSyncExternalStore } from 'react';
import { answer, api, type Schema } from '../api/client';
import { newId } from './drafts';
import { dropFromOutbox, waitsInOutbox } from './outbox';
import { putEntry } from './putEntry';

/** What can be taken back, with all that is needed to do it, also after the page was loaded anew. */
export type Undoable =
  | { kind: 'ENTRY'; pieceId: string; entryId: string }
  | { kind: 'TARGET'; pieceId: string; days: number }
  | { kind: 'PLAN'; form: Schema['PlanForm'] }
  | { kind: 'OUT'; packId: string; outId: string }
  | { kind: 'PERSON'; id: string; name: string; role: 'OWNER' | 'BENCH_HAND'; active: boolean };

export interface Offer {
  said: string;
  at: number;
  undo: Undoable;
}

export const OFFERED_FOR_MS = 60_000;
const place = 'elvaro undo';

const isOpen = ({ at }: Offer) => Date.now() - at < OFFERED_FOR_MS;

function read(): Offer[] {
  try {
    return (JSON.parse(sessionStorage.getItem(place) ?? '[]') as Offer[]).filter(isOpen);
  } catch {
    return [];
  }
}

let offers: Offer[] = read();
const listeners = new Set<() => void>();

function show(next: Offer[]): void {
  offers = next;
  try {
    sessionStorage.setItem(place, JSON.stringify(next));
  } catch {
    // Without a store it can be taken back only until the page is left.
  }
  listeners.forEach((each) => each());
}

/** Says what was just done and offers to take it back, for a minute; those before it stay beneath. */
export const offerUndo = (said: string, undo: Undoable): void =>
  show([...offers.filter(isOpen), { said, at: Date.now(), undo }]);

export const dropOffer = (offer: Offer): void =>
  show(offers.filter((each) => each !== offer && isOpen(each)));

export const dropOffers = (): void => show([]);

export const useOffers = (): Offer[] =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => offers,
  );

/** Takes it back. */
export async function takeBack(undo: Undoable): Promise<void> {
  switch (undo.kind) {
    case 'ENTRY':
      if (waitsInOutbox(undo.entryId)) {
        dropFromOutbox(undo.entryId);
      } else {
        await putEntry(undo.pieceId, newId(), {
          kind: 'TAKEN_BACK',
          corrects: undo.entryId,
          words: 'Undone.',
        });
      }
      return;
    case 'TARGET': {
      const path = { id: undo.pieceId };
      const { version } = await answer(api.GET('/api/pieces/{id}', { params: { path } }));
      await api.PUT('/api/pieces/{id}/target', {
        params: { path },
        body: { version, targetDays: undo.days, answers: { 'later-target': 'Undone.' } },
      });
      return;
    }
    case 'PLAN': {
      const id = newId();
      await api.PUT('/api/plans/{id}', {
        params: { path: { id } },
        body: { ...undo.form, id, version: 0 },
      });
      return;
    }
    case 'OUT':
      await api.PUT('/api/packs/{id}/back/{outId}', {
        params: { path: { id: undo.packId, outId: undo.outId } },
        body: { slip: newId(), words: 'Undone.' },
      });
      return;
    case 'PERSON': {
      const people = await answer(api.GET('/api/people'));
      const { id, name, role, active } = undo;
      await api.PUT('/api/people/{id}', {
        params: { path: { id } },
        body: { name, role, active, version: people.find((each) => each.id === id)?.version ?? 0 },
      });
    }
  }
}
