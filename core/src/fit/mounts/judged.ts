import { gearboxBalance, restingLoads, torqueOnMountKg } from '../../sums/index.ts';
import type { Sum } from '../../rules/sum.ts';
import type { Verdict } from '../../rules/verdict.ts';
import type { FitEvidence } from '../evidence.ts';
import { radians } from '../position/pose.ts';
import { behindPlate } from '../stack/sums.ts';

/** Mounts of a unit that lies along the car: where each boss stands from its pad, and what each carries. */

const place = 'cho-engine-place';
export const mountSides = ['left', 'right'] as const;
export type MountSide = (typeof mountSides)[number];
export const mountAxes = ['x', 'y', 'z'] as const;
export type MountAxis = (typeof mountAxes)[number];

/** A boss so near its pad bolts up; a plate or an arm reaches so far, along each axis, mm. Common practice, no source. */
export const mountMeetsMm = 1.5;
export const mountReachMm = 60;

/** Slope of the crank as it is to sit, tail down: as chosen, else as the engine was made for; nothing where nobody knows. */
export const crankSlope = (e: FitEvidence): Sum | undefined =>
  e.maybe(place, 'slope-tail-down') ?? e.maybe('eng-slope-design');

/** A boss as it stands in the car, along one axis, mm in body datum. */
function bossAt(e: FitEvidence, side: MountSide, axis: MountAxis): Sum {
  const at = {
    x: () => e.fact(place, 'bell-face-ahead-of-firewall-x'),
    y: () => e.maybe(place, 'sideways-from-centre-line-y'),
    z: () => e.fact(place, 'crank-axis-above-body-datum-z'),
  }[axis]();
  const own = e.fact('eng-mount-bosses', `${side}-${axis}`);
  const slope = axis === 'y' ? undefined : crankSlope(e);
  const beside = axis === 'x' ? 'z' : 'x';
  const turned = slope
    ? own.through(
        `Boss as it stands, along ${axis}`,
        'mm',
        (mm, deg, other) => mm * Math.cos(deg * radians) + (axis === 'x' ? -1 : 1) * other * Math.sin(deg * radians),
        'geometry',
        slope,
        e.fact('eng-mount-bosses', `${side}-${beside}`),
      )
    : own;
  return at ? at.plus(turned) : turned;
}

/** From the pad to its boss along an axis, mm: forward, to the left, up are positive. */
export const bossFromPad = (e: FitEvidence, side: MountSide, axis: MountAxis): Sum =>
  bossAt(e, side, axis).minus(e.fact('rec-mount-pads', `${side}-${axis}`));

/** Are both places of a side known, with where the engine sits? */
export const sideKnown = (e: FitEvidence, side: MountSide): boolean =>
  [
    ...mountAxes.flatMap((a) => [
      e.maybe('rec-mount-pads', `${side}-${a}`),
      e.maybe('eng-mount-bosses', `${side}-${a}`),
    ]),
    e.maybe(place, 'bell-face-ahead-of-firewall-x'),
    e.maybe(place, 'crank-axis-above-body-datum-z'),
  ].every((sum) => sum !== undefined);

export interface Balance {
  mass: Sum;
  /** Ahead of the bell face of the engine. */
  x: Sum;
}

/** Engine and gearbox together; nothing while one of them was not weighed. What is taken for want of a reading says so. */
export function balanceOf(e: FitEvidence): Balance | undefined {
  const engine = e.maybe('eng-mass');
  const gearbox = e.maybe('gbx-mass');
  const length = e.maybe('eng-length');
  const long = e.maybe('gbx-length');
  if (!engine || !gearbox || !long) return undefined;
  const x =
    e.maybe('eng-cg', 'x-ahead-of-bell-face') ??
    (length && e.assume('Centre of gravity, ahead of the bell face', length.value / 2, 'mm', 'half the engine'));
  if (!x) return undefined;
  const behind = behindPlate(e, gearboxCentre(e, long));
  return {
    mass: engine.plus(gearbox),
    x: x.through(
      'Both balance, ahead of the bell face',
      'mm',
      (a, m, b, n) => (a * m - b * n) / (m + n),
      'mean by mass',
      engine,
      behind,
      gearbox,
    ),
  };
}

/** Where a gearbox balances, behind its bell face: as it was read, or taken from its length. */
export const gearboxCentre = (e: FitEvidence, length: Sum): Sum =>
  e.maybe('gbx-cg', 'behind-bell-face') ??
  length.times(
    e.assume('Of its length', gearboxBalance, '', 'where gearboxes balance'),
    'Centre of gravity of the gearbox, behind its bell face',
  );

export interface MountCarries {
  /** kg; pulled upwards is negative. */
  rest: { left: Sum; right: Sum; gearbox: Sum };
  /** Put on one side and taken from the other by full torque in first gear, kg; nothing while torque or ratio is not known, or where the unit drives at its sides. */
  torque?: Sum;
  /** At full torque: the left is lifted, by an engine that turns clockwise seen from its front. */
  full?: { left: Sum; right: Sum };
}

/** What each mount carries; nothing while a mass or a place is not known. */
export function mountLoads(e: FitEvidence): MountCarries | undefined {
  const balance = balanceOf(e);
  const back = e.maybe('gbx-mount-place', 'bell-face-to-mount');
  const known = mountSides.map((s) => [e.maybe('eng-mount-bosses', `${s}-x`), e.maybe('eng-mount-bosses', `${s}-y`)]);
  const [left, right] = known as [Sum | undefined, Sum | undefined][];
  if (!balance || !back || !left?.[0] || !left[1] || !right?.[0] || !right[1]) return undefined;
  const rear = behindPlate(e, back);
  const [leftX, leftY, rightX, rightY] = [left[0], left[1], right[0], right[1]];
  const load = (name: 'left' | 'right' | 'gearbox', label: string): Sum =>
    balance.mass.through(
      label,
      'kg',
      (mass, centre, lx, rx, behind, ly, ry) =>
        restingLoads(mass, centre, {
          engineX: (lx + rx) / 2,
          gearboxX: -behind,
          leftY: Math.abs(ly),
          rightY: Math.abs(ry),
        })[name],
      'statics',
      balance.x,
      leftX,
      rightX,
      rear,
      leftY,
      rightY,
    );
  const rest = {
    left: load('left', 'Left mount at rest'),
    right: load('right', 'Right mount at rest'),
    gearbox: load('gearbox', 'Gearbox mount at rest'),
  };
  const layout = e.maybeWord('rec-drive-layout');
  // A unit that drives its wheels at its sides pitches under torque and does not roll: what that puts on its mounts is not reckoned here.
  if (layout !== undefined && !layout.startsWith('front-longitudinal')) return { rest };
  const engine = e.maybe('cho-power-target', 'torque') ?? e.maybe('eng-torque');
  const first = e.maybe('gbx-ratios', 'first');
  if (!engine || !first) return { rest };
  const torque = engine
    .times(first, 'Torque of the output in first', 'N·m')
    .through(
      'Full torque in first, over the mounts of the engine',
      'kg',
      (nm, ly, ry) => torqueOnMountKg(nm, Math.abs(ly) + Math.abs(ry)),
      'statics',
      leftY,
      rightY,
    );
  return { rest, torque, full: { left: rest.left.minus(torque), right: rest.right.plus(torque) } };
}

/** Loads against what the maker of the mounts lets them carry; nothing where no rating is written or nothing is over it. */
export function overRating(e: FitEvidence): Verdict | undefined {
  const rating = e.maybe('cho-mount-rating', 'load-each');
  const lift = e.maybe('cho-mount-rating', 'lift-off-each');
  if (!rating && !lift) return undefined;
  const carries = mountLoads(e);
  if (!carries) return undefined;
  const { rest, full } = carries;
  const down = full ? full.right : rest.right.value > rest.left.value ? rest.right : rest.left;
  const when = full ? 'at full torque in first' : 'at rest';
  const spare = rating?.minus(down);
  if (spare && spare.value < 0)
    return e.say('adapt', `a mount carries ${down.value.toFixed(0)} kg ${when}, rated ${rating!.value}`, {
      sum: spare,
      label: 'Rating over the load',
      margin: { value: spare.value, unit: 'kg' },
    });
  if (!full || !lift || full.left.value >= 0) return undefined;
  const held = lift.plus(full.left);
  return held.value >= 0
    ? undefined
    : e.say('adapt', `a mount is pulled up by ${(-full.left.value).toFixed(0)} kg ${when}, rated ${lift.value}`, {
        sum: held,
        label: 'Rating over the pull',
        margin: { value: held.value, unit: 'kg' },
      });
}
