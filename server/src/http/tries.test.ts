import { sql } from 'kysely';
import type pg from 'pg';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { openDb, openPool } from '../db/connection.ts';
import type { Db } from '../db/connection.ts';
import { freshDatabase } from '../testing/harness.ts';
import { Tries } from './tries.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let pool: pg.Pool;
let db: Db;
let tries: Tries;

beforeAll(async () => {
  database = await freshDatabase();
  pool = openPool(database.url, { max: 4 });
  db = openDb(pool);
  tries = new Tries(pool);
});
afterEach(() => sql`delete from try_count`.execute(db));
afterAll(async () => {
  await db.destroy();
  await database.drop();
});

const patience = { free: 3, firstWait: '1 minute', longestWait: '5 minutes' };
const thing = (key: string, shared?: true) => ({ key, patience, ...(shared ? { shared } : {}) });
const attempt = (...keys: ReturnType<typeof thing>[]) =>
  tries.count(keys).then(
    () => 'may',
    (error: Error) => error.message,
  );
/** As if so much time had gone by. */
const later = (interval: string) =>
  sql`update try_count set until = until - ${interval}::interval, at = at - ${interval}::interval`.execute(
    db,
  );
const waits = async (key: string): Promise<number> =>
  (
    await sql<{
      s: number;
    }>`select round(extract(epoch from until - at))::int as s from try_count where key = ${key}`.execute(
      db,
    )
  ).rows[0]!.s;

describe('wrong tries', () => {
  it('are free a few times, then the thing waits, and says how long', async () => {
    expect([
      await attempt(thing('a')),
      await attempt(thing('a')),
      await attempt(thing('a')),
      await attempt(thing('a')),
    ]).toEqual(['may', 'may', 'may', 'may']);
    expect(await attempt(thing('a'))).toMatch(/^Too many wrong tries\. Wait (60|59|58) seconds\.$/);
    expect(await attempt(thing('b'))).toBe('may');
  });
  it('make each wait twice as long, up to the longest', async () => {
    const seen: number[] = [];
    for (let i = 0; i < 8; i += 1) {
      await attempt(thing('a'));
      if (i >= 3) seen.push(await waits('a'));
      await later('10 minutes');
    }
    expect(seen).toEqual([60, 120, 240, 300, 300]);
  });
  it('of many at once are many: no more get through than are free', async () => {
    const answers = await Promise.all(Array.from({ length: 25 }, () => attempt(thing('a'))));
    expect(answers.filter((a) => a === 'may')).toHaveLength(4);
  });
  it('do not lengthen the wait while it runs', async () => {
    for (let i = 0; i < 10; i += 1) await attempt(thing('a'));
    expect(await waits('a')).toBe(60);
  });
  it('are forgotten after a day', async () => {
    for (let i = 0; i < 6; i += 1) await attempt(thing('a'));
    await later('25 hours');
    expect([await attempt(thing('a')), await attempt(thing('a'))]).toEqual(['may', 'may']);
  });
  it('are forgiven by a good one; what others share is only taken off', async () => {
    for (let i = 0; i < 3; i += 1) await attempt(thing('own'), thing('all', true));
    await tries.good([thing('own'), thing('all', true)]);
    const { rows } = await sql<{
      key: string;
      failed: number;
    }>`select key, failed from try_count`.execute(db);
    expect(rows).toEqual([{ key: 'all', failed: 2 }]);
  });
  it('of one thing stop the others of the same try', async () => {
    for (let i = 0; i < 4; i += 1) await attempt(thing('place'));
    expect(await attempt(thing('person'), thing('place'))).toMatch(/^Too many/);
  });
});
