import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** What is found otherwise than planned changes time and order; bolts that were bagged are asked for where they go back. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

const found = '[aria-label="Planned against found"]';
const row = (step: string) => `#${step}`;
const openStep = async (step: string): Promise<void> => {
  await b.find(row(step));
  await b.driver.executeScript(
    `const t = document.querySelector('${row(step)} [data-key=row]'); t.scrollIntoView({ block: 'center' }); if (t.getAttribute('aria-expanded') !== 'true') t.click();`,
  );
};

describe('what is found otherwise', () => {
  it('says what is left, alone and with as many hands as there are', async () => {
    await at('Larkfield', 'pull');
    await b.press('What is left');
    await b.see('The chain that decides:', '.app-bench');
    await b.see('for one person; the longest chain', '.app-bench');
  });

  it('holds its step while penetrant soaks, and gives more time to it', async () => {
    await at('Larkfield', 'pull');
    await b.tap('[aria-label$=" open: show these steps"]');
    await openStep('rm-starter-off');
    const before = await b.text(row('rm-starter-off'));
    const minutes = /(\d+) to (\d+) min/.exec(before ?? '')!;
    await b.press('Found otherwise', row('rm-starter-off'));
    await b.type('What was found', 'lower bolt will not turn', '[role=dialog]');
    await b.type('Work besides what was planned, min', '25', '[role=dialog]');
    await b.driver.executeScript(
      `[...document.querySelectorAll('[role=dialog] label')].find((l) => l.textContent.startsWith('Penetrant')).click()`,
    );
    await b.press('Keep', '[role=dialog]');
    await b.see('Say for how long it soaks', '[role=dialog]');
    await b.type('It soaks for, h', '12', '[role=dialog]');
    await b.press('Keep', '[role=dialog]');
    await b.see('lower bolt will not turn', found);
    await b.see('waits for penetrant to soak', row('rm-starter-off'));
    const more = `${Number(minutes[1]) + 25} to ${Number(minutes[2]) + 25} min`;
    await b.see(more, row('rm-starter-off'));
    await b.press('Change, or behind us: lower bolt', found);
    await b.type('Behind us: how it came off', 'came free by itself', '[role=dialog]');
    await b.press('Keep', '[role=dialog]');
    await b.see('It still soaks.', '[role=dialog]');
    await b.press('Shut this', '[role=dialog]');
    expect(await b.axe()).toEqual([]);
  });

  it('bolts are bagged at their step and asked for where they go back, with what is left over', async () => {
    await at('Larkfield', 'pull');
    await b.tap('[aria-label$=" open: show these steps"]');
    await openStep('rm-mounts-free');
    await b.press('Bag its bolts', row('rm-mounts-free'));
    await b.type('What is in it', 'mount bolts of the old four', '[role=dialog]');
    await b.type('Bag number', '077', '[role=dialog]');
    await b.type('How many', '6', '[role=dialog]');
    await b.press('Bagged', '[role=dialog]');
    await at('Larkfield', 'fit?tab=going-in');
    await b.tap('[aria-label$=" open: show these steps"]');
    await b.see('Bag 077 mount bolts of the old four', row('ein-mounts-in'));
    await b.press('Some left over: bag 077', row('ein-mounts-in'));
    await b.type('Left over', '2', '[role=dialog]');
    await b.press('It is empty', '[role=dialog]');
    await b.see('Say why they were left over', '[role=dialog]');
    await b.type('Why they are over', 'the new arm takes four', '[role=dialog]');
    await b.press('It is empty', '[role=dialog]');
    await b.see('Left over here: 2 of bag 077', row('ein-mounts-in'));
  });
});
