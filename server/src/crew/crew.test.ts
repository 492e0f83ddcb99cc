import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sql } from 'kysely';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { putRecord } from '@bay/contract/records';
import { inShop } from '../db/connection.ts';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let one: TestShop;
let two: TestShop;
let jobOfOne: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

describe('the first visit', () => {
  it('sets up a shop when there is none, and only then', async () => {
    const client = new Client(server.url);
    expect((await client.good(crew.getMe)).needsSetup).toBe(true);
    const bad = await client.call(crew.setUpShop, {
      body: { shopName: '', bays: 3, name: 'A', email: 'no', password: 'short' },
    });
    expect(bad.status).toBe(422);
    expect(bad.problem.fields).toMatchObject({
      shopName: 'Nothing typed.',
      email: 'Not an e-mail address.',
      password: 'At least 12 characters.',
    });
    const me = await client.good(crew.setUpShop, {
      body: {
        shopName: 'First',
        bays: 3,
        name: 'Ana Bold',
        email: 'ana@first.example',
        password: 'long enough word',
      },
    });
    expect(me).toMatchObject({
      shop: { name: 'First', bays: ['1', '2', '3'] },
      person: { initials: 'AB', role: 'manager' },
    });
    expect(
      (
        await client.call(crew.setUpShop, {
          body: {
            shopName: 'Second',
            bays: 1,
            name: 'Eve',
            email: 'eve@second.example',
            password: 'long enough word',
          },
        })
      ).status,
    ).toBe(409);
    one = await shopWithCrew(server, 'one');
    two = await shopWithCrew(server, 'two');
    jobOfOne = await bookedJob(one.manager);
  });
});

describe('signing in', () => {
  it('refuses a wrong password and an unknown e-mail with one sentence', async () => {
    const client = new Client(server.url);
    const wrong = await client.call(crew.signIn, {
      body: { email: 'ana@first.example', password: 'nothing right' },
    });
    const unknown = await client.call(crew.signIn, {
      body: { email: 'nobody@first.example', password: 'nothing right' },
    });
    expect([wrong.status, unknown.status]).toEqual([401, 401]);
    expect(wrong.problem.title).toBe(unknown.problem.title);
  });
  it('stops guessing after a few tries, across server processes', async () => {
    const second = await startServer(database.url);
    const tries = [];
    for (let i = 0; i < 14; i += 1)
      tries.push(
        (
          await new Client(i % 2 ? server.url : second.url).call(crew.signIn, {
            body: { email: 'guess@first.example', password: `guess number ${i}` },
          })
        ).status,
      );
    await second.stop();
    expect(tries.slice(0, 6)).toEqual([401, 401, 401, 401, 401, 401]);
    expect(new Set(tries.slice(6))).toEqual(new Set([429]));
  });
  it('a new session id at every entry', async () => {
    const client = new Client(server.url);
    await client.good(crew.signIn, {
      body: { email: 'boss-one@shop.example', password: 'long enough word' },
    });
    const before = client.cookie;
    await client.good(crew.switchPerson, {
      body: { personId: one.people.technician, pin: '2222' },
    });
    expect(client.cookie).not.toBe(before);
    client.cookie = before;
    expect((await client.call(jobs.readFloor)).status).toBe(401);
  });
  it('a locked tablet shows names and does nothing else until a PIN is typed', async () => {
    const client = new Client(server.url);
    await client.good(crew.signIn, {
      body: { email: 'boss-one@shop.example', password: 'long enough word' },
    });
    expect((await client.good(crew.lockTablet)).person).toBeNull();
    expect((await client.good(crew.listCrew)).crew).toHaveLength(3);
    expect((await client.call(jobs.readFloor)).problem.title).toMatch(/Tap your name/);
    const wrong = await client.call(crew.switchPerson, {
      body: { personId: one.people.technician, pin: '9999' },
    });
    expect(wrong).toMatchObject({
      status: 401,
      problem: { fields: { pin: 'That PIN is not right.' } },
    });
    expect(
      (
        await client.good(crew.switchPerson, {
          body: { personId: one.people.technician, pin: '2222' },
        })
      ).person!.name,
    ).toBe('Tess one');
  });
  it('a PIN of another shop opens nothing', async () => {
    const client = new Client(server.url);
    await client.good(crew.signIn, {
      body: { email: 'boss-one@shop.example', password: 'long enough word' },
    });
    expect(
      (
        await client.call(crew.switchPerson, {
          body: { personId: two.people.technician, pin: '2222' },
        })
      ).status,
    ).toBe(401);
  });
});

describe('changes come from our own pages', () => {
  it('without the token nothing changes', async () => {
    const answer = await one.manager.call(jobs.bookIn, {
      body: {} as never,
      headers: { 'x-bay-token': 'guess' },
    });
    expect(answer.status).toBe(403);
  });
  it('from another origin nothing changes, not even signing in', async () => {
    const answer = await new Client(server.url).call(crew.signIn, {
      body: { email: 'boss-one@shop.example', password: 'long enough word' },
      headers: { origin: 'https://elsewhere.example' },
    });
    expect(answer.status).toBe(403);
  });
  it('pages may load nothing from elsewhere', async () => {
    const res = await fetch(`${server.url}/api/me`);
    expect(res.headers.get('content-security-policy')).toMatch(
      /default-src 'none'.*script-src 'self'/,
    );
    expect(res.headers.get('x-powered-by')).toBeNull();
  });
});

describe('who may do what', () => {
  it('onlookers do not write, technicians do not manage', async () => {
    const write = (client: Client) =>
      client.call(putRecord, {
        params: { jobId: jobOfOne, kind: 'task', key: 'rm-identify' },
        body: { commandId: commandId(), data: { status: 'done' }, revision: 0 },
      });
    expect(await write(one.onlooker)).toMatchObject({
      status: 403,
      problem: { title: 'Onlookers read; they do not write.' },
    });
    expect((await write(one.technician)).status).toBe(200);
    const add = (client: Client) =>
      client.call(crew.addPerson, {
        body: {
          commandId: commandId(),
          name: 'New',
          initials: 'NE',
          role: 'technician',
          pin: '4444',
        },
      });
    expect((await add(one.technician)).status).toBe(403);
    expect((await add(one.manager)).status).toBe(200);
  });
  it('what is logged carries the name of who is here', async () => {
    const { log } = await one.manager.good(jobs.readJob, { params: { jobId: jobOfOne } });
    expect(log.at(-1)).toMatchObject({
      by: 'Tess one',
      text: expect.stringContaining('done: Read vehicle') as string,
    });
  });
});

describe('shops are kept apart', () => {
  it("another shop's ids are not here", async () => {
    expect((await two.manager.call(jobs.readJob, { params: { jobId: jobOfOne } })).status).toBe(
      404,
    );
    expect(
      (
        await two.manager.call(putRecord, {
          params: { jobId: jobOfOne, kind: 'task', key: 'rm-identify' },
          body: { commandId: commandId(), data: { status: 'open' }, revision: 1 },
        })
      ).status,
    ).toBe(404);
    expect(
      (
        await two.manager.call(crew.setPin, {
          params: { personId: one.people.technician },
          body: { commandId: commandId(), pin: '5555' },
        })
      ).status,
    ).toBe(404);
    expect((await two.manager.good(jobs.find, { query: { q: 'camper' } })).hits).toEqual([]);
  });
  it('a forgotten where leaks nothing: row-level security, on every table', async () => {
    const shopTwo = (await two.manager.good(crew.getMe)).shop!.id;
    const tables = await sql<{
      name: string;
    }>`select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'shop_id'`.execute(
      server.db,
    );
    expect(tables.rows.length).toBeGreaterThanOrEqual(11);
    await inShop(server.db, shopTwo, async (tx) => {
      for (const { name } of tables.rows) {
        const { rows } = await sql<{
          n: number;
        }>`select count(*)::int as n from ${sql.table(name)} where shop_id <> ${shopTwo}`.execute(
          tx,
        );
        expect(rows[0]!.n, name).toBe(0);
      }
      expect((await tx.selectFrom('job').selectAll().execute()).length).toBe(0);
    });
    // Without a shop set, nothing at all.
    expect(await server.db.selectFrom('person').selectAll().execute()).toEqual([]);
  });
  it('a row cannot be written into another shop', async () => {
    const shopTwo = (await two.manager.good(crew.getMe)).shop!.id;
    const shopOne = (await one.manager.good(crew.getMe)).shop!.id;
    await expect(
      inShop(server.db, shopTwo, (tx) =>
        tx
          .insertInto('customer')
          .values({ id: commandId(), shop_id: shopOne, name: 'x', phone: null })
          .execute(),
      ),
    ).rejects.toThrow(/row-level security/);
  });
  it('the book cannot be rewritten, not even by the server', async () => {
    const shopOne = (await one.manager.good(crew.getMe)).shop!.id;
    await expect(
      inShop(server.db, shopOne, (tx) => tx.deleteFrom('log_entry').execute()),
    ).rejects.toThrow(/permission denied/);
    await expect(
      inShop(server.db, shopOne, (tx) => tx.updateTable('log_entry').set({ text: 'x' }).execute()),
    ).rejects.toThrow(/permission denied/);
  });
});
