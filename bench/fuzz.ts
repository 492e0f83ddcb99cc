import { recordKinds } from '@bay/contract/records';
import { freshDatabase, startServer } from '../server/src/testing/harness.ts';
import { attacked, Attacker, hostileValues } from '../server/src/testing/hostile.ts';
import type { Attempt } from '../server/src/testing/hostile.ts';
import { bookedJob, shopWithCrew } from '../server/src/testing/shop.ts';
import { report } from './measure.ts';

/** Every field of every endpoint and of every kind with every hostile value; `./bay test` tries a few of them each time. */
export async function fuzz(): Promise<void> {
  const database = await freshDatabase();
  const server = await startServer(database.url);
  const shop = await shopWithCrew(server, 'fuzz');
  const attacker = new Attacker(shop.manager, await bookedJob(shop.manager));
  const byStatus = new Map<number, number>();
  let tried = 0;
  const failed: string[] = [];
  const watch = async (attempts: AsyncGenerator<Attempt>): Promise<void> => {
    for await (const { what, status } of attempts) {
      tried += 1;
      byStatus.set(status, (byStatus.get(status) ?? 0) + 1);
      if (status >= 500) failed.push(`${status} ${what}`);
    }
  };
  try {
    for (const [name, e] of attacked) {
      await watch(attacker.endpoint(name, e, hostileValues));
      await watch(attacker.bodies(name, e));
    }
    for (const kind of recordKinds) await watch(attacker.kind(kind, hostileValues));
  } finally {
    await server.stop();
    await database.drop();
  }
  const answers = [...byStatus].sort(([a], [b]) => a - b).map(([status, n]) => `${n} × ${status}`);
  process.stdout.write(`     ${tried} tries: ${answers.join(', ')}\n`);
  for (const one of failed.slice(0, 40)) process.stdout.write(`     ${one}\n`);
  report({ name: 'hostile values answered with 5xx', value: failed.length, unit: 'answers', limit: 0 });
}
