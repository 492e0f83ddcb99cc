import type { FactBook } from '../facts/index.ts';
import { judgeAll } from './judge.ts';
import type { FitWord } from './types.ts';

/** One engine that could go in, on the criteria that facts can answer. */
export interface CandidateRow {
  unitId: string;
  name: string;
  /** Change of the mass on the engine's axle, kg, or what is missing for it. */
  massChangeKg: number | undefined;
  /** Room left along and across the bay, mm. */
  lengthSpareMm: number | undefined;
  widthSpareMm: number | undefined;
  counts: Record<FitWord, number>;
  /** Interfaces without a "Bolts up". */
  openInterfaces: number;
  control: string | undefined;
  powerKw: number | undefined;
  cost: number | undefined;
}

export interface Candidate {
  unitId: string;
  name: string;
  facts: FactBook;
  cost: number | undefined;
}

/** Candidate engines side by side: each is judged in this car as if it were the one. */
export function compareCandidates(car: FactBook, outgoing: FactBook, candidates: readonly Candidate[]): CandidateRow[] {
  const withoutEngine = [...car].filter(([id]) => !id.startsWith('eng-'));
  const number = (book: FactBook, id: string): number | undefined => {
    const value = book.get(id)?.parts['value'];
    return typeof value === 'number' ? value : undefined;
  };
  return candidates.map((c) => {
    const job: FactBook = new Map([...withoutEngine, ...c.facts]);
    const lines = judgeAll({ job, outgoing }, {});
    const margin = (id: string): number | undefined => lines.find((l) => l.def.id === id)?.verdict.margin?.value;
    const counts: Record<FitWord, number> = { 'bolts-up': 0, adapt: 0, clash: 0, 'not-measured': 0 };
    for (const line of lines) counts[line.verdict.word] += 1;
    const mass = number(c.facts, 'eng-mass');
    const old = number(outgoing, 'eng-mass');
    const throttle = c.facts.get('eng-throttle-kind')?.parts['value'];
    return {
      unitId: c.unitId,
      name: c.name,
      massChangeKg: mass === undefined || old === undefined ? undefined : mass - old,
      lengthSpareMm: margin('fit-bay-length'),
      widthSpareMm: margin('fit-bay-width'),
      counts,
      openInterfaces: lines.length - counts['bolts-up'],
      control: throttle === undefined ? undefined : `${String(throttle)} throttle`,
      powerKw: number(c.facts, 'eng-power'),
      cost: c.cost,
    };
  });
}
