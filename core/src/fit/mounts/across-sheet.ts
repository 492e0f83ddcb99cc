import type { Drawing, Shape } from '../../drawing/index.ts';
import { ifKnown } from '../../rules/evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import { capital } from '../../units/index.ts';
import { FitEvidence } from '../evidence.ts';
import { placed } from '../position/pose.ts';
import { figure, notKnownOf } from '../sheet.ts';
import type { FitSheet } from '../sheet.ts';
import { lieOf, turnedTo } from '../shapes/lie.ts';
import { chosenPose } from '../shapes/scene-of-job.ts';
import { allCrossPoints, crossLoads, crossOffset, crossPlace, crossPoints, crossWords } from './across.ts';
import { frontMark, mountMark, rectangle } from './from-above.ts';
import type { Put } from './from-above.ts';
import { mountAxes } from './judged.ts';

const ways = { x: ['ahead of', 'behind'], y: ['to the left of', 'to the right of'], z: ['above', 'below'] } as const;

/** Mounts of a unit that lies across, from above with the front marked: where each boss stands from its pad, and what each carries. */
export function crossMountSheet(books: Books): FitSheet {
  const e = new FitEvidence(books);
  const known = allCrossPoints.filter((p) => crossPlace(e, p));
  const carries = ifKnown(() => crossLoads(e));
  const each = e.maybe('cho-mount-rating', 'load-each')?.value;
  const rod = e.maybe('cho-mount-rating', 'rod-load')?.value;
  const over = (kg: number | undefined, rated: number | undefined): 'stop' | undefined =>
    kg !== undefined && rated !== undefined && kg > rated ? 'stop' : undefined;
  return {
    drawing: draw(books, e),
    groups: [
      ...known.map((point) => ({
        title: capital(crossWords[point]),
        figures: mountAxes.flatMap((axis) => {
          const sum = crossOffset(e, point, axis)!;
          const name = `Boss ${ways[axis][sum.value < 0 ? 1 : 0]} its pad`;
          return figure(`${point}-${axis}`, name, sum.size(name));
        }),
      })),
      ...(carries
        ? [
            {
              title: 'What they carry',
              figures: [
                ...figure('engine-end', 'Engine end, at rest', carries.engineEnd, over(carries.engineEnd.value, each)),
                ...figure(
                  'gearbox-end',
                  'Gearbox end, at rest',
                  carries.gearboxEnd,
                  over(carries.gearboxEnd.value, each),
                ),
                ...figure('rod', 'Torque rod, full torque in first', carries.rod, over(carries.rod?.value, rod)),
              ],
            },
          ]
        : []),
    ],
    wants: notKnownOf(books, [
      ...crossPoints.flatMap((p) =>
        mountAxes.flatMap((a) => [
          ['rec-cross-pads', `${p}-${a}`] as const,
          ['eng-cross-bosses', `${p}-${a}`] as const,
        ]),
      ),
      ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
      ['cho-engine-place', 'crank-axis-above-body-datum-z'],
      ['eng-mass'],
      ['gbx-mass'],
      ['gbx-length'],
      ['rec-axle-ratio'],
      ['cho-mount-rating', 'load-each'],
      ['cho-mount-rating', 'rod-load'],
    ]),
  };
}

const flat: Put = (x, y) => ({ x, y });

function draw(books: Books, e: FitEvidence): Drawing {
  const [pose, lie] = [chosenPose(books.job), lieOf(books.job)];
  const shapes: Shape[] = [];
  const marks = allCrossPoints.flatMap((point) => {
    const at = crossPlace(e, point);
    if (!at) return [];
    const words = crossWords[point];
    return mountMark({
      id: point,
      pad: flat(at.pad[0], at.pad[1]),
      boss: flat(at.boss[0], at.boss[1]),
      names: { pad: words, arm: `arm of the ${words}`, boss: `boss, ${words}`, dimension: `${words}: boss from pad` },
      offsets: mountAxes.map((axis) => crossOffset(e, point, axis)!),
      aside: 26,
    });
  });
  if (pose && lie) {
    const put: Put = (x, y) => {
      const [px, py] = placed(turnedTo(lie, [x, y, 0]), pose);
      return flat(px, py);
    };
    const long = e.maybe('eng-length')?.value ?? 480;
    const back = e.maybe('gbx-length')?.value ?? 360;
    shapes.push(
      { id: 'engine', name: 'engine', ink: 'in', closed: true, points: rectangle(0, long, 120, put), named: true },
      { id: 'gearbox', name: 'gearbox', ink: 'in', closed: true, points: rectangle(-back, 0, 110, put), named: true },
      frontMark('front', pose.x + 320, flat),
    );
  }
  return {
    name: 'Mounts from above',
    summary:
      'The front of the car is to the right, its left side above. Squares are the pads of the body, rings the bosses of the unit.',
    unit: 'mm',
    shapes: [...shapes, ...marks.flatMap((m) => m.shapes)],
    spots: marks.map((m) => m.spot),
    dimensions: marks.map((m) => m.dimension),
  };
}
