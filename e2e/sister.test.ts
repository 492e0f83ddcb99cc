import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** An engine beside the one that leaves: what differs is named, what nobody looked at is asked on the unit that lacks it. */

let desk: Desk;
let b: Desk['b'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b } = desk);
});
afterAll(() => desk.close());

describe('beside the old engine', () => {
  it('says what moves over, and asks of the one that lacks it', async () => {
    await desk.at('Larkfield', 'prep?tab=transfer');
    const panel = '[aria-label="Beside the old engine"]';
    await b.press('Beside the old engine: what moves over');
    await b.see('Throttle and intake', panel);
    await b.press('Throttle kind, new engine', panel);
    await b.choose('Throttle kind', 'by wire');
    await b.press('Save', '[role=dialog]');
    await b.press('Close', '[role=dialog]');
    const seen = await b.see('cable on the old, by wire on the new', panel);
    expect(seen).toContain('moves over from the old one');
    expect(await b.axe()).toEqual([]);
  });
});
