import { expect, test } from 'vitest';
/** The same table that paper is held to. */
import table from '../../../core/src/test/resources/reference/sentences.txt?raw';
import { buildUnits } from './reader';
import type { WeightUnit } from './weights';

const cases = table
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'))
  .map((line) => line.split(' | '));

test.each(cases)('for a reader of %s “%s” is “%s”', (reader, sentence, written) => {
  const [mass, temperature, length, currency, locale] = (reader ?? '').split(' ');
  const units = buildUnits(
    mass as WeightUnit,
    temperature === 'F',
    length === 'INCH',
    currency ?? 'EUR',
    locale,
  );
  expect(units.sentence(sentence ?? '')).toBe(written);
});

test('the table is there', () => {
  expect(cases.length).toBeGreaterThan(30);
});
