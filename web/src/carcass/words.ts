import type { Schema } from '../api/client';

export const testWords: Record<Schema['CarcassView']['test'], string> = {
  NOT_ASKED: 'not asked for',
  AWAITED: 'awaited',
  CLEAR: 'clear',
  FOUND: 'found something',
};

export const stateWords: Record<NonNullable<Schema['PartView']['state']>, string> = {
  WAITING: 'is treated',
  HANGING: 'hangs',
  PULLED: 'to cut',
  CUT: 'cut',
  PARTED: 'broken down',
  FRESH: 'set aside',
};
