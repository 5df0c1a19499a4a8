import { expect, test } from 'vitest';
import { firstForm, withColumn, type Sheet } from './past';

const sheet: Sheet = {
  sheets: [''],
  sheet: 0,
  headRow: 1,
  columns: ['tag', 'weight', '8.1.2026'],
  rows: [['1', '4900', '4800']],
  guess: { PIECE: 0, WEIGHT: 1 },
  weighings: [2],
  unit: 'GRAM',
  order: 'DAY_FIRST',
  orderSure: true,
};

test('a column holds one thing, and a thing stands in one column', () => {
  const form = firstForm(sheet);
  expect(withColumn(form, 'GREEN', 1).columns).toEqual({ PIECE: 0, GREEN: 1 });
  expect(withColumn(form, 'WEIGHT', null).columns).toEqual({ PIECE: 0 });
  expect(form.weighings).toEqual({ 2: '8.1.2026' });
  expect(withColumn(form, 'AGED', 2).weighings).toEqual({});
});
