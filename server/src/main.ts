import { createServer } from 'node:http';
import { pino } from 'pino';
import { contentFaults } from '@bay/core/plan';
import { makeApp } from './app.ts';
import { openDb, openPool } from './db/connection.ts';
import { migrate } from './db/migrate.ts';
import { LiveFeed } from './live/events.ts';

/** Settings come from the environment; `./bay` sets them. */
const url = process.env['DATABASE_URL'];
const port = Number(process.env['PORT'] ?? 4170);
const secret = process.env['SESSION_SECRET'];

/** How long a request may go on after the process was told to end. */
const drainMs = Number(process.env['DRAIN_MS'] ?? 10_000);

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'info' });

async function run(): Promise<void> {
  if (!url) throw new Error('DATABASE_URL is not set. Start with ./bay demo, or set it.');
  if (!secret || secret.length < 16) throw new Error('SESSION_SECRET is not set (16 characters or more).');
  const faults = contentFaults();
  if (faults.length > 0) throw new Error(`The content contradicts itself: ${faults.slice(0, 3).join('; ')}`);
  await migrate(url);
  const pool = openPool(url);
  const db = openDb(pool);
  const feed = new LiveFeed(url, log);
  await feed.start();
  let stopping = false;
  const app = makeApp({
    db,
    pool,
    feed,
    log,
    secret,
    secure: process.env['SECURE_COOKIES'] === 'yes',
    webDir: process.env['WEB_DIR'],
    openMetrics: process.env['METRICS_OPEN'] === 'yes',
    draining: () => stopping,
  });
  const server = createServer(app);
  const forgetting = setInterval(() => void pool.query("select forget_changes('1 hour')").catch(() => undefined), 600_000);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, process.env['HOST'] ?? '127.0.0.1', resolve);
  });
  process.stdout.write(`listening on ${port}\n`);
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    void (async () => {
      clearInterval(forgetting);
      // Listeners are told to look for another process; what is under way, a photo on a slow line too, gets time to finish.
      await feed.stop();
      server.close();
      server.closeIdleConnections();
      setTimeout(() => server.closeAllConnections(), drainMs).unref();
      await new Promise<void>((done) => void server.once('close', done));
      await pool.end();
      process.exit(0);
    })();
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

run().catch((error: unknown) => {
  const said = error instanceof Error ? error.message : String(error);
  const taken = /EADDRINUSE/.test(said) ? `Port ${port} is taken. Choose another with --port.` : said;
  process.stderr.write(`${taken}\n`);
  process.exit(1);
});
