import type { FactSource } from './book.ts';
import type { FitWord } from './condition.ts';
import type { FactRead, SumRow } from './sum.ts';

export interface Need {
  factId: string;
  partKey: string;
}

/** A verdict is never bare: it says because of which facts, with which sum, or what it waits for. */
export interface Verdict {
  word: FitWord;
  /** "13 mm short", "tach reads half": one short clause. */
  headline: string;
  /** Facts that were known and read. */
  because: readonly string[];
  needs: readonly Need[];
  /** Rows with + and − add to the result; a row without a sign was looked at beside. */
  sum: readonly SumRow[];
  result?: { label: string; value: number; unit: string };
  /** What is left over the least wanted; negative is short. */
  margin?: { value: number; unit: string };
  /** The gap itself where it is one, mm: what a tape would read. */
  gapMm?: number;
  /** Every fact it asked for, known or not: when one of them changes, it is to be looked at again. */
  reads: readonly FactRead[];
  /** The weakest source among the facts it stands on. */
  weakest?: FactSource;
  basis: 'computed' | 'judged' | 'trial' | 'open';
  source: string;
}
