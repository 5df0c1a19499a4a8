import dayjs from 'dayjs';
import type { Schema } from '../api/client';

/** Whose figures are written as in which country; what is not said is as the browser has it. */
const tags: Record<Schema['Preferences']['figures'], string | undefined> = {
  DEVICE: undefined,
  POINT_DAY_FIRST: 'en-GB',
  POINT_MONTH_FIRST: 'en-US',
  COMMA_DAY_FIRST: 'de-DE',
};

export const localeOf = (me: Schema['Me'] | undefined): string | undefined =>
  me && tags[me.preferences.figures];

let chosen: string | undefined;

/** From now on figures and days are written so. */
export function writeAs(locale: string | undefined): void {
  chosen = locale;
}

export const writtenAs = (): string | undefined => chosen;

const SOME_DAY = new Date(2026, 10, 28);

/** Whether the month stands before the day. */
function isMonthFirst(locale: string | undefined): boolean {
  const order = new Intl.DateTimeFormat(locale, { dateStyle: 'medium' })
    .formatToParts(SOME_DAY)
    .map(({ type }) => type)
    .filter((type) => type !== 'literal')
    .join(' ');
  return order === 'month day year';
}

const isBeforeNoonTold = (locale: string | undefined): boolean =>
  new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions().hour12 ?? false;

export interface Forms {
  /** As `28 Nov 2026`, in the letters of dayjs. */
  day: string;
  dayOfYear: string;
  month: string;
  clock: string;
  momentOfYear: string;
  moment: string;
}

const known = new Map<string, Forms>();

/** The one form of a day and of a moment; words are English, the order and the clock are the reader's. */
export function formsOf(locale: string | undefined): Forms {
  const key = locale ?? '';
  const forms = known.get(key) ?? make(locale);
  known.set(key, forms);
  return forms;
}

function make(locale: string | undefined): Forms {
  const [dayOfYear, day] = isMonthFirst(locale) ? ['MMM D', 'MMM D, YYYY'] : ['D MMM', 'D MMM YYYY'];
  const clock = isBeforeNoonTold(locale) ? 'h:mm A' : 'HH:mm';
  return {
    day,
    dayOfYear,
    month: 'MMM YYYY',
    clock,
    momentOfYear: `${dayOfYear}, ${clock}`,
    moment: `${day}, ${clock}`,
  };
}

const written = (at: string | Date, form: keyof Forms) => dayjs(at).format(formsOf(chosen)[form]);

/** A day, as `28 Nov 2026`. */
export const date = (iso: string): string => written(iso, 'day');

/** A day of these weeks, as `Sat, 28 Nov`. */
export const shortDate = (iso: string): string => `${dayjs(iso).format('ddd')}, ${written(iso, 'dayOfYear')}`;

/** A day on an axis. */
export const dayOfYear = (at: Date): string => written(at, 'dayOfYear');

export const clock = (at: Date): string => written(at, 'clock');

/** A moment, as `28 Nov, 18:10`; of another year with it. */
export const moment = (iso: string): string =>
  written(iso, dayjs(iso).isSame(dayjs(), 'year') ? 'momentOfYear' : 'moment');
