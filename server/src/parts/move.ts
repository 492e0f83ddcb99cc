import { noteChange, writeLogEntry } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { announce } from '../live/events.ts';
import { unstamped } from '../records/stamp.ts';
import { findRecord, writeRecord } from '../records/store.ts';
import { lyingIn } from './store.ts';

/** Everything that lies in one place lies in another now; how many things that were. Refuses more than 500 at once. */
export async function moveAll(tx: Tx, caller: Caller, from: string, to: string): Promise<number> {
  const all = await lyingIn(tx, from);
  if (all.length > 500) throw new Refusal(409, 'More than 500 things lie there. Move a part of them by search first.');
  // Jobs in the same turn always, so that two moves never wait for each other.
  for (const { kind, jobId, key } of all) {
    const { data, revision } = (await findRecord(tx, jobId, kind, key))!;
    await writeRecord(tx, caller, { jobId, kind, key, data: { ...unstamped(data), place: to }, revision });
  }
  const units = await tx
    .updateTable('unit')
    .set({ place: to })
    .where('place', '=', from)
    .where('kind', '<>', 'car')
    .returning(['id', 'name'])
    .execute();
  const serving =
    units.length === 0
      ? []
      : await tx
          .selectFrom('job_unit')
          .select(['job_id', 'unit_id'])
          .where(
            'unit_id',
            'in',
            units.map((u) => u.id),
          )
          .where('left_at', 'is', null)
          .execute();
  for (const { id: unitId, name } of units) {
    noteChange(caller, { kind: 'unit', unitId });
    for (const { job_id: jobId } of serving.filter((s) => s.unit_id === unitId))
      await writeLogEntry(tx, caller, { jobId, kind: 'unit', text: `moved: ${name}, ${from} to ${to}`, about: unitId });
  }
  for (const jobId of new Set(all.map((t) => t.jobId)))
    await announce(tx, { shopId: caller.shopId, jobId, by: caller.initials, changes: [{ kind: 'all' }] });
  return all.length + units.length;
}
