import { readFact } from '../facts/index.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import { scopeOf } from '../rules/condition.ts';
import { Truths } from '../rules/truths.ts';
import type { TruthOf } from '../rules/truths.ts';

import type { Recorded } from '../records/index.ts';
import { planInputOf } from './input.ts';
import { computePlan } from './plan.ts';
import type { Plan } from './plan.ts';

export { emptyInput } from './input.ts';

/** The plan of a job of which nothing is known but what people wrote. For tests only. */
export const planOfRecords = (records: readonly Recorded[]): Plan =>
  computePlan(planInputOf({ jobId: 'j', units: [], facts: [], shopSchools: {}, shopRules: [], records }));

/** A book of facts from typed text; a plain string is the fact's one value. For tests only. */
export function bookFrom(
  typed: Readonly<Record<string, string | Record<string, string>>>,
  at = '2026-01-01T00:00:00.000Z',
): FactBook {
  const book = new Map<string, FactValue>();
  for (const [id, value] of Object.entries(typed)) {
    const entry = readFact(id, typeof value === 'string' ? { value } : value);
    if (!entry.ok) throw new Error(`${id}: ${Object.values(entry.errors).join(' ')}`);
    book.set(id, { parts: entry.parts, typed: entry.typed, source: 'measured', at });
  }
  return book;
}

/** Truths of conditions where only some facts are known. For tests only. */
export function truthsOf(facts: FactBook): TruthOf {
  const truths = new Truths();
  truths.moveTo(scopeOf({ facts }));
  return truths.of;
}
