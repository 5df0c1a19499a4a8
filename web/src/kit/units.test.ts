import { expect, test } from 'vitest';
import { buildUnits, percent, readNumber } from './units';

const shop = buildUnits('KG', false, false, 'EUR');
const abroad = buildUnits('LB_OZ', true, true, 'EUR');

test.each([
  ['1.5', 1.5],
  ['1,5', 1.5],
  ['−3', -3],
  [' 7 ', 7],
  ['', null],
  ['seven', null],
  ['1.2.3', null],
])('%s is read as the number %s', (text, value) => {
  expect(readNumber(text)).toBe(value);
});

test('a sentence of the server is put into the reader’s own units', () => {
  const sentence = '8400 g is more than the 8000 g it was hung at, at 6.5 °C.';
  expect(shop.sentence(sentence)).toBe('8.400 kg is more than the 8.000 kg it was hung at, at 6.5 °C.');
  expect(abroad.sentence(sentence)).toBe(
    '18 lb 8.3 oz is more than the 17 lb 10.2 oz it was hung at, at 43.7 °F.',
  );
});

test.each(['2.5 g', '1.2.3 mm', '. mm', '2..3 °C'])('%s that somebody typed stays as it is', (typed) => {
  expect(abroad.sentence(`Kept: ${typed}.`)).toBe(`Kept: ${typed}.`);
});

test('temperatures, depths and prices come back as they were typed', () => {
  for (let tenths = 280; tenths < 500; tenths += 3) {
    const celsius = abroad.readTemperature(String(tenths / 10)) ?? Number.NaN;
    expect(Number(abroad.temperatureForField(celsius))).toBe(tenths / 10);
  }
  expect(abroad.readLength('0.5')).toBe(13);
  expect(shop.readLength('8')).toBe(8);
  for (let cents = 5; cents < 9000; cents += 37) {
    const typed = (cents / 100).toFixed(2);
    expect(abroad.priceForField(abroad.readPrice(typed) ?? 0)).toBe(typed);
    expect(shop.priceForField(shop.readPrice(typed) ?? 0)).toBe(typed);
  }
});

test('a price below nothing and a word are no prices', () => {
  expect(shop.readPrice('-1')).toBeNull();
  expect(shop.readMoney('free')).toBeNull();
});

test('a loss reads with a true minus sign', () => {
  expect(percent(-0.021)).toBe('−2.1 %');
  expect(shop.weight(-15)).toBe('−0.015 kg');
});

test('a sentence with depths and days reads in the reader’s own way', () => {
  expect(abroad.sentence('6.4 mm deep')).toBe('0.3 in deep');
  expect(shop.sentence('6.4 mm deep')).toBe('6.4 mm deep');
  expect(shop.sentence('It was to hang on 2026-03-09.')).not.toContain('2026-03-09');
  expect(shop.sentence('It was to hang on 2026-03-09.')).toContain('2026');
});

test('thickness is given to a tenth of a millimetre or a hundredth of an inch', () => {
  expect(shop.thickness(6.04)).toBe('6.0 mm');
  expect(abroad.thickness(25.4)).toBe('1.00 in');
});
