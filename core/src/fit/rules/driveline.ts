import { engineRpmAt, shaftCriticalRpm, tyreDiameterMm } from '../../sums/index.ts';
import { marginIn } from '../../rules/evidence.ts';
import { leastOf } from '../../rules/sum.ts';
import type { Sum } from '../../rules/sum.ts';
import { rule } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';

const automatics = ['automatic-hydraulic', 'automatic-electronic', 'dual-clutch', 'transaxle-automatic'];
const clutched = ['manual', 'transaxle-manual'];

/** Rolling circumference: measured over a turn where somebody did, else from the size on the side wall. */
function circumferenceMm(e: FitEvidence): Sum {
  const rolled = e.maybe('rec-tyre-size', 'rolling-circumference');
  if (rolled) return rolled;
  const size = e.word('rec-tyre-size');
  const diameter = tyreDiameterMm(size);
  if (diameter === undefined) return e.fact('rec-tyre-size', 'rolling-circumference');
  // A loaded tyre rolls on about 97 % of its free circumference.
  return e.limit(`Circumference of ${size}, loaded to 97 %`, Math.PI * diameter * 0.97, 'mm', 'common practice');
}

export const drivelineRules = [
  rule('fit-bellhousing', 'common practice: one pattern, proven by rubbing', (e) => {
    e.want(['eng-bell-pattern'], ['gbx-bell-pattern']);
    const engine = e.word('eng-bell-pattern');
    const gearbox = e.word('gbx-bell-pattern');
    const same = engine.trim().toLowerCase() === gearbox.trim().toLowerCase();
    return e.say(
      same ? 'bolts-up' : 'adapt',
      same ? `both ${engine}` : `engine ${engine}, gearbox ${gearbox}: adapter wanted`,
    );
  }),
  rule('fit-crank-flange', 'common practice: engagement at least 1.0 d in steel', (e) => {
    e.want(
      ['eng-crank-flange', 'bolts'],
      ['eng-crank-flange', 'circle'],
      ['eng-flywheel', 'bolts'],
      ['eng-flywheel', 'circle'],
    );
    const crankBalance = e.maybeWord('eng-flywheel', 'crank-balance');
    const plateBalance = e.maybeWord('eng-flywheel', 'balance');
    if (crankBalance && plateBalance && crankBalance !== plateBalance)
      return e.say('clash', `crank is balanced ${crankBalance}, plate ${plateBalance}`);
    const bolts = e.fact('eng-crank-flange', 'bolts').minus(e.fact('eng-flywheel', 'bolts'));
    const circle = e.fact('eng-crank-flange', 'circle').minus(e.fact('eng-flywheel', 'circle'));
    if (bolts.value !== 0)
      return e.say('clash', 'bolt counts differ', { sum: bolts, label: 'Difference of the bolts' });
    if (Math.abs(circle.value) > 0.3)
      return e.say('clash', 'bolt circles differ', { sum: circle, label: 'Difference of the circles' });
    const engaged = e.maybe('eng-crank-flange', 'bolt-engagement');
    const diameter = e.maybe('eng-crank-flange', 'bolt-diameter');
    if (engaged && diameter) {
      const spare = engaged.minus(diameter);
      if (spare.value < 0)
        return e.say('adapt', `bolts engage ${engaged.value} mm, ${diameter.value} mm wanted: longer bolts`, {
          sum: spare,
          label: 'Engagement over 1.0 d',
          margin: { value: spare.value, unit: 'mm' },
        });
    }
    const thickness = e.maybe('eng-flywheel', 'thickness');
    const original = e.maybe('eng-flywheel', 'original-thickness');
    if (thickness && original && thickness.value > original.value && !engaged) {
      const thicker = thickness.minus(original);
      return e.say('adapt', `plate ${thicker.value.toFixed(1)} mm thicker: bolt engagement to be read`, {
        sum: thicker,
        label: 'Plate thicker by',
      });
    }
    return e.say('bolts-up', 'circle, bolts and balance agree', { sum: circle, label: 'Difference of the circles' });
  }),
  rule('fit-pilot', 'common practice: tip reaches two thirds of the bearing and does not bottom', (e) => {
    if (automatics.includes(e.word('gbx-kind')))
      return e.say('bolts-up', 'converter hub: judged with the converter seat');
    e.want(
      ['gbx-input-shaft', 'reach-ahead-of-bell-face'],
      ['eng-crank-flange', 'depth-behind-bell-face'],
      ['eng-pilot-bore', 'depth'],
      ['eng-pilot-bore', 'bearing-length'],
    );
    const into = e
      .fact('gbx-input-shaft', 'reach-ahead-of-bell-face')
      .minus(e.fact('eng-crank-flange', 'depth-behind-bell-face'));
    const bottom = e.fact('eng-pilot-bore', 'depth').minus(into);
    if (bottom.value < 0)
      return e.say('clash', 'tip touches the bottom', {
        sum: bottom,
        label: 'Left ahead of the tip',
        margin: { value: bottom.value, unit: 'mm' },
      });
    const least = e
      .fact('eng-pilot-bore', 'bearing-length')
      .times(e.limit('Two thirds', 2 / 3, '', 'common practice'), 'Two thirds of the bearing');
    const over = into.minus(least);
    const tip = e.maybe('gbx-input-shaft', 'tip-diameter');
    const inner = e.maybe('eng-pilot-bore', 'bearing-inner-size');
    if (over.value >= 0 && tip && inner && Math.abs(tip.value - inner.value) > 0.1) {
      const play = inner.minus(tip);
      return e.say('adapt', `tip ${tip.value} mm, bearing ${inner.value} mm: other inner size`, {
        sum: play,
        label: 'Bearing over the tip',
        margin: { value: play.value, unit: 'mm' },
      });
    }
    return e.judge('Reach over the least', over, { boltsUp: [0, Infinity], adapt: [0, Infinity] });
  }),
  rule('fit-clutch', 'common practice: one matched set; the maker first', (e) => {
    if (!clutched.includes(e.word('gbx-kind'))) return e.say('bolts-up', 'no clutch in this gearbox');
    e.want(
      ['gbx-input-shaft', 'spline-count'],
      ['gbx-input-shaft', 'disc-spline-count'],
      ['gbx-input-shaft', 'disc-diameter'],
      ['eng-flywheel', 'friction-size'],
    );
    const splines = e.fact('gbx-input-shaft', 'spline-count').minus(e.fact('gbx-input-shaft', 'disc-spline-count'));
    if (splines.value !== 0)
      return e.say('clash', 'disc and shaft have different splines', {
        sum: splines,
        label: 'Difference of the splines',
      });
    const bare = e.fact('eng-flywheel', 'friction-size').minus(e.fact('gbx-input-shaft', 'disc-diameter'));
    const short = bare.value;
    const word = short > 3 ? 'clash' : short === 0 ? 'bolts-up' : 'adapt';
    return e.say(
      word,
      short === 0
        ? 'disc covers the ring'
        : `disc ${Math.abs(short)} mm ${short > 0 ? 'smaller' : 'larger'} than the ring`,
      {
        sum: bare,
        label: 'Ring not covered',
        margin: marginIn(bare, [-Infinity, 3]),
      },
    );
  }),
  rule('fit-converter-seat', 'common practice: 3 to 5 mm to draw forward; the maker first', (e) => {
    if (!automatics.includes(e.word('gbx-kind'))) return e.say('bolts-up', 'no converter in this gearbox');
    e.want(['gbx-converter-seat', 'pads-behind-bell-face-when-home'], ['eng-flywheel', 'pad-depth-behind-bell-face']);
    const draw = e
      .fact('gbx-converter-seat', 'pads-behind-bell-face-when-home')
      .minus(e.fact('eng-flywheel', 'pad-depth-behind-bell-face'));
    const drawn = `draws ${draw.value.toFixed(1)} mm`;
    const headline = (): string => {
      if (draw.value < 1.5) return 'no room: converter not home or stack too long';
      if (draw.value < 3) return `${drawn}, 3 wanted`;
      return draw.value > 5 ? `${drawn}: equal spacer washers` : `${drawn} forward`;
    };
    return e.judge('Converter draws forward', draw, { boltsUp: [3, 5], adapt: [1.5, Infinity] }, headline);
  }),
  rule('fit-starter', 'common practice: pinion rest gap 1.5 to 3 mm', (e) => {
    e.want(['eng-ring-gear', 'starter-teeth-module-match'], ['eng-ring-gear', 'pinion-rest-gap']);
    if (e.word('eng-ring-gear', 'starter-teeth-module-match') === 'no')
      return e.say('clash', 'tooth pitch of starter and ring differ');
    const gap = e.fact('eng-ring-gear', 'pinion-rest-gap');
    return e.judge('Rest gap of the pinion', gap, { boltsUp: [1.5, 3], adapt: [-Infinity, Infinity] }, (word) =>
      word === 'bolts-up'
        ? `rest gap ${gap.value} mm`
        : `rest gap ${gap.value} mm, 1.5 to 3 wanted: shim or nose block`,
    );
  }),
  rule('fit-gearbox-mount', 'geometry; plate up to 40 mm common practice', (e) => {
    const layout = e.maybeWord('rec-drive-layout');
    const tail = e.maybeWord('gbx-source-layout');
    if (layout === 'front-longitudinal-rear-drive' && tail === 'all-drive')
      return e.say('clash', 'all-drive tail in a rear-drive car');
    e.want(
      ['rec-gearbox-crossmember'],
      ['rec-gearbox-crossmember', 'mount-x'],
      ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
      ['gbx-mount-place', 'bell-face-to-mount'],
    );
    const off = e
      .fact('cho-engine-place', 'bell-face-ahead-of-firewall-x')
      .minus(e.fact('gbx-mount-place', 'bell-face-to-mount'))
      .minus(e.fact('rec-gearbox-crossmember', 'mount-x'))
      .size('Mount from its place');
    const kind = e.word('rec-gearbox-crossmember');
    const slots = kind === 'bolted-slots' ? (e.maybe('rec-gearbox-crossmember', 'slot-range')?.value ?? 0) / 2 : 0;
    const free = Math.max(slots, 1.5);
    const word = off.value <= free ? 'bolts-up' : kind === 'fixed' && off.value > 40 ? 'clash' : 'adapt';
    return e.say(word, `mount falls ${off.value.toFixed(0)} mm from its place`, {
      sum: off,
      label: 'Mount from its place',
      margin: marginIn(off, [-Infinity, free]),
    });
  }),
  rule('fit-propshaft-length', 'Euler-Bernoulli, first mode; run below 70 % of critical, common practice', (e) => {
    const layout = e.word('rec-drive-layout');
    if (!layout.startsWith('front-longitudinal')) return e.say('bolts-up', 'no propshaft in this layout');
    e.want(
      ['gbx-output', 'shaft-length'],
      ['gbx-output', 'tube-outside-diameter'],
      ['gbx-output', 'tube-wall'],
      ['eng-max-rpm'],
      ['gbx-ratios', 'top'],
    );
    const critical = e
      .fact('gbx-output', 'shaft-length')
      .through(
        'Critical speed of the tube',
        'rpm',
        (length, outside, wall) => shaftCriticalRpm(outside, wall, length / 1000),
        'Euler-Bernoulli, first mode',
        e.fact('gbx-output', 'tube-outside-diameter'),
        e.fact('gbx-output', 'tube-wall'),
      );
    const allowed = critical.times(e.limit('Share of it', 0.7, '', 'common practice'), '70 % of the critical speed');
    const working = e.fact('eng-max-rpm').over(e.fact('gbx-ratios', 'top'), 'Engine limit through top gear');
    const left = allowed.minus(working);
    const slip = e.maybe('gbx-output', 'slip-left');
    if (left.value >= 0 && slip && slip.value < 20) {
      const spare = slip.minus(e.limit('Least slip left', 20, 'mm', 'common practice'));
      return e.say('adapt', `slip left ${slip.value} mm, 20 wanted`, {
        sum: spare,
        label: 'Slip over the least',
        margin: { value: spare.value, unit: 'mm' },
      });
    }
    return e.judge('Shaft speed left', left, { boltsUp: [0, Infinity], adapt: [0, Infinity] });
  }),
  rule('fit-driveline-angles', 'common practice: ends equal within 1 deg, never unequal by more than 2', (e) => {
    if (!e.word('rec-drive-layout').startsWith('front-longitudinal'))
      return e.say('bolts-up', 'no propshaft in this layout');
    e.want(['gbx-output', 'output-slope-tail-down'], ['rec-pinion-angle']);
    const unequal = e
      .fact('gbx-output', 'output-slope-tail-down')
      .minus(e.fact('rec-pinion-angle'))
      .size('Difference of the ends');
    return e.judge(
      'Difference of the ends',
      unequal,
      { boltsUp: [-Infinity, 1], adapt: [-Infinity, 2] },
      `ends ${unequal.value.toFixed(1)} deg apart`,
    );
  }),
  rule('fit-torque-chain', 'common practice: each rating at least 1.2 times the torque that reaches it', (e) => {
    const torque = e.maybe('cho-power-target', 'torque') ?? e.fact('eng-torque');
    const gearbox = e.fact('gbx-rating').over(torque, 'Gearbox rating over engine torque', '');
    const axle = e.maybe('rec-axle-rating');
    const first = e.maybe('gbx-ratios', 'first');
    const reaching = first && torque.times(first, 'Torque after first gear');
    const { name, sum } = leastOf([
      ['gearbox', gearbox],
      ...(axle && reaching
        ? ([
            ['axle', axle.over(reaching, `Axle rating over torque after first gear (${first.value} : 1)`, '')],
          ] as const)
        : []),
    ]);
    return e.judge(
      `Rating of the ${name} over torque`,
      sum,
      { boltsUp: [1.2, Infinity], adapt: [1, Infinity] },
      `weakest is the ${name}, ${sum.value.toFixed(2)} times the torque`,
    );
  }),
  rule('fit-gearing', 'common practice: 1700 to 2700 rpm petrol, 1500 to 2300 diesel at 110 km/h', (e) => {
    e.want(['rec-axle-ratio'], ['gbx-ratios', 'top'], ['rec-tyre-size'], ['eng-fuel']);
    const rpm = circumferenceMm(e).through(
      'Engine speed at 110 km/h in top',
      'rpm',
      (circumference, top, axle) => engineRpmAt(110, circumference, top, axle),
      'geometry',
      e.fact('gbx-ratios', 'top'),
      e.fact('rec-axle-ratio'),
    );
    const [low, high] = e.word('eng-fuel') === 'diesel' ? [1500, 2300] : [1700, 2700];
    return e.judge(
      'Engine speed at 110 km/h',
      rpm,
      { boltsUp: [low, high], adapt: [low * 0.8, high * 1.2] },
      `${Math.round(rpm.value)} rpm at 110 km/h, ${low} to ${high} wanted`,
    );
  }),
  rule(
    'fit-axle-load',
    'plate limits (law); share change 2 % common practice; all of the change counted on the engine axle',
    (e) => {
      e.want(['rec-axle-masses', 'front'], ['rec-axle-masses', 'rear'], ['eng-mass']);
      const end = ['rear-engine', 'mid-engine'].includes(e.word('rec-drive-layout')) ? 'rear' : 'front';
      e.want(['rec-axle-limits', end]);
      const before = e.fact('rec-axle-masses', end);
      const change = e.fact('eng-mass').minus(e.outgoing('eng-mass'));
      const after = before.plus(change);
      const spare = e.fact('rec-axle-limits', end).value - after.value;
      const total = e.fact('rec-axle-masses', 'front').value + e.fact('rec-axle-masses', 'rear').value;
      const share = Math.abs(after.value / (total + change.value) - before.value / total) * 100;
      const word = spare < 0 ? 'clash' : share < 2 ? 'bolts-up' : 'adapt';
      const moved = `${change.value >= 0 ? '+' : '−'}${Math.abs(change.value).toFixed(0)} kg`;
      return e.say(
        word,
        spare < 0
          ? `${Math.abs(spare).toFixed(0)} kg over the ${end} plate limit`
          : `${end} axle ${moved}, share moves ${share.toFixed(1)} %`,
        {
          sum: after,
          label: `${end === 'front' ? 'Front' : 'Rear'} axle after`,
          margin: { value: spare, unit: 'kg' },
        },
      );
    },
  ),
  rule('fit-shift-linkage', 'geometry; 15 mm of lever hole common practice', (e) => {
    if (e.word('gbx-shift-link') !== 'top-lever') return e.say('adapt', 'remote shift: rod or cable made to length');
    e.want(
      ['gbx-shift-link', 'lever-x-from-bell-face'],
      ['rec-tunnel-envelope', 'lever-hole-x'],
      ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
    );
    const off = e
      .fact('cho-engine-place', 'bell-face-ahead-of-firewall-x')
      .minus(e.fact('gbx-shift-link', 'lever-x-from-bell-face'))
      .minus(e.fact('rec-tunnel-envelope', 'lever-hole-x'));
    return e.judge(
      'Lever from its hole',
      off,
      { boltsUp: [-15, 15], adapt: [-150, 150] },
      `lever ${Math.abs(off.value).toFixed(0)} mm ${off.value >= 0 ? 'ahead of' : 'behind'} its hole`,
    );
  }),
];
