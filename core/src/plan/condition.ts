import { factDef, isFactId, optionWords, showFact } from '../facts/index.ts';
import type { FactBook } from '../facts/index.ts';

/**
 * Conditions as the content files write them: `fact = value`, `!=`, `in {a, b}`, `not in {…}`, `> 3`, `known`,
 * `missing`, `fit-… says Adapt`, `kit-… fitted`, joined by `and` and `or`. A fact that is not known never counts as a no:
 * such a condition is neither true nor false but waits.
 */

export type FitWord = 'bolts-up' | 'adapt' | 'clash' | 'not-measured';

/** What a condition may look at. */
export interface Scope {
  facts: FactBook;
  /** Verdict of an interface, and whether somebody resolved it. */
  fitOf?: (fitId: string) => { word: FitWord; resolved: boolean } | undefined;
  kitFitted?: (kitId: string) => boolean;
  attempts?: number;
  approvalOpen?: boolean;
}

type Term =
  | { op: 'always' }
  | { op: 'compare'; fact: string; how: '=' | '!=' | '>' | '<' | '>=' | '<='; to: string }
  | { op: 'in'; fact: string; not: boolean; options: readonly string[] }
  | { op: 'known' | 'missing'; fact: string }
  | { op: 'says'; fit: string; word: FitWord }
  | { op: 'fitted' | 'not-fitted'; kit: string }
  | { op: 'attempts'; least: number }
  | { op: 'approval-open' };

export type Condition = Term | { op: 'and' | 'or'; of: readonly Condition[] };

export interface Truth {
  is: boolean | 'waits';
  /** Facts, interfaces and kit lines that decided it. */
  because: readonly string[];
  /** Facts that would decide it. */
  needs: readonly string[];
}

const factWord = '((?:rec|don|eng|gbx|cho)-[a-z0-9-]+)';
const fitWords: Record<string, FitWord> = { Adapt: 'adapt', Clash: 'clash' };

function parseTerm(text: string): Term {
  const t = text.trim();
  if (t === 'always') return { op: 'always' };
  if (t === 'three attempts logged') return { op: 'attempts', least: 3 };
  if (t === 'any approval open') return { op: 'approval-open' };
  let m = /^(fit-[a-z0-9-]+) says (Adapt|Clash)$/.exec(t);
  if (m) return { op: 'says', fit: m[1]!, word: fitWords[m[2]!]! };
  m = /^(kit-[a-z0-9-]+) (fitted|missing)$/.exec(t);
  if (m) return { op: m[2] === 'fitted' ? 'fitted' : 'not-fitted', kit: m[1]! };
  m = new RegExp(`^${factWord} (known|missing)$`).exec(t);
  if (m) return { op: m[2] as 'known' | 'missing', fact: m[1]! };
  m = new RegExp(`^${factWord} (not )?in \\{([^}]+)\\}$`).exec(t);
  if (m) return { op: 'in', fact: m[1]!, not: m[2] !== undefined, options: m[3]!.split(',').map((o) => o.trim()) };
  m = new RegExp(`^${factWord} (=|!=|>=|<=|>|<) (\\S+)$`).exec(t);
  if (m) return { op: 'compare', fact: m[1]!, how: m[2] as '=', to: m[3]! };
  throw new Error(`Condition not understood: "${t}"`);
}

const cache = new Map<string, Condition>();

/** Parses a condition once; throws on words it does not know, so that a typing mistake in the content is found at start. */
export function condition(text: string): Condition {
  const known = cache.get(text);
  if (known) return known;
  const ors = text.split(/\s+or\s+/).map((side): Condition => {
    const ands = side.split(/\s+and\s+/).map(parseTerm);
    return ands.length === 1 ? ands[0]! : { op: 'and', of: ands };
  });
  const made: Condition = ors.length === 1 ? ors[0]! : { op: 'or', of: ors };
  cache.set(text, made);
  return made;
}

/** Every fact id a condition asks for. */
export function factsIn(c: Condition): string[] {
  if ('of' in c) return c.of.flatMap(factsIn);
  if ('fact' in c) return c.op === 'compare' && isFactId(c.to) ? [c.fact, c.to] : [c.fact];
  return [];
}

/** Every fit- and kit- id a condition asks for. */
export function linesIn(c: Condition): string[] {
  if ('of' in c) return c.of.flatMap(linesIn);
  if ('fit' in c) return [c.fit];
  if ('kit' in c) return [c.kit];
  return [];
}

const yes = (because: readonly string[]): Truth => ({ is: true, because, needs: [] });
const no = (because: readonly string[]): Truth => ({ is: false, because, needs: [] });
const decided = (is: boolean, because: readonly string[]): Truth => (is ? yes(because) : no(because));
const waits = (needs: readonly string[]): Truth => ({ is: 'waits', because: [], needs });

/**
 * The values of a fact that a condition may be about. Where the fact has a part without a name, that part is the fact;
 * otherwise any part may match (`rec-battery = boot` looks at the place).
 */
function valuesOf(scope: Scope, fact: string): (number | string)[] | undefined {
  const value = scope.facts.get(fact);
  if (!value) return undefined;
  const main = value.parts['value'];
  if (main !== undefined) return [main];
  if (factDef(fact).parts.some((p) => p.key === 'value')) return undefined;
  const all = Object.values(value.parts);
  return all.length > 0 ? all : undefined;
}

function compare(values: (number | string)[], how: string, to: (number | string)[]): boolean {
  const pairs = values.flatMap((a) => to.map((b) => [a, b] as const));
  const same = pairs.some(([a, b]) => String(a).trim().toLowerCase() === String(b).trim().toLowerCase());
  if (how === '=') return same;
  if (how === '!=') return !same;
  return pairs.some(([a, b]) => {
    if (typeof a !== 'number') return false;
    const n = Number(b);
    return how === '>' ? a > n : how === '<' ? a < n : how === '>=' ? a >= n : a <= n;
  });
}

/** Is it so, and because of what? */
export function evaluate(c: Condition, scope: Scope): Truth {
  switch (c.op) {
    case 'always':
      return yes([]);
    case 'and':
    case 'or': {
      const all = c.of.map((part) => evaluate(part, scope));
      const decisive = all.find((t) => t.is === (c.op === 'or'));
      if (decisive) return decisive;
      const open = all.filter((t) => t.is === 'waits');
      if (open.length > 0) return waits([...new Set(open.flatMap((t) => t.needs))]);
      return decided(c.op === 'and', [...new Set(all.flatMap((t) => t.because))]);
    }
    case 'known':
    case 'missing': {
      const known = (scope.facts.get(c.fact) ?? undefined) !== undefined;
      return decided(known === (c.op === 'known'), [c.fact]);
    }
    case 'compare': {
      const values = valuesOf(scope, c.fact);
      const other = isFactId(c.to) ? valuesOf(scope, c.to) : [c.to];
      if (!values || !other) return waits([...(values ? [] : [c.fact]), ...(other ? [] : [c.to])]);
      return decided(compare(values, c.how, other), isFactId(c.to) ? [c.fact, c.to] : [c.fact]);
    }
    case 'in': {
      const values = valuesOf(scope, c.fact);
      if (!values) return waits([c.fact]);
      return decided(values.some((v) => c.options.includes(String(v))) !== c.not, [c.fact]);
    }
    case 'says': {
      const fit = scope.fitOf?.(c.fit);
      if (!fit || fit.word === 'not-measured') return waits([c.fit]);
      const holds = fit.word === c.word || (c.word === 'adapt' && fit.word === 'clash' && fit.resolved);
      return decided(holds, [c.fit]);
    }
    case 'fitted':
    case 'not-fitted':
      return decided((scope.kitFitted?.(c.kit) ?? false) === (c.op === 'fitted'), [c.kit]);
    case 'attempts':
      return decided((scope.attempts ?? 0) >= c.least, ['attempts']);
    case 'approval-open':
      return decided(scope.approvalOpen ?? false, ['approvals']);
  }
}

/** "Induction: turbo": one fact that decided something, as a person reads it. */
export function becauseWords(id: string, facts: FactBook): string {
  if (!isFactId(id)) return id;
  const value = facts.get(id);
  return `${factDef(id).label}: ${value ? optionWords(showFact(id, value)) : 'not known'}`;
}
