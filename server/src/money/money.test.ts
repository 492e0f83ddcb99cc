import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { getMe } from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { addSupplier, listSuppliers, renameSupplier } from '@bay/contract/kit';
import { undoCommand } from '@bay/contract/logbook';
import { setCurrency } from '@bay/contract/money';
import { kindSchema, putRecord, recordKinds } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { inShop } from '../db/connection.ts';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { Client, TestServer } from '../testing/harness.ts';
import { samples } from '../testing/samples.ts';
import { says } from '../testing/says.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let shopId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'money');
  shopId = (await shop.manager.good(getMe)).shop!.id;
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const put = (
  who: Client,
  jobId: string,
  kind: RecordKind,
  key: string,
  data: Record<string, unknown>,
  revision = 0,
  id = commandId(),
) =>
  who.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: id, data, revision },
  });
const recordOf = async (who: Client, jobId: string, kind: RecordKind, key: string) =>
  (await who.good(jobs.readJob, { params: { jobId } })).records.find(
    (r) => r.kind === kind && r.key === key,
  );

/** A record of every kind that has an amount, and the field it stands in. */
const priced = [
  ['kit', 'kit-sump', { status: 'here' }, 'price'],
  ['candidate', randomUUID(), { note: 'complete' }, 'cost'],
  ['donor-entry', randomUUID(), { sort: 'sold', what: 'rear axle', on: '2026-04-04' }, 'amount'],
  ['ask', randomUUID(), { ask: 'approval', to: 'manager', what: 'regrind' }, 'amount'],
  ['way-out', randomUUID(), samples['way-out'].data, 'cost'],
  ['candidate-piece', randomUUID(), { unitId: randomUUID(), what: 'Engine loom' }, 'price'],
  ['quote-line', 'dur-wash', { take: 'in', who: 'outside' }, 'price'],
  ['arrival', 'sheet', { keys: 2 }, 'budget'],
  [
    'part',
    randomUUID(),
    { takeId: '', title: 'Battery', condition: 'good', label: '', place: 'shelf' },
    'value',
  ],
  ['reservation', randomUUID(), samples.reservation.data, 'deposit'],
  ['donor-terms', 'donor', { from: '2026-11-01' }, 'aDay'],
  [
    'purchase',
    'donor',
    { of: 'donor', seller: 'Marle Yard', source: 'breaker', on: '2026-11-01', heard: 'run' },
    'price',
  ],
] as const;

describe('money', () => {
  it('is looked at here for every kind that has some', () => {
    const kindsWithMoney = recordKinds.filter((kind) => kindSchema(kind).money !== undefined);
    expect(priced.map(([kind]) => kind).sort()).toEqual([...kindsWithMoney].sort());
  });

  it('is in the smallest unit, a whole number, and not below nothing', async () => {
    const jobId = await bookedJob(shop.manager);
    for (const price of [12.5, -1, 1e15, '12'])
      expect(
        await put(shop.manager, jobId, 'kit', 'kit-sump', { status: 'here', price }),
      ).toMatchObject({ status: 422 });
    expect(
      await put(shop.manager, jobId, 'kit', 'kit-sump', { status: 'here', price: 1250 }),
    ).toMatchObject({
      status: 200,
      body: { record: { data: { price: 1250 } } },
    });
  });
  it.each(priced)(
    'of a %s is a row that the database shows to those only who may see it',
    async (kind, key, data, field) => {
      const jobId = await bookedJob(shop.manager);
      for (const { kind: other, key: name, data: of } of kind === 'reservation'
        ? samples[kind].speaksOf!
        : [])
        await put(shop.manager, jobId, other, name, of);
      await put(shop.manager, jobId, kind, key, { ...data, [field]: 47114711 });
      // The question is the same for everybody; no reader leaves a field out.
      const rows = (sees: boolean) =>
        inShop(server.db, shopId, async (tx) => {
          if (sees) await sql`select set_config('bay.sees_money', 'yes', true)`.execute(tx);
          const own = await tx
            .selectFrom('money')
            .select('amount')
            .where('job_id', '=', jobId)
            .execute();
          const shown = await tx
            .selectFrom('recorded')
            .select('data')
            .where('job_id', '=', jobId)
            .where('kind', '=', kind)
            .execute();
          return { own, shown: shown.map((r) => r.data) };
        });
      expect(await rows(true)).toMatchObject({
        own: [{ amount: 47114711 }],
        shown: [{ [field]: 47114711 }],
      });
      const unseen = await rows(false);
      expect(unseen.own).toEqual([]);
      expect(says(unseen, '47114711')).toBe(false);
      // Nothing of it lies anywhere else: not in the record, not in the book, not in what the book keeps of before.
      await put(
        shop.technician,
        jobId,
        kind,
        key,
        { ...data, ...(kind === 'kit' ? { note: 'x' } : {}) },
        1,
      );
      const { rows: everywhere } = await sql<{ found: boolean }>`
      select exists (select 1 from record where data::text like '%47114711%') or exists (select 1 from log_entry where text || data::text like '%47114711%') as found`.execute(
        server.db,
      );
      expect(everywhere[0]!.found).toBe(false);
      expect((await recordOf(shop.manager, jobId, kind, key))!.data).toMatchObject({
        [field]: 47114711,
      });
    },
  );
  it('who does not see an amount does not write over it, and what they write beside it leaves it alone', async () => {
    const jobId = await bookedJob(shop.manager);
    await put(shop.manager, jobId, 'kit', 'kit-sump', { status: 'here', price: 100 });
    expect(
      await put(shop.technician, jobId, 'kit', 'kit-sump', { status: 'here', price: 300 }, 1),
    ).toMatchObject({
      status: 403,
      problem: { title: 'An amount stands here already; the manager changes it.' },
    });
    const id = commandId();
    await put(shop.technician, jobId, 'kit', 'kit-sump', { status: 'here' }, 1, id);
    expect((await recordOf(shop.manager, jobId, 'kit', 'kit-sump'))!.data).toMatchObject({
      status: 'here',
      price: 100,
    });
    await shop.technician.good(undoCommand, {
      params: { target: id },
      body: { commandId: commandId() },
    });
    expect((await recordOf(shop.manager, jobId, 'kit', 'kit-sump'))!.data).toMatchObject({
      status: 'here',
      price: 100,
    });
    expect((await recordOf(shop.technician, jobId, 'kit', 'kit-sump'))!.data).not.toHaveProperty(
      'price',
    );
  });
  it('the manager who leaves a price out takes it away', async () => {
    const jobId = await bookedJob(shop.manager);
    await put(shop.manager, jobId, 'kit', 'kit-sump', { status: 'here', price: 100 });
    await put(shop.manager, jobId, 'kit', 'kit-sump', { status: 'here' }, 1);
    expect((await recordOf(shop.manager, jobId, 'kit', 'kit-sump'))!.data).not.toHaveProperty(
      'price',
    );
  });
});

describe('the currency of the shop', () => {
  const set = (who: Client, currency: string) =>
    who.call(setCurrency, { body: { commandId: commandId(), currency } });
  it('is a code that exists, named by the manager', async () => {
    const { manager, technician } = await shopWithCrew(server, 'coin');
    expect((await manager.good(getMe)).shop).toMatchObject({ currency: 'XXX' });
    expect((await set(technician, 'EUR')).status).toBe(403);
    for (const code of ['EURO', 'eur', 'ZZZ', ''])
      expect((await set(manager, code)).status).toBe(422);
    expect((await set(manager, 'JPY')).status).toBe(200);
    expect((await set(manager, 'CHF')).status).toBe(200);
    const jobId = await bookedJob(manager);
    await put(manager, jobId, 'kit', 'kit-sump', { status: 'here', price: 100 });
    expect(await set(manager, 'EUR')).toMatchObject({
      status: 409,
      problem: { title: 'Amounts are written in CHF already, so it stays.' },
    });
    expect((await set(manager, 'CHF')).status).toBe(200);
  });
  it('plain numbers may be given their name, as long as no figure changes its worth', async () => {
    const { manager } = await shopWithCrew(server, 'plain');
    const jobId = await bookedJob(manager);
    await put(manager, jobId, 'kit', 'kit-sump', { status: 'here', price: 100 });
    expect((await set(manager, 'JPY')).status).toBe(409);
    expect((await set(manager, 'EUR')).status).toBe(200);
  });
});

describe('suppliers', () => {
  const add = (name: string, supplierId = randomUUID(), who = shop.technician) =>
    who.call(addSupplier, { body: { commandId: commandId(), supplierId, name } });
  it('are the same for every job, once by name, and a rename loses nothing', async () => {
    const [one, two] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    const id = randomUUID();
    await add('Lathe and Loom', id);
    expect((await add('lathe and loom')).body.supplier).toMatchObject({
      id,
      name: 'Lathe and Loom',
    });
    for (const jobId of [one, two])
      await put(shop.technician, jobId, 'kit', 'kit-sump', { status: 'here', supplierId: id });
    const rename = (name: string, revision: number) =>
      shop.manager.call(renameSupplier, {
        params: { supplierId: id },
        body: { commandId: commandId(), name, revision },
      });
    expect((await rename('Lathe & Loom', 1)).status).toBe(200);
    expect(await rename('Other', 1)).toMatchObject({
      status: 409,
      problem: { title: 'Somebody named it Lathe & Loom meanwhile.' },
    });
    await add('Copper Yard');
    expect((await rename('copper yard', 2)).status).toBe(409);
    const { suppliers } = await shop.onlooker.good(listSuppliers);
    expect(suppliers.find((s) => s.id === id)).toMatchObject({ name: 'Lathe & Loom', lines: 2 });
  });
  it('that nobody knows are refused with a sentence', async () => {
    const jobId = await bookedJob(shop.manager);
    const wrong = await put(shop.manager, jobId, 'kit', 'kit-sump', {
      status: 'here',
      supplierId: randomUUID(),
    });
    expect(wrong).toMatchObject({
      status: 422,
      problem: { title: 'This supplier is not in the list.' },
    });
  });
});

describe('parts and bags', () => {
  it('are things of the shop: one of them is in the record of one job', async () => {
    const [one, two] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    const key = randomUUID();
    const bag = { what: '6 bell bolts', label: '031' };
    expect((await put(shop.technician, one, 'bag', key, bag)).status).toBe(200);
    expect(await put(shop.technician, two, 'bag', key, bag)).toMatchObject({
      status: 409,
      problem: { title: 'This bag is in the record of another job.' },
    });
    // A key that is no id is one of the job only.
    expect((await put(shop.technician, one, 'bag', 'left', bag)).status).toBe(200);
    expect((await put(shop.technician, two, 'bag', 'left', bag)).status).toBe(200);
    const back = await put(shop.manager, one, 'bag', key, { ...bag, back: {} }, 1);
    expect(back.body.record.data).toMatchObject({
      label: '031',
      back: { by: expect.any(String) as string },
    });
    expect((await recordOf(shop.manager, one, 'bag', key))!.data).toMatchObject({
      what: '6 bell bolts',
      back: { by: expect.any(String) as string, at: expect.stringMatching(/Z$/) as string },
    });
  });
  it('cannot lie among the other records, whoever writes there', async () => {
    const jobId = await bookedJob(shop.manager);
    await expect(
      inShop(server.db, shopId, async (tx) => {
        const { id } = await tx
          .selectFrom('person')
          .select('id')
          .limit(1)
          .executeTakeFirstOrThrow();
        await tx
          .insertInto('record')
          .values({
            shop_id: shopId,
            bearer_id: jobId,
            job_id: jobId,
            kind: 'bag',
            key: 'x',
            data: '{}',
            revision: 1,
            by_id: id,
          })
          .execute();
      }),
    ).rejects.toThrow('record_has_no_table');
  });
});
