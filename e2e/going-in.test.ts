import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** A unit is lifted out, another goes in, and a part of an earlier owner stands beside what is bought. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
const lift = '[aria-label="The lift out"]';
const things = '[aria-label="Things of this lift"]';

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

describe('the lift', () => {
  it('is refused by a stud that is longer than the lift, until it is out of the way', async () => {
    await at('Larkfield', 'pull');
    await b.see('64 mm of mount stud, 55 mm of lift', lift);
    await b.press('Take back: to clear: mount stud, 64 mm wanted, 55 mm there');
    await b.unseen('mount stud', lift);
  });
  it('holds an eye bolt against its own leg, and says what is wrong where it is typed', async () => {
    await b.press('Add to this lift');
    await b.choose('What it is to the lift', 'Carries it: sling, shackle, eye, leveller');
    await b.type('Name', 'rear lug', '[role=dialog]');
    await b.choose('Sort', 'Eye bolt without shoulder');
    await b.choose('Where', 'Rear leg');
    await b.type('Rating on its plate, kg', 'plenty', '[role=dialog]');
    await b.press('Keep', '[role=dialog]');
    expect(await b.value('Name')).toBe('rear lug');
    await b.type('Rating on its plate, kg', '900 kg', '[role=dialog]');
    await b.press('Keep', '[role=dialog]');
    await b.see('without a shoulder it bears upright pull alone', lift);
    await b.see('rear lug, eye bolt without shoulder at the rear leg, plate 900 kg', things);
    await b.see('carries: rear lug', '.logbook-book');
    expect(await b.axe()).toEqual([]);
  });
});

describe('going in', () => {
  it('waits for an empty bay where the old engine still fills it', async () => {
    await at('Larkfield', 'fit?tab=going-in');
    await b.tap('.counts button:nth-child(2)');
    await b.see('the engine that was in the car to be set down', '.app-bench');
  });
  it('goes by its steps, and shows them by the place where they are done', async () => {
    await at('Brockhurst', 'fit?tab=going-in');
    await b.see('Brockhurst flat-bed');
    await b.see('Next step', '.app-bench');
    await b.press('Done: Bay round closed', '.app-bench');
    await b.see('done: Bay round closed', '.logbook-book');
    await b.tap('.counts button:nth-child(2)');
    await b.press('By place');
    await b.see('at the hoist', '.app-bench');
    await b.see('off the car', '.app-bench');
    expect(await b.axe()).toEqual([]);
  });
  it('asks what was read, where a step reads something', async () => {
    await at('Sorrel', 'fit?tab=going-in');
    await b.see('Sorrel roadster');
    await b.tap('.counts button:nth-child(3)');
    await b.see('lifting gear counted back', '.app-bench');
    await b.see('as planned, within 2 mm', '.app-bench');
  });
});

describe("a part that is not the car's own", () => {
  it('stands before the order of what goes beside it, until somebody held it against it', async () => {
    await at('Wendling', 'fit');
    await b.press('Write one down');
    await b.type('What it is', 'header of an earlier owner', '[role=dialog]');
    await b.choose(
      'Places it stands at',
      'Headers and pipes to rails, floor, starter, mounts, sway bar, shaft',
    );
    await b.keys('\uE00C');
    await b.press('Keep', '[role=dialog]');
    await b.see('header of an earlier owner', '[aria-label="Not this car\'s own"]');
    await b.go((await b.path()).replace(/fit.*/, 'kit'));
    await b.press('Rubber hangers', '.app-bench');
    await b.see("not this car's own", '.app-bench');
    await b.press('Goes beside header of an earlier owner');
    await b.unseen('Beside it, and not', '.app-bench');
    await b.see('held against header of an earlier owner', '.logbook-book');
  });
});
