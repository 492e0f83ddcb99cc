import { undoSeconds } from '@bay/contract/logbook';

/** What was done on this device in the last half minute, and may be taken back. */
export interface Done {
  commandId: string;
  label: string;
  jobId?: string | undefined;
  /** By the device's clock, milliseconds. */
  at: number;
  /** It waits on this device still; taking it back only forgets it. */
  takeBack?: () => Promise<void>;
}

let done: Done[] = [];
const watchers = new Set<() => void>();
const say = (): void => watchers.forEach((w) => w());

export function remember(d: Done): void {
  done = [...done.filter((x) => fresh(x)), d];
  say();
}

export const fresh = (d: Done): boolean => Date.now() - d.at < undoSeconds * 1000;
export const forget = (d: Done): void => {
  done = done.filter((x) => x !== d);
  say();
};
export const forgetAll = (): void => {
  done = [];
  say();
};

export const undoable = {
  watch(watcher: () => void): () => void {
    watchers.add(watcher);
    return () => watchers.delete(watcher);
  },
  last: (): Done | undefined => done.at(-1),
};
