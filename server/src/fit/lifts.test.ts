import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { putFact } from '@bay/contract/facts';
import * as jobs from '@bay/contract/jobs';
import { readAgreement } from '@bay/contract/fit';
import { findTried, writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { makingStates } from '@bay/core/fit';
import { computePlan, planInputOf } from '@bay/core/plan';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

/** The rules of a lift hold at the server, whoever asks and by whichever way. */

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: Awaited<ReturnType<typeof startServer>>;
let shop: TestShop;
let jobId: string;
beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'lifts');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

type Data = Record<string, unknown>;
const put = (kind: RecordKind, key: string, data: Data, revision = 0, who = shop.manager) =>
  who.call(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: commandId(), data, revision },
  });
const sheet = () => shop.manager.good(jobs.readJob, { params: { jobId } });
const planNow = async () => {
  const now = await sheet();
  return computePlan(planInputOf({ jobId, ...now }));
};
const stored = async (key: string): Promise<{ data: Data; revision: number }> =>
  (await sheet()).records.find((r) => r.key === key) as unknown as { data: Data; revision: number };
/** Writes over what stands there. */
const over = async (key: string, more: Data) => {
  const { data, revision } = await stored(key);
  return put('lift', key, { ...data, ...more }, revision);
};

const trial = {
  reason: 'trial',
  why: 'sump over the crossmember',
  foreseen: true,
  unit: 'real',
  carries: 'truck sump, no manifolds',
};
const allTheSame = { deviation: { why: 'bare block, carried in by two people' } };
const read = {
  alongMm: 40,
  sidewaysMm: 0,
  heightMm: -60,
  slopeDeg: 3,
  ownMounts: true,
  typed: {},
};

describe('a lift', () => {
  const [first, second] = [randomUUID(), randomUUID()];
  it('waits for what keeps people whole, or for a reason that a second person signs', async () => {
    const refused = await put('lift', first, trial);
    expect(refused.status).toBe(409);
    expect(refused.body).toMatchObject({
      title: expect.stringContaining('hoist rated') as string,
      fields: { deviation: 'Say in a sentence why it went in all the same.' },
    });
    expect((await put('lift', first, { ...trial, ...allTheSame })).status).toBe(200);
    expect((await stored(first)).data).toMatchObject({
      deviation: { stoodOn: { harm: true } },
    });
  });
  it('is one at a time, goes in before anything happens to it, and begins with nothing done', async () => {
    const another = await put('lift', second, { ...trial, ...allTheSame });
    expect(another.body).toMatchObject({
      title: 'It is in the bay since lift 1: write first why it came out.',
    });
    const outFirst = await put('lift', randomUUID(), {
      ...trial,
      ...allTheSame,
      out: { why: 'never was in' },
    });
    expect(outFirst.status).toBe(422);
    const fixedFirst = await put('lift', randomUUID(), {
      ...trial,
      ...allTheSame,
      sits: { how: 'final' },
    });
    expect(fixedFirst.status).toBe(422);
  });
  it('is not tacked before all is read, and says what is missing; a reason lets it', async () => {
    const refused = await over(first, { sits: { how: 'tacked' } });
    expect(refused.body).toMatchObject({
      title: expect.stringMatching(/^Not yet: Not read: /) as string,
      fields: { 'sits.despite': 'Say in a sentence why it is fixed all the same.' },
    });
    expect((await over(first, { read })).status).toBe(200);
    const still = await over(first, { sits: { how: 'tacked' } });
    expect(JSON.stringify(still.body)).toContain('Nobody chose where it is to sit');
    const despite = 'held by the old mounts, only to try the shaft';
    expect((await over(first, { sits: { how: 'tacked', despite } })).status).toBe(200);
    expect((await planNow()).provisional).toMatchObject([{ kind: 'tacked', from: 'lift' }]);
  });
  it('that is moved is not read and not held any more; one move after the other', async () => {
    expect((await over(first, { shifted: { why: 'left mount', times: 2 } })).status).toBe(422);
    expect((await over(first, { shifted: { why: 'left mount', times: 1 } })).status).toBe(200);
    const { data } = await stored(first);
    expect(data).not.toHaveProperty('read');
    expect(data).not.toHaveProperty('sits');
    expect(data).not.toHaveProperty('photos');
    expect((await planNow()).kit.find((l) => l.def.id === 'kit-exhaust-mid')!.placeOpen).toMatch(
      /lift 1/,
    );
  });
  it('holds what is made to its place, and welding out', async () => {
    const options = '63 mm, two silencers';
    const ordered = await put('kit', 'kit-exhaust-mid', { status: 'ordered', options });
    expect(JSON.stringify(ordered.body)).toContain('place has not been read in lift 1');
    const tack = randomUUID();
    await put('provisional', tack, { what: 'left mount', kind: 'tacked' });
    const ended = { what: 'left mount', kind: 'tacked', ended: {} };
    const otherwise = await put('provisional', tack, { ...ended, kind: 'loose' }, 1);
    expect(otherwise.status).toBe(409);
    const welded = await put('provisional', tack, ended, 1);
    expect(welded.body).toMatchObject({
      title: expect.stringMatching(/^Not welded out yet/) as string,
    });
    await over(first, { read });
    expect((await put('provisional', tack, ended, 1)).status).toBe(200);
    const again = await put('kit', 'kit-exhaust-mid', { status: 'ordered', options });
    expect(JSON.stringify(again.body)).not.toContain('place');
  });
  it('that came out stays as it is, and what it undid is void from then on', async () => {
    await put('gate', 'gate-ei-roles', { text: 'caller Anna, hoist Ben, chocked all round' });
    const state = async () =>
      (await planNow()).gates.flatMap((g) => g.lines).find((l) => l.def.id === 'gate-ei-roles')!
        .state;
    expect(await state()).toBe('proved');
    expect((await over(first, { out: { why: 'notch the crossmember', hours: 3 } })).status).toBe(
      200,
    );
    expect(await state()).not.toBe('proved');
    expect((await over(first, { touched: 'the heater pipe' })).body).toMatchObject({
      title: 'It came out again: what was read there stays as it is.',
    });
  });
  it('on trial is not fixed for good past the gate, and is not made another by a later word', async () => {
    const third = randomUUID();
    await put('lift', third, { ...trial, ...allTheSame });
    const forGood = await over(third, {
      sits: { how: 'final', despite: 'nothing more is to be done' },
    });
    expect(forGood.status).toBe(409);
    expect(JSON.stringify(forGood.body)).toMatch(/\d+ lines stand before .+Engine in/);
    expect((await over(third, { reason: 'to-stay' })).status).toBe(422);
    expect((await over(third, { unit: 'stand-in' })).status).toBe(422);
    expect((await over(third, { out: { why: 'only looked' } })).status).toBe(200);
  });
  it('to stay wants the whole gate, and a stand-in never stays', async () => {
    const refused = await put('lift', second, { ...trial, reason: 'to-stay' });
    expect(JSON.stringify(refused.body)).toMatch(
      /\d+ lines stand before .+Engine in.+ If it went in all the same/,
    );
    const standIn = { ...trial, unit: 'stand-in', ...allTheSame };
    expect((await put('lift', second, standIn)).status).toBe(200);
    expect(
      (await over(second, { sits: { how: 'final', despite: 'for the photograph' } })).status,
    ).toBe(422);
  });
});

describe('parts that were tried', () => {
  it('are found by any crew of the shop, by words or by kit line, from whichever job', async () => {
    const tried = { part: 'Header', variant: '44-118', how: 'meets the joint', back: true };
    const kept = { ...tried, fits: 'does-not-fit', gapMm: -6, kitLine: 'kit-manifolds' };
    expect((await put('tried', randomUUID(), kept)).status).toBe(200);
    const other = await bookedJob(shop.manager);
    await shop.manager.good(writeLog, {
      params: { jobId: other },
      body: {
        commandId: commandId(),
        line: 'tried: 38 mm hose, kinks, sent back',
        today: '2026-11-27',
      },
    });
    const asked = async (query: { q?: string; kitLine?: string }) =>
      (await shop.onlooker.good(findTried, { query: { limit: 100, ...query } })).parts.map(
        (p) => p.tried.part,
      );
    expect(await asked({})).toEqual(['38 mm hose', 'Header']);
    expect(await asked({ q: 'joint 44' })).toEqual(['Header']);
    expect(await asked({ kitLine: 'kit-manifolds' })).toEqual(['Header']);
    expect(await asked({ q: 'nowhere' })).toEqual([]);
  });
  it('name a line and a place that there are, and money only for what went back', async () => {
    const tried = { part: 'Header', how: 'fits', back: false };
    expect((await put('tried', randomUUID(), { ...tried, kitLine: 'kit-wings' })).status).toBe(404);
    expect((await put('tried', randomUUID(), { ...tried, moneyBack: true })).status).toBe(422);
  });
});

describe('forecast against tape', () => {
  it('keeps the forecast with each gap that is read, whatever a client sends, and says how near it came', async () => {
    const agreement = async () => (await shop.onlooker.good(readAgreement, {})).agreement;
    expect(await agreement()).toBeUndefined();
    const gap = (read: Data) => ({
      interfaceId: 'fit-firewall',
      read: { word: 'bolts-up', place: 'rear fitting', condition: 'cold', ...read },
    });
    const blind = randomUUID();
    expect((await put('gap', blind, gap({ gapMm: 30, forecastMm: 30 }))).status).toBe(200);
    // No fact of it is known, so there was no forecast: what a client says of it is not taken.
    expect((await stored(blind)).data['read']).not.toHaveProperty('forecastMm', 30);
    expect(await agreement()).toBeUndefined();
    const fact = (factId: string, bearer: 'car' | 'job', typed: Record<string, string>) =>
      shop.manager.good(putFact, {
        params: { jobId, bearer, factId },
        body: { commandId: commandId(), typed, source: 'measured', revision: 0 },
      });
    await fact('rec-bay-length', 'car', { 'firewall-recess-depth': '20 mm' });
    await fact('cho-engine-place', 'job', { 'bell-face-ahead-of-firewall-x': '40 mm' });
    const key = randomUUID();
    expect((await put('gap', key, gap({ gapMm: 52, forecastMm: 1 }))).status).toBe(200);
    expect((await stored(key)).data['read']).toMatchObject({ gapMm: 52, forecastMm: 60 });
    expect(await agreement()).toEqual({ readings: 1, biasMm: -8, typicalMm: 8 });
    const unseen = await put('gap', randomUUID(), gap({ gapMm: 50, photo: randomUUID() }));
    expect(unseen.body).toMatchObject({ title: 'This photo is not here.' });
    const { data, revision } = await stored(key);
    const withdrawn = { ...data, withdrawn: { why: 'read at the wrong fitting' } };
    expect((await put('gap', key, withdrawn, revision, shop.technician)).status).toBe(200);
    // Who withdraws a reading did not read it, and what was forecast then stays.
    expect((await stored(key)).data).toMatchObject({
      read: { byId: shop.people.manager, at: (data['read'] as Data)['at'], forecastMm: 60 },
      withdrawn: { byId: shop.people.technician },
    });
    expect(await agreement()).toBeUndefined();
  });
});

describe('a step that is done anew', () => {
  it('counts again with the same words, and who says that it does not stand did not do it', async () => {
    const making = randomUUID();
    expect((await put('making', making, { title: 'Mid pipe', sort: 'pipe' })).status).toBe(200);
    const step = async (id: string, more: Data = {}, who = shop.manager) => {
      const key = `${making}:${id}`;
      const now = await stored(key);
      return put('making-step', key, { making, step: id, ...more }, now?.revision ?? 0, who);
    };
    const next = async () => {
      const { records } = await sheet();
      const of = (kind: string) =>
        Object.fromEntries(records.filter((r) => r.kind === kind).map((r) => [r.key, r.data]));
      return makingStates(of('making') as never, of('making-step') as never).find(
        (m) => m.key === making,
      )!.next?.step.id;
    };
    expect((await step('length', { mm: 35, times: 1 })).status).toBe(200);
    expect((await step('flanges', { mm: 0.5, times: 1 })).status).toBe(200);
    expect((await step('cut', { times: 1 })).status).toBe(200);
    const flanges = (await stored(`${making}:flanges`)).data;
    const off = { ...flanges, voided: { why: 'knocked' } };
    expect((await step('flanges', off, shop.technician)).status).toBe(200);
    expect((await stored(`${making}:flanges`)).data).toMatchObject({
      byId: shop.people.manager,
      voided: { byId: shop.people.technician },
    });
    expect(await next()).toBe('flanges');
    expect((await step('flanges', { mm: 0.5, times: 2 }, shop.technician)).status).toBe(200);
    expect((await stored(`${making}:flanges`)).data).toMatchObject({
      byId: shop.people.technician,
    });
    expect(await next()).toBe('cut');
    // The same words as before, done once more.
    expect((await step('cut', { times: 1 })).status).toBe(409);
    expect((await step('cut', { times: 2 })).status).toBe(200);
    expect(await next()).toBe('tack');
  });
});

describe('a part that is made', () => {
  const making = randomUUID();
  const step = (id: string, more: Data = {}, who = shop.manager, revision = 0) =>
    put('making-step', `${making}:${id}`, { making, step: id, times: 1, ...more }, revision, who);
  const said = { said: 'bare steel, no coating' };
  it('goes step by step, with what each asks for', async () => {
    expect((await put('making', making, { title: 'Tower brace', sort: 'structure' })).status).toBe(
      200,
    );
    const early = await step('weld-structure', { said: 'Osk, plate welder' });
    expect(early.status).toBe(409);
    expect(early.body).toMatchObject({ title: 'First: approved.' });
    const bare = await step('approval');
    expect(bare.body).toMatchObject({
      fields: { said: expect.stringContaining('Who approved it') as string },
    });
    expect((await step('approval', { said: 'inspecting body, letter of Monday' })).status).toBe(
      200,
    );
    expect((await step('metal', { said: '40 mm of the lip' })).body).toMatchObject({
      fields: { mm: 'Wall that stays: read it.' },
    });
    expect((await step('metal', { said: '40 mm of the lip', mm: 3 })).status).toBe(200);
    expect((await step('protect', { said: 'Tess' })).status).toBe(200);
    expect((await step('bare', said)).status).toBe(200);
    expect((await step('weld-structure', { said: 'plate welder' })).status).toBe(200);
  });
  it('is looked over by another than who welded it, whatever name a client sends', async () => {
    const look = { said: 'seam and roots, by lamp' };
    const own = await step('inspect', { ...look, byId: randomUUID() });
    expect(own.status).toBe(409);
    expect(own.body).toMatchObject({ title: expect.stringContaining('another person') as string });
    expect((await step('inspect', look, shop.technician)).status).toBe(200);
  });
  it('stands open at the first crank until it is made, and a step that does not stand opens all after it', async () => {
    const open = async () => JSON.stringify((await planNow()).gates);
    expect(await open()).toContain('being made, Tower brace: guarded from rust');
    const { data, revision } = await stored(`${making}:weld-structure`);
    expect(
      (
        await step(
          'weld-structure',
          { ...data, voided: { why: 'cracked at the root' } },
          shop.manager,
          revision,
        )
      ).status,
    ).toBe(200);
    expect(await open()).toContain('being made, Tower brace: welded by a qualified person');
    expect((await step('inspect', { said: 'looked at again' }, shop.technician, 1)).status).toBe(
      409,
    );
    const dropped = {
      title: 'Tower brace',
      sort: 'structure',
      dropped: { why: 'kit brace bought' },
    };
    expect((await put('making', making, dropped, 1)).status).toBe(200);
    expect(await open()).not.toContain('Tower brace');
    expect((await step('guard', { said: 'wax' })).status).toBe(404);
  });
});
