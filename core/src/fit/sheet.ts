import type { Drawing } from '../drawing/index.ts';
import type { Sum } from '../rules/sum.ts';
import type { FactId } from '../facts/index.ts';
import type { Books } from '../rules/evidence.ts';

/** A sheet of the fit: one thing drawn to scale, its figures, and what each of them stands on. */

export interface Figure {
  id: string;
  name: string;
  sum: Sum;
  /** Outside of what goes on. */
  word?: 'look' | 'stop';
}

export interface FigureGroup {
  title: string;
  figures: readonly Figure[];
}

export interface FitSheet {
  drawing: Drawing;
  groups: readonly FigureGroup[];
  /** Parts of facts that are missing for more of it. */
  wants: readonly { factId: FactId; partKey: string }[];
}

/** A figure, where its sum is known. */
export const figure = (id: string, name: string, sum: Sum | undefined, word?: Figure['word']): Figure[] =>
  sum ? [{ id, name, sum, ...(word ? { word } : {}) }] : [];

/** Those of some parts of facts that nobody knows. */
export const notKnownOf = (
  { job }: Books,
  parts: readonly (readonly [factId: FactId, partKey?: string])[],
): FitSheet['wants'] =>
  parts.flatMap(([factId, partKey = 'value']) =>
    job.get(factId)?.parts[partKey] === undefined ? [{ factId, partKey }] : [],
  );
