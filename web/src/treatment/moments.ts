import type { Schema } from '../api/client';

/** To what a step belongs, as it stands alone. */
export const whenWords: Record<Schema['GivenStep']['moment'], string> = {
  BEFORE_HANGING: 'before hanging',
  HANGING: 'hanging',
  AFTER_PULL: 'after the pull',
  AT_THE_TABLE: 'at the table',
};
