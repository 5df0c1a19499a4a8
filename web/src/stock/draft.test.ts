import { expect, test } from 'vitest';
import { buildUnits } from '../kit/reader';
import { firstPack, lastDay, leftThere, packBodies, weightOf } from './draft';

const units = buildUnits('KG', false, false, 'EUR');
const rule = { content: 'STEAK', wrap: 'VACUUM', keeping: 'FROZEN', version: 0, days: 90 } as const;
const text = {
  ...firstPack('2026-01-30', 'STEAK'),
  weights: [
    { ...weightOf(), text: '0.5' },
    { ...weightOf(), text: '' },
    { ...weightOf(), text: '0.42' },
  ],
};

test('the last day follows from the rule of the workshop, or there is none', () => {
  expect(lastDay(text, [rule])).toBe('2026-04-30');
  expect(lastDay({ ...text, keeping: 'CHILLED' }, [rule])).toBe('');
  expect(lastDay(text, [{ ...rule, days: 0 }])).toBe('');
});

test('every weight is a pack, a day that was entered goes before the rule, and empty fields are none', () => {
  expect(packBodies(text, [rule], units).map(({ grams, useBy }) => [grams, useBy])).toEqual([
    [500, '2026-04-30'],
    [420, '2026-04-30'],
  ]);
  expect(packBodies({ ...text, useBy: '2026-02-10' }, [rule], units)[0]?.useBy).toBe('2026-02-10');
});

test('steaks and roasts come from one pile', () => {
  const found = { STEAK: 3000, USABLE_TRIM: 400, FAT: 0, BONE: 0, DISCARD: 600 };
  expect(leftThere(text, found, [{ content: 'ROAST', grams: 1000 }], units)).toBe(1080);
  expect(leftThere({ ...text, content: 'TRIM' }, found, [{ content: 'ROAST', grams: 1000 }], units)).toBe(
    -520,
  );
});

test('what was made is packed from what came out of it', () => {
  const grind = { ...firstPack('2026-01-30', 'GRIND'), weights: [weightOf('1.2')] };
  expect(leftThere(grind, { MADE: 2000 }, [{ content: 'GRIND', grams: 500 }], units)).toBe(300);
  expect(leftThere(grind, { STEAK: 2000 }, [], units)).toBe(-1200);
});
