import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as handover from '@bay/contract/handover';
import { addPhoto } from '@bay/contract/logbook';
import * as money from '@bay/contract/money';
import { putRecord } from '@bay/contract/records';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { asFile, phonePhoto } from '../testing/pictures.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Work that was found on the way: asked with its reason, price and picture; held until the yes; added up against the quote. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'extra');
  await shop.manager.good(money.setTerms, {
    body: {
      commandId: commandId(),
      revision: 0,
      terms: {
        hourRate: 8000,
        hourCost: 5000,
        priceUnit: 100,
        markup: 20,
        sundries: 0,
        tax: 20,
        deposit: 30,
        validDays: 30,
      },
    },
  });
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const put = (
  jobId: string,
  kind: 'ask' | 'task',
  key: string,
  data: Record<string, unknown>,
  revision = 0,
  who = shop.manager,
) =>
  who.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: commandId(), data, revision },
  });

const approval = { ask: 'approval', to: 'customer', what: 'Weld the rail', amount: 30_000 };

async function linked(jobId: string) {
  const { path } = await shop.manager.good(handover.makeLink, {
    params: { jobId },
    body: { commandId: commandId(), days: 60 },
  });
  const token = path.replace('/c/', '');
  const customer = new Client(server.url);
  return {
    token,
    view: () => customer.good(handover.readCustomerView, { params: { token } }),
    answer: (key: string, yes: boolean) =>
      customer.call(handover.answerAsCustomer, {
        params: { token },
        body: { commandId: commandId(), key, yes },
      }),
  };
}

describe('extra work', () => {
  it('holds the steps it pays for until the customer says yes; a no is no yes', async () => {
    const jobId = await bookedJob(shop.manager);
    const [first, second] = [randomUUID(), randomUUID()];
    const done = (revision = 0) =>
      put(jobId, 'task', 'rm-identify', { status: 'done' }, revision, shop.technician);
    expect((await put(jobId, 'ask', first, { ...approval, holds: ['rm-identify'] })).status).toBe(
      200,
    );
    expect((await done()).problem.title).toMatch(/waits for an answer to "Weld the rail"/);
    const { answer } = await linked(jobId);
    expect((await answer(first, false)).status).toBe(200);
    expect((await done()).problem.title).toMatch(
      /waits for a yes to "Weld the rail", to which the answer was no/,
    );
    // Asked anew and agreed to: what was refused still stands in the way until it is put right by name.
    expect(
      (await put(jobId, 'ask', second, { ...approval, holds: ['rm-photo-tour'] })).status,
    ).toBe(200);
    expect((await answer(second, true)).status).toBe(200);
    const tour = await put(jobId, 'task', 'rm-photo-tour', { status: 'on-it' }, 0, shop.technician);
    expect(tour.problem.title).not.toMatch(/Weld the rail/);
  });

  it('carries the tax of the shop where no other is said, and counts with it', async () => {
    const jobId = await bookedJob(shop.manager);
    const [one, two, three] = [randomUUID(), randomUUID(), randomUUID()];
    await put(jobId, 'ask', one, approval);
    await put(jobId, 'ask', two, { ...approval, what: 'Paint it', amount: 10_001, tax: 0 });
    await put(jobId, 'ask', three, { ...approval, what: 'Chrome it' });
    const { view, answer } = await linked(jobId);
    const asks = (await view()).asks;
    expect(asks.map((a) => [a.amount, a.tax, a.gross])).toEqual([
      [30_000, 20, 36_000],
      [10_001, 0, 10_001],
      [30_000, 20, 36_000],
    ]);
    await answer(one, true);
    await answer(two, true);
    await answer(three, false);
    const account = await shop.manager.good(money.readAccount, { params: { jobId } });
    expect(account).toMatchObject({ agreed: 40_001, extraGross: 46_001, due: 46_001 });
  });

  it('shows its picture to the customer, and no other picture of the job', async () => {
    const jobId = await bookedJob(shop.manager);
    const [shown, other] = [randomUUID(), randomUUID()];
    const picture = await phonePhoto(64, 48);
    for (const photoId of [shown, other])
      await shop.manager.good(addPhoto, {
        params: { jobId },
        body: { commandId: commandId(), photoId, file: asFile(picture) } as never,
      });
    const elsewhere = await bookedJob(shop.manager);
    expect(
      (await put(elsewhere, 'ask', randomUUID(), { ...approval, photoId: shown })).status,
    ).toBe(422);
    await put(jobId, 'ask', randomUUID(), { ...approval, photoId: shown });
    const { token } = await linked(jobId);
    const get = (photoId: string, by = token) =>
      fetch(`${server.url}/api/customer/${by}/photo/${photoId}`);
    expect((await get(shown)).status).toBe(200);
    expect((await get(other)).status).toBe(404);
    expect((await get(shown, (await linked(elsewhere)).token)).status).toBe(404);
  });

  it('papers are PDFs in the name of the shop: extra work, account, receipt', async () => {
    const jobId = await bookedJob(shop.manager);
    await shop.manager.good(money.makeQuote, {
      params: { jobId },
      body: { commandId: commandId(), after: 0, despite: 'the gearbox is not chosen yet' },
    });
    const payment = randomUUID();
    await shop.manager.good(money.addPayment, {
      params: { jobId },
      body: {
        commandId: commandId(),
        id: payment,
        sort: 'deposit',
        amount: 5000,
        on: '2026-11-20',
      },
    });
    await put(jobId, 'ask', randomUUID(), approval);
    const get = (path: string, cookie = shop.manager.cookie) =>
      fetch(`${server.url}/api/jobs/${jobId}/${path}`, { headers: { cookie } });
    for (const path of ['extras.pdf', 'account.pdf', `payments/${payment}/pdf`]) {
      const answer = await get(path);
      expect(answer.headers.get('content-type'), path).toBe('application/pdf');
      const bytes = Buffer.from(await answer.arrayBuffer());
      expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
      expect(bytes.length).toBeGreaterThan(3000);
      expect((await get(path, shop.technician.cookie)).status, path).toBe(403);
    }
    expect((await get(`payments/${randomUUID()}/pdf`)).status).toBe(404);
  });
});
