import { nice, ticks } from 'd3-array';
import { writeNumber } from './weights';

/** How an axis is written for its reader: what one of their figures is in what is drawn, and where their zero lies. */
export interface Axis {
  one: number;
  zero?: number;
  /** Decimals of a figure that stands by itself; 1 if left out. */
  decimals?: number;
  /** Whether there is nothing between one and two. */
  whole?: boolean;
  write: (figure: number, decimals: number) => string;
}

/** Of figures that everybody reads alike. */
export const inUnit = (unit: string): Axis => ({
  one: 1,
  write: (figure, decimals) => `${writeNumber(figure, decimals)} ${unit}`,
});

/** Of fractions, in percent. */
export const shares: Axis = { ...inUnit('%'), one: 0.01 };

export const daysHung: Axis = { one: 1, whole: true, write: (figure) => writeNumber(figure, 0) };

/** A value that stands by itself. */
export const writtenOn = ({ one, zero = 0, decimals = 1, write }: Axis, value: number): string =>
  write((value - zero) / one, decimals);

/** About how many figures stand beside an axis. */
const FIGURES = 6;

/** From where to where an axis goes to hold two values, and what is written beside it: round figures of its reader's. */
export function roundAxis(axis: Axis, least: number, most: number, about = FIGURES) {
  const { one, zero = 0, whole, write } = axis;
  const figure = (value: number) => (value - zero) / one;
  const value = (figure: number) => figure * one + zero;
  const wide = whole ? Math.max(most, least + one * about) : most > least ? most : least + one;
  const [low, high] = nice(figure(least), figure(wide), about);
  const named = ticks(low, high, about);
  const step = (named[1] ?? high) - (named[0] ?? low);
  const decimals = Math.max(0, Math.ceil(-Math.log10(step) - 1e-9));
  return {
    min: value(low),
    max: value(high),
    tickInterval: named.map(value),
    valueFormatter: (drawn: number) => write(figure(drawn), decimals),
  };
}
