import { Kysely, PostgresDialect, sql } from 'kysely';
import type { Transaction } from 'kysely';
import pg from 'pg';
import type { Database } from './types.ts';

export type Db = Kysely<Database>;
export type Tx = Transaction<Database>;

// Big integers (log ids) stay exact far beyond what a shop writes; dates stay the text they are.
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

/** The role the server works as: it owns nothing and is bound by row-level security. */
export const appRole = 'bay_app';

export function openPool(url: string, max = 12): pg.Pool {
  const pool = new pg.Pool({ connectionString: url, max, options: `-c role=${appRole}` });
  // An idle connection that breaks (database restarted) is dropped by the pool; without a listener it would end the process.
  pool.on('error', () => undefined);
  // One that breaks while it works fails its query, which says so; the event beside it must not end the process either.
  pool.on('connect', (client) => client.on('error', () => undefined));
  return pool;
}

/** `asked` is told every question that is sent, for tests and benchmarks that look at them. */
export const openDb = (pool: pg.Pool, asked?: (sql: string, parameters: readonly unknown[]) => void): Db =>
  new Kysely<Database>({
    dialect: new PostgresDialect({ pool }),
    ...(asked ? { log: (event) => asked(event.query.sql, event.query.parameters) } : {}),
  });

/** Runs work inside one shop: row-level security shows and takes rows of that shop only. */
export const inShop = <T>(db: Db, shopId: string, work: (tx: Tx) => Promise<T>): Promise<T> =>
  db.transaction().execute(async (tx) => {
    await sql`select set_config('bay.shop_id', ${shopId}, true)`.execute(tx);
    return work(tx);
  });
