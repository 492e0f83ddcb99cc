import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { correctClock, readClocks, startClock, stopClock } from '@bay/contract/clock';
import * as crew from '@bay/contract/crew';
import * as handover from '@bay/contract/handover';
import * as jobs from '@bay/contract/jobs';
import { writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import { Client, commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Clocks, and what a person is shown of their own: what waits, what is next, what happened since. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'clock');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const start = (who: Client, extra: Record<string, unknown> = {}) =>
  who.call(startClock, {
    params: { jobId },
    body: {
      commandId: commandId(),
      title: 'sweeping',
      station: 'pull',
      work: 'work',
      ...extra,
    } as never,
  });
const clocks = async () => (await shop.onlooker.good(readClocks, { params: { jobId } })).clocks;
const hour = 3_600_000;
const task = (key: string, data: Record<string, unknown>, revision = 0, who = shop.technician) =>
  who.good(putRecord, {
    params: { jobId, kind: 'task', key },
    body: { commandId: commandId(), data, revision },
  });

describe('clocks', () => {
  it('one a person: the next ends the one before, at the same moment', async () => {
    await start(shop.technician, { agoMs: 2 * hour });
    await start(shop.technician, {
      title: 'looking for the fault',
      work: 'diagnosis',
      agoMs: hour,
    });
    await start(shop.manager);
    const all = await clocks();
    expect(
      all
        .filter((c) => c.endedAt === null)
        .map((c) => c.person)
        .sort(),
    ).toEqual(['Boss clock', 'Tess clock']);
    expect(all[0]!.endedAt).toBe(all[1]!.startedAt);
    expect(
      Math.round((Date.parse(all[0]!.endedAt!) - Date.parse(all[0]!.startedAt)) / 60_000),
    ).toBe(60);
  });
  it('two taps at once start one', async () => {
    const taps = await Promise.all(
      ['tap one', 'tap two', 'tap three'].map((title) => start(shop.manager, { title })),
    );
    expect(taps.map((t) => t.status)).toEqual([200, 200, 200]);
    expect(
      (await clocks()).filter((c) => c.endedAt === null && c.person === 'Boss clock'),
    ).toHaveLength(1);
  });
  it('rework names what it redoes', async () => {
    expect(await start(shop.technician, { work: 'rework' })).toMatchObject({
      status: 422,
      problem: { fields: { redoes: 'Rework names what it redoes.' } },
    });
    expect(
      (await start(shop.technician, { work: 'rework', redoes: 'bell bolts, wrong length' })).body
        .clock,
    ).toMatchObject({ redoes: 'bell bolts, wrong length' });
  });
  it('off, and off again: the second finds nothing', async () => {
    expect(
      (await shop.technician.good(stopClock, { body: { commandId: commandId() } })).clock,
    ).not.toBeNull();
    expect(
      (await shop.technician.good(stopClock, { body: { commandId: commandId() } })).clock,
    ).toBeNull();
  });
  it('a step that starts starts its clock with the estimate; done or handed over ends it', async () => {
    await task('rm-identify', { status: 'on-it' });
    const [running] = (await clocks()).filter((c) => c.about === 'rm-identify');
    expect(running).toMatchObject({ endedAt: null, station: 'pull', person: 'Tess clock' });
    expect(running!.estimate![0]).toBeGreaterThan(0);
    await task(
      'rm-identify',
      { status: 'open', handedToId: shop.people.manager, note: 'handed over' },
      1,
    );
    expect((await clocks()).find((c) => c.id === running!.id)!.endedAt).not.toBeNull();
  });
});

describe('corrections of a clock', () => {
  const correct = (who: Client, id: string, body: Record<string, unknown>) =>
    who.call(correctClock, {
      params: { clockId: id },
      body: { commandId: commandId(), revision: 1, reason: 'tapped late', ...body } as never,
    });
  it('keep the times it had, with the reason', async () => {
    const { clock } = (await start(shop.technician, { agoMs: 3 * hour })).body;
    const startedAt = new Date(Date.parse(clock.startedAt) - hour / 2).toISOString();
    const endedAt = new Date(Date.parse(clock.startedAt) + hour).toISOString();
    const { body } = await correct(shop.technician, clock.id, { startedAt, endedAt });
    expect(body.clock).toMatchObject({
      startedAt,
      endedAt,
      revision: 2,
      corrections: [
        { reason: 'tapped late', by: 'Tess clock', startedAt: clock.startedAt, endedAt: null },
      ],
    });
    expect(await correct(shop.technician, clock.id, { startedAt, endedAt })).toMatchObject({
      status: 409,
    });
  });
  it.each([
    [
      'ends before it began',
      (s: number) => ({
        startedAt: new Date(s).toISOString(),
        endedAt: new Date(s - hour).toISOString(),
      }),
      'before it began',
    ],
    [
      'ends in the future',
      (s: number) => ({
        startedAt: new Date(s).toISOString(),
        endedAt: new Date(Date.now() + hour).toISOString(),
      }),
      'in the future',
    ],
  ])('is refused where it %s', async (_what, times, sentence) => {
    const { clock } = (await start(shop.technician, { agoMs: hour })).body;
    expect(
      (await correct(shop.technician, clock.id, times(Date.parse(clock.startedAt)))).problem.title,
    ).toContain(sentence);
  });
  it("of others are the manager's", async () => {
    const { clock } = (await start(shop.technician, { agoMs: hour })).body;
    const times = { startedAt: clock.startedAt, endedAt: new Date().toISOString() };
    const other = (await start(shop.manager, { agoMs: hour })).body.clock;
    expect(
      (
        await correct(shop.technician, other.id, {
          startedAt: other.startedAt,
          endedAt: new Date().toISOString(),
        })
      ).status,
    ).toBe(403);
    expect((await correct(shop.manager, clock.id, times)).status).toBe(200);
  });
});

describe('what waits for a person', () => {
  const waiting = async (who: Client) => (await who.good(crew.readWaiting)).items;
  const ask = (data: Record<string, unknown>) =>
    shop.technician.good(putRecord, {
      params: { jobId, kind: 'ask', key: commandId() },
      body: { commandId: commandId(), data, revision: 0 },
    });

  it('steps given to them, approvals, readings; nothing of anybody else', async () => {
    await ask({ ask: 'approval', to: 'manager', what: 'regrind', amount: 420 });
    await ask({ ask: 'reading', to: shop.people.technician, what: 'tunnel width' });
    // A clock of before would be asked about where midnight lies between.
    for (const who of [shop.manager, shop.technician])
      await who.call(stopClock, { body: { commandId: commandId() } });
    const boss = await waiting(shop.manager);
    expect(boss.map((i) => [i.sort, i.what.slice(0, 20)])).toEqual([
      ['step', 'Read vehicle and eng'],
      ['approval', 'regrind'],
    ]);
    expect(boss[1]).toMatchObject({ amount: 420, from: 'Tess clock' });
    expect((await waiting(shop.technician)).map((i) => i.sort)).toEqual(['reading']);
    expect(await waiting(shop.onlooker)).toEqual([]);
  });
  it('a clock that was forgotten', async () => {
    await start(shop.technician, { title: 'gone home', agoMs: 20 * hour });
    expect((await waiting(shop.technician))[0]).toMatchObject({ sort: 'clock', what: 'gone home' });
    await shop.technician.good(stopClock, { body: { commandId: commandId() } });
    expect((await waiting(shop.technician)).map((i) => i.sort)).not.toContain('clock');
  });
});

describe('my bench', () => {
  it('shows the running step with its caution, and what is free next, mine first', async () => {
    await shop.manager.good(jobs.changeJob, {
      params: { jobId },
      body: { commandId: commandId(), revision: 1, station: 'pull', bay: '2' },
    });
    await task('rm-photo-tour', { status: 'waived', note: 'done before' });
    await task('rm-identify', { status: 'open', handedToId: shop.people.technician }, 2);
    await task('rm-chock', { status: 'on-it' });
    const bench = await shop.technician.good(crew.readBench);
    expect(bench.running).toMatchObject({ about: 'rm-chock' });
    expect(bench.step).toMatchObject({ key: 'rm-chock', status: 'on-it', bay: '2' });
    expect(bench.next[0]).toMatchObject({ key: 'rm-identify', mine: true });
    expect(bench.next.every((s) => s.status === 'free')).toBe(true);
    expect(bench.next.map((s) => s.key)).not.toContain('rm-photo-tour');
    expect((await shop.manager.good(crew.readBench)).step).toBeNull();
  });
});

describe('taking over', () => {
  const since = async (who: Client) => who.good(handover.readTakeover, { params: { jobId } });
  const say = (who: Client, line: string) =>
    who.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line, today: '2026-11-26' },
    });

  it('tells what was written since one was last on the job', async () => {
    expect((await since(shop.onlooker)).since).toBeNull();
    await say(shop.technician, 'mine');
    await say(shop.manager, 'one');
    await say(shop.manager, 'two');
    const news = await since(shop.technician);
    expect(news.entries.map((e) => e.text)).toEqual(['one', 'two']);
    expect(news.since).not.toBeNull();
  });
  it('is written in the book, and begins anew from there', async () => {
    await shop.technician.good(handover.takeOver, {
      params: { jobId },
      body: { commandId: commandId() },
    });
    expect((await since(shop.technician)).entries).toEqual([]);
    await say(shop.manager, 'three');
    expect((await since(shop.technician)).entries.map((e) => e.text)).toEqual(['three']);
    const { log } = await shop.manager.good(jobs.readJob, { params: { jobId } });
    expect(log.at(-2)).toMatchObject({ kind: 'takeover', by: 'Tess clock' });
  });
});

describe('devices and passwords', () => {
  it('are listed, each sees their own, the manager all', async () => {
    const all = (await shop.manager.good(crew.listSessions)).sessions;
    expect(all.map((s) => s.person)).toEqual(
      expect.arrayContaining(['Boss clock', 'Tess clock', 'Olu clock']),
    );
    expect(all.filter((s) => s.thisOne)).toHaveLength(1);
    const own = (await shop.technician.good(crew.listSessions)).sessions;
    expect(new Set(own.map((s) => s.person))).toEqual(new Set(['Tess clock']));
    expect(JSON.stringify(all)).not.toContain(shop.technician.cookie.slice(4, 30));
  });
  it('one that is signed out is out at once', async () => {
    const phone = new Client(server.url);
    await phone.good(crew.signIn, {
      body: { email: 'boss-clock@shop.example', password: 'long enough word' },
    });
    const before = (await shop.manager.good(crew.listSessions)).sessions;
    const mine = (await phone.good(crew.listSessions)).sessions.find((s) => s.thisOne)!;
    expect(before.map((s) => s.id)).toContain(mine.id);
    await shop.manager.good(crew.endSession, { params: { sessionId: mine.id } });
    expect((await phone.call(jobs.readFloor)).status).toBe(401);
  });
  it("a technician cannot end another's", async () => {
    const boss = (await shop.manager.good(crew.listSessions)).sessions.find((s) => s.thisOne)!;
    expect(
      (await shop.technician.call(crew.endSession, { params: { sessionId: boss.id } })).status,
    ).toBe(404);
  });
  it('a new password signs the other devices of that person out, and lets them in again', async () => {
    const phone = new Client(server.url);
    const signIn = (password: string) =>
      phone.call(crew.signIn, { body: { email: 'boss-clock@shop.example', password } });
    expect((await signIn('long enough word')).status).toBe(200);
    await shop.manager.good(crew.setPassword, {
      params: { personId: shop.people.manager },
      body: { commandId: commandId(), password: 'a longer word still' },
    });
    expect((await phone.call(jobs.readFloor)).status).toBe(401);
    expect((await shop.manager.call(jobs.readFloor)).status).toBe(200);
    expect((await signIn('long enough word')).status).toBe(401);
    expect((await signIn('a longer word still')).status).toBe(200);
  });
  it('who leaves the crew is out, and stays named in the book', async () => {
    const { person } = await shop.manager.good(crew.addPerson, {
      body: {
        commandId: commandId(),
        name: 'Leaver',
        initials: 'LE',
        role: 'technician',
        pin: '8888',
      },
    });
    const tablet = new Client(server.url);
    await tablet.good(crew.signIn, {
      body: { email: 'boss-clock@shop.example', password: 'a longer word still' },
    });
    await tablet.good(crew.switchPerson, { body: { personId: person.id, pin: '8888' } });
    await tablet.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'my last line', today: '2026-11-26' },
    });
    await shop.manager.good(crew.removePerson, {
      params: { personId: person.id },
      body: { commandId: commandId() },
    });
    expect((await tablet.call(jobs.readFloor)).status).toBe(401);
    expect((await shop.manager.good(crew.listCrew)).crew.map((p) => p.name)).not.toContain(
      'Leaver',
    );
    expect((await shop.manager.good(jobs.readJob, { params: { jobId } })).log.at(-1)).toMatchObject(
      { by: 'Leaver' },
    );
    expect(
      (
        await shop.manager.call(crew.removePerson, {
          params: { personId: shop.people.manager },
          body: { commandId: commandId() },
        })
      ).status,
    ).toBe(409);
  });
});
