import { boxPoints } from '../../solid/index.ts';
import type { OwnShapeRecord, ShapeSureness } from '../records.ts';
import type { PairRule } from './pairs.ts';
import type { FitShape } from './types.ts';

/** Shapes that people drew themselves, by their key. */
export type OwnShapes = Readonly<Record<string, OwnShapeRecord | undefined>>;

/** One standard deviation of a place by how it was read, mm (common practice, no source). */
export const sureByReading: Readonly<Record<ShapeSureness, number>> = { tape: 2, card: 5, eye: 20 };

/** What no fact covers: each as a shape, and the pair in which it is held against others. */
export function ownShapes(own: OwnShapes): { shape: FitShape; pair: PairRule }[] {
  return Object.entries(own).flatMap(([key, of]) => {
    if (!of || of.gone) return [];
    const { name, side, x, y, z, sure, against, clearance } = of;
    const id = `own-${key}`;
    const shape: FitShape = {
      id,
      side,
      name,
      label: name,
      points: boxPoints({ x, y, z }),
      r: 0,
      sigma: sureByReading[sure],
      reads: [],
      parts: [],
      takes: [],
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
