import { createServer } from 'node:http';
import { contentFaults } from '@bay/core/plan';
import { makeApp } from './app.ts';
import { readConfig } from './config.ts';
import type { Config } from './config.ts';
import { openDb, openPool } from './db/connection.ts';
import { refuseUnlessReady } from './db/migrate.ts';
import { LiveFeed } from './live/events.ts';
import { makeLog } from './log.ts';
import { openPhotoStore } from './logbook/photo-store.ts';
import { startWorker } from './worker.ts';

async function run(config: Config): Promise<void> {
  const log = makeLog(config.logLevel);
  const faults = contentFaults();
  if (faults.length > 0) throw new Error(`The content contradicts itself: ${faults.slice(0, 3).join('; ')}`);
  const url = config.databaseUrl;
  await refuseUnlessReady(url);
  const pool = openPool(url, config.pool, (error) => log.warn({ err: error }, 'a connection to the database broke'));
  const db = openDb(pool);
  const photos = openPhotoStore(config.photos, db);
  const feed = new LiveFeed(url, log);
  await feed.start();
  const worker =
    config.workers > 0
      ? await startWorker({ url, pool, photos, log, keepRepliesDays: config.keepRepliesDays }, config.workers)
      : undefined;
  let stopping = false;
  const app = makeApp({
    db,
    pool,
    feed,
    photos,
    log,
    secret: config.secret,
    secure: config.secureCookies,
    webDir: config.webDir,
    openMetrics: config.openMetrics,
    proxies: config.proxies,
    draining: () => stopping,
  });
  // One request that fails in a way nobody thought of ends itself, not the work of everybody else.
  process.on('unhandledRejection', (error) => log.error({ err: error }, 'something failed that nobody waited for'));
  const server = createServer(app);
  await new Promise<void>((resolve, reject) => {
    server.once('error', reject);
    server.listen(config.port, config.host, resolve);
  });
  process.stdout.write(`listening on ${config.port}\n`);
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    void (async () => {
      // Listeners are told to look for another process; what is under way, a photo on a slow line too, gets time to finish.
      await feed.stop();
      server.close();
      server.closeIdleConnections();
      setTimeout(() => server.closeAllConnections(), config.drainMs).unref();
      await new Promise<void>((done) => void server.once('close', done));
      await worker?.stop().catch((error: unknown) => log.warn({ err: error }, 'the queue did not stop by itself'));
      await pool.end();
      process.exit(0);
    })();
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
}

function fail(sentence: string): never {
  process.stderr.write(`${sentence}\n`);
  process.exit(1);
}

const read = readConfig(process.env);
if (!read.ok) fail(read.sentences.join('\n'));
run(read.config).catch((error: unknown) => {
  const said = error instanceof Error ? error.message : String(error);
  fail(/EADDRINUSE/.test(said) ? `Port ${read.config.port} is taken. Choose another with --port.` : said);
});
