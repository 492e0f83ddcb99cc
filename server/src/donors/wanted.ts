import { sql } from 'kysely';
import { harvestParts, kitFilledBy, kitOfDonors } from '@bay/core/donors';
import type { WantedElsewhere } from '@bay/contract/donors';
import type { Tx } from '../db/connection.ts';

/** What other open jobs want that a donor can give: found by an index of what is wanted. */

const most = 200;

const ofCar = sql`coalesce((select u.name from job_unit ju join unit u on u.shop_id = ju.shop_id and u.id = ju.unit_id
  where ju.shop_id = job.shop_id and ju.job_id = job.id and ju.role = 'car' and ju.left_at is null limit 1), '') as "carName"`;
const openElsewhere = (jobId: string) => sql`job.id <> ${jobId} and job.closed_at is null and job.withdrawn_at is null`;

/** Wants of open jobs but this one, each line looked up by itself; of some kit lines and lines of the harvest only where they are named. */
export async function wantedBut(
  tx: Tx,
  jobId: string,
  kitIds: readonly string[] = kitOfDonors,
  takeIds: readonly string[] = harvestParts.map((p) => p.id),
): Promise<WantedElsewhere[]> {
  const { rows } = await sql<WantedElsewhere>`
    select * from (
    select k.key as "kitId", null as "takeId", null as what, job.id as "jobId", job.number, k.options, ${ofCar}
    from unnest(${sql.val([...kitIds])}::text[]) as line (kit)
      cross join lateral (select shop_id, job_id, key, options from kit_line
        where key = line.kit and status in ('wanted', 'sent-back') limit ${most}) k
      join job on job.shop_id = k.shop_id and job.id = k.job_id
    where ${openElsewhere(jobId)}
    union all
    select null, line.take, w.data->>'what', job.id, job.number, null, ${ofCar}
    from unnest(${sql.val([...takeIds])}::text[]) as line (take)
      cross join lateral (select shop_id, job_id, data from record
        where kind = 'donor-want' and data->>'takeId' = line.take and data->'ended' is null limit ${most}) w
      join job on job.shop_id = w.shop_id and job.id = w.job_id
    where ${openElsewhere(jobId)}) wants
    order by number, "kitId", "takeId", what limit ${most}`.execute(tx);
  return rows;
}

/** What stands against a part of a donor leaving the shop, in a sentence; nothing where no open job wants such a one. */
export async function wantedInstead(tx: Tx, jobId: string, takeId: string, title: string): Promise<string | undefined> {
  const kit = kitFilledBy(takeId);
  const wants = takeId === '' ? [] : await wantedBut(tx, jobId, kit, [takeId]);
  if (wants.length === 0) return undefined;
  const jobs = [...new Set(wants.map((w) => w.number))];
  const said = `${jobs.slice(0, 3).join(', ')}${jobs.length > 3 ? ` and ${jobs.length - 3} more` : ''}`;
  return `Job ${said} wants what ${title} may be: keep it for that job, or say in the note why it does not suit.`;
}
