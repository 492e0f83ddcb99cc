import { driftOf, poseKeys } from './pose.ts';
import type { Pose, PoseKey } from './pose.ts';
import type { Margin, Scene } from './scene.ts';

/** A gap that somebody read in the car, mm, at the narrowest place of a pair. */
export interface GapReading {
  pair: string;
  gapMm: number;
}

export interface Adjusted {
  /** Where the unit sits by the readings. */
  pose: Pose;
  /** By how much that is off what was drawn: mm along, to the left, up; degrees of slope and yaw. */
  by: Pose;
  /** Each reading beside what the drawing says, before and after. */
  readings: { pair: string; readMm: number; drawnMm: number; leftMm: number }[];
}

/** How sure a reading is, and how far a unit may sit off what was planned, one standard deviation each (common practice, no source). */
const sure = { readingMm: 2, mm: 10, deg: 1 };

/** Solves a small symmetric set of equations by elimination with pivots. */
function solve(a: number[][], b: number[]): number[] {
  const n = b.length;
  const m = a.map((row, i) => [...row, b[i]!]);
  for (let col = 0; col < n; col += 1) {
    const pivot = m.reduce(
      (best, row, i) => (i >= col && Math.abs(row[col]!) > Math.abs(m[best]![col]!) ? i : best),
      col,
    );
    [m[col], m[pivot]] = [m[pivot]!, m[col]!];
    for (let i = col + 1; i < n; i += 1) {
      const by = m[i]![col]! / m[col]![col]!;
      for (let j = col; j <= n; j += 1) m[i]![j]! -= by * m[col]![j]!;
    }
  }
  const x = b.map(() => 0);
  for (let i = n - 1; i >= 0; i -= 1) {
    const known = x.reduce((sum, v, j) => (j > i ? sum + m[i]![j]! * v : sum), 0);
    x[i] = (m[i]![n]! - known) / m[i]![i]!;
  }
  return x;
}

/** The narrowest meeting of each pair by its id. */
function narrowest(scene: Scene, margins: readonly Margin[]): Map<string, Margin> {
  const found = new Map<string, Margin>();
  for (const m of margins) {
    const { id } = scene.problem.pairs[m.meeting.pair]!;
    const known = found.get(id);
    if (!known || m.gap < known.gap) found.set(id, m);
  }
  return found;
}

/**
 * Where a unit sits by gaps that were read: least squares on the pose, each reading as sure as a tape and the pose as sure as a plan
 * (Gauss and Newton), so that a few readings move only what they speak of. What is left of a reading afterwards no pose explains: a
 * shape is other than it was typed. Readings of pairs that the scene does not have are left out.
 */
export function adjustTo(scene: Scene, from: Pose, readings: readonly GapReading[]): Adjusted {
  const sigma = (key: PoseKey): number => (key.endsWith('Deg') ? sure.deg : sure.mm);
  const known = readings.filter((r) => scene.problem.pairs.some((p) => p.id === r.pair));
  const drawn = narrowest(scene, scene.at(from));
  let pose = from;
  for (let round = 0; round < 12; round += 1) {
    const now = narrowest(scene, scene.at(pose));
    const a = poseKeys.map((key, i) => poseKeys.map((_, j) => (i === j ? 1 / sigma(key) ** 2 : 0)));
    const b = poseKeys.map((key) => (from[key] - pose[key]) / sigma(key) ** 2);
    for (const { pair, gapMm } of known) {
      const m = now.get(pair);
      if (!m) continue;
      const drift = driftOf(m.onFirst, pose, m.normal);
      const weight = 1 / sure.readingMm ** 2;
      drift.forEach((di, i) => {
        b[i]! += weight * di * (gapMm - m.gap);
        drift.forEach((dj, j) => {
          a[i]![j]! += weight * di * dj;
        });
      });
    }
    const step = solve(a, b);
    pose = Object.fromEntries(poseKeys.map((key, i) => [key, pose[key] + step[i]!])) as unknown as Pose;
    if (step.every((s) => Math.abs(s) < 1e-4)) break;
  }
  const after = narrowest(scene, scene.at(pose));
  return {
    pose,
    by: Object.fromEntries(poseKeys.map((key) => [key, pose[key] - from[key]])) as unknown as Pose,
    readings: known.flatMap(({ pair, gapMm }) => {
      const before = drawn.get(pair);
      const now = after.get(pair);
      return before && now ? [{ pair, readMm: gapMm, drawnMm: before.gap, leftMm: gapMm - now.gap }] : [];
    }),
  };
}
