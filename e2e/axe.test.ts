import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';
import { viewsOf } from './views.ts';

let shop: Running;
let b: Browser;
let views: ReturnType<typeof viewsOf>;

beforeAll(async () => {
  shop = await runShop(true);
  views = viewsOf(await demoJobs(shop.server));
  b = await Browser.open(shop.server.url);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
});
afterAll(async () => {
  await b.close();
  await shop.stop();
});

const names = viewsOf(() => '').map(([name]) => name);
const open = async (name: string): Promise<void> => {
  const [, path, words] = views.find(([n]) => n === name)!;
  await b.go(path);
  await b.see(words, '#main');
};

describe('axe finds no serious fault', () => {
  it.each(names)('in %s', async (name) => {
    await b.size(1280, 800);
    await b.theme('light');
    await open(name);
    expect(await b.axe()).toEqual([]);
  });
  // Night shift changes colours and nothing else: what depends on colour is looked at again.
  it.each(names)('in %s on the night shift', async (name) => {
    await b.theme('dark');
    await open(name);
    expect(await b.axe(['color-contrast', 'link-in-text-block'])).toEqual([]);
  });
});
