import { provedLines } from '../commissioning/gates.ts';
import { harmNear, stepStates } from '../pull/index.ts';
import type { StepPlan, StepState, Tasks } from '../pull/index.ts';
import type { Plan } from './plan.ts';
import { taskTitle, titleOf } from './title.ts';

/** What stands against a step that somebody begins or calls done; the one rule for screen, log bar, command line and API. */
export interface Against {
  /** One clause each: "after Hook on, slack taken". Empty when the step is free. */
  against: readonly string[];
  /** Somebody can be hurt when it is done all the same. */
  harm: boolean;
}

/** What holds a step, as clauses a person reads. Gates count when it is called done, not when it is begun. */
export function holdWords(state: StepState, withGates: boolean): string[] {
  return [
    ...state.heldBy.map((id) => `after "${taskTitle(id)}"`),
    ...state.ended.map((e) => `needs "${titleOf(e.state)}", ended by "${taskTitle(e.by)}"`),
    ...state.unmet.map((u) => `needs "${titleOf(u.state)}", which nothing brings about`),
    ...(withGates ? state.gates.map((id) => `gate line "${titleOf(id)}" is not proved`) : []),
  ];
}

const ownTasks = (plan: StepPlan, tasks: Tasks, prefix: string): Tasks =>
  Object.fromEntries(plan.lines.map((l) => [l.def.id, tasks[prefix + l.def.id]]));

/** What stands against writing a task record with this status; nothing for steps of which no order is known. */
export function againstTask(plan: Plan, tasks: Tasks, key: string, status: 'on-it' | 'done'): Against {
  const donor = key.startsWith('donor-');
  const pull = donor ? plan.harvestSteps : key.startsWith('bld-') ? plan.build : plan.pull;
  const id = donor ? key.slice('donor-'.length) : key;
  const state = stepStates(pull, ownTasks(pull, tasks, donor ? 'donor-' : ''), provedLines(plan.gates)).get(id);
  if (!state) return { against: [], harm: false };
  const against = holdWords(state, status === 'done');
  return { against, harm: against.length > 0 && harmNear(pull, id, state) };
}
