import { sameValue } from '@bay/core/rules';
import type { Stamp } from '@bay/core/rules';
import { kindSchema } from '@bay/contract/records';
import type { RecordKind } from '@bay/contract/records';
import type { Caller } from '../http/register.ts';

type Data = Record<string, unknown>;

/** What the server itself knew when an act was done, and keeps with it. */
const knownThen = ['stoodOn', 'forecastMm'] as const;
/** What the server puts on an act or on a whole record. */
const stampKeys = new Set(['byId', 'by', 'at', ...knownThen]);

/** What somebody said, without who and when. */
function said(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).filter(([key]) => !stampKeys.has(key)));
}

const picked = (data: Data | undefined, keys: readonly string[]): Data =>
  Object.fromEntries(keys.flatMap((k) => (data?.[k] === undefined ? [] : [[k, data[k]]])));
const stampOf = (data: Data | undefined): Stamp => picked(data, ['byId', 'at']);

/**
 * Puts names and times on what is written: the one place where that is done. An act that stands there already with the same
 * words keeps who did it; what is new or other is signed by whoever writes now. A second signature stands only under what it
 * was given for.
 */
export function stamped(
  kind: RecordKind,
  data: Data,
  before: Data | undefined,
  { caller, at }: { caller: Caller; at: string },
): Data {
  const { acts, signed } = kindSchema(kind);
  const now: Stamp = { byId: caller.personId, at };
  const out: Data = { ...data };
  for (const act of acts) {
    if (data[act] === undefined) continue;
    const was = before?.[act] as Data | undefined;
    out[act] =
      was !== undefined && sameValue(said(was), said(data[act]))
        ? { ...(data[act] as Data), ...stampOf(was), ...picked(was, knownThen) }
        : { ...(data[act] as Data), ...now };
  }
  const own = Object.keys({ ...before, ...data }).filter(
    (key) => !acts.includes(key) && !stampKeys.has(key) && key !== 'second',
  );
  const looked = Array.isArray(signed) ? signed : own;
  const keeps = before !== undefined && (signed === 'once' || looked.every((key) => sameValue(before[key], data[key])));
  Object.assign(out, keeps ? stampOf(before) : now);
  const nothingNew =
    before !== undefined && [...own, ...acts].every((key) => sameValue(said(before[key]), said(data[key])));
  if (nothingNew && before['second'] !== undefined) out['second'] = before['second'];
  return out;
}

/** A record as it may be sent again: without the stamp that was read with it. */
export const unstamped = (data: Record<string, unknown>): Record<string, unknown> =>
  Object.fromEntries(Object.entries(data).filter(([field]) => field !== 'byId' && field !== 'at'));
