import type { FactBook } from './book.ts';

/**
 * Conditions: plain data, made from the words of the content by `when` (facts/when.ts) and looked at here. A fact that is not
 * known never counts as a no: such a condition is neither true nor false but waits.
 */

export type FitWord = 'bolts-up' | 'adapt' | 'clash' | 'not-measured';

/** What an interface says now, and whether somebody chose a way out. */
export interface FitState {
  word: FitWord;
  resolved: boolean;
}

/** A change of structure, steering or brakes that somebody brought about, or one that is still to be decided. */
export interface ApprovalNeed {
  /** The interface, the fact or the kit line by which it came. */
  because: string;
  state: 'made' | 'undecided';
}

/** What a condition may look at. Plain data, so that it can cross to a worker. */
export interface Scope {
  facts: FactBook;
  fits: ReadonlyMap<string, FitState>;
  /** Kit lines that are fitted. */
  fitted: ReadonlySet<string>;
  /** Start attempts logged. */
  attempts: number;
  approvals: readonly ApprovalNeed[];
}

/** A scope in which nothing is known; what is given is laid over it. */
export const scopeOf = (given: Partial<Scope> = {}): Scope => ({
  facts: new Map(),
  fits: new Map(),
  fitted: new Set(),
  attempts: 0,
  approvals: [],
  ...given,
});

/** A fact, and those of its parts that could answer; one that answers with yes is enough. */
interface Asked {
  fact: string;
  parts: readonly string[];
}

export type Term =
  | { op: 'always' }
  | { op: 'is' | 'is-not'; of: Asked; among: readonly string[] }
  | { op: 'same' | 'differs'; of: Asked; as: Asked }
  | { op: '>' | '<' | '>=' | '<='; of: Asked; than: number }
  | { op: 'known' | 'missing'; of: Asked }
  | { op: 'says'; fit: string; word: FitWord }
  | { op: 'fitted' | 'not-fitted'; kit: string }
  | { op: 'attempts'; least: number }
  | { op: 'approval-open' };

export type Condition = Term | { op: 'and' | 'or'; all: readonly Condition[] };

export interface Truth {
  is: boolean | 'waits';
  /** Facts, interfaces and kit lines that decided it. */
  because: readonly string[];
  /** Facts that would decide it. */
  needs: readonly string[];
}

/** Every fact id a condition asks for. */
export function factsIn(c: Condition): string[] {
  if ('all' in c) return c.all.flatMap(factsIn);
  if ('as' in c) return [c.of.fact, c.as.fact];
  return 'of' in c ? [c.of.fact] : [];
}

/** Every fit- and kit- id a condition asks for. */
export function linesIn(c: Condition): string[] {
  if ('all' in c) return c.all.flatMap(linesIn);
  if ('fit' in c) return [c.fit];
  return 'kit' in c ? [c.kit] : [];
}

const decided = (is: boolean, because: readonly string[]): Truth => ({ is, because, needs: [] });
const waits = (needs: readonly string[]): Truth => ({ is: 'waits', because: [], needs });

/** Case and outer spaces do not count where words are compared, whichever way a condition is written. */
export const plainWord = (word: number | string): string => String(word).trim().toLowerCase();

type Known = number | string | undefined;

const valuesOf = (scope: Scope, { fact, parts }: Asked): Known[] =>
  parts.map((part) => {
    const value = scope.facts.get(fact)?.parts[part];
    // A list of stations is known, and is no word and no number that is compared.
    return typeof value === 'object' ? '' : value;
  });

/** Does one of the parts answer with yes? No only when every part that could is known. */
function anyOf(values: readonly Known[], holds: (v: number | string) => boolean): boolean | 'waits' {
  if (values.some((v) => v !== undefined && holds(v))) return true;
  return values.some((v) => v === undefined) ? 'waits' : false;
}

const answer = (is: boolean | 'waits', facts: readonly string[]): Truth =>
  is === 'waits' ? waits(facts) : decided(is, facts);
const not = (is: boolean | 'waits'): boolean | 'waits' => (is === 'waits' ? is : !is);

const compares = {
  '>': (a: number, b: number) => a > b,
  '<': (a: number, b: number) => a < b,
  '>=': (a: number, b: number) => a >= b,
  '<=': (a: number, b: number) => a <= b,
} as const;

/** Is it so, and because of what? */
export function evaluate(c: Condition, scope: Scope): Truth {
  switch (c.op) {
    case 'always':
      return decided(true, []);
    case 'and':
    case 'or': {
      const all = c.all.map((part) => evaluate(part, scope));
      const decisive = all.find((t) => t.is === (c.op === 'or'));
      if (decisive) return decisive;
      const open = all.filter((t) => t.is === 'waits');
      if (open.length > 0) return waits([...new Set(open.flatMap((t) => t.needs))]);
      return decided(c.op === 'and', [...new Set(all.flatMap((t) => t.because))]);
    }
    case 'known':
      // Nobody looked yet: that is no "there is none".
      return scope.facts.has(c.of.fact) ? decided(true, [c.of.fact]) : waits([c.of.fact]);
    case 'missing':
      return decided(!scope.facts.has(c.of.fact), [c.of.fact]);
    case 'is':
    case 'is-not': {
      const among = anyOf(valuesOf(scope, c.of), (v) => c.among.includes(plainWord(v)));
      return answer(c.op === 'is' ? among : not(among), [c.of.fact]);
    }
    case 'same':
    case 'differs': {
      const others = valuesOf(scope, c.as);
      const open = others.includes(undefined);
      const same = anyOf(valuesOf(scope, c.of), (v) =>
        others.some((o) => o !== undefined && plainWord(o) === plainWord(v)),
      );
      const is = same === false && open ? 'waits' : same;
      if (is === 'waits') return waits([c.of.fact, c.as.fact].filter((id) => !scope.facts.has(id)));
      return decided(is === (c.op === 'same'), [c.of.fact, c.as.fact]);
    }
    case '>':
    case '<':
    case '>=':
    case '<=': {
      const holds = compares[c.op];
      // A word where a number is asked for says nothing about the number.
      const numbers = valuesOf(scope, c.of).map((v) => (typeof v === 'number' ? v : undefined));
      return answer(
        anyOf(numbers, (n) => holds(n as number, c.than)),
        [c.of.fact],
      );
    }
    case 'says': {
      const fit = scope.fits.get(c.fit);
      if (!fit || fit.word === 'not-measured') return waits([c.fit]);
      const holds = fit.word === c.word || (c.word === 'adapt' && fit.word === 'clash' && fit.resolved);
      return decided(holds, [c.fit]);
    }
    case 'fitted':
    case 'not-fitted':
      return decided(scope.fitted.has(c.kit) === (c.op === 'fitted'), [c.kit]);
    case 'attempts':
      return decided(scope.attempts >= c.least, ['attempts']);
    case 'approval-open': {
      const made = scope.approvals.filter((a) => a.state === 'made').map((a) => a.because);
      if (made.length > 0) return decided(true, made);
      const undecided = scope.approvals.map((a) => a.because);
      return undecided.length > 0 ? waits(undecided) : decided(false, ['approvals']);
    }
  }
}
