import type { Schema } from '../api/client';

export type Content = Schema['PackForm']['content'];
export type Wrap = Schema['PackForm']['wrap'];
export type Keeping = Schema['PackForm']['keeping'];
export type Way = Schema['OutForm']['way'];

export const contents: Record<Content, string> = {
  STEAK: 'Steaks',
  ROAST: 'Roast',
  CHOP: 'Chops',
  SHANK: 'Cross-cut shanks',
  STEW: 'Stew meat',
  TRIM: 'Trim for grinding',
  FAT: 'Fat for rendering',
  BONE: 'Bones',
  GRIND: 'Grind',
  TALLOW: 'Tallow',
  JAR: 'Trim and fat, gathered',
};

export const wraps: Record<Wrap, string> = { VACUUM: 'vacuum', WRAPPED: 'wrapped' };

export const keepings: Record<Keeping, string> = { CHILLED: 'chilled', FROZEN: 'frozen' };

export const ways: Record<Way, string> = {
  SALE: 'sold',
  TABLE: 'eaten here',
  TASTING: 'tasted',
  GRIND: 'ground',
  RENDER: 'rendered',
  GATHER: 'gathered',
  CLEAN: 'cleaned',
  DISCARD: 'thrown away',
};

/** What a person takes out for; the rest leaves by its own page. */
export const takenFor = {
  SALE: ways.SALE,
  TABLE: ways.TABLE,
  TASTING: ways.TASTING,
  GRIND: ways.GRIND,
  RENDER: ways.RENDER,
  DISCARD: ways.DISCARD,
};

/** What comes straight from a piece. */
export const ofPieces = [
  'STEAK',
  'ROAST',
  'CHOP',
  'SHANK',
  'STEW',
  'TRIM',
  'FAT',
  'BONE',
] as const satisfies readonly Content[];
