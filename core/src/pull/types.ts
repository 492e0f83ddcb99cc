import type { Condition } from '../rules/condition.ts';

/** A step of pulling, harvesting or building up. */
export interface StepDef {
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
  minutes?: readonly number[];
  /** Why it stands where it does, and how it is done. */
  why?: string;
  how?: string;
  thenWait?: string;
  /** Lines of a gate that must be proved before it may be called done. */
  gates?: readonly string[];
  /** Wanted only where a step that is to be done needs the state which this one gives. */
  onDemand?: string;
  /** There is something to do here in a car that has no engine in it. */
  alsoWithoutEngine?: true;
  /** Wants the car's own power and a car that certainly has no high voltage. */
  notWhereItMayBeLive?: true;
  /** A group of fasteners, of which each is counted as it comes out or goes in. */
  fasteners?: 'out' | 'in';
  /** What is drawn beside it while it is next. */
  drawn?: 'lift' | 'lift-in';
  /** It is done only with what was found or read, in words. */
  wantsFound?: true;
  /** The next move can hurt: done out of its order it wants two people. */
  harm?: true;
}

/** A step of going in; what comes after it names it. */
export interface GoingInStep extends Omit<StepDef, 'before'> {
  /** States that it needs where something is so; what nobody knows counts as so. */
  needsWhere?: readonly { state: string; when: Condition }[];
  /** Only once the engine that was in the car is out. */
  bayEmpty?: true;
  /** Done on the engine that goes in: not before there is one. */
  onEngine?: true;
  /** Undone when the unit comes out again. */
  undoneByLift?: true;
  /** Steps that close again what this one opened: done after it, it is open once more. */
  undoneBy?: readonly string[];
}

/** Ways of doing one thing, of which one is done: the others are never free beside it. */
export interface WayChoice {
  id: string;
  title: string;
  /** In the order in which they are tried where no school prefers another. */
  steps: readonly string[];
}

/** What a way of working changes in the steps and their order. */
export interface StepChanges {
  id: string;
  drops?: readonly string[];
  /** Of the ways of one thing, those taken first where they are open. */
  prefers?: readonly string[];
  addsSteps?: readonly StepDef[];
  addsOrder?: readonly (readonly [first: string, then: string])[];
  cutsOrder?: readonly (readonly [first: string, then: string])[];
  gives?: readonly { state: string; step: string }[];
  addsNeeds?: readonly (readonly [step: string, state: string])[];
}

/** A step that ends a state. */
export interface Loss {
  step: string;
  /** Only where this is so; what nobody knows counts as so. */
  when?: Condition;
  /** A step that keeps the state, when it was done before. */
  unless?: string;
}

export interface WorkState {
  id: string;
  title: string;
  /**
   * Does the car come with it? One that it does not come with must be brought about: it is there only after a step that gives
   * it. A condition that nobody can decide counts as no.
   */
  atStart: boolean | Condition;
  /** Somebody is hurt where it is missing. */
  harm?: true;
  lostBy: readonly Loss[];
  lostWords?: string;
  givenBy: readonly string[];
  givenWords?: string;
  proof: string;
}
