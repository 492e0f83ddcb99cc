import type { GateName } from '../jobs/gates.ts';
import type { Condition } from '../rules/condition.ts';
import type { Range } from '../rules/range.ts';

export { gateNames, gatesOfStation } from '../jobs/gates.ts';
export type { GateName } from '../jobs/gates.ts';

export interface GateLineDef {
  id: string;
  gate: GateName;
  mustBe: string;
  /** Harm is next: overriding wants a second signature. */
  harm?: boolean;
  /** The engine coming out again undoes it. */
  tillOut?: true;
  /** Asked of the donor car and not of the customer's. */
  of?: 'donor';
  when: Condition;
  /** What proves it, as the program looks at it. */
  proof: readonly ProofKind[];
  /** The same in words, with what the trade adds. */
  proofWords: string;
  why: string;
}

/** Between what a number is to lie. `from` takes the figure of a card, times these; it goes before what is common practice. */
export interface Band {
  unit: string;
  min?: number;
  max?: number;
  from?: { fact: string; part: string; least?: number; most?: number };
}

/** One number that a line wants, and where it is read. */
export interface ReadingPoint {
  key: string;
  label: string;
  /** More than one where it can be read in two ways: the unit that is typed decides. */
  bands: readonly Band[];
  /** The fault that a number below zero points to. */
  belowZero?: string;
}

/** One thing that a line wants to be proved by. A signature may want two people. */
export type ProofKind =
  { reading: readonly ReadingPoint[] } | { photo: true } | { record: true } | { signature: true; people?: number };

/** Ways of priming that somebody does, as the fact of the school names them. */
export const primingWayIds = [
  'crank-without-fuel-and-spark',
  'external-pressure',
  'pump-drive',
  'hand-turn-only',
] as const;
export type PrimingWayId = (typeof primingWayIds)[number];

export interface PrimingWay {
  id: string;
  /** The option of the fact that chooses it. */
  value?: PrimingWayId;
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
  /** Its limits as numbers, where it is read as one. */
  range?: Range;
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

export const provisionalKindIds = [
  'offered-up',
  'loose',
  'tacked',
  'old-bolts',
  'masked',
  'battery-off',
  'stand-in',
  'on-stand-in',
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
