import type { Schema } from '../api/client';

export type Content = Schema['PackForm']['content'];
export type Wrap = Schema['PackForm']['wrap'];
export type Keeping = Schema['PackForm']['keeping'];
export type Way = Schema['OutForm']['way'];

export const contents: Record<Content, string> = {
  STEAK: 'Steaks',
  ROAST: 'Roast',
  TRIM: 'Trim for grinding',
  FAT: 'Fat for rendering',
  BONE: 'Bones',
};

export const wraps: Record<Wrap, string> = { VACUUM: 'vacuum', WRAPPED: 'wrapped' };

export const keepings: Record<Keeping, string> = { CHILLED: 'chilled', FROZEN: 'frozen' };

export const ways: Record<Way, string> = {
  SALE: 'sold',
  TABLE: 'eaten here',
  TASTING: 'tasted',
  GRIND: 'ground',
  DISCARD: 'thrown away',
};

/** The pile each content comes from. */
export const piles: Record<Content, 'steak' | 'usableTrim' | 'fat' | 'bone'> = {
  STEAK: 'steak',
  ROAST: 'steak',
  TRIM: 'usableTrim',
  FAT: 'fat',
  BONE: 'bone',
};
