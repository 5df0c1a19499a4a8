import { expect, test } from 'vitest';
import { outlines, type Shape } from './outlines';

type Point = readonly [number, number];

/** Points along an outline made of M, C and Q curves, as the picture draws them. */
function points(path: string): Point[] {
  const numbers = (text: string) => (text.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
  const found: Point[] = [];
  let at: Point = [0, 0];
  for (const [, command = '', rest = ''] of path.matchAll(/([MCZ])([^MCZ]*)/g)) {
    const values = numbers(rest);
    if (command === 'M') {
      at = [values[0] ?? 0, values[1] ?? 0];
    }
    for (let start = 0; command === 'C' && start + 5 < values.length; start += 6) {
      const [ax = 0, ay = 0, bx = 0, by = 0, x = 0, y = 0] = values.slice(start, start + 6);
      for (let step = 1; step <= 60; step++) {
        const t = step / 60;
        const u = 1 - t;
        const bend = (p: number, a: number, b: number, q: number) =>
          u * u * u * p + 3 * u * u * t * a + 3 * u * t * t * b + t * t * t * q;
        found.push([bend(at[0], ax, bx, x), bend(at[1], ay, by, y)]);
      }
      at = [x, y];
    }
  }
  return found;
}

/** Seen from the anchor, the outline turns one way only: every ray meets it once. */
function isStarShapedAbout(outline: Point[], [cx, cy]: Point): boolean {
  const turns = outline.map(([x, y], index) => {
    const [nx, ny] = outline[(index + 1) % outline.length] ?? [0, 0];
    return (x - cx) * (ny - cy) - (y - cy) * (nx - cx);
  });
  return turns.every((turn) => turn > -1e-6) || turns.every((turn) => turn < 1e-6);
}

const shapes = Object.keys(outlines) as Shape[];

test.each(shapes.flatMap((shape) => (['centre', 'low', 'high'] as const).map((anchor) => [shape, anchor])))(
  'a smaller %s about its %s stays inside the outline, so that no layer hides another',
  (shape, anchor) => {
    const outline = outlines[shape as Shape];
    expect(isStarShapedAbout(points(outline.path), outline[anchor as 'centre' | 'low' | 'high'])).toBe(true);
  },
);

test.each(shapes)('the %s fits its square', (shape) => {
  for (const [x, y] of points(outlines[shape].path)) {
    expect(Math.min(x, y)).toBeGreaterThanOrEqual(0);
    expect(Math.max(x, y)).toBeLessThanOrEqual(100);
  }
});
