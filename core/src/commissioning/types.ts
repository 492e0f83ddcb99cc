export interface GateLineDef {
  id: string;
  gate: string;
  mustBe: string;
  /** Harm is next: overriding wants a second signature. */
  harm?: boolean;
  when: string;
  proof: string;
  why: string;
}
export interface PrimingWay {
  id: string;
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
  what: string;
}

/** What proves or overrides one line of a gate. */
export interface GateProof {
  text: string;
  reading?: string | undefined;
  signedBy?: string | undefined;
  secondBy?: string | undefined;
  override?: { by: string; second?: string | undefined; reason: string } | undefined;
  voided?: { why: string } | undefined;
  by?: string;
  at?: string;
}
