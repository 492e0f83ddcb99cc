import type { Act, Stamp } from '../rules/stamp.ts';
import type { GateName, PrimingWayId, ProvisionalKindId } from './types.ts';

/** Done although a gate was shut: why, and what stood against it. */
export type Deviation = Act<{ why: string; stoodOn?: { against: readonly string[]; harm: boolean } | undefined }>;

/** What proves or overrides one line of a gate. */
export interface GateProof extends Stamp {
  text: string;
  /** What was typed at each point that the line wants read, by its key. */
  readings?: Readonly<Record<string, string>> | undefined;
  /** Photos of this job that show it. */
  photos?: readonly string[] | undefined;
  override?: Act<{ reason: string }> | undefined;
  voided?: Act<{ why: string }> | undefined;
  /** The second person's own signature under what stands here. */
  second?: Act | undefined;
}

/** Oil pressure before spark. */
export interface PrimingRecord extends Stamp {
  way: PrimingWayId;
  bar: number;
  seconds: number;
  note?: string | undefined;
  deviation?: Deviation | undefined;
  second?: Act | undefined;
}

export const attemptResults = ['no-crank', 'cranks-no-fire', 'fires-and-dies', 'runs'] as const;

export interface AttemptRecord extends Stamp {
  number: number;
  seconds: number;
  result: (typeof attemptResults)[number];
  volts?: number | undefined;
  rpm?: number | undefined;
  heard?: string | undefined;
  change?: string | undefined;
  /** Tried with a gate shut: why, and (kept by the server) which lines stood. */
  deviation?: Deviation | undefined;
  second?: Act | undefined;
}

/** What was read at one moment of the first warm-up, minutes after the start. */
export interface WarmUpRecord extends Stamp {
  minute: number;
  coolantC?: number | undefined;
  oilBar?: number | undefined;
  volts?: number | undefined;
  rpm?: number | undefined;
  note?: string | undefined;
}

export interface SignatureRecord extends Stamp {
  what: string;
  statement: string;
}

export interface ProvisionalRecord extends Stamp {
  what: string;
  kind?: ProvisionalKindId | undefined;
  /** What ends it, where it is not what usually ends its kind. */
  ends?: string | undefined;
  /** The first gate at which it may not be open, where the writer chose one and not the usual one of its kind. */
  forbiddenAt?: GateName | undefined;
  ended?: Act | undefined;
}

export interface CommissioningRecords {
  gate: GateProof;
  priming: PrimingRecord;
  attempt: AttemptRecord;
  'warm-up': WarmUpRecord;
  signature: SignatureRecord;
  provisional: ProvisionalRecord;
}
