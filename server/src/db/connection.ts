import { Kysely, PostgresDialect, sql } from 'kysely';
import type { Transaction } from 'kysely';
import type { Socket } from 'node:net';
import pg from 'pg';
import type { Database } from './types.ts';

export type Db = Kysely<Database>;
export type Tx = Transaction<Database>;

// Big integers (log ids) stay exact far beyond what a shop writes; dates stay the text they are.
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.DATE, (text) => text);

/** The role the server works as: it owns nothing and is bound by row-level security. */
export const appRole = 'bay_app';

/** Longest that a write waits for a row that somebody else holds, ms. */
const longestLockMs = 8000;

export interface PoolLimits {
  max: number;
  /** Longest a single question may take, ms. */
  statementMs: number;
  /** Longest somebody waits for a connection, ms. */
  connectMs: number;
}

/** Nobody answers there, or nobody had a connection left: another try may do. */
export class DatabaseAway extends Error {
  constructor(cause: unknown) {
    super('The database does not answer.', { cause });
  }
}

type Done = (error: Error | undefined, result?: unknown) => void;

/**
 * A client that waits for an answer no longer than `ms` and then ends its connection, so that the pool opens a new one. The limits that
 * the database keeps itself are of no use when it hangs or the line to it is dead.
 */
function clientThatWaits(ms: number): typeof pg.Client {
  return class extends pg.Client {
    override query(...asked: unknown[]): never {
      let silent: DatabaseAway | undefined;
      const timer = setTimeout(() => {
        silent = new DatabaseAway(`no answer in ${ms} ms`);
        (this as unknown as { connection: { stream: Socket } }).connection.stream.destroy();
      }, ms);
      const last = asked.at(-1);
      if (typeof last === 'function')
        asked[asked.length - 1] = (error: Error | undefined, result?: unknown) => {
          clearTimeout(timer);
          (last as Done)(error && (silent ?? error), result);
        };
      const answer = (super.query as (...q: unknown[]) => unknown).apply(this, asked);
      if (!(answer instanceof Promise)) return answer as never;
      return answer
        .catch((error: unknown) => {
          throw silent ?? error;
        })
        .finally(() => clearTimeout(timer)) as never;
    }
  };
}

/** A pool that says so in one way when it has no connection to give, whatever stood in the way. */
class PatientPool extends pg.Pool {
  override connect(): Promise<pg.PoolClient>;
  override connect(
    given: (error: Error | undefined, client: pg.PoolClient | undefined, done: () => void) => void,
  ): void;
  override connect(given?: (error: Error | undefined, client: pg.PoolClient | undefined, done: () => void) => void) {
    if (!given)
      return super.connect().catch((error: unknown) => {
        throw new DatabaseAway(error);
      });
    return super.connect((error, client, done) => given(error && new DatabaseAway(error), client, done));
  }
}

export function openPool(
  url: string,
  limits: Partial<PoolLimits> = {},
  broke: (error: Error) => void = () => undefined,
): pg.Pool {
  const { max = 12, statementMs = 15_000, connectMs = 5_000 } = limits;
  const pool = new PatientPool({
    connectionString: url,
    max,
    connectionTimeoutMillis: connectMs,
    Client: clientThatWaits(statementMs + 2000),
    options: `-c role=${appRole} -c statement_timeout=${statementMs} -c lock_timeout=${Math.min(statementMs, longestLockMs)} -c idle_in_transaction_session_timeout=${statementMs * 2}`,
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
