import type { Condition } from '../rules/condition.ts';

export interface GateLineDef {
  id: string;
  gate: string;
  mustBe: string;
  /** Harm is next: overriding wants a second signature. */
  harm?: boolean;
  when: Condition;
  /** What proves it, as the program looks at it. */
  proof: readonly ProofKind[];
  /** The same in words, with what the trade adds. */
  proofWords: string;
  why: string;
}

/** One thing that a line wants to be proved by. A reading may have a unit and a band; a signature may want two people. */
export type ProofKind =
  | { reading: { unit?: string; min?: number; max?: number; count?: number } }
  | { photo: true }
  | { record: true }
  | { signature: true; people?: number };

export interface PrimingWay {
  id: string;
  /** The option of the fact that chooses it. */
  value?: string;
  way: string;
  pro: string;
  contra: string;
  suits: string;
  stop: string;
}
export interface StartStep {
  id: string;
  action: string;
  howLong: string;
  watch: string;
  stopWhen: string;
}
export interface WarmUpWatch {
  id: string;
  watch: string;
  green: string;
  amber: string;
  red: string;
}
export interface HeatCycle {
  id: string;
  when: string;
  what: string;
  basis: string;
  proof: string;
}
export interface RoadTestStep {
  id: string;
  action: string;
  watch: string;
  stopWhen: string;
}
export interface FollowUpDef {
  id: string;
  trigger: string;
  /** Distance and days of it as numbers, where it has them. */
  atKm?: number;
  afterDays?: number;
  what: string;
}

export type GateName = 'Engine closed up' | 'Engine in' | 'First crank' | 'First start' | 'First drive' | 'Hand over';

export const provisionalKindIds = [
  'offered-up',
  'loose',
  'tacked',
  'old-bolts',
  'masked',
  'battery-off',
  'stand-in',
  'capped',
  'looped',
  'open-exhaust',
  'borrowed',
  'other',
] as const;
export type ProvisionalKindId = (typeof provisionalKindIds)[number];

export interface ProvisionalKind {
  id: ProvisionalKindId;
  title: string;
  /** How a line of the log bar begins that speaks of it. */
  words: readonly string[];
  endsWith: string;
  /** First gate at which none of it may be open. */
  forbiddenAt: GateName;
}

/** A step that leaves something provisional by itself. */
export interface ProvisionalSource {
  id: string;
  kind: ProvisionalKindId;
  title: string;
  step: string;
  /** The state of the step from which on it is there. */
  opens: 'done' | 'on-it';
  /** A later step that is done, or a gate line that is proved. */
  endedBy: string;
  forbiddenAt?: GateName;
}
