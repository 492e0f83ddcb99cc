import { angleBetweenDeg, rearward, rippleOf } from '../../sums/index.ts';
import type { Axis } from '../../sums/index.ts';

/**
 * A line of shafts from the output of the gearbox to the pinion of the axle, as numbers: mm in body datum, degrees. Slopes are tail
 * down, the pinion's nose up: parallel ends have the same number.
 */
export interface LineOfShafts {
  output: Axis;
  outputSlopeDeg: number;
  /** The joint behind the centre bearing. */
  carrier?: Axis;
  pinion: Axis;
  pinionUpDeg: number;
}

const between = (a: Axis, b: Axis): Axis => [b[0] - a[0], b[1] - a[1], b[2] - a[2]];

/** The axes that joints stand between, from front to rear. */
export function axesOf({ output, outputSlopeDeg, carrier, pinion, pinionUpDeg }: LineOfShafts): Axis[] {
  const shafts = carrier ? [between(output, carrier), between(carrier, pinion)] : [between(output, pinion)];
  return [rearward(outputSlopeDeg), ...shafts, rearward(pinionUpDeg)];
}

/** Working angle of each joint, degrees, from front to rear. */
export function workingAngles(line: LineOfShafts): number[] {
  const axes = axesOf(line);
  return axes.slice(1).map((axis, i) => angleBetweenDeg(axes[i]!, axis));
}

/** The one joint, degrees, that would make the same ripple as the whole line: the root of what is left of its speed. */
export function leftOverDeg(line: LineOfShafts): number {
  const { least, most } = rippleOf(axesOf(line));
  return (Math.sqrt(Math.max(0, most - least)) * 180) / Math.PI;
}

/** Lengths between the joints, mm, from front to rear. */
export function lengthsOf({ output, carrier, pinion }: LineOfShafts): number[] {
  const long = (a: Axis, b: Axis): number => Math.hypot(...between(a, b));
  return carrier ? [long(output, carrier), long(carrier, pinion)] : [long(output, pinion)];
}

/** Limits of a line at ride height, degrees. Common practice, no source; the joint's maker goes first. */
export const jointLimits = {
  /** Below this the needles of a joint do not roll and mark their race. */
  rolls: 0.5,
  road: 3,
  most: 5,
  /** Ends of a shaft in one piece. */
  apart: 1,
  /** What is left over of a line in two pieces (handbook of joints, memory). */
  leftOver: 3,
  /** In bump and droop. */
  travel: 10,
  travelMost: 20,
} as const;

/** How far a line is out of what is wanted, degrees: nothing where it is well. */
export function outBy(line: LineOfShafts): number {
  const limits = jointLimits;
  const joints = workingAngles(line).reduce(
    (sum, angle) => sum + Math.max(0, limits.rolls - angle) + Math.max(0, angle - limits.road),
    0,
  );
  const ends = line.carrier
    ? Math.max(0, leftOverDeg(line) - limits.leftOver)
    : Math.max(0, Math.abs(line.outputSlopeDeg - line.pinionUpDeg) - limits.apart);
  return joints + ends;
}
