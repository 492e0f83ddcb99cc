import type { Express } from 'express';
import { sql } from 'kysely';
import pg from 'pg';
import type { Logger } from 'pino';
import type { Response } from 'express';
import type { LiveEvent } from '@bay/contract/live';
import type { Tx } from '../db/connection.ts';
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

/** One listening connection a process, fanned out to the browsers that are connected to it. */
export class LiveFeed {
  private readonly watchers = new Map<string, Set<Response>>();
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
    client.on('notification', (message) => this.pass(message.payload ?? ''));
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
    this.client = client;
  }

  private pass(payload: string): void {
    const { shopId } = JSON.parse(payload) as LiveEvent;
    for (const res of this.watchers.get(shopId) ?? []) res.write(`event: change\ndata: ${payload}\n\n`);
  }

  /** How many browsers listen to this process. */
  get listeners(): number {
    let sum = 0;
    for (const set of this.watchers.values()) sum += set.size;
    return sum;
  }

  private each(tell: (res: Response) => void): void {
    for (const set of this.watchers.values()) set.forEach(tell);
  }

  /** The stream a browser holds open. */
  route(app: Express): void {
    app.get('/api/events', (req, res) => {
      const { shopId } = req.session;
      if (!shopId) throw new Refusal(401, 'Sign in first.');
      res.writeHead(200, {
        'content-type': 'text/event-stream',
        'cache-control': 'no-store',
        'x-accel-buffering': 'no',
      });
      res.write('event: hello\ndata: {}\n\n');
      const set = this.watchers.get(shopId) ?? new Set();
      this.watchers.set(shopId, set.add(res));
      req.on('close', () => {
        set.delete(res);
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
