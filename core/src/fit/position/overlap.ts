import type { Vec } from '../../solid/index.ts';

export const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

type Flat = readonly [number, number];

const turns = (a: Flat, b: Flat, c: Flat): number => (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);

/** The corners of the hull of points in a plane, against the clock (monotone chain, Andrew 1979, from memory). */
function hullOf(points: readonly Flat[]): Flat[] {
  const sorted = [...points].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
  const half = (all: readonly Flat[]): Flat[] => {
    const chain: Flat[] = [];
    for (const p of all) {
      while (chain.length > 1 && turns(chain.at(-2)!, chain.at(-1)!, p) <= 1e-9) chain.pop();
      const last = chain.at(-1);
      if (!last || Math.hypot(last[0] - p[0], last[1] - p[1]) > 1e-9) chain.push(p);
    }
    return chain;
  };
  const lower = half(sorted);
  const upper = half(sorted.reverse());
  return lower.length < 2 ? lower : [...lower.slice(0, -1), ...upper.slice(0, -1)];
}

/** What of a polygon, a line or a point lies on the left of the way from a to b. */
function leftOf(points: readonly Flat[], a: Flat, b: Flat): Flat[] {
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const off = (p: Flat): number => turns(a, b, p) / length;
  return points.flatMap((p, i) => {
    const q = points[(i + 1) % points.length]!;
    const here = off(p);
    const there = off(q);
    const kept = here >= -1e-7 ? [p] : [];
    // A line of two points is passed there and back: what lies between is cut once only.
    if ((here > 1e-7 && there < -1e-7) || (here < -1e-7 && there > 1e-7)) {
      const s = here / (here - there);
      kept.push([p[0] + (q[0] - p[0]) * s, p[1] + (q[1] - p[1]) * s]);
    }
    return kept;
  });
}

/**
 * What two faces (or edges) that lie across one direction share, seen along it: its corners, at the height of the first. Nothing
 * where they share nothing, or only cross.
 */
export function flatOverlap(first: readonly Vec[], second: readonly Vec[], normal: Vec): Vec[] {
  const least = [0, 1, 2].reduce((a, b) => (Math.abs(normal[b]!) < Math.abs(normal[a]!) ? b : a));
  const side: Vec = [least === 0 ? 1 : 0, least === 1 ? 1 : 0, least === 2 ? 1 : 0];
  const across = (a: Vec, b: Vec): Vec => [
    a[1] * b[2] - a[2] * b[1],
    a[2] * b[0] - a[0] * b[2],
    a[0] * b[1] - a[1] * b[0],
  ];
  const p = across(normal, side);
  const length = Math.hypot(...p);
  const u: Vec = [p[0] / length, p[1] / length, p[2] / length];
  const v = across(normal, u);
  const flat = (points: readonly Vec[]): Flat[] => hullOf(points.map((at): Flat => [dot(u, at), dot(v, at)]));
  const one = flat(first);
  const two = flat(second);
  if (one.length < 2 || two.length < 2) return [];
  const height = dot(normal, first[0]!);
  const cut = (points: Flat[], by: readonly Flat[]): Flat[] =>
    by.reduce((left, a, i) => (left.length === 0 ? left : leftOf(left, a, by[(i + 1) % by.length]!)), points);
  // Two edges: cut by one another's lines they only share something where they lie along one another.
  const shared = two.length > 2 ? cut(one, two) : one.length > 2 ? cut(two, one) : alongBoth(one, two);
  return hullOf(shared).map(([a, b]): Vec => [
    u[0] * a + v[0] * b + normal[0] * height,
    u[1] * a + v[1] * b + normal[1] * height,
    u[2] * a + v[2] * b + normal[2] * height,
  ]);
}

/** The two ends of what two lines share; nothing where they cross. */
function alongBoth([a, b]: readonly Flat[], [c, d]: readonly Flat[]): Flat[] {
  if (!a || !b || !c || !d) return [];
  const length = Math.hypot(b[0] - a[0], b[1] - a[1]);
  const off = Math.abs(turns(a, b, d) - turns(a, b, c)) / length;
  if (off > 1e-6 * Math.hypot(d[0] - c[0], d[1] - c[1])) return [];
  const far = (q: Flat): number => ((q[0] - a[0]) * (b[0] - a[0]) + (q[1] - a[1]) * (b[1] - a[1])) / length;
  const from = Math.max(0, Math.min(far(c), far(d)));
  const to = Math.min(length, Math.max(far(c), far(d)));
  if (to <= from) return [];
  return [from, to].map((s): Flat => [a[0] + ((b[0] - a[0]) * s) / length, a[1] + ((b[1] - a[1]) * s) / length]);
}
