import { run, runOnce } from 'graphile-worker';
import type { Runner, TaskList } from 'graphile-worker';
import type pg from 'pg';
import type { Logger } from 'pino';
import { makeCopies } from './logbook/photos.ts';
import type { PhotoStore } from './logbook/photo-store.ts';
import { queueLogger } from './queue/log.ts';
import type { Tasks } from './queue/enqueue.ts';

export interface WorkerParts {
  url: string;
  pool: pg.Pool;
  photos: PhotoStore;
  log: Logger;
  keepRepliesDays: number;
}

function tasksOf({ pool, photos, keepRepliesDays }: WorkerParts): TaskList {
  return {
    'photo-copies': async (payload) => {
      const { shopId, photoId } = payload as Tasks['photo-copies'];
      await makeCopies(photos, shopId, photoId);
    },
    forget: async () => {
      await pool.query("delete from try_count where at < now() - interval '1 day'");
      await pool.query("select forget_changes('1 hour')");
      await pool.query('select forget_replies(make_interval(days => $1))', [keepRepliesDays]);
    },
  } satisfies Record<keyof Tasks, TaskList[string]>;
}

/** Works until it is stopped, beside any number of others on the same database. `forget` comes every ten minutes, once among all. */
export const startWorker = (parts: WorkerParts, concurrency: number): Promise<Runner> =>
  run({
    connectionString: parts.url,
    concurrency,
    noHandleSignals: true,
    taskList: tasksOf(parts),
    crontab: '*/10 * * * * forget',
    logger: queueLogger(parts.log),
  });

/** Does what waits now and ends; for tests. */
export const workOnce = (parts: WorkerParts): Promise<void> =>
  runOnce({
    connectionString: parts.url,
    noHandleSignals: true,
    taskList: tasksOf(parts),
    logger: queueLogger(parts.log),
  });
