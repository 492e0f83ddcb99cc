import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

/** What people print takes few sheets, and uses their width. */

let shop: Running;
let b: Browser;
let job: (word: string) => string;

beforeAll(async () => {
  shop = await runShop(true);
  job = await demoJobs(shop.server);
  b = await Browser.open(shop.server.url);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
  // A4 less its margins, at 96 dots an inch.
  await b.size(704, 1040);
});
afterAll(async () => {
  await b.close();
  await shop.stop();
});

describe('on paper', () => {
  it.each([
    ['the takeover sheet', 'Brockhurst/takeover', 'In the middle', 1],
    ['a gate', 'Wendling/start?tab=gates&gate=First%20crank', 'lines stand before', 1],
    ['the torque sheet', 'Brockhurst/prep?tab=torques', 'main caps', 1],
    ['the steps that are ready', 'Larkfield/pull', 'Out with', 2],
    ['the kit', 'Wendling/kit', 'Any state', 5],
  ] as const)('%s', async (_name, at, words, most) => {
    const [word = '', rest = ''] = at.split(/\/(.*)/);
    await b.go(`/jobs/${job(word)}/${rest}`);
    await b.find(words === 'Any state' ? '.row-button' : '.app-bench h2');
    if (words !== 'Any state') await b.see(words, '.app-bench');
    const { sheets, width } = await b.paper();
    expect(sheets).toBeLessThanOrEqual(most);
    expect(width).toBeGreaterThan(0.9);
  });
});
