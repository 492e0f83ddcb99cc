import type { LogKind } from '@bay/core/logbook';
import type { UnitRole } from '@bay/contract/jobs';
import type { RecordData, RecordKind } from '@bay/contract/records';
import type { Tx } from '../db/connection.ts';
import type { Home } from './home.ts';
import type { Caller } from '../http/register.ts';

export interface WriteContext<K extends RecordKind> {
  jobId: string;
  key: string;
  before: RecordData<K> | undefined;
  caller: Caller;
  at: string;
}

/** How one kind of record is written: what is refused, and what the logbook says of it. Names and times are put on elsewhere. */
export interface KindRule<K extends RecordKind = RecordKind> {
  kind: K;
  logKind: LogKind | ((data: RecordData<K>, context: WriteContext<K>) => LogKind);
  station?: string;
  /** The table it has of its own; among the other records where none is named. */
  home?: Home;
  /** Refuses what must not be; throws a Refusal. Asked before stamps are put on. */
  check?: (data: RecordData<K>, context: WriteContext<K>) => void;
  /** What is written instead of what was sent. */
  settle?: (data: RecordData<K>, context: WriteContext<K>) => RecordData<K>;
  /** What the server itself knows and adds, once the stamps are on. */
  complete?: (tx: Tx, data: RecordData<K>, context: WriteContext<K>) => Promise<RecordData<K>>;
  /** Does what is written want the name of a second person? */
  wantsSecond?: (data: RecordData<K>, key: string) => boolean;
  /** One sentence for the logbook. */
  describe: (data: RecordData<K>, context: WriteContext<K>) => string;
  /** What a line of a waiting list or of the book calls it. */
  title?: (data: RecordData<K>, key: string) => string;
  /** The unit it hangs on, by its role on the job; the job itself where nothing is said. */
  bearer?: (data: RecordData<K>) => UnitRole | undefined;
  /** What else happens with it, in the same transaction. */
  after?: (tx: Tx, data: RecordData<K>, context: WriteContext<K>) => Promise<void>;
  /** The line of the plan it speaks of; the key where nothing else is said. */
  about?: (data: RecordData<K>, key: string) => string;
}

export const kindRule = <K extends RecordKind>(rule: KindRule<K>): KindRule => rule as unknown as KindRule;

const rules = new Map<RecordKind, KindRule>();

/** Makes kinds known; each capability brings its own (capabilities.ts gathers them). */
export function registerKinds(own: readonly KindRule[]): void {
  for (const rule of own) rules.set(rule.kind, rule);
}

/** The rule of a kind; every kind of the contract has one (a test walks them). */
export function ruleOf(kind: RecordKind): KindRule {
  const rule = rules.get(kind);
  if (!rule) throw new Error(`No rule for records of kind "${kind}"`);
  return rule;
}
