import { factPart } from '../facts/index.ts';
import type { FactId, FactBook } from '../facts/index.ts';
import type { Books } from '../rules/evidence.ts';
import type { PartValue } from '../rules/book.ts';

/** "What if": numbers put in place of those that are known, without writing anything. Keys are "fact part". */
export type Tries = Readonly<Record<string, number>>;

export const tryKey = (factId: FactId, partKey: string): string => `${factId} ${partKey}`;

const number = (book: FactBook, factId: string, partKey: string): number | undefined => {
  const value = book.get(factId)?.parts[partKey];
  return typeof value === 'number' ? value : undefined;
};

function put(
  book: Map<string, NonNullable<ReturnType<FactBook['get']>>>,
  factId: string,
  partKey: string,
  value: PartValue | undefined,
): void {
  const was = book.get(factId);
  const others = Object.entries(was?.parts ?? {}).filter(([key]) => key !== partKey);
  book.set(factId, {
    ...(was ?? { typed: {} }),
    parts: Object.fromEntries(value === undefined ? others : [...others, [partKey, value]]),
    // What is tried was read by nobody.
    source: 'assumed',
  });
}

/**
 * The facts with what is tried in them. A reading that moves with what is tried moves too (pads and ring with a spacer behind them,
 * the output with the slope of the crank); one of which nobody knows how it moves is left out.
 */
export function withTries(books: Books, tries: Tries): Books {
  const entries = Object.entries(tries);
  if (entries.length === 0) return books;
  const job = new Map(books.job);
  const change = (factId: FactId, partKey: string): number => {
    const tried = tries[tryKey(factId, partKey)];
    return tried === undefined ? 0 : tried - (number(books.job, factId, partKey) ?? 0);
  };
  for (const [key, value] of entries) {
    const [factId, partKey] = key.split(' ') as [FactId, string];
    factPart(factId, partKey);
    put(job, factId, partKey, value);
  }
  const shift = (factId: FactId, partKey: string, by: number | undefined): void => {
    const read = number(job, factId, partKey);
    // What is tried itself stays as it is tried.
    if (read === undefined || tries[tryKey(factId, partKey)] !== undefined) return;
    put(job, factId, partKey, by === undefined ? undefined : read + by);
  };
  const face =
    change('cho-stack', 'crank-spacer') +
    change('eng-flywheel', 'face-from-crank-flange') -
    change('eng-crank-flange', 'depth-behind-bell-face');
  if (face !== 0) shift('eng-flywheel', 'pad-depth-behind-bell-face', face);
  const plate = change('cho-stack', 'adapter-plate');
  if (face !== 0 || plate !== 0) {
    const side = books.job.get('eng-starter-side')?.parts['value'];
    // A starter beside the block stands ahead of the ring and throws back; one on the gearbox stands behind it and moves with the plate.
    const ahead = side === 'left' || side === 'right';
    shift('eng-ring-gear', 'pinion-rest-gap', ahead ? face : side === 'on-gearbox' ? plate - face : undefined);
  }
  const slope = change('cho-engine-place', 'slope-tail-down');
  if (tries[tryKey('cho-engine-place', 'slope-tail-down')] !== undefined && slope !== 0)
    shift(
      'gbx-output',
      'output-slope-tail-down',
      number(books.job, 'cho-engine-place', 'slope-tail-down') === undefined ? undefined : slope,
    );
  return { ...books, job };
}
