import Box from '@mui/material/Box';
import { lazy } from 'react';
import type { Axis } from './axis';
import type { Point } from './curves';
import { Later } from './Later';

/** A curve over days, with the band it may lie in. */
export interface Curve {
  name: string;
  colour: string;
  /** Drawn broken, so that two curves are told apart without colour. */
  broken?: boolean;
  points: Point[];
  band?: { day: number; low: number; high: number }[];
  /** What was measured of it, in its colour. */
  marks?: Point[];
}

export interface CurvesOverDays {
  height: number;
  curves: Curve[];
  /** What was measured. */
  marks?: Point[];
  /** Days to be named on the axis. */
  lines?: { day: number; name: string }[];
  days: number;
  /** Held by the axis besides what is drawn. */
  least?: number;
  most?: number;
  axis: Axis;
}

const Drawing = lazy(() => import('./CurveDrawing'));

/** CurvesOverDays with their bands over days hung. Read out as one sentence; the numbers stand beside it. */
export function CurveChart({
  label,
  ...curves
}: CurvesOverDays & { /** What the picture shows. */ label: string }) {
  return (
    <Box role="img" aria-label={label}>
      <Box aria-hidden>
        <Later height={curves.height}>
          <Drawing {...curves} />
        </Later>
      </Box>
    </Box>
  );
}
