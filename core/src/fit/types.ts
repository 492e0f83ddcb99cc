import type { FitWord } from '../plan/condition.ts';

export type { FitWord };

export interface InterfaceDef {
  id: string;
  group: string;
  title: string;
  facts: readonly string[];
  boltsUp: string;
  adapt: string;
  clash: string;
  /** The fact to take first when it is not measured, in words or as an id. */
  takeFirst: string;
  resolutions: string;
  knockOn: readonly string[];
  kit: readonly string[];
  tasks?: string;
}

export interface Clearance {
  id: string;
  pair: string;
  staticMm: number;
  /** The whole cell where more than one number counts (with shield, for hoses). */
  staticWords?: string;
  /** Added for rock: rubber, polyurethane, solid. */
  rockMm: readonly number[];
  moving: string;
  reason: string;
}

/** One line of the arithmetic under a verdict. */
export interface SumRow {
  label: string;
  value: number;
  unit: string;
  /** Where the number comes from: a fact part, or the name of a rule of practice. */
  factId?: string;
  partKey?: string;
  basis?: string;
  /** Shown between the rows: added, taken off, or only looked at. */
  sign: '+' | '−' | '×' | '÷' | '';
}

export interface Need {
  factId: string;
  partKey: string;
}

/** A verdict is never bare: it says because of which facts, with which sum, or what it waits for. */
export interface Verdict {
  word: FitWord;
  /** "13 mm short", "tach reads half": one short clause. */
  headline: string;
  because: readonly string[];
  needs: readonly Need[];
  sum: readonly SumRow[];
  result?: { label: string; value: number; unit: string };
  /** What is left over the least wanted; negative is short. */
  margin?: { value: number; unit: string };
  basis: 'computed' | 'judged' | 'trial' | 'open';
  source: string;
}
