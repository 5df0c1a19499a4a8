import { expect, test } from 'vitest';
import { buildUnits } from '../kit/reader';
import { firstText, missing, sample, taster, tastingBody } from './draft';

const units = buildUnits('KG', false, false, 'EUR');
const inches = buildUnits('LB', true, true, 'EUR');
const liking = { key: 'liking', label: 'Liking', low: 'not at all', high: 'very much' };

test('a tasting begins with two samples and liking', () => {
  const text = firstText(null, [liking, { ...liking, key: 'salt' }], units);
  expect(text.kind).toBe('PAIRED');
  expect(text.samples).toHaveLength(2);
  expect(text.attributes).toEqual([liking]);
  expect(missing(text)).toBe('Put the question in words.');
});

test('thickness and core are read in the units of whoever types', () => {
  const text = {
    ...firstText(null, [liking], inches),
    samples: [sample('Honey', inches, { thickness: '1.5' })],
  };
  const body = tastingBody({ ...text, core: '131' }, inches);
  expect(body.samples[0]?.thicknessMm).toBe(38);
  expect(body.coreCelsius).toBeCloseTo(55, 1);
});

test('places nobody sits at are left out, and the odd one is looked for without scores', () => {
  const text = { ...firstText(null, [liking], units), tasters: [taster('Tove'), taster(' ')] };
  expect(tastingBody(text, units).tasters.map(({ name }) => name)).toEqual(['Tove']);
  expect(tastingBody({ ...text, kind: 'TRIANGLE' }, units).attributes).toEqual([]);
});
