import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { putFact } from '@bay/contract/facts';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
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
