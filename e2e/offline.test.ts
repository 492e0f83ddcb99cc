import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import * as jobs from '@bay/contract/jobs';
import { readLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import type { Client } from '../server/src/testing/harness.ts';
import { commandId, startServer } from '../server/src/testing/harness.ts';
import { phonePhoto } from '../server/src/testing/pictures.ts';
import { freePort, spawnServer } from '../server/src/testing/processes.ts';
import type { ServerProcess } from '../server/src/testing/processes.ts';
import { Browser } from './browser.ts';
import { demoDatabase, demoJobs, demoManager } from './shop.ts';

/** A tablet behind a lift: the server goes away, work goes on, and everything arrives once. */

let database: Awaited<ReturnType<typeof demoDatabase>>;
let server: ServerProcess;
let port: number;
let base: string;
let b: Browser;
let manager: Client;
let job: (word: string) => string;
let folder: string;
let photo: string;

const bar = 'Log bar: write a line, plain or in shorthand';

beforeAll(async () => {
  database = await demoDatabase();
  const loading = await startServer(database.url);
  job = await demoJobs(loading);
  await loading.stop();
  port = await freePort();
  base = `http://127.0.0.1:${port}`;
  server = await spawnServer(database.url, port);
  manager = await demoManager({ url: base } as never);
  folder = await mkdtemp(join(tmpdir(), 'bay-photos-'));
  photo = join(folder, 'stud.jpg');
  await writeFile(photo, await phonePhoto(800, 600));
  b = await Browser.open(base);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
  await b.switchTo('Osk Tiller', '2001');
});
afterAll(async () => {
  await b.close();
  await server.kill();
  await database.drop();
  await rm(folder, { recursive: true, force: true });
});

const away = () => server.kill();
const back = async () => {
  server = await spawnServer(database.url, port);
};
const write = async (line: string) => {
  await b.type(bar, line);
  await b.press('Write');
};
const book = async (jobId: string) =>
  (await manager.good(readLog, { params: { jobId }, query: { limit: 200 } })).entries;
const sent = () =>
  b.wait(async () => (await b.count('.app-outbox-button')) === 0, 20_000, 'something still waits');

describe('without a network', () => {
  it('the shell and the jobs that were open load all the same', async () => {
    await b.see('The Yard', '#main');
    await b.readingKept('"floor"');
    await b.go(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with 2.2 four', '.app-bench');
    await b.shellKept();
    await b.readingKept(`"job","${job('Larkfield')}"`);
    await away();
    await b.go(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with 2.2 four', '.app-bench');
    await b.see('What you write is kept on this device', '.app-offline');
    await b.go('/');
    await b.see('The Yard', '#main');
  });

  it('lines, ticks and photos wait on the device, for everybody to see', async () => {
    await b.go(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with 2.2 four', '.app-bench');
    await write('typed behind the lift');
    await b.see('1 waiting to be sent', '.app-top');
    expect(await b.see('typed behind the lift', '.logbook-book')).toContain('waits to be sent');
    await b.press('Start', '.step.free');
    await b.see('2 waiting to be sent', '.app-top');
    await b.chooseFiles('Photo', photo);
    await b.see('3 waiting to be sent', '.app-top');
    await b.see('waits on this device', '.logbook-uploads');
    await write('held: waiting for a stud, Thursday');
    await b.see('4 waiting to be sent', '.app-top');
    await b.press('4 waiting to be sent');
    const list = await b.see('On this device only');
    expect(list).toMatch(/line written[\s\S]*step started[\s\S]*photo added[\s\S]*line written/);
    await b.keys(Key.ESCAPE);
  });

  it('a gate is not signed, and the screen says why', async () => {
    await b.go(`/jobs/${job('Larkfield')}/start?tab=gates&gate=First%20crank`);
    await b.press('Prove: Plugs mated');
    await b.type('What proves it', '24 of 24 counted', '[role=dialog]');
    await b.press('Proved, signed', '[role=dialog]');
    await b.see('Signing needs a connection. Nothing was signed', '[role=dialog]');
    expect(await b.value('What proves it')).toBe('24 of 24 counted');
  });

  it('survives closing the browser, and is sent in order, once, when the server is back', async () => {
    const profile = await b.putAside();
    b = await Browser.open(base, profile);
    await b.go(`/jobs/${job('Larkfield')}/pull`);
    await b.see('4 waiting to be sent', '.app-top');
    // The page came from the device with the number of its styles and the header that names it.
    expect((await b.complaints()).filter((c) => c.includes('Content Security Policy'))).toEqual([]);
    await back();
    await sent();
    const lines = (await book(job('Larkfield'))).slice(-4);
    expect(lines.map((l) => l.kind)).toEqual(['note', 'step', 'photo', 'hold']);
    expect(lines.every((l) => l.by === 'Osk Tiller')).toBe(true);
    expect(
      (await book(job('Larkfield'))).filter((l) => l.text === 'typed behind the lift'),
    ).toHaveLength(1);
    const { records } = await manager.good(jobs.readJob, { params: { jobId: job('Larkfield') } });
    expect(records.filter((r) => r.kind === 'photo')).toHaveLength(1);
    await b.unseen('waits to be sent', '.logbook-book');
  });
});

describe('what two wrote at once', () => {
  const jobId = () => job('Larkfield');
  const taskOf = async (key: string) =>
    (await manager.good(jobs.readJob, { params: { jobId: jobId() } })).records.find(
      (r) => r.kind === 'task' && r.key === key,
    );

  it('comes back as a choice, side by side, and both versions stay in the book', async () => {
    await b.go(`/jobs/${jobId()}/prep?tab=torques`);
    await b.type('Joint', 'head');
    await b.type('Bolts', '10');
    await b.press('Add the joint');
    await b.see('head', '.app-bench');
    await b.readingKept('"name":"head"');
    await away();
    await b.press('Bolt 1,', '.app-bench');
    await b.type('Stages, N·m', '40');
    await b.type('Value from', 'memory, behind the lift');
    await b.press('Bolt 1 is tight');
    await b.see('1 waiting to be sent', '.app-top');
    await back();
    // Before the tablet gets through, somebody else writes the same bolt.
    await manager.call(putRecord, {
      params: { jobId: jobId(), kind: 'torque', key: 'head:1' },
      body: {
        commandId: commandId(),
        data: { joint: 'head', bolt: '1', stagesNm: [45], source: 'manual, page 9' },
        revision: 0,
      },
    });
    // A device that found nobody for long asks again after half a minute.
    await b.see(/1 to decide|Everything is sent/, 'body', 60_000);
    if ((await b.count('.app-outbox-button')) === 0)
      return expect.fail('the tablet was faster than the manager');
    await b.press('1 to decide');
    const both = await b.see('What you typed', '[role=dialog]');
    expect(both).toContain('manual, page 9');
    expect(both).toContain('memory, behind the lift');
    await b.press('Theirs counts', '[role=dialog]');
    await sent();
    const lines = await book(jobId());
    expect(lines.at(-1)!.text).toMatch(
      /^Not taken, written without a network: .*memory, behind the lift/,
    );
    const { records } = await manager.good(jobs.readJob, { params: { jobId: jobId() } });
    expect(records.find((r) => r.key === 'head:1')!.data).toMatchObject({ stagesNm: [45] });
  });

  it('two tabs of one device send what waits once', async () => {
    await b.go(`/jobs/${jobId()}/pull`);
    await b.see('Out with', '.app-bench');
    await away();
    await write('one of two tabs');
    await b.see('1 waiting to be sent', '.app-top');
    const first = await b.driver.getWindowHandle();
    await b.driver.switchTo().newWindow('tab');
    await b.go(`/jobs/${jobId()}/pull`);
    await b.see('1 waiting to be sent', '.app-top');
    await write('two of two tabs');
    await b.see('2 waiting to be sent', '.app-top');
    await back();
    await sent();
    await b.driver.close();
    await b.driver.switchTo().window(first);
    await sent();
    const own = (await book(jobId())).filter((l) => l.text.endsWith('of two tabs'));
    expect(own.map((l) => l.text)).toEqual(['one of two tabs', 'two of two tabs']);
  });

  it('a device whose clock is a day ahead writes the right time and the right Thursday', async () => {
    await b.driver.sendDevToolsCommand('Page.enable', {});
    await b.driver.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
      source: `(() => { const Real = Date, ahead = 86400000; class Wrong extends Real { constructor(...a) { a.length === 0 ? super(Real.now() + ahead) : super(...a); } static now() { return Real.now() + ahead; } } window.Date = Wrong; })()`,
    });
    await b.go(`/jobs/${jobId()}/pull`);
    await b.see('Out with', '.app-bench');
    expect(await b.driver.executeScript<number>('return Date.now()')).toBeGreaterThan(
      Date.now() + 80_000_000,
    );
    // The first answer says what time it is.
    await b.see('The clock of this device is 1 day ahead.');
    await away();
    const typed = Date.now();
    await write('held: waiting for paint, tomorrow');
    await b.see('1 waiting to be sent', '.app-top');
    await back();
    await sent();
    const last = (await book(jobId())).at(-1)!;
    expect(Date.parse(last.at)).toBeGreaterThanOrEqual(typed - 1000);
    expect(Date.parse(last.at)).toBeLessThanOrEqual(Date.now());
    const now = new Date();
    const tomorrow = new Date(now.getFullYear(), now.getMonth(), now.getDate() + 1, 12)
      .toISOString()
      .slice(0, 10);
    expect(last.text).toBe(`held: waits for paint, due ${tomorrow}`);
    expect(await taskOf('rm-nothing')).toBeUndefined();
  });

  it('what one person wrote is not sent under the name of the next', async () => {
    await away();
    await write('written by Osk');
    await b.see('1 waiting to be sent', '.app-top');
    // Somebody else takes the tablet while it waits: the box is kept, the session is another.
    await b.driver.executeScript(`
      return new Promise((done) => { const open = indexedDB.open('bay-outbox'); open.onsuccess = () => { const t = open.result.transaction('waiting', 'readwrite').objectStore('waiting'); t.getAll().onsuccess = (e) => { for (const w of e.target.result) t.put({ ...w, personId: '00000000-0000-4000-8000-00000000dead', by: 'Somebody Else' }, w.order); }; t.transaction.oncomplete = done; }; });`);
    await back();
    await b.go(`/jobs/${jobId()}/pull`);
    await b.see('1 waiting to be sent', '.app-top');
    // What the one who is here writes goes out, past what waits for the other.
    await write('written by the next');
    await b.see('written by the next', '.logbook-book');
    await b.wait(
      async () => (await book(jobId())).some((l) => l.text === 'written by the next'),
      20_000,
      'never sent',
    );
    await b.press('1 waiting to be sent');
    await b.see('It is sent when Somebody Else is at this device.', '[role=dialog]');
    expect((await book(jobId())).map((l) => l.text)).not.toContain('written by Osk');
  });
});
