import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';
import { leaveTheRestOn, shell, shellGoes } from './shell.ts';

/** A donor from the day it is bought to the day its shell goes: proved, harvested, sold and kept, and the day on which it was even. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];
const account = '[aria-label="Account of the donor"]';
const bought = '[aria-label="How it was bought"]';
const here = '[aria-label="What lies here"]';
const dayAfter = (days: number): string =>
  new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10);
/** What came off, by its label. */
const titles = new Map<string, string>();
const labels = Array.from({ length: 12 }, (_, i) => `B-9${String(i + 10)}`);

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

const entry = async (sort: string, what: string, amount: string) => {
  await b.choose('What it is', sort);
  await b.type('For what', what);
  await b.type('Amount, EUR', amount);
  await b.press('Write it to the account');
};
describe('a donor', () => {
  it('is bought, and proved before anything is off it', async () => {
    await at('Brockhurst', 'donor?tab=proof');
    await b.see('Brockhurst flat-bed');
    await b.press('Write how the donor was bought', bought);
    await b.type('From whom', 'Halden Fleet Sales', '[role=dialog]');
    await b.type('Price, EUR', '500', '[role=dialog]');
    await b.type('Mileage, km', '88,000 miles', '[role=dialog]');
    await b.type('May go back until', dayAfter(9), '[role=dialog]');
    await b.press('Keep', '[role=dialog]');
    await b.see('Donor from Halden Fleet Sales', bought);
    await b.see('88,000 miles read on the odometer', bought);
    await b.see('may go back until', '.bench-head');
    await b.press('The donor stays', bought);
    await b.unseen('may go back until', '.bench-head');
    await at('Brockhurst', 'donor?tab=labels');
    await b.see('500.00 EUR spent', account);
    await entry('Bought for', 'the same once more', '500');
    await b.see('stands with its purchase already', account);
    await at('Brockhurst', 'donor?tab=proof');
    await b.press('It was run', '[aria-label="Proof that it runs"]');
    await b.type('Ran, minutes', '25', '[role=dialog]');
    await b.type('Coolant, hottest, °C', '91 °C', '[role=dialog]');
    await b.type('Oil pressure cold, bar', '4.1 bar', '[role=dialog]');
    await b.type('Oil pressure hot at idle, bar', '1.4 bar', '[role=dialog]');
    await b.type('Codes, or none', 'none', '[role=dialog]');
    await b.press('Keep the run', '[role=dialog]');
    await b.see('In part', '[aria-label="Proof that it runs"]');
  });

  it('gives twelve parts, each with its label and its place', async () => {
    await at('Brockhurst', 'donor?tab=list');
    for (const label of labels) {
      const row = await b.wait(
        () =>
          b.driver.executeScript<string | null>(
            `const row = [...document.querySelectorAll('.row-button')].find((r) => r.textContent.includes('still on the donor'));
             row?.scrollIntoView({ block: 'center' }); row?.click(); return row?.textContent ?? null`,
          ) as never,
        20_000,
        'no line is left on the donor',
      );
      expect(row).toBeTruthy();
      titles.set(label, await b.value('What came off'));
      await b.choose('Condition', 'good');
      await b.type('Bag or label', label);
      await b.type('Storage place', 'shelf H1');
      await b.press('Taken off');
      await b.see(label, '.app-bench');
    }
    await at('Brockhurst', 'labels');
    await b.see(labels[11]!, '.app-bench');
    // The one that is hard to find by itself goes first below.
    labels.sort(
      (a, c) =>
        Number(/^under-bonnet fuse box/i.test(titles.get(c)!)) -
        Number(/^under-bonnet fuse box/i.test(titles.get(a)!)),
    );
    expect(titles.get(labels[0]!)).toMatch(/^under-bonnet fuse box/i);
  }, 240_000);

  it('sells two and keeps two for another job; what is kept is not sold', async () => {
    const change = async (label: string, acts: () => Promise<void>) => {
      await b.go(`/store?q=${label}&all=yes`);
      await b.press(label, here);
      await acts();
      await b.press('Keep', here);
    };
    for (const label of labels.slice(0, 2)) {
      await change(label, async () => {
        await b.choose('What became of it', 'Sold');
        await b.type('Who has it now', 'a farm in the valley');
        if (label === labels[0]) {
          // What is hard to find by itself is asked about before the last one goes.
          await b.press('Keep', here);
          await b.see('hard to find by itself', here);
        }
        await b.type('Note', 'sold as a pair with its keys');
      });
      await b.see('Sold', here);
    }
    for (const label of labels.slice(2, 4)) {
      await change(label, () => b.choose('Kept for', '0405 1987 Larkfield saloon'));
      await b.see('kept for 0405', here);
    }
    await change(labels[2]!, async () => {
      await b.choose('What became of it', 'Sold');
      await b.type('Who has it now', 'a farm in the valley');
    });
    await b.see('Job 0405 waits for', here);
    await at('Brockhurst', 'donor?tab=labels');
    await b.see('500.00 EUR spent', account);
    for (const [i, amount] of [
      [0, '220'],
      [1, '310'],
    ] as const) {
      const label = labels[i]!;
      await b.choose('What it is', 'Sold');
      await b.choose('Which part', `${label}, ${titles.get(label)!}`);
      await b.type('Amount, EUR', amount);
      await b.press('Write it to the account');
      await b.see(`Sold: ${titles.get(label)!}`, account);
    }
    // 500 spent, 220 and 310 back: 30 over, on the day of the second.
    await b.see('530.00 EUR back: 30.00 EUR over, even since', account);
  }, 120_000);

  it('keeps its shell while something is due, and lets it go when all is off or left by name', async () => {
    await at('Brockhurst', 'donor?tab=labels');
    await b.see('still hold it', shell);
    await shellGoes(b);
    await b.see('Still on it by the harvest list', '[role=dialog]');
    await b.press('Shut this', '[role=dialog]');
    await leaveTheRestOn(b);
    await b.see('nothing of the list is on it any more', shell);
    await shellGoes(b);
    await b.see('scrapped, the yard in town', shell);
  }, 240_000);
});
