import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { entryOf, onPiles, type PileSaid } from './piles';

const entry = (part: Partial<Schema['EntryView']>): Schema['EntryView'] => ({
  estimated: false,
  untrimmed: false,
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

const said: PileSaid = { count: 0, cause: 'CRUST', name: '', untrimmed: false };

test('steaks are counted, roasts are counted as none, and what nobody counted says nothing', () => {
  expect(entryOf('STEAKS', 700, { ...said, count: 2, cause: 'CRUST' })).toMatchObject({
    stream: 'STEAK',
    steaks: 2,
  });
  expect(entryOf('STEAKS', 700, { ...said, count: 0, cause: 'CRUST' }).steaks).toBeUndefined();
  expect(entryOf('ROASTS', 700, { ...said, count: 2, cause: 'CRUST' })).toMatchObject({
    stream: 'STEAK',
    steaks: 0,
  });
  expect(entryOf('BONE', 700, { ...said, count: 2, cause: 'CRUST' }).steaks).toBeUndefined();
});

test('only what is thrown away has a cause', () => {
  expect(entryOf('DISCARD', 80, { ...said, count: 0, cause: 'ROT' })).toMatchObject({
    stream: 'DISCARD',
    cause: 'ROT',
    words: '',
  });
  expect(entryOf('TRIM', 80, { ...said, count: 0, cause: 'ROT' })).not.toHaveProperty('cause');
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

test('a pile keeps the name its house has for it, and that it is cleaned later', () => {
  expect(entryOf('STEAKS', 700, { ...said, name: ' medium belly ', untrimmed: true })).toMatchObject({
    pile: 'medium belly',
    untrimmed: true,
  });
  expect(entryOf('STEAKS', 700, said)).not.toHaveProperty('pile');
});
