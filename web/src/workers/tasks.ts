import { bestPosition, compareCandidates, findPlans } from '@bay/core/fit';
import type { Candidate, CandidateRow, FitOption, FitProblem, Plans, Position } from '@bay/core/fit';
import type { FactBook } from '@bay/core/facts';
import { riskOf } from '@bay/core/money';
import type { Risk, RiskInput } from '@bay/core/money';

/** How far a task is, from 0 to 1. */
export type Progress = (share: number) => void;

/**
 * What is computed beside the screen. A task takes and gives plain data, tells how far it is, and knows nothing of workers; a new
 * one is a line here.
 */
export const tasks = {
  compareCandidates(
    { car, outgoing, candidates }: { car: FactBook; outgoing: FactBook; candidates: readonly Candidate[] },
    progress: Progress,
  ): CandidateRow[] {
    return candidates.flatMap((candidate, i) => {
      progress(i / candidates.length);
      return compareCandidates(car, outgoing, [candidate]);
    });
  },
  bestPosition: (problem: FitProblem | undefined, progress: Progress): Position | undefined =>
    problem && bestPosition(problem, { work: 200_000, progress }),
  leastChange: (
    wish: { problem: FitProblem; options: readonly FitOption[]; reserveMm: number } | undefined,
    progress: Progress,
  ): Plans | undefined => wish && findPlans(wish.problem, wish.options, wish.reserveMm, { progress }),
  quoteRisk: (input: RiskInput | undefined, progress: Progress): Risk | undefined => input && riskOf(input, progress),
} as const;

export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
export type InputOf<K extends TaskName> = Parameters<Tasks[K]>[0];
export type OutputOf<K extends TaskName> = ReturnType<Tasks[K]>;
