import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { harvestParts } from '@bay/core/donors';
import { addUnit, find, readJob } from '@bay/contract/jobs';
import { readWanted } from '@bay/contract/donors';
import * as parts from '@bay/contract/parts';
import { countersign, putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { computePlan, planInputOf } from '@bay/core/plan';
import { writeLog } from '@bay/contract/logbook';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** Parts, bags and links: where each lies, for whom it is kept, and what still joins engine and car. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'store');
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const put = (
  jobId: string,
  kind: RecordKind,
  key: string,
  data: Record<string, unknown>,
  revision = 0,
) =>
  shop.technician.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: commandId(), data, revision },
  });
const harvested = async (jobId: string, more: Record<string, unknown> = {}) => {
  const key = randomUUID();
  const data = {
    takeId: 'take-ecu',
    title: 'Engine unit',
    condition: 'good',
    label: 'P-101',
    place: 'shelf C2',
    ...more,
  };
  expect((await put(jobId, 'part', key, data)).status).toBe(200);
  return key;
};
const store = (query: Record<string, string> = {}) =>
  shop.onlooker.good(parts.listStore, { query: query });
const change = (sort: 'part' | 'bag', thingId: string, body: Record<string, unknown>) =>
  shop.technician.call(parts.changeStored, {
    params: { sort, thingId },
    body: { commandId: commandId(), ...body } as never,
  });
const blockersOf = async (jobId: string, gate: string, words: string) =>
  (await planOf(jobId)).gates
    .find((g) => g.gate === gate)!
    .lines.flatMap((l) => l.blockers.map((b) => b.sentence))
    .filter((b) => b.includes(words));
const planOf = async (jobId: string) => {
  const sheet = await shop.technician.good(readJob, { params: { jobId } });
  return computePlan(planInputOf({ jobId, ...sheet }));
};

describe('the store', () => {
  it('finds by three letters, by label, by place and by job; a bag as well', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = await harvested(jobId, {
      title: 'Quartz throttle body',
      label: 'Q-7',
      place: 'box 19',
    });
    const bag = randomUUID();
    await put(jobId, 'bag', bag, {
      what: 'bell bolts M10',
      label: 'B-7731',
      place: 'box 19',
      count: 6,
      thread: 'M10 x 1.5',
    });
    const titles = async (query: Record<string, string>) =>
      (await store(query)).things.map((t) => t.title);
    expect(await titles({ q: 'quartz' })).toEqual(['Quartz throttle body']);
    expect(await titles({ q: 'q-7' })).toEqual(['Quartz throttle body']);
    expect(await titles({ q: 'box 19' })).toEqual(['Quartz throttle body', 'bell bolts M10']);
    expect(await titles({ place: 'box 19' })).toEqual(['Quartz throttle body', 'bell bolts M10']);
    expect(await titles({ q: 'b-7731' })).toEqual(['bell bolts M10']);
    const { hits } = await shop.onlooker.good(find, { query: { q: 'b-7731' } });
    expect(hits).toMatchObject([{ kind: 'bag', detail: 'bag B-7731, box 19' }]);
    const { places } = await shop.onlooker.good(parts.listPlaces);
    expect(places.find((p) => p.place === 'box 19')).toMatchObject({ things: 2 });
    // Another shop finds none of it.
    const other = await shopWithCrew(server, 'elsewhere');
    expect((await other.manager.good(parts.listStore, { query: { q: 'quartz' } })).things).toEqual(
      [],
    );
    expect(
      (
        await other.technician.call(parts.changeStored, {
          params: { sort: 'part', thingId: id },
          body: { commandId: commandId(), revision: 1, place: 'mine' },
        })
      ).status,
    ).toBe(404);
  });
  it('moves one thing, or all of a place in one line', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = await harvested(jobId, { place: 'shelf Z1' });
    await harvested(jobId, { place: 'shelf Z1', label: 'P-102' });
    expect((await change('part', id, { revision: 1, place: 'shelf Z2' })).status).toBe(200);
    expect((await change('part', id, { revision: 1, place: 'shelf Z3' })).status).toBe(409);
    const moved = await shop.technician.good(parts.movePlace, {
      body: { commandId: commandId(), from: 'shelf Z1', to: 'shelf Z2' },
    });
    expect(moved.moved).toBe(1);
    expect((await store({ place: 'shelf Z2' })).things).toHaveLength(2);
    const nothing = await shop.technician.call(parts.movePlace, {
      body: { commandId: commandId(), from: 'shelf Z1', to: 'shelf Z2' },
    });
    expect(nothing.problem.title).toBe('Nothing lies in shelf Z1.');
  });
  it('a part that an open job waits for is neither sold nor scrapped, at any door', async () => {
    const [from, to] = [await bookedJob(shop.manager), await bookedJob(shop.manager)];
    const id = await harvested(from);
    expect((await change('part', id, { revision: 1, forJob: to })).status).toBe(200);
    const sold = await change('part', id, { revision: 2, fate: 'sold', goneTo: 'a breaker' });
    expect(sold).toMatchObject({ status: 409 });
    expect(sold.problem.title).toMatch(/waits for Engine unit: take it off that job first/);
    const { records } = await shop.technician.good(readJob, { params: { jobId: from } });
    const data = records.find((r) => r.key === id)!.data as unknown as Record<string, unknown>;
    const byHand = await put(
      from,
      'part',
      id,
      { ...data, fate: 'scrapped', goneTo: 'the yard' },
      2,
    );
    expect(byHand.status).toBe(409);
    expect((await change('part', id, { revision: 2, forJob: null })).status).toBe(200);
    expect((await change('part', id, { revision: 3, fate: 'sold' })).status).toBe(422);
    expect(
      (await change('part', id, { revision: 3, fate: 'sold', goneTo: 'a breaker' })).status,
    ).toBe(200);
    // What is gone lies nowhere, and is moved by nobody.
    expect((await store({ jobId: from })).things.filter((t) => t.id === id)).toEqual([]);
    expect(
      (await store({ jobId: from, all: 'true' })).things.find((t) => t.id === id),
    ).toMatchObject({ fate: 'sold' });
    expect((await change('part', id, { revision: 4, place: 'shelf A' })).status).toBe(409);
    expect(
      (await change('part', id, { revision: 4, forJob: randomUUID() })).status,
    ).toBeGreaterThanOrEqual(400);
  });
});

describe('the account and the shell of a donor', () => {
  it('a part earns once, and only what became of it', async () => {
    const jobId = await bookedJob(shop.manager);
    const id = await harvested(jobId);
    const entry = (sort: string, key = randomUUID()) =>
      put(jobId, 'donor-entry', key, { sort, what: 'Engine unit', on: '2026-11-26', partKey: id });
    expect((await entry('sold')).problem.title).toBe('Engine unit is not sold.');
    await change('part', id, { revision: 1, fate: 'sold', goneTo: 'a breaker' });
    expect((await entry('issued')).status).toBe(409);
    expect((await entry('sold')).status).toBe(200);
    expect((await entry('sold')).problem.title).toBe('Engine unit stands in the account already.');
  });
  it('the shell goes when every line of the list is off it, missing, or left on it by name', async () => {
    const jobId = await bookedJob(shop.manager);
    const shell = (revision = 0) =>
      put(
        jobId,
        'shell',
        'donor',
        { fate: 'scrapped', goneTo: 'the yard in town', on: '2026-11-26' },
        revision,
      );
    expect((await shell()).problem.title).toBe('There is no donor car on this job.');
    await shop.manager.good(addUnit, {
      body: {
        commandId: commandId(),
        kind: 'car',
        name: 'a wreck',
        place: 'yard',
        job: { jobId, role: 'donor' },
      },
    });
    expect((await shell()).problem.title).toMatch(/^Still on it by the harvest list: /);
    for (const [i, p] of harvestParts.entries())
      await harvested(jobId, {
        takeId: p.id,
        title: p.title,
        label: `H-${i}`,
        ...(i === 0 ? { place: '' } : { fate: 'left-off', note: 'burnt with the cabin' }),
      });
    expect((await shell()).problem.title).toMatch(/^Off it and without a place: /);
    const [first] = (await store({ jobId })).things;
    await change('part', first!.id, { revision: 1, place: 'shelf C2' });
    expect((await shell()).status).toBe(200);
  });
  it('what a seller says holds the engine open until somebody looked', async () => {
    const jobId = await bookedJob(shop.manager);
    const key = randomUUID();
    const claim = { what: 'timing belt is new', saidBy: 'the seller', on: 'engine' };
    await put(jobId, 'claim', key, claim);
    const open = () => blockersOf(jobId, 'Engine closed up', 'timing belt is new');
    expect((await open()).join()).toContain('only said by the seller, timing belt is new');
    expect((await put(jobId, 'claim', key, { ...claim, looked: { holds: false } }, 1)).status).toBe(
      422,
    );
    await put(
      jobId,
      'claim',
      key,
      { ...claim, looked: { holds: false, how: 'date on the belt is old' } },
      1,
    );
    expect(await open()).toEqual([]);
  });
});

describe('links', () => {
  const line = (jobId: string, text: string) =>
    shop.technician.call(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: text, today: '2026-11-26' },
    });

  it('hold the lift while one holds the engine, and the first crank while one is not mated', async () => {
    const jobId = await bookedJob(shop.manager);
    const key = randomUUID();
    const strap = { what: 'strap', name: 'Earth strap', fate: 'back', label: 'L9' };
    await put(jobId, 'link', key, strap);
    expect((await planOf(jobId)).waits['rm-lift-50']).toEqual([
      { waitsFor: 'Earth strap (L9), which still holds the engine' },
    ]);
    const unmated = () => blockersOf(jobId, 'First crank', 'not mated');
    expect((await line(jobId, 'freed: L9')).status).toBe(200);
    expect((await planOf(jobId)).waits['rm-lift-50']).toBeUndefined();
    expect((await unmated()).join()).toContain('not mated, Earth strap (L9)');
    expect((await line(jobId, 'mated: L9')).status).toBe(200);
    expect(await unmated()).toEqual([]);
  });
  it('is logged in one line, and is not mated before it is off', async () => {
    const jobId = await bookedJob(shop.manager);
    await line(jobId, 'freed: plug of injector 3, loom to injector 3, L3, capped');
    const { records, log } = await shop.technician.good(readJob, { params: { jobId } });
    expect(records.filter((r) => r.kind === 'link').map((r) => r.data)).toMatchObject([
      {
        name: 'plug of injector 3',
        what: 'plug',
        from: 'loom',
        to: 'injector 3',
        label: 'L3',
        capped: true,
        fate: 'back',
      },
    ]);
    expect(log.at(-1)!.text).toBe('off: plug of injector 3 (L3), loom to injector 3, capped');
    const early = await put(jobId, 'link', randomUUID(), {
      what: 'plug',
      name: 'Coil',
      fate: 'back',
      on: {},
    });
    expect(early).toMatchObject({ status: 422 });
  });
  it('what came off as a way in is asked for until it is back', async () => {
    const jobId = await bookedJob(shop.manager);
    const off = () => blockersOf(jobId, 'First drive', 'to go back');
    expect(await off()).toEqual([]);
    const done = await put(jobId, 'task', 'rm-bonnet-off', {
      status: 'done',
      deviation: { why: 'it was off when it came' },
    });
    expect(done.status).toBe(200);
    const half = await off();
    // Done out of its order it wants a second name first; the hood is not off by one word alone.
    const second = await shop.manager.call(countersign, {
      params: { jobId, kind: 'task', key: 'rm-bonnet-off' },
      body: { commandId: commandId(), revision: 1 },
    });
    if (second.status === 200) expect(half).toEqual([]);
    expect((await off()).join()).toContain('hood back on');
    // Nobody wrote that the unit is in, and it may go in over the front: on all the same wants a word.
    const early = await put(jobId, 'task', 'back-bonnet', { status: 'done' });
    expect(early).toMatchObject({
      status: 409,
      body: { title: expect.stringMatching(/^Held: after "Into its place/) },
    });
    await put(jobId, 'task', 'back-bonnet', {
      status: 'done',
      deviation: { why: 'only leaned on, for the night' },
    });
    expect(await off()).toEqual([]);
    // Off once more, it is asked for once more.
    const again = {
      status: 'done',
      note: 'off again for the wiper',
      deviation: { why: 'the wiper linkage was bent' },
    };
    expect(
      (await put(jobId, 'task', 'rm-bonnet-off', { status: 'open' }, second.status === 200 ? 2 : 1))
        .status,
    ).toBe(200);
    expect(
      (await put(jobId, 'task', 'rm-bonnet-off', again, second.status === 200 ? 3 : 2)).status,
    ).toBe(200);
  });
});

describe('what other jobs want', () => {
  it('stands on the list of a donor, and holds a part in the shop until somebody says why it does not suit', async () => {
    const donor = await bookedJob(shop.manager);
    const other = await bookedJob(shop.manager);
    expect(
      (await put(other, 'kit', 'kit-starter', { status: 'wanted', options: 'ten teeth' })).status,
    ).toBe(200);
    const { wanted } = await shop.onlooker.good(readWanted, { params: { jobId: donor } });
    expect(wanted).toContainEqual(
      expect.objectContaining({ kitId: 'kit-starter', jobId: other, options: 'ten teeth' }),
    );
    // What a job wants itself is no want of another.
    const own = await shop.onlooker.good(readWanted, { params: { jobId: other } });
    expect(own.wanted.map((w) => w.jobId)).not.toContain(other);

    const key = await harvested(donor, {
      takeId: 'take-starter',
      title: 'Starter',
      label: 'P-777',
    });
    const [thing] = (await store({ q: 'P-777' })).things;
    const sell = (note?: string) =>
      change('part', thing!.id, {
        revision: 1,
        fate: 'sold',
        goneTo: 'a breaker in town',
        ...(note === undefined ? {} : { note }),
      });
    const refused = await sell();
    expect(refused.status).toBe(409);
    expect(JSON.stringify(refused)).toContain('wants what Starter may be');
    // By the other door it is no other.
    const again = await put(
      donor,
      'part',
      key,
      {
        takeId: 'take-starter',
        title: 'Starter',
        condition: 'good',
        label: 'P-777',
        place: 'shelf C2',
        fate: 'scrapped',
        goneTo: 'the yard',
      },
      1,
    );
    expect(again.status).toBe(409);
    expect((await sell('nine teeth, another ring gear')).status).toBe(200);
  });
  it('of a part that is on no list, whatever it is called, nobody wants anything', async () => {
    const donor = await bookedJob(shop.manager);
    await harvested(donor, { takeId: 'constructor', title: 'Odd thing', label: 'P-778' });
    const [thing] = (await store({ q: 'P-778' })).things;
    const sold = await change('part', thing!.id, {
      revision: 1,
      fate: 'sold',
      goneTo: 'a breaker in town',
    });
    expect(sold.status).toBe(200);
  });
  it('a job that is done wants nothing any more', async () => {
    const donor = await bookedJob(shop.manager);
    const other = await bookedJob(shop.manager);
    await put(other, 'kit', 'kit-alternator', { status: 'wanted' });
    await put(other, 'kit', 'kit-alternator', { status: 'here' }, 1);
    const { wanted } = await shop.onlooker.good(readWanted, { params: { jobId: donor } });
    expect(wanted.filter((w) => w.jobId === other)).toEqual([]);
  });
});

describe('labels on paper', () => {
  it('are a PDF of as many pages as the paper wants, and no sheet begins behind its end', async () => {
    const jobId = await bookedJob(shop.manager);
    for (let i = 0; i < 120; i += 1)
      await put(jobId, 'bag', randomUUID(), {
        what: `bolts of joint ${i}, Łódź`,
        label: String(100 + i),
        place: 'shelf C2',
      });
    const pdf = (query: string) =>
      fetch(`${server.url}/api/jobs/${jobId}/labels.pdf${query}`, {
        headers: { cookie: shop.onlooker.cookie },
      });
    const sheets = await pdf('');
    expect(sheets.headers.get('content-type')).toBe('application/pdf');
    const bytes = Buffer.from(await sheets.arrayBuffer());
    expect(bytes.subarray(0, 5).toString()).toBe('%PDF-');
    expect(bytes.toString('latin1').match(/\/Type \/Page\b(?!s)/g)).toHaveLength(5);
    const roll = Buffer.from(await (await pdf('?paper=roll-62')).arrayBuffer());
    expect(roll.toString('latin1').match(/\/Type \/Page\b(?!s)/g)).toHaveLength(120);
    expect((await pdf('?first=25')).status).toBe(422);
    expect((await pdf('?first=24')).status).toBe(200);
  }, 60_000);
});
