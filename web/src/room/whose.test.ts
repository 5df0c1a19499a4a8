import { describe, expect, it } from 'vitest';
import type { Schema } from '../api/client';
import { EVERYBODY, MINE, sheets, workOf } from './whose';

const due = (tag: string, chamberName?: string) =>
  ({ work: 'WEIGH', days: 0, subject: { tag, name: 'Strip loin', chamberName } }) as Schema['WorkView'];

const chamber = (name: string, keeper?: string) =>
  ({ id: name, name, keeper, keeperId: keeper?.toLowerCase() }) as Schema['ChamberView'];

const room = {
  today: '2026-02-01',
  chambers: [
    chamber('North', 'Idris'),
    chamber('Pantry', 'Pilar'),
    chamber('Shed'),
    chamber('Stone', 'Idris'),
  ],
  due: [due('1A', 'North'), due('2A', 'Pantry'), due('3A', 'Shed'), due('4A', 'Stone'), due('37')],
  pulled: [],
} as Schema['RoomView'];

const tags = (all: Schema['WorkView'][]) => all.map(({ subject }) => subject.tag);

describe('whose work', () => {
  it('is everybody’s until somebody chooses', () => {
    expect(tags(workOf(room, EVERYBODY, 'pilar'))).toEqual(['1A', '2A', '3A', '4A', '37']);
    expect(tags(workOf(room, 'a chamber that is gone', 'pilar'))).toHaveLength(5);
  });

  it('is mine where I keep the chamber or nobody does', () => {
    expect(tags(workOf(room, MINE, 'pilar'))).toEqual(['2A', '3A', '37']);
    expect(tags(workOf(room, MINE, 'idris'))).toEqual(['1A', '3A', '4A', '37']);
  });

  it('is that of one chamber', () => {
    expect(tags(workOf(room, 'Stone', 'pilar'))).toEqual(['4A']);
  });

  it('comes on paper by person, then by chamber, and what is nobody’s last', () => {
    expect(sheets(room).map(({ keeper, chamber: name, due: all }) => [keeper, name, ...tags(all)])).toEqual([
      ['Idris', 'North', '1A'],
      ['Idris', 'Stone', '4A'],
      ['Pilar', 'Pantry', '2A'],
      ['', 'Shed', '3A'],
      ['', 'In no chamber yet', '37'],
    ]);
  });
});
