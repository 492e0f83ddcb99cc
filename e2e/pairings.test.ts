import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** What a closed job taught is there when the next engine of its family is looked at. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

describe('what was done here before', () => {
  it('is found by the engine of a candidate, and says what it was proved on', async () => {
    await at('Corvane', 'scope');
    const found = await b.see('same engine as 2.8 in-line six', '[aria-label="Done here before"]');
    expect(found).toContain('1978 Merriden coupe');
    await b.press('1978 Merriden coupe', '[aria-label="Done here before"]');
    const card = await b.see('What it proves, it proves with', '[aria-label="Done here before"]');
    expect(card).toMatch(/variant CV28, variant 2/);
    expect(card).toMatch(/1 lift, 1 not foreseen/);
    expect(card).toMatch(/Car sump of the saloon, 1996: pick-up 20 mm too far back/);
    // Nothing is measured here yet, so no way out is offered to be taken.
    expect(card).toMatch(/this place wants none here, as far as it is known/);
  });
});
