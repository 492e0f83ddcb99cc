import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readJob } from '@bay/contract/jobs';
import { putRecord } from '@bay/contract/records';
import { computePlan, planInputOf } from '@bay/core/plan';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { says } from '../testing/says.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';

describe('a car that is taken in', () => {
  let database: Awaited<ReturnType<typeof freshDatabase>>;
  let server: TestServer;
  let shop: Awaited<ReturnType<typeof shopWithCrew>>;
  let jobId: string;
  beforeAll(async () => {
    database = await freshDatabase();
    server = await startServer(database.url);
    shop = await shopWithCrew(server, 'arrival');
    jobId = await bookedJob(shop.manager);
  });
  afterAll(async () => {
    await server.stop();
    await database.drop();
  });
  const put = (
    kind: 'arrival' | 'works' | 'run',
    key: string,
    data: Record<string, unknown>,
    revision = 0,
    who = shop.technician,
  ) =>
    who.call(putRecord, {
      params: { jobId, kind, key },
      body: { commandId: commandId(), data, revision },
    });
  const signature = {
    name: 'Ada Ferrow',
    strokes: [
      [
        [100, 200],
        [400, 120],
      ],
    ],
  };

  it('the signature falls when what it stands under is changed, and not with the budget', async () => {
    expect((await put('arrival', 'sheet', { keys: 2 })).status).toBe(200);
    const received = { received: signature };
    expect(
      (await put('arrival', 'sheet', { keys: 2, ...received }, 1)).body.record.data,
    ).toMatchObject(received);
    const same = await put(
      'arrival',
      'sheet',
      { keys: 2, budget: 900_000, ...received },
      2,
      shop.manager,
    );
    expect(same.status, JSON.stringify(same.problem)).toBe(200);
    expect(same.body.record.data).toMatchObject(received);
    const changed = await put('arrival', 'sheet', { keys: 3, ...received }, 3);
    expect(changed.body.record.data).not.toHaveProperty('received');
    const { log } = await shop.manager.good(readJob, { params: { jobId } });
    expect(log.at(-1)!.text).toMatch(/The signature fell/);
    expect(says(log, '900000')).toBe(false);
  });

  it('is signed with a name and with something drawn', async () => {
    const bad = (received: object) => put('arrival', 'sheet', { keys: 3, received }, 4);
    expect((await bad({ ...signature, name: '' })).problem.title).toBe('Write the name under it.');
    expect((await bad({ ...signature, strokes: [] })).problem.title).toBe('Sign in the field.');
  });

  it('the budget is seen by whoever sees money, and by nobody else', async () => {
    const read = async (who = shop.technician) =>
      (await who.good(readJob, { params: { jobId } })).records.find((r) => r.kind === 'arrival')!
        .data;
    expect(await read(shop.manager)).toMatchObject({ budget: 900_000 });
    expect(await read()).not.toHaveProperty('budget');
  });

  it('what worked and a run before are held against the hand over until they are there again', async () => {
    await put('works', 'horn', { what: 'Horn', state: 'works' });
    await put('run', commandId(), {
      when: 'before',
      sort: 'rollers',
      on: '2026-11-20',
      taken: 'wheels',
      burns: 'spark',
      powerKw: 80,
    });
    const lines = async () => {
      const sheet = await shop.manager.good(readJob, { params: { jobId } });
      return computePlan(planInputOf({ jobId, ...sheet }))
        .gates.find((g) => g.gate === 'Hand over')!
        .lines.flatMap((l) => l.blockers.map((x) => x.sentence))
        .join(' ');
    };
    expect(await lines()).toMatch(/not tried again, Horn/);
    expect(
      (await put('works', 'horn', { what: 'Horn', state: 'works', again: { state: 'works' } }, 1))
        .status,
    ).toBe(200);
    expect(await lines()).not.toMatch(/Horn/);
    expect(
      (await put('works', 'radio', { what: 'Radio', state: 'works', again: { state: 'works' } }))
        .problem.title,
    ).toBe('Say first how it came.');
  });

  it('a run says where its power was taken, and a length its time', async () => {
    const run = (over: object) =>
      put('run', commandId(), { when: 'before', on: '2026-11-20', sort: 'rollers', ...over });
    expect((await run({ powerKw: 80, burns: 'spark' })).problem.title).toMatch(
      /crank or at the wheels/,
    );
    expect((await run({ sort: 'timed', distanceM: 201 })).problem.title).toMatch(
      /how long it took/,
    );
    expect((await run({ powerKw: -5, taken: 'crank', burns: 'spark' })).problem.title).toMatch(
      /above nothing/,
    );
  });

  it('the receipt is a PDF, for whoever works here', async () => {
    const get = (cookie: string) =>
      fetch(`${server.url}/api/jobs/${jobId}/arrival.pdf`, { headers: { cookie } });
    const answer = await get(shop.technician.cookie);
    expect(answer.headers.get('content-type')).toBe('application/pdf');
    expect(
      Buffer.from(await answer.arrayBuffer())
        .subarray(0, 5)
        .toString(),
    ).toBe('%PDF-');
    expect((await get('')).status).toBe(401);
  });
});
