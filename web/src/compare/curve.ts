import type { Schema } from '../api/client';

const STEPS = 24;

/** A group's shrink between its fewest and its most days, by the law of drying: t = a·w + b·w². */
export function curveOf({ a, b, from, to }: Schema['ShrinkCurve']): { x: number; y: number }[] {
  return Array.from({ length: STEPS + 1 }, (_, step) => {
    const x = Math.round((from + ((to - from) * step) / STEPS) * 100) / 100;
    return { x, y: b === 0 ? x / a : (-a + Math.sqrt(a * a + 4 * b * x)) / (2 * b) };
  });
}
