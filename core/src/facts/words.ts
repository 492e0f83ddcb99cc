import type { FactBook } from '../rules/book.ts';
import { factDef, isFactId } from './catalogue.ts';
import { showFact } from './entry.ts';

/** "Induction: turbo": one fact that decided something, as a person reads it. */
export function becauseWords(id: string, facts: FactBook): string {
  if (!isFactId(id)) return id;
  const value = facts.get(id);
  return `${factDef(id).label}: ${value ? showFact(id, value) : 'not known'}`;
}
