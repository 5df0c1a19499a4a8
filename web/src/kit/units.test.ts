import { expect, test } from 'vitest';
import { buildUnits } from './reader';
import { percent, readDays, readNumber } from './units';

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

test('temperatures, depths and prices come back as they were typed', () => {
  for (let tenths = 280; tenths < 500; tenths += 3) {
    const celsius = abroad.readTemperature(String(tenths / 10)) ?? Number.NaN;
    expect(Number(abroad.temperatureForField(celsius))).toBe(tenths / 10);
  }
  expect(shop.readLength('8')).toBe(8);
  for (let cents = 5; cents < 9000; cents += 37) {
    const typed = (cents / 100).toFixed(2);
    expect(abroad.priceForField(abroad.readPrice(typed) ?? 0)).toBe(typed);
    expect(shop.priceForField(shop.readPrice(typed) ?? 0)).toBe(typed);
  }
});

test('eighths of an inch are read again as they were typed, though they are kept in millimetres', () => {
  for (let eighths = 1; eighths <= 96; eighths++) {
    const mm = abroad.readLength(String(eighths / 8)) ?? Number.NaN;
    expect(Number(abroad.lengthForField(mm))).toBe(eighths / 8);
  }
  expect(abroad.thickness(25)).toBe('1.00 in');
  expect(abroad.thickness(6.1)).toBe('0.24 in');
});

test('what nobody weighed has three figures', () => {
  expect(shop.about(5647)).toBe('5.65 kg');
  expect(shop.about(952)).toBe('0.952 kg');
  expect(buildUnits('LB', true, true, 'USD', 'en-US').about(5650)).toBe('12.5 lb');
  expect(abroad.about(5650)).toBe('12 lb 7 oz');
  expect(buildUnits('G', false, false, 'EUR').about(5647)).toBe('5650 g');
});

test('a price below nothing and a word are no prices', () => {
  expect(shop.readPrice('-1')).toBeNull();
  expect(shop.readMoney('free')).toBeNull();
});

test('a loss reads with a true minus sign', () => {
  expect(percent(-0.021)).toBe('−2.1 %');
  expect(shop.weight(-15)).toBe('−0.015 kg');
});

test.each([
  ['JPY', '3820', 3820],
  ['EUR', '38.20', 3820],
  ['KWD', '3.820', 3820],
])('money in %s is typed and kept by its own decimals', (currency, typed, minor) => {
  const units = buildUnits('KG', false, false, currency);
  expect(units.readMoney(typed)).toBe(minor);
  expect(units.moneyForField(minor)).toBe(typed);
});

test('thickness is given to a tenth of a millimetre or a hundredth of an inch', () => {
  expect(shop.thickness(6.04)).toBe('6.0 mm');
  expect(abroad.thickness(25.4)).toBe('1.00 in');
});

test('whoever weighs in pounds weighs a dose in ounces, and every figure has the comma of its reader', () => {
  expect(buildUnits('LB', true, true, 'USD', 'en-US').dose(22.3)).toBe('0.787 oz');
  expect(buildUnits('KG', false, false, 'EUR', 'de-DE').dose(22.3)).toBe('22,3 g');
});

test.each([
  ['35', 35],
  ['35 days', 35],
  ['5 weeks', 35],
  ['1 day', 1],
  ['a month', null],
  ['35 kg', null],
])('days typed as %j are %j', (typed, days) => {
  expect(readDays(typed)).toBe(days);
});

test.each([
  ['12', 1200],
  ['12 EUR', 1200],
  ['€12.50', 1250],
  ['12,50 €', 1250],
  ['12/kg', 1200],
  ['12 EUR/kg', 1200],
  ['12/lb', 2646],
  ['12 a lb', 2646],
  ['2 per 100 g', 2000],
  ['12 USD', null],
  ['12/head', null],
  ['twelve', null],
])('a price typed as %j is %j for a kilogram', (typed, minor) => {
  expect(buildUnits('KG', false, false, 'EUR', 'en-GB').readPrice(typed)).toBe(minor);
});

test('a temperature and a length are read with the unit they are typed in', () => {
  expect(shop.readTemperature('38 °F')).toBeCloseTo(3.33);
  expect(shop.readTemperature('3.5 C')).toBe(3.5);
  expect(abroad.readTemperature('38')).toBeCloseTo(3.33);
  expect(shop.readTemperature('38 K')).toBeNull();
  expect(shop.readLength('1.5 in')).toBe(38);
  expect(shop.readLength('3 cm')).toBe(30);
  expect(abroad.readMoney('$ 7.00')).toBe(abroad.currency === 'USD' ? 700 : null);
});
