import { leastOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';
import type { Verdict } from '../../rules/verdict.ts';
import type { FitEvidence } from '../evidence.ts';
import { balanceOf } from '../mounts/judged.ts';
import { heightOf, longestCut, tilted, tiltFor } from './outline.ts';
import type { SideBox } from './outline.ts';

/** The way of the unit into the car: through the opening, over the front panel, under the hook. */

/** Kept on each side of what moves past something, mm; over the panel as well. Common practice, no source. */
export const around = 50;
/** From the highest place of the unit to the hook, mm: slings and leveller. Common practice, no source. */
export const slingMm = 300;

export interface HungUnit {
  boxes: readonly SideBox[];
  /** The sums that the boxes are drawn from. */
  of: readonly Sum[];
  withGearbox: boolean;
}

/** The unit as it is lifted, seen from its side; nothing while a size of it is not known. */
export function hungUnit(
  e: FitEvidence,
  withGearbox = e.maybeWord('cho-unit-lift') !== 'engine-alone',
): HungUnit | undefined {
  const long = e.maybe('eng-length');
  const up = e.maybe('eng-height-up', 'highest-point');
  const down = e.maybe('eng-sump-depth', 'at-bowl');
  if (!long || !up || !down) return undefined;
  const engine: SideBox = { rear: 0, front: long.value, low: -down.value, high: up.value };
  if (!withGearbox) return { boxes: [engine], of: [long, up, down], withGearbox };
  const back = e.maybe('gbx-length');
  if (!back) return undefined;
  const bell = e.maybe('gbx-envelope', 'highest-at-bell') ?? e.assume('Height of the bell', 170, 'mm', 'as bells are');
  const pan = e.maybe('gbx-envelope', 'pan-depth') ?? e.assume('Depth of the gearbox', 150, 'mm', 'as gearboxes are');
  return {
    boxes: [
      engine,
      { rear: -back.value * 0.3, front: 0, low: -bell.value, high: bell.value },
      { rear: -back.value, front: -back.value * 0.3, low: -pan.value, high: bell.value * 0.6 },
    ],
    of: [long, up, down, back, bell, pan],
    withGearbox,
  };
}

/** A number of the hung unit as one row, with the sizes it was made from below it. */
const ofUnit = (unit: HungUnit, label: string, formula: () => number): Sum =>
  unit.of[0]!.through(label, 'mm', () => formula(), 'geometry', ...unit.of.slice(1));

export interface Hang {
  unit: HungUnit;
  /** Tail down, degrees; the best there is where none lets it pass. */
  tiltDeg: number;
  /** Left of the opening when it hangs so, the air round it taken off. */
  spare: Sum;
  /** It passes hanging level. */
  level: boolean;
}

/** How the unit is to hang to pass the opening; nothing while a size is not known. */
export function hangFor(e: FitEvidence, unit: HungUnit | undefined): Hang | undefined {
  const opening = e.maybe('rec-install-path', 'opening-length');
  if (!unit || !opening) return undefined;
  const air = e.limit('50 mm on each side', 2 * around, 'mm', 'common practice');
  const room = opening.value - 2 * around;
  // From below it is lifted as it stands on its table.
  const upright = e.maybeWord('rec-install-path') === 'from-below';
  const tiltDeg = upright ? 0 : tiltFor(unit.boxes, room);
  const cut = ofUnit(unit, `Longest level cut of the unit, tail down by ${tiltDeg} deg`, () =>
    longestCut(tilted(unit.boxes, tiltDeg)),
  );
  return { unit, tiltDeg, spare: opening.minus(cut).minus(air), level: tiltDeg === 0 };
}

/** Hook over what it needs to carry the unit over the front panel; nothing while a height is not known. */
export function hookSpare(e: FitEvidence, { unit, tiltDeg }: Hang): Sum | undefined {
  const panel = e.maybe('rec-install-path', 'panel-height');
  const hook = e.maybe('rec-install-path', 'hook-height');
  if (!panel || !hook) return undefined;
  const high = ofUnit(unit, `Height of the unit, tail down by ${tiltDeg} deg`, () => {
    const { low, high: top } = heightOf(tilted(unit.boxes, tiltDeg));
    return top - low;
  });
  return hook
    .minus(panel)
    .minus(high)
    .minus(e.limit('Over the panel', around, 'mm', 'common practice'))
    .minus(e.limit('Slings and leveller over the unit', slingMm, 'mm', 'common practice'));
}

/** Boom over what it needs to hold the unit where it is to sit; nothing while a place is not known. */
export function reachSpare(e: FitEvidence): Sum | undefined {
  const reach = e.maybe('rec-install-path', 'boom-reach');
  const edge = e.maybe('rec-install-path', 'front-edge-x');
  const bell = e.maybe('cho-engine-place', 'bell-face-ahead-of-firewall-x');
  if (!reach || !edge || !bell) return undefined;
  const alone = e.maybeWord('cho-unit-lift') === 'engine-alone';
  const centre = alone ? e.maybe('eng-cg', 'x-ahead-of-bell-face') : balanceOf(e)?.x;
  return centre && reach.minus(edge.minus(bell).minus(centre));
}

/** What the unit is dressed with beside its heads, by the fact that says how far it stands out. */
const dressed = [
  ['covers-and-coils', 'Covers and coils'],
  ['accessories', 'Accessories'],
  ['manifolds', 'Manifolds'],
] as const;

/** By how much what the unit is dressed with is too wide or too long for the opening: that comes off first. */
export function offFirst(e: FitEvidence, hang: Hang | undefined): { name: string; over: Sum }[] {
  const opening = e.maybe('rec-install-path', 'opening-width');
  const air = e.limit('50 mm on each side', 2 * around, 'mm', 'common practice');
  const wide = dressed.flatMap(([at, name]) => {
    const [left, right] = [e.maybe('eng-width', `left-at-${at}`), e.maybe('eng-width', `right-at-${at}`)];
    return opening && left && right ? [{ name, over: left.plus(right).plus(air).minus(opening) }] : [];
  });
  const fan = e.maybeWord('cho-fan') === 'engine-driven' ? e.maybe('eng-fan-reach', 'fan-face') : undefined;
  const long = e.maybe('eng-length');
  const ahead = fan && long && hang ? fan.minus(long).minus(hang.spare) : undefined;
  return [...wide, ...(ahead ? [{ name: 'Fan', over: ahead }] : [])].filter(({ over }) => over.value > 0);
}

/** Openings, lift, hook and reach, the worst of them; the hoist's rating holds already. */
export function wayInVerdict(e: FitEvidence, hoist: Verdict): Verdict {
  const air = e.limit('50 mm on each side', 2 * around, 'mm', 'common practice');
  const room = (part: 'opening-width' | 'lift-height', ...of: (Sum | undefined)[]): Sum | undefined => {
    const opening = e.maybe('rec-install-path', part);
    if (!opening || of.some((one) => one === undefined)) return undefined;
    return of.reduce<Sum>((left, one) => left.minus(one!), opening).minus(air);
  };
  const hang = hangFor(e, hungUnit(e));
  const below = e.maybeWord('rec-install-path') === 'from-below';
  const firm = [
    [
      'Height of the lift',
      room(
        'lift-height',
        e.maybe('eng-height-up', 'highest-point'),
        e.maybe('eng-sump-depth', 'at-bowl'),
        ...(below ? [e.maybe('rec-install-path', 'stack-height')] : []),
      ),
    ],
    ['Length of the opening', hang?.spare],
    ['Height of the hook', hang && hookSpare(e, hang)],
    ['Reach of the boom', reachSpare(e)],
  ].filter((way): way is [string, Sum] => way[1] !== undefined);
  const width = room('opening-width', e.maybe('eng-width', 'left-at-heads'), e.maybe('eng-width', 'right-at-heads'));
  if (firm.length > 0) {
    const { name, sum } = leastOf(firm);
    if (sum.value < 0)
      return e.say('clash', `${name.toLowerCase()} ${Math.abs(sum.value).toFixed(0)} mm short`, {
        sum,
        label: name,
        margin: { value: sum.value, unit: 'mm' },
      });
  }
  if (width && width.value < 0)
    return e.say(
      width.value < -300 ? 'clash' : 'adapt',
      width.value < -300
        ? `width of the opening ${Math.abs(width.value).toFixed(0)} mm short`
        : 'hoist holds, opening is tight: protruding parts off first',
      { sum: width, label: 'Width of the opening', margin: { value: width.value, unit: 'mm' } },
    );
  if (hang && !hang.level)
    return e.say('adapt', `hoist holds, longer than its opening: hangs tail down by ${hang.tiltDeg} deg`, {
      sum: hang.spare,
      label: 'Left of the opening',
      margin: { value: hang.spare.value, unit: 'mm' },
    });
  return e.sure(
    hoist,
    ['rec-install-path', 'opening-width'],
    ['rec-install-path', 'opening-length'],
    ['rec-install-path', 'lift-height'],
    ['eng-length'],
    ['eng-height-up', 'highest-point'],
    ['eng-sump-depth', 'at-bowl'],
    ['eng-width', 'left-at-heads'],
    ['eng-width', 'right-at-heads'],
    ...(e.maybeWord('rec-install-path') === 'over-the-front'
      ? ([
          ['rec-install-path', 'panel-height'],
          ['rec-install-path', 'hook-height'],
        ] as const)
      : []),
    ...(below ? ([['rec-install-path', 'stack-height']] as const) : []),
  );
}
