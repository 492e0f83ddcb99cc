/** A place or a direction: x forward, y to the left, z up (ISO 8855, from memory); places in mm. */
export type Vec = readonly [number, number, number];

/**
 * The convex hull of points, grown by a radius: a box, a bar, a drum, a sheet between stations and what something sweeps are all of
 * this kind. One point is a ball, two are a bar with round ends; flat ones are allowed.
 */
export interface Solid {
  readonly points: readonly Vec[];
  /** How far it is grown on all sides, mm, 0 or more. */
  readonly r: number;
}

/** The same as numbers in a row (x, y, z, x, …): what the inner loops read. */
export type Cloud = Float64Array;

export function cloudOf(points: readonly Vec[]): Cloud {
  const cloud = new Float64Array(points.length * 3);
  points.forEach((p, i) => cloud.set(p, i * 3));
  return cloud;
}

export interface Span {
  readonly x: readonly [number, number];
  readonly y: readonly [number, number];
  readonly z: readonly [number, number];
}

/** The eight corners of a box; of a flat one its four, of a line its two ends. */
export function boxPoints({ x, y, z }: Span): Vec[] {
  const points: Vec[] = [];
  const [xs, ys, zs] = [x, y, z].map(([a, b]) => (a === b ? 1 : 2)) as [number, number, number];
  for (let i = 0; i < xs; i += 1)
    for (let j = 0; j < ys; j += 1) for (let k = 0; k < zs; k += 1) points.push([x[i]!, y[j]!, z[k]!]);
  return points;
}

/** How far the farthest point of a solid is from the origin of its datum, mm. */
export const reachOf = ({ points, r }: Solid): number => Math.max(...points.map((p) => Math.hypot(...p))) + r;

/** The least box round a solid, mm. */
export function spanOf({ points, r }: Solid): Span {
  const along = (axis: 0 | 1 | 2): [number, number] => {
    const all = points.map((p) => p[axis]);
    return [Math.min(...all) - r, Math.max(...all) + r];
  };
  return { x: along(0), y: along(1), z: along(2) };
}
