import { sameFact } from './book.ts';
import type { FactBook } from './book.ts';
import { evaluate, factsIn, linesIn, scopeOf } from './condition.ts';
import type { Condition, Scope, Truth } from './condition.ts';
import { sameValue } from './value.ts';

/** Looks a condition up: it was evaluated before, or is now. */
export type TruthOf = (condition: Condition) => Truth;

/** Ids of the facts that are not the same in both books. */
export function changedFacts(before: FactBook, after: FactBook): Set<string> {
  const changed = new Set<string>();
  if (before === after) return changed;
  for (const [id, value] of after) if (!sameFact(before.get(id), value)) changed.add(id);
  for (const id of before.keys()) if (!after.has(id)) changed.add(id);
  return changed;
}

const asks = new WeakMap<Condition, readonly string[]>();

function opsIn(c: Condition): string[] {
  return 'all' in c ? c.all.flatMap(opsIn) : [c.op];
}

/** All that a condition asks about: facts, lines, and the counts of the job. */
function asksOf(c: Condition): readonly string[] {
  const known = asks.get(c);
  if (known) return known;
  const made = [...factsIn(c), ...linesIn(c), ...opsIn(c).filter((op) => op === 'attempts' || op === 'approval-open')];
  asks.set(c, made);
  return made;
}

/** Truths of conditions, each looked at again only when something that it asks about has changed. */
export class Truths {
  private scope: Scope = scopeOf();
  private readonly kept = new Map<Condition, Truth>();

  readonly of: TruthOf = (condition) => {
    const known = this.kept.get(condition);
    if (known) return known;
    const truth = evaluate(condition, this.scope);
    this.kept.set(condition, truth);
    return truth;
  };

  /** Goes on to another scope; what does not ask about a difference is kept. */
  moveTo(scope: Scope): void {
    const before = this.scope;
    this.scope = scope;
    const changed = changedFacts(before.facts, scope.facts);
    if (before.fits !== scope.fits)
      for (const id of new Set([...before.fits.keys(), ...scope.fits.keys()]))
        if (!sameValue(before.fits.get(id), scope.fits.get(id))) changed.add(id);
    if (before.fitted !== scope.fitted)
      for (const id of new Set([...before.fitted, ...scope.fitted]))
        if (before.fitted.has(id) !== scope.fitted.has(id)) changed.add(id);
    if (before.attempts !== scope.attempts) changed.add('attempts');
    if (!sameValue(before.approvals, scope.approvals)) changed.add('approval-open');
    if (changed.size === 0) return;
    for (const condition of [...this.kept.keys()])
      if (asksOf(condition).some((id) => changed.has(id))) this.kept.delete(condition);
  }
}

/** Truths of conditions of one scope that does not move. */
export function truthIn(scope: Scope): TruthOf {
  const truths = new Truths();
  truths.moveTo(scope);
  return truths.of;
}
