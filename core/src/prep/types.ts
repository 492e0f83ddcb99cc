export interface VariantFeature {
  id: string;
  feature: string;
  tell: string;
  differs: string;
}
export interface Finding {
  id: string;
  lookedAt: string;
  how: string;
  means: string;
  follows: string;
}
export interface WhileOut {
  id: string;
  item: string;
  when: string;
  minutesNow: string;
  minutesLater: string;
  failing: string;
  parts: string;
}
export interface Fate {
  id: string;
  fate: string;
  examples: string;
  closesWhen: string;
}
export interface KnockOnChain {
  id: string;
  change: string;
  check: string;
}
export interface MeasurementDef {
  id: string;
  quantity: string;
  instrument: string;
  readings: string;
  computed: string;
  limit: string;
}
export interface BuildStepDef {
  id: string;
  title: string;
  /** A few words, where the title says more than a line holds. */
  short?: string;
  after: readonly string[];
  why: string;
  how: string;
  caution?: string;
}
