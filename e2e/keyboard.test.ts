import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** A whole station worked without a mouse: a car is booked in, looked round, gets its engine, and Scope is signed. */

let desk: Desk;
let b: Desk['b'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b } = desk);
});
afterAll(() => desk.close());

/** What has the focus, as a screen reader names it. */
const focused = (): Promise<string> =>
  b.driver.executeScript<string>(
    `const e = document.activeElement;
     const label = e.getAttribute('aria-label') || (e.id && document.querySelector('label[for="' + CSS.escape(e.id) + '"]')?.textContent) || e.textContent;
     return label.trim();`,
  );
/** Goes on with Tab until that has the focus; it must be among the next so many stops. */
async function tabTo(name: string, most = 60): Promise<void> {
  const passed: string[] = [];
  for (let i = 0; i < most; i += 1) {
    const now = await focused();
    if (now.startsWith(name)) return;
    passed.push(now.slice(0, 24));
    await b.keys(Key.TAB);
  }
  throw new Error(`"${name}" is not reached by Tab; passed: ${passed.join(' | ')}`);
}
const into = async (name: string, text: string): Promise<void> => {
  await tabTo(name);
  await b.keys(...text);
};
const press = async (name: string): Promise<void> => {
  await tabTo(name);
  await b.keys(Key.ENTER);
};

describe('Scope, by keyboard alone', () => {
  it('books a car in', async () => {
    await b.visit('/book-in');
    await b.see('What the customer wants', '#main');
    // The first field has the focus already.
    await into('Car, as people call it', '1976 Tarrow wagon');
    await into('Model year', '1976');
    await into('Identity number', 'TRW76-00417');
    await into('Customer', 'Ines Mallory');
    await into('What the customer wants', 'quiet on long roads');
    await press('Book in');
    await b.see('1976 Tarrow wagon', '.app-job-head');
    await b.see('What comes in, what goes in', '.app-bench');
  });

  it('adds an engine and chooses it', async () => {
    await press('Add a candidate');
    await into('Name', '1.9 eight-valve four');
    await into('Where it is', 'shelf E4');
    await press('Add');
    await b.see('1.9 eight-valve four', '.app-bench table');
    await press('Choose');
    await b.see('going in', '.app-bench table');
    await b.see('gets 1.9 eight-valve four', '.app-job-head');
  });

  it('marks what it came with, on the drawing', async () => {
    await tabTo('Choosing', 200);
    await b.keys(Key.ARROW_RIGHT);
    await tabTo('From the left.', 200);
    await b.keys(Key.ARROW_RIGHT, Key.ARROW_DOWN, Key.ENTER);
    await b.see('On the car, left', '[role=dialog]');
    await into('What is seen there', 'door dented');
    await press('Mark it');
    await b.see('Damage, left: door dented', '#as-it-came');
  });

  it('takes a dozen facts one after the other, Enter going on to the next', async () => {
    await b.visit((await b.path()).replace(/scope.*/, 'facts'));
    await press('Next fact');
    await b.find('[role=dialog] form');
    const kind = () =>
      b.driver.executeScript<string>(
        "const e = document.activeElement; return e.closest('[role=dialog]') ? (e.matches('input[type=checkbox]') ? 'box' : e.matches('input[readonly], [role=combobox], [aria-haspopup]') ? 'choice' : e.matches('input') ? 'field' : 'else') : 'outside'",
      );
    const title = () => b.text('[role=dialog] h2');
    const written = async () =>
      Number(/(\d+) facts? written/.exec((await b.text('[role=dialog]')) ?? '')?.[1] ?? 0);
    for (let turns = 0; (await written()) < 12; turns += 1) {
      expect(turns, 'facts looked at').toBeLessThan(40);
      const before = await title();
      await b.wait(async () => ['choice', 'field'].includes(await kind()));
      if ((await kind()) === 'choice') await b.keys(Key.ARROW_DOWN, Key.ARROW_DOWN, Key.ENTER);
      else await b.keys(...'120');
      const count = await written();
      await press('Save');
      // What is doubted or cannot be is left for who stands at the car.
      const went = async () => (await title()) !== before || (await written()) > count;
      await b.wait(
        async () =>
          (await went()) ||
          (await b.count(
            '[role=dialog] .oxide, [role=dialog] .ochre-notice, [role=dialog] [role=alert], [role=dialog] .mantine-InputWrapper-error',
          )) > 0,
      );
      if (await went()) continue;
      await press('Skip');
      await b.wait(went);
    }
    await b.keys(Key.ESCAPE);
    await b.wait(async () => (await b.count('[role=dialog]')) === 0);
    await b.keys('1');
    await b.see('What comes in, what goes in', '.app-bench');
  });

  it('signs the station and goes on to the next', async () => {
    await press('Sign Scope');
    await b.see('Sign it all the same', '[role=dialog]');
    await press('Sign it all the same');
    await b.see('signed', '.app-line');
    await b.see('Harvest', '.app-bench');
    expect(await b.path()).toMatch(/\/donor$/);
  });
});
