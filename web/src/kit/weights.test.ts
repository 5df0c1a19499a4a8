import { expect, test } from 'vitest';
import { readWeight, weightForField, writeFigures, writeWeight, type WeightUnit } from './weights';

test.each<[string, WeightUnit, number | null]>([
  ['8.4', 'KG', 8400],
  ['8,4', 'KG', 8400],
  ['840', 'G', 840],
  ['10.6', 'LB', 4808], // international pound 453.59237 g: 4808.08
  ['10 lb 9.6 oz', 'KG', 4808],
  ['10 9.6', 'LB_OZ', 4808],
  ['1lb', 'G', 454],
  ['3.2 kg', 'LB', 3200],
  ['', 'KG', null],
  ['heavy', 'KG', null],
  ['+  4.215 kg', 'LB', 4215], // as a scale types it
  ['+4215 g', 'KG', 4215],
  ['2.1 + 1.3', 'KG', null],
  ['- 0.012 kg', 'KG', null],
  ['8.4.1', 'KG', null],
  ['-3', 'KG', null],
  ['8 4', 'KG', null],
  ['1e5', 'KG', null],
])('%s typed by someone who reads %s is %s g', (text, unit, grams) => {
  expect(readWeight(text, unit)).toBe(grams);
});

test.each<WeightUnit>(['KG', 'G', 'LB', 'LB_OZ'])(
  'every gram shown in %s is read again as the gram it was',
  (unit) => {
    for (let grams = 1; grams < 30_000; grams += grams < 2000 ? 1 : 37) {
      expect(readWeight(writeWeight(grams, unit), unit)).toBe(grams);
      expect(readWeight(weightForField(grams, unit), unit)).toBe(grams);
    }
  },
);

test.each([
  [1.499144, '1.5'],
  [0.141, '0.141'],
  [22.44, '22.4'],
  [850.4, '850'],
  [12_345, '12345'],
])('%s is read off a spoon or a scale as %s', (amount, words) => {
  expect(writeFigures(amount, 'en-GB')).toBe(words);
});
