import { mayFail } from './may-fail.ts';

/** What somebody typed into a form and left: kept on the device under their name until it is saved or dropped. */
export interface Draft<V> {
  values: V;
  /** What stood in the form before anything was typed, by which one sees whether that changed meanwhile. */
  before: V;
  /** The revision of that, where it has one. */
  since?: number | undefined;
  at: number;
}

const prefix = 'bay-draft:';
const keptDays = 7;
const nameOf = (personId: string, form: string): string => `${prefix}${personId}:${form}`;

export function readDraft<V>(personId: string, form: string): Draft<V> | undefined {
  return mayFail(() => {
    const kept = localStorage.getItem(nameOf(personId, form));
    const draft = kept === null ? undefined : (JSON.parse(kept) as Draft<V>);
    return draft && Date.now() - draft.at < keptDays * 86_400_000 ? draft : undefined;
  });
}

export const keepDraft = <V>(personId: string, form: string, draft: Draft<V>): void =>
  void mayFail(() => localStorage.setItem(nameOf(personId, form), JSON.stringify(draft)));

export const dropDraft = (personId: string, form: string): void =>
  void mayFail(() => localStorage.removeItem(nameOf(personId, form)));

/** Of everybody: when a device leaves the shop. */
export function dropAllDrafts(): void {
  mayFail(() => {
    for (const key of Object.keys(localStorage)) if (key.startsWith(prefix)) localStorage.removeItem(key);
  });
}
