import { climb, freeKeys, judgeAt } from './climb.ts';
import type { Judged } from './climb.ts';
import { maximise } from './linear.ts';
import { driftOf, middleOf, moved, poseKeys, radians } from './pose.ts';
import type { Pose, PoseKey } from './pose.ts';
import type { FitProblem } from './problem.ts';
import { Scene } from './scene.ts';
import type { Margin, Meeting } from './scene.ts';

/** A part of the range, with what no pose in it can pass. */
interface Cell {
  at: Judged;
  half: Readonly<Record<PoseKey, number>>;
  bound: number;
}

export interface SearchWish {
  /** How near to the best of all the answer is to come, mm. */
  within?: number;
  /** How much is judged at the most, counted in meetings; what was found until then is given. */
  work?: number;
  /** Poses to begin with besides the middle of the range. */
  starts?: readonly Pose[];
  /** Any pose whose smallest margin reaches this is good enough, mm. */
  enough?: number;
  /** Told now and then how far it is, 0 to 1. */
  progress?: (share: number) => void;
}

/** What is enough by less than this may be missed where only a search without end would find it, mm. */
const hair = 0.05;

export interface Found {
  best: Judged;
  /** Poses elsewhere that are as good. */
  equals: readonly Judged[];
  /** No pose of the range has a smallest margin above this, mm. */
  bound: number;
  /** Pairs whose bounds ruled out what was ruled out: as long as none of them changes, nothing better is found. */
  ruledOutBy: ReadonlySet<number>;
  /** Everything was looked at; otherwise the work ran out first. */
  complete: boolean;
}

/** How far a meeting's shapes may move to one another in a cell, mm. */
function sweepOf(half: Cell['half'], reach: number): { shift: number; turn: number } {
  return {
    shift: Math.hypot(half.x, half.y, half.z),
    turn: reach * (half.slopeDeg + half.yawDeg) * radians,
  };
}

/** How far a margin may rise above its tangent within a cell, mm: by another way of parting, and because a turn bends the path of a place. */
function bendOf({ meeting: { reach }, bend = Infinity }: Margin, shift: number, turn: number): number {
  if (reach === 0) return bend;
  return bend + (turn / reach) * (shift + turn) + turn ** 2 / (2 * reach);
}

/**
 * What the smallest margin cannot pass anywhere in a cell, and the pairs that say so: no gap grows faster than its shapes move (so
 * each caps it), and none rises above its tangent by more than its bend.
 */
function boundOf(
  scene: Scene,
  { margins, pose }: Judged,
  half: Cell['half'],
  goal: number,
): { bound: number; by: number[] } {
  const keys = freeKeys(scene);
  let cap = Infinity;
  let capBy = -1;
  const rows: { of: number[]; most: number; pair: number }[] = [];
  for (const m of margins) {
    const { shift, turn } = sweepOf(half, m.meeting.reach);
    const all = shift + turn;
    if (m.margin + all < cap) {
      cap = m.margin + all;
      capBy = m.meeting.pair;
    }
    // What is far off bounds nothing.
    if (m.margin - all >= cap) continue;
    const bend = bendOf(m, shift, turn);
    if (bend >= all) continue;
    const drift = driftOf(m.onFirst, pose, m.normal);
    const of = [...keys.map((key) => -drift[poseKeys.indexOf(key)]!), 1];
    rows.push({ of, most: m.margin + bend, pair: m.meeting.pair });
  }
  if (cap <= goal || rows.length === 0) return { bound: cap, by: [capBy] };
  const optimum = maximise({
    worth: [...keys.map(() => 0), 1],
    rows,
    low: [...keys.map((key) => -half[key]), -1e6],
    high: [...keys.map((key) => half[key]), cap],
  });
  if (!optimum) return { bound: cap, by: [capBy] };
  const by = rows.flatMap((row, i) => (optimum.rowPrices[i]! > 0 ? [row.pair] : []));
  if (optimum.highPrices.at(-1)! > 0) by.push(capBy);
  return { bound: Math.min(cap, optimum.x.at(-1)!), by };
}

/** How far the shapes of a meeting move to one another in a cell, mm. */
const movesIn =
  (half: Cell['half']) =>
  ({ reach }: Meeting): number => {
    const { shift, turn } = sweepOf(half, reach);
    return shift + turn;
  };

/** A heap with the highest bound on top. */
class Cells {
  private readonly all: Cell[] = [];

  get size(): number {
    return this.all.length;
  }

  get highest(): number {
    return this.all[0]?.bound ?? -Infinity;
  }

  push(cell: Cell): void {
    const { all } = this;
    let k = all.push(cell) - 1;
    while (k > 0) {
      const up = (k - 1) >> 1;
      if (all[up]!.bound >= cell.bound) break;
      all[k] = all[up]!;
      k = up;
    }
    all[k] = cell;
  }

  pop(): Cell {
    const { all } = this;
    const top = all[0]!;
    const last = all.pop()!;
    if (all.length === 0) return top;
    let k = 0;
    for (;;) {
      let down = 2 * k + 1;
      if (down >= all.length) break;
      if (down + 1 < all.length && all[down + 1]!.bound > all[down]!.bound) down += 1;
      if (all[down]!.bound <= last.bound) break;
      all[k] = all[down]!;
      k = down;
    }
    all[k] = last;
    return top;
  }
}

/** Are two poses more than a hair apart? */
const apart = (a: Pose, b: Pose): boolean => poseKeys.some((key) => Math.abs(a[key] - b[key]) > 0.05);

/** The meetings that may be the smallest somewhere in a cell. */
function counting({ at, half, bound }: Cell): Meeting[] {
  return at.margins.flatMap(({ margin, meeting }) => {
    const { shift, turn } = sweepOf(half, meeting.reach);
    return margin - shift - turn <= bound ? [meeting] : [];
  });
}

/** Halves a cell across what moves its shapes most. */
function halved({ at, half }: Cell, keys: readonly PoseKey[], reach: number): { pose: Pose; half: Cell['half'] }[] {
  const moves = (key: PoseKey): number => (key.endsWith('Deg') ? half[key] * radians * reach : half[key]);
  const widest = keys.reduce((best, key) => (moves(key) > moves(best) ? key : best));
  const quarter = half[widest] / 2;
  return [-quarter, quarter].map((by) => ({
    pose: { ...at.pose, [widest]: at.pose[widest] + by },
    half: { ...half, [widest]: quarter },
  }));
}

/**
 * The pose whose smallest margin is largest, over the whole range: the range is halved again and again, always where most may still
 * be hoped for; from the middle of what is left one climbs, and what cannot pass what was found is dropped. The answer is within
 * `within` of the best there is, unless the work ran out (`complete` says so).
 */
export function findBest(scene: Scene, wish: SearchWish = {}): Found {
  const { within = 0.25, work = 60_000, starts = [], enough = Infinity, progress } = wish;
  const { range } = scene.problem;
  const keys = freeKeys(scene);
  const reach = Math.max(...scene.meetings.map((m) => m.reach), 1);
  const from = scene.judged;
  const ruledOutBy = new Set<number>();
  const whole = Object.fromEntries(
    poseKeys.map((key) => [key, (range[key][1] - range[key][0]) / 2]),
  ) as unknown as Cell['half'];

  const middle = judgeAt(scene, middleOf(range), undefined, movesIn(whole));
  let best = climb(scene, middle);
  const equals: Judged[] = [];
  const tryFrom = (at: Judged, steps?: number): void => {
    const reached = climb(scene, at, steps === undefined ? {} : { steps });
    if (Math.abs(reached.worst - best.worst) < 0.01 && apart(reached.pose, best.pose)) equals.push(reached);
    if (reached.worst > best.worst) best = reached;
  };
  for (const pose of starts) tryFrom(judgeAt(scene, moved(pose, {}, range)));
  /** What a cell is to be able to reach to be looked at. */
  const goal = (): number => (enough === Infinity ? best.worst + within : enough + hair);

  const cells = new Cells();
  let dropped = -Infinity;
  const consider = (at: Judged, half: Cell['half']): void => {
    const { bound, by } = boundOf(scene, at, half, goal());
    if (bound > goal()) return cells.push({ at, half, bound });
    dropped = Math.max(dropped, bound);
    for (const pair of by) ruledOutBy.add(pair);
  };
  if (keys.length > 0 && scene.meetings.length > 0) consider(middle, whole);
  else dropped = best.worst;
  let popped = 0;
  while (cells.size > 0 && scene.judged - from < work && best.worst < enough && cells.highest > goal()) {
    const cell = cells.pop();
    popped += 1;
    for (const child of halved(cell, keys, reach)) {
      // What stays above the cell's bound everywhere in it has no say there.
      const at = judgeAt(scene, child.pose, counting(cell), movesIn(child.half));
      // Early, and where it looks better than it should, one climbs; elsewhere the bounds decide.
      if (popped <= 24) tryFrom(judgeAt(scene, child.pose), 16);
      else if (at.worst > best.worst - 1) tryFrom(judgeAt(scene, child.pose));
      consider(at, child.half);
    }
    if (popped % 16 === 0) progress?.(Math.min(1, (scene.judged - from) / work));
  }
  return {
    best,
    equals: equals.filter((e) => e.worst > best.worst - 0.01).slice(0, 4),
    bound: Math.max(best.worst, dropped, cells.size > 0 ? cells.highest : -Infinity),
    ruledOutBy,
    complete: cells.size === 0 || cells.highest <= goal(),
  };
}

/** A scene of a problem, and its best pose. */
export const solve = (problem: FitProblem, wish?: SearchWish): Found => findBest(new Scene(problem), wish);
