import { factDef } from '../../facts/index.ts';
import type { FactId } from '../../facts/index.ts';
import type { FactBook } from '../../rules/book.ts';
import type { Need } from '../../rules/verdict.ts';
import { normalBelow } from '../position/chance.ts';
import type { Margin } from '../position/scene.ts';
import { sureOf } from './sureness.ts';
import type { JobScene } from './scene-of-job.ts';
import type { FitShape } from './types.ts';

/**
 * What to measure next: the readings that most decide whether it fits, in one walk round the car.
 *
 * Whether it fits is a yes or a no that nobody knows; its doubt is the entropy of that, in bits (Shannon). A reading takes from it
 * what is learnt by knowing whether its gaps are kept, shared out by how much of their doubt it carries.
 */

export const roundPlaces = ['front', 'left', 'rear', 'right', 'below', 'engine', 'gearbox'] as const;
export type RoundPlace = (typeof roundPlaces)[number];

/** Where one stands to read a fact; what is not here hangs on the unit itself. */
const standsAt: Readonly<Partial<Record<FactId, RoundPlace>>> = {
  'rec-hood-profile': 'front',
  'rec-radiator-core': 'front',
  'rec-bay-width': 'front',
  'rec-bay-length': 'left',
  'rec-steering-shaft-path': 'left',
  'rec-steering-envelope': 'below',
  'rec-crossmember-place': 'below',
  'rec-ground-at-crossmember': 'below',
  'rec-sway-bar-place': 'below',
  'rec-tunnel-envelope': 'below',
};

/** Where one stands to read a fact; nothing for a choice, which nobody reads off a car. */
export function placeOfReading(factId: string): RoundPlace | undefined {
  const { subject } = factDef(factId);
  if (subject === 'engine' || subject === 'gearbox') return subject;
  return subject === 'recipient' ? (standsAt[factId as FactId] ?? 'front') : undefined;
}

export interface RoundReading extends Need {
  place: RoundPlace;
  /** By how much it lessens the doubt about "does it fit", bits. */
  bits: number;
  /** The gaps it speaks of, by name. */
  pairs: readonly string[];
  /** Nobody knows it, it was taken for want of a reading, or it is less sure than a tape. */
  why: 'not-known' | 'taken' | 'unsure';
}

export interface RoundStop {
  place: RoundPlace;
  readings: readonly RoundReading[];
}

/** Nobody is surer than this of a gap that was only reckoned, nor less. */
const surest = 0.98;
const unknown = 0.5;

const entropy = (p: number): number => (p <= 0 || p >= 1 ? 0 : -p * Math.log2(p) - (1 - p) * Math.log2(1 - p));

/** What is learnt of the whole by knowing whether one of its gaps is kept, bits. */
export const learnt = (whole: number, one: number): number => Math.max(0, entropy(whole) - one * entropy(whole / one));

interface Carrier extends Need {
  variance: number;
  why: RoundReading['why'];
}

/** What the place of a shape stands on that could be read better, with how much doubt each brings, mm². */
function carriersOf(shape: FitShape, book: FactBook): Carrier[] {
  const weak = shape.parts.flatMap(({ factId, partKey }): Carrier[] => {
    const source = book.get(factId)?.source ?? 'measured';
    return source === 'measured' ? [] : [{ factId, partKey, variance: sureOf(book, source) ** 2, why: 'unsure' }];
  });
  return [
    ...weak,
    ...shape.takes.map((t): Carrier => ({ ...t, variance: sureOf(book, 'assumed') ** 2, why: 'taken' })),
  ];
}

/** The readings that lessen the doubt at a place of the unit, by their gain; `margins` are those at that place. */
export function readingsByGain(scene: JobScene, book: FactBook, margins: readonly Margin[]): RoundReading[] {
  const { unit, bay } = scene.problem;
  const chances = new Map<string, number>();
  const carriers = new Map<string, Carrier[]>();
  const tightest = new Map<string, Margin>();
  for (const m of margins) {
    const { id } = scene.pairs[m.meeting.pair]!;
    if (m.margin < (tightest.get(id)?.margin ?? Infinity)) tightest.set(id, m);
  }
  for (const [id, { margin, meeting }] of tightest) {
    const [u, b] = [unit[meeting.unit]!, bay[meeting.bay]!] as [FitShape, FitShape];
    const sigma = Math.hypot(u.sigma, b.sigma);
    const kept = sigma > 0 ? normalBelow(margin / sigma) : margin >= 0 ? 1 : 0;
    chances.set(id, Math.min(surest, Math.max(1 - surest, kept)));
    carriers.set(id, [...carriersOf(u, book), ...carriersOf(b, book)]);
  }
  const names = new Map([...scene.pairs, ...scene.openPairs.map((o) => o.pair)].map((p) => [p.id, p.name]));
  for (const { pair, wants } of scene.openPairs) {
    chances.set(pair.id, (chances.get(pair.id) ?? 1) * unknown);
    carriers.set(pair.id, [
      ...(carriers.get(pair.id) ?? []),
      ...wants.map((w): Carrier => ({ ...w, variance: sureOf(book, 'assumed') ** 2, why: 'not-known' })),
    ]);
  }
  const whole = [...chances.values()].reduce((all, p) => all * p, 1);
  const found = new Map<string, RoundReading>();
  for (const [id, own] of carriers) {
    const gain = learnt(whole, chances.get(id)!);
    const all = own.reduce((sum, c) => sum + c.variance, 0);
    for (const { variance, why, factId, partKey } of own) {
      const place = placeOfReading(factId);
      if (!place) continue;
      const key = `${factId}:${partKey}`;
      const before = found.get(key);
      found.set(key, {
        factId,
        partKey,
        place,
        bits: (before?.bits ?? 0) + (gain * variance) / all,
        pairs: [...new Set([...(before?.pairs ?? []), names.get(id)!])],
        why: before?.why === 'not-known' ? 'not-known' : why,
      });
    }
  }
  return [...found.values()].sort((a, b) => b.bits - a.bits);
}

/** One walk: it begins where the most decisive reading is and goes on round the car, each place visited once, there the most decisive first. `isThere` tells whether the job has what a fact hangs on. */
export function measuringRound(
  scene: JobScene,
  book: FactBook,
  margins: readonly Margin[],
  isThere: (factId: string) => boolean = () => true,
): RoundStop[] {
  const readings = readingsByGain(scene, book, margins).filter((r) => isThere(r.factId));
  const from = readings.length > 0 ? roundPlaces.indexOf(readings[0]!.place) : 0;
  const walk = [...roundPlaces.slice(from), ...roundPlaces.slice(0, from)];
  return walk.flatMap((place) => {
    const own = readings.filter((r) => r.place === place);
    return own.length > 0 ? [{ place, readings: own }] : [];
  });
}
