import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { blendBody, boughtMeat, firstBlend, usedOf } from './blend';

const units = buildUnits('KG', false, false, 'EUR');
const trim = {
  packId: 'p',
  name: 'Trim for grinding of 21A',
  grams: 0,
  priceMinorPerKg: 0,
  leanPercent: 80,
  crustPercent: 100,
};
const first = {
  blend: { grams: 2000, leanPercent: 80, mostCrustPercent: 5, mostAgedFatPercent: 20, sources: [trim] },
  boughtLeanPercent: 90,
} as Schema['FirstBlend'];

test('bought meat without a name or weight, and what is set aside, is not asked about', () => {
  const text = {
    ...firstBlend(first, units),
    packs: { p: { lean: '80', crust: '100', used: false } },
    bought: [
      { ...boughtMeat(first), name: 'shank', weight: '3', price: '11.00' },
      { ...boughtMeat(first), name: '', weight: '3' },
      { ...boughtMeat(first), name: 'plate', weight: '' },
    ],
  };
  const body = blendBody(text, [trim], units);
  expect(body?.sources).toEqual([
    { name: 'shank', grams: 3000, priceMinorPerKg: 1100, leanPercent: 90, crustPercent: 0 },
  ]);
  expect(body).toMatchObject({ grams: 2000, leanPercent: 80, mostCrustPercent: 5 });
  expect(blendBody({ ...text, weight: '' }, [trim], units)).toBeNull();
  expect(blendBody({ ...text, bought: [] }, [trim], units)).toBeNull();
});

test('a pack goes in as it was said to be, and one that is gone since the draft was left does not', () => {
  const text = firstBlend(first, units);
  const said = { ...text, packs: { ...text.packs, p: { lean: '70', crust: '40', used: true } } };
  expect(blendBody(said, [trim], units)?.sources).toMatchObject([
    { packId: 'p', leanPercent: 70, crustPercent: 40 },
  ]);
  expect(blendBody(said, [], units)).toBeNull();
});

test('what goes into the grinder is what was worked out, bought meat at its typed price', () => {
  const chuck = { ...boughtMeat(first), name: ' fresh chuck ', price: '11.80', weight: '5' };
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
