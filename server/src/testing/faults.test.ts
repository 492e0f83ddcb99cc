import { execFile } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { request } from 'node:http';
import { promisify } from 'node:util';
import { sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import pg from 'pg';
import * as crew from '@bay/contract/crew';
import * as jobs from '@bay/contract/jobs';
import { addPhoto, readLog, writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import { migrate } from '../db/migrate.ts';
import { badLine } from './bad-line.ts';
import { asked, Client, commandId, freshDatabase, startServer } from './harness.ts';
import { asFile, phonePhoto } from './pictures.ts';
import { balance, spawnServer } from './processes.ts';
import type { ServerProcess } from './processes.ts';
import { bookedJob, shopWithCrew } from './shop.ts';
import type { TestShop } from './shop.ts';

/** Servers that die, databases that go away, lines that break: nothing acknowledged is lost, nothing is done twice. */

const exec = promisify(execFile);

let database: Awaited<ReturnType<typeof freshDatabase>>;
let shop: TestShop;
let jobId: string;

beforeAll(async () => {
  database = await freshDatabase();
  const first = await startServer(database.url);
  shop = await shopWithCrew(first, 'fault');
  jobId = await bookedJob(shop.manager);
  await first.stop();
});
afterAll(() => database.drop());

/** The same session at another address: sessions live in the database. */
function at(url: string, who: Client): Client {
  const client = new Client(url);
  client.cookie = who.cookie;
  client.token = who.token;
  return client;
}

const write = (client: Client, line: string, id = commandId(), job = jobId) =>
  client.call(writeLog, {
    params: { jobId: job },
    body: { commandId: id, line, today: '2026-11-26' },
  });

/** What a device does: sends until somebody answers. Counts how often it had to. */
async function insist(client: Client, line: string, id: string, job = jobId): Promise<number> {
  let tries = 0;
  await vi.waitFor(
    async () => {
      tries += 1;
      expect(await write(client, line, id, job)).toMatchObject({ status: 200 });
    },
    { timeout: 100_000 },
  );
  return tries;
}

/** A photo whose form is under way: the server has the head and half the bytes, and waits for the rest. */
async function beginUpload(
  url: string,
  by: Client,
  { photoId, command, file }: { photoId: string; command: string; file: Buffer },
) {
  const boundary = 'half-way';
  const field = (name: string, value: string) =>
    `--${boundary}\r\ncontent-disposition: form-data; name="${name}"\r\n\r\n${value}\r\n`;
  const head = `${field('commandId', command)}${field('photoId', photoId)}--${boundary}\r\ncontent-disposition: form-data; name="file"; filename="a.jpg"\r\ncontent-type: image/jpeg\r\n\r\n`;
  const tail = `\r\n--${boundary}--\r\n`;
  const req = request(`${url}/api/jobs/${jobId}/photos`, {
    method: 'POST',
    headers: {
      cookie: by.cookie,
      'x-bay-token': by.token,
      'content-type': `multipart/form-data; boundary=${boundary}`,
      'content-length': Buffer.byteLength(head) + file.length + tail.length,
      expect: '100-continue',
    },
  });
  const answered = new Promise<number>((done, fail) => {
    req.on('response', (res) => done(res.resume().statusCode!));
    req.on('error', fail);
  });
  // The server says "continue" once the request is its own.
  const begun = new Promise<void>((go) => req.once('continue', go));
  req.flushHeaders();
  await begun;
  const half = Math.floor(file.length / 2);
  await new Promise((sent) =>
    req.write(Buffer.concat([Buffer.from(head), file.subarray(0, half)]), sent),
  );
  return {
    finish: () => {
      req.end(Buffer.concat([file.subarray(half), Buffer.from(tail)]));
      return answered;
    },
    cut: () => {
      answered.catch(() => undefined);
      req.destroy();
    },
  };
}

async function lines(client: Client, job = jobId): Promise<string[]> {
  const all: string[] = [];
  for (let before: number | undefined; ;) {
    const page = await client.good(readLog, {
      params: { jobId: job },
      query: { limit: 200, ...(before ? { before } : {}) },
    });
    all.unshift(...page.entries.map((e) => e.text));
    if (!page.more) return all;
    before = page.entries[0]!.id;
  }
}

describe('a server that dies in the middle of writing', () => {
  it('loses nothing that it acknowledged and does nothing twice', async () => {
    let server = await spawnServer(database.url);
    const { port } = server;
    const technician = at(server.url, shop.technician);
    const wanted = Array.from({ length: 120 }, (_, i) => `mid-write ${i} ${randomUUID()}`);
    let acknowledged = 0;
    const killer = (async () => {
      for (const after of [10, 40, 70]) {
        await vi.waitUntil(() => acknowledged >= after, { timeout: 100_000, interval: 1 });
        await server.kill();
        server = await spawnServer(database.url, port);
      }
    })();
    let again = 0;
    const queue = [...wanted];
    // Six hands write at once; each goes on to the next line only when the last was acknowledged.
    await Promise.all(
      Array.from({ length: 6 }, async () => {
        for (let line = queue.shift(); line; line = queue.shift()) {
          if ((await insist(technician, line, commandId())) > 1) again += 1;
          acknowledged += 1;
        }
      }),
    );
    await killer;
    const written = (await lines(technician)).filter((l) => l.startsWith('mid-write'));
    expect(written.toSorted()).toEqual(wanted.toSorted());
    expect(again, 'the kills must have hit some writes').toBeGreaterThan(0);
    await server.kill();
  }, 300_000);
});

describe('a server that is told to stop', () => {
  it('finishes what is under way, says it is not ready, and ends by itself', async () => {
    const server = await spawnServer(database.url);
    const technician = at(server.url, shop.technician);
    const upload = await beginUpload(server.url, technician, {
      photoId: randomUUID(),
      command: commandId(),
      file: await phonePhoto(2400, 1800),
    });
    const code = server.stop();
    expect(await upload.finish()).toBe(200);
    expect(await code).toBe(0);
    await expect(fetch(`${server.url}/healthz`)).rejects.toThrow();
  });
  it('answers /healthz and /readyz, with a request id, and /metrics in the common format', async () => {
    const server = await spawnServer(database.url);
    expect(await (await fetch(`${server.url}/healthz`)).json()).toEqual({ ok: true });
    // A machine that does much else may not answer within the second that is given to the database.
    const ready = await vi.waitUntil(
      async () => {
        const answer = await fetch(`${server.url}/readyz`, {
          headers: { 'x-request-id': 'from-the-proxy-1' },
        });
        return answer.ok && answer;
      },
      { timeout: 60_000 },
    );
    expect(await ready.json()).toEqual({ ok: true, database: true });
    expect(ready.headers.get('x-request-id')).toBe('from-the-proxy-1');
    const own = await fetch(`${server.url}/healthz`, {
      headers: { 'x-request-id': 'bad id\u00e9'.slice(0, 6) },
    });
    expect(own.headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
    await at(server.url, shop.manager).good(jobs.readJob, { params: { jobId } });
    const metrics = await fetch(`${server.url}/metrics`);
    expect(metrics.headers.get('content-type')).toMatch(/^text\/plain; version=0.0.4/);
    const text = await metrics.text();
    expect(text).toMatch(
      /bay_request_seconds_count\{method="GET",path="\/api\/jobs\/:jobId",status="200"\} 1/,
    );
    expect(text).toContain('# TYPE bay_live_listeners gauge');
    expect(text).not.toContain(jobId);
    await server.kill();
  });
});

describe('an upload whose line is cut', () => {
  it('writes nothing, and sent again is there once', async () => {
    const server = await startServer(database.url);
    const technician = at(server.url, shop.technician);
    const photoId = randomUUID();
    const command = commandId();
    const file = await phonePhoto(1600, 1200);
    (await beginUpload(server.url, technician, { photoId, command, file })).cut();
    // A server that ends has dealt with every line it had.
    await server.stop();
    const next = await startServer(database.url);
    const later = at(next.url, shop.technician);
    const about = async () =>
      (await later.good(readLog, { params: { jobId }, query: { about: photoId } })).entries;
    expect(await about()).toEqual([]);
    const again = () =>
      later.call(addPhoto, {
        params: { jobId },
        body: { commandId: command, photoId, file: asFile(file) } as never,
      });
    expect((await again()).status).toBe(200);
    expect((await again()).status).toBe(200);
    expect(await about()).toHaveLength(1);
    await next.stop();
  });
});

describe('three processes behind a plain TCP balancer', () => {
  const running: ServerProcess[] = [];
  let front: Awaited<ReturnType<typeof balance>>;
  beforeAll(async () => {
    running.push(
      ...(await Promise.all([
        spawnServer(database.url),
        spawnServer(database.url),
        spawnServer(database.url),
      ])),
    );
    front = await balance(running.map((r) => r.port));
  });
  afterAll(async () => {
    await front.stop();
    await Promise.all(running.map((r) => r.kill()));
  });
  // Each call on a connection of its own, so that calls land on every process.
  const apart = (client: Client) => {
    const call = client.call.bind(client);
    client.call = ((e: Parameters<typeof call>[0], input: Parameters<typeof call>[1] = {}) =>
      call(e, {
        ...input,
        headers: { connection: 'close', ...input.headers },
      })) as typeof client.call;
    return client;
  };

  it('a session that one made the others know', async () => {
    const client = apart(new Client(front.url));
    await client.good(crew.signIn, {
      body: { email: 'boss-fault@shop.example', password: 'long enough word' },
    });
    for (let i = 0; i < 9; i += 1) expect((await client.call(jobs.readFloor)).status).toBe(200);
    expect([...front.served.keys()].sort()).toEqual(running.map((r) => r.port).sort());
  });
  it('a command sent to all of them at once is done once', async () => {
    const client = apart(at(front.url, shop.technician));
    const id = commandId();
    const answers = await Promise.all(
      Array.from({ length: 9 }, () => write(client, 'sent to everybody', id)),
    );
    expect(new Set(answers.map((a) => a.status))).toEqual(new Set([200]));
    expect((await lines(client)).filter((l) => l === 'sent to everybody')).toHaveLength(1);
  });
  it('a photo that one took the others serve', async () => {
    const client = apart(at(front.url, shop.technician));
    const photoId = randomUUID();
    await client.good(addPhoto, {
      params: { jobId },
      body: { commandId: commandId(), photoId, file: asFile(await phonePhoto(90, 60)) } as never,
    });
    for (const r of running) {
      expect(
        (
          await fetch(`${r.url}/api/photos/${photoId}/screen`, {
            headers: { cookie: client.cookie },
          })
        ).status,
      ).toBe(200);
    }
  });
  it('tries are counted together', async () => {
    const client = apart(new Client(front.url));
    const guess = async () =>
      (
        await client.call(crew.signIn, {
          body: { email: 'nobody-here@shop.example', password: 'a wrong guess' },
        })
      ).status;
    const answers: number[] = [];
    for (let i = 0; i < 12; i += 1) answers.push(await guess());
    expect(answers.slice(0, 6)).toEqual(Array<number>(6).fill(401));
    expect(new Set(answers.slice(6))).toEqual(new Set([429]));
  });
  it('what is written at one the listeners of the others hear, also after one of them is gone', async () => {
    const heard = new Map<number, string>();
    const streams = await Promise.all(
      running.map(async (r) => {
        const res = await fetch(`${r.url}/api/events`, {
          headers: { cookie: shop.onlooker.cookie },
        });
        const reader = res.body!.getReader();
        void (async () => {
          for (;;) {
            const { value, done } = await reader
              .read()
              .catch(() => ({ value: undefined, done: true }));
            if (done) return;
            heard.set(r.port, (heard.get(r.port) ?? '') + new TextDecoder().decode(value));
          }
        })();
        return reader;
      }),
    );
    const put = (key: string) =>
      apart(at(front.url, shop.technician)).good(putRecord, {
        params: { jobId, kind: 'hold', key },
        body: { commandId: commandId(), data: { waitsFor: 'air' }, revision: 0 },
      });
    const changes = (port: number) => (heard.get(port) ?? '').split('"record":"hold"').length - 1;
    const until = async (n: number, ports: number[]) => {
      await vi.waitUntil(() => ports.every((p) => changes(p) >= n), { timeout: 60_000 });
      return ports.map(changes);
    };
    await put(randomUUID());
    expect(
      await until(
        1,
        running.map((r) => r.port),
      ),
    ).toEqual([1, 1, 1]);
    const gone = running.pop()!;
    expect(await gone.stop()).toBe(0);
    await put(randomUUID());
    expect(
      await until(
        2,
        running.map((r) => r.port),
      ),
    ).toEqual([2, 2]);
    await Promise.all(streams.map((s) => s.cancel().catch(() => undefined)));
  });
});

describe('a database that hangs', () => {
  it('is told of in time, answers with a sentence, and the pool recovers by itself', async () => {
    const behind = new URL(database.url);
    const line = await badLine(Number(behind.port));
    behind.port = new URL(line.url).port;
    const server = await startServer(behind.href, {
      limits: { statementMs: 500, connectMs: 1000 },
    });
    const own = at(server.url, shop.technician);
    const ready = async () => (await fetch(`${server.url}/readyz`)).status;
    // Its limits are short: on a machine that is busy the first answers may come too late.
    const well = () => vi.waitUntil(async () => (await ready()) === 200, { timeout: 60_000 });
    await well();
    line.is('swallows');
    expect(await ready()).toBe(503);
    const id = commandId();
    const answers = await Promise.all([
      own.call(writeLog, {
        params: { jobId },
        body: { commandId: id, line: 'while it hung', today: '2026-11-26' },
      }),
      own.call(jobs.readJob, { params: { jobId } }),
    ]);
    for (const answer of answers) {
      expect(answer.status).toBe(503);
      expect(answer.problem.title).toContain('database does not answer');
    }
    line.is('good');
    await insist(own, 'while it hung', id, jobId);
    await well();
    await vi.waitFor(
      async () =>
        expect((await lines(own, jobId)).filter((l) => l === 'while it hung')).toHaveLength(1),
      { timeout: 60_000 },
    );
    await server.stop();
    await line.close();
  });
});

describe('a job whose row somebody holds and does not let go', () => {
  it('answers with a sentence, and every other job goes on', async () => {
    const server = await startServer(database.url, { limits: { max: 5, statementMs: 3000 } });
    const own = at(server.url, shop.technician);
    const other = await bookedJob(at(server.url, shop.manager), '1979 Test wagon');
    const stuck = new pg.Client({ connectionString: database.url });
    await stuck.connect();
    await stuck.query('begin');
    await stuck.query('select 1 from job where id = $1 for update', [jobId]);
    const held = Array.from({ length: 12 }, (_, i) => write(own, `held up ${i}`, commandId()));
    let answered = 0;
    for (const one of held) void one.then(() => (answered += 1));
    for (let i = 0; i < 3; i += 1)
      expect((await write(own, `elsewhere ${i}`, commandId(), other)).status).toBe(200);
    expect(answered).toBeLessThan(12);
    const [first] = await Promise.all(held.slice(0, 1));
    expect(first!.status).toBe(503);
    expect(first!.problem.title).toContain('busy');
    await stuck.query('rollback');
    await stuck.end();
    expect((await Promise.all(held)).at(-1)!.status).toBe(200);
    await server.stop();
  });
});

describe('a machine without room', () => {
  it('a full disk: a write says so and writes nothing, reading goes on, and what was sent is written once there is room', async () => {
    const server = await startServer(database.url);
    const own = at(server.url, shop.technician);
    // As PostgreSQL says it when a table cannot grow.
    await asked(
      database.url,
      `create function no_room() returns trigger language plpgsql as $$ begin raise exception 'could not extend file' using errcode = '53100'; end $$;
       create trigger no_room before insert on log_entry for each row execute function no_room()`,
    );
    const id = commandId();
    const refused = await write(own, 'on a full disk', id);
    expect(refused).toMatchObject({
      status: 503,
      problem: {
        title: expect.stringMatching(
          /^The disk of the server is full\. Nothing was written/,
        ) as string,
      },
    });
    expect((await lines(own)).includes('on a full disk')).toBe(false);
    await asked(database.url, 'drop trigger no_room on log_entry; drop function no_room()');
    expect((await write(own, 'on a full disk', id)).status).toBe(200);
    expect((await lines(own)).filter((l) => l === 'on a full disk')).toHaveLength(1);
    await server.stop();
  });

  it('a full folder of photos: the photo is refused with the sentence, and no record of it stays', async () => {
    // As the system says it when a file cannot be written.
    const full = Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
    const photos = { put: () => Promise.reject(full), get: () => Promise.resolve(undefined) };
    const server = await startServer(database.url, { photos });
    const own = at(server.url, shop.technician);
    const photoId = randomUUID();
    const sent = await own.call(addPhoto, {
      params: { jobId },
      body: { commandId: commandId(), photoId, file: asFile(await phonePhoto()) } as never,
    });
    expect(sent).toMatchObject({
      status: 503,
      problem: { title: expect.stringContaining('is full') as string },
    });
    const { records } = await own.good(jobs.readJob, { params: { jobId } });
    expect(records.some((r) => r.key === photoId)).toBe(false);
    await server.stop();
  });

  it('a session that cannot be kept longer leaves the answer whole', async () => {
    await asked(database.url, 'revoke update on session from bay_app');
    try {
      const server = await startServer(database.url);
      const own = at(server.url, shop.technician);
      const { job } = await own.good(jobs.readJob, { params: { jobId } });
      expect(job.id).toBe(jobId);
      await server.stop();
    } finally {
      await asked(database.url, 'grant update on session to bay_app');
    }
  });

  it('no connection left: who gets none is told so, nobody gets a 500, and it passes', async () => {
    const server = await startServer(database.url, { limits: { connectMs: 1500 } });
    const own = at(server.url, shop.technician);
    const { rows } = await sql<{ name: string }>`select session_user as name`.execute(server.db);
    const login = rows[0]!.name;
    await asked(database.url, `alter role ${login} connection limit 2`);
    const many = () =>
      Promise.all(Array.from({ length: 12 }, () => own.call(jobs.readJob, { params: { jobId } })));
    const answers = await many();
    expect(new Set(answers.map((a) => a.status))).toEqual(new Set([200, 503]));
    expect(answers.find((a) => a.status === 503)!.problem.title).toMatch(
      /does not answer just now.*kept; try again/,
    );
    await asked(database.url, `alter role ${login} connection limit -1`);
    expect((await many()).every((a) => a.status === 200)).toBe(true);
    await server.stop();
  });
});

// Its own cluster, so that it may be stopped: ./bay knows how, also as root.
const clusterOf = async (what: 'start' | 'restart' | 'drop', name: string): Promise<string> =>
  (await exec('./bay', ['cluster', what, name])).stdout.trim();
const ownCluster = process.env['DATABASE_URL'] === undefined;

describe.runIf(ownCluster)('a database that is restarted', () => {
  const name = `faults-${process.pid}`;
  afterAll(() => clusterOf('drop', name));

  it('takes nobody of this machine without its password', async () => {
    const url = new URL(await clusterOf('start', name));
    expect(url.password).toMatch(/^[0-9a-f]{48}$/);
    url.password = 'guessed';
    const guessing = new pg.Client({ connectionString: url.href });
    await expect(guessing.connect()).rejects.toMatchObject({ code: '28P01' });
  });

  it('interrupts, and then everything goes on: writes, sessions, live lines', async () => {
    const url = await clusterOf('start', name);
    await migrate(url);
    const server = await startServer(url);
    const own = await shopWithCrew(server, 'db');
    const job = await bookedJob(own.manager);
    const res = await fetch(`${server.url}/api/events`, {
      headers: { cookie: own.onlooker.cookie },
    });
    const reader = res.body!.getReader();
    let heard = '';
    // When the server stops, the line may end in the middle of a word.
    const listening = (async () => {
      for (let part = await reader.read(); !part.done; part = await reader.read())
        heard += new TextDecoder().decode(part.value);
    })().catch(() => undefined);
    const wanted: string[] = [];
    let [again, restarted] = [0, false];
    const writing = (async () => {
      // Before, while it is away, and some more after it is back.
      for (let after = 0; after < 5; after += restarted ? 1 : 0) {
        const line = `around the restart ${wanted.length}`;
        if ((await insist(own.technician, line, commandId(), job)) > 1) again += 1;
        wanted.push(line);
      }
    })();
    await vi.waitUntil(() => wanted.length >= 5, { timeout: 60_000 });
    await clusterOf('restart', name);
    restarted = true;
    await writing;
    expect((await lines(own.technician, job)).filter((l) => l.startsWith('around'))).toEqual(
      wanted,
    );
    expect(again).toBeGreaterThan(0);
    // Listeners are told to read anew.
    await vi.waitUntil(() => heard.includes('event: again'), { timeout: 60_000 });
    const before = heard.length;
    await write(own.technician, 'after the restart', commandId(), job);
    await vi.waitUntil(() => heard.slice(before).includes('"kind":"log"'), { timeout: 60_000 });
    await server.stop();
    await listening;
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    // Not one command without its reply: a transaction is there whole or not at all.
    const { rows } = await client.query(
      'select count(*)::int as n from command c left join command_reply r on r.command_id = c.id where r.command_id is null',
    );
    expect(rows).toEqual([{ n: 0 }]);
    await client.end();
  });
});
