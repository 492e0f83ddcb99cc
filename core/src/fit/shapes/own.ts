import { boxPoints } from '../../solid/index.ts';
import type { FactBook } from '../../rules/book.ts';
import type { OwnShapeRecord } from '../records.ts';
import type { PairRule } from './pairs.ts';
import { sureByReading } from './sureness.ts';
import type { FitShape } from './types.ts';

/** Shapes that people drew themselves, by their key. */
export type OwnShapes = Readonly<Record<string, OwnShapeRecord | undefined>>;

/** What no fact covers: each as a shape, and the pair in which it is held against others. */
export function ownShapes(own: OwnShapes, book: FactBook): { shape: FitShape; pair: PairRule }[] {
  return Object.entries(own).flatMap(([key, of]) => {
    if (!of || of.gone) return [];
    const { name, side, x, y, z, across, sure, against, clearance } = of;
    const id = `own-${key}`;
    const shape: FitShape = {
      id,
      side,
      name,
      label: name,
      points:
        across === undefined
          ? boxPoints({ x, y, z })
          : [
              [x[0], y[0], z[0]],
              [x[1], y[1], z[1]],
            ],
      r: (across ?? 0) / 2,
      sigma: sureByReading(book, sure),
      reads: [],
      parts: [],
      takes: [],
      tilted: [],
      assumed: sure === 'eye' ? [`${name} stands where it is by eye`] : [],
      source: sure === 'eye' ? 'assumed' : 'measured',
    };
    const pair: PairRule = {
      id,
      name: `${name.toLowerCase()} to ${side === 'bay' ? 'the engine' : 'the car'}`,
      unit: side === 'unit' ? [id] : against,
      bay: side === 'bay' ? [id] : against,
      clearance,
    };
    return [{ shape, pair }];
  });
}
