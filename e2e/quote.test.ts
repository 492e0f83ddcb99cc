import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Browser } from './browser.ts';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** From the lines of the plan to a quote that the customer signs, and to the account of the job. */

let desk: Desk;
let b: Desk['b'];
let job: Desk['job'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b, job } = desk);
});
afterAll(() => desk.close());

/** What a panel says, by its name. */
const panel = (name: string): string => `[aria-label="${name}"]`;

describe('a quote', () => {
  it('says what it loses at which price, once the trials are made', async () => {
    await b.go(`/jobs/${job('Corvane')}/quote`);
    await b.see(/10,000 trials/, panel('What it comes to'));
    await b.see(
      /the job loses money .+\d times in 100|hardly ever|nearly always/,
      panel('What it comes to'),
    );
    await b.choose('A price that loses money', '1 time in 10');
    await b.see(/loses money (9|10|11) times in 100/, panel('What it comes to'));
    await b.see('For what nobody can see yet', panel('Sums'));
  });

  it('asks first for what most lines hang on, and counts again when it is said', async () => {
    await b.see('Goal', panel('To be said first'));
    await b.press('Goal', panel('To be said first'));
    await b.choose('Goal', 'mock up');
    await b.press('Save', '[role=dialog]');
    await b.press('Close', '[role=dialog]');
    await b.unseen('First start to steady idle', '.app-bench');
    await b.unseen('Goal', panel('To be said first'));
  });

  it('leaves a line off with its reason, and takes one of the shop’s own', async () => {
    await b.press('Scrape, degrease, wash, dry the bay');
    await b.choose('In the quote', 'Left off');
    await b.press('Keep');
    await b.see('Say why it is left off.');
    await b.type('Why it is left off', 'the owner washes it at home');
    await b.press('Keep');
    await b.see(
      'left off the quote: Scrape, degrease, wash, dry the bay, because the owner washes it at home',
      '.logbook-book',
    );
    await b.press('A line of our own');
    await b.type('What it is', 'Trailer hitch wired');
    await b.type('Hours, low', '1');
    await b.type('Hours, likely', '2');
    await b.type('Hours, high', '4');
    await b.press('Add it', '[role=dialog]');
    await b.see('Trailer hitch wired', '.app-bench');
  });

  it('what the customer does holds the step that waits for it until it is done', async () => {
    const wanted = 'Car in: identity, photos, faults, what works, what is missing';
    await b.press(wanted);
    await b.choose('Who does it', 'The customer does or brings it');
    await b.choose(
      'Steps that wait for it',
      'Penetrating oil on exhaust studs, bell dowels, mount and subframe bolts; repeat next day',
    );
    await b.press('Keep');
    await b.see('done or brought by the customer', '.logbook-book');
    await b.go(`/jobs/${job('Corvane')}/pull`);
    await b.see('Next step', '.app-bench');
    await b.driver.executeScript(
      `[...document.querySelectorAll('.counts button')].find((e) => / open:/.test(e.getAttribute('aria-label'))).click()`,
    );
    await b.see(`the customer: ${wanted}`, '.app-bench');
    await b.go(`/jobs/${job('Corvane')}/quote`);
    await b.press(wanted);
    await b.tick('The customer has done or brought it');
    await b.press('Keep');
    await b.see(`done or brought by the customer: ${wanted}`, '.logbook-book');
    await b.go(`/jobs/${job('Corvane')}/pull`);
    await b.see('Next step', '.app-bench');
    await b.driver.executeScript(
      `[...document.querySelectorAll('.counts button')].find((e) => / open:/.test(e.getAttribute('aria-label'))).click()`,
    );
    await b.unseen(`the customer: ${wanted}`, '.app-bench');
    await b.go(`/jobs/${job('Corvane')}/quote`);
  });

  it('says with the quote what the job brings along', async () => {
    const brings = panel('What it brings along');
    await b.press('May come along', brings);
    await b.press('Crankcase vent', brings);
    await b.choose('Crankcase vent', 'open');
    await b.press('Save', '[role=dialog]');
    await b.press('Close', '[role=dialog]');
    await b.see('it smells in the cabin and is heard', brings);
  });

  it('goes out with what is open only for a reason', async () => {
    await b.press('Make quote 1');
    await b.press('Make it', '[role=dialog]');
    await b.see(/open: settle them, leave them off by name, or say why/, '[role=dialog]');
    await b.type('Not in it, one a line', 'Rust under the carpet');
    await b.type('Why it goes out all the same', 'both engines are still looked at');
    await b.press('Make it', '[role=dialog]');
    await b.see('With the customer', panel('Quotes made'));
    await b.see('quote 1 made', '.logbook-book');
  });

  it('is read, asked about and signed by the customer, without an account', async () => {
    await b.go(`/jobs/${job('Corvane')}/hand-over`);
    await b.press('Make a link');
    const link = /\/c\/[\w-]+/.exec(await b.see('/c/', '.break-all'))![0];
    const customer = await Browser.open(desk.shop.server.url);
    try {
      await customer.size(390, 844);
      await customer.go(link);
      await customer.see('Not in it: Rust under the carpet.');
      await customer.see('Crankcase vent open to the air');
      expect(await customer.tooWide()).toBe(false);
      expect(await customer.smallTargets()).toEqual([]);
      expect(await customer.axe()).toEqual([]);
      await customer.press('Accept for');
      await customer.see('Write your name under it.');
      await customer.type('A question, or a word with it', 'When could it begin?');
      await customer.press('Ask');
      await customer.see('Sent to the shop');
      await customer.type('Your name, as signature', 'Otto Lindqvist-Bray');
      await customer.press('Accept for');
      await customer.see('Accepted by Otto Lindqvist-Bray');
    } finally {
      await customer.close();
    }
  });

  it('stands accepted in the shop at once, and money comes in against it', async () => {
    await b.go(`/jobs/${job('Corvane')}/quote`);
    await b.see('Accepted by Otto Lindqvist-Bray', panel('Quotes made'));
    await b.see('When could it begin?', '.logbook-book');
    await b.press('Money received');
    await b.type('Amount, EUR', '1000');
    await b.press('Write it down', '[role=dialog]');
    await b.see('Deposit, ', panel('Where the money stands'));
    await b.see('1,000.00 EUR', panel('Where the money stands'));
    expect(await b.axe()).toEqual([]);
  });
});
