import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { putRecord } from '@bay/contract/records';
import { changeJob, bookIn } from '@bay/contract/jobs';
import type * as Api from './index.ts';

/** The outbox against a database in memory and a network that the test turns on and off. */

const stored = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({
  createStore: () => 'store',
  entries: () => Promise.resolve([...stored].map(([k, v]) => [k, structuredClone(v)])),
  set: (k: string, v: unknown) => Promise.resolve(void stored.set(k, structuredClone(v))),
  del: (k: string) => Promise.resolve(void stored.delete(k)),
}));

type Answer = { status: number; body: unknown } | 'gone';
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
  answers = [];
  asked = [];
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-11-26T08:00:00Z') });
  vi.stubGlobal(
    'fetch',
    (url: string, init: { method: string; body: string } = { method: 'GET', body: '' }) => {
      const answer = answers.shift() ?? { status: 200, body: { record: 'sent' } };
      if (answer === 'gone') return Promise.reject(new TypeError('no network'));
      asked.push({
        url,
        method: init.method,
        body: init.body ? (JSON.parse(init.body) as Record<string, unknown>) : {},
      });
      return Promise.resolve(new Response(JSON.stringify(answer.body), { status: answer.status }));
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
    vi.setSystemTime(new Date('2026-11-26T11:30:00Z'));
    await api.drain(osk.id);
    expect(asked[0]!.body['agoMs']).toBe(3.5 * 3_600_000);
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
  it('is taken back by forgetting it, and the screen is put back', async () => {
    const restore = vi.fn();
    answers = ['gone'];
    await tick('a', restore);
    await api.takeBack(api.undoable.last()!);
    expect(restore).toHaveBeenCalledOnce();
    expect(api.outbox.now()).toEqual([]);
    await api.drain(osk.id);
    expect(asked).toEqual([]);
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
  it('goes by the server once the server said what time it is', () => {
    api.keepServerTime('2026-11-25T08:00:00Z');
    expect(api.nowIso()).toBe('2026-11-25T08:00:00.000Z');
  });
  it('what the network takes is no error of the clock', () => {
    api.keepServerTime('2026-11-26T08:00:01.500Z');
    expect(api.nowIso()).toBe('2026-11-26T08:00:00.000Z');
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
