import { chanceOf } from './chance.ts';
import type { Judged } from './climb.ts';
import { pricesAt } from './prices.ts';
import type { Buy } from './prices.ts';
import type { Pose } from './pose.ts';
import type { FitProblem } from './problem.ts';
import { byPair, Scene } from './scene.ts';
import { findBest } from './search.ts';
import type { SearchWish } from './search.ts';
import { compare, settle } from './settle.ts';

/** Where the unit sits best, what holds it there, and what is to be had for a millimetre. */
export interface Position {
  pose: Pose;
  worstMm: number;
  /** The margin of each pair by its id, mm. */
  margins: Record<string, number>;
  binding: string[];
  buys: Buy[];
  /** That every pair keeps its least gap at this pose, 0 to 1. */
  chance: number;
  /** No pose of the range has a smallest margin above this, mm. */
  boundMm: number;
  complete: boolean;
}

/** What is said of one pose, whoever chose it. */
export function describePose(scene: Scene, { pose, margins, worst }: Judged): Omit<Position, 'boundMm' | 'complete'> {
  const { problem } = scene;
  const smallest = byPair(problem, margins);
  return {
    pose,
    worstMm: worst,
    margins: Object.fromEntries(
      problem.pairs.flatMap((pair, i) => (smallest[i] === undefined ? [] : [[pair.id, smallest[i]]])),
    ),
    ...pricesAt(scene, pose),
    chance: chanceOf(problem, margins),
  };
}

/** The pose whose smallest margin is largest, then the next smallest, and so on, over the whole range of a problem. */
export function bestPosition(problem: FitProblem, wish: SearchWish = {}): Position {
  const scene = new Scene(problem);
  const found = findBest(scene, wish);
  // Poses as good at their smallest margin are told apart by the next.
  const best = [found.best, ...found.equals]
    .map((at) => settle(scene, at))
    .reduce((a, b) => (compare(scene, b, a) < 0 ? b : a));
  return { ...describePose(scene, best), boundMm: Math.max(found.bound, best.worst), complete: found.complete };
}
