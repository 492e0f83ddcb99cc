import { sql } from 'kysely';
import type { RawBuilder } from 'kysely';
import type { UnitRole } from '@bay/contract/jobs';
import type { RecordKind, RecordRow } from '@bay/contract/records';
import { recordSchemas } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';
import { badInput, fieldsOf, notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { momentOf, writeLogEntry } from '../commands/run.ts';
import { unitInRole } from '../jobs/store.ts';
import { ruleOf } from './kinds.ts';
import { keepMoney, withoutMoney } from './money.ts';

/** A job's row lock: writes on one job take turns, so that two of them never cross. Lines that only speak of the job pass. */
export async function holdJob(tx: Tx, jobId: string): Promise<void> {
  const job = await tx.selectFrom('job').select('id').where('id', '=', jobId).forNoKeyUpdate().executeTakeFirst();
  if (!job) throw notFound('This job');
}

/** A record hangs on the job itself or on a unit that serves it. */
const bearers = (jobId: string): RawBuilder<boolean> =>
  sql`(record.bearer_id = ${jobId} or record.bearer_id in (select unit_id from job_unit where job_id = ${jobId} and left_at is null))`;

/** A record as it is now, wherever on the job it hangs. */
export async function findRecord(tx: Tx, jobId: string, kind: RecordKind, key: string) {
  return tx
    .selectFrom('record')
    .innerJoin('person', 'person.id', 'record.by_id')
    .select(['record.bearer_id', 'record.data', 'record.revision', 'record.at', 'person.name as by'])
    .where(bearers(jobId))
    .where('kind', '=', kind)
    .where('key', '=', key)
    .executeTakeFirst();
}

export interface RecordWrite {
  jobId: string;
  kind: RecordKind;
  key: string;
  data: Record<string, unknown>;
  /** Revision the writer saw; 0 when there was none. */
  revision: number;
  /** Only the demo loader writes in the past. */
  at?: Date | undefined;
}

/** Writes one record and its line in the logbook. Refuses an old revision with the row as it is now. */
export async function writeRecord(tx: Tx, caller: Caller, write: RecordWrite): Promise<RecordRow> {
  const { jobId, kind, key } = write;
  const schema = recordSchemas[kind];
  const read = schema.safeParse(write.data);
  if (!read.success) throw badInput(fieldsOf(read.error));
  await holdJob(tx, jobId);
  const now = await findRecord(tx, jobId, kind, key);
  if ((now?.revision ?? 0) !== write.revision) {
    const current: RecordRow | null = now
      ? { kind, key, data: withoutMoney(caller, kind, now.data), revision: now.revision, by: now.by, at: now.at.toISOString() }
      : null;
    throw new Refusal(409, now ? `${now.by} changed this meanwhile.` : 'This was removed meanwhile.', { current });
  }
  const at = momentOf(caller, write.at);
  const rule = ruleOf(kind);
  const context = { key, before: now?.data as never, caller, at: at.toISOString() };
  const data = keepMoney(caller, kind, (rule.prepare?.(read.data as never, context) ?? read.data) as Record<string, unknown>, now?.data);
  const on: UnitRole | undefined = rule.bearer?.(data as never);
  const bearer = now?.bearer_id ?? (on ? (await unitInRole(tx, jobId, on)).id : jobId);
  const revision = write.revision + 1;
  const row = { data: JSON.stringify(data), revision, by_id: caller.personId, at, job_id: jobId };
  // A unit may serve two jobs, whose locks do not exclude each other: the revision is looked at once more in the write itself.
  const written = await tx
    .insertInto('record')
    .values({ shop_id: caller.shopId, bearer_id: bearer, kind, key, ...row })
    .onConflict((c) => c.columns(['bearer_id', 'kind', 'key']).doUpdateSet(row).where('record.revision', '=', write.revision))
    .returning('revision')
    .executeTakeFirst();
  if (!written) throw new Refusal(409, 'Somebody changed this meanwhile, on another job that this unit serves. Load it again.');
  await writeLogEntry(tx, caller, {
    jobId,
    kind: typeof rule.logKind === 'function' ? rule.logKind(data as never, context) : rule.logKind,
    station: rule.station,
    text: rule.describe(data as never, context),
    about: rule.about?.(data as never, key) ?? key,
    data: { record: kind, key, revision, ...(now ? { before: now.data } : {}) },
    at: write.at,
  });
  await rule.after?.(tx, data as never, { ...context, jobId });
  return { kind, key, data: withoutMoney(caller, kind, data), revision, by: caller.name, at: at.toISOString() };
}
