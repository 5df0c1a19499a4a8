import type { Schema } from '../api/client';
import { newId } from '../kit/drafts';
import type { Units } from '../kit/units';
import type { Content, Keeping, Wrap } from './words';

/** Packs as they stand in the fields: each weight a pack. */
export interface PackText {
  content: Content;
  wrap: Wrap;
  keeping: Keeping;
  packedOn: string;
  useBy: string;
  place: string;
  /** The house's own for what is in it, '' for none. */
  name: string;
  toClean: boolean;
  weights: { id: string; text: string }[];
}

export const weightOf = (text = '') => ({ id: newId(), text });

export const firstPack = (today: string, content: Content): PackText => ({
  content,
  wrap: 'VACUUM',
  keeping: 'FROZEN',
  packedOn: today,
  useBy: '',
  place: '',
  name: '',
  toClean: false,
  weights: [weightOf()],
});

/** For how many days the workshop's own rule lets such a pack be used; 0 where it has none. */
export const daysByRule = (text: PackText, rules: Schema['RuleView'][]): number =>
  rules.find(
    ({ content, wrap, keeping }) =>
      content === text.content && wrap === text.wrap && keeping === text.keeping,
  )?.days ?? 0;

/** Without a last day that somebody typed, the workshop's own rule counts. */
export function packBodies(text: PackText, units: Units): Schema['PackForm'][] {
  return text.weights.flatMap(({ id, text: typed }) => {
    const grams = units.readWeight(typed);
    return grams === null || grams === 0
      ? []
      : [
          {
            id,
            content: text.content,
            grams,
            wrap: text.wrap,
            keeping: text.keeping,
            packedOn: text.packedOn,
            useBy: text.useBy || undefined,
            place: text.place,
            ...(text.name.trim() !== '' && { name: text.name.trim() }),
            ...(text.toClean && { toClean: true }),
          },
        ];
  });
}
