import type { Vec } from '../../solid/index.ts';
import type { FactSource } from '../../rules/book.ts';
import type { FactRead } from '../../rules/sum.ts';
import type { Need } from '../../rules/verdict.ts';
import type { Placed } from '../position/problem.ts';
import type { Tape } from './tape.ts';

export type Side = 'bay' | 'unit';

/** Points and a radius, of one of the pieces that a shape is made of. */
export interface Piece {
  points: readonly Vec[];
  r?: number;
  /** What of it is drawn, where it goes on beyond what anybody looks at. */
  drawn?: readonly Vec[];
  /** Along which axis it bounds: who looks along that axis looks through it. */
  bounds?: 'x' | 'y' | 'z';
}

/** How a named shape of the bay or the unit comes from facts. */
export interface ShapeRule {
  id: string;
  side: Side;
  name: string;
  /** Structure or steering: nothing of it is altered without an approval. */
  structural?: true;
  /** Its pieces; nothing where the car has no such thing. */
  make: (tape: Tape) => readonly Piece[] | undefined;
}

/** A piece of a shape, with what it stands on. */
export interface FitShape extends Placed {
  drawn?: readonly Vec[];
  bounds?: 'x' | 'y' | 'z';
  side: Side;
  name: string;
  reads: readonly FactRead[];
  /** The values it was made from, and those that were taken for want of a reading. */
  parts: readonly Need[];
  takes: readonly Need[];
  /** Values that were taken and decide nothing while the unit sits level. */
  tilted: readonly Need[];
  /** Sentences: what was taken although nobody measured it. */
  assumed: readonly string[];
  source: FactSource | undefined;
}

/** A shape that waits for facts. */
export interface MissingShape {
  id: string;
  side: Side;
  name: string;
  wants: readonly Need[];
}
