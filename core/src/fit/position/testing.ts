import { boxPoints } from '../../solid/index.ts';
import type { Span, Vec } from '../../solid/index.ts';
import type { FitProblem, Placed } from './problem.ts';
import type { PoseRange } from './pose.ts';

/** Random numbers from 0 to 1 that come the same for the same seed (mulberry32). */
export function seeded(seed: number): () => number {
  let s = seed >>> 0;
  return () => {
    s = (s + 0x6d2b79f5) | 0;
    let t = Math.imul(s ^ (s >>> 15), 1 | s);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

export const still: PoseRange = { x: [0, 0], y: [0, 0], z: [0, 0], slopeDeg: [0, 0], yawDeg: [0, 0] };

export const boxShape = (id: string, span: Span, r = 0, sigma = 2): Placed => ({
  id,
  points: boxPoints(span),
  r,
  sigma,
});

/** A problem with shapes of all kinds thrown about, some in the way of others: what nobody would draw, and everybody may type. */
export function anyProblem(seed: number, range?: Partial<PoseRange>): FitProblem {
  const random = seeded(seed * 7919 + 13);
  const from = (low: number, high: number): number => low + (high - low) * random();
  const shape = (id: string, at: Vec, half: Vec): Placed => {
    const within = (count: number): Vec[] =>
      Array.from({ length: count }, (): Vec => [
        at[0] + from(-half[0], half[0]),
        at[1] + from(-half[1], half[1]),
        at[2] + from(-half[2], half[2]),
      ]);
    const span = (flat: boolean): Span => ({
      x: [at[0] - half[0], at[0] + half[0]],
      y: [at[1] - half[1], at[1] + half[1]],
      z: flat ? [at[2], at[2]] : [at[2] - half[2], at[2] + half[2]],
    });
    const kind = Math.floor(random() * 5);
    if (kind === 0) return { id, points: boxPoints(span(false)), r: from(0, 10), sigma: 2 };
    if (kind === 1) return { id, points: within(2), r: from(10, 40), sigma: 2 };
    if (kind === 2) return { id, points: within(1), r: from(10, 60), sigma: 2 };
    if (kind === 3) return { id, points: boxPoints(span(true)), r: 0, sigma: 2 };
    return { id, points: within(3 + Math.floor(random() * 10)), r: from(0, 10), sigma: 2 };
  };
  const units = 2 + Math.floor(random() * 4);
  const bays = 3 + Math.floor(random() * 6);
  const unit = Array.from({ length: units }, (_, i) =>
    shape(`u${i}`, [from(-250, 250), from(-150, 150), from(-150, 250)], [from(30, 120), from(30, 120), from(30, 120)]),
  );
  const bay = Array.from({ length: bays }, (_, i) =>
    shape(`b${i}`, [from(-400, 400), from(-300, 300), from(-300, 400)], [from(20, 150), from(20, 150), from(10, 80)]),
  );
  const pairs = Array.from({ length: bays + 2 }, (_, i) => ({
    id: `p${i}`,
    unit: [unit[Math.floor(random() * units)]!.id],
    bay: [bay[i % bays]!.id],
    needMm: from(0, 25),
  }));
  return {
    unit,
    bay,
    pairs,
    range: {
      x: [-from(10, 150), from(10, 150)],
      y: [-from(5, 40), from(5, 40)],
      z: [-from(10, 100), from(10, 100)],
      slopeDeg: [-1, 5],
      yawDeg: [-2, 2],
      ...range,
    },
  };
}
