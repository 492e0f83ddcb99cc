import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as crew from '@bay/contract/crew';
import { putFact } from '@bay/contract/facts';
import * as jobs from '@bay/contract/jobs';
import {
  countersign,
  kindSchema,
  putRecord,
  recordKinds,
  storedSchemas,
} from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { kindsInOrder, samples } from '../testing/samples.ts';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { Client, TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Who did what and when: put on by the server in one place, kept while nothing changes, never taken from who asks. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'sig');
  jobId = await bookedJob(shop.manager);
  for (const role of ['engine', 'gearbox', 'donor'] as const)
    await shop.manager.good(jobs.addUnit, {
      body: {
        commandId: commandId(),
        kind: role === 'donor' ? 'car' : role,
        name: `a ${role}`,
        place: 'floor',
        job: { jobId, role },
      },
    });
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

type Data = Record<string, unknown>;
const put = async (kind: RecordKind, key: string, data: Data, revision: number, who: Client) =>
  (
    await who.good(putRecord, {
      params: { jobId, kind, key },
      body: { commandId: commandId(), data, revision },
    })
  ).record;
const stored = async (kind: RecordKind, key: string): Promise<Data> =>
  (await shop.manager.good(jobs.readJob, { params: { jobId } })).records.find(
    (r) => r.kind === kind && r.key === key,
  )!.data as unknown as Data;

const forged = { by: 'Somebody Else', byId: randomUUID(), at: '1999-01-01T00:00:00.000Z' };
const signature = (by: string, byId: string) => ({
  by,
  byId,
  at: expect.not.stringContaining('1999') as string,
});

describe('forged stamps', () => {
  it.each(kindsInOrder)(
    '%s: names and times that were sent are never kept, not at the top and not in an act',
    async (kind) => {
      const { key, data, acts = {}, acted = {}, begins = {}, speaksOf = [] } = samples[kind];
      for (const other of speaksOf) await put(other.kind, other.key, other.data, 0, shop.manager);
      expect(Object.keys(acts).sort()).toEqual([...kindSchema(kind).acts].sort());
      const boss = signature('Boss sig', shop.people.manager);
      const first = await put(
        kind,
        key,
        { ...data, ...begins, ...forged, second: forged, signedBy: 'X', secondBy: 'Y' },
        0,
        shop.manager,
      );
      expect(first.data).toMatchObject(boss);
      expect(first.data).not.toHaveProperty('second');
      let revision = first.revision;
      for (const [act, said] of Object.entries(acts)) {
        const one =
          kind === 'gate'
            ? { [act]: { ...said, ...forged, second: 'Z' } }
            : { ...(await stored(kind, key)), [act]: { ...said, ...forged, stoodOn: { x: 1 } } };
        const row = await put(
          kind,
          key,
          { ...data, ...one, ...acted, ...forged },
          revision,
          shop.manager,
        );
        revision = row.revision;
        expect((row.data as unknown as Data)[act], act).toMatchObject(boss);
        expect(JSON.stringify((row.data as unknown as Data)[act])).not.toMatch(
          /Somebody Else|1999|"x":1/,
        );
      }
      const kept = await stored(kind, key);
      expect(storedSchemas[kind].safeParse(kept).error?.issues ?? []).toEqual([]);
      expect(JSON.stringify(kept)).not.toMatch(/Somebody Else|1999|"second"/);
    },
  );

  it('and who wrote later what was not touched does not sign it', async () => {
    for (const kind of recordKinds.filter(
      (k) => kindSchema(k).signed === 'once' && k !== 'fit' && k !== 'ask',
    )) {
      const { data, begins = {} } = samples[kind];
      // The id of an own line carries its title.
      const key = kind === 'own-line' ? samples[kind].key.replace(/.{4}$/, 'z9z9') : randomUUID();
      const first = await put(kind, key, { ...data, ...begins }, 0, shop.manager);
      const again = await put(
        kind,
        key,
        { ...data, ...(kind === 'hold' ? { due: '2027-01-01' } : {}) },
        first.revision,
        shop.technician,
      );
      expect(again.data, kind).toMatchObject(signature('Boss sig', shop.people.manager));
      expect(again.by).toBe('Tess sig');
    }
  });
  it('a note beside a step that is done does not do it again', async () => {
    const done = await put('task', 'task-sump-crossmember', { status: 'done' }, 0, shop.manager);
    const noted = await put(
      'task',
      'task-sump-crossmember',
      { status: 'done', note: 'both sides' },
      1,
      shop.technician,
    );
    expect(noted.data).toMatchObject({
      note: 'both sides',
      byId: shop.people.manager,
      at: (done.data as unknown as Data)['at'],
    });
    const reopened = await put(
      'task',
      'task-sump-crossmember',
      { status: 'open' },
      2,
      shop.technician,
    );
    expect(reopened.data).toMatchObject({ byId: shop.people.technician });
  });
});

describe('a fit record is signed part by part', () => {
  const fact = (value: string, revision: number) =>
    shop.technician.good(putFact, {
      params: { jobId, bearer: 'engine', factId: 'eng-bell-pattern' },
      body: { commandId: commandId(), typed: { value }, source: 'measured', revision },
    });
  it('ticking one knock-on leaves the trial of another person as it was, and stale where it was stale', async () => {
    await fact('K24', 0);
    const key = 'fit-firewall';
    const trial = { word: 'bolts-up', place: 'left rear', condition: 'cold', gapMm: 22 };
    const one = await put(
      'fit',
      key,
      { trial, resolution: { text: 'recess', kit: [], asked: [] } },
      0,
      shop.manager,
    );
    const before = (one.data as unknown as { trial: Data }).trial;
    expect(before).toMatchObject(signature('Boss sig', shop.people.manager));
    // As a page sends it: everything it has, in whatever order its keys are.
    const shown = await stored('fit', key);
    const resolution = { asked: ['fit-heater'], text: 'recess', kit: [] };
    const two = await put(
      'fit',
      key,
      {
        resolution,
        trial: { condition: 'cold', gapMm: 22, place: 'left rear', word: 'bolts-up' },
        judged: shown['judged'],
      },
      one.revision,
      shop.technician,
    );
    const after = two.data as unknown as { trial: Data; resolution: Data };
    expect(after.trial).toEqual(before);
    expect(after.resolution).toMatchObject({ byId: shop.people.technician });
  });
  it('a trial keeps the facts it was read under, from the server and not from who wrote it', async () => {
    const row = await put(
      'fit',
      'fit-bellhousing',
      {
        trial: {
          word: 'adapt',
          place: 'bell',
          condition: 'cold',
          stoodOn: { 'job:eng-bell-pattern': { value: 'forged' } },
        },
      },
      await revisionOf('fit', 'fit-bellhousing'),
      shop.technician,
    );
    expect((row.data as unknown as { trial: { stoodOn: Data } }).trial.stoodOn).toEqual({
      'job:eng-bell-pattern': { value: 'K24' },
      'job:gbx-bell-pattern': null,
    });
  });
});

const revisionOf = async (kind: RecordKind, key: string): Promise<number> =>
  (await shop.manager.good(jobs.readJob, { params: { jobId } })).records.find(
    (r) => r.kind === kind && r.key === key,
  )?.revision ?? 0;

describe('a second signature is the second person’s own act', () => {
  const key = 'gate-fc-clear';
  const override = { text: '', override: { reason: 'lift broken, chocked instead' } };
  const sign = (
    who: Client,
    revision: number,
    person?: { personId: string; pin: string },
    line = key,
  ) =>
    who.call(countersign, {
      params: { jobId, kind: 'gate', key: line },
      body: { commandId: commandId(), revision, ...(person ? { person } : {}) },
    });
  const waits = async (who: Client) =>
    (await who.good(crew.readWaiting)).items.filter(
      (i) => i.sort === 'second-signature' && i.kind === 'gate',
    );

  it('is asked for in the waiting list of those who may, not of the one who signed', async () => {
    await put('gate', key, override, 0, shop.manager);
    expect(await waits(shop.technician)).toMatchObject([
      { kind: 'gate', key, jobId, from: 'Boss sig', revision: 1 },
    ]);
    expect(await waits(shop.manager)).toEqual([]);
    expect(await waits(shop.onlooker)).toEqual([]);
  });
  it('the first person cannot give it, in their session or with their own PIN', async () => {
    expect(await sign(shop.manager, 1)).toMatchObject({
      status: 409,
      problem: { title: 'The second signature is another person.' },
    });
    expect(
      await sign(shop.technician, 1, { personId: shop.people.manager, pin: '1111' }),
    ).toMatchObject({ status: 409 });
  });
  it('nor can an onlooker, nor anybody with a wrong PIN', async () => {
    expect((await sign(shop.onlooker, 1)).status).toBe(403);
    expect(
      (await sign(shop.manager, 1, { personId: shop.people.onlooker, pin: '3333' })).status,
    ).toBe(403);
    expect(
      await sign(shop.manager, 1, { personId: shop.people.technician, pin: '9999' }),
    ).toMatchObject({ status: 401, problem: { title: 'That PIN is not right.' } });
    expect(await stored('gate', key)).not.toHaveProperty('second');
  });
  it('at a shared tablet the second person signs with name and PIN, under their own name', async () => {
    const answer = await sign(shop.manager, 1, { personId: shop.people.technician, pin: '2222' });
    expect(answer.body.record.data).toMatchObject({
      override: { by: 'Boss sig' },
      second: { by: 'Tess sig', byId: shop.people.technician },
    });
    const { log } = await shop.manager.good(jobs.readJob, { params: { jobId } });
    expect(log.at(-1)).toMatchObject({
      by: 'Tess sig',
      text: expect.stringMatching(/^second signature: /) as string,
    });
    expect(await waits(shop.technician)).toEqual([]);
    expect((await sign(shop.technician, 2)).status).toBe(409);
  });
  it('stands only under what it was given for: another reason wants it anew', async () => {
    const same = await put('gate', key, override, 2, shop.manager);
    expect(same.data).toHaveProperty('second');
    const other = await put(
      'gate',
      key,
      { text: '', override: { reason: 'the lift is still broken' } },
      3,
      shop.manager,
    );
    expect(other.data).not.toHaveProperty('second');
    expect(await sign(shop.technician, 3)).toMatchObject({
      status: 409,
      problem: { current: { revision: 4 } },
    });
    expect((await sign(shop.technician, 4)).body.record.data).toMatchObject({
      second: { byId: shop.people.technician },
    });
  });
  it('a line that two people sign waits after the first, and what wants one name takes no second', async () => {
    await put('gate', 'gate-fd-brakes', { text: 'pedal held, no loss' }, 0, shop.technician);
    expect(await waits(shop.manager)).toMatchObject([{ key: 'gate-fd-brakes' }]);
    expect((await sign(shop.manager, 1, undefined, 'gate-fd-brakes')).status).toBe(200);
    await put('gate', 'gate-fc-rollcall', { text: 'all 24 mated' }, 0, shop.technician);
    expect(await sign(shop.manager, 1, undefined, 'gate-fc-rollcall')).toMatchObject({
      status: 409,
    });
    expect((await sign(shop.manager, 0, undefined, 'gate-fc-gauge')).status).toBe(404);
  });
});

describe('people are kept by id', () => {
  it('a new name is shown wherever they did something, and what they were given stays theirs', async () => {
    const task = await put(
      'task',
      'rm-straps',
      { status: 'open', handedToId: shop.people.technician },
      0,
      shop.manager,
    );
    expect(task.data).toMatchObject({ handedTo: 'Tess sig' });
    await shop.manager.good(crew.renamePerson, {
      params: { personId: shop.people.technician },
      body: { commandId: commandId(), name: 'Tess Married' },
    });
    expect(await stored('task', 'rm-straps')).toMatchObject({
      handedTo: 'Tess Married',
      by: 'Boss sig',
    });
    expect(await stored('gate', 'gate-fd-brakes')).toMatchObject({
      by: 'Tess Married',
      second: { by: 'Boss sig' },
    });
    expect((await shop.technician.good(crew.readWaiting)).items.map((i) => i.key)).toContain(
      'rm-straps',
    );
  });
});
