import { leastOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';
import type { Verdict } from '../../rules/verdict.ts';
import { angleBetweenDeg } from '../../sums/index.ts';
import type { FitEvidence } from '../evidence.ts';

/** Half shafts of a unit that drives its wheels at its sides: length, plunge and angle over the travel of the wheel. */

export const shaftSides = ['left', 'right'] as const;
export type ShaftSide = (typeof shaftSides)[number];
const travels = ['ride', 'bump', 'droop'] as const;
type Travel = (typeof travels)[number];

const hub = 'rec-hub-places';
const inner = 'cho-side-outputs';
const shafts = 'cho-halfshafts';

/** Kept of the plunge at each end, mm. Common practice, no source; the maker goes first. */
const keptMm = 2;

const heightKey = (side: ShaftSide, at: Travel) =>
  at === 'ride'
    ? (`${side}-z` as const)
    : at === 'bump'
      ? (`${side}-z-at-bump` as const)
      : (`${side}-z-at-droop` as const);

/** Between the joints of one side, as x, y, z, mm, outer less inner; nothing while a place is not known. */
function apart(e: FitEvidence, side: ShaftSide, at: Travel): readonly [Sum, Sum, Sum] | undefined {
  const pairs = [
    [e.maybe(hub, `${side}-x`), e.maybe(inner, `${side}-x`)],
    [e.maybe(hub, `${side}-y`), e.maybe(inner, `${side}-y`)],
    [e.maybe(hub, heightKey(side, at)), e.maybe(inner, `${side}-z`)],
  ] as const;
  const [x, y, z] = pairs.map(([outer, own]) => (outer && own ? outer.minus(own) : undefined));
  return x && y && z ? [x, y, z] : undefined;
}

export interface SideShaft {
  side: ShaftSide;
  /** Between the joints, mm, at each travel that was read. */
  lengths: readonly (readonly [Travel, Sum])[];
  /** At the inner joint, degrees. */
  angles: readonly (readonly [Travel, Sum])[];
  /** Length at which the plunge stands even at both ends, mm. */
  even: Sum;
  /** Plunge left at its worse end, mm; nothing while the plunge is not known. */
  left?: Sum;
}

/** One side; nothing while it is not known at ride height. */
export function sideShaft(e: FitEvidence, side: ShaftSide): SideShaft | undefined {
  const known = travels.flatMap((at) => {
    const way = apart(e, side, at);
    return way ? [[at, way] as const] : [];
  });
  if (!known.some(([at]) => at === 'ride')) return undefined;
  const lengths = known.map(
    ([at, [x, y, z]]) =>
      [
        at,
        x.through(`Between the joints, ${side}, ${at}`, 'mm', (a, b, c) => Math.hypot(a, b, c), 'geometry', y, z),
      ] as const,
  );
  const angles = known.map(
    ([at, [x, y, z]]) =>
      [
        at,
        x.through(
          `Inner joint, ${side}, ${at}`,
          'deg',
          (a, b, c) => angleBetweenDeg([a, b, c], [0, Math.sign(b), 0]),
          'geometry',
          y,
          z,
        ),
      ] as const,
  );
  const all = lengths.map(([, sum]) => sum);
  const even = all[0]!.through(
    `Length that stands even, ${side}`,
    'mm',
    (first, ...rest) => (Math.max(first, ...rest) + Math.min(first, ...rest)) / 2,
    'geometry',
    ...all.slice(1),
  );
  const plunge = e.maybe(shafts, 'plunge');
  const own = e.maybe(shafts, `length-${side}`) ?? even;
  const left = plunge?.through(
    `Plunge left at its worse end, ${side}`,
    'mm',
    (whole, long, ...each) => whole / 2 - Math.max(...each.map((d) => Math.abs(d - long))),
    'geometry',
    own,
    ...all,
  );
  return { side, lengths, angles, even, ...(left ? { left } : {}) };
}

/** The facts without which half shafts are no go. */
const wanted = shaftSides.flatMap(
  (side) =>
    [
      [inner, `${side}-x`],
      [inner, `${side}-y`],
      [inner, `${side}-z`],
      [hub, `${side}-x`],
      [hub, `${side}-y`],
      [hub, `${side}-z`],
    ] as const,
);

/** Plunge and angle of both half shafts over the travel of the wheels. */
export function halfShaftsVerdict(e: FitEvidence): Verdict {
  e.want(...wanted, [shafts, 'plunge'], [shafts, 'largest-angle']);
  const sides = shaftSides.map((side) => sideShaft(e, side)!);
  const largest = e.fact(shafts, 'largest-angle');
  const bent = leastOf(
    sides.flatMap(({ side, angles }) =>
      angles.map(([at, angle]) => [`${side} inner joint in ${at}`, largest.minus(angle)] as const),
    ),
  );
  if (bent.sum.value < 0)
    return e.say('clash', `${bent.name} bends ${(-bent.sum.value).toFixed(1)} deg over what it stands`, {
      sum: bent.sum,
      label: 'Angle left',
      margin: { value: bent.sum.value, unit: 'deg' },
    });
  const { name, sum } = leastOf(sides.map(({ side, left }) => [side, left!] as const));
  const spare = sum.minus(e.limit('Kept at each end', keptMm, 'mm', 'common practice'));
  const made = sides.filter(({ side }) => !e.maybe(shafts, `length-${side}`));
  const plunge = `${name} shaft, ${Math.abs(sum.value).toFixed(1)} mm of plunge ${sum.value < 0 ? 'short' : 'left'}`;
  if (sum.value >= 0 && made.length > 0)
    return e.say(
      'adapt',
      `to be made: ${made.map(({ side, even }) => `${side} ${even.value.toFixed(0)} mm`).join(', ')}`,
      {
        sum: spare,
        label: 'Plunge over what is kept',
        margin: { value: spare.value, unit: 'mm' },
      },
    );
  return e.sure(
    e.judge('Plunge over what is kept', spare, { boltsUp: [0, Infinity], adapt: [-keptMm, Infinity] }, plunge),
    ...shaftSides.flatMap(
      (side) =>
        [
          [hub, `${side}-z-at-bump`],
          [hub, `${side}-z-at-droop`],
        ] as const,
    ),
  );
}
