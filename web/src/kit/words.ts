import type { Schema } from '../api/client';
import { days } from './units';

export type Work = Schema['DueView']['work'];

export const workWords: Record<Work, string> = {
  STOP: 'See to it',
  PULL_OVERDUE: 'Pull',
  PULL: 'Pull',
  DECIDE: 'Decide',
  RESEAL: 'Reseal',
  REST: 'Unwrap',
  TRIM: 'Trim',
  TREAT: 'Treat',
  CUT: 'Cut',
  BUY: 'Buy',
  HANG: 'Hang',
  CHANGE_ICE: 'Change ice',
  WEIGH: 'Weigh',
  TURN: 'Turn',
  LOOK: 'Look',
};

/** What is said by touching it, where the touch is all there is to say. */
export const doneWords: Partial<Record<Work, string>> = {
  CHANGE_ICE: 'Iced',
  TURN: 'Turned',
  RESEAL: 'Resealed',
  REST: 'Unwrapped',
  TRIM: 'Trimmed',
};

/** What is written into the log when such work is done. */
export const doneKinds: Partial<Record<Work, Schema['EntryForm']['kind']>> = {
  TURN: 'TURNED',
  RESEAL: 'RESEALED',
  REST: 'RESTED',
  TRIM: 'TRIMMED',
};

/** How long something has been due, in words. */
export function dueWords(due: Schema['DueView']): string {
  const late = due.days === 1 ? '1 day' : `${due.days} days`;
  switch (due.work) {
    case 'STOP':
      return due.days === 0 ? 'a look said stop' : `a look said stop ${late} ago`;
    case 'RESEAL':
      return due.days === 0 ? 'its membrane leaks' : `has leaked for ${late}`;
    case 'REST':
      return 'unwrap, a day in the cold';
    case 'TRIM':
      return 'trim folds and cuts even';
    case 'TREAT':
      return due.words ?? '';
    case 'PULL_OVERDUE':
      return `${late} past its target`;
    case 'PULL':
      return 'its day is today';
    case 'DECIDE':
      return `${due.cutName}, ${due.days === 0 ? 'today' : `${late} ago`}`;
    case 'CUT':
      return due.days === 0 ? 'pulled today' : `pulled ${late} ago`;
    case 'HANG':
      return due.days === 0 ? 'came today' : `came ${late} ago`;
    case 'BUY':
      return due.days < 0 ? `to hang in ${-due.days} d` : due.days === 0 ? 'to hang today' : `${late} late`;
    case 'WEIGH':
      return due.days === 0 ? 'weighing day' : `weighing ${late} late`;
    case 'TURN':
      return due.days === 0 ? 'turning day' : `turning ${late} late`;
    case 'LOOK':
      return due.days === 0 ? 'look and smell' : `looking ${late} late`;
    case 'CHANGE_ICE':
      return `${due.words ?? 'drain, fresh ice'}${due.days === 0 ? '' : `, ${late} late`}`;
  }
}

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
  SALT_RUB: 'salt rub',
  HIDE: 'its hide',
};

export const kindWords: Record<Schema['EntryView']['kind'], string> = {
  WEIGHED: 'Weighed',
  COAT_ON: 'Coat or seal on',
  COAT_OFF: 'Coat or seal off',
  WITHDRAWN: 'Slice taken',
  CUT_AWAY: 'Bad part cut away',
  LOOKED: 'Looked at',
  LEAKED: 'Looked at, leaking',
  TURNED: 'Turned',
  RETIED: 'Tied anew',
  RESEALED: 'Resealed',
  RESTED: 'Unwrapped to rest',
  TRIMMED: 'Trimmed even',
  TREATED: 'Treated',
  STEP_DONE: 'Step done',
  HUNG: 'Hung',
  MOVED: 'Moved',
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
