import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { firstScenario, lastPaid, scenarioBody, type Scenario } from './scenario';

const shop = buildUnits('KG', false, false, 'EUR');
const abroad = buildUnits('LB', true, true, 'EUR');
const first = {
  scenario: {
    cutCode: 'strip',
    boneIn: false,
    fatCoverMm: 0,
    greenGrams: 5000,
    method: 'OPEN_AIR',
    coating: 'NONE',
    chamberId: 'c1',
    targetDays: 28,
    priceMinorPerKg: 2180,
    consumablesMinor: 0,
    steakMm: 30,
  },
  lastPaid: { ribeye: 2650, strip: 2180 },
} as Schema['FirstPlan'];

const scenario: Scenario = {
  ...firstScenario(first, shop),
  weight: '6,2',
  fatCover: '5',
  price: '21,80',
  materials: '7',
  steakMm: 28,
};

test('what was paid last for a cut is what it is planned at', () => {
  expect(lastPaid('strip', first, shop)).toBe('21.80');
  expect(lastPaid('ribeye', first, abroad)).toBe('12.02');
  expect(lastPaid('goose', first, shop)).toBe('');
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
