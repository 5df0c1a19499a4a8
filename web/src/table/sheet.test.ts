import { expect, test } from 'vitest';
import { blank, lacking, ranks, sheetOf, steps, type Table } from './sheet';

const table = (kind: Table['kind']): Table => ({
  begun: true,
  place: 1,
  kind,
  attributes: [{ key: 'liking', label: 'Liking', low: 'not at all', high: 'very much' }],
  rounds: [{ round: 0, codes: [412, 709, 365], handedIn: false }],
  chips: [],
});

test('between two servings the tongue rests, and the choice comes when all are tasted', () => {
  expect(steps(table('RANKING'), [412, 709]).map((step) => step.kind)).toEqual([
    'taste',
    'rest',
    'taste',
    'choose',
    'end',
  ]);
  expect(steps(table('SCORES'), [412]).map((step) => step.kind)).toEqual(['taste', 'end']);
});

test('equal ones share a rank and the next keeps its place', () => {
  expect(ranks({ ...blank(0), order: [709, 412, 365], equal: [412] })).toEqual({ 709: 1, 412: 1, 365: 3 });
});

test('a choice must be made, and liking neither is one', () => {
  const choose = { kind: 'choose' } as const;
  expect(lacking(table('PAIRED'), blank(0), choose)).not.toBeNull();
  expect(lacking(table('PAIRED'), { ...blank(0), picked: null }, choose)).toBeNull();
  expect(lacking(table('RANKING'), { ...blank(0), order: [709, 412] }, choose)).not.toBeNull();
});

test('chips and own words are handed in together, and nothing where nothing was said', () => {
  const draft = {
    ...blank(0),
    chips: { 412: ['nutty'] },
    words: { 412: ' a bit of straw ', 709: ' ' },
    picked: null,
  };
  expect(sheetOf(table('PAIRED'), draft)).toEqual({
    round: 0,
    picked: undefined,
    ranks: {},
    scores: {},
    words: { 412: 'nutty, a bit of straw' },
    knew: false,
  });
});
