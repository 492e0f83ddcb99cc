import { factSources } from './book.ts';
import type { FactSource } from './book.ts';

/**
 * A sum is a value: it is built from facts and limits, and gives the number, the rows with their signs, the facts it read and
 * the weakest source among them. Rows and result cannot differ, since nothing computes one without the other.
 */

export interface FactRead {
  factId: string;
  book: 'job' | 'outgoing';
}

/** One line of the arithmetic under a verdict. */
export interface SumRow {
  /** How it counts: rows with + and − add to the result; × and ÷ stand only below a row that was made by them. */
  sign: '+' | '−' | '×' | '÷' | '';
  label: string;
  value: number;
  unit: string;
  /** Where the number comes from: a fact part, or the name of a rule of practice. */
  factId?: string;
  partKey?: string;
  basis?: string;
  /** The rows this number was made from, where it is not a plain reading. */
  of?: readonly SumRow[];
}

type Leaf = Omit<SumRow, 'sign' | 'of'>;

const flipped = (row: SumRow): SumRow => ({ ...row, sign: row.sign === '+' ? '−' : row.sign === '−' ? '+' : row.sign });

/** The weaker of two sources: what was assumed says less than what was looked up, and that less than what was measured. */
export function weaker(a: FactSource | undefined, b: FactSource | undefined): FactSource | undefined {
  if (a === undefined || b === undefined) return a ?? b;
  return factSources.indexOf(a) >= factSources.indexOf(b) ? a : b;
}

export class Sum {
  readonly value: number;
  readonly unit: string;
  readonly rows: readonly SumRow[];
  /** What was looked at beside: not part of the sum. */
  readonly beside: readonly SumRow[];
  readonly weakest: FactSource | undefined;

  private constructor(
    value: number,
    unit: string,
    rows: readonly SumRow[],
    beside: readonly SumRow[],
    weakest: FactSource | undefined,
  ) {
    if (!Number.isFinite(value))
      throw new RangeError(`${rows[0]?.label ?? 'This'} cannot be reckoned from these numbers`);
    this.value = value;
    this.unit = unit;
    this.rows = rows;
    this.beside = beside;
    this.weakest = weakest;
  }

  /** One number with its name: a reading (with its source) or a limit (without). */
  static of(leaf: Leaf, source?: FactSource): Sum {
    return new Sum(leaf.value, leaf.unit, [{ sign: '+', ...leaf }], [], source);
  }

  private with(other: Sum, rows: readonly SumRow[], value: number): Sum {
    if (other.unit !== this.unit)
      throw new RangeError(`${this.unit || 'a plain number'} and ${other.unit || 'a plain number'} do not add up`);
    return new Sum(
      value,
      this.unit,
      [...this.rows, ...rows],
      [...this.beside, ...other.beside],
      weaker(this.weakest, other.weakest),
    );
  }

  /** Throws a RangeError where the units differ. */
  plus(other: Sum): Sum {
    return this.with(other, other.rows, this.value + other.value);
  }

  /** Throws a RangeError where the units differ. */
  minus(other: Sum): Sum {
    return this.with(other, other.rows.map(flipped), this.value - other.value);
  }

  /** The product as one row, with what it was made from below it. */
  times(other: Sum, label: string, unit = this.unit): Sum {
    return this.made(label, unit, this.value * other.value, [other], [{ ...other.asRow(), sign: '×' }]);
  }

  /** The quotient as one row, with what it was made from below it. */
  over(other: Sum, label: string, unit = this.unit): Sum {
    return this.made(label, unit, this.value / other.value, [other], [{ ...other.asRow(), sign: '÷' }]);
  }

  /** A number that a formula makes from this one and others, as one row that names the formula. */
  through(
    label: string,
    unit: string,
    formula: (value: number, ...others: number[]) => number,
    basis: string,
    ...others: readonly Sum[]
  ): Sum {
    const value = formula(this.value, ...others.map((o) => o.value));
    return this.made(
      label,
      unit,
      value,
      others,
      others.map((o) => ({ ...o.asRow(), sign: '' as const })),
      basis,
    );
  }

  /** The same, whichever way it points. */
  size(label: string): Sum {
    return this.made(label, this.unit, Math.abs(this.value), [], []);
  }

  private asRow(): SumRow {
    return this.rows.length === 1 && this.rows[0]!.sign === '+'
      ? this.rows[0]!
      : { sign: '+', label: 'Together', value: this.value, unit: this.unit, of: this.rows };
  }

  private made(
    label: string,
    unit: string,
    value: number,
    others: readonly Sum[],
    below: readonly SumRow[],
    basis?: string,
  ): Sum {
    const of = [...this.rows, ...below];
    const beside = [...this.beside, ...others.flatMap((o) => o.beside)];
    const weakest = others.reduce((w, o) => weaker(w, o.weakest), this.weakest);
    return new Sum(value, unit, [{ sign: '+', label, value, unit, ...(basis ? { basis } : {}), of }], beside, weakest);
  }

  /** The worst of several, by `badness`; the others are shown beside it by their names. */
  static worst(
    named: readonly (readonly [name: string, sum: Sum])[],
    badness: (value: number) => number,
  ): { name: string; sum: Sum } {
    const ranked = [...named].sort(([, a], [, b]) => badness(b.value) - badness(a.value));
    const [name, worst] = ranked[0]!;
    const others = ranked
      .slice(1)
      .map(([label, sum]): SumRow => ({ sign: '', label, value: sum.value, unit: sum.unit, of: sum.rows }));
    const weakest = ranked.reduce<FactSource | undefined>((w, [, s]) => weaker(w, s.weakest), undefined);
    return { name, sum: new Sum(worst.value, worst.unit, worst.rows, [...worst.beside, ...others], weakest) };
  }
}

/** The least of several: the tightest gap, the weakest part. */
export const leastOf = (named: readonly (readonly [name: string, sum: Sum])[]): { name: string; sum: Sum } =>
  Sum.worst(named, (value) => -value);

/** The one farthest from nothing, whichever way. */
export const farthestOf = (named: readonly (readonly [name: string, sum: Sum])[]): { name: string; sum: Sum } =>
  Sum.worst(named, Math.abs);
