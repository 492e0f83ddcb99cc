import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { answerQuote, makeLink, readCustomerView } from '@bay/contract/handover';
import { readJob } from '@bay/contract/jobs';
import { undoCommand } from '@bay/contract/logbook';
import * as money from '@bay/contract/money';
import { putRecord } from '@bay/contract/records';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { says } from '../testing/says.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;

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
const despite = 'the gearbox is not chosen yet';

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'quotes');
  await shop.manager.good(money.setTerms, { body: { commandId: commandId(), terms, revision: 0 } });
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const make = (jobId: string, more: Record<string, unknown> = {}, who = shop.manager) =>
  who.call(money.makeQuote, {
    params: { jobId },
    body: { commandId: commandId(), after: 0, despite, ...more },
  });
const quotes = async (jobId: string) =>
  (await shop.manager.good(money.listQuotes, { params: { jobId } })).quotes;
const line = (
  jobId: string,
  key: string,
  data: Record<string, unknown>,
  revision = 0,
  who = shop.manager,
) =>
  who.call(putRecord, {
    params: { jobId, kind: 'quote-line', key },
    body: { commandId: commandId(), data, revision },
  });
const account = (jobId: string) => shop.manager.good(money.readAccount, { params: { jobId } });
async function linked(jobId: string) {
  const { path } = await shop.manager.good(makeLink, {
    params: { jobId },
    body: { commandId: commandId(), days: 60 },
  });
  const customer = new Client(server.url);
  const token = path.replace('/c/', '');
  return {
    token,
    view: () => customer.good(readCustomerView, { params: { token } }),
    say: (
      say: 'yes' | 'no' | 'ask',
      number: number,
      more: Record<string, unknown> = {},
      id = commandId(),
    ) =>
      customer.call(answerQuote, {
        params: { token },
        body: { commandId: id, number, say, name: 'Ada Ferrow', ...more },
      }),
    pdf: (number: number) => fetch(`${server.url}/api/customer/${token}/quote/${number}/pdf`),
  };
}

describe('a quote', () => {
  it('is made by the server from what stands, whatever a device says it comes to', async () => {
    const jobId = await bookedJob(shop.manager);
    expect(await make(jobId, { shown: 1 })).toMatchObject({
      status: 409,
      problem: { title: 'The lines moved since they were shown. Look at them again.' },
    });
    expect((await make(jobId)).status).toBe(200);
    const [quote] = await quotes(jobId);
    expect(quote).toMatchObject({ number: 1, state: 'open', answer: null, despite });
    expect(quote!.lines.reduce((sum, l) => sum + l.amount, 0)).toBe(quote!.net);
    expect(quote!.gross).toBe(quote!.net + quote!.taxes.reduce((sum, t) => sum + t.amount, 0));
  });
  it('wants what is open settled, or a sentence', async () => {
    const jobId = await bookedJob(shop.manager);
    const refused = await make(jobId, { despite: undefined });
    expect(refused).toMatchObject({ status: 422 });
    expect(refused.problem.fields!['despite']).toMatch(/open: settle them/);
    expect(await quotes(jobId)).toEqual([]);
  });
  it('is not reckoned while the shop has not set its figures', async () => {
    const other = await shopWithCrew(server, 'noterms');
    const jobId = await bookedJob(other.manager);
    expect(await make(jobId, {}, other.manager)).toMatchObject({
      status: 409,
      problem: {
        title:
          'Not set yet: what an hour is charged at, what an hour costs the shop, what a unit of the price lists is worth.',
      },
    });
  });
  it('has no line without a price, and none below nothing', async () => {
    const jobId = await bookedJob(shop.manager);
    const own = randomUUID();
    expect(
      (await line(jobId, own, { take: 'in', title: 'Trailer hire', section: 'outside' })).status,
    ).toBe(200);
    expect(await make(jobId)).toMatchObject({
      status: 409,
      problem: { title: 'No price yet: Trailer hire.' },
    });
    expect(
      (
        await line(
          jobId,
          own,
          { take: 'in', title: 'Trailer hire', section: 'outside', price: -1 },
          1,
        )
      ).status,
    ).toBe(422);
    expect(
      (
        await line(
          jobId,
          own,
          { take: 'in', title: 'Trailer hire', section: 'outside', price: 5000 },
          1,
        )
      ).status,
    ).toBe(200);
    expect((await make(jobId)).status).toBe(200);
    expect((await quotes(jobId))[0]!.lines.find((l) => l.id === own)).toMatchObject({
      amount: 6000,
    });
  });
  it('a line is left off with its reason; hours go up from low to high; one of the shop’s own has a name', async () => {
    const jobId = await bookedJob(shop.manager);
    expect(await line(jobId, 'dur-wash', { take: 'out' })).toMatchObject({ status: 422 });
    expect(await line(jobId, 'dur-wash', { take: 'in', hours: [3, 2, 1] })).toMatchObject({
      status: 422,
    });
    expect(await line(jobId, randomUUID(), { take: 'in' })).toMatchObject({ status: 422 });
    expect(
      (await line(jobId, 'dur-wash', { take: 'out', why: 'the owner washes it' })).status,
    ).toBe(200);
    await make(jobId);
    expect((await quotes(jobId))[0]!.lines.map((l) => l.id)).not.toContain('dur-wash');
  });
  it('two made at once: the second is told of the first', async () => {
    const jobId = await bookedJob(shop.manager);
    const both = await Promise.all([make(jobId), make(jobId)]);
    expect(both.map((b) => b.status).sort()).toEqual([200, 409]);
    expect(await quotes(jobId)).toHaveLength(1);
    expect((await make(jobId, { after: 1 })).status).toBe(200);
    expect((await quotes(jobId)).map((q) => q.state)).toEqual(['open', 'replaced']);
  });
  it('no amount of it is in the book, and only the manager reads it', async () => {
    const jobId = await bookedJob(shop.manager);
    await make(jobId, { net: 47_114_711 });
    const { log } = await shop.technician.good(readJob, { params: { jobId } });
    expect(says(log, '47114711')).toBe(false);
    for (const who of [shop.technician, shop.onlooker])
      expect((await who.call(money.listQuotes, { params: { jobId } })).status).toBe(403);
  });
  it('is a PDF within a page or several, also with letters of other alphabets', async () => {
    const jobId = await bookedJob(shop.manager);
    await make(jobId, {
      note: 'Łódź, Škoda-grün, 12 € — fine',
      exclusions: ['rust under the carpet'],
    });
    const file = await fetch(`${server.url}/api/jobs/${jobId}/quotes/1/pdf`, {
      headers: { cookie: shop.manager.cookie },
    });
    expect(file.headers.get('content-type')).toBe('application/pdf');
    const bytes = Buffer.from(await file.arrayBuffer());
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(bytes.subarray(-6).toString()).toContain('%%EOF');
    expect(bytes.length).toBeGreaterThan(5000);
  });
});

describe('the customer', () => {
  it('accepts it with their name, without what is optional, once', async () => {
    const jobId = await bookedJob(shop.manager);
    await line(jobId, 'dur-wash', { take: 'in', optional: true });
    await make(jobId);
    const { view, say } = await linked(jobId);
    const { quote } = await view();
    expect(JSON.stringify(quote)).not.toMatch(/gearbox is not chosen|Boss/);
    const wash = quote!.lines.find((l) => l.id === 'dur-wash')!;
    expect((await say('yes', 1, { name: '' })).status).toBe(422);
    expect(await say('yes', 1, { declined: ['dur-intake'] })).toMatchObject({
      status: 409,
      problem: { title: 'Only the optional lines can be left out alone.' },
    });
    const both = await Promise.all([say('yes', 1, { declined: ['dur-wash'] }), say('no', 1)]);
    expect(both.map((b) => b.status).sort()).toEqual([200, 409]);
    const [now] = await quotes(jobId);
    expect(now!.answer).toMatchObject({ by: 'Ada Ferrow' });
    if (now!.state === 'accepted') expect(now!.answer!.net).toBe(quote!.net - wash.amount);
    else expect(now!.state).toBe('declined');
  });
  it('of an older one is told that there is a newer, of one taken back that it was', async () => {
    const jobId = await bookedJob(shop.manager);
    await make(jobId);
    await make(jobId, { after: 1, net: 900_000 });
    const { say, view, pdf } = await linked(jobId);
    expect(await say('yes', 1)).toMatchObject({
      status: 409,
      problem: { title: 'A newer quote took the place of this one. Read that.' },
    });
    expect((await pdf(1)).status).toBe(404);
    expect((await pdf(2)).status).toBe(200);
    await shop.manager.good(money.withdrawQuote, {
      params: { jobId, number: 2 },
      body: { commandId: commandId() },
    });
    expect(await say('yes', 2)).toMatchObject({
      status: 409,
      problem: { title: 'The shop took this quote back.' },
    });
    expect((await view()).quote).toBeNull();
    expect((await pdf(2)).status).toBe(404);
  });
  it('asks, and a tap that came twice is one', async () => {
    const jobId = await bookedJob(shop.manager);
    await make(jobId);
    const { say } = await linked(jobId);
    const id = commandId();
    for (let i = 0; i < 2; i += 1)
      expect((await say('ask', 1, { text: 'Is the tank in it?' }, id)).status).toBe(200);
    const { log } = await shop.manager.good(readJob, { params: { jobId } });
    expect(log.filter((l) => l.text.includes('Is the tank in it?'))).toHaveLength(1);
    expect((await quotes(jobId))[0]!.state).toBe('open');
  });
  it('has the last word: what was accepted is not replaced, taken back or undone', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = commandId();
    await make(jobId, { commandId: id });
    const { say } = await linked(jobId);
    expect((await say('yes', 1)).status).toBe(200);
    expect((await make(jobId, { after: 1 })).status).toBe(409);
    expect(
      (
        await shop.manager.call(money.withdrawQuote, {
          params: { jobId, number: 1 },
          body: { commandId: commandId() },
        })
      ).status,
    ).toBe(409);
    expect(
      (
        await shop.manager.call(undoCommand, {
          params: { target: id },
          body: { commandId: commandId() },
        })
      ).status,
    ).toBe(409);
    expect((await quotes(jobId))[0]!.state).toBe('accepted');
  });
  it('one that is past its day is not accepted', async () => {
    const jobId = await bookedJob(shop.manager);
    await make(jobId);
    const { say } = await linked(jobId);
    const owner = new pg.Client({ connectionString: database.url });
    await owner.connect();
    await owner.query("update quote set valid_until = '2020-01-01' where job_id = $1", [jobId]);
    await owner.end();
    expect(await say('yes', 1)).toMatchObject({
      status: 409,
      problem: { title: 'This quote was good until 2020-01-01. Ask the shop for a new one.' },
    });
  });
  it('gets the PDF of another job by no link', async () => {
    const [one, two] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    await make(one);
    const { pdf } = await linked(two);
    expect((await pdf(1)).status).toBe(404);
  });
});

describe('the account', () => {
  it('adds up: agreed, extras, spent, paid, left, due', async () => {
    const jobId = await bookedJob(shop.manager);
    expect(await account(jobId)).toMatchObject({ quoted: null, agreed: 0, left: null, due: null });
    await make(jobId, { net: 1_000_000 });
    const { say } = await linked(jobId);
    await say('yes', 1);
    const put = (kind: 'kit' | 'ask', key: string, data: Record<string, unknown>) =>
      shop.manager.good(putRecord, {
        params: { jobId, kind, key },
        body: { commandId: commandId(), data, revision: 0 },
      });
    await put('kit', 'kit-sump', { status: 'here', price: 20_000 });
    await put('ask', randomUUID(), {
      ask: 'approval',
      to: 'customer',
      what: 'Regrind',
      amount: 30_000,
    });
    const pay = (sort: string, amount: number) =>
      shop.manager.call(money.addPayment, {
        params: { jobId },
        body: { commandId: commandId(), id: randomUUID(), sort, amount, on: '2026-11-26' } as never,
      });
    expect((await pay('deposit', 300_000)).status).toBe(200);
    expect((await pay('back', 400_000)).problem.title).toBe(
      'More cannot be given back than was paid.',
    );
    expect((await pay('part', 0)).status).toBe(422);
    const a = await account(jobId);
    expect(a).toMatchObject({
      agreed: 1_000_000,
      parts: 20_000,
      hoursCost: 0,
      left: 980_000,
      due: 900_000,
    });
    expect(a.extras).toMatchObject([{ what: 'Regrind', amount: 30_000, yes: null }]);
    const csv = await fetch(`${server.url}/api/jobs/${jobId}/money.csv`, {
      headers: { cookie: shop.manager.cookie },
    });
    const rows = (await csv.text()).trim().split('\r\n');
    expect(rows[0]).toBe('sort,number,day,what,net,tax %');
    const net = rows
      .slice(1)
      .filter((r) => r.startsWith('quote,'))
      .reduce((sum, r) => sum + Number(r.split(',').at(-2)), 0);
    expect(net).toBeCloseTo(10_000, 2);
    expect(rows.at(-1)).toBe(
      `deposit,${rows[1]!.split(',')[1]!.split('-')[0]},2026-11-26,,3000.00,`,
    );
  });
  it('terms are written on top of what was seen', async () => {
    const { revision } = await shop.manager.good(money.readTerms, {});
    const set = (hourRate: number) =>
      shop.manager.call(money.setTerms, {
        body: { commandId: commandId(), terms: { ...terms, hourRate }, revision },
      });
    expect((await set(8100)).status).toBe(200);
    expect(await set(8200)).toMatchObject({ status: 409 });
    expect((await shop.manager.good(money.readTerms, {})).terms.hourRate).toBe(8100);
  });
});
