/**
 * Who did an act and when. Put on by the server, never taken from who asks for it; people are kept by id, and `by` is the name
 * as it is today, filled in when the act is read.
 */
export interface Stamp {
  byId?: string | undefined;
  by?: string | undefined;
  at?: string | undefined;
}

/** An act with what was said at it. */
export type Act<T = unknown> = T & Stamp;

/** Compares stamps by time, the earliest first; what was never stamped comes before all. */
export const byTime = (a: Stamp, b: Stamp): number => (a.at ?? '').localeCompare(b.at ?? '');

/** The last of some records; nothing where there are none. */
export const latest = <T extends Stamp>(records: readonly T[]): T | undefined => [...records].sort(byTime).at(-1);

/** A record as it stands once something came apart that undid it: void from then on, unless it was written after that. */
export function voidedSince<T extends Stamp & { voided?: Act<{ why: string }> | undefined }>(
  record: T,
  came: (Stamp & { why: string }) | undefined,
): T {
  if (came === undefined || record.voided || (record.at ?? '') >= (came.at ?? '')) return record;
  const { why, ...stamp } = came;
  return { ...record, voided: { why: `the engine came out again: ${why}`, ...stamp } };
}
