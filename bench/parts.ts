import { sql } from 'kysely';
import { computePlan, planInputOf, stepList } from '@bay/core/plan';
import { orderSteps } from '@bay/core/rules';
import * as jobs from '@bay/contract/jobs';
import { getMe } from '@bay/contract/crew';
import { listStore } from '@bay/contract/parts';
import { inShop } from '../server/src/db/connection.ts';
import { demoJobs, demoManager, runShop } from '../e2e/shop.ts';
import { quantile, report, times } from './measure.ts';

/** Steps laid out and planned anew, a store of many parts searched, labels by the dozen. */
export async function parts(): Promise<void> {
  const shop = await runShop(true);
  try {
    const manager = await demoManager(shop.server);
    const job = (await demoJobs(shop.server))('Wendling');
    const sheet = await manager.good(jobs.readJob, { params: { jobId: job } });
    const me = await manager.good(getMe);

    const input = planInputOf({ jobId: job, ...sheet });
    const lists = ['donor', 'pull', 'prep', 'fit'] as const;
    const lifts = ['engine-alone', 'engine-and-gearbox', 'on-subframe'];
    let steps = 0;
    let turn = 0;
    const replan = (): Promise<void> => {
      turn += 1;
      const choice = { parts: { value: lifts[turn % 3]! }, typed: {}, source: 'assumed' as const };
      const plan = computePlan({ ...input, facts: new Map(input.facts).set('cho-unit-lift', choice) });
      steps = lists.reduce((sum, id) => sum + stepList(plan, id, {}).states.size, 0);
      return Promise.resolve();
    };
    await times(30, replan);
    const replanned = await times(60, replan);
    report({
      name: `${steps} steps of four lists planned anew, p95`,
      value: quantile(replanned, 0.95),
      unit: 'ms',
      limit: 50,
    });

    // A graph as dense as that of a pull, with 250 steps.
    const graph = Array.from({ length: 250 }, (_, i) => ({
      id: `s${i}`,
      rank: i % 8,
      after: [3, 17, 41].filter((n) => i >= n).map((n) => `s${i - n}`),
      before: [],
      needs: [],
    }));
    const ordered = await times(60, () => Promise.resolve(orderSteps(graph, [])));
    report({ name: 'a graph of 250 steps ordered, p95', value: quantile(ordered, 0.95), unit: 'ms', limit: 50 });

    const shopId = me.shop!.id;
    const whose = me.person!.id;
    await inShop(shop.server.db, shopId, async (tx) => {
      await sql`insert into part (shop_id, id, job_id, key, take_id, title, condition, label, place, revision, by_id)
        select ${shopId}, gen_random_uuid(), ${job}, 'bench-' || n, 'take-' || n,
          (array['alternator', 'bracket of the pump', 'wing, left', 'loom branch', 'seat rail', 'throttle body'])[1 + n % 6] || ' ' || n,
          'good', 'Q-' || n, 'shelf ' || (n % 60), 1, ${whose} from generate_series(1, 5000) n`.execute(tx);
      await sql`insert into bag (shop_id, id, job_id, key, what, label, place, revision, by_id)
        select ${shopId}, gen_random_uuid(), ${job}, 'bench-bag-' || n, 'bolts of joint ' || n, 'B-' || n, 'shelf ' || (n % 9), 1, ${whose}
          from generate_series(1, 120) n`.execute(tx);
      await sql`analyze part`.execute(tx);
    });
    const words = ['alt', 'loom', 'wing', 'Q-31', 'rail 4'];
    const search = (): Promise<unknown> =>
      manager.good(listStore, { query: { q: words[(turn += 1) % words.length]! } });
    await times(10, search);
    const searched = await times(100, search);
    report({ name: '5,000 parts searched, p95', value: quantile(searched, 0.95), unit: 'ms', limit: 100 });

    const keys = Array.from({ length: 120 }, (_, i) => `bench-bag-${i + 1}`).join(',');
    const printed = await times(5, async () => {
      const answer = await fetch(`${shop.server.url}/api/jobs/${job}/labels.pdf?keys=${encodeURIComponent(keys)}`, {
        headers: { cookie: manager.cookie },
      });
      if (answer.status !== 200) throw new Error(`Labels: ${answer.status}`);
      await answer.arrayBuffer();
    });
    report({ name: 'labels of 120 bags as PDF, median', value: quantile(printed, 0.5), unit: 'ms', limit: 2000 });
  } finally {
    await shop.stop();
  }
}
