/** Choosing among things by the words somebody said of them. */

const small = new Set([
  'the',
  'of',
  'at',
  'to',
  'a',
  'an',
  'in',
  'and',
  'or',
  'from',
  'over',
  'on',
  'for',
  'is',
  'it',
  'with',
  'by',
  'no',
  'not',
]);

export const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((w) => w !== '' && !small.has(w));

/** Does a said word stand for a word of a title? Whole, or its first four letters and more. */
export const meets = (said: string, word: string): boolean =>
  word === said || (said.length >= 4 && word.startsWith(said)) || (word.length >= 4 && said === `${word}s`);

export interface Named {
  key: string;
  title: string;
}

export type Picked<T> = { hit: T } | { hit?: undefined; sentence: string };

/** The one thing whose title holds every word said; a sentence when none or several do. */
export function pick<T extends Named>(said: string, things: readonly T[], what: string): Picked<T> {
  const wanted = wordsOf(said);
  if (wanted.length === 0) return { sentence: `Say which ${what}.` };
  const hits = things.filter((t) => {
    const own = wordsOf(t.title);
    return wanted.every((w) => own.some((x) => meets(w, x)));
  });
  // Said whole, it is that one, whatever longer title holds the same words.
  const whole = hits.filter((t) => wordsOf(t.title).join(' ') === wanted.join(' '));
  if (whole.length === 1) return { hit: whole[0]! };
  if (hits.length === 0) return { sentence: `No ${what} has the words "${said.trim()}".` };
  // The thing of which most was said, when that is plainly one: "fuel lines" is not "fuel lines and return of the rail".
  const share = (t: T): number => wanted.length / wordsOf(t.title).length;
  const ranked = [...hits].sort((a, b) => share(b) - share(a));
  if (ranked.length === 1 || share(ranked[0]!) >= 1.5 * share(ranked[1]!)) return { hit: ranked[0]! };
  const named = ranked.slice(0, 2).map((t) => `"${t.title}"`);
  return {
    sentence: `${hits.length} ${what}s have these words: ${named.join(', ')}${hits.length > 2 ? ' and more' : ''}. Say more.`,
  };
}
