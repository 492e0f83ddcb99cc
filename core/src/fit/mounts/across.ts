import { restingLoads } from '../../sums/index.ts';
import type { Sum } from '../../rules/sum.ts';
import type { Need, Verdict } from '../../rules/verdict.ts';
import type { Vec } from '../../solid/index.ts';
import type { FitEvidence } from '../evidence.ts';
import { placed } from '../position/pose.ts';
import { lieOf, turnedTo } from '../shapes/lie.ts';
import { chosenPose } from '../shapes/scene-of-job.ts';
import { balanceOf, crankSlope, mountAxes, mountMeetsMm, mountReachMm } from './judged.ts';
import type { MountAxis } from './judged.ts';

/** Mounts of a unit that lies across: one at the end of the engine, one at that of the gearbox, a rod that holds it against its torque. */

/** What every such unit hangs on; some have a second rod besides. */
export const crossPoints = ['engine-end', 'gearbox-end', 'rod'] as const;
export const allCrossPoints = [...crossPoints, 'second-rod'] as const;
export type CrossPoint = (typeof allCrossPoints)[number];
export const crossWords: Readonly<Record<CrossPoint, string>> = {
  'engine-end': 'mount at the engine end',
  'gearbox-end': 'mount at the gearbox end',
  rod: 'torque rod',
  'second-rod': 'second torque rod',
};

/** Nearer to the line through the ends a rod holds no torque that is worth reckoning, mm. */
const leastLeverMm = 20;

/** Newtons on a kilogram. */
const gravity = 9.80665;

const factsOf = { boss: 'eng-cross-bosses', pad: 'rec-cross-pads' } as const;

const read = (e: FitEvidence, of: 'boss' | 'pad', point: CrossPoint, axis: MountAxis): Sum | undefined =>
  of === 'boss' ? e.maybe(factsOf.boss, `${point}-${axis}`) : e.maybe(factsOf.pad, `${point}-${axis}`);

export interface CrossPlace {
  /** In body datum, mm. */
  pad: Vec;
  boss: Vec;
}

/** Pad and boss of a point in the car; nothing where one of them, the unit's place or how it lies is not known. */
export function crossPlace(e: FitEvidence, point: CrossPoint): CrossPlace | undefined {
  e.maybeWord('cho-pulley-side');
  e.maybe('cho-engine-place', 'bell-face-ahead-of-firewall-x');
  e.maybe('cho-engine-place', 'sideways-from-centre-line-y');
  e.maybe('cho-engine-place', 'crank-axis-above-body-datum-z');
  crankSlope(e);
  const of = (what: 'boss' | 'pad'): Vec | undefined => {
    const [x, y, z] = mountAxes.map((axis) => read(e, what, point, axis)?.value);
    return x === undefined || y === undefined || z === undefined ? undefined : [x, y, z];
  };
  const [boss, pad] = [of('boss'), of('pad')];
  const [pose, lie] = [chosenPose(e.books.job), lieOf(e.books.job)];
  if (!boss || !pad || !pose || !lie || lie === 'along') return undefined;
  return { pad, boss: placed(turnedTo(lie, boss), pose) };
}

const needsOf = (point: CrossPoint): Need[] =>
  mountAxes.flatMap((axis) => [factsOf.boss, factsOf.pad].map((factId) => ({ factId, partKey: `${point}-${axis}` })));

/** From the pad to its boss along an axis, mm: forward, to the left, up are positive. */
export function crossOffset(e: FitEvidence, point: CrossPoint, axis: MountAxis): Sum | undefined {
  const at = crossPlace(e, point);
  const i = mountAxes.indexOf(axis);
  return (
    at &&
    e.reckoned(
      `Boss from pad, ${crossWords[point]}, along ${axis}`,
      at.boss[i]! - at.pad[i]!,
      'mm',
      'geometry, as the unit lies',
      needsOf(point),
    )
  );
}

export interface CrossCarries {
  /** kg. */
  engineEnd: Sum;
  gearboxEnd: Sum;
  /** Pull or push on the rod at full torque in first; nothing where torque, ratios or its place are not known. */
  rod?: Sum;
}

/**
 * What each carries: the ends at rest by levers along the crank; the rod the torque of the wheels over its height from the line
 * through both ends, or over the height between two rods. Statics; nothing while a mass or a place is not known.
 */
export function crossLoads(e: FitEvidence): CrossCarries | undefined {
  const balance = balanceOf(e);
  const [engine, gearbox] = [read(e, 'boss', 'engine-end', 'x'), read(e, 'boss', 'gearbox-end', 'x')];
  if (!balance || !engine || !gearbox || engine.value <= gearbox.value) return undefined;
  const load = (name: 'left' | 'gearbox', label: string): Sum =>
    balance.mass.through(
      label,
      'kg',
      (mass, centre, at, other) => {
        // One mount at each end: its halves stand in one place.
        const {
          left,
          right,
          gearbox: rear,
        } = restingLoads(mass, centre, { engineX: at, gearboxX: other, leftY: 1, rightY: 1 });
        return name === 'gearbox' ? rear : left + right;
      },
      'statics',
      balance.x,
      engine,
      gearbox,
    );
  const ends = {
    engineEnd: load('left', 'Engine end at rest'),
    gearboxEnd: load('gearbox', 'Gearbox end at rest'),
  };
  const rod = rodPull(e);
  return rod ? { ...ends, rod } : ends;
}

function rodPull(e: FitEvidence): Sum | undefined {
  const torque = e.maybe('cho-power-target', 'torque') ?? e.maybe('eng-torque');
  const first = e.maybe('gbx-ratios', 'first');
  const axle = e.maybe('rec-axle-ratio');
  const [engine, gearbox, rod, second] = allCrossPoints.map((p) => read(e, 'boss', p, 'z'));
  if (!torque || !first || !axle || !engine || !gearbox || !rod) return undefined;
  // Two rods hold the torque between themselves, one pulling and one pushing.
  if (second) {
    if (Math.abs(rod.value - second.value) < leastLeverMm) return undefined;
    return torque.through(
      'On each rod at full torque in first',
      'kg',
      (nm, ratio, final, one, other) => (nm * ratio * final * 1000) / Math.abs(one - other) / gravity,
      'statics: torque of the wheels over the height between the rods',
      first,
      axle,
      rod,
      second,
    );
  }
  // A rod near the line through the ends holds nothing.
  if (Math.abs(rod.value - (engine.value + gearbox.value) / 2) < leastLeverMm) return undefined;
  return torque.through(
    'On the rod at full torque in first',
    'kg',
    (nm, ratio, final, rodZ, a, b) => (nm * ratio * final * 1000) / Math.abs(rodZ - (a + b) / 2) / gravity,
    'statics: torque of the wheels over the height of the rod from the line through the ends',
    first,
    axle,
    rod,
    engine,
    gearbox,
  );
}

/** The mounts of a unit that lies across: where each boss stands from its pad, and what each carries against its rating. */
export function crossVerdict(e: FitEvidence): Verdict {
  const offsets = allCrossPoints.flatMap((point) =>
    mountAxes.flatMap((axis) => {
      const sum = crossOffset(e, point, axis);
      return sum ? [{ point, axis, sum }] : [];
    }),
  );
  const known = new Set(offsets.map((o) => o.point));
  if (known.size === 0)
    return {
      ...e.say('not-measured', 'a unit that lies across hangs on two ends and a rod: read their pads and bosses'),
      needs: needsOf('engine-end'),
    };
  const worst = offsets.reduce((a, b) => (Math.abs(b.sum.value) > Math.abs(a.sum.value) ? b : a));
  const size = worst.sum.size('Largest offset');
  const word = size.value <= mountMeetsMm ? 'bolts-up' : size.value <= mountReachMm ? 'adapt' : 'clash';
  if (word === 'bolts-up') {
    const over = overCrossRating(e);
    if (over) return over;
  }
  return e.sure(
    e.say(word, `${crossWords[worst.point]}: its boss ${size.value.toFixed(1)} mm from the pad`, {
      sum: size,
      label: 'Largest offset',
      margin: { value: (word === 'bolts-up' ? mountMeetsMm : mountReachMm) - size.value, unit: 'mm' },
    }),
    ...crossPoints.flatMap((p) =>
      mountAxes.flatMap((a) => [['eng-cross-bosses', `${p}-${a}`] as const, ['rec-cross-pads', `${p}-${a}`] as const]),
    ),
  );
}

/** Loads against what their maker lets them carry; nothing where no rating is written or nothing is over it. */
function overCrossRating(e: FitEvidence): Verdict | undefined {
  const each = e.maybe('cho-mount-rating', 'load-each');
  const rod = e.maybe('cho-mount-rating', 'rod-load');
  const carries = each || rod ? crossLoads(e) : undefined;
  if (!carries) return undefined;
  const { engineEnd, gearboxEnd } = carries;
  const heavy = engineEnd.value >= gearboxEnd.value ? engineEnd : gearboxEnd;
  const held: [string, Sum | undefined, Sum | undefined][] = [
    ['a mount', each, heavy],
    ['the torque rod', rod, carries.rod],
  ];
  for (const [what, rating, load] of held) {
    const spare = rating && load && rating.minus(load);
    if (spare && spare.value < 0)
      return e.say('adapt', `${what} carries ${load.value.toFixed(0)} kg, rated ${rating.value}`, {
        sum: spare,
        label: 'Rating over the load',
        margin: { value: spare.value, unit: 'kg' },
      });
  }
  return undefined;
}
