import type { SumRow } from '../rules/index.ts';

/**
 * A drawing as plain data, in millimetres or in parts of a picture, y upwards: what computes makes it, the board shows it, and
 * the same data are read out as a list. Sizes of text and lines are the board's.
 */

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** What is drawn in which hand: the car in grey, what comes in in teal, gear in ink, what meets hatched, what is only assumed dashed. */
export type Ink = 'car' | 'in' | 'gear' | 'meets' | 'assumed';

export interface Shape {
  id: string;
  name: string;
  ink: Ink;
  points: readonly Point[];
  /** An area; otherwise a line. */
  closed: boolean;
  /** It can be taken and pulled along, with the others of its kind. */
  carried?: boolean;
  /** Its name stands on it. */
  named?: boolean;
}

/** A place without a size: a lifting eye, a hook, a centre of gravity. */
export interface Spot {
  id: string;
  name: string;
  ink: Ink;
  at: Point;
  mark: 'ring' | 'cross' | 'hook';
}

/** A length with its number, or a number at a place, which opens to the sum behind it. */
export interface Dimension {
  id: string;
  name: string;
  said: string;
  from: Point;
  to: Point;
  /** How far beside the line from `from` to `to` it is drawn, in px of the board, to the left of that way; at 0 only the number stands on it. */
  aside: number;
  word?: 'look' | 'stop';
  rows?: readonly SumRow[];
}

/** Where somebody cut through the thing to look along the arrows. */
export interface Section {
  letter: string;
  from: Point;
  to: Point;
}

export interface Drawing {
  name: string;
  /** What one sees on it, in a sentence. */
  summary: string;
  unit: 'mm' | '';
  shapes: readonly Shape[];
  spots: readonly Spot[];
  dimensions: readonly Dimension[];
  sections?: readonly Section[];
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The least box round everything that has a place; a drawing of nothing has a box of one by one. */
export function boxOf({ shapes, spots, dimensions, sections = [] }: Drawing): Box {
  const points = [
    ...shapes.flatMap((s) => s.points),
    ...spots.map((s) => s.at),
    ...[...dimensions, ...sections].flatMap((d) => [d.from, d.to]),
  ];
  if (points.length === 0) return { x: 0, y: 0, width: 1, height: 1 };
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  const x = Math.min(...xs);
  const y = Math.min(...ys);
  return { x, y, width: Math.max(...xs) - x || 1, height: Math.max(...ys) - y || 1 };
}
