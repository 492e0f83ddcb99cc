import { meets, wordsOf } from './words.ts';
import type { Named } from './words.ts';

export interface Thing extends Named {
  sort: 'step' | 'part' | 'circuit' | 'interface';
}

/** How much a word tells, 0 to 1: one that stands in many titles tells little. */
function weights(things: readonly Thing[]): Map<string, number> {
  const count = new Map<string, number>();
  for (const t of things) for (const w of new Set(wordsOf(t.title))) count.set(w, (count.get(w) ?? 0) + 1);
  return new Map([...count].map(([w, n]) => [w, Math.log(1 + things.length / n) / Math.log(1 + things.length)]));
}

/** How sure a suggestion must be that a line is kept with it unasked; below that it is offered, and somebody says so. */
const leastSure = 0.7;

/** What a line says of something, without the words that make it a hold or a bag: by those it speaks of nothing. */
export const spokenOf = (line: string, draft: { pieces: readonly { from: number; to: number }[] }): string =>
  draft.pieces.length === 0 ? line : draft.pieces.map(({ from, to }) => line.slice(from, to)).join(' ');

/** May a line be kept with it unasked? A hold never: the step that it belongs to waits for it. */
export const keptUnasked = (kind: string, suggestion: Suggestion): boolean =>
  kind !== 'hold' && suggestion.sure >= leastSure;

export interface Suggestion {
  thing: Thing;
  /** 0 to 1: how much of what was said speaks of this and of nothing else. */
  sure: number;
}

/**
 * What a line probably belongs to: the open step, part, circuit or interface whose title shares most with it, words that stand
 * in few titles counting more. The step somebody is clocked on is offered when nothing else is clearly spoken of.
 */
export function suggestAbout(line: string, things: readonly Thing[], running?: string): Suggestion | undefined {
  const said = wordsOf(line);
  const weigh = weights(things);
  // Most of a title, or a word that hardly another title has.
  const spokenOf = 0.15;
  const score = (t: Thing): number => {
    const own = [...new Set(wordsOf(t.title))];
    const shared = own
      .filter((w) => w.length >= 3 && said.some((s) => meets(s, w)))
      .reduce((sum, w) => sum + (weigh.get(w) ?? 0), 0);
    const all = own.reduce((sum, w) => sum + (weigh.get(w) ?? 0), 0);
    return shared < 0.6 ? 0 : (shared * shared) / all;
  };
  const ranked = things.map((t) => ({ t, s: score(t) })).sort((a, b) => b.s - a.s || (a.t.key < b.t.key ? -1 : 1));
  const first = ranked[0];
  const second = ranked[1]?.s ?? 0;
  if (first && first.s >= spokenOf && first.s > second)
    return { thing: first.t, sure: (first.s / (first.s + second)) * Math.min(1, first.s / 0.3) };
  const onIt = things.find((t) => t.key === running);
  return onIt && { thing: onIt, sure: 0.5 };
}
