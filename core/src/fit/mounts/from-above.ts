import type { Dimension, Point, Shape, Spot } from '../../drawing/index.ts';
import { formatMeasure } from '../../units/index.ts';
import type { Sum } from '../../rules/sum.ts';
import { mountMeetsMm, mountReachMm } from './judged.ts';

/** What drawings of mounts from above have in common. */

/** Where a place is put on the paper: x to the front of the car, y to its left. */
export type Put = (x: number, y: number) => Point;

/** A rectangle along x, `half` to either side. */
export const rectangle = (from: number, to: number, half: number, put: Put): Point[] => [
  put(from, -half),
  put(to, -half),
  put(to, half),
  put(from, half),
];

/** An arrow that says where the front, or the rear, of the car is. */
export const frontMark = (name: string, ahead: number, put: Put): Shape => ({
  id: 'front',
  name,
  ink: 'gear',
  closed: false,
  points: [put(ahead, 0), put(ahead + 110, 0), put(ahead + 80, 22), put(ahead + 110, 0), put(ahead + 80, -22)],
  named: true,
});

/** One mount: the pad of the body as a square, the boss of the unit as a ring, and how far they are apart. */
export function mountMark({
  id,
  pad,
  boss,
  names,
  offsets,
  aside,
}: {
  id: string;
  pad: Point;
  boss: Point;
  names: { pad: string; arm: string; boss: string; dimension: string };
  /** From pad to boss along each axis, mm. */
  offsets: readonly Sum[];
  aside: number;
}): { shapes: Shape[]; spot: Spot; dimension: Dimension } {
  // The verdict looks along each axis.
  const farthest = Math.max(...offsets.map((o) => Math.abs(o.value)));
  const half = 32;
  return {
    shapes: [
      {
        id: `pad-${id}`,
        name: names.pad,
        ink: 'car',
        closed: true,
        points: rectangle(pad.x - half, pad.x + half, half, (x, y) => ({ x, y: pad.y + y })),
        named: true,
      },
      { id: `arm-${id}`, name: names.arm, ink: 'gear', closed: false, points: [pad, boss] },
    ],
    spot: { id: `boss-${id}`, name: names.boss, ink: 'in', at: boss, mark: 'ring' },
    dimension: {
      id: `arm-${id}`,
      name: names.dimension,
      said: formatMeasure(Math.round(Math.hypot(...offsets.map((o) => o.value))), 'mm'),
      from: pad,
      to: boss,
      aside,
      rows: offsets.flatMap((o) => o.rows),
      ...(farthest > mountReachMm
        ? { word: 'stop' as const }
        : farthest > mountMeetsMm
          ? { word: 'look' as const }
          : {}),
    },
  };
}
