import { randomUUID } from 'node:crypto';
import { readBench, readWaiting, signIn } from '@bay/contract/crew';
import { find, listUnits, readFloor, readJob } from '@bay/contract/jobs';
import { searchLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import { inShop, openDb, openPool } from '../server/src/db/connection.ts';
import type { Db } from '../server/src/db/connection.ts';
import { bareSheet } from '../server/src/sheet/store.ts';
import { Client, freshDatabase } from '../server/src/testing/harness.ts';
import { spawnServer } from '../server/src/testing/processes.ts';
import { fillWith } from '../server/src/testing/volume.ts';
import type { FilledShop } from '../server/src/testing/volume.ts';
import { quantile, report, sideBySide } from './measure.ts';

/** 20 shops, 5,000 jobs in the largest; about 2 million facts and records and 3 million lines of logbooks. */
const years = {
  seed: 1,
  jobs: [5000, ...Array.from({ length: 19 }, () => 500)],
  inBays: 6,
  inYard: 194,
  factsPerJob: 90,
  recordsPerJob: 54,
  linesPerJob: 207,
};
/** The same shop when it was young. */
const young = { ...years, jobs: [50], inYard: 40 };

interface Filled {
  db: Db;
  client: Client;
  shop: FilledShop;
  drop: () => Promise<void>;
}

async function filled(volume: typeof years): Promise<Filled> {
  const database = await freshDatabase();
  const started = performance.now();
  const shops = await fillWith(database.url, volume, (words) => process.stdout.write(`     ${words}\n`));
  process.stdout.write(`     filled in ${((performance.now() - started) / 1000).toFixed(0)} s\n`);
  // A process of its own, as in a shop: what the asking side does with an answer does not hold it up.
  const server = await spawnServer(database.url);
  const pool = openPool(database.url);
  const client = new Client(server.url, false);
  const shop = shops[0]!;
  await client.good(signIn, { body: { email: shop.email, password: shop.password } });
  return {
    db: openDb(pool),
    client,
    shop,
    drop: async () => {
      await pool.end();
      await server.stop();
      await database.drop();
    },
  };
}

const rounds = 200;

/** What people ask most, in a shop of 5,000 jobs beside the same shop of 50, through the server and under row-level security. */
export async function volume(): Promise<void> {
  const [large, small] = [await filled(years), await filled(young)];
  try {
    const beside = async (name: string, ask: (of: Filled) => Promise<unknown>): Promise<void> => {
      for (let i = 0; i < 8; i += 1) await Promise.all([ask(large), ask(small)]);
      const [many, few] = await sideBySide(
        rounds,
        () => ask(large),
        () => ask(small),
      );
      report({
        name: `${name} with 5,000 jobs, p95, beside 50 jobs`,
        value: quantile(many, 0.95),
        unit: 'ms',
        beside: quantile(few, 0.95),
        limit: 1.2,
      });
    };
    const open = (of: Filled) => of.client.good(readJob, { params: { jobId: of.shop.openJob } });
    await beside('job sheet', open);
    const sheet = await open(large);
    const bearers = [large.shop.openJob, ...sheet.units.map((u) => u.id)];
    const bare = () =>
      inShop(large.db, large.shop.shopId, async (tx) => {
        for (const question of bareSheet(large.shop.openJob, bearers)) await question.execute(tx);
      });
    const [whole, asked] = await sideBySide(rounds, () => open(large), bare);
    report({
      name: 'job sheet over the bare indexed SQL, p95',
      value: quantile(whole, 0.95),
      unit: 'ms',
      beside: quantile(asked, 0.95),
      limit: 2,
    });
    await beside('Floor', (of) => of.client.good(readFloor));
    await beside('units, first page', (of) => of.client.good(listUnits));
    await beside('my bench', (of) => of.client.good(readBench));
    await beside('waiting list', (of) => of.client.good(readWaiting));
    await beside('search for a common word', (of) => of.client.good(searchLog, { query: { q: 'bell' } }));
    await beside('search for a rare word', (of) => of.client.good(searchLog, { query: { q: 'manifold 17' } }));
    await beside('find a car by its name', (of) => of.client.good(find, { query: { q: '1969 car' } }));
    await beside('a hold written', (of) =>
      of.client.good(putRecord, {
        params: { jobId: of.shop.openJob, kind: 'hold', key: randomUUID() },
        body: { commandId: randomUUID(), data: { waitsFor: 'paint' }, revision: 0 },
      }),
    );
  } finally {
    await large.drop();
    await small.drop();
  }
}
