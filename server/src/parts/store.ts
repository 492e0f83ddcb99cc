import { sql } from 'kysely';
import type { Stored } from '@bay/contract/parts';
import type { Tx } from '../db/connection.ts';

/** What lies in the shop: parts, bags and units, found the same way. */

const page = 100;

export interface Sought {
  q: string;
  place?: string | undefined;
  jobId?: string | undefined;
  all: boolean;
  /** The last thing of the page before. */
  after?: { sort: Stored['sort']; title: string; id: string } | undefined;
}

type Row = Omit<Stored, 'since'> & { since: Date };

const ofCar = sql`(select u.name from job_unit ju join unit u on u.shop_id = ju.shop_id and u.id = ju.unit_id
  where ju.shop_id = job.shop_id and ju.job_id = job.id and ju.role = 'car' and ju.left_at is null limit 1)`;

/** A page of things by title; each of the three is asked for no more than a page. */
export async function readStore(
  tx: Tx,
  { q, place, jobId, all, after }: Sought,
): Promise<{ things: Stored[]; more: boolean }> {
  const most = page + 1;
  const inPlace = (column: string) => (place === undefined ? sql`` : sql`and ${sql.ref(column)} = ${place}`);
  // Units come last: behind one of them there is no part and no bag any more, and before one all units are.
  const behind = (kind: 'unit' | 'other', title: string, id: string) =>
    after === undefined
      ? sql``
      : (after.sort === 'unit') === (kind === 'unit')
        ? sql`and (${sql.ref(title)}, ${sql.ref(id)}) > (${after.title}, ${after.id})`
        : kind === 'unit'
          ? sql``
          : sql`and false`;
  const found = (table: 'part' | 'bag' | 'unit') =>
    q === ''
      ? sql.table(table)
      : sql`${sql.table(`${table}s_with_words`)}(${q}, ${most * 4}) hit join ${sql.table(table)} on ${sql.ref(`${table}.id`)} = hit`;
  const { rows } = await sql<Row>`
    select * from (
    select * from (
      select 'part' as sort, part.id, part.title, part.label, part.place, part.condition as detail, part.job_id as "jobId", job.number as "jobNumber", ${ofCar} as "carName",
        part.for_job as "forJobId", (select number from job f where f.shop_id = part.shop_id and f.id = part.for_job) as "forJobNumber", part.fate, part.at as since, part.key, part.revision
      from ${found('part')} join job on job.shop_id = part.shop_id and job.id = part.job_id
      where ${all ? sql`true` : sql`part.fate = 'here'`} ${inPlace('part.place')}
        ${jobId === undefined ? sql`` : sql`and (part.job_id = ${jobId} or part.for_job = ${jobId})`} ${behind('other', 'part.title', 'part.id')} order by part.title, part.id limit ${most}) parts
    union all select * from (
      select 'bag', bag.id, bag.what as title, bag.label, coalesce(bag.place, ''), coalesce(bag.count::text, ''), bag.job_id, job.number, ${ofCar}, null::uuid, null,
        case when bag.back_at is null then 'here' else 'fitted' end, bag.at, bag.key, bag.revision
      from ${found('bag')} join job on job.shop_id = bag.shop_id and job.id = bag.job_id
      where ${all ? sql`true` : sql`bag.back_at is null`} ${inPlace('bag.place')}
        ${jobId === undefined ? sql`` : sql`and bag.job_id = ${jobId}`} ${behind('other', 'bag.what', 'bag.id')} order by bag.what, bag.id limit ${most}) bags
    union all select * from (
      select 'unit', unit.id, unit.name, coalesce(unit.identity, ''), unit.place, unit.kind, ju.job_id, job.number, ${ofCar}, null::uuid, null, 'here', unit.created_at, unit.id::text, 0
      from ${found('unit')} left join job_unit ju on ju.shop_id = unit.shop_id and ju.unit_id = unit.id and ju.left_at is null
        left join job on job.shop_id = ju.shop_id and job.id = ju.job_id
      where unit.kind <> 'car' ${inPlace('unit.place')} ${jobId === undefined ? sql`` : sql`and ju.job_id = ${jobId}`} ${behind('unit', 'unit.name', 'unit.id')} order by unit.name, unit.id limit ${most}) units
    ) things order by sort = 'unit', title, id limit ${most}`.execute(tx);
  return {
    things: rows.slice(0, page).map(({ since, ...row }) => ({ ...row, since: since.toISOString() })),
    more: rows.length > page,
  };
}

/** Places with how much lies in each: parts and bags that are here, and units; by name. */
export async function readPlaces(tx: Tx): Promise<{ place: string; things: number; oldest: string }[]> {
  // A unit that stands in a car or a bay makes no place of the store by that; one on a shelf counts on it.
  const { rows } = await sql<{ place: string; things: number; oldest: Date }>`
    with lying as (
      select place, count(*) as n, min(at) as oldest from part where fate = 'here' and place <> '' group by place
      union all select place, count(*), min(at) from bag where back_at is null and place is not null and place <> '' group by place),
    known as (select place from lying union select name from store_place)
    select place, sum(n)::int as things, min(oldest) as oldest from (
      select * from lying
      union all select place, count(*), min(created_at) from unit where kind <> 'car' and place in (select place from known) group by place) all_places
    group by place order by place limit 400`.execute(tx);
  return rows.map(({ oldest, ...row }) => ({ ...row, oldest: oldest.toISOString() }));
}

/** The parts and bags that lie in a place, with the record of each. */
export async function lyingIn(tx: Tx, place: string): Promise<{ kind: 'part' | 'bag'; jobId: string; key: string }[]> {
  const { rows } = await sql<{ kind: 'part' | 'bag'; jobId: string; key: string }>`
    select 'part' as kind, job_id as "jobId", key from part where place = ${place} and fate = 'here'
    union all select 'bag', job_id, key from bag where place = ${place} and back_at is null
    order by "jobId", key limit 501`.execute(tx);
  return rows;
}
