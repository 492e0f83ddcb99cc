import type { Sum } from '../../rules/sum.ts';
import type { Vec } from '../../solid/index.ts';
import type { FitEvidence } from '../evidence.ts';
import { mountSides } from './judged.ts';

/** Newtons on a kilogram. */
const gravity = 9.80665;

/**
 * How far a part of the unit swings at full torque in first gear, mm: the unit turns about the line through its mounts by what the
 * cushions give, and the part moves by its distance from that line. Cushions are taken as springs from the maker's figure; the
 * crosswise lever of both counts. Nothing where cushions, bosses or torque are not known, or where the unit does not roll under it.
 */
export function rockOf(e: FitEvidence, points: readonly Vec[]): Sum | undefined {
  const load = e.maybe('cho-mount-rating', 'load-each');
  const gives = e.maybe('cho-mount-rating', 'gives-at-that-load');
  if (!load || !gives || gives.value <= 0 || points.length === 0) return undefined;
  const layout = e.maybeWord('rec-drive-layout');
  const pulley = e.maybeWord('cho-pulley-side');
  if (layout === undefined || !layout.startsWith('front-longitudinal') || pulley === 'left' || pulley === 'right')
    return undefined;
  const torque = e.maybe('cho-power-target', 'torque') ?? e.maybe('eng-torque');
  const first = e.maybe('gbx-ratios', 'first');
  const [left, right] = mountSides.map((s) => [
    e.maybe('eng-mount-bosses', `${s}-y`),
    e.maybe('eng-mount-bosses', `${s}-z`),
  ]) as [(Sum | undefined)[], (Sum | undefined)[]];
  const [leftY, leftZ, rightY, rightZ] = [...left, ...right];
  if (!torque || !first || !leftY || !leftZ || !rightY || !rightZ) return undefined;
  const axis = { y: (leftY.value + rightY.value) / 2, z: (leftZ.value + rightZ.value) / 2 };
  const far = Math.max(...points.map(([, y, z]) => Math.hypot(y - axis.y, z - axis.z)));
  return torque.through(
    `Rock at full torque in first, ${far.toFixed(0)} mm off the line through the mounts`,
    'mm',
    (nm, ratio, kg, mm, ly, ry) => {
      const stiff = (kg * gravity) / mm;
      const half = (Math.abs(ly) + Math.abs(ry)) / 2;
      return ((nm * ratio * 1000) / (2 * stiff * half * half)) * far;
    },
    'cushions as springs by the maker’s figure',
    first,
    load,
    gives,
    leftY,
    rightY,
    leftZ,
    rightZ,
  );
}
