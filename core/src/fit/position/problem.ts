import type { Solid } from '../../solid/index.ts';
import type { PoseRange } from './pose.ts';

/** A shape of the bay or of the unit, as it takes part in the position. */
export interface Placed extends Solid {
  id: string;
  label?: string;
  /** How sure its place is: one standard deviation along any direction, mm. */
  sigma: number;
}

/** A clearance between shapes of the unit and shapes of the bay: the smallest gap among them is to keep the least one. */
export interface Pair {
  id: string;
  unit: readonly string[];
  bay: readonly string[];
  needMm: number;
}

export interface FitProblem {
  bay: readonly Placed[];
  unit: readonly Placed[];
  pairs: readonly Pair[];
  range: PoseRange;
}
