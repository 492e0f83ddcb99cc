import { sql } from 'kysely';
import type { RawBuilder } from 'kysely';
import type { FactRow } from '@bay/contract/facts';
import type { JobSheet } from '@bay/contract/jobs';
import type { RecordRow } from '@bay/contract/records';
import { computePlan, planInputOf } from '@bay/core/plan';
import type { JobMaterial, Plan } from '@bay/core/plan';
import type { Tx } from '../db/connection.ts';
import { notFound } from '../http/problem.ts';
import { readNames, shownRow } from '../records/shown.ts';
import type { Names } from '../records/shown.ts';
import { readShopRules } from './shop-rules.ts';
import { readShopSchools } from '../schools/store.ts';

/** What plans are computed from: units, facts and records of jobs, each read by index whatever else lies in the database. */

export const utc = (column: RawBuilder<unknown>): RawBuilder<string> =>
  sql<string>`to_char(${column} at time zone 'utc', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`;

export type RawRecord = Omit<RecordRow, 'data'> & { data: Record<string, unknown> };

export const factJson = sql<FactRow>`json_build_object('bearerId', f.bearer_id, 'factId', f.fact_id, 'parts', f.parts, 'typed', f.typed, 'source', f.source, 'note', f.note,
  'by', p.name, 'at', ${utc(sql`f.at`)}, 'revision', f.revision)`;
/** The order in which things stand wherever they are read: as they were written last, so that two readings of the same are the same. */
export const unitOrder = sql`ju.role, unit.name, unit.id`;
export const factOrder = sql`f.at, f.fact_id, f.bearer_id`;
export const recordOrder = sql`r.at, r.kind, r.key, r.bearer_id`;
export const recordJson = (
  onRole: RawBuilder<unknown>,
) => sql<RawRecord>`json_build_object('kind', r.kind, 'key', r.key, 'data', r.data, 'revision', r.revision,
  'on', ${onRole}, 'by', p.name, 'at', ${utc(sql`r.at`)})`;

/** Units of jobs, by the job. */
export async function readUnits(tx: Tx, jobIds: readonly string[]): Promise<Map<string, JobSheet['units']>> {
  const { rows } = await sql<{ job_id: string; unit: JobSheet['units'][number] }>`
    select ju.job_id, json_build_object('id', unit.id, 'kind', unit.kind, 'role', ju.role, 'name', unit.name, 'identity', unit.identity, 'place', unit.place) as unit
    from unnest(${sql.val(jobIds)}::uuid[]) wanted(id) join job_unit ju on ju.job_id = wanted.id and ju.left_at is null join unit on unit.id = ju.unit_id
    order by ${unitOrder}`.execute(tx);
  const units = new Map<string, JobSheet['units']>(jobIds.map((id) => [id, []]));
  for (const { job_id, unit } of rows) units.get(job_id)!.push(unit);
  return units;
}

/** Which rows are wanted: all that hang on these bearers, or only those named. */
export interface Wanted {
  facts?: readonly string[] | undefined;
  records?: readonly { kind: string; key: string }[] | undefined;
}

/** Facts that hang on some units or jobs. An array of ids is looked up one by one in the index, never by reading the table. */
export async function readFacts(tx: Tx, bearers: readonly string[], only?: readonly string[]): Promise<FactRow[]> {
  const named = only ? sql`and f.fact_id = any(${sql.val(only)})` : sql``;
  const { rows } = await sql<{ row: FactRow }>`
    select ${factJson} as row from fact f join person p on p.id = f.by_id where f.bearer_id = any(${sql.val(bearers)}::uuid[]) ${named} order by ${factOrder}`.execute(
    tx,
  );
  return rows.map((r) => r.row);
}

/** Records that hang on some units or jobs, by the bearer: looked up one bearer after the other, in each table by its index. */
export async function readRecords(
  tx: Tx,
  bearers: readonly string[],
  only?: readonly { kind: string; key: string }[],
): Promise<Map<string, RawRecord[]>> {
  const named = only
    ? sql`and (r.kind, r.key) in (select * from unnest(${sql.val(only.map((o) => o.kind))}::text[], ${sql.val(only.map((o) => o.key))}::text[]))`
    : sql``;
  const { rows } = await sql<{ bearer_id: string; row: RawRecord }>`
    select r.bearer_id, ${recordJson(sql`null`)} as row
    from unnest(${sql.val(bearers)}::uuid[]) b(id) join recorded r on r.bearer_id = b.id ${named} join person p on p.id = r.by_id
    order by ${recordOrder}`.execute(tx);
  const byBearer = new Map<string, RawRecord[]>();
  for (const { bearer_id, row } of rows) byBearer.set(bearer_id, [...(byBearer.get(bearer_id) ?? []), row]);
  return byBearer;
}

export type Material = Pick<JobSheet, 'units' | 'facts' | 'records'>;

/** The records of one job: its own, and those of its units with the role in which each serves. */
export const recordsOfJob = (
  jobId: string,
  units: JobSheet['units'],
  byBearer: ReadonlyMap<string, RawRecord[]>,
  names: Names,
): RecordRow[] => [
  ...(byBearer.get(jobId) ?? []).map((r) => shownRow(r, names)),
  ...units.flatMap((u) => (byBearer.get(u.id) ?? []).map((r) => shownRow({ ...r, on: u.role }, names))),
];

/** What the plans of several jobs are computed from, in four questions for all of them. */
export async function readMaterial(
  tx: Tx,
  jobIds: readonly string[],
  wanted: Wanted = {},
): Promise<Map<string, Material>> {
  if (jobIds.length === 0) return new Map();
  const units = await readUnits(tx, jobIds);
  const bearers = [...jobIds, ...[...units.values()].flat().map((u) => u.id)];
  const facts = await readFacts(tx, bearers, wanted.facts);
  const records = await readRecords(tx, bearers, wanted.records);
  const names = await readNames(tx);
  const factsOf = new Map<string, FactRow[]>();
  for (const fact of facts) factsOf.set(fact.bearerId, [...(factsOf.get(fact.bearerId) ?? []), fact]);
  return new Map(
    jobIds.map((jobId): [string, Material] => {
      const own = units.get(jobId)!;
      const mine = new Set([jobId, ...own.map((u) => u.id)]);
      return [
        jobId,
        {
          units: own,
          facts: [...mine].flatMap((id) => factsOf.get(id) ?? []),
          records: recordsOfJob(jobId, own, records, names),
        },
      ];
    }),
  );
}

/** All that the plan of one job is computed from. */
export async function jobMaterial(tx: Tx, jobId: string): Promise<JobMaterial & Material> {
  const material = (await readMaterial(tx, [jobId])).get(jobId)!;
  return { jobId, ...material, shopSchools: await readShopSchools(tx), shopRules: await readShopRules(tx) };
}

/** The plan of one job as it is at this moment, and what it was computed from. */
export async function planNow(tx: Tx, jobId: string): Promise<{ material: JobMaterial & Material; plan: Plan }> {
  const material = await jobMaterial(tx, jobId);
  return { material, plan: computePlan(planInputOf(material)) };
}

/** Facts of a unit and what was measured, tightened and found on it. */
export async function readKnowledgeOfUnit(tx: Tx, unitId: string): Promise<{ facts: FactRow[]; records: RecordRow[] }> {
  const unit = await tx.selectFrom('unit').select('id').where('id', '=', unitId).executeTakeFirst();
  if (!unit) throw notFound('This unit');
  const records = (await readRecords(tx, [unitId])).get(unitId) ?? [];
  const names = await readNames(tx);
  return {
    facts: await readFacts(tx, [unitId]),
    records: records.map((r) => shownRow(r, names)).sort((a, b) => (a.at < b.at ? -1 : 1)),
  };
}
