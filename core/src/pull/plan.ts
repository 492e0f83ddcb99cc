import type { TruthOf } from '../rules/truths.ts';
import { bare, orderSteps } from '../rules/order.ts';
import type { Contradiction, Edge, Ordered } from '../rules/order.ts';
import { pullSteps } from './data/steps.ts';
import { workStates } from './data/states.ts';
import type { TaskRecord } from './records.ts';
import type { PullStepDef, StepChanges, WorkState } from './types.ts';

export interface PullLine {
  def: PullStepDef;
  because: readonly string[];
  /** Facts that would decide whether the step applies; until then it stays in the list. */
  needs: readonly string[];
  /** Binding order into this step. */
  before: readonly Edge[];
}

export interface PullPlan {
  lines: readonly PullLine[];
  /** The states that steps need and end, with what gives them back in this plan. */
  states: readonly WorkState[];
  contradictions: readonly Contradiction[];
  unmet: readonly { step: string; state: string }[];
}

// Most changes of facts leave the set of steps alone: the order of the last few sets is kept.
const orders = new Map<string, Ordered>();

function remember(key: string, make: () => Ordered): Ordered {
  const known = orders.get(key);
  if (known) return known;
  if (orders.size >= 16) orders.delete(orders.keys().next().value!);
  const made = make();
  orders.set(key, made);
  return made;
}

/**
 * The steps of one role in a computed order. `own` pulls the car's engine, `donor` harvests another; the chosen ways of working
 * drop, add and turn steps round.
 */
export function pullPlan(role: 'own' | 'donor', truthOf: TruthOf, effects: readonly StepChanges[]): PullPlan {
  const dropped = new Set(effects.flatMap((e) => e.drops ?? []));
  const added = effects.flatMap((e) => e.addsSteps ?? []);
  const cutPairs = effects.flatMap((e) => e.cutsOrder ?? []);
  const isCut = (from: string, to: string): boolean => cutPairs.some(([a, b]) => a === from && b === to);
  const firstBefore = new Map<string, string[]>();
  for (const [first, then] of effects.flatMap((e) => e.addsOrder ?? []))
    firstBefore.set(then, [...(firstBefore.get(then) ?? []), first]);
  const given = effects.flatMap((e) => e.gives ?? []);
  const states =
    given.length === 0
      ? workStates
      : workStates.map((s) => ({
          ...s,
          givenBy: [...s.givenBy, ...given.filter((g) => g.state === s.id).map((g) => g.step)],
        }));
  const lines = new Map<string, PullLine>();
  for (const def of [...pullSteps, ...added]) {
    if (def.role !== undefined && def.role !== role) continue;
    if (dropped.has(def.id)) continue;
    const truth = truthOf(def.when);
    if (truth.is === false) continue;
    lines.set(def.id, { def, because: truth.because, needs: truth.needs, before: [] });
  }
  const phases = [...new Set(pullSteps.map((s) => s.phase))];
  const key = JSON.stringify([role, [...lines.keys()], effects.map((e) => e.id)]);
  const ordered: Ordered = remember(key, () =>
    orderSteps(
      [...lines.values()].map(({ def }) => ({
        id: def.id,
        rank: phases.indexOf(def.phase),
        after: [...def.after.filter((id) => !isCut(bare(id), def.id)), ...(firstBefore.get(def.id) ?? [])],
        before: def.before.filter((id) => !isCut(def.id, bare(id))),
        needs: def.needs,
      })),
      states,
    ),
  );
  return {
    lines: ordered.ids.map((id) => ({ ...lines.get(id)!, before: ordered.before.get(id)! })),
    states,
    contradictions: ordered.contradictions,
    unmet: ordered.unmet,
  };
}

export interface StepState {
  status: 'done' | 'waived' | 'on-it' | 'free' | 'held';
  /** Steps that must come first and are open. */
  heldBy: readonly string[];
  /** States the step needs that a done step has ended, with the step that ended it. */
  ended: readonly { state: string; by: string }[];
}

/** Where each step stands, given what people have done. */
export function stepStates(
  plan: PullPlan,
  records: Readonly<Record<string, TaskRecord | undefined>>,
): Map<string, StepState> {
  const closed = (id: string): boolean => ['done', 'waived'].includes(records[id]?.status ?? 'open');
  const doneAt = (id: string): string => (records[id]?.status === 'done' ? (records[id]?.at ?? '') : '');
  const stateById = new Map(plan.states.map((s) => [s.id, s]));
  const result = new Map<string, StepState>();
  for (const line of plan.lines) {
    const status = records[line.def.id]?.status ?? 'open';
    const heldBy = line.before.filter((e) => !closed(e.from)).map((e) => e.from);
    const ended: { state: string; by: string }[] = [];
    for (const need of line.def.needs) {
      const state = stateById.get(need)!;
      const lost = state.lostBy
        .filter((id) => id !== line.def.id && doneAt(id) !== '')
        .sort((a, b) => (doneAt(a) < doneAt(b) ? 1 : -1))[0];
      if (lost && !state.givenBy.some((id) => doneAt(id) > doneAt(lost))) ended.push({ state: need, by: lost });
    }
    const open = heldBy.length > 0 || ended.length > 0;
    result.set(line.def.id, { status: status === 'open' ? (open ? 'held' : 'free') : status, heldBy, ended });
  }
  return result;
}
