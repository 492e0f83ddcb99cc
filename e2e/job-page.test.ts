import { writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Key } from 'selenium-webdriver';
import { openDesk } from './shop.ts';
import type { Desk } from './shop.ts';

/** The frame of a job: line, ribbon, entry line, foot, and what keys do. */

let desk: Desk;
let b: Desk['b'];
let job: Desk['job'];
let at: Desk['at'];
const bar = 'Log bar: write a line, plain or in shorthand';
const book = '.logbook-book';

beforeAll(async () => {
  desk = await openDesk();
  ({ b, job, at } = desk);
});
afterAll(() => desk.close());

describe('an address that leads nowhere', () => {
  it('of a view falls back to where the job stands, with a word', async () => {
    await b.go(`/jobs/${job('Wendling')}/nonsense`);
    await b.see('This job has no view called "nonsense". This is Fit.', '.app-bench');
    expect(await b.path()).toMatch(/\/fit$/);
  });
  it('of a tab or of a place says so too', async () => {
    await b.go(`/jobs/${job('Wendling')}/start?tab=nonsense`);
    await b.see('There is nothing called "nonsense" here. This is Gates.', '.app-bench');
    await b.go(`/jobs/${job('Wendling')}/fit?at=fit-nonsense`);
    await b.see('There is no place called "fit-nonsense" on this job.', '.app-bench');
  });
});

describe('the ribbon', () => {
  it('names what holds the job, and everything else behind it', async () => {
    await at('Wendling', 'fit');
    await b.see('Held: bell adapter plate', '.app-ribbon');
    await b.press('3 more');
    const all = await b.see('What holds the job', '[role=dialog]');
    expect(all).toContain('2 clashes open: Highest points to hood');
    expect(all).toContain('asked of Jun Varga');
    await b.keys(Key.ESCAPE);
    await b.unseen('What holds the job');
  });
  it('proves the first line of the next gate where it stands', async () => {
    await b.press('Prove: ', '.app-ribbon');
    await b.see('Proof wanted', '[role=dialog]');
    await b.press('Shut this');
  });
  it('what arrives moves its order and its hold together', async () => {
    await b.press('Arrived: bell adapter plate');
    await b.see('arrived: bell adapter plate', book);
    await b.unseen('Held: bell adapter plate', '.app-ribbon');
    await at('Wendling', 'kit');
    await b.choose('State of the order', 'Here');
    await b.see('Adapter plate or adapter bell', '.app-bench');
  });
  it('a question is answered there by whom it waits for', async () => {
    await at('Wendling', 'fit');
    await b.press('2 more');
    await b.press('Answer it: may the hatch edge', '[role=dialog]');
    await b.type('Answer: may the hatch edge be cut back by 12 mm?', 'yes, 10 mm and no more');
    await b.keys(Key.TAB, Key.ENTER);
    await b.see('yes, 10 mm and no more', book);
  });
});

describe('a step that waits for something', () => {
  it('is held by the hold that belongs to it, says so, and is free when it is here', async () => {
    await at('Larkfield', 'pull');
    await b.type(bar, 'held: chocks of the other lift, two wheels');
    // A hold is never kept with a step unasked.
    await b.press('belongs to ', '.logbook-log-bar');
    await b.press('Write');
    await b.see('waits for chocks of the other lift', book);
    await b.driver.executeScript(
      `[...document.querySelectorAll('.counts button')].find((e) => / open:/.test(e.getAttribute('aria-label'))).click()`,
    );
    await b.see('Held: waits for chocks of the other lift', '.app-bench');
    await b.press('1 more', '.app-ribbon');
    await b.press('Release: chocks of the other lift', '[role=dialog]');
    await b.unseen('Held: waits for chocks of the other lift', '.app-bench');
    await b.keys(Key.ESCAPE);
  });
});

describe('the entry line', () => {
  /** Empties it as a person does, so that nothing is left for the next. */
  const clear = async (): Promise<void> => {
    await b.type(bar, 'x');
    await b.keys(Key.BACK_SPACE, Key.ESCAPE);
  };
  it('keeps what is being written through another page and a reload', async () => {
    await at('Brockhurst', 'prep');
    await b.type(bar, 'bore 4 84.0');
    await at('Brockhurst', 'fit');
    expect(await b.value(bar)).toBe('bore 4 84.0');
    await b.go(`/jobs/${job('Brockhurst')}/prep`);
    await b.see('Bores', '.app-bench');
    expect(await b.value(bar)).toBe('bore 4 84.0');
    // Of another job it is not.
    await at('Larkfield', 'pull');
    expect(await b.value(bar)).toBe('');
    await at('Brockhurst', 'prep');
    await clear();
  });
  it('offers lines of the station to begin from, and says what is only a note', async () => {
    await b.keys(Key.ESCAPE);
    await b.keys('/');
    await b.press('torque main caps 3 30 Nm + 90 deg', '.logbook-log-bar');
    await b.see(/joint\s+main caps/, '.logbook-log-bar');
    await b.type(bar, 'cyl 3 is 12 mm off');
    await b.see('Only a note', '.logbook-log-bar');
    await clear();
  });
});

describe('signing a station', () => {
  it('says what is open, and asks about it', async () => {
    await at('Corvane', 'scope');
    await b.see('Still open at Scope', '.app-foot');
    await b.press('Sign Scope');
    const asked = await b.see('Sign Scope with this open', '[role=dialog]');
    expect(asked).toMatch(/\d+ facts still asked for/);
    await b.press('Sign it all the same');
    await b.see('signed: Scope', book);
    // Who signed goes on with the job.
    await b.wait(async () => (await b.path()).endsWith('/donor'), undefined, 'stays at Scope');
    await at('Corvane', 'scope');
    await b.see('Scope is signed.', '.app-bench');
  });
});

describe('a station by keyboard alone', () => {
  it('j and k go along the steps, x ticks, s starts, x again takes the tick back', async () => {
    await b.go(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with', '.app-bench');
    await b.keys('j', 'j', 'j');
    const here = () =>
      b.driver.executeScript<string>(
        "return document.activeElement.closest('.step')?.id ?? 'nowhere'",
      );
    const third = await here();
    expect(third).toMatch(/^rm-/);
    await b.keys('k');
    expect(await here()).not.toBe(third);
    await b.keys('j');
    await b.keys('x');
    await b.see('done: ', book);
    await b.wait(
      async () => (await b.count(`#${third}`)) === 0 || (await b.count(`#${third}.done`)) === 1,
    );
    await b.keys('k', 's');
    await b.see('started: ', book);
  });
});

describe('facts', () => {
  it('are asked for one after the other, and Enter goes on', async () => {
    await at('Wendling', 'facts');
    await b.press('Next fact, ');
    const first = await b.text('[role=dialog] h2, [role=dialog] .mantine-Modal-title');
    await b.press('Skip it', '[role=dialog]');
    await b.wait(
      async () => (await b.text('[role=dialog] h2, [role=dialog] .mantine-Modal-title')) !== first,
    );
    await b.press('Shut this');
  });
  it('come from a table, looked over first; what cannot be read is named', async () => {
    const file = join(tmpdir(), `facts-${process.pid}.csv`);
    await writeFile(
      file,
      'fact,value of,typed,unit,source,note,id\nBay width,,812 mm,mm,measured,,rec-bay-width:between-towers-at-head-height\nCar mass,,heavy,kg,,,rec-mass-axles:front\n',
    );
    await at('Corvane', 'facts');
    await b.chooseFiles('Table of facts: choose a file', file);
    const asked = await b.see('Facts from a table', '[role=dialog]');
    expect(asked).toContain('1 fact new or changed');
    expect(asked).toMatch(/Row 3: /);
    await b.press('Write 1 fact', '[role=dialog]');
    await b.see('1 of 1 fact written', '[role=dialog]');
    await b.press('Close', '[role=dialog]');
    await b.see('812 mm', '.app-bench');
  });
});

describe('long lists', () => {
  it.each([
    [
      'Wendling',
      'donor',
      'Find a part, a label, a place',
      'C-104',
      'Two keys, tagged',
      'Accelerator pedal',
    ],
    ['Sorrel', 'connect', 'Find a circuit or a label', 'fan', /fan/i, 'glow'],
    [
      'Brockhurst',
      'prep?tab=look',
      'Find what to look at',
      'chain',
      /chain/i,
      'Journal 4 polished',
    ],
  ] as const)('%s/%s is searched by words', async (word, path, field, typed, found, gone) => {
    await at(word, path);
    await b.type(field, typed);
    await b.see(found, '.app-bench');
    await b.unseen(gone, '.app-bench');
    await b.type(field, 'nothing is called so');
    await b.see('Nothing here has "nothing is called so".', '.app-bench');
  });
});

describe('the frame', () => {
  it('leaves a phone four fifths of its height, and makes room while one reads on', async () => {
    await b.size(390, 844);
    await b.go(`/jobs/${job('Larkfield')}/pull`);
    await b.see('Out with', '.app-bench');
    const frame = await b.driver.executeScript<number>(
      "return ['.app-top', '.app-line', '.logbook-log-bar'].reduce((sum, css) => sum + document.querySelector(css).getBoundingClientRect().height, 0) / innerHeight",
    );
    expect(frame).toBeLessThan(0.2);
    await b.driver.executeScript('scrollTo(0, 900)');
    await b.wait(async () => (await b.count('.app-top[data-away]')) === 1);
    await b.driver.executeScript('scrollTo(0, 400)');
    await b.wait(async () => (await b.count('.app-top[data-away]')) === 0);
  });
  it('keeps the entry line in sight at every size, whatever stands above it', async () => {
    for (const [width, height] of [
      [768, 1024],
      [820, 1180],
      [1280, 800],
      [1920, 1080],
    ] as const) {
      await b.size(width, height);
      const bottom = await b.driver.executeScript<number>(
        "return innerHeight - document.querySelector('.logbook-log-bar').getBoundingClientRect().bottom",
      );
      expect(Math.round(bottom)).toBe(0);
    }
  });
});

describe('find or do', () => {
  const look = async (words: string): Promise<void> => {
    await b.driver.actions().keyDown(Key.CONTROL).sendKeys('k').keyUp(Key.CONTROL).perform();
    await b.find('[role=dialog] input');
    await b.keys(words);
  };
  it.each([
    ['bay length', 'Bay length', 'facts'],
    ['highest points hood', 'Highest points to hood', 'fit'],
    ['bag 031', 'bag 031', 'takeover'],
    ['photo bell face', 'Bell face', 'photos'],
    ['wire size', 'Wire size', 'sums'],
    ['della', 'Della Pruitt', 'crew'],
  ])('"%s" is found, and Enter goes there', async (words, title, path) => {
    await b.size(1280, 800);
    await b.go(`/jobs/${job('Wendling')}/fit`);
    await b.find('.app-bench h2');
    await look(words);
    await b.see(title, '[role=dialog] [role=listbox]');
    await b.keys(Key.ENTER);
    await b.wait(async () => (await b.path()).endsWith(path), undefined, `not at ${path}`);
  });
  it('what has a button here is done from there', async () => {
    await b.go(`/jobs/${job('Wendling')}/hours`);
    await b.see('Every clock', '.app-bench');
    await look('clock on');
    await b.see('on this page', '[role=dialog] [role=listbox]');
    await b.keys(Key.ENTER);
    await b.see('Clock on', '[role=dialog] .mantine-Modal-title');
    await b.find('[role=dialog] form');
  });
});
