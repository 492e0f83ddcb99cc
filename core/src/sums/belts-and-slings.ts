import { flattestLegDeg } from './limits.ts';

/** Open belts over two pulleys, and slings. */

/** Length of an open belt over two pulleys, mm. Geometry. Refuses centres that let the pulleys touch. */
export function openBeltMm(largeMm: number, smallMm: number, centresMm: number): number {
  if (!(smallMm > 0) || centresMm <= (largeMm + smallMm) / 2)
    throw new RangeError('The centres must keep the pulleys apart.');
  const lean = Math.asin(Math.abs(largeMm - smallMm) / (2 * centresMm));
  return 2 * centresMm * Math.cos(lean) + (Math.PI * (largeMm + smallMm)) / 2 + lean * Math.abs(largeMm - smallMm);
}

/** Wrap on the smaller of two pulleys, degrees. Geometry. */
export const smallWrapDeg = (largeMm: number, smallMm: number, centresMm: number): number =>
  180 - (360 / Math.PI) * Math.asin(Math.abs(largeMm - smallMm) / (2 * centresMm));

/** Load factor of a sling leg by its angle from level, degrees. Source: ASME B30.9, geometry. Below 30° is refused. */
export function slingLoadFactor(angleFromLevelDeg: number): number {
  if (!(angleFromLevelDeg >= flattestLegDeg && angleFromLevelDeg <= 90))
    throw new RangeError(
      'A leg flatter than 30° from level is refused: the load in it grows past twice its share. Use longer legs.',
    );
  return 1 / Math.sin((angleFromLevelDeg * Math.PI) / 180);
}

/** Load in each leg, kg; legs share evenly only when the hook stands over the centre of gravity. At most two legs of more are counted (common practice). */
export const slingLegKg = (loadKg: number, legs: number, angleFromLevelDeg: number): number =>
  (loadKg / Math.min(legs, 2)) * slingLoadFactor(angleFromLevelDeg);

/** A point in the plane of a lift, mm: x forward, z up. */
export interface LiftPoint {
  x: number;
  z: number;
}

export interface HungLoad {
  /** How the load turns until its centre of gravity hangs under the hook, degrees; nose down is positive. */
  tiltDeg: number;
  /** Of each leg, as it hangs: its angle from level, degrees, and its part of the load, as a factor. */
  front: { fromLevelDeg: number; share: number };
  rear: { fromLevelDeg: number; share: number };
}

/**
 * A load on two legs that meet at one hook, all in one plane: it turns until its centre of gravity lies under the hook, and the
 * three forces meet there. Statics. Refuses a hook that is not above both eyes and the centre of gravity, and eyes that
 * hang on one side of it.
 */
export function hungOnTwoLegs(front: LiftPoint, rear: LiftPoint, hook: LiftPoint, centre: LiftPoint): HungLoad {
  if (!(hook.z > front.z && hook.z > rear.z && hook.z > centre.z))
    throw new RangeError('The hook must stand above both eyes and above the centre of gravity.');
  const tilt = Math.atan2(centre.x - hook.x, hook.z - centre.z);
  const hung = (p: LiftPoint): LiftPoint => turned(p, hook, tilt);
  const [f, r] = [hung(front), hung(rear)];
  const ahead = f.x - hook.x;
  const behind = hook.x - r.x;
  if (!(ahead > 0 && behind > 0))
    throw new RangeError('The hook must hang between the eyes: like this one leg carries all and the load turns over.');
  const a = Math.atan2(hook.z - f.z, ahead);
  const b = Math.atan2(hook.z - r.z, behind);
  const deg = 180 / Math.PI;
  return {
    tiltDeg: tilt * deg,
    front: { fromLevelDeg: a * deg, share: Math.cos(b) / Math.sin(a + b) },
    rear: { fromLevelDeg: b * deg, share: Math.cos(a) / Math.sin(a + b) },
  };
}

/** A point of the load after it turned about the hook, nose down, by so many radians. */
export function turned({ x, z }: LiftPoint, hook: LiftPoint, tilt: number): LiftPoint {
  const [dx, dz] = [x - hook.x, z - hook.z];
  return {
    x: hook.x + dx * Math.cos(tilt) + dz * Math.sin(tilt),
    z: hook.z - dx * Math.sin(tilt) + dz * Math.cos(tilt),
  };
}
