import { expect, test } from 'vitest';
import { buildUnits } from '../kit/reader';
import { daysByRule, firstPack, packBodies, weightOf } from './draft';

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

test('how long a pack lasts is the rule of the workshop, or nothing', () => {
  expect(daysByRule(text, [rule])).toBe(90);
  expect(daysByRule({ ...text, keeping: 'CHILLED' }, [rule])).toBe(0);
});

test('every weight is a pack, a day that was entered goes with it, and empty fields are none', () => {
  expect(packBodies(text, units).map(({ grams, useBy }) => [grams, useBy])).toEqual([
    [500, undefined],
    [420, undefined],
  ]);
  expect(packBodies({ ...text, useBy: '2026-02-10' }, units)[0]?.useBy).toBe('2026-02-10');
});
