import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';
import { viewsOf } from './views.ts';

let desk: Desk;
let b: Desk['b'];
let job: Desk['job'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b, job } = desk);
});
afterAll(() => desk.close());

describe('within the page', () => {
  it('every view follows the one before it without a load, and none breaks when it is left', async () => {
    await b.go('/');
    await b.see('The Yard');
    for (const [, path, words] of viewsOf(job)) {
      await b.visit(path);
      await b.see(words, '#main');
    }
    await b.visit('/');
    await b.see('The Yard');
    expect(await b.complaints()).toEqual([]);
  });
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
    await b.see('looked at by keyboard', '.logbook-book');
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
    await b.see('C-103', '.parts-label-sheet');
  });

  it('a fact is found, opened, typed and saved without a mouse', async () => {
    await b.go(`/jobs/${job('Corvane')}/facts?of=own-engine`);
    await b.type('Find a fact', 'engine length');
    await b.see('not known', '.app-bench');
    // The list is a few stops behind the field.
    for (let i = 0; i < 4 && !/^BUTTON Engine length/.test(await focused()); i += 1)
      await b.keys(Key.TAB);
    expect(await focused()).toMatch(/^BUTTON Engine length/);
    await b.keys(Key.ENTER);
    await b.find('[role=dialog] input');
    await b.wait(async () => (await focused()).startsWith('INPUT'));
    await b.keys('19 3/8 in', Key.ENTER);
    await b.see(/Saved/, '[role=dialog]');
    await b.keys(Key.ENTER);
    await b.see('19 3/8 in', '.app-bench');
  });

  it('what only one station needs to know is loaded with that station', async () => {
    // Sentences of the content, one of each sort: of the plan, of finding faults, of routing and sizing.
    const sentences = [
      'Heads, covers, manifolds to towers',
      'Engine or unit earth missing',
      'Draw the loop tank',
    ];
    const loaded = async (): Promise<boolean[]> =>
      b.driver.executeAsyncScript<boolean[]>(
        `const [sentences, done] = arguments;
         const names = performance.getEntriesByType('resource').map((r) => r.name).filter((n) => n.endsWith('.js'));
         Promise.all(names.map((n) => fetch(n).then((r) => r.text()))).then((texts) => done(sentences.map((s) => texts.some((t) => t.includes(s)))));`,
        sentences,
      );
    await b.go('/');
    await b.see('The Floor');
    expect(await loaded()).toEqual([false, false, false]);
    await b.go(`/jobs/${job('Corvane')}/fit`);
    await b.find('.row-button');
    expect(await loaded()).toEqual([true, false, false]);
    await b.go(`/jobs/${job('Corvane')}/connect`);
    await b.see('Circuits', '.app-bench');
    expect(await loaded()).toEqual([true, false, true]);
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
