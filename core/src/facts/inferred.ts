import { defaultSchool } from '../rules/book.ts';
import type { FactBook, FactValue } from '../rules/book.ts';
import { evaluate, scopeOf } from '../rules/condition.ts';
import type { Condition } from '../rules/condition.ts';
import type { FactId } from './catalogue.ts';
import { factDef } from './catalogue.ts';
import { inferences } from './data/inferred.ts';
import { becauseWords } from './words.ts';

/** What is taken as known because other facts leave nothing else: weaker than looked up, stronger than assumed. */
export interface Inference {
  fact: FactId;
  value: string;
  when: Condition;
  reason: string;
}

/** Nobody said it, or only the application's default way of working assumes it. */
const openTo = (known: FactValue | undefined): boolean =>
  known === undefined || (known.source === 'assumed' && known.by === defaultSchool);

/** The subjects whose facts are in a book: nothing is inferred about a thing that is not there. */
const subjects = (facts: FactBook): ReadonlySet<string> => new Set([...facts.keys()].map((id) => id.slice(0, 4)));

/**
 * The book with what follows from it. Nothing that somebody typed is touched; what follows may itself lead on, so it is gone
 * over until nothing new comes. `only` names the subjects (by the beginning of their ids) that may be inferred here.
 */
export function withInferred(facts: FactBook, only?: readonly string[]): FactBook {
  const book = new Map<string, FactValue>(facts);
  // What is inferred is seen by the next: the scope looks into the same book.
  const scope = scopeOf({ facts: book });
  const there = subjects(book);
  for (let round = 0; round < inferences.length; round += 1) {
    let found = false;
    for (const { fact, value, when, reason } of inferences) {
      if (!openTo(book.get(fact)) || (only && !only.some((prefix) => fact.startsWith(prefix)))) continue;
      if (!there.has(fact.slice(0, 4)) && !fact.startsWith('cho-')) continue;
      const truth = evaluate(when, scope);
      if (truth.is !== true) continue;
      const { key } = factDef(fact).parts[0]!;
      const because = truth.because.map((id) => becauseWords(id, book)).join(', ');
      book.set(fact, { parts: { [key]: value }, typed: {}, source: 'inferred', note: `${reason} (${because})` });
      found = true;
    }
    if (!found) break;
  }
  return book;
}
