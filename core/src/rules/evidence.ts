import { formatMeasure } from '../units/index.ts';
import type { FactBook, FactSource, PartValue, Stations } from './book.ts';
import type { FitWord } from './condition.ts';
import { Sum, weaker } from './sum.ts';
import type { FactRead, SumRow } from './sum.ts';
import type { Need, Verdict } from './verdict.ts';

/**
 * Thrown inside a rule when it asks for a fact that nobody knows; the judge turns it into "Not measured". One value without
 * a stack, because on a fresh job nearly every rule ends here and taking stacks was most of the time of a plan.
 */
const notMeasured = Symbol('not measured');

export interface Books {
  /** Facts of the job: car, incoming engine, gearbox, donor, choices. */
  job: FactBook;
  /** Facts of the engine and gearbox that leave the car. */
  outgoing?: FactBook;
}

/** The parts of each fact that are numbers and those that are words: what a rule may ask for. */
export type Askable<C> = { [F in keyof C]: { number: string; word: string; stations: string } };

type PartArg<P extends string> = 'value' extends P ? [part?: P] : [part: P];
export type Wanted<C extends Askable<C>> = {
  [F in keyof C & string]:
    | readonly [F, C[F]['number'] | C[F]['word']]
    | ('value' extends C[F]['number'] | C[F]['word'] ? readonly [F] : never);
}[keyof C & string];

/** How the facts are called and in which unit their parts are kept. */
export interface Naming {
  name: (factId: string, partKey: string) => string;
  unit: (factId: string, partKey: string) => string;
}

/** From the least to the most, both included. */
export type Band = readonly [least: number, most: number];

export interface Bands {
  boltsUp: Band;
  adapt: Band;
}

/** How far inside a band a number lies; negative is outside. */
const insideBy = (value: number, [least, most]: Band): number => Math.min(value - least, most - value);

/** What is left of a band, as a margin. */
export const marginIn = (sum: Sum, band: Band): { value: number; unit: string } => ({
  value: insideBy(sum.value, band),
  unit: sum.unit,
});

export interface Said {
  /** What was reckoned: its rows are shown and its number is the result. */
  sum?: Sum;
  /** What the number of the sum is called. */
  label?: string;
  margin?: Verdict['margin'];
}

/**
 * What a rule reads facts through. It remembers each fact it was asked for, so that a verdict can say *because* and is looked
 * at again when one of them changes, and each it missed, so that "Not measured" names what to take.
 */
export class Evidence<C extends Askable<C>> {
  /** What it reads; rules ask through the readings below, so that each is remembered. */
  readonly books: Books;
  private readonly naming: Naming;
  private readonly known = new Set<string>();
  private readonly asked = new Map<string, FactRead>();
  private readonly readings: SumRow[] = [];
  private weakest: FactSource | undefined;
  readonly needs: Need[] = [];

  constructor(books: Books, naming: Naming) {
    this.books = books;
    this.naming = naming;
  }

  private remember(factId: string, book: FactRead['book']): void {
    const key = book === 'job' ? factId : `${book}:${factId}`;
    if (!this.asked.has(key)) this.asked.set(key, { factId, book });
  }

  private look(factId: string, partKey: string, book: FactRead['book'] = 'job'): PartValue | undefined {
    const fact = this.books[book]?.get(factId);
    const value = fact?.parts[partKey];
    this.remember(factId, book);
    if (value !== undefined) {
      this.known.add(factId);
      this.weakest = weaker(this.weakest, fact!.source);
    }
    return value;
  }

  private miss(factId: string, partKey: string): never {
    this.needs.push({ factId, partKey });
    // eslint-disable-next-line @typescript-eslint/only-throw-error -- a mark, caught in this file: no stack is wanted for every sum that waits
    throw notMeasured;
  }

  private reading(factId: string, partKey: string, book: FactRead['book']): Sum | undefined {
    const value = this.look(factId, partKey, book);
    if (typeof value !== 'number') return undefined;
    const leaves = book === 'outgoing' ? ', leaving' : '';
    const row = {
      label: `${this.naming.name(factId, partKey)}${leaves}`,
      value,
      unit: this.naming.unit(factId, partKey),
      factId,
      partKey,
    };
    this.readings.push({ sign: '', ...row });
    return Sum.of(row, this.books[book]!.get(factId)!.source);
  }

  /** A number that may be missing; the rule goes on without it. */
  maybe<F extends keyof C & string>(factId: F, ...[part]: PartArg<C[F]['number']>): Sum | undefined {
    return this.reading(factId, part ?? 'value', 'job');
  }

  /** A number the rule cannot do without, as a sum of one row. */
  fact<F extends keyof C & string>(factId: F, ...[part]: PartArg<C[F]['number']>): Sum {
    return this.reading(factId, part ?? 'value', 'job') ?? this.miss(factId, part ?? 'value');
  }

  /** A number of the unit that leaves the car. */
  outgoing<F extends keyof C & string>(factId: F, ...[part]: PartArg<C[F]['number']>): Sum {
    return this.reading(factId, part ?? 'value', 'outgoing') ?? this.miss(factId, part ?? 'value');
  }

  /** A number of the unit that leaves the car, which may be missing. */
  maybeOutgoing<F extends keyof C & string>(factId: F, ...[part]: PartArg<C[F]['number']>): Sum | undefined {
    return this.reading(factId, part ?? 'value', 'outgoing');
  }

  /** A number that a list of stations gives, as a row of its own; nothing where there is no list or it gives none. */
  ofStations<F extends keyof C & string>(
    factId: F,
    part: C[F]['stations'],
    label: string,
    pick: (stations: Stations) => number | undefined,
  ): Sum | undefined {
    const list = this.look(factId, part);
    const value = typeof list === 'object' ? pick(list) : undefined;
    if (value === undefined) return undefined;
    const row = { label, value, unit: this.naming.unit(factId, part), factId, partKey: part };
    this.readings.push({ sign: '', ...row });
    return Sum.of(row, this.books.job.get(factId)!.source);
  }

  /** A number that geometry makes from many readings at once: one row, with the readings below it. */
  reckoned(label: string, value: number, unit: string, basis: string, from: readonly Need[]): Sum {
    const parts = from.flatMap(({ factId, partKey }): Sum[] => {
      const list = this.look(factId, partKey);
      if (typeof list !== 'object') {
        const read = this.reading(factId, partKey, 'job');
        return read ? [read] : [];
      }
      const row = { label: `${this.naming.name(factId, partKey)}, stations`, value: list.length, unit: '' };
      return [Sum.of({ ...row, factId, partKey }, this.books.job.get(factId)!.source)];
    });
    const [first, ...others] = parts;
    return first ? first.through(label, unit, () => value, basis, ...others) : Sum.of({ label, value, unit, basis });
  }

  /** Values that a number was made from before, and is made from again: each counts as read. */
  readAgain(from: readonly Need[]): void {
    for (const { factId, partKey } of from) this.look(factId, partKey);
  }

  /** Facts that were asked, answered or not: the verdict is another once they say something else. */
  lookedAt(reads: readonly FactRead[]): void {
    for (const { factId, book } of reads) this.remember(factId, book);
  }

  /** A word that may be missing. */
  maybeWord<F extends keyof C & string>(factId: F, ...[part]: PartArg<C[F]['word']>): string | undefined {
    const value = this.look(factId, part ?? 'value');
    return typeof value === 'string' ? value : undefined;
  }

  /** A word the rule cannot do without. */
  word<F extends keyof C & string>(factId: F, ...[part]: PartArg<C[F]['word']>): string {
    const value = this.look(factId, part ?? 'value');
    return typeof value === 'string' ? value : this.miss(factId, part ?? 'value');
  }

  /** Marks several facts as wanted at once, so that "Not measured" lists them all and not only the first. */
  want(...wanted: readonly Wanted<C>[]): void {
    const missing = this.missing(wanted);
    this.needs.push(...missing);
    // eslint-disable-next-line @typescript-eslint/only-throw-error -- as above
    if (missing.length > 0) throw notMeasured;
  }

  /** A number nobody typed, taken so that the sum errs to the safe side; the verdict says that it stands on it. */
  assume(label: string, value: number, unit: string, why: string): Sum {
    this.weakest = weaker(this.weakest, 'assumed');
    return Sum.of({ label, value, unit, basis: `assumed: ${why}` }, 'assumed');
  }

  /** A verdict that says "Bolts up" only when these are known too: what nobody looked at is not a yes. */
  sure(verdict: Verdict, ...wanted: readonly Wanted<C>[]): Verdict {
    if (verdict.word !== 'bolts-up') return verdict;
    const missing = this.missing(wanted);
    const read = {
      because: [...this.known],
      reads: [...this.asked.values()],
      ...(this.weakest ? { weakest: this.weakest } : {}),
    };
    if (missing.length === 0) return { ...verdict, ...read };
    const names = missing.map((n) => this.naming.name(n.factId, n.partKey).toLowerCase());
    return {
      ...verdict,
      ...read,
      word: 'not-measured',
      headline: `${verdict.headline} so far; needs ${names[0]!}`,
      needs: missing,
    };
  }

  private missing(wanted: readonly Wanted<C>[]): Need[] {
    return wanted
      .map(([factId, partKey]) => ({ factId, partKey: partKey ?? 'value' }))
      .filter((n) => this.look(n.factId, n.partKey) === undefined);
  }

  /** A number of practice or geometry, with what it stands on. */
  limit(label: string, value: number, unit: string, basis: string): Sum {
    return Sum.of({ label, value, unit, basis });
  }

  say(word: FitWord, headline: string, { sum, label, margin }: Said = {}): Verdict {
    return {
      word,
      headline,
      because: [...this.known],
      needs: [],
      sum: sum ? [...sum.rows, ...sum.beside] : [],
      ...(sum ? { result: { label: label ?? sum.rows[0]!.label, value: sum.value, unit: sum.unit } } : {}),
      ...(margin ? { margin } : {}),
      reads: [...this.asked.values()],
      ...(this.weakest ? { weakest: this.weakest } : {}),
      basis: 'computed',
      source: '',
    };
  }

  /** Says by the bands in which the number of the sum lies; outside of both it is a clash. */
  judge(label: string, sum: Sum, bands: Bands, headline?: string | ((word: FitWord) => string)): Verdict {
    const { value } = sum;
    const word: FitWord =
      insideBy(value, bands.boltsUp) >= 0 ? 'bolts-up' : insideBy(value, bands.adapt) >= 0 ? 'adapt' : 'clash';
    const said = typeof headline === 'function' ? headline(word) : headline;
    const left = `${formatMeasure(Math.abs(value), sum.unit, 1)} ${value < 0 ? 'short' : 'to spare'}`;
    return this.say(word, said ?? left, { sum, label, margin: marginIn(sum, bands.boltsUp) });
  }

  /** Numbers from which nothing can be reckoned (a wall thicker than its tube) are readings to be taken again. */
  absurd(source: string, why: string): Verdict {
    const doubtful = this.readings.map((r) => ({ factId: r.factId!, partKey: r.partKey! }));
    return { ...this.say('not-measured', why), needs: doubtful, sum: this.readings, source };
  }

  /** "Not measured", with what to take. */
  unknown(source: string): Verdict {
    const first = this.needs[0]!;
    return {
      ...this.say('not-measured', `needs ${this.naming.name(first.factId, first.partKey).toLowerCase()}`),
      needs: this.needs,
      sum: this.readings,
      source,
    };
  }
}

/** Runs a rule; a missing fact becomes "Not measured" with what to take. */
export function runRule<C extends Askable<C>, E extends Evidence<C>>(
  rule: { source: string; judge: (e: E) => Verdict },
  evidence: E,
): Verdict {
  try {
    return { ...rule.judge(evidence), source: rule.source };
  } catch (error) {
    if (error === notMeasured) return evidence.unknown(rule.source);
    if (error instanceof RangeError) return evidence.absurd(rule.source, `${error.message}: read them again`);
    throw error;
  }
}

/** What a reading of facts gives, or nothing where one is missing or the numbers cannot be: for drawings, which show what there is. */
export function ifKnown<T>(read: () => T): T | undefined {
  try {
    return read();
  } catch (error) {
    if (error === notMeasured || error instanceof RangeError) return undefined;
    throw error;
  }
}
