import { gapBetween } from '../../solid/index.ts';
import type { Vec } from '../../solid/index.ts';
import type { Need } from '../../rules/verdict.ts';
import type { Sum } from '../../rules/sum.ts';
import type { FitEvidence } from '../evidence.ts';
import { placed } from '../position/pose.ts';
import { chosenPose } from '../shapes/scene-of-job.ts';
import { crankSlope, mountAxes, mountSides, sideKnown } from './judged.ts';

/** What stands near the bosses of a mount: does the arm from boss to pad run into it? */

/** An arm with its bolts is so thick, mm, and a part on the engine keeps so much from it. Common practice, no source. */
const armAcross = 60;
export const besideArm = 10;

const neighbours = [
  { name: 'belt tensioner', fact: 'eng-belt-tensioner', x: 'x', y: 'y', z: 'z', across: 'across' },
  {
    name: 'oil filter',
    fact: 'eng-filter-dipstick',
    x: 'filter-x',
    y: 'filter-y',
    z: 'filter-z',
    across: 'filter-across',
  },
] as const;

export interface BesideArm {
  name: string;
  /** From the surface of the arm to that of the part, mm. */
  gap: Sum;
}

/** A number of a neighbour by its part: the two facts have parts of their own names. */
function readingsOf(
  e: FitEvidence,
  n: (typeof neighbours)[number],
): Record<'x' | 'y' | 'z' | 'across', Sum | undefined> {
  return n.fact === 'eng-belt-tensioner'
    ? { x: e.maybe(n.fact, n.x), y: e.maybe(n.fact, n.y), z: e.maybe(n.fact, n.z), across: e.maybe(n.fact, n.across) }
    : { x: e.maybe(n.fact, n.x), y: e.maybe(n.fact, n.y), z: e.maybe(n.fact, n.z), across: e.maybe(n.fact, n.across) };
}

/**
 * Each part whose place is known against the arm of each mount whose ends are: a bar from boss to pad, the unit where it was chosen
 * to sit. Nothing where one of the two is not known.
 */
export function besideArms(e: FitEvidence): BesideArm[] {
  const parts = neighbours
    .map((n) => ({ n, at: readingsOf(e, n) }))
    .filter(({ at }) => Object.values(at).every((size) => size !== undefined));
  if (parts.length === 0) return [];
  const slope = crankSlope(e);
  const sides = mountSides.filter((side) => sideKnown(e, side));
  const pose = chosenPose(e.books.job);
  if (!pose || !slope) return [];
  return sides.flatMap((side) => {
    const ends = mountAxes.map((axis) => ({
      boss: e.fact('eng-mount-bosses', `${side}-${axis}`).value,
      pad: e.fact('rec-mount-pads', `${side}-${axis}`).value,
    }));
    const boss = placed(ends.map((p) => p.boss) as unknown as Vec, pose);
    const pad = ends.map((p) => p.pad) as unknown as Vec;
    return parts.flatMap(({ n, at: { x, y, z, across } }): BesideArm[] => {
      if (!x || !y || !z || !across) return [];
      const arm = { points: [boss, pad], r: armAcross / 2 };
      const part = { points: [placed([x.value, y.value, z.value], pose)], r: across.value / 2 };
      const from: Need[] = [
        ...mountAxes.flatMap((a) =>
          ['eng-mount-bosses', 'rec-mount-pads'].map((factId) => ({ factId, partKey: `${side}-${a}` })),
        ),
        ...(['x', 'y', 'z', 'across'] as const).map((key) => ({ factId: n.fact, partKey: n[key] })),
      ];
      const basis = `distance from an arm ${armAcross} mm across, common practice`;
      const name = `${n.name} beside the ${side} mount`;
      return [{ name, gap: e.reckoned(`Gap, ${name}`, gapBetween(arm, part).gap, 'mm', basis, from) }];
    });
  });
}
