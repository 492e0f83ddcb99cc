import type { FactBook } from '../rules/book.ts';

/** Cylinders of a layout, as the fact names it; nothing where it does not say. */
const counts: Readonly<Record<string, number>> = {
  'inline-4': 4,
  'inline-5': 5,
  'inline-6': 6,
  'vee-6': 6,
  'vee-8': 8,
  'flat-4': 4,
  'flat-6': 6,
};

export const cylindersOf = (layout: string): number | undefined => counts[layout];

/** Cylinders of the engine of a book; nothing where nobody said how they lie. */
export function cylindersIn(facts: FactBook): number | undefined {
  const layout = facts.get('eng-layout')?.parts['value'];
  return typeof layout === 'string' ? cylindersOf(layout) : undefined;
}
