import type { LogKind } from '@bay/core/logbook';
import type { UnitRole } from '@bay/contract/jobs';
import type { RecordData, RecordKind } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';
import type { Caller } from '../http/register.ts';

export interface WriteContext<K extends RecordKind> {
  key: string;
  before: RecordData<K> | undefined;
  caller: Caller;
  at: string;
}

/** How one kind of record is written: what is stamped or refused, and what the logbook says of it. */
export interface KindRule<K extends RecordKind = RecordKind> {
  kind: K;
  logKind: LogKind | ((data: RecordData<K>, context: WriteContext<K>) => LogKind);
  station?: string;
  /** Stamps names and times, and refuses what must not be; throws a Refusal. */
  prepare?: (data: RecordData<K>, context: WriteContext<K>) => RecordData<K>;
  /** One sentence for the logbook. */
  describe: (data: RecordData<K>, context: WriteContext<K>) => string;
  /** The unit it hangs on, by its role on the job; the job itself where nothing is said. */
  bearer?: (data: RecordData<K>) => UnitRole;
  /** What else happens with it, in the same transaction. */
  after?: (tx: Tx, data: RecordData<K>, context: WriteContext<K> & { jobId: string }) => Promise<void>;
  /** The line of the plan it speaks of; the key where nothing else is said. */
  about?: (data: RecordData<K>, key: string) => string;
}

export const kindRule = <K extends RecordKind>(rule: KindRule<K>): KindRule => rule as unknown as KindRule;

/** Puts name and time on data that carry them at the top. */
export const stamped = <T extends object>(data: T, { caller, at }: { caller: Caller; at: string }): T => ({ ...data, by: caller.name, at });
