import { useState } from 'react';
import type { Schema } from '../api/client';

type Room = Schema['RoomView'];
type Due = Schema['WorkView'];

export const EVERYBODY = 'everybody';
export const MINE = 'mine';

const kept = 'elvaro whose work';

/** Whose work is shown: everybody's, one's own, or that of one chamber; each device remembers it. */
export function useWhose() {
  const [whose, setWhose] = useState(() => localStorage.getItem(kept) ?? EVERYBODY);
  const choose = (next: string) => {
    localStorage.setItem(kept, next);
    setWhose(next);
  };
  return { whose, choose };
}

/** The work of some: what belongs to no chamber or to one nobody keeps is everybody's. */
export function workOf(room: Room, whose: string, me: string): Due[] {
  const keepers = new Map(room.chambers.map((chamber) => [chamber.name, chamber.keeperId]));
  if (whose === MINE) {
    return room.due.filter((due) => {
      const { chamberName } = due.subject;
      const keeper = chamberName ? keepers.get(chamberName) : undefined;
      return keeper == null || keeper === me;
    });
  }
  const chamber = room.chambers.find(({ id }) => id === whose);
  return chamber ? room.due.filter((due) => due.subject.chamberName === chamber.name) : room.due;
}

export interface Sheet {
  keeper: string;
  chamber: string;
  due: Due[];
}

/** The day's work by person, then by chamber, in the order of the rails; what is nobody's comes last. */
export function sheets(room: Room): Sheet[] {
  const of = (name: string | undefined, keeper: string, chamber: string): Sheet => ({
    keeper,
    chamber,
    due: room.due.filter((due) => (due.subject.chamberName ?? '') === (name ?? '')),
  });
  const all = [
    ...room.chambers.map((chamber) => of(chamber.name, chamber.keeper ?? '', chamber.name)),
    of(undefined, '', 'In no chamber yet'),
  ];
  return all
    .filter(({ due }) => due.length > 0)
    .sort(
      (one, other) =>
        Number(one.keeper === '') - Number(other.keeper === '') || one.keeper.localeCompare(other.keeper),
    );
}
