import { sql } from 'kysely';
import type { RecordKind } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';

/**
 * Where records of a kind lie. Most are documents of one table; what outlives a job or is counted across jobs has a table with
 * real columns. The view `recorded` reads them all in one shape; here they are written.
 */
export interface Home {
  table: 'part' | 'bag' | 'kit_line';
  /** From the field of its data to the column. */
  columns: Readonly<Record<string, string>>;
  /** From an act to the beginning of the names of its two columns, who and when. */
  acts?: Readonly<Record<string, string>>;
  /** The thing has an id of its own in the whole shop, besides its key on the job. */
  id?: (key: string) => string;
}

export interface StoredRow {
  shopId: string;
  jobId: string;
  /** The job itself or the unit it hangs on. */
  bearerId: string;
  kind: RecordKind;
  key: string;
  data: Record<string, unknown>;
  byId: string;
  at: Date;
  halfSigned: boolean;
}

interface Signed {
  byId?: string;
  at?: string;
}

function columnsOf(home: Home, row: StoredRow): Record<string, unknown> {
  const data = row.data as Signed & Record<string, unknown>;
  const acts = Object.entries(home.acts ?? {}).flatMap(([act, column]) => {
    const done = data[act] as Signed | undefined;
    return [
      [`${column}_by_id`, done?.byId ?? null],
      [`${column}_at`, done?.at ?? null],
    ];
  });
  return {
    ...Object.fromEntries(Object.entries(home.columns).map(([field, column]) => [column, data[field] ?? null])),
    ...Object.fromEntries(acts),
    signed_by_id: data.byId ?? null,
    signed_at: data.at ?? null,
  };
}

/**
 * Writes a row where the one that was seen still stands (revision 0: where none was). False when somebody was faster: a unit may
 * serve two jobs, whose locks do not exclude each other, so the revision is looked at once more in the write itself.
 */
export async function storeRow(tx: Tx, home: Home | undefined, row: StoredRow, seen: number): Promise<boolean> {
  const { shopId, jobId, bearerId, kind, key } = row;
  const signed = { revision: seen + 1, by_id: row.byId, at: row.at };
  const changing: Record<string, unknown> = home
    ? { ...columnsOf(home, row), ...signed }
    : { data: JSON.stringify(row.data), ...signed, job_id: jobId, half_signed: row.halfSigned };
  const fixed: Record<string, unknown> = home
    ? { shop_id: shopId, job_id: jobId, key, ...(home.id ? { id: home.id(key) } : {}) }
    : { shop_id: shopId, bearer_id: bearerId, kind, key };
  const all = { ...fixed, ...changing };
  const table = sql.table(home?.table ?? 'record');
  const names = (of: object) => sql.join(Object.keys(of).map((c) => sql.ref(c)));
  const oneRow = sql.raw(home ? 'shop_id, job_id, key' : 'shop_id, bearer_id, kind, key');
  const news = sql.join(Object.keys(changing).map((c) => sql`${sql.ref(c)} = excluded.${sql.ref(c)}`));
  const { rows } = await sql`
    insert into ${table} as stored (${names(all)}) values (${sql.join(Object.values(all))})
    on conflict (${oneRow}) do update set ${news} where stored.revision = ${seen} returning stored.revision`.execute(
    tx,
  );
  return rows.length === 1;
}
