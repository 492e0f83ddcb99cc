import { factDef, factPart, partName } from '../../facts/index.ts';
import type { Drawing, Point } from '../../drawing/index.ts';
import type { Books } from '../../rules/evidence.ts';
import type { FactBook } from '../../rules/book.ts';
import type { Need } from '../../rules/verdict.ts';
import type { Vec } from '../../solid/index.ts';
import { shapeOf, shapeRules } from './scene-of-job.ts';
import type { FitShape } from './types.ts';
import { withUsual } from './usual.ts';
import type { BayKind } from './usual.ts';
import { outlineOf, seenIn, viewNames } from './views.ts';
import type { ViewName } from './views.ts';

/**
 * Where the tape is held for a reading: found from the shapes themselves. The reading is made a little larger, and the corner that
 * moves is where the tape ends; at a reading of nothing that corner stands where the tape begins.
 */

/** By how much a reading is made larger to see what moves, mm. */
const nudge = 8;
/** What a size is drawn as where neither the job nor the usual sizes know it, mm. */
const somewhere = 120;
/** A corner that moves by less of the reading than this does not show it: rounding of how engines usually are. */
const shows = 0.2;

/** The other lengths of a fact, so that its thing can be drawn while they are not read either. */
const beside = (factId: string): Readonly<Record<string, number>> =>
  Object.fromEntries(
    factDef(factId)
      .parts.filter((p) => p.unit === 'mm' && !p.columns && !unasked.has(p.key))
      .map((p, i) => [p.key, somewhere + 40 * i]),
  );
/** Lengths that change what the others mean: without them the thing is drawn from the others. */
const unasked = new Set(['drain-plug', 'planned-ride-height-change']);

const factWith = (book: FactBook, { factId, partKey }: Need, value: number): FactBook =>
  new Map(book).set(factId, {
    ...(book.get(factId) ?? { typed: {}, source: 'assumed' }),
    parts: { ...beside(factId), ...book.get(factId)?.parts, [partKey]: value },
  });

const drawnPoints = (shape: FitShape): readonly Vec[] => shape.drawn ?? shape.points;

const piecesOf = (book: FactBook): readonly FitShape[] =>
  shapeRules.flatMap((rule) => {
    const { made } = shapeOf(rule, book);
    return 'wants' in made ? [] : made;
  });

interface Mover {
  shape: FitShape;
  at: Vec;
  /** By how much it moves for each mm of the reading, along each axis. */
  by: Vec;
}

/** How far from a datum plane the corner would stand at a reading of nothing, mm. */
const startOff = ({ at, by }: Mover, value: number): number => {
  const axis = ([0, 1, 2] as const).reduce((a, b) => (Math.abs(by[b]) > Math.abs(by[a]) ? b : a));
  return Math.abs(at[axis] - value * by[axis]);
};

/**
 * The corner that shows a reading, of all that it moves: one that begins at a datum before others, then the one that moves most, of the
 * shape that is made of that reading first of all, and of corners that are alike the upper one; nothing where it moves none.
 */
function moverOf(book: FactBook, need: Need, value: number): Mover | undefined {
  const [less, more] = [piecesOf(factWith(book, need, value)), piecesOf(factWith(book, need, value + nudge))];
  const movers = less.flatMap((shape, i): Mover[] => {
    const other = more[i];
    if (other?.id !== shape.id) return [];
    const moved = drawnPoints(other);
    return drawnPoints(shape).flatMap((at, n): Mover[] => {
      const to = moved[n];
      if (!to) return [];
      const by: Vec = [(to[0] - at[0]) / nudge, (to[1] - at[1]) / nudge, (to[2] - at[2]) / nudge];
      return Math.hypot(...by) > shows ? [{ shape, at, by }] : [];
    });
  });
  const madeOf = ({ shape }: Mover): number =>
    shape.parts.findIndex((p) => p.factId === need.factId && p.partKey === need.partKey);
  return movers.sort(
    (a, b) =>
      Math.round(startOff(a, value) - startOff(b, value)) ||
      Math.round(20 * (Math.hypot(...b.by) - Math.hypot(...a.by))) ||
      madeOf(a) - madeOf(b) ||
      b.at[2] + b.at[1] + b.at[0] - (a.at[2] + a.at[1] + a.at[0]),
  )[0];
}

/** The view in which a way lies in the paper: sideways from the front, or from above what lies behind the engine; all else from the side. */
const viewFor = ([x, y, z]: Vec, behind: boolean): ViewName =>
  Math.abs(y) <= Math.max(Math.abs(x), Math.abs(z)) ? 'side' : behind ? 'top' : 'front';

/**
 * Bay or unit with the one length that a reading is; nothing where no shape shows it, or it is no length. Sizes nobody knows are
 * drawn as they usually are: it shows where to hold the tape and not how long it is.
 */
export function heldTape(books: Books, need: Need, kind: BayKind = 'large-car'): Drawing | undefined {
  const part = factPart(need.factId, need.partKey);
  if (part.unit !== 'mm' || part.text || part.columns) return undefined;
  const { job } = withUsual(books, kind);
  const own = books.job.get(need.factId)?.parts[need.partKey];
  const known = own ?? job.get(need.factId)?.parts[need.partKey];
  const value = typeof known === 'number' && known !== 0 ? known : somewhere;
  const mover = moverOf(job, need, value);
  if (!mover) return undefined;
  const { shape, at, by } = mover;
  // Half of a width moves to either side: its tape goes from one side to the other.
  const half = Math.abs(Math.hypot(...by) - 0.5) < 0.05 ? 2 : 1;
  const from: Vec = [at[0] - half * value * by[0], at[1] - half * value * by[1], at[2] - half * value * by[2]];
  const begin = beginsAt(from, by, shape.side);
  const way = half === 2 ? 'from side to side,' : begin ? `from ${begin} to` : 'of';
  const view = viewFor(by, Math.max(...drawnPoints(shape).map((p) => p[0])) < 1);
  const flat = seenIn(view, { toRear: false });
  const sight = ({ front: 'x', side: 'y', top: 'z' } as const)[view];
  const others = piecesOf(factWith(job, need, value)).filter((s) => s.side === shape.side && s.bounds !== sight);
  const outline = (s: FitShape): Point[] => outlineOf(drawnPoints(s).map(flat), s.r);
  return {
    name: `Where to hold the tape: ${partName(need.factId, need.partKey)}`,
    summary: `${viewNames[view]}: ${way} ${shape.name.toLowerCase()}.`,
    unit: 'mm',
    shapes: [
      ...others.map((s, i) => ({
        id: `${s.id}-${i}`,
        name: s.name,
        ink: s.id === shape.id ? ('in' as const) : ('car' as const),
        closed: true,
        points: outline(s),
        named: s.id === shape.id,
      })),
    ],
    spots: [
      {
        id: 'datum',
        name: shape.side === 'bay' ? 'Firewall, rail top, centre line' : 'Crank axis at the bell face',
        ink: 'gear',
        at: flat([0, 0, 0]),
        mark: 'cross',
      },
    ],
    dimensions: [
      {
        id: 'tape',
        name: partName(need.factId, need.partKey),
        said: typeof own === 'number' ? `${Math.round(own)} mm` : 'this',
        from: flat(from),
        to: flat(at),
        aside: 14,
      },
    ],
  };
}

/** Where a tape begins, in words: at a datum where it begins on one of its planes. */
function beginsAt(from: Vec, by: Vec, side: 'bay' | 'unit'): string | undefined {
  const axis = ([0, 1, 2] as const).reduce((a, b) => (Math.abs(by[b]) > Math.abs(by[a]) ? b : a));
  if (Math.abs(from[axis]) >= 1) return undefined;
  return side === 'bay'
    ? (['the firewall', 'the centre line', 'the rail top'] as const)[axis]
    : (['the bell face', 'the crank axis', 'the crank axis'] as const)[axis];
}
