import { partName } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';
import { formatMeasure } from '../units/index.ts';
import { clearances } from './data/clearances.ts';
import type { Clearance, FitWord, Need, SumRow, Verdict } from './types.ts';

/**
 * Thrown inside a rule when it asks for a fact that nobody knows; the judge turns it into "Not measured". One value without
 * a stack, because on a fresh job nearly every rule ends here and taking stacks was most of the time of a plan.
 */
const notMeasured = Symbol('not measured');

const clearanceById = new Map(clearances.map((c) => [c.id, c]));

/** A least clearance by its id. Throws on an id the table does not have. */
export function clearanceOf(id: string): Clearance {
  const found = clearanceById.get(id);
  if (!found) throw new Error(`Unknown clearance "${id}"`);
  return found;
}

export const mountMaterials = ['rubber', 'polyurethane', 'solid'] as const;

export interface Books {
  /** Facts of the job: car, incoming engine, gearbox, donor, choices. */
  job: FactBook;
  /** Facts of the engine and gearbox that leave the car. */
  outgoing?: FactBook;
}

interface GapLimits {
  boltsUp: number;
  adapt: number;
}

/**
 * What a rule reads facts through. It remembers each fact it was given, so that a verdict can say *because*, and each it
 * missed, so that "Not measured" names what to take.
 */
export class Evidence {
  private readonly books: Books;
  readonly because = new Set<string>();
  readonly needs: Need[] = [];
  rows: SumRow[] = [];

  constructor(books: Books) {
    this.books = books;
  }

  private look(factId: string, partKey: string, book: FactBook | undefined): number | string | undefined {
    const value = book?.get(factId)?.parts[partKey];
    if (value !== undefined) this.because.add(factId);
    return value;
  }

  private demand(factId: string, partKey: string, value: unknown): asserts value {
    if (value === undefined) {
      this.needs.push({ factId, partKey });
      throw notMeasured;
    }
  }

  /** A number that may be missing; the rule goes on without it. */
  maybe(factId: string, partKey = 'value'): number | undefined {
    const value = this.look(factId, partKey, this.books.job);
    return typeof value === 'number' ? value : undefined;
  }

  /** A word that may be missing. */
  maybeWord(factId: string, partKey = 'value'): string | undefined {
    const value = this.look(factId, partKey, this.books.job);
    return value === undefined ? undefined : String(value);
  }

  /** A number the rule cannot do without. */
  number(factId: string, partKey = 'value'): number {
    const value = this.maybe(factId, partKey);
    this.demand(factId, partKey, value);
    return value;
  }

  /** A word the rule cannot do without. */
  word(factId: string, partKey = 'value'): string {
    const value = this.maybeWord(factId, partKey);
    this.demand(factId, partKey, value);
    return value;
  }

  /** A number of the unit that leaves the car. */
  outgoing(factId: string, partKey = 'value'): number {
    const value = this.look(factId, partKey, this.books.outgoing);
    this.demand(factId, partKey, typeof value === 'number' ? value : undefined);
    return value as number;
  }

  /** Marks several facts as wanted at once, so that "Not measured" lists them all and not only the first. */
  want(...wanted: readonly (readonly [factId: string, partKey?: string])[]): void {
    const missing = wanted.filter(([id, key]) => this.look(id, key ?? 'value', this.books.job) === undefined);
    for (const [factId, partKey] of missing) this.needs.push({ factId, partKey: partKey ?? 'value' });
    if (missing.length > 0) throw notMeasured;
  }

  row(sign: SumRow['sign'], label: string, value: number, unit: string, from: Pick<SumRow, 'factId' | 'partKey' | 'basis'> = {}): number {
    this.rows.push({ sign, label, value, unit, ...from });
    return value;
  }

  /** A fact as a line of the sum. */
  line(sign: SumRow['sign'], factId: string, partKey = 'value', unit = 'mm'): number {
    return this.row(sign, partName(factId, partKey), this.number(factId, partKey), unit, { factId, partKey });
  }

  /** The least clearance for the planned cushions, as a line of the sum. Unknown cushions count as rubber, the softest. */
  clearance(id: string): number {
    const clear = clearanceOf(id);
    const material = this.maybeWord('cho-mount-material');
    const index = Math.max(0, mountMaterials.indexOf((material ?? 'rubber') as 'rubber'));
    const rock = clear.rockMm[index] ?? 0;
    this.row('−', `Least gap, ${clear.pair}`, clear.staticMm, 'mm', { basis: 'common practice' });
    if (rock > 0) this.row('−', `Rock on ${mountMaterials[index]} mounts`, rock, 'mm', { basis: 'common practice' });
    return clear.staticMm + rock;
  }

  say(word: FitWord, headline: string, extra: Partial<Verdict> = {}): Verdict {
    return { word, headline, because: [...this.because], needs: [], sum: this.rows, basis: 'computed', source: '', ...extra };
  }

  /** Verdict of a gap that remains after the least clearance: short, tight or enough. */
  left(label: string, value: number, limits: GapLimits = { boltsUp: 0, adapt: 0 }, unit = 'mm'): Verdict {
    const word: FitWord = value >= limits.boltsUp ? 'bolts-up' : value >= limits.adapt ? 'adapt' : 'clash';
    const amount = formatMeasure(Math.abs(value), unit, 1);
    return this.say(word, value < 0 ? `${amount} short` : `${amount} to spare`, {
      result: { label, value, unit },
      margin: { value, unit },
    });
  }

  /** Verdict of a gap against a clearance row: under half of the row is a clash unless `adaptFloor` says otherwise. */
  gap(label: string, gapMm: number, clearanceId: string, adaptFloor?: number): Verdict {
    const need = this.clearance(clearanceId);
    return this.left(label, gapMm - need, { boltsUp: 0, adapt: (adaptFloor ?? need / 2) - need });
  }
}

export interface FitRule {
  id: string;
  source: string;
  judge: (e: Evidence) => Verdict;
}

export const rule = (id: string, source: string, judge: FitRule['judge']): FitRule => ({ id, source, judge });

/** Runs one rule; a missing fact becomes "Not measured" with what to take. */
export function runRule(fitRule: FitRule, books: Books): Verdict {
  const evidence = new Evidence(books);
  try {
    return { ...fitRule.judge(evidence), source: fitRule.source };
  } catch (error) {
    if (error !== notMeasured) throw error;
    const first = evidence.needs[0]!;
    return {
      word: 'not-measured',
      headline: `needs ${partName(first.factId, first.partKey).toLowerCase()}`,
      because: [...evidence.because],
      needs: evidence.needs,
      sum: evidence.rows,
      basis: 'computed',
      source: fitRule.source,
    };
  }
}
