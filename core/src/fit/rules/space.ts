import { rule } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';
import { marginIn } from '../../rules/evidence.ts';
import { farthestOf, leastOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';

const geo = 'geometry; clearances common practice';
const place = 'cho-engine-place';

/** Do two stretches along the car share any x? Unknown ends count as shared: the safe side. */
function overlaps(e: FitEvidence, rear: Sum | undefined, front: Sum | undefined): boolean {
  const bell = e.maybe(place, 'bell-face-ahead-of-firewall-x');
  const bowlRear = e.maybe('eng-sump-bowl-place', 'bowl-rear-x');
  const bowlFront = e.maybe('eng-sump-bowl-place', 'bowl-front-x');
  if (!bell || !bowlRear || !bowlFront || !rear || !front) return true;
  return bell.value + bowlRear.value <= front.value && bell.value + bowlFront.value >= rear.value;
}

/** Height of the sump bowl's floor above the body datum. */
function bowlFloorZ(e: FitEvidence): Sum {
  e.want([place, 'crank-axis-above-body-datum-z'], ['eng-sump-depth', 'at-bowl']);
  return e.fact(place, 'crank-axis-above-body-datum-z').minus(e.fact('eng-sump-depth', 'at-bowl'));
}

/** How far the engine reaches ahead of its bell face, with the fan that belongs to it. */
function noseOf(e: FitEvidence): { reach: 'fan-face' | 'pulley-face'; clearance: string; driven: boolean } {
  const driven = e.word('cho-fan') === 'engine-driven';
  return { driven, reach: driven ? 'fan-face' : 'pulley-face', clearance: driven ? 'cl-fan-core' : 'cl-pulley-fan' };
}

const withFan = (e: FitEvidence, gap: Sum): Sum =>
  e.word('cho-fan') === 'electric-puller' ? gap.minus(e.fact('cho-fan', 'thickness')) : gap;

export const spaceRules = [
  rule('fit-bay-length', geo, (e) => {
    const nose = noseOf(e);
    e.want(['rec-bay-length', 'to-core-rear-face'], ['eng-fan-reach', nose.reach]);
    const core = e.fact('rec-bay-length', 'to-core-rear-face');
    const behind = e.maybe(place, 'bell-face-ahead-of-firewall-x') ?? e.clearance('cl-firewall');
    const left = withFan(e, core.minus(behind).minus(e.fact('eng-fan-reach', nose.reach))).minus(
      e.clearance(nose.clearance),
    );
    const support = e.maybe('rec-bay-length', 'to-radiator-support');
    const forward = support ? Math.max(0, support.value - core.value) : 0;
    const verdict = e.judge('Left between engine and core', left, {
      boltsUp: [10, Infinity],
      adapt: [-forward, Infinity],
    });
    return { ...verdict, margin: { value: left.value, unit: 'mm' } };
  }),
  rule('fit-bay-width', geo, (e) => {
    e.want(
      ['rec-bay-width', 'between-towers-at-head-height'],
      ['eng-width', 'left-at-covers-and-coils'],
      ['eng-width', 'right-at-covers-and-coils'],
    );
    const half = e
      .fact('rec-bay-width', 'between-towers-at-head-height')
      .over(e.limit('Two sides', 2, '', 'geometry'), 'Half of the width between towers at head height');
    const offset = e.maybe(place, 'sideways-from-centre-line-y');
    const need = e.clearance('cl-rock-upper');
    const side = (which: 'left' | 'right'): Sum => {
      const room = half.minus(e.fact('eng-width', `${which}-at-covers-and-coils`)).minus(need);
      if (!offset || offset.value === 0) return room;
      return which === 'left' ? room.minus(offset) : room.plus(offset);
    };
    const [left, right] = [side('left'), side('right')];
    const { name, sum: least } = leastOf([
      ['left', left],
      ['right', right],
    ]);
    // Moving the engine sideways by up to 25 mm may share out the room of both sides (common practice).
    const shift = left.value + right.value >= 0 ? Math.min(25, Math.abs(left.value - right.value) / 2) : 0;
    return e.judge(`Left over on the ${name}`, least, { boltsUp: [0, Infinity], adapt: [-shift, Infinity] });
  }),
  rule('fit-hood', geo, (e) => {
    e.want(
      ['rec-hood-profile', 'lowest-z-over-the-engine'],
      [place, 'crank-axis-above-body-datum-z'],
      ['eng-height-up', 'highest-point'],
    );
    const gap = e
      .fact('rec-hood-profile', 'lowest-z-over-the-engine')
      .minus(e.fact(place, 'crank-axis-above-body-datum-z'))
      .minus(e.fact('eng-height-up', 'highest-point'));
    const soft = (e.maybeWord('cho-mount-material') ?? 'rubber') === 'rubber';
    return e.gap('Left under the hood bracing', gap, 'cl-hood', soft ? 20 : 10);
  }),
  rule('fit-sump-crossmember', geo, (e) => {
    const floor = bowlFloorZ(e);
    if (
      !overlaps(e, e.maybe('rec-crossmember-place', 'rear-edge-x'), e.maybe('rec-crossmember-place', 'front-edge-x'))
    ) {
      return e.say('bolts-up', 'bowl stands clear of the crossmember along the car');
    }
    return e.gap(
      'Left between sump and crossmember',
      floor.minus(e.fact('rec-crossmember-place', 'top-z')),
      'cl-sump-crossmember',
      5,
    );
  }),
  rule('fit-sump-steering', `${geo}; manual and local law first on steering`, (e) => {
    const floor = bowlFloorZ(e);
    if (!overlaps(e, e.maybe('rec-steering-envelope', 'rear-x'), e.maybe('rec-steering-envelope', 'front-x'))) {
      return e.say('bolts-up', 'bowl stands clear of the steering along the car');
    }
    return e.gap(
      'Left between sump and steering',
      floor.minus(e.fact('rec-steering-envelope', 'top-z-worst-position')),
      'cl-sump-steering',
      6,
    );
  }),
  rule('fit-install-path', 'common practice: hoist rated 25 % over the load, 50 mm all round', (e) => {
    e.want(['rec-install-path', 'hoist-rating-at-boom-place'], ['eng-mass']);
    const engine = e.fact('eng-mass');
    const load = e.word('cho-unit-lift') === 'engine-alone' ? engine : engine.plus(e.fact('gbx-mass'));
    const reserve = load.times(e.limit('Reserve', 0.25, '', 'common practice'), 'Reserve of 25 %');
    const spare = e.fact('rec-install-path', 'hoist-rating-at-boom-place').minus(load).minus(reserve);
    const opening = e.maybe('rec-install-path', 'opening-width');
    const left = e.maybe('eng-width', 'left-at-heads');
    const right = e.maybe('eng-width', 'right-at-heads');
    if (spare.value >= 0 && opening && left && right) {
      const room = opening
        .minus(left)
        .minus(right)
        .minus(e.limit('50 mm on each side', 100, 'mm', 'common practice'));
      if (room.value < 0) {
        return e.say('adapt', 'hoist holds, opening is tight: protruding parts off first', {
          sum: room,
          label: 'Room in the opening',
          margin: { value: room.value, unit: 'mm' },
        });
      }
    }
    return e.judge('Hoist rating left over', spare, { boltsUp: [0, Infinity], adapt: [0, Infinity] });
  }),
  rule('fit-accessory-drive', 'common practice: 1 mm for each 300 mm of span, wrap at least 120 deg', (e) => {
    e.want(['eng-accessory-drive', 'worst-plane-offset'], ['eng-accessory-drive', 'span-there']);
    const span = e.fact('eng-accessory-drive', 'span-there');
    const allowed = span.over(
      e.limit('Span for each mm', 300, 'mm', 'common practice'),
      `Allowed over a span of ${span.value} mm`,
    );
    const left = allowed.minus(e.fact('eng-accessory-drive', 'worst-plane-offset'));
    const wrap = e.maybe('eng-accessory-drive', 'alternator-wrap');
    if (wrap && wrap.value < 120) {
      const short = wrap.minus(e.limit('Least wrap', 120, 'deg', 'common practice'));
      return e.say('adapt', `alternator wrap ${wrap.value} deg, 120 wanted`, {
        sum: short,
        label: 'Wrap over the least',
        margin: { value: short.value, unit: 'deg' },
      });
    }
    return e.judge('Left of the allowed offset', left, { boltsUp: [0, Infinity], adapt: [-Infinity, Infinity] });
  }),
  rule('fit-radiator-fan', geo, (e) => {
    const nose = noseOf(e);
    e.want(
      ['rec-bay-length', 'to-core-rear-face'],
      [place, 'bell-face-ahead-of-firewall-x'],
      ['eng-fan-reach', nose.reach],
    );
    const gap = e
      .fact('rec-bay-length', 'to-core-rear-face')
      .minus(e.fact(place, 'bell-face-ahead-of-firewall-x'))
      .minus(e.fact('eng-fan-reach', nose.reach));
    return e.gap('Left between nose and fan', withFan(e, gap), nose.clearance);
  }),
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
    const axes = ['x', 'y', 'z'] as const;
    if (e.word('rec-mount-pads', 'kind') === 'none')
      return e.say('adapt', 'no pads in the body: brackets to be made, approval where the law asks');
    e.want(
      [place, 'bell-face-ahead-of-firewall-x'],
      [place, 'crank-axis-above-body-datum-z'],
      ...axes.flatMap(
        (a) =>
          [
            ['rec-mount-pads', `left-${a}`],
            ['eng-mount-bosses', `left-${a}`],
          ] as const,
      ),
    );
    const engine = {
      x: e.fact(place, 'bell-face-ahead-of-firewall-x'),
      y: e.maybe(place, 'sideways-from-centre-line-y'),
      z: e.fact(place, 'crank-axis-above-body-datum-z'),
    };
    const offset = (side: 'left' | 'right', axis: 'x' | 'y' | 'z'): Sum => {
      const from = e.fact('eng-mount-bosses', `${side}-${axis}`).minus(e.fact('rec-mount-pads', `${side}-${axis}`));
      const at = engine[axis];
      return at ? at.plus(from) : from;
    };
    const known = axes
      .map((a) => [e.maybe('rec-mount-pads', `right-${a}`), e.maybe('eng-mount-bosses', `right-${a}`)])
      .flat();
    const sides = known.every((sum) => sum !== undefined) ? (['left', 'right'] as const) : (['left'] as const);
    const { sum } = farthestOf(
      sides.flatMap((side) =>
        axes.map((axis) => [`Boss from pad, ${side}, along ${axis}`, offset(side, axis)] as const),
      ),
    );
    const worst = sum.size('Largest offset');
    const word = worst.value <= 1.5 ? 'bolts-up' : worst.value <= 60 ? 'adapt' : 'clash';
    return e.say(word, `bosses ${worst.value.toFixed(1)} mm from the pads`, {
      sum: worst,
      label: 'Largest offset',
      margin: marginIn(worst, [-Infinity, 60]),
    });
  }),
  rule('fit-tunnel', geo, (e) => {
    e.want(['rec-tunnel-envelope', 'width-at-bell'], ['gbx-envelope', 'widest-at-bell']);
    const side = (name: string, room: Sum | undefined, body: Sum | undefined): (readonly [string, Sum])[] =>
      room && body ? [[name, room.minus(body).over(e.limit('Two sides', 2, '', 'geometry'), name)]] : [];
    const { sum } = leastOf([
      ...side(
        'Each side, at the bell',
        e.maybe('rec-tunnel-envelope', 'width-at-bell'),
        e.maybe('gbx-envelope', 'widest-at-bell'),
      ),
      ...side(
        'Each side, at the waist',
        e.maybe('rec-tunnel-envelope', 'width-at-waist'),
        e.maybe('gbx-envelope', 'widest-at-waist'),
      ),
    ]);
    return e.gap('Left between gearbox and floor', sum, 'cl-gearbox-tunnel');
  }),
  rule(
    'fit-turbo-drain',
    'common practice, the turbo maker first: falls all the way, within about 35 deg of vertical',
    (e) => {
      if (e.word('eng-induction') !== 'turbo') return e.say('bolts-up', 'no turbo');
      e.want(['eng-turbo-drain', 'drain-flange-z'], ['eng-turbo-drain', 'return-port-z']);
      const fall = e.fact('eng-turbo-drain', 'drain-flange-z').minus(e.fact('eng-turbo-drain', 'return-port-z'));
      if (fall.value <= 0) {
        const short = fall.value < 0 ? `${-fall.value} mm short` : 'no fall at all';
        return e.say('clash', short, {
          sum: fall,
          label: 'Fall of the drain',
          margin: { value: fall.value, unit: 'mm' },
        });
      }
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
      return e.say(
        angle.value <= 35 ? 'bolts-up' : 'adapt',
        `falls ${fall.value} mm at ${angle.value} deg from vertical`,
        {
          sum: fall,
          label: 'Fall of the drain',
          margin: { value: 35 - angle.value, unit: 'deg' },
        },
      );
    },
  ),
];
