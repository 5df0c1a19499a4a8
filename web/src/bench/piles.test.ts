import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { entryOf, onPiles } from './piles';

const entry = (part: Partial<Schema['EntryView']>): Schema['EntryView'] => ({
  estimated: false,
  id: crypto.randomUUID(),
  kind: 'PILE',
  grams: 100,
  words: '',
  happenedAt: '',
  recordedAt: '',
  by: '',
  stands: true,
  ...part,
});

test('steaks are counted, roasts are counted as none, and what nobody counted says nothing', () => {
  expect(entryOf('STEAKS', 700, 2, 'CRUST')).toMatchObject({ stream: 'STEAK', steaks: 2 });
  expect(entryOf('STEAKS', 700, 0, 'CRUST').steaks).toBeUndefined();
  expect(entryOf('ROASTS', 700, 2, 'CRUST')).toMatchObject({ stream: 'STEAK', steaks: 0 });
  expect(entryOf('BONE', 700, 2, 'CRUST').steaks).toBeUndefined();
});

test('only what is thrown away has a cause', () => {
  expect(entryOf('DISCARD', 80, 0, 'ROT')).toMatchObject({ stream: 'DISCARD', cause: 'ROT', words: '' });
  expect(entryOf('TRIM', 80, 0, 'ROT')).not.toHaveProperty('cause');
});

test('a pile is the sum of its containers that stand, roasts apart from steaks', () => {
  const log = [
    entry({ stream: 'STEAK', steaks: 1, grams: 300 }),
    entry({ stream: 'STEAK', grams: 700 }),
    entry({ stream: 'STEAK', steaks: 0, grams: 450 }),
    entry({ stream: 'STEAK', grams: 999, stands: false }),
    entry({ stream: 'BONE', grams: 50 }),
    entry({ kind: 'WEIGHED', grams: 4000 }),
  ];
  expect(onPiles(log)).toMatchObject({ STEAKS: 1000, ROASTS: 450, BONE: 50, DISCARD: 0 });
});
