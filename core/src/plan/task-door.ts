import { harmNear } from '../pull/index.ts';
import type { StepState, Tasks } from '../pull/index.ts';
import type { Plan } from './plan.ts';
import { holdsReturn, listOfKey, stepList } from './step-lists.ts';
import { taskTitle, titleOf } from './title.ts';

/** What stands against a step that somebody begins or calls done; the one rule for screen, log bar, command line and API. */
export interface Against {
  /** One clause each: "after Hook on, slack taken". Empty when the step is free. */
  against: readonly string[];
  /** Somebody can be hurt when it is done all the same. */
  harm: boolean;
}

const bagWords = (bags: readonly string[] | undefined): string[] => (bags ?? []).map((bag) => `${bag}, is still full`);

/** What holds a step, as clauses a person reads. Gates count when it is called done, not when it is begun. */
export function holdWords(state: StepState, withGates: boolean): string[] {
  return [
    ...state.heldBy.map((id) => `after "${taskTitle(id)}"`),
    ...state.ended.map((e) => `needs "${titleOf(e.state)}", ended by "${taskTitle(e.by)}"`),
    ...state.unmet.map((u) => `needs "${titleOf(u.state)}", which nothing brings about`),
    ...state.waits.map((w) => `waits for ${w.waitsFor}${w.due ? `, due ${w.due}` : ''}`),
    ...(withGates ? state.gates.map((id) => `gate line "${titleOf(id)}" is not proved`) : []),
    ...(withGates ? bagWords(state.bags) : []),
  ];
}

/** What stands against writing a task record with this status; nothing for steps of which no order is known. */
export function againstTask(plan: Plan, tasks: Tasks, key: string, status: 'on-it' | 'done'): Against {
  const first = holdsReturn(plan, tasks, key);
  if (first.length > 0) return { against: first.map((f) => `after "${taskTitle(f)}"`), harm: false };
  const { id, step } = listOfKey(key);
  const { plan: steps, states } = stepList(plan, id, tasks);
  const state = states.get(step);
  // What comes back by itself stands in no list.
  if (!state) return { against: status === 'done' ? bagWords(plan.fullBags.get(key)) : [], harm: false };
  const against = holdWords(state, status === 'done');
  return { against, harm: against.length > 0 && harmNear(steps, step, state) };
}
