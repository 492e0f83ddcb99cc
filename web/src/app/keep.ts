import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client';
import type { Query } from '@tanstack/react-query';
import { createStore, del, get, set } from 'idb-keyval';

/** How long a device shows what it read last, without a network. */
export const keepDays = 7;
const store = typeof indexedDB === 'undefined' ? undefined : createStore('bay-shown', 'queries');
const key = 'client';

/** What is worth keeping: who is here, the Floor, the jobs that were opened, and what a technician needs beside them. */
const kept = new Set(['me', 'floor', 'job', 'crew', 'units', 'schools', 'bench', 'waiting', 'suppliers']);
export const worthKeeping = (query: Query): boolean => {
  const name = String(query.queryKey[0]);
  // A query that failed without a network still holds what it read last.
  if (query.state.data === undefined || !kept.has(name)) return false;
  // That nobody is here is asked anew each time.
  return name !== 'me' || (query.state.data as { person: unknown }).person !== null;
};

let pending: ReturnType<typeof setTimeout> | undefined;
let next: PersistedClient | undefined;

const write = (): void => {
  clearTimeout(pending);
  pending = undefined;
  if (store && next) void set(key, next, store).catch(() => undefined);
  next = undefined;
};

/** Keeps read data in the device's own database, at most once a second, and at once when the page is left. */
export const persister: Persister = {
  persistClient: (client) => {
    next = client;
    pending ??= setTimeout(write, 1000);
  },
  restoreClient: () => (store ? get<PersistedClient>(key, store).catch(() => undefined) : undefined),
  removeClient: () => (store ? del(key, store).catch(() => undefined) : undefined),
};

// A tablet is put into a pocket or sent to another page within that second: then what was read would be lost.
if (store) addEventListener('pagehide', write);
