import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { alongTheRails, inRounds, muchIn } from './rounds';

const due = (work: string, id: string) => ({ work, subject: { id } }) as Schema['WorkView'];

const room = {
  chambers: [
    {
      pieces: [
        { id: 'b2', rail: 2, slot: 1 },
        { id: 'a1', rail: 1, slot: 1 },
        { id: 'a2', rail: 1, slot: 2 },
      ],
    },
    { pieces: [{ id: 'c1', rail: 1, slot: 1 }] },
  ],
} as unknown as Schema['RoomView'];

test('a round goes along the rails, chamber by chamber, and what hangs nowhere comes last', () => {
  const work = ['gone', 'c1', 'b2', 'a2', 'a1'].map((id) => due('WEIGH', id));
  expect(alongTheRails(room, work).map(({ subject }) => subject.id)).toEqual([
    'a1',
    'a2',
    'b2',
    'c1',
    'gone',
  ]);
});

test('eleven weighings are one line, where the first of them stood; two are two', () => {
  const many = Array.from({ length: 11 }, (_, index) => due('WEIGH', String(index)));
  const lines = inRounds([due('STOP', 'x'), ...many, due('LOOK', 'y'), due('TURN', 'z'), due('LOOK', 'w')]);
  expect(muchIn(lines)).toBe(15);
  expect(muchIn(lines.slice(2))).toBe(3);
  expect(lines.map((line) => ('all' in line ? `${line.work} ${line.all.length}` : line.work))).toEqual([
    'STOP',
    'WEIGH 11',
    'LOOK',
    'TURN',
    'LOOK',
  ]);
});
