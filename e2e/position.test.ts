import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { putRecord } from '@bay/contract/records';
import { demoManager, openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** Where the engine sits: found, moved by hand and by keys, kept; and the least change that makes it fit. */

let desk: Desk;
let b: Desk['b'];
beforeAll(async () => {
  desk = await openDesk();
  ({ b } = desk);
  await b.visit(`/jobs/${desk.job('Brockhurst')}/fit?tab=position`);
});
afterAll(() => desk.close());

const comes = '[aria-label="What it comes to"]';
const stepper = async (name: string): Promise<number> => {
  const all = (await b.text('[aria-label="Where it sits"]'))!;
  return Number(/(-?[\d.]+) (?:mm|°)/.exec(all.slice(all.indexOf(name)))![1]);
};
const worst = async (): Promise<number> => {
  const said = (await b.text(`${comes} p`))!;
  const size = Number(/([\d.]+) mm/.exec(said)![1]);
  return said.includes('not fit') ? -size : size;
};

describe('the position', () => {
  it('is found over the whole range, and says what holds it and what it does not know', async () => {
    const said = await b.see('This is the best there is in the range.', comes);
    expect(said).toMatch(/It does not fit by [\d.]+ mm, as far as it is known\./);
    expect(said).toMatch(/Held by .*highest point to hood/);
    expect(said).toMatch(/1 mm off the .+ buys [\d.]+ mm\./);
    expect(said).toMatch(/cannot be judged yet: .*pulley to what stands behind the core/);
  });

  it('moves by a step, by arrow keys and by hand, and its gaps with it; one key brings the best back', async () => {
    const best = await worst();
    const before = await stepper('Crank axis');
    await b.press('Up by 1 mm');
    expect(await stepper('Crank axis')).toBeCloseTo(before + 1, 1);
    await b.see('Best there is in the range: It does not fit', comes);
    expect(await worst()).toBeLessThanOrEqual(best);
    const along = await stepper('Bell face');
    await b.driver.executeScript(
      'document.querySelector(\'figure[aria-label="From the side"] svg\').focus()',
    );
    await b.keys(Key.ARROW_LEFT, Key.ARROW_LEFT);
    expect(await stepper('Bell face')).toBeCloseTo(along - 2, 1);
    await b.keys('b');
    await b.see('This is the best there is in the range.', comes);
    expect(await stepper('Crank axis')).toBeCloseTo(before, 1);
    const unit = await b.find('figure[aria-label="From the side"] [data-carried]');
    await b.driver.executeScript("arguments[0].scrollIntoView({ block: 'center' })", unit);
    await b.driver
      .actions()
      .move({ origin: unit })
      .press()
      .move({ origin: unit, x: 0, y: -12 })
      .release()
      .perform();
    expect(await stepper('Crank axis')).toBeGreaterThan(before + 5);
    await b.press('To the best place (b)');
    await b.see('This is the best there is in the range.', comes);
  });

  it('opens a gap to its sum, and leads to its place', async () => {
    await b.press('highest point to hood', '[aria-label="Gaps"]');
    const sum = await b.see('In hand', '[aria-label="Gaps"]');
    expect(sum).toContain('Least gap, highest point to hood bracing');
    expect(sum).toContain('Rock on rubber mounts');
    await b.press('The place, its facts and its ways out');
    await b.wait(
      async () => (await b.driver.getCurrentUrl()).includes('at=fit-hood'),
      undefined,
      'not at the place',
    );
    await b.visit(`/jobs/${desk.job('Brockhurst')}/fit?tab=position`);
    await b.see('This is the best there is in the range.', comes);
  });

  it('finds the least change among stiffer mounts and the ways out that people wrote, and draws it', async () => {
    const plans = '[aria-label="The least change"]';
    const said = await b.see('Sump of the sister engine and Flat intake', plans);
    expect(said).toMatch(/[\d.]+ mm in hand · .*600.* · 4.5 h/);
    await b.press('A way out of our own');
    await b.type('What is done', 'Sump of our own', '[role=dialog]');
    await b.choose('What it moves', 'Front of the sump');
    await b.type('Up, mm', '90 mm', '[role=dialog]');
    await b.press('Save the way out', '[role=dialog]');
    await b.see('way out thought of: Sump of our own', '.logbook-book');
    await b.see('Sump of our own', plans);
    await b.press('Draw it so', plans);
    expect(await b.see(/it fits with [\d.]+ mm in hand/, comes)).toContain('As far as it is known');
    await b.press('Draw it without ways out');
    await b.see('It does not fit', comes);
  });

  it('refuses a way out of structure without somebody who agrees, and loses nothing of it', async () => {
    await b.press('A way out of our own');
    await b.type('What is done', 'Crossmember lowered', '[role=dialog]');
    await b.choose('What it moves', 'Crossmember');
    await b.type('Up, mm', '-15 mm', '[role=dialog]');
    await b.press('Save the way out', '[role=dialog]');
    await b.see('say who has to agree', '[role=dialog]');
    expect(await b.value('What is done')).toBe('Crossmember lowered');
    await b.type('Who has to agree', 'the inspecting engineer', '[role=dialog]');
    await b.press('Save the way out', '[role=dialog]');
    await b.see('way out thought of: Crossmember lowered', '.logbook-book');
  });

  it('is kept as the place that was chosen, as something assumed', async () => {
    await b.press('Keep this place');
    await b.see('Engine place in the car', '.logbook-book');
    await b.see('Back to where it was chosen', comes);
  });

  it('is held against what was read in the trial fit: where it really sits, and what to measure again', async () => {
    const manager = await demoManager(desk.shop.server);
    const read = (interfaceId: string, gapMm: number) =>
      manager.good(putRecord, {
        params: { jobId: desk.job('Brockhurst'), kind: 'gap', key: randomUUID() },
        body: {
          commandId: randomUUID(),
          revision: 0,
          data: {
            interfaceId,
            read: { word: 'adapt', gapMm, place: 'narrowest', condition: 'cold' },
          },
        },
      });
    await read('fit-hood', 20);
    await read('fit-sump-steering', 20);
    const said = await b.see(
      /than any place of the unit explains: measure/,
      '[aria-label="What the trial fit says"]',
    );
    expect(said).toMatch(/By what was read it sits [\d.]+ mm/);
    expect(said).toContain('20 mm read');
    await b.press('Draw it where it was read');
    await b.see('Best there is in the range', comes);
  });

  it('is cut across at any station by keys, and whole again', async () => {
    const front = '[aria-label="From the front"]';
    await b.driver.executeScript(
      'document.querySelector(\'input[aria-label^="Cut across at"]\').focus()',
    );
    await b.keys(Key.ARROW_RIGHT, Key.ARROW_RIGHT);
    const said = await b.see(/x -?\d+ mm/, `section${front}`);
    const x = Number(/x (-?\d+) mm/.exec(said)![1]);
    expect(await b.count(`figure[aria-label="Cut across at x ${x} mm"]`)).toBe(1);
    await b.press('Whole again', `section${front}`);
    await b.see('not cut', `section${front}`);
    expect(await b.count('figure[aria-label="From the front"]')).toBe(1);
  });

  it('is sought where somebody holds it, and says so', async () => {
    await b.press('Where it may go', comes);
    await b.type('Crank axis above the rail, from, mm', '70', '[role=dialog]');
    await b.type('Crank axis above the rail, to, mm', '75', '[role=dialog]');
    await b.press('Save', '[role=dialog]');
    await b.see('It is held in height from 70 mm to 75 mm.', comes);
    await b.press('To the best place (b)', comes);
    const z = await stepper('Crank axis');
    expect(z).toBeGreaterThanOrEqual(70);
    expect(z).toBeLessThanOrEqual(75);
  });

  it('a thing is pulled open in a view and asks for its third side; Escape draws nothing', async () => {
    await b.press('Draw one in the views');
    await b.see('Pull from corner to corner');
    const side = await b.find('figure[aria-label="From the side"] svg');
    await b.driver
      .actions()
      .move({ origin: side, x: 60, y: -60 })
      .press()
      .move({ origin: side, x: 110, y: -20 })
      .release()
      .perform();
    await b.see('A shape of our own', '[role=dialog]');
    const face = async (label: string) => Number(/^(-?\d+) mm$/.exec(await b.value(label))![1]);
    expect(await face('Front face, forward, mm')).toBeGreaterThan(
      await face('Rear face, forward, mm'),
    );
    expect(await face('Upper face, up, mm')).toBeGreaterThan(await face('Lower face, up, mm'));
    expect(await b.value('Left face, to the left, mm')).toBe('');
    await b.keys(Key.ESCAPE);
    expect(await b.count('[role=dialog]')).toBe(0);
  });

  it('says what to measure next, and a walk with big keys takes it, asks about what hardly can be, and goes on', async () => {
    const next = '[aria-label="Measure next"]';
    const dialog = '[role=dialog]';
    expect(await b.see('Envelope, widest at tail', next)).toMatch(/\d+ readings in \d+ places/);
    await b.press('Walk round and measure', next);
    await b.see('At the gearbox', dialog);
    // Where the tape is held is drawn, on the gearbox as far as it is known.
    await b.see('from side to side, gearbox at the tail', dialog);
    expect(await b.count('figure[aria-label^="Where to hold the tape"]')).toBe(1);
    for (const key of ['3', '0', '5', '5', 'Take the last off', 'in'])
      await b.press(key, '.fit-keypad');
    // Three hundred and five inches are no gearbox.
    await b.see('Look again, or say that it is so.', dialog);
    expect(await b.enabled('Next')).toBe(false);
    await b.press('mm', '.fit-keypad');
    await b.see('305 mm', dialog);
    await b.press('Next', dialog);
    await b.see('1 reading taken', dialog);
    await b.press('Skip it', dialog);
    await b.keys(Key.ESCAPE);
    await b.see('Envelope', '.logbook-book');
  });
});

/** What hangs on where it sits: one number is changed, and all of it is seen to change; nothing is written before it is kept. */
describe('the sheets', () => {
  const decides = '[aria-label="What it decides"]';
  const sheet = (tab: string) => b.visit(`/jobs/${desk.job('Brockhurst')}/fit?tab=${tab}`);

  it('a thicker clutch is seen at the bearing at once, beside what it is, and the drawing with it', async () => {
    await sheet('stack');
    await b.see('2.3 mm from bearing to fingers', decides);
    await b.type('Fingers above the friction face, disc clamped, mm', '51');
    const said = await b.see('3.3 mm from bearing to fingers', decides);
    expect(said).toContain('As it is: Adapt');
    await b.press('Release bearing to the fingers', '[aria-label^="From the bell face"]');
    const sum = await b.see(
      'A part of this is taken and not read.',
      '[aria-label^="From the bell face"]',
    );
    expect(sum).toContain('fingers above the friction face');
    // A reading changes by reading: there is nothing to keep.
    expect(await b.text('[aria-label="What if"]')).not.toContain('Keep');
    await b.press('All as it is');
    await b.see('2.3 mm from bearing to fingers', decides);
  });

  it('a number that cannot be is answered at its field, and nothing moves', async () => {
    await b.type('Spacer between crank and plate, mm', 'thick');
    await b.see('thick', '[aria-label="What if"]');
    expect(await b.text(decides)).toContain('2.3 mm from bearing to fingers');
    await b.type('Spacer between crank and plate, mm', '1');
    await b.see('1.3 mm from bearing to fingers', decides);
    await b.press('Keep spacer between crank and plate');
    await b.see('Plates and spacers behind the block', '.logbook-book');
    await b.see('1.3 mm from bearing to fingers', decides);
    expect(await b.text(decides)).not.toContain('As it is');
  });

  it('mounts say left and right, what each carries, and which way of mounting goes', async () => {
    await sheet('mounts');
    await b.see('Boss', '[aria-label="Left mount"]');
    expect(await b.text('[aria-label="Right mount"]')).toMatch(
      /Boss (to the left of|to the right of) its pad/,
    );
    expect(await b.text('[aria-label="What they carry"]')).toMatch(
      /Gearbox, at rest\s+about [\d.]+ kg/,
    );
    expect(await b.text('[aria-label="Ways of mounting"]')).toContain('Fabricated goes');
  });

  it('a cure of the joints is tried with one press', async () => {
    await sheet('driveline');
    await b.type('Wedge under the axle, deg', '3.5');
    const before = await b.see(/Joint angles (Adapt|Clash)/, decides);
    await b.press('Try it', '[aria-label="What cures it"]');
    await b.see('Joint angles Bolts up', decides);
    expect(before).not.toContain('Joint angles Bolts up');
    expect(await b.text('[aria-label="Gears and road speed"]')).toContain('over its limit');
  });

  it('the way in says how it hangs, and a lower hook that it is too low', async () => {
    await sheet('way-in');
    expect(
      await b.see(
        /Engine with gearbox hangs tail down by [\d.]+°/,
        '[aria-label="How it goes in"]',
      ),
    ).toContain('Engine alone');
    await b.type('Highest place of the hook at that boom place, mm', '1800');
    await b.see(/height of the hook \d+ mm short/, decides);
  });
});
