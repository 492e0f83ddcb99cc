import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { addPhoto, markEntry, readLog, searchLog, writeLog } from '@bay/contract/logbook';
import type { LogEntry } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { Client, TestServer } from '../testing/harness.ts';
import { asFile, phonePhoto } from '../testing/pictures.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';
import { withoutNotes } from './exif.ts';
import { develop } from './photos.ts';
import { queryOf } from './store.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let second: TestServer;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  [server, second] = await Promise.all([startServer(database.url), startServer(database.url)]);
  shop = await shopWithCrew(server, 'log');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await Promise.all([server.stop(), second.stop()]);
  await database.drop();
});

const line = async (
  text: string,
  extra: Record<string, unknown> = {},
  who: Client = shop.technician,
): Promise<LogEntry> =>
  (
    await who.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: text, today: '2026-11-26', ...extra },
    })
  ).entry;
const records = async (kind: RecordKind) =>
  (await shop.manager.good(jobs.readJob, { params: { jobId } })).records
    .filter((r) => r.kind === kind)
    .map((r) => r.data);
const mark = (
  entry: LogEntry,
  kind: 'corrected' | 'struck',
  text: string,
  who: Client = shop.technician,
) =>
  who.call(markEntry, {
    params: { jobId, entryId: String(entry.id) },
    body: { commandId: commandId(), kind, text },
  });

describe('one line becomes what it says', () => {
  it('bags, fluids, decisions, what was tried, attempts', async () => {
    await line('bagged 6 bell bolts M10 x 60, bag 031, shelf C2');
    await line('drained 4.5 l engine oil');
    await line('decided: regrind over used crank, because nobody knows the used one');
    await line('tried: 38 mm hose on the neck, too tight, sent back');
    // The log bar comes to the same gate as the button.
    const shut = await shop.technician.call(writeLog, {
      params: { jobId },
      body: {
        commandId: commandId(),
        line: 'attempt: cranks no fire, 8 s, 11.2 V',
        today: '2026-11-26',
      },
    });
    expect(shut).toMatchObject({
      status: 409,
      problem: { title: expect.stringMatching(/lines stand before "First crank"/) as string },
    });
    await shop.technician.good(putRecord, {
      params: { jobId, kind: 'attempt', key: '1' },
      body: {
        commandId: commandId(),
        revision: 0,
        data: {
          number: 1,
          seconds: 8,
          result: 'cranks-no-fire',
          volts: 11.2,
          deviation: { why: 'the customer turned the key' },
        },
      },
    });
    expect(await records('bag')).toMatchObject([
      { what: '6 bell bolts M10 x 60', label: '031', place: 'shelf C2', by: 'Tess log' },
    ]);
    expect(await records('fluid')).toMatchObject([
      { way: 'drained', litres: 4.5, what: 'engine oil' },
    ]);
    expect(await records('decision')).toMatchObject([{ chosen: 'regrind', over: ['used crank'] }]);
    expect(await records('tried')).toMatchObject([{ part: '38 mm hose on the neck', back: true }]);
    expect(await records('attempt')).toMatchObject([
      { number: 1, result: 'cranks-no-fire', volts: 11.2 },
    ]);
  });
  it('steps and clocks, by the words of the plan', async () => {
    await line('done: vehicle and engine numbers');
    expect((await line('started: photograph every hose')).kind).toBe('step');
    const { running } = await shop.manager.good(jobs.readJob, { params: { jobId } });
    expect(running).toMatchObject([{ about: 'rm-photo-tour', person: 'Tess log', work: 'work' }]);
    expect(running[0]!.estimate!.length).toBe(2);
    await line('done: photograph every hose');
    expect((await shop.manager.good(jobs.readJob, { params: { jobId } })).running).toEqual([]);
    expect((await line('on: fate of every assembly')).text).toMatch(/^on: /);
    expect((await line('off')).text).toMatch(/^off: .*, 0 min$/);
    expect(
      (
        await shop.technician.call(writeLog, {
          params: { jobId },
          body: { commandId: commandId(), line: 'off', today: '2026-11-26' },
        })
      ).problem.title,
    ).toBe('No clock of yours runs.');
  });
  it('parts that move, provisional things that end', async () => {
    const partId = randomUUID();
    await shop.technician.good(putRecord, {
      params: { jobId, kind: 'part', key: partId },
      body: {
        commandId: commandId(),
        data: {
          takeId: 'take-ecu',
          title: 'Engine unit',
          condition: 'good',
          label: 'C-1',
          place: 'C2',
        },
        revision: 0,
      },
    });
    expect((await line('moved C-1 to shelf D4')).text).toBe('moved: Engine unit, C2 to shelf D4');
    await line('capped: heater stubs');
    await line('final: heater stubs');
    expect(await records('provisional')).toMatchObject([
      { kind: 'capped', ended: { by: 'Tess log' } },
    ]);
  });
  it('questions to a person, who answers them', async () => {
    await line('@BO may the hatch be cut?');
    const asked = async () =>
      (await shop.manager.good(crew.readWaiting)).items.filter((i) => i.sort === 'question');
    const items = await asked();
    expect(items).toMatchObject([
      { sort: 'question', what: 'may the hatch be cut?', from: 'Tess log' },
    ]);
    const answer = (who: Client) =>
      who.call(putRecord, {
        params: { jobId, kind: 'ask', key: items[0]!.key },
        body: {
          commandId: commandId(),
          data: { ...items[0]!.data, answer: { text: 'by 12 mm' } },
          revision: 1,
        },
      });
    expect((await answer(shop.technician)).status).toBe(403);
    expect((await answer(shop.manager)).status).toBe(200);
    expect(await asked()).toEqual([]);
  });
  it('a decision without a reason is refused, and nothing is written', async () => {
    const answer = await shop.technician.call(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'decided: new crank', today: '2026-11-26' },
    });
    expect(answer).toMatchObject({
      status: 422,
      problem: { title: 'A decision says why: add "because …".' },
    });
  });
  it('belongs to what the writer says, and that thing shows its own history', async () => {
    await line('two nuts seized, soaked again', { about: 'rm-exhaust-front' });
    await line('found: stud pulled its thread', { about: 'rm-exhaust-front' });
    const { entries } = await shop.onlooker.good(readLog, {
      params: { jobId },
      query: { about: 'rm-exhaust-front' },
    });
    expect(entries.map((e) => e.text)).toEqual([
      'two nuts seized, soaked again',
      'found: stud pulled its thread',
    ]);
  });
});

describe('the book is narrowed and searched', () => {
  it('by kind, person, station and day', async () => {
    const read = async (query: Record<string, string>) =>
      (await shop.onlooker.good(readLog, { params: { jobId }, query: query })).entries;
    expect((await read({ kind: 'bag,fluid' })).map((e) => e.kind)).toEqual(['bag', 'fluid']);
    expect((await read({ by: shop.people.manager })).every((e) => e.by === 'Boss log')).toBe(true);
    expect((await read({ station: 'start' })).map((e) => e.kind)).toEqual(['attempt']);
    const today = new Date().toISOString().slice(0, 10);
    expect((await read({ from: today, to: today })).length).toBeGreaterThan(10);
    expect(await read({ from: '2020-01-01', to: '2020-01-02' })).toEqual([]);
    expect(
      (
        await shop.onlooker.call(readLog, {
          params: { jobId },
          query: { kind: 'nonsense' },
        })
      ).status,
    ).toBe(422);
  });
  it("a day is the reader's day, wherever UTC has its midnight", async () => {
    const tomorrow = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
    // A reader whose clock is so far ahead that now is tomorrow for them.
    const ahead = String(24 * 60 - new Date().getUTCHours() * 60 - new Date().getUTCMinutes());
    const { entries } = await shop.onlooker.good(readLog, {
      params: { jobId },
      query: { from: tomorrow, to: tomorrow, offset: Number(ahead) > 900 ? '900' : ahead },
    });
    expect(entries.length > 0).toBe(Number(ahead) <= 900);
  });
  it('by words, stems and beginnings, with the hit marked', async () => {
    const find = async (q: string, extra = {}) =>
      (await shop.onlooker.good(searchLog, { query: { q, ...extra } })).hits;
    expect((await find('seized nut'))[0]!.hit).toBe(
      'two \u0001nuts\u0002 \u0001seized\u0002, soaked again',
    );
    expect((await find('bel')).map((h) => h.text)).toContain(
      'bagged 6 bell bolts M10 x 60, bag 031, shelf C2',
    );
    expect((await find('031'))[0]).toMatchObject({
      jobId,
      number: '0401',
      carName: '1984 Test camper',
    });
    expect(await find('031', { jobId: await bookedJob(shop.manager) })).toEqual([]);
    expect(await find("'; drop table log_entry; --")).toEqual([]);
  });
  it.each([
    ['Bell Bolts', 'bell & bolts:*'],
    ['  M10 x 60 ', 'm10 & x & 60:*'],
    ["it's & | !", 'it & s:*'],
    ['—', ''],
  ])('%s is asked as %s', (typed, query) => expect(queryOf(typed)).toBe(query));
});

describe('corrections', () => {
  it('stand beside the wording they correct, and are found too', async () => {
    const entry = await line('ring gap is fourteen hundredths');
    const corrected = await mark(entry, 'corrected', 'ring gap is forty hundredths, quokka');
    expect(corrected.body.entry).toMatchObject({
      text: 'ring gap is fourteen hundredths',
      marks: [{ kind: 'corrected', text: 'ring gap is forty hundredths, quokka', by: 'Tess log' }],
    });
    const { hits } = await shop.onlooker.good(searchLog, { query: { q: 'quokka' } });
    expect(hits.map((h) => h.id)).toEqual([entry.id]);
    expect(hits[0]!.hit).toContain('\u0001quokka\u0002');
  });
  it("are the author's and the manager's", async () => {
    const entry = await line('seen by the boss', {}, shop.manager);
    expect(await mark(entry, 'struck', 'not so')).toMatchObject({
      status: 403,
      problem: { title: 'Boss log wrote this. Only they or the manager correct it.' },
    });
    expect((await mark(await line('mine'), 'struck', 'wrong car', shop.manager)).status).toBe(200);
  });
  it('say something', async () => {
    const entry = await line('to be struck');
    expect(await mark(entry, 'struck', '')).toMatchObject({
      status: 422,
      problem: { fields: { text: 'Say why it is struck.' } },
    });
  });
});

describe('what waited on a device', () => {
  it('is written with the time it was done, and says when it arrived', async () => {
    const [ago, before] = [3 * 3_600_000, Date.now()];
    const entry = await line('typed behind the lift', { agoMs: ago });
    const within = (at: string, from: number, to: number) => {
      expect(Date.parse(at)).toBeGreaterThanOrEqual(from);
      expect(Date.parse(at)).toBeLessThanOrEqual(to);
    };
    within(entry.at, before - ago, Date.now() - ago);
    within(entry.receivedAt!, before, Date.now());
    expect((await line('typed now')).receivedAt).toBeNull();
  });
});

describe('photos', () => {
  const add = async (
    file: Blob,
    extra: Record<string, unknown> = {},
    who: Client = shop.technician,
  ) =>
    who.call(addPhoto, {
      params: { jobId },
      body: {
        commandId: commandId(),
        photoId: randomUUID(),
        caption: 'bell',
        file,
        ...extra,
      } as never,
    });
  const get = async (photoId: string, size: string, from: TestServer = server) => {
    const res = await fetch(`${from.url}/api/photos/${photoId}/${size}`, {
      headers: { cookie: shop.onlooker.cookie },
    });
    return { res, bytes: Buffer.from(await res.arrayBuffer()) };
  };

  it('stand upright, in three sizes, without the place they were taken', async () => {
    const file = await phonePhoto();
    expect(Buffer.from(file).includes(Buffer.from('Exif'))).toBe(true);
    const photoId = randomUUID();
    const { body } = await add(asFile(file), { photoId });
    // Lying 640 x 480 with orientation 6 is 480 wide and 640 high when it stands.
    expect(body.record.data).toMatchObject({ caption: 'bell', width: 480, height: 640 });
    for (const size of ['original', 'screen', 'thumb']) {
      const { res, bytes } = await get(photoId, size, second);
      expect(res.headers.get('content-type')).toBe('image/jpeg');
      const meta = await sharp(bytes).metadata();
      expect(bytes.includes(Buffer.from('GPS')), size).toBe(false);
      expect(bytes.includes(Buffer.from('Invented')), size).toBe(false);
      const upright = await sharp(bytes).autoOrient().raw().toBuffer({ resolveWithObject: true });
      expect(upright.info.width / upright.info.height, size).toBeCloseTo(0.75, 2);
      // What was the left half of the sensor is the upper half of the picture: blue above red.
      expect(
        [...upright.data.subarray(0, 3)].map((v) => Math.round(v / 40)),
        size,
      ).toEqual([1, 1, 4]);
      if (size === 'original')
        expect([meta.width, meta.height, meta.orientation]).toEqual([640, 480, 6]);
    }
  });
  it('keep every dot of the original of a JPEG', async () => {
    const file = await phonePhoto(200, 100);
    const before = await sharp(file).raw().toBuffer();
    const after = await sharp(withoutNotes(file, 6)).raw().toBuffer();
    expect(after.equals(before)).toBe(true);
    expect((await sharp(withoutNotes(file, undefined)).metadata()).exif).toBeUndefined();
  });
  it('are pictures by content, not by name', async () => {
    expect(
      await add(new Blob(['<svg xmlns="http://www.w3.org/2000/svg"/>'], { type: 'image/jpeg' })),
    ).toMatchObject({ status: 415 });
    expect((await add(new Blob(['hello'], { type: 'image/png' }))).problem.title).toMatch(
      /no picture that can be read/,
    );
    const png = await sharp({
      create: { width: 30, height: 20, channels: 4, background: '#00ff00' },
    })
      .png()
      .toBuffer();
    expect((await add(new Blob([new Uint8Array(png)], { type: 'text/plain' }))).status).toBe(200);
    expect((await add(asFile((await phonePhoto()).subarray(0, 900)))).status).toBe(415);
  });
  it('have 20 MB at most', async () => {
    const answer = await add(new Blob([new Uint8Array(20 * 1024 * 1024 + 1)]));
    expect(answer).toMatchObject({ status: 413, problem: { title: 'A photo has 20 MB at most.' } });
  });
  it('sent twice are there once', async () => {
    const id = commandId();
    const photoId = randomUUID();
    const file = asFile(await phonePhoto(60, 40));
    await add(file, { commandId: id, photoId });
    await add(file, { commandId: id, photoId });
    expect((await records('photo')).length).toBeGreaterThan(0);
    const { entries } = await shop.onlooker.good(readLog, {
      params: { jobId },
      query: { about: photoId },
    });
    expect(entries).toHaveLength(1);
  });
  it('carry numbered pins and arrows, which have their own history', async () => {
    const photoId = randomUUID();
    await add(asFile(await phonePhoto(60, 40)), { photoId });
    const pin = (key: string, data: Record<string, unknown>, revision = 0) =>
      shop.technician.call(putRecord, {
        params: { jobId, kind: 'pin', key },
        body: { commandId: commandId(), data: { photoId, ...data }, revision },
      });
    const key = randomUUID();
    expect(
      (await pin(key, { number: 1, x: 0.5, y: 0.25, sort: 'bag', text: 'bag 031' })).status,
    ).toBe(200);
    expect(
      (
        await pin(randomUUID(), {
          number: 2,
          x: 0.1,
          y: 0.1,
          toX: 0.4,
          toY: 0.9,
          sort: 'note',
          text: 'strap here',
        })
      ).status,
    ).toBe(200);
    expect(
      (await pin(randomUUID(), { number: 3, x: 1.5, y: 0, sort: 'note', text: 'outside' })).status,
    ).toBe(422);
    expect(
      (
        await pin(
          key,
          { number: 1, x: 0.5, y: 0.25, sort: 'bag', text: 'bag 031', removed: true },
          1,
        )
      ).status,
    ).toBe(200);
    const { entries } = await shop.onlooker.good(readLog, {
      params: { jobId },
      query: { about: photoId },
    });
    expect(entries.map((e) => e.text)).toEqual([
      'photo: bell',
      'pin 1, bag: bag 031',
      'pin 2, note: strap here',
      'pin 1 taken off',
    ]);
  });
  it('a photo that is not there, or of no size, is not found', async () => {
    expect((await get(randomUUID(), 'thumb')).res.status).toBe(404);
    expect((await get('../../etc/passwd', 'thumb')).res.status).toBe(404);
    expect((await get(randomUUID(), 'huge')).res.status).toBe(404);
  });
  it('a bomb is refused before it is unpacked', async () => {
    const bomb = await sharp({
      create: { width: 12_000, height: 11_000, channels: 3, background: '#000' },
    })
      .png()
      .toBuffer();
    await expect(develop(bomb)).rejects.toThrow(/no picture/);
  });
  it('so is a small file that declares very many dots, and a large drawing of one colour is not', async () => {
    const flat = (width: number, height: number, level: number) =>
      sharp({ create: { width, height, channels: 3, background: '#204060' } })
        .png({ compressionLevel: level, palette: level > 0 })
        .toBuffer();
    const small = await flat(7000, 7000, 9);
    expect(small.length).toBeLessThan(60_000);
    await expect(develop(small)).rejects.toThrow(/no picture/);
    await expect(develop(await flat(2400, 1600, 9))).resolves.toMatchObject({ width: 1600 });
  });
});
