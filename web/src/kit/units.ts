import dayjs from 'dayjs';
import { useMemo } from 'react';
import { useSession } from '../api/queries';
import { readWeight, unitOf, weightForField, writeWeight, type WeightUnit } from './weights';

const MM_PER_INCH = 25.4;

/** A number as people type it, with comma or point; null where it cannot be read. */
export function readNumber(text: string): number | null {
  const clean = text.trim().replace(',', '.').replace('−', '-');
  return /^-?(\d+\.?\d*|\.\d+)$/.test(clean) ? Number(clean) : null;
}

export const percent = (fraction: number): string => `${(fraction * 100).toFixed(1)} %`.replace('-', '−');

export const date = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { day: 'numeric', month: 'short', year: 'numeric' }).format(
    dayjs(iso).toDate(),
  );

export const shortDate = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' }).format(
    dayjs(iso).toDate(),
  );

export const moment = (iso: string): string =>
  new Intl.DateTimeFormat(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }).format(dayjs(iso).toDate());

export const days = (count: number): string => `${count} ${count === 1 ? 'day' : 'days'}`;

export function buildUnits(unit: WeightUnit, fahrenheit: boolean, inches: boolean, currency: string) {
  const perWeight =
    unit === 'LB' || unit === 'LB_OZ' ? { label: 'lb', kg: 0.45359237 } : { label: 'kg', kg: 1 };
  const money = (minor: number) =>
    new Intl.NumberFormat(undefined, { style: 'currency', currency }).format(minor / 100);
  const temperature = (celsius: number) =>
    `${(fahrenheit ? celsius * 1.8 + 32 : celsius).toFixed(1)} °${fahrenheit ? 'F' : 'C'}`.replace('-', '−');
  const weight = (grams: number) => writeWeight(grams, unit);
  return {
    unit,
    weight,
    /** A few grams, in grams or ounces. */
    small: (grams: number) =>
      perWeight.kg === 1 ? `${Math.round(grams)} g` : `${(grams / 28.349523125).toFixed(1)} oz`,
    /** A load, for which a tenth of a kilogram or a pound is enough. */
    load: (grams: number) => `${(grams / 1000 / perWeight.kg).toFixed(1)} ${perWeight.label}`,
    weightForField: (grams: number) => weightForField(grams, unit),
    readWeight: (text: string) => readWeight(text, unit),
    weightUnit: unitOf(unit),
    temperature,
    temperatureUnit: fahrenheit ? '°F' : '°C',
    temperatureForField: (celsius: number) =>
      String(Math.round((fahrenheit ? celsius * 1.8 + 32 : celsius) * 10) / 10),
    readTemperature: (text: string) => {
      const read = readNumber(text);
      return read === null ? null : Math.round((fahrenheit ? (read - 32) / 1.8 : read) * 100) / 100;
    },
    lengthUnit: inches ? 'in' : 'mm',
    lengthForField: (mm: number) =>
      inches ? String(Math.round((mm / MM_PER_INCH) * 100) / 100) : String(mm),
    /** A thickness or depth. */
    thickness: (mm: number) => (inches ? `${(mm / MM_PER_INCH).toFixed(2)} in` : `${mm.toFixed(1)} mm`),
    readLength: (text: string) => {
      const read = readNumber(text);
      return read === null ? null : Math.round(inches ? read * MM_PER_INCH : read);
    },
    money,
    currency,
    perWeightUnit: perWeight.label,
    /** A price per kg in the person's unit. */
    pricePer: (minorPerKg: number) => `${money(minorPerKg * perWeight.kg)}/${perWeight.label}`,
    priceForField: (minorPerKg: number) => ((minorPerKg * perWeight.kg) / 100).toFixed(2),
    readPrice: (text: string) => {
      const read = readNumber(text);
      return read === null || read < 0 ? null : Math.round((read * 100) / perWeight.kg);
    },
    moneyForField: (minor: number) => (minor / 100).toFixed(2),
    readMoney: (text: string) => {
      const read = readNumber(text);
      return read === null || read < 0 ? null : Math.round(read * 100);
    },
    /**
     * Sentences from the server speak in grams and degrees Celsius; this puts them into the person's units. What people
     * typed into them and is no number of ours stays as it is.
     */
    sentence: (text: string) =>
      text
        .replace(/\b\d{4}-\d{2}-\d{2}\b/g, (iso) => date(iso))
        .replace(/(?<![\d.])(-?\d{1,9}) g\b/g, (_, grams: string) => weight(Number(grams)))
        .replace(/(?<![\d.])(-?\d{1,9}(?:\.\d{1,9})?) mm\b/g, (_, mm: string) =>
          inches ? `${(Number(mm) / MM_PER_INCH).toFixed(1)} in` : `${mm} mm`,
        )
        .replace(/(?<![\d.])(-?\d{1,9}(?:\.\d{1,9})?) °C/g, (_, celsius: string) =>
          temperature(Number(celsius)),
        ),
  };
}

export type Units = ReturnType<typeof buildUnits>;

/** Everything that is shown in or read from the signed-in person's units. */
export function useUnits(): Units {
  const me = useSession().data?.me;
  const prefer = me?.preferences;
  return useMemo(
    () =>
      buildUnits(
        prefer?.weightUnit ?? 'KG',
        prefer?.temperatureUnit === 'FAHRENHEIT',
        prefer?.lengthUnit === 'INCH',
        me?.currency ?? 'EUR',
      ),
    [prefer?.weightUnit, prefer?.temperatureUnit, prefer?.lengthUnit, me?.currency],
  );
}
