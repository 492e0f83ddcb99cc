import { longestChain } from '../rules/chain.ts';
import type { StepPlan } from './plan.ts';
import { isBehind } from './step-states.ts';
import type { StepState } from './step-states.ts';

/** What is still to be done of a list of steps, and the chain that decides when it ends. */
export interface Remaining {
  /** Steps that are still to be done. */
  open: readonly string[];
  /** Of all of them together, minutes at the least and at the most: one person alone. */
  least: number;
  most: number;
  /** Open steps of which nobody estimated the time: they count as nothing. */
  unknown: readonly string[];
  /** The longest chain by the middle of each estimate, and what it takes at the least and at the most: however many help. */
  chain: readonly string[];
  chainLeast: number;
  chainMost: number;
}

/** The open steps of a list with the longest chain among them. Waits from outside are not in it: each says its own day. */
export function remainingOf(
  plan: StepPlan,
  states: ReadonlyMap<string, StepState>,
  minutesOf: (step: string) => readonly number[] | undefined,
): Remaining {
  const open = plan.lines.filter((l) => !isBehind(states.get(l.def.id)!.status));
  const least = (id: string): number => minutesOf(id)?.[0] ?? 0;
  const most = (id: string): number => minutesOf(id)?.at(-1) ?? 0;
  const sum = (ids: readonly string[], of: (id: string) => number): number => ids.reduce((all, id) => all + of(id), 0);
  const ids = open.map((l) => l.def.id);
  const { steps } = longestChain(
    open.map((l) => ({
      id: l.def.id,
      length: (least(l.def.id) + most(l.def.id)) / 2,
      after: l.before.filter((e) => !e.soft).map((e) => e.from),
    })),
  );
  return {
    open: ids,
    least: sum(ids, least),
    most: sum(ids, most),
    unknown: ids.filter((id) => minutesOf(id) === undefined),
    chain: steps,
    chainLeast: sum(steps, least),
    chainMost: sum(steps, most),
  };
}
