import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { undoCommand, writeLog } from '@bay/contract/logbook';
import { putRecord } from '@bay/contract/records';
import { changeJob, bookIn } from '@bay/contract/jobs';
import { longestAgoMs } from '@bay/contract/endpoint';
import type * as Api from './index.ts';

/** The outbox against a database in memory and a network that the test turns on and off. */

const stored = new Map<string, unknown>();
const counted = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
  createStore: () => 'store',
  entries: () => Promise.resolve([...stored].map(([k, v]) => [k, structuredClone(v)])),
  set: (k: string, v: unknown) => Promise.resolve(void stored.set(k, structuredClone(v))),
  del: (k: string) => Promise.resolve(void stored.delete(k)),
  get: (k: string) => Promise.resolve(structuredClone(stored.get(k))),
  update: (k: string, next: (n: unknown) => unknown) =>
    Promise.resolve(void counted.set(k, next(counted.get(k)))),
}));

/** `silent`: it arrives and nobody ever answers; `slow`: answered when the test says so. */
type Answer = { status: number; body: unknown } | 'gone' | 'silent' | 'slow';
let answer: (() => void) | undefined;
let answers: Answer[] = [];
let asked: { url: string; method: string; body: Record<string, unknown> }[] = [];
const osk = { id: '00000000-0000-4000-8000-000000000001', name: 'Osk' };
const della = { id: '00000000-0000-4000-8000-000000000002', name: 'Della' };
const jobId = '00000000-0000-4000-8000-0000000000aa';

// Each test has the modules as a page that was just opened.
let api: typeof Api;
beforeEach(async () => {
  vi.resetModules();
  stored.clear();
  counted.clear();
  answers = [];
  asked = [];
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-11-26T08:00:00Z') });
  vi.stubGlobal(
    'fetch',
    (url: string, init: { method: string; body: string } = { method: 'GET', body: '' }) => {
      const next = answers.shift() ?? { status: 200, body: { record: 'sent' } };
      if (next === 'gone') return Promise.reject(new TypeError('no network'));
      asked.push({
        url,
        method: init.method,
        body: init.body ? (JSON.parse(init.body) as Record<string, unknown>) : {},
      });
      if (next === 'silent') return new Promise(() => undefined);
      if (next === 'slow')
        return new Promise((done) => (answer = () => done(Response.json({ record: 'sent' }))));
      return Promise.resolve(new Response(JSON.stringify(next.body), { status: next.status }));
    },
  );
  vi.stubGlobal('BroadcastChannel', undefined);
  vi.stubGlobal('navigator', {});
  api = await import('./index.ts');
  api.keepPerson(osk);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** The browser is closed and opened: nothing is left but what is on the device. */
const openedAgain = async () => {
  vi.resetModules();
  api = await import('./index.ts');
  api.keepPerson(osk);
};

const tick = (key: string, restore?: () => void) =>
  api.command(
    putRecord,
    { params: { jobId, kind: 'task', key }, body: { data: { status: 'done' }, revision: 0 } },
    { label: 'step done', jobId, offline: () => ({ record: 'local' as never }), restore },
  );
/** The codes that the server gives with these answers. */
const codes: Record<number, string> = {
  401: 'signed-out',
  403: 'not-allowed',
  409: 'conflict',
  422: 'bad-input',
  429: 'too-many',
  500: 'failed',
  503: 'failed',
};
const problem = (status: number, title: string, extra: Record<string, unknown> = {}): Answer => ({
  status,
  body: {
    type: 'about:blank',
    code: 'current' in extra ? 'stale' : codes[status],
    title,
    status,
    ...extra,
  },
});

describe('who wrote it', () => {
  it('goes with every command, at once or from the box', async () => {
    await tick('a');
    expect(asked[0]!.body).toMatchObject({ writtenBy: osk.id });
    answers = ['gone'];
    await tick('b');
    await api.drain(osk.id);
    expect(asked.at(-1)!.body).toMatchObject({ writtenBy: osk.id });
  });
  it('is refused under the session of somebody else, and then waits for the one who wrote it', async () => {
    answers = [
      'gone',
      problem(409, 'Somebody else is at this device now.', { code: 'somebody-else' }),
    ];
    await tick('a');
    await api.drain(osk.id);
    expect(api.outbox.now()).toMatchObject([{ state: 'waiting', personId: osk.id }]);
    answers = [];
    await api.drain(osk.id);
    expect(api.outbox.now()).toEqual([]);
  });
});

describe('a command', () => {
  it('is sent at once where there is a network, and may be taken back', async () => {
    expect(await tick('a')).toEqual({ record: 'sent' });
    expect(asked[0]).toMatchObject({
      method: 'PUT',
      url: `/api/jobs/${jobId}/records/task/a`,
      body: { revision: 0 },
    });
    expect(asked[0]!.body['commandId']).toMatch(/^[0-9a-f-]{36}$/);
    expect(asked[0]!.body).not.toHaveProperty('agoMs');
    expect(api.undoable.last()).toMatchObject({ label: 'step done' });
    await api.takeBack(api.undoable.last()!);
    expect(asked[1]!.url).toBe(`/api/commands/${String(asked[0]!.body['commandId'])}/undo`);
    expect(api.undoable.last()).toBeUndefined();
  });
  it('waits on the device where nobody answers, and the screen goes on', async () => {
    answers = ['gone'];
    expect(await tick('a')).toEqual({ record: 'local' });
    expect(api.outbox.now()).toMatchObject([
      { label: 'step done', personId: osk.id, state: 'waiting', jobId },
    ]);
  });
  it('never overtakes what waits already, also when the network is back', async () => {
    answers = ['gone'];
    await tick('a');
    await tick('b');
    expect(asked).toEqual([]);
    await api.drain(osk.id);
    expect(asked.map((a) => a.url.at(-1))).toEqual(['a', 'b']);
    expect(api.outbox.now()).toEqual([]);
  });
  it('that may not wait is refused with what happened', async () => {
    answers = ['gone'];
    const changing = api.command(
      changeJob,
      { params: { jobId }, body: { revision: 1, bay: '2' } },
      { label: 'job changed' },
    );
    await expect(changing).rejects.toMatchObject({ unanswered: true });
    expect(api.outbox.now()).toEqual([]);
  });
  it('that the server refuses is refused, not kept', async () => {
    answers = [problem(422, 'Say why.')];
    await expect(tick('a')).rejects.toThrow('Say why.');
    expect(api.outbox.now()).toEqual([]);
  });
  it('an answer of a proxy without a server behind it is no answer', async () => {
    answers = [{ status: 502, body: undefined }];
    vi.stubGlobal('fetch', () =>
      Promise.resolve(new Response('<html>bad gateway</html>', { status: 502 })),
    );
    expect(await tick('a')).toEqual({ record: 'local' });
  });
  it('any call with a command id can be taken back too, named by what it is', async () => {
    await api.call(bookIn, { body: { commandId: api.newId() } as never });
    expect(api.undoable.last()).toMatchObject({ label: 'Book a car in' });
  });
});

describe('what waits', () => {
  const wait = async (...keys: string[]) => {
    answers = ['gone'];
    for (const key of keys) await tick(key);
  };
  it('says how long ago it was done, not when', async () => {
    await wait('a');
    await openedAgain();
    vi.setSystemTime(new Date('2026-11-26T11:30:00Z'));
    await api.drain(osk.id);
    expect(asked[0]!.body['agoMs']).toBe(3.5 * 3_600_000);
  });
  it.each(['2025-11-26T08:00:00Z', '2027-11-26T08:00:00Z'])(
    'is as old as it is when the clock is set to %s while the page is open',
    async (set) => {
      await wait('a');
      vi.setSystemTime(new Date(set));
      await api.drain(osk.id);
      expect(asked[0]!.body['agoMs']).toBeUndefined();
    },
  );
  it('is never refused for its age, however wrong a clock was', async () => {
    await wait('a');
    await openedAgain();
    vi.setSystemTime(new Date('2028-01-01T08:00:00Z'));
    await api.drain(osk.id);
    expect(asked[0]!.body['agoMs']).toBe(longestAgoMs);
  });
  it('is sent in the order it was done, also when the clock went back meanwhile', async () => {
    await wait('a');
    vi.setSystemTime(new Date('2026-11-20T08:00:00Z'));
    await openedAgain();
    await wait('b');
    answers = [];
    await api.drain(osk.id);
    expect(asked.map((a) => a.url.at(-1))).toEqual(['a', 'b']);
  });
  it('is sent under the name of the one who did it, or not at all', async () => {
    await wait('a');
    api.keepPerson(della);
    await api.drain(della.id);
    expect(asked).toEqual([]);
    expect(api.outbox.now()).toHaveLength(1);
    await api.drain(osk.id);
    expect(asked).toHaveLength(1);
  });
  it('stops at the first that finds no server, and keeps the order', async () => {
    await wait('a', 'b', 'c');
    answers = [{ status: 200, body: {} }, 'gone'];
    await api.drain(osk.id);
    expect(api.outbox.now().map((w) => w.url.at(-1))).toEqual(['b', 'c']);
  });
  it.each([500, 503, 429])('an answer of %i is tried again later', async (status) => {
    await wait('a');
    answers = [problem(status, 'later')];
    await api.drain(osk.id);
    expect(api.outbox.now()).toMatchObject([{ state: 'waiting' }]);
  });
  it('stops where the session is over', async () => {
    await wait('a', 'b');
    answers = [problem(401, 'Sign in first.')];
    await api.drain(osk.id);
    expect(api.outbox.now().map((w) => w.state)).toEqual(['waiting', 'waiting']);
  });
  it('comes back as a choice where somebody wrote meanwhile, and the rest goes on', async () => {
    await wait('a', 'b');
    answers = [
      problem(409, 'Della changed this meanwhile.', {
        current: { revision: 4, data: { status: 'waived' } },
      }),
    ];
    await api.drain(osk.id);
    const [stuck] = api.outbox.now();
    expect(api.outbox.now()).toHaveLength(1);
    expect(stuck).toMatchObject({ state: 'conflict', problem: { current: { revision: 4 } } });
    const before = stuck!.commandId;
    await api.insist(stuck!, 4);
    expect(api.outbox.now()[0]).toMatchObject({ state: 'waiting', body: { revision: 4 } });
    expect(api.outbox.now()[0]!.commandId).not.toBe(before);
    await api.drain(osk.id);
    expect(api.outbox.now()).toEqual([]);
  });
  it('that is refused stays until somebody lets it go or tries again', async () => {
    await wait('a');
    answers = [problem(422, 'Say why.')];
    await api.drain(osk.id);
    const [stuck] = api.outbox.now();
    expect(stuck).toMatchObject({ state: 'refused', problem: { title: 'Say why.' } });
    await api.drain(osk.id);
    expect(asked).toHaveLength(1);
    await api.tryAgain(stuck!);
    await api.drain(osk.id);
    expect(api.outbox.now()).toEqual([]);
  });
  it('is taken back by forgetting it, where it never left the device, and the screen is put back', async () => {
    const restore = vi.fn();
    vi.stubGlobal('navigator', { onLine: false });
    await tick('a', restore);
    await api.takeBack(api.undoable.last()!);
    expect(restore).toHaveBeenCalledOnce();
    expect(api.outbox.now()).toEqual([]);
    await api.drain(osk.id);
    expect(asked).toEqual([]);
  });
  it('is on the device before it is sent: when the page is closed while nobody answers, it is sent later', async () => {
    answers = ['silent'];
    void tick('a');
    await vi.waitFor(() => expect(asked).toHaveLength(1));
    expect([...stored.values()]).toMatchObject([{ state: 'sending' }]);
    await openedAgain();
    vi.setSystemTime(new Date('2026-11-26T08:00:30Z'));
    await api.drain(osk.id);
    expect(asked.map((a) => a.body['commandId'])).toEqual([
      asked[0]!.body['commandId'],
      asked[0]!.body['commandId'],
    ]);
    expect(stored.size).toBe(0);
  });
  it('is not sent again by another page while the first still waits for its answer', async () => {
    answers = ['silent'];
    void tick('a');
    await vi.waitFor(() => expect(asked).toHaveLength(1));
    await openedAgain();
    await api.drain(osk.id);
    expect(asked).toHaveLength(1);
    expect(api.outbox.now()).toEqual([]);
    expect(api.outbox.waitsFor(osk.id)).toBe(true);
  });
  it('is taken back at the server when it has just been sent', async () => {
    await wait('a');
    const done = api.undoable.last()!;
    await api.drain(osk.id);
    await api.takeBack(done);
    expect(asked.at(-1)!.url).toBe(`/api/commands/${String(asked[0]!.body['commandId'])}/undo`);
    expect(stored.size).toBe(0);
  });
  it('that the server may have got, or may still get, is taken back there too', async () => {
    answers = ['gone'];
    await tick('a');
    asked = [];
    await api.takeBack(api.undoable.last()!);
    await api.drain(osk.id);
    expect(asked.map((a) => a.url)).toEqual([expect.stringMatching(/undo$/)]);
    expect(asked[0]!.body).toMatchObject({ orRefuseIt: true });
    expect(stored.size).toBe(0);
  });
  it('and is taken back while others are sent is not sent', async () => {
    await wait('a', 'b');
    const done = api.undoable.last()!;
    answers = ['slow'];
    const draining = api.drain(osk.id);
    await vi.waitFor(() => expect(asked).toHaveLength(1));
    await api.takeBack(done);
    answer?.();
    await draining;
    expect(asked.map((a) => a.url.at(-1))).toEqual(['a']);
    expect(stored.size).toBe(0);
  });
  it('one that the server fails at holds up what is written on top of it and nothing else, and is set aside in the end', async () => {
    await wait('a', 'a', 'b');
    for (let i = 0; i < 5; i += 1) {
      answers = [problem(500, 'The server failed at this.')];
      await api.drain(osk.id);
      expect(asked.filter((a) => a.url.endsWith('b'))).toHaveLength(1);
    }
    expect(api.outbox.now()).toMatchObject([
      { state: 'refused', problem: { title: 'The server failed at this.' } },
    ]);
  });
  it('a line at which the server fails holds up no other line of its job', async () => {
    vi.stubGlobal('navigator', { onLine: false });
    for (const line of ['one', 'two'])
      await api.command(
        writeLog,
        { params: { jobId }, body: { line, today: '2026-11-26' } },
        { label: 'line written', jobId, offline: () => ({ entry: 'local' as never }) },
      );
    answers = [problem(503, 'busy')];
    await api.drain(osk.id);
    expect(asked.map((a) => a.body['line'])).toEqual(['one', 'two']);
    expect(api.outbox.now()).toMatchObject([{ body: { line: 'one' }, state: 'waiting' }]);
  });
  it('a server that is busy sets nothing aside', async () => {
    await wait('a');
    for (let i = 0; i < 9; i += 1) {
      answers = [problem(503, 'busy')];
      await api.drain(osk.id);
    }
    expect(api.outbox.now()).toMatchObject([{ state: 'waiting' }]);
  });
  it('that was refused is sent with other words as a new command', async () => {
    await wait('a');
    answers = [problem(422, 'Say why.')];
    await api.drain(osk.id);
    const [stuck] = api.outbox.now();
    await api.change(stuck!, { ...stuck!.body, data: { status: 'waived', reason: 'seen by two' } });
    await api.drain(osk.id);
    expect(asked.at(-1)!.body).toMatchObject({ data: { reason: 'seen by two' } });
    expect(asked.at(-1)!.body['commandId']).not.toBe(asked[0]!.body['commandId']);
  });
  it('two that drain at once send each thing once', async () => {
    await wait('a', 'b');
    await Promise.all([api.drain(osk.id), api.drain(osk.id)]);
    expect(asked.map((a) => a.url.at(-1))).toEqual(['a', 'b']);
  });
});

describe('an old token', () => {
  const outOfDate = problem(403, 'This page is out of date. Load it again.', {
    code: 'page-out-of-date',
  });
  it('is renewed while the same person is at the device', async () => {
    api.keepToken('old', osk.id);
    answers = [
      outOfDate,
      { status: 200, body: { token: 'new', person: osk } },
      { status: 200, body: { record: 'sent' } },
    ];
    expect(await tick('a')).toEqual({ record: 'sent' });
    expect(asked.map((a) => a.url)).toEqual([
      expect.stringContaining('/records/'),
      '/api/me',
      expect.stringContaining('/records/'),
    ]);
  });
  it('is not renewed under another name', async () => {
    api.keepToken('old', osk.id);
    answers = [outOfDate, { status: 200, body: { token: 'new', person: della } }];
    await expect(tick('a')).rejects.toThrow('out of date');
  });
});

describe('the clock of the device', () => {
  const heard = (date: string, tookMs = 100) =>
    api.heardTime(new Date(date).toUTCString(), Date.now() - tookMs);
  const off = () => Math.round((api.nowMs() - Date.now()) / 1000);
  it('goes by the server once an answer said what time it is', () => {
    heard('2026-11-25T08:00:00Z');
    expect(off() / 86_400).toBeCloseTo(-1, 4);
  });
  it('is heard of by every answer, also one that refuses', async () => {
    vi.stubGlobal('fetch', () =>
      Promise.resolve(
        Response.json({}, { status: 409, headers: { date: 'Wed, 25 Nov 2026 08:00:00 GMT' } }),
      ),
    );
    await expect(api.call(undoCommand, { params: { target: jobId } })).rejects.toThrow();
    expect(off() / 86_400).toBeCloseTo(-1, 4);
  });
  it('is right where the answer was given between asking and hearing, however long that took', () => {
    heard('2026-11-26T08:00:01.500Z');
    expect(off()).toBe(0);
    heard('2026-11-26T07:59:40Z', 30_000);
    expect(off()).toBe(0);
  });
  it('is set right again, and keeps what it knows while answers differ by what they cannot tell', () => {
    heard('2026-11-25T08:00:00Z');
    const known = api.nowMs() - Date.now();
    heard('2026-11-25T08:00:02Z', 3000);
    expect(api.nowMs() - Date.now()).toBe(known);
    heard('2026-11-26T08:00:00Z');
    expect(off()).toBe(0);
  });
  it('hears nothing in an answer that does not say', () => {
    api.heardTime(null, 0);
    api.heardTime('soon', 0);
    expect(off()).toBe(0);
  });
});

describe('half a minute', () => {
  it('is how long a thing may be taken back', async () => {
    await tick('a');
    const done = api.undoable.last()!;
    expect(api.fresh(done)).toBe(true);
    vi.setSystemTime(new Date('2026-11-26T08:00:30Z'));
    expect(api.fresh(done)).toBe(false);
  });
});
