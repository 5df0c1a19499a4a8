/** A value on a day. */
export interface Point {
  day: number;
  value: number;
}

/** The value of a curve on a day, straight between its points; null outside them. Points ascend. */
export function at(points: Point[], day: number): number | null {
  const first = points[0];
  const last = points.at(-1);
  if (!first || !last || day < first.day || day > last.day) {
    return null;
  }
  let low = 0;
  let high = points.length - 1;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((points[middle]?.day ?? 0) <= day) {
      low = middle;
    } else {
      high = middle;
    }
  }
  const before = points[low] ?? first;
  const after = points[high] ?? last;
  const part = after.day > before.day ? (day - before.day) / (after.day - before.day) : 0;
  return before.value + (after.value - before.value) * part;
}
