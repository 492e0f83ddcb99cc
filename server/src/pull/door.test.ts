import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { putFact } from '@bay/contract/facts';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { readFoundBefore } from '@bay/contract/pull';
import { readLog, writeLog } from '@bay/contract/logbook';
import { countersign, putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { Client } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Whichever way somebody comes (a button's request, the log bar, a script), a step that is held is not called done in passing. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: Awaited<ReturnType<typeof startServer>>;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'door');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

type Data = Record<string, unknown>;
const put = async (
  kind: RecordKind,
  key: string,
  data: Data,
  revision = 0,
  who: Client = shop.technician,
) =>
  who.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: commandId(), data, revision },
  });
const line = (text: string) =>
  shop.technician.call(writeLog, {
    params: { jobId },
    body: { commandId: commandId(), line: text, today: '2026-11-26' },
  });
const record = async (kind: RecordKind, key: string) =>
  (await shop.manager.good(jobs.readJob, { params: { jobId } })).records.find(
    (r) => r.kind === kind && r.key === key,
  );
const say = (bearer: 'car' | 'own-engine', factId: string, value: string) =>
  shop.manager.good(putFact, {
    params: { jobId, bearer, factId },
    body: { commandId: commandId(), typed: { value }, source: 'measured', revision: 0 },
  });

describe('a step that is held', () => {
  it.each(['done', 'on-it'])(
    '%s is refused, and the sentence says what it waits for',
    async (status) => {
      const answer = await put('task', 'rm-mounts-free', { status });
      expect(answer.status).toBe(409);
      expect(answer.problem.title).toMatch(/^Held: after "/);
      expect(answer.problem.fields).toHaveProperty('deviation');
    },
  );
  it('the log bar comes to the same door', async () => {
    const answer = await line('done: mount fasteners');
    expect(answer.status).toBe(409);
    expect(answer.problem.title).toMatch(/^Held: /);
    expect(await record('task', 'rm-mounts-free')).toBeUndefined();
  });
  it('done all the same it keeps why, what stood against it, and waits for the second person', async () => {
    const short = await put('task', 'rm-mounts-free', { status: 'done', deviation: { why: 'ok' } });
    expect(short.status).toBe(422);
    const forged = { against: ['nothing'], harm: false };
    const done = await put('task', 'rm-mounts-free', {
      status: 'done',
      deviation: { why: 'it hung on the crane of the last shop', stoodOn: forged },
    });
    expect(done.status).toBe(200);
    const kept = (await record('task', 'rm-mounts-free'))!;
    expect(kept.data).toMatchObject({
      status: 'done',
      deviation: { byId: shop.people.technician, stoodOn: { harm: true } },
    });
    expect(JSON.stringify(kept.data)).not.toContain('"nothing"');
    const waiting = (await shop.manager.good(crew.readWaiting)).items;
    expect(waiting.map((i) => [i.sort, i.key])).toContainEqual([
      'second-signature',
      'rm-mounts-free',
    ]);
    const book = (await shop.manager.good(readLog, { params: { jobId }, query: {} })).entries.map(
      (l) => l.text,
    );
    expect(
      book.some((t) =>
        /out of its order: it hung on the crane.*A second person is to sign/.test(t),
      ),
    ).toBe(true);
    const self = await shop.technician.call(countersign, {
      params: { jobId, kind: 'task', key: 'rm-mounts-free' },
      body: { commandId: commandId(), revision: kept.revision },
    });
    expect(self.status).toBe(409);
    const signed = await shop.manager.call(countersign, {
      params: { jobId, kind: 'task', key: 'rm-mounts-free' },
      body: { commandId: commandId(), revision: kept.revision },
    });
    expect(signed.status).toBe(200);
    expect((await record('task', 'rm-mounts-free'))!.data).toMatchObject({
      second: { byId: shop.people.manager },
    });
  });
  it('a note beside it needs no new reason', async () => {
    const now = (await record('task', 'rm-mounts-free'))!;
    const noted = await put(
      'task',
      'rm-mounts-free',
      { status: 'done', note: 'two studs captive' },
      now.revision,
    );
    expect(noted.status).toBe(200);
    expect((await record('task', 'rm-mounts-free'))!.data).toHaveProperty('deviation.why');
  });
  it('one that is free is simply done', async () =>
    expect((await put('task', 'rm-identify', { status: 'done' })).status).toBe(200));
});

describe('high voltage, through every door', () => {
  const first = {
    'meter-before': '12.1 V',
    'point-1': '0.1 V',
    'point-2': '0 V',
    'meter-after': '12.1 V',
  };
  it('the proof is numbers, minutes that ran and two people', async () => {
    await say('car', 'rec-hv-system', 'yes');
    for (const readings of [
      {},
      { ...first, 'point-2': '440 V' },
      { ...first, 'meter-after': 'fine' },
    ])
      expect(
        (await put('gate', 'gate-hv-dead', { text: 'looked', readings })).status,
        JSON.stringify(readings),
      ).toBe(422);
    const early = await put('gate', 'gate-hv-wait', {
      text: 'manual page 4',
      readings: { minutes: '10 min' },
    });
    expect(early.status).toBe(409);
    expect(early.problem.title).toMatch(/plug is not written out/);
    expect(
      (await put('gate', 'gate-hv-wait', { text: '', readings: { minutes: '2 min' } })).problem
        .title,
    ).toMatch(/2 min is not what this line wants: 5 min/);
  });
  it('"done" of the proof is refused while its gate lines stand', async () => {
    for (const answer of [
      await put('task', 'rm-hv-prove-dead', { status: 'done' }),
      await line('done: meter proved on a known source'),
    ])
      expect(answer.problem.title).toMatch(/^Held: /);
  });
  it('minutes that have not run by the clock of the server prove nothing', async () => {
    const plug = await put('task', 'rm-hv-make-safe', {
      status: 'done',
      deviation: { why: 'chocks and battery done before the job was booked' },
    });
    expect(plug.status).toBe(200);
    const soon = await put('gate', 'gate-hv-wait', {
      text: 'manual page 4',
      readings: { minutes: '10 min' },
    });
    expect(soon.status).toBe(409);
    expect(soon.problem.title).toMatch(/10 min wanted since the plug came out; 0 min had run/);
    expect(
      (await put('gate', 'gate-hv-dead', { text: 'class 0 gloves', readings: first })).status,
    ).toBe(409);
  });
});

describe('a giver that is called not needed', () => {
  it('frees nothing by itself; with what gives it instead it wants a second person', async () => {
    const claim = { status: 'waived', note: 'crashed', instead: 'line open since the crash, dry' };
    const row = await put('task', 'rm-fuel-stand-cold', claim);
    expect(row.status).toBe(200);
    const waiting = (await shop.manager.good(crew.readWaiting)).items.map((i) => i.key);
    expect(waiting).toContain('rm-fuel-stand-cold');
    expect(
      (await put('task', 'rm-fuel-valve-bleed', { status: 'waived', instead: 'x' })).status,
    ).toBe(422);
  });
});

describe('a group of fasteners that is counted', () => {
  beforeAll(async () => {
    jobId = await bookedJob(shop.manager);
    await put('task', 'rm-bell-bolts', {
      status: 'done',
      deviation: { why: 'only to have a record that can be counted' },
    });
  });
  const revision = async () => (await record('task', 'rm-bell-bolts'))!.revision;
  const count = async (data: Data) => put('task', 'rm-bell-bolts', data, await revision());
  it('is not done while one is still in, whichever way somebody says so', async () => {
    const reopened = await count({ status: 'open' });
    expect(reopened.status).toBe(200);
    const on = await count({
      status: 'on-it',
      count: { done: 14, of: 15 },
      deviation: { why: 'counted from under the car' },
    });
    expect(on.status).toBe(200);
    for (const answer of [
      await count({ status: 'done' }),
      await count({ status: 'done', count: { done: 14, of: 15 } }),
      await line('done: bell bolts, lower studs first'),
    ]) {
      expect(answer.status).toBe(422);
      expect(answer.problem.title).toBe('14 of 15 fasteners counted: the rest first.');
    }
    expect((await count({ status: 'on-it', count: { done: 16, of: 15 } })).status).toBe(422);
  });
  it('a count that goes on is a line of its own, and begins no step anew', async () => {
    expect((await count({ status: 'on-it', count: { done: 15, of: 15 } })).status).toBe(200);
    const { entries } = await shop.manager.good(readLog, { params: { jobId }, query: {} });
    expect(entries.at(-1)!.text).toMatch(/^counted 15 of 15: Bell bolts/);
  });
  it('all of them out, it can be done; open again, the count begins anew', async () => {
    const done = await count({ status: 'done', deviation: { why: 'counted from under the car' } });
    expect(done.status).toBe(200);
    expect((await record('task', 'rm-bell-bolts'))!.data).toMatchObject({
      count: { done: 15, of: 15 },
    });
    await count({ status: 'open' });
    expect((await record('task', 'rm-bell-bolts'))!.data).not.toHaveProperty('count');
  });
});

describe('a step that waits for a part', () => {
  beforeAll(async () => {
    jobId = await bookedJob(shop.manager);
  });
  const hold = () => record('hold', 'h-1');
  it('is held at every door until the part is here', async () => {
    const data = { waitsFor: 'long extension', about: 'rm-identify' };
    expect((await put('hold', 'h-1', data)).status).toBe(200);
    for (const answer of [
      await put('task', 'rm-identify', { status: 'on-it' }),
      await line('done: read vehicle and engine numbers'),
    ]) {
      expect(answer.status).toBe(409);
      expect(answer.problem.title).toMatch(/^Held: waits for long extension/);
    }
  });
  it('what arrives moves its order, its hold and the step, together', async () => {
    expect(
      (await put('kit', 'kit-bell-adapter', { status: 'ordered', options: '18 mm' })).status,
    ).toBeLessThan(500);
    expect((await line('arrived: long extension')).status).toBe(200);
    expect((await hold())!.data).toMatchObject({ released: { byId: shop.people.technician } });
    expect((await put('task', 'rm-identify', { status: 'on-it' })).status).toBe(200);
  });
  it('a line of the log bar that belongs to a step holds it', async () => {
    const answer = await shop.technician.call(writeLog, {
      params: { jobId },
      body: {
        commandId: commandId(),
        line: 'held: second pair of hands',
        today: '2026-11-26',
        about: 'rm-chock',
      },
    });
    expect(answer.status).toBe(200);
    expect((await put('task', 'rm-chock', { status: 'done' })).problem.title).toMatch(
      /^Held: waits for second pair of hands/,
    );
  });
});

describe('what is found otherwise than planned', () => {
  const found = (over: Data = {}) => ({
    step: 'rm-exhaust-front',
    sort: 'stuck',
    what: 'two studs will not turn',
    ways: ['soak'],
    soakHours: 12,
    ...over,
  });
  const write = async (data: Data) => {
    const key = commandId();
    return { key, answer: await put('snag', key, data) };
  };
  it('soaks until its hours are over; another way before that is said', async () => {
    const { key, answer } = await write(found());
    expect(answer.status).toBe(200);
    const early = await put('snag', key, found({ ended: { how: 'came free' } }), 1);
    expect(early.status).toBe(409);
    expect(early.problem.title).toMatch(/^It soaks until \d{4}-/);
    const shorter = found({ soakHours: 0.001, ended: { how: 'came free' } });
    expect((await put('snag', key, shorter, 1)).status).toBe(409);
    const other = found({ ways: ['heat'], soakHours: undefined, ended: { how: 'came with heat' } });
    expect((await put('snag', key, other, 1)).status).toBe(200);
    expect((await record('snag', key))!.data).toMatchObject({ ended: { how: 'came with heat' } });
  });
  it('its hold comes to every door of the step, and ends with it', async () => {
    const { key } = await write(found({ step: 'rm-o2-plugs' }));
    for (const answer of [
      await put('task', 'rm-o2-plugs', { status: 'on-it' }),
      await line('started: oxygen sensors unplugged'),
    ])
      expect(answer.problem.title).toMatch(/penetrant to soak/);
    await put('snag', key, found({ step: 'rm-o2-plugs', removed: true }), 1);
    const after = await put('task', 'rm-o2-plugs', { status: 'on-it' });
    expect(after.problem?.title ?? '').not.toMatch(/penetrant/);
  });
  it.each([
    [{ soakHours: undefined }, 'soakHours'],
    [{ ways: ['heat'] }, 'soakHours'],
    [{ what: '' }, 'what'],
    [{ ways: ['melt'] }, 'ways.0'],
  ])('refuses %j', async (over, field) => {
    const { answer } = await write(found(over));
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.problem.fields)).toContain(field);
  });
});

describe('what other jobs found at a step', () => {
  it('is said with the middle of what it took, and not of this job, and not what was written in error', async () => {
    const [here, one, two] = [
      await bookedJob(shop.manager),
      await bookedJob(shop.manager),
      await bookedJob(shop.manager),
    ];
    const write = (job: string, over: Data) =>
      shop.manager.good(putRecord, {
        params: { jobId: job, kind: 'snag', key: commandId() },
        body: {
          commandId: commandId(),
          data: { step: 'rm-bell-bolts', sort: 'stuck', what: 'dowels', ways: ['heat'], ...over },
          revision: 0,
        },
      });
    await write(here, { extraMinutes: 500 });
    await write(one, { extraMinutes: 20, ways: ['heat', 'drill'] });
    await write(two, { extraMinutes: 40 });
    await write(two, { extraMinutes: 60, ways: [] });
    await write(two, { extraMinutes: 900, removed: true });
    const { found } = await shop.onlooker.good(readFoundBefore, { params: { jobId: here } });
    const bell = found.find((f) => f.step === 'rm-bell-bolts')!;
    expect({ ...bell, ways: [...bell.ways].sort() }).toEqual({
      step: 'rm-bell-bolts',
      times: 3,
      minutes: 40,
      ways: ['drill', 'heat'],
    });
  });
});

describe('the old engine', () => {
  it('leaves its job when what the new one needs of it is taken, or was called not needed', async () => {
    const car = await bookedJob(shop.manager);
    const { units } = await shop.manager.good(jobs.readJob, { params: { jobId: car } });
    const own = units.find((u) => u.role === 'own-engine')!;
    const leave = () =>
      shop.technician.call(jobs.moveUnit, {
        params: { unitId: own.id },
        body: { commandId: commandId(), place: 'the scrap yard', leaveJobId: car, job: null },
      });
    const held = await leave();
    expect(held.status).toBe(409);
    expect(held.problem.title).toMatch(/is open: the engine leaves when/);
    await shop.manager.good(putRecord, {
      params: { jobId: car, kind: 'task', key: 'rm-keep-list' },
      body: {
        commandId: commandId(),
        data: { status: 'waived', note: 'nothing of it serves' },
        revision: 0,
      },
    });
    expect((await leave()).status).toBe(200);
  });
});
