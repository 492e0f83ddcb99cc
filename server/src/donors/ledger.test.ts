import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { donorAccount, partsOfEntry } from '@bay/core/donors';
import { isGone } from '@bay/core/parts';
import type { PartRecord } from '@bay/core/parts';
import { recordsOf } from '@bay/core/records';
import { readJob } from '@bay/contract/jobs';
import * as parts from '@bay/contract/parts';
import { putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** What a donor gave and what became of it: no part in two places, no money twice, every part ends somewhere. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'ledger');
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

type Data = Record<string, unknown>;
const put = (jobId: string, kind: RecordKind, key: string, data: Data, revision = 0) =>
  shop.manager.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: commandId(), data, revision },
  });
const sheetOf = (jobId: string) => shop.manager.good(readJob, { params: { jobId } });
const partOf = async (jobId: string, more: Data = {}): Promise<string> => {
  const key = randomUUID();
  const data = { takeId: '', title: 'Seat', condition: 'good', label: '', place: 'C2', ...more };
  expect((await put(jobId, 'part', key, data)).status).toBe(200);
  return key;
};
const revisionOf = async (jobId: string, kind: RecordKind, key: string): Promise<number> =>
  (await sheetOf(jobId)).records.find((r) => r.kind === kind && r.key === key)?.revision ?? 0;
const sale = (over: Data): Data => ({ sort: 'sold', what: 'a sale', on: '2026-11-20', ...over });
const change = async (jobId: string, key: string, body: Data) =>
  shop.manager.call(parts.changeStored, {
    params: { sort: 'part', thingId: key },
    body: { commandId: commandId(), revision: await revisionOf(jobId, 'part', key), ...body },
  });

describe('several parts sold as one', () => {
  it('are sold by one entry, with who has them, and earn once', async () => {
    const jobId = await bookedJob(shop.manager);
    const keys = [await partOf(jobId), await partOf(jobId)];
    const entry = sale({ partKeys: keys, soldTo: 'Ada Ferrow', buyer: 'private', amount: 90_000 });
    expect((await put(jobId, 'donor-entry', randomUUID(), entry)).status).toBe(200);
    const { records } = await sheetOf(jobId);
    const kept = recordsOf({ records: records }, 'part');
    for (const key of keys) expect(kept[key]).toMatchObject({ fate: 'sold', goneTo: 'Ada Ferrow' });
    const again = await put(jobId, 'donor-entry', randomUUID(), sale({ partKey: keys[0] }));
    expect(again.problem.title).toBe('Seat stands in the account already.');
  });
  it('none of them is sold where one may not be', async () => {
    const [jobId, other] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    const keys = [await partOf(jobId), await partOf(jobId, { forJob: other })];
    const entry = sale({ partKeys: keys, soldTo: 'Ada Ferrow' });
    expect((await put(jobId, 'donor-entry', randomUUID(), entry)).status).toBe(409);
    const { records } = await sheetOf(jobId);
    expect(recordsOf({ records: records }, 'part')[keys[0]!]!.fate).toBe('here');
    expect(records.filter((r) => r.kind === 'donor-entry')).toEqual([]);
  });
  it('no door goes round what is asked of a part that leaves', async () => {
    const jobId = await bookedJob(shop.manager);
    const altered = await partOf(jobId, { notOriginal: 'shortened by 40 mm' });
    const entry = sale({ partKey: altered, soldTo: 'Ada Ferrow' });
    const silent = await put(jobId, 'donor-entry', randomUUID(), entry);
    expect(silent.problem.title).toMatch(/is not original \(shortened by 40 mm\)/);
    const told = { ...entry, note: 'the buyer saw where it was cut' };
    expect((await put(jobId, 'donor-entry', randomUUID(), told)).status).toBe(200);
  });
  it.each([
    [{ soldTo: 'Ada Ferrow' }, 422],
    [{ soldTo: 'Ada Ferrow', sort: 'cost', partKey: 'x' }, 422],
    [{ partKeys: ['x'] }, 422],
    [{ partKey: 'no such part' }, 422],
  ])('refuses %j', async (over, status) => {
    const jobId = await bookedJob(shop.manager);
    expect((await put(jobId, 'donor-entry', randomUUID(), sale(over))).status).toBe(status);
  });
});

describe('a part that is reserved', () => {
  const until = '2099-12-01';
  it('goes to who reserved it and to nobody else, until the day is over or it ended', async () => {
    const jobId = await bookedJob(shop.manager);
    const key = await partOf(jobId);
    const [reservation, second] = [randomUUID(), randomUUID()];
    const data = { partKey: key, who: 'Ada Ferrow', until };
    expect((await put(jobId, 'reservation', reservation, data)).status).toBe(200);
    expect((await put(jobId, 'reservation', second, { ...data, who: 'Bo' })).status).toBe(409);
    for (const [fate, goneTo] of [
      ['sold', 'Bo Ratner'],
      ['scrapped', 'the yard'],
      ['fitted', ''],
      ['left-off', ''],
    ])
      expect((await change(jobId, key, { fate, goneTo })).problem.title).toMatch(
        /is reserved for Ada Ferrow until 2099-12-01/,
      );
    const kept = await change(jobId, key, { forJob: await bookedJob(shop.manager) });
    expect(kept.status).toBe(409);
    expect((await change(jobId, key, { fate: 'sold', goneTo: 'ada ferrow' })).status).toBe(200);
  });
  it('is free again once the reservation ended', async () => {
    const jobId = await bookedJob(shop.manager);
    const key = await partOf(jobId);
    const reservation = randomUUID();
    const data = { partKey: key, who: 'Ada Ferrow', until };
    await put(jobId, 'reservation', reservation, data);
    await put(jobId, 'reservation', reservation, { ...data, ended: { how: 'never came' } }, 1);
    expect((await change(jobId, key, { fate: 'sold', goneTo: 'Bo Ratner' })).status).toBe(200);
    expect((await put(jobId, 'reservation', randomUUID(), data)).problem.title).toMatch(
      /is not here any more/,
    );
  });
  it('is not reserved until a day that is over', async () => {
    const jobId = await bookedJob(shop.manager);
    const data = { partKey: await partOf(jobId), who: 'Ada Ferrow', until: '2020-01-01' };
    expect((await put(jobId, 'reservation', randomUUID(), data)).status).toBe(422);
  });
});

describe('what is rare', () => {
  it('does not go without a word where it is the last of its kind in the shop', async () => {
    const jobId = await bookedJob(shop.manager);
    const rare = { takeId: 'take-gearbox-ecu', title: 'Gearbox controller' };
    const [one, two] = [await partOf(jobId, rare), await partOf(jobId, rare)];
    const gone = { fate: 'scrapped', goneTo: 'the yard in town' };
    expect((await change(jobId, one, gone)).status).toBe(200);
    expect((await change(jobId, two, gone)).problem.title).toMatch(/this is the last in the shop/);
    expect((await change(jobId, two, { ...gone, note: 'its board is corroded' })).status).toBe(200);
  });
  it('what another job wants by a line of its own is asked about as well', async () => {
    const [jobId, other] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    const want = { takeId: 'take-cluster', what: 'cluster with a rev counter' };
    const key = randomUUID();
    await put(other, 'donor-want', key, want);
    const part = await partOf(jobId, { takeId: 'take-cluster', title: 'Cluster' });
    const sold = { fate: 'sold', goneTo: 'Bo Ratner' };
    expect((await change(jobId, part, sold)).problem.title).toMatch(/^Job \d+ wants what Cluster/);
    await put(other, 'donor-want', key, { ...want, ended: { how: 'found one' } }, 1);
    expect((await change(jobId, part, sold)).status).toBe(200);
  });
});

describe('how it was bought', () => {
  const bought = {
    of: 'donor',
    seller: 'Marle Yard',
    source: 'breaker',
    on: '2026-11-01',
    heard: 'nobody-said',
    price: 50_000,
  };
  it('is the amount of the account: it does not stand there twice', async () => {
    const jobId = await bookedJob(shop.manager);
    expect((await put(jobId, 'purchase', 'donor', bought)).status).toBe(200);
    const twice = await put(jobId, 'donor-entry', randomUUID(), sale({ sort: 'bought' }));
    expect(twice.status).toBe(409);
    const entered = await bookedJob(shop.manager);
    await put(entered, 'donor-entry', randomUUID(), sale({ sort: 'bought', amount: 1 }));
    expect((await put(entered, 'purchase', 'donor', bought)).status).toBe(409);
  });
  it.each([
    [{ odometerKm: 90_000 }, 'data.odometerFrom'],
    [{ returnBy: '2026-10-01' }, 'data.returnBy'],
    [{ of: 'engine' }, 'key'],
  ])('refuses %j', async (over, field) => {
    const jobId = await bookedJob(shop.manager);
    const answer = await put(jobId, 'purchase', 'donor', { ...bought, ...over });
    expect(answer.status).toBe(422);
    expect(answer.problem.fields).toHaveProperty([field]);
  });
});

/** What people may do with the parts of a donor, in any order, whether it is taken or refused. */
const anyAct = fc.oneof(
  fc.record({
    do: fc.constant('move' as const),
    at: fc.nat(3),
    place: fc.constantFrom('C2', 'D1'),
  }),
  fc.record({ do: fc.constant('keep' as const), at: fc.nat(3), free: fc.boolean() }),
  fc.record({
    do: fc.constant('fate' as const),
    at: fc.nat(3),
    fate: fc.constantFrom('here', 'fitted', 'sold', 'scrapped', 'sent-back', 'left-off'),
  }),
  fc.record({
    do: fc.constant('enter' as const),
    at: fc.nat(3),
    with: fc.nat(3),
    sort: fc.constantFrom('sold', 'issued', 'core'),
    sells: fc.boolean(),
  }),
);

describe('whatever is done with the parts of a donor', () => {
  it('no part is in two places, no money comes twice, and every part ends somewhere', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyAct, { minLength: 4, maxLength: 12 }), async (acts) => {
        const jobId = await bookedJob(shop.manager);
        const other = await bookedJob(shop.manager);
        const keys = [
          await partOf(jobId),
          await partOf(jobId),
          await partOf(jobId),
          await partOf(jobId),
        ];
        for (const act of acts) {
          const key = keys[act.at]!;
          if (act.do === 'move') await change(jobId, key, { place: act.place });
          else if (act.do === 'keep') await change(jobId, key, { forJob: act.free ? null : other });
          else if (act.do === 'fate')
            await change(jobId, key, { fate: act.fate, goneTo: 'somebody in town' });
          else
            await put(
              jobId,
              'donor-entry',
              randomUUID(),
              sale({
                sort: act.sort,
                amount: 1000,
                ...(act.at === act.with ? { partKey: key } : { partKeys: [key, keys[act.with]!] }),
                ...(act.sells ? { soldTo: 'Ada Ferrow' } : {}),
              }),
            );
        }
        const { records } = await sheetOf(jobId);
        const kept = recordsOf({ records: records }, 'part');
        const entries = Object.values(recordsOf({ records: records }, 'donor-entry'));
        const earned = entries.flatMap(partsOfEntry);
        // No money twice: a part stands in the account once at most, and a sale is no more than its parts.
        expect(new Set(earned).size).toBe(earned.length);
        const account = donorAccount({
          entries: entries,
          today: '2026-12-31',
        });
        expect(account.back).toBe(entries.length * 1000);
        const { things } = await shop.manager.good(parts.listStore, { query: { jobId } });
        for (const key of keys) {
          const part = kept[key] as PartRecord;
          // No part in two places: it lies in the shop once, or is not listed there at all.
          const lies = things.filter((t) => t.id === key);
          expect(lies.length).toBe((part.fate ?? 'here') === 'here' ? 1 : 0);
          // It ends somewhere: here at a place, built in, on its car, or with somebody who has a name.
          if (isGone(part.fate)) expect(part.goneTo).toBeTruthy();
          // What is gone is kept for no job of the shop that is open.
          if (isGone(part.fate)) expect(part.forJob).toBeUndefined();
        }
      }),
      { numRuns: 12 },
    );
  }, 240_000);
});
