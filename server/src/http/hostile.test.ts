import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { recordKinds } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { attacked, Attacker, hostileValues } from '../testing/hostile.ts';
import type { Attempt } from '../testing/hostile.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Values that somebody sends to see what breaks, in every field of every endpoint and of every kind: never a 500. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let jobId: string;
let attacker: Attacker;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'hostile');
  jobId = await bookedJob(shop.manager);
  attacker = new Attacker(shop.manager, jobId);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

/** A few for each test, drawn by a seed, so that a run is short and can be repeated; `./bay bench --only fuzz` tries all. */
let seed = Number(process.env['HOSTILE_SEED'] ?? 20261126);
const some = (): readonly unknown[] => {
  const drawn = Array.from({ length: 2 }, () => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
    return hostileValues[(seed >>> 8) % hostileValues.length];
  });
  // One that fits into a path, which takes words only.
  return ['a\u0000b', ...drawn];
};

async function none500(attempts: AsyncGenerator<Attempt>): Promise<void> {
  let tried = 0;
  for await (const { what, status } of attempts) {
    tried += 1;
    expect(status, what).not.toBe(500);
  }
  expect(tried).toBeGreaterThan(0);
}

describe('hostile values', () => {
  it.each(attacked.filter(([, e]) => e.method !== 'get' || e.path.includes(':')))('%s', (name, e) =>
    none500(attacker.endpoint(name, e, some())),
  );
  it.each(recordKinds)('a record of kind %s', (kind) => none500(attacker.kind(kind, some())));
  it('bodies that are none', async () => {
    for (const [name, e] of attacked.filter(([, { method }]) => method !== 'get').slice(0, 8))
      await none500(attacker.bodies(name, e));
  });
  it('the session that tried all this is still good, and what is plain is still taken', async () => {
    const { writeLog } = await import('@bay/contract/logbook');
    const { entry } = await shop.manager.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'stud\u0000 sheared \uD83D here', today: '2026-11-26' },
    });
    // Text is kept without what no database keeps.
    expect(entry.text).toBe('stud sheared \uFFFD here');
  });
});
