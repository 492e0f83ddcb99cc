import { sql } from 'kysely';
import type { JobSheet } from '@bay/contract/jobs';
import type { ClockRow } from '@bay/contract/clock';
import { runningOnJob } from '../clock/store.ts';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';
import { readPage } from '../logbook/store.ts';
import { readMaterial } from '../plan/material.ts';
import type { Material, Wanted } from '../plan/material.ts';
import { withoutMoney } from '../records/shown.ts';
import { readShopSchools } from '../schools/store.ts';

/** How many lines of the book come with a job. */
export const sheetLines = 80;

const asSeenBy = (caller: Caller, records: Material['records']): Material['records'] =>
  records.map((r) => ({ ...r, data: withoutMoney(caller, r.kind, r.data as unknown as Record<string, unknown>) }) as unknown as typeof r);

/** Everything on a job that a plan is computed from, and the last lines of its book. */
export async function readSheet(tx: Tx, caller: Caller, jobId: string): Promise<JobSheet> {
  const job = await readHead(tx, jobId);
  const material = (await readMaterial(tx, [jobId])).get(jobId)!;
  return {
    job,
    ...material,
    records: asSeenBy(caller, material.records),
    shopSchools: await readShopSchools(tx),
    log: (await readPage(tx, jobId, undefined, sheetLines)).entries,
    running: await runningOnJob(tx, jobId),
  };
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
export async function readParts(tx: Tx, caller: Caller, jobId: string, wanted: PartsWanted): Promise<SheetParts> {
  const job = await readHead(tx, jobId);
  const some = (wanted.facts?.length ?? 0) + (wanted.records?.length ?? 0) > 0;
  const none: Material = { units: [], facts: [], records: [] };
  const material =
    some || wanted.head ? ((await readMaterial(tx, [jobId], { facts: wanted.facts ?? [], records: wanted.records ?? [] })).get(jobId) ?? none) : none;
  return {
    ...(wanted.head ? { job, units: material.units } : {}),
    facts: material.facts,
    records: asSeenBy(caller, material.records),
    log: wanted.logAfter === undefined ? [] : (await readPage(tx, jobId, undefined, sheetLines, { after: wanted.logAfter })).entries,
    ...(wanted.running ? { running: await runningOnJob(tx, jobId) } : {}),
  };
}

/** The bare questions of a sheet, for measuring what the database alone takes. */
export const bareSheet = (jobId: string, bearers: readonly string[]) => [
  sql`select * from job_unit ju join unit on unit.id = ju.unit_id where ju.job_id = ${jobId} and ju.left_at is null`,
  sql`select * from fact where bearer_id = any(${sql.val(bearers)}::uuid[])`,
  sql`select * from record where bearer_id = any(${sql.val(bearers)}::uuid[])`,
  sql`select * from log_entry where job_id = ${jobId} order by id desc limit ${sheetLines}`,
];
