import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { putFact } from '@bay/contract/facts';
import { answerQuote, makeLink, readCustomerView } from '@bay/contract/handover';
import { readJob } from '@bay/contract/jobs';
import * as money from '@bay/contract/money';
import { putRecord } from '@bay/contract/records';
import { computePlan, planInputOf } from '@bay/core/plan';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** What a quote says besides its sums: what others do, what comes along, and what the shop's own jobs taught of hours. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let owner: pg.Client;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'promised');
  owner = new pg.Client({ connectionString: database.url });
  await owner.connect();
  const terms = {
    hourRate: 8000,
    hourCost: 5000,
    priceUnit: 100,
    markup: 20,
    sundries: 0,
    tax: 20,
    deposit: 30,
    validDays: 30,
  };
  await shop.manager.good(money.setTerms, { body: { commandId: commandId(), terms, revision: 0 } });
});
afterAll(async () => {
  await owner.end();
  await server.stop();
  await database.drop();
});

const line = (jobId: string, key: string, data: Record<string, unknown>, revision = 0) =>
  shop.technician.call(putRecord, {
    params: { jobId, kind: 'quote-line', key },
    body: { commandId: commandId(), data, revision },
  });
const planOf = async (jobId: string) => {
  const sheet = await shop.technician.good(readJob, { params: { jobId } });
  return computePlan(planInputOf({ jobId, ...sheet }));
};
const quoteOf = async (jobId: string) => {
  const { quotes } = await shop.manager.good(money.listQuotes, { params: { jobId } });
  return quotes[0]!;
};
const make = (jobId: string) =>
  shop.manager.good(money.makeQuote, {
    params: { jobId },
    body: { commandId: commandId(), after: 0, despite: 'nothing is settled yet' },
  });
async function customerOf(jobId: string) {
  const { path } = await shop.manager.good(makeLink, {
    params: { jobId },
    body: { commandId: commandId(), days: 60 },
  });
  return { client: new Client(server.url), token: path.replace('/c/', '') };
}

describe('what the customer or somebody outside does', () => {
  it('holds the steps that wait for it until it is done, and the customer reads what is theirs', async () => {
    const jobId = await bookedJob(shop.manager);
    const holds = ['rm-bonnet-off'];
    const theirs = { take: 'in', who: 'customer', holds, due: '2026-12-05' };
    expect((await line(jobId, 'dur-wash', theirs)).status).toBe(200);
    expect((await planOf(jobId)).waits['rm-bonnet-off']).toEqual([
      { waitsFor: 'the customer: Scrape, degrease, wash, dry the bay', due: '2026-12-05' },
    ]);
    const { client, token } = await customerOf(jobId);
    const yours = async () => (await client.good(readCustomerView, { params: { token } })).yours;
    expect(await yours()).toEqual([
      { what: 'Scrape, degrease, wash, dry the bay', due: '2026-12-05' },
    ]);
    const done = await line(jobId, 'dur-wash', { ...theirs, done: {} }, 1);
    expect(done.status).toBe(200);
    expect((await planOf(jobId)).waits['rm-bonnet-off']).toBeUndefined();
    expect(await yours()).toEqual([]);
  });
  it('a part that the customer brings is brought once it is here; what is left off holds nothing', async () => {
    const jobId = await bookedJob(shop.manager);
    await line(jobId, 'kit-gauges', { take: 'in', who: 'customer', holds: ['rm-bonnet-off'] });
    await line(jobId, 'dur-wash', {
      take: 'out',
      why: 'is clean',
      who: 'customer',
      holds: ['rm-raise'],
    });
    const { waits } = await planOf(jobId);
    expect(waits['rm-bonnet-off']).toHaveLength(1);
    expect(waits['rm-raise']).toBeUndefined();
    await shop.technician.good(putRecord, {
      params: { jobId, kind: 'kit', key: 'kit-gauges' },
      body: { commandId: commandId(), data: { status: 'here' }, revision: 0 },
    });
    expect((await planOf(jobId)).waits['rm-bonnet-off']).toBeUndefined();
  });
  it('what comes off the donor is asked of nobody, and holds its step until it is off', async () => {
    const jobId = await bookedJob(shop.manager);
    const key = commandId();
    await line(jobId, key, {
      take: 'in',
      title: 'Pedal box',
      section: 'parts',
      who: 'donor',
      holds: ['rm-bonnet-off'],
    });
    expect((await planOf(jobId)).waits['rm-bonnet-off']).toEqual([
      { waitsFor: 'the donor: Pedal box' },
    ]);
    await make(jobId);
    expect((await quoteOf(jobId)).lines.find((l) => l.id === key)).toMatchObject({
      amount: 0,
      who: 'donor',
    });
  });
  it("the shop's own work holds nothing by a line of the quote", async () => {
    const jobId = await bookedJob(shop.manager);
    const own = await line(jobId, 'dur-wash', { take: 'in', who: 'shop', holds: ['rm-raise'] });
    expect(own).toMatchObject({ status: 422 });
    expect(own.problem.fields).toHaveProperty(['data.holds']);
  });
});

describe('what a job brings along', () => {
  it('stands in the quote as it was made, and the customer reads it', async () => {
    const jobId = await bookedJob(shop.manager);
    const vent = (value: string, revision: number) =>
      shop.technician.good(putFact, {
        params: { jobId, bearer: 'job', factId: 'cho-vent' },
        body: { commandId: commandId(), typed: { value }, source: 'assumed', revision },
      });
    await vent('open', 0);
    await make(jobId);
    await vent('closed', 1);
    expect((await quoteOf(jobId)).foreseen.map((f) => f.title)).toContain(
      'Crankcase vent open to the air',
    );
    const { client, token } = await customerOf(jobId);
    const { quote } = await client.good(readCustomerView, { params: { token } });
    expect(JSON.stringify(quote)).toMatch(/Local law first/);
    // What nobody knows is asked, and not said as if it were so.
    expect((await quoteOf(jobId)).foreseen.map((f) => f.title)).not.toContain('Nitrous oxide');
    expect(Object.keys(await quoteOf(jobId))).not.toContain('reckoned');
  });
});

describe('hours of the shop itself', () => {
  it('are learnt from three closed jobs, from what was reckoned before any history, and not from what was not clocked', async () => {
    const closed = async (factor: number): Promise<void> => {
      const jobId = await bookedJob(shop.manager);
      await make(jobId);
      const { client, token } = await customerOf(jobId);
      await client.good(answerQuote, {
        params: { token },
        body: { commandId: commandId(), number: 1, say: 'yes', name: 'Ada Ferrow' },
      });
      const { rows } = await owner.query<{ reckoned: Record<string, number> }>(
        "select content->'reckoned' as reckoned from quote where job_id = $1",
        [jobId],
      );
      // 15 % is what no clock shows, on average.
      const hours = (rows[0]!.reckoned['pull']! * factor) / 1.15;
      await owner.query(
        `insert into clock (shop_id, id, job_id, person_id, title, station, work, started_at, ended_at, corrections)
         select shop_id, gen_random_uuid(), id, $2, 'pulling', 'pull', 'work', now() - make_interval(secs => $3), now(), '[]' from job where id = $1`,
        [jobId, shop.people.technician, hours * 3600],
      );
      await owner.query('update job set closed_at = now() where id = $1', [jobId]);
    };
    const history = async () => (await shop.manager.good(money.readTerms)).history;
    await closed(2);
    await closed(2);
    expect(await history()).toEqual({});
    await closed(0.1);
    expect(await history()).toEqual({});
    await closed(2);
    expect((await history()).pull!.jobs).toBe(3);
    expect((await history()).pull!.ratio).toBeCloseTo(2, 2);
    expect(Object.keys(await history())).toEqual(['pull']);
    // A quote that is made by that history takes twice as long, and teaches the same again.
    const jobId = await bookedJob(shop.manager);
    await make(jobId);
    const { lines } = await quoteOf(jobId);
    const pull = lines
      .filter((l) => l.group === 'pull')
      .reduce((sum, l) => sum + (l.hours ?? 0), 0);
    const { rows } = await owner.query<{ reckoned: Record<string, number> }>(
      "select content->'reckoned' as reckoned from quote where job_id = $1",
      [jobId],
    );
    expect(pull / rows[0]!.reckoned['pull']!).toBeCloseTo(2, 1);
    await closed(2);
    expect((await history()).pull!.ratio).toBeCloseTo(2, 2);
  });
});
