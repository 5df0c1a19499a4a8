import dayjs from 'dayjs';
import type { Schema } from '../api/client';
import { formsOf, localeOf, writtenAs } from './locale';
import { writeSentence, type Writers } from './sentence';
import {
  readWeight,
  unitOf,
  weightForField,
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
  const weight = (grams: number) => writeWeight(grams, unit, locale);
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
      const read = readNumber(text);
      return read === null ? null : Math.round((fahrenheit ? (read - 32) / 1.8 : read) * 100) / 100;
    },
    lengthUnit: inches ? 'in' : 'mm',
    lengthForField: (mm: number) => (inches ? plain(mm / MM_PER_INCH, 2) : plain(mm, 1)),
    /** A thickness or depth. */
    thickness: (mm: number) => (inches ? `${number(mm / MM_PER_INCH, 2)} in` : `${number(mm, 1)} mm`),
    readLength: (text: string) => {
      const read = readNumber(text);
      return read === null ? null : Math.round(inches ? read * MM_PER_INCH : read);
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
    readPrice: (text: string) => readPositive(text, minors / perWeight.kg),
    moneyForField: (minor: number) => number(minor / minors, decimals),
    readMoney: (text: string) => readPositive(text, minors),
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
