import { createStore, del, entries, get, set, update } from 'idb-keyval';
import type { UseStore } from 'idb-keyval';
import { longestAgoMs } from '@bay/contract/endpoint';
import type { Problem } from '@bay/contract/endpoint';
import { formOf, newId, Refused, sendRaw } from './client.ts';
import { nowMs } from './now.ts';

/**
 * What is done on this device is kept here before it is sent, in the order it was done, and taken out when the server has it. Without
 * a network it waits, survives closing the browser, and is sent when the network is back. Every command carries its own id, so that
 * one sent twice (by two tabs, or because an answer was lost) is done once.
 */
export interface Waiting {
  /** Order of sending; the key it is stored under. Counted, not told by a clock. */
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
  /** By the shop's clock as the device knew it then, milliseconds. */
  doneAt: number;
  /** Which opening of the page it was done in, and how long that had been open, milliseconds: no clock that is set changes it. */
  page: string;
  upMs: number;
  /** `sending`: on its way for the first time. It is looked after by the page that sends it, until that is too long ago. */
  state: 'sending' | 'waiting' | 'conflict' | 'refused';
  problem?: Problem | undefined;
  /** It was on its way once and nobody answered: the server may have it, or not. */
  tried?: true | undefined;
  /** How often the server failed at it. */
  failures?: number | undefined;
}

/** How long a command waits for its answer before it counts as unanswered, milliseconds; a photo is larger. */
const patience = { words: 10_000, photo: 120_000 };
export const patienceOf = (file: Blob | undefined): number => (file ? patience.photo : patience.words);

/** A command at which the server itself fails this often is set aside for a person to see. */
const mostFailures = 5;

const page = newId();

let store: UseStore | undefined;
const box = (): UseStore => (store ??= createStore('bay-outbox', 'waiting'));
let counter: UseStore | undefined;
const counts = (): UseStore => (counter ??= createStore('bay-outbox-count', 'count'));

let held: readonly Waiting[] = [];
let loaded = false;
/** What this page is sending now. */
const onTheWay = new Map<string, Promise<unknown>>();
const watchers = new Set<() => void>();
let shown: readonly Waiting[] = [];
const say = (): void => {
  shown = held.filter((w) => !lookedAfter(w));
  watchers.forEach((each) => each());
};
// Other tabs of this device see the same box.
const tabs = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('bay-outbox');

/** Somebody waits for its answer: this page, or another that has not given it up yet. */
const lookedAfter = (w: Waiting): boolean =>
  w.state === 'sending' && (onTheWay.has(w.order) || Math.abs(nowMs() - w.doneAt) < patienceOf(w.file) + 2000);

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

const keep = async (w: Waiting): Promise<Waiting> => {
  await set(w.order, w, box());
  await changed();
  return w;
};

export const outbox = {
  watch(watcher: () => void): () => void {
    watchers.add(watcher);
    if (!loaded) void read();
    return () => watchers.delete(watcher);
  },
  /** What nobody is sending just now. */
  now: (): readonly Waiting[] => shown,
  /** Does something of this person wait that must not be overtaken, or is something left that a closed page was sending? */
  waitsFor: (personId: string | undefined): boolean =>
    held.some((w) => w.personId === personId && (w.state === 'waiting' || w.state === 'sending')),
};

/** The next number, also when two tabs ask at once; above whatever waits already. */
async function nextOrder(): Promise<string> {
  let next = 0;
  const most = Number(held.at(-1)?.order ?? 0);
  await update<number>('last', (last) => (next = Math.max(last ?? 0, most) + 1), counts());
  return String(next).padStart(18, '0');
}

export async function enqueue(
  w: Omit<Waiting, 'order' | 'state' | 'doneAt' | 'page' | 'upMs'>,
  state: 'sending' | 'waiting' = 'waiting',
): Promise<Waiting> {
  if (!loaded) await read();
  return keep({ ...w, doneAt: nowMs(), page, upMs: performance.now(), order: await nextOrder(), state });
}

export async function drop(w: Waiting): Promise<void> {
  await del(w.order, box());
  await changed();
}

/**
 * Takes back what waits. `kept`: it had never been on its way and is forgotten. `behind`: the server may have it, so that it is taken
 * back there as soon as it can be asked. `sent`: the server has it.
 */
export async function withdraw(
  w: Waiting,
  undo: Pick<Waiting, 'method' | 'url' | 'body'>,
): Promise<'kept' | 'behind' | 'sent'> {
  await onTheWay.get(w.order)?.catch(() => undefined);
  const there = await get<Waiting>(w.order, box());
  if (!there) return 'sent';
  await drop(there);
  if (!there.tried) return 'kept';
  const { personId, by, jobId } = there;
  await enqueue({
    ...undo,
    commandId: newId(),
    personId,
    by,
    jobId,
    label: `taken back: ${there.label}`,
  });
  return 'behind';
}

/** Sends it again as a new command, on top of what stands there now. */
export const insist = (w: Waiting, revision: number): Promise<Waiting> => change(w, { ...w.body, revision });

/** Sends it as a new command with other words. */
export const change = (w: Waiting, body: Waiting['body']): Promise<Waiting> =>
  keep({ ...w, body, commandId: newId(), state: 'waiting', problem: undefined, failures: undefined, tried: undefined });

export const tryAgain = (w: Waiting): Promise<Waiting> =>
  keep({ ...w, state: 'waiting', problem: undefined, failures: undefined });

/** How long ago it was done, milliseconds. Within one opening of the page no clock is asked; a clock that was set never refuses it. */
function agoOf(w: Waiting): number {
  const ago = w.page === page ? performance.now() - w.upMs : nowMs() - w.doneAt;
  return Math.round(Math.min(Math.max(0, ago), longestAgoMs));
}

function bodyOf(w: Waiting): Record<string, unknown> | FormData {
  const agoMs = agoOf(w);
  const body = { ...w.body, commandId: w.commandId, writtenBy: w.personId, ...(agoMs > 2000 ? { agoMs } : {}) };
  return w.file ? formOf(body, w.file) : body;
}

/** Sends it and waits for the answer as long as that is worth. Taken out of the box when the server has it. */
function send(w: Waiting, signal?: AbortSignal): Promise<unknown> {
  const limit = AbortSignal.timeout(patienceOf(w.file));
  const going = sendRaw(w.method, w.url, bodyOf(w), signal ? AbortSignal.any([signal, limit]) : limit).then(
    async (reply) => {
      await del(w.order, box());
      return reply;
    },
  );
  onTheWay.set(w.order, going);
  return going.finally(() => onTheWay.delete(w.order));
}

/** Sends for the first time what was just put into the box. When nobody answers it waits there; what is refused is not kept. */
export async function sendFirst(w: Waiting, signal?: AbortSignal): Promise<{ reply: unknown } | 'waits'> {
  try {
    const reply = await send(w, signal);
    await changed();
    return { reply };
  } catch (error) {
    if (error instanceof Refused && error.unanswered) {
      await keep({ ...w, state: 'waiting', tried: true });
      return 'waits';
    }
    await drop(w);
    throw error;
  }
}

type Outcome = 'sent' | 'aside' | 'held' | 'later';

/** Sends one of those that wait. `held`: the server failed at this one; `later`: nobody answers, or somebody else is at the device. */
async function sendOne(w: Waiting): Promise<Outcome> {
  try {
    await send(w);
    return 'sent';
  } catch (error) {
    if (!(error instanceof Refused)) return 'later';
    const { problem } = error;
    if (error.unanswered) {
      if (!w.tried) await keep({ ...w, tried: true });
      return 'later';
    }
    // Somebody else came to the device, or the session is over, or the page holds an old token: "me" brings what is wanted.
    if (['signed-out', 'somebody-else', 'page-out-of-date', 'too-many'].includes(problem.code)) return 'later';
    if (problem.code === 'failed') {
      // A server that is busy will not always be; one that fails at this each time wants a person.
      const failures = (w.failures ?? 0) + (problem.status === 503 ? 0 : 1);
      const aside = failures >= mostFailures;
      await set(w.order, { ...w, failures, ...(aside ? { state: 'refused', problem } : {}) }, box());
      return aside ? 'aside' : 'held';
    }
    await set(w.order, { ...w, state: problem.code === 'stale' ? 'conflict' : 'refused', problem }, box());
    return 'aside';
  }
}

let draining: Promise<string[]> | undefined;

async function drainNow(personId: string): Promise<string[]> {
  await read();
  const jobs = new Set<string>();
  // One that the server fails at holds up what is written on top of it, and nothing else.
  const heldUp = new Set<string>();
  for (const { order } of held.filter((x) => x.personId === personId)) {
    // It may have been taken back while others were sent.
    const w = await get<Waiting>(order, box());
    if (!w || heldUp.has(w.url) || lookedAfter(w) || (w.state !== 'waiting' && w.state !== 'sending')) continue;
    const outcome = await sendOne({ ...w, state: 'waiting' });
    if (outcome === 'later') break;
    // Lines and photos stand each for itself; what changes a thing stands on what was written of it before.
    if (outcome === 'held' && w.method !== 'post') heldUp.add(w.url);
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
