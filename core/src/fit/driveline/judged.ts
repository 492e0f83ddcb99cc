import { farthestOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';
import type { Verdict } from '../../rules/verdict.ts';
import type { FitEvidence } from '../evidence.ts';
import { radians } from '../position/pose.ts';
import { plateOf } from '../stack/sums.ts';
import { jointLimits, leftOverDeg, lengthsOf, workingAngles } from './line.ts';
import type { LineOfShafts } from './line.ts';

/** The line of shafts as a rule reads it: every place as a sum, so that a verdict names what it stands on. */

const place = 'cho-engine-place';
export type Travel = 'ride' | 'bump' | 'droop';

interface End {
  x: Sum;
  y: Sum;
  z: Sum;
}

export interface ShaftLine {
  output: End;
  slope: Sum;
  /** From the bell face of the engine back to the output. */
  reach: Sum;
  carrier?: End;
  pinion: End;
  up: Sum;
}

/** Slope of the output, tail down: as read on it, else that of the engine, whose crank it turns with. */
export function outputSlope(e: FitEvidence): Sum {
  return (
    e.maybe('gbx-output', 'output-slope-tail-down') ??
    e.maybe(place, 'slope-tail-down') ??
    e.fact('gbx-output', 'output-slope-tail-down')
  );
}

/** A level on a flange may differ from one on the block by so much, degrees. Common practice, no source. */
const slopesApartDeg = 0.5;

/** The output was read at a slope that the engine is not to sit at: one of them is of another place, and nothing is said on top of either. */
export function slopesApart(e: FitEvidence): Verdict | undefined {
  const read = e.maybe('gbx-output', 'output-slope-tail-down');
  const chosen = e.maybe(place, 'slope-tail-down');
  const apart = read && chosen ? read.minus(chosen) : undefined;
  if (!apart || Math.abs(apart.value) <= slopesApartDeg) return undefined;
  return {
    ...e.say(
      'not-measured',
      `output read ${Math.abs(apart.value).toFixed(1)} deg off the slope it is to sit at: read it there`,
      {
        sum: apart,
        label: 'Output less the slope chosen',
      },
    ),
    needs: [{ factId: 'gbx-output', partKey: 'output-slope-tail-down' }],
  };
}

/** What a line is drawn from besides the slopes of its ends. */
export const lineFacts = (e: FitEvidence) =>
  [
    ['rec-pinion-place', 'flange-x'],
    ['rec-pinion-place', 'z-at-ride-height'],
    ['gbx-length'],
    [place, 'bell-face-ahead-of-firewall-x'],
    [place, 'crank-axis-above-body-datum-z'],
    ...(e.maybeWord('cho-carrier') === 'one'
      ? ([
          ['cho-carrier', 'x'],
          ['cho-carrier', 'z'],
        ] as const)
      : []),
  ] as const;

/** The angle of a pinion as a wedge under its axle leaves it, nose up. */
export function onWedge(e: FitEvidence, read: Sum): Sum {
  const wedge = e.maybe('cho-wedge');
  return wedge && wedge.value !== 0 ? read.plus(wedge) : read;
}

/** The line at ride height, in full bump or in full droop; nothing while a place is not known. */
export function shaftLine(e: FitEvidence, travel: Travel): ShaftLine | undefined {
  const bellX = e.maybe(place, 'bell-face-ahead-of-firewall-x');
  const crankZ = e.maybe(place, 'crank-axis-above-body-datum-z');
  const length = e.maybe('gbx-length');
  const pinionX = e.maybe('rec-pinion-place', 'flange-x');
  const heights = { ride: 'z-at-ride-height', bump: 'z-at-bump', droop: 'z-at-droop' } as const;
  const pinionZ = e.maybe('rec-pinion-place', heights[travel]);
  const read = e.maybe('rec-pinion-angle', { ride: 'value', bump: 'at-bump', droop: 'at-droop' }[travel] as 'value');
  const up = read && onWedge(e, read);
  const twoPieces = e.maybeWord('cho-carrier') === 'one';
  const carrierX = twoPieces ? e.maybe('cho-carrier', 'x') : undefined;
  const carrierZ = twoPieces ? e.maybe('cho-carrier', 'z') : undefined;
  if (!bellX || !crankZ || !length || !pinionX || !pinionZ || !up || (twoPieces && !(carrierX && carrierZ)))
    return undefined;
  const slope = outputSlope(e);
  const plate = plateOf(e);
  const back = plate ? length.plus(plate) : length;
  const below = e.maybe('gbx-output', 'output-below') ?? e.limit('Output below the input axis', 0, 'mm', 'in line');
  const output: End = {
    x: bellX.minus(
      back.through(
        'Output behind the bell face',
        'mm',
        (long, deg, low) => long * Math.cos(deg * radians) - low * Math.sin(deg * radians),
        'geometry',
        slope,
        below,
      ),
    ),
    y: sidewaysOf(e),
    z: crankZ.minus(
      back.through(
        'Output lower by its slope',
        'mm',
        (long, deg, low) => long * Math.sin(deg * radians) + low * Math.cos(deg * radians),
        'geometry',
        slope,
        below,
      ),
    ),
  };
  const level = e.limit('Sideways', 0, 'mm', 'the centre line');
  return {
    output,
    slope,
    reach: back,
    ...(carrierX && carrierZ ? { carrier: { x: carrierX, y: e.maybe('cho-carrier', 'y') ?? level, z: carrierZ } } : {}),
    pinion: {
      x: pinionX,
      y: e.maybe('rec-pinion-place', 'y') ?? e.assume('Pinion sideways', 0, 'mm', 'on the centre line, nobody read it'),
      z: pinionZ,
    },
    up,
  };
}

/** Output to the left of the centre line: as the engine sits, and as the gearbox puts it beside its input. */
function sidewaysOf(e: FitEvidence): Sum {
  const at = e.maybe(place, 'sideways-from-centre-line-y');
  const own = e.maybe('gbx-output', 'output-y');
  if (at && own) return at.plus(own);
  return at ?? own ?? e.assume('Engine sideways', 0, 'mm', 'on the centre line, nobody read it');
}

/** The numbers of a line. */
export function numbersOf({ output, slope, carrier, pinion, up }: ShaftLine): LineOfShafts {
  const at = ({ x, y, z }: End): [number, number, number] => [x.value, y.value, z.value];
  return {
    output: at(output),
    outputSlopeDeg: slope.value,
    ...(carrier ? { carrier: at(carrier) } : {}),
    pinion: at(pinion),
    pinionUpDeg: up.value,
  };
}

/** A number of the whole line as one row, with every place it was made from below it, and what else it read. */
export function ofLine(
  line: ShaftLine,
  label: string,
  unit: string,
  formula: (line: LineOfShafts) => number,
  ...beside: readonly Sum[]
): Sum {
  const ends = [line.output, ...(line.carrier ? [line.carrier] : []), line.pinion];
  const places = ends.flatMap(({ x, y, z }) => [x, y, z]);
  return line.slope.through(label, unit, () => formula(numbersOf(line)), 'geometry', line.up, ...places, ...beside);
}

/** How the joints of a line are called, from front to rear. */
export const jointNames = (count: number): readonly string[] =>
  count === 2 ? ['front joint', 'rear joint'] : ['front joint', 'middle joint', 'rear joint'];

/**
 * The piece of the shaft whose speed is critical, mm: with a centre bearing the longer of the two, from their places; of a shaft in one
 * piece as it was read, or else from its ends. Nothing while neither is known.
 */
export function longestPiece(e: FitEvidence): Sum | undefined {
  const inTwo = e.maybeWord('cho-carrier') === 'one';
  const read = e.maybe('gbx-output', 'shaft-length');
  if (read && !inTwo) return read;
  if (!e.maybe('gbx-output', 'output-slope-tail-down') && !e.maybe(place, 'slope-tail-down')) return undefined;
  const line = shaftLine(e, 'ride');
  return (
    line &&
    ofLine(line, inTwo ? 'Longer piece of the shaft' : 'Between the joints', 'mm', (l) => Math.max(...lengthsOf(l)))
  );
}

/** Difference of the ends of a shaft in one piece; nothing where it has a centre bearing. */
export function endsApart(e: FitEvidence, out: Sum, pinion: Sum): Verdict | undefined {
  if (e.maybeWord('cho-carrier') === 'one') return undefined;
  const unequal = out.minus(pinion).size('Difference of the ends');
  return e.judge(
    'Difference of the ends',
    unequal,
    { boltsUp: [-Infinity, jointLimits.apart], adapt: [-Infinity, 2 * jointLimits.apart] },
    `ends ${unequal.value.toFixed(1)} deg apart`,
  );
}

/** What a shaft in two pieces leaves over of the ripple of its three joints. */
export function rippleVerdict(e: FitEvidence, line: ShaftLine): Verdict {
  const left = ofLine(line, 'One joint that would ripple as much', 'deg', leftOverDeg);
  const { leftOver, most } = jointLimits;
  return e.judge(
    'One joint that would ripple as much',
    left,
    { boltsUp: [-Infinity, leftOver], adapt: [-Infinity, most] },
    `the line ripples like one joint at ${left.value.toFixed(1)} deg, ${leftOver} at the most`,
  );
}

/** The joint that works farthest from what is wanted, at ride height. */
export function jointsVerdict(e: FitEvidence, line: ShaftLine): Verdict {
  const { rolls, road, most } = jointLimits;
  const angles = workingAngles(numbersOf(line));
  const names = jointNames(angles.length);
  const out = (angle: number): number => Math.max(rolls - angle, angle - road);
  const worst = angles.reduce((w, angle, i) => (out(angle) > out(angles[w]!) ? i : w), 0);
  const named = names.map(
    (name, i) => [name, ofLine(line, `Working angle of the ${name}`, 'deg', (l) => workingAngles(l)[i]!)] as const,
  );
  const { name, sum } = out(angles[worst]!) > 0 ? { name: names[worst]!, sum: named[worst]![1] } : farthestOf(named);
  const apart = line.carrier ? '' : `, ${Math.abs(line.slope.value - line.up.value).toFixed(1)} deg between the ends`;
  return e.judge(
    `Working angle of the ${name}`,
    sum,
    { boltsUp: [rolls, road], adapt: [-Infinity, most] },
    `${name} works at ${sum.value.toFixed(1)} deg${apart}`,
  );
}

/** The joints in bump or droop: more is let pass there, since it does not last; nothing where the axle was not read so. */
export function travelVerdict(e: FitEvidence, travel: 'bump' | 'droop'): Verdict | undefined {
  const line = shaftLine(e, travel);
  if (!line) return undefined;
  const angles = workingAngles(numbersOf(line));
  const { name, sum } = farthestOf(
    jointNames(angles.length).map(
      (n, i) =>
        [n, ofLine(line, `Working angle of the ${n} in ${travel}`, 'deg', (l) => workingAngles(l)[i]!)] as const,
    ),
  );
  return e.judge(
    `Working angle of the ${name} in ${travel}`,
    sum,
    { boltsUp: [-Infinity, jointLimits.travel], adapt: [-Infinity, jointLimits.travelMost] },
    `${name} works at ${sum.value.toFixed(1)} deg in full ${travel}`,
  );
}

/** The last piece of the shaft at some travel, between its joints, mm. */
const slipping = (line: LineOfShafts): number => lengthsOf(line).at(-1)!;

/** Slip at both ends of the axle's travel: whether the yoke bottoms in bump, and what is still engaged in droop. */
export function plungeVerdict(e: FitEvidence): Verdict | undefined {
  const left = e.maybe('gbx-output', 'slip-left');
  const engaged = e.maybe('gbx-output', 'slip-engaged');
  const travels =
    (left && e.maybe('rec-pinion-place', 'z-at-bump')) ?? (engaged && e.maybe('rec-pinion-place', 'z-at-droop'));
  if (!travels) return undefined;
  const ride = shaftLine(e, 'ride');
  if (!ride) return undefined;
  const atRide = ofLine(ride, 'Shaft between its joints at ride height', 'mm', slipping);
  const bump = left && shaftLine(e, 'bump');
  if (left && bump) {
    const spare = left.minus(atRide.minus(ofLine(bump, 'in full bump', 'mm', slipping)));
    if (spare.value <= 0)
      return e.say('clash', `slip yoke bottoms in full bump by ${(-spare.value).toFixed(0)} mm`, {
        sum: spare,
        label: 'Slip left in full bump',
        margin: { value: spare.value, unit: 'mm' },
      });
  }
  const droop = engaged && shaftLine(e, 'droop');
  if (!engaged || !droop) return undefined;
  const held = engaged.minus(ofLine(droop, 'in full droop', 'mm', slipping).minus(atRide));
  const wanted = engaged.times(e.limit('Two thirds', 2 / 3, '', 'common practice'), 'Two thirds of what is engaged');
  const spare = held.minus(wanted);
  if (spare.value >= 0) return undefined;
  return e.say(
    held.value <= 0 ? 'clash' : 'adapt',
    held.value <= 0
      ? 'the slip yoke leaves its splines in full droop'
      : `${held.value.toFixed(0)} mm of spline engaged in full droop, ${wanted.value.toFixed(0)} wanted`,
    { sum: spare, label: 'Engaged over two thirds', margin: { value: spare.value, unit: 'mm' } },
  );
}
