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

/**
 * The longest level cut through the unit, mm: what an opening must let pass while the unit is lowered through it and moved along as
 * room allows. The cut is longest at a level of some corner. Runs for each tilt that is tried, so it makes no lists.
 */
export function longestCut(corners: readonly Point[][]): number {
  let longest = 0;
  for (const box of corners)
    for (const { y } of box)
      // Where boxes touch, the cut just above and just below a corner are not the same.
      longest = Math.max(longest, cutAt(corners, y - 1e-6), cutAt(corners, y + 1e-6));
  return longest;
}

/** How long a level line is from its first edge of a box to its last, mm; none where it passes them all. */
function cutAt(corners: readonly Point[][], level: number): number {
  let first = Infinity;
  let last = -Infinity;
  for (const box of corners) {
    let a = box[box.length - 1]!;
    for (const b of box) {
      const below = a.y < b.y ? a : b;
      const above = a.y < b.y ? b : a;
      a = b;
      if (level < below.y - 1e-9 || level > above.y + 1e-9) continue;
      const rise = above.y - below.y;
      const x = rise < 1e-9 ? below.x : below.x + ((level - below.y) / rise) * (above.x - below.x);
      const other = rise < 1e-9 ? above.x : x;
      first = Math.min(first, x, other);
      last = Math.max(last, x, other);
    }
  }
  return last > first ? last - first : 0;
}

/** A unit hangs tail down by no more than this: beyond, slings slip and fluids run. Common practice, no source. */
export const mostTiltDeg = 45;

/**
 * How a unit is to hang for an opening of `roomMm`: the least tilt, degrees, at which it passes, and where none up to 45° does the
 * one at which its longest level cut is shortest. Tried in steps of half a degree.
 */
export function tiltFor(boxes: readonly SideBox[], roomMm: number): number {
  let [best, shortest] = [0, Infinity];
  for (let tilt = 0; tilt <= mostTiltDeg; tilt += 0.5) {
    const cut = longestCut(tilted(boxes, tilt));
    if (cut <= roomMm) return tilt;
    if (cut < shortest - 1e-9) [best, shortest] = [tilt, cut];
  }
  return best;
}
