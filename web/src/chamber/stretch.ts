/** How far back the air is looked at. */
export interface Stretch {
  name: string;
  hours: number;
}

export const week: Stretch = { name: 'Week', hours: 24 * 7 };

export const stretches: Stretch[] = [
  { name: 'Hour', hours: 1 },
  { name: 'Day', hours: 24 },
  week,
  { name: 'Month', hours: 24 * 31 },
  { name: 'Year', hours: 24 * 366 },
];

/** A time on the axis: the clock within a day or two, the date beyond. */
export function axisTime(at: Date, hours: number): string {
  return hours <= 48
    ? at.toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })
    : at.toLocaleDateString(undefined, { day: 'numeric', month: 'short' });
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
