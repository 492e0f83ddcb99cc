import { depthOf } from './depth.ts';
import { Difference } from './difference.ts';
import { Simplex } from './simplex.ts';
import type { Cloud, Solid, Vec } from './types.ts';
import { cloudOf } from './types.ts';

/** How two solids stand to one another. */
export interface Separation {
  /** Distance between them, mm; where they overlap, minus the least shift that parts them. */
  gap: number;
  /** From the second to the first, of length one: the way along which a shift of the first opens the gap most. */
  normal: Vec;
  /** The places on the two hulls (without their radius) between which it was found. */
  onFirst: Vec;
  onSecond: Vec;
  /**
   * Where it was asked for: by how much the gap can be above its tangent (gap + normal · shift) after any shift of so many mm, because
   * the solids then part, or come nearest, another way. Infinite where there is no such bound.
   */
  bend?: number;
}

/** Nearer than this, as a part of the size of the two, the nearest point says no direction any more: the faces round the origin do. */
const contact = 1e-8;

/** What a separation is worked out in: made once, since it is wanted ten thousand times a second, and one is done before the next begins. */
const work = { difference: new Difference(), simplex: new Simplex() };

function largest(cloud: Cloud): number {
  let most = 0;
  for (let k = 0; k < cloud.length; k += 1) most = Math.max(most, Math.abs(cloud[k]!));
  return most;
}

/**
 * Separation of two hulls without radius. By the method of Gilbert, Johnson and Keerthi (1988): the point of the difference nearest
 * to the origin, over simplices; where the origin lies inside, by the faces round it (see depth.ts).
 *
 * @param toward a direction to begin with, as the last normal of the same two: fewer rounds, the same answer.
 * @param sweep the bend for shifts of up to so many mm is wanted too (several times the work).
 */
export function separate(first: Cloud, second: Cloud, toward?: Vec, sweep?: number): Separation {
  const difference = work.difference.of(first, second);
  const { simplex } = work;
  simplex.size = 0;
  const { nearest } = simplex;
  if (toward) difference.outermost(-toward[0], -toward[1], -toward[2]);
  else difference.outermost(1, 0, 0);
  const scale = Math.max(largest(first), largest(second));
  simplex.add(difference.at, difference.firstPoint, difference.secondPoint);
  simplex.reduce();
  let square = nearest[0]! ** 2 + nearest[1]! ** 2 + nearest[2]! ** 2;
  const meeting = (contact * (scale + 1)) ** 2;
  for (let round = 0; round < 200; round += 1) {
    if (square <= meeting || simplex.size === 4)
      return depthOf(difference, scale, sweep === undefined ? undefined : { mm: sweep, apart: false });
    const out = -difference.outermost(-nearest[0]!, -nearest[1]!, -nearest[2]!);
    // No point of the difference lies nearer along the normal: it is found.
    if (square - out <= 1e-12 * square || simplex.has(difference.firstPoint, difference.secondPoint)) break;
    simplex.add(difference.at, difference.firstPoint, difference.secondPoint);
    const x = nearest[0]!;
    const y = nearest[1]!;
    const z = nearest[2]!;
    simplex.reduce();
    const now = nearest[0]! ** 2 + nearest[1]! ** 2 + nearest[2]! ** 2;
    if (now >= square && simplex.size < 4) {
      // Rounding only: nothing is gained any more.
      nearest[0] = x;
      nearest[1] = y;
      nearest[2] = z;
      break;
    }
    square = now;
  }
  const gap = Math.sqrt(square);
  const normal: Vec = [nearest[0]! / gap, nearest[1]! / gap, nearest[2]! / gap];
  const on = (cloud: Cloud, of: Int32Array): Vec => {
    const place: [number, number, number] = [0, 0, 0];
    for (let k = 0; k < simplex.size; k += 1) {
      const w = simplex.weights[k]!;
      for (let axis = 0; axis < 3; axis += 1) place[axis]! += w * cloud[of[k]! + axis]!;
    }
    return place;
  };
  const found = { gap, normal, onFirst: on(first, simplex.firstPoints), onSecond: on(second, simplex.secondPoints) };
  if (sweep === undefined) return found;
  // Far apart, the way between the two nearest places says it: it grows sideways by the square over its length.
  const byWay = gap > 1.5 * sweep ? sweep ** 2 / (2 * (gap - sweep)) : Infinity;
  if (byWay < sweep / 20) return { ...found, bend: byWay };
  const touching = depthOf(difference.seenFrom(nearest[0]!, nearest[1]!, nearest[2]!), scale, {
    mm: sweep,
    apart: true,
  });
  const along = touching.normal[0] * normal[0] + touching.normal[1] * normal[1] + touching.normal[2] * normal[2];
  return { ...found, bend: along > 1 - 1e-6 ? Math.min(byWay, touching.bend ?? Infinity) : byWay };
}

/**
 * The gap between two solids, mm: the true distance between their surfaces, and minus the least shift that parts them where they
 * overlap. Solids of which one has no volume and that just cut through one another have a gap of minus their radii.
 */
export function gapBetween(first: Solid, second: Solid): Separation {
  const found = separate(cloudOf(first.points), cloudOf(second.points));
  return { ...found, gap: found.gap - first.r - second.r };
}
