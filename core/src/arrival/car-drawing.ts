import type { Drawing, Point, Shape } from '../drawing/index.ts';
import type { CarView } from './records.ts';

/**
 * A car as one walks round it, in parts of its height: no make and no model, and not to scale of the car that is here. It is
 * there to say where on it something is.
 */

const viewWords: Record<CarView, string> = {
  left: 'From the left',
  front: 'From the front',
  right: 'From the right',
  rear: 'From behind',
};

/** How wide each view is drawn, ground to roof being 1. */
export const viewWidth = (view: CarView): number => (view === 'left' || view === 'right' ? 2.9 : 1.24);

const ring = (x: number, y: number, r: number): Point[] =>
  Array.from({ length: 28 }, (_, i) => {
    const a = (2 * Math.PI * i) / 28;
    return { x: x + r * Math.cos(a), y: y + r * Math.sin(a) };
  });
const area = (id: string, name: string, points: readonly (readonly [number, number])[]): Shape => ({
  id,
  name,
  ink: 'car',
  closed: true,
  points: points.map(([x, y]) => ({ x, y })),
});
const line = (id: string, name: string, points: readonly (readonly [number, number])[]): Shape => ({
  ...area(id, name, points),
  closed: false,
});
const round = (id: string, name: string, x: number, y: number, r: number): Shape => ({
  id,
  name,
  ink: 'car',
  closed: true,
  points: ring(x, y, r),
});

/** From the left: its front to the left. */
const left: readonly Shape[] = [
  area('body', 'body', [
    [0.03, 0.24],
    [0.02, 0.4],
    [0.08, 0.52],
    [0.2, 0.57],
    [0.74, 0.64],
    [0.8, 0.66],
    [1.12, 0.96],
    [1.22, 1],
    [2.02, 1],
    [2.14, 0.96],
    [2.42, 0.68],
    [2.76, 0.64],
    [2.86, 0.58],
    [2.88, 0.4],
    [2.86, 0.25],
    [2.6, 0.2],
    [0.28, 0.2],
  ]),
  area('windscreen side', 'front window', [
    [0.92, 0.68],
    [1.17, 0.93],
    [1.5, 0.94],
    [1.5, 0.68],
  ]),
  area('rear window', 'rear window', [
    [1.56, 0.68],
    [1.56, 0.94],
    [2.0, 0.94],
    [2.26, 0.69],
  ]),
  line('door front', 'front door', [
    [0.88, 0.66],
    [0.86, 0.3],
    [0.98, 0.23],
    [1.53, 0.23],
    [1.53, 0.94],
  ]),
  line('door rear', 'rear door', [
    [1.53, 0.23],
    [2.06, 0.23],
    [2.26, 0.5],
    [2.27, 0.68],
  ]),
  round('wheel front', 'front wheel', 0.52, 0.19, 0.19),
  round('hub front', 'front hub', 0.52, 0.19, 0.1),
  round('wheel rear', 'rear wheel', 2.34, 0.19, 0.19),
  round('hub rear', 'rear hub', 2.34, 0.19, 0.1),
  area('lamp front', 'front lamp', [
    [0.05, 0.42],
    [0.1, 0.51],
    [0.22, 0.52],
    [0.18, 0.43],
  ]),
  area('lamp rear', 'rear lamp', [
    [2.74, 0.46],
    [2.73, 0.58],
    [2.85, 0.55],
    [2.87, 0.45],
  ]),
];

const ends = (behind: boolean): readonly Shape[] => [
  area('body', 'body', [
    [0.06, 0.2],
    [0.04, 0.42],
    [0.1, 0.62],
    [0.17, 0.66],
    [0.27, 0.94],
    [0.36, 1],
    [0.88, 1],
    [0.97, 0.94],
    [1.07, 0.66],
    [1.14, 0.62],
    [1.2, 0.42],
    [1.18, 0.2],
  ]),
  area('screen', behind ? 'rear screen' : 'windscreen', [
    [0.24, 0.68],
    [0.32, 0.93],
    [0.92, 0.93],
    [1.0, 0.68],
  ]),
  area('lamp a', behind ? 'left rear lamp' : 'right front lamp', [
    [0.09, 0.44],
    [0.1, 0.54],
    [0.3, 0.53],
    [0.32, 0.44],
  ]),
  area('lamp b', behind ? 'right rear lamp' : 'left front lamp', [
    [1.15, 0.44],
    [1.14, 0.54],
    [0.94, 0.53],
    [0.92, 0.44],
  ]),
  behind
    ? line('lid', 'boot lid', [
        [0.2, 0.66],
        [0.34, 0.34],
        [0.9, 0.34],
        [1.04, 0.66],
      ])
    : area('grille', 'grille', [
        [0.38, 0.38],
        [0.38, 0.52],
        [0.86, 0.52],
        [0.86, 0.38],
      ]),
  area('plate', 'plate', [
    [0.47, 0.26],
    [0.47, 0.33],
    [0.77, 0.33],
    [0.77, 0.26],
  ]),
  area('tyre a', behind ? 'left rear tyre' : 'right front tyre', [
    [0.08, 0],
    [0.08, 0.2],
    [0.26, 0.2],
    [0.26, 0],
  ]),
  area('tyre b', behind ? 'right rear tyre' : 'left front tyre', [
    [0.98, 0],
    [0.98, 0.2],
    [1.16, 0.2],
    [1.16, 0],
  ]),
];

const mirrored = (shapes: readonly Shape[], width: number): Shape[] =>
  shapes.map((s) => ({ ...s, points: s.points.map((p) => ({ x: width - p.x, y: p.y })) }));

const drawn = (view: CarView, shapes: readonly Shape[]): Drawing => ({
  name: viewWords[view],
  summary: 'A car of no make, to say where something is.',
  unit: '',
  shapes,
  spots: [],
  dimensions: [],
});

/** The car from each side. */
export const carDrawings: Record<CarView, Drawing> = {
  left: drawn('left', left),
  front: drawn('front', ends(false)),
  right: drawn('right', mirrored(left, viewWidth('right'))),
  rear: drawn('rear', ends(true)),
};
