import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/**
 * What people do most, and how many taps of hand or mouse it takes from the open job; typing is free. The counts are written
 * down in docs/hands.md: `WRITE_HANDS=1` writes it anew, otherwise it must say what was counted here.
 */

let desk: Desk;
let b: Desk['b'];
let job: Desk['job'];
const picture = join(import.meta.dirname, '../docs/screenshots/floor.png');

beforeAll(async () => {
  desk = await openDesk();
  ({ b, job } = desk);
});
afterAll(() => desk.close());

/** Taps that a finger or a mouse made; a button that Enter presses is none. */
const countTaps = () =>
  b.driver.executeScript(
    "if (!window.tapped) { window.tapped = true; addEventListener('click', (e) => { if (e.isTrusted && e.detail > 0) window.taps += 1; }, true); } window.taps = 0;",
  );
const taps = () => b.driver.executeScript<number>('return window.taps');
const book = '.logbook-book';
/** A line of the log bar, by keyboard alone. */
async function line(text: string): Promise<void> {
  await b.keys('/');
  await b.wait(
    async () =>
      (
        await b.driver.executeScript<string>(
          "return document.activeElement.getAttribute('aria-label') ?? ''",
        )
      ).startsWith('Log bar'),
    25_000,
    'the key does not lead to the log bar',
  );
  await b.keys(text, Key.ENTER);
}

interface Act {
  name: string;
  how: string;
  most: number;
  at: string;
  ready: string;
  does: () => Promise<unknown>;
}
const acts: readonly Act[] = [
  {
    name: 'A note',
    how: '`/`, the words, Enter',
    most: 0,
    at: 'Larkfield/pull',
    ready: 'Out with',
    does: async () => {
      await line('wind got up, doors shut');
      await b.see('wind got up', book);
    },
  },
  {
    name: 'A tick',
    how: 'the square before the step',
    most: 1,
    at: 'Larkfield/pull',
    ready: 'Out with',
    does: async () => {
      await b.press('Done: Chocks at two wheels');
      await b.see('done: Chocks at two wheels', book);
    },
  },
  {
    name: 'A measurement',
    how: '`/`, "bore 4 84.01", Enter',
    most: 0,
    at: 'Brockhurst/prep',
    ready: 'Bores',
    does: async () => {
      await line('bore 4 84.01');
      await b.see('bores, cylinder 4', book);
    },
  },
  {
    name: 'A torque',
    how: 'the next bolt stands there with the values of the last; the button, or Enter',
    most: 1,
    at: 'Brockhurst/prep?tab=torques',
    ready: 'main caps',
    does: async () => {
      // Nobody said where the values of the demo are from; the first bolt that is written with it says so for all after it.
      await b.type('Value from', 'manual, page 7');
      await b.press('Bolt 7 is tight');
      await b.see('torque: main caps, bolt 7', book);
      await b.press('Bolt 8 is tight');
      await b.see('torque: main caps, bolt 8', book);
      await countTaps();
      await b.press('Bolt ', '.bolt-place form');
      await b.see('4 of 14 bolts', '.app-bench');
    },
  },
  {
    name: 'Bolts into a bag',
    how: '`/`, "bagged 6 bell bolts, bag 077, shelf C2", Enter',
    most: 1,
    at: 'Larkfield/pull',
    ready: 'Out with',
    does: async () => {
      await line('bagged 6 bell bolts, bag 077, shelf C2');
      await b.see('bag 077', book);
    },
  },
  {
    name: 'A part arrives',
    how: '"Arrived" in the ribbon: its order, its hold and the steps that waited move together',
    most: 1,
    at: 'Wendling/fit',
    ready: 'Does it go together?',
    does: async () => {
      await b.press('Arrived: bell adapter plate');
      await b.see('arrived: bell adapter plate', book);
    },
  },
  {
    name: 'A hold, and its release',
    how: '`/`, "held: …", Enter; "Release" in the ribbon',
    most: 1,
    at: 'Sorrel/connect',
    ready: 'Circuits',
    does: async () => {
      await line('held: second hoist');
      await b.see('waits for second hoist', book);
      await b.visit(`/jobs/${job('Corvane')}/scope`);
      await b.see('Engines side by side');
      await line('held: second hoist');
      await b.press('Release: second hoist');
      await b.see('released', book);
    },
  },
  {
    name: 'A photo',
    how: 'the camera beside the entry line',
    most: 1,
    at: 'Larkfield/pull',
    ready: 'Out with',
    does: async () => {
      // The camera itself is outside of the page: the tap on its button is counted, and the file comes as from it.
      await b.driver.executeScript(
        "HTMLInputElement.prototype.click = function () { this.dataset.asked = 'yes'; }",
      );
      await b.tap('.logbook-log-bar [aria-label^="Add a photo"]');
      await b.find('.logbook-log-bar input[type=file][data-asked=yes]');
      await b.chooseFiles('Photo', picture);
      await b.see('photo', book);
    },
  },
  {
    name: 'To take over',
    how: '"Take over", then "I take over" on the sheet',
    most: 2,
    at: 'Brockhurst/prep',
    ready: 'Bores',
    does: async () => {
      await b.press('Take over');
      await b.see('In the middle', '.handover-takeover');
      await b.press('I take over');
      await b.see('Since you were last on it');
    },
  },
  {
    name: 'To find a part',
    how: '`Ctrl K`, its label, Enter',
    most: 0,
    at: 'Larkfield/pull',
    ready: 'Out with',
    does: async () => {
      await b.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform();
      await b.find('[role=dialog] input');
      await b.keys('C-103');
      await b.see('Engine loom, one plug cut', '[role=dialog]');
      await b.keys(Key.ENTER);
      await b.see('C-103', '.parts-label-sheet');
    },
  },
];

const counted = new Map<string, number>();
const page = (): string => `# Hands

What people do most, and the taps of hand or mouse it takes from the open job. Typing is not counted. Counted by
\`e2e/hands.test.ts\`, which fails when this page says otherwise.

| act | taps | how |
|---|---|---|
${acts.map((a) => `| ${a.name} | ${counted.get(a.name)} | ${a.how} |`).join('\n')}
`;

describe('what people do most takes few taps', () => {
  it.each(acts.map((a) => [a.name, a] as const))('%s', async (name, { at, ready, most, does }) => {
    const [word = '', rest = ''] = at.split(/\/(.*)/);
    await b.visit(`/jobs/${job(word)}/${rest}`);
    await b.see(ready, '.app-bench');
    await countTaps();
    await does();
    counted.set(name, await taps());
    expect(counted.get(name)).toBeLessThanOrEqual(most);
  });
  it('is written down', async () => {
    const file = join(import.meta.dirname, '../docs/hands.md');
    if (process.env['WRITE_HANDS']) await writeFile(file, page());
    expect(await readFile(file, 'utf8')).toBe(page());
  });
});
