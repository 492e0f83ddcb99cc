import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { startServer } from '../server/src/testing/harness.ts';
import { freePort, spawnServer } from '../server/src/testing/processes.ts';
import type { ServerProcess } from '../server/src/testing/processes.ts';
import { Browser } from './browser.ts';
import { demoDatabase, demoJobs } from './shop.ts';

/** An engine comes out: two people log what they free, one of them without a network, and the reconnect list counts all of it. */

let database: Awaited<ReturnType<typeof demoDatabase>>;
let server: ServerProcess;
let other: ServerProcess;
let port: number;
let job: (word: string) => string;
let osk: Browser;
let jun: Browser;

const bar = 'Log bar: write a line, plain or in shorthand';
const write = async (b: Browser, line: string) => {
  await b.type(bar, line);
  await b.press('Write');
};
const roll = '[aria-label="What holds the engine"]';
const list = '[aria-label="Reconnect list"]';

beforeAll(async () => {
  database = await demoDatabase();
  const loading = await startServer(database.url);
  job = await demoJobs(loading);
  await loading.stop();
  // Each at a server of their own over one database, so that one can lose theirs.
  port = await freePort();
  server = await spawnServer(database.url, port);
  const second = await freePort();
  other = await spawnServer(database.url, second);
  osk = await Browser.open(`http://127.0.0.1:${port}`);
  await osk.signIn(demoShop.manager.email, demoShop.manager.password);
  await osk.switchTo('Osk Tiller', '2001');
  jun = await Browser.open(`http://127.0.0.1:${second}`);
  await jun.signIn(demoShop.manager.email, demoShop.manager.password);
  await jun.switchTo('Jun Varga', '2002');
});
afterAll(async () => {
  await osk.close();
  await jun.close();
  await server.kill();
  await other.kill();
  await database.drop();
});

describe('what comes off', () => {
  it('is logged from the step in one form, with the next label ready', async () => {
    await osk.go(`/jobs/${job('Larkfield')}/pull`);
    await osk.see('8 of 10 free; 2 still hold the engine', roll);
    await osk.press('Something comes off', roll);
    expect(await osk.value('Label')).toBe('L11');
    await osk.type('What it is', 'Plug of the knock sensor', '[role=dialog]');
    await osk.type('Label', 'L3', '[role=dialog]');
    await osk.see('L3 is on another link of this job.', '[role=dialog]');
    await osk.type('Label', 'L11', '[role=dialog]');
    await osk.press('It is off', '[role=dialog]');
    await osk.see('9 of 11 free; 2 still hold the engine', roll);
    await osk.press('Free: Breather hose to the can', roll);
    await osk.see('10 of 11 free; 1 still holds the engine', roll);
  });

  it('by two people, one without a network, is counted once', async () => {
    await jun.go(`/jobs/${job('Larkfield')}/pull`);
    await jun.see('10 of 11 free', roll);
    await osk.shellKept();
    await server.kill();
    for (let i = 1; i <= 5; i += 1) {
      await write(osk, `freed: clip ${i} of the loom, loom to wing, K${i}`);
      await osk.see(`${i} waiting to be sent`, '.app-top');
    }
    await write(osk, 'bagged 8 bell bolts M10 x 70, bag 131, shelf C9');
    await osk.see('6 waiting to be sent', '.app-top');
    for (let i = 1; i <= 4; i += 1) {
      await write(jun, `freed: hose ${i} of the heater, bulkhead to engine, H${i}, capped`);
      await jun.see(`off: hose ${i} of the heater (H${i})`, '.logbook-book');
    }
    await write(jun, 'bagged 4 mount bolts M12 x 90, bag 132, shelf C9');
    await jun.see('14 of 15 free', roll);
    server = await spawnServer(database.url, port);
    await osk.wait(
      async () => (await osk.count('.app-outbox-button')) === 0,
      25_000,
      'something still waits',
    );
    await osk.go(`/jobs/${job('Larkfield')}/pull`);
    await osk.see('19 of 20 free; 1 still holds the engine', roll);
    await jun.see('19 of 20 free; 1 still holds the engine', roll);
  });

  it('stands in the reconnect list, and is ticked as it is mated', async () => {
    await jun.go(`/jobs/${job('Larkfield')}/connect?tab=links`);
    await jun.see('0 of 18 mated', list);
    await jun.press('Mated: Throttle cable', list);
    await jun.see('1 of 18 mated', list);
    await write(osk, 'mated: H1');
    await jun.see('2 of 18 mated', list);
    expect(await jun.axe()).toEqual([]);
    await jun.size(390, 844);
    expect(await jun.tooWide()).toBe(false);
    expect(await jun.smallTargets()).toEqual([]);
  });

  it('asks where a bag is, from anywhere', async () => {
    await osk.go('/store?q=131');
    await osk.see('8 bell bolts M10 x 70', '[aria-label="What lies here"]');
    await osk.see('shelf C9', '[aria-label="What lies here"]');
  });
});
