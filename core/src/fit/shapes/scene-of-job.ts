import type { Books } from '../../rules/evidence.ts';
import type { FactBook } from '../../rules/book.ts';
import type { FactRead, Sum } from '../../rules/sum.ts';
import type { Need } from '../../rules/verdict.ts';
import type { Pose, PoseRange } from '../position/pose.ts';
import type { FitProblem } from '../position/problem.ts';
import { FitEvidence } from '../evidence.ts';
import { mountReachMm } from '../mounts/judged.ts';
import { jointLimits } from '../driveline/line.ts';
import { sureOf } from './sureness.ts';
import { rangeSaid, typedRange } from './range.ts';
import { bayRules } from './bay.ts';
import { notKnown, Tape } from './tape.ts';
import { lieOf, pointsToRear, turnedTo } from './lie.ts';
import type { Lie } from './lie.ts';
import { needWithSpare } from './need.ts';
import { pairRulesOf } from './pairs.ts';
import type { PairRule } from './pairs.ts';
import { ownShapes } from './own.ts';
import type { OwnShapes } from './own.ts';
import type { FitShape, MissingShape, ShapeRule } from './types.ts';
import { unitRules } from './unit.ts';

/** The geometry of a job: what its facts draw, what they do not yet, and where the unit may go. */
export interface JobScene {
  shapes: readonly FitShape[];
  missing: readonly MissingShape[];
  /** Pairs that have both their shapes, with the least gap of each. */
  pairs: readonly (PairRule & { need: Sum })[];
  /** Pairs of which a shape is missing. */
  openPairs: readonly { pair: PairRule; wants: readonly Need[] }[];
  /** Where somebody said that it sits; nothing where nobody did. */
  chosen: Pose | undefined;
  problem: FitProblem;
  /** x counts to the rear of the car: the bay lies behind its partition, with the pulley to the rear. */
  toRear: boolean;
  /** What driveline, mounts and people do to where it is sought. */
  held: readonly string[];
  /** Why nothing is drawn, where that is so. */
  notDrawn: string | undefined;
}

export const shapeRules: readonly ShapeRule[] = [...bayRules, ...unitRules];

/** The pieces of a shape as facts give them (none where the car has no such thing), or what it waits for; and all that was looked at. */
export function shapeOf(
  { id, side, name, make }: ShapeRule,
  book: FactBook,
): { made: readonly FitShape[] | MissingShape; reads: readonly FactRead[] } {
  const tape = new Tape(book);
  try {
    const made = (make(tape) ?? []).map(({ points, r = 0, drawn, bounds }) => ({
      id,
      side,
      name,
      label: name,
      points,
      r,
      ...(drawn ? { drawn } : {}),
      ...(bounds ? { bounds } : {}),
      sigma: sureOf(book, tape.weakest ?? 'measured'),
      reads: tape.reads,
      parts: tape.parts,
      takes: tape.takes,
      tilted: tape.tilted,
      assumed: tape.assumed,
      source: tape.weakest,
    }));
    return { made, reads: tape.reads };
  } catch (stop) {
    if (stop !== notKnown) throw stop;
    return { made: { id, side, name, wants: tape.wants }, reads: tape.reads };
  }
}

/** The shapes that facts give, and those that wait. */
export function shapesOf(book: FactBook): { shapes: FitShape[]; missing: MissingShape[] } {
  const made = shapeRules.map((rule) => shapeOf(rule, book).made);
  return {
    shapes: made.flatMap((m) => ('wants' in m ? [] : m)),
    missing: made.flatMap((m) => ('wants' in m ? [m] : [])),
  };
}

const place = 'cho-engine-place';
const part = (book: FactBook, factId: string, key: string): number | undefined => {
  const value = book.get(factId)?.parts[key];
  return typeof value === 'number' ? value : undefined;
};

/** Where the facts say that the unit sits; nothing where along or height is not known. */
export function chosenPose(book: FactBook): Pose | undefined {
  const x = part(book, place, 'bell-face-ahead-of-firewall-x');
  const z = part(book, place, 'crank-axis-above-body-datum-z');
  if (x === undefined || z === undefined) return undefined;
  return {
    x,
    y: part(book, place, 'sideways-from-centre-line-y') ?? 0,
    z,
    slopeDeg: part(book, place, 'slope-tail-down') ?? part(book, 'eng-slope-design', 'value') ?? 0,
    yawDeg: 0,
  };
}

/** Sideways a unit is moved by so much at the most, mm; and its slope off what it was made for, degrees (common practice). */
const mostSideways = 25;
const mostSlope = 5;
const offSlope = 2;

/** Slopes that the engine itself stands, degrees: round what it was made for, or those that engines have at all. */
export function standsSlope(book: FactBook): readonly [number, number] {
  const made = part(book, 'eng-slope-design', 'value');
  return made === undefined
    ? [0, mostSlope]
    : [Math.max(-1, made - offSlope), Math.min(mostSlope + 1, made + offSlope)];
}

/**
 * Slopes that leave the ends of a shaft in one piece alike, degrees, of those that the engine stands; nothing where no pinion holds
 * them: none in this layout, not read, or in two pieces, whose three joints are judged together.
 */
export function slopesForShaft(
  book: FactBook,
): { slopes: readonly [number, number] | undefined; pinionDeg: number } | undefined {
  const layout = book.get('rec-drive-layout')?.parts['value'];
  const read = part(book, 'rec-pinion-angle', 'value');
  const pinionDeg = read === undefined ? undefined : read + (part(book, 'cho-wedge', 'value') ?? 0);
  const inOne = book.get('cho-carrier')?.parts['value'] !== 'one';
  if (typeof layout !== 'string' || !layout.startsWith('front-longitudinal') || pinionDeg === undefined || !inOne)
    return undefined;
  const [low, high] = standsSlope(book);
  const slopes = [Math.max(low, pinionDeg - jointLimits.apart), Math.min(high, pinionDeg + jointLimits.apart)] as const;
  return { slopes: slopes[0] <= slopes[1] ? slopes : undefined, pinionDeg };
}

/** What the driveline does to the slope, in a sentence; nothing where it does nothing. */
export function slopeHeld(book: FactBook): string | undefined {
  const held = slopesForShaft(book);
  if (!held) return undefined;
  const degrees = (n: number): string => `${Number(n.toFixed(1))}°`;
  const { slopes, pinionDeg } = held;
  return slopes
    ? `The slope is held to ${degrees(slopes[0])} to ${degrees(slopes[1])} by the pinion, which stands at ${degrees(pinionDeg)}; a wedge under the axle moves that.`
    : `No slope that this engine stands leaves the ends of the shaft alike: the pinion stands at ${degrees(pinionDeg)}. The driveline has what cures it.`;
}

/**
 * Where the mounts let the unit be along each axis, mm, the slope left out; nothing where pads are to be made anyhow or a place is
 * not known. Both sides together: an empty stretch says that no place suits both.
 */
export function mountsHold(book: FactBook): Readonly<Record<'x' | 'y' | 'z', readonly [number, number]>> | undefined {
  const kind = book.get('rec-mount-pads')?.parts['kind'];
  const school = book.get('cho-mount-school')?.parts['value'];
  if (kind === undefined || kind === 'none' || school === 'fabricated' || lieOf(book) !== 'along') return undefined;
  const stretch = (axis: 'x' | 'y' | 'z'): [number, number] | undefined => {
    const sides = (['left', 'right'] as const).map((side) => {
      const pad = part(book, 'rec-mount-pads', `${side}-${axis}`);
      const boss = part(book, 'eng-mount-bosses', `${side}-${axis}`);
      return pad === undefined || boss === undefined ? undefined : pad - boss;
    });
    const [left, right] = sides;
    return left === undefined || right === undefined
      ? undefined
      : [Math.max(left, right) - mountReachMm, Math.min(left, right) + mountReachMm];
  };
  const [x, y, z] = [stretch('x'), stretch('y'), stretch('z')];
  return x && y && z ? { x, y, z } : undefined;
}

/** The part of a range that mounts reach; the range itself where they reach none of it. */
function reached(range: readonly [number, number], mounts: readonly [number, number] | undefined): [number, number] {
  const [low, high] = [Math.max(range[0], mounts?.[0] ?? -Infinity), Math.min(range[1], mounts?.[1] ?? Infinity)];
  return low <= high ? [low, high] : [...range];
}

/** What the mounts do to where it is sought, in a sentence; nothing where they do nothing. */
export function mountsHeld(book: FactBook): string | undefined {
  const mounts = mountsHold(book);
  if (!mounts) return undefined;
  const free = freeRange(book);
  const axes = (['x', 'y', 'z'] as const).filter((axis) => {
    const [low, high] = [Math.max(free[axis][0], mounts[axis][0]), Math.min(free[axis][1], mounts[axis][1])];
    return low > high;
  });
  const words = { x: 'along the car', y: 'across it', z: 'in height' } as const;
  return axes.length > 0
    ? `No mount of ${mountReachMm} mm reaches from these pads to these bosses ${axes.map((a) => words[a]).join(' and ')}: brackets are to be made.`
    : `It is sought where mounts of up to ${mountReachMm} mm reach from pad to boss: ${mounts.x[0].toFixed(0)} to ${mounts.x[1].toFixed(0)} mm along, ${mounts.z[0].toFixed(0)} to ${mounts.z[1].toFixed(0)} mm in height.`;
}

/** An engine that lies across leans by so much off upright, degrees, forward or back (common practice, no source). */
const mostLean = 5;

/** Where an engine that lies across may go: between firewall and radiator, between the rails, leaning a little. */
function acrossRange(book: FactBook, at: Pose | undefined): PoseRange {
  const deep = part(book, 'rec-bay-length', 'to-core-rear-face') ?? 800;
  const wide = part(book, 'rec-bay-width', 'between-rails-at-mounts') ?? 1000;
  return {
    x: at ? [at.x - 60, at.x + 60] : [0, deep],
    y: at ? [at.y - 60, at.y + 60] : [-wide / 2, wide / 2],
    z: at ? [at.z - 60, at.z + 60] : [-150, 250],
    slopeDeg: at ? [Math.min(-mostLean, at.slopeDeg), Math.max(mostLean, at.slopeDeg)] : [-mostLean, mostLean],
    yawDeg: [0, 0],
  };
}

/** Where the unit may go as engine, driveline and mounts stand it and as somebody holds it; what was chosen is within unless they say otherwise. */
export const rangeOf = (book: FactBook): PoseRange => typedRange(book, standRange(book));

function standRange(book: FactBook): PoseRange {
  const free = freeRange(book);
  const mounts = mountsHold(book);
  const at = chosenPose(book);
  const axis = (key: 'x' | 'y' | 'z'): [number, number] => {
    const [low, high] = reached(free[key], mounts?.[key]);
    return at ? [Math.min(low, at[key]), Math.max(high, at[key])] : [low, high];
  };
  return { ...free, x: axis('x'), y: axis('y'), z: axis('z') };
}

/** Round what was chosen, or where engines sit at all; the slope as engine and driveline stand it. */
function freeRange(book: FactBook): PoseRange {
  const at = chosenPose(book);
  const recess = part(book, 'rec-bay-length', 'firewall-recess-depth') ?? 0;
  const lies = lieOf(book) ?? 'along';
  if (lies !== 'along') return acrossRange(book, at);
  const [low, high] = slopesForShaft(book)?.slopes ?? standsSlope(book);
  return {
    x: at ? [at.x - 60, at.x + 60] : [0 - recess, 160 - recess],
    y: [-mostSideways, mostSideways],
    z: at ? [at.z - 60, at.z + 60] : [-100, 200],
    // Where somebody chose another slope it is drawn as it was chosen.
    slopeDeg: at ? [Math.min(low, at.slopeDeg), Math.max(high, at.slopeDeg)] : [low, high],
    yawDeg: [0, 0],
  };
}

/** A shape of the unit, turned as the engine lies in the car. */
export const asItLies = (lie: Lie, shape: FitShape): FitShape =>
  lie === 'along' || shape.side === 'bay'
    ? shape
    : {
        ...shape,
        points: shape.points.map((p) => turnedTo(lie, p)),
        ...(shape.drawn ? { drawn: shape.drawn.map((p) => turnedTo(lie, p)) } : {}),
      };

/** The geometry of a job from its facts; nothing is drawn while nobody can tell how the engine lies. */
export function sceneOfJob(books: Books, own: OwnShapes = {}): JobScene {
  const book = books.job ?? new Map();
  const lie = lieOf(book);
  const fromFacts = lie ? shapesOf(book) : { shapes: [], missing: [] };
  const { missing } = fromFacts;
  const added = lie ? ownShapes(own, book) : [];
  const shapes = [...fromFacts.shapes, ...added.map((a) => a.shape)].map((s) => asItLies(lie ?? 'along', s));
  const there = new Set(shapes.map((s) => s.id));
  const waits = (ids: readonly string[]): Need[] => missing.filter((m) => ids.includes(m.id)).flatMap((m) => m.wants);
  const all = !lie ? [] : [...pairRulesOf(books, lie), ...added.map(({ pair }) => pair)];
  const ready = all
    .filter((p) => p.unit.some((id) => there.has(id)) && p.bay.some((id) => there.has(id)))
    .map((pair) => {
      const unit = [...fromFacts.shapes, ...added.map((a) => a.shape)].filter((s) => pair.unit.includes(s.id));
      return { ...pair, need: needWithSpare(new FitEvidence(books), pair, unit) };
    });
  const open = all.flatMap((pair) => {
    // Where the car has no such thing on one side there is no gap, whatever is missing on the other.
    if (![pair.unit, pair.bay].every((ids) => ids.some((id) => there.has(id) || missing.some((m) => m.id === id))))
      return [];
    const wants = [...waits(pair.unit), ...waits(pair.bay)];
    // A pair whose own shape is missing says less than it should, even where another of its shapes is there.
    return wants.length > 0 ? [{ pair, wants }] : [];
  });
  const keeps = (ids: readonly string[]): string[] => ids.filter((id) => there.has(id));
  return {
    shapes,
    missing,
    pairs: ready,
    openPairs: open,
    chosen: chosenPose(book),
    problem: {
      bay: shapes.filter((s) => s.side === 'bay'),
      unit: shapes.filter((s) => s.side === 'unit'),
      pairs: ready.map((p) => ({ id: p.id, unit: keeps(p.unit), bay: keeps(p.bay), needMm: p.need.value })),
      range: rangeOf(book),
    },
    toRear: pointsToRear(book),
    held: [...[slopeHeld(book), mountsHeld(book)].filter((said) => said !== undefined), ...rangeSaid(book)],
    notDrawn: lie ? undefined : 'Say which way the pulley end of the engine points, and it is drawn.',
  };
}
