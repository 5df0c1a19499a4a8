import type { Schema } from '../api/client';

export type Shape = Schema['PieceCard']['shape'];

/**
 * The outline of each class of cut, drawn by us in a square of 100. Every outline is star-shaped about its three
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

export const outlines: Record<Shape, Outline> = {
  EYE_WITH_CAP: {
    path: 'M8 46C10 27 32 19 56 19C77 19 94 25 94 38C94 50 84 55 77 66C70 80 54 87 40 85C19 82 6 66 8 46Z',
    centre: [47, 52],
    low: [42, 78],
    high: [54, 24],
  },
  FLAT: {
    path: 'M4 54C6 38 26 30 51 31C76 32 95 38 96 52C97 65 76 71 50 71C23 71 3 67 4 54Z',
    centre: [50, 51],
    low: [50, 66],
    high: [50, 36],
  },
  SADDLE: {
    path: 'M6 42C8 24 29 18 50 22C71 18 92 24 94 42C96 62 87 82 71 82C60 82 56 72 50 68C44 72 40 82 29 82C13 82 4 62 6 42Z',
    centre: [50, 48],
    low: [50, 60],
    high: [50, 30],
  },
  QUARTER: {
    path: 'M46 5C54 3 58 10 58 20C60 34 87 44 89 64C91 84 68 96 48 94C26 92 10 80 13 60C17 44 40 34 42 20C42 11 42 7 46 5Z',
    centre: [50, 62],
    low: [50, 82],
    high: [50, 34],
  },
  BIRD: {
    path: 'M50 8C56 8 58 16 60 24C79 29 91 47 87 67C83 85 66 95 50 95C34 95 17 85 13 67C9 47 21 29 40 24C42 16 44 8 50 8Z',
    ornament: 'M30 90L24 99M70 90L76 99',
    centre: [50, 60],
    low: [50, 84],
    high: [50, 34],
  },
  FISH: {
    path: 'M6 44C22 27 54 25 80 50C54 75 22 73 6 56C4 52 4 48 6 44Z',
    ornament: 'M80 50L96 34M80 50L96 66M96 34Q90 50 96 66',
    centre: [36, 50],
    low: [38, 66],
    high: [38, 34],
  },
};
