import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import type { Unit, UnitRole } from '@bay/contract/jobs';
import { severalRoles } from '@bay/core/jobs';
import type { UnitKind } from '@bay/core/jobs';
import { noteChange } from '../commands/run.ts';
import type { Tx } from '../db/connection.ts';
import { notFound, Refusal } from '../http/problem.ts';
import type { Caller } from '../http/register.ts';
import { holdJob } from './store.ts';

/** Adds a unit to the shop; gives its id. */
export async function insertUnit(
  tx: Tx,
  caller: Caller,
  u: { kind: 'car' | 'engine' | 'gearbox' | 'computer' | 'loom'; name: string; identity: string | null; place: string },
): Promise<string> {
  const unitId = randomUUID();
  noteChange(caller, { kind: 'unit', unitId });
  await tx
    .insertInto('unit')
    .values({ id: unitId, shop_id: caller.shopId, ...u })
    .execute();
  return unitId;
}

/** Lets a unit serve a job; refuses a role that another unit holds, and a unit that serves in it already. */
export async function putInRole(tx: Tx, caller: Caller, jobId: string, unitId: string, role: UnitRole): Promise<void> {
  // Two that come at once take turns: the second sees who stands there.
  await holdJob(tx, jobId);
  if (!severalRoles.has(role)) {
    const holder = await tx
      .selectFrom('job_unit')
      .innerJoin('unit', 'unit.id', 'job_unit.unit_id')
      .select(['unit.name', 'unit.id'])
      .where('job_id', '=', jobId)
      .where('role', '=', role)
      .where('left_at', 'is', null)
      .executeTakeFirst();
    if (holder && holder.id !== unitId)
      throw new Refusal(409, `${holder.name} is already there as ${role.replaceAll('-', ' ')}. Move it away first.`);
  }
  noteChange(caller, { kind: 'job' });
  const came = await tx
    .insertInto('job_unit')
    .values({ shop_id: caller.shopId, job_id: jobId, unit_id: unitId, role })
    .onConflict((c) => c.doNothing())
    .returning('unit_id')
    .executeTakeFirst();
  if (!came) throw new Refusal(409, `It is on this job already as ${role.replaceAll('-', ' ')}.`);
}

const unitColumns = sql`unit.id, unit.kind, unit.name, unit.identity, unit.place,
  coalesce((select json_agg(json_build_object('jobId', job.id, 'number', job.number, 'role', ju.role) order by job.number)
    from job_unit ju join job on job.id = ju.job_id where ju.unit_id = unit.id and ju.left_at is null), '[]') as jobs`;

export async function readUnit(tx: Tx, unitId: string): Promise<Unit> {
  const { rows } = await sql<Unit>`select ${unitColumns} from unit where unit.id = ${unitId}`.execute(tx);
  if (!rows[0]) throw notFound('This unit');
  return rows[0];
}

export interface UnitQuery {
  q: string;
  kind?: UnitKind | undefined;
  free?: boolean | undefined;
  after?: string | undefined;
  limit: number;
}

/** A page of the units by kind and name; with words, those whose name, number or place holds them. */
export async function readUnitPage(
  tx: Tx,
  { q, kind, free, after, limit }: UnitQuery,
): Promise<{ units: Unit[]; more: boolean }> {
  const has = q === '' ? sql`true` : sql`id in (select units_with_words(${q}, ${mostFound}))`;
  const ofKind = kind ? sql`kind = ${kind}` : sql`true`;
  const onShelf = free
    ? sql`not exists (select 1 from job_unit ju where ju.shop_id = unit.shop_id and ju.unit_id = unit.id and ju.left_at is null)`
    : sql`true`;
  const from = after ? sql`(kind, name, id) > (select kind, name, id from unit where id = ${after})` : sql`true`;
  // The page is cut before its jobs are looked up: what is not shown costs nothing.
  const { rows } = await sql<Unit>`
    select ${unitColumns} from (
      select * from unit where ${has} and ${ofKind} and ${onShelf} and ${from} order by kind, name, id limit ${limit + 1}
    ) unit order by unit.kind, unit.name, unit.id`.execute(tx);
  return { units: rows.slice(0, limit), more: rows.length > limit };
}

/** A search gives the first of these; whoever has more types one word more. */
const mostFound = 400;

export async function countUnits(tx: Tx): Promise<Record<UnitKind, number>> {
  const { rows } = await sql<{
    kind: UnitKind;
    n: number;
  }>`select kind, count(*)::int as n from unit group by kind`.execute(tx);
  return { car: 0, engine: 0, gearbox: 0, computer: 0, loom: 0, ...Object.fromEntries(rows.map((r) => [r.kind, r.n])) };
}
