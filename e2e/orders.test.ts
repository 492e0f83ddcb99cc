import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** From the kit of a job to an order, what comes of it, and the step that waited. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
const book = '.logbook-book';

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

describe('an order', () => {
  it('of a kit line with something open goes out only for a reason', async () => {
    await at('Larkfield', 'kit');
    await b.press('Engine cushions, new pair');
    await b.press('Order it');
    await b.see('Open: ', '[role=dialog]');
    expect(
      await b.driver.executeScript(
        "return [...document.querySelectorAll('[role=dialog] button')].find((e) => e.textContent.trim() === 'It is ordered').disabled",
      ),
    ).toBe(true);
    await b.type(
      'Why it is ordered although something is open',
      'the set fits every code of this family',
    );
    await b.press('It is ordered', '[role=dialog]');
    await b.see('Say from whom it comes.', '[role=dialog]');
    await b.type('From', 'Rubber Hall');
    await b.type('How many', '2');
    await b.press('It is ordered', '[role=dialog]');
    await b.see('ordered: Engine cushions, new pair', book);
    await b.see('the set fits every code of this family', book);
    await b.see('Ordered', '.app-bench');
  });

  it('stands with the others of the shop, the late one first, and comes piece by piece', async () => {
    await b.go('/orders');
    const all = await b.see('Rubber Hall');
    expect(all.indexOf('Copper Yard')).toBeLessThan(all.indexOf('Rubber Hall'));
    await b.press('Came: order 3');
    await b.type('Right: Engine cushions, new pair', '5');
    await b.press('It is here', '[role=dialog]');
    await b.see('Only 2 of Engine cushions, new pair are still to come.', '[role=dialog]');
    await b.type('Right: Engine cushions, new pair', '1');
    await b.press('It is here', '[role=dialog]');
    await b.see('1 of 2', '[aria-label="Order 3"]');
    await b.press('Came: order 3');
    await b.press('It is here', '[role=dialog]');
    await b.unseen('Rubber Hall', '#main');
    await b.press('All');
    await b.see('2 here', '[aria-label="Order 3"]');
    await at('Larkfield', 'kit');
    await b.see('arrived: Engine cushions, new pair', book);
  });

  it('several lines go out together, and what goes back is counted', async () => {
    await at('Larkfield', 'kit');
    await b.press('Order several together');
    await b.tap('[aria-label="Order with the others: Gearbox mount, angle shims and wedges"]');
    await b.tap('[aria-label="Order with the others: Bell bolts and dowels"]');
    await b.press('Order 2 lines');
    await b.type('From', 'Rubber Hall');
    await b.type(
      'Why it is ordered although something is open',
      'taken from the drawing of the shop',
    );
    await b.press('It is ordered', '[role=dialog]');
    await b.see('ordered: Bell bolts and dowels', book);
    await b.go('/orders');
    await b.press('Goes back: order 1');
    await b.type('How many go back', '9');
    await b.type('Why it goes back', 'other side');
    await b.press('Send it back', '[role=dialog]');
    await b.see('Only 1 of Heater hose 19 mm are here.', '[role=dialog]');
    await b.type('How many go back', '1');
    await b.press('Send it back', '[role=dialog]');
    await b.see('2 back', '[aria-label="Order 1"]');
    await b.press('Money back', '[aria-label="Order 1"]');
    await b.type('Came back (blank: nothing will), EUR', '5');
    await b.press('It is settled', '[role=dialog]');
    await b.see('5.00 came back.', '[aria-label="Order 1"]');
    expect(await b.axe()).toEqual([]);
  });

  it('is found by its label, as a scanner types it', async () => {
    await b.go('/orders');
    const field = await b.field('Scan or type what came');
    await field.sendKeys('none such\n');
    await b.see('No open order has the number "none such".', '#main');
    await b.type('Scan or type what came', 'cy-4471');
    await b.keys('\ue007');
    await b.see('Came from Copper Yard', '[role=dialog]');
    await b.press('Shut this', '[role=dialog]');
  });

  it('is moved by the list of its supplier, of which each row is looked at first', async () => {
    await b.press("A supplier's list");
    await b.choose('Whose', 'Copper Yard');
    await b.type('The table, with its head row', 'reference;promised\nCY-4471;12/09/2099');
    await b.see('"12/09/2099" is no day', '[role=dialog]');
    await b.type(
      'The table, with its head row',
      'reference;promised;tracking\nCY-4471;9.12.2099;two parcels\nCY-9;2099-12-10;',
    );
    await b.press('Take it in', '[role=dialog]');
    await b.see('1 order moved; not on order here: CY-9.', '#main');
    await b.see('two parcels', '[aria-label="Order 1"]');
  });

  it('a borrowed tool is named, says by when it goes back, and stays in the list until it is', async () => {
    await at('Larkfield', 'kit');
    await b.press('Something else, or a tool to borrow');
    await b.type('What it is called', 'Cam lock tool');
    await b.type('From', 'Rubber Hall');
    await b.press('It is borrowed', '[role=dialog]');
    await b.see('Say by when it goes back.', '[role=dialog]');
    await b.type('Goes back by', '2027-01-08');
    await b.press('It is borrowed', '[role=dialog]');
    await b.see('ordered from Rubber Hall', book);
    await b.go('/orders');
    await b.press('Came: order 5');
    await b.press('It is here', '[role=dialog]');
    await b.see('1 owed back by', '[aria-label="Order 5"]');
    await b.press('What is owed went back: order 5');
    await b.press('It is back', '[role=dialog]');
    await b.unseen('Cam lock tool', '#main');
  });
});
