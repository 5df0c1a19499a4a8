import type { Schema } from '../api/client';

type Room = Schema['RoomView'];
type Due = Schema['WorkView'];

/** So many pieces that wait for the same are a round through the room. */
const FROM = 3;

/** What is done piece after piece, standing in the room, and where. */
export const roundOf: Partial<Record<Due['work'], { path: string; does: string }>> = {
  WEIGH: { path: '/weigh', does: 'Weigh' },
  LOOK: { path: '/look', does: 'Look at' },
};

/** Work in the order one walks past it: chamber by chamber, rail by rail, place by place. */
export function alongTheRails(room: Room | undefined, work: Due[]): Due[] {
  const places = new Map(
    (room?.chambers ?? []).flatMap(({ pieces }, chamber) =>
      pieces.map((piece) => [piece.id, [chamber, piece.rail ?? 0, piece.slot ?? 0]] as const),
    ),
  );
  const last = [Infinity, 0, 0];
  return [...work].sort((one, other) => {
    const here = places.get(one.subject.id) ?? last;
    const there = places.get(other.subject.id) ?? last;
    const differs = here.findIndex((place, index) => place !== there[index]);
    return differs < 0 ? 0 : (here[differs] ?? 0) - (there[differs] ?? 0);
  });
}

export interface Round {
  work: Due['work'];
  all: Due[];
}

/** How much there is to do in lines: in a round as much as it has pieces. */
export const muchIn = (lines: (Due | Round)[]): number =>
  lines.reduce((much, line) => much + ('all' in line ? line.all.length : 1), 0);

/** Each line by itself, but what waits for the same on several pieces as one round, where the first of it stood. */
export function inRounds(due: Due[]): (Due | Round)[] {
  const rounds = new Map<Due['work'], Due[]>();
  due
    .filter(({ work }) => roundOf[work])
    .forEach((each) => {
      rounds.set(each.work, [...(rounds.get(each.work) ?? []), each]);
    });
  return due.flatMap((each): (Due | Round)[] => {
    const all = rounds.get(each.work) ?? [];
    return all.length < FROM ? [each] : all[0] === each ? [{ work: each.work, all }] : [];
  });
}
