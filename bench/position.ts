import { bestPosition, judgeAt, middleOf, Scene } from '@bay/core/fit';
import type { FitProblem, Pose, PoseRange } from '@bay/core/fit';
import { boxPoints } from '@bay/core/solid';
import { seeded } from '../core/src/fit/position/testing.ts';
import { quantile, report } from './measure.ts';

const range: PoseRange = { x: [-80, 80], y: [-25, 25], z: [-60, 60], slopeDeg: [0, 5], yawDeg: [-1, 1] };

/** An engine of boxes in a bay of boxes on its six sides: half as many shapes on it as clearances, as many in the bay. */
function bay(seed: number, clearances: number): FitProblem {
  const random = seeded(seed);
  const from = (low: number, high: number): number => low + (high - low) * random();
  const shape = (id: string, at: readonly number[], half: readonly number[], r: number) => ({
    id,
    points: boxPoints({
      x: [at[0]! - half[0]!, at[0]! + half[0]!],
      y: [at[1]! - half[1]!, at[1]! + half[1]!],
      z: [at[2]! - half[2]!, at[2]! + half[2]!],
    }),
    r,
    sigma: 2,
  });
  const units = Math.max(2, Math.round(clearances / 2));
  const unit = Array.from({ length: units }, (_, i) =>
    shape(
      `u${i}`,
      [from(-300, 500), from(-150, 150), from(-150, 350)],
      [from(30, 150), from(30, 120), from(30, 120)],
      from(0, 20),
    ),
  );
  const around = Array.from({ length: clearances }, (_, i) => {
    const at = [from(-300, 600), from(-300, 300), from(-200, 400)];
    const way = i % 6;
    if (way === 0) at[2] = from(520, 640);
    if (way === 1) at[2] = from(-410, -330);
    if (way === 2) at[1] = from(300, 520);
    if (way === 3) at[1] = -from(300, 520);
    if (way === 4) at[0] = from(750, 830);
    if (way === 5) at[0] = -from(520, 600);
    return shape(`b${i}`, at, [from(20, 120), from(20, 120), from(10, 40)], from(0, 15));
  });
  const pairs = around.map((b, i) => ({
    id: `p${i}`,
    unit: [unit[Math.floor(random() * units)]!.id],
    bay: [b.id],
    needMm: from(5, 25),
  }));
  return { unit, bay: around, pairs, range };
}

/** The best position with 10, 40 and 120 clearances: how long it takes, beside a grid on which no pose is farther than the same accuracy. */
export function position(): void {
  for (const clearances of [10, 40, 120]) {
    const problems = Array.from({ length: 9 }, (_, i) => bay(i + 1, clearances));
    const accuracy = 0.5;
    const taken = problems.map((problem) => {
      const start = performance.now();
      const found = bestPosition(problem, { work: 1e6, within: accuracy });
      if (!found.complete) throw new Error(`${clearances} clearances: the search ran out of work`);
      return performance.now() - start;
    });
    const scene = new Scene(problems[0]!);
    const poses: Pose[] = Array.from({ length: 400 }, (_, i) => ({ ...middleOf(range), x: -80 + i * 0.4 }));
    const start = performance.now();
    for (const pose of poses) judgeAt(scene, pose);
    const onePose = (performance.now() - start) / poses.length;
    // Half a millimetre in each of three ways, and as far as that is at half a metre in two turns.
    const steps = [160, 50, 120, 5 * 8.7, 2 * 8.7].map((length) => Math.ceil(length / accuracy) + 1);
    const grid = steps.reduce((all, n) => all * n, 1) * onePose;
    report({
      name: `best position, ${clearances} clearances, median of ${problems.length} problems`,
      value: quantile(taken, 0.5),
      unit: 'ms',
      beside: grid,
      limit: 0.001,
    });
    report({
      name: `the same in ms, the slowest of ${problems.length}`,
      value: Math.max(...taken),
      unit: 'ms',
    });
    report({
      name: `one pose judged, ${clearances} clearances`,
      value: onePose,
      unit: 'ms',
      ...(clearances <= 40 ? { limit: 1 } : {}),
    });
  }
}
