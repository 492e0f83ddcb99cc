import { bestPosition } from './answer.ts';
import type { Position } from './answer.ts';
import { touchedPairs, withOptions } from './changes.ts';
import type { FitOption } from './changes.ts';
import type { Pose } from './pose.ts';
import type { FitProblem } from './problem.ts';
import { Scene } from './scene.ts';
import { findBest } from './search.ts';

/** A set of options with which everything clears, and where the unit sits then. */
export interface ChangePlan {
  options: string[];
  worstMm: number;
  pose: Pose;
  chance: number;
  cost: number;
  hours: number;
  approvals: string[];
}

export interface Plans {
  /** Smallest first; none of them has an option that could be left out. */
  plans: ChangePlan[];
  /** Every set was looked at; otherwise only sets up to `upTo` options, or some took more work than they were given. */
  exact: boolean;
  upTo: number;
}

/** As many options as all sets of them are gone through; above, sets of a few. */
const allSetsUpTo = 12;
const fewOptions = 3;
/** Rounding that no reserve is missed by, mm. */
const hair = 1e-6;
const mostPlans = 24;

/** Sets of n things as bits, the smallest sets first. */
function setsOf(n: number, upTo: number): number[] {
  const size = (set: number): number => {
    let count = 0;
    for (let s = set; s > 0; s &= s - 1) count += 1;
    return count;
  };
  return Array.from({ length: 2 ** n }, (_, set) => ({ set, size: size(set) }))
    .filter((s) => s.size <= upTo)
    .sort((a, b) => a.size - b.size)
    .map((s) => s.set);
}

/**
 * The sets of options that make every pair keep its least gap and a reserve, without one too many in them. The sets are gone through
 * by size. A set that holds one that is enough is passed over; so is one that leaves the pairs as they are that ruled out another: what
 * no pose could do for them there, none can here.
 */
export function findPlans(
  problem: FitProblem,
  options: readonly FitOption[],
  reserveMm: number,
  { work = 150_000, progress }: { work?: number; progress?: (share: number) => void } = {},
): Plans {
  const upTo = options.length <= allSetsUpTo ? options.length : fewOptions;
  const touching = problem.pairs.map((_, p) =>
    options.reduce((bits, o, i) => (touchedPairs(problem, o).includes(p) ? bits | (1 << i) : bits), 0),
  );
  const chosen = (set: number): FitOption[] => options.filter((_, i) => (set & (1 << i)) !== 0);
  /** Of what a set says about these options, so much has to be the same for the same to be ruled out. */
  const ruledOut: { mask: number; value: number }[] = [];
  const enough: number[] = [];
  const plans: ChangePlan[] = [];
  let starts: Pose[] = [];
  let exact = options.length <= allSetsUpTo;
  const sets = setsOf(options.length, upTo);
  sets.forEach((set, n) => {
    progress?.(n / sets.length);
    if (enough.some((e) => (set & e) === e)) return;
    if (ruledOut.some(({ mask, value }) => (set & mask) === value)) return;
    const changed = withOptions(problem, chosen(set));
    const found = findBest(new Scene(changed), { enough: reserveMm - hair, work, starts });
    starts = [found.best.pose, ...starts].slice(0, 4);
    if (found.best.worst < reserveMm - hair) {
      if (!found.complete) exact = false;
      const mask = [...found.ruledOutBy].reduce((bits, p) => bits | touching[p]!, 0);
      // What ran out of work ruled out nothing but itself.
      ruledOut.push(found.complete ? { mask, value: set & mask } : { mask: -1, value: set });
      return;
    }
    enough.push(set);
    const position = bestPosition(changed, { work, starts: [found.best.pose] });
    plans.push(planOf(chosen(set), position));
  });
  progress?.(1);
  return { plans: leastFirst(plans), exact, upTo };
}

function planOf(options: readonly FitOption[], { pose, worstMm, chance }: Position): ChangePlan {
  const sum = (of: (o: FitOption) => number | undefined): number => options.reduce((all, o) => all + (of(o) ?? 0), 0);
  return {
    options: options.map((o) => o.id),
    worstMm,
    pose,
    chance,
    cost: sum((o) => o.cost),
    hours: sum((o) => o.hours),
    approvals: options.flatMap((o) => (o.approval === undefined ? [] : [o.approval])),
  };
}

/** What wants no approval first, then fewer options, then less money, then fewer hours; the cheapest is never left out. */
function leastFirst(plans: readonly ChangePlan[]): ChangePlan[] {
  const sorted = [...plans].sort(
    (a, b) =>
      Math.sign(a.approvals.length) - Math.sign(b.approvals.length) ||
      a.options.length - b.options.length ||
      a.cost - b.cost ||
      a.hours - b.hours ||
      b.worstMm - a.worstMm,
  );
  const kept = sorted.slice(0, mostPlans);
  const cheapest = sorted.reduce<ChangePlan | undefined>(
    (best, p) => (best && best.cost <= p.cost ? best : p),
    undefined,
  );
  return cheapest && !kept.includes(cheapest) ? [...kept.slice(0, -1), cheapest] : kept;
}
