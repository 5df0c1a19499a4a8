import { expect, test } from 'vitest';
import { daysHung, roundAxis, shares } from './axis';
import { buildUnits } from './reader';

const written = (axis: ReturnType<typeof roundAxis>) => axis.tickInterval.map(axis.valueFormatter);
const here = buildUnits('KG', false, false, 'EUR', 'en-GB');
const abroad = buildUnits('LB', true, true, 'USD', 'en-US');

test('whoever weighs in pounds reads whole and half pounds beside a curve', () => {
  expect(written(roundAxis(abroad.axes.weight, 600, 1474))).toEqual([
    '1.0 lb',
    '1.5 lb',
    '2.0 lb',
    '2.5 lb',
    '3.0 lb',
    '3.5 lb',
  ]);
  expect(written(roundAxis(here.axes.weight, 600, 1474))).toEqual([
    '0.6 kg',
    '0.8 kg',
    '1.0 kg',
    '1.2 kg',
    '1.4 kg',
    '1.6 kg',
  ]);
});

test('degrees and prices are round in the units of whoever reads them', () => {
  expect(written(roundAxis(abroad.axes.temperature, 0.2, 6))).toEqual([
    '32 °F',
    '34 °F',
    '36 °F',
    '38 °F',
    '40 °F',
    '42 °F',
    '44 °F',
  ]);
  expect(written(roundAxis(abroad.axes.price, 2300, 4300))).toEqual([
    '$10.00/lb',
    '$12.00/lb',
    '$14.00/lb',
    '$16.00/lb',
    '$18.00/lb',
    '$20.00/lb',
  ]);
});

test('an axis holds what is drawn on it, all alike too', () => {
  const axis = roundAxis(here.axes.weight, 4215, 4215);
  expect(axis.min).toBeLessThanOrEqual(4215);
  expect(axis.max).toBeGreaterThan(4215);
  expect(written(roundAxis(here.axes.weight, 6160, 6750)).at(-1)).toBe('6.8 kg');
  expect(written(roundAxis(daysHung, 47, 47))).toEqual(['47', '48', '49', '50', '51', '52', '53']);
  expect(written(roundAxis(shares, 0, 0.237))).toEqual(['0 %', '5 %', '10 %', '15 %', '20 %', '25 %']);
});
