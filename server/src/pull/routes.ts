import { sql } from 'kysely';
import * as contract from '@bay/contract/pull';
import type { FoundBefore } from '@bay/contract/pull';
import type { Registry } from '../http/register.ts';
import { readHead } from '../jobs/store.ts';

/** So many findings of the shop, the newest, say what to expect. */
const most = 500;

export function pullRoutes(on: Registry): void {
  on.shop(contract.readFoundBefore, async (tx, { params: { jobId } }) => {
    await readHead(tx, jobId);
    const { rows } = await sql<FoundBefore>`
      select step, count(*)::int as times, percentile_cont(0.5) within group (order by minutes) as minutes,
        coalesce((select jsonb_agg(distinct way) from unnest(array_agg(ways)) of_one, jsonb_array_elements(of_one) way), '[]') as ways
      from (
        select data->>'step' as step, (data->>'extraMinutes')::float as minutes, data->'ways' as ways, job_id, data->'removed' as removed
        from record where kind = 'snag' order by at desc limit ${most}) last
      where job_id <> ${jobId} and removed is null
      group by step order by times desc, step limit 100`.execute(tx);
    return { found: rows };
  });
}
