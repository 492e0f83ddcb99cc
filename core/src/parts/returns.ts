import type { GateName } from '../jobs/gates.ts';
import { returnDefs } from './data/returns.ts';
import type { ReturnDef } from './data/returns.ts';
import { stands } from '../pull/step-states.ts';
import type { Tasks } from '../pull/step-states.ts';

export interface Return {
  def: ReturnDef;
  done: boolean;
}

/** What came off as a way in and goes back on, with whether it did: only what somebody wrote as off. */
export const returnsOf = (tasks: Tasks): Return[] =>
  returnDefs.flatMap((def) => {
    const off = tasks[def.after];
    if (off?.status !== 'done' || !stands(def.after, off)) return [];
    const back = tasks[def.id];
    // Off once more after it was back is off again.
    const since = (back?.at ?? '') >= (off.at ?? '');
    const done = back !== undefined && since && ['done', 'waived'].includes(back.status) && stands(def.id, back);
    return [{ def, done }];
  });

/** What is still off, and the gate at which it may no longer be. */
export const stillOff = (tasks: Tasks): { gate: GateName; what: string }[] =>
  returnsOf(tasks)
    .filter((r) => !r.done)
    .map(({ def }) => ({ gate: def.gate, what: `to go back, ${def.title.toLowerCase()}` }));
