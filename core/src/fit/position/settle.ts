import { allTangents, climb, freeKeys, judgeAt, stepFrom } from './climb.ts';
import type { Held, Judged } from './climb.ts';
import { middleOf } from './pose.ts';
import { byPair } from './scene.ts';
import type { Margin, Meeting, Scene } from './scene.ts';

/** Two margins nearer than this are the same, mm. */
const same = 0.01;

/** Far enough for a step to leave a kink, near enough for its tangents to hold. */
const look = { mm: 2, deg: 0.2 };

/** The meetings that keep the smallest margin of the others from growing, at a pose from which it does not grow. */
function holding(scene: Scene, here: Judged, held: Held): Meeting[] {
  const tangents = allTangents(scene, judgeAt(scene, here.pose));
  const step = stepFrom(here, tangents, scene, look, held);
  const priced = step ? tangents.filter((_, i) => step.optimum.rowPrices[i]! > 1e-4) : [];
  return [...new Set(priced.map((t) => t.margin.meeting))].filter((m) => !held.has(m));
}

/**
 * From a pose whose smallest margin is largest to the one whose next smallest is too, and so on: what holds the smallest is kept as
 * it is, and the rest is raised.
 */
export function settle(scene: Scene, best: Judged): Judged {
  let here = best;
  const held = new Map<Meeting, number>();
  // No more rounds than a pose has parts, and one in which nothing moves.
  for (let round = 0; round < 6; round += 1) {
    const open = here.margins.filter((m) => !held.has(m.meeting));
    if (open.length === 0) break;
    const smallest = open.reduce((a, b) => (b.margin < a.margin ? b : a));
    const stops = holding(scene, here, held);
    for (const meeting of stops.length > 0 ? stops : [smallest.meeting]) held.set(meeting, smallest.margin);
    here = climb(scene, here, { held });
  }
  return centred(scene, here);
}

/** What no margin cares about stays in the middle of its range. */
function centred(scene: Scene, at: Judged): Judged {
  const middle = middleOf(scene.problem.range);
  return freeKeys(scene).reduce((here, key) => {
    const there = judgeAt(scene, { ...here.pose, [key]: middle[key] });
    return compare(scene, there, here) <= 0 ? there : here;
  }, at);
}

/** Margins from the smallest on; negative where the first pose is better at the first that differs. */
export function compare(scene: Scene, a: Judged, b: Judged): number {
  const sorted = (margins: readonly Margin[]): number[] =>
    byPair(scene.problem, margins)
      .filter((m): m is number => m !== undefined)
      .sort((p, q) => p - q);
  const one = sorted(a.margins);
  const two = sorted(b.margins);
  const first = one.findIndex((m, i) => Math.abs(m - two[i]!) > same);
  return first < 0 ? 0 : two[first]! - one[first]!;
}
