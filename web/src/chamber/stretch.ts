import dayjs from 'dayjs';
import { clock, dayOfYear } from '../kit/units';

/** How far back the air is looked at. */
export interface Stretch {
  name: string;
  hours: number;
  /** How many points it is drawn with: from a week on each is a mean over hours, so that no compressor draws a comb. */
  points: number;
}

export const week: Stretch = { name: 'Week', hours: 24 * 7, points: 42 };

export const stretches: Stretch[] = [
  { name: 'Hour', hours: 1, points: 60 },
  { name: 'Day', hours: 24, points: 288 },
  week,
  { name: 'Month', hours: 24 * 31, points: 62 },
  { name: 'Year', hours: 24 * 366, points: 122 },
];

/** A time on the axis: the clock within a day or two, the date beyond. */
export function axisTime(at: Date, hours: number): string {
  return hours <= 48 ? clock(at) : dayOfYear(at);
}

/** How many of which unit lie between two names on the axis, by how long it is. */
const between: { hours: number; count: number; unit: 'minute' | 'hour' | 'day' | 'month' }[] = [
  { hours: 2, count: 10, unit: 'minute' },
  { hours: 48, count: 4, unit: 'hour' },
  { hours: 24 * 10, count: 1, unit: 'day' },
  { hours: 24 * 62, count: 5, unit: 'day' },
  { hours: Infinity, count: 2, unit: 'month' },
];

/** Where the axis is named, so that no day is named twice: whole hours, days or months. */
export function ticks(from: string, to: string): Date[] {
  const hours = (Date.parse(to) - Date.parse(from)) / 3_600_000;
  const { count, unit } = between.find((each) => hours <= each.hours) ?? { count: 1, unit: 'day' as const };
  const first = dayjs(from).startOf(unit === 'minute' ? 'hour' : unit === 'hour' ? 'day' : unit);
  const all: Date[] = [];
  for (let at = first; !at.isAfter(to); at = at.add(count, unit)) {
    if (!at.isBefore(from)) {
      all.push(at.toDate());
    }
  }
  return all;
}

/** A length of time in words a person would say. */
export function lasted(from: string, to: string): string {
  const minutes = Math.round((Date.parse(to) - Date.parse(from)) / 60_000);
  if (minutes < 120) {
    return minutes === 1 ? '1 minute' : `${minutes} minutes`;
  }
  const hours = Math.round(minutes / 60);
  return hours < 72 ? `${hours} hours` : `${Math.round(hours / 24)} days`;
}

interface Row {
  at: string;
}

/** The points with an empty one wherever something is missing between two, so that no line is drawn over a silence. */
export function withGaps<T extends Row>(points: T[], stepSeconds: number): (T | Row)[] {
  const longest = Math.max(3 * stepSeconds, 1200) * 1000;
  return points.flatMap((point, index) => {
    const before = points[index - 1];
    const empty = before && Date.parse(point.at) - Date.parse(before.at) > longest;
    return empty
      ? [{ at: new Date(Date.parse(before.at) + stepSeconds * 1000).toISOString() }, point]
      : [point];
  });
}
