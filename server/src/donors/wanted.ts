import { sql } from 'kysely';
import { kitFilledBy, kitOfDonors } from '@bay/core/donors';
import type { WantedElsewhere } from '@bay/contract/donors';
import type { Tx } from '../db/connection.ts';

/** What other open jobs want that a donor can give: found by an index of what is wanted. */

const most = 200;

/** Wants of open jobs but this one, each line looked up by itself; of some kit lines only where they are named. */
export async function wantedBut(
  tx: Tx,
  jobId: string,
  kitIds: readonly string[] = kitOfDonors,
): Promise<WantedElsewhere[]> {
  if (kitIds.length === 0) return [];
  const { rows } = await sql<WantedElsewhere>`
    select k.key as "kitId", job.id as "jobId", job.number, k.options,
      coalesce((select u.name from job_unit ju join unit u on u.shop_id = ju.shop_id and u.id = ju.unit_id
        where ju.shop_id = job.shop_id and ju.job_id = job.id and ju.role = 'car' and ju.left_at is null limit 1), '') as "carName"
    from unnest(${sql.val([...kitIds])}::text[]) as line (kit)
      cross join lateral (select shop_id, job_id, key, options from kit_line
        where key = line.kit and status in ('wanted', 'sent-back') limit ${most}) k
      join job on job.shop_id = k.shop_id and job.id = k.job_id
    where k.job_id <> ${jobId} and job.closed_at is null and job.withdrawn_at is null
    order by job.number, k.key limit ${most}`.execute(tx);
  return rows;
}

/** What stands against a part of a donor leaving the shop, in a sentence; nothing where no open job wants such a one. */
export async function wantedInstead(tx: Tx, jobId: string, takeId: string, title: string): Promise<string | undefined> {
  const wants = await wantedBut(tx, jobId, kitFilledBy(takeId));
  if (wants.length === 0) return undefined;
  const jobs = [...new Set(wants.map((w) => w.number))];
  const said = `${jobs.slice(0, 3).join(', ')}${jobs.length > 3 ? ` and ${jobs.length - 3} more` : ''}`;
  return `Job ${said} wants what ${title} may be: keep it for that job, or say in the note why it does not suit.`;
}
