import { rateLimit } from 'express-rate-limit';
import type { ClientRateLimitInfo, Options, RateLimitRequestHandler, Store } from 'express-rate-limit';
import type { Request } from 'express';
import type pg from 'pg';
import { Refusal } from './problem.ts';

/** Counts in PostgreSQL, so that several server processes count together. */
class PgRateStore implements Store {
  private windowMs = 60_000;
  readonly prefix: string;
  private readonly pool: pg.Pool;

  constructor(pool: pg.Pool, prefix: string) {
    this.pool = pool;
    this.prefix = prefix;
  }

  init(options: Options): void {
    this.windowMs = options.windowMs;
  }

  async increment(key: string): Promise<ClientRateLimitInfo> {
    const { rows } = await this.pool.query<{ hits: number; resets_at: Date }>(
      `insert into rate (key, hits, resets_at) values ($1, 1, now() + $2 * interval '1 millisecond')
       on conflict (key) do update set
         hits = case when rate.resets_at < now() then 1 else rate.hits + 1 end,
         resets_at = case when rate.resets_at < now() then excluded.resets_at else rate.resets_at end
       returning hits, resets_at`,
      [this.prefix + key, this.windowMs],
    );
    return { totalHits: rows[0]!.hits, resetTime: rows[0]!.resets_at };
  }

  async decrement(key: string): Promise<void> {
    await this.pool.query('update rate set hits = greatest(0, hits - 1) where key = $1', [this.prefix + key]);
  }

  async resetKey(key: string): Promise<void> {
    await this.pool.query('delete from rate where key = $1', [this.prefix + key]);
  }
}

/** At most `limit` failed tries in five minutes; tries that succeed do not count. */
export const failedTries = (
  pool: pg.Pool,
  name: string,
  limit: number,
  keyOf: (req: Request) => string,
): RateLimitRequestHandler =>
  rateLimit({
    windowMs: 5 * 60_000,
    limit,
    store: new PgRateStore(pool, `${name}:`),
    keyGenerator: keyOf,
    skipSuccessfulRequests: true,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    validate: false,
    handler: (_req, _res, next) => next(new Refusal(429, 'Too many tries. Wait five minutes.')),
  });
