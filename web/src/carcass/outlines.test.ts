import { expect, test } from 'vitest';
import { animals, mirrored } from './outlines';

test('the other half of an animal is its mirror', () => {
  expect(mirrored('M100 10 L120 20 C1 2 3 4 5 6 Z')).toBe('M200 10 L180 20 C299 2 297 4 295 6 Z');
  expect(mirrored(mirrored('M100 10 L120.5 20 Z'))).toBe('M100 10 L120.5 20 Z');
});

test('every part is drawn once and its name stands within the picture', () => {
  for (const drawn of Object.values(animals)) {
    const parts = drawn.map(({ part }) => part);
    expect(new Set(parts).size).toBe(parts.length);
    for (const { at } of drawn) {
      expect(at[0]).toBeGreaterThan(0);
      expect(at[0]).toBeLessThan(300);
      expect(at[1]).toBeLessThan(360);
    }
  }
});
