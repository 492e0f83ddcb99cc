import type { FactBook } from '../../rules/book.ts';
import type { Vec } from '../../solid/index.ts';

/** How the engine lies: along the car, or across it with its pulley end to the left or to the right. */
export type Lie = 'along' | 'across-left' | 'across-right';

const word = (book: FactBook, factId: string): string | undefined => {
  const value = book.get(factId)?.parts['value'];
  return typeof value === 'string' ? value : undefined;
};

/**
 * How the engine of a job lies; nothing where nobody can tell: in the middle, behind, or across before the firewall it depends on
 * which way the pulley end points. One behind the axle with its pulley to the rear lies along, x counted from the partition into
 * its bay.
 */
export function lieOf(book: FactBook): Lie | undefined {
  const pulley = word(book, 'cho-pulley-side');
  if (pulley === 'left') return 'across-left';
  if (pulley === 'right') return 'across-right';
  if (pulley !== undefined) return 'along';
  const layout = word(book, 'rec-drive-layout');
  return layout === undefined || layout.startsWith('front-longitudinal') ? 'along' : undefined;
}

/** A place of the unit, in engine datum, turned as the engine lies: what points forward on the engine points to that side of the car. */
export const turnedTo = (lie: Lie, [x, y, z]: Vec): Vec =>
  lie === 'across-left' ? [-y, x, z] : lie === 'across-right' ? [y, -x, z] : [x, y, z];

/** Is the pulley end to the rear, so that x counts from the partition to the rear of the car? */
export const pointsToRear = (book: FactBook): boolean => word(book, 'cho-pulley-side') === 'rear';
