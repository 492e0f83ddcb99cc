import { boxOf } from '../drawing/index.ts';
import type { Dimension, Drawing, Point, Shape, Spot } from '../drawing/index.ts';
import { factPart, partName } from '../facts/index.ts';
import { defaultSchool } from '../rules/book.ts';
import type { FactBook } from '../rules/book.ts';
import { Sum, weaker } from '../rules/sum.ts';
import { flattestLegDeg, gearboxBalance, gearWords, hookAheadMm, hungOnTwoLegs, turned } from '../sums/index.ts';
import type { HungLoad, LiftPoint } from '../sums/index.ts';
import { capital, counted, formatMeasure } from '../units/index.ts';
import { hoistLeftOver } from './hoist.ts';
import { craneRating, hungAt, hungMass, noItems, onStands, ratingOver } from './lift-items.ts';
import type { ItemOf, LiftItems } from './lift-items.ts';
import type { RigRecord } from './records.ts';

/**
 * The lift of a unit on two legs and one hook: what hangs, where it balances, how steep the legs stand, what each carries,
 * and what nobody knows. It says "goes on" only of what was measured or looked up; what is assumed is drawn dashed and named.
 */

/** Moves of a pull at which the engine is lifted: nothing may hold it to the car, and nothing refuse the lift. */
export const liftSteps = ['rm-lift-50', 'rm-exit'] as const;

export const liftWords = { 'goes-on': 'Goes on', look: 'Look', 'not-known': 'Not known', stop: 'Stop' } as const;
export type LiftWord = keyof typeof liftWords;

export interface LiftFinding {
  word: LiftWord;
  said: string;
  /** The number behind it. */
  sum?: Sum;
}

export interface LiftPlan {
  /** The worst of what was found. */
  word: LiftWord;
  findings: readonly LiftFinding[];
  drawing: Drawing;
}

export interface LiftCase {
  /** Facts of the engine and gearbox that are lifted. */
  unit: FactBook;
  /** Facts of the car and the choices. */
  job: FactBook;
  rig:
    | Pick<
        RigRecord,
        'unitId' | 'frontX' | 'frontZ' | 'rearX' | 'rearZ' | 'hookAbove' | 'hookX' | 'leastRatingKg' | 'tailDownDeg'
      >
    | undefined;
  /** What hangs with it, what carries it, what it must clear, what the car stands on. */
  items?: LiftItems;
  /** Which engine that is. */
  unitId?: string | undefined;
  /** The unit is one that comes in; otherwise it is the car's own. */
  comesIn: boolean;
}

const severity: readonly LiftWord[] = ['goes-on', 'look', 'not-known', 'stop'];
const kg = (sum: Sum): string => formatMeasure(sum.value, 'kg', 0);
const degrees = (n: number): string => `${n.toFixed(0)}°`;

/** A number of a book as a sum, or nothing. */
function known(book: FactBook, factId: Parameters<typeof factPart>[0], partKey = 'value'): Sum | undefined {
  const fact = book.get(factId);
  const value = fact?.parts[partKey];
  if (typeof value !== 'number') return undefined;
  const unit = factPart(factId, partKey).unit ?? '';
  return Sum.of({ label: partName(factId, partKey), value, unit, factId, partKey }, fact!.source);
}

const assumed = (label: string, value: number, unit: string, why: string): Sum =>
  Sum.of({ label, value, unit, basis: `assumed: ${why}` }, 'assumed');

const isFirm = (sum: Sum): boolean => sum.weakest !== 'assumed';

/** How much a finding says that stands on where the load balances: nothing while something is missing, little while a part of it is taken. */
const wordOf = (load: Load): LiftWord =>
  load.missing.length > 0 ? 'not-known' : isFirm(load.x) && isFirm(load.z) ? 'goes-on' : 'look';
/** Put before a number that stands on something taken. */
const about = (load: Load): string => (wordOf(load) === 'goes-on' ? '' : 'about ');

interface Load {
  mass: Sum | undefined;
  /** Where it balances: ahead of the bell face and above the crank, mm. */
  x: Sum;
  z: Sum;
  withGearbox: boolean;
  missing: string[];
}

/** Sizes drawn where nobody measured: dashed, and of no use but to see what is meant. */
const drawnAs = { engine: 560, above: 330, below: 190, gearbox: 600, gearboxUp: 130 } as const;

/** The balance of several masses along one axis. */
function balanceOf(label: string, parts: readonly { mass: Sum; at: Sum }[]): Sum {
  const [first, ...rest] = parts as [{ mass: Sum; at: Sum }, ...{ mass: Sum; at: Sum }[]];
  if (rest.length === 0) return first.at;
  return first.at.through(
    label,
    'mm',
    (at, mass, ...others) => {
      const all = [at, mass, ...others];
      let [moment, total] = [0, 0];
      for (let i = 0; i < all.length; i += 2) {
        moment += all[i]! * all[i + 1]!;
        total += all[i + 1]!;
      }
      return moment / total;
    },
    'mean by mass',
    first.mass,
    ...rest.flatMap(({ mass, at }) => [at, mass]),
  );
}

function loadOf({ unit, job, items = noItems }: LiftCase): Load {
  const missing: string[] = [];
  const choice = job.get('cho-unit-lift');
  const lift = choice?.parts['value'];
  const withGearbox = lift !== undefined && lift !== 'engine-alone';
  // That the lighter load is lifted is nothing the application may take for granted.
  const lighterByDefault = lift === 'engine-alone' && choice?.by === defaultSchool;
  if (lift === undefined || lighterByDefault) missing.push('whether the gearbox goes with it');
  const engine = known(unit, 'eng-mass');
  const length = known(unit, 'eng-length');
  const half = length?.value ?? drawnAs.engine;
  const engineX =
    known(unit, 'eng-cg', 'x-ahead-of-bell-face') ??
    assumed('Centre of gravity, ahead of the bell face', half / 2, 'mm', 'half the length of the engine');
  const engineZ =
    known(unit, 'eng-cg', 'z-above-crank') ??
    assumed('Centre of gravity, above the crank', 60, 'mm', 'a little over the crank');
  if (!isFirm(engineX) || !isFirm(engineZ)) missing.push('where the engine balances');
  if (!engine) missing.push('what the engine weighs');
  const gearbox = withGearbox ? known(unit, 'gbx-mass') : undefined;
  if (withGearbox && !gearbox) missing.push('what the gearbox weighs');
  const behind = known(unit, 'gbx-cg', 'behind-bell-face');
  const gearboxX = behind?.through('Balance of the gearbox, ahead of the bell face', 'mm', (mm) => -mm, 'as read');
  const guessed = items.hangs.filter((i) => i.known === 'estimated');
  if (guessed.length > 0) missing.push(`what weighs: ${guessed.map((i) => i.what).join(', ')} (an estimate)`);
  if (!engine || (withGearbox && !gearbox)) return { mass: undefined, x: engineX, z: engineZ, withGearbox, missing };
  const parts = [
    { mass: engine, x: engineX, z: engineZ },
    ...(gearbox
      ? [
          {
            mass: gearbox,
            x:
              gearboxX ??
              assumed(
                'Centre of gravity of the gearbox, ahead of the bell face',
                -gearboxBalance * (known(unit, 'gbx-length')?.value ?? drawnAs.gearbox),
                'mm',
                '40 % of its length behind the face',
              ),
            z:
              known(unit, 'gbx-cg', 'above-axis') ??
              assumed('Centre of gravity of the gearbox, above the crank', 0, 'mm', 'on its input axis'),
          },
        ]
      : []),
    ...items.hangs.map((i) => ({ mass: hungMass(i), x: hungAt(i, 'x'), z: hungAt(i, 'z') })),
  ];
  return {
    mass: parts.slice(1).reduce((sum, { mass }) => sum.plus(mass), engine),
    x: balanceOf(
      'All balance, ahead of the bell face',
      parts.map(({ mass, x }) => ({ mass, at: x })),
    ),
    z: balanceOf(
      'All balance, above the crank',
      parts.map(({ mass, z }) => ({ mass, at: z })),
    ),
    withGearbox,
    missing,
  };
}

/** Hook, eyes and how the load hangs on them; a sentence where it cannot. */
type Hung =
  | { can: true; hook: LiftPoint; front: LiftPoint; rear: LiftPoint; hung: HungLoad }
  | { can: false; hook: LiftPoint; front: LiftPoint; rear: LiftPoint; sentence: string };

function hang(rig: NonNullable<LiftCase['rig']>, load: Load): Hung {
  const front = { x: rig.frontX, z: rig.frontZ };
  const rear = { x: rig.rearX, z: rig.rearZ };
  const hookZ = Math.max(front.z, rear.z) + rig.hookAbove;
  const above = hookZ - load.z.value;
  const wanted = rig.tailDownDeg !== undefined && above > 0 ? hookAheadMm(rig.tailDownDeg, above) : 0;
  const hook = { x: rig.hookX ?? load.x.value + wanted, z: hookZ };
  try {
    const hung = hungOnTwoLegs(front, rear, hook, { x: load.x.value, z: load.z.value });
    return { can: true, hook, front, rear, hung };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { can: false, hook, front, rear, sentence: error.message };
  }
}

function legFindings(
  name: string,
  leg: HungLoad['front'],
  load: Load,
  rig: NonNullable<LiftCase['rig']>,
  gear: readonly ItemOf<'carries'>[],
): LiftFinding[] {
  const said = `${name} leg ${about(load)}${degrees(leg.fromLevelDeg)} from level`;
  const steep: LiftFinding =
    leg.fromLevelDeg < flattestLegDeg
      ? { word: 'stop', said: `${said}: flatter than ${flattestLegDeg}° is refused. Longer legs, or a beam.` }
      : { word: wordOf(load), said };
  if (!load.mass) return [steep];
  const pull = load.mass.through(
    `Pull in the ${name.toLowerCase()} leg`,
    'kg',
    (mass, share) => mass * share,
    'three forces that meet at the hook',
    Sum.of(
      { label: `Part of the load at ${degrees(leg.fromLevelDeg)}`, value: leg.share, unit: '', basis: 'statics' },
      weaker(load.x.weakest, load.z.weakest),
    ),
  );
  const own = gear.filter((g) => g.on === name.toLowerCase());
  const each = own.map((g) => gearFinding(g, pull, 90 - leg.fromLevelDeg, load));
  if (rig.leastRatingKg === undefined)
    return own.length > 0
      ? [steep, ...each]
      : [steep, { word: 'not-known', said: `${name} leg pulls ${about(load)}${kg(pull)}`, sum: pull }];
  const left = Sum.of({
    label: 'Least rating of the gear',
    value: rig.leastRatingKg,
    unit: 'kg',
    basis: 'its plate',
  }).minus(pull);
  return [
    steep,
    ...each,
    {
      word: left.value < 0 ? 'stop' : isFirm(load.mass) ? wordOf(load) : 'not-known',
      said: `${name} leg pulls ${about(load)}${kg(pull)} of ${formatMeasure(rig.leastRatingKg, 'kg', 0)}`,
      sum: left,
    },
  ];
}

/** An element of the gear against what it carries, as it is used here. */
function gearFinding(item: ItemOf<'carries'>, pull: Sum, offUprightDeg: number, load: Load): LiftFinding {
  const { left, kept } = ratingOver(item, pull, offUprightDeg);
  const what = `${capital(item.what)} (${gearWords[item.gear]}${item.on === 'hook' ? ', at the hook' : `, ${item.on} leg`})`;
  if (kept === 0)
    return {
      word: 'stop',
      said: `${what}: ${degrees(offUprightDeg)} off upright, and without a shoulder it bears upright pull alone`,
      sum: left,
    };
  const plate = formatMeasure(item.ratingKg, 'kg', 0);
  const rating =
    kept === 1
      ? plate
      : `${formatMeasure(kept * item.ratingKg, 'kg', 0)}, ${kept * 100} % of ${plate} at ${degrees(offUprightDeg)} off upright`;
  return {
    word: left.value < 0 ? 'stop' : load.mass && isFirm(load.mass) ? wordOf(load) : 'not-known',
    said: `${what} carries ${about(load)}${kg(pull)} of ${rating}`,
    sum: left,
  };
}

/** What is to be cleared, and how the car stands once the load is out. */
function roomFindings({ job, items = noItems }: LiftCase, load: Load): LiftFinding[] {
  const clears = items.clears.map(({ what, needMm, hasMm }): LiftFinding => {
    const left = Sum.of(
      { label: 'Rise that is there', value: hasMm, unit: 'mm', basis: 'as written' },
      'measured',
    ).minus(Sum.of({ label: `Rise wanted: ${what}`, value: needMm, unit: 'mm', basis: 'as written' }, 'measured'));
    const of = `${formatMeasure(needMm, 'mm', 0)} of ${what}, ${formatMeasure(hasMm, 'mm', 0)} of lift`;
    return left.value < 0
      ? { word: 'stop', said: `${of}: tilt it, or take that out first`, sum: left }
      : { word: 'goes-on', said: `${of}: ${formatMeasure(left.value, 'mm', 0)} left`, sum: left };
  });
  if (!items.stands) return clears;
  const stood = onStands(items.stands, {
    front: known(job, 'rec-axle-masses', 'front'),
    rear: known(job, 'rec-axle-masses', 'rear'),
    wheelbase: known(job, 'rec-wheelbase'),
    leaves: load.mass,
  });
  if ('missing' in stood)
    return [
      ...clears,
      { word: 'not-known', said: `How the car stands afterwards is not known without ${stood.missing.join(' and ')}` },
    ];
  const { balance, tips, shareFront, light, before } = stood;
  const share = `${Math.round(shareFront * 100)} % on the front stands`;
  return [
    ...clears,
    tips !== undefined
      ? {
          word: 'stop',
          said: `${before ? 'The car as it is' : 'Once it is out the car'} tips to the ${tips}: stands farther to the ${tips}, or that end tied down`,
          sum: balance,
        }
      : {
          word: light ? 'look' : isFirm(balance) && load.missing.length === 0 ? 'goes-on' : 'not-known',
          said: `Once it is out the car balances ${formatMeasure(balance.value, 'mm', 0)} behind its front axle, ${share}${light ? ': tie down the light end' : ''}`,
          sum: balance,
        },
  ];
}

/** Turns of more than this are seen at once and set by the leveller before the load rises. Common practice, no source. */
const levelWithinDeg = 3;

function hookFindings(at: Hung, load: Load, rig: NonNullable<LiftCase['rig']>): LiftFinding[] {
  if (!at.can) return [{ word: 'stop', said: at.sentence }];
  if (at.hook.x <= at.rear.x || at.hook.x >= at.front.x)
    return [{ word: 'stop', said: 'The hook does not stand between the eyes: free of its mounts it would swing' }];
  const { tiltDeg } = at.hung;
  const each = (Math.atan2(10, at.hook.z - load.z.value) * 180) / Math.PI;
  const byTen = `10 mm of the leveller turn it ${each.toFixed(1)}°`;
  const wanted = rig.tailDownDeg ?? 0;
  // What was wanted is how it should hang; the place of the hook that does it is said to be set.
  const asWanted = rig.tailDownDeg !== undefined && Math.abs(-tiltDeg - wanted) <= levelWithinDeg;
  const ahead = Math.round(at.hook.x - load.x.value);
  const turns: LiftFinding = asWanted
    ? {
        word: wordOf(load),
        said: `Hangs ${degrees(Math.abs(wanted))} ${wanted < 0 ? 'nose' : 'tail'} down as wanted, with the hook ${formatMeasure(Math.abs(ahead), 'mm', 0)} ${ahead < 0 ? 'behind' : 'ahead of'} the balance; ${byTen}`,
      }
    : Math.abs(tiltDeg) <= levelWithinDeg
      ? {
          word: wordOf(load),
          said: `Hangs level within ${levelWithinDeg}°; ${byTen}`,
        }
      : { word: 'look', said: `Hangs ${degrees(Math.abs(tiltDeg))} ${tiltDeg > 0 ? 'nose' : 'tail'} down; ${byTen}` };
  const low = Math.min(at.front.z, at.rear.z);
  return load.z.value > low
    ? [turns, { word: 'look', said: 'It balances above the lower eye: held at the side until it hangs clear' }]
    : [turns];
}

/** A hoist for so much against the load and its reserve. */
function carriedBy(who: string, where: string, rating: Sum, load: Load): LiftFinding {
  if (!load.mass)
    return {
      word: 'not-known',
      said: `What it weighs is not known, so ${who.toLowerCase()} cannot be held against it`,
    };
  const left = hoistLeftOver(rating, load.mass);
  const firm = isFirm(left) && !load.missing.includes('whether the gearbox goes with it');
  return {
    word: left.value < 0 ? 'stop' : firm ? 'goes-on' : 'not-known',
    said:
      left.value < 0
        ? `${who} carries ${kg(rating)} ${where}; ${kg(load.mass)} and a reserve are ${formatMeasure(-left.value, 'kg', 0)} too much`
        : `${kg(load.mass)} hang on ${who.toLowerCase()} for ${kg(rating)}`,
    sum: left,
  };
}

/** What hoist and crane carry where they are used: a plate that was written hole by hole stands for the fact. */
function hoistFindings({ job, items }: LiftCase, load: Load): LiftFinding[] {
  const rating = known(job, 'rec-install-path', 'hoist-rating-at-boom-place');
  const cranes = (items ?? noItems).crane;
  const byPlate = cranes.map((crane): LiftFinding => {
    const at = craneRating(crane);
    const where = `at ${formatMeasure(crane.reachMm, 'mm', 0)}`;
    return at
      ? carriedBy(capital(crane.what), where, at, load)
      : { word: 'stop', said: `${capital(crane.what)} is used ${where}, beyond the longest reach on its plate` };
  });
  if (rating) return [carriedBy('The hoist', 'at this boom place', rating, load), ...byPlate];
  return byPlate.length > 0
    ? byPlate
    : [{ word: 'not-known', said: 'What the hoist carries at this boom place is not written' }];
}

/** The load, how it hangs where somebody wrote where the slings hold, and what is to be minded about it, the worst first. */
function lookedAt(lift: LiftCase): { load: Load; at: Hung | undefined; findings: LiftFinding[] } {
  const load = loadOf(lift);
  const { carries, ofAnother } = lift.items ?? noItems;
  const onLegs = (['front', 'rear'] as const).every((leg) => carries.some((g) => g.on === leg));
  const other = lift.rig?.unitId !== undefined && lift.rig.unitId !== lift.unitId;
  const rig = other ? undefined : lift.rig;
  const at = rig ? hang(rig, load) : undefined;
  const findings: LiftFinding[] = [
    ...hoistFindings(lift, load),
    ...(rig && at
      ? [
          ...hookFindings(at, load, rig),
          ...(at.can
            ? [
                ...legFindings('Front', at.hung.front, load, rig, carries),
                ...legFindings('Rear', at.hung.rear, load, rig, carries),
              ]
            : []),
          ...(rig.leastRatingKg === undefined && !onLegs
            ? [
                {
                  word: 'not-known' as const,
                  said: 'The least rating among sling, shackle, leveller and bolt is not written',
                },
              ]
            : []),
        ]
      : [
          {
            word: 'not-known' as const,
            said: other
              ? 'Where the slings hold was written for another engine'
              : 'Where the slings hold is not written',
          },
        ]),
    ...(load.mass ? carries.filter((g) => g.on === 'hook').map((g) => gearFinding(g, load.mass!, 0, load)) : []),
    ...roomFindings(lift, load),
    ...(ofAnother > 0
      ? [
          {
            word: 'look' as const,
            said: `${counted(ofAnother, 'thing')} of this lift written for another engine: not counted`,
          },
        ]
      : []),
    ...load.missing.map((what): LiftFinding => ({ word: 'not-known', said: `Nobody wrote ${what}` })),
    ...(load.withGearbox && !isFirm(load.x)
      ? [
          {
            word: 'look' as const,
            said: 'The gearbox is taken to balance at 40 % of its length: look at 50 mm, before it goes higher',
          },
        ]
      : []),
  ].sort((a, b) => severity.indexOf(b.word) - severity.indexOf(a.word));
  return { load, at, findings };
}

/** What is to be minded about a lift, the worst first, with the drawing of it. */
export function liftPlan(lift: LiftCase): LiftPlan {
  const { load, at, findings } = lookedAt(lift);
  return { word: findings[0]!.word, findings, drawing: draw(lift, load, at) };
}

/** What refuses a lift: gear or hoist under what it carries, a leg too flat, no room, a car that tips; and of a lift that somebody planned, a mass that nobody knows. */
export function liftStops(lift: LiftCase): string[] {
  const { load, findings } = lookedAt(lift);
  const planned =
    lift.rig !== undefined || Object.values(lift.items ?? noItems).some((i) => Array.isArray(i) && i.length > 0);
  return [
    ...findings.filter((f) => f.word === 'stop').map((f) => f.said),
    ...(planned && !load.mass ? ['What it weighs is not known'] : []),
  ];
}

/** Seen from the left of the car, its front to the left. */
const seen = ({ x, z }: LiftPoint): Point => ({ x: -x, y: z });

function draw({ unit, comesIn }: LiftCase, load: Load, at: Hung | undefined): Drawing {
  const tilt = at?.can ? (at.hung.tiltDeg * Math.PI) / 180 : 0;
  const put = (x: number, z: number): Point => seen(at ? turned({ x, z }, at.hook, tilt) : { x, z });
  const length = known(unit, 'eng-length');
  const up = known(unit, 'eng-height-up', 'highest-point');
  const down = known(unit, 'eng-sump-depth', 'at-bowl');
  const [l, u, d] = [length?.value ?? drawnAs.engine, up?.value ?? drawnAs.above, down?.value ?? drawnAs.below];
  const own = comesIn ? 'in' : 'car';
  const shapes: Shape[] = [
    {
      id: 'engine',
      name: length && up && down ? 'engine' : 'engine, sizes assumed',
      ink: length && up && down ? own : 'assumed',
      closed: true,
      points: [
        put(0, u * 0.55),
        put(l * 0.12, u),
        put(l * 0.86, u),
        put(l, u * 0.4),
        put(l, -d * 0.45),
        put(l * 0.62, -d * 0.5),
        put(l * 0.56, -d),
        put(l * 0.1, -d),
        put(0, -d * 0.5),
      ],
    },
  ];
  const g = known(unit, 'gbx-length');
  if (load.withGearbox) {
    const [gl, gu] = [
      g?.value ?? drawnAs.gearbox,
      known(unit, 'gbx-envelope', 'highest-at-bell')?.value ?? drawnAs.gearboxUp,
    ];
    shapes.push({
      id: 'gearbox',
      name: g ? 'gearbox' : 'gearbox, sizes assumed',
      ink: g ? own : 'assumed',
      closed: true,
      points: [
        put(0, gu),
        put(-gl * 0.3, gu * 0.72),
        put(-gl, gu * 0.45),
        put(-gl, -gu * 0.45),
        put(-gl * 0.3, -gu * 0.8),
        put(0, -gu),
      ],
    });
  }
  const balance = put(load.x.value, load.z.value);
  const spots: Spot[] = [
    {
      id: 'balance',
      name: wordOf(load) === 'goes-on' ? 'it balances here' : 'it may balance here',
      ink: wordOf(load) === 'goes-on' ? own : 'assumed',
      at: balance,
      mark: 'cross',
    },
  ];
  const dimensions: Dimension[] = [];
  if (at) {
    const hook = seen(at.hook);
    spots.push({ id: 'hook', name: 'hook', ink: 'gear', at: hook, mark: 'hook' });
    for (const [id, eye, leg] of [
      ['front', at.front, at.can ? at.hung.front : undefined],
      ['rear', at.rear, at.can ? at.hung.rear : undefined],
    ] as const) {
      const place = put(eye.x, eye.z);
      spots.push({ id: `eye-${id}`, name: `${id} eye`, ink: 'gear', at: place, mark: 'ring' });
      shapes.push({ id: `leg-${id}`, name: `${id} leg`, ink: 'gear', closed: false, points: [place, hook] });
      if (!leg) continue;
      const pull = load.mass ? `, ${formatMeasure(load.mass.value * leg.share, 'kg', 0)}` : '';
      const bare = `${degrees(leg.fromLevelDeg)}${pull}`;
      dimensions.push({
        id: `angle-${id}`,
        name: `${id} leg, from level`,
        said: `${about(load)}${bare}`,
        from: place,
        to: hook,
        aside: 0,
        ...(leg.fromLevelDeg < flattestLegDeg ? { word: 'stop' as const } : {}),
      });
    }
    shapes.push({
      id: 'plumb',
      name: 'plumb line under the hook',
      ink: 'gear',
      closed: false,
      points: [hook, { x: hook.x, y: balance.y }],
    });
  }
  if (length)
    dimensions.push({
      id: 'length',
      name: 'engine length',
      said: formatMeasure(length.value, 'mm'),
      from: put(l, -d),
      to: put(0, -d),
      aside: -18,
      rows: length.rows,
    });
  const drawing: Drawing = { name: 'The lift, from the left', summary: '', unit: 'mm', shapes, spots, dimensions };
  const { width, height } = boxOf(drawing);
  const hangs = at?.can
    ? `hangs ${Math.abs(at.hung.tiltDeg) < 0.5 ? 'level' : `${degrees(Math.abs(at.hung.tiltDeg))} ${at.hung.tiltDeg > 0 ? 'nose' : 'tail'} down`}`
    : 'does not hang yet';
  return {
    ...drawing,
    summary: `${load.withGearbox ? 'Engine and gearbox' : 'Engine'}, ${hangs}; ${formatMeasure(Math.round(width), 'mm')} long and ${formatMeasure(Math.round(height), 'mm')} high with its slings.`,
  };
}
