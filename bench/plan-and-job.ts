import { readFileSync, readdirSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { planInputOf, Planner } from '@bay/core/plan';
import { pullSteps } from '@bay/core/pull';
import { interfaces } from '@bay/core/fit';
import { kitLines } from '@bay/core/kit';
import { gateLines } from '@bay/core/commissioning';
import { usualCircuits } from '@bay/core/systems';
import * as jobs from '@bay/contract/jobs';
import { putRecord } from '@bay/contract/records';
import { inShop } from '../server/src/db/connection.ts';
import { bareSheet } from '../server/src/sheet/store.ts';
import { startServer } from '../server/src/testing/harness.ts';
import { demoJobs, demoManager, runShop } from '../e2e/shop.ts';
import { ms, quantile, report, times } from './measure.ts';

/** The plan, opening a job, a change seen elsewhere, the first load. */
export async function planAndJob(): Promise<void> {
  const shop = await runShop(true);
  const second = await startServer(shop.server.databaseUrl);
  try {
    const manager = await demoManager(shop.server);
    const job = (await demoJobs(shop.server))('Wendling');
    const sheet = await manager.good(jobs.readJob, { params: { jobId: job } });
    const me = await manager.good((await import('@bay/contract/crew')).getMe);
    const shopId = me.shop!.id;

    // The plan: every rule of the content, on a job with many facts; one choice changes each time, so that steps change too.
    const rules = interfaces.length + kitLines.length + pullSteps.length * 2 + gateLines.length + usualCircuits.length;
    const input = planInputOf({ jobId: job, ...sheet });
    const lifts = ['engine-alone', 'engine-and-gearbox', 'on-subframe'];
    const plan = (i: number): void => {
      const facts = new Map(input.facts).set('cho-unit-lift', { parts: { value: lifts[i % 3]! }, typed: {}, source: 'assumed' });
      new Planner().plan({ ...input, facts, jobSchools: i % 2 ? { 'sch-fuel-open-when': 'sch-fuel-open-when-b' } : {} });
    };
    for (let i = 0; i < 60; i += 1) plan(i);
    const planned = await times(120, () => Promise.resolve(plan(Math.floor(Math.random() * 6))));
    report(`recompute a plan of ${rules} rules, median`, ms(quantile(planned, 0.5)), '5 ms for 300 rules', quantile(planned, 0.5) < 5);

    // Opening a job with 2,000 lines in its book, beside the bare SQL that it needs.
    await inShop(shop.server.db, shopId, async (tx) => {
      const row = (i: number) => ({
        shop_id: shopId,
        job_id: job,
        kind: 'note',
        station: null,
        text: `line number ${i} of a long book about the engine mount on the left`,
        about: null,
        data: '{}',
        by_id: me.person!.id,
      });
      for (let i = 0; i < 2000; i += 500)
        await tx
          .insertInto('log_entry')
          .values(Array.from({ length: 500 }, (_, n) => row(i + n)))
          .execute();
    });
    const bearers = [job, ...sheet.units.map((u) => u.id)];
    const open = () => manager.good(jobs.readJob, { params: { jobId: job } });
    const bare = () =>
      inShop(shop.server.db, shopId, async (tx) => {
        for (const question of bareSheet(job, bearers)) await question.execute(tx);
      });
    await times(30, open);
    await times(30, bare);
    const opened: number[] = [];
    const asked: number[] = [];
    for (let i = 0; i < 150; i += 1) {
      asked.push(...(await times(1, bare)));
      opened.push(...(await times(1, open)));
    }
    const ratio = quantile(opened, 0.95) / quantile(asked, 0.95);
    report(
      'open a job with 2,000 log lines, p95 over that of the bare SQL',
      `${ms(quantile(opened, 0.95))} / ${ms(quantile(asked, 0.95))} = ${ratio.toFixed(2)}`,
      '3',
      ratio <= 3,
    );

    // A change written at one process, seen by a client of another.
    const stream = await fetch(`${second.url}/api/events`, { headers: { cookie: manager.cookie } });
    const reader = stream.body!.getReader();
    const decoder = new TextDecoder();
    await reader.read();
    const seen = await times(100, async () => {
      const key = randomUUID();
      const heard = (async () => {
        for (let text = ''; !text.includes(key);) text += decoder.decode((await reader.read()).value);
      })();
      await manager.good(putRecord, { params: { jobId: job, kind: 'hold', key }, body: { commandId: randomUUID(), data: { waitsFor: 'bench' }, revision: 0 } });
      await heard;
    });
    await reader.cancel();
    report('a change seen by a client of a second server, p95 (write included)', ms(quantile(seen, 0.95)), '250 ms', quantile(seen, 0.95) < 250);

    const floor = await times(40, () => manager.good(jobs.readFloor));
    report('the Floor with six jobs, p95', ms(quantile(floor, 0.95)), 'none set', true);

    // First load of the Floor: what index.html asks for, and what the Floor's route adds; script and style, fonts aside.
    const assets = 'web/dist/assets';
    const html = readFileSync('web/dist/index.html', 'utf8');
    const wanted = new Set([...html.matchAll(/assets\/([^"]+\.(?:js|css))/g)].map((m) => m[1]!));
    const floorChunk = readdirSync(assets).find((f) => /^FloorPage-.*\.js$/.test(f))!;
    const follow = (file: string): void => {
      if (wanted.has(file) && file !== floorChunk) return;
      wanted.add(file);
      for (const m of readFileSync(`${assets}/${file}`, 'utf8').matchAll(/from\s*"\.\/([^"]+\.js)"|import\s*"\.\/([^"]+\.js)"/g)) follow((m[1] ?? m[2])!);
    };
    follow(floorChunk);
    const kilobytes = [...wanted].reduce((sum, f) => sum + gzipSync(readFileSync(`${assets}/${f}`)).length, 0) / 1000;
    report(`first load of the Floor, ${wanted.size} files compressed`, `${kilobytes.toFixed(0)} kB`, '280 kB', kilobytes < 280);
  } finally {
    await second.stop();
    await shop.stop();
  }
}
