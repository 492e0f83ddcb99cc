import { sql } from 'kysely';
import type { JobSheet } from '@bay/contract/jobs';
import type { ClockRow } from '@bay/contract/clock';
import { clockColumns, runningOnJob } from '../clock/store.ts';
import type { Tx } from '../db/connection.ts';
import { headJson, headOf, readHead } from '../jobs/store.ts';
import type { HeadRow } from '../jobs/store.ts';
import { entryJson, readPage } from '../logbook/store.ts';
import type { UnitRole } from '@bay/contract/jobs';
import { factJson, factOrder, readMaterial, recordJson, recordOrder, unitOrder } from '../plan/material.ts';
import type { Material, RawRecord, Wanted } from '../plan/material.ts';
import { shownRow } from '../records/shown.ts';

/** How many lines of the book come with a job. */
export const sheetLines = 80;

/**
 * One question, one answer, so that opening a job costs one round trip. Every part goes by the ids of the job and of its units
 * into an index; none reads more when the shop has more.
 */
const sheetSql = (jobId: string) => sql<{
  sheet: Omit<JobSheet, 'job' | 'records'> & {
    job: HeadRow | null;
    records: (RawRecord & { on: UnitRole | null })[];
    names: Record<string, string>;
  };
}>`
  with mine as materialized (
    select unit.id, unit.kind, ju.role, unit.name, unit.identity, unit.place from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = ${jobId} and ju.left_at is null
    order by ${unitOrder}
  ), bearer as materialized (select id, role from mine union all select ${jobId}::uuid, null),
  people as materialized (select id, name, initials from person)
  select json_build_object(
    'job', ${headJson(jobId)},
    'units', coalesce((select json_agg(mine) from mine), '[]'),
    'facts', coalesce((select json_agg(${factJson} order by ${factOrder}) from (select distinct id from bearer) b join fact f on f.bearer_id = b.id join people p on p.id = f.by_id), '[]'),
    'records', coalesce((select json_agg(${recordJson(sql`b.role`)} order by ${recordOrder}) from bearer b join recorded r on r.bearer_id = b.id join people p on p.id = r.by_id), '[]'),
    'shopSchools', coalesce((select json_object_agg(question, side) from shop_school), '{}'),
    'shopRules', coalesce((select json_agg(json_build_object('id', id, 'line', line, 'when', condition) order by id) from shop_rule where ended_at is null), '[]'),
    'log', coalesce((select json_agg(${entryJson} order by l.id) from (select * from log_entry where job_id = ${jobId} order by id desc limit ${sheetLines}) l join person p on p.id = l.by_id), '[]'),
    'running', coalesce((select json_agg(${clockColumns} order by c.started_at) from clock c join people p on p.id = c.person_id where c.job_id = ${jobId} and c.ended_at is null), '[]'),
    'names', coalesce((select json_object_agg(id, name) from people), '{}')
  ) as sheet`;

/** Everything on a job that a plan is computed from, and the last lines of its book. */
export async function readSheet(tx: Tx, jobId: string): Promise<JobSheet> {
  const { rows } = await sheetSql(jobId).execute(tx);
  const { names, records, job: row, ...sheet } = rows[0]!.sheet;
  const job = headOf(row);
  const byId = new Map(Object.entries(names));
  const shown = records.map(({ on, ...r }) => shownRow(on === null ? r : { ...r, on }, byId));
  return { job, ...sheet, records: shown };
}

export interface PartsWanted extends Wanted {
  head?: boolean | undefined;
  /** Lines written after this one. */
  logAfter?: number | undefined;
  running?: boolean | undefined;
}

export interface SheetParts {
  job?: JobSheet['job'] | undefined;
  units?: JobSheet['units'] | undefined;
  facts: JobSheet['facts'];
  records: JobSheet['records'];
  log: JobSheet['log'];
  running?: ClockRow[] | undefined;
}

/** Only those parts of a sheet that a change named: what a device patches into what it has. */
export async function readParts(tx: Tx, jobId: string, wanted: PartsWanted): Promise<SheetParts> {
  const job = await readHead(tx, jobId);
  const some = (wanted.facts?.length ?? 0) + (wanted.records?.length ?? 0) > 0;
  const none: Material = { units: [], facts: [], records: [] };
  const material =
    some || wanted.head
      ? ((await readMaterial(tx, [jobId], { facts: wanted.facts ?? [], records: wanted.records ?? [] })).get(jobId) ??
        none)
      : none;
  return {
    ...(wanted.head ? { job, units: material.units } : {}),
    facts: material.facts,
    records: material.records,
    log:
      wanted.logAfter === undefined
        ? []
        : (await readPage(tx, jobId, undefined, sheetLines, { after: wanted.logAfter })).entries,
    ...(wanted.running ? { running: await runningOnJob(tx, jobId) } : {}),
  };
}

/** The bare questions of a sheet, for measuring what the database alone takes. */
export const bareSheet = (jobId: string, bearers: readonly string[]) => [
  sql`select * from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = ${jobId} and ju.left_at is null`,
  sql`select * from fact where bearer_id = any(${sql.val(bearers)}::uuid[])`,
  sql`select * from recorded where bearer_id = any(${sql.val(bearers)}::uuid[])`,
  sql`select * from log_entry where job_id = ${jobId} order by id desc limit ${sheetLines}`,
];
