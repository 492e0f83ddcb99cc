import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demoShop } from '../demo/shop.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

let shop: Running;
let b: Browser;
let job: (word: string) => string;

beforeAll(async () => {
  shop = await runShop(true);
  job = await demoJobs(shop.server);
  b = await Browser.open(shop.server.url);
});
afterAll(async () => {
  await b.close();
  await shop.stop();
});

describe('wrong input gets a sentence and loses nothing', () => {
  it('1: a wrong password', async () => {
    await b.go('/');
    await b.type('E-mail', demoShop.manager.email);
    await b.type('Password', 'not the right one');
    await b.press('Sign in', 'form');
    await b.see('E-mail or password is not right.');
    expect(await b.value('E-mail')).toBe(demoShop.manager.email);
    await b.signIn(demoShop.manager.email, demoShop.manager.password);
  });

  it('2: a wrong PIN', async () => {
    await b.tap('.app-who');
    await b.press('Jun Varga', '[role=dialog]');
    await b.type('PIN of Jun Varga', '9999');
    await b.press('Here I am');
    await b.see('That PIN is not right.');
    await b.keys('\uE00C');
  });

  it('3: an identity number with a misread character, and empty fields', async () => {
    await b.visit('/book-in');
    await b.type('Identity number', '1SRR34D25TK018840');
    await b.type('Model year', '1996');
    await b.see('the rest asks for 9');
    await b.press('Book in', 'form');
    await b.see('Nothing typed.');
    expect(await b.value('Identity number')).toBe('1SRR34D25TK018840');
    expect(await b.path()).toBe('/book-in');
  });

  it('4: a torque in a length', async () => {
    await b.visit(`/jobs/${job('Wendling')}/facts?of=recipient&fact=rec-bay-length`);
    await b.see('Wendling', '.app-job-head');
    await b.type('To core rear face, mm', '40 lbft', '[role=dialog]');
    await b.see('"40 lbft" is a torque; a value in mm is wanted.', '[role=dialog]');
    await b.press('Save', '[role=dialog]');
    await b.see('is a torque', '[role=dialog]');
    expect(await b.value('To core rear face, mm')).toBe('40 lbft');
  });

  it('5: a number that could be two', async () => {
    await b.type('To core rear face, mm', '1,234', '[role=dialog]');
    await b.see('can be 1.234 or 1234', '[role=dialog]');
  });

  it('6: a reading that is not one', async () => {
    await b.visit(`/jobs/${job('Sorrel')}/start?tab=find`);
    await b.see('Sorrel', '.app-job-head');
    await b.choose('Or any other', 'Volts at the pump plug while it should run');
    await b.type('Reading, V', 'plenty');
    await b.see('does not start with a number', '.diagnosis-next-test');
    await b.type('Reading, V', '11.4');
    await b.see('Type the battery volts of the same moment.', '.diagnosis-next-test');
    expect(await b.enabled('Record')).toBe(false);
  });

  it('7: a fuse that does not protect its wire', async () => {
    await b.visit(`/jobs/${job('Sorrel')}/connect`);
    await b.see('Sorrel', '.app-job-head');
    await b.press('A circuit of our own');
    await b.type('Circuit', 'heated screen');
    await b.type('Current, A', '8');
    await b.type('Length one way, m', '1.2');
    await b.type('Wire, mm²', '14 AWG');
    await b.type('Fuse, A', '60');
    await b.see(/does not protect 2.08\d* mm²: at most 15 A|does not protect/, '[role=dialog]');
    expect(await b.value('Wire, mm²')).toBe('14 AWG');
  });

  it('8: a gate line with nothing to prove it, a wrong PIN, and the first person as the second', async () => {
    await b.visit(`/jobs/${job('Wendling')}/start?tab=gates&gate=First%20crank`);
    await b.see('Wendling', '.app-job-head');
    await b.press('Prove: Belts, fan, tools, sleeves');
    expect(await b.enabled('Proved, signed')).toBe(false);
    await b.tick('Override this line', '[role=dialog]');
    await b.type('Reason, it stays in the job book', 'too short');
    await b.see('needs a reason of a sentence', '[role=dialog]');
    await b.type('Reason, it stays in the job book', 'the lift is needed elsewhere');
    await b.see('Two people sign this', '[role=dialog]');
    await b.press('Override, signed', '[role=dialog]');
    await b.see('Waits for the second signature', '.app-bench');
    // The other person signs at this tablet: a tap on their name, and their own PIN.
    await b.press('Second signature at this tablet: Belts, fan, tools, sleeves');
    await b.find('[role=dialog] .crew-person-tiles');
    expect(await b.text('[role=dialog]')).not.toContain(demoShop.manager.name);
    await b.press('Osk Tiller', '[role=dialog]');
    await b.type('PIN of Osk Tiller', '9999', '[role=dialog]');
    await b.press('Signed, Osk Tiller', '[role=dialog]');
    await b.see('That PIN is not right.', '[role=dialog]');
    await b.type('PIN of Osk Tiller', '2001', '[role=dialog]');
    await b.press('Signed, Osk Tiller', '[role=dialog]');
    await b.see('second signature Osk Tiller', '.app-bench');
  });

  it('9: shorthand that breaks off is kept as a note with a hint', async () => {
    await b.visit(`/jobs/${job('Wendling')}/scope`);
    await b.see('Wendling', '.app-job-head');
    await b.type('Log bar: write a line, plain or in shorthand', 'bore 3 very wide');
    await b.see(/note\. very wide: .*does not start with a number/, '.logbook-log-bar');
  });

  it('10: an order that stops at a blank', async () => {
    await b.visit(`/jobs/${job('Wendling')}/kit`);
    await b.see('Wendling', '.app-job-head');
    await b.press('Gearbox mount, angle shims and wedges', '.app-bench');
    await b.choose('State', 'Ordered');
    await b.see('Not to be ordered yet: Mount place is not known', '.card-open');
    expect(await b.enabled('Save')).toBe(false);
  });

  it('11: a sum that geometry refuses', async () => {
    await b.visit('/sums?sum=sling');
    await b.type('Load, kg', '400 lb');
    await b.type('Legs', '2');
    await b.type('Leg angle from level, deg', '20');
    await b.see('A leg flatter than 30° from level is refused');
  });

  it('12: an address that does not exist', async () => {
    await b.go('/nowhere/at/all');
    await b.see('Nothing at this address');
    await b.go('/jobs/00000000-0000-4000-8000-00000000ffff/fit');
    await b.see('This job is not here.');
  });

  it('a handed-over step cannot be done before what it needs', async () => {
    await b.visit(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with', '.app-bench');
    await b.driver.executeScript(
      `[...document.querySelectorAll('.counts button')].find((e) => / open:/.test(e.getAttribute('aria-label'))).click()`,
    );
    const held = await b.see('Held: after', '.app-bench');
    expect(held).toContain('Hook on, slack taken');
    // Done all the same it says why; the server takes nothing less.
    await b.press(
      'Done anyway: Mount fasteners, lower then upper; studs that still trap the mount marked "free but captive"',
    );
    await b.see('Done although it is held', '[role=dialog]');
    await b.type(
      'Why it was done all the same',
      'it hung on the crane of the last shop',
      '[role=dialog]',
    );
    await b.press('Write it', '[role=dialog]');
    await b.see('Waits for the second signature; until then it frees nothing.', '.app-bench');
    await b.see('out of its order: it hung on the crane', '.logbook-book');
    expect(await b.complaints()).toEqual([]);
  });
});
