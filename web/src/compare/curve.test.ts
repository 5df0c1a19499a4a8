import { expect, test } from 'vitest';
import { curveOf } from './curve';

const curve = { a: 120, b: 500, sd: 0.01, from: 8, to: 47, pieces: 12 };

test('every point of a curve lies on the law of drying, from the fewest days to the most', () => {
  const points = curveOf(curve);
  expect(points[0]?.x).toBe(8);
  expect(points.at(-1)?.x).toBe(47);
  for (const { x, y } of points) {
    expect(120 * y + 500 * y * y).toBeCloseTo(x, 6);
  }
});

test('without a crust it is a straight line', () => {
  for (const { x, y } of curveOf({ ...curve, b: 0 })) {
    expect(y).toBeCloseTo(x / 120, 12);
  }
});
