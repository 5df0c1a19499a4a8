import { expect, test } from 'vitest';
import { readWeight, weightForField, writeWeight, type WeightUnit } from './weights';

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
  ['8.4.1', 'KG', null],
  ['-3', 'KG', null],
  ['8 4', 'KG', null],
  ['1e5', 'KG', null],
])('%s typed by someone who reads %s is %s g', (text, unit, grams) => {
  expect(readWeight(text, unit)).toBe(grams);
});

test.each<WeightUnit>(['KG', 'G', 'LB', 'LB_OZ'])(
  'what was typed in %s is shown again as it was typed',
  (unit) => {
    for (let step = 1; step < 4000; step += 7) {
      const shown = writeWeight(step * 5, unit);
      const again = readWeight(shown, unit);
      expect(again).not.toBeNull();
      expect(writeWeight(again ?? 0, unit)).toBe(shown);
      expect(readWeight(weightForField(step * 5, unit), unit)).toBe(again);
    }
  },
);

test('kilograms and grams are kept to the gram', () => {
  for (let grams = 1; grams < 30_000; grams += 37) {
    expect(readWeight(writeWeight(grams, 'KG'), 'LB')).toBe(grams);
    expect(readWeight(writeWeight(grams, 'G'), 'KG')).toBe(grams);
  }
});
