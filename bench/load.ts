import { randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import pg from 'pg';
import { writeLog } from '@bay/contract/logbook';
import { Client, freshDatabase, startServer } from '../server/src/testing/harness.ts';
import { spawnServer } from '../server/src/testing/processes.ts';
import { bookedJob, shopWithCrew } from '../server/src/testing/shop.ts';
import { quantile, report } from './measure.ts';

const writers = 50;
const listeners = 200;
const jobCount = 10;
/** A person who writes without pause: a line a second. */
const pauseMs = 1000;

/** What a write costs the database alone: the same rows and the same notification, without a server. */
async function bareWrites(
  url: string,
  shopId: string,
  personId: string,
  jobId: string,
  until: number,
): Promise<number[]> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const taken: number[] = [];
  while (Date.now() < until) {
    const id = randomUUID();
    const start = performance.now();
    await client.query('begin');
    await client.query("select set_config('bay.shop_id', $1, true)", [shopId]);
    await client.query("insert into command (id, shop_id, by_id, name) values ($1, $2, $3, 'bare')", [
      id,
      shopId,
      personId,
    ]);
    await client.query(
      "insert into log_entry (shop_id, job_id, kind, text, by_id, command_id) values ($1, $2, 'note', 'bare', $3, $4)",
      [shopId, jobId, personId, id],
    );
    await client.query("insert into command_reply (command_id, shop_id, reply) values ($1, $2, '{}')", [id, shopId]);
    await client.query("select pg_notify('bay_bare', $1)", [JSON.stringify({ shopId, jobId, what: 'bare', by: 'BO' })]);
    await client.query('commit');
    taken.push(performance.now() - start);
    await new Promise((done) => setTimeout(done, 100));
  }
  await client.end();
  return taken;
}

/** 50 people write and 200 listen: every acknowledged write is in the log exactly once and reached every listener. */
export async function load(seconds: number): Promise<void> {
  const database = await freshDatabase();
  const setUp = await startServer(database.url);
  const shop = await shopWithCrew(setUp, 'load');
  const jobIds: string[] = [];
  for (let i = 0; i < jobCount; i += 1) jobIds.push(await bookedJob(shop.manager, `19${50 + i} Load car`));
  const shopId = (await shop.manager.good((await import('@bay/contract/crew')).getMe)).shop!.id;
  await setUp.stop();
  const servers = await Promise.all([spawnServer(database.url), spawnServer(database.url)]);
  const sentAt = new Map<string, number>();
  const acknowledged = new Map<string, string>();
  const heard: Set<string>[] = [];
  const arrivals: number[] = [];
  const agent = new Agent({ keepAlive: true, maxSockets: Infinity });
  const streams = await Promise.all(
    Array.from({ length: listeners }, (_, i) => {
      const own = new Set<string>();
      heard.push(own);
      return new Promise<{ destroy: () => void }>((up) => {
        const req = request(
          `${servers[i % servers.length]!.url}/api/events`,
          { headers: { cookie: shop.onlooker.cookie }, agent },
          (res) => {
            let rest = '';
            res.setEncoding('utf8');
            res.on('data', (part: string) => {
              rest += part;
              const now = performance.now();
              for (let end = rest.indexOf('\n\n'); end >= 0; end = rest.indexOf('\n\n')) {
                const id = /"id":"([0-9a-f-]{36})"/.exec(rest.slice(0, end))?.[1];
                rest = rest.slice(end + 2);
                if (!id) continue;
                own.add(id);
                const sent = sentAt.get(id);
                if (sent !== undefined) arrivals.push(now - sent);
              }
              if (own.size === 0) up(req);
            });
            res.on('error', () => undefined);
          },
        );
        req.on('error', () => undefined);
        req.end();
      });
    }),
  );
  const until = Date.now() + seconds * 1000;
  const commands: number[] = [];
  let refused = 0;
  const bare = bareWrites(database.url, shopId, shop.people.manager, jobIds[0]!, until);
  await Promise.all(
    Array.from({ length: writers }, async (_, i) => {
      const client = new Client(servers[i % servers.length]!.url, false);
      client.cookie = shop.technician.cookie;
      client.token = shop.technician.token;
      await new Promise((done) => setTimeout(done, (i / writers) * pauseMs));
      while (Date.now() < until) {
        const id = randomUUID();
        const line = `load ${id}`;
        const start = performance.now();
        sentAt.set(id, start);
        const answer = await client.call(writeLog, {
          params: { jobId: jobIds[i % jobCount]! },
          body: { commandId: id, line, today: '2026-11-26' },
        });
        if (answer.status === 200) acknowledged.set(id, line);
        else refused += 1;
        commands.push(performance.now() - start);
        await new Promise((done) => setTimeout(done, Math.max(0, pauseMs - (performance.now() - start))));
      }
    }),
  );
  const bareTaken = await bare;
  await new Promise((done) => setTimeout(done, 2000));
  const client = new pg.Client({ connectionString: database.url });
  await client.connect();
  const { rows } = await client.query<{ text: string; n: number }>(
    "select text, count(*)::int as n from log_entry where text like 'load %' group by text",
  );
  await client.end();
  const inLog = new Map(rows.map((r) => [r.text, r.n]));
  const once = [...acknowledged.values()].filter((line) => inLog.get(line) === 1).length;
  const deaf = heard.filter((own) => [...acknowledged.keys()].some((id) => !own.has(id))).length;
  const n = acknowledged.size;
  process.stdout.write(
    `     ${writers} people wrote and ${listeners} listened for ${seconds} s at two servers: ${n} writes, ${refused} refused, ${arrivals.length} arrivals\n`,
  );
  report({
    name: 'acknowledged writes that are not in the log exactly once, or were refused',
    value: n - once + refused + (n === 0 ? 1 : 0),
    unit: 'writes',
    limit: 0,
  });
  report({ name: 'listeners that some acknowledged write did not reach', value: deaf, unit: 'listeners', limit: 0 });
  report({
    name: 'a command under this load, p95, beside the bare database',
    value: quantile(commands, 0.95),
    unit: 'ms',
    beside: quantile(bareTaken, 0.95),
  });
  report({ name: 'arrival at a listener, p95', value: quantile(arrivals, 0.95), unit: 'ms' });
  for (const s of streams) s.destroy();
  agent.destroy();
  await Promise.all(servers.map((s) => s.kill()));
  await database.drop();
}
