import { orderSteps } from '../rules/order.ts';
import type { StepState } from '../pull/step-states.ts';
import type { TaskRecord } from '../pull/records.ts';
import { buildSteps } from './data/build-up.ts';

const ordered = orderSteps(
  buildSteps.map((s, i) => ({ id: s.id, rank: i, after: s.after, before: [], needs: [] })),
  [],
);

/** The steps of building up in their order, with what each waits for. */
export function buildStates(
  tasks: Readonly<Record<string, TaskRecord | undefined>>,
): { id: string; status: StepState['status']; heldBy: string[] }[] {
  const closed = (id: string): boolean => ['done', 'waived'].includes(tasks[id]?.status ?? 'open');
  return ordered.ids.map((id) => {
    const status = tasks[id]?.status ?? 'open';
    const heldBy = (ordered.before.get(id) ?? []).map((e) => e.from).filter((from) => !closed(from));
    return { id, status: status === 'open' ? (heldBy.length > 0 ? 'held' : 'free') : status, heldBy };
  });
}
