import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { promisify } from 'node:util';
import { searchLog, writeLog } from '@bay/contract/logbook';
import { asked, Client, commandId, startServer } from '../server/src/testing/harness.ts';
import { spawnServer } from '../server/src/testing/processes.ts';
import { bookedJob, shopWithCrew } from '../server/src/testing/shop.ts';
import { migrate } from '../server/src/db/migrate.ts';
import { report } from './measure.ts';

/**
 * What docs/operations.md says of a standby, done once: six hands write, the first database is killed in the middle, the standby goes
 * on, and whatever was answered is there. The names begin with "demo" so that nothing is turned off that keeps data.
 */
const [first, second] = ['demo-first', 'demo-standby'];
const cluster = async (...args: string[]): Promise<string> =>
  (await promisify(execFile)('./bay', ['cluster', ...args])).stdout.trim();

export async function standby(): Promise<void> {
  await cluster('drop', second);
  await cluster('drop', first);
  try {
    const firstUrl = await cluster('start', first);
    await migrate(firstUrl);
    const server = await startServer(firstUrl);
    const shop = await shopWithCrew(server, 'standby');
    const jobId = await bookedJob(shop.manager);
    await server.stop();
    const standbyUrl = await cluster('follow', first, second);
    for (;;) {
      const [row] = await asked(firstUrl, 'select sync_state from pg_stat_replication');
      if (row?.['sync_state'] === 'sync') break;
      await new Promise((later) => setTimeout(later, 100));
    }
    const before = await spawnServer(firstUrl);
    const answered: string[] = [];
    let open = true;
    const hand = async (): Promise<void> => {
      const client = new Client(before.url);
      [client.cookie, client.token] = [shop.technician.cookie, shop.technician.token];
      while (open) {
        const line = `before the crash ${randomUUID()}`;
        const sent = await client
          .call(writeLog, { params: { jobId }, body: { commandId: commandId(), line, today: '2026-11-26' } })
          .catch(() => undefined);
        if (sent?.status === 200) answered.push(line);
      }
    };
    const hands = Array.from({ length: 6 }, hand);
    while (answered.length < 300) await new Promise((later) => setTimeout(later, 5));
    await cluster('crash', first);
    const atCrash = answered.length;
    open = false;
    await Promise.all(hands);
    await before.kill();
    await cluster('promote', second);
    await asked(standbyUrl, "alter system set synchronous_standby_names = ''");
    await asked(standbyUrl, 'select pg_reload_conf()');
    const after = await spawnServer(standbyUrl);
    const lines = await asked(standbyUrl, "select text from log_entry where text like 'before the crash%'");
    const there = new Set(lines.map((l) => l['text']));
    const client = new Client(after.url);
    [client.cookie, client.token] = [shop.technician.cookie, shop.technician.token];
    await client.good(writeLog, {
      params: { jobId },
      body: { commandId: commandId(), line: 'goes on at the standby', today: '2026-11-26' },
    });
    const found = await client.good(searchLog, { query: { q: 'standby' } });
    await after.kill();
    process.stdout.write(
      `     ${answered.length} lines answered (${atCrash} when it was killed), ${there.size} there, ${found.hits.length} found after\n`,
    );
    report({
      name: 'answered and not at the standby',
      value: answered.filter((line) => !there.has(line)).length,
      unit: 'lines',
      limit: 0,
    });
  } finally {
    await cluster('drop', second);
    await cluster('drop', first);
  }
}
