import { readNumber } from '../kit/units';
import type { Draft } from './draft';

/** A treatment as it is given: what exactly, how much, how long or how often. */
export interface Give extends Draft {
  exactly: string;
  /** Days or times; '' for as usual. */
  number: string;
}

/** What is put on and how much of it, as the server takes it. */
export const doseBody = (give: Draft) => {
  const amount = readNumber(give.amount);
  const own = give.recipeId !== '';
  return {
    kind: give.kind,
    ...(own && { recipeId: give.recipeId }),
    ...(!own && amount !== null && { amount, measure: give.measure, basis: give.basis }),
    rawGarlicOrHerbs: give.rawGarlicOrHerbs,
    oil: give.oil,
    spirit: give.spirit,
  };
};

/** The same with what exactly it is, and how many days or times. */
export const giveBody = (give: Give) => ({
  ...doseBody(give),
  exactly: give.exactly,
  ...(give.number.trim() !== '' && { number: Math.round(readNumber(give.number) ?? 0) }),
});
