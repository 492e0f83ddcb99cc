import { maximise } from './linear.ts';
import type { Optimum } from './linear.ts';
import { moved, poseKeys } from './pose.ts';
import type { Pose, PoseKey } from './pose.ts';
import { worstOf } from './scene.ts';
import type { Margin, Meeting, Scene } from './scene.ts';
import { tangentsOf } from './tangents.ts';
import type { Tangent } from './tangents.ts';

/** A pose with its margins. */
export interface Judged {
  pose: Pose;
  margins: readonly Margin[];
  worst: number;
}

export function judgeAt(
  scene: Scene,
  pose: Pose,
  meetings?: readonly Meeting[],
  sweep?: (m: Meeting) => number,
): Judged {
  const margins = scene.at(pose, meetings, sweep);
  return { pose, margins, worst: worstOf(margins) };
}

/** Parts of the pose that may move at all. */
export const freeKeys = (scene: Scene): PoseKey[] =>
  poseKeys.filter((key) => scene.problem.range[key][1] > scene.problem.range[key][0]);

/** How far one step may go: mm along and degrees round. */
interface Trust {
  mm: number;
  deg: number;
}

const isTurn = (key: PoseKey): boolean => key.endsWith('Deg');

/** Least margins that were reached before and stay, by meeting; the others are raised together. */
export type Held = ReadonlyMap<Margin['meeting'], number>;

const nothingHeld: Held = new Map();

/** What a held margin may lose to rounding, mm. */
const slip = 2e-3;

/** The smallest margin of those that are not held; far below everything where one that is held is not kept. */
function valueOf({ margins }: Judged, held: Held): number {
  let least = Infinity;
  for (const { meeting, margin } of margins) {
    const kept = held.get(meeting);
    if (kept === undefined) least = Math.min(least, margin);
    else if (margin < kept - slip) return -Infinity;
  }
  return least;
}

/** What no room is ever as large as, mm: keeps the programme finite where nothing is in the way. */
const boundless = 1e5;

/** The step from a pose that raises the smallest tangent most, within a trust. */
export function stepFrom(
  { pose }: Judged,
  tangents: readonly Tangent[],
  scene: Scene,
  trust: Trust,
  held: Held = nothingHeld,
): { by: Partial<Record<PoseKey, number>>; optimum: Optimum; keys: readonly PoseKey[]; promised: number } | undefined {
  const { range } = scene.problem;
  const keys = freeKeys(scene);
  const reach = (key: PoseKey): number => (isTurn(key) ? trust.deg : trust.mm);
  const rows = tangents.map(({ value, drift, margin }) => {
    const kept = held.get(margin.meeting);
    return {
      of: [...keys.map((key) => -drift[poseKeys.indexOf(key)]!), kept === undefined ? 1 : 0],
      most: kept === undefined ? value : value - kept,
    };
  });
  const optimum = maximise({
    worth: [...keys.map(() => 0), 1],
    rows,
    low: [...keys.map((key) => Math.max(range[key][0] - pose[key], -reach(key))), -boundless],
    high: [...keys.map((key) => Math.min(range[key][1] - pose[key], reach(key))), boundless],
  });
  if (!optimum) return undefined;
  const by = Object.fromEntries(keys.map((key, j) => [key, optimum.x[j]!])) as Partial<Record<PoseKey, number>>;
  return { by, optimum, keys, promised: optimum.x.at(-1)! };
}

export const allTangents = (scene: Scene, { pose, margins }: Judged): Tangent[] =>
  margins.flatMap((m) => tangentsOf(scene, pose, m));

/** Two looks from one side: the tangents of the one say something where the other stands. */
const sameSide = (a: Margin, b: Margin): boolean =>
  a.normal[0] * b.normal[0] + a.normal[1] * b.normal[1] + a.normal[2] * b.normal[2] > 0.9995;

/**
 * Climbs from a pose to one from which no small move raises the smallest margin: a linear programme on the tangents at each step,
 * with a trust that shrinks where a step did not bring what it promised. Margins of a shift are never less than their tangents (the
 * gap to a convex solid is a convex function of it), so that only turns need the trust.
 */
export function climb(scene: Scene, start: Judged, { steps = 40, gain = 1e-4, held = nothingHeld } = {}): Judged {
  let here = start;
  let value = valueOf(here, held);
  let trust: Trust = { mm: 400, deg: 4 };
  let tangents = allTangents(scene, here);
  // Tangents from the step before: at a kink the next corner would else be forgotten again and again.
  let remembered: { from: Judged; tangents: readonly Tangent[] } | undefined;
  for (let n = 0; n < steps; n += 1) {
    const old = remembered === undefined ? [] : carried(remembered, here);
    const step = stepFrom(here, [...tangents, ...old], scene, trust, held);
    if (!step || step.promised - value < gain) {
      if (old.length === 0) return here;
      remembered = undefined;
      continue;
    }
    const next = judgeAt(scene, moved(here.pose, step.by, scene.problem.range));
    const got = valueOf(next, held) - value;
    const promised = step.promised - value;
    if (got > 0.05 * promised) {
      remembered = { from: here, tangents };
      here = next;
      value += got;
      tangents = allTangents(scene, here);
      if (got < 0.5 * promised) trust = { mm: trust.mm / 2, deg: trust.deg / 2 };
    } else {
      remembered = { from: next, tangents: allTangents(scene, next) };
      trust = shrunk(trust, step.by);
      if (trust.mm < 1e-4 && trust.deg < 1e-6) return here;
    }
  }
  return here;
}

/** A trust a third of the step that failed, or of what it was. */
function shrunk(trust: Trust, by: Readonly<Partial<Record<PoseKey, number>>>): Trust {
  const went = (turn: boolean): number =>
    Math.max(0, ...poseKeys.filter((key) => isTurn(key) === turn).map((key) => Math.abs(by[key] ?? 0)));
  return {
    mm: Math.min(trust.mm, Math.max(went(false), 1e-5)) / 3,
    deg: Math.min(trust.deg, Math.max(went(true), 1e-7)) / 3,
  };
}

/** Tangents of another pose as they say it at this one, where both look from the same side. */
function carried({ from, tangents }: { from: Judged; tangents: readonly Tangent[] }, to: Judged): Tangent[] {
  const away = poseKeys.map((key) => to.pose[key] - from.pose[key]);
  const now = new Map(to.margins.map((m) => [m.meeting, m]));
  return tangents.flatMap((tangent) => {
    const here = now.get(tangent.margin.meeting)!;
    if (!sameSide(here, tangent.margin)) return [];
    const value = tangent.value + tangent.drift.reduce((sum, d, k) => sum + d * away[k]!, 0);
    // Below what is there it would deny what was measured: a turn bent it.
    return [{ margin: here, value: Math.max(value, here.margin), drift: tangent.drift }];
  });
}
