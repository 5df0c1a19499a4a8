import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { firstWorth, worthBody } from './worth';

const shop = buildUnits('KG', false, false, 'EUR');
const way = { days: 35, lifeYears: 10, atOnce: 2, watts: 0, consumablesMinor: 700, purchaseMinor: 10000 };
const first = {
  piece: { cutCode: 'ribeye', boneIn: false, greenGrams: 5000, priceMinorPerKg: 0, steakMm: 30 },
  piecesAYear: 6,
  boughtMinorPerKg: 0,
  ways: [
    { ...way, method: 'MEMBRANE' },
    { ...way, method: 'OPEN_AIR', watts: 90, purchaseMinor: 300000 },
  ],
} as Schema['WorthForm'];
const asked = { ...firstWorth(first, shop), price: '26,50', bought: '62', weight: '6.2' };

test('what is asked goes out in grams and minor units, each way with what it needs', () => {
  const body = worthBody(asked, first, shop);
  expect(body?.piece).toMatchObject({ greenGrams: 6200, priceMinorPerKg: 2650, steakMm: 30 });
  expect(body?.boughtMinorPerKg).toBe(6200);
  expect(body?.ways.map((each) => [each.method, each.purchaseMinor, each.watts])).toEqual([
    ['MEMBRANE', 10000, 0],
    ['OPEN_AIR', 300000, 90],
  ]);
});

test('nothing is asked while a price is missing or a field cannot be read', () => {
  expect(worthBody({ ...asked, bought: '' }, first, shop)).toBeNull();
  expect(worthBody({ ...asked, pieces: 'some' }, first, shop)).toBeNull();
  const [one, ...rest] = asked.ways;
  expect(one && worthBody({ ...asked, ways: [{ ...one, life: '' }, ...rest] }, first, shop)).toBeNull();
});
