import type { Schema } from '../api/client';
import drawn from './outlines.json';

export type Shape = Schema['PieceCard']['shape'];

/**
 * The outline of each class of cut, drawn by us in a square of 100; paper is drawn from the same file. Every outline is star-shaped about its three
 * anchors, so that scaling it about one of them keeps it inside itself and its area true.
 */
export interface Outline {
  path: string;
  /** Lines that belong to the picture but not to the area: a fin, a bone end. */
  ornament?: string;
  centre: readonly [number, number];
  /** Shrinking towards here leaves a band at the top, where the fat cap is. */
  low: readonly [number, number];
  /** Shrinking towards here leaves a band below, where the bone is. */
  high: readonly [number, number];
}

export const outlines = drawn as unknown as Record<Shape, Outline>;
