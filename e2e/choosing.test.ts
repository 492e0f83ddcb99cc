import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** Two engines for one car: what each costs with what is missing on it, and what would turn the choice. */

let desk: Desk;
let b: Desk['b'];

beforeAll(async () => {
  desk = await openDesk();
  ({ b } = desk);
  await b.go(`/jobs/${desk.job('Corvane')}/scope`);
});
afterAll(() => desk.close());

const turn = '.app-bench [role=status]';

describe('engines side by side', () => {
  it('say which is ahead, what would turn it, and that little is measured', async () => {
    // Nothing is said to be ahead before both are weighed with all that is known of them.
    const said = await b.see(/2\.8 in-line six (is ahead|comes out first)/, turn);
    expect(said).toMatch(/3\.6 vee six would be if ".+" counted \d\.\d instead of \d\.\d/);
    expect(said).toMatch(/Of \d+ places \d+ are not measured with it/);
  });
  it('a bare one is dearer than it looks', async () => {
    await b.press('Cost of 2.8 in-line six');
    await b.press('Something is missing on 2.8 in-line six');
    await b.type('What is missing', 'engine loom and unit');
    await b.type('What it costs, EUR', '4000');
    await b.press('It is missing', '[role=dialog]');
    await b.see('without engine loom and unit', '.app-bench');
    await b.see(/3\.6 vee six (is ahead|comes out first)/, turn);
    await b.press('Not missing after all: engine loom and unit');
    await b.see(/2\.8 in-line six (is ahead|comes out first)/, turn);
  });
  it('weights move it at once, by keyboard too, and are there again after a reload', async () => {
    await b.press('What counts how much');
    const slider = await b.find('[aria-label="How much counts: Power"]');
    await b.driver.executeScript('arguments[0].focus()', slider);
    const right = '\ue014';
    await b.keys(right, right, right, right);
    expect(await b.value('How much counts: Power')).toBe('5');
    await b.wait(
      async () =>
        b.driver.executeAsyncScript<boolean>(
          `const done = arguments[0];
           fetch('/api/jobs/' + location.pathname.split('/')[2]).then((r) => r.json()).then((s) => done(s.records.some((r) => r.kind === 'choosing' && r.data.weights.power === 5)), () => done(false));`,
        ),
      undefined,
      'the weight is not kept',
    );
    await b.go(`/jobs/${desk.job('Corvane')}/scope`);
    await b.see(/(is ahead|comes out first)/, turn);
    await b.press('What counts how much');
    expect(await b.value('How much counts: Power')).toBe('5');
  });
  it('one that is not recommended says why', async () => {
    await b.press('Cost of 3.6 vee six');
    await b.type('It has run, km', 'many');
    await b.press('Keep');
    await b.see(/number|figure/i, '.app-bench form');
    await b.type('It has run, km', '182000');
    await b.choose('Parts to be had', 'Scarce');
    await b.type('Not recommended, because', 'its gearbox control is nowhere to be had');
    await b.press('Keep');
    await b.see('Not recommended: its gearbox control is nowhere to be had', '.app-bench');
    await b.see('182,000 km', '.app-bench');
    await b.see('scarce', '.app-bench table');
    expect(await b.axe()).toEqual([]);
  });
});

describe('gearboxes side by side', () => {
  it('are added, judged in this car, said to be rated or not known, and one is chosen', async () => {
    await b.press('Gearboxes side by side');
    await b.see('No gearbox yet', '.app-bench');
    for (const name of ['Six-speed of a van', 'Five-speed, long tail']) {
      await b.press('Add a gearbox');
      await b.type('Name', name);
      await b.type('Where it is', 'shelf G2');
      await b.press('Add', '.app-bench form');
      await b.see(name, '[aria-label="Gearboxes"]');
    }
    await b.see('rating or what reaches it not known', '[aria-label="Gearboxes"]');
    await b.press('Cost of Six-speed of a van');
    await b.type('Not recommended, because', 'its shifter comes out under the seat');
    await b.press('Keep', '.app-bench form');
    await b.see('Not recommended: its shifter comes out under the seat', '.app-bench');
    await b.press('Choose: Five-speed, long tail');
    await b.wait(
      async () => (await b.count('[aria-label="Gearboxes"] .tag.teal')) > 0,
      undefined,
      'no gearbox is going in',
    );
    expect(await b.axe()).toEqual([]);
  });
});

describe('ways of control side by side', () => {
  it('say what each takes, and stop where the unit cannot switch the fans', async () => {
    await b.press('Ways of control side by side');
    await b.see('Donor loom thinned, tested, re-covered', '.app-bench');
    expect(await b.axe()).toEqual([]);
    await b.press('Choose a way');
    await b.choose('Engine control', 'standalone');
    await b.press('Save', '[role=dialog]');
    await b.press('Close', '[role=dialog]');
    await b.see(/standalone: \d+ inputs wanted, \d+ of them not to be done without/, '.app-bench');
    await b.press('What the engine unit has');
    await b.type('Of these for fans', '0');
    await b.press('Save', '[role=dialog]');
    await b.press('Shut this').catch(() => undefined);
    await b.press('Fan', '.app-bench');
    await b.choose('Fan', 'electric puller');
    await b.type('Count', '2');
    await b.type('Current, A', '18');
    await b.press('Save', '[role=dialog]');
    await b.press('Close', '[role=dialog]');
    await b.see('standalone: 2 fans of 18 A and no fan output: stop.', '.app-bench');
  });
});
