import type { Dimension, Drawing, Point, Shape, Spot } from '../../drawing/index.ts';
import { ifKnown } from '../../rules/evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import { capital, formatMeasure } from '../../units/index.ts';
import { FitEvidence } from '../evidence.ts';
import { crossMountSheet } from './across-sheet.ts';
import { frontMark, mountMark, rectangle } from './from-above.ts';
import type { Put } from './from-above.ts';
import { placed } from '../position/pose.ts';
import { figure, notKnownOf } from '../sheet.ts';
import type { Figure, FitSheet } from '../sheet.ts';
import { lieOf, pointsToRear } from '../shapes/lie.ts';
import { chosenPose } from '../shapes/scene-of-job.ts';
import {
  balanceOf,
  bossFromPad,
  mountAxes,
  mountLoads,
  mountMeetsMm,
  mountReachMm,
  mountSides,
  sideKnown,
} from './judged.ts';
import type { MountAxis, MountSide } from './judged.ts';

/** How a school of mounts does for this job. */
export interface SchoolSaid {
  id: 'recipient-arms' | 'fixed-hole-plate' | 'sliding-plate' | 'fabricated';
  goes: boolean;
  said: string;
}

export interface MountSheet extends FitSheet {
  schools: readonly SchoolSaid[];
}

const way: Readonly<Record<MountAxis, readonly [more: string, less: string]>> = {
  x: ['ahead of', 'behind'],
  y: ['to the left of', 'to the right of'],
  z: ['above', 'below'],
};

/** Distance of the hole rows of a plate, mm, and how far a slot lets it slide. Common practice, no source. */
const rowsApart = 12.5;
const slides = 20;

/** The four ways of mounting, each held against where the bosses stand. */
function schoolsFor(offsets: Readonly<Record<MountSide, Record<MountAxis, number>>>): SchoolSaid[] {
  const each = mountSides.map((s) => offsets[s]);
  const most = (axis: MountAxis): number => Math.max(...each.map((o) => Math.abs(o[axis])));
  const offRow = Math.max(...each.map(({ x }) => Math.abs(x - Math.round(x / rowsApart) * rowsApart)));
  const level = Math.abs(offsets.left.z - offsets.right.z);
  const mm = (n: number): string => formatMeasure(Math.round(n), 'mm');
  const sideways = most('y') <= mountReachMm && most('z') <= mountReachMm;
  return [
    {
      id: 'recipient-arms',
      goes: Math.max(most('x'), most('y'), most('z')) <= mountMeetsMm,
      said: `Arms of the car's own maker: the farthest boss stands ${mm(Math.max(most('x'), most('y'), most('z')))} off`,
    },
    {
      id: 'fixed-hole-plate',
      goes: sideways && most('x') <= mountReachMm && offRow <= mountMeetsMm * 2,
      said: `Fixed hole rows, ${rowsApart} mm apart: the nearest row stands ${mm(offRow)} off along the car`,
    },
    {
      id: 'sliding-plate',
      goes: sideways && most('x') <= mountReachMm,
      said: `Slider: ${mm(most('x'))} along the car, of them ${mm(slides)} by the slot; slid, then tightened front to rear`,
    },
    {
      id: 'fabricated',
      goes: true,
      said: `Made: ${mm(most('x'))} along, ${mm(most('y'))} across, ${mm(most('z'))} in height${level > mountMeetsMm ? `, left and right ${mm(level)} unlike` : ''}; welds are a qualified person's`,
    },
  ];
}

/** Mounts from above with the front marked, left and right named, the vector of each and what it carries. */
export function mountSheet(books: Books): MountSheet {
  const lie = lieOf(books.job);
  if (lie !== undefined && lie !== 'along') return { ...crossMountSheet(books), schools: [] };
  const e = new FitEvidence(books);
  // How it lies nobody knows: nothing is drawn.
  const along = lie === 'along';
  const toRear = pointsToRear(books.job);
  const known = along ? mountSides.filter((side) => sideKnown(e, side)) : [];
  const vector = (side: MountSide, axis: MountAxis) => bossFromPad(e, side, axis);
  const carries = ifKnown(() => mountLoads(e));
  const balance = ifKnown(() => balanceOf(e));
  const rating = e.maybe('cho-mount-rating', 'load-each');
  const pulls = e.maybe('cho-mount-rating', 'lift-off-each');
  const over = (kg: number | undefined): Figure['word'] =>
    kg === undefined
      ? undefined
      : kg < 0 && (!pulls || -kg > pulls.value)
        ? 'look'
        : rating && kg > rating.value
          ? 'stop'
          : undefined;
  const wants = notKnownOf(books, [
    ...mountSides.flatMap((side) =>
      mountAxes.flatMap(
        (axis) =>
          [
            ['rec-mount-pads', `${side}-${axis}`],
            ['eng-mount-bosses', `${side}-${axis}`],
          ] as const,
      ),
    ),
    ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
    ['cho-engine-place', 'crank-axis-above-body-datum-z'],
    ['eng-mass'],
    ['gbx-mass'],
    ['gbx-length'],
    ['gbx-mount-place', 'bell-face-to-mount'],
    ['cho-mount-rating', 'load-each'],
  ]);
  return {
    drawing: draw(books, e, known, along),
    groups: [
      ...known.map((side) => ({
        title: `${capital(side)} mount`,
        figures: mountAxes.flatMap((axis) => {
          const sum = vector(side, axis);
          const name = `Boss ${way[axis][sum.value < 0 !== (toRear && axis === 'x') ? 1 : 0]} its pad`;
          return figure(`${side}-${axis}`, name, sum.size(name));
        }),
      })),
      ...(carries
        ? [
            {
              title: 'What they carry',
              figures: [
                ...figure('rest-left', 'Left, at rest', carries.rest.left, over(carries.rest.left.value)),
                ...figure('rest-right', 'Right, at rest', carries.rest.right, over(carries.rest.right.value)),
                ...figure('rest-gearbox', 'Gearbox, at rest', carries.rest.gearbox, over(carries.rest.gearbox.value)),
                ...figure(
                  'full-left',
                  'Left, full torque in first',
                  carries.full?.left,
                  over(carries.full?.left.value),
                ),
                ...figure(
                  'full-right',
                  'Right, full torque in first',
                  carries.full?.right,
                  over(carries.full?.right.value),
                ),
                ...figure('balance', 'Both balance, ahead of the bell face', balance?.x),
              ],
            },
          ]
        : []),
    ],
    wants,
    schools:
      known.length === 2
        ? schoolsFor({
            left: { x: vector('left', 'x').value, y: vector('left', 'y').value, z: vector('left', 'z').value },
            right: { x: vector('right', 'x').value, y: vector('right', 'y').value, z: vector('right', 'z').value },
          })
        : [],
  };
}

/** From above, x to the right: the car's left above where x counts forward, below where it counts to the rear. */
const above =
  (toRear: boolean) =>
  (x: number, y: number): Point => ({ x, y: toRear ? -y : y });
function draw(books: Books, e: FitEvidence, known: readonly MountSide[], along: boolean): Drawing {
  const pose = along ? chosenPose(books.job) : undefined;
  const toRear = pointsToRear(books.job);
  const at = above(toRear);
  const number = (factId: 'eng-mount-bosses' | 'rec-mount-pads', key: string): number => {
    const value = books.job.get(factId)?.parts[key];
    return typeof value === 'number' ? value : 0;
  };
  const shapes: Shape[] = [];
  const spots: Spot[] = [];
  const dimensions: Dimension[] = [];
  if (pose) {
    const long = e.maybe('eng-length')?.value ?? 560;
    const back = e.maybe('gbx-length')?.value;
    const put: Put = (x, y) => {
      const [px, py] = placed([x, y, 0], pose);
      return at(px, py);
    };
    const engine = rectangle(0, long, 120, put);
    shapes.push({ id: 'engine', name: 'engine', ink: 'in', closed: true, points: engine, named: true });
    shapes.push(frontMark(toRear ? 'rear' : 'front', pose.x + long + 60, at));
    if (back) {
      const points = rectangle(-back, 0, 80, put);
      shapes.push({ id: 'gearbox', name: 'gearbox', ink: 'in', closed: true, points, named: true });
    }
  }
  for (const side of known) {
    const [bx, by] = placed(
      [
        number('eng-mount-bosses', `${side}-x`),
        number('eng-mount-bosses', `${side}-y`),
        number('eng-mount-bosses', `${side}-z`),
      ],
      pose!,
    );
    const mark = mountMark({
      id: side,
      pad: at(number('rec-mount-pads', `${side}-x`), number('rec-mount-pads', `${side}-y`)),
      boss: at(bx, by),
      names: { pad: `${side} pad`, arm: `${side} arm`, boss: `${side} boss`, dimension: `${side}: boss from pad` },
      offsets: mountAxes.map((axis) => bossFromPad(e, side, axis)),
      aside: (side === 'left') !== toRear ? 26 : -26,
    });
    shapes.push(...mark.shapes);
    spots.push(mark.spot);
    dimensions.push(mark.dimension);
  }
  const balance = pose && ifKnown(() => balanceOf(e));
  if (pose && balance) {
    const [x, y] = placed([balance.x.value, 0, 0], pose);
    spots.push({ id: 'balance', name: 'it balances here', ink: 'assumed', at: at(x, y), mark: 'cross' });
  }
  return {
    name: 'Mounts from above',
    summary: `The ${toRear ? 'rear' : 'front'} of the car is to the right, its left side ${toRear ? 'below' : 'above'}. Squares are the pads of the body, rings the bosses of the engine.`,
    unit: 'mm',
    shapes,
    spots,
    dimensions,
  };
}
