import { expect, test } from 'vitest';
import { lasted, withGaps } from './stretch';

test.each([
  ['2026-01-05T10:00:00Z', '2026-01-05T10:01:00Z', '1 minute'],
  ['2026-01-05T10:00:00Z', '2026-01-05T11:40:00Z', '100 minutes'],
  ['2026-01-05T10:00:00Z', '2026-01-05T19:00:00Z', '9 hours'],
  ['2026-01-05T10:00:00Z', '2026-01-10T10:00:00Z', '5 days'],
])('from %s to %s is %s', (from, to, words) => {
  expect(lasted(from, to)).toBe(words);
});

test('a silence is left empty and a late reading is not one', () => {
  const at = (minute: number) => ({ at: new Date(minute * 60_000).toISOString(), celsius: 2 });
  const filled = withGaps([at(0), at(10), at(60)], 60);
  expect(filled).toHaveLength(4);
  expect(filled[2]).toEqual({ at: new Date(11 * 60_000).toISOString() });
});
