import { factPart, partName } from '../../facts/index.ts';
import type { FactParts } from '../../facts/index.ts';
import type { FactBook, FactSource, PartValue, Stations } from '../../rules/book.ts';
import type { FactRead } from '../../rules/sum.ts';
import { weaker } from '../../rules/sum.ts';
import type { Need } from '../../rules/verdict.ts';

/** A shape waits for a fact: caught where shapes are made. */
export const notKnown = Symbol('not known');

type PartOf<F extends keyof FactParts, Kind extends 'number' | 'word' | 'stations'> = FactParts[F][Kind];

/** What a shape is made from: facts are read through it, so that none goes unnamed, and what is taken for want of one is said. */
export class Tape {
  private readonly book: FactBook;
  private readonly asked = new Set<string>();
  readonly reads: FactRead[] = [];
  /** The values that it is made from, and those that were taken for want of a reading. */
  readonly parts: Need[] = [];
  readonly takes: Need[] = [];
  readonly wants: Need[] = [];
  /** Values that were taken and decide nothing while the unit sits level. */
  readonly tilted: Need[] = [];
  /** Sentences: what was taken although nobody measured it. */
  readonly assumed: string[] = [];
  weakest: FactSource | undefined;

  constructor(book: FactBook) {
    this.book = book;
  }

  private look(factId: string, partKey: string): PartValue | undefined {
    const fact = this.book.get(factId);
    const value = fact?.parts[partKey];
    if (!this.asked.has(factId)) {
      this.asked.add(factId);
      this.reads.push({ factId, book: 'job' });
    }
    if (value !== undefined) {
      this.weakest = weaker(this.weakest, fact!.source);
      this.parts.push({ factId, partKey });
    }
    return value;
  }

  /** The shape waits for this. */
  private wait(factId: string, partKey: string): never {
    this.wants.push({ factId, partKey });
    // eslint-disable-next-line @typescript-eslint/only-throw-error -- a mark, caught beside: no stack is wanted for every shape that waits
    throw notKnown;
  }

  /** A number that may be missing, in the unit of its fact. */
  maybe<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'number'>): number | undefined {
    const value = this.look(factId, part);
    return typeof value === 'number' ? value : undefined;
  }

  /** A number without which there is no shape. */
  mm<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'number'>): number {
    const value = this.maybe(factId, part);
    return value ?? this.wait(factId, part);
  }

  /** A list of stations that may be missing. */
  stations<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'stations'>): Stations | undefined {
    const value = this.look(factId, part);
    return typeof value === 'object' ? value : undefined;
  }

  /** A list of stations of something that every car has. */
  list<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'stations'>): Stations {
    const value = this.stations(factId, part);
    return value ?? this.wait(factId, part);
  }

  word<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'word'>): string | undefined {
    const value = this.look(factId, part);
    return typeof value === 'string' ? value : undefined;
  }

  /** A word without which nobody knows whether there is such a thing: not known is not "none". */
  said<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'word'>): string {
    const value = this.word(factId, part);
    return value ?? this.wait(factId, part);
  }

  /** A number that is taken where nobody measured one; the shape says so and is less sure. */
  orTake<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'number'>, taken: number, why: string): number {
    const value = this.maybe(factId, part);
    if (value !== undefined) return value;
    this.assumed.push(`${partName(factId, part)} taken as ${taken} ${factPart(factId, part).unit ?? ''}: ${why}`);
    this.weakest = 'assumed';
    this.takes.push({ factId, partKey: part });
    return taken;
  }

  /** A number that is taken where nobody measured one, and decides a gap only where the unit does not sit level. */
  tiltedOrTake<F extends keyof FactParts & string>(factId: F, part: PartOf<F, 'number'>, taken: number): number {
    const value = this.maybe(factId, part);
    if (value === undefined) this.tilted.push({ factId, partKey: part });
    return value ?? taken;
  }
}
