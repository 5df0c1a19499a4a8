import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { firstScenario, lastPaid, scenarioBody, type Scenario } from './scenario';

const shop = buildUnits('KG', false, false, 'EUR');
const abroad = buildUnits('LB', true, true, 'EUR');
const lots = [
  { cutCode: 'ribeye', priceMinorPerKg: 2650 },
  { cutCode: 'strip', priceMinorPerKg: 0 },
  { cutCode: 'strip', priceMinorPerKg: 2180 },
  { cutCode: 'strip', priceMinorPerKg: 1990 },
] as Schema['LotLine'][];
const cabinet = { id: 'c1', kind: 'CABINET' } as Schema['ChamberForm'];
const refrigerator = { id: 'c2', kind: 'REFRIGERATOR' } as Schema['ChamberForm'];

const scenario: Scenario = {
  ...firstScenario(shop, cabinet, lots),
  weight: '6,2',
  fatCover: '5',
  price: '21,80',
  materials: '7',
  steakMm: 28,
};

test('what was paid last for a cut is what it is planned at', () => {
  expect(lastPaid('strip', lots, shop)).toBe('21.80');
  expect(lastPaid('ribeye', lots, abroad)).toBe('12.02');
  expect(lastPaid('goose', lots, shop)).toBe('');
});

test('a newcomer begins with a membrane in a refrigerator', () => {
  expect(firstScenario(shop, undefined, [])).toMatchObject({
    method: 'MEMBRANE',
    days: 35,
    chamberId: '',
    price: '',
  });
  expect(firstScenario(shop, refrigerator, [])).toMatchObject({ method: 'MEMBRANE', chamberId: 'c2' });
  expect(firstScenario(shop, cabinet, lots)).toMatchObject({ method: 'OPEN_AIR', days: 28, price: '21.80' });
});

test('fields are sent in grams, millimetres and minor units', () => {
  expect(scenarioBody(scenario, shop)).toMatchObject({
    greenGrams: 6200,
    fatCoverMm: 5,
    priceMinorPerKg: 2180,
    consumablesMinor: 700,
    steakMm: 28,
    chamberId: 'c1',
  });
});

test('the same in pounds and inches', () => {
  const body = scenarioBody({ ...scenario, weight: '13.67', fatCover: '0.2', price: '9.89' }, abroad);
  expect(body).toMatchObject({ greenGrams: 6201, fatCoverMm: 5, priceMinorPerKg: 2180 });
});

test('what is left empty is nothing, and air that nobody moved is the chamber’s own', () => {
  const body = scenarioBody({ ...scenario, fatCover: '', price: ' ', materials: '', chamberId: '' }, shop);
  expect(body).toMatchObject({ fatCoverMm: 0, priceMinorPerKg: 0, consumablesMinor: 0 });
  expect(body?.chamberId).toBeUndefined();
  expect(body?.celsius).toBeUndefined();
  expect(body?.humidityPercent).toBeUndefined();
  expect(scenarioBody({ ...scenario, humidity: 71, celsius: 0 }, shop)).toMatchObject({
    humidityPercent: 71,
    celsius: 0,
  });
});

test.each([
  ['weight', 'heavy'],
  ['weight', ''],
  ['fatCover', 'thick'],
  ['price', '-3'],
  ['materials', 'some'],
  ['cutCode', ''],
] as const)('nothing is asked while %s reads "%s"', (field, text) => {
  expect(scenarioBody({ ...scenario, [field]: text }, shop)).toBeNull();
});
