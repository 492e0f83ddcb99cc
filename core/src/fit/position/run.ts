import { bestPosition } from './answer.ts';
import type { Position } from './answer.ts';
import type { FitOption } from './changes.ts';
import { findPlans } from './plans.ts';
import type { Plans } from './plans.ts';
import type { FitProblem } from './problem.ts';

export interface Answer extends Omit<Position, 'complete'> {
  plans: Plans['plans'];
  /** Every set of options was searched to its end. */
  exact: boolean;
}

/** What is said where nothing is in the way any more: farther than anything of a car, mm. */
const nothingInTheWay = 100_000;
/** Thousandths of a millimetre, and of a degree: more is said by nothing. */
const round = (value: number): number => Math.min(nothingInTheWay, Math.round(value * 1000) / 1000 || 0);
const roundAll = <T extends object>(values: T): T =>
  Object.fromEntries(Object.entries(values).map(([key, v]) => [key, round(v as number)])) as T;

/** A problem with its options worked through from end to end: the same for the command line, the API and a worker. */
export function answer(
  problem: FitProblem,
  options: readonly FitOption[],
  reserveMm: number,
  progress?: (share: number) => void,
): Answer {
  // Sets of options take most of it.
  const told = (from: number, to: number) => (share: number) => progress?.(from + (to - from) * share);
  const half = options.length > 0 ? 0.2 : 1;
  const { boundMm, complete, ...best } = bestPosition(problem, { work: 600_000, progress: told(0, half) });
  const { plans, exact } =
    options.length > 0
      ? findPlans(problem, options, reserveMm, { progress: told(half, 1) })
      : { plans: [], exact: true };
  return {
    ...best,
    pose: roundAll(best.pose),
    worstMm: round(best.worstMm),
    margins: roundAll(best.margins),
    buys: best.buys.map((b) => ({ ...b, mmPerMm: round(b.mmPerMm) })),
    chance: round(best.chance),
    boundMm: round(boundMm),
    plans: plans.map((p) => ({ ...p, worstMm: round(p.worstMm), pose: roundAll(p.pose), chance: round(p.chance) })),
    exact: exact && complete,
  };
}
