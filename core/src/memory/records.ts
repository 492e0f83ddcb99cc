import type { GateName } from '../jobs/gates.ts';
import type { StationId } from '../jobs/stations.ts';
import type { LoadKind } from '../sums/electric.ts';
import type { Stamp } from '../rules/stamp.ts';

export const ownSorts = ['step', 'part', 'check', 'circuit'] as const;
export type OwnSort = (typeof ownSorts)[number];

/** Gates at which an own check is looked at. */
export const checkGates = [
  'Engine closed up',
  'Engine in',
  'First crank',
  'First start',
  'First drive',
  'Hand over',
] as const satisfies readonly GateName[];
export type CheckGate = (typeof checkGates)[number];

/** A line that no rule of the program knew: a step, a part, a check before a gate, a circuit. */
export interface OwnLine {
  sort: OwnSort;
  title: string;
  /** What happens without it. */
  why: string;
  /** Where it is worked on; parts are bought for it there. */
  station: StationId;
  /** Of a step or a check: least and most minutes of one person. */
  minutes?: readonly number[] | undefined;
  people?: number | undefined;
  /** Steps that come first, and steps that wait for it, by the keys of their records. */
  after?: readonly string[] | undefined;
  before?: readonly string[] | undefined;
  /** Kit lines that are to be here first. */
  parts?: readonly string[] | undefined;
  /** Of a check: the first gate at which it may no longer be open. */
  gate?: CheckGate | undefined;
  /** Of a part: the system of the kit it stands under; what is settled before it is ordered. */
  system?: string | undefined;
  options?: string | undefined;
  /** Of a part: what such a thing usually costs, low, likely, high, in the units of the price lists. */
  price?: readonly number[] | undefined;
  /** Of a circuit. */
  from?: string | undefined;
  to?: string | undefined;
  load?: LoadKind | undefined;
  amps?: number | undefined;
}

export interface OwnLineRecord extends OwnLine, Stamp {
  /** Set in error: it holds nothing any more and stays in the book. */
  removed?: boolean | undefined;
}

export interface MemoryRecords {
  'own-line': OwnLineRecord;
}
