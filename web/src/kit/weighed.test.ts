import { expect, test } from 'vitest';
import { gone, neverWeighed, weighedAgo } from './weighed';

const hung = { state: 'HANGING' as const, shrinkFraction: 0, expectedLost: 0.217, daysUnweighed: 47 };

test('what hangs for weeks and was never weighed has not lost nothing', () => {
  expect(neverWeighed(hung)).toBe(true);
  expect(gone(hung)).toBe('never weighed, about 21.7 % gone');
  expect(gone({ ...hung, expectedLost: undefined })).toBe('never weighed');
});

test('on the day it is hung its weight is known', () => {
  expect(gone({ ...hung, daysUnweighed: 0, expectedLost: 0 })).toBe('0.0 % gone');
});

test('an old weight says how old it is, and one of today does not', () => {
  const weighed = {
    ...hung,
    lastWeighedAt: '2026-11-20T10:00:00Z',
    shrinkFraction: 0.104,
    daysUnweighed: 11,
  };
  expect(gone(weighed)).toBe('10.4 % gone');
  expect(weighedAgo(weighed)).toBe('11 days ago');
  expect(weighedAgo({ ...weighed, daysUnweighed: 0 })).toBeUndefined();
  expect(weighedAgo(hung)).toBeUndefined();
});
