import { engineRpmAt, shaftCriticalRpm, tyreDiameterMm } from '../../sums/index.ts';
import { rule } from '../evidence.ts';
import type { Evidence } from '../evidence.ts';

const automatics = ['automatic-hydraulic', 'automatic-electronic', 'dual-clutch', 'transaxle-automatic'];
const clutched = ['manual', 'transaxle-manual'];

/** Rolling circumference: measured over a turn where somebody did, else from the size on the side wall. */
function circumferenceMm(e: Evidence): number {
  const rolled = e.maybe('rec-tyre-size', 'rolling-circumference');
  if (rolled !== undefined) return e.row('', 'Rolling circumference', rolled, 'mm', { factId: 'rec-tyre-size', partKey: 'rolling-circumference' });
  const diameter = tyreDiameterMm(e.word('rec-tyre-size'));
  if (diameter === undefined) return e.number('rec-tyre-size', 'rolling-circumference');
  // A loaded tyre rolls on about 97 % of its free circumference (common practice).
  return e.row('', 'Circumference from tyre size, loaded', Math.PI * diameter * 0.97, 'mm', { factId: 'rec-tyre-size' });
}

export const drivelineRules = [
  rule('fit-bellhousing', 'common practice: one pattern, proven by rubbing', (e) => {
    e.want(['eng-bell-pattern'], ['gbx-bell-pattern']);
    const engine = e.word('eng-bell-pattern');
    const gearbox = e.word('gbx-bell-pattern');
    const same = engine.trim().toLowerCase() === gearbox.trim().toLowerCase();
    return e.say(same ? 'bolts-up' : 'adapt', same ? `both ${engine}` : `engine ${engine}, gearbox ${gearbox}: adapter wanted`);
  }),
  rule('fit-crank-flange', 'common practice: engagement at least 1.0 d in steel', (e) => {
    e.want(['eng-crank-flange', 'bolts'], ['eng-crank-flange', 'circle'], ['eng-flywheel', 'bolts'], ['eng-flywheel', 'circle']);
    const crankBalance = e.maybeWord('eng-flywheel', 'crank-balance');
    const plateBalance = e.maybeWord('eng-flywheel', 'balance');
    if (crankBalance && plateBalance && crankBalance !== plateBalance) return e.say('clash', `crank is balanced ${crankBalance}, plate ${plateBalance}`);
    const bolts = e.number('eng-crank-flange', 'bolts') - e.number('eng-flywheel', 'bolts');
    const circle = e.line('+', 'eng-crank-flange', 'circle') - e.line('−', 'eng-flywheel', 'circle');
    if (bolts !== 0 || Math.abs(circle) > 0.3)
      return e.say('clash', 'bolt circles differ', { result: { label: 'Difference of the circles', value: circle, unit: 'mm' } });
    const engaged = e.maybe('eng-crank-flange', 'bolt-engagement');
    const diameter = e.maybe('eng-crank-flange', 'bolt-diameter');
    if (engaged !== undefined && diameter !== undefined) {
      const spare = e.line('+', 'eng-crank-flange', 'bolt-engagement') - e.line('−', 'eng-crank-flange', 'bolt-diameter');
      if (spare < 0)
        return e.say('adapt', `bolts engage ${engaged} mm, ${diameter} mm wanted: longer bolts`, {
          result: { label: 'Engagement over 1.0 d', value: spare, unit: 'mm' },
          margin: { value: spare, unit: 'mm' },
        });
    }
    const thickness = e.maybe('eng-flywheel', 'thickness');
    const original = e.maybe('eng-flywheel', 'original-thickness');
    if (thickness !== undefined && original !== undefined && thickness > original && engaged === undefined) {
      return e.say('adapt', `plate ${(thickness - original).toFixed(1)} mm thicker: bolt engagement to be read`);
    }
    return e.say('bolts-up', 'circle, bolts and balance agree');
  }),
  rule('fit-pilot', 'common practice: tip reaches two thirds of the bearing and does not bottom', (e) => {
    if (automatics.includes(e.word('gbx-kind'))) return e.say('bolts-up', 'converter hub: judged with the converter seat');
    e.want(
      ['gbx-input-shaft', 'reach-ahead-of-bell-face'],
      ['eng-crank-flange', 'depth-behind-bell-face'],
      ['eng-pilot-bore', 'depth'],
      ['eng-pilot-bore', 'bearing-length'],
    );
    const into = e.line('+', 'gbx-input-shaft', 'reach-ahead-of-bell-face') - e.line('−', 'eng-crank-flange', 'depth-behind-bell-face');
    const wanted = (e.number('eng-pilot-bore', 'bearing-length') * 2) / 3;
    const least = e.row('−', 'Two thirds of the bearing', wanted, 'mm', { basis: 'common practice' });
    if (into > e.number('eng-pilot-bore', 'depth'))
      return e.say('clash', 'tip touches the bottom', { margin: { value: e.number('eng-pilot-bore', 'depth') - into, unit: 'mm' } });
    if (into < least) return e.left('Reach over the least', into - least);
    const tip = e.maybe('gbx-input-shaft', 'tip-diameter');
    const inner = e.maybe('eng-pilot-bore', 'bearing-inner-size');
    if (tip !== undefined && inner !== undefined && Math.abs(tip - inner) > 0.1)
      return e.say('adapt', `tip ${tip} mm, bearing ${inner} mm: other inner size`, { margin: { value: inner - tip, unit: 'mm' } });
    return e.left('Reach over the least', into - least);
  }),
  rule('fit-clutch', 'common practice: one matched set; the maker first', (e) => {
    if (!clutched.includes(e.word('gbx-kind'))) return e.say('bolts-up', 'no clutch in this gearbox');
    e.want(
      ['gbx-input-shaft', 'spline-count'],
      ['gbx-input-shaft', 'disc-spline-count'],
      ['gbx-input-shaft', 'disc-diameter'],
      ['eng-flywheel', 'friction-size'],
    );
    if (e.number('gbx-input-shaft', 'spline-count') !== e.number('gbx-input-shaft', 'disc-spline-count'))
      return e.say('clash', 'disc and shaft have different splines');
    const short = e.line('+', 'eng-flywheel', 'friction-size') - e.line('−', 'gbx-input-shaft', 'disc-diameter');
    const word = short > 3 ? 'clash' : short > 0 || short < 0 ? 'adapt' : 'bolts-up';
    return e.say(word, short === 0 ? 'disc covers the ring' : `disc ${Math.abs(short)} mm ${short > 0 ? 'smaller' : 'larger'} than the ring`, {
      result: { label: 'Ring not covered', value: short, unit: 'mm' },
      margin: { value: 3 - short, unit: 'mm' },
    });
  }),
  rule('fit-converter-seat', 'common practice: 3 to 5 mm to draw forward; the maker first', (e) => {
    if (!automatics.includes(e.word('gbx-kind'))) return e.say('bolts-up', 'no converter in this gearbox');
    e.want(['gbx-converter-seat', 'pads-behind-bell-face-when-home'], ['eng-flywheel', 'pad-depth-behind-bell-face']);
    const draw = e.line('+', 'gbx-converter-seat', 'pads-behind-bell-face-when-home') - e.line('−', 'eng-flywheel', 'pad-depth-behind-bell-face');
    const word = draw < 1.5 ? 'clash' : draw >= 3 && draw <= 5 ? 'bolts-up' : 'adapt';
    const headline =
      draw < 1.5
        ? 'no room: converter not home or stack too long'
        : draw < 3
          ? `draws ${draw.toFixed(1)} mm, 3 wanted`
          : draw > 5
            ? `draws ${draw.toFixed(1)} mm: equal spacer washers`
            : `draws ${draw.toFixed(1)} mm forward`;
    return e.say(word, headline, {
      result: { label: 'Converter draws forward', value: draw, unit: 'mm' },
      margin: { value: Math.min(draw - 3, 5 - draw), unit: 'mm' },
    });
  }),
  rule('fit-starter', 'common practice: pinion rest gap 1.5 to 3 mm', (e) => {
    e.want(['eng-ring-gear', 'starter-teeth-module-match'], ['eng-ring-gear', 'pinion-rest-gap']);
    if (e.word('eng-ring-gear', 'starter-teeth-module-match') === 'no') return e.say('clash', 'tooth pitch of starter and ring differ');
    const gap = e.line('', 'eng-ring-gear', 'pinion-rest-gap');
    const margin = Math.min(gap - 1.5, 3 - gap);
    return e.say(margin >= 0 ? 'bolts-up' : 'adapt', margin >= 0 ? `rest gap ${gap} mm` : `rest gap ${gap} mm, 1.5 to 3 wanted: shim or nose block`, {
      margin: { value: margin, unit: 'mm' },
    });
  }),
  rule('fit-gearbox-mount', 'geometry; plate up to 40 mm common practice', (e) => {
    const layout = e.maybeWord('rec-drive-layout');
    const tail = e.maybeWord('gbx-source-layout');
    if (layout === 'front-longitudinal-rear-drive' && tail === 'all-drive') return e.say('clash', 'all-drive tail in a rear-drive car');
    e.want(
      ['rec-gearbox-crossmember'],
      ['rec-gearbox-crossmember', 'mount-x'],
      ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
      ['gbx-mount-place', 'bell-face-to-mount'],
    );
    const at = e.line('+', 'cho-engine-place', 'bell-face-ahead-of-firewall-x') - e.line('−', 'gbx-mount-place', 'bell-face-to-mount');
    const off = Math.abs(at - e.line('−', 'rec-gearbox-crossmember', 'mount-x'));
    const kind = e.word('rec-gearbox-crossmember');
    const slots = kind === 'bolted-slots' ? (e.maybe('rec-gearbox-crossmember', 'slot-range') ?? 0) / 2 : 0;
    const word = off <= Math.max(slots, 1.5) ? 'bolts-up' : kind === 'fixed' && off > 40 ? 'clash' : 'adapt';
    return e.say(word, `mount falls ${off.toFixed(0)} mm from its place`, {
      result: { label: 'Mount from its place', value: off, unit: 'mm' },
      margin: { value: Math.max(slots, 1.5) - off, unit: 'mm' },
    });
  }),
  rule('fit-propshaft-length', 'Euler-Bernoulli, first mode; run below 70 % of critical, common practice', (e) => {
    const layout = e.word('rec-drive-layout');
    if (!layout.startsWith('front-longitudinal')) return e.say('bolts-up', 'no propshaft in this layout');
    e.want(['gbx-output', 'shaft-length'], ['gbx-output', 'tube-outside-diameter'], ['gbx-output', 'tube-wall'], ['eng-max-rpm'], ['gbx-ratios', 'top']);
    const length = e.line('', 'gbx-output', 'shaft-length');
    const critical = e.row(
      '',
      'Critical speed of the tube',
      shaftCriticalRpm(e.line('', 'gbx-output', 'tube-outside-diameter'), e.line('', 'gbx-output', 'tube-wall'), length / 1000),
      'rpm',
      { basis: 'Euler-Bernoulli, first mode' },
    );
    const allowed = e.row('+', '70 % of it', critical * 0.7, 'rpm', { basis: 'common practice' });
    const working = e.row('−', 'Engine limit through top gear', e.number('eng-max-rpm') / e.number('gbx-ratios', 'top'), 'rpm', { factId: 'eng-max-rpm' });
    const slip = e.maybe('gbx-output', 'slip-left');
    if (allowed >= working && slip !== undefined && slip < 20)
      return e.say('adapt', `slip left ${slip} mm, 20 wanted`, { margin: { value: slip - 20, unit: 'mm' } });
    return e.left('Shaft speed left', allowed - working, { boltsUp: 0, adapt: 0 }, 'rpm');
  }),
  rule('fit-driveline-angles', 'common practice: ends equal within 1 deg, never unequal by more than 2', (e) => {
    if (!e.word('rec-drive-layout').startsWith('front-longitudinal')) return e.say('bolts-up', 'no propshaft in this layout');
    e.want(['gbx-output', 'output-slope-tail-down'], ['rec-pinion-angle']);
    const unequal = Math.abs(e.line('+', 'gbx-output', 'output-slope-tail-down', 'deg') - e.line('−', 'rec-pinion-angle', 'value', 'deg'));
    const word = unequal <= 1 ? 'bolts-up' : unequal <= 2 ? 'adapt' : 'clash';
    return e.say(word, `ends ${unequal.toFixed(1)} deg apart`, {
      result: { label: 'Difference of the ends', value: unequal, unit: 'deg' },
      margin: { value: 1 - unequal, unit: 'deg' },
    });
  }),
  rule('fit-torque-chain', 'common practice: each rating at least 1.2 times the torque that reaches it', (e) => {
    const torque = e.maybe('cho-power-target', 'torque') ?? e.number('eng-torque');
    e.row('', 'Engine torque', torque, 'N·m', { factId: 'eng-torque' });
    const gearbox = e.row('', 'Gearbox rating over engine torque', e.number('gbx-rating') / torque, '', { factId: 'gbx-rating' });
    let weakest = { name: 'gearbox', times: gearbox };
    const axle = e.maybe('rec-axle-rating');
    const first = e.maybe('gbx-ratios', 'first');
    if (axle !== undefined && first !== undefined) {
      const times = e.row('', `Axle rating over torque after first gear (${first} : 1)`, axle / (torque * first), '', { factId: 'rec-axle-rating' });
      if (times < weakest.times) weakest = { name: 'axle', times };
    }
    const word = weakest.times >= 1.2 ? 'bolts-up' : weakest.times >= 1 ? 'adapt' : 'clash';
    return e.say(word, `weakest is the ${weakest.name}, ${weakest.times.toFixed(2)} times the torque`, {
      result: { label: `Rating of the ${weakest.name} over torque`, value: weakest.times, unit: '' },
      margin: { value: weakest.times - 1.2, unit: '' },
    });
  }),
  rule('fit-gearing', 'common practice: 1700 to 2700 rpm petrol, 1500 to 2300 diesel at 110 km/h', (e) => {
    e.want(['rec-axle-ratio'], ['gbx-ratios', 'top'], ['rec-tyre-size'], ['eng-fuel']);
    const rpm = e.row(
      '',
      'Engine speed at 110 km/h in top',
      engineRpmAt(110, circumferenceMm(e), e.number('gbx-ratios', 'top'), e.number('rec-axle-ratio')),
      'rpm',
      { basis: 'geometry' },
    );
    const [low, high] = e.word('eng-fuel') === 'diesel' ? [1500, 2300] : [1700, 2700];
    const margin = Math.min(rpm - low, high - rpm);
    const word = margin >= 0 ? 'bolts-up' : rpm >= low * 0.8 && rpm <= high * 1.2 ? 'adapt' : 'clash';
    return e.say(word, `${Math.round(rpm)} rpm at 110 km/h, ${low} to ${high} wanted`, {
      result: { label: 'Engine speed at 110 km/h', value: rpm, unit: 'rpm' },
      margin: { value: margin, unit: 'rpm' },
    });
  }),
  rule('fit-axle-load', 'plate limits (law); share change 2 % common practice; all of the change counted on the engine axle', (e) => {
    e.want(['rec-axle-masses', 'front'], ['rec-axle-masses', 'rear'], ['eng-mass']);
    const rear = ['rear-engine', 'mid-engine'].includes(e.word('rec-drive-layout'));
    const end = rear ? 'rear' : 'front';
    e.want(['rec-axle-limits', end]);
    const before = e.line('+', 'rec-axle-masses', end, 'kg');
    const change = e.line('+', 'eng-mass', 'value', 'kg') - e.row('−', 'Engine that leaves', e.outgoing('eng-mass'), 'kg', { factId: 'eng-mass' });
    const after = before + change;
    const spare = e.number('rec-axle-limits', end) - after;
    const total = e.number('rec-axle-masses', 'front') + e.number('rec-axle-masses', 'rear');
    const share = Math.abs(after / (total + change) - before / total) * 100;
    const word = spare < 0 ? 'clash' : share < 2 ? 'bolts-up' : 'adapt';
    return e.say(
      word,
      spare < 0
        ? `${Math.abs(spare).toFixed(0)} kg over the ${end} plate limit`
        : `${end} axle ${change >= 0 ? '+' : '−'}${Math.abs(change).toFixed(0)} kg, share moves ${share.toFixed(1)} %`,
      {
        result: { label: `${end === 'front' ? 'Front' : 'Rear'} axle after`, value: after, unit: 'kg' },
        margin: { value: spare, unit: 'kg' },
      },
    );
  }),
  rule('fit-shift-linkage', 'geometry; 15 mm of lever hole common practice', (e) => {
    if (e.word('gbx-shift-link') !== 'top-lever') return e.say('adapt', 'remote shift: rod or cable made to length');
    e.want(['gbx-shift-link', 'lever-x-from-bell-face'], ['rec-tunnel-envelope', 'lever-hole-x'], ['cho-engine-place', 'bell-face-ahead-of-firewall-x']);
    const off =
      e.line('+', 'cho-engine-place', 'bell-face-ahead-of-firewall-x') -
      e.line('−', 'gbx-shift-link', 'lever-x-from-bell-face') -
      e.line('−', 'rec-tunnel-envelope', 'lever-hole-x');
    const word = Math.abs(off) <= 15 ? 'bolts-up' : Math.abs(off) <= 150 ? 'adapt' : 'clash';
    return e.say(word, `lever ${Math.abs(off).toFixed(0)} mm ${off >= 0 ? 'ahead of' : 'behind'} its hole`, {
      result: { label: 'Lever from its hole', value: off, unit: 'mm' },
      margin: { value: 15 - Math.abs(off), unit: 'mm' },
    });
  }),
];
