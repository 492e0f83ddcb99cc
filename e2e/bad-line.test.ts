import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readLog } from '@bay/contract/logbook';
import { demoShop } from '../demo/shop.ts';
import type { Client } from '../server/src/testing/harness.ts';
import { badLine } from '../server/src/testing/bad-line.ts';
import type { BadLine } from '../server/src/testing/bad-line.ts';
import { Browser } from './browser.ts';
import { demoJobs, demoManager, runShop } from './shop.ts';
import type { Running } from './shop.ts';

/** A line that refuses, swallows or dawdles: what was typed arrives once, under the name of who typed it. */

let shop: Running;
let line: BadLine;
let b: Browser;
let manager: Client;
let jobId: string;

const bar = 'Log bar: write a line, plain or in shorthand';
const write = async (text: string) => {
  await b.type(bar, text);
  await b.press('Write');
};
const book = async () =>
  (await manager.good(readLog, { params: { jobId }, query: { limit: 200 } })).entries;
const linesOf = async (text: string) => (await book()).filter((l) => l.text === text);
const arrived = (text: string) =>
  b.wait(async () => (await linesOf(text)).length > 0, undefined, `"${text}" did not arrive`);
const openJob = async () => {
  await b.go(`/jobs/${jobId}/pull`);
  await b.see('Larkfield', '.app-job-head');
  await b.see('Out with 2.2 four', '.app-bench');
};

beforeAll(async () => {
  shop = await runShop(true);
  const job = await demoJobs(shop.server);
  jobId = job('Larkfield');
  manager = await demoManager(shop.server);
  line = await badLine(Number(new URL(shop.server.url).port));
  b = await Browser.open(line.url);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
  await b.switchTo('Osk Tiller', '2001');
  await openJob();
  await b.shellKept();
  await b.readingKept(`"job","${jobId}"`);
});
afterAll(async () => {
  await b.close();
  await line.close();
  await shop.stop();
});

/** The browser is closed as if the device went out, and opened when the line is good again. */
const outAndOpenAgain = async () => {
  const profile = await b.putAside();
  line.is('good');
  b = await Browser.open(line.url, profile);
  await openJob();
};

describe('the line', () => {
  it('swallows what is sent and the browser is closed: it arrives when both are back', async () => {
    line.is('swallows');
    await write('sent into nothing');
    await b.wait(() => line.swallowed() > 0, undefined, 'nothing was sent');
    await outAndOpenAgain();
    await arrived('sent into nothing');
    expect(await linesOf('sent into nothing')).toHaveLength(1);
  });

  it('loses the answer and the browser is closed: it is there once', async () => {
    line.is('mute');
    await write('answered into nothing');
    await arrived('answered into nothing');
    await outAndOpenAgain();
    await write('and after it');
    await arrived('and after it');
    await b.wait(
      () =>
        b.driver.executeAsyncScript<boolean>(
          `const done = arguments[0];
           const open = indexedDB.open('bay-outbox');
           open.onsuccess = () => { const all = open.result.transaction('waiting').objectStore('waiting').count();
             all.onsuccess = () => { open.result.close(); done(all.result === 0); }; };`,
        ),
      undefined,
      'something still waits',
    );
    expect(await linesOf('answered into nothing')).toHaveLength(1);
  });

  it('refuses, and what was taken back meanwhile does not stay in the book', async () => {
    line.is('refuses');
    await write('not meant');
    await b.see('1 waiting to be sent', '.app-top');
    await b.press('Undo');
    line.is('good');
    await write('meant');
    await arrived('meant');
    expect(
      (await book()).filter(
        (l) => l.text === 'not meant' && !l.marks.some((m) => m.kind === 'undone'),
      ),
    ).toEqual([]);
  });

  const delays = [5, 25, 60, 120, 250];
  it('dawdles while another comes to the tablet: each line has the name of who typed it', async () => {
    for (const dawdle of delays) {
      line.is({ dawdle });
      await write(`of Osk, ${dawdle} ms late`);
      await b.switchTo('Della Pruitt', '2003');
      await write(`of Della, ${dawdle} ms late`);
      await b.switchTo('Osk Tiller', '2001');
    }
    // What one wrote last waits for them, if the other came too soon.
    await b.switchTo('Della Pruitt', '2003');
    for (const dawdle of delays) await arrived(`of Della, ${dawdle} ms late`);
    await b.switchTo('Osk Tiller', '2001');
    line.is('good');
    for (const dawdle of delays) {
      await arrived(`of Osk, ${dawdle} ms late`);
      expect(await linesOf(`of Osk, ${dawdle} ms late`)).toMatchObject([{ by: 'Osk Tiller' }]);
      expect(await linesOf(`of Della, ${dawdle} ms late`)).toMatchObject([{ by: 'Della Pruitt' }]);
    }
  });

  it('brings the Floor before the application, and the application takes its place', async () => {
    await b.driver.executeAsyncScript(
      'const done = arguments[0]; (async () => { for (const r of await navigator.serviceWorker.getRegistrations()) await r.unregister(); for (const k of await caches.keys()) await caches.delete(k); })().then(() => done())',
    );
    await b.driver.sendDevToolsCommand('Network.enable', {});
    await b.driver.sendDevToolsCommand('Network.clearBrowserCache', {});
    await b.driver.sendDevToolsCommand('Network.setBlockedURLs', { urls: ['*/assets/index-*.js'] });
    await b.go('/');
    const first = await b.see('Wendling', '#first-sight');
    expect(first).toContain('The Floor');
    expect(first).toContain('gets 2.0 twin-cam four');
    await b.driver.sendDevToolsCommand('Network.setBlockedURLs', { urls: [] });
    await b.go('/');
    await b.see('The Yard', '#main');
    expect(await b.count('#first-sight')).toBe(0);
  });
});
