import { expect, test } from 'vitest';
import type { Schema } from '../api/client';
import { buildUnits } from '../kit/reader';
import { firstText, taster, tastingBody } from './draft';

const units = buildUnits('KG', false, false, 'EUR');
const inches = buildUnits('LB', true, true, 'EUR');
const unnamed = { name: '', thicknessMm: 30 };
const first = {
  question: '',
  kind: 'PAIRED',
  rounds: 1,
  attributes: [{ key: 'liking', label: 'Liking', low: 'not at all', high: 'very much' }],
  samples: [unnamed, unnamed],
  heat: 'BATH',
  coreCelsius: 55,
  restMinutes: 5,
} as Schema['FirstTasting'];

test('what a tasting begins with stands in the units of whoever reads, each sample for itself', () => {
  const text = firstText(first, inches);
  expect(text).toMatchObject({ kind: 'PAIRED', core: '131', rest: '5' });
  expect(text.samples.map(({ thickness }) => thickness)).toEqual(['1.18', '1.18']);
  expect(new Set(text.samples.map(({ id }) => id)).size).toBe(2);
});

test('thickness and core are read in the units of whoever types', () => {
  const text = firstText(first, inches);
  const body = tastingBody(
    { ...text, core: '131', samples: text.samples.map((each) => ({ ...each, thickness: '1.5' })) },
    inches,
  );
  expect(body.samples[0]?.thicknessMm).toBe(38);
  expect(body.coreCelsius).toBeCloseTo(55, 1);
});

test('places nobody sits at are left out, and the odd one is looked for without scores', () => {
  const text = { ...firstText(first, units), tasters: [taster('Tove'), taster(' ')] };
  expect(tastingBody(text, units).tasters.map(({ name }) => name)).toEqual(['Tove']);
  expect(tastingBody({ ...text, kind: 'TRIANGLE' }, units).attributes).toEqual([]);
});
