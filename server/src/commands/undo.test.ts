import { randomUUID } from 'node:crypto';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { factHistory, putFact } from '@bay/contract/facts';
import * as jobs from '@bay/contract/jobs';
import { addPhoto, undoCommand, writeLog } from '@bay/contract/logbook';
import { readSchools, chooseSchool } from '@bay/contract/schools';
import { putRecord } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { commandId, freshDatabase, startServer } from '../testing/harness.ts';
import type { TestServer, Client } from '../testing/harness.ts';
import { asFile, phonePhoto } from '../testing/pictures.ts';
import { bookedJob, shopWithCrew } from '../testing/shop.ts';
import type { TestShop } from '../testing/shop.ts';

let database: Awaited<ReturnType<typeof freshDatabase>>;
let server: TestServer;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  server = await startServer(database.url);
  shop = await shopWithCrew(server, 'undo');
  jobId = await bookedJob(shop.manager);
});
afterAll(async () => {
  await server.stop();
  await database.drop();
});

const undo = (target: string, who: Client = shop.technician, id = commandId()) =>
  who.call(undoCommand, { params: { target }, body: { commandId: id } });
const put = async (
  kind: RecordKind,
  key: string,
  data: Record<string, unknown>,
  revision = 0,
  who = shop.technician,
) => {
  const id = commandId();
  await who.good(putRecord, {
    params: { jobId, kind, key },
    body: { commandId: id, data, revision },
  });
  return id;
};
const sheet = () => shop.manager.good(jobs.readJob, { params: { jobId } });
const record = async (kind: RecordKind, key: string) =>
  (await sheet()).records.find((r) => r.kind === kind && r.key === key);

describe('a command is taken back', () => {
  it('a record that it made is gone, the line stays in the book, marked', async () => {
    const key = randomUUID();
    const id = await put('hold', key, { waitsFor: 'gasket' });
    expect((await undo(id)).body).toEqual({ undone: ['held: waits for gasket'] });
    expect(await record('hold', key)).toBeUndefined();
    const { log } = await sheet();
    expect(log.at(-1)).toMatchObject({ kind: 'undo', text: 'undone: held: waits for gasket' });
    expect(log.at(-2)).toMatchObject({
      text: 'held: waits for gasket',
      marks: [{ kind: 'undone', by: 'Tess undo' }],
    });
  });
  it('a record that it changed stands as before, and its revision goes on counting', async () => {
    await put('kit', 'kit-sump', { status: 'here' });
    const id = await put('kit', 'kit-sump', { status: 'here', note: 'dented' }, 1);
    await undo(id);
    expect(await record('kit', 'kit-sump')).toMatchObject({
      data: { status: 'here' },
      revision: 3,
    });
    const stale = await shop.manager.call(putRecord, {
      params: { jobId, kind: 'kit', key: 'kit-sump' },
      body: { commandId: commandId(), data: { status: 'fitted' }, revision: 2 },
    });
    expect(stale.status).toBe(409);
  });
  it('undone again, it is done again', async () => {
    const id = await put('task', 'rm-chock', { status: 'waived', note: 'on the lift' });
    const first = commandId();
    await undo(id, shop.technician, first);
    expect(await record('task', 'rm-chock')).toBeUndefined();
    await undo(first);
    expect(await record('task', 'rm-chock')).toMatchObject({ data: { status: 'waived' } });
    expect((await sheet()).log.at(-1)!.text).toMatch(/^done again: not needed here: /);
  });
  it('a step that was started stops its clock with it', async () => {
    const id = await put('task', 'rm-identify', { status: 'on-it' });
    expect((await sheet()).running).toHaveLength(1);
    await undo(id);
    expect((await sheet()).running).toHaveLength(0);
  });
  it('a fact goes back to what it was, and its history tells', async () => {
    const write = async (value: string, revision: number) => {
      const id = commandId();
      await shop.technician.good(putFact, {
        params: { jobId, bearer: 'car', factId: 'rec-hv-system' },
        body: { commandId: id, typed: { value }, source: 'measured', revision },
      });
      return id;
    };
    await write('no', 0);
    await undo(await write('yes', 1));
    const { facts } = await sheet();
    expect(facts.find((f) => f.factId === 'rec-hv-system')).toMatchObject({
      parts: { value: 'no' },
      revision: 3,
    });
    const { versions } = await shop.manager.good(factHistory, {
      params: { jobId, bearer: 'car', factId: 'rec-hv-system' },
    });
    expect(versions.map((v) => v.parts['value'])).toEqual(['no', 'yes', 'no']);
  });
  it('a plain note is marked, a photo is gone from the job', async () => {
    const note = commandId();
    await shop.technician.good(writeLog, {
      params: { jobId },
      body: { commandId: note, line: 'typed into the wrong job', today: '2026-11-26' },
    });
    await undo(note);
    expect(
      (await sheet()).log.find((l) => l.text === 'typed into the wrong job')!.marks,
    ).toMatchObject([{ kind: 'undone' }]);
    const photo = commandId();
    const photoId = randomUUID();
    await shop.technician.good(addPhoto, {
      params: { jobId },
      body: { commandId: photo, photoId, file: asFile(await phonePhoto(80, 60)) } as never,
    });
    await undo(photo);
    expect(await record('photo', photoId)).toBeUndefined();
  });
  it('what the manager chose for the shop, a unit that was added, a job that was booked in', async () => {
    const school = commandId();
    await shop.manager.good(chooseSchool, {
      params: { question: 'sch-clamps' },
      body: { commandId: school, side: 'sch-clamps-a' },
    });
    await undo(school, shop.manager);
    expect((await shop.manager.good(readSchools)).chosen).toEqual({});
    const unit = commandId();
    await shop.manager.good(jobs.addUnit, {
      body: {
        commandId: unit,
        kind: 'loom',
        name: 'spare loom',
        place: 'shelf',
        job: { jobId, role: 'loom' },
      },
    });
    await undo(unit, shop.manager);
    expect((await shop.manager.good(jobs.listUnits)).units.map((u) => u.name)).not.toContain(
      'spare loom',
    );
    const booking = commandId();
    const { job } = await shop.manager.good(jobs.bookIn, {
      body: {
        commandId: booking,
        car: { name: '1969 Mistake', modelYear: 1969, identity: 'MIS-20144' },
        customer: 'C',
        wish: 'none',
      },
    });
    expect((await undo(booking, shop.manager)).status).toBe(200);
    expect((await shop.manager.call(jobs.readJob, { params: { jobId: job.id } })).status).toBe(404);
    expect((await shop.manager.good(jobs.readFloor)).strips.map((s) => s.carName)).not.toContain(
      '1969 Mistake',
    );
  });
});

describe('what is not taken back', () => {
  it("somebody else's command", async () => {
    const id = await put('hold', randomUUID(), { waitsFor: 'belt' });
    expect(await undo(id, shop.manager)).toMatchObject({
      status: 403,
      problem: { title: 'Each undoes only what they did themselves.' },
    });
  });
  it('what somebody built on meanwhile', async () => {
    const key = randomUUID();
    const id = await put('hold', key, { waitsFor: 'belt' });
    await put('hold', key, { waitsFor: 'belt and tensioner' }, 1, shop.manager);
    expect(await undo(id)).toMatchObject({
      status: 409,
      problem: { title: expect.stringContaining('built on this meanwhile') as string },
    });
    expect(await record('hold', key)).toMatchObject({ data: { waitsFor: 'belt and tensioner' } });
  });
  it('the same command twice, though asking twice with one id answers the same', async () => {
    const id = await put('hold', randomUUID(), { waitsFor: 'clip' });
    const first = commandId();
    const one = await undo(id, shop.technician, first);
    expect((await undo(id, shop.technician, first)).body).toEqual(one.body);
    expect(await undo(id)).toMatchObject({
      status: 409,
      problem: { title: 'That is undone already.' },
    });
  });
  it('what is longer ago than half a minute', async () => {
    const id = await put('hold', randomUUID(), { waitsFor: 'paint' });
    // The tests' own database role may do what the server may not: make it older.
    const { default: pg } = await import('pg');
    const owner = new pg.Client({ connectionString: database.url });
    await owner.connect();
    await owner.query("update command set at = at - interval '31 seconds' where id = $1", [id]);
    await owner.end();
    expect(await undo(id)).toMatchObject({
      status: 409,
      problem: { title: expect.stringContaining('longer than 30 seconds ago') as string },
    });
  });
  it('a command that never was', async () => expect((await undo(commandId())).status).toBe(404));
  it('the changes themselves are forgotten after an hour', async () => {
    await sql`select forget_changes('0 seconds')`.execute(server.db);
    const id = await put('hold', randomUUID(), { waitsFor: 'time' });
    await sql`select forget_changes('1 hour')`.execute(server.db);
    expect((await undo(id)).status).toBe(200);
  });
});

describe('a command that is overtaken by its undo', () => {
  const overtake = (target: string, who = shop.technician) =>
    who.call(undoCommand, {
      params: { target },
      body: { commandId: commandId(), orRefuseIt: true },
    });
  const write = (id: string, line: string) =>
    shop.technician.call(writeLog, {
      params: { jobId },
      body: { commandId: id, line, today: '2026-11-26' },
    });
  const inBook = async (line: string) => (await sheet()).log.filter((l) => l.text.includes(line));

  it('is refused when it comes, as often as it comes, and writes nothing', async () => {
    const id = commandId();
    expect(await overtake(id)).toMatchObject({ status: 200, body: { undone: [] } });
    expect(await overtake(id)).toMatchObject({ status: 200, body: { undone: [] } });
    for (let again = 0; again < 2; again += 1)
      expect(await write(id, 'came too late')).toMatchObject({
        status: 409,
        problem: { title: 'This was taken back before it came here. Nothing was written.' },
      });
    expect(await inBook('came too late')).toEqual([]);
  });
  it('that is here already is taken back as usual', async () => {
    const id = commandId();
    await write(id, 'came in time');
    expect(await overtake(id)).toMatchObject({ body: { undone: ['came in time'] } });
  });
  it('that comes at the same moment is in the book taken back, or not at all', async () => {
    for (let i = 0; i < 10; i += 1) {
      const id = commandId();
      const line = `both at once ${i}`;
      const [written, undone] = await Promise.all([write(id, line), overtake(id)]);
      expect(undone.status).toBe(200);
      const lines = await inBook(line);
      if (written.status === 200)
        expect(lines.map((l) => l.kind).toSorted()).toEqual(['note', 'undo']);
      else expect(lines).toEqual([]);
    }
  });
  it('without that word is not here, and stays free to come', async () => {
    const id = commandId();
    expect((await undo(id)).status).toBe(404);
    expect((await write(id, 'after a plain undo')).status).toBe(200);
  });
  it('of somebody else is left alone', async () => {
    const id = commandId();
    await write(id, 'of another');
    expect(await overtake(id, shop.manager)).toMatchObject({ status: 403 });
    expect((await inBook('of another'))[0]).not.toHaveProperty('marks.0');
  });
});
