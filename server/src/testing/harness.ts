import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import pg from 'pg';
import { pino } from 'pino';
import type { z } from 'zod';
import { problem } from '@bay/contract/endpoint';
import type { Endpoint, Problem } from '@bay/contract/endpoint';
import { storedSchemas } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import { makeApp } from '../app.ts';
import type { AppParts } from '../app.ts';
import { letAppIn } from '../db/app-login.ts';
import { openDb, openPool } from '../db/connection.ts';
import type { Db, PoolLimits } from '../db/connection.ts';
import { migrate } from '../db/migrate.ts';
import type { PhotoPlace } from '../config.ts';
import { openPhotoStore } from '../logbook/photo-store.ts';
import type { PhotoStore } from '../logbook/photo-store.ts';
import { LiveFeed } from '../live/events.ts';

export const testSecret = 'a-secret-for-tests-only';

/** For tests only: a database of its own, real servers on free ports, and a browser-like client. */

const adminUrl = process.env['TEST_DATABASE_URL'];

export interface TestServer {
  url: string;
  databaseUrl: string;
  db: Db;
  stop: () => Promise<void>;
}

async function asAdmin(sql: string): Promise<void> {
  if (!adminUrl) throw new Error('TEST_DATABASE_URL is not set; ./bay test sets it.');
  const client = new pg.Client({ connectionString: adminUrl });
  await client.connect();
  await client.query(sql).finally(() => client.end());
}

const asOwned = (name: string): { url: string; drop: () => Promise<void> } => {
  const url = new URL(adminUrl!);
  url.pathname = `/${name}`;
  return { url: url.href, drop: () => asAdmin(`drop database ${name} with (force)`) };
};
const freshName = (): string => `t_${randomUUID().replaceAll('-', '')}`;

/** One question on a connection of its own, as whoever the address names. */
export async function asked(url: string, question: string): Promise<Record<string, unknown>[]> {
  const client = new pg.Client({ connectionString: url });
  try {
    await client.connect();
    return (await client.query<Record<string, unknown>>(question)).rows;
  } finally {
    await client.end();
  }
}

/** A database with nothing in it. */
export async function emptyDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const name = freshName();
  await asAdmin(`create database ${name}`);
  return asOwned(name);
}

export async function freshDatabase(): Promise<{ url: string; drop: () => Promise<void> }> {
  const database = await emptyDatabase();
  await migrate(database.url);
  return database;
}

/** A copy of a database that is filled once a run, by whichever test file comes first; a copy costs a fraction of filling it. */
export async function copiedDatabase(
  template: string,
  fill: (url: string) => Promise<void>,
): Promise<{ url: string; drop: () => Promise<void> }> {
  if (!adminUrl) throw new Error('TEST_DATABASE_URL is not set; ./bay test sets it.');
  const admin = new pg.Client({ connectionString: adminUrl });
  await admin.connect();
  try {
    // A database that somebody is connected to cannot be copied: filling and copying take turns.
    await admin.query('select pg_advisory_lock(hashtext($1))', [template]);
    const { rowCount } = await admin.query('select 1 from pg_database where datname = $1', [template]);
    if (!rowCount) {
      const filling = `${template}_filling`;
      await admin.query(`drop database if exists ${filling} with (force)`);
      await admin.query(`create database ${filling}`);
      const { url } = asOwned(filling);
      await migrate(url);
      await fill(url);
      await admin.query(`alter database ${filling} rename to ${template}`);
    }
    const name = freshName();
    await admin.query(`create database ${name} template ${template}`);
    return asOwned(name);
  } finally {
    await admin.end();
  }
}

/** What of a server is another than usual in a test. */
interface ServerParts extends Partial<Pick<AppParts, 'log' | 'proxies' | 'webDir'>> {
  limits?: Partial<PoolLimits>;
  photos?: PhotoPlace | PhotoStore;
  /** Told every question that is sent to the database. */
  asked?: (sql: string, parameters: readonly unknown[]) => void;
}

/** A server on a database; several may share one. */
export async function startServer(
  databaseUrl: string,
  { limits = {}, asked, photos = { kind: 'database' }, ...more }: ServerParts = {},
): Promise<TestServer> {
  const url = await letAppIn(databaseUrl, testSecret);
  const pool = openPool(url, { max: 6, ...limits });
  const db = openDb(pool, asked);
  const log = pino({ level: 'silent' });
  const feed = new LiveFeed(url, log);
  await feed.start();
  const server = createServer(
    makeApp({
      db,
      pool,
      feed,
      log,
      photos: 'kind' in photos ? openPhotoStore(photos, db) : photos,
      secret: testSecret,
      secure: false,
      ...more,
    }),
  );
  await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    databaseUrl,
    db,
    stop: async () => {
      await feed.stop();
      server.closeAllConnections();
      await new Promise((done) => server.close(done));
      await pool.end();
    },
  };
}

/** Every good reply in a test is what its schema says, and every record in it what its kind says. */
function heldToSchema(e: Endpoint, body: unknown): void {
  const read = e.reply.safeParse(body);
  if (!read.success)
    throw new Error(
      `${e.method} ${e.path} replies what its schema does not say: ${JSON.stringify(read.error.issues.slice(0, 3))}`,
    );
  const look = (value: unknown): void => {
    if (typeof value !== 'object' || value === null) return;
    const { kind, data, revision } = value as { kind?: RecordKind; data?: unknown; revision?: unknown };
    if (kind !== undefined && data !== undefined && revision !== undefined && kind in storedSchemas) {
      const held = storedSchemas[kind].safeParse(data);
      if (!held.success)
        throw new Error(
          `a record of kind ${kind} is stored as its schema does not say: ${JSON.stringify(held.error.issues.slice(0, 3))} ${JSON.stringify(data)}`,
        );
    }
    Object.values(value).forEach(look);
  };
  look(body);
}

/** A form of fields and one file, as a page sends it. */
export function formOf(body: Record<string, unknown> = {}): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(body)) form.append(name, value instanceof Blob ? value : String(value));
  return form;
}

export interface Answer<T> {
  status: number;
  body: T;
  problem: Problem;
}

type In<E extends Endpoint> = {
  params?: z.input<E['params']>;
  query?: z.input<E['query']>;
  body?: z.input<E['body']>;
  headers?: Record<string, string>;
};

/** Keeps a cookie and the session's token as a browser and our pages do. */
export class Client {
  cookie = '';
  token = '';
  readonly url: string;

  /** Whether good replies are held to their schema: in tests always, in benchmarks never, where the reading would be measured too. */
  private readonly held: boolean;

  constructor(url: string, held = true) {
    this.held = held;
    this.url = url;
  }

  async call<E extends Endpoint>(e: E, input: In<E> = {}): Promise<Answer<z.output<E['reply']>>> {
    const params = (input.params ?? {}) as Readonly<Record<string, string>>;
    const path = e.path.replace(/:(\w+)/g, (_, k: string) => encodeURIComponent(params[k] ?? 'x'));
    const query = new URLSearchParams(Object.entries(input.query ?? {})).toString();
    const res = await fetch(`${this.url}${path}${query ? `?${query}` : ''}`, {
      method: e.method.toUpperCase(),
      headers: {
        ...(e.form ? {} : { 'content-type': 'application/json' }),
        'x-bay-token': this.token,
        cookie: this.cookie,
        ...input.headers,
      },
      ...(e.method === 'get'
        ? {}
        : { body: e.form ? formOf(input.body as Record<string, unknown>) : JSON.stringify(input.body ?? {}) }),
    });
    const set = res.headers.getSetCookie().find((c) => c.startsWith('bay='));
    if (set) this.cookie = set.split(';')[0]!;
    if (res.status === 200 && e.gives) {
      const type = res.headers.get('content-type') ?? '';
      if (!e.gives.some((t) => type.startsWith(t))) throw new Error(`${e.method} ${e.path} gave ${type}`);
      const file = { type, bytes: new Uint8Array(await res.arrayBuffer()) };
      return { status: res.status, body: file as z.output<E['reply']>, problem: undefined as unknown as Problem };
    }
    const body = (await res.json()) as { token?: string };
    if (res.status !== 200) problem.parse(body);
    else if (this.held) heldToSchema(e, body);
    if (typeof body.token === 'string') this.token = body.token;
    return { status: res.status, body: body as z.output<E['reply']>, problem: body as unknown as Problem };
  }

  /** The body of an answer that must be good. */
  async good<E extends Endpoint>(e: E, input: In<E> = {}): Promise<z.output<E['reply']>> {
    const answer = await this.call(e, input);
    if (answer.status !== 200)
      throw new Error(`${e.method} ${e.path}: ${answer.status} ${JSON.stringify(answer.problem)}`);
    return answer.body;
  }
}

export const commandId = (): string => randomUUID();
