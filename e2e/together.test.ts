import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { startServer } from '../server/src/testing/harness.ts';
import type { TestServer } from '../server/src/testing/harness.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

let shop: Running;
let second: TestServer;
let secondRuns = true;
let one: Browser;
let two: Browser;
let job: (word: string) => string;

beforeAll(async () => {
  shop = await runShop(true);
  // Two server processes on one database: each person is connected to another one.
  second = await startServer(shop.server.databaseUrl, { webDir: 'web/dist' });
  job = await demoJobs(shop.server);
  [one, two] = await Promise.all([Browser.open(shop.server.url), Browser.open(second.url)]);
  await Promise.all(
    [one, two].map((b) => b.signIn(demoShop.manager.email, demoShop.manager.password)),
  );
  await two.switchTo('Osk Tiller', '2001');
});
afterAll(async () => {
  await Promise.all([one.close(), two.close()]);
  if (secondRuns) await second.stop();
  await shop.stop();
});

describe('two people on one job', () => {
  it('what one writes the other sees, without loading again', async () => {
    const path = `/jobs/${job('Wendling')}/fit`;
    await Promise.all([one.go(path), two.go(path)]);
    await Promise.all([one.see('Does it go together?'), two.see('Does it go together?')]);
    await one.driver.executeScript('window.loadedOnce = true');
    await two.type(
      'Log bar: write a line, plain or in shorthand',
      'hatch over intake looked at twice',
    );
    await two.press('Write');
    await one.see('hatch over intake looked at twice', '.logbook-book');
    expect(await one.driver.executeScript('return window.loadedOnce')).toBe(true);
    expect(await one.see('hatch over intake', '.logbook-book')).toMatch(/OT hatch over intake/);
  });

  it('a verdict follows a fact that somebody else measures', async () => {
    await one.go(`/jobs/${job('Wendling')}/fit?at=fit-hood`);
    await one.see('22 mm short', '.card-open');
    await two.go(`/jobs/${job('Wendling')}/facts?of=engine&fact=eng-height-up`);
    await two.type('Highest point, mm', '13 in', '[role=dialog]');
    await two.press('Save', '[role=dialog]');
    await two.see(/Highest points to hood: Clash → Bolts up/, '[role=dialog]');
    await one.see('28.8 mm to spare', '.card-open');
  });

  it('two who write the same row both keep what they typed', async () => {
    const path = `/jobs/${job('Brockhurst')}/prep`;
    await Promise.all([one.go(path), two.go(path)]);
    await one.press('Bores, cylinder 4');
    await two.press('Bores, cylinder 4');
    await one.type('Middle, along, mm', '84.011', '[role=dialog]');
    await two.type('Middle, along, mm', '84.022', '[role=dialog]');
    await one.press('Save readings');
    await one.wait(async () => (await one.count('[role=dialog]')) === 0);
    await two.press('Save readings');
    await two.see('Maren Holt changed this meanwhile');
    const both = await two.see('What you typed');
    expect(both).toContain('84.011');
    expect(both).toContain('84.022');
    await two.press('Mine counts');
    await one.see('middle, along 84.022', '.logbook-book');
  });

  it('the Floor moves while one looks at it', async () => {
    await one.go('/');
    await one.see('Larkfield saloon');
    await two.go(`/jobs/${job('Larkfield')}/pull`);
    await two.press('Start', '.step.free');
    await one.see(/OT is on it|74 steps|Bay|0405/, '.floor-crew-ribbon');
    await two.type('Log bar: write a line, plain or in shorthand', 'released: hoist chain');
    await two.press('Write');
    await one.see('Nothing holds it', '.floor-yard');
  });

  it('another person takes the tablet, and the book has the right name', async () => {
    await two.switchTo('Della Pruitt', '2003');
    await two.type('Log bar: write a line, plain or in shorthand', 'taken over from Osk');
    await two.press('Write');
    await two.see('DP taken over from Osk', '.logbook-book');
  });

  it('a server that stops mid-way is said, and what was typed waits on the device', async () => {
    await two.go(`/jobs/${job('Larkfield')}/pull`);
    await two.see('Out with');
    await second.stop();
    secondRuns = false;
    await two.type('Log bar: write a line, plain or in shorthand', 'typed without a server');
    await two.press('Write');
    await two.see('1 waiting to be sent', '.app-top');
    await two.see('What you write is kept on this device', '.app-offline');
    expect(await two.see('typed without a server', '.logbook-book')).toMatch(/waits to be sent/);
  });
});
