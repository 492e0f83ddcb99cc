import { factPart, partName } from '../facts/index.ts';
import type { FactParts } from '../facts/index.ts';
import { Evidence, runRule as run } from '../rules/evidence.ts';
import type { Books } from '../rules/evidence.ts';
import type { Sum } from '../rules/sum.ts';
import type { Verdict } from '../rules/verdict.ts';
import { clearances } from './data/clearances.ts';
import type { Clearance } from './types.ts';

const clearanceById = new Map(clearances.map((c) => [c.id, c]));

/** A least clearance by its id. Throws on an id the table does not have. */
export function clearanceOf(id: string): Clearance {
  const found = clearanceById.get(id);
  if (!found) throw new Error(`Unknown clearance "${id}"`);
  return found;
}

/** A sentence with the least gaps it speaks of as numbers: "at least {cl-hood} over every point". */
export const withGaps = (words: string): string =>
  words.replace(/\{(cl-[a-z-]+)\}/g, (_, id: string) => {
    const gap = clearanceOf(id);
    return `${gap.staticMm} mm${gap.rockMm.some((r) => r > 0) ? ' and rock' : ''}`;
  });

export const mountMaterials = ['rubber', 'polyurethane', 'solid'] as const;

const naming = {
  name: partName,
  unit: (factId: string, partKey: string): string => {
    const part = factPart(factId, partKey);
    return part.unit ?? part.columns?.at(-1)?.unit ?? '';
  },
};

/** What the rules of fit read facts through. */
export class FitEvidence extends Evidence<FactParts> {
  constructor(books: Books) {
    super(books, naming);
  }

  /** The least clearance for the planned cushions, mm. Unknown cushions count as rubber, the softest, and the row says so. */
  clearance(id: string): Sum {
    const clear = clearanceOf(id);
    const planned = this.maybeWord('cho-mount-material');
    const index = Math.max(0, mountMaterials.indexOf((planned ?? 'rubber') as 'rubber'));
    const least = this.limit(`Least gap, ${clear.pair}`, clear.staticMm, 'mm', 'common practice');
    const rock = clear.rockMm[index] ?? 0;
    if (rock === 0) return least;
    const softest = planned === undefined ? ', cushions not chosen: the softest' : '';
    return least.plus(this.limit(`Rock on ${mountMaterials[index]} mounts`, rock, 'mm', `common practice${softest}`));
  }

  /** Verdict of a gap that must keep a least clearance: up to half of it short is Adapt, unless a floor in mm says otherwise. */
  gap(label: string, gap: Sum, clearanceId: string, adaptFloorMm?: number): Verdict {
    const need = this.clearance(clearanceId);
    return this.over(label, gap.minus(need), need, adaptFloorMm);
  }

  /** The same of what is left over the least gap. */
  over(label: string, left: Sum, need: Sum, adaptFloorMm = need.value / 2): Verdict {
    const verdict = this.judge(label, left, { boltsUp: [0, Infinity], adapt: [adaptFloorMm - need.value, Infinity] });
    return { ...verdict, gapMm: left.value + need.value };
  }
}

export interface FitRule {
  id: string;
  source: string;
  judge: (e: FitEvidence) => Verdict;
}

export const rule = (id: string, source: string, judge: FitRule['judge']): FitRule => ({ id, source, judge });

/** Runs one rule; a missing fact becomes "Not measured" with what to take. */
export const runRule = (fitRule: FitRule, books: Books): Verdict =>
  run<FactParts, FitEvidence>(fitRule, new FitEvidence(books));
