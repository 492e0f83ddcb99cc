import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { emptyDatabase } from '../testing/harness.ts';
import { migrate } from './migrate.ts';

/** What lay in a database of before, read after it was brought up to date: nothing of it is lost or another. */

let database: Awaited<ReturnType<typeof emptyDatabase>>;
let owner: pg.Client;
const [shop, other, boss, left, jobId, otherJob, customer] = Array.from({ length: 7 }, () =>
  randomUUID(),
);
const part = randomUUID();
const bag = randomUUID();

const rows = async (question: string, ...given: unknown[]) =>
  (await owner.query<Record<string, unknown>>(question, given)).rows;
const record = (job: string | undefined, kind: string, key: string, data: object, revision = 1) =>
  owner.query(
    `insert into record (shop_id, bearer_id, job_id, kind, key, data, revision, by_id, at) values ($1, $2, $2, $3, $4, $5, $6, $7, '2026-11-20T10:00:00Z')`,
    [shop, job, kind, key, JSON.stringify(data), revision, boss],
  );

beforeAll(async () => {
  database = await emptyDatabase();
  await migrate(database.url, '0006-queue');
  owner = new pg.Client({ connectionString: database.url });
  await owner.connect();
  for (const id of [shop, other])
    await owner.query(`insert into shop (id, name, bays) values ($1, 'Old shop', '["1"]')`, [id]);
  const person = (id: string | undefined, email: string | null, active: boolean) =>
    owner.query(
      `insert into person (id, shop_id, name, initials, role, email, password_hash, pin_hash, active) values ($1, $2, 'P', 'PP', 'manager', $3, 'x', 'y', $4)`,
      [id, shop, email, active],
    );
  await person(boss, ' Boss@Old.example', true);
  await person(left, 'gone@old.example', false);
  await owner.query(`insert into customer (id, shop_id, name) values ($1, $2, 'C')`, [
    customer,
    shop,
  ]);
  for (const [id, number] of [
    [jobId, '0401'],
    [otherJob, '0402'],
  ])
    await owner.query(
      `insert into job (id, shop_id, number, customer_id, wish, faults, station) values ($1, $2, $3, $4, 'w', '', 'pull')`,
      [id, shop, number, customer],
    );
  const signed = { byId: boss, at: '2026-11-19T08:30:00.250Z' };
  await record(
    jobId,
    'part',
    part,
    { takeId: 'take-ecu', title: 'Unit', condition: 'good', label: 'C-1', place: 'C2', ...signed },
    3,
  );
  await record(jobId, 'bag', bag, {
    what: '6 bolts',
    label: '031',
    back: { byId: boss, at: '2026-11-19T09:00:00.000Z' },
    ...signed,
  });
  await record(jobId, 'bag', 'left', { what: '2 bolts', label: '032', place: 'tray', ...signed });
  await record(otherJob, 'bag', 'left', { what: '3 bolts', label: '033', ...signed });
  await record(
    jobId,
    'kit',
    'kit-sump',
    { status: 'ordered', options: 'deep', note: 'dented', price: 210.5, ...signed },
    4,
  );
  await record(jobId, 'kit', 'kit-oil-lines', { status: 'wanted', ...signed });
  await record(jobId, 'candidate', randomUUID(), { cost: 1450, note: 'complete', ...signed });
  await record(jobId, 'ask', randomUUID(), {
    ask: 'approval',
    to: 'manager',
    what: 'regrind',
    amount: 19.99,
    ...signed,
  });
  await record(jobId, 'hold', randomUUID(), { waitsFor: 'paint', ...signed });
  await owner.query(
    `insert into log_entry (shop_id, job_id, kind, text, data, by_id) values ($1, $2, 'kit', 'ordered: Sump', $3, $4)`,
    [
      shop,
      jobId,
      JSON.stringify({ record: 'kit', key: 'kit-sump', before: { status: 'wanted', price: 199 } }),
      boss,
    ],
  );
  await migrate(database.url);
  await owner.query(
    "select set_config('bay.sees_money', 'yes', false), set_config('bay.shop_id', $1, false)",
    [shop],
  );
});
afterAll(async () => {
  await owner.end();
  await database.drop();
});

describe('things get tables of their own', () => {
  it('every record is read as it was, with its revision and its signature', async () => {
    const read = await rows(
      'select kind, key, data, revision from recorded where job_id = $1 order by kind, key',
      jobId,
    );
    const of = (kind: string, key?: string) =>
      read.find((r) => r['kind'] === kind && (key === undefined || r['key'] === key));
    const signed = { byId: boss, at: '2026-11-19T08:30:00.250Z' };
    expect(read).toHaveLength(8);
    expect(of('part')).toMatchObject({
      key: part,
      revision: 3,
      data: {
        takeId: 'take-ecu',
        title: 'Unit',
        condition: 'good',
        label: 'C-1',
        place: 'C2',
        ...signed,
      },
    });
    expect(of('bag', bag)!['data']).toEqual({
      what: '6 bolts',
      label: '031',
      back: { byId: boss, at: '2026-11-19T09:00:00.000Z' },
      ...signed,
    });
    expect(of('bag', 'left')!['data']).toEqual({
      what: '2 bolts',
      label: '032',
      place: 'tray',
      ...signed,
    });
    expect(of('kit', 'kit-sump')).toMatchObject({
      revision: 4,
      data: { status: 'ordered', options: 'deep', note: 'dented', price: 21_050, ...signed },
    });
    expect(of('kit', 'kit-oil-lines')!['data']).toEqual({ status: 'wanted', ...signed });
    expect(of('candidate')!['data']).toMatchObject({ cost: 145_000, note: 'complete' });
    expect(of('ask')!['data']).toMatchObject({ what: 'regrind', amount: 1999 });
    expect(of('hold')!['data']).toMatchObject({ waitsFor: 'paint' });
  });
  it('a part keeps its id, a key that is no id stays one of its job', async () => {
    expect(await rows('select id from part')).toEqual([{ id: part }]);
    expect((await rows("select id from bag where key = 'left'")).map((r) => r['id'])).toHaveLength(
      2,
    );
  });
  it('amounts are nowhere but in their table: not in records, not in what the book keeps of before', async () => {
    expect(await rows('select kind, amount::int from money order by amount')).toEqual([
      { kind: 'ask', amount: 1999 },
      { kind: 'kit', amount: 21_050 },
      { kind: 'candidate', amount: 145_000 },
    ]);
    const [{ found }] = (await rows(
      "select exists (select 1 from record where data ?| array['price', 'cost', 'amount']) or exists (select 1 from log_entry where data::text like '%199%') as found",
    )) as [{ found: boolean }];
    expect(found).toBe(false);
    expect(await rows("select data->'before' as before from log_entry")).toEqual([
      { before: { status: 'wanted' } },
    ]);
  });
  it('the shop counts in plain numbers until it says otherwise', async () => {
    expect(await rows('select distinct currency from shop')).toEqual([{ currency: 'XXX' }]);
  });
});

describe('doors', () => {
  it('an address is written in one way, and who left has none', async () => {
    expect(await rows('select id, email, pin_hash from person order by active desc')).toEqual([
      { id: boss, email: 'boss@old.example', pin_hash: 'y' },
      { id: left, email: null, pin_hash: null },
    ]);
  });
  it('written by a newer version, it is refused with a sentence, and nothing is changed', async () => {
    await owner.query("insert into migration (name) values ('9999-later')");
    await expect(migrate(database.url)).rejects.toThrow(/newer Veteran Bay \(9999-later\)/);
    await owner.query("delete from migration where name = '9999-later'");
  });
  it('brought up to date once more, nothing happens', async () => {
    expect(await migrate(database.url)).toEqual([]);
  });
});

describe('three servers that start on an empty database at once', () => {
  it('bring it up to date once', async () => {
    const empty = await emptyDatabase();
    try {
      const ran = await Promise.all([migrate(empty.url), migrate(empty.url), migrate(empty.url)]);
      const names = ran.flat();
      expect(names.length).toBeGreaterThan(7);
      expect(new Set(names).size).toBe(names.length);
      expect(ran.filter((r) => r.length > 0)).toHaveLength(1);
    } finally {
      await empty.drop();
    }
  });
});
