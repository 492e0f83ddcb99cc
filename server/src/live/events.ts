import { createHash } from 'node:crypto';
import type { Express } from 'express';
import { sql } from 'kysely';
import type { Kysely } from 'kysely';
import pg from 'pg';
import type { Logger } from 'pino';
import type { Response } from 'express';
import type { LiveEvent } from '@bay/contract/live';
import type { Tx } from '../db/connection.ts';
import type { Database } from '../db/types.ts';
import { Refusal } from '../http/problem.ts';

const channel = 'bay_change';
const mostBytes = 7500;
const firstRetryMs = 250;
const longestRetryMs = 10_000;

/** Tells every server process, at commit. */
export function announce(tx: Tx, event: LiveEvent): Promise<unknown> {
  const whole = JSON.stringify(event);
  // PostgreSQL takes less than 8000 bytes; a command that changed more says that everything is to be read again.
  const payload =
    Buffer.byteLength(whole) < mostBytes
      ? whole
      : JSON.stringify({ ...event, changes: [{ kind: 'all' }] } satisfies LiveEvent);
  return sql`select pg_notify(${channel}, ${payload})`.execute(tx);
}

/** A browser that holds a stream open, and under which session. */
interface Watcher {
  res: Response;
  sessionId: string;
}

/** More than the pages one device can have open; a browser itself keeps to six. */
const mostOfSession = 8;

const sessionsChannel = 'bay_sessions';

/** Tells every process that sessions ended: their streams end with them, at commit. */
export const announceEnded = (tx: Kysely<Database>, sessionIds: readonly string[]): Promise<unknown> =>
  Promise.all(sessionIds.map((sid) => sql`select pg_notify(${sessionsChannel}, ${hashOf(sid)})`.execute(tx)));

// The id of a session is as good as a key; what is told of it is only its digest.
const hashOf = (sid: string): string => createHash('sha256').update(sid).digest('base64url');

/** One listening connection a process, fanned out to the browsers that are connected to it. */
export class LiveFeed {
  private readonly watchers = new Map<string, Set<Watcher>>();
  private client: pg.Client | undefined;
  private stopped = false;
  private readonly url: string;
  private readonly log: Logger;
  private pings: NodeJS.Timeout | undefined;

  constructor(url: string, log: Logger) {
    this.url = url;
    this.log = log;
  }

  async start(): Promise<void> {
    await this.listen();
    this.pings = setInterval(() => this.each((res) => res.write(': here\n\n')), 15_000);
    this.pings.unref();
  }

  private async listen(): Promise<void> {
    const client = new pg.Client({ connectionString: this.url });
    client.on('notification', ({ channel: from, payload = '' }) =>
      from === sessionsChannel ? this.end(payload) : this.pass(payload),
    );
    const again = (): void => {
      if (this.stopped || this.client !== client) return;
      this.client = undefined;
      this.log.warn('lost the database; listening again');
      const retry = (waitMs: number): void => {
        if (this.stopped) return;
        this.listen().then(
          // Whatever was said meanwhile is lost: everybody reads again.
          () => this.each((res) => res.write('event: again\ndata: {}\n\n')),
          () => setTimeout(() => retry(Math.min(waitMs * 2, longestRetryMs)), waitMs).unref(),
        );
      };
      retry(firstRetryMs);
    };
    client.on('error', again);
    client.on('end', again);
    await client.connect();
    await client.query(`listen ${channel}`);
    await client.query(`listen ${sessionsChannel}`);
    this.client = client;
  }

  private pass(payload: string): void {
    const { shopId } = JSON.parse(payload) as LiveEvent;
    for (const { res } of this.watchers.get(shopId) ?? []) res.write(`event: change\ndata: ${payload}\n\n`);
  }

  /** Ends the streams of a session that is over. */
  private end(digest: string): void {
    for (const set of this.watchers.values())
      for (const watcher of set) if (hashOf(watcher.sessionId) === digest) watcher.res.end();
  }

  /** How many browsers listen to this process. */
  get listeners(): number {
    let sum = 0;
    for (const set of this.watchers.values()) sum += set.size;
    return sum;
  }

  private each(tell: (res: Response) => void): void {
    for (const set of this.watchers.values()) for (const { res } of set) tell(res);
  }

  /** The stream a browser holds open. */
  route(app: Express): void {
    app.get('/api/events', (req, res) => {
      const { shopId, personId } = req.session;
      // At a tablet where nobody is, nothing of what others do is told.
      if (!shopId || !personId) throw new Refusal(401, 'Sign in first.');
      const own = [...(this.watchers.get(shopId) ?? [])].filter((w) => w.sessionId === req.sessionID);
      if (own.length >= mostOfSession) throw new Refusal(429, 'This device listens often enough already.');
      res.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      res.write('event: hello\ndata: {}\n\n');
      const set = this.watchers.get(shopId) ?? new Set<Watcher>();
      const watcher = { res, sessionId: req.sessionID };
      this.watchers.set(shopId, set.add(watcher));
      req.on('close', () => {
        set.delete(watcher);
        if (set.size === 0) this.watchers.delete(shopId);
      });
    });
  }

  async stop(): Promise<void> {
    this.stopped = true;
    clearInterval(this.pings);
    this.each((res) => res.end());
    await this.client
      ?.end()
      .catch((error: unknown) => this.log.debug({ err: error }, 'the listening connection was gone already'));
  }
}
