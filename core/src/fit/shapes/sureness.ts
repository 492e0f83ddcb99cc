import type { FactBook, FactSource } from '../../rules/book.ts';
import type { ShapeSureness } from '../records.ts';

/** How sure a measure is, one standard deviation, mm, where the shop did not say otherwise (common practice, no source). */
const usual: Readonly<Record<ShapeSureness, number>> = { tape: 2, card: 5, eye: 20 };

const partOf = { tape: 'tape', card: 'card', eye: 'by-eye' } as const;

/** How sure a place is that was read so, one standard deviation, mm. */
export function sureByReading(book: FactBook, read: ShapeSureness): number {
  const own = book.get('cho-sureness')?.parts[partOf[read]];
  return typeof own === 'number' && own >= 0 ? own : usual[read];
}

const readAs: Readonly<Record<FactSource, ShapeSureness>> = {
  measured: 'tape',
  'looked-up': 'card',
  inferred: 'eye',
  assumed: 'eye',
};

/** How sure a fact is by where it comes from, one standard deviation, mm. */
export const sureOf = (book: FactBook, source: FactSource): number => sureByReading(book, readAs[source]);
