import { sql } from 'kysely';
import type { RawBuilder } from 'kysely';
import type { JobHead, UnitRole } from '@bay/contract/jobs';
import type { StationId } from '@bay/core/jobs';
import type { Tx } from '../db/connection.ts';
import { notFound, Refusal } from '../http/problem.ts';

export interface HeadRow {
  id: string;
  number: string;
  car_name: string;
  engine_name: string | null;
  customer: string;
  wish: string;
  faults: string;
  bay: string | null;
  promised: string | null;
  station: string;
  signed: string[];
  revision: number;
  opened_at: Date | string;
  closed_at: Date | string | null;
}

const iso = (at: Date | string): string => new Date(at).toISOString();

const head = (row: HeadRow): JobHead => ({
  id: row.id,
  number: row.number,
  carName: row.car_name,
  engineName: row.engine_name,
  customer: row.customer,
  wish: row.wish,
  faults: row.faults,
  bay: row.bay,
  promised: row.promised,
  station: row.station as StationId,
  signedStations: row.signed as StationId[],
  revision: row.revision,
  openedAt: iso(row.opened_at),
  closedAt: row.closed_at ? iso(row.closed_at) : null,
});

const headSql = sql`
  select job.id, job.number, job.wish, job.faults, job.bay, job.promised::text, job.station, job.signed, job.revision, job.opened_at, job.closed_at, customer.name as customer,
    (select unit.name from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = job.id and ju.role = 'car' and ju.left_at is null) as car_name,
    (select unit.name from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = job.id and ju.role = 'engine' and ju.left_at is null) as engine_name
  from job join customer on customer.id = job.customer_id`;

/** The row of a job's head inside another question, as JSON; `null` where the shop does not have it. */
export const headJson = (jobId: string): RawBuilder<HeadRow | null> =>
  sql`(select row_to_json(h) from (${headSql} where job.id = ${jobId} and job.withdrawn_at is null) h)`;

/** A head that was read so. Refuses with "not here" what the shop does not have. */
export function headOf(row: HeadRow | null): JobHead {
  if (!row) throw notFound('This job');
  return head(row);
}

/** One job as lists and heads show it. Refuses with "not here" what the shop does not have. */
export async function readHead(tx: Tx, jobId: string): Promise<JobHead> {
  const { rows } = await sql<HeadRow>`${headSql} where job.id = ${jobId} and job.withdrawn_at is null`.execute(tx);
  return headOf(rows[0] ?? null);
}

/** Open jobs that stand in a bay, by the bay. */
export async function readInBays(tx: Tx): Promise<JobHead[]> {
  const { rows } =
    await sql<HeadRow>`${headSql} where job.closed_at is null and job.withdrawn_at is null and job.bay is not null order by job.bay, job.number`.execute(
      tx,
    );
  return rows.map(head);
}

const inYard = sql`job.closed_at is null and job.withdrawn_at is null and job.bay is null`;

/** A page of the open jobs that wait outside, by their number; `after` is the number of the last one already shown. */
export async function readYard(tx: Tx, after: string | undefined, limit: number): Promise<JobHead[]> {
  const { rows } =
    await sql<HeadRow>`${headSql} where ${inYard} and job.number > ${after ?? ''} order by job.number limit ${limit}`.execute(
      tx,
    );
  return rows.map(head);
}

export async function countOpenInYard(tx: Tx): Promise<number> {
  const { rows } = await sql<{ n: number }>`select count(*)::int as n from job where ${inYard}`.execute(tx);
  return rows[0]!.n;
}

/** Open jobs by their ids. */
export async function readOpenOf(tx: Tx, jobIds: readonly string[]): Promise<JobHead[]> {
  if (jobIds.length === 0) return [];
  const { rows } =
    await sql<HeadRow>`${headSql} where job.id = any(${sql.val(jobIds)}::uuid[]) and job.closed_at is null and job.withdrawn_at is null`.execute(
      tx,
    );
  return rows.map(head);
}

/** A page of the finished jobs, the last closed first; `before` is when the last one shown was closed. */
export async function readFinished(
  tx: Tx,
  before: string | undefined,
  limit: number,
): Promise<{ jobs: JobHead[]; more: boolean }> {
  const { rows } = await sql<HeadRow>`
    ${headSql} where job.closed_at is not null and job.withdrawn_at is null and job.closed_at < ${before ?? 'infinity'}::timestamptz
    order by job.closed_at desc limit ${limit + 1}`.execute(tx);
  return { jobs: rows.slice(0, limit).map(head), more: rows.length > limit };
}

/** The unit of a job in a role. Refuses, with what to do, when there is none. */
export async function unitInRole(tx: Tx, jobId: string, role: UnitRole): Promise<{ id: string; kind: string }> {
  const unit = await tx
    .selectFrom('job_unit')
    .innerJoin('unit', 'unit.id', 'job_unit.unit_id')
    .select(['unit.id', 'unit.kind'])
    .where('job_id', '=', jobId)
    .where('role', '=', role)
    .where('left_at', 'is', null)
    .executeTakeFirst();
  if (!unit) throw new Refusal(409, `This job has no ${role.replaceAll('-', ' ')} yet. Add it first.`);
  return unit;
}

/** A job's row lock: writes on one job take turns, so that two of them never cross. Lines that only speak of the job pass. */
export async function holdJob(tx: Tx, jobId: string): Promise<void> {
  const job = await tx
    .selectFrom('job')
    .select('id')
    .where('id', '=', jobId)
    .where('withdrawn_at', 'is', null)
    .forNoKeyUpdate()
    .executeTakeFirst();
  if (!job) throw notFound('This job');
}

/** The same for a unit, where what is written hangs on it and not on one job. */
export async function holdUnit(tx: Tx, unitId: string): Promise<void> {
  const unit = await tx.selectFrom('unit').select('id').where('id', '=', unitId).forNoKeyUpdate().executeTakeFirst();
  if (!unit) throw notFound('This unit');
}
