import { rule } from '../evidence.ts';
import type { Evidence } from '../evidence.ts';

const geo = 'geometry; clearances common practice';
const place = 'cho-engine-place';

/** Do two stretches along the car share any x? Unknown ends count as shared: the safe side. */
function overlaps(e: Evidence, rearX: number | undefined, frontX: number | undefined): boolean {
  const bell = e.maybe(place, 'bell-face-ahead-of-firewall-x');
  const bowlRear = e.maybe('eng-sump-bowl-place', 'bowl-rear-x');
  const bowlFront = e.maybe('eng-sump-bowl-place', 'bowl-front-x');
  if (bell === undefined || bowlRear === undefined || bowlFront === undefined || rearX === undefined || frontX === undefined) return true;
  return bell + bowlRear <= frontX && bell + bowlFront >= rearX;
}

/** Height of the sump bowl's floor above the body datum. */
function bowlFloorZ(e: Evidence): number {
  e.want([place, 'crank-axis-above-body-datum-z'], ['eng-sump-depth', 'at-bowl']);
  return e.line('+', place, 'crank-axis-above-body-datum-z') - e.line('−', 'eng-sump-depth', 'at-bowl');
}

export const spaceRules = [
  rule('fit-bay-length', geo, (e) => {
    const fan = e.word('cho-fan');
    const reach = fan === 'engine-driven' ? 'fan-face' : 'pulley-face';
    e.want(['rec-bay-length', 'to-core-rear-face'], ['eng-fan-reach', reach]);
    let left = e.line('+', 'rec-bay-length', 'to-core-rear-face');
    const planned = e.maybe(place, 'bell-face-ahead-of-firewall-x');
    left -= planned === undefined ? e.clearance('cl-firewall') : e.line('−', place, 'bell-face-ahead-of-firewall-x');
    left -= e.line('−', 'eng-fan-reach', reach);
    if (fan === 'electric-puller') left -= e.line('−', 'cho-fan', 'thickness');
    left -= e.clearance(fan === 'engine-driven' ? 'cl-fan-core' : 'cl-pulley-fan');
    const support = e.maybe('rec-bay-length', 'to-radiator-support');
    const forward = support === undefined ? 0 : support - e.number('rec-bay-length', 'to-core-rear-face');
    return e.left('Left between engine and core', left, { boltsUp: 10, adapt: -Math.max(0, forward) });
  }),
  rule('fit-bay-width', geo, (e) => {
    e.want(['rec-bay-width', 'between-towers-at-head-height'], ['eng-width', 'left-at-covers-and-coils'], ['eng-width', 'right-at-covers-and-coils']);
    const half = e.row('+', 'Half of the width between towers at head height', e.number('rec-bay-width', 'between-towers-at-head-height') / 2, 'mm', {
      factId: 'rec-bay-width',
      partKey: 'between-towers-at-head-height',
    });
    const leftReach = e.number('eng-width', 'left-at-covers-and-coils');
    const rightReach = e.number('eng-width', 'right-at-covers-and-coils');
    const offset = e.maybe(place, 'sideways-from-centre-line-y') ?? 0;
    const tight = leftReach + offset >= rightReach - offset ? 'left' : 'right';
    e.line('−', 'eng-width', `${tight}-at-covers-and-coils`);
    if (offset !== 0) e.row(tight === 'left' ? '−' : '+', 'Engine sideways from centre line', offset, 'mm', { factId: place });
    const need = e.clearance('cl-rock-upper');
    const leftGap = half - leftReach - offset - need;
    const rightGap = half - rightReach + offset - need;
    const least = Math.min(leftGap, rightGap);
    // Moving the engine sideways by up to 25 mm may share out the room of both sides (common practice).
    const shift = Math.min(25, Math.abs(leftGap - rightGap) / 2);
    return e.left(`Left over on the ${tight}`, least, { boltsUp: 0, adapt: leftGap + rightGap >= 0 ? -shift : 0 });
  }),
  rule('fit-hood', geo, (e) => {
    e.want(['rec-hood-profile', 'lowest-z-over-the-engine'], [place, 'crank-axis-above-body-datum-z'], ['eng-height-up', 'highest-point']);
    const gap =
      e.line('+', 'rec-hood-profile', 'lowest-z-over-the-engine') -
      e.line('−', place, 'crank-axis-above-body-datum-z') -
      e.line('−', 'eng-height-up', 'highest-point');
    const soft = (e.maybeWord('cho-mount-material') ?? 'rubber') === 'rubber';
    return e.gap('Left under the hood bracing', gap, 'cl-hood', soft ? 20 : 10);
  }),
  rule('fit-sump-crossmember', geo, (e) => {
    const floor = bowlFloorZ(e);
    if (!overlaps(e, e.maybe('rec-crossmember-place', 'rear-edge-x'), e.maybe('rec-crossmember-place', 'front-edge-x'))) {
      return e.say('bolts-up', 'bowl stands clear of the crossmember along the car');
    }
    return e.gap('Left between sump and crossmember', floor - e.line('−', 'rec-crossmember-place', 'top-z'), 'cl-sump-crossmember', 5);
  }),
  rule('fit-sump-steering', `${geo}; manual and local law first on steering`, (e) => {
    const floor = bowlFloorZ(e);
    if (!overlaps(e, e.maybe('rec-steering-envelope', 'rear-x'), e.maybe('rec-steering-envelope', 'front-x'))) {
      return e.say('bolts-up', 'bowl stands clear of the steering along the car');
    }
    return e.gap('Left between sump and steering', floor - e.line('−', 'rec-steering-envelope', 'top-z-worst-position'), 'cl-sump-steering', 6);
  }),
  rule('fit-install-path', 'common practice: hoist rated 25 % over the load, 50 mm all round', (e) => {
    e.want(['rec-install-path', 'hoist-rating-at-boom-place'], ['eng-mass']);
    const rated = e.line('+', 'rec-install-path', 'hoist-rating-at-boom-place', 'kg');
    let load = e.line('−', 'eng-mass', 'value', 'kg');
    if (e.word('cho-unit-lift') !== 'engine-alone') load += e.line('−', 'gbx-mass', 'value', 'kg');
    const reserve = e.row('−', 'Reserve of 25 %', load * 0.25, 'kg', { basis: 'common practice' });
    const spare = rated - load - reserve;
    const opening = e.maybe('rec-install-path', 'opening-width');
    const left = e.maybe('eng-width', 'left-at-heads');
    const right = e.maybe('eng-width', 'right-at-heads');
    if (spare >= 0 && opening !== undefined && left !== undefined && right !== undefined && opening < left + right + 100) {
      return e.say('adapt', 'hoist holds, opening is tight: protruding parts off first', { margin: { value: opening - left - right - 100, unit: 'mm' } });
    }
    return e.left('Hoist rating left over', spare, { boltsUp: 0, adapt: 0 }, 'kg');
  }),
  rule('fit-accessory-drive', 'common practice: 1 mm for each 300 mm of span, wrap at least 120 deg', (e) => {
    e.want(['eng-accessory-drive', 'worst-plane-offset'], ['eng-accessory-drive', 'span-there']);
    const span = e.number('eng-accessory-drive', 'span-there');
    const allowed = e.row('+', `Allowed over a span of ${span} mm`, span / 300, 'mm', { basis: 'common practice' });
    const left = allowed - e.line('−', 'eng-accessory-drive', 'worst-plane-offset');
    const wrap = e.maybe('eng-accessory-drive', 'alternator-wrap');
    if (wrap !== undefined && wrap < 120) return e.say('adapt', `alternator wrap ${wrap} deg, 120 wanted`, { margin: { value: wrap - 120, unit: 'deg' } });
    return e.left('Left of the allowed offset', left, { boltsUp: 0, adapt: -Infinity });
  }),
  rule('fit-radiator-fan', geo, (e) => {
    const fan = e.word('cho-fan');
    const reach = fan === 'engine-driven' ? 'fan-face' : 'pulley-face';
    e.want(['rec-bay-length', 'to-core-rear-face'], [place, 'bell-face-ahead-of-firewall-x'], ['eng-fan-reach', reach]);
    let gap = e.line('+', 'rec-bay-length', 'to-core-rear-face') - e.line('−', place, 'bell-face-ahead-of-firewall-x') - e.line('−', 'eng-fan-reach', reach);
    if (fan === 'electric-puller') gap -= e.line('−', 'cho-fan', 'thickness');
    return e.gap('Left between nose and fan', gap, fan === 'engine-driven' ? 'cl-fan-core' : 'cl-pulley-fan');
  }),
  rule('fit-coolant-high-point', 'common practice: fill neck at least 25 mm above the highest coolant space', (e) => {
    e.want(['rec-fill-point-z'], [place, 'crank-axis-above-body-datum-z'], ['eng-coolant-high-point']);
    const rise = e.line('+', 'rec-fill-point-z') - e.line('−', place, 'crank-axis-above-body-datum-z') - e.line('−', 'eng-coolant-high-point');
    const spare = rise - e.row('−', 'Least rise', 25, 'mm', { basis: 'common practice' });
    const bleeds = (e.maybe('eng-coolant-high-point', 'steam-or-bleed-ports') ?? 0) > 0 || e.maybeWord('cho-fill-point') === 'header-tank';
    return e.left('Rise over the least', spare, { boltsUp: 0, adapt: bleeds ? -Infinity : -25 });
  }),
  rule('fit-mount-pads', 'geometry; offsets common practice', (e) => {
    const axes = ['x', 'y', 'z'] as const;
    if (e.word('rec-mount-pads', 'kind') === 'none') return e.say('adapt', 'no pads in the body: brackets to be made, approval where the law asks');
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
      x: e.number(place, 'bell-face-ahead-of-firewall-x'),
      y: e.maybe(place, 'sideways-from-centre-line-y') ?? 0,
      z: e.number(place, 'crank-axis-above-body-datum-z'),
    };
    const offset = (side: 'left' | 'right', axis: 'x' | 'y' | 'z'): number =>
      engine[axis] + e.number('eng-mount-bosses', `${side}-${axis}`) - e.number('rec-mount-pads', `${side}-${axis}`);
    const rightKnown = axes.every((a) => e.maybe('rec-mount-pads', `right-${a}`) !== undefined && e.maybe('eng-mount-bosses', `right-${a}`) !== undefined);
    const sides: ('left' | 'right')[] = rightKnown ? ['left', 'right'] : ['left'];
    let worst = 0;
    for (const side of sides) {
      for (const axis of axes) {
        const off = e.row('', `Boss from pad, ${side}, along ${axis}`, offset(side, axis), 'mm');
        worst = Math.max(worst, Math.abs(off));
      }
    }
    const spare = 60 - worst;
    const word = worst <= 1.5 ? 'bolts-up' : worst <= 60 ? 'adapt' : 'clash';
    return e.say(word, `bosses ${worst.toFixed(1)} mm from the pads`, {
      result: { label: 'Largest offset', value: worst, unit: 'mm' },
      margin: { value: spare, unit: 'mm' },
    });
  }),
  rule('fit-tunnel', geo, (e) => {
    e.want(['rec-tunnel-envelope', 'width-at-bell'], ['gbx-envelope', 'widest-at-bell']);
    const places = [
      ['width-at-bell', 'widest-at-bell'],
      ['width-at-waist', 'widest-at-waist'],
    ] as const;
    let least = Infinity;
    for (const [tunnel, gearbox] of places) {
      const room = e.maybe('rec-tunnel-envelope', tunnel);
      const body = e.maybe('gbx-envelope', gearbox);
      if (room === undefined || body === undefined) continue;
      least = Math.min(least, e.row('', `Each side, ${tunnel.replace('width-at-', 'at the ')}`, (room - body) / 2, 'mm'));
    }
    return e.gap('Left between gearbox and floor', least, 'cl-gearbox-tunnel');
  }),
  rule('fit-turbo-drain', 'common practice, the turbo maker first: falls all the way, within about 35 deg of vertical', (e) => {
    if (e.word('eng-induction') !== 'turbo') return e.say('bolts-up', 'no turbo');
    e.want(['eng-turbo-drain', 'drain-flange-z'], ['eng-turbo-drain', 'return-port-z']);
    const fall = e.line('+', 'eng-turbo-drain', 'drain-flange-z') - e.line('−', 'eng-turbo-drain', 'return-port-z');
    if (fall <= 0) return e.left('Fall of the drain', fall);
    const bore = e.maybe('eng-turbo-drain', 'bore');
    const own = e.maybe('eng-turbo-drain', 'turbo-drain-bore');
    if (bore !== undefined && own !== undefined && bore < own)
      return e.say('adapt', `bore ${bore} mm, the turbo's own is ${own} mm`, { margin: { value: bore - own, unit: 'mm' } });
    const angle = e.number('eng-turbo-drain', 'angle-from-vertical');
    return e.say(angle <= 35 ? 'bolts-up' : 'adapt', `falls ${fall} mm at ${angle} deg from vertical`, {
      result: { label: 'Fall of the drain', value: fall, unit: 'mm' },
      margin: { value: 35 - angle, unit: 'deg' },
    });
  }),
];
