import { expect, test } from 'vitest';
import { buildUnits } from '../kit/reader';
import { carcassBody, missingOf, noAnimal } from './draft';

const units = buildUnits('KG', false, false, 'EUR');
const pounds = buildUnits('LB', true, true, 'EUR');

const deer = {
  ...noAnimal,
  tag: 'S-140',
  killedAt: '2026-01-30T06:30',
  weight: '41.3',
  chamberId: 'larder',
  price: '6.50',
};

test('an animal says what is missing before it is taken in', () => {
  expect(missingOf(noAnimal, units)).toEqual(['when it was killed', 'where it goes']);
  expect(missingOf({ ...deer, weight: 'heavy' }, units)).toEqual(['its weight']);
  expect(missingOf(deer, units)).toEqual([]);
});

test('weights, prices and times are sent as the server takes them', () => {
  const body = carcassBody(deer, units, {});
  expect(body).toMatchObject({ grams: 41_300, priceMinorPerKg: 650, method: 'OPEN_AIR', days: 10 });
  expect(new Date(body.killedAt).toISOString()).toBe(body.killedAt);
  expect(body.cooledAt).toBeUndefined();
});

test('what was not weighed says how large it is, and what was hung days ago since when', () => {
  const late = carcassBody({ ...deer, weight: '', size: 'LARGE', hungOn: '2026-01-30' }, units, {});
  expect(late).toMatchObject({ size: 'LARGE', hungOn: '2026-01-30' });
  expect(late.grams).toBeUndefined();
  expect(carcassBody(deer, units, {}).size).toBeUndefined();
});

test('what is hung says nothing of ice, what is iced says how warm meat and air are', () => {
  const warm = { ...deer, meat: '15', outside: '20' };
  expect(carcassBody(warm, units, {}).meatCelsius).toBeUndefined();
  const iced = carcassBody({ ...warm, iced: true }, units, {});
  expect(iced).toMatchObject({ method: 'ON_ICE', meatCelsius: 15, outsideCelsius: 20 });
});

test('a hunter who thinks in pounds and Fahrenheit is understood', () => {
  const body = carcassBody({ ...deer, weight: '160', iced: true, meat: '59', outside: '68' }, pounds, {});
  expect(body.grams).toBe(72_575);
  expect(body.meatCelsius).toBeCloseTo(15, 1);
  expect(body.outsideCelsius).toBeCloseTo(20, 1);
});

test('answers to questions go with it', () => {
  expect(carcassBody(deer, units, { 'animal-weight': '' }).answers).toEqual({ 'animal-weight': '' });
});
