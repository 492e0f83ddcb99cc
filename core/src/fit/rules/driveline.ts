import { engineRpmAt, shaftCriticalRpm } from '../../sums/index.ts';
import { marginIn } from '../../rules/evidence.ts';
import { farthestOf, leastOf } from '../../rules/sum.ts';
import { clearanceOf, rule } from '../evidence.ts';
import type { FitEvidence } from '../evidence.ts';
import {
  endsApart,
  jointsVerdict,
  lineFacts,
  longestPiece,
  outputSlope,
  plungeVerdict,
  rippleVerdict,
  shaftLine,
  slopesApart,
  travelVerdict,
  onWedge,
} from '../driveline/judged.ts';
import {
  behindPlate,
  chainApartMm,
  converterDraw,
  drawBands,
  faceOf,
  releaseBands,
  releaseOf,
  samePattern,
  tipIntoCrank,
} from '../stack/sums.ts';
import { halfShaftsVerdict } from '../driveline/half-shafts.ts';
import { circumferenceMm } from '../driveline/gears.ts';
import { axleWeights, massesMoved } from '../driveline/weights.ts';
import type { AxleWeights } from '../driveline/weights.ts';
import type { Face } from '../stack/sums.ts';
import type { Verdict } from '../../rules/verdict.ts';

const automatics = ['automatic-hydraulic', 'automatic-electronic', 'dual-clutch', 'transaxle-automatic'];
const clutched = ['manual', 'transaxle-manual'];

/** Least slip left before the yoke bottoms, mm. Common practice. */
const leastSlipMm = clearanceOf('cl-slip').staticMm;

const severity = ['bolts-up', 'adapt', 'clash', 'not-measured'] as const;

/** Chain and reading that differ: one of them is wrong, and nothing is said on top of either. */
function apartVerdict(e: FitEvidence, face: Face | undefined): Verdict | undefined {
  const apart = face?.apart;
  if (!apart || Math.abs(apart.value) <= chainApartMm) return undefined;
  return {
    ...e.say(
      'not-measured',
      `read and added up differ by ${Math.abs(apart.value).toFixed(1)} mm: read the face again`,
      { sum: apart, label: 'Read less added up' },
    ),
    needs: [
      { factId: 'eng-flywheel', partKey: 'pad-depth-behind-bell-face' },
      { factId: 'eng-flywheel', partKey: 'face-from-crank-flange' },
    ],
  };
}

const releaseFacts = [
  ['gbx-clutch-set', 'finger-height'],
  ['gbx-clutch-set', 'bearing-behind-bell-face'],
  ['gbx-clutch-set', 'bearing-travel'],
  ['gbx-clutch-set', 'release-travel'],
] as const;

/** Release bearing against fingers; nothing while one of the places is not known. */
function releaseVerdict(e: FitEvidence): Verdict | undefined {
  const face = faceOf(e);
  const release = face && releaseOf(e);
  if (!release) return undefined;
  const apart = apartVerdict(e, face);
  if (apart) return apart;
  const { gap, left } = release;
  const [least, most] = releaseBands.boltsUp;
  const mm = `${gap.value.toFixed(1)} mm`;
  if (left && left.value < 0)
    return e.say('clash', `bearing does not free the disc: ${(-left.value).toFixed(1)} mm short`, {
      sum: left,
      label: 'Travel left once the disc is free',
      margin: { value: left.value, unit: 'mm' },
    });
  return e.judge('Bearing pushed home, to the fingers', gap, releaseBands, (word) =>
    word === 'bolts-up'
      ? `${mm} from bearing to fingers`
      : word === 'clash'
        ? 'bearing meets the fingers: the clutch would slip as it wears'
        : `${mm} from bearing to fingers, ${least} to ${most} wanted: ${gap.value < least ? 'shim the clutch or thin the seat' : 'shim the bearing'}`,
  );
}

/** The axle that the engine does not stand on, where levers say what it gains; nothing while it is within its limit. */
function otherAxle(e: FitEvidence, end: 'front' | 'rear', levers: AxleWeights): Verdict | undefined {
  const other = end === 'front' ? 'rear' : 'front';
  const limit = e.maybe('rec-axle-limits', other);
  const after = e.fact('rec-axle-masses', other).plus(levers[other]);
  const spare = limit?.minus(after);
  return spare && spare.value < 0
    ? e.say('clash', `${(-spare.value).toFixed(0)} kg over the ${other} plate limit`, {
        sum: after,
        label: `${other === 'front' ? 'Front' : 'Rear'} axle after`,
        margin: { value: spare.value, unit: 'kg' },
      })
    : undefined;
}

export const drivelineRules = [
  rule('fit-bellhousing', 'common practice: one pattern, proven by rubbing', (e) => {
    e.want(['eng-bell-pattern'], ['gbx-bell-pattern']);
    const engine = e.word('eng-bell-pattern');
    const gearbox = e.word('gbx-bell-pattern');
    if (samePattern(engine, gearbox)) return e.say('bolts-up', `both ${engine}`);
    const plate = e.maybe('cho-stack', 'adapter-plate');
    const between = plate && plate.value > 0 ? `plate of ${plate.value} mm between them` : 'adapter wanted';
    return e.say('adapt', `engine ${engine}, gearbox ${gearbox}: ${between}`);
  }),
  rule('fit-crank-flange', 'common practice: engagement at least 1.0 d in steel', (e) => {
    e.want(
      ['eng-crank-flange', 'bolts'],
      ['eng-crank-flange', 'circle'],
      ['eng-flywheel', 'bolts'],
      ['eng-flywheel', 'circle'],
    );
    const kind = e.maybeWord('eng-flywheel', 'kind');
    const gearbox = e.maybeWord('gbx-kind');
    if (kind && gearbox && (kind === 'flexplate') !== (automatics.includes(gearbox) && gearbox !== 'dual-clutch'))
      return e.say(
        'clash',
        kind === 'flexplate'
          ? 'a flexplate, and a clutch that wants a flywheel'
          : 'a flywheel, and a converter that wants a flexplate',
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
    const spacer = e.maybe('cho-stack', 'crank-spacer');
    if (spacer && spacer.value > 0 && !engaged)
      return e.say('adapt', `spacer of ${spacer.value} mm on the crank: bolt engagement to be read`, {
        sum: spacer,
        label: 'Bolts longer by',
      });
    const thickness = e.maybe('eng-flywheel', 'thickness');
    const original = e.maybe('eng-flywheel', 'original-thickness');
    if (thickness && original && thickness.value > original.value && !engaged) {
      const thicker = thickness.minus(original);
      return e.say('adapt', `plate ${thicker.value.toFixed(1)} mm thicker: bolt engagement to be read`, {
        sum: thicker,
        label: 'Plate thicker by',
      });
    }
    return e.sure(
      e.say('bolts-up', 'kind, circle, bolts and balance agree', { sum: circle, label: 'Difference of the circles' }),
      ['eng-flywheel', 'kind'],
      ['gbx-kind'],
      ['eng-flywheel', 'balance'],
      ['eng-flywheel', 'crank-balance'],
      ['eng-crank-flange', 'bolt-engagement'],
      ['eng-crank-flange', 'bolt-diameter'],
    );
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
    const into = tipIntoCrank(e);
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
    return e.sure(
      e.judge('Reach over the least', over, { boltsUp: [0, Infinity], adapt: [0, Infinity] }),
      ['gbx-input-shaft', 'tip-diameter'],
      ['eng-pilot-bore', 'bearing-inner-size'],
    );
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
    const release = releaseVerdict(e);
    if (release && severity.indexOf(release.word) > severity.indexOf(word)) return release;
    const set = e.say(
      word,
      `${short === 0 ? 'disc covers the ring' : `disc ${Math.abs(short)} mm ${short > 0 ? 'smaller' : 'larger'} than the ring`}${release ? `, ${release.headline}` : ''}`,
      {
        sum: bare,
        label: 'Ring not covered',
        margin: marginIn(bare, [-Infinity, 3]),
      },
    );
    if (e.maybeWord('gbx-release-kind') !== 'concentric-slave') return set;
    // A bearing on the input shaft cannot be set afterwards: its height is known before it goes together, or it is not a go.
    return e.sure(
      set,
      ...releaseFacts,
      ...(faceOf(e) ? [] : ([['eng-flywheel', 'pad-depth-behind-bell-face']] as const)),
    );
  }),
  rule('fit-converter-seat', 'common practice: 3 to 5 mm to draw forward, spacers up to 12; the maker first', (e) => {
    if (!automatics.includes(e.word('gbx-kind'))) return e.say('bolts-up', 'no converter in this gearbox');
    const face = faceOf(e);
    if (!face)
      e.want(['gbx-converter-seat', 'pads-behind-bell-face-when-home'], ['eng-flywheel', 'pad-depth-behind-bell-face']);
    const apart = apartVerdict(e, face);
    if (apart) return apart;
    const draw = converterDraw(e, face!);
    const drawn = `draws ${draw.value.toFixed(1)} mm`;
    const headline = (): string => {
      if (draw.value < 1.5) return 'no room: converter not home or stack too long';
      if (draw.value < 3) return `${drawn}, 3 wanted`;
      if (draw.value > 12) return `${drawn}: the hub leaves the pump before it meets the plate`;
      return draw.value > 5 ? `${drawn}: equal spacer washers` : `${drawn} forward`;
    };
    return e.judge('Converter draws forward', draw, drawBands, headline);
  }),
  rule('fit-starter', 'common practice: pinion rest gap 1.5 to 3 mm', (e) => {
    e.want(['eng-ring-gear', 'starter-teeth-module-match'], ['eng-ring-gear', 'pinion-rest-gap']);
    if (e.word('eng-ring-gear', 'starter-teeth-module-match') === 'no')
      return e.say('clash', 'tooth pitch of starter and ring differ');
    const gap = e.fact('eng-ring-gear', 'pinion-rest-gap');
    return e.judge('Rest gap of the pinion', gap, { boltsUp: [1.5, 3], adapt: [-8, 12] }, (word) =>
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
    const kind = e.word('rec-gearbox-crossmember');
    if (kind === 'none') return e.say('adapt', 'no crossmember in the car: one is made to where the mount falls');
    e.want(
      ['rec-gearbox-crossmember', 'mount-x'],
      ['cho-engine-place', 'bell-face-ahead-of-firewall-x'],
      ['gbx-mount-place', 'bell-face-to-mount'],
    );
    const along = e
      .fact('cho-engine-place', 'bell-face-ahead-of-firewall-x')
      .minus(behindPlate(e, e.fact('gbx-mount-place', 'bell-face-to-mount')))
      .minus(e.fact('rec-gearbox-crossmember', 'mount-x'));
    const crankZ = e.maybe('cho-engine-place', 'crank-axis-above-body-datum-z');
    const below = e.maybe('gbx-mount-place', 'mount-z-below-output-axis');
    const memberZ = e.maybe('rec-gearbox-crossmember', 'mount-z');
    const slope = e.maybe('gbx-output', 'output-slope-tail-down') ?? e.maybe('cho-engine-place', 'slope-tail-down');
    const drop = slope?.through(
      'Tail lower by its slope',
      'mm',
      (deg, back) => back * Math.tan((deg * Math.PI) / 180),
      'geometry',
      e.fact('gbx-mount-place', 'bell-face-to-mount'),
    );
    const up = crankZ && below && memberZ ? crankZ.minus(below).minus(memberZ) : undefined;
    const off = farthestOf([
      ['Mount from its place, along the car', along],
      ...(up ? [['Mount from its place, in height', drop ? up.minus(drop) : up] as const] : []),
    ]).sum.size('Mount from its place');
    const slots = kind === 'bolted-slots' ? (e.maybe('rec-gearbox-crossmember', 'slot-range')?.value ?? 0) / 2 : 0;
    const free = Math.max(slots, 1.5);
    // A plate reaches 40 mm; a bolted member may be moved to other holes as well, but not to another part of the floor.
    const reach = kind === 'fixed' ? 40 : slots + 150;
    const word = off.value <= free ? 'bolts-up' : off.value > reach ? 'clash' : 'adapt';
    return e.sure(
      e.say(word, `mount falls ${off.value.toFixed(0)} mm from its place`, {
        sum: off,
        label: 'Mount from its place',
        margin: marginIn(off, [-Infinity, word === 'bolts-up' ? free : reach]),
      }),
      ['rec-gearbox-crossmember', 'mount-z'],
      ['gbx-mount-place', 'mount-z-below-output-axis'],
      ['cho-engine-place', 'crank-axis-above-body-datum-z'],
      ['gbx-source-layout'],
    );
  }),
  rule('fit-propshaft-length', 'Euler-Bernoulli, first mode; run below 70 % of critical, common practice', (e) => {
    const layout = e.word('rec-drive-layout');
    if (!layout.startsWith('front-longitudinal')) return e.say('bolts-up', 'no propshaft in this layout');
    const drawn = longestPiece(e);
    e.want(
      ...(drawn ? [] : ([['gbx-output', 'shaft-length']] as const)),
      ['gbx-output', 'tube-outside-diameter'],
      ['gbx-output', 'tube-wall'],
      ['eng-max-rpm'],
      ['gbx-ratios', 'top'],
    );
    const critical = (drawn ?? e.fact('gbx-output', 'shaft-length')).through(
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
    const bottoms = plungeVerdict(e);
    if (bottoms?.word === 'clash') return bottoms;
    const slip = e.maybe('gbx-output', 'slip-left');
    if (slip && slip.value <= 0)
      return e.say('clash', 'slip yoke bottoms', {
        sum: slip,
        label: 'Slip left',
        margin: { value: slip.value, unit: 'mm' },
      });
    if (left.value >= 0 && slip && slip.value < leastSlipMm) {
      const spare = slip.minus(e.limit('Least slip left', leastSlipMm, 'mm', 'common practice'));
      return e.say('adapt', `slip left ${slip.value} mm, ${leastSlipMm} wanted`, {
        sum: spare,
        label: 'Slip over the least',
        margin: { value: spare.value, unit: 'mm' },
      });
    }
    if (left.value >= 0 && bottoms?.word === 'adapt') return bottoms;
    return e.sure(e.judge('Shaft speed left', left, { boltsUp: [0, Infinity], adapt: [0, Infinity] }), [
      'gbx-output',
      'slip-left',
    ]);
  }),
  rule(
    'fit-driveline-angles',
    'common practice: ends equal within 1 deg, each joint 0.5 to 3 deg, 5 at the most; up to 10 deg in bump and droop',
    (e) => {
      if (!e.word('rec-drive-layout').startsWith('front-longitudinal'))
        return e.say('bolts-up', 'no propshaft in this layout');
      if (e.maybeWord('cho-carrier') !== 'one') e.want(['rec-pinion-angle']);
      const elsewhere = slopesApart(e);
      if (elsewhere) return elsewhere;
      const out = outputSlope(e);
      const pinion = onWedge(e, e.fact('rec-pinion-angle'));
      const apart = endsApart(e, out, pinion);
      if (apart?.word === 'clash') return apart;
      const shaft = shaftLine(e, 'ride');
      if (!shaft) return e.sure(apart ?? e.say('bolts-up', 'ends alike'), ...lineFacts(e));
      const found = [
        ...(apart ? [apart] : [rippleVerdict(e, shaft)]),
        jointsVerdict(e, shaft),
        ...(['bump', 'droop'] as const).flatMap((at) => travelVerdict(e, at) ?? []),
      ];
      const worst = found.reduce(
        (hardest, one) => (severity.indexOf(one.word) > severity.indexOf(hardest.word) ? one : hardest),
        found[1]!,
      );
      // At ride height is where it stands, not where it goes: what nobody read at the ends of its travel is no yes.
      return e.sure(worst, ['rec-pinion-place', 'z-at-bump'], ['rec-pinion-place', 'z-at-droop']);
    },
  ),
  rule('fit-halfshafts', "geometry; plunge and angle are the maker's, 2 mm kept at each end common practice", (e) => {
    if (e.word('rec-drive-layout').startsWith('front-longitudinal'))
      return e.say('bolts-up', 'no half shafts from the unit in this layout');
    return halfShaftsVerdict(e);
  }),
  rule('fit-torque-chain', 'common practice: each rating at least 1.2 times the torque that reaches it', (e) => {
    const asTorque = e.maybe('gbx-rating', 'value');
    const asPower = asTorque ? undefined : e.maybe('gbx-rating', 'as-power');
    const power = asPower && (e.maybe('cho-power-target', 'value') ?? e.maybe('eng-power'));
    const torque = e.maybe('cho-power-target', 'torque') ?? e.fact('eng-torque');
    if (torque.value <= 0) throw new RangeError('A torque is above zero');
    // A rating that is given as power is held against power: what speed it was meant at nobody says.
    const gearbox =
      asPower && power && power.value > 0
        ? asPower.over(power, 'Gearbox rating, as power, over engine power', '')
        : e.fact('gbx-rating').over(torque, 'Gearbox rating over engine torque', '');
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
    return e.sure(
      e.judge(
        `Rating of the ${name} over torque`,
        sum,
        { boltsUp: [1.2, Infinity], adapt: [1, Infinity] },
        `weakest is the ${name}, ${sum.value.toFixed(2)} times the ${asPower && power && name === 'gearbox' ? 'power' : 'torque'}`,
      ),
      ['rec-axle-rating'],
      ['gbx-ratios', 'first'],
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
    const stall = e.maybe('gbx-converter-seat', 'stall');
    const lasts = stall && rpm.minus(stall);
    // A converter that has not coupled at cruise slips there all day, unless a clutch locks it.
    if (lasts && lasts.value < 0 && rpm.value >= low * 0.8 && rpm.value <= high * 1.2)
      return e.say(
        'adapt',
        `converter stalls at ${stall.value} rpm, ${Math.round(rpm.value)} at 110 km/h: it slips and heats unless it locks`,
        { sum: lasts, label: 'Cruise over the stall speed', margin: { value: lasts.value, unit: 'rpm' } },
      );
    return e.judge(
      'Engine speed at 110 km/h',
      rpm,
      { boltsUp: [low, high], adapt: [low * 0.8, high * 1.2] },
      `${Math.round(rpm.value)} rpm at 110 km/h, ${low} to ${high} wanted`,
    );
  }),
  rule(
    'fit-axle-load',
    'plate limits (law); levers where wheelbase and places are known, else all of the change on the engine axle; share change 2 % common practice',
    (e) => {
      e.want(['rec-axle-masses', 'front'], ['rec-axle-masses', 'rear'], ['eng-mass']);
      const end = ['rear-engine', 'mid-engine'].includes(e.word('rec-drive-layout')) ? 'rear' : 'front';
      e.want(['rec-axle-limits', end]);
      const levers = axleWeights(e);
      const before = e.fact('rec-axle-masses', end);
      const engine = e.fact('eng-mass').minus(e.outgoing('eng-mass'));
      const gearbox = e.maybe('gbx-mass');
      const ownGearbox = e.maybeOutgoing('gbx-mass');
      const units = gearbox && ownGearbox ? engine.plus(gearbox.minus(ownGearbox)) : engine;
      const others = massesMoved(e);
      // Where a mass of its own stands counts by its lever, which nobody knows without the wheelbase.
      if (others.length > 0 && !levers) e.want(['rec-wheelbase'], ['rec-wheelbase', 'front-axle-x']);
      const change = others.reduce((sum, { kg }) => sum.plus(kg), units);
      const after = before.plus(levers ? levers[end] : change);
      const spare = e.fact('rec-axle-limits', end).value - after.value;
      const total = e.fact('rec-axle-masses', 'front').value + e.fact('rec-axle-masses', 'rear').value;
      const gross = e.maybe('rec-axle-limits', 'gross');
      const over = gross ? gross.value - (total + change.value) : undefined;
      if (over !== undefined && over < 0) {
        const whole = e.fact('rec-axle-masses', 'front').plus(e.fact('rec-axle-masses', 'rear')).plus(change);
        return e.say('clash', `${Math.abs(over).toFixed(0)} kg over the gross plate limit`, {
          sum: whole,
          label: 'Car after',
          margin: { value: over, unit: 'kg' },
        });
      }
      const other = levers && otherAxle(e, end, levers);
      if (other) return other;
      const share = Math.abs(after.value / (total + change.value) - before.value / total) * 100;
      const word = spare < 0 ? 'clash' : share < 2 ? 'bolts-up' : 'adapt';
      const gained = after.value - before.value;
      const moved = `${gained >= 0 ? '+' : '−'}${Math.abs(gained).toFixed(0)} kg`;
      return e.sure(
        e.say(
          word,
          spare < 0
            ? `${Math.abs(spare).toFixed(0)} kg over the ${end} plate limit`
            : `${end} axle ${moved}, share moves ${share.toFixed(1)} %`,
          {
            sum: after,
            label: `${end === 'front' ? 'Front' : 'Rear'} axle after`,
            margin: { value: spare, unit: 'kg' },
          },
        ),
        ['rec-axle-limits', 'gross'],
        ...(levers ? ([['rec-axle-limits', end === 'front' ? 'rear' : 'front']] as const) : []),
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
      .minus(behindPlate(e, e.fact('gbx-shift-link', 'lever-x-from-bell-face')))
      .minus(e.fact('rec-tunnel-envelope', 'lever-hole-x'));
    return e.judge(
      'Lever from its hole',
      off,
      { boltsUp: [-15, 15], adapt: [-150, 150] },
      `lever ${Math.abs(off.value).toFixed(0)} mm ${off.value >= 0 ? 'ahead of' : 'behind'} its hole`,
    );
  }),
];
