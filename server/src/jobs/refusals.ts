import { sql } from 'kysely';
import { shortTitleOf } from '@bay/core/plan';
import type { Tx } from '../db/connection.ts';
import { badInput, Refusal } from '../http/problem.ts';
import { readInBays } from './store.ts';

/** What is refused of a job with a sentence, since it would stand in the way of another or of the calendar. */

/** One car stands in a bay. */
export async function refuseTakenBay(tx: Tx, bay: string | null | undefined, ownJobId?: string): Promise<void> {
  if (!bay) return;
  const there = (await readInBays(tx)).find((j) => j.bay === bay && j.id !== ownJobId);
  if (there) throw badInput({ bay: `Bay ${bay} holds ${there.number} ${there.carName}. Move that one first.` });
}

/** A day is over when it is over everywhere: whoever is west of the server still has it. */
const dayMs = 86_400_000;

export function refusePastDay(promised: string | null | undefined, now = new Date()): void {
  if (promised && promised < new Date(now.getTime() - dayMs).toISOString().slice(0, 10))
    throw badInput({ promised: 'That day is over. Promise one that is still to come.' });
}

/** The same plate on two open jobs is one car booked in twice, unless somebody looked and says that it is not. */
export async function refuseSecondBooking(tx: Tx, identity: string, looked: string | undefined): Promise<void> {
  if (looked) return;
  const other = await tx
    .selectFrom('unit')
    .innerJoin('job_unit', (on) => on.onRef('job_unit.unit_id', '=', 'unit.id').on('job_unit.role', '=', 'car'))
    .innerJoin('job', 'job.id', 'job_unit.job_id')
    .select(['job.number', 'unit.name'])
    .where('unit.identity', '=', identity)
    .where('job_unit.left_at', 'is', null)
    .where('job.closed_at', 'is', null)
    .where('job.withdrawn_at', 'is', null)
    .executeTakeFirst();
  if (other)
    throw badInput({
      'car.identity': `${other.number} ${other.name} has this number and is open. If it is another car, say who looked, and at what.`,
    });
}

/** The car's own engine does not leave its job while what the new one needs of it is not taken. */
export async function refuseKeptEngine(tx: Tx, jobId: string, unitId: string): Promise<void> {
  const serves = await tx
    .selectFrom('job_unit')
    .select('role')
    .where('job_id', '=', jobId)
    .where('unit_id', '=', unitId)
    .where('role', '=', 'own-engine')
    .where('left_at', 'is', null)
    .executeTakeFirst();
  if (!serves) return;
  const { rows } = await sql<{ status: string | null }>`
    select data->>'status' as status from recorded where bearer_id = ${jobId} and kind = 'task' and key = 'rm-keep-list'`.execute(
    tx,
  );
  if (!['done', 'waived'].includes(rows[0]?.status ?? ''))
    throw new Refusal(
      409,
      `"${shortTitleOf('rm-keep-list')}" is open: the engine leaves when what the new one needs of it is taken, or when that step is called not needed.`,
    );
}
