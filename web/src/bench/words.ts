import type { Schema } from '../api/client';

export type Order = Schema['CutChoice']['order'];
export type Closeness = Schema['CutChoice']['closeness'];

export const orderWords: Record<Order, string> = {
  SLICE_FIRST: 'slice first',
  TRIM_FIRST: 'trim first',
};

export const orderReasons: Record<Order, string> = {
  SLICE_FIRST: 'then trim each steak: less good meat lost',
  TRIM_FIRST: 'the whole, then slice: cleaner faces, faster',
};

export const closenessWords: Record<Closeness, { short: string; taste: string }> = {
  STRONGER: { short: 'a little crust left', taste: 'stronger' },
  USUAL: { short: 'the crust off', taste: 'as usual' },
  MILDER: { short: 'more than the crust', taste: 'milder' },
};

export type DiscardCause = NonNullable<Schema['EntryView']['cause']>;

/** Why something is thrown away. */
export const discardCauses: Record<DiscardCause, string> = {
  CRUST: 'crust and scrap',
  ROT: 'rot in a pocket',
  MOULD: 'mould',
  SMELL: 'smells off',
  BLOODSHOT: 'gland or bloodshot',
  SOILED: 'soiled',
};
