import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { z } from 'zod';
import * as jobs from '@bay/contract/jobs';
import * as memory from '@bay/contract/memory';
import { putRecord } from '@bay/contract/records';
import { readFloor } from '@bay/contract/jobs';
import { computePlan, planInputOf } from '@bay/core/plan';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';

type Sent = z.input<typeof memory.ownLine>;

/** Lines that no rule knew, through every door: the API as the screen uses it, the kit, the orders, the gates, the Floor. */
describe('own lines and rules of the shop', () => {
  let database: Awaited<ReturnType<typeof freshDatabase>>;
  let server: TestServer;
  let shop: Awaited<ReturnType<typeof shopWithCrew>>;
  let jobId: string;
  beforeAll(async () => {
    database = await freshDatabase();
    server = await startServer(database.url);
    shop = await shopWithCrew(server, 'own');
    jobId = await bookedJob(shop.manager);
  });
  afterAll(async () => {
    await server.stop();
    await database.drop();
  });

  const put = (key: string, data: Record<string, unknown>, kind = 'own-line', revision = 0) =>
    shop.technician.call(putRecord, {
      params: { jobId, kind: kind as 'own-line', key },
      body: { commandId: commandId(), data, revision },
    });
  const planOf = async (id: string) => {
    const sheet = await shop.manager.good(jobs.readJob, { params: { jobId: id } });
    return computePlan(planInputOf({ jobId: id, ...sheet }));
  };
  const strap = 'own-strap-for-the-tank-a1b2';
  const base: Sent = {
    sort: 'step',
    title: 'Strap for the tank',
    why: 'it rattles',
    station: 'connect',
  };

  it('refuses a title that is not that of its id, what its sort must say, and a ring', async () => {
    expect((await put('own-something-else-a1b2', base)).problem.title).toMatch(/keeps its title/);
    expect(
      (await put('own-tight-a1b2', { ...base, sort: 'check', title: 'Tight' })).problem.title,
    ).toMatch(/before which gate/);
    const ring = await put(strap, { ...base, after: ['rm-fate-list'], before: ['rm-identify'] });
    expect(ring.status).toBe(422);
    expect(ring.problem.title).toMatch(/goes round in a ring: .*Strap for the tank/);
  });

  it('a step of our own holds what comes after it, whoever calls that done', async () => {
    expect((await put(strap, { ...base, before: ['rm-bonnet-off'] })).status).toBe(200);
    const held = await put('rm-bonnet-off', { status: 'done' }, 'task');
    expect(held.status).toBe(409);
    expect(held.problem.title).toMatch(/waits for "Strap for the tank"/);
  });

  it('a check is done with what was found, and left out with a reason', async () => {
    const tight = 'own-strap-tight-c3d4';
    expect(
      (await put(tight, { ...base, sort: 'check', title: 'Strap tight', gate: 'First crank' }))
        .status,
    ).toBe(200);
    expect((await put(tight, { status: 'done' }, 'task')).problem.title).toMatch(/what was found/);
    expect((await put(tight, { status: 'waived' }, 'task')).problem.title).toMatch(
      /why it is not needed/,
    );
    expect((await put(tight, { status: 'done', note: '20 N·m' }, 'task')).status).toBe(200);
  });

  it('a part of our own is a line of the kit; one that nobody added is none', async () => {
    const bolt = 'own-long-bolt-e5f6';
    const part = {
      ...base,
      sort: 'part',
      title: 'Long bolt',
      system: 'mechanical',
      price: [1, 2, 3],
    };
    expect((await put(bolt, { status: 'wanted' }, 'kit')).status).toBe(404);
    expect((await put(bolt, part)).status).toBe(200);
    expect((await put(bolt, { status: 'wanted', options: 'M10 x 90' }, 'kit')).status).toBe(200);
    expect((await planOf(jobId)).kit.find((k) => k.def.id === bolt)).toMatchObject({
      state: 'needed',
    });
  });

  it('is kept for the shop with a condition that is understood, tried before, and ended with a reason', async () => {
    const other = await bookedJob(shop.manager);
    const keep = (when: string) =>
      shop.manager.call(memory.keepShopRule, {
        body: { commandId: commandId(), id: strap, line: base, when },
      });
    expect((await keep('eng-fuel = steam')).problem.title).toMatch(/no option steam/);
    expect((await keep('nonsense')).status).toBe(422);
    const { jobs: tried } = await shop.manager.good(memory.tryShopRule, {
      body: { when: 'eng-fuel = diesel' },
    });
    expect(tried.find((j) => j.jobId === other)).toMatchObject({
      holds: 'not-known',
      needs: ['eng-fuel'],
    });
    expect(
      (
        await shop.technician.call(memory.keepShopRule, {
          body: { commandId: commandId(), id: strap, line: base, when: 'always' },
        })
      ).status,
    ).toBe(403);
    await shop.manager.good(readFloor);
    expect((await keep('always')).status).toBe(200);
    expect((await keep('always')).status).toBe(409);
    expect((await planOf(other)).own.lines.map((l) => l.def.title)).toEqual(['Strap for the tank']);
    // On the job it was made from it stands once.
    expect((await planOf(jobId)).ownLines.filter((l) => l.id === strap)).toHaveLength(1);
    const end = () =>
      shop.manager.call(memory.endShopRule, {
        params: { ruleId: strap },
        body: { commandId: commandId(), why: 'tank changed' },
      });
    expect((await end()).status).toBe(200);
    expect((await end()).status).toBe(404);
    expect((await planOf(other)).own.lines).toEqual([]);
  });

  it('a rule does not hang on a line of one job alone', async () => {
    const refused = await shop.manager.call(memory.keepShopRule, {
      body: {
        commandId: commandId(),
        id: 'own-brace-a1b2',
        line: { ...base, title: 'Brace', after: [strap] },
        when: 'always',
      },
    });
    expect(refused.status).toBe(422);
    expect(refused.problem.title).toMatch(/of this job alone/);
  });
});
