import { interfaceOf } from '../judge.ts';
import { FitEvidence, mountMaterials } from '../evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import { Sum } from '../../rules/sum.ts';
import type { Vec } from '../../solid/index.ts';
import { withOptions } from '../position/changes.ts';
import type { FitOption } from '../position/changes.ts';
import type { WayOutRecord } from '../records.ts';
import type { JobScene } from './scene-of-job.ts';
import type { FitShape } from './types.ts';

/** Stiffer cushions than the planned ones: they rock less, so that every gap may be smaller. */
function stiffer(books: Books, scene: JobScene): FitOption[] {
  const planned = new FitEvidence(books).maybeWord('cho-mount-material') ?? 'rubber';
  const from = mountMaterials.indexOf(planned as (typeof mountMaterials)[number]);
  const book = books.job ?? new Map();
  return mountMaterials.slice(Math.max(0, from) + 1).map((material) => {
    const job = new Map(book).set('cho-mount-material', { parts: { value: material }, typed: {}, source: 'assumed' });
    const evidence = new FitEvidence({ ...books, job });
    return {
      id: `mounts-${material}`,
      title: `${material === 'solid' ? 'Solid' : 'Polyurethane'} mounts`,
      changes: scene.pairs.map((p) => ({
        side: 'pair' as const,
        id: p.id,
        needMm: evidence.clearance(p.clearance).value + (p.spare?.mm ?? 0),
      })),
    };
  });
}

/** What is held against one another, as options: stiffer cushions, and the ways out that people wrote, as far as their shape is drawn. */
export function optionsOf(
  books: Books,
  scene: JobScene,
  written: Readonly<Record<string, WayOutRecord | undefined>>,
): FitOption[] {
  const own = Object.entries(written).flatMap(([id, way]): FitOption[] => {
    const shape = way && !way.gone && scene.shapes.find((s) => s.id === way.shape);
    if (!way || !shape) return [];
    const { title, x = 0, y = 0, z = 0, cost, hours, approval } = way;
    return [{ id, title, cost, hours, approval, changes: [{ side: shape.side, id: shape.id, move: [x, y, z] }] }];
  });
  return [...stiffer(books, scene), ...own];
}

/**
 * What is looked at again once a way out is taken: places that the gaps of what it moves touch, by their knock-on, each once. Stiffer
 * cushions move nothing.
 */
export function thenLookAt(scene: JobScene, { changes }: FitOption): string[] {
  const moved = changes.flatMap((c) => (c.side === 'pair' ? [] : [c.id]));
  const gaps = scene.pairs.filter((p) => [...p.unit, ...p.bay].some((id) => moved.includes(id)));
  const places = gaps.flatMap((p) => (p.interfaceId ? interfaceOf(p.interfaceId).knockOn : []));
  return [...new Set(places)].map((id) => interfaceOf(id).title);
}

/** A job's geometry as it would be with some ways out: what moves is drawn where it comes to stand, what may be less says so. */
export function withWaysOut(scene: JobScene, options: readonly FitOption[]): JobScene {
  if (options.length === 0) return scene;
  const problem = withOptions(scene.problem, options);
  const moved = (shape: FitShape): FitShape => {
    const moves = options
      .flatMap((o) => o.changes)
      .flatMap((c) => (c.side === shape.side && c.id === shape.id && 'move' in c ? [c.move] : []));
    const shift = ([x, y, z]: Vec): Vec =>
      moves.reduce<Vec>(([a, b, c], [dx, dy, dz]) => [a + dx, b + dy, c + dz], [x, y, z]);
    return {
      ...shape,
      points: shape.points.map(shift),
      ...(shape.drawn ? { drawn: shape.drawn.map(shift) } : {}),
    };
  };
  const shapes = scene.shapes.map(moved);
  const titles = options.map((o) => o.title).join(', ');
  return {
    ...scene,
    shapes,
    pairs: scene.pairs.map((p, i) => {
      const needMm = problem.pairs[i]!.needMm;
      if (needMm === p.need.value) return p;
      return {
        ...p,
        need: Sum.of({
          label: `Least gap, ${p.name}, with ${titles}`,
          value: needMm,
          unit: 'mm',
          basis: 'common practice',
        }),
      };
    }),
    problem: {
      ...problem,
      bay: shapes.filter((s) => s.side === 'bay'),
      unit: shapes.filter((s) => s.side === 'unit'),
    },
  };
}
