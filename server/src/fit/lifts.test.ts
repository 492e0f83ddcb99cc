import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as jobs from '@bay/contract/jobs';
import { findTried, writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
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
