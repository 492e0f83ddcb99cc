import { partName } from '../../facts/index.ts';
import type { FactBook, FactValue } from '../../rules/book.ts';
import type { FactRead, Sum } from '../../rules/sum.ts';
import type { Need } from '../../rules/verdict.ts';
import { crankSlope } from '../mounts/judged.ts';
import type { Pose } from '../position/pose.ts';
import { Scene } from '../position/scene.ts';
import type { FitEvidence } from '../evidence.ts';
import { lieOf } from './lie.ts';
import type { Lie } from './lie.ts';
import { needOf } from './need.ts';
import { pairRulesOf } from './pairs.ts';
import type { PairRule } from './pairs.ts';
import { asItLies, chosenPose, shapeOf, shapeRules } from './scene-of-job.ts';
import type { FitShape, MissingShape } from './types.ts';

/** A gap as it is between the solids, the unit where somebody chose that it sits. */
export interface DrawnGap {
  pair: PairRule;
  gap: Sum;
  /** The least gap of its row. */
  need: Sum;
}

type Made = readonly FitShape[] | MissingShape;
const waits = (made: Made): made is MissingShape => 'wants' in made;

/** Facts as they were when something was made of them: it stands while each of them is the same. */
type From = readonly (readonly [factId: string, value: FactValue | undefined])[];
const stillSo = (from: From, book: FactBook): boolean => from.every(([id, value]) => book.get(id) === value);
const asIn = (book: FactBook, reads: readonly FactRead[]): From =>
  reads.map(({ factId }) => [factId, book.get(factId)] as const);

/**
 * The last that was made of each shape, with the facts it was made from: several places speak of one shape, and of a job of which one
 * fact changed most shapes are what they were.
 */
const lastShapes = new Map<string, { made: Made; reads: readonly FactRead[]; from: From }>();
const ruleById = new Map(shapeRules.map((r) => [r.id, r]));

function shapeIn(book: FactBook, id: string): { made: Made; reads: readonly FactRead[] } {
  const last = lastShapes.get(id);
  if (last && stillSo(last.from, book)) return last;
  const now = shapeOf(ruleById.get(id)!, book);
  lastShapes.set(id, { ...now, from: asIn(book, now.reads) });
  return now;
}

/** What the solids of a pair come to; not known where a size is missing or was taken, nothing where the car has no such thing. */
interface Between {
  /** The gap; its sum is made with the first who asks and stands as long as this does. */
  mm: number | 'not-known' | 'nothing';
  gap?: Sum;
  /** What says where the unit sits, and the sizes of both solids. */
  parts: readonly Need[];
  /** Sizes that were taken and count because the unit slopes. */
  usual: readonly string[];
  unit: readonly FitShape[];
  reads: readonly FactRead[];
}
const lastPairs = new Map<PairRule, { between: Between; from: From }>();

/** The pairs of a place in a list of them. */
const byPlace = new WeakMap<readonly PairRule[], Map<string, readonly PairRule[]>>();
function pairsAt(interfaceId: string, all: readonly PairRule[]): readonly PairRule[] {
  const places = byPlace.get(all) ?? new Map<string, readonly PairRule[]>();
  byPlace.set(all, places);
  const known = places.get(interfaceId) ?? all.filter((pair) => pair.interfaceId === interfaceId);
  places.set(interfaceId, known);
  return known;
}

/** Places whose gaps are another once the unit stands off the centre line. */
const sideways = new Set(['fit-bay-width', 'fit-tunnel']);

/** Facts that say where the unit sits and how it lies. */
const posed: readonly FactRead[] = ['cho-engine-place', 'eng-slope-design', 'cho-pulley-side', 'rec-drive-layout'].map(
  (factId) => ({ factId, book: 'job' }),
);

function between(book: FactBook, pair: PairRule, lie: Lie, pose: Pose): Between {
  const last = lastPairs.get(pair);
  if (last && stillSo(last.from, book)) return last.between;
  const shapes = [...pair.unit, ...pair.bay].map((id) => shapeIn(book, id));
  const reads = [...new Map(shapes.flatMap((s) => s.reads).map((r) => [r.factId, r])).values()];
  const found = solids(pair, lie, pose, (id) => shapeIn(book, id).made);
  const now: Between = { ...found, parts: [...placedBy(book), ...found.parts], reads };
  lastPairs.set(pair, { between: now, from: asIn(book, [...posed, ...reads]) });
  return now;
}

function solids(pair: PairRule, lie: Lie, pose: Pose, madeOf: (id: string) => Made): Omit<Between, 'reads'> {
  const none = { parts: [], usual: [], unit: [] };
  const [unit, bay] = [pair.unit.map(madeOf), pair.bay.map(madeOf)];
  if ([...unit, ...bay].some((made) => waits(made) || made.some((s) => s.takes.length > 0)))
    return { mm: 'not-known', ...none };
  const [ofUnit, ofBay] = [unit, bay].map((side) => side.flatMap((m) => (waits(m) ? [] : m))) as [
    FitShape[],
    FitShape[],
  ];
  if (ofUnit.length === 0 || ofBay.length === 0) return { mm: 'nothing', ...none };
  const scene = new Scene({
    unit: ofUnit.map((s) => asItLies(lie, s)),
    bay: ofBay,
    pairs: [{ id: pair.id, unit: pair.unit, bay: pair.bay, needMm: 0 }],
    range: fixedAt,
  });
  const all = [...ofUnit, ...ofBay];
  const tilted = pose.slopeDeg === 0 ? [] : all.flatMap((s) => s.tilted);
  return {
    mm: scene.at(pose).reduce((least, m) => Math.min(least, m.gap), Infinity),
    parts: [...new Map(all.flatMap((s) => s.parts).map((p) => [`${p.factId} ${p.partKey}`, p])).values()],
    usual: [...new Set(tilted.map((t) => partName(t.factId, t.partKey)))],
    unit: ofUnit,
  };
}

/** What says where the unit sits, as far as it was said. */
const placedBy = (book: FactBook): Need[] => {
  const place = ['bell-face-ahead-of-firewall-x', 'sideways-from-centre-line-y', 'crank-axis-above-body-datum-z'].map(
    (partKey) => ({ factId: 'cho-engine-place', partKey }),
  );
  const chosen = { factId: 'cho-engine-place', partKey: 'slope-tail-down' };
  const known = ({ factId, partKey }: Need): boolean => book.get(factId)?.parts[partKey] !== undefined;
  return [...place, known(chosen) ? chosen : { factId: 'eng-slope-design', partKey: 'value' }].filter(known);
};

/**
 * The gaps of a place where everything that they lie between is known: the distance between the solids at the chosen place, slope
 * and sideways counted in. Nothing where the unit's place, its slope or a size is not known, or a size was taken for want of a reading:
 * then the simpler sums of the place say what they can. All that was looked at is named, so that a verdict follows.
 */
export function drawnGaps(e: FitEvidence, interfaceId: string): readonly DrawnGap[] | undefined {
  e.lookedAt(posed);
  const slope = crankSlope(e);
  const book = e.books.job;
  const [pose, lie] = [chosenPose(book), lieOf(book)];
  if (!pose || !lie || !slope) return undefined;
  const found = pairsAt(interfaceId, pairRulesOf(e.books, lie)).map((pair) => ({
    pair,
    at: between(book, pair, lie, pose),
  }));
  for (const { at } of found) e.lookedAt(at.reads);
  if (found.some(({ at }) => at.mm === 'not-known')) return undefined;
  const gaps = found.flatMap(({ pair, at }): DrawnGap[] => {
    if (typeof at.mm !== 'number') return [];
    if (at.gap) e.readAgain(at.parts);
    else at.gap = e.reckoned(`Gap, ${pair.name}`, at.mm, 'mm', 'distance between the solids, slope counted', at.parts);
    // Where somebody chose a place and did not say how far off the middle, it is taken to stand there.
    const middle =
      sideways.has(interfaceId) && e.maybe('cho-engine-place', 'sideways-from-centre-line-y') === undefined;
    const taken = middle ? [...at.usual, 'Place on the centre line'] : at.usual;
    const gap = taken.reduce(
      (sum, name) => sum.minus(e.assume(`${name}, as it usually is`, 0, 'mm', 'nobody measured or said it')),
      at.gap,
    );
    return [{ pair, need: needOf(e, pair, at.unit), gap }];
  });
  return gaps.length > 0 ? gaps : undefined;
}

/**
 * The least gap of a place by one of its rows, mm, with the rock that its cushions give where that is known: the largest of its pairs.
 * Nothing where no shape of the unit is known there.
 */
export function leastDrawn(e: FitEvidence, interfaceId: string, clearance: string): number | undefined {
  const book = e.books.job;
  const lie = lieOf(book);
  if (!lie) return undefined;
  const needs = pairsAt(interfaceId, pairRulesOf(e.books, lie))
    .filter((pair) => pair.clearance === clearance)
    .flatMap((pair) => {
      const unit = pair.unit.flatMap((id) => {
        const { made } = shapeIn(book, id);
        return waits(made) ? [] : made;
      });
      return unit.length > 0 ? [needOf(e, pair, unit).value] : [];
    });
  return needs.length > 0 ? Math.max(...needs) : undefined;
}

/** Nothing is searched here. */
const fixedAt = {
  x: [0, 0],
  y: [0, 0],
  z: [0, 0],
  slopeDeg: [0, 0],
  yawDeg: [0, 0],
} as const;
