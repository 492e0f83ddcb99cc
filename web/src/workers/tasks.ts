import readCode from 'jsqr';
import { bestPosition, findPlans } from '@bay/core/fit';
import type { FitOption, FitProblem, Plans, Position } from '@bay/core/fit';
import { measureChoice } from '@bay/core/plan';
import type { EngineChoice, MeasuredChoice, PlanInput } from '@bay/core/plan';
import { riskOf } from '@bay/core/money';
import type { Risk, RiskInput, Terms } from '@bay/core/money';

/** How far a task is, from 0 to 1. */
export type Progress = (share: number) => void;

/**
 * What is computed beside the screen. A task takes and gives plain data, tells how far it is, and knows nothing of workers; a new
 * one is a line here.
 */
export const tasks = {
  bestPosition: (problem: FitProblem | undefined, progress: Progress): Position | undefined =>
    problem && bestPosition(problem, { work: 200_000, progress }),
  leastChange: (
    wish: { problem: FitProblem; options: readonly FitOption[]; reserveMm: number } | undefined,
    progress: Progress,
  ): Plans | undefined => wish && findPlans(wish.problem, wish.options, wish.reserveMm, { progress }),
  measureChoices(
    wish: { input: PlanInput; choices: readonly EngineChoice[]; terms: Terms },
    progress: Progress,
  ): MeasuredChoice[] {
    return wish.choices.map((choice, i) => {
      progress(i / wish.choices.length);
      return measureChoice(wish.input, choice, wish.terms);
    });
  },
  /** What the square code in a picture says; nothing where none is seen. */
  readCode: (picture: { pixels: Uint8ClampedArray; width: number; height: number }): string | undefined =>
    readCode(picture.pixels, picture.width, picture.height)?.data,
  quoteRisk: (input: RiskInput | undefined, progress: Progress): Risk | undefined => input && riskOf(input, progress),
} as const;

export type Tasks = typeof tasks;
export type TaskName = keyof Tasks;
export type InputOf<K extends TaskName> = Parameters<Tasks[K]>[0];
export type OutputOf<K extends TaskName> = ReturnType<Tasks[K]>;
