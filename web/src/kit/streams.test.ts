import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { stretches, type Drawn } from './streams';
import { agedWords } from './words';

const ledger = {
  greenGrams: 8000,
  withdrawnGrams: 200,
  cutAwayGrams: 0,
  shrinkGrams: 1000,
  residualGrams: 300,
  piles: { STEAK: 5000, USABLE_TRIM: 800, FAT: 0, BONE: 400, DISCARD: 300 },
} satisfies Drawn;

test('the stretches of a bar lie end to end and fill the green weight', () => {
  const drawn = stretches(ledger);
  let end = 0;
  for (const stretch of drawn) {
    expect(stretch.from).toBe(end);
    end += stretch.grams;
  }
  expect(end).toBe(8000);
  expect(drawn.map((stretch) => stretch.share)).not.toContain('fat');
});

test('piles that weigh more than the piece draw no stretch of less than nothing', () => {
  const drawn = stretches({ ...ledger, residualGrams: -100, shrinkGrams: -50 });
  expect(drawn.every((stretch) => stretch.grams > 0)).toBe(true);
  expect(drawn.map((stretch) => stretch.share)).not.toContain('residual');
});

test('how a piece aged is said of those that hung', () => {
  const card = { methodLabel: 'Open air', dayNumber: 1 } as Schema['PieceCard'];
  expect(agedWords(card)).toEqual(['open air', '1 day']);
  expect(agedWords({ ...card, dayNumber: 28 })).toEqual(['open air', '28 days']);
  expect(agedWords({ ...card, dayNumber: undefined })).toEqual([]);
});
