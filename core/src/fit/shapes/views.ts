import type { Dimension, Drawing, Point, Shape } from '../../drawing/index.ts';
import type { SumRow } from '../../rules/sum.ts';
import type { Vec } from '../../solid/index.ts';
import { placed } from '../position/pose.ts';
import type { Pose } from '../position/pose.ts';
import type { Margin } from '../position/scene.ts';
import type { JobScene } from './scene-of-job.ts';
import type { FitShape } from './types.ts';

/** The three views: from the left side with the nose to the right, from above with the left side up, from the front. */
export const viewNames = { side: 'From the side', top: 'From above', front: 'From the front' } as const;
export type ViewName = keyof typeof viewNames;

/** What of a place is seen, in mm: to the right and up. */
const project: Readonly<Record<ViewName, (at: Vec) => Point>> = {
  side: ([x, , z]) => ({ x, y: z }),
  top: ([x, y]) => ({ x, y }),
  // Who stands before the car has its left side to the right.
  front: ([, y, z]) => ({ x: y, y: z }),
};

/**
 * Where the pulley points to the rear, x counts from the partition to the rear of the car: from above its left side lies below, and who
 * looks into the bay stands behind the car, its left side to the left.
 */
const turnedOver =
  (flat: (at: Vec) => Point, axis: 'x' | 'y') =>
  (at: Vec): Point => {
    const { x, y } = flat(at);
    return axis === 'x' ? { x: -x, y } : { x, y: -y };
  };

/** What of a place is seen in a view of this bay, mm to the right and up. */
export const seenIn = (view: ViewName, { toRear }: Pick<JobScene, 'toRear'>): ((at: Vec) => Point) =>
  !toRear || view === 'side' ? project[view] : turnedOver(project[view], view === 'top' ? 'y' : 'x');

/** How a view of this bay is called. */
export const viewTitle = (view: ViewName, { toRear }: Pick<JobScene, 'toRear'>): string =>
  toRear && view === 'front' ? 'From the rear' : viewNames[view];

/** How a pull on a view of this bay moves the unit, mm. */
export const pulledIn = (
  view: ViewName,
  { toRear }: Pick<JobScene, 'toRear'>,
  by: Point,
): { x?: number; y?: number; z?: number } => {
  const moves = pull[view](by);
  return toRear && moves.y !== undefined ? { ...moves, y: -moves.y } : moves;
};

/** The faces of a box that somebody draws on a view of this bay, mm in body datum: of two axes, the third lies along the sight. */
export function boxIn(
  view: ViewName,
  scene: Pick<JobScene, 'toRear'>,
  from: Point,
  to: Point,
): Partial<Record<'x' | 'y' | 'z', readonly [number, number]>> {
  const [a, b] = [pulledIn(view, scene, from), pulledIn(view, scene, to)];
  return Object.fromEntries(
    (['x', 'y', 'z'] as const).flatMap((axis) => {
      const [one, other] = [a[axis], b[axis]];
      return one === undefined || other === undefined ? [] : [[axis, [Math.min(one, other), Math.max(one, other)]]];
    }),
  );
}

/** Along which axis one looks. */
const sight: Readonly<Record<ViewName, 'x' | 'y' | 'z'>> = { side: 'y', top: 'z', front: 'x' };

/** How a pull on a view moves the unit, mm. */
const pull: Readonly<Record<ViewName, (by: Point) => { x?: number; y?: number; z?: number }>> = {
  side: ({ x, y }) => ({ x, z: y }),
  top: ({ x, y }) => ({ x, y }),
  front: ({ x, y }) => ({ y: x, z: y }),
};

const roundness = 12;

/** The outline of a grown hull, seen flat: the hull of its points, each with its ring (monotone chain, Andrew 1979, from memory). */
export function outlineOf(points: readonly Point[], r: number): Point[] {
  const ringed =
    r > 0
      ? points.flatMap(({ x, y }) =>
          Array.from({ length: roundness }, (_, i) => {
            const turn = (i / roundness) * 2 * Math.PI;
            return { x: x + r * Math.cos(turn), y: y + r * Math.sin(turn) };
          }),
        )
      : points;
  const sorted = [...ringed].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (all: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of all) {
      for (;;) {
        const a = chain.at(-2);
        const b = chain.at(-1);
        if (!a || !b || (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) > 1e-9) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  const around = [...half(sorted), ...half([...sorted].reverse())];
  return around.length > 0 ? around : sorted.slice(0, 1);
}

/** The places on the surfaces between which a gap was found. */
function between({ onFirst, onSecond, normal, meeting }: Margin, scene: JobScene): readonly [Vec, Vec] {
  const { problem } = scene;
  const on = (at: Vec, r: number, sign: number): Vec => [
    at[0] + sign * normal[0] * r,
    at[1] + sign * normal[1] * r,
    at[2] + sign * normal[2] * r,
  ];
  return [on(onFirst, problem.unit[meeting.unit]!.r, -1), on(onSecond, problem.bay[meeting.bay]!.r, 1)];
}

/** The smallest gap of each pair, the smallest margin first. */
export function tightest(scene: JobScene, margins: readonly Margin[]): Margin[] {
  const byPair = new Map<number, Margin>();
  for (const m of margins) {
    const known = byPair.get(m.meeting.pair);
    if (!known || m.margin < known.margin) byPair.set(m.meeting.pair, m);
  }
  return [...byPair.values()].sort((a, b) => a.margin - b.margin).slice(0, scene.pairs.length);
}

/** The sum of a margin: the gap between the shapes, and what is to be kept of it. */
export function gapRows(scene: JobScene, { gap, meeting }: Margin): SumRow[] {
  const pair = scene.pairs[meeting.pair]!;
  const gapRow: SumRow = {
    sign: '+',
    label: `Gap, ${pair.name}`,
    value: Math.round(gap * 10) / 10,
    unit: 'mm',
    basis: 'geometry of the shapes',
  };
  return [gapRow, ...pair.need.rows.map((row): SumRow => ({ ...row, sign: '−' }))];
}

/** How many gaps carry their number on a view. */
const mostNumbers = 4;

/** Where the unit stands besides where it is drawn: as it was chosen, or as a trial fit read it. */
export interface Ghost {
  pose: Pose;
  said: string;
}

/** One view of the bay with the unit at a pose: what meets is hatched, the tightest gaps carry their numbers, where it stands besides is dashed. */
export function viewOf(
  scene: JobScene,
  view: ViewName,
  pose: Pose,
  margins: readonly Margin[],
  ghosts: readonly Ghost[] = [],
): Drawing {
  const flat = seenIn(view, scene);
  const { unit, bay } = scene.problem;
  const meets = new Set(margins.filter((m) => m.gap < 0).map((m) => bay[m.meeting.bay]));
  const drawn = (shape: FitShape, i: number, at: Pose | undefined, ink: Shape['ink'], mark: string): Shape => ({
    id: `${mark}${shape.id}-${i}`,
    name: shape.name,
    ink,
    closed: true,
    points: outlineOf(
      (shape.drawn ?? shape.points).map((p) => flat(at ? placed(p, at) : p)),
      shape.r,
    ),
  });
  const shapes = scene.shapes.map((s, i) => ({ s, i }));
  // A wall that one looks at would hide all that lies behind it.
  const cars = shapes.filter(({ s }) => s.side === 'bay' && s.bounds !== sight[view]);
  const middle = new Map(
    cars.map(({ s }) => {
      const own = cars.filter((c) => c.s.id === s.id);
      return [s.id, own[Math.floor((own.length - 1) / 2)]!.i];
    }),
  );
  const units = shapes.filter(({ s }) => s.side === 'unit');
  const dimensions = tightest(scene, margins)
    .map((m): Dimension & { seen: number } => {
      const [a, b] = between(m, scene);
      const pair = scene.pairs[m.meeting.pair]!;
      const [from, to] = [flat(a), flat(b)];
      return {
        id: pair.id,
        name: pair.name,
        said: `${Math.round(m.gap) || 0} mm`,
        from,
        to,
        aside: 1,
        ...(m.margin < 0 ? { word: 'stop' as const } : m.margin < 5 ? { word: 'look' as const } : {}),
        rows: gapRows(scene, m),
        // Seen in this view: most of its way lies in the paper.
        seen: Math.hypot(to.x - from.x, to.y - from.y) / (Math.abs(m.gap) || 1),
      };
    })
    .filter((d) => d.seen > 0.9)
    .slice(0, mostNumbers)
    .map(({ seen: _seen, ...d }) => d);
  return {
    name: viewTitle(view, scene),
    summary: `${unit.length > 0 ? 'The unit in teal' : 'No unit yet'}, the bay in grey${meets.size > 0 ? ', what meets hatched' : ''}${ghosts.length > 0 ? `, dashed ${ghosts.map((g) => g.said).join(' and ')}` : ''}.`,
    unit: 'mm',
    shapes: [
      ...cars.map(({ s, i }) => ({
        ...drawn(s, i, undefined, meets.has(s) ? 'meets' : 'car', ''),
        // From the side there is room for names; the other two show the same things.
        // Of a thing of several pieces the middle one bears the name.
        named: view === 'side' && i === middle.get(s.id),
      })),
      ...ghosts.flatMap((g, n) => units.map(({ s, i }) => drawn(s, i, g.pose, 'assumed', `ghost-${n}-`))),
      ...units.map(({ s, i }) => ({ ...drawn(s, i, pose, 'in', ''), carried: true })),
    ],
    spots: [],
    dimensions,
  };
}
