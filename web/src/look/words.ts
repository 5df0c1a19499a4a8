import type { Schema } from '../api/client';

export type LookForm = Schema['LookForm'];
export type LookView = Schema['LookView'];
type Words<T extends string> = Record<T, string>;

export const colours: Words<LookForm['colour']> = {
  BRIGHT_RED: 'bright red',
  DARK_RED: 'dark red',
  BROWN: 'brown',
  GREY: 'grey',
  GREEN: 'green sheen',
};

export const surfaces: Words<LookForm['surface']> = {
  LEATHERY: 'leathery',
  DRY: 'dry',
  TACKY: 'tacky',
  WET: 'wet',
  SLIMY: 'slimy',
};

export const moulds: Words<LookForm['moulds'][number]> = {
  WHITE_POWDER: 'white powder',
  GREEN: 'green',
  BLUE: 'blue',
  BLACK: 'black',
  PINK: 'pink',
  HAIRY: 'hairy',
};

export const extents: Words<Exclude<LookForm['extent'], 'NONE'>> = {
  SPOTS: 'a few spots',
  PATCHES: 'patches',
  MOST: 'most of it',
};

export const smells: Words<LookForm['smell']> = {
  NOTHING: 'of nothing',
  CLEAN: 'clean',
  NUTTY: 'nutty',
  BREAD: 'bread or yeast',
  PASTRY: 'pastry',
  BUTTER: 'butter',
  BLUE_CHEESE: 'blue cheese',
  CURED_SAUSAGE: 'cured sausage',
  ALCOHOL: 'alcohol',
  SMOKE: 'smoke',
  FAINTLY_ACID: 'faintly acid',
  SOUR: 'sour',
  AMMONIA: 'ammonia',
  PUTRID: 'putrid',
};

export const spots: Words<LookForm['spots'][number]> = {
  FOLD: 'deep folds or cuts',
  SOFT_ROT: 'a soft, rotten spot',
  GAS: 'gas in the bag',
  GLAND_OR_BLOODSHOT: 'glands or bloodshot meat',
};

export const depths: Words<LookForm['depth']> = {
  PART: 'a part at most',
  THROUGH: 'through the piece',
};

/** Shares of the film that no longer touch meat, as a person estimates them. */
export const lifted: Record<string, string> = {
  '0': 'all of it touches',
  '15': 'less than a quarter off',
  '35': 'a quarter to half off',
  '70': 'more than half off',
};

export const answers: Words<LookView['answer']> = {
  CARRY_ON: 'Carry on',
  ACT: 'Act',
  STOP: 'Stop',
};
