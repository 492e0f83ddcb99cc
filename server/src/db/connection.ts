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

export interface PoolLimits {
  max: number;
  /** Longest a single question may take, ms. */
  statementMs: number;
  /** Longest somebody waits for a connection, ms. */
  connectMs: number;
}

export function openPool(
  url: string,
  limits: Partial<PoolLimits> = {},
  broke: (error: Error) => void = () => undefined,
): pg.Pool {
  const { max = 12, statementMs = 15_000, connectMs = 5_000 } = limits;
  const pool = new pg.Pool({
    connectionString: url,
    max,
    connectionTimeoutMillis: connectMs,
    options: `-c role=${appRole} -c statement_timeout=${statementMs} -c idle_in_transaction_session_timeout=${statementMs * 2}`,
  });
  // An idle connection that breaks (database restarted) is dropped by the pool; without a listener it would end the process.
  pool.on('error', broke);
  // One that breaks while it works fails its query, which says so; the event beside it must not end the process either.
  pool.on('connect', (client) => client.on('error', broke));
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
