import { expect, test } from 'vitest';
import { buildUnits } from '../kit/reader';
import { firstWorth, worthBody } from './worth';

const shop = buildUnits('KG', false, false, 'EUR');
const asked = { ...firstWorth(shop), price: '26,50', bought: '62', weight: '6.2' };

test('what is asked goes out in grams and minor units, each way with what it needs', () => {
  const body = worthBody(asked, shop);
  expect(body?.piece).toMatchObject({ greenGrams: 6200, priceMinorPerKg: 2650 });
  expect(body?.boughtMinorPerKg).toBe(6200);
  expect(body?.ways.map((way) => [way.method, way.purchaseMinor, way.watts])).toEqual([
    ['MEMBRANE', 10000, 0],
    ['SALT_TRAY', 500, 0],
    ['OPEN_AIR', 300000, 90],
    ['VACUUM', 10000, 0],
  ]);
});

test('nothing is asked while a price is missing or a field cannot be read', () => {
  expect(worthBody({ ...asked, bought: '' }, shop)).toBeNull();
  expect(worthBody({ ...asked, pieces: 'some' }, shop)).toBeNull();
  const [first, ...rest] = asked.ways;
  expect(first && worthBody({ ...asked, ways: [{ ...first, life: '' }, ...rest] }, shop)).toBeNull();
});
