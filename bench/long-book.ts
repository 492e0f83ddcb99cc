import { sql } from 'kysely';
import { Key } from 'selenium-webdriver';
import { readLog, searchLog } from '@bay/contract/logbook';
import { Browser } from '../e2e/browser.ts';
import { demoJobs, demoManager, runShop } from '../e2e/shop.ts';
import { demoShop } from '../demo/shop.ts';
import { inShop } from '../server/src/db/connection.ts';
import { quantile, report, times } from './measure.ts';

const entries = 20_000;
const limitMs = 300;

/** A book of 20,000 lines on one job: first paint, search, going back through it. */
export async function longBook(): Promise<void> {
  const shop = await runShop(true);
  const b = await Browser.open(shop.server.url);
  try {
    const manager = await demoManager(shop.server);
    const jobId = (await demoJobs(shop.server))('Wendling');
    const me = await manager.good((await import('@bay/contract/crew')).getMe);
    await inShop(shop.server.db, me.shop!.id, (tx) =>
      sql`insert into log_entry (shop_id, job_id, kind, text, by_id, at)
        select ${me.shop!.id}, ${jobId}, (array['note', 'measurement', 'step', 'part', 'hold'])[1 + n % 5],
          'line ' || n || ' about the ' || (array['bell', 'sump', 'loom', 'alternator', 'manifold', 'thermostat', 'crossmember'])[1 + n % 7] || ' on the ' || (array['left', 'right', 'front', 'rear'])[1 + n % 4] ||
          ', ' || (array['tight', 'loose', 'scored', 'measured twice', 'sent back'])[1 + n % 5] || ' with ' || (10 + n % 90) || ' N·m',
          ${me.person!.id}, now() - (${entries} - n) * interval '2 minutes'
        from generate_series(1, ${entries}) n`.execute(tx),
    );
    await sql`select 1`.execute(shop.server.db);
    const page = await times(120, () => manager.good(readLog, { params: { jobId } }));
    report({
      name: `a page of a book of ${entries.toLocaleString('en')} lines, server p95`,
      value: quantile(page, 0.95),
      unit: 'ms',
      limit: limitMs,
    });
    const words = [
      'bell',
      'sump loose',
      'thermostat',
      'manif',
      'scored 41',
      'nothing like this',
      'rear crossmember',
      'sent back',
    ];
    let turn = 0;
    const found = await times(120, () =>
      manager.good(searchLog, { query: { q: words[turn++ % words.length]!, jobId } }),
    );
    report({ name: 'searching it, server p95', value: quantile(found, 0.95), unit: 'ms', limit: limitMs });
    const narrowed = await times(60, () =>
      manager.good(readLog, { params: { jobId }, query: { kind: 'hold', from: '2026-01-01', to: '2036-01-01' } }),
    );
    report({
      name: 'narrowed by kind and day, server p95',
      value: quantile(narrowed, 0.95),
      unit: 'ms',
      limit: limitMs,
    });

    // In the browser: from the click on the Floor to the first painted line, and from the last key to the hits.
    await b.signIn(demoShop.manager.email, demoShop.manager.password);
    await b.driver.manage().setTimeouts({ script: 20_000 });
    const timed = (act: string, shown: string): Promise<number> =>
      b.driver.executeAsyncScript<number>(`
        const done = arguments[arguments.length - 1];
        const start = performance.now();
        ${act}
        const look = () => (${shown}) ? requestAnimationFrame(() => done(performance.now() - start)) : requestAnimationFrame(look);
        look();`);
    const paints: number[] = [];
    for (let i = 0; i < 21; i += 1) {
      await b.driver.executeScript('document.querySelector(".app-brand").click()');
      await b.see('The Yard', '#main');
      paints.push(
        await timed(
          `document.querySelector('a[href*="${jobId}"]').click();`,
          `document.querySelectorAll('.logbook-book-line').length > 3`,
        ),
      );
    }
    // The first time the job's own code is fetched; people do that once a day.
    const warm = paints.slice(1);
    report({
      name: 'the book painted after a click on the Floor, browser p95',
      value: quantile(warm, 0.95),
      unit: 'ms',
      limit: limitMs,
    });
    await b.press('Search', '.logbook-book');
    const field = await b.field('Search this book');
    const searches: number[] = [];
    for (let i = 0; i < 20; i += 1) {
      const word = ['bell', 'sump', 'loom', 'alternator', 'manifold', 'thermostat', 'crossmember'][i % 7]!;
      await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE);
      await b.driver.wait(async () => (await b.count('.logbook-book-line mark')) === 0, 5000);
      const type = `const f = document.querySelector('[aria-label="Search this book"]'); Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(f, '${word}'); f.dispatchEvent(new Event('input', { bubbles: true }));`;
      searches.push(
        await timed(
          type,
          `document.querySelector('.logbook-book-line mark')?.textContent.toLowerCase().startsWith('${word}')`,
        ),
      );
    }
    report({
      name: 'hits painted after the last key (150 ms of it is waiting for the next key), browser p95',
      value: quantile(searches, 0.95),
      unit: 'ms',
      limit: limitMs,
    });
    const nodes = await b.driver.executeScript<number>("return document.querySelectorAll('.logbook-book-line').length");
    report({ name: 'lines that are in the page at once', value: nodes, unit: 'lines', limit: 120 });
  } finally {
    await b.close();
    await shop.stop();
  }
}
