import type { FactBook } from '../facts/index.ts';
import { exitMoves, leavings } from './data/leaving.ts';
import type { ExitMove, Leaving } from './data/leaving.ts';

const byStep = new Map(leavings.map((l) => [l.step, l]));

/** How what comes off at a step leaves its place; nothing where nobody wrote it. A donor's step is the same step. */
export const leavingOf = (step: string): Leaving | undefined => byStep.get(step.replace(/^donor-/, ''));

/** The small moves of a unit that goes out, or in the other way round; nothing while nobody knows by which way. */
export function movesOf(step: string, facts: FactBook): readonly ExitMove[] {
  const path = new Map(Object.entries(exitMoves)).get(String(facts.get('rec-install-path')?.parts['value']));
  if (path === undefined) return [];
  return step === 'rm-exit' ? path : step === 'ein-unit-in' ? path.toReversed() : [];
}
