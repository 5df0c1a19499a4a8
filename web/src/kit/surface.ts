/** A place on a surface, and how large what lies there is, 0 to 1. */
export interface Spot {
  x: number;
  y: number;
  size: number;
}

interface Field {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** The next of a row of numbers that look drawn and are the same each time (Park and Miller's). */
const next = (state: number): number => (state * 16_807) % 2_147_483_647;

/** Places that look scattered: more of them begin with the same, so that what grows stays where it was. */
export function scattered(seed: number, count: number, field: Field): Spot[] {
  let state = next(seed * 7_919 + 1);
  const draw = () => {
    state = next(state);
    return state / 2_147_483_647;
  };
  return Array.from({ length: count }, () => ({
    x: field.left + field.width * draw(),
    y: field.top + field.height * draw(),
    size: draw(),
  }));
}

const channels = (colour: string): number[] =>
  [1, 3, 5].map((from) => Number.parseInt(colour.slice(from, from + 2), 16));

/** A colour between two, as #rrggbb. */
export function blend(from: string, to: string, share: number): string {
  const other = channels(to);
  return `#${channels(from)
    .map((value, index) => Math.round(value + ((other[index] ?? value) - value) * share))
    .map((value) => value.toString(16).padStart(2, '0'))
    .join('')}`;
}
