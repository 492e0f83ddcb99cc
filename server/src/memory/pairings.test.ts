import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sql } from 'kysely';
import { getMe } from '@bay/contract/crew';
import { putFact } from '@bay/contract/facts';
import * as jobs from '@bay/contract/jobs';
import { readPairings } from '@bay/contract/memory';
import { carKind, familyOf } from '@bay/core/plan';
import { inShop } from '../db/connection.ts';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

describe('what was done here before', () => {
  let database: Awaited<ReturnType<typeof freshDatabase>>;
  let server: TestServer;
  let shop: TestShop;
  let other: TestShop;
  beforeAll(async () => {
    database = await freshDatabase();
    server = await startServer(database.url);
    shop = await shopWithCrew(server, 'pairs');
    other = await shopWithCrew(server, 'others');
  });
  afterAll(async () => {
    await server.stop();
    await database.drop();
  });

  /** A job whose engine has a code, as family and variant. */
  async function withEngine(code: string, of = shop): Promise<string> {
    const jobId = await bookedJob(of.manager);
    await of.manager.good(jobs.addUnit, {
      body: {
        commandId: commandId(),
        kind: 'engine',
        name: 'an engine',
        place: 'shelf',
        job: { jobId, role: 'engine' },
      },
    });
    await of.manager.good(putFact, {
      params: { jobId, bearer: 'engine', factId: 'eng-code' },
      body: { commandId: commandId(), revision: 0, typed: { value: code }, source: 'measured' },
    });
    return jobId;
  }
  // By whom a job is closed is not what is looked at here.
  async function close(jobId: string, of = shop): Promise<void> {
    const { shop: mine } = await of.manager.good(getMe, {});
    await inShop(server.db, mine!.id, (tx) =>
      tx.updateTable('job').set({ closed_at: new Date() }).where('id', '=', jobId).execute(),
    );
  }
  const near = async (jobId: string, who = shop.technician) =>
    (await who.good(readPairings, { params: { jobId } })).pairings;

  it('only closed jobs of this shop teach, those of the same engine first', async () => {
    const own = await withEngine('ZZ30, variant 4, serial 1');
    const closed = await withEngine('ZZ30, variant 4, serial 2');
    const open = await withEngine('ZZ30, variant 4, serial 3');
    const strange = await withEngine('ZZ30, variant 4, serial 4', other);
    await close(closed);
    await close(strange, other);
    const found = await near(own);
    expect(found.map((p) => p.jobId)).toContain(closed);
    expect(found.map((p) => p.jobId)).not.toContain(open);
    expect(found.map((p) => p.jobId)).not.toContain(strange);
    expect(found[0]).toMatchObject({ jobId: closed, near: 'engine-and-car', agreed: null });
  });

  it('the database and the core read families and cars in the same way', async () => {
    for (const code of ['WX-20 , variant T44', 'wx20', '', 'ÄB 12/3, x'])
      expect(
        (await sql<{ f: string }>`select engine_family(${code}) as f`.execute(server.db)).rows[0]!
          .f,
      ).toBe(familyOf(code));
    for (const name of ['1982 Wendling camper', 'Wendling Camper', '2.0 van', '1899 cart'])
      expect(
        (await sql<{ k: string }>`select car_kind(${name}) as k`.execute(server.db)).rows[0]!.k,
      ).toBe(carKind(name));
  });

  it('an engine that is not on the job is not looked up', async () => {
    const own = await withEngine('YY10');
    expect(
      (
        await shop.manager.call(readPairings, {
          params: { jobId: own },
          query: { unitId: commandId() },
        })
      ).status,
    ).toBe(404);
  });
});
