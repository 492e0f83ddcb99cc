import { randomUUID } from 'node:crypto';
import { PassThrough } from 'node:stream';
import { sql } from 'kysely';
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest';
import { endpoints } from '@bay/contract/all';
import * as crew from '@bay/contract/crew';
import * as handover from '@bay/contract/handover';
import * as jobs from '@bay/contract/jobs';
import { writeLog } from '@bay/contract/logbook';
import { countersign, putRecord } from '@bay/contract/records';
import { makeLog } from '../log.ts';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import { sessionDays } from './session.ts';
import type { TestShop } from '../testing/shop.ts';

/** What outsiders try at the doors. Each line of docs/security.md names its test. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let jobId: string;
const logged = new PassThrough();
let log = '';
logged.on('data', (chunk: Buffer) => (log += chunk.toString()));

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url, {
    log: makeLog('info', logged),
  });
  shop = await shopWithCrew(server, 'doors');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

// What one part tried does not stand in the way of the next.
afterEach(() => sql`delete from try_count`.execute(server.db));

const ask = (path: string, init: RequestInit & { headers?: Record<string, string> } = {}) =>
  fetch(`${server.url}${path}`, {
    ...init,
    headers: { cookie: shop.manager.cookie, ...init.headers },
  });
const lines = async () => (await shop.manager.good(jobs.readJob, { params: { jobId } })).log.length;

describe('a change comes from our own pages', () => {
  const changes = endpoints.filter(([, e]) => e.method !== 'get');
  const before = new Set([
    'setUpShop',
    'signIn',
    'runCalculator',
    'answerAsCustomer',
    'answerQuote',
  ]);
  const pathOf = (path: string): string => path.replace(/:\w+/g, () => randomUUID());
  /** Without a token, with a wrong one, and with the right one from somewhere else. */
  const ways = (): Record<string, string>[] => {
    const right = { 'x-bay-token': shop.manager.token };
    return [
      {},
      { 'x-bay-token': 'not this one' },
      { origin: 'https://elsewhere.example', 'x-bay-token': '' },
      { origin: 'null' },
      { 'sec-fetch-site': 'cross-site' },
      { ...right, origin: 'https://elsewhere.example' },
      { ...right, origin: 'null' },
      { ...right, 'sec-fetch-site': 'same-site' },
    ];
  };
  it.each(changes.filter(([name]) => !before.has(name)))(
    '%s is refused however it is sent',
    async (_name, e) => {
      for (const headers of ways())
        for (const [type, body] of [
          ['application/json', '{}'],
          ['text/plain', '{}'],
          ['application/x-www-form-urlencoded', 'a=b'],
        ] as const) {
          const answer = await ask(pathOf(e.path), {
            method: e.method.toUpperCase(),
            headers: { 'content-type': type, ...headers },
            body,
          });
          expect([401, 403, 415], `${e.path} ${JSON.stringify(headers)} ${type}`).toContain(
            answer.status,
          );
        }
      const path = pathOf(e.path);
      for (const odd of [path.replace('/api/', '/API/'), `${path}/`, `/${path}`]) {
        const answer = await ask(odd, {
          method: e.method.toUpperCase(),
          headers: { 'content-type': 'application/json', 'x-bay-token': shop.manager.token },
          body: '{}',
        });
        expect(answer.status, odd).toBe(404);
      }
    },
  );
  it('a path that is written otherwise leads nowhere, with the token or without', async () => {
    const count = await lines();
    const body = JSON.stringify({
      commandId: commandId(),
      line: 'written through the back',
      today: '2026-11-26',
    });
    for (const path of [
      `/API/jobs/${jobId}/log`,
      `/api/JOBS/${jobId}/log`,
      `/Api/jobs/${jobId}/log`,
      `/api/jobs/${jobId}/log/`,
      `/api//jobs/${jobId}/log`,
      `/%61pi/jobs/${jobId}/log`,
      `//api/jobs/${jobId}/log`,
      `/api/jobs/${jobId}/log;x`,
    ]) {
      const answer = await ask(path, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-bay-token': shop.manager.token },
        body,
      });
      expect(answer.status, path).toBe(404);
    }
    expect(await lines()).toBe(count);
  });
  it('answers are kept by nobody', async () => {
    for (const path of ['/api/me', '/api/crew', `/api/jobs/${jobId}`, '/api/nowhere'])
      expect((await ask(path)).headers.get('cache-control')).toBe('no-store');
  });
});

describe('guessing', () => {
  const signIn = (email: string, password: string, headers: Record<string, string> = {}) =>
    fetch(`${server.url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', ...headers },
      body: JSON.stringify({ email, password }),
    }).then((r) => r.status);
  it('a password of one address: its spelling and a made-up sender give no new tries', async () => {
    const seen: number[] = [];
    for (let i = 0; i < 8; i += 1)
      seen.push(
        await signIn(
          i % 2 === 0 ? 'Some.Body@doors.example' : ' some.body@doors.example ',
          `wrong word ${i}`,
          {
            'x-forwarded-for': `10.0.0.${i}`,
          },
        ),
      );
    expect(seen).toEqual([401, 401, 401, 401, 401, 401, 429, 429]);
  });
  it('of many addresses from one place', async () => {
    const seen: number[] = [];
    for (let i = 0; i < 30; i += 1)
      seen.push(await signIn(`nobody-${i}@doors.example`, 'a long enough word'));
    expect(seen.at(-1)).toBe(429);
  });
  it('a PIN, also many at once, and however the id is spelled; the manager is told, and a new PIN forgives', async () => {
    const { person } = await shop.manager.good(crew.addPerson, {
      body: {
        commandId: commandId(),
        name: 'Gus Essed',
        initials: 'GE',
        role: 'technician',
        pin: '4711',
      },
    });
    const tablet = await shop.tablet();
    const tries = await Promise.all(
      Array.from({ length: 30 }, (_, i) =>
        tablet.call(crew.switchPerson, {
          body: {
            personId: i % 2 === 0 ? person.id : person.id.toUpperCase(),
            pin: String(1000 + i),
          },
        }),
      ),
    );
    expect(tries.filter((t) => t.status === 401).length).toBeLessThanOrEqual(6);
    expect(tries.filter((t) => t.status === 429).length).toBeGreaterThanOrEqual(24);
    // The right one waits too: who guesses must not learn that it is right.
    expect(
      (await tablet.call(crew.switchPerson, { body: { personId: person.id, pin: '4711' } })).status,
    ).toBe(429);
    const told = async (who: Client) =>
      (await who.good(crew.listCrew)).crew.find((p) => p.id === person.id)!.wrongPins;
    expect(await told(shop.manager)).toMatchObject({ tries: expect.any(Number) as number });
    expect(await told(shop.technician)).toBeUndefined();
    await shop.manager.good(crew.setPin, {
      params: { personId: person.id },
      body: { commandId: commandId(), pin: '8888' },
    });
    expect(
      (await tablet.call(crew.switchPerson, { body: { personId: person.id, pin: '8888' } })).status,
    ).toBe(200);
  });
  it('a PIN by way of a second signature: the same count, an answer each time, and the server goes on', async () => {
    const guess = (pin: string) =>
      shop.technician.call(countersign, {
        params: { jobId, kind: 'gate', key: 'gate-fd-brakes' },
        body: {
          commandId: commandId(),
          revision: 1,
          person: { personId: shop.people.manager, pin },
        },
      });
    const answers = [];
    for (let i = 0; i < 8; i += 1) answers.push((await guess(String(5000 + i))).status);
    expect(answers.slice(0, 5)).toEqual([401, 401, 401, 401, 401]);
    expect(answers.slice(6)).toEqual([429, 429]);
    expect((await guess('1\u000023')).status).toBe(429);
    expect((await shop.tablet()).cookie).not.toBe('');
  });
  it('customer links: wrong ones shut out nobody who has the right one', async () => {
    const { path } = await shop.manager.good(handover.makeLink, {
      params: { jobId },
      body: { commandId: commandId() },
    });
    const look = (token: string) =>
      fetch(`${server.url}/api/customer/${token}`).then((r) => r.status);
    const seen: number[] = [];
    for (let i = 0; i < 36; i += 1) seen.push(await look(`wrong-link-number-${i}-of-many`));
    expect(seen.slice(0, 3)).toEqual([404, 404, 404]);
    expect(seen.at(-1)).toBe(429);
    expect(await look(path.replace('/c/', ''))).toBe(200);
  });
});

describe('sessions', () => {
  const stream = async (client: Client) => {
    const answer = await fetch(`${server.url}/api/events`, { headers: { cookie: client.cookie } });
    return { status: answer.status, reader: answer.body!.getReader() };
  };
  const ended = async (reader: ReadableStreamDefaultReader<Uint8Array>) => {
    for (;;) if ((await reader.read()).done) return true;
  };
  it('a new PIN, a leaving, a lock and a signing out end the streams of that session at once', async () => {
    const add = async (initials: string, pin: string) =>
      (
        await shop.manager.good(crew.addPerson, {
          body: {
            commandId: commandId(),
            name: `S ${initials}`,
            initials,
            role: 'technician',
            pin,
          },
        })
      ).person.id;
    const ends: [string, (id: string, client: Client) => Promise<unknown>][] = [
      [
        'SA',
        (personId) =>
          shop.manager.good(crew.setPin, {
            params: { personId },
            body: { commandId: commandId(), pin: '5555' },
          }),
      ],
      [
        'SB',
        (personId) =>
          shop.manager.good(crew.removePerson, {
            params: { personId },
            body: { commandId: commandId() },
          }),
      ],
      ['SC', (_id, client) => client.good(crew.lockTablet)],
      ['SD', (_id, client) => client.good(crew.signOut)],
    ];
    for (const [initials, end] of ends) {
      const id = await add(initials, '4444');
      const client = await shop.tablet();
      await client.good(crew.switchPerson, { body: { personId: id, pin: '4444' } });
      const { status, reader } = await stream(client);
      expect(status).toBe(200);
      await end(id, client);
      expect(await ended(reader)).toBe(true);
    }
  });
  it('one session holds so many streams and no more, and a tablet with nobody at it none', async () => {
    const client = await shop.tablet();
    const streams = [];
    for (let i = 0; i < 10; i += 1) streams.push(await stream(shop.technician));
    expect(streams.map((s) => s.status)).toEqual([...Array<number>(8).fill(200), 429, 429]);
    await Promise.all(streams.map((s) => s.reader.cancel()));
    await client.good(crew.lockTablet);
    expect((await stream(client)).status).toBe(401);
  });
  it('ends as many days after it was seen as was said, however long the cookie would last', async () => {
    const tablet = await shop.tablet();
    await tablet.good(crew.getMe);
    await tablet.good(crew.getMe);
    const { rows } = await sql<{ days: number }>`
      select extract(epoch from max(expire) - now())::float / 86400 as days from session`.execute(
      server.db,
    );
    expect(rows[0]!.days).toBeGreaterThan(sessionDays - 1);
    expect(rows[0]!.days).toBeLessThan(sessionDays + 0.01);
  });
  it('an answer sets a cookie only where somebody comes or goes', async () => {
    for (const path of ['/api/me', '/api/crew', `/api/jobs/${jobId}`])
      expect((await ask(path)).headers.get('set-cookie')).toBeNull();
    const put = await ask(`/api/jobs/${jobId}/log`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-bay-token': shop.manager.token },
      body: JSON.stringify({ commandId: commandId(), line: 'no cookie', today: '2026-11-26' }),
    });
    expect([put.status, put.headers.get('set-cookie')]).toEqual([200, null]);
  });
  it('what one person wrote is refused under the session of another', async () => {
    const me = (await shop.technician.good(crew.getMe)).person!.id;
    const write = (who: Client) =>
      who.call(writeLog, {
        params: { jobId },
        body: { commandId: commandId(), line: 'mine', today: '2026-11-26', writtenBy: me },
      });
    expect((await write(shop.technician)).status).toBe(200);
    expect(await write(shop.manager)).toMatchObject({
      status: 409,
      problem: { code: 'somebody-else' },
    });
  });
});

describe('a command id', () => {
  it('stands for what was sent with it: the same again answers the same, anything else is refused', async () => {
    const id = commandId();
    const write = (line: string, agoMs?: number, to = jobId) =>
      shop.technician.call(writeLog, {
        params: { jobId: to },
        body: {
          commandId: id,
          line,
          today: '2026-11-26',
          ...(agoMs === undefined ? {} : { agoMs }),
        },
      });
    const first = await write('once');
    // A device that was not answered sends it again, later.
    expect(await write('once', 4000)).toMatchObject({ status: 200, body: first.body });
    const taken = {
      status: 409,
      problem: { title: 'This command id is already taken. Nothing was written.' },
    };
    expect(await write('another line')).toMatchObject(taken);
    expect(await write('once', undefined, await bookedJob(shop.manager))).toMatchObject(taken);
    expect(
      await shop.technician.call(putRecord, {
        params: { jobId, kind: 'hold', key: randomUUID() },
        body: { commandId: id, data: { waitsFor: 'paint' }, revision: 0 },
      }),
    ).toMatchObject(taken);
  });
});

describe('people', () => {
  it('one address is one person, and free again when they leave', async () => {
    const add = (name: string, initials: string, email: string) =>
      shop.manager.call(crew.addPerson, {
        body: {
          commandId: commandId(),
          name,
          initials,
          role: 'manager',
          email,
          password: 'a long enough word',
        },
      });
    const first = await add('One Mail', 'OM', 'One@mail.example');
    expect(first.status).toBe(200);
    expect(await add('Two Mail', 'TM', ' one@MAIL.example')).toMatchObject({
      status: 422,
      problem: { title: 'This e-mail already signs in here.' },
    });
    await shop.manager.good(crew.removePerson, {
      params: { personId: first.body.person.id },
      body: { commandId: commandId() },
    });
    expect((await add('Other Mail', 'OM', 'one@mail.example')).status).toBe(200);
  });
  it('somebody who left comes back as who they were, with all that they did, and with nothing of how they signed in', async () => {
    const add = (name: string) =>
      shop.manager.call(crew.addPerson, {
        body: { commandId: commandId(), name, initials: 'RB', role: 'technician', pin: '2468' },
      });
    const { person } = (await add('Rue Back')).body;
    const tablet = await shop.tablet();
    await tablet.good(crew.switchPerson, { body: { personId: person.id, pin: '2468' } });
    const { entry } = await tablet.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'written before leaving', today: '2026-11-26' },
    });
    expect(entry.by).toBe('Rue Back');
    const off = { params: { personId: person.id }, body: { commandId: commandId() } };
    await shop.manager.good(crew.removePerson, off);
    const whoLeft = async (who = shop.manager) =>
      (await who.good(crew.listCrew)).left.find((p) => p.id === person.id);
    expect(await whoLeft()).toMatchObject({ name: 'Rue Back', initials: 'RB', role: 'technician' });
    expect(await whoLeft(shop.technician)).toBeUndefined();
    // A second person of the name would be taken for the first in every book.
    expect(await add('rue back')).toMatchObject({
      status: 422,
      problem: {
        title: expect.stringMatching(
          /^Rue Back was on this crew before\. Take them back/,
        ) as string,
      },
    });
    const back = (body: object) =>
      shop.manager.call(crew.takeBackPerson, {
        params: { personId: person.id },
        body: { commandId: commandId(), role: 'technician', ...body },
      });
    expect(await back({})).toMatchObject({
      status: 422,
      problem: { title: 'Somebody at a shared tablet needs a PIN.' },
    });
    expect(
      await back({
        role: 'manager',
        email: 'boss-doors@shop.example',
        password: 'a long enough word',
      }),
    ).toMatchObject({
      status: 422,
      problem: { title: 'This e-mail already signs in here.' },
    });
    const other = await shop.manager.good(crew.addPerson, {
      body: {
        commandId: commandId(),
        name: 'Rolf Bly',
        initials: 'RB',
        role: 'technician',
        pin: '1357',
      },
    });
    expect(await back({ pin: '8642' })).toMatchObject({
      status: 422,
      problem: { title: expect.stringMatching(/^RB is Rolf Bly/) as string },
    });
    expect(await back({ pin: '8642', initials: 'RUB' })).toMatchObject({
      status: 200,
      body: { person: { id: person.id } },
    });
    expect(await back({ pin: '8642' })).toMatchObject({
      status: 409,
      problem: { title: 'Rue Back is on the crew.' },
    });
    expect(await whoLeft()).toBeUndefined();
    const old = await tablet.call(crew.switchPerson, {
      body: { personId: person.id, pin: '2468' },
    });
    expect(old.status).not.toBe(200);
    const again = await shop.tablet();
    await again.good(crew.switchPerson, { body: { personId: person.id, pin: '8642' } });
    // Their own line is theirs still: they take back what they write.
    const { log } = await again.good(jobs.readJob, { params: { jobId } });
    expect(log.find((l) => l.text === 'written before leaving')).toMatchObject({ by: 'Rue Back' });
    expect(
      (
        await shop.manager.call(crew.takeBackPerson, {
          params: { personId: other.person.id },
          body: { commandId: commandId(), role: 'technician', pin: '1111' },
        })
      ).status,
    ).toBe(409);
  });
  it('of managers who take each other off at once, one stays', async () => {
    const two = await shopWithCrew(server, 'duel');
    const { person } = await two.manager.good(crew.addPerson, {
      body: {
        commandId: commandId(),
        name: 'Other Boss',
        initials: 'OB',
        role: 'manager',
        email: 'other@duel.example',
        password: 'a long enough word',
      },
    });
    const other = new Client(server.url);
    await other.good(crew.signIn, {
      body: { email: 'other@duel.example', password: 'a long enough word' },
    });
    const me = (await two.manager.good(crew.getMe)).person!.id;
    const off = (who: Client, personId: string) =>
      who.call(crew.removePerson, { params: { personId }, body: { commandId: commandId() } });
    const answers = await Promise.all([off(two.manager, person.id), off(other, me)]);
    expect(answers.filter((a) => a.status === 200)).toHaveLength(1);
  });
  it('initials stand for one person', async () => {
    const add = (initials: string, name: string) =>
      shop.manager.call(crew.addPerson, {
        body: {
          commandId: commandId(),
          name,
          initials,
          role: 'technician',
          pin: '4444',
        },
      });
    expect((await add('QQ', 'Quill Quist')).status).toBe(200);
    // Nor does a name stand for two.
    expect((await add('QX', 'quill quist')).problem.title).toBe(
      'Quill Quist is on this crew. Write this name so that the two are told apart.',
    );
    expect(await add('qq', 'Quentin Quay')).toMatchObject({
      status: 422,
      problem: { title: 'QQ is Quill Quist. Three letters tell them apart.' },
    });
  });
});

describe('what somebody agreed to', () => {
  const asked = { ask: 'approval', to: 'manager', what: 'regrind', amount: 42_000 };
  const put = (who: Client, key: string, data: Record<string, unknown>, revision: number) =>
    who.call(putRecord, {
      params: { jobId, kind: 'ask', key },
      body: { commandId: commandId(), data, revision },
    });
  it('stands as it was asked, with its amount; nobody answers for somebody else', async () => {
    const key = randomUUID();
    expect((await put(shop.technician, key, asked, 0)).status).toBe(200);
    expect(
      (await put(shop.technician, key, { ...asked, answer: { yes: true, text: '' } }, 1)).status,
    ).toBe(403);
    expect(
      (await put(shop.manager, key, { ...asked, answer: { yes: true, text: 'go' } }, 1)).status,
    ).toBe(200);
    for (const change of [{ what: 'regrind and more' }, { amount: 1 }, { to: 'customer' }])
      expect(
        await put(shop.manager, key, { ...asked, answer: { yes: true, text: 'go' }, ...change }, 2),
      ).toMatchObject({
        status: 409,
        problem: { title: 'This was answered; it stands as it was asked. Ask again.' },
      });
  });
  it("the customer's yes is theirs, and to the words they read", async () => {
    const key = randomUUID();
    await put(shop.manager, key, { ...asked, to: 'customer' }, 0);
    expect(
      (
        await put(
          shop.manager,
          key,
          { ...asked, to: 'customer', answer: { yes: true, text: '' } },
          1,
        )
      ).status,
    ).toBe(409);
    const { path } = await shop.manager.good(handover.makeLink, {
      params: { jobId },
      body: { commandId: commandId() },
    });
    const token = path.replace('/c/', '');
    const guest = new Client(server.url);
    const view = await guest.good(handover.readCustomerView, { params: { token } });
    const seen = view.asks.find((a) => a.key === key)!;
    await put(
      shop.manager,
      key,
      { ...asked, to: 'customer', what: 'regrind, twice as dear', amount: 84_000 },
      1,
    );
    const answer = (revision: number) =>
      guest.call(handover.answerAsCustomer, {
        params: { token },
        body: { commandId: commandId(), key, yes: true, text: '', revision },
      });
    expect((await answer(seen.revision)).status).toBe(409);
    expect((await answer(seen.revision + 1)).status).toBe(200);
  });
});

describe('the log', () => {
  it('holds no cookie, no token, no PIN, no password and no link, after all of this', async () => {
    const { path } = await shop.manager.good(handover.makeLink, {
      params: { jobId },
      body: { commandId: commandId() },
    });
    await fetch(`${server.url}/api/customer/${path.replace('/c/', '')}`);
    await shop.technician.good(jobs.readJob, { params: { jobId } });
    expect(log.length).toBeGreaterThan(1000);
    for (const secret of [
      path.replace('/c/', ''),
      ...[shop.manager, shop.technician].flatMap((c) => [
        c.token,
        c.cookie.split('=')[1]!.slice(0, 24),
      ]),
      'a long enough word',
    ])
      expect(log.includes(secret), 'a secret in the log').toBe(false);
    expect(log).toContain('[kept out]');
  });
});
