import { factCatalogue } from '../facts/index.ts';
import type { FactBook, FactId } from '../facts/index.ts';

/** The round of an empty bay: what is read while nothing stands in the way of the tape. */

export interface BaySize {
  factId: FactId;
  /** Every part of it read with a tool; some of it only known otherwise or not at all; nothing known. */
  state: 'measured' | 'in-part' | 'blank';
}

/** The sizes and fixed points of the bay, and how far each is read. What was only looked up or assumed is not read. */
export const baySizes = (facts: FactBook): BaySize[] =>
  factCatalogue
    .filter((f) => f.subject === 'recipient' && f.group === 'Space and fixed points')
    .map((f) => {
      const fact = facts.get(f.id);
      const all = fact !== undefined && f.parts.every((p) => p.options !== undefined || p.key in fact.parts);
      const state = fact === undefined ? 'blank' : all && fact.source === 'measured' ? 'measured' : 'in-part';
      return { factId: f.id as FactId, state };
    });
