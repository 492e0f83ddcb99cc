import { sql } from 'kysely';
import { historyOf } from '@bay/core/clock';
import type { ShopHistory, StationHours } from '@bay/core/clock';
import { unlogged } from '@bay/core/money';
import type { Tx } from '../db/connection.ts';
import { withMoney } from '../db/sees-money.ts';

/** So many closed jobs are looked at, the last first: what was usual long ago teaches nothing of today. */
const lookedAt = 60;

/** What the last closed jobs took beside what their accepted quote reckoned, by station; waiting is not work. */
export async function historyNow(tx: Tx): Promise<ShopHistory> {
  const { rows } = await withMoney(tx, () =>
    sql<{ reckoned: StationHours | null; taken: StationHours | null }>`
      select coalesce(q.content->'reckoned', (
          select jsonb_object_agg(s.station, s.hours) from (
            select l->>'group' as station, sum((l->>'hours')::numeric) as hours from jsonb_array_elements(q.content->'lines') l
            where l->>'section' = 'work' and l ? 'hours' group by 1) s)) as reckoned,
        (select jsonb_object_agg(c.station, c.hours) from (
            select station, sum(extract(epoch from ended_at - started_at)) / 3600 as hours from clock
            where clock.shop_id = j.shop_id and clock.job_id = j.id and ended_at is not null and work <> 'waiting' group by 1) c) as taken
      from (select shop_id, id from job where closed_at is not null and withdrawn_at is null order by closed_at desc limit ${lookedAt}) j
      cross join lateral (
        select content from quote where quote.shop_id = j.shop_id and quote.job_id = j.id and state = 'accepted' order by number desc limit 1) q`.execute(
      tx,
    ),
  );
  const more = 1 + (unlogged[0] + unlogged[1]) / 2;
  return historyOf(
    rows.map(({ reckoned, taken }) => ({
      reckoned: reckoned ?? {},
      // Nobody clocks the clearing away: what a quote reckons with it is compared with it.
      taken: Object.fromEntries(Object.entries(taken ?? {}).map(([station, hours]) => [station, hours * more])),
    })),
  );
}
