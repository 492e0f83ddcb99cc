import type { FactSource } from '../rules/book.ts';
import { Sum } from '../rules/sum.ts';
import { carOnStands, craneCarries, gearWords, ratingLeft } from '../sums/index.ts';
import { capital, formatMeasure } from '../units/index.ts';
import type { LiftItem, LiftItemRecord, MassKnown } from './records.ts';

/** What hangs with a unit, what carries it, what it must clear, and what the car stands on: things of a lift that people write one by one. */

export const massKnownWords: Readonly<Record<MassKnown, string>> = {
  weighed: 'weighed',
  'looked-up': 'looked up',
  estimated: 'by hand, an estimate',
};

const sources: Readonly<Record<MassKnown, FactSource>> = {
  weighed: 'measured',
  'looked-up': 'looked-up',
  estimated: 'assumed',
};

export type ItemOf<S extends LiftItem['sort']> = Extract<LiftItem, { sort: S }>;

export interface LiftItems {
  hangs: readonly ItemOf<'hangs'>[];
  carries: readonly ItemOf<'carries'>[];
  crane: readonly ItemOf<'crane'>[];
  clears: readonly ItemOf<'clears'>[];
  /** What was written last. */
  stands: ItemOf<'stands'> | undefined;
  /** Written for another engine: not counted. */
  ofAnother: number;
}

export const noItems: LiftItems = { hangs: [], carries: [], crane: [], clears: [], stands: undefined, ofAnother: 0 };

/** The things of one lift of one engine; what was taken back does not count. */
export function itemsOf(
  records: Readonly<Record<string, LiftItemRecord>>,
  lift: 'out' | 'in',
  unitId: string | undefined,
): LiftItems {
  const all = Object.values(records).filter((r) => r.lift === lift && !r.removed);
  const own = all.filter((r) => r.unitId === undefined || r.unitId === unitId);
  const of = <S extends LiftItem['sort']>(sort: S) =>
    own.map((r) => r.item).filter((i): i is ItemOf<S> => i.sort === sort);
  const stands = own
    .filter((r) => r.item.sort === 'stands')
    .sort((a, b) => ((a.at ?? '') < (b.at ?? '') ? -1 : 1))
    .at(-1)?.item;
  return {
    hangs: of('hangs'),
    carries: of('carries'),
    crane: of('crane'),
    clears: of('clears'),
    stands: stands?.sort === 'stands' ? stands : undefined,
    ofAnother: all.length - own.length,
  };
}

const mm = (n: number): string => formatMeasure(n, 'mm', 0);

/** What a thing of a lift is, in a line of the book. */
export function itemWords(item: LiftItem): string {
  switch (item.sort) {
    case 'hangs':
      return `hangs with it: ${item.what}, ${formatMeasure(item.massKg, 'kg')} ${massKnownWords[item.known]}, ${mm(item.x)} ahead and ${mm(item.z)} up`;
    case 'carries':
      return `carries: ${item.what}, ${gearWords[item.gear]} at ${item.on === 'hook' ? 'the hook' : `the ${item.on} leg`}, plate ${formatMeasure(item.ratingKg, 'kg')}`;
    case 'crane':
      return `${item.what}, used at ${mm(item.reachMm)}; plate ${item.plate.map((r) => `${mm(r.reachMm)} ${formatMeasure(r.kg, 'kg', 0)}`).join(', ')}`;
    case 'clears':
      return `to clear: ${item.what}, ${mm(item.needMm)} wanted, ${mm(item.hasMm)} there`;
    case 'stands':
      return `car stands ${mm(item.frontMm)} and ${mm(item.rearMm)} behind the front axle; what leaves balances at ${mm(item.leavesMm)}`;
  }
}

export const hungMass = ({ what, massKg, known }: ItemOf<'hangs'>): Sum =>
  Sum.of({ label: capital(what), value: massKg, unit: 'kg', basis: massKnownWords[known] }, sources[known]);

export const hungAt = ({ what, x, z, known }: ItemOf<'hangs'>, axis: 'x' | 'z'): Sum =>
  Sum.of(
    {
      label: `${capital(what)}, ${axis === 'x' ? 'ahead of the bell face' : 'above the crank'}`,
      value: axis === 'x' ? x : z,
      unit: 'mm',
      basis: 'as written',
    },
    sources[known] === 'assumed' ? 'assumed' : 'measured',
  );

/** What a crane carries at the reach it is used at, by its plate; nothing beyond its longest reach. */
export function craneRating({ what, plate, reachMm }: ItemOf<'crane'>): Sum | undefined {
  const kg = craneCarries(plate, reachMm);
  return kg === undefined
    ? undefined
    : Sum.of({
        label: `${capital(what)} at ${mm(reachMm)}`,
        value: kg,
        unit: 'kg',
        basis: 'its plate, next longer reach',
      });
}

/** What is left of the plate of an element as it is used here, less what it carries. */
export function ratingOver(item: ItemOf<'carries'>, pull: Sum, offUprightDeg: number): { left: Sum; kept: number } {
  const kept = ratingLeft(item.gear, offUprightDeg);
  const plate = Sum.of({
    label: `${capital(item.what)}, its plate`,
    value: item.ratingKg,
    unit: 'kg',
    basis: 'its plate',
  });
  const used =
    kept === 1
      ? plate
      : plate.times(
          Sum.of({ label: 'Kept as it is used', value: kept, unit: '', basis: 'ASME B30.9 and B30.26, from memory' }),
          `${capital(item.what)} as it is used`,
        );
  return { left: used.minus(pull), kept };
}

/** How the car stands once the load is out, or why that cannot be said. */
export function onStands(
  stands: ItemOf<'stands'>,
  car: { front: Sum | undefined; rear: Sum | undefined; wheelbase: Sum | undefined; leaves: Sum | undefined },
):
  | { missing: string[] }
  | { tips: 'front' | 'rear' | undefined; light: boolean; balance: Sum; shareFront: number; before: boolean } {
  const named = {
    'both axle masses': car.front && car.rear,
    'the wheelbase': car.wheelbase,
    'what leaves': car.leaves,
  };
  const missing = Object.entries(named).flatMap(([name, sum]) => (sum ? [] : [name]));
  if (missing.length > 0) return { missing };
  const sums = [car.rear!, car.wheelbase!, car.leaves!] as const;
  const reckon = (frontKg: number, rearKg: number, wheelbaseMm: number, leavesKg: number) =>
    carOnStands({
      frontKg,
      rearKg,
      wheelbaseMm,
      leavesKg,
      leavesMm: stands.leavesMm,
      standsFrontMm: stands.frontMm,
      standsRearMm: stands.rearMm,
    });
  const { before, after } = reckon(car.front!.value, ...(sums.map((s) => s.value) as [number, number, number]));
  const balance = car.front!.through(
    'Balance of the car once it is out, behind the front axle',
    'mm',
    (f, r, w, l) => reckon(f, r, w, l).after.balanceMm,
    'levers',
    ...sums,
  );
  const total = after.frontKg + after.rearKg;
  const tipping = (b: typeof before): 'front' | 'rear' | undefined =>
    b.frontKg < 0 ? 'rear' : b.rearKg < 0 ? 'front' : undefined;
  return {
    tips: tipping(after) ?? tipping(before),
    before: tipping(after) === undefined && tipping(before) !== undefined,
    light: Math.min(after.frontKg, after.rearKg) < lightShare * total,
    balance,
    shareFront: after.frontKg / total,
  };
}

/** A pair of stands that carries less than this of the car is easily pushed off it. Common practice, no source. */
const lightShare = 0.15;
