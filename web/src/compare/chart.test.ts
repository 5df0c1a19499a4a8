import { expect, test } from 'vitest';
import { steps } from './DotChart';

test('an axis of ratios is marked at ones, twos and fives', () => {
  expect(steps(1800, 110000)).toEqual([2000, 5000, 10000, 20000, 50000, 100000]);
  expect(steps(30, 45)).toEqual([]);
  expect(steps(0, 45)).toEqual([]);
  expect(steps(Infinity, -Infinity)).toEqual([]);
});
