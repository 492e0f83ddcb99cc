import type { Drawing, Point } from '../../drawing/index.ts';
import type { Vec } from '../../solid/index.ts';
import { placed } from '../position/pose.ts';
import type { Pose } from '../position/pose.ts';
import type { Margin } from '../position/scene.ts';
import type { JobScene } from './scene-of-job.ts';
import type { FitShape } from './types.ts';
import { outlineOf, seenIn, viewTitle } from './views.ts';

/**
 * Where a hull is cut by the plane across the car at x: the points in which the lines between its points go through it. What is
 * thicker by a radius is cut where its core is, and shown as thick. Nothing where it does not reach there.
 */
export function cutAt(points: readonly Vec[], x: number, scene: Pick<JobScene, 'toRear'> = { toRear: false }): Point[] {
  const behind = points.filter((p) => p[0] <= x);
  const ahead = points.filter((p) => p[0] >= x);
  const through = behind.flatMap((a) =>
    ahead.map((b): Vec => {
      const share = b[0] === a[0] ? 0 : (x - a[0]) / (b[0] - a[0]);
      return [x, a[1] + share * (b[1] - a[1]), a[2] + share * (b[2] - a[2])];
    }),
  );
  return through.map(seenIn('front', scene));
}

/** From where to where something is drawn, mm of x: the stations at which a cut shows anything. */
export function stationsOf(scene: JobScene, pose: Pose): readonly [number, number] {
  const xs = scene.shapes.filter((s) => s.side === 'unit').flatMap((s) => s.points.map((p) => placed(p, pose)[0]));
  return xs.length > 0 ? [Math.floor(Math.min(...xs)), Math.ceil(Math.max(...xs))] : [0, 0];
}

/** Bay and unit cut across at a station, x forward of the firewall in mm, seen from the front; what meets anything is hatched. */
export function sectionAt(scene: JobScene, pose: Pose, margins: readonly Margin[], x: number): Drawing {
  const { bay } = scene.problem;
  const meets = new Set(margins.filter((m) => m.gap < 0).map((m) => bay[m.meeting.bay]));
  const shapes = scene.shapes.flatMap((s: FitShape, i) => {
    const own = s.side === 'bay' ? (s.drawn ?? s.points) : s.points.map((p) => placed(p, pose));
    const cut = cutAt(own, x, scene);
    if (cut.length === 0) return [];
    const ink = s.side === 'unit' ? ('in' as const) : meets.has(s) ? ('meets' as const) : ('car' as const);
    return [{ id: `cut-${s.id}-${i}`, name: s.name, ink, closed: true, named: true, points: outlineOf(cut, s.r) }];
  });
  return {
    name: `Cut across at x ${Math.round(x)} mm`,
    summary:
      shapes.length > 0
        ? `Cut ${Math.abs(Math.round(x))} mm ${x < 0 ? 'behind' : 'ahead of'} the firewall, seen ${viewTitle('front', scene).toLowerCase()}: the unit in teal, the bay in grey.`
        : 'Nothing is cut here.',
    unit: 'mm',
    shapes: [...shapes.filter((s) => s.ink !== 'in'), ...shapes.filter((s) => s.ink === 'in')],
    spots: [],
    dimensions: [],
  };
}
