import type { FactBook } from '../../rules/book.ts';
import type { PoseKey, PoseRange } from '../position/pose.ts';

/** Where somebody holds the unit to, beside what engine, driveline and mounts stand. */

const axes = [
  { key: 'x', part: 'along', words: 'along the car', unit: 'mm' },
  { key: 'y', part: 'sideways', words: 'sideways', unit: 'mm' },
  { key: 'z', part: 'height', words: 'in height', unit: 'mm' },
  { key: 'slopeDeg', part: 'slope', words: 'by its slope', unit: '°' },
] as const satisfies readonly { key: PoseKey; part: string; words: string; unit: string }[];

function endsOf(book: FactBook, part: string): readonly [number | undefined, number | undefined] {
  const parts = book.get('cho-place-range')?.parts;
  const end = (key: string): number | undefined => {
    const value = parts?.[`${part}-${key}`];
    return typeof value === 'number' ? value : undefined;
  };
  return [end('from'), end('to')];
}

/** A range that is held to what was typed for it; what was typed the wrong way round holds nothing. */
export function typedRange(book: FactBook, range: PoseRange): PoseRange {
  const held = { ...range };
  for (const { key, part } of axes) {
    const [from, to] = endsOf(book, part);
    if (from === undefined && to === undefined) continue;
    const [low, high] = [from ?? Math.min(range[key][0], to!), to ?? Math.max(range[key][1], from!)];
    if (low <= high) held[key] = [low, high];
  }
  return held;
}

/** What was typed about it, in sentences. */
export function rangeSaid(book: FactBook): string[] {
  return axes.flatMap(({ part, words, unit }) => {
    const [from, to] = endsOf(book, part);
    const is = (n: number): string => `${Number(n.toFixed(1))}${unit === '°' ? '°' : ` ${unit}`}`;
    if (from === undefined && to === undefined) return [];
    if (from !== undefined && to !== undefined && from > to)
      return [
        `Where it may go ${words} is the wrong way round, from ${is(from)} to ${is(to)}: it is not held to that.`,
      ];
    if (from === to) return [`It is held ${words} at ${is(from!)}.`];
    if (from === undefined) return [`It is held ${words} up to ${is(to!)}.`];
    return [`It is held ${words} ${to === undefined ? `from ${is(from)} on` : `from ${is(from)} to ${is(to)}`}.`];
  });
}
