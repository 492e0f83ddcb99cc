import { orderSteps } from '../rules/order.ts';
import type { Truth } from '../rules/condition.ts';
import type { TruthOf } from '../rules/truths.ts';
import { entryStates, entryWays, goingInSteps } from './data/going-in.ts';
import { stateOf } from './plan.ts';
import type { StepLine, StepPlan } from './plan.ts';
import { stands } from './step-states.ts';
import type { Tasks } from './step-states.ts';
import type { GoingInStep, StepDef } from './types.ts';

const phases = [...new Set(goingInSteps.map((s) => s.phase))];
const defs = new Map(
  goingInSteps.map((step): [string, { step: GoingInStep; def: StepDef }] => [
    step.id,
    { step, def: { ...step, before: [] } },
  ]),
);

/** What the plan of going in stands on. */
export const goingInStandsOn = (truthOf: TruthOf): Truth[] =>
  goingInSteps.flatMap((s) => [s.when, ...(s.needsWhere ?? []).map((n) => n.when)]).map(truthOf);

/** The steps of going in, in an order in which nothing that closes a way stands before what needs it. */
export function goingInPlan(truthOf: TruthOf): StepPlan {
  const applying = [...defs.values()].flatMap(({ step, def }) => {
    const truth = truthOf(step.when);
    if (truth.is === false) return [];
    const where = (step.needsWhere ?? []).filter((n) => truthOf(n.when).is !== false).map((n) => n.state);
    return [{ def, states: [...step.needs, ...where], because: truth.because, needs: truth.needs }];
  });
  const steps = new Set(applying.map((l) => l.def.id));
  const states = entryStates.map((s) => stateOf(s, truthOf, steps, []));
  const ordered = orderSteps(
    applying.map(({ def, states: needs }) => ({
      id: def.id,
      rank: phases.indexOf(def.phase),
      after: def.after,
      before: [],
      needs,
    })),
    states.map((s) => ({ ...s, lostBy: s.lostBy.map((l) => l.step) })),
  );
  const byId = new Map(applying.map((l) => [l.def.id, l]));
  return {
    lines: ordered.ids.map((id): StepLine => {
      const { def, because, needs, states: wants } = byId.get(id)!;
      return { def, because, needs, before: ordered.before.get(id)!, states: wants, gates: def.gates ?? [] };
    }),
    states,
    ways: entryWays.filter((w) => w.steps.every((id) => steps.has(id))),
    contradictions: ordered.contradictions,
    unmet: ordered.unmet,
  };
}

/** What somebody wrote of going in, as it stands now: what a later lift or a closed way undid is open again. */
export function stillIn(tasks: Tasks, liftedOutAt: string | undefined): Tasks {
  const undone = ({ step }: { step: GoingInStep }): boolean => {
    const at = tasks[step.id]?.at ?? '';
    if (step.undoneByLift && liftedOutAt !== undefined && at <= liftedOutAt) return true;
    return (step.undoneBy ?? []).some((id) => tasks[id]?.status === 'done' && (tasks[id].at ?? '') > at);
  };
  return Object.fromEntries(
    [...defs].flatMap(([id, def]) => (tasks[id] === undefined || undone(def) ? [] : [[id, tasks[id]]])),
  );
}

/** Is the bay still taken by the engine that was in the car: is it to be set down, and nobody wrote that it was? */
export function bayTaken(pull: StepPlan, tasks: Tasks): boolean {
  const down = tasks['rm-set-down'];
  const settled = down !== undefined && ['done', 'waived'].includes(down.status) && stands('rm-set-down', down);
  return !settled && pull.lines.some((l) => l.def.id === 'rm-set-down');
}

/** Does this step want an empty bay? */
export const wantsEmptyBay = (step: string): boolean => defs.get(step)?.step.bayEmpty === true;

/** Is this step done on the engine that goes in? */
export const wantsEngine = (step: string): boolean => defs.get(step)?.step.onEngine === true;
