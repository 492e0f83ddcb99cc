import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';
import { leaveTheRestOn, shell, shellGoes } from './shell.ts';

/** From the donor to the store, from there to whoever wants it, and the shell last. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
let job: Desk['job'];
const here = '[aria-label="What lies here"]';
const account = '[aria-label="Account of the donor"]';

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at, job } = desk);
});
afterAll(() => desk.close());

async function change(label: string, acts: () => Promise<void>): Promise<void> {
  await b.go(`/store?q=${label}&all=yes`);
  await b.press(label, here);
  await acts();
  await b.press('Keep', here);
}

/** The place that is being drawn takes the keys. */
const focusIt = async (): Promise<void> => {
  const it = await b.find('[aria-label="shelf E8: arrow keys move it, with shift they size it"]');
  await b.driver.executeScript('arguments[0].focus()', it);
};

describe('the store', () => {
  it('is a list of places, and finds by three letters', async () => {
    await b.go('/store');
    await b.press('shelf C2', '[aria-label="Places of the shop"]');
    await b.see('C-101', here);
    await b.type('Find what lies in the shop', 'loo');
    await b.see('loom', here);
    expect(await b.axe()).toEqual([]);
  });

  it('moves a part in one line, and all of a place', async () => {
    await change('C-101', () => b.type('Lies at', 'shelf E7'));
    await b.go('/store?at=shelf%20E7');
    await b.see('C-101', here);
    await b.press('Move all of shelf E7');
    await b.type('To', 'shelf E8', '[role=dialog]');
    await b.press('It lies there now', '[role=dialog]');
    await b.see('shelf E8', '[aria-label="Places that are not drawn"]');
    await b.see('C-101', here);
  });

  it('draws a place by keys, over no other, and what lies there goes with its name', async () => {
    await b.press('Draw a place');
    await b.type('Name of the place', 'shelf E8');
    await focusIt();
    await b.keys(Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_LEFT, Key.ARROW_UP);
    await b.press('Draw it');
    await b.see('It lies over shelf C', '[aria-label="The store, drawn"]');
    await focusIt();
    await b.keys(...Array<string>(9).fill(Key.ARROW_DOWN));
    await b.press('Draw it');
    await b.see('shelf E8', '[aria-label="Places of the shop"]');
    await b.press('Change shelf E8');
    await b.type('Name of the place', 'shelf E9');
    await b.press('Keep');
    await b.see('shelf E9', '[aria-label="Places of the shop"]');
    await b.go('/store?q=C-101');
    await b.see('shelf E9', here);
  });

  it('keeps a part for a job, and does not let it be sold meanwhile', async () => {
    await change('C-102', () => b.choose('Kept for', '0405 1987 Larkfield saloon'));
    await b.see('kept for 0405', here);
    await change('C-102', async () => {
      await b.choose('What became of it', 'Sold');
      await b.type('Who has it now', 'a breaker in town');
    });
    await b.see('Job 0405 waits for', here);
    await b.choose('Kept for', 'no job');
    await b.type('Note', 'its unit takes another pedal');
    await b.press('Keep', here);
    await b.see('Sold', here);
    await change('C-103', async () => {
      await b.choose('What became of it', 'Sold');
    });
    await b.see('Say who has it now.', here);
    await b.type('Who has it now', 'a breaker in town');
    await b.type('Note', 'one plug of it is cut');
    await b.press('Keep', here);
    await b.unseen('Say who has it now.', here);
  });

  it('what was sold is written to the account as that part', async () => {
    await at('Wendling', 'donor?tab=labels');
    await b.choose('Which part', 'C-102, Accelerator pedal');
    await b.type('Amount, EUR', '45');
    await b.press('Write it to the account');
    await b.see('1,160.00 EUR back', account);
  });
});

describe('the shell', () => {
  it('does not go while something of the list is on it, and goes when each is off or left by name', async () => {
    await at('Wendling', 'donor?tab=labels');
    await b.see('still hold it', shell);
    await shellGoes(b);
    await b.see('Still on it by the harvest list', '[role=dialog]');
    await b.press('Shut this', '[role=dialog]');
    await leaveTheRestOn(b);
    await b.see('nothing of the list is on it any more', shell);
    await shellGoes(b);
    await b.see('scrapped, the yard in town', shell);
    expect(job('Wendling')).toBeTruthy();
  });
});
