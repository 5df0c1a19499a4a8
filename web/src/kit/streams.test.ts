import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { stretches } from './streams';
import { agedWords, dueWords } from './words';

const ledger = {
  greenGrams: 8000,
  withdrawnGrams: 200,
  cutAwayGrams: 0,
  agedGrams: 6800,
  shrinkGrams: 1000,
  residualGrams: 300,
  piles: { steak: 5000, usableTrim: 800, fat: 0, bone: 400, discard: 300 },
} as Schema['LedgerView'];

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

test.each([
  ['PULL_OVERDUE', 1, '1 day past its target'],
  ['PULL_OVERDUE', 40, '40 days past its target'],
  ['PULL', 0, 'its day is today'],
  ['CUT', 0, 'pulled today'],
  ['CUT', 3, 'pulled 3 days ago'],
  ['HANG', 1, 'came 1 day ago'],
  ['WEIGH', 0, 'weighing day'],
  ['WEIGH', 2, 'weighing 2 days late'],
  ['BUY', -2, 'to hang in 2 d'],
  ['BUY', 0, 'to hang today'],
  ['BUY', 1, '1 day late'],
  ['TURN', 0, 'turning day'],
  ['LOOK', 0, 'look and smell'],
  ['LOOK', 3, 'looking 3 days late'],
  ['CHANGE_ICE', 0, 'drain, fresh ice'],
] as const)('%s due for %i days reads "%s"', (work, days, words) => {
  expect(dueWords({ work, days } as Schema['DueView'])).toBe(words);
});

test('ice that is late says how much of it, and since when', () => {
  const due = { work: 'CHANGE_ICE', days: 2, words: 'drain, add 8 kg of ice' } as Schema['DueView'];
  expect(dueWords(due)).toBe('drain, add 8 kg of ice, 2 days late');
  expect(dueWords({ ...due, days: 0 })).toBe('drain, add 8 kg of ice');
});

test('how a piece aged is said of those that hung', () => {
  const card = { methodLabel: 'Open air', dayNumber: 1 } as Schema['PieceCard'];
  expect(agedWords(card)).toEqual(['open air', '1 day']);
  expect(agedWords({ ...card, dayNumber: 28 })).toEqual(['open air', '28 days']);
  expect(agedWords({ ...card, dayNumber: undefined })).toEqual([]);
});
