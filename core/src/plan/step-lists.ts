import { provedLines } from '../commissioning/gates.ts';
import { stepStates } from '../pull/index.ts';
import type { StepPlan, StepState, Tasks } from '../pull/index.ts';
import { isOwn } from '../memory/index.ts';
import type { Plan } from './plan.ts';

/** The lists of ordered steps of a job: how the keys of their records begin, where that is not as the steps do. */
const lists = {
  donor: { prefix: 'donor-', planOf: (plan: Plan): StepPlan => plan.harvestSteps },
  pull: { prefix: '', planOf: (plan: Plan): StepPlan => plan.pull },
  prep: { prefix: '', planOf: (plan: Plan): StepPlan => plan.build },
  own: { prefix: '', planOf: (plan: Plan): StepPlan => plan.own },
} as const;

export type StepListId = keyof typeof lists;

export interface StepList {
  plan: StepPlan;
  /** Of a step, the key of its record. */
  keyOf: (step: string) => string;
  /** Records of these steps, by step. */
  own: Tasks;
  /** Where each step stands, in the order of the list. */
  states: ReadonlyMap<string, StepState>;
}

/** One list of ordered steps with where each stands: the same for screen, log bar, command line and door. */
export function stepList(plan: Plan, id: StepListId, tasks: Tasks): StepList {
  const { prefix, planOf } = lists[id];
  const steps = planOf(plan);
  const keyOf = (step: string): string => prefix + step;
  const mine = <T>(of: Readonly<Record<string, T | undefined>>): Record<string, T | undefined> =>
    Object.fromEntries(steps.lines.map((l) => [l.def.id, of[keyOf(l.def.id)]]));
  const own = mine(tasks);
  return { plan: steps, keyOf, own, states: stepStates(steps, own, provedLines(plan.gates), mine(plan.waits)) };
}

/** The list that a step's record belongs to, and the step. */
export function listOfKey(key: string): { id: StepListId; step: string } {
  if (key.startsWith(lists.donor.prefix)) return { id: 'donor', step: key.slice(lists.donor.prefix.length) };
  if (isOwn(key)) return { id: 'own', step: key };
  return { id: key.startsWith('bld-') ? 'prep' : 'pull', step: key };
}
