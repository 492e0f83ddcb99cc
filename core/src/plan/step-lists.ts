import { provedLines } from '../commissioning/gates.ts';
import { bayTaken, stepStates, stillIn, wantsEmptyBay, wantsEngine } from '../pull/index.ts';
import type { HeldFor, StepPlan, StepState, Tasks, Waits } from '../pull/index.ts';
import { isOwn } from '../memory/index.ts';
import { returnDefs } from '../parts/index.ts';
import type { Plan } from './plan.ts';

/** The lists of ordered steps of a job: how the keys of their records begin, where that is not as the steps do. */
const lists = {
  donor: { prefix: 'donor-', planOf: (plan: Plan): StepPlan => plan.harvestSteps },
  pull: { prefix: '', planOf: (plan: Plan): StepPlan => plan.pull },
  prep: { prefix: '', planOf: (plan: Plan): StepPlan => plan.build },
  fit: { prefix: '', planOf: (plan: Plan): StepPlan => plan.goingIn },
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
  /** Least and most minutes of a step, with what was found to come on top; nothing where nobody estimated it. */
  minutesOf: (step: string) => readonly number[] | undefined;
}

/** One list of ordered steps with where each stands: the same for screen, log bar, command line and door. */
export function stepList(plan: Plan, id: StepListId, tasks: Tasks): StepList {
  const { prefix, planOf } = lists[id];
  const steps = planOf(plan);
  const keyOf = (step: string): string => prefix + step;
  const mine = <T>(of: Readonly<Record<string, T | undefined>>): Record<string, T | undefined> =>
    Object.fromEntries(steps.lines.map((l) => [l.def.id, of[keyOf(l.def.id)]]));
  const own = mine(id === 'fit' ? stillIn(tasks, plan.liftedOutAt) : tasks);
  const waits = id === 'fit' ? heldFromOutside(plan, tasks) : plan.waits;
  const defs = new Map(steps.lines.map((l) => [l.def.id, l.def]));
  const minutesOf = (step: string): readonly number[] | undefined => {
    const planned = defs.get(step)?.minutes;
    const extra = plan.extraMinutes.get(keyOf(step));
    return extra === undefined ? planned : (planned ?? [0]).map((m) => m + extra);
  };
  const states = withBags(plan, keyOf, stepStates(steps, own, provedLines(plan.gates), mine(waits)));
  return { plan: steps, keyOf, own, states, minutesOf };
}

/** Steps with the bags of bolts that they want and that are still full. */
function withBags(plan: Plan, keyOf: StepList['keyOf'], states: Map<string, StepState>): Map<string, StepState> {
  if (plan.fullBags.size > 0)
    for (const [step, state] of states) {
      const bags = plan.fullBags.get(keyOf(step));
      if (bags) states.set(step, { ...state, bags });
    }
  return states;
}

/** What steps of going in wait for besides all else: an empty bay, where they want one, and the engine that goes in. */
function heldFromOutside(plan: Plan, tasks: Tasks): Waits {
  const taken = !plan.wasIn && bayTaken(plan.pull, tasks);
  const held = plan.goingIn.lines.flatMap(({ def: { id } }): [string, HeldFor[]][] => {
    const waits = [
      ...(taken && wantsEmptyBay(id) ? [{ waitsFor: 'the engine that was in the car to be set down' }] : []),
      ...(!plan.withEngine && wantsEngine(id) ? [{ waitsFor: 'the engine that goes in to be on the job' }] : []),
    ];
    return waits.length > 0 ? [[id, [...(plan.waits[id] ?? []), ...waits]]] : [];
  });
  return held.length > 0 ? { ...plan.waits, ...Object.fromEntries(held) } : plan.waits;
}

/** What must come before something that closes a way in goes back on: the unit, where it goes in by that way. Its lift says as well as its step that it is in. */
export function holdsReturn(plan: Plan, tasks: Tasks, id: string): string[] {
  const way = returnDefs.find((r) => r.id === id)?.closes;
  const entry = plan.goingIn.lines.find((l) => l.def.id === 'ein-unit-in');
  if (plan.isIn || way === undefined || entry === undefined || !entry.states.includes(way)) return [];
  const status = stillIn(tasks, plan.liftedOutAt)[entry.def.id]?.status ?? 'open';
  return ['done', 'waived'].includes(status) ? [] : [entry.def.id];
}

/** The list that a step's record belongs to, and the step. */
export function listOfKey(key: string): { id: StepListId; step: string } {
  if (key.startsWith(lists.donor.prefix)) return { id: 'donor', step: key.slice(lists.donor.prefix.length) };
  if (isOwn(key)) return { id: 'own', step: key };
  if (key.startsWith('ein-')) return { id: 'fit', step: key };
  return { id: key.startsWith('bld-') ? 'prep' : 'pull', step: key };
}
