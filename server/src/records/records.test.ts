import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { factHistory, putFact } from '@bay/contract/facts';
import * as jobs from '@bay/contract/jobs';
import { readLog, writeLog } from '@bay/contract/logbook';
import { listCalculators, runCalculator } from '@bay/contract/calc';
import { readPart } from '@bay/contract/parts';
import { putRecord, recordKinds } from '@bay/contract/records';
import { chooseSchool, readSchools } from '@bay/contract/schools';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';
import { ruleOf } from './kind.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let second: TestServer;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  [server, second] = await Promise.all([startServer(database.url), startServer(database.url)]);
  shop = await shopWithCrew(server, 'rec');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await Promise.all([server.stop(), second.stop()]);
  await database.drop();
});

const put = (
  kind: (typeof recordKinds)[number],
  key: string,
  data: Record<string, unknown>,
  revision = 0,
  id = commandId(),
  who = shop.technician,
) => who.call(putRecord, { params: { jobId, kind, key }, body: { commandId: id, data, revision } });
const sheet = () => shop.manager.good(jobs.readJob, { params: { jobId } });
const line = (text: string) =>
  shop.technician.good(writeLog, {
    params: { jobId },
    body: { commandId: commandId(), line: text, today: '2026-11-24' },
  });
const fact = (
  factId: string,
  typed: Record<string, string>,
  revision = 0,
  bearer: 'car' | 'engine' | 'job' = 'car',
) =>
  shop.technician.call(putFact, {
    params: { jobId, bearer, factId },
    body: { commandId: commandId(), typed, source: 'measured', revision },
  });

describe('commands', () => {
  it('sent twice are done once and answer the same', async () => {
    const id = commandId();
    const one = await put('task', 'rm-identify', { status: 'done' }, 0, id);
    const before = (await sheet()).log.length;
    const again = await put('task', 'rm-identify', { status: 'done' }, 0, id);
    expect(again.body).toEqual(one.body);
    expect((await sheet()).log.length).toBe(before);
  });
  it('sent ten times at once are done once', async () => {
    const id = commandId();
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => put('hold', 'h1', { waitsFor: 'paint' }, 0, id)),
    );
    expect(answers.map((a) => a.status)).toEqual(Array(10).fill(200));
    expect((await sheet()).log.filter((l) => l.text === 'held: waits for paint')).toHaveLength(1);
  });
  it('a stale write is refused with the row as it is now, and who changed it', async () => {
    await put('task', 'task-tank', { status: 'on-it' });
    expect(
      (await put('task', 'task-tank', { status: 'done' }, 1, commandId(), shop.manager)).status,
    ).toBe(200);
    const stale = await put('task', 'task-tank', { status: 'waived', note: 'mine' }, 1);
    expect(stale).toMatchObject({
      status: 409,
      problem: {
        title: 'Boss rec changed this meanwhile.',
        current: { revision: 2, data: { status: 'done' } },
      },
    });
    expect((await put('task', 'task-tank', { status: 'waived', note: 'mine' }, 2)).status).toBe(
      200,
    );
  });
  it('of two writers at once one wins and the other is told', async () => {
    const answers = await Promise.all([
      put('task', 'task-turbo-drain', { status: 'done' }),
      put('task', 'task-turbo-drain', { status: 'on-it' }, 0, commandId(), shop.manager),
    ]);
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
  });
});

describe('bad input', () => {
  it.each(recordKinds)('%s: rubbish gets a sentence, never a 500', async (kind) => {
    ruleOf(kind);
    for (const data of [
      {},
      { status: 'nonsense' },
      { readings: 'x' },
      { stagesNm: ['a'] },
      { bar: -1 },
      { what: 'x'.repeat(9999) },
    ]) {
      const answer = await put(
        kind,
        kind === 'kit'
          ? 'kit-sump'
          : kind === 'fit'
            ? 'fit-tank'
            : kind === 'gate'
              ? 'gate-fc-earths'
              : kind === 'school'
                ? 'sch-clamps'
                : kind === 'limits'
                  ? 'bore'
                  : `k-${randomUUID()}`,
        data,
      );
      expect([200, 404, 409, 422], JSON.stringify([kind, data, answer.problem])).toContain(
        answer.status,
      );
    }
  });
  it.each([
    [{ data: { status: 'done' }, revision: 0 }, 'commandId'],
    [{ commandId: 'x', data: {}, revision: 0 }, 'commandId'],
    [{ commandId: randomUUID(), data: [], revision: -1 }, 'revision'],
  ])('%o names the field', async (body, field) => {
    const answer = await shop.technician.call(putRecord, {
      params: { jobId, kind: 'task', key: 'a' },
      body: body as never,
    });
    expect(answer.status).toBe(422);
    expect(Object.keys(answer.problem.fields!)).toContain(field);
  });
  it('what is not JSON gets a sentence', async () => {
    const res = await fetch(`${server.url}/api/sign-in`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: '{"a":',
    });
    expect(res.status).toBe(400);
    expect(((await res.json()) as { title: string }).title).toMatch(/not readable JSON/);
  });
  it('an address that does not exist is a problem too', async () =>
    expect((await fetch(`${server.url}/api/nothing`)).status).toBe(404));
});

describe('facts', () => {
  it('keep what was typed, recompute the plan, say what changed, and keep every version', async () => {
    const one = await fact('rec-hv-system', { value: 'yes' });
    expect(one.status).toBe(200);
    expect(one.body.fact).toMatchObject({ typed: { value: 'yes' }, revision: 1, by: 'Tess rec' });
    const no = await fact('rec-hv-system', { value: 'no' }, 1);
    expect(no.body.difference.dropped).toContain('gate-ei-hv');
    expect(no.body.difference.dropped).toContain('rm-hv-prove-dead');
    const cleared = await fact('rec-hv-system', { value: '' }, 2);
    expect(cleared.body.fact).toBeNull();
    const { versions } = await shop.manager.good(factHistory, {
      params: { jobId, bearer: 'car', factId: 'rec-hv-system' },
    });
    expect(versions.map((v) => v.parts)).toEqual([{}, { value: 'no' }, { value: 'yes' }]);
    expect((await sheet()).log.at(-1)!.text).toMatch(/^not known again: High-voltage system/);
  });
  it('refuse what cannot be read, with the part it belongs to', async () => {
    const answer = await fact('rec-bay-length', { 'to-core-rear-face': '40 lbft' });
    expect(answer).toMatchObject({
      status: 422,
      problem: {
        fields: { 'to-core-rear-face': expect.stringContaining('is a torque') as string },
      },
    });
  });
  it('a stale fact shows both versions', async () => {
    await fact('rec-model-year', { value: '1975' }, 1);
    expect(await fact('rec-model-year', { value: '1976' }, 1)).toMatchObject({
      status: 409,
      problem: { current: { parts: { value: 1975 }, revision: 2 } },
    });
  });
  it('hang on a unit of their kind only', async () => {
    expect((await fact('eng-mass', { value: '100' }, 0, 'car')).status).toBe(422);
    expect(await fact('eng-mass', { value: '100' }, 0, 'engine')).toMatchObject({
      status: 409,
      problem: { title: 'This job has no engine yet. Add it first.' },
    });
    expect((await fact('rec-nothing', { value: '1' })).status).toBe(404);
  });
  it('go with the unit from one job to another', async () => {
    const other = await bookedJob(shop.manager, '1990 Other car');
    const { unitId } = await shop.technician.good(jobs.addUnit, {
      body: {
        commandId: commandId(),
        kind: 'engine',
        name: 'spare four',
        place: 'shelf A1',
        job: { jobId: other, role: 'engine' },
      },
    });
    await shop.technician.good(putFact, {
      params: { jobId: other, bearer: 'engine', factId: 'eng-mass' },
      body: { commandId: commandId(), typed: { value: '140 kg' }, source: 'measured', revision: 0 },
    });
    await shop.technician.good(putRecord, {
      params: { jobId: other, kind: 'sheet', key: 'lash:1' },
      body: {
        commandId: commandId(),
        data: { sheet: 'lash', place: '1', readings: { intake: 0.2 }, typed: { intake: '0.2' } },
        revision: 0,
      },
    });
    await shop.technician.good(jobs.moveUnit, {
      params: { unitId },
      body: {
        commandId: commandId(),
        place: 'bay 1',
        job: { jobId, role: 'engine' },
        leaveJobId: other,
      },
    });
    const here = await sheet();
    expect(here.facts.find((f) => f.factId === 'eng-mass')).toMatchObject({
      bearerId: unitId,
      parts: { value: 140 },
    });
    expect(
      (await shop.manager.good(jobs.readJob, { params: { jobId: other } })).units.some(
        (u) => u.id === unitId,
      ),
    ).toBe(false);
    expect(here.records.find((r) => r.kind === 'sheet' && r.key === 'lash:1')).toMatchObject({
      data: { readings: { intake: 0.2 } },
      by: 'Tess rec',
    });
    expect(here.log.at(-1)!.text).toMatch(
      /with what is known of it and 1 measurements, torques and findings/,
    );
    const { records } = await shop.onlooker.good(jobs.unitFacts, { params: { unitId } });
    expect(records.map((r) => r.key)).toEqual(['lash:1']);
    const taken = await shop.technician.call(jobs.addUnit, {
      body: {
        commandId: commandId(),
        kind: 'engine',
        name: 'another',
        place: 'yard',
        job: { jobId, role: 'engine' },
      },
    });
    expect(taken).toMatchObject({
      status: 409,
      problem: { title: 'spare four is already there as engine. Move it away first.' },
    });
  });
});

describe('what hangs on a unit', () => {
  const write = (
    job: string,
    kind: (typeof recordKinds)[number],
    key: string,
    data: Record<string, unknown>,
    revision = 0,
  ) =>
    shop.technician.call(putRecord, {
      params: { jobId: job, kind, key },
      body: { commandId: commandId(), data, revision },
    });
  const read = async (job: string, kind: string) =>
    (await shop.manager.good(jobs.readJob, { params: { jobId: job } })).records.filter(
      (r) => r.kind === kind,
    );
  let first: string;
  let other: string;
  let gearbox: string;
  beforeAll(async () => {
    first = await bookedJob(shop.manager, '1979 First car');
    other = await bookedJob(shop.manager, '1980 Other car');
    const added = await shop.technician.good(jobs.addUnit, {
      body: {
        commandId: commandId(),
        kind: 'gearbox',
        name: 'five-speed',
        place: 'bench',
        job: { jobId: first, role: 'gearbox' },
      },
    });
    gearbox = added.unitId;
  });

  it('wants its unit on the job first', async () => {
    expect(
      await write(first, 'finding', randomUUID(), { on: 'engine', what: 'chipped tooth' }),
    ).toMatchObject({
      status: 409,
      problem: { title: 'This job has no engine yet. Add it first.' },
    });
  });
  it('is read on every job that the unit serves, and written from each under one revision', async () => {
    const key = randomUUID();
    await write(first, 'finding', key, { on: 'gearbox', what: 'chipped tooth on second' });
    await shop.technician.good(jobs.moveUnit, {
      params: { unitId: gearbox },
      body: { commandId: commandId(), place: 'bench', job: { jobId: other, role: 'gearbox' } },
    });
    expect(await read(other, 'finding')).toMatchObject([
      { key, on: 'gearbox', data: { what: 'chipped tooth on second', by: 'Tess rec' } },
    ]);
    const settle = { on: 'gearbox', what: 'chipped tooth on second', settled: { how: 'new gear' } };
    expect((await write(other, 'finding', key, settle, 1)).status).toBe(200);
    expect((await read(first, 'finding'))[0]).toMatchObject({
      revision: 2,
      data: { settled: { how: 'new gear', by: 'Tess rec' } },
    });
    expect((await write(first, 'finding', key, settle, 1)).status).toBe(409);
  });
  it('of two writers on two jobs at once one wins and the other is told', async () => {
    const key = randomUUID();
    const answers = await Promise.all(
      [first, other].map((job) =>
        write(job, 'finding', key, { on: 'gearbox', what: `seen from ${job}` }),
      ),
    );
    expect(answers.map((a) => a.status).sort()).toEqual([200, 409]);
  });
  it('leaves the job with its unit; a torque of the car stays', async () => {
    const torque = (joint: string, on: string) =>
      write(first, 'torque', `${joint}:1`, {
        joint,
        on,
        bolt: '1',
        stagesNm: [50],
        source: 'manual',
      });
    expect((await torque('bell', 'gearbox')).status).toBe(200);
    expect((await torque('crossmember', 'car')).status).toBe(200);
    await shop.technician.good(jobs.moveUnit, {
      params: { unitId: gearbox },
      body: { commandId: commandId(), place: 'shelf', job: null, leaveJobId: first },
    });
    expect((await read(first, 'torque')).map((r) => r.key)).toEqual(['crossmember:1']);
    expect((await read(other, 'torque')).map((r) => r.key)).toEqual(['bell:1']);
  });
});

describe('booking in', () => {
  const body = (identity: string, modelYear: number, extra = {}) => ({
    commandId: commandId(),
    car: { name: 'Car', modelYear, identity },
    customer: 'C',
    wish: 'go',
    ...extra,
  });
  it('looks over the identity number and says what is wrong', async () => {
    const wrong = await shop.manager.call(jobs.bookIn, { body: body('1M8GDM9A1KP042788', 1995) });
    expect(wrong).toMatchObject({
      status: 422,
      problem: { fields: { 'car.identity': expect.stringContaining('asks for X') as string } },
    });
    expect(
      (
        await shop.manager.call(jobs.bookIn, {
          body: body('1M8GDM9A1KP042788', 1995, { identityWaived: 'plate read twice by AB' }),
        })
      ).status,
    ).toBe(200);
    expect(
      (await shop.manager.call(jobs.bookIn, { body: body('1M8GDM9AXKP042788', 1989) })).status,
    ).toBe(200);
  });
  it('changes bay and promise under a revision, in one line of the book', async () => {
    const { job } = await sheet();
    const changed = await shop.manager.good(jobs.changeJob, {
      params: { jobId },
      body: {
        commandId: commandId(),
        revision: job.revision,
        bay: '2',
        promised: '2026-12-24',
        station: 'pull',
      },
    });
    expect(changed.job).toMatchObject({ bay: '2', promised: '2026-12-24', station: 'pull' });
    expect(
      (
        await shop.manager.call(jobs.changeJob, {
          params: { jobId },
          body: { commandId: commandId(), revision: job.revision, bay: '1' },
        })
      ).status,
    ).toBe(409);
    expect((await sheet()).log.at(-1)!.text).toBe(
      'moved to bay 2. promised for 2026-12-24. job stands at Pull',
    );
  });
});

describe('the log bar', () => {
  it('turns shorthand into records', async () => {
    await line('bore 3 86.02');
    await line('bore 3 86.03');
    await line('held: waiting for coolant neck, Thursday');
    await line('torque main caps 1 30 Nm + 90 deg');
    await line('loose: left mount');
    const { records } = await sheet();
    const of = (kind: string, key?: string) =>
      records.find((r) => r.kind === kind && (key === undefined || r.key === key))!.data;
    expect(of('sheet', 'bore:3')).toMatchObject({
      readings: { 'top-along': 86.02, 'top-across': 86.03 },
    });
    expect(records.filter((r) => r.kind === 'hold').map((r) => r.data)).toContainEqual(
      expect.objectContaining({ waitsFor: 'coolant neck', due: '2026-11-26' }),
    );
    expect(of('torque')).toMatchObject({ bolt: '1', stagesNm: [30], angleDeg: 90, by: 'Tess rec' });
    expect(of('provisional')).toMatchObject({ what: 'loose: left mount' });
  });
  it('releases a hold by its words', async () => {
    await line('released: coolant neck');
    expect(
      (await sheet()).records.flatMap((r) =>
        r.kind === 'hold' && !r.data.released ? [r.data.waitsFor] : [],
      ),
    ).toEqual(['paint']);
  });
  it('a fact in one line is a fact', async () => {
    await line('engine mass 139 kg');
    expect((await sheet()).facts.find((f) => f.factId === 'eng-mass')!.parts).toEqual({
      value: 139,
    });
  });
  it('plain words stay plain words, and pages go back', async () => {
    for (let i = 0; i < 6; i += 1) await line(`note number ${i}`);
    const last = await shop.onlooker.good(readLog, { params: { jobId }, query: { limit: 4 } });
    expect(last.entries.map((e) => e.text)).toEqual([
      'note number 2',
      'note number 3',
      'note number 4',
      'note number 5',
    ]);
    const earlier = await shop.onlooker.good(readLog, {
      params: { jobId },
      query: { before: last.entries[0]!.id, limit: 2 },
    });
    expect(earlier).toMatchObject({
      more: true,
      entries: [{ text: 'note number 0' }, { text: 'note number 1' }],
    });
  });
});

describe('gates', () => {
  it('only the manager overrides; harm wants a second name', async () => {
    const override = { text: '', override: { reason: 'the lift is out of order today' } };
    expect((await put('gate', 'gate-fc-rear-look', override)).status).toBe(403);
    const written = await put('gate', 'gate-fc-clear', override, 0, commandId(), shop.manager);
    expect(written.status).toBe(200);
    expect(written.body.record.data).not.toHaveProperty('second');
    expect((await put('gate', 'gate-fc-earths', { text: 'fine' })).problem.title).toMatch(
      /a number in V or ohm is wanted/,
    );
  });
});

describe('live', () => {
  it('what one process writes the clients of another see', async () => {
    const stream = await fetch(`${second.url}/api/events`, {
      headers: { cookie: shop.onlooker.cookie },
    });
    const reader = stream.body!.getReader();
    const decoder = new TextDecoder();
    let heard = decoder.decode((await reader.read()).value);
    await put('task', 'task-mount-boss', { status: 'done' });
    while (!heard.includes('"record":"task"')) heard += decoder.decode((await reader.read()).value);
    expect(heard).toContain(jobId);
    await reader.cancel();
  });
  it('nobody listens without a shop', async () =>
    expect((await fetch(`${server.url}/api/events`)).status).toBe(401));
});

describe('schools, sums, search', () => {
  it('a school is chosen, refused, taken back', async () => {
    const choose = (side: string) =>
      shop.manager.call(chooseSchool, {
        params: { question: 'sch-clamps' },
        body: { commandId: commandId(), side },
      });
    expect((await choose('sch-clamps-a')).body.chosen).toEqual({ 'sch-clamps': 'sch-clamps-a' });
    expect((await sheet()).shopSchools).toEqual({ 'sch-clamps': 'sch-clamps-a' });
    expect((await choose('sch-seal-a')).status).toBe(422);
    await choose('');
    expect((await shop.manager.good(readSchools)).chosen).toEqual({});
  });
  it('calculators answer with their sum', async () => {
    expect((await shop.manager.good(listCalculators)).calculators.length).toBeGreaterThan(15);
    const run = (name: string, inputs: Record<string, string>) =>
      shop.manager.call(runCalculator, { params: { name }, body: { inputs } });
    expect((await run('ring-gap', { bore: '4 in' })).body.results[0]).toMatchObject({
      label: 'Least gap',
      shown: '0.406 mm',
    });
    expect((await run('ring-gap', { bore: 'wide' })).status).toBe(422);
    expect((await run('nothing', {})).status).toBe(404);
  });
  it('finds jobs, units and parts, and opens a part by its label', async () => {
    const partId = randomUUID();
    await put('part', partId, {
      takeId: 'take-ecu',
      title: 'Engine unit',
      condition: 'good',
      label: 'C-104',
      place: 'shelf C2',
    });
    const { hits } = await shop.onlooker.good(jobs.find, { query: { q: 'c-104' } });
    expect(hits).toEqual([
      { kind: 'part', title: 'Engine unit', detail: 'C-104, shelf C2', to: `/parts/${partId}` },
    ]);
    expect((await shop.onlooker.good(readPart, { params: { partId } })).record.data).toMatchObject({
      label: 'C-104',
      by: 'Tess rec',
    });
    expect((await shop.onlooker.good(jobs.find, { query: { q: "%' or 1=1" } })).hits).toEqual([]);
  });
  it('the Floor says what holds each job', async () => {
    const floor = await shop.onlooker.good(jobs.readFloor);
    expect(floor.strips.find((s) => s.id === jobId)).toMatchObject({
      bay: '2',
      state: { title: 'Held', sentence: 'paint' },
      station: 'pull',
    });
    expect(floor.crew.map((c) => c.name)).not.toContain('Olu rec');
  });
  it('serves its OpenAPI document with every path', async () => {
    const doc = (await (await fetch(`${server.url}/api/openapi.json`)).json()) as {
      openapi: string;
      paths: Record<string, unknown>;
    };
    expect(doc.openapi).toBe('3.1.0');
    expect(Object.keys(doc.paths)).toContain('/api/jobs/{jobId}/records/{kind}/{key}');
    expect(Object.keys(doc.paths).length).toBeGreaterThan(20);
  });
});
