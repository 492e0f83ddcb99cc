import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** What is drawn: looked at nearer, read as a list, and worked on by finger and by keyboard. */

let desk: Desk;
let b: Desk['b'];
let at: Desk['at'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b, at } = desk);
});
afterAll(() => desk.close());

const focusOn = (name: string): Promise<unknown> =>
  b.driver.executeScript(`document.querySelector('figure[aria-label="${name}"] svg').focus()`);
/** How wide the first area of a drawing is on the screen, px. */
const drawnWide = (name: string): Promise<number> =>
  b.driver.executeScript(
    `return document.querySelector('figure[aria-label="${name}"] svg > path').getBoundingClientRect().width`,
  );

describe('the car as it came', () => {
  it('takes a mark at the cross, without a mouse', async () => {
    await at('Corvane', 'scope?tab=came');
    await b.see('3 marks on it', '#as-it-came');
    await focusOn('From behind');
    await b.keys(Key.ARROW_LEFT, Key.ARROW_UP, Key.ENTER);
    await b.see('On the car, rear', '[role=dialog]');
    await b.type('What is seen there', 'boot lid sits proud', '[role=dialog]');
    await b.press('Mark it', '[role=dialog]');
    await b.see('Damage, rear: boot lid sits proud', '#as-it-came');
    await b.see('as it came, rear: damage, boot lid sits proud', '.logbook-book');
  });
  it('takes one where somebody taps, keeps it through a reload, and takes it back', async () => {
    const [x, y] = await b.driver.executeScript<[number, number]>(
      `const svg = document.querySelector('figure[aria-label="From the left"] svg'); svg.scrollIntoView({ block: 'center' }); const r = svg.getBoundingClientRect(); return [Math.round(r.x + r.width / 2), Math.round(r.y + r.height / 2)]`,
    );
    await b.driver.actions().move({ x, y }).click().perform();
    await b.see('On the car, left', '[role=dialog]');
    await b.choose('What it is', 'Missing');
    await b.type('What is seen there', 'door strip', '[role=dialog]');
    await b.press('Mark it', '[role=dialog]');
    await b.see('Missing, left: door strip', '#as-it-came');
    await at('Corvane', 'scope?tab=came');
    await b.see('Missing, left: door strip', '#as-it-came');
    await b.press('Take back: door strip');
    await b.unseen('door strip', '#as-it-came');
    await b.see('taken back, as it came, left: missing, door strip', '.logbook-book');
  });
});

describe('the lift', () => {
  it('is drawn with what its legs carry, each number with its sum', async () => {
    await at('Larkfield', 'pull');
    // Two legs of 58° and 65° under 208 kg: 208 cos 65° / sin 123° = 105 kg (statics; to the rounding of the angles).
    await b.see('about 58°, 105 kg', 'figure[aria-label="The lift, from the left"]');
    await b.press('Front leg pulls about 105 kg of 500 kg');
    await b.see('three forces that meet at the hook', '[aria-label="The lift out"]');
  });
  it('comes nearer and goes back to the whole, by buttons and by keys', async () => {
    const name = 'The lift, from the left';
    const whole = await drawnWide(name);
    await b.press(`Nearer: ${name}`);
    await b.wait(async () => (await drawnWide(name)) > whole * 1.3);
    await b.press(`The whole: ${name}`);
    await b.wait(async () => Math.abs((await drawnWide(name)) - whole) < 1);
    await focusOn(name);
    await b.keys('+', '+');
    await b.wait(async () => (await drawnWide(name)) > whole * 2);
    await b.keys('0');
    await b.wait(async () => Math.abs((await drawnWide(name)) - whole) < 1);
  });
  it('stops when a leg would stand too flat, whatever the rest says', async () => {
    await b.press('Change where the slings hold');
    await b.type('Hook above the higher eye, mm', '90 mm', '[role=dialog]');
    await b.press('Save the slings', '[role=dialog]');
    const said = await b.see('flatter than 30° is refused', '[aria-label="The lift out"]');
    expect(said).toMatch(/The lift out\s*Stop/);
    await b.see('slings for the lift out: front eye 43 cm ahead', '.logbook-book');
  });
});

describe('curves', () => {
  it('are drawn of the warm-up as it is read, with a word for each reading', async () => {
    await at('Sorrel', 'start?tab=after');
    await b.see('Nothing read yet.', '[aria-label="Warm-up readings"]');
    const read = async (minute: string, coolant: string, oil: string) => {
      await b.type('After the start, min', minute);
      await b.type('Coolant, °C', coolant);
      await b.type('Oil pressure, bar', oil);
      await b.press('Write the reading');
      await b.see(`warming up, ${minute} min`, '.logbook-book');
    };
    await read('1', '20 °C', '4 bar');
    await read('2', '34 °C', '3.8 bar');
    await b.see('2 min, coolant 20 °C to 34 °C, oil 3.8 bar to 4 bar; 1 reading says stop.');
    await b.see('coolant rose 14 K in 1 min', '[aria-label="Warm-up readings"]');
    await b.find('.curves path.recharts-line-curve');
  });
});

describe('the wall', () => {
  it('shows what is due and promised, and says when it is all there is', async () => {
    await b.visit('/wall');
    await b.see('bell adapter plate', '[aria-label="The days ahead"]');
    await b.see('all on one page', '#main');
  });
  it('has pages where one has no room for all; they stand still for who wants no motion', async () => {
    await b.size(1280, 390);
    await b.see(/page 1 of \d, stands still/, '#main');
    const first = await b.text('[aria-label="The days ahead"]');
    await b.press('Next page');
    await b.wait(async () => (await b.text('[aria-label="The days ahead"]')) !== first);
    await b.size(1280, 800);
  });
});

describe('bolts where they were', () => {
  it('each lies in its bag, and the next has the same offered', async () => {
    await at('Brockhurst', 'prep?tab=torques');
    await b.press('Where its bolts lie');
    await b.type('Bolt 1 lies in bag', '041');
    await b.press('In this bag');
    await b.see('bolts of main caps: 1 in bag 041', '.logbook-book');
    await b.field('Bolt 2 lies in bag');
    expect(await b.value('Bolt 2 lies in bag')).toBe('041');
    await b.press('In this bag');
    await b.see('bag 041: 1, 2', '.app-bench');
  });
  it('of a joint that is neither rows nor a circle lie where somebody typed', async () => {
    await b.type('Joint', 'oil filter head');
    await b.type('Bolts', '3');
    await b.choose('They lie', 'where I type');
    await b.type('Their places, across and down', '0 0; 90 0');
    await b.see('2 of 3 bolts have a place; give each one.', '.app-bench');
    await b.press('Add the joint');
    expect(await b.count('[aria-label="Bolts of oil filter head"]')).toBe(0);
    expect(await b.value('Their places, across and down')).toBe('0 0; 90 0');
    await b.type('Their places, across and down', '0 0; 90 0; 45 60');
    await b.press('Add the joint');
    await b.find('[aria-label="Bolts of oil filter head"]');
    const places = await b.driver.executeScript<[number, number][]>(
      `return [...document.querySelectorAll('[aria-label="Bolts of oil filter head"] [data-bolt]')].map((e) => [parseFloat(e.style.left), parseFloat(e.style.top)])`,
    );
    expect(places[2]![0]).toBeCloseTo((places[0]![0] + places[1]![0]) / 2, 3);
    expect(places[2]![1] / (places[1]![0] - places[0]![0])).toBeCloseTo(60 / 90, 2);
  });
});

describe('the account of a donor', () => {
  it('stands as steps to where it is even, for who sees money', async () => {
    await at('Wendling', 'donor?tab=labels');
    await b.see(
      '1,108.00 EUR spent, 1,115.00 EUR back: 7.00 EUR over',
      '[aria-label="Account of the donor"]',
    );
    await b.find('[aria-label="Account of the donor"] path.recharts-area-curve');
    await b.type('For what', 'tow bar');
    await b.type('Amount, EUR', '40');
    await b.press('Write it to the account');
    await b.see('47.00 EUR over', '[aria-label="Account of the donor"]');
  });
});
