import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { undoSeconds } from '@bay/contract/logbook';
import { demoShop } from '../demo/shop.ts';
import { phonePhoto } from '../server/src/testing/pictures.ts';
import { Browser } from './browser.ts';
import { demoJobs, runShop } from './shop.ts';
import type { Running } from './shop.ts';

/** The record that many hands share, as a person uses it. */

let shop: Running;
let b: Browser;
let job: (word: string) => string;
let folder: string;
const files: string[] = [];
const bar = 'Log bar: write a line, plain or in shorthand';

beforeAll(async () => {
  shop = await runShop(true);
  job = await demoJobs(shop.server);
  folder = await mkdtemp(join(tmpdir(), 'bay-photos-'));
  for (const name of ['one.jpg', 'two.jpg']) {
    files.push(join(folder, name));
    await writeFile(files.at(-1)!, await phonePhoto(640, 480));
  }
  files.push(join(folder, 'letter.jpg'));
  await writeFile(files.at(-1)!, 'this is no picture');
  b = await Browser.open(shop.server.url);
  await b.signIn(demoShop.manager.email, demoShop.manager.password);
});
afterAll(async () => {
  await b.close();
  await shop.stop();
  await rm(folder, { recursive: true, force: true });
});

const write = async (line: string) => {
  await b.type(bar, line);
  await b.press('Write');
};
const selection = () =>
  b.driver.executeScript<string>(
    'const e = document.activeElement; return e.value === undefined ? "" : e.value.slice(e.selectionStart, e.selectionEnd)',
  );

describe('the log bar', () => {
  it('names what it took, and Tab goes from piece to piece', async () => {
    await b.visit(`/jobs/${job('Brockhurst')}/prep`);
    await b.see('3.0 turbo-diesel six', '.app-bench');
    await b.type(bar, 'torque main caps 5 30 Nm + 90 deg');
    await b.see('torque: main caps, bolt 5, 30 N·m', '.logbook-log-bar');
    await b.keys(Key.TAB);
    expect(await selection()).toBe('main caps');
    await b.keys(Key.TAB);
    expect(await selection()).toBe('5');
    await b.keys('6');
    await b.see('bolt 6, 30 N·m', '.logbook-log-bar');
    await b.keys(Key.ENTER);
    await b.see('torque: main caps, bolt 6', '.logbook-book');
  });

  it('points at the word that broke a line', async () => {
    await b.type(bar, 'moved the radio to shelf 1');
    await b.see('No part has the words "the radio"', '.logbook-log-bar');
    await b.keys(Key.TAB);
    expect(await selection()).toBe('the radio');
  });

  it('suggests what a line belongs to, and that thing shows it in its history', async () => {
    await b.visit(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with 2.2 four', '.app-bench');
    await b.type(bar, 'penetrating oil gone, studs still seized');
    // Two open steps speak of seized studs: it is offered, and taken by a tap.
    await b.press('belongs to Penetrating oil', '.logbook-log-bar');
    await b.see('belongs to: Penetrating oil', '.logbook-log-bar');
    await b.press('Write');
    await b.see('studs still seized', '.logbook-book');
    await b.press('Penetrating oil on exhaust studs', '.app-bench');
    await b.press('History: Penetrating oil on exhaust studs');
    await b.see('studs still seized', '.logbook-history-lines');
  });

  it('turns one line into a bag, a decision, a question', async () => {
    await write('bagged 4 mount bolts M12 x 45, bag 088, shelf E2');
    await b.see('bagged 4 mount bolts M12 x 45, bag 088, shelf E2', '.logbook-book');
    await write('decided: pipe cut over pipe saved, because both studs are gone');
    await b.see('decided: pipe cut over pipe saved', '.logbook-book');
    await write('@OT where is the stud puller?');
    await b.see('asked of Osk Tiller: where is the stud puller?', '.logbook-book');
    await b.visit(`/jobs/${job('Larkfield')}/takeover`);
    const sheet = await b.see('Where things are', '.handover-takeover');
    expect(sheet).toContain('bag 088');
    expect(sheet).toContain('where is the stud puller?');
  });
});

describe('undo', () => {
  /** Half a minute is given to take something back: where the machine needed longer, the same is done once more. */
  async function inTime(act: () => Promise<string>): Promise<void> {
    for (let tries = 1; ; tries += 1) {
      const began = Date.now();
      try {
        await b.see(await act(), '.logbook-book');
        return;
      } catch (error) {
        if (tries === 4 || Date.now() - began < (undoSeconds * 1000) / 2) throw error;
      }
    }
  }

  it('takes the last thing back by its button and by Ctrl Z', async () => {
    await b.visit(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with 2.2 four', '.app-bench');
    await inTime(async () => {
      await write('written by mistake');
      await b.see('Line written', '.undo-strip');
      await b.press('Undo', '.undo-strip');
      return 'undone: written by mistake';
    });
    // A try that took too long leaves its step begun.
    const begun = async () => ((await b.text('.app-bench')) ?? '').split('On it,').length;
    let before = 0;
    await inTime(async () => {
      before = await begun();
      await b.press('Start', '.step.free');
      await b.see('Step started', '.undo-strip');
      await b.wait(async () => (await begun()) > before);
      await b.driver.executeScript('document.activeElement.blur()');
      await b.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
      return 'undone: started: ';
    });
    await b.wait(async () => (await begun()) === before);
  });
});

describe('the book', () => {
  it('is searched by words, with the hit marked, on this job and on all', async () => {
    await b.visit(`/jobs/${job('Wendling')}/fit`);
    await b.see('Wendling', '.app-job-head');
    await b.press('Search', '.logbook-book');
    await b.type('Search this book', 'radiator hose');
    await b.see('tried: radiator hose of the estate', '.logbook-book-lines');
    await b.find('.logbook-book-lines mark');
    await b.visit('/logbook?q=ridge');
    expect(await b.see('Journal 4', '.panel')).toContain('1971 Brockhurst flat-bed');
  });

  it('is narrowed by kind', async () => {
    await b.visit(`/jobs/${job('Wendling')}/fit`);
    await b.see('Wendling', '.app-job-head');
    await b.press('Search', '.logbook-book');
    await b.choose('Kind', 'Bags of bolts');
    await b.see('bag 032', '.logbook-book-lines');
    await b.unseen('judged', '.logbook-book-lines');
    await b.press('The whole book', '.logbook-book');
    await b.see('held: waits for bell adapter plate', '.logbook-book-lines');
  });

  it('goes back page by page to its first line', async () => {
    await b.visit(`/jobs/${job('Wendling')}/fit`);
    await b.see('held: waits for bell adapter plate', '.logbook-book-lines');
    const first = async () => {
      await b.driver.executeScript('document.querySelector(".logbook-book-lines").scrollTop = 0');
      return (await b.text('.logbook-book-lines'))?.includes('booked in: 1982 Wendling camper');
    };
    await b.wait(first, 30_000, 'the first line never came');
  });

  it('keeps both wordings of a line that was corrected, and strikes what was wrong', async () => {
    await b.visit(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Larkfield', '.app-job-head');
    await write('gap is 14 mm');
    await b.see('gap is 14 mm', '.logbook-book');
    const open = () =>
      b.driver.executeScript(
        '[...document.querySelectorAll(".logbook-book .logbook-entry")].at(-1).click()',
      );
    await open();
    await b.press('Correct', '.logbook-book');
    await b.type('How it should read', 'gap is 41 mm', '[role=dialog]');
    await b.press('Correct it', '[role=dialog]');
    await b.see('gap is 41 mm', '.logbook-book');
    await b.see('Written: gap is 14 mm', '.logbook-book');
    await b.press('Strike', '.logbook-book');
    await b.type('Why', 'wrong car', '[role=dialog]');
    await b.press('Strike it', '[role=dialog]');
    await b.see('Struck: wrong car', '.logbook-book');
    expect(await b.count('.logbook-book-line.out s')).toBeGreaterThan(0);
  });
});

describe('photos', () => {
  it('several at once, what is no picture is said, and a pin is set with the keyboard', async () => {
    await b.visit(`/jobs/${job('Larkfield')}/photos`);
    await b.see('No photo yet', '.app-bench');
    await b.chooseFiles('Photo', ...files);
    await b.see('3 of 3 photos', '.logbook-uploads');
    const said = await b.see('no picture that can be read', '.logbook-uploads');
    expect(said).toMatch(/one\.jpg: in the book/);
    await b.press('Close', '.logbook-uploads');
    await b.wait(async () => (await b.count('.logbook-photo-grid li')) === 2);
    await b.press('Photo: no words yet', '.logbook-photo-grid');
    await b.type('What the photo shows', 'front pipe');
    await b.press('Keep', '.logbook-photo-side');
    await b.see('front pipe', '.logbook-photo-grid');
    await b.press('Set a pin');
    await b.driver.executeScript('document.querySelector(".logbook-pinned").focus()');
    await b.keys(Key.ARROW_LEFT, Key.ARROW_UP, Key.ENTER);
    await b.type('In words', 'stud 3, seized');
    await b.press('Set it');
    await b.see('stud 3, seized', '.logbook-pin-list');
    await b.find('.logbook-pinned .logbook-pin-number[aria-label^="Pin 1"]');
    await b.see('pin 1, bag: stud 3, seized', '.logbook-book');
  });
});

describe('taking over, clocks, waiting', () => {
  it('the sheet says what is in the middle, what is provisional, and what was done since', async () => {
    await b.visit(`/jobs/${job('Brockhurst')}/takeover`);
    const sheet = await b.see('Since you were last on it', '.handover-takeover');
    expect(sheet).toMatch(/Bores, cylinder 4: 2 of 6 read/);
    expect(sheet).toContain('Battery disconnected');
    await b.press('Add one', '.handover-takeover');
    await b.type('What', 'sump, 4 bolts', '[role=dialog]');
    await b.press('Write it down', '[role=dialog]');
    await b.see('sump, 4 bolts', '.handover-provisional');
    await b.press('I take over');
    await b.see('Nothing was written since.', '.handover-takeover');
    await b.visit(`/jobs/${job('Brockhurst')}/start?tab=gates&gate=First%20crank`);
    await b.see('Provisional: sump, 4 bolts', '.app-bench');
  });

  it('a question is answered where it waits', async () => {
    await b.visit('/waiting');
    await b.type('Answer: may the hatch edge be cut back by 12 mm?', 'yes, deburr and paint it');
    await b.press('Answer', '#main li:last-child');
    await b.unseen('may the hatch edge', '#main');
    await b.see('1 waits for you', '.app-top');
    await b.press('Approve');
    await b.see('Nobody waits for you', '#main');
  });

  it('on a phone, one tap starts a step and its clock, another ends both', async () => {
    await b.size(390, 844);
    await b.switchTo('Osk Tiller', '2001');
    // A technician's phone opens at their own bench.
    await b.visit('/');
    await b.see('dowels checked for length', '.crew-bench-step.big');
    await b.press('Done', '.crew-bench-step.big');
    await b.see('You are on nothing', '#main');
    await b.press('Start: ', '#main');
    await b.find('.crew-bench-step.big .crew-bench-clock');
    await b.press('Pause', '.crew-bench-step.big');
    await b.see('You are on nothing', '#main');
    await b.press('Write it down');
    await b.type('Line', 'found: thread pulled', '[role=dialog]');
    await b.see('finding: thread pulled', '[role=dialog]');
    await b.press('Write', '[role=dialog]');
    await b.wait(async () => (await b.count('[role=dialog]')) === 0);
    expect(await b.tooWide()).toBe(false);
  });

  it('the hours stand beside the estimate, and a clock is corrected with a reason', async () => {
    await b.size(1280, 800);
    await b.visit(`/jobs/${job('Wendling')}/hours`);
    await b.see('dowels checked for length', '.app-bench');
    await b.press('By person');
    await b.see('Osk Tiller', '.data');
    await b.press('Correct the clock: ');
    await b.type('Why', 'tapped late', '[role=dialog]');
    await b.press('Correct it', '[role=dialog]');
    await b.see('Osk Tiller: tapped late', '.app-bench');
  });
});

describe('a person with another name', () => {
  const rename = async (from: string, to: string, initials: string) => {
    await b.visit('/crew');
    await b.press(`Name, PIN, password, leaving: ${from}`);
    await b.type('Name', to, '[role=dialog]');
    await b.type('Initials', initials, '[role=dialog]');
    await b.press('Set the name', '[role=dialog]');
    await b.wait(async () => (await b.count('[role=dialog]')) === 0);
    await b.see(to, '#main');
  };
  it('keeps what they wrote, under the name they have now', async () => {
    await b.switchTo('Maren Holt', '1000');
    await rename('Rafe Songhurst', 'Rafe Linden', 'RL');
    await b.visit('/logbook?q=drained');
    await b.see(/RL drained: 6.2 L coolant/, '#main');
    await rename('Rafe Linden', 'Rafe Songhurst', 'RS');
    await b.visit('/logbook?q=drained');
    await b.see(/RS drained: 6.2 L coolant/, '#main');
  });
});

describe('the whole book as a table', () => {
  it('is one click away from searching it', async () => {
    await b.visit(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Larkfield', '.app-job-head');
    await b.press('Search', '.logbook-book');
    const table = await b.driver.executeAsyncScript<string>(
      'const done = arguments[0]; fetch(document.querySelector(".logbook-book-table").href).then((r) => r.text()).then(done, (e) => done(String(e)))',
    );
    expect(table.split('\r\n')[0]).toBe('when,kind,station,who,line,marks');
    expect(table).toContain('Rafe Songhurst,drained: 6.2 L coolant');
  });
});

describe('the customer', () => {
  it('opens a link, sees how it goes, and answers', async () => {
    await b.visit(`/jobs/${job('Wendling')}/takeover`);
    await b.see('Wendling', '.app-job-head');
    await b.press('Ask', '.handover-takeover');
    await b.choose('What is asked', 'An approval');
    await b.choose('Of whom', 'The customer, by their link');
    await b.type('In words', 'Shall we renew the clutch while it is out', '[role=dialog]');
    await b.type('Amount, before tax, EUR', '380', '[role=dialog]');
    await b.type('What happens without it', 'the engine comes out again for it', '[role=dialog]');
    await b.press('Ask', '[role=dialog]');
    await b.visit(`/jobs/${job('Wendling')}/hand-over`);
    await b.see('Wendling', '.app-job-head');
    await b.press('Make a link');
    const shown = await b.see('/c/', '.break-all');
    const path = /\/c\/[\w-]+/.exec(shown)![0];
    const customer = await Browser.open(shop.server.url);
    try {
      await customer.go(path);
      const view = await customer.see('Shall we renew the clutch while it is out: 456');
      // The tax of the shop, 20 %, is in what is agreed to.
      expect(view).toContain('with 20 % tax, 380');
      expect(view).toContain('Without it: the engine comes out again for it');
      expect(view).toContain('It waits for bell adapter plate');
      expect(view).not.toContain('Osk');
      expect(await customer.axe()).toEqual([]);
      await customer.press('Yes, go on');
      await customer.see('You said yes');
    } finally {
      await customer.close();
    }
    await b.see('the customer says yes: Shall we renew the clutch', '.logbook-book');
    expect(await b.complaints()).toEqual([]);
  });
});
