import type { StepDef } from '../pull/types.ts';
import type { Condition } from '../rules/condition.ts';

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
/** A step of building up; what it needs is its order alone. */
export interface BuildStepDef extends Pick<
  StepDef,
  'id' | 'title' | 'short' | 'after' | 'caution' | 'harm' | 'fasteners'
> {
  /** Only of an engine of which this is so; without it, of every engine. */
  when?: Condition;
  /** First only where this is certainly so. */
  afterWhere?: readonly { step: string; when: Condition }[];
  why: string;
  how: string;
}
