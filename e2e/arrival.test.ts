import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** A car is taken in, signed for by its customer, run before and after, and tried again before it goes. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
const book = '.logbook-book';

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

describe('a car that is taken in', () => {
  it('is signed for with the finger, and the signature falls with a change', async () => {
    await at('Corvane', 'scope?tab=came');
    await b.press('The customer signs');
    await b.type('Name', 'Otto Lindqvist-Bray', '[role=dialog]');
    await b.press('Signed', '[role=dialog]');
    await b.see('Sign in the field.', '[role=dialog]');
    const [x, y] = await b.driver.executeScript<[number, number]>(
      "const r = document.querySelector('.arrival-sign').getBoundingClientRect(); return [Math.round(r.x + 60), Math.round(r.y + 60)]",
    );
    await b.driver
      .actions()
      .move({ x, y })
      .press()
      .move({ x: x + 60, y: y + 20 })
      .move({ x: x + 120, y: y - 10 })
      .release()
      .perform();
    await b.press('Signed', '[role=dialog]');
    await b.see('taken in, signed by Otto Lindqvist-Bray', book);
    await b.see('signed by Otto Lindqvist-Bray', '[aria-label="Taken in"]');
    await b.press('Change the sheet');
    await b.see('A change lets the signature fall', '[aria-label="Taken in"]');
    await b.type('Keys, count', '3');
    await b.press('Save the sheet');
    await b.see('The signature fell', book);
    await b.see('not signed by the customer', '[aria-label="Taken in"]');
  });

  it('what works is two taps, and is asked again before it goes', async () => {
    await b.press('Horn works');
    await b.see('as it came: Horn works', book);
    await at('Corvane', 'hand-over');
    const works = await b.see('Horn not tried; came: works', '[aria-label="What works"]');
    // What did not work when it came is shown as that.
    expect(works).toMatch(/Heater and blower not tried; came: does not work/);
    await b.press('Horn works');
    await b.see('tried again: Horn works', book);
  });

  it('is run before and after on the same basis, with the correction and its sum', async () => {
    for (const [when, power] of [
      ['A run before', '58'],
      ['A run after', '91'],
    ] as const) {
      await b.press(when);
      await b.type('Power read, kW', power, '[role=dialog]');
      await b.type('Air, °C', '35', '[role=dialog]');
      await b.type('Barometer at the place, hPa', '960', '[role=dialog]');
      await b.type('Humidity, %', '0', '[role=dialog]');
      await b.press('Write the run', '[role=dialog]');
      await b.unseen('Write the run', 'body');
    }
    // 58 and 91 kW by 1.0571 (SAE J1349, memory).
    const runs = await b.see('61.3 to 96.2 kW, +56.9 %', '[aria-label="Runs"]');
    expect(runs).toContain('1.180 (990 / 960.0)');
    expect(runs).toContain('1 of 3 runs');
  });
});
