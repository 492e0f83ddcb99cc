import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** What no rule knew: added on one job, done in its order, kept for the shop, and there on the next job. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
const book = '.logbook-book';
const bench = '.app-bench';

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

describe('a line of our own', () => {
  it('asks for what its sort must say, and keeps what was typed', async () => {
    await at('Wendling', 'own');
    await b.press('Add a line');
    await b.choose('What it is', 'A check before a gate');
    await b.type('In a few words', 'Clutch cable free of the header');
    await b.type('Minutes, least', '20');
    await b.type('Minutes, most', '10');
    await b.press('Add it', '[role=dialog]');
    await b.see('The most is not below the least.', '[role=dialog]');
    await b.type('Minutes, most', '30');
    await b.press('Add it', '[role=dialog]');
    await b.see('added, check of our own: Clutch cable free of the header', book);
  });

  it('is done with what was found', async () => {
    await b.press('Done: Clutch cable free of the header');
    await b.see('Checked', '[role=dialog]');
    await b.type('What was found or read', '40 mm of air, sleeve on');
    await b.press('Write it', '[role=dialog]');
    await b.see('done: Clutch cable free of the header (40 mm of air, sleeve on)', book);
  });

  it('is kept for the shop where it was tried before, and joins the plan of a job that is like it', async () => {
    await b.press('Keep for the shop: Clutch cable free of the header');
    await b.choose('Fact 1', 'Drive layout');
    await b.choose('Of these 1', 'front longitudinal rear drive');
    await b.press('Try it on the open jobs', '[role=dialog]');
    const tried = await b.see('Larkfield', '[aria-label="Where it holds"]');
    expect(tried).toMatch(/joins the plan/);
    await b.press('Keep it', '[role=dialog]');
    await b.unseen('Try it on the open jobs', 'body');
    await at('Larkfield', 'own');
    await b.see('Clutch cable free of the header', bench);
    await b.see('a rule of the shop', bench);
    await b.go('/rules');
    await b.see('Where drive layout is front longitudinal rear drive.', '#main');
  });

  it('a part of our own is ordered like any other line of the kit', async () => {
    await at('Wendling', 'own');
    await b.press('Add a line');
    await b.choose('What it is', 'A part to buy');
    await b.type('In a few words', 'Sleeve for the cable');
    await b.choose('System', 'controls');
    await b.type('Costs, low', '4');
    await b.type('Costs, likely', '6');
    await b.type('Costs, high', '9');
    await b.press('Add it', '[role=dialog]');
    await b.see('added, part of our own: Sleeve for the cable', book);
    await at('Wendling', 'kit');
    await b.see('Sleeve for the cable', bench);
    await b.press('Sleeve for the cable');
    await b.press('Order it: Sleeve for the cable');
    await b.see('Open: ', '[role=dialog]');
  });
});
