import type { Difference } from './difference.ts';
import type { Separation } from './separation.ts';
import type { Vec } from './types.ts';

/** A corner of the growing hull: where it lies, and which points of the two solids made it. */
interface Corner {
  at: Vec;
  first: number;
  second: number;
}

/** A face of it, its corners against the clock as seen from outside. */
interface Face {
  corners: readonly [number, number, number];
  normal: Vec;
  /** How far its plane lies from the origin; never the nearest where the face has no area. */
  distance: number;
}

const minus = (a: Vec, b: Vec): Vec => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const cross = (a: Vec, b: Vec): Vec => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const times = (a: Vec, by: number): Vec => [a[0] * by, a[1] * by, a[2] * by];

/** The direction of least extent of something flat, and where it was begun. */
interface Flat {
  normal: Vec;
}

/** Four corners of the difference that are not in one plane, or the normal of the plane, where it is flat. */
function begin(take: (d: Vec) => Corner, thin: number): Corner[] | Flat {
  const a = take([1, 0, 0]);
  const axes: Vec[] = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  const around = axes.flatMap((d) => [take(d), take(times(d, -1))]);
  const far = (from: (c: Corner) => number): Corner => around.reduce((best, c) => (from(c) > from(best) ? c : best), a);
  const b = far((c) => Math.hypot(...minus(c.at, a.at)));
  const u = minus(b.at, a.at);
  const length = Math.hypot(...u);
  if (length <= thin) return { normal: [0, 0, 1] };
  const along = times(u, 1 / length);
  const side = axes.reduce((best, d) => (Math.abs(dot(d, along)) < Math.abs(dot(best, along)) ? d : best));
  const p = cross(along, side);
  const across = times(p, 1 / Math.hypot(...p));
  const other = cross(along, across);
  // Round the line: whatever is off it lies outermost in one of four directions.
  const off = (c: Corner): number => Math.hypot(...cross(minus(c.at, a.at), along));
  const c = [across, times(across, -1), other, times(other, -1)]
    .map(take)
    .reduce((best, next) => (off(next) > off(best) ? next : best));
  if (off(c) <= thin) return { normal: across };
  const n = cross(u, minus(c.at, a.at));
  const normal = times(n, 1 / Math.hypot(...n));
  const d = [take(normal), take(times(normal, -1))].reduce((best, next) =>
    Math.abs(dot(minus(next.at, a.at), normal)) > Math.abs(dot(minus(best.at, a.at), normal)) ? next : best,
  );
  if (Math.abs(dot(minus(d.at, a.at), normal)) <= thin) return { normal };
  return [a, b, c, d];
}

/** How far two solids may be shifted from where they stand, mm, and whether they stand apart and are looked at as they would touch. */
export interface Sweep {
  mm: number;
  apart: boolean;
}

/** A bend below this is none, mm; and how long the hull is grown for it. */
const straightEnough = 0.02;
const mostExtra = 40;

/** How far the gap can rise above its tangent because this face takes the place of the way out, within a sweep, mm. */
function bendOver({ normal, distance }: Face, out: Separation, { mm, apart }: Sweep): number {
  if (distance === Infinity) return -Infinity;
  // Out lies against the normal of the separation.
  const along = -dot(normal, out.normal);
  const aside = Math.sqrt(Math.max(0, 1 - along * along));
  const depth = -out.gap;
  if (!apart) return depth - distance + Math.sqrt(Math.max(0, 2 - 2 * along)) * mm;
  const past = aside * mm - distance;
  // Beyond the edge of the face the other solid turns away altogether.
  if (along < 0.1) return past > 0 ? Infinity : past;
  return Math.max(past / along, past + (1 - along) * mm);
}

/** More corners than the hull ever gets. */
const most = 1024;

/** Weights of a point of a triangle's plane. */
function weightsIn([a, b, c]: readonly [Vec, Vec, Vec], at: Vec): [number, number, number] {
  const u = minus(b, a);
  const v = minus(c, a);
  const w = minus(at, a);
  const det = dot(u, u) * dot(v, v) - dot(u, v) ** 2;
  if (det <= 0) return [1, 0, 0];
  const s = (dot(w, u) * dot(v, v) - dot(w, v) * dot(u, v)) / det;
  const t = (dot(w, v) * dot(u, u) - dot(w, u) * dot(u, v)) / det;
  return [1 - s - t, s, t];
}

/**
 * How deep the origin lies in a difference that holds it, or that it all but touches: a hull grows inside the difference, always out from the face whose plane is
 * nearest to the origin, until that face is one of the difference itself. (Expanding polytope, van den Bergen 2001, from memory; it
 * begins with any four corners, so that nothing depends on how the origin lies to them.)
 *
 * @param scale the largest coordinate, mm: what the tolerances are a part of.
 * @param sweep how far the difference may be shifted afterwards, where it is wanted what that can do to the way out (see Separation.bend).
 */
export function depthOf(difference: Difference, scale: number, sweep?: Sweep): Separation {
  const tiny = 1e-9 * (scale + 1);
  /** Thinner than this is flat. */
  const thin = 1e-7 * (scale + 1);
  const corners: Corner[] = [];
  const take = (d: Vec): Corner => {
    difference.outermost(d[0], d[1], d[2]);
    return {
      at: [difference.at[0]!, difference.at[1]!, difference.at[2]!],
      first: difference.firstPoint,
      second: difference.secondPoint,
    };
  };
  const placed = (cloud: Float64Array, k: number): Vec => [cloud[k]!, cloud[k + 1]!, cloud[k + 2]!];

  const start = begin(take, thin);
  if (!Array.isArray(start)) {
    // Flat, and the origin in it: a shift across it by nothing parts them.
    const touch = take(start.normal);
    const onFirst = placed(difference.first, touch.first);
    return { gap: 0, normal: times(start.normal, -1), onFirst, onSecond: placed(difference.second, touch.second) };
  }
  corners.push(...start);
  const inside = times(
    corners.reduce<Vec>((sum, c) => [sum[0] + c.at[0], sum[1] + c.at[1], sum[2] + c.at[2]], [0, 0, 0]),
    1 / 4,
  );

  const faceOf = (i: number, j: number, k: number): Face => {
    const a = corners[i]!.at;
    const n = cross(minus(corners[j]!.at, a), minus(corners[k]!.at, a));
    const area = Math.hypot(...n);
    if (area <= tiny * tiny) return { corners: [i, j, k], normal: [0, 0, 0], distance: Infinity };
    const normal = times(n, 1 / area);
    return { corners: [i, j, k], normal, distance: dot(normal, a) };
  };
  const outward = (i: number, j: number, k: number): Face => {
    const face = faceOf(i, j, k);
    return dot(face.normal, inside) > face.distance ? faceOf(i, k, j) : face;
  };
  let faces: Face[] = [outward(0, 1, 2), outward(0, 1, 3), outward(0, 2, 3), outward(1, 2, 3)];

  const found = (face: Face): Separation => {
    const { normal, distance } = face;
    const [i, j, k] = face.corners.map((c) => corners[c]!) as [Corner, Corner, Corner];
    const weights = weightsIn([i.at, j.at, k.at], times(normal, distance));
    const on = (cloud: Float64Array, of: 'first' | 'second'): Vec =>
      [i, j, k].reduce<Vec>(
        (sum, c, n) => {
          const at = placed(cloud, c[of]);
          return [sum[0] + weights[n]! * at[0], sum[1] + weights[n]! * at[1], sum[2] + weights[n]! * at[2]];
        },
        [0, 0, 0],
      );
    return {
      gap: -distance,
      // Out through the face: the first is shifted against it.
      normal: times(normal, -1),
      onFirst: on(difference.first, 'first'),
      onSecond: on(difference.second, 'second'),
    };
  };
  /** The way out, once it is proved; where a sweep is asked about, the hull grows on where that may lead to another. */
  let out: Separation | undefined;
  let extra = 0;
  const bendAt = (face: Face): number => bendOver(face, out!, sweep!);

  for (let round = 0; ; round += 1) {
    const nearest = out
      ? faces.reduce((best, f) => (bendAt(f) > bendAt(best) ? f : best))
      : faces.reduce((best, f) => (f.distance < best.distance ? f : best));
    if (out) {
      const bend = Math.max(0, bendAt(nearest));
      extra += 1;
      // The hull lies inside the difference: what it says is never too little.
      if (bend <= straightEnough || extra > mostExtra) return { ...out, bend };
    }
    const next = take(nearest.normal);
    const gain = dot(nearest.normal, next.at) - nearest.distance;
    const known = corners.some((c) => c.first === next.first && c.second === next.second);
    if (gain <= tiny || known || round >= 400) {
      if (out) return { ...out, bend: Math.max(0, bendAt(nearest)) };
      out = found(nearest);
      if (!sweep || round >= 400) return out;
      continue;
    }
    corners.push(next);
    const at = corners.length - 1;
    const seen = (f: Face): boolean => f.distance !== Infinity && dot(f.normal, next.at) > f.distance + tiny / 10;
    // The edges that bound what the new corner sees: each is passed once, the others there and back.
    const rim = new Map<number, readonly [number, number]>();
    const hidden: Face[] = [];
    for (const face of faces) {
      if (face !== nearest && !seen(face)) {
        hidden.push(face);
        continue;
      }
      const [i, j, k] = face.corners;
      for (const [from, to] of [
        [i, j],
        [j, k],
        [k, i],
      ] as const) {
        if (!rim.delete(to * most + from)) rim.set(from * most + to, [from, to]);
      }
    }
    faces = [...hidden, ...[...rim.values()].map(([from, to]) => faceOf(from, to, at))];
  }
}
