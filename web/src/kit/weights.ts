import { writtenAs } from './locale';

/** Weights as people write and read them. Inside, a weight is a whole number of grams. */
export type WeightUnit = 'KG' | 'G' | 'LB' | 'LB_OZ';

/** International pound, exact. */
const GRAMS_PER_POUND = 453.59237;
const GRAMS_PER_OUNCE = GRAMS_PER_POUND / 16;

const perUnit: Record<string, number> = {
  kg: 1000,
  g: 1,
  lb: GRAMS_PER_POUND,
  lbs: GRAMS_PER_POUND,
  oz: GRAMS_PER_OUNCE,
};

const plainUnit: Record<WeightUnit, string> = { KG: 'kg', G: 'g', LB: 'lb', LB_OZ: 'lb' };

const formats = new Map<string, Intl.NumberFormat>();

/** Making a format costs a hundred times what using it does. */
function formatOf(digits: number, locale = writtenAs()): Intl.NumberFormat {
  const key = `${locale ?? ''} ${digits}`;
  const known = formats.get(key);
  if (known) {
    return known;
  }
  const made = new Intl.NumberFormat(locale, {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
    useGrouping: false,
  });
  formats.set(key, made);
  return made;
}

/** A number with so many decimals, a true minus and no thousands set apart. */
export function writeNumber(value: number, digits: number, locale?: string): string {
  return formatOf(digits, locale)
    .format(value)
    .replace(/^-(?=0(?:[.,]0*)?$)/, '')
    .replace('-', '−');
}

/** As spoons and small scales are read: three figures, no more. */
export function writeFigures(value: number, locale?: string): string {
  const read = value >= 100 ? Math.round(value) : Number(value.toPrecision(3));
  return writeNumber(read, String(read).split('.')[1]?.length ?? 0, locale);
}

/** Two, as scales in pounds show, where they are read again as the same gram; else three. */
const poundDecimals = (grams: number): number => {
  const shown = Math.round((grams / GRAMS_PER_POUND) * 100) / 100;
  return Math.round(shown * GRAMS_PER_POUND) === grams ? 2 : 3;
};

/**
 * How a weight is written in the person's unit, e.g. `8.400 kg` or `10 lb 9.60 oz`: so finely that every gram is read again
 * as the gram it was.
 */
export function writeWeight(grams: number, unit: WeightUnit, locale?: string): string {
  switch (unit) {
    case 'KG':
      return `${writeNumber(grams / 1000, 3, locale)} kg`;
    case 'G':
      return `${writeNumber(grams, 0, locale)} g`;
    case 'LB':
      return `${writeNumber(grams / GRAMS_PER_POUND, poundDecimals(grams), locale)} lb`;
    case 'LB_OZ': {
      const hundredths = Math.round((Math.abs(grams) / GRAMS_PER_OUNCE) * 100);
      const ounces = writeNumber((hundredths % 1600) / 100, 2, locale);
      return `${grams < 0 ? '−' : ''}${Math.floor(hundredths / 1600)} lb ${ounces} oz`;
    }
  }
}

/** An estimate, of which the first three figures mean something, e.g. `5.65 kg`, `12.5 lb` or `12 lb 7 oz`. */
export function writeAbout(grams: number, unit: WeightUnit, locale?: string): string {
  if (unit === 'LB_OZ') {
    const ounces = Math.round(Math.abs(grams) / GRAMS_PER_OUNCE);
    return `${grams < 0 ? '−' : ''}${Math.floor(ounces / 16)} lb ${ounces % 16} oz`;
  }
  const size = grams / (perUnit[plainUnit[unit]] ?? 1);
  const read = Number(size.toPrecision(3));
  const decimals = unit === 'G' ? 0 : Math.max(0, 2 - Math.floor(Math.log10(Math.max(0.1, Math.abs(read)))));
  return `${writeNumber(read, decimals, locale)} ${plainUnit[unit]}`;
}

/** The number alone, to stand in a field where the unit is written beside it. */
export function weightForField(grams: number, unit: WeightUnit): string {
  return unit === 'LB_OZ' ? writeWeight(grams, unit) : (writeWeight(grams, unit).split(' ')[0] ?? '');
}

export const unitOf = (unit: WeightUnit): string => (unit === 'LB_OZ' ? 'lb oz' : plainUnit[unit]);

/**
 * Reads a weight to the gram: `8.4`, `8,4`, `8.4 kg`, `840 g`, `10.6 lb`, `10 lb 9.6 oz`, and `+ 4.215 kg` as scales that
 * type it do. A number alone is in the person's own unit. Null where it cannot be read.
 */
export function readWeight(text: string, unit: WeightUnit): number | null {
  const clean = text
    .trim()
    .toLowerCase()
    .replace(/,/g, '.')
    .replace(/^\+\s*/, '');
  if (clean === '') {
    return null;
  }
  const parts = [...clean.matchAll(/(\d+(?:\.\d*)?|\.\d+)\s*(kg|g|lbs|lb|oz)?\s*/g)];
  const read = parts.map((part) => part[0]).join('');
  if (read !== clean || parts.length === 0 || parts.length > 2) {
    return null;
  }
  let grams = 0;
  for (const [index, part] of parts.entries()) {
    const followsPounds = index === 1 && (parts[0]?.[2] ?? plainUnit[unit]).startsWith('lb');
    if (index === 1 && !followsPounds) {
      return null;
    }
    const named = part[2] ?? (index === 1 ? 'oz' : plainUnit[unit]);
    grams += Number(part[1]) * (perUnit[named] ?? Number.NaN);
  }
  return Number.isFinite(grams) ? Math.round(grams) : null;
}
