import type { Solid, Vec } from '../../solid/index.ts';
import type { FitProblem, Pair, Placed } from './problem.ts';

/** What an option does to a shape of the unit or the bay, or to the least gap of a pair. */
export type Change =
  | { side: 'unit' | 'bay'; id: string; move: Vec }
  | { side: 'unit' | 'bay'; id: string; replace: Solid }
  | { side: 'unit' | 'bay'; id: string; remove: true }
  | { side: 'pair'; id: string; needMm: number };

/** A way out: what it changes, what it costs, and who has to agree to it. */
export interface FitOption {
  id: string;
  title: string;
  cost?: number | undefined;
  hours?: number | undefined;
  /** Structure, steering or brakes are altered: never without this. */
  approval?: string | undefined;
  changes: readonly Change[];
}

const shifted = (shape: Placed, [x, y, z]: Vec): Placed => ({
  ...shape,
  points: shape.points.map((p): Vec => [p[0] + x, p[1] + y, p[2] + z]),
});

function changedShapes(shapes: readonly Placed[], change: Exclude<Change, { side: 'pair' }>): Placed[] {
  if ('move' in change) return shapes.map((s) => (s.id === change.id ? shifted(s, change.move) : s));
  const others = shapes.filter((s) => s.id !== change.id);
  if ('remove' in change) return others;
  // One takes the place of all shapes of that name; the doubt about it is that of the first.
  const first = shapes.find((s) => s.id === change.id);
  return first ? [...others, { ...first, ...change.replace }] : others;
}

const changedPairs = (pairs: readonly Pair[], id: string, needMm: number): Pair[] =>
  pairs.map((p) => (p.id === id ? { ...p, needMm } : p));

/** A problem as it is with some options carried out, in the order given. What an option took away stays away. */
export function withOptions(problem: FitProblem, options: readonly FitOption[]): FitProblem {
  return options
    .flatMap((o) => o.changes)
    .reduce<FitProblem>((now, change) => {
      if (change.side === 'pair') return { ...now, pairs: changedPairs(now.pairs, change.id, change.needMm) };
      return { ...now, [change.side]: changedShapes(now[change.side], change) };
    }, problem);
}

/** The pairs that an option has a say in, by their place in the problem. */
export function touchedPairs({ pairs }: FitProblem, { changes }: FitOption): number[] {
  const touches = (pair: Pair, change: Change): boolean =>
    change.side === 'pair' ? pair.id === change.id : pair[change.side].includes(change.id);
  return pairs.flatMap((pair, i) => (changes.some((c) => touches(pair, c)) ? [i] : []));
}
