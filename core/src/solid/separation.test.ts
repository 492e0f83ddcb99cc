import { beforeAll, describe, expect, it } from 'vitest';
import fc from 'fast-check';
import RAPIER from '@dimforge/rapier3d-compat';
import { boxPoints, cloudOf, gapBetween, separate } from './index.ts';
import type { Solid, Vec } from './index.ts';

const ball = (at: Vec, r: number): Solid => ({ points: [at], r });
const bar = (from: Vec, to: Vec, r: number): Solid => ({ points: [from, to], r });
const box = (x: [number, number], y: [number, number], z: [number, number], r = 0): Solid => ({
  points: boxPoints({ x, y, z }),
  r,
});

const dot = (a: Vec, b: Vec): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const shifted = (solid: Solid, by: Vec, times = 1): Solid => ({
  ...solid,
  points: solid.points.map((p): Vec => [
    p[0] + by[0] * times,
    p[1] + by[1] * times,
    p[2] + by[2] * times,
  ]),
});

/** Turned about an axis of length one (Rodrigues). */
function turned(solid: Solid, axis: Vec, angle: number): Solid {
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  return {
    ...solid,
    points: solid.points.map((p): Vec => {
      const along = dot(axis, p) * (1 - c);
      return [
        p[0] * c + (axis[1] * p[2] - axis[2] * p[1]) * s + axis[0] * along,
        p[1] * c + (axis[2] * p[0] - axis[0] * p[2]) * s + axis[1] * along,
        p[2] * c + (axis[0] * p[1] - axis[1] * p[0]) * s + axis[2] * along,
      ];
    }),
  };
}

/** To a thousandth of a millimetre, which is finer than anybody measures. */
const coordinate = fc.integer({ min: -400_000, max: 400_000 }).map((v) => v / 1000);
const place: fc.Arbitrary<Vec> = fc.tuple(coordinate, coordinate, coordinate);
const axis = place
  .filter((v) => Math.hypot(...v) > 1)
  .map((v): Vec => {
    const length = Math.hypot(...v);
    return [v[0] / length, v[1] / length, v[2] / length];
  });
const size = fc.integer({ min: 5000, max: 300_000 }).map((v) => v / 1000);
const turn = fc.double({ min: -3, max: 3, noNaN: true });
const anyBox = fc
  .tuple(size, size, size, axis, turn, place, fc.constantFrom(1, 0.3))
  .map(([x, y, z, about, angle, at, near]) =>
    shifted(turned(box([-x / 2, x / 2], [-y / 2, y / 2], [-z / 2, z / 2]), about, angle), at, near),
  );
const hull = fc
  .tuple(fc.array(place, { minLength: 1, maxLength: 14 }), place)
  .map(([points, at]): Solid => ({
    points: points.map((p): Vec => [p[0] / 2 + at[0], p[1] / 2 + at[1], p[2] / 2 + at[2]]),
    r: 0,
  }));

describe('gaps with a closed form (Euclidean geometry)', () => {
  it('of balls, bars and boxes', () => {
    expect(gapBetween(ball([0, 0, 0], 30), ball([300, 400, 0], 50)).gap).toBeCloseTo(500 - 80, 9);
    expect(gapBetween(ball([0, 0, 0], 30), ball([0, 40, 0], 50)).gap).toBeCloseTo(-40, 9);
    // Two bars that cross at right angles, 100 mm over one another.
    expect(
      gapBetween(bar([-500, 0, 0], [500, 0, 0], 20), bar([0, -500, 100], [0, 500, 100], 30)).gap,
    ).toBeCloseTo(50, 9);
    // End to end, and beside one another with the same axis.
    expect(
      gapBetween(bar([0, 0, 0], [100, 0, 0], 10), bar([130, 40, 0], [230, 40, 0], 10)).gap,
    ).toBeCloseTo(30, 9);
    expect(
      gapBetween(bar([0, 0, 0], [100, 0, 0], 10), bar([0, 0, 60], [100, 0, 60], 15)).gap,
    ).toBeCloseTo(35, 9);
    // Corner to corner of two boxes: the diagonal of 30, 40, 120 is 130.
    expect(
      gapBetween(box([0, 10], [0, 10], [0, 10]), box([40, 60], [50, 70], [130, 200])).gap,
    ).toBeCloseTo(130, 9);
    // Face to face.
    expect(
      gapBetween(box([0, 100], [0, 100], [0, 100]), box([20, 80], [20, 80], [112, 150])).gap,
    ).toBeCloseTo(12, 9);
  });

  it('of edges that pass at an angle: the distance of two lines', () => {
    const first = bar([0, 0, 0], [100, 100, 0], 0);
    const second = bar([0, 100, 70], [100, 0, 70], 0);
    const { gap, normal, onFirst, onSecond } = gapBetween(first, second);
    expect(gap).toBeCloseTo(70, 9);
    expect(normal[2]).toBeCloseTo(-1, 9);
    expect(onFirst).toEqual([50, 50, 0].map((v): unknown => expect.closeTo(v, 6)));
    expect(onSecond).toEqual([50, 50, 70].map((v): unknown => expect.closeTo(v, 6)));
  });

  it('of boxes that overlap: the least of the six ways out', () => {
    const inside = gapBetween(
      box([0, 100], [0, 100], [0, 100]),
      box([60, 300], [-50, 200], [-20, 90], 0),
    );
    expect(inside.gap).toBeCloseTo(-40, 9);
    expect(inside.normal[0]).toBeCloseTo(-1, 9);
    const within = gapBetween(
      box([0, 100], [0, 100], [0, 100]),
      box([40, 60], [40, 60], [20, 50], 5),
    );
    expect(within.gap).toBeCloseTo(-55, 9);
    expect(within.normal[2]).toBeCloseTo(1, 9);
  });

  it('of what is flat, a line or a point', () => {
    const sheet = box([0, 100], [0, 100], [50, 50]);
    expect(gapBetween(sheet, box([0, 100], [0, 100], [80, 80])).gap).toBeCloseTo(30, 9);
    // One sheet cuts through another: the way out is to the nearest edge.
    expect(gapBetween(sheet, box([20, 20], [-10, 300], [0, 57])).gap).toBeCloseTo(-7, 6);
    // In one plane they part by nothing.
    expect(gapBetween(sheet, box([20, 60], [20, 60], [50, 50])).gap).toBeCloseTo(0, 9);
    expect(gapBetween(ball([50, 50, 50], 0), box([0, 100], [0, 100], [0, 70])).gap).toBeCloseTo(
      -20,
      9,
    );
    expect(gapBetween(ball([50, 50, 50], 0), ball([50, 50, 50], 0)).gap).toBe(0);
    expect(
      gapBetween(bar([0, 0, 0], [100, 0, 0], 4), bar([50, 0, 0], [300, 0, 0], 3)).gap,
    ).toBeCloseTo(-7, 9);
    // Points twice, and in any order, are the same solid.
    const twice = { ...sheet, points: [...sheet.points, ...sheet.points] };
    expect(gapBetween(twice, ball([50, 50, 99], 0)).gap).toBeCloseTo(49, 9);
  });
});

describe('any two hulls', () => {
  it('have a gap that no direction denies and that the normal proves', () => {
    fc.assert(
      fc.property(
        fc.oneof(hull, anyBox),
        fc.oneof(hull, anyBox),
        fc.array(axis, { maxLength: 20 }),
        (a, b, others) => {
          const { gap, normal, onFirst, onSecond } = separate(cloudOf(a.points), cloudOf(b.points));
          // Along any direction the two lie at most that far apart (the gap is the largest of all such), along the normal just so far.
          const apart = (n: Vec): number =>
            Math.min(...a.points.map((p) => dot(n, p))) -
            Math.max(...b.points.map((p) => dot(n, p)));
          expect(apart(normal)).toBeCloseTo(gap, 5);
          for (const n of others) expect(apart(n)).toBeLessThanOrEqual(gap + 1e-5);
          if (gap > 0)
            expect(
              Math.hypot(
                onFirst[0] - onSecond[0],
                onFirst[1] - onSecond[1],
                onFirst[2] - onSecond[2],
              ),
            ).toBeCloseTo(gap, 5);
          // The other way round, and begun from anywhere: the same.
          expect(separate(cloudOf(b.points), cloudOf(a.points)).gap).toBeCloseTo(gap, 5);
          if (others[0])
            expect(separate(cloudOf(a.points), cloudOf(b.points), others[0]).gap).toBeCloseTo(
              gap,
              5,
            );
          // What overlaps touches once it is shifted by the gap, along the normal.
          if (gap < 0) expect(gapBetween(shifted(a, normal, -gap), b).gap).toBeCloseTo(0, 4);
        },
      ),
      { numRuns: 500, seed: 11, endOnFailure: true },
    );
  });

  it('of boxes: no less than the fifteen directions of faces and edges allow (separating axes, Gottschalk 1996, from memory)', () => {
    fc.assert(
      fc.property(anyBox, anyBox, (a, b) => {
        const edges = ({ points: p }: Solid): Vec[] =>
          [p[4]!, p[2]!, p[1]!].map((q): Vec => [
            q[0] - p[0]![0],
            q[1] - p[0]![1],
            q[2] - p[0]![2],
          ]);
        const cross = (u: Vec, v: Vec): Vec => [
          u[1] * v[2] - u[2] * v[1],
          u[2] * v[0] - u[0] * v[2],
          u[0] * v[1] - u[1] * v[0],
        ];
        const directions = [
          ...edges(a),
          ...edges(b),
          ...edges(a).flatMap((u) => edges(b).map((v) => cross(u, v))),
        ].filter((d) => Math.hypot(...d) > 1e-3);
        const best = Math.max(
          ...directions.flatMap((d) =>
            [1, -1].map((sign) => {
              const n = d.map((c) => (c * sign) / Math.hypot(...d)) as unknown as Vec;
              return (
                Math.min(...a.points.map((p) => dot(n, p))) -
                Math.max(...b.points.map((p) => dot(n, p)))
              );
            }),
          ),
        );
        const { gap } = gapBetween(a, b);
        // Where they overlap, the fifteen are all there are; where they do not, a corner may lie farther off than any face says.
        if (best < 0) expect(gap).toBeCloseTo(best, 5);
        else expect(gap).toBeGreaterThanOrEqual(best - 1e-5);
      }),
      { numRuns: 500, seed: 12, endOnFailure: true },
    );
  });
});

describe('against an independent library of geometry (rapier3d, single precision)', () => {
  beforeAll(() => RAPIER.init());

  it('agrees on hulls that stand apart and that overlap', () => {
    let apart = 0;
    let overlapping = 0;
    fc.assert(
      fc.property(anyBox, anyBox, (a, b) => {
        // In metres, where its tolerances are made for.
        const of = ({ points }: Solid) =>
          new RAPIER.ConvexPolyhedron(
            Float32Array.from(points.flatMap((p) => p.map((v) => v / 1000))),
            null,
          );
        const still = { x: 0, y: 0, z: 0 };
        const straight = { x: 0, y: 0, z: 0, w: 1 };
        const found = of(a).contactShape(still, straight, of(b), still, straight, 10);
        const { gap } = gapBetween(a, b);
        expect(found).not.toBeNull();
        // Its own stop is at about a thousandth of the distance.
        expect(Math.abs(found!.distance * 1000 - gap)).toBeLessThan(Math.max(0.2, gap / 500));
        if (gap > 0) apart += 1;
        else overlapping += 1;
      }),
      // Without the boxes in one place and of one size, on which the other library gives up.
      { numRuns: 400, seed: 13, endOnFailure: true, unbiased: true },
    );
    expect(apart).toBeGreaterThan(100);
    expect(overlapping).toBeGreaterThan(50);
  });
});
