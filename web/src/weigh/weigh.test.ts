import { expect, test } from 'vitest';
import { isKeepable } from './LiveWeight';

const steady = { grams: 4215, steady: true, empty: false, overloaded: false, laying: 3, tareGrams: 0 };

test('a steady figure of a new piece may be kept', () => {
  expect(isKeepable(steady, 2)).toBe(true);
});

test('after Elvaro started again its count of layings begins anew and weighing goes on', () => {
  expect(isKeepable({ ...steady, laying: 1 }, 7)).toBe(true);
});

test.each([
  ['moves', { steady: false }],
  ['lies empty', { empty: true, grams: 0 }],
  ['is overloaded', { overloaded: true }],
  ['shows what was kept already', { laying: 2 }],
])('a scale that %s has nothing to keep', (_, change) => {
  expect(isKeepable({ ...steady, ...change }, 2)).toBe(false);
});
