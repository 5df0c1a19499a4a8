import { expect, test } from 'vitest';
import { speaksOf } from './search';

test.each([
  ['', true],
  ['ice', true],
  ['ICE drain', true],
  ['drained ice', true],
  ['melt', true],
  ['price', false], // only the beginning of a word counts
  ['lice', false],
  ['ice butter', false],
  ['student’s', true],
  ['334', true],
])('asked for “%s” a text is found: %s', (asked, found) => {
  expect(speaksOf(asked, 'Ice', 'Drained as it melts: 334 kJ/kg; Student’s t. Crème.')).toBe(found);
});

test('accents need not be typed', () => {
  expect(speaksOf('creme', 'Crème fraîche')).toBe(true);
});
