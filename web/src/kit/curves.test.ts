import { expect, test } from 'vitest';
import { at } from './curves';

const curve = [
  { day: 0, value: 100 },
  { day: 10, value: 80 },
  { day: 20, value: 70 },
];

test.each([
  [0, 100],
  [5, 90],
  [10, 80],
  [17.5, 72.5],
  [20, 70],
])('on day %f the curve is at %f', (day, value) => {
  expect(at(curve, day)).toBeCloseTo(value, 9);
});

test('outside its days a curve has no value', () => {
  expect(at(curve, -1)).toBeNull();
  expect(at(curve, 20.1)).toBeNull();
  expect(at([], 3)).toBeNull();
});

test('a curve of one day is that day', () => {
  expect(at([{ day: 3, value: 7 }], 3)).toBe(7);
});
