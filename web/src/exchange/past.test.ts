import { expect, test } from 'vitest';
import { firstForm, withColumn } from './past';

const sheet = (columns: string[], rows: string[][]) => ({
  headRow: 1,
  columns,
  rows,
  guess: { PIECE: 0, WEIGHT: 1 },
});

test('the unit is told by the heads, or by how large the figures are', () => {
  expect(firstForm(sheet(['tag', 'weight (lb)'], [['1', '9.9']])).unit).toBe('POUND');
  expect(firstForm(sheet(['tag', 'weight kg'], [['1', '9.9']])).unit).toBe('KILOGRAM');
  expect(
    firstForm(
      sheet(
        ['tag', 'weight'],
        [
          ['1', '4,9'],
          ['1', ''],
        ],
      ),
    ).unit,
  ).toBe('KILOGRAM');
  expect(firstForm(sheet(['tag', 'weight'], [['1', '4900']])).unit).toBe('GRAM');
});

test('which of two numbers is the day is told by one above twelve', () => {
  const dated = (day: string) =>
    firstForm({ ...sheet(['tag', 'weight', 'date'], [['1', '5', day]]), guess: { DAY: 2 } });
  expect(dated('3/24/2026').order).toBe('MONTH_FIRST');
  expect(dated('24/3/2026').order).toBe('DAY_FIRST');
  expect(dated('3.4.2026').order).toBe('DAY_FIRST');
});

test('a column holds one thing, and a thing stands in one column', () => {
  const form = firstForm(sheet(['tag', 'weight'], [['1', '4900']]));
  expect(withColumn(form, 'GREEN', 1).columns).toEqual({ PIECE: 0, GREEN: 1 });
  expect(withColumn(form, 'WEIGHT', null).columns).toEqual({ PIECE: 0 });
});
