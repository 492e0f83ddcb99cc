import { sql } from 'kysely';
import type { ForecastRead } from '@bay/core/fit';
import type { Tx } from '../db/connection.ts';

/** How many of the last records of trial fits are looked through. */
const last = 1000;

/** Gaps that were read in this shop with the forecast that stood there then, the newest first. */
export async function forecastsRead(tx: Tx): Promise<ForecastRead[]> {
  const { rows } = await sql<ForecastRead>`
    select "interfaceId", (trial->>'gapMm')::float8 as "gapMm", (trial->>'forecastMm')::float8 as "forecastMm" from (
      select coalesce(r.data->>'interfaceId', r.key) as "interfaceId", coalesce(r.data->'read', r.data->'trial') as trial,
        r.data->'withdrawn' as withdrawn
      from record r where r.kind in ('gap', 'fit') order by r.at desc limit ${last}
    ) t where withdrawn is null and trial->>'gapMm' is not null and trial->>'forecastMm' is not null`.execute(tx);
  return rows;
}
