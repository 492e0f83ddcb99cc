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
import { quantile, report, times } from './measure.ts';

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
      const facts = new Map(input.facts).set('cho-unit-lift', {
        parts: { value: lifts[i % 3]! },
        typed: {},
        source: 'assumed',
      });
      new Planner().plan({
        ...input,
        facts,
        jobSchools: i % 2 ? { 'sch-fuel-open-when': 'sch-fuel-open-when-b' } : {},
      });
    };
    for (let i = 0; i < 60; i += 1) plan(i);
    const planned = await times(120, () => Promise.resolve(plan(Math.floor(Math.random() * 6))));
    report({
      name: `a whole plan of ${rules} rules from nothing, median`,
      value: quantile(planned, 0.5),
      unit: 'ms',
      limit: 5,
    });

    // One fact typed: what reads it is computed again, the rest is kept.
    const planner = new Planner();
    const typed = [...input.facts].flatMap(([id, fact]) =>
      Object.entries(fact.parts).flatMap(([key, v]) => (typeof v === 'number' ? [[id, key, v] as const] : [])),
    );
    let facts = input.facts;
    const one = (i: number): void => {
      const [id, key, value] = typed[i % typed.length]!;
      facts = new Map(facts).set(id, {
        parts: { ...facts.get(id)!.parts, [key]: value + (i % 7) },
        typed: {},
        source: 'measured',
      });
      planner.plan({ ...input, facts });
    };
    for (let i = 0; i < 60; i += 1) one(i);
    let turn = 0;
    const changed = await times(200, () => Promise.resolve(one((turn += 1))));
    report({ name: 'the plan after one changed fact, median', value: quantile(changed, 0.5), unit: 'ms', limit: 1 });

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
    report({
      name: 'open a job with 2,000 log lines, p95, beside the bare SQL',
      value: quantile(opened, 0.95),
      unit: 'ms',
      beside: quantile(asked, 0.95),
      limit: 3,
    });

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
      await manager.good(putRecord, {
        params: { jobId: job, kind: 'hold', key },
        body: { commandId: randomUUID(), data: { waitsFor: 'bench' }, revision: 0 },
      });
      await heard;
    });
    await reader.cancel();
    report({
      name: 'a change seen by a client of a second server, p95 (write included)',
      value: quantile(seen, 0.95),
      unit: 'ms',
      limit: 250,
    });

    const floor = await times(40, () => manager.good(jobs.readFloor));
    report({ name: 'the Floor with six jobs, p95', value: quantile(floor, 0.95), unit: 'ms' });

    // First load of the Floor: what index.html asks for, and what the Floor's route adds; script and style, fonts aside.
    const assets = 'web/dist/assets';
    const html = readFileSync('web/dist/index.html', 'utf8');
    const wanted = new Set([...html.matchAll(/assets\/([^"\s]+\.(?:js|css))/g)].map((m) => m[1]!));
    const floorChunk = readdirSync(assets).find((f) => /^FloorPage-.*\.js$/.test(f))!;
    const follow = (file: string): void => {
      if (wanted.has(file) && file !== floorChunk) return;
      wanted.add(file);
      for (const m of readFileSync(`${assets}/${file}`, 'utf8').matchAll(
        /from\s*"\.\/([^"]+\.js)"|import\s*"\.\/([^"]+\.js)"/g,
      ))
        follow((m[1] ?? m[2])!);
    };
    follow(floorChunk);
    const kilobytes = [...wanted].reduce((sum, f) => sum + gzipSync(readFileSync(`${assets}/${f}`)).length, 0) / 1000;
    report({
      name: `first load of the Floor, ${wanted.size} files compressed`,
      value: kilobytes,
      unit: 'kB',
      limit: 250,
    });
  } finally {
    await second.stop();
    await shop.stop();
  }
}
