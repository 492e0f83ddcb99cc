import { sql } from 'kysely';
import type { JobHead, JobSheet, UnitRole } from '@bay/contract/jobs';
import type { StationId } from '@bay/core/jobs';
import { clockColumns } from '../clock/store.ts';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';
import { entryJson } from '../logbook/store.ts';
import { withoutMoney } from '../records/money.ts';
import { notFound, Refusal } from '../http/problem.ts';

interface HeadRow {
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

/** One job as lists and heads show it. Refuses with "not here" what the shop does not have. */
export async function readHead(tx: Tx, jobId: string): Promise<JobHead> {
  const { rows } = await sql<HeadRow>`${headSql} where job.id = ${jobId} and job.withdrawn_at is null`.execute(tx);
  if (!rows[0]) throw notFound('This job');
  return head(rows[0]);
}

/** Every job of the shop, the newest first. */
export async function readHeads(tx: Tx): Promise<JobHead[]> {
  const { rows } = await sql<HeadRow>`${headSql} where job.withdrawn_at is null order by job.bay nulls last, job.number`.execute(tx);
  return rows.map(head);
}

const factColumns = sql`json_build_object('bearerId', f.bearer_id, 'factId', f.fact_id, 'parts', f.parts, 'typed', f.typed, 'source', f.source, 'note', f.note, 'by', p.name, 'at', to_char(f.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'), 'revision', f.revision)`;
const recordColumns = sql`json_build_object('kind', r.kind, 'key', r.key, 'data', r.data, 'revision', r.revision, 'on', r.on_role, 'by', p.name, 'at', to_char(r.at at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"'))`;

/** The SQL of a job sheet: one question, one answer, so that opening a job costs one round trip. */
export const sheetSql = (jobId: string, logLines: number) => sql<{ sheet: Omit<JobSheet, 'job'> }>`
  with mine as (select unit.id, unit.kind, ju.role, unit.name, unit.identity, unit.place from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = ${jobId} and ju.left_at is null)
  select json_build_object(
    'units', coalesce((select json_agg(mine) from mine), '[]'),
    'facts', coalesce((select json_agg(${factColumns}) from fact f join person p on p.id = f.by_id where f.bearer_id = ${jobId} or f.bearer_id in (select id from mine)), '[]'),
    'records', coalesce((select json_agg(${recordColumns}) from (
      select *, null as on_role from record where bearer_id = ${jobId}
      union all select record.*, mine.role as on_role from record join mine on mine.id = record.bearer_id) r join person p on p.id = r.by_id), '[]'),
    'shopSchools', coalesce((select json_object_agg(question, side) from shop_school), '{}'),
    'log', coalesce((select json_agg(${entryJson} order by l.id) from (select * from log_entry where job_id = ${jobId} order by id desc limit ${logLines}) l join person p on p.id = l.by_id), '[]'),
    'running', coalesce((select json_agg(${clockColumns} order by c.started_at) from clock c join person p on p.id = c.person_id where c.job_id = ${jobId} and c.ended_at is null), '[]')
  ) as sheet`;

export async function readSheet(tx: Tx, caller: Caller, jobId: string, logLines = 80): Promise<JobSheet> {
  const job = await readHead(tx, jobId);
  const { rows } = await sheetSql(jobId, logLines).execute(tx);
  const { sheet } = rows[0]!;
  return { job, ...sheet, records: sheet.records.map((r) => ({ ...r, data: withoutMoney(caller, r.kind, r.data) })) };
}

export type Material = Pick<JobSheet, 'units' | 'facts' | 'records'>;

/** What the plans of several jobs are computed from, in three questions for all of them. */
export async function readMaterial(tx: Tx, jobIds: readonly string[]): Promise<Map<string, Material>> {
  const material = new Map<string, Material>(jobIds.map((id) => [id, { units: [], facts: [], records: [] }]));
  if (jobIds.length === 0) return material;
  const ids = sql`${sql.val(jobIds)}::uuid[]`;
  const units = await sql<{ job_id: string; unit: JobSheet['units'][number] }>`
    select ju.job_id, json_build_object('id', unit.id, 'kind', unit.kind, 'role', ju.role, 'name', unit.name, 'identity', unit.identity, 'place', unit.place) as unit
    from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = any(${ids}) and ju.left_at is null`.execute(tx);
  const records = await sql<{ job_id: string; row: JobSheet['records'][number] }>`
    select r.on_job as job_id, ${recordColumns} as row from (
      select *, bearer_id as on_job, null as on_role from record where bearer_id = any(${ids})
      union all select record.*, ju.job_id as on_job, ju.role as on_role from record join job_unit ju on ju.unit_id = record.bearer_id
        where ju.job_id = any(${ids}) and ju.left_at is null) r join person p on p.id = r.by_id`.execute(tx);
  const bearers = [...jobIds, ...units.rows.map((u) => u.unit.id)];
  const facts = await sql<{ row: JobSheet['facts'][number] }>`
    select ${factColumns} as row from fact f join person p on p.id = f.by_id where f.bearer_id = any(${sql.val(bearers)}::uuid[])`.execute(tx);
  for (const { job_id, unit } of units.rows) material.get(job_id)!.units.push(unit);
  for (const { job_id, row } of records.rows) material.get(job_id)!.records.push(row);
  for (const [jobId, m] of material) {
    const mine = new Set([jobId, ...m.units.map((u) => u.id)]);
    m.facts.push(...facts.rows.map((f) => f.row).filter((f) => mine.has(f.bearerId)));
  }
  return material;
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

/** Facts of a unit and what was measured, tightened and found on it. */
export async function readKnowledgeOfUnit(tx: Tx, unitId: string): Promise<Pick<JobSheet, 'facts' | 'records'>> {
  const unit = await tx.selectFrom('unit').select('id').where('id', '=', unitId).executeTakeFirst();
  if (!unit) throw notFound('This unit');
  const facts = await sql<{
    row: JobSheet['facts'][number];
  }>`select ${factColumns} as row from fact f join person p on p.id = f.by_id where f.bearer_id = ${unitId}`.execute(tx);
  const records = await sql<{
    row: JobSheet['records'][number];
  }>`select ${recordColumns} as row from (select *, null as on_role from record where bearer_id = ${unitId}) r join person p on p.id = r.by_id order by r.at`.execute(
    tx,
  );
  return { facts: facts.rows.map((r) => r.row), records: records.rows.map((r) => r.row) };
}
