import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { codesOf } from './Key';

const tasting = {
  plates: [
    {
      place: 1,
      round: 0,
      servings: [
        { code: 412, sample: 0 },
        { code: 709, sample: 1 },
        { code: 183, sample: 0 },
      ],
    },
    {
      place: 2,
      round: 0,
      servings: [
        { code: 709, sample: 1 },
        { code: 365, sample: 1 },
        { code: 412, sample: 0 },
      ],
    },
    {
      place: 1,
      round: 1,
      servings: [
        { code: 951, sample: 0 },
        { code: 274, sample: 1 },
        { code: 826, sample: 0 },
      ],
    },
  ],
} as Schema['TastingView'];

test('a sample has each of its codes once, in order, and those of other rounds are not among them', () => {
  expect(codesOf(tasting, 0, 0)).toEqual([183, 412]);
  expect(codesOf(tasting, 1, 0)).toEqual([365, 709]);
  expect(codesOf(tasting, 0, 1)).toEqual([826, 951]);
});
