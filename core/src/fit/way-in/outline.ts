import type { Point } from '../../drawing/index.ts';
import { radians } from '../position/pose.ts';

/** A unit seen from its side, as boxes in engine datum (x forward of the bell face, y up from the crank), and how it goes through an opening. */

export interface SideBox {
  rear: number;
  front: number;
  low: number;
  high: number;
}

/** The corners of each box, the tail let down by `tiltDeg` about the crank at the bell face. */
export const tilted = (boxes: readonly SideBox[], tiltDeg: number): Point[][] => {
  const [c, s] = [Math.cos(tiltDeg * radians), Math.sin(tiltDeg * radians)];
  return boxes.map(({ rear, front, low, high }) =>
    (
      [
        [rear, low],
        [front, low],
        [front, high],
        [rear, high],
      ] as const
    ).map(([x, z]) => ({ x: c * x - s * z, y: s * x + c * z })),
  );
};

/** From the lowest to the highest place, mm. */
export function heightOf(corners: readonly Point[][]): { low: number; high: number } {
  const heights = corners.flat().map((p) => p.y);
  return { low: Math.min(...heights), high: Math.max(...heights) };
}

/** Where a level line cuts the edges of a box, mm along. */
function cutAt(corners: readonly Point[], level: number): number[] {
  return corners.flatMap((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    const [lo, hi] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
    if (level < lo - 1e-9 || level > hi + 1e-9) return [];
    if (hi - lo < 1e-9) return [a.x, b.x];
    return [a.x + ((level - a.y) / (b.y - a.y)) * (b.x - a.x)];
  });
}

/**
 * The longest level cut through the unit, mm: what an opening must let pass while the unit is lowered through it and moved along as
 * room allows. The cut is longest at a level of some corner.
 */
export function longestCut(corners: readonly Point[][]): number {
  const levels = new Set(corners.flat().map((p) => p.y));
  let longest = 0;
  for (const level of levels)
    // Where boxes touch, the cut just above and just below a corner are not the same.
    for (const at of [level - 1e-6, level + 1e-6]) {
      const cuts = corners.flatMap((box) => cutAt(box, at));
      if (cuts.length > 1) longest = Math.max(longest, Math.max(...cuts) - Math.min(...cuts));
    }
  return longest;
}

/** A unit hangs tail down by no more than this: beyond, slings slip and fluids run. Common practice, no source. */
export const mostTiltDeg = 45;

/** The least tilt, degrees, at which the unit passes an opening of `roomMm`; nothing where none up to 45° does. Tried in steps of half a degree. */
export function leastTilt(boxes: readonly SideBox[], roomMm: number): number | undefined {
  for (let tilt = 0; tilt <= mostTiltDeg; tilt += 0.5) if (longestCut(tilted(boxes, tilt)) <= roomMm) return tilt;
  return undefined;
}

/** The tilt up to 45° at which the longest level cut is shortest, degrees. */
export function bestTilt(boxes: readonly SideBox[]): number {
  let best = 0;
  for (let tilt = 0.5; tilt <= mostTiltDeg; tilt += 0.5)
    if (longestCut(tilted(boxes, tilt)) < longestCut(tilted(boxes, best)) - 1e-9) best = tilt;
  return best;
}
