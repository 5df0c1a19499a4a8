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

/** Why something is thrown away; crust and scrap need no words. */
export const discardCauses = {
  SCRAP: 'crust and scrap',
  ROT: 'rot in a pocket',
  GLAND: 'gland or bloodshot',
  SMELL: 'smells off',
  SOILED: 'soiled',
} as const;

export type DiscardCause = keyof typeof discardCauses;
