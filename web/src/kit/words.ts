import type { Schema } from '../api/client';
import { days } from './units';

export const roleWords: Record<Schema['PieceCard']['role'], string> = {
  PLAIN: 'plain',
  CONTROL: 'control',
  TREATED: 'treated',
  FRESH: 'set aside fresh',
};

export const coatingWords: Record<Schema['PieceView']['coating'], string> = {
  NONE: 'nothing on it',
  FAT_SEAL: 'fat seal',
  PASTE: 'paste or rub',
  CLOTH: 'soaked cloth',
  SYRUP: 'sugar or syrup',
  POWDER: 'powder that draws water',
  SALT_RUB: 'salt rub',
  HIDE: 'its hide',
};

export const kindWords: Record<Schema['EntryView']['kind'], string> = {
  WEIGHED: 'Weighed',
  COAT_ON: 'Coat or seal on',
  COAT_OFF: 'Coat or seal off',
  WITHDRAWN: 'Slice taken',
  CUT_AWAY: 'Bad part cut away',
  GREEN_ESTIMATED: 'Not weighed',
  LOOKED: 'Looked at',
  LEAKED: 'Looked at, leaking',
  TURNED: 'Turned',
  RETIED: 'Tied anew',
  RESEALED: 'Resealed',
  RESTED: 'Unwrapped to rest',
  TRIMMED: 'Trimmed even',
  TREATED: 'Treated',
  STEP_DONE: 'Step done',
  COUNTED: 'Steaks counted',
  HUNG: 'Hung',
  MOVED: 'Moved',
  APART: 'Taken apart',
  PULLED: 'Pulled',
  UNWRAPPED: 'Weighed unwrapped',
  PILE: 'Pile',
  NOTE: 'Note',
  CLOSED: 'Bench closed',
  REOPENED: 'Bench opened again',
  TAKEN_BACK: 'Taken back',
};

export const chamberWords: Record<Schema['ChamberForm']['kind'], string> = {
  CABINET: 'Cabinet',
  WALK_IN: 'Walk-in room',
  REFRIGERATOR: 'Refrigerator',
  SHED: 'Shed',
  ICE_CHEST: 'Ice chest',
};

/** How a piece aged and for how long; nothing of what was set aside fresh or cut off an animal. */
export const agedWords = ({ dayNumber, methodLabel }: Schema['PieceCard']): string[] =>
  dayNumber == null ? [] : [...(methodLabel ? [methodLabel.toLowerCase()] : []), days(dayNumber)];

/** Why there is no cost of a kilogram of steak. */
export const noCost = (cost: { total?: number }): string =>
  cost.total == null ? 'not known: no price was written down' : 'no steak';
