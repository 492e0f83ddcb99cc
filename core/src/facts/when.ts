import { plainWord } from '../rules/condition.ts';
import type { Condition, FitWord, Term } from '../rules/condition.ts';
import { factDef, isFactId } from './catalogue.ts';
import type { FactId, WrittenFacts } from './catalogue.ts';
import type { FactPart } from './types.ts';

/**
 * Conditions as the content writes them: `fact = value`, `!=`, `in {a, b}`, `not in {…}`, `> 3`, `known`, `missing`,
 * `fit-… says Adapt`, `kit-… fitted`, joined by `and` and `or`. Each is checked against the facts it speaks of when it is
 * compiled (an unknown fact, an option a fact does not have, a word where a number is compared), and again when it is read.
 */

// ---- the check at compile time -------------------------------------------------------------------------------------

type AllParts<F extends FactId> = WrittenFacts[F]['parts'][number];
type Main<P> = P extends { key: 'value' } ? P : never;
/** The part without a name is the fact itself, where there is one. */
type PartsOf<F extends FactId> = [Main<AllParts<F>>] extends [never] ? AllParts<F> : Main<AllParts<F>>;
type OptionsOf<F extends FactId> =
  PartsOf<F> extends infer P ? (P extends { options: readonly (infer O extends string)[] } ? O : never) : never;
type HasText<F extends FactId> = true extends (
  PartsOf<F> extends infer P ? (P extends { text: true } ? true : never) : never
)
  ? true
  : false;
type HasNumber<F extends FactId> = true extends (
  PartsOf<F> extends infer P ? (P extends { unit: string } ? true : never) : never
)
  ? true
  : false;

type Joined<L extends string> = L extends `${infer A}, ${infer B}` ? A | Joined<B> : L;
type CheckWords<F extends string, W extends string> = F extends FactId
  ? HasText<F> extends true
    ? true
    : [W] extends [OptionsOf<F>]
      ? true
      : `${Exclude<W, OptionsOf<F>>} is no option of ${F}`
  : `${F} is no fact`;
type CheckSame<F extends string, V extends string> = F extends FactId
  ? V extends FactId
    ? true
    : CheckWords<F, V>
  : `${F} is no fact`;
type CheckNumber<F extends string, V extends string> = F extends FactId
  ? HasNumber<F> extends true
    ? V extends `${number}`
      ? true
      : `${V} is no number`
    : `${F} is not a number`
  : `${F} is no fact`;
type CheckFact<F extends string> = F extends FactId ? true : `${F} is no fact`;

type CheckTerm<T extends string> = T extends 'always' | 'three attempts logged' | 'any approval open'
  ? true
  : T extends `fit-${string} says ${'Adapt' | 'Clash'}`
    ? true
    : T extends `kit-${string} ${'fitted' | 'missing'}`
      ? true
      : T extends `${infer F} not in {${infer L}}`
        ? CheckWords<F, Joined<L>>
        : T extends `${infer F} in {${infer L}}`
          ? CheckWords<F, Joined<L>>
          : T extends `${infer F} >= ${infer V}`
            ? CheckNumber<F, V>
            : T extends `${infer F} <= ${infer V}`
              ? CheckNumber<F, V>
              : T extends `${infer F} > ${infer V}`
                ? CheckNumber<F, V>
                : T extends `${infer F} < ${infer V}`
                  ? CheckNumber<F, V>
                  : T extends `${infer F} != ${infer V}`
                    ? CheckSame<F, V>
                    : T extends `${infer F} = ${infer V}`
                      ? CheckSame<F, V>
                      : T extends `${infer F} ${'known' | 'missing'}`
                        ? CheckFact<F>
                        : `not understood: ${T}`;
type CheckAnd<T extends string> = T extends `${infer A} and ${infer B}`
  ? CheckTerm<A> extends true
    ? CheckAnd<B>
    : CheckTerm<A>
  : CheckTerm<T>;
type CheckOr<T extends string> = T extends `${infer A} or ${infer B}`
  ? CheckAnd<A> extends true
    ? CheckOr<B>
    : CheckAnd<A>
  : CheckAnd<T>;

/** The words of a condition where they can be taken, or what is wrong with them. */
export type Words<T extends string> = string extends T ? T : CheckOr<T> extends true ? T : Extract<CheckOr<T>, string>;

// ---- the same at run time ------------------------------------------------------------------------------------------

const factWord = '((?:rec|don|eng|gbx|cho)-[a-z0-9-]+)';
const fitWords: Record<string, FitWord> = { Adapt: 'adapt', Clash: 'clash' };

class NotUnderstood extends Error {}

/** The parts that a condition may be about: the one without a name is the fact itself, where there is one. */
function partsOf(fact: string): readonly FactPart[] {
  if (!isFactId(fact)) throw new NotUnderstood(`"${fact}" is no fact`);
  const { parts } = factDef(fact);
  const main = parts.filter((p) => p.key === 'value');
  return main.length > 0 ? main : parts;
}

function partsWith(fact: string, able: (part: FactPart) => boolean, wrong: string): { fact: string; parts: string[] } {
  const parts = partsOf(fact).filter(able);
  if (parts.length === 0) throw new NotUnderstood(wrong);
  return { fact, parts: parts.map((p) => p.key) };
}

const anyPart = (fact: string): { fact: string; parts: string[] } => partsWith(fact, () => true, '');

function amongWords(fact: string, words: readonly string[], not: boolean): Term {
  const plain = words.map(plainWord);
  const options = partsOf(fact).flatMap((p) => p.options ?? []);
  const strange = plain.find((w) => !options.includes(w));
  if (strange !== undefined && !partsOf(fact).some((p) => p.text))
    throw new NotUnderstood(`"${fact}" has no option ${strange}`);
  const takes = (part: FactPart): boolean =>
    part.text === true || (part.options?.some((o) => plain.includes(o)) ?? false);
  return {
    op: not ? 'is-not' : 'is',
    of: partsWith(fact, takes, `"${fact}" has no option ${words.join(', ')}`),
    among: plain,
  };
}

function compared(fact: string, how: '>' | '<' | '>=' | '<=', to: string): Term {
  const than = Number(to);
  if (!Number.isFinite(than)) throw new NotUnderstood(`"${to}" is no number`);
  return { op: how, of: partsWith(fact, (p) => p.unit !== undefined, `"${fact}" is not a number`), than };
}

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
  if (m) return { op: m[2] as 'known' | 'missing', of: anyPart(m[1]!) };
  m = new RegExp(`^${factWord} (not )?in \\{([^}]+)\\}$`).exec(t);
  if (m) return amongWords(m[1]!, m[3]!.split(','), m[2] !== undefined);
  m = new RegExp(`^${factWord} (>=|<=|>|<) (\\S+)$`).exec(t);
  if (m) return compared(m[1]!, m[2] as '>', m[3]!);
  m = new RegExp(`^${factWord} (=|!=) (\\S+)$`).exec(t);
  if (!m) throw new NotUnderstood(`"${t}"`);
  if (isFactId(m[3]!)) return { op: m[2] === '=' ? 'same' : 'differs', of: anyPart(m[1]!), as: anyPart(m[3]) };
  return amongWords(m[1]!, [m[3]!], m[2] === '!=');
}

const joined = (op: 'and' | 'or', all: readonly Condition[]): Condition => (all.length === 1 ? all[0]! : { op, all });

/** Reads a condition that is only known when it runs; throws, naming it, on what it does not understand. */
export function readCondition(text: string): Condition {
  try {
    return joined(
      'or',
      text.split(/\s+or\s+/).map((side) => joined('and', side.split(/\s+and\s+/).map(parseTerm))),
    );
  } catch (error) {
    if (error instanceof NotUnderstood)
      throw new Error(`Condition not understood: "${text}": ${error.message}`, { cause: error });
    throw error;
  }
}

/** A condition of the content. What cannot be meant does not compile. */
export const when = <const T extends string>(text: Words<T>): Condition => readCondition(text);
