import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as jobs from '@bay/contract/jobs';
import { addPhoto, undoCommand, writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { alwaysNeeded } from '@bay/core/fluids';
import { computePlan, planInputOf } from '@bay/core/plan';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import { asFile, phonePhoto } from '../testing/pictures.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** The server holds every gate by itself: what the records say against a line no request proves away. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: Awaited<ReturnType<typeof startServer>>;
let shop: TestShop;
let jobId: string;
let otherJob: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'gates');
  [jobId, otherJob] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const put = async (kind: RecordKind, key: string, data: Record<string, unknown>, revision = 0) =>
  shop.manager.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: commandId(), data, revision },
  });
const photo = async (of: string, asCommand = commandId()): Promise<string> => {
  const photoId = randomUUID();
  await shop.manager.good(addPhoto, {
    params: { jobId: of },
    body: {
      commandId: asCommand,
      photoId,
      caption: 'rigging',
      file: asFile(await phonePhoto()),
    } as never,
  });
  return photoId;
};
const planNow = async () => {
  const sheet = await shop.manager.good(jobs.readJob, { params: { jobId } });
  return computePlan(planInputOf({ jobId, ...sheet }));
};
const lineNow = async (id: string) =>
  (await planNow()).gates.flatMap((g) => g.lines).find((l) => l.def.id === id)!;

describe('a line that wants a photo', () => {
  const id = 'gate-ei-hidden';
  it('takes no words instead', async () => {
    const answer = await put('gate', id, { text: 'looked at, all there' });
    expect(answer.status).toBe(422);
    expect(JSON.stringify(answer.problem)).toContain('A photo is to show it');
  });
  it('nor a photo of another job, or of none', async () => {
    for (const photos of [[await photo(otherJob)], [randomUUID()]]) {
      const answer = await put('gate', id, { text: 'looked at', photos });
      expect(answer.status).toBe(409);
      expect(answer.problem.title).toBe(
        'A photo of this job is to show it: take one, or choose one.',
      );
    }
  });
  it('is proved by one of this job, and falls when that is taken back', async () => {
    const taking = commandId();
    const photos = [await photo(jobId, taking)];
    expect((await put('gate', id, { text: '', photos })).status).toBe(200);
    expect((await lineNow(id)).state).toBe('proved');
    await shop.manager.good(undoCommand, {
      params: { target: taking },
      body: { commandId: commandId() },
    });
    expect((await lineNow(id)).state).toBe('blocked');
  });
});

describe('the line of the verdicts', () => {
  const id = 'gate-ei-verdicts';
  it('is not signed while interfaces are not measured', async () => {
    const answer = await put('gate', id, { text: 'no clash open' });
    expect(answer.status).toBe(409);
    expect(answer.problem.title).toMatch(
      /^Not measured, and nobody goes on without it by name: .* and \d+ more\.$/,
    );
  });
  it('each is taken on by name with a reason, and then no longer counts', async () => {
    const open = (await planNow()).fits
      .filter((l) => l.verdict.word === 'not-measured')
      .map((l) => l.def.id);
    expect(open.length).toBeGreaterThan(10);
    expect((await put('fit', open[0]!, { waived: { why: 'no' } })).status).toBe(422);
    for (const key of open)
      expect(
        (await put('fit', key, { waived: { why: 'same car and engine as the last one' } })).status,
      ).toBe(200);
    expect((await lineNow(id)).blockers.map((b) => b.sentence)).toEqual([]);
    const kept = (await shop.manager.good(jobs.readJob, { params: { jobId } })).records.find(
      (r) => r.key === open[0],
    );
    expect(kept!.data).toMatchObject({ waived: { by: expect.any(String) as string } });
    expect((await put('gate', id, { text: 'trial gaps written' })).status).toBe(200);
  });
});

describe('the line of the fluids', () => {
  const id = 'gate-fc-fluids';
  const say = (line: string) =>
    shop.manager.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line, today: '2026-11-27' },
    });
  it('takes no words for a system of which nobody wrote anything', async () => {
    const answer = await put('gate', id, { text: 'all filled' });
    expect(answer.status).toBe(409);
    expect(answer.problem.title).toMatch(/^Coolant: nobody wrote what was put in/);
  });
  it('"not needed" is somebody\'s word, with why', async () => {
    const way = { way: 'not-needed', what: 'coolant', system: 'coolant' };
    expect((await put('fluid', randomUUID(), way)).problem.fields).toMatchObject({
      note: expect.any(String) as string,
    });
    expect((await put('fluid', randomUUID(), { ...way, note: 'no' })).status).toBe(422);
    for (const system of ['engine-oil', 'fuel'])
      expect(
        (
          await put('fluid', randomUUID(), {
            way: 'not-needed',
            what: system,
            system,
            note: 'runs dry',
          })
        ).status,
      ).toBe(422);
    expect(
      (await put('fluid', randomUUID(), { ...way, system: undefined, note: 'air-cooled' })).status,
    ).toBe(422);
    expect(
      (await put('fluid', randomUUID(), { way: 'filled', what: 'coolant', system: 'coolant' }))
        .status,
    ).toBe(422);
  });
  it('is proved by the records alone, and falls when one system is drained', async () => {
    for (const line of [
      'filled 6 l antifreeze 50/50',
      'filled 1.9 l transmission fluid',
      'filled 1 l power steering oil',
      'filled 1.1 l diff oil',
    ])
      await say(line);
    for (const { system } of (await planNow()).fills.filter(
      (f) => f.state === 'not-said' && !alwaysNeeded.has(f.system),
    ))
      expect(
        (
          await put('fluid', randomUUID(), {
            way: 'not-needed',
            what: system,
            system,
            note: 'the car has none',
          })
        ).status,
      ).toBe(200);
    expect(await lineNow(id)).toMatchObject({ state: 'proved', record: { missing: [] } });
    await say('drained 6 l coolant');
    expect((await lineNow(id)).blockers.map((b) => b.sentence)).toEqual([
      'Drained and not filled since: coolant.',
    ]);
  });
  it('oil that was drained keeps the engine from being cranked, whatever the reading says', async () => {
    await say('drained 4 l engine oil');
    const answer = await put('gate', 'gate-fc-oil-level', { text: '', readings: { oil: '4.5 L' } });
    expect(answer.problem.title).toBe('Drained and not filled since: engine oil.');
    await say('filled 4.5 l 10w40');
    expect(
      (await put('gate', 'gate-fc-oil-level', { text: '', readings: { oil: '4.5 L' } })).status,
    ).toBe(200);
  });
});

describe('a line that a test of the bench proves', () => {
  it('takes no words, and falls with the test', async () => {
    const fan = 'gate-fs-fan';
    expect((await lineNow(fan)).state).toBe('blocked');
    const refused = await put('gate', fan, { text: 'it blows the right way' });
    expect(refused.status).toBe(409);
    expect(refused.problem.title).toContain('Not done on the bench of Connect');
    const done = await put('task', 'bt-fan', { status: 'done' });
    expect(done.status).toBe(200);
    expect((await lineNow(fan)).state).toBe('proved');
    await put('task', 'bt-fan', { status: 'open' }, 1);
    expect((await lineNow(fan)).state).toBe('blocked');
  });
});

describe('lines that steps and choices stand before', () => {
  it("the way of priming is chosen by somebody: the default is nobody's choice", async () => {
    const text = 'external pump, jug and hose ready';
    expect((await put('gate', 'gate-fc-priming', { text })).problem.title).toMatch(
      /^Nobody chose the way of priming/,
    );
    expect(
      (await put('school', 'sch-prime', { side: 'sch-prime-b', reason: 'stood for three years' }))
        .status,
    ).toBe(200);
    expect((await put('gate', 'gate-fc-priming', { text })).status).toBe(200);
  });
  it('a joint of which a bolt is not written stands before the crank', async () => {
    expect((await put('joint', randomUUID(), { name: 'Bell', on: 'car', bolts: 2 })).status).toBe(
      200,
    );
    const said = (await lineNow('gate-fc-loose')).blockers.map((b) => b.sentence);
    expect(said).toEqual(['Not every bolt is written as tight: Bell, 0 of 2 bolts.']);
  });
});

describe('priming', () => {
  const primed = (way: string) => put('priming', randomUUID(), { way, bar: 3, seconds: 12 });
  it('by cranking waits for the gate, and no other name for it goes past', async () => {
    const answer = await primed('crank-without-fuel-and-spark');
    expect(answer.status).toBe(409);
    expect(answer.problem.title).toMatch(/^\d+ lines stand before "First crank"/);
    for (const way of ['Crank-without-fuel-and-spark', 'with the starter', ''])
      expect((await primed(way)).status, way).toBe(422);
    expect((await primed('external-pressure')).status).toBe(200);
  });
});

describe('what people left open', () => {
  it('a finding, a hold and an approval stand at their gates until they are settled', async () => {
    await put('finding', randomUUID(), { on: 'car', what: 'rust under the battery tray' });
    await put('hold', randomUUID(), { waitsFor: 'bell gasket' });
    await put('hold', randomUUID(), { waitsFor: 'seat cover', forbiddenAt: 'Hand over' });
    await put('ask', randomUUID(), {
      ask: 'approval',
      to: 'manager',
      what: 'weld the crossmember',
    });
    const gates = (await planNow()).gates;
    const said = (gate: string): string =>
      gates
        .find((g) => g.gate === gate)!
        .lines.flatMap((l) => l.blockers.map((b) => b.sentence))
        .join(' ');
    expect(said('First drive')).toContain('finding, rust under the battery tray');
    expect(said('First start')).not.toContain('finding');
    expect(said('First crank')).not.toContain('seat cover');
    expect(said('Hand over')).toContain('seat cover');
    expect(said('First crank')).toContain('held, bell gasket');
    expect(said('First drive')).toContain('approval asked for, weld the crossmember');
    expect(said('First start')).not.toContain('approval asked for');
  });
});

describe('signing with a gate shut', () => {
  const sign = async (station: string, despite?: string) => {
    const { job } = await shop.manager.good(jobs.readJob, { params: { jobId } });
    return shop.manager.call(jobs.changeJob, {
      params: { jobId },
      body: {
        commandId: commandId(),
        revision: job.revision,
        signStation: station,
        ...(despite === undefined ? {} : { despite }),
      } as never,
    });
  };
  it('a station wants a sentence, which stays in the book with the open lines', async () => {
    const answer = await sign('prep');
    expect(answer.status).toBe(409);
    expect(answer.problem.title).toMatch(/stand before "Engine closed up"/);
    expect(answer.problem.fields).toMatchObject({ despite: expect.any(String) as string });
    expect((await sign('prep', 'too short')).status).toBe(422);
    expect((await sign('prep', 'closed up for good after the trial fit')).status).toBe(200);
    const { log } = await shop.manager.good(jobs.readJob, { params: { jobId } });
    expect(log.map((l) => l.text).join(' ')).toMatch(
      /signed: Prep, with \d+ lines of a gate open: closed up for good after the trial fit/,
    );
  });
  it('a station without a gate wants none', async () =>
    expect((await sign('scope')).status).toBe(200));
  it('a job is not handed over so, by no door', async () => {
    for (const despite of [undefined, 'the customer stands in the yard']) {
      const answer = await sign('hand-over', despite);
      expect(answer.status).toBe(409);
      expect(answer.problem.title).toMatch(/stand before "First drive" and "Hand over"/);
    }
    const signed = await put('signature', 'hand-over', {
      what: 'Hand over',
      statement: 'all told',
    });
    expect(signed.status).toBe(409);
    expect((await shop.manager.good(jobs.readJob, { params: { jobId } })).job.closedAt).toBeFalsy();
  });
});
