/**
 * Sentences of the server hold quantities, as `⟦mass 8400⟧`, in the core's units: grams, °C, mm, mL, minor units of money.
 * This writes them for one reader. The server writes paper alike (core.working.Units); both are held to the table in
 * core/src/test/resources/reference/sentences.txt.
 */
const MARK = /⟦(\w+) ([^⟦⟧ ]+)(?: ([^⟦⟧ ]+))?⟧/g;

/** How one reader writes each kind of quantity. */
export interface Writers {
  weight: (grams: number) => string;
  degrees: (celsius: number) => number;
  degree: string;
  fahrenheit: boolean;
  inches: boolean;
  pounds: boolean;
  money: (minor: number) => string;
  pricePer: (minorPerKg: number) => string;
  number: (value: number, digits: number) => string;
  date: (iso: string) => string;
}

const METRES_PER_FOOT = 0.3048;
const MM_PER_INCH = 25.4;

/** Whole millimetres are eighths of an inch where those are kept as just so many: what was typed so is read so again. */
export function inchesOf(mm: number): number {
  const eighths = Math.round((mm / MM_PER_INCH) * 8) / 8;
  return Math.round(eighths * MM_PER_INCH) === mm ? eighths : mm / MM_PER_INCH;
}
const ML_PER_FLUID_OUNCE = 29.5735295625;
const GRAMS_PER_POUND = 453.59237;

const decimalsOf = (amount: string): number => amount.split('.')[1]?.length ?? 0;

const isNumber = (amount: string): boolean => /^-?\d+(\.\d+)?$/.test(amount);
const isDate = (amount: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(amount);

type Write = (amounts: string[], writers: Writers) => string;

/** Each amount written by itself, then the unit. */
const each =
  (
    written: (value: number, digits: number, writers: Writers) => string,
    unit: (writers: Writers) => string = () => '',
  ): Write =>
  (amounts, writers) =>
    amounts.map((amount) => written(Number(amount), decimalsOf(amount), writers)).join(' to ') +
    unit(writers);

const kinds: Record<string, Write> = {
  mass: each((grams, _, { weight }) => weight(grams)),
  limit: each((grams, _, { number, pounds }) => {
    if (pounds) {
      const size = grams / GRAMS_PER_POUND;
      return size < 1 ? `${number(size * 16, 1)} oz` : `${number(size, size < 10 ? 1 : 0)} lb`;
    }
    const size = grams / 1000;
    return size < 1 ? `${number(grams, 0)} g` : `${number(size, size < 10 && grams % 1000 !== 0 ? 1 : 0)} kg`;
  }),
  span: each(
    (metres, _, { number, inches }) => number(inches ? metres / METRES_PER_FOOT : metres, 1),
    ({ inches }) => (inches ? ' ft' : ' m'),
  ),
  area: each(
    (m2, _, { number, inches }) => (inches ? number(m2 / METRES_PER_FOOT ** 2, 1) : number(m2, 2)),
    ({ inches }) => (inches ? ' ft²' : ' m²'),
  ),
  temperature: each(
    (celsius, digits, { number, degrees }) => number(degrees(celsius), digits),
    ({ degree }) => ` ${degree}`,
  ),
  warmth: each(
    (kelvin, digits, { number, fahrenheit }) => number(fahrenheit ? kelvin * 1.8 : kelvin, digits),
    () => ' degrees',
  ),
  length: each(
    (mm, digits, { number, inches }) =>
      inches ? number(digits === 0 ? inchesOf(mm) : mm / MM_PER_INCH, 2) : number(mm, digits),
    ({ inches }) => (inches ? ' in' : ' mm'),
  ),
  surface: each(
    (cm2, _, { number, pounds }) =>
      number(pounds ? ((cm2 / (MM_PER_INCH ** 2 / 100)) * GRAMS_PER_POUND) / 1000 : cm2, 0),
    ({ pounds }) => (pounds ? ' in²/lb' : ' cm²/kg'),
  ),
  volume: each(
    (ml, digits, { number, pounds }) => (pounds ? number(ml / ML_PER_FLUID_OUNCE, 1) : number(ml, digits)),
    ({ pounds }) => (pounds ? ' fl oz' : ' mL'),
  ),
  money: each((minor, _, { money }) => money(minor)),
  price: each((minor, _, { pricePer }) => pricePer(minor)),
  share: each(
    (fraction, _, { number }) => number(fraction * 100, 1),
    () => ' %',
  ),
  number: each((value, digits, { number }) => number(value, digits)),
  days: (amounts) => `${amounts.join(' to ')} ${amounts.length === 1 && amounts[0] === '1' ? 'day' : 'days'}`,
  date: (amounts, { date }) => amounts.map(date).join(' to '),
};

/** A sentence as its reader wants it. What looks like a quantity and is none stays as it is. */
export function writeSentence(sentence: string, writers: Writers): string {
  return sentence.replace(MARK, (mark, kind: string, first: string, last?: string) => {
    const write = kinds[kind];
    const amounts = last === undefined ? [first] : [first, last];
    const readable = amounts.every(kind === 'date' ? isDate : isNumber);
    return write && readable ? write(amounts, writers) : mark;
  });
}
