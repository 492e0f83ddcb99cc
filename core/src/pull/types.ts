import type { Condition } from '../rules/condition.ts';

export interface PullStepDef {
  id: string;
  phase: string;
  title: string;
  /** A few words, where the title says more than a line holds. */
  short?: string;
  /** Only at the car's own engine; without it the step serves donors too. */
  role?: string;
  when: Condition;
  /** A thing nobody types as a fact; the person at the car says whether it is so. */
  onlyIf?: string;
  after: readonly string[];
  before: readonly string[];
  needs: readonly string[];
  needsWords?: string;
  support?: string;
  caution?: string;
  /** Least and most minutes for one practised person: an estimate. */
  minutes: readonly number[];
  thenWait?: string;
}

/** What a way of working changes in the steps and their order. */
export interface StepChanges {
  id: string;
  drops?: readonly string[];
  addsSteps?: readonly PullStepDef[];
  addsOrder?: readonly (readonly [first: string, then: string])[];
  cutsOrder?: readonly (readonly [first: string, then: string])[];
  gives?: readonly { state: string; step: string }[];
}

export interface WorkState {
  id: string;
  title: string;
  atStart: boolean;
  lostBy: readonly string[];
  lostWords?: string;
  givenBy: readonly string[];
  givenWords?: string;
  proof: string;
}
