import type { Box, Point } from './types.ts';

/** A text that wants to stand at a place of the board, px, y down. The first of several is placed first. */
export interface LabelWish {
  /** The place it speaks of. */
  of: Point;
  /** Where its middle would stand best. */
  at: Point;
  width: number;
  height: number;
}

export interface PlacedLabel {
  /** Middle of the text. */
  at: Point;
  /** So far from where it wanted to stand that a thin line shows what it speaks of. */
  led: boolean;
}

const air = 3;
/** Eight ways off, right and left first, since texts are wide. */
const ways: readonly Point[] = [
  { x: 1, y: 0 },
  { x: -1, y: 0 },
  { x: 0, y: -1 },
  { x: 0, y: 1 },
  { x: 1, y: -1 },
  { x: -1, y: -1 },
  { x: 1, y: 1 },
  { x: -1, y: 1 },
];

const boxAt = (at: Point, { width, height }: LabelWish): Box => ({
  x: at.x - width / 2 - air,
  y: at.y - height / 2 - air,
  width: width + 2 * air,
  height: height + 2 * air,
});

/** The area two boxes share. */
export const shared = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y));

/**
 * Places texts so that none lies on another, on something `taken`, or over the edge: each where it wants to be, or as near to
 * that as there is room. Where there is no room at all it takes the place that covers least.
 */
export function placeLabels(
  wishes: readonly LabelWish[],
  frame: { width: number; height: number },
  taken: readonly Box[] = [],
): PlacedLabel[] {
  const used: Box[] = [...taken];
  return wishes.map((wish) => {
    const inside = ({ x, y }: Point): Point => ({
      x: Math.min(
        Math.max(x, wish.width / 2 + air),
        Math.max(frame.width - wish.width / 2 - air, wish.width / 2 + air),
      ),
      y: Math.min(
        Math.max(y, wish.height / 2 + air),
        Math.max(frame.height - wish.height / 2 - air, wish.height / 2 + air),
      ),
    });
    const rings = Array.from({ length: 14 }, (_, i) => (i + 1) * 9);
    const tries = [
      wish.at,
      ...rings.flatMap((far) =>
        ways.map(({ x, y }) => ({
          x: wish.at.x + x * (far + (x === 0 ? 0 : wish.width / 4)),
          y: wish.at.y + y * far,
        })),
      ),
    ].map(inside);
    const covers = (at: Point): number => used.reduce((sum, box) => sum + shared(boxAt(at, wish), box), 0);
    const free = tries.find((at) => covers(at) === 0);
    const at = free ?? tries.reduce((best, next) => (covers(next) < covers(best) ? next : best));
    used.push(boxAt(at, wish));
    return { at, led: Math.hypot(at.x - wish.at.x, at.y - wish.at.y) > wish.height * 1.5 };
  });
}
