import { rule } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';
import { marginIn } from '../../rules/evidence.ts';
import { farthestOf, leastOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';
import { atStation } from '../../facts/index.ts';
import type { Stations } from '../../facts/index.ts';
import type { FitWord } from '../../rules/condition.ts';
import type { Verdict } from '../../rules/verdict.ts';
import { hoistLeftOver } from '../../pull/hoist.ts';
import {
  bossFromPad,
  crankSlope,
  mountAxes,
  mountMeetsMm,
  mountReachMm,
  mountSides,
  overRating,
  sideKnown,
} from '../mounts/judged.ts';
import { drawnGaps } from '../shapes/drawn.ts';
import type { DrawnGap } from '../shapes/drawn.ts';
import { crossVerdict } from '../mounts/across.ts';
import { besideArm, besideArms } from '../mounts/neighbours.ts';
import { wayInVerdict } from '../way-in/judged.ts';
import { beltOffset } from '../../sums/limits.ts';

const geo = 'geometry; clearances common practice';

/** Least fall of a turbo drain, mm. Common practice, no source; the turbo maker first. */
const leastFallMm = 20;
const place = 'cho-engine-place';

const rad = (deg: number): number => (deg * Math.PI) / 180;

/**
 * Lies the engine across the car? Then lengths and widths change places. Which way its pulley end points says it; where nobody said,
 * the layout of the car does, and where nobody said that, it is taken to lie along it.
 */
const across = (e: FitEvidence): boolean => {
  const pulley = e.maybeWord('cho-pulley-side');
  if (pulley !== undefined) return pulley === 'left' || pulley === 'right';
  return notInFront(e);
};

/** Is the engine behind the firewall, or across before it? */
const notInFront = (e: FitEvidence): boolean => {
  const layout = e.maybeWord('rec-drive-layout');
  return layout !== undefined && !layout.startsWith('front-longitudinal');
};

/** A slope that an engine can have, deg. Throws a RangeError on one it cannot. */
function sane(slopeDeg: number): number {
  if (Math.abs(slopeDeg) > 30) throw new RangeError('An engine slopes by a few degrees');
  return slopeDeg;
}

/** How much higher a place of the engine stands by its slope, ahead of the bell face. */
const raisedBy = (slope: Sum, ahead: Sum): Sum =>
  ahead.through('Higher by the slope', 'mm', (x, deg) => x * Math.tan(rad(sane(deg))), 'geometry', slope);

const farther = (a: Sum | undefined, b: Sum | undefined): Sum | undefined =>
  a && b ? (a.value >= b.value ? a : b) : (a ?? b);

/** Sideways from the centre line, without its sign; nothing where nobody moved it. */
const sideways = (e: FitEvidence): Sum | undefined => e.maybe(place, 'sideways-from-centre-line-y');

/** A unit is moved sideways by so much at the most, mm (common practice). */
const mostSideways = 25;

/** What each of them leaves over its least gap, by name. */
const leftOf = (gaps: readonly DrawnGap[]): (readonly [string, Sum])[] =>
  gaps.map(({ pair, gap, need }) => [pair.name, gap.minus(need)]);

/** The tightest of the drawn gaps of a place over the least of its row; nothing where it is not drawn. */
function drawnVerdict(e: FitEvidence, interfaceId: string, label: string, floorMm?: number): Verdict | undefined {
  const gaps = drawnGaps(e, interfaceId);
  if (!gaps) return undefined;
  const { name, sum } = leastOf(leftOf(gaps));
  return e.over(label, sum, gaps.find((g) => g.pair.name === name)!.need, floorMm);
}

/** A stretch of the car that the sump passes, and what the sump must keep of it. */
interface Passing {
  id: string;
  label: string;
  rear: Sum | undefined;
  front: Sum | undefined;
  top: Sum;
  clearance: string;
  floorMm: number;
}

/**
 * Sump over something that crosses the car: the bowl where it stands over it, the shallower front part where that does, and along
 * the car where they pass beside each other.
 */
function sumpOver(e: FitEvidence, { id, label, rear, front, top, clearance, floorMm }: Passing): Verdict {
  const drawn = drawnVerdict(e, id, `Left between sump and ${label}`, floorMm);
  if (drawn) return drawn;
  e.want([place, 'crank-axis-above-body-datum-z'], ['eng-sump-depth', 'at-bowl']);
  const crankZ = e.fact(place, 'crank-axis-above-body-datum-z');
  const bell = e.maybe(place, 'bell-face-ahead-of-firewall-x');
  const bowlRear = e.maybe('eng-sump-bowl-place', 'bowl-rear-x');
  const bowlFront = e.maybe('eng-sump-bowl-place', 'bowl-front-x');
  const slope = crankSlope(e);
  const floor = (depth: Sum, ahead: Sum | undefined): Sum => {
    const level = crankZ.minus(depth);
    return slope && ahead ? level.plus(raisedBy(slope, ahead)) : level;
  };
  // The plug hangs lower than the floor on some sumps.
  const deepest = farther(e.fact('eng-sump-depth', 'at-bowl'), e.maybe('eng-sump-depth', 'drain-plug'))!;
  const bowl = e.gap(`Left between bowl and ${label}`, floor(deepest, bowlRear).minus(top), clearance, floorMm);
  // What clears it at its deepest clears it everywhere; where an end is not known they may stand over one another.
  if (bowl.word === 'bolts-up' || !bell || !bowlRear || !bowlFront || !rear || !front) return bowl;
  const ahead = bell.plus(bowlRear).minus(front);
  const behind = rear.minus(bell).minus(bowlFront);
  const beside = ahead.value >= behind.value ? ahead : behind;
  if (beside.value < 0) return bowl;
  const along = e.gap(`Left along the car between bowl and ${label}`, beside, clearance, floorMm);
  if (beside === ahead) return along;
  // Ahead of the bowl the shallow part of the sump goes on over what crosses there.
  const shallow = floor(e.fact('eng-sump-depth', 'at-front'), bowlFront).minus(top);
  const over = e.gap(`Left between the front of the sump and ${label}`, shallow, clearance, floorMm);
  const rank: Record<FitWord, number> = { clash: 0, adapt: 1, 'not-measured': 2, 'bolts-up': 3 };
  return rank[over.word] < rank[along.word] ? over : along;
}

/** Rear face of the core ahead of the firewall: a thicker radiator stands farther back than the old one did. */
function coreFace(e: FitEvidence): Sum {
  const old = e.fact('rec-bay-length', 'to-core-rear-face');
  const back = e.maybe('cho-radiator', 'rear-face-back');
  return back && back.value !== 0 ? old.minus(back) : old;
}

/** How far the engine reaches ahead of its bell face, with the fan that belongs to it. */
function noseOf(e: FitEvidence): { reach: 'fan-face' | 'pulley-face'; clearance: string; driven: boolean } {
  const driven = e.word('cho-fan') === 'engine-driven';
  return { driven, reach: driven ? 'fan-face' : 'pulley-face', clearance: driven ? 'cl-fan-core' : 'cl-pulley-fan' };
}

const withFan = (e: FitEvidence, gap: Sum): Sum =>
  e.word('cho-fan') === 'electric-puller' ? gap.minus(e.fact('cho-fan', 'thickness')) : gap;

type Nose = ReturnType<typeof noseOf>;

/** Room behind the core for an engine that lies along the car, over its least gap. */
function alongLeft(e: FitEvidence, core: Sum, nose: Nose): Sum {
  e.want(['eng-fan-reach', nose.reach]);
  const behind = e.maybe(place, 'bell-face-ahead-of-firewall-x') ?? e.clearance('cl-firewall');
  return withFan(e, core.minus(behind).minus(e.fact('eng-fan-reach', nose.reach))).minus(e.clearance(nose.clearance));
}

/** The same for one that lies across: its two half-widths stand between firewall and core. */
function acrossLeft(e: FitEvidence, core: Sum, nose: Nose): Sum {
  e.want(['eng-width', 'left-at-manifolds'], ['eng-width', 'right-at-manifolds']);
  const deep = e.fact('eng-width', 'left-at-manifolds').plus(e.fact('eng-width', 'right-at-manifolds'));
  return withFan(e, core.minus(deep)).minus(e.clearance('cl-firewall')).minus(e.clearance(nose.clearance));
}

/**
 * The hood over the highest point, where it was read station by station: between the stations there, or the lowest of all where
 * nobody knows where that point comes to lie or it lies outside of them.
 */
function lowestOverEngine(e: FitEvidence): Sum | undefined {
  const bell = e.maybe(place, 'bell-face-ahead-of-firewall-x');
  const high = e.maybe('eng-height-up', 'highest-point-x');
  const over = bell && high ? bell.value + high.value : undefined;
  const there = (profile: Stations): number | undefined => (over === undefined ? undefined : atStation(profile, over));
  return (
    e.ofStations('rec-hood-profile', 'profile', 'Hood over the highest point, between the stations there', there) ??
    e.ofStations('rec-hood-profile', 'profile', 'Hood at the lowest of its stations', (profile) =>
      Math.min(...profile.map((row) => row[1]!)),
    )
  );
}

/** Fans that sweep less of a core than this leave corners that no air is drawn through. Common practice, no source. */
const leastSwept = 0.4;

/** What share of the core the fans sweep; nothing while a size is not known. */
function sweptShare(e: FitEvidence): Sum | undefined {
  const across = e.maybe('cho-fan', 'diameter');
  const count = e.maybe('cho-fan', 'count');
  const [height, width] = [e.maybe('rec-radiator-core', 'height'), e.maybe('rec-radiator-core', 'width')];
  if (!across || !count || !height || !width) return undefined;
  return across.through(
    'Of the core that is swept',
    '',
    (d, n, h, w) => (n * Math.PI * (d / 2) ** 2) / (h * w),
    'geometry',
    count,
    height,
    width,
  );
}

export const spaceRules = [
  rule('fit-bay-length', geo, (e) => {
    const nose = noseOf(e);
    const core = coreFace(e);
    const drawn = drawnGaps(e, 'fit-bay-length');
    const simple = (): Sum => (across(e) ? acrossLeft(e, core, nose) : alongLeft(e, core, nose));
    const left = drawn ? leastOf(leftOf(drawn)).sum : simple();
    const support = e.maybe('rec-bay-length', 'to-radiator-support');
    const deep = e.maybe('rec-radiator-core', 'overall-depth') ?? e.maybe('rec-radiator-core', 'core-depth');
    if (left.value < 0 && support && support.value > core.value && !deep)
      e.want(['rec-radiator-core', 'overall-depth']);
    // At its support the radiator still has its own depth.
    const forward = support && deep ? Math.max(0, support.value - deep.value - core.value) : 0;
    return e.sure(
      e.judge('Left between engine and core', left, { boltsUp: [10, Infinity], adapt: [-forward, Infinity] }),
      ['rec-drive-layout'],
    );
  }),
  rule('fit-bay-width', geo, (e) => {
    const drawn = drawnGaps(e, 'fit-bay-width');
    if (across(e)) {
      if (drawn)
        return e.judge('Left to the sides', leastOf(leftOf(drawn)).sum, {
          boltsUp: [0, Infinity],
          adapt: [-mostSideways, Infinity],
        });
      e.want(['rec-bay-width', 'between-rails-at-mounts'], ['eng-length'], ['gbx-length']);
      const left = e
        .fact('rec-bay-width', 'between-rails-at-mounts')
        .minus(e.fact('eng-length'))
        .minus(e.fact('gbx-length'))
        .minus(e.clearance('cl-fixed'))
        .minus(e.clearance('cl-fixed'));
      return e.judge('Left between the rails, both sides together', left, {
        boltsUp: [0, Infinity],
        adapt: [0, Infinity],
      });
    }
    e.want(
      ['rec-bay-width', 'between-towers-at-head-height'],
      ['eng-width', 'left-at-covers-and-coils'],
      ['eng-width', 'right-at-covers-and-coils'],
    );
    const half = (width: Sum, label: string): Sum => width.over(e.limit('Two sides', 2, '', 'geometry'), label);
    const towers = half(
      e.fact('rec-bay-width', 'between-towers-at-head-height'),
      'Half of the width between towers at head height',
    );
    const rails = e.maybe('rec-bay-width', 'between-rails-at-mounts');
    const offset = sideways(e);
    const moved = (room: Sum, which: 'left' | 'right'): Sum => {
      if (!offset || offset.value === 0) return room;
      return which === 'left' ? room.minus(offset) : room.plus(offset);
    };
    const high = e.clearance('cl-rock-upper');
    const low = e.clearance('cl-fixed');
    const asDrawn = new Map(drawn?.map(({ pair, gap, need }) => [pair.id, gap.minus(need)]));
    const covers = (which: 'left' | 'right'): Sum =>
      asDrawn.get(`covers-${which}`) ??
      moved(towers.minus(e.fact('eng-width', `${which}-at-covers-and-coils`)).minus(high), which);
    const [left, right] = [covers('left'), covers('right')];
    const deeper = (which: 'left' | 'right'): (readonly [string, Sum])[] => {
      const out = e.maybe('eng-width', `${which}-at-accessories`);
      if (!rails || !out) return [];
      return [
        [
          `${which}, accessories to rail`,
          asDrawn.get(`accessories-${which}`) ??
            moved(half(rails, 'Half of the width between rails').minus(out).minus(low), which),
        ],
      ];
    };
    // On which side the booster stands nobody says: the wider side of the engine is held against it.
    const booster = e.maybe('rec-bay-width', 'booster-to-centre-line');
    const assist = e.maybeWord('rec-brake-assist');
    const wide =
      e.fact('eng-width', 'left-at-covers-and-coils').value >= e.fact('eng-width', 'right-at-covers-and-coils').value
        ? 'left'
        : 'right';
    const boosted = booster
      ? moved(booster.minus(e.fact('eng-width', `${wide}-at-covers-and-coils`)).minus(high), wide)
      : undefined;
    const { name, sum: least } = leastOf([
      ['left', left],
      ['right', right],
      ...deeper('left'),
      ...deeper('right'),
      ...(boosted ? [[`booster, held against the ${wide} as the wider side`, boosted] as const] : []),
    ]);
    // Moving the engine sideways may share out the room of both sides.
    const shift = left.value + right.value >= 0 ? Math.min(mostSideways, Math.abs(left.value - right.value) / 2) : 0;
    const verdict = e.judge(`Left over on the ${name}`, least, { boltsUp: [0, Infinity], adapt: [-shift, Infinity] });
    if (assist === undefined && !booster) return e.sure(verdict, ['rec-brake-assist']);
    return assist === 'vacuum' || assist === 'hydraulic'
      ? e.sure(verdict, ['rec-bay-width', 'booster-to-centre-line'])
      : verdict;
  }),
  rule('fit-hood', geo, (e) => {
    const soft = (e.maybeWord('cho-mount-material') ?? 'rubber') === 'rubber';
    const floorMm = soft ? 20 : 10;
    const drawn = drawnVerdict(e, 'fit-hood', 'Left under the hood bracing', floorMm);
    if (drawn) return drawn;
    const lowest = lowestOverEngine(e);
    e.want(
      ...(lowest ? [] : [['rec-hood-profile', 'lowest-z-over-the-engine'] as const]),
      [place, 'crank-axis-above-body-datum-z'],
      ['eng-height-up', 'highest-point'],
    );
    const gap = (lowest ?? e.fact('rec-hood-profile', 'lowest-z-over-the-engine'))
      .minus(e.fact(place, 'crank-axis-above-body-datum-z'))
      .minus(e.fact('eng-height-up', 'highest-point'));
    const slope = crankSlope(e);
    const at = e.maybe('eng-height-up', 'highest-point-x') ?? e.maybe('eng-length');
    const raised = slope && at && slope.value !== 0 ? gap.minus(raisedBy(slope, at)) : gap;
    const verdict = e.gap('Left under the hood bracing', raised, 'cl-hood', floorMm);
    if (slope && (slope.value === 0 || at)) return verdict;
    // A slope of five degrees at a nose 700 mm ahead is more than any car has: what clears that needs no reading of it.
    const most = e.assume('Highest it could stand by its slope', 61, 'mm', '5 deg over 700 mm, nobody read it');
    return verdict.word === 'bolts-up' && verdict.margin!.value >= most.value
      ? verdict
      : e.sure(verdict, ['eng-slope-design'], ['eng-height-up', 'highest-point-x']);
  }),
  rule('fit-sump-crossmember', geo, (e) => {
    return sumpOver(e, {
      id: 'fit-sump-crossmember',
      label: 'crossmember',
      rear: e.maybe('rec-crossmember-place', 'rear-edge-x'),
      front: e.maybe('rec-crossmember-place', 'front-edge-x'),
      top: e.fact('rec-crossmember-place', 'top-z'),
      clearance: 'cl-sump-crossmember',
      floorMm: 5,
    });
  }),
  rule('fit-sump-steering', `${geo}; manual and local law first on steering`, (e) => {
    return sumpOver(e, {
      id: 'fit-sump-steering',
      label: 'steering',
      rear: e.maybe('rec-steering-envelope', 'rear-x'),
      front: e.maybe('rec-steering-envelope', 'front-x'),
      top: e.fact('rec-steering-envelope', 'top-z-worst-position'),
      clearance: 'cl-sump-steering',
      floorMm: 6,
    });
  }),
  rule('fit-ground-clearance', `${geo}; local approval first`, (e) => {
    const bands = { boltsUp: [0, Infinity], adapt: [-15, Infinity] } as const;
    const sure = (verdict: Verdict): Verdict =>
      e.sure(verdict, ['gbx-envelope', 'pan-depth'], ['rec-ground-at-crossmember', 'planned-ride-height-change']);
    const drawn = drawnGaps(e, 'fit-ground-clearance');
    if (drawn) return sure(e.judge('Left under the lowest part over the least', leastOf(leftOf(drawn)).sum, bands));
    e.want(
      [place, 'crank-axis-above-body-datum-z'],
      ['eng-sump-depth', 'at-bowl'],
      ['rec-crossmember-place', 'top-z'],
      ['rec-ground-at-crossmember', 'ground-to-crossmember'],
    );
    const crankZ = e.fact(place, 'crank-axis-above-body-datum-z');
    const lowest = (depth: Sum): Sum => crankZ.minus(depth);
    const bowl = lowest(farther(e.fact('eng-sump-depth', 'at-bowl'), e.maybe('eng-sump-depth', 'drain-plug'))!);
    const pan = e.maybe('gbx-envelope', 'pan-depth');
    const slope = crankSlope(e);
    const lowestPan = (depth: Sum): Sum => {
      if (!slope || slope.value === 0) return lowest(depth);
      const rear =
        e.maybe('gbx-envelope', 'pan-rear') ??
        e.maybe('gbx-length') ??
        e.assume('As far as a gearbox reaches back', 800, 'mm', 'nobody measured it');
      return lowest(depth).minus(raisedBy(slope, rear));
    };
    const { name, sum } = leastOf([['sump', bowl], ...(pan ? [['gearbox pan', lowestPan(pan)] as const] : [])]);
    // The road below the body datum: what stands between it and the crossmember, with the crossmember's own height.
    const springs = e.maybe('rec-ground-at-crossmember', 'planned-ride-height-change');
    const road = e.fact('rec-ground-at-crossmember', 'ground-to-crossmember');
    const above = sum.minus(e.fact('rec-crossmember-place', 'top-z')).plus(springs ? road.plus(springs) : road);
    const spare = above.minus(e.clearance('cl-ground'));
    return sure(e.judge(`Left under the ${name} over the least`, spare, bands));
  }),
  rule('fit-firewall', geo, (e) => {
    const label = 'Left between engine and firewall';
    const drawn = drawnVerdict(e, 'fit-firewall', label);
    if (drawn) return drawn;
    e.want([place, 'bell-face-ahead-of-firewall-x'], ['rec-bay-length', 'firewall-recess-depth']);
    const room = e.fact(place, 'bell-face-ahead-of-firewall-x').plus(e.fact('rec-bay-length', 'firewall-recess-depth'));
    const slope = crankSlope(e);
    if (!slope || slope.value <= 0) return e.gap('Left between bell face and firewall', room, 'cl-firewall');
    // With its tail down, the rear of the heads leans back over the bell face.
    const rear = e.maybe('eng-height-up', 'rear-cover');
    if (rear) return e.gap(label, room.minus(raisedBy(slope, rear)), 'cl-firewall');
    const most = e.maybe('eng-height-up', 'highest-point')?.value ?? 450;
    const upright = e.gap('Left between bell face and firewall', room, 'cl-firewall');
    const spare = upright.margin!.value - most * Math.tan(rad(slope.value));
    // What clears it although its heads were as high as it is at all needs no reading of them.
    return spare >= 0 ? upright : e.sure(upright, ['eng-height-up', 'rear-cover']);
  }),
  rule('fit-mount-boss', 'common practice: every boss has one user', (e) => {
    const arms = besideArms(e);
    if (arms.length > 0) {
      const { name, sum } = leastOf(arms.map((a) => [a.name, a.gap]));
      const spare = sum.minus(e.limit('Kept from an arm', besideArm, 'mm', 'common practice'));
      const met = e.judge(
        `Left between the arm and the ${name}`,
        spare,
        { boltsUp: [0, Infinity], adapt: [-besideArm, Infinity] },
        (word) =>
          word === 'clash' ? `${name}: its arm runs through it` : `${name}: ${sum.value.toFixed(0)} mm between them`,
      );
      if (met.word !== 'bolts-up') return met;
    }
    const tensioner = e.word('eng-belt-tensioner');
    if (tensioner === 'none-centres-fixed') return e.say('bolts-up', 'no tensioner asks for a boss');
    const used = e.word('eng-belt-tensioner', 'bosses-used');
    const shared = e.word('eng-mount-bosses', 'shared-with').trim().toLowerCase();
    if (['none', 'nothing', 'no', 'free', '-'].includes(shared))
      return e.say('bolts-up', `tensioner on ${used}, mount bosses free`);
    return e.say('adapt', `mount bosses shared with ${shared}: longer stud or a bracket that takes both`);
  }),
  rule('fit-sway-bar', geo, (e) => {
    if (e.word('rec-sway-bar-place') === 'none') return e.say('bolts-up', 'no sway bar');
    e.want(
      ['rec-sway-bar-place', 'x'],
      ['rec-sway-bar-place', 'z'],
      [place, 'bell-face-ahead-of-firewall-x'],
      [place, 'crank-axis-above-body-datum-z'],
    );
    const drawn = drawnVerdict(e, 'fit-sway-bar', 'Left between engine and sway bar');
    // What nobody drew is the manifolds, and the bar in motion between its ends: that the rest is clear of it is no go.
    if (drawn && drawn.word !== 'bolts-up') return drawn;
    return drawn
      ? {
          ...drawn,
          word: 'not-measured',
          headline: 'sump and pulley clear it: look at manifolds and links through full travel',
        }
      : e.say('not-measured', 'a person judges this: sweep with wheels hung and loaded');
  }),
  rule(
    'fit-install-path',
    'common practice: hoist rated 25 % over the load, 50 mm all round, tail down by 45 deg at the most',
    (e) => {
      e.want(['rec-install-path', 'hoist-rating-at-boom-place'], ['eng-mass']);
      const engine = e.fact('eng-mass');
      const load = e.word('cho-unit-lift') === 'engine-alone' ? engine : engine.plus(e.fact('gbx-mass'));
      const spare = hoistLeftOver(e.fact('rec-install-path', 'hoist-rating-at-boom-place'), load);
      const hoist = e.judge('Hoist rating left over', spare, { boltsUp: [0, Infinity], adapt: [0, Infinity] });
      return hoist.word === 'clash' ? hoist : wayInVerdict(e, hoist);
    },
  ),
  rule(
    'fit-accessory-drive',
    `common practice: ${beltOffset.mm} mm for each ${beltOffset.spanMm} mm of span, wrap at least 120 deg`,
    (e) => {
      if (e.maybeWord('cho-front-bracket') === 'out-of-use') {
        e.want(['cho-front-bracket', 'alternator-by'], ['cho-front-bracket', 'steering-pump-by']);
        const open = (['alternator-by', 'steering-pump-by'] as const).filter(
          (p) => e.word('cho-front-bracket', p) === 'not-decided',
        );
        if (open.length > 0)
          return {
            ...e.say('not-measured', 'front bracket out of use: nobody decided what drives the rest'),
            needs: open.map((partKey) => ({ factId: 'cho-front-bracket' as const, partKey })),
          };
      }
      e.want(['eng-accessory-drive', 'worst-plane-offset'], ['eng-accessory-drive', 'span-there']);
      const span = e.fact('eng-accessory-drive', 'span-there');
      const allowed = span.over(
        e.limit('Span for each mm', beltOffset.spanMm / beltOffset.mm, 'mm', 'common practice'),
        `Allowed over a span of ${span.value} mm`,
      );
      const left = allowed.minus(e.fact('eng-accessory-drive', 'worst-plane-offset').size('Offset, whichever way'));
      const wrap = e.maybe('eng-accessory-drive', 'alternator-wrap');
      if (wrap && wrap.value < 120) {
        const short = wrap.minus(e.limit('Least wrap', 120, 'deg', 'common practice'));
        return e.say('adapt', `alternator wrap ${wrap.value} deg, 120 wanted`, {
          sum: short,
          label: 'Wrap over the least',
          margin: { value: short.value, unit: 'deg' },
        });
      }
      return e.sure(e.judge('Left of the allowed offset', left, { boltsUp: [0, Infinity], adapt: [-5, Infinity] }), [
        'eng-accessory-drive',
        'alternator-wrap',
      ]);
    },
  ),
  rule('fit-radiator-fan', geo, (e) => {
    const nose = noseOf(e);
    const core = coreFace(e);
    const drawn = drawnGaps(e, 'fit-bay-length');
    const ofFans = (verdict: Verdict): Verdict =>
      // Fans in front need room there too.
      e.word('cho-fan') === 'electric-pusher'
        ? e.sure(verdict, ['rec-radiator-core', 'free-depth-ahead'], ['cho-fan', 'thickness'])
        : verdict;
    if (drawn && !across(e)) {
      const { gap, need } = drawn[0]!;
      return ofFans(e.over('Left between nose and fan', gap.minus(need), need));
    }
    if (across(e) && drawn)
      return e.judge('Left between engine and fan, over the least', leastOf(leftOf(drawn)).sum, {
        boltsUp: [0, Infinity],
        adapt: [-10, Infinity],
      });
    if (across(e))
      return e.judge('Left between engine and fan, over the least', acrossLeft(e, core, nose), {
        boltsUp: [0, Infinity],
        adapt: [-10, Infinity],
      });
    e.want([place, 'bell-face-ahead-of-firewall-x'], ['eng-fan-reach', nose.reach]);
    const gap = core.minus(e.fact(place, 'bell-face-ahead-of-firewall-x')).minus(e.fact('eng-fan-reach', nose.reach));
    return ofFans(e.gap('Left between nose and fan', withFan(e, gap), nose.clearance));
  }),
  rule(
    'fit-cooling-capacity',
    'working estimate: 20 m³/h of air for each kW at standstill, 0.8 of it from a fan that pushes',
    (e) => {
      const power = e.maybe('cho-power-target') ?? e.fact('eng-power');
      const fan = e.word('cho-fan');
      if (fan === 'engine-driven')
        return {
          ...e.say('not-measured', 'an engine-driven fan: a person judges core and shroud'),
          needs: [{ factId: 'rec-radiator-core', partKey: 'height' }],
        };
      e.want(['cho-fan', 'flow'], ['cho-fan', 'count']);
      const each = e.fact('cho-fan', 'flow');
      const all = each.times(e.fact('cho-fan', 'count'), 'Air of all fans');
      const air =
        fan === 'electric-pusher'
          ? all.times(e.limit('Of a fan that pushes', 0.8, '', 'common practice'), 'Air through the core')
          : all;
      const swept = sweptShare(e);
      if (swept && swept.value < leastSwept)
        return e.say('adapt', `fans sweep ${(swept.value * 100).toFixed(0)} % of the core: a shroud, or larger ones`, {
          sum: swept,
          label: 'Of the core that is swept',
          margin: { value: swept.value - leastSwept, unit: '' },
        });
      const need = power.through('Air wanted at standstill', 'm³/h', (kw) => kw * 20, 'working estimate');
      const spare = air.minus(need);
      return e.sure(
        e.judge(
          'Air over what is wanted',
          spare,
          { boltsUp: [0, Infinity], adapt: [-need.value / 2, Infinity] },
          (word) =>
            word === 'bolts-up'
              ? 'fans move enough air'
              : `fans move ${((air.value / need.value) * 100).toFixed(0)} % of the air wanted`,
        ),
        ['rec-radiator-core', 'height'],
        ['rec-radiator-core', 'width'],
      );
    },
  ),
  rule('fit-coolant-high-point', 'common practice: fill neck at least 25 mm above the highest coolant space', (e) => {
    e.want(['rec-fill-point-z'], [place, 'crank-axis-above-body-datum-z'], ['eng-coolant-high-point']);
    const rise = e
      .fact('rec-fill-point-z')
      .minus(e.fact(place, 'crank-axis-above-body-datum-z'))
      .minus(e.fact('eng-coolant-high-point'));
    const spare = rise.minus(e.limit('Least rise', 25, 'mm', 'common practice'));
    const bleeds =
      (e.maybe('eng-coolant-high-point', 'steam-or-bleed-ports')?.value ?? 0) > 0 ||
      e.maybeWord('cho-fill-point') === 'header-tank';
    return e.judge('Rise over the least', spare, {
      boltsUp: [0, Infinity],
      adapt: [bleeds ? -Infinity : -25, Infinity],
    });
  }),
  rule('fit-mount-pads', 'geometry; offsets common practice', (e) => {
    if (across(e)) return crossVerdict(e);
    if (e.word('rec-mount-pads', 'kind') === 'none') {
      // A body that was once sold with this family takes its maker's frame mounts before anything is made.
      const likeOurs = e.maybeWord('rec-factory-engines', 'like-ours') === 'yes';
      const toBeHad = e.maybeWord('rec-factory-engines', 'frame-mounts') === 'yes';
      return e.say(
        'adapt',
        likeOurs && toBeHad
          ? "no pads, but this body was sold with the family: its maker's frame mounts first, then plates"
          : 'no pads in the body: brackets to be made, approval where the law asks',
      );
    }
    e.want(
      [place, 'bell-face-ahead-of-firewall-x'],
      [place, 'crank-axis-above-body-datum-z'],
      ...mountAxes.flatMap(
        (a) =>
          [
            ['rec-mount-pads', `left-${a}`],
            ['eng-mount-bosses', `left-${a}`],
          ] as const,
      ),
    );
    const sides = mountSides.filter((side) => side === 'left' || sideKnown(e, side));
    const { sum } = farthestOf(
      sides.flatMap((side) =>
        mountAxes.map((axis) => [`Boss from pad, ${side}, along ${axis}`, bossFromPad(e, side, axis)] as const),
      ),
    );
    const worst = sum.size('Largest offset');
    const word = worst.value <= mountMeetsMm ? 'bolts-up' : worst.value <= mountReachMm ? 'adapt' : 'clash';
    const over = word === 'bolts-up' ? overRating(e) : undefined;
    if (over) return over;
    return e.sure(
      e.say(word, `bosses ${worst.value.toFixed(1)} mm from the pads`, {
        sum: worst,
        label: 'Largest offset',
        margin: marginIn(worst, [-Infinity, word === 'bolts-up' ? mountMeetsMm : mountReachMm]),
      }),
      ...mountAxes.flatMap(
        (a) =>
          [
            ['rec-mount-pads', `right-${a}`],
            ['eng-mount-bosses', `right-${a}`],
          ] as const,
      ),
    );
  }),
  rule('fit-tunnel', geo, (e) => {
    if (notInFront(e)) return e.say('bolts-up', 'no gearbox in a tunnel in this layout');
    const drawn = drawnVerdict(e, 'fit-tunnel', 'Left between gearbox and floor');
    if (drawn) return drawn;
    const stations = [
      ['at the bell', 'width-at-bell', 'widest-at-bell'],
      ['at the waist', 'width-at-waist', 'widest-at-waist'],
      ['at the tail', 'width-at-gearbox-mount', 'widest-at-tail'],
    ] as const;
    e.want(['rec-tunnel-envelope', 'width-at-bell'], ['gbx-envelope', 'widest-at-bell']);
    const offset = sideways(e);
    const { sum } = leastOf(
      stations.flatMap(([name, width, body]): (readonly [string, Sum])[] => {
        const [room, wide] = [e.maybe('rec-tunnel-envelope', width), e.maybe('gbx-envelope', body)];
        if (!room || !wide) return [];
        const each = room.minus(wide).over(e.limit('Two sides', 2, '', 'geometry'), `Each side, ${name}`);
        return [
          [
            `Each side, ${name}`,
            offset && offset.value !== 0 ? each.minus(offset.size('Sideways from the centre line')) : each,
          ],
        ];
      }),
    );
    return e.sure(
      e.gap('Left between gearbox and floor', sum, 'cl-gearbox-tunnel'),
      ...stations.flatMap(([, width, body]) => [
        ['rec-tunnel-envelope', width] as const,
        ['gbx-envelope', body] as const,
      ]),
    );
  }),
  rule(
    'fit-turbo-drain',
    'common practice, the turbo maker first: falls all the way, within about 35 deg of vertical',
    (e) => {
      if (e.word('eng-induction') !== 'turbo') return e.say('bolts-up', 'no turbo');
      e.want(['eng-turbo-drain', 'drain-flange-z'], ['eng-turbo-drain', 'return-port-z']);
      const fall = e.fact('eng-turbo-drain', 'drain-flange-z').minus(e.fact('eng-turbo-drain', 'return-port-z'));
      const said = { sum: fall, label: 'Fall of the drain', margin: { value: fall.value - leastFallMm, unit: 'mm' } };
      // With another sump the port stands higher than the end of a pipe made for the old one: the pipe is too long.
      if (fall.value < 0 && e.word('cho-sump') !== 'donor-sump')
        return e.say('adapt', `pipe ${-fall.value} mm too long for this sump: a straight piece comes out`, said);
      if (fall.value <= 0)
        return e.say('clash', fall.value < 0 ? `rises by ${-fall.value} mm` : 'no fall at all', said);
      if (fall.value < leastFallMm)
        return e.say(fall.value < leastFallMm / 2 ? 'clash' : 'adapt', `nearly flat: falls ${fall.value} mm`, said);
      const bore = e.maybe('eng-turbo-drain', 'bore');
      const own = e.maybe('eng-turbo-drain', 'turbo-drain-bore');
      if (bore && own && bore.value < own.value) {
        const narrower = bore.minus(own);
        return e.say('adapt', `bore ${bore.value} mm, the turbo's own is ${own.value} mm`, {
          sum: narrower,
          label: 'Bore over the turbo’s own',
          margin: { value: narrower.value, unit: 'mm' },
        });
      }
      const angle = e.fact('eng-turbo-drain', 'angle-from-vertical');
      return e.sure(
        e.say(
          angle.value <= 35 ? 'bolts-up' : angle.value < 80 ? 'adapt' : 'clash',
          `falls ${fall.value} mm at ${angle.value} deg from vertical`,
          {
            sum: fall,
            label: 'Fall of the drain',
            margin: { value: 35 - angle.value, unit: 'deg' },
          },
        ),
        ['eng-turbo-drain', 'bore'],
        ['eng-turbo-drain', 'turbo-drain-bore'],
      );
    },
  ),
];
