import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readJob } from '@bay/contract/jobs';
import { addSupplier } from '@bay/contract/kit';
import { readAccount } from '@bay/contract/money';
import * as orders from '@bay/contract/orders';
import { putRecord } from '@bay/contract/records';
import { undoCommand } from '@bay/contract/logbook';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { Client, TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

const exec = promisify(execFile);

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let supplierId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'orders');
  supplierId = randomUUID();
  await shop.manager.good(addSupplier, {
    body: { commandId: commandId(), supplierId, name: 'Lathe and Loom' },
  });
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

interface Line {
  id?: string;
  jobId: string;
  title?: string;
  kitId?: string;
  count?: number;
  price?: number;
  step?: string;
  despite?: string;
  options?: string;
}
const place = (lines: Line[], more: Record<string, unknown> = {}, who: Client = shop.technician) =>
  who.call(orders.placeOrder, {
    body: {
      commandId: commandId(),
      id: randomUUID(),
      sort: 'goods',
      supplierId,
      orderedOn: '2026-11-20',
      promisedOn: '2026-12-01',
      lines: lines.map((l) => ({ id: randomUUID(), title: 'Coolant neck', count: 1, ...l })),
      ...more,
    } as never,
  });
const act = (
  endpoint: (typeof orders)[
    'receiveOrder' | 'cancelOrderLine' | 'sendBack' | 'changeOrder' | 'giveBack'],
  order: orders.Order,
  more: Record<string, unknown>,
  who: Client = shop.technician,
) =>
  who.call(endpoint, {
    params: { orderId: order.id },
    body: { commandId: commandId(), revision: order.revision, ...more } as never,
  });
const sheet = (jobId: string) => shop.technician.good(readJob, { params: { jobId } });
const record = async (jobId: string, kind: string, key: string) =>
  (await sheet(jobId)).records.find((r) => r.kind === kind && r.key === key)?.data as
    Record<string, unknown> | undefined;
const book = async (jobId: string) => (await sheet(jobId)).log.map((l) => l.text);

describe('an order', () => {
  it('serves several jobs, tells the book of each, and has a number of its own', async () => {
    const [one, two] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    const { body, status } = await place([
      { jobId: one, title: 'Heater hose', count: 2 },
      { jobId: two, title: 'Lamp' },
    ]);
    expect(status).toBe(200);
    const second = await place([{ jobId: one }]);
    expect(second.body.order.number).toBe(body.order.number + 1);
    expect((await book(one)).join()).toMatch(
      /ordered from Lathe and Loom, order \d+: 2 × Heater hose/,
    );
    expect((await book(two)).join()).not.toContain('Heater hose');
    const { orders: open } = await shop.onlooker.good(orders.listOrders, { query: { jobId: two } });
    expect(open.map((o) => o.id)).toEqual([body.order.id]);
  });
  it('of a kit line stops at a blank, and goes past it by name only', async () => {
    const jobId = await bookedJob(shop.manager);
    const line = {
      jobId,
      kitId: 'kit-mount-cushions',
      title: 'Engine cushions, new pair',
      count: 2,
    };
    const stopped = await place([line]);
    expect(stopped).toMatchObject({ status: 409 });
    expect(stopped.problem.title).toMatch(/^Not to be ordered yet: /);
    expect(await record(jobId, 'kit', 'kit-mount-cushions')).toBeUndefined();
    expect((await place([{ ...line, despite: 'short' }])).status).toBe(422);
    const gone = await place([{ ...line, despite: 'the set fits every code of this family' }]);
    expect(gone.status).toBe(200);
    expect(await record(jobId, 'kit', 'kit-mount-cushions')).toMatchObject({
      status: 'ordered',
      supplierId,
    });
    expect((await book(jobId)).join()).toContain(
      'ordered although something was open: the set fits every code of this family',
    );
    // The same rule at the other door.
    const other = await bookedJob(shop.manager);
    const byHand = (despite?: string) =>
      shop.technician.call(putRecord, {
        params: { jobId: other, kind: 'kit', key: 'kit-mount-cushions' },
        body: {
          commandId: commandId(),
          data: { status: 'ordered', ...(despite ? { despite } : {}) },
          revision: 0,
        },
      });
    expect((await byHand()).status).toBe(409);
    expect((await byHand('the set fits every code of this family')).status).toBe(200);
  });
  it('holds a kit line once: nothing is bought twice', async () => {
    const jobId = await bookedJob(shop.manager);
    const line = {
      jobId,
      kitId: 'kit-mount-cushions',
      title: 'Cushions',
      despite: 'the set fits every code',
    };
    const first = await place([line]);
    expect(await place([line])).toMatchObject({
      status: 409,
      problem: {
        title: `Engine cushions, new pair is on order ${first.body.order.number} already. Cancel it there first.`,
      },
    });
    const both = await bookedJob(shop.manager);
    const at = await Promise.all([
      place([{ ...line, jobId: both }]),
      place([{ ...line, jobId: both }]),
    ]);
    expect(at.map((a) => a.status).sort()).toEqual([200, 409]);
  });
  it('is refused with a sentence when it is promised before it was ordered, or from nobody', async () => {
    const jobId = await bookedJob(shop.manager);
    expect((await place([{ jobId }], { promisedOn: '2026-11-01' })).problem.fields).toEqual({
      promisedOn: 'It is promised for a day before it was ordered.',
    });
    expect((await place([{ jobId }], { supplierId: randomUUID() })).problem.fields).toEqual({
      supplierId: 'This supplier is not in the list.',
    });
    expect((await place([{ jobId, count: 0 }])).status).toBe(422);
    expect((await place([])).status).toBe(422);
    expect((await place([{ jobId: randomUUID() }])).status).toBe(404);
    const cushions = { jobId, kitId: 'kit-mount-cushions', despite: 'the set fits every code' };
    expect((await place([cushions, cushions])).problem.fields).toEqual({
      lines: 'Each line of the kit once.',
    });
  });
});

describe('what arrives', () => {
  it('frees the step that waits for it, and that step only', async () => {
    const jobId = await bookedJob(shop.manager);
    const [a, b] = [randomUUID(), randomUUID()];
    const { body } = await place([
      { id: a, jobId, title: 'Chocks', count: 2, step: 'rm-chock' },
      { id: b, jobId, title: 'Scales', step: 'rm-weigh' },
    ]);
    expect(await record(jobId, 'hold', a)).toMatchObject({
      waitsFor: 'Chocks',
      about: 'rm-chock',
      due: '2026-12-01',
    });
    const part = await act(orders.receiveOrder, body.order, { lines: [{ id: a, came: 1 }] });
    expect(part.status).toBe(200);
    expect(await record(jobId, 'hold', a)).not.toHaveProperty('released');
    const all = await act(orders.receiveOrder, part.body.order, {
      lines: [{ id: a, came: 1 }],
      note: 'one scratched',
    });
    expect(await record(jobId, 'hold', a)).toHaveProperty('released');
    expect(await record(jobId, 'hold', b)).not.toHaveProperty('released');
    expect((await book(jobId)).join()).toMatch(/arrived: Chocks; one scratched/);
    expect(
      (await act(orders.receiveOrder, all.body.order, { lines: [{ id: a, came: 1 }] })).problem
        .title,
    ).toBe('Only 0 of Chocks are still to come.');
  });
  it('wrong is not here: the kit line waits on, and it can go back', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = randomUUID();
    const { body } = await place([
      { id, jobId, kitId: 'kit-mount-cushions', count: 2, despite: 'the set fits every code' },
    ]);
    const wrong = await act(orders.receiveOrder, body.order, {
      lines: [{ id, came: 0, wrong: 2 }],
    });
    expect(await record(jobId, 'kit', 'kit-mount-cushions')).toMatchObject({ status: 'ordered' });
    const back = { id: randomUUID(), lineId: id, count: 3, reason: 'other side', on: '2026-11-25' };
    expect((await act(orders.sendBack, wrong.body.order, back)).problem.title).toBe(
      'Only 2 of Coolant neck are here.',
    );
    const gone = await act(orders.sendBack, wrong.body.order, { ...back, count: 2 });
    expect(gone.status).toBe(200);
    const came = await act(orders.receiveOrder, gone.body.order, { lines: [{ id, came: 2 }] });
    expect(await record(jobId, 'kit', 'kit-mount-cushions')).toMatchObject({ status: 'here' });
    expect(came.body.order.lines[0]).toMatchObject({ came: 2, wrong: 2, sentBack: 2 });
  });
  it('counted by two at once is counted once', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = randomUUID();
    const { body } = await place([{ id, jobId, count: 2 }]);
    const both = await Promise.all([
      act(orders.receiveOrder, body.order, { lines: [{ id, came: 2 }] }),
      act(orders.receiveOrder, body.order, { lines: [{ id, came: 2 }] }, shop.manager),
    ]);
    expect(both.map((a) => a.status).sort()).toEqual([200, 409]);
  });
  it('and was undone is to come again, with its step held', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = randomUUID();
    const { body } = await place([{ id, jobId, step: 'rm-chock' }]);
    const target = commandId();
    await act(orders.receiveOrder, body.order, { lines: [{ id, came: 1 }], commandId: target });
    expect(
      (
        await shop.technician.call(undoCommand, {
          params: { target },
          body: { commandId: commandId() },
        })
      ).status,
    ).toBe(200);
    expect(await record(jobId, 'hold', id)).not.toHaveProperty('released');
    const { orders: open } = await shop.manager.good(orders.listOrders, { query: { jobId } });
    expect(open[0]!.lines[0]).toMatchObject({ came: 0 });
  });
});

describe('a promise', () => {
  it('that moves moves what waits, by hand or by the feed of the supplier', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = randomUUID();
    const { body } = await place([{ id, jobId, title: 'Shaft', step: 'rm-chock' }], {
      reference: 'LL-77',
    });
    const moved = await act(orders.changeOrder, body.order, {
      promisedOn: '2026-12-09',
      reference: 'LL-77',
      tracking: '',
      note: '',
    });
    expect(moved.status).toBe(200);
    expect(await record(jobId, 'hold', id)).toMatchObject({ due: '2026-12-09' });
    const feed = await shop.manager.good(orders.readFeed, {
      body: {
        commandId: commandId(),
        supplierId,
        orders: [
          { reference: 'LL-77', promisedOn: '2026-12-11', tracking: 'left the works' },
          { reference: 'nobody knows', promisedOn: '2026-12-01' },
        ],
      },
    });
    expect(feed).toEqual({ moved: 1, unknown: ['nobody knows'] });
    expect(await record(jobId, 'hold', id)).toMatchObject({ due: '2026-12-11' });
    expect((await book(jobId)).join()).toMatch(
      /promised for 2026-12-11 now, order \d+: 1 line, Shaft/,
    );
  });
  it('on an old sight of the order is refused with the order as it is', async () => {
    const jobId = await bookedJob(shop.manager);
    const { body } = await place([{ jobId }]);
    const change = { promisedOn: null, reference: 'A', tracking: '', note: '' };
    await act(orders.changeOrder, body.order, change);
    expect(await act(orders.changeOrder, body.order, { ...change, reference: 'B' })).toMatchObject({
      status: 409,
      problem: { current: { reference: 'A' } },
    });
  });
  it('of a line that was cancelled is none: the step waits without a day, the kit line is wanted again', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = randomUUID();
    const { body } = await place([
      {
        id,
        jobId,
        kitId: 'kit-mount-cushions',
        title: 'Cushions',
        despite: 'the set fits every code',
        step: 'rm-chock',
      },
    ]);
    const gone = await act(orders.cancelOrderLine, body.order, {
      lineId: id,
      why: 'no longer made',
    });
    expect(gone.status).toBe(200);
    expect(await record(jobId, 'hold', id)).not.toHaveProperty('due');
    expect(await record(jobId, 'hold', id)).not.toHaveProperty('released');
    expect(await record(jobId, 'kit', 'kit-mount-cushions')).toMatchObject({ status: 'wanted' });
    expect(
      (await place([{ jobId, kitId: 'kit-mount-cushions', despite: 'the set fits every code' }]))
        .status,
    ).toBe(200);
  });
});

describe('money of orders', () => {
  it('is seen by those only who may, and makes the account', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = randomUUID();
    const { body } = await place(
      [{ id, jobId, count: 3, price: 4711 }],
      { freight: 900 },
      shop.manager,
    );
    const seen = async (who: Client) =>
      (await who.good(orders.listOrders, { query: { jobId } })).orders[0]!;
    expect(await seen(shop.manager)).toMatchObject({ freight: 900, lines: [{ price: 4711 }] });
    for (const who of [shop.technician, shop.onlooker])
      expect(await seen(who)).toMatchObject({ freight: null, lines: [{ price: null }] });
    const came = await act(orders.receiveOrder, body.order, { lines: [{ id, came: 2 }] });
    expect(JSON.stringify(came.body)).not.toContain('4711');
    const account = () => shop.manager.good(readAccount, { params: { jobId } });
    expect((await account()).parts).toBe(2 * 4711 + 900);
    const backId = randomUUID();
    const back = await act(orders.sendBack, came.body.order, {
      id: backId,
      lineId: id,
      count: 1,
      reason: 'not wanted',
      on: '2026-11-25',
    });
    const settle = (moneyBack: number) =>
      shop.manager.call(orders.settleBack, {
        params: { orderId: body.order.id, backId },
        body: { commandId: commandId(), revision: back.body.order.revision, moneyBack },
      });
    expect((await settle(9999)).problem.title).toBe('More cannot come back than it cost.');
    expect((await settle(4000)).status).toBe(200);
    expect((await account()).parts).toBe(2 * 4711 + 900 - 4000);
  });
});

describe('the simulated supplier', () => {
  it('moves open orders through the feed, the same days for the same seed, and says who it may not be', async () => {
    const jobId = await bookedJob(shop.manager);
    await place([{ jobId }], { reference: 'SIM-1' });
    const run = (password: string) =>
      exec(process.execPath, [
        ...['--import', 'tsx', 'tools/supplier.ts', '--url', server.url, '--seed', '7'],
        ...['--email', 'boss-orders@shop.example', '--password', password],
      ]).then(
        ({ stdout }) => stdout,
        (error: unknown) => (error as { stderr: string }).stderr,
      );
    const promised = async () =>
      (await shop.manager.good(orders.listOrders, { query: { q: 'sim-1' } })).orders[0]!;
    expect(await run('wrong word of it')).toMatch(/E-mail or password is not right/);
    expect(await run('long enough word')).toMatch(/Lathe and Loom: \d+ told of, \d+ moved/);
    const told = await promised();
    expect(told.tracking).toMatch(/^(on its way|held up, \d days later)$/);
    expect(told.promisedOn! >= '2026-12-01').toBe(true);
  });
});

describe('what is owed back', () => {
  it('an old part goes back against its deposit, which is spent until then', async () => {
    const jobId = await bookedJob(shop.manager);
    const placed = await place(
      [
        {
          jobId,
          title: 'Alternator, rebuilt',
          price: 9000,
          owes: true,
          owedBy: '2026-12-20',
          deposit: 4000,
        } as never,
      ],
      {},
      shop.manager,
    );
    expect(placed.status).toBe(200);
    const [line] = placed.body.order.lines;
    expect(line).toMatchObject({ owed: 1, given: 0, owedBy: '2026-12-20', deposit: 4000 });
    // Nothing is owed before it came.
    const early = await act(orders.giveBack, placed.body.order, { lineId: line!.id, count: 1 });
    expect(early).toMatchObject({
      status: 409,
      problem: { title: 'Nothing is owed back for Alternator, rebuilt.' },
    });
    const here = await act(orders.receiveOrder, placed.body.order, {
      lines: [{ id: line!.id, came: 1 }],
    });
    const account = () => shop.manager.good(readAccount, { params: { jobId } });
    expect((await account()).parts).toBe(13_000);
    const open = async () =>
      (await shop.technician.good(orders.listOrders, { query: { jobId } })).orders.map((o) => o.id);
    expect(await open()).toEqual([placed.body.order.id]);
    const back = await act(orders.giveBack, here.body.order, { lineId: line!.id, count: 1 });
    expect(back.status).toBe(200);
    expect((await account()).parts).toBe(9000);
    expect(await open()).toEqual([]);
    expect((await book(jobId)).join()).toContain(
      'old part back: Alternator, rebuilt, to Lathe and Loom',
    );
    expect(
      (await act(orders.giveBack, back.body.order, { lineId: line!.id, count: 1 })).status,
    ).toBe(409);
    // Who does not see money sees that it is owed, and not for how much.
    const seen = await shop.technician.good(orders.listOrders, {
      query: { jobId, open: 'false' },
    });
    expect(seen.orders[0]!.lines[0]).toMatchObject({ owed: 1, deposit: null });
  });
  it('a borrowed tool says by when, holds its step until it is here, and stays open until it is back', async () => {
    const jobId = await bookedJob(shop.manager);
    const tool = { jobId, title: 'Cam lock tool', step: 'rm-battery-off' } as const;
    const undated = await place([tool], { sort: 'borrowed' });
    expect(undated).toMatchObject({ status: 422 });
    expect(undated.problem.fields).toHaveProperty(['lines.0.owedBy'], 'Say by when it goes back.');
    const placed = await place([{ ...tool, owedBy: '2026-12-05' } as never], { sort: 'borrowed' });
    const [line] = placed.body.order.lines;
    expect((await record(jobId, 'hold', line!.id))?.['released']).toBeUndefined();
    const here = await act(orders.receiveOrder, placed.body.order, {
      lines: [{ id: line!.id, came: 1 }],
    });
    expect((await record(jobId, 'hold', line!.id))?.['released']).toBeDefined();
    expect(
      (await shop.technician.good(orders.listOrders, { query: { jobId } })).orders,
    ).toHaveLength(1);
    await act(orders.giveBack, here.body.order, { lineId: line!.id, count: 1 });
    expect(
      (await shop.technician.good(orders.listOrders, { query: { jobId } })).orders,
    ).toHaveLength(0);
  });
  it('a deposit without anything that goes back is refused', async () => {
    const jobId = await bookedJob(shop.manager);
    expect((await place([{ jobId, deposit: 100 } as never], {}, shop.manager)).status).toBe(422);
  });
});

describe('another thing in its place', () => {
  it('is taken for it by name, stands in the book and on the kit line, and comes only with something', async () => {
    const jobId = await bookedJob(shop.manager);
    const despite = 'the set fits every code of this family';
    const placed = await place([
      { jobId, kitId: 'kit-mount-cushions', title: 'Engine cushions, new pair', count: 2, despite },
    ]);
    const [line] = placed.body.order.lines;
    const nothing = await act(orders.receiveOrder, placed.body.order, {
      lines: [{ id: line!.id, came: 0, wrong: 1, instead: 'harder cushions' }],
    });
    expect(nothing).toMatchObject({ status: 409 });
    const here = await act(orders.receiveOrder, placed.body.order, {
      lines: [{ id: line!.id, came: 2, instead: 'harder cushions, same height' }],
    });
    expect(here.body.order.lines[0]).toMatchObject({ instead: 'harder cushions, same height' });
    expect((await book(jobId)).join()).toContain(
      'harder cushions, same height in place of Engine cushions, new pair',
    );
    expect(await record(jobId, 'kit', 'kit-mount-cushions')).toMatchObject({
      status: 'here',
      note: 'in its place: harder cushions, same height',
    });
  });
});
