import type { Schema } from '../api/client';
import type { NewEntry } from '../kit/putEntry';
import type { Stream } from '../kit/streams';
import type { DiscardCause } from './words';

/** What is touched at the bench: the streams of the ledger, with roasts apart from steaks. */
export type Pile = 'STEAKS' | 'ROASTS' | 'TRIM' | 'FAT' | 'BONE' | 'DISCARD';

export const piles: Record<Pile, { label: string; stream: Stream }> = {
  STEAKS: { label: 'Steaks', stream: 'STEAK' },
  ROASTS: { label: 'Roasts and ends', stream: 'STEAK' },
  TRIM: { label: 'Usable trim', stream: 'USABLE_TRIM' },
  FAT: { label: 'Rendering fat', stream: 'FAT' },
  BONE: { label: 'Bone', stream: 'BONE' },
  DISCARD: { label: 'Discard', stream: 'DISCARD' },
};

type Entry = Schema['EntryView'];

const byStream: Record<Stream, Pile> = {
  STEAK: 'STEAKS',
  USABLE_TRIM: 'TRIM',
  FAT: 'FAT',
  BONE: 'BONE',
  DISCARD: 'DISCARD',
};

/** Roasts are counted as no steaks; what nobody counted lies with the steaks. */
export const pileOf = (entry: Entry): Pile =>
  entry.stream === 'STEAK' && entry.steaks === 0 ? 'ROASTS' : byStream[entry.stream ?? 'DISCARD'];

/** What the house calls it, else the pile. */
export const nameOf = (entry: Entry): string =>
  `${entry.pile ?? piles[pileOf(entry)].label}${entry.untrimmed ? ', to clean when thawed' : ''}`;

/** What lies on each pile now, in grams. */
export function onPiles(log: Entry[]): Record<Pile, number> {
  const sums: Record<Pile, number> = { STEAKS: 0, ROASTS: 0, TRIM: 0, FAT: 0, BONE: 0, DISCARD: 0 };
  for (const entry of log) {
    if (entry.kind === 'PILE' && entry.stands) {
      sums[pileOf(entry)] += entry.grams;
    }
  }
  return sums;
}

/** What else is said of what lies in a container. */
export interface PileSaid {
  /** Steaks in it, 0 where nobody counted. */
  count: number;
  cause: DiscardCause;
  /** The house's own name for it, '' for none. */
  name: string;
  /** Whether it is trimmed and weighed again later. */
  untrimmed: boolean;
}

export function entryOf(pile: Pile, grams: number, { count, cause, name, untrimmed }: PileSaid): NewEntry {
  const { stream } = piles[pile];
  const steaks = pile === 'ROASTS' ? 0 : pile === 'STEAKS' && count > 0 ? count : undefined;
  return {
    kind: 'PILE',
    stream,
    grams,
    steaks,
    words: '',
    ...(name.trim() !== '' && { pile: name.trim() }),
    ...(untrimmed && { untrimmed }),
    ...(pile === 'DISCARD' && { cause }),
  };
}
