import type { FitWord } from '../rules/condition.ts';
import type { Act, Stamp } from '../rules/stamp.ts';

type Judgement = Exclude<FitWord, 'not-measured'>;

/** Facts as they were when somebody judged, by "book:fact": what a verdict stood on. */
export type StoodOn = Readonly<Record<string, Readonly<Record<string, number | string>> | null>>;

/** What people recorded at an interface. */
export interface FitRecord {
  judged?: Act<{ word: Judgement; why: string; stoodOn?: StoodOn | undefined }> | undefined;
  trial?:
    | Act<{
        word: Judgement;
        gapMm?: number | undefined;
        place: string;
        condition: 'cold' | 'hot';
        stoodOn?: StoodOn | undefined;
      }>
    | undefined;
  /** Not measured, and accepted so by name; it counts only as long as nobody knows better. */
  waived?: Act<{ why: string }> | undefined;
  resolution?: Act<{ text: string; kit: readonly string[]; asked: readonly string[] }> | undefined;
}

/** What a candidate engine would cost. */
export interface CandidateRecord extends Stamp {
  cost?: number | undefined;
  note?: string | undefined;
}

export interface FitRecords {
  fit: FitRecord;
  candidate: CandidateRecord;
}
