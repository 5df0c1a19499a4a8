import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { codesOf } from './Key';

/** Codes with the samples they stand for, in the order they are eaten. */
const plate = (place: number, round: number, served: [number, number][]): Schema['PlateView'] => ({
  place,
  round,
  servings: served.map(([code, sample]) => ({ code, sample })),
});

const tasting = {
  plates: [
    plate(1, 0, [
      [412, 0],
      [709, 1],
      [183, 0],
    ]),
    plate(2, 0, [
      [709, 1],
      [365, 1],
      [412, 0],
    ]),
    plate(1, 1, [
      [951, 0],
      [274, 1],
      [826, 0],
    ]),
  ],
} as Schema['TastingView'];

test('a sample has each of its codes once, in order, and those of other rounds are not among them', () => {
  expect(codesOf(tasting, 0, 0)).toEqual([183, 412]);
  expect(codesOf(tasting, 1, 0)).toEqual([365, 709]);
  expect(codesOf(tasting, 0, 1)).toEqual([826, 951]);
});
