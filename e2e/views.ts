import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { allContent } from '../core/src/plan/content-check.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

/** Every main view of the demo shop, and words that show it is there. */
export const viewsOf = (
  job: (word: string) => string,
): readonly (readonly [name: string, path: string, words: string | RegExp])[] => [
  ['the Floor', '/', 'The Yard'],
  ['book in', '/book-in', 'What the customer wants'],
  ['orders', '/orders', 'Late'],
  ['the store', '/store', 'C-101'],
  ['units', '/units', 'Engine unit of the coupe'],
  ['schools', '/schools', 'Not a matter of school'],
  ['sums', '/sums', 'Source'],
  ['crew', '/crew', 'Rafe Songhurst'],
  ['scope', `/jobs/${job('Corvane')}/scope`, 'Find out first'],
  ['as it came', `/jobs/${job('Corvane')}/scope?tab=came`, 'wing bubbled'],
  ['donor', `/jobs/${job('Wendling')}/donor`, 'C-101'],
  ['pull', `/jobs/${job('Larkfield')}/pull`, 'Out with 2.2 four'],
  ['prep', `/jobs/${job('Brockhurst')}/prep`, 'Out of limits'],
  ['fit', `/jobs/${job('Wendling')}/fit?at=fit-bay-width`, 'Because'],
  ['position', `/jobs/${job('Brockhurst')}/fit?tab=position`, /the best there is in the range/],
  ['behind the block', `/jobs/${job('Brockhurst')}/fit?tab=stack`, 'from bearing to fingers'],
  ['driveline', `/jobs/${job('Brockhurst')}/fit?tab=driveline`, 'Gears and road speed'],
  ['making', `/jobs/${job('Wendling')}/fit?tab=making`, 'Flanges parallel'],
  ['trial fit', `/jobs/${job('Wendling')}/fit?tab=trial`, 'In the bay: offered up'],
  ['tried parts', '/tried', 'Log manifold'],
  ['connect', `/jobs/${job('Sorrel')}/connect`, /not built yet/],
  ['start, gates', `/jobs/${job('Sorrel')}/start?tab=gates&gate=First%20crank`, 'Proved'],
  ['start, fluids', `/jobs/${job('Sorrel')}/start?tab=fluids`, 'Agrees'],
  ['build-up', `/jobs/${job('Brockhurst')}/prep?tab=build`, 'bare faces oiled'],
  ['a fact of a place', `/jobs/${job('Wendling')}/facts?of=engine&fact=eng-sump-depth`, 'Facts'],
  ['start, fault', `/jobs/${job('Sorrel')}/start`, 'Next best test'],
  ['hand over', `/jobs/${job('Wendling')}/hand-over`, 'Open ends'],
  ['facts', `/jobs/${job('Wendling')}/facts`, 'known about the car'],
  ['kit', `/jobs/${job('Wendling')}/kit`, 'wait for facts'],
  ['quote', `/jobs/${job('Larkfield')}/quote`, 'Left of what was agreed'],
  ['own lines', `/jobs/${job('Larkfield')}/own`, 'Grommet for the bulkhead'],
  ['rules', '/rules', 'Where induction is'],
  ['takeover', `/jobs/${job('Brockhurst')}/takeover`, 'In the middle'],
  [
    'photos',
    `/jobs/${job('Wendling')}/photos?photo=00000000-0000-4000-8000-000000000331`,
    'earth strap',
  ],
  ['hours', `/jobs/${job('Wendling')}/hours`, 'Every clock'],
  ['findings', `/jobs/${job('Brockhurst')}/prep?tab=look`, 'Journal 4 scored'],
  ['after the start', `/jobs/${job('Sorrel')}/start?tab=after`, 'Read while it warmed up'],
  ['labels', `/jobs/${job('Wendling')}/labels`, 'C-101'],
  ['the wall', '/wall', 'On the wall'],
  ['my bench', '/bench', 'Free next'],
  ['waiting', '/waiting', 'may the hatch edge'],
  ['every logbook', '/logbook?q=bag', 'bag 031'],
];

/** Every id of the content. */
const ids = new Set(allContent.flatMap((c) => c.definitions.map((d) => d.id)));

/** A phone, two tablets on end, a desk and the screen on the wall. */
const sizes = [
  [390, 844],
  [768, 1024],
  [820, 1180],
  [1920, 1080],
  [1280, 800],
] as const;

/**
 * Looks at one half of the views in the demo shop: nothing is wider than its place at any size, fingers find what
 * they touch, and axe finds no serious fault by day or on the night shift. Two halves, so that two browsers share the work.
 */
export function lookOver(half: 0 | 1): void {
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
  describe('at every size, by day and on the night shift', () => {
    it.each(
      viewsOf(() => '')
        .map(([name]) => name)
        .filter((_, i) => i % 2 === half),
    )('%s', async (name) => {
      const [, path, words] = views.find(([n]) => n === name)!;
      await b.visit(path);
      await b.theme('light');
      await b.see(words, '#main');
      for (const [width, height] of sizes) {
        await b.size(width, height);
        expect(await b.tooWide(), `wider than ${width} px`).toBe(false);
        expect(await b.smallTargets(), `targets under 44 px at ${width} px`).toEqual([]);
        expect(await b.hiddenUnderTheBar(), `under the entry line at ${width} px`).toEqual([]);
        expect(await b.cutTexts(), `cut off at ${width} px`).toEqual([]);
        // What scrolls is the page or the bench, never one inside the other.
        if (width > 700)
          expect(await b.scrollsTwice(), `two scroll bars at ${width} px`).toBe(false);
      }
      // The book stands beside every station; it is looked at once, on the first of them.
      const but = name === 'scope' ? undefined : '.logbook-book';
      expect(await b.axe(undefined, but)).toEqual([]);
      // Night changes colours and nothing else: what depends on colour is looked at again.
      await b.theme('dark');
      expect(await b.axe(['color-contrast', 'link-in-text-block'], but)).toEqual([]);
      expect(await b.codes(ids), 'codes and counts').toEqual([]);
      expect(await b.complaints()).toEqual([]);
    });
  });
}
