import { createStore, del, entries, set } from 'idb-keyval';
import type { UseStore } from 'idb-keyval';
import type { Problem } from '@bay/contract/endpoint';
import { newId, Refused, sendRaw } from './client.ts';

/**
 * What was done without a network waits here, on the device, in the order it was done, and is sent once when the network is
 * back. It survives closing the browser. Every command carries its own id, so that one sent twice (by two tabs, or because an
 * answer was lost) is done once.
 */
export interface Waiting {
  /** Order of sending; the key it is stored under. */
  order: string;
  commandId: string;
  /** Only sent while the person who did it is at the device. */
  personId: string;
  by: string;
  jobId?: string | undefined;
  /** What it is, for people: "step done". */
  label: string;
  method: string;
  url: string;
  body: Record<string, unknown>;
  file?: Blob | undefined;
  /** By the device's clock; how long ago it was is what gets sent. */
  doneAt: number;
  state: 'waiting' | 'conflict' | 'refused';
  problem?: Problem | undefined;
}

let store: UseStore | undefined;
const box = (): UseStore => (store ??= createStore('bay-outbox', 'waiting'));

let held: readonly Waiting[] = [];
let loaded = false;
const watchers = new Set<() => void>();
const say = (): void => watchers.forEach((w) => w());
// Other tabs of this device see the same box.
const tabs = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('bay-outbox');

async function read(): Promise<void> {
  const all = await entries<string, Waiting>(box()).catch(() => []);
  held = all.map(([, w]) => w).sort((a, b) => (a.order < b.order ? -1 : 1));
  loaded = true;
  say();
}
tabs?.addEventListener('message', () => void read());

async function changed(): Promise<void> {
  await read();
  tabs?.postMessage('changed');
}

export const outbox = {
  watch(watcher: () => void): () => void {
    watchers.add(watcher);
    if (!loaded) void read();
    return () => watchers.delete(watcher);
  },
  now: (): readonly Waiting[] => held,
};

let last = 0;
export async function enqueue(w: Omit<Waiting, 'order' | 'state' | 'doneAt'>): Promise<Waiting> {
  const doneAt = Date.now();
  last = Math.max(last + 1, doneAt * 100);
  const waiting: Waiting = { ...w, doneAt, order: String(last).padStart(18, '0'), state: 'waiting' };
  await set(waiting.order, waiting, box());
  await changed();
  return waiting;
}

export async function drop(w: Waiting): Promise<void> {
  await del(w.order, box());
  await changed();
}

/** Sends it again as a new command, on top of what stands there now. */
export async function insist(w: Waiting, revision: number): Promise<void> {
  const next: Waiting = {
    ...w,
    commandId: newId(),
    body: { ...w.body, revision },
    state: 'waiting',
    problem: undefined,
  };
  await set(w.order, next, box());
  await changed();
}

export async function tryAgain(w: Waiting): Promise<void> {
  await set(w.order, { ...w, state: 'waiting', problem: undefined }, box());
  await changed();
}

function bodyOf(w: Waiting): Record<string, unknown> | FormData {
  const agoMs = Math.max(0, Date.now() - w.doneAt);
  const body = { ...w.body, commandId: w.commandId, writtenBy: w.personId, ...(agoMs > 2000 ? { agoMs } : {}) };
  if (!w.file) return body;
  const form = new FormData();
  for (const [name, value] of Object.entries(body)) if (value !== undefined) form.append(name, String(value));
  form.append('file', w.file);
  return form;
}

export type Outcome = 'sent' | 'conflict' | 'refused' | 'later' | 'sign-in';

async function sendOne(w: Waiting): Promise<Outcome> {
  try {
    await sendRaw(w.method, w.url, bodyOf(w));
    await del(w.order, box());
    return 'sent';
  } catch (error) {
    if (!(error instanceof Refused)) return 'later';
    const { problem } = error;
    if (problem.code === 'signed-out') return 'sign-in';
    // Somebody else came to the device meanwhile: it waits for the one who wrote it.
    if (problem.code === 'somebody-else') return 'sign-in';
    // The page may hold the token of a session before this one; "me" brings the new one.
    if (problem.code === 'page-out-of-date') return 'sign-in';
    if (problem.code === 'no-connection' || problem.code === 'failed' || problem.code === 'too-many') return 'later';
    const state = problem.code === 'stale' ? 'conflict' : 'refused';
    await set(w.order, { ...w, state, problem }, box());
    return state;
  }
}

let draining: Promise<string[]> | undefined;

async function drainNow(personId: string): Promise<string[]> {
  await read();
  const jobs = new Set<string>();
  for (const w of held.filter((x) => x.state === 'waiting' && x.personId === personId)) {
    const outcome = await sendOne(w);
    if (outcome === 'later' || outcome === 'sign-in') break;
    if (w.jobId) jobs.add(w.jobId);
    await changed();
  }
  return [...jobs];
}

/** Sends what waits for this person, in order, until the network gives out. Gives the jobs that something was sent to. */
export function drain(personId: string): Promise<string[]> {
  // Two tabs may both try; where the browser offers locks, one of them waits.
  const work = (): Promise<string[]> => drainNow(personId);
  draining ??= (navigator.locks ? navigator.locks.request('bay-outbox', work) : work()).finally(
    () => (draining = undefined),
  );
  return draining;
}
