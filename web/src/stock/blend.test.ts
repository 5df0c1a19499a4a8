import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { blendBody, boughtMeat, firstBlend, sourceOf, usedOf } from './blend';

const units = buildUnits('KG', false, false, 'EUR');
const pack = (content: 'TRIM' | 'FAT') =>
  ({ id: 'p', content, contentLabel: 'Trim for grinding', tag: '21A' }) as Schema['PackView'];

test('trim of an aged piece is taken for crust and fat for fat, until somebody says otherwise', () => {
  expect(sourceOf(pack('TRIM'), firstBlend())).toMatchObject({ lean: '80', crust: '100', used: true });
  expect(sourceOf(pack('FAT'), firstBlend())).toMatchObject({ lean: '10', crust: '0' });
  const said = { ...firstBlend(), packs: { p: { lean: '70', crust: '40', used: false } } };
  expect(sourceOf(pack('TRIM'), said)).toMatchObject({ lean: '70', crust: '40', used: false });
});

test('bought meat without a name or weight, and what is set aside, is not asked about', () => {
  const text = {
    ...firstBlend(),
    bought: [
      { ...boughtMeat(), name: 'shank', weight: '3', price: '11.00' },
      { ...boughtMeat(), name: '', weight: '3' },
      { ...boughtMeat(), name: 'plate', weight: '' },
    ],
  };
  const body = blendBody(text, [{ ...sourceOf(pack('TRIM'), text), used: false }], units);
  expect(body?.sources).toEqual([
    {
      packId: undefined,
      name: 'shank',
      grams: 3000,
      priceMinorPerKg: 1100,
      leanPercent: 90,
      crustPercent: 0,
    },
  ]);
  expect(body).toMatchObject({ grams: 2000, leanPercent: 80, mostCrustPercent: 5 });
  expect(blendBody({ ...text, weight: '' }, [], units)).toBeNull();
  expect(blendBody(firstBlend(), [], units)).toBeNull();
});

test('what goes into the grinder is what was worked out, bought meat at its typed price', () => {
  const chuck = { ...boughtMeat(), name: ' fresh chuck ', price: '11.80', weight: '5' };
  const parts = [
    { packId: 'p', name: 'pack 1, trim of 21A', grams: 100, share: 0.05 },
    { name: 'fresh chuck', grams: 1900, share: 0.95 },
    { name: 'unknown', grams: 10, share: 0 },
  ];
  expect(usedOf(parts, [chuck], units)).toEqual([
    { packId: 'p', name: '', grams: 100, priceMinorPerKg: 0 },
    { packId: undefined, name: 'fresh chuck', grams: 1900, priceMinorPerKg: 1180 },
    { packId: undefined, name: 'unknown', grams: 10, priceMinorPerKg: 0 },
  ]);
});
