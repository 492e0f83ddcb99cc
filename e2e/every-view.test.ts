import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { demoShop } from '../demo/shop.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

let shop: Running;
let b: Browser;
let job: (word: string) => string;

beforeAll(async () => {
  shop = await runShop(true);
  job = await demoJobs(shop.server);
  b = await Browser.open(shop.server.url);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
});
afterAll(async () => {
  await b.close();
  await shop.stop();
});

/** Every main view, and words that show it is there. */
const views: readonly (readonly [name: string, path: () => string, words: string | RegExp])[] = [
  ['the Floor', () => '/', 'The Yard'],
  ['book in', () => '/book-in', 'What the customer wants'],
  ['units', () => '/units', 'Engine unit of the coupe'],
  ['schools', () => '/schools', 'Not a matter of school'],
  ['sums', () => '/sums', 'Source'],
  ['crew', () => '/crew', 'Rafe Songhurst'],
  ['scope', () => `/jobs/${job('Corvane')}/scope`, 'Find out first'],
  ['donor', () => `/jobs/${job('Wendling')}/donor`, 'C-101'],
  ['pull', () => `/jobs/${job('Larkfield')}/pull`, 'Out with 2.2 four'],
  ['prep', () => `/jobs/${job('Brockhurst')}/prep`, 'Out of limits'],
  ['fit', () => `/jobs/${job('Wendling')}/fit?at=fit-bay-width`, 'Because'],
  ['connect', () => `/jobs/${job('Sorrel')}/connect`, /not built yet/],
  ['start, gates', () => `/jobs/${job('Sorrel')}/start?tab=gates&gate=First%20crank`, 'Proved'],
  ['start, fault', () => `/jobs/${job('Sorrel')}/start`, 'Next best test'],
  ['hand over', () => `/jobs/${job('Wendling')}/hand-over`, 'Open ends'],
  ['facts', () => `/jobs/${job('Wendling')}/facts`, 'known about the car'],
  ['kit', () => `/jobs/${job('Wendling')}/kit`, 'wait for facts'],
];

describe.each(['light', 'dark'] as const)('in the %s theme', (scheme) => {
  it.each(views)('%s has no serious fault for axe', async (_name, path, words) => {
    await b.size(1280, 800);
    await b.theme(scheme);
    await b.go(path());
    await b.see(words, '#main');
    expect(await b.axe()).toEqual([]);
  });
});

describe('at 390 px', () => {
  it.each(views)(
    '%s is not wider than the phone, and nothing complains',
    async (_name, path, words) => {
      await b.size(390, 844);
      await b.theme('light');
      await b.go(path());
      await b.see(words, '#main');
      expect(await b.tooWide()).toBe(false);
      const small = await b.driver.executeScript<string[]>(`
      return [...document.querySelectorAll('button, a.plain, .line a, .row-button')].filter((e) => e.offsetParent !== null && !e.closest('[role=listbox]'))
        .filter((e) => { const r = e.getBoundingClientRect(); return r.height > 0 && r.height < 43.5; }).map((e) => e.textContent.trim().slice(0, 30)).slice(0, 5);`);
      expect(
        small.filter((s) => s !== 'Find or do Ctrl K'),
        'targets under 44 px',
      ).toEqual([]);
      expect(await b.complaints()).toEqual([]);
    },
  );
});

describe('by keyboard alone', () => {
  const focused = () =>
    b.driver.executeScript<string>(
      'const e = document.activeElement; return `${e.tagName} ${e.getAttribute("aria-label") ?? e.textContent.trim().slice(0, 40)}`',
    );

  it('places, stations, log bar and help have their keys', async () => {
    await b.size(1280, 800);
    await b.go('/');
    await b.see('The Floor');
    await b.keys('g', 's');
    await b.see("The shop's schools");
    await b.keys('g', 'f');
    await b.see('The Yard');
    await b.go(`/jobs/${job('Wendling')}/scope`);
    await b.see('Engines side by side');
    await b.keys('5');
    await b.see('Does it go together?');
    await b.keys('/');
    expect(await focused()).toMatch(/^INPUT Log bar/);
    await b.keys('looked at by keyboard', Key.ENTER);
    await b.see('looked at by keyboard', '.book');
    await b.keys(Key.ESCAPE);
    await b.keys('7');
    await b.see('Oil before spark');
    await b.driver.actions().keyDown(Key.SHIFT).sendKeys('?').keyUp(Key.SHIFT).perform();
    await b.see('The stations of the open job');
    await b.keys(Key.ESCAPE);
  });

  it('finds a part and goes to it', async () => {
    await b.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform();
    await b.find('[role=dialog] input');
    await b.keys('C-103');
    await b.see('Engine loom, one plug cut', '[role=dialog]');
    await b.keys(Key.ENTER);
    await b.see('C-103', '.label-sheet');
  });

  it('a fact is found, opened, typed and saved without a mouse', async () => {
    await b.go(`/jobs/${job('Corvane')}/facts?of=own-engine`);
    const filter = await b.field('Find a fact');
    await filter.sendKeys('engine length');
    await b.see('not known', '.bench');
    await b.keys(Key.TAB, Key.TAB);
    expect(await focused()).toMatch(/^BUTTON Engine length/);
    await b.keys(Key.ENTER);
    await b.find('[role=dialog] input');
    await b.driver.wait(async () => (await focused()).startsWith('INPUT'), 4000);
    await b.keys('19 3/8', Key.ENTER);
    await b.see(/Saved/, '[role=dialog]');
    await b.keys(Key.ENTER);
    await b.see('19 3/8', '.bench');
  });

  it('focus is always to be seen', async () => {
    await b.go('/');
    await b.see('The Floor');
    for (let i = 0; i < 12; i += 1) {
      await b.keys(Key.TAB);
      const outline = await b.driver.executeScript<string>(
        'const e = document.activeElement; if (e === document.body) return "body"; const s = getComputedStyle(e); return `${s.outlineStyle} ${s.outlineWidth} ${e.textContent.trim().slice(0, 20)}`',
      );
      expect(outline).toMatch(/^(solid [2-9]|body)/);
    }
  });
});
