import { counted } from '@bay/core/units';
import type { Request, RequestHandler } from 'express';
import type pg from 'pg';
import { Refusal } from './problem.ts';

/** How often something may be tried wrongly, and how long it waits then: the wait doubles with every further wrong try. */
export interface Patience {
  /** Wrong tries without a wait. */
  free: number;
  firstWait: string;
  longestWait: string;
}

/** One thing that is tried: counted by what it is, however it is written. */
export interface Tried {
  key: string;
  patience: Patience;
  /** A good try says nothing about the others that came from there: it is only taken off the count. */
  shared?: true;
}

/** Counts wrong tries in PostgreSQL, so that several server processes count together. */
export class Tries {
  private readonly pool: pg.Pool;

  constructor(pool: pg.Pool) {
    this.pool = pool;
  }

  /** Counts one try of each before it is judged; refuses while one of them has to wait. */
  async count(tried: readonly Tried[]): Promise<void> {
    for (const { key, patience } of tried) {
      const { rows } = await this.pool.query<{ may: boolean }>('select count_try($1, $2, $3, $4) as may', [
        key,
        patience.free,
        patience.firstWait,
        patience.longestWait,
      ]);
      if (!rows[0]!.may) throw await this.refusal(key);
    }
  }

  /** The try was a good one. */
  async good(tried: readonly Tried[]): Promise<void> {
    for (const { key, shared } of tried)
      await this.pool.query(
        shared
          ? 'update try_count set failed = greatest(failed - 1, 0), until = null where key = $1'
          : 'delete from try_count where key = $1',
        [key],
      );
  }

  private async refusal(key: string): Promise<Refusal> {
    const { rows } = await this.pool.query<{ seconds: number }>(
      'select ceil(extract(epoch from until - now()))::int as seconds from try_count where key = $1',
      [key],
    );
    const seconds = Math.max(1, rows[0]?.seconds ?? 1);
    const wait = seconds < 90 ? counted(seconds, 'second') : counted(Math.ceil(seconds / 60), 'minute');
    return new Refusal(429, `Too many wrong tries. Wait ${wait}.`);
  }

  /** In front of a handler: counts, and takes the count back when the answer was a good one. */
  before(triedBy: (req: Request) => readonly Tried[]): RequestHandler {
    return async (req, res, next) => {
      const tried = triedBy(req);
      await this.count(tried);
      res.on('finish', () => {
        if (res.statusCode < 400)
          this.good(tried).catch((error: unknown) => req.log.warn({ err: error }, 'a good try stayed counted'));
      });
      next();
    };
  }
}
