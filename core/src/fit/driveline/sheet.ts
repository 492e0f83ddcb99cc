import type { Dimension, Drawing, Shape, Spot } from '../../drawing/index.ts';
import { ifKnown } from '../../rules/evidence.ts';
import type { Books } from '../../rules/evidence.ts';
import { rippleAcceleration, rippleOf } from '../../sums/index.ts';
import { capital } from '../../units/index.ts';
import { FitEvidence } from '../evidence.ts';
import { radians } from '../position/pose.ts';
import { figure, notKnownOf } from '../sheet.ts';
import type { Figure, FitSheet } from '../sheet.ts';
import { cures } from './cures.ts';
import type { Cure } from './cures.ts';
import { axesOf, jointLimits, leftOverDeg, lengthsOf, workingAngles } from './line.ts';
import type { LineOfShafts } from './line.ts';
import { jointNames, lineFacts, numbersOf, ofLine, shaftLine } from './judged.ts';
import type { ShaftLine, Travel } from './judged.ts';
import { shaftSides, sideShaft } from './half-shafts.ts';
import { axleWeights } from './weights.ts';

export interface DrivelineSheet extends FitSheet {
  /** From above, where a place off the centre line shows. */
  above: Drawing | undefined;
  cures: readonly Cure[];
}

const travels = { ride: 'at ride height', bump: 'in full bump', droop: 'in full droop' } as const;
/** An acceleration of the pinion that is felt and heard (SAE AE-7, memory), rad/s². */
const mostAcceleration = 400;

/** How long the ends of a line are drawn beyond its joints, mm. */
const stub = 160;

function draw(line: LineOfShafts, angles: readonly number[], view: 'side' | 'top'): Drawing {
  const flat = ([x, y, z]: readonly [number, number, number]) => ({ x, y: view === 'side' ? z : y });
  const joints = [line.output, ...(line.carrier ? [line.carrier] : []), line.pinion];
  const rise = (deg: number, by: number): number => (view === 'side' ? Math.tan(deg * radians) * by : 0);
  const before = { x: line.output[0] + stub, y: flat(line.output).y + rise(line.outputSlopeDeg, stub) };
  const after = { x: line.pinion[0] - stub, y: flat(line.pinion).y - rise(line.pinionUpDeg, stub) };
  const names = jointNames(angles.length);
  const shapes: Shape[] = [
    {
      id: 'output',
      name: 'gearbox output',
      ink: 'in',
      closed: false,
      points: [before, flat(line.output)],
      named: true,
    },
    ...joints.slice(1).map((to, i): Shape => ({
      id: `shaft-${i}`,
      name: joints.length > 2 ? (i === 0 ? 'front shaft' : 'rear shaft') : 'shaft',
      ink: 'gear',
      closed: false,
      points: [flat(joints[i]!), flat(to)],
      named: true,
    })),
    { id: 'pinion', name: 'pinion', ink: 'car', closed: false, points: [flat(line.pinion), after], named: true },
  ];
  const spots: Spot[] = joints.map((at, i) => ({
    id: `joint-${i}`,
    name: names[i]!,
    ink: 'gear',
    at: flat(at),
    mark: 'ring',
  }));
  const dimensions: Dimension[] =
    view === 'top'
      ? []
      : angles.map((angle, i) => ({
          id: `angle-${i}`,
          name: `${names[i]!}, working angle`,
          said: `${angle.toFixed(1)}°`,
          from: flat(joints[i]!),
          to: flat(joints[i]!),
          aside: 0,
          ...(angle > jointLimits.most
            ? { word: 'stop' as const }
            : angle > jointLimits.road || angle < jointLimits.rolls
              ? { word: 'look' as const }
              : {}),
        }));
  return {
    name: view === 'side' ? 'The line of shafts, from the side' : 'The line of shafts, from above',
    summary: `The front to the right: ${angles.map((a, i) => `${names[i]!} ${a.toFixed(1)}°`).join(', ')}.`,
    unit: 'mm',
    shapes,
    spots,
    dimensions,
  };
}

const wordOfAngle = (angle: number, travel: Travel): Figure['word'] => {
  const { rolls, road, most, travel: passes, travelMost } = jointLimits;
  if (travel !== 'ride') return angle > travelMost ? 'stop' : angle > passes ? 'look' : undefined;
  return angle > most ? 'stop' : angle > road || angle < rolls ? 'look' : undefined;
};

function anglesAt(line: ShaftLine, travel: Travel): Figure[] {
  const angles = workingAngles(numbersOf(line));
  return jointNames(angles.length).flatMap((name, i) =>
    figure(
      `${travel}-${i}`,
      `${capital(name)} ${travels[travel]}`,
      ofLine(line, `Working angle of the ${name} ${travels[travel]}`, 'deg', (l) => workingAngles(l)[i]!),
      wordOfAngle(angles[i]!, travel),
    ),
  );
}

/** From where to where the slope of this engine may go, degrees. */
export interface SlopeRoom {
  slopeDeg: readonly [number, number];
}

/** The line of shafts of a job with its figures, what cures it, and weight on the axles. */
export function drivelineSheet(books: Books, room: SlopeRoom): DrivelineSheet {
  const e = new FitEvidence(books);
  const at = (travel: Travel): ShaftLine | undefined => ifKnown(() => shaftLine(e, travel));
  const [ride, bump, droop] = [at('ride'), at('bump'), at('droop')];
  const numbers = ride && numbersOf(ride);
  const angles = numbers ? workingAngles(numbers) : [];
  const top = e.maybe('gbx-ratios', 'top');
  const most = e.maybe('eng-max-rpm');
  const rpm = most && top && most.over(top, 'Shaft at the engine limit in top', 'rpm');
  const shake =
    ride && rpm
      ? ofLine(
          ride,
          'Swing of the pinion at that speed',
          'rad/s²',
          (l) => rippleAcceleration(rippleOf(axesOf(l)), rpm.value),
          rpm,
        )
      : undefined;
  const weights = ifKnown(() => axleWeights(e));
  const layout = e.maybeWord('rec-drive-layout');
  const sides = layout !== undefined && !layout.startsWith('front-longitudinal');
  const largest = e.maybe('cho-halfshafts', 'largest-angle');
  const bends = (deg: number): Figure['word'] => (largest && deg > largest.value ? 'stop' : undefined);
  const nothing: Drawing = {
    name: 'The line of shafts',
    summary: sides ? 'No propshaft in this layout.' : 'Nothing is drawn while a place is missing.',
    unit: 'mm',
    shapes: [],
    spots: [],
    dimensions: [],
  };
  const aside = numbers && Math.abs(numbers.output[1] - numbers.pinion[1]) > 1;
  return {
    drawing: numbers ? draw(numbers, angles, 'side') : nothing,
    above: numbers && (aside || numbers.carrier) ? draw(numbers, angles, 'top') : undefined,
    groups: [
      {
        title: 'Working angles',
        figures: [
          ...(ride ? anglesAt(ride, 'ride') : []),
          ...(bump ? anglesAt(bump, 'bump') : []),
          ...(droop ? anglesAt(droop, 'droop') : []),
          ...figure(
            'left-over',
            'One joint that would ripple as much',
            ride && ofLine(ride, 'One joint that would ripple as much', 'deg', leftOverDeg),
            numbers && leftOverDeg(numbers) > jointLimits.leftOver ? 'look' : undefined,
          ),
          ...figure(
            'swing',
            'Swing of the pinion at the engine limit',
            shake,
            shake && shake.value > mostAcceleration ? 'look' : undefined,
          ),
        ],
      },
      {
        title: 'Lengths between the joints',
        figures: ride
          ? lengthsOf(numbersOf(ride)).flatMap((_, i, all) =>
              figure(
                `length-${i}`,
                all.length === 1 ? 'Shaft' : i === 0 ? 'Front shaft' : 'Rear shaft',
                ofLine(ride, 'Between the joints', 'mm', (l) => lengthsOf(l)[i]!),
              ),
            )
          : [],
      },
      ...shaftSides.flatMap((side) => {
        const shaft = sides ? ifKnown(() => sideShaft(e, side)) : undefined;
        if (!shaft) return [];
        return [
          {
            title: `${capital(side)} half shaft`,
            figures: [
              ...shaft.lengths.flatMap(([at, sum]) =>
                figure(`${side}-${at}`, `Between the joints ${travels[at]}`, sum),
              ),
              ...shaft.angles.flatMap(([at, sum]) =>
                figure(`${side}-${at}-angle`, `Inner joint ${travels[at]}`, sum, bends(sum.value)),
              ),
              ...figure(`${side}-even`, 'Length that stands even', shaft.even),
              ...figure(
                `${side}-left`,
                'Plunge left at its worse end',
                shaft.left,
                shaft.left && shaft.left.value < 0 ? 'stop' : undefined,
              ),
            ],
          },
        ];
      }),
      {
        title: 'What the axles gain',
        figures: weights
          ? [
              ...weights.lines.flatMap(({ name, kg, x }, i) => [
                ...figure(`mass-${i}`, name, kg),
                ...figure(`mass-${i}-x`, `${name}, ahead of the firewall`, x),
              ]),
              ...figure('front', 'Front axle', weights.front),
              ...figure('rear', 'Rear axle', weights.rear),
            ]
          : [],
      },
    ].filter((g) => g.figures.length > 0),
    wants: notKnownOf(books, [
      ...(sides
        ? ([
            ['cho-side-outputs', 'left-y'],
            ['rec-hub-places', 'left-y'],
            ['cho-halfshafts', 'plunge'],
          ] as const)
        : lineFacts(e)),
      ['rec-wheelbase'],
      ['rec-wheelbase', 'front-axle-x'],
    ]),
    cures: ride && numbers ? cures(numbers, { slopeDeg: room.slopeDeg, reachMm: ride.reach.value }) : [],
  };
}
