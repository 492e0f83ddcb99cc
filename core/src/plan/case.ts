import { provedLines } from '../commissioning/gates.ts';
import { engineState, nextTests, rankSuspects, startWeights, worthwhile } from '../diagnosis/index.ts';
import type { Answer, CaseRecord, EngineState, NextTest, Suspect } from '../diagnosis/index.ts';
import type { Plan } from './plan.ts';

/** Where the search for a fault stands: who is suspected, what tells most, and whether anything left is worth its minutes. */
export interface CaseStanding {
  state: EngineState | undefined;
  suspects: readonly Suspect[];
  tests: readonly NextTest[];
  /** All that can be made and was not, worth its minutes or not: what somebody did anyway is written too. */
  possible: readonly NextTest[];
  /** No test left is worth its minutes. */
  stop: boolean;
}

/** The standing of a case in its job: what gates proved and what earlier cases cured counts too. `cannot` are tests ruled out just now. */
export function caseStanding(
  plan: Pick<Plan, 'scope' | 'gates'>,
  record: Pick<CaseRecord, 'touched' | 'state'>,
  answers: readonly Answer[],
  { cured = [], cannot = [] }: { cured?: readonly string[]; cannot?: readonly string[] } = {},
): CaseStanding {
  const state = engineState(record.state, answers);
  const basis = { touched: record.touched, proved: provedLines(plan.gates), cured };
  const suspects = rankSuspects(startWeights(plan.scope, basis), answers, undefined, state);
  const done = [...answers.map((a) => a.observationId), ...cannot];
  const possible = nextTests(suspects, done, undefined, state);
  const tests = worthwhile(possible);
  return { state, suspects, tests, possible, stop: tests.length === 0 };
}

/** Faults that the closed cases of a job name. */
export const curedBy = (cases: readonly CaseRecord[]): string[] => cases.flatMap((c) => c.closed?.faultId ?? []);
