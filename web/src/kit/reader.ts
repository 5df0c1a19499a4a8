import dayjs from 'dayjs';
import type { Schema } from '../api/client';
import { formsOf, localeOf, writtenAs } from './locale';
import type { Axis } from './axis';
import { inchesOf, writeSentence, type Writers } from './sentence';
import {
  readWeight,
  unitOf,
  weightForField,
  writeAbout,
  writeFigures,
  writeNumber,
  writeWeight,
  type WeightUnit,
} from './weights';

const MM_PER_INCH = 25.4;
const GRAMS_PER_OUNCE = 28.349523125;

/** A number as people type it, with comma or point; null where it cannot be read. */
export function readNumber(text: string): number | null {
  const clean = text.trim().replace(',', '.').replace('−', '-');
  return /^-?(\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
}

/** A figure with a unit behind it, as people type both; the unit in small letters, '' for none. */
function readWithUnit(text: string): { value: number; unit: string } | null {
  const [, figure = '', unit = ''] = /^([-−]?[\d.,]+)\s*([^\d]*)$/.exec(text.trim()) ?? [];
  const value = readNumber(figure);
  return value === null ? null : { value, unit: unit.trim().toLowerCase().replace(/\.$/, '') };
}

/** A number of days: `35`, `35 days`, `5 weeks`. Null where it cannot be read. */
export function readDays(text: string): number | null {
  const read = readWithUnit(text);
  const days = { '': 1, d: 1, day: 1, days: 1, w: 7, week: 7, weeks: 7 }[read?.unit ?? ''];
  return read === null || days === undefined ? null : read.value * days;
}

/** A share: `80`, `80 %`. */
export function readPercent(text: string): number | null {
  const read = readWithUnit(text);
  return read === null || !['', '%', 'percent'].includes(read.unit) ? null : read.value;
}

/** What a price may be for one of, in kilograms. */
const perKilograms: Record<string, number> = {
  kg: 1,
  kilo: 1,
  kilogram: 1,
  lb: 0.45359237,
  lbs: 0.45359237,
  pound: 0.45359237,
  '100 g': 0.1,
  '100g': 0.1,
};

/** How many decimals a currency has: none, two or three (ISO 4217). */
const decimalsOf = (currency: string): number =>
  new Intl.NumberFormat('en', { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2;

/** @param locale for figures; as whoever is signed in has it, where none is said */
export function buildUnits(
  unit: WeightUnit,
  fahrenheit: boolean,
  inches: boolean,
  currency: string,
  locale = writtenAs(),
) {
  const pounds = unit === 'LB' || unit === 'LB_OZ';
  const perWeight = pounds
    ? { label: 'lb', word: 'pound', kg: 0.45359237 }
    : { label: 'kg', word: 'kilogram', kg: 1 };
  const number = (value: number, digits: number) => writeNumber(value, digits, locale);
  /** Without zeros at its end. */
  const plain = (value: number, most: number) =>
    number(value, value === Math.round(value) ? 0 : most)
      .replace(/([.,]\d*?)0+$/, '$1')
      .replace(/[.,]$/, '');
  const decimals = decimalsOf(currency);
  const minors = 10 ** decimals;
  const moneyFormat = new Intl.NumberFormat(locale, {
    style: 'currency',
    currency,
    minimumFractionDigits: decimals,
    maximumFractionDigits: decimals,
  });
  const money = (minor: number) =>
    moneyFormat
      .format(minor / minors)
      .replace(/[\u00a0\u202f]/g, ' ')
      .replace('-', '−');
  const pricePer = (minorPerKg: number) => `${money(minorPerKg * perWeight.kg)}/${perWeight.label}`;
  const degrees = (celsius: number) => (fahrenheit ? celsius * 1.8 + 32 : celsius);
  const degree = fahrenheit ? '°F' : '°C';
  const temperature = (celsius: number) => `${number(degrees(celsius), 1)} ${degree}`;
  const axes: Record<'weight' | 'price' | 'temperature', Axis> = {
    weight: {
      one: unit === 'G' ? 1 : perWeight.kg * 1000,
      decimals: unit === 'G' ? 0 : 2,
      write: (figure, digits) => `${number(figure, digits)} ${unit === 'G' ? 'g' : perWeight.label}`,
    },
    price: { one: minors / perWeight.kg, write: (figure) => `${money(figure * minors)}/${perWeight.label}` },
    temperature: {
      one: fahrenheit ? 1 / 1.8 : 1,
      zero: fahrenheit ? -32 / 1.8 : 0,
      write: (figure, digits) => `${number(figure, digits)} ${degree}`,
    },
  };
  const weight = (grams: number) => writeWeight(grams, unit, locale);
  /** Names and signs of the house's own currency, before or behind an amount. */
  const signs = [
    currency.toLowerCase(),
    ...moneyFormat
      .formatToParts(0)
      .filter(({ type }) => type === 'currency')
      .map(({ value }) => value.toLowerCase()),
    new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
      .formatToParts(0)
      .find(({ type }) => type === 'currency')
      ?.value.toLowerCase() ?? '',
  ];
  /** An amount with or without its currency; null where it is another's, or cannot be read. */
  const readAmount = (text: string): number | null => {
    const clean = text.trim().toLowerCase();
    const sign = signs.find((each) => each !== '' && (clean.startsWith(each) || clean.endsWith(each))) ?? '';
    const bare = clean.startsWith(sign) ? clean.slice(sign.length) : clean.slice(0, -sign.length);
    const read = readNumber(sign === '' ? clean : bare);
    return read === null || read < 0 ? null : read;
  };
  /** A price for one kilogram in minor units: `12`, `12 EUR`, `12/lb`, `12 a kg`; alone it is for the person's own unit. */
  const readPriceOf = (text: string): number | null => {
    const [, amount = '', per = ''] =
      /^(.*?)(?:\s*(?:\/|\ba\b|\bper\b)\s*([a-z0-9 ]+))?$/i.exec(text.trim()) ?? [];
    const kilograms = per === '' ? perWeight.kg : perKilograms[per.trim().toLowerCase()];
    const read = readAmount(amount);
    return read === null || kilograms === undefined ? null : Math.round((read * minors) / kilograms);
  };
  const readPositive = (text: string, factor: number) => {
    const read = readNumber(text);
    return read === null || read < 0 ? null : Math.round(read * factor);
  };
  const writers: Writers = {
    weight,
    degrees,
    degree,
    fahrenheit,
    inches,
    pounds,
    money,
    pricePer,
    number,
    date: (iso) => dayjs(iso).format(formsOf(locale).day),
  };
  return {
    unit,
    weight,
    /** A weight nobody weighed. */
    about: (grams: number) => writeAbout(grams, unit, locale),
    /** How curves over these are labelled. */
    axes,
    /** A few grams, in grams or ounces. */
    small: (grams: number) => (pounds ? `${number(grams / GRAMS_PER_OUNCE, 1)} oz` : `${number(grams, 0)} g`),
    /** What is weighed out on a small scale. */
    dose: (grams: number) =>
      pounds ? `${writeFigures(grams / GRAMS_PER_OUNCE, locale)} oz` : `${writeFigures(grams, locale)} g`,
    /** A load, for which a tenth of a kilogram or a pound is enough. */
    load: (grams: number) => `${number(grams / 1000 / perWeight.kg, 1)} ${perWeight.label}`,
    weightForField: (grams: number) => weightForField(grams, unit),
    readWeight: (text: string) => readWeight(text, unit),
    weightUnit: unitOf(unit),
    temperature,
    temperatureUnit: degree,
    temperatureForField: (celsius: number) => plain(degrees(celsius), 1),
    readTemperature: (text: string) => {
      const read = readWithUnit(text);
      const unit = read?.unit.replace(/^(°|deg|degrees)\s*/, '') || (fahrenheit ? 'f' : 'c');
      if (read === null || !['c', 'f'].includes(unit)) {
        return null;
      }
      return Math.round((unit === 'f' ? (read.value - 32) / 1.8 : read.value) * 100) / 100;
    },
    lengthUnit: inches ? 'in' : 'mm',
    lengthForField: (mm: number) =>
      inches ? plain(inchesOf(mm), Number.isInteger(inchesOf(mm) * 8) ? 3 : 2) : plain(mm, 1),
    /** A thickness or depth. */
    thickness: (mm: number) => (inches ? `${number(inchesOf(mm), 2)} in` : `${number(mm, 1)} mm`),
    readLength: (text: string) => {
      const read = readWithUnit(text);
      const unit = read?.unit || (inches ? 'in' : 'mm');
      const mm = { mm: 1, cm: 10, in: MM_PER_INCH, inch: MM_PER_INCH, inches: MM_PER_INCH, '"': MM_PER_INCH }[
        unit
      ];
      return read === null || mm === undefined ? null : Math.round(read.value * mm);
    },
    money,
    currency,
    perWeightUnit: perWeight.label,
    /** What weights are bought and sold by, and how much it is. */
    perWeightWord: perWeight.word,
    perWeightGrams: Math.round(perWeight.kg * 1000),
    /** What goes by the kilogram, by the person's unit. */
    rateForField: (perKg: number) => plain(perKg * perWeight.kg, 1),
    readRate: (text: string) => readPositive(text, 1 / perWeight.kg),
    /** A price per kg in the person's unit. */
    pricePer,
    priceForField: (minorPerKg: number) => number((minorPerKg * perWeight.kg) / minors, decimals),
    readPrice: readPriceOf,
    moneyForField: (minor: number) => number(minor / minors, decimals),
    readMoney: (text: string) => {
      const read = readAmount(text);
      return read === null ? null : Math.round(read * minors);
    },
    /** A whole amount of money in minor units. */
    minorOf: (major: number) => major * minors,
    /** A sentence of the server in the person's units. */
    sentence: (text: string) => writeSentence(text, writers),
  };
}

export type Units = ReturnType<typeof buildUnits>;

/** As a person wants figures; whoever is not signed in gets kilograms and °C. */
export function unitsFor(me: Schema['Me'] | undefined): Units {
  const prefer = me?.preferences;
  return buildUnits(
    prefer?.weightUnit ?? 'KG',
    prefer?.temperatureUnit === 'FAHRENHEIT',
    prefer?.lengthUnit === 'INCH',
    me?.currency ?? 'EUR',
    localeOf(me),
  );
}
