import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import {
  clearances,
  fitRules,
  interfaceOf,
  interfaces,
  judge,
  judgeAll,
  knockOnChain,
} from './index.ts';
import type { FitRecord, FitWord } from './index.ts';

type Typed = Record<string, string | Record<string, string>>;
const verdictOf = (id: string, typed: Typed, outgoing: Typed = {}, record?: FitRecord) =>
  judge(interfaceOf(id), { job: bookFrom(typed), outgoing: bookFrom(outgoing) }, record);

const place = {
  'cho-engine-place': {
    'bell-face-ahead-of-firewall-x': '25',
    'crank-axis-above-body-datum-z': '100',
    'sideways-from-centre-line-y': '0',
  },
};
const mounts = (x: string) => ({
  ...place,
  'rec-mount-pads': { kind: 'rail-brackets', 'left-x': '180', 'left-y': '400', 'left-z': '90' },
  'eng-mount-bosses': { 'left-x': x, 'left-y': '400', 'left-z': '-10' },
});
const auto = { 'gbx-kind': 'automatic-electronic' };
const long = { 'rec-drive-layout': 'front-longitudinal-rear-drive' };
const shaft = (outside: string) => ({
  ...long,
  'gbx-output': {
    'shaft-length': '1300',
    'tube-outside-diameter': outside,
    'tube-wall': '2.1',
    'slip-left': '24',
  },
  'eng-max-rpm': '6000',
  'gbx-ratios': { top: '1' },
});
const gear = (axle: string) => ({
  'rec-axle-ratio': axle,
  'gbx-ratios': { top: '0.8' },
  'rec-tyre-size': { value: '205/55 R16', 'rolling-circumference': '1930' },
  'eng-fuel': 'petrol',
});
const coolant = (bore: string, side: string) => ({
  'eng-coolant-ports': {
    'outlet-side': side,
    'outlet-bore': bore,
    'inlet-side': 'right',
    'inlet-bore': '38',
  },
  'rec-radiator-ports': {
    'inlet-side': 'left',
    'inlet-bore': '38',
    'outlet-side': 'right',
    'outlet-bore': '38',
  },
});
const charging = (amps: string, lamp: string) => ({
  'rec-electrical-system': '12v-negative-earth',
  'eng-alternator': { output: amps, exciter: 'lamp-wire' },
  'cho-fan': 'engine-driven',
  'rec-charge-lamp': lamp,
});

/** Each computed interface on both sides of its limits. Limits are those of the row, common practice. */
const cases: readonly (readonly [string, Typed, FitWord, Typed?])[] = [
  [
    'fit-bay-length',
    {
      ...place,
      'cho-fan': { value: 'electric-puller', thickness: '60' },
      'rec-bay-length': { 'to-core-rear-face': '640' },
      'eng-fan-reach': { 'pulley-face': '500' },
    },
    'bolts-up',
  ],
  [
    'fit-bay-length',
    {
      ...place,
      'cho-fan': { value: 'electric-puller', thickness: '60' },
      'rec-bay-length': { 'to-core-rear-face': '600', 'to-radiator-support': '640' },
      'eng-fan-reach': { 'pulley-face': '520' },
    },
    'adapt',
  ],
  [
    'fit-bay-length',
    {
      ...place,
      'cho-fan': { value: 'electric-puller', thickness: '60' },
      'rec-bay-length': { 'to-core-rear-face': '560' },
      'eng-fan-reach': { 'pulley-face': '520' },
    },
    'clash',
  ],
  [
    'fit-bay-width',
    {
      'rec-bay-width': { 'between-towers-at-head-height': '800' },
      'eng-width': { 'left-at-covers-and-coils': '300', 'right-at-covers-and-coils': '320' },
    },
    'bolts-up',
  ],
  [
    'fit-bay-width',
    {
      'rec-bay-width': { 'between-towers-at-head-height': '720' },
      'eng-width': { 'left-at-covers-and-coils': '300', 'right-at-covers-and-coils': '340' },
    },
    'adapt',
  ],
  [
    'fit-bay-width',
    {
      'rec-bay-width': { 'between-towers-at-head-height': '600' },
      'eng-width': { 'left-at-covers-and-coils': '300', 'right-at-covers-and-coils': '340' },
    },
    'clash',
  ],
  [
    'fit-hood',
    {
      ...place,
      'rec-hood-profile': { 'lowest-z-over-the-engine': '500' },
      'eng-height-up': { 'highest-point': '360' },
      'cho-mount-material': 'rubber',
    },
    'bolts-up',
  ],
  [
    'fit-hood',
    {
      ...place,
      'rec-hood-profile': { 'lowest-z-over-the-engine': '500' },
      'eng-height-up': { 'highest-point': '388' },
      'cho-mount-material': 'solid',
    },
    'adapt',
  ],
  [
    'fit-hood',
    {
      ...place,
      'rec-hood-profile': { 'lowest-z-over-the-engine': '500' },
      'eng-height-up': { 'highest-point': '395' },
      'cho-mount-material': 'solid',
    },
    'clash',
  ],
  [
    'fit-sump-crossmember',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '150' },
      'rec-crossmember-place': { 'top-z': '-80', 'rear-edge-x': '200', 'front-edge-x': '300' },
    },
    'bolts-up',
  ],
  [
    'fit-sump-crossmember',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '170' },
      'rec-crossmember-place': { 'top-z': '-80', 'rear-edge-x': '200', 'front-edge-x': '300' },
    },
    'adapt',
  ],
  [
    'fit-sump-crossmember',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '190' },
      'rec-crossmember-place': { 'top-z': '-80', 'rear-edge-x': '200', 'front-edge-x': '300' },
    },
    'clash',
  ],
  [
    'fit-sump-crossmember',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '190' },
      'eng-sump-bowl-place': { value: 'rear', 'bowl-rear-x': '10', 'bowl-front-x': '120' },
      'rec-crossmember-place': { 'top-z': '-80', 'rear-edge-x': '200', 'front-edge-x': '300' },
    },
    'bolts-up',
  ],
  [
    'fit-sump-steering',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '150' },
      'rec-steering-envelope': { 'top-z-worst-position': '-54' },
    },
    'clash',
  ],
  [
    'fit-sump-steering',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '150' },
      'rec-steering-envelope': { 'top-z-worst-position': '-75' },
    },
    'bolts-up',
  ],
  [
    'fit-install-path',
    {
      'rec-install-path': { 'hoist-rating-at-boom-place': '300' },
      'eng-mass': '180',
      'cho-unit-lift': 'engine-alone',
    },
    'bolts-up',
  ],
  [
    'fit-install-path',
    {
      'rec-install-path': { 'hoist-rating-at-boom-place': '250' },
      'eng-mass': '180',
      'gbx-mass': '50',
      'cho-unit-lift': 'engine-and-gearbox',
    },
    'clash',
  ],
  [
    'fit-accessory-drive',
    {
      'eng-accessory-drive': {
        'worst-plane-offset': '0.8',
        'span-there': '300',
        'alternator-wrap': '150',
      },
    },
    'bolts-up',
  ],
  [
    'fit-accessory-drive',
    {
      'eng-accessory-drive': {
        'worst-plane-offset': '0.8',
        'span-there': '300',
        'alternator-wrap': '100',
      },
    },
    'adapt',
  ],
  [
    'fit-radiator-fan',
    {
      ...place,
      'cho-fan': 'engine-driven',
      'rec-bay-length': { 'to-core-rear-face': '640' },
      'eng-fan-reach': { 'fan-face': '605' },
    },
    'clash',
  ],
  [
    'fit-coolant-high-point',
    { ...place, 'rec-fill-point-z': '440', 'eng-coolant-high-point': '310' },
    'bolts-up',
  ],
  [
    'fit-coolant-high-point',
    {
      ...place,
      'rec-fill-point-z': '400',
      'eng-coolant-high-point': { value: '310', 'steam-or-bleed-ports': '1' },
    },
    'adapt',
  ],
  [
    'fit-coolant-high-point',
    { ...place, 'rec-fill-point-z': '380', 'eng-coolant-high-point': '310' },
    'clash',
  ],
  ['fit-mount-pads', mounts('156'), 'bolts-up'],
  ['fit-mount-pads', mounts('200'), 'adapt'],
  ['fit-mount-pads', mounts('240'), 'clash'],
  [
    'fit-tunnel',
    {
      'rec-tunnel-envelope': { 'width-at-bell': '500' },
      'gbx-envelope': { 'widest-at-bell': '440' },
    },
    'bolts-up',
  ],
  [
    'fit-tunnel',
    {
      'rec-tunnel-envelope': { 'width-at-bell': '450' },
      'gbx-envelope': { 'widest-at-bell': '440' },
    },
    'clash',
  ],
  ['fit-turbo-drain', { 'eng-induction': 'none' }, 'bolts-up'],
  [
    'fit-turbo-drain',
    {
      'eng-induction': 'turbo',
      'eng-turbo-drain': {
        'drain-flange-z': '40',
        'return-port-z': '-30',
        'angle-from-vertical': '20',
      },
    },
    'bolts-up',
  ],
  [
    'fit-turbo-drain',
    {
      'eng-induction': 'turbo',
      'eng-turbo-drain': {
        'drain-flange-z': '-40',
        'return-port-z': '-30',
        'angle-from-vertical': '20',
      },
    },
    'clash',
  ],
  [
    'fit-bellhousing',
    { 'eng-bell-pattern': 'six-bolt', 'gbx-bell-pattern': 'Six-bolt' },
    'bolts-up',
  ],
  ['fit-bellhousing', { 'eng-bell-pattern': 'six-bolt', 'gbx-bell-pattern': 'four-bolt' }, 'adapt'],
  [
    'fit-crank-flange',
    {
      'eng-crank-flange': {
        bolts: '8',
        circle: '78',
        'bolt-engagement': '12',
        'bolt-diameter': '10',
      },
      'eng-flywheel': { bolts: '8', circle: '78' },
    },
    'bolts-up',
  ],
  [
    'fit-crank-flange',
    {
      'eng-crank-flange': {
        bolts: '8',
        circle: '78',
        'bolt-engagement': '8',
        'bolt-diameter': '10',
      },
      'eng-flywheel': { bolts: '8', circle: '78' },
    },
    'adapt',
  ],
  [
    'fit-crank-flange',
    {
      'eng-crank-flange': { bolts: '8', circle: '78' },
      'eng-flywheel': {
        bolts: '8',
        circle: '78',
        balance: 'external',
        'crank-balance': 'internal',
      },
    },
    'clash',
  ],
  [
    'fit-pilot',
    {
      'gbx-kind': 'manual',
      'gbx-input-shaft': { 'reach-ahead-of-bell-face': '20' },
      'eng-crank-flange': { 'depth-behind-bell-face': '5' },
      'eng-pilot-bore': { depth: '25', 'bearing-length': '15' },
    },
    'bolts-up',
  ],
  [
    'fit-pilot',
    {
      'gbx-kind': 'manual',
      'gbx-input-shaft': { 'reach-ahead-of-bell-face': '40' },
      'eng-crank-flange': { 'depth-behind-bell-face': '5' },
      'eng-pilot-bore': { depth: '25', 'bearing-length': '15' },
    },
    'clash',
  ],
  [
    'fit-clutch',
    {
      'gbx-kind': 'manual',
      'gbx-input-shaft': {
        'spline-count': '22',
        'disc-spline-count': '22',
        'disc-diameter': '228',
      },
      'eng-flywheel': { 'friction-size': '228' },
    },
    'bolts-up',
  ],
  [
    'fit-clutch',
    {
      'gbx-kind': 'manual',
      'gbx-input-shaft': {
        'spline-count': '22',
        'disc-spline-count': '24',
        'disc-diameter': '228',
      },
      'eng-flywheel': { 'friction-size': '228' },
    },
    'clash',
  ],
  [
    'fit-converter-seat',
    {
      ...auto,
      'gbx-converter-seat': { 'pads-behind-bell-face-when-home': '24' },
      'eng-flywheel': { 'pad-depth-behind-bell-face': '20' },
    },
    'bolts-up',
  ],
  [
    'fit-converter-seat',
    {
      ...auto,
      'gbx-converter-seat': { 'pads-behind-bell-face-when-home': '22' },
      'eng-flywheel': { 'pad-depth-behind-bell-face': '20' },
    },
    'adapt',
  ],
  [
    'fit-converter-seat',
    {
      ...auto,
      'gbx-converter-seat': { 'pads-behind-bell-face-when-home': '21' },
      'eng-flywheel': { 'pad-depth-behind-bell-face': '20' },
    },
    'clash',
  ],
  [
    'fit-starter',
    { 'eng-ring-gear': { 'starter-teeth-module-match': 'yes', 'pinion-rest-gap': '2' } },
    'bolts-up',
  ],
  [
    'fit-starter',
    { 'eng-ring-gear': { 'starter-teeth-module-match': 'no', 'pinion-rest-gap': '2' } },
    'clash',
  ],
  [
    'fit-gearbox-mount',
    {
      ...long,
      ...place,
      'gbx-source-layout': 'rear-drive',
      'rec-gearbox-crossmember': { value: 'bolted-slots', 'mount-x': '-640', 'slot-range': '40' },
      'gbx-mount-place': { 'bell-face-to-mount': '675' },
    },
    'bolts-up',
  ],
  ['fit-gearbox-mount', { ...long, ...place, 'gbx-source-layout': 'all-drive' }, 'clash'],
  ['fit-propshaft-length', shaft('76.2'), 'clash'],
  ['fit-propshaft-length', shaft('101.6'), 'bolts-up'],
  [
    'fit-driveline-angles',
    { ...long, 'gbx-output': { 'output-slope-tail-down': '3' }, 'rec-pinion-angle': '2.4' },
    'bolts-up',
  ],
  [
    'fit-driveline-angles',
    { ...long, 'gbx-output': { 'output-slope-tail-down': '5.1' }, 'rec-pinion-angle': '2' },
    'clash',
  ],
  ['fit-torque-chain', { 'eng-torque': '200', 'gbx-rating': '280' }, 'bolts-up'],
  [
    'fit-torque-chain',
    {
      'eng-torque': '200',
      'gbx-rating': '280',
      'rec-axle-rating': '700',
      'gbx-ratios': { first: '3.6' },
    },
    'clash',
  ],
  ['fit-gearing', gear('3.0'), 'bolts-up'],
  ['fit-gearing', gear('3.9'), 'adapt'],
  ['fit-gearing', gear('5.5'), 'clash'],
  [
    'fit-axle-load',
    {
      ...long,
      'rec-axle-masses': { front: '800', rear: '700' },
      'rec-axle-limits': { front: '1000' },
      'eng-mass': '160',
    },
    'bolts-up',
    { 'eng-mass': '150' },
  ],
  [
    'fit-axle-load',
    {
      ...long,
      'rec-axle-masses': { front: '800', rear: '700' },
      'rec-axle-limits': { front: '850' },
      'eng-mass': '260',
    },
    'clash',
    { 'eng-mass': '150' },
  ],
  [
    'fit-shift-linkage',
    {
      ...place,
      'gbx-shift-link': { value: 'top-lever', 'lever-x-from-bell-face': '600' },
      'rec-tunnel-envelope': { 'lever-hole-x': '-580' },
    },
    'bolts-up',
  ],
  ['fit-coolant-ports', coolant('38', 'left'), 'bolts-up'],
  ['fit-coolant-ports', coolant('32', 'left'), 'adapt'],
  ['fit-coolant-ports', coolant('25', 'left'), 'clash'],
  [
    'fit-heater',
    {
      'cho-heater': 'kept',
      'eng-coolant-ports': { 'heater-in-bore': '16', 'heater-out-bore': '16' },
      'rec-heater-bore': { in: '19', out: '19' },
    },
    'adapt',
  ],
  ['fit-ac', { 'cho-ac': 'kept', 'rec-ac-state': 'none' }, 'clash'],
  [
    'fit-power-steering',
    { 'cho-ps': 'kept-hydraulic', 'rec-steering-assist': 'hydraulic', 'eng-ps-pump': 'none' },
    'clash',
  ],
  [
    'fit-booster-vacuum',
    {
      'rec-brake-assist': 'vacuum',
      'eng-fuel': 'petrol',
      'eng-vacuum-ports': { 'idle-vacuum': '65 kPa' },
    },
    'bolts-up',
  ],
  [
    'fit-booster-vacuum',
    {
      'rec-brake-assist': 'vacuum',
      'eng-fuel': 'petrol',
      'eng-vacuum-ports': { 'idle-vacuum': '50 kPa' },
    },
    'adapt',
  ],
  ['fit-booster-vacuum', { 'rec-brake-assist': 'vacuum', 'eng-fuel': 'diesel' }, 'clash'],
  [
    'fit-brakes-power',
    {
      'rec-power-before': { value: '80 kW', 'taken-at': 'crank' },
      'eng-power': '100 kW',
      'rec-brake-kind': { front: 'disc' },
    },
    'bolts-up',
  ],
  [
    'fit-brakes-power',
    {
      'rec-power-before': { value: '50 kW', 'taken-at': 'crank' },
      'eng-power': '110 kW',
      'rec-brake-kind': { front: 'drum' },
    },
    'clash',
  ],
  [
    'fit-brakes-power',
    {
      'rec-power-before': { value: '50 kW', 'taken-at': 'wheels' },
      'eng-power': '110 kW',
      'rec-brake-kind': { front: 'drum' },
    },
    'not-measured',
  ],
  [
    'fit-fuel-pressure',
    {
      'cho-fuel-system': 'return-regulator-on-rail',
      'eng-fuelling': 'port-injection',
      'eng-rail-ports': 'two',
      'rec-tank-ports': 'feed-and-return',
    },
    'bolts-up',
  ],
  [
    'fit-fuel-pressure',
    {
      'cho-fuel-system': 'return-regulator-on-rail',
      'eng-fuelling': 'port-injection',
      'eng-rail-ports': 'one',
      'rec-tank-ports': 'feed-and-return',
    },
    'clash',
  ],
  ['fit-tank', { 'eng-fuelling': 'port-injection', 'rec-tank-baffled': 'no' }, 'clash'],
  ['fit-tank', { 'eng-fuelling': 'carburettor' }, 'bolts-up'],
  // 150 kW × 0.30 / 0.745 = 60.4 L/h (common practice figures)
  [
    'fit-pump-flow',
    {
      'eng-fuelling': 'port-injection',
      'eng-power': '150 kW',
      'eng-induction': 'none',
      'rec-tank-pump': { 'flow-at-rail-pressure': '76 L/h' },
    },
    'bolts-up',
  ],
  [
    'fit-pump-flow',
    {
      'eng-fuelling': 'port-injection',
      'eng-power': '150 kW',
      'eng-induction': 'none',
      'rec-tank-pump': { 'flow-at-rail-pressure': '60 L/h' },
    },
    'clash',
  ],
  [
    'fit-diesel',
    { 'eng-fuel': 'diesel', 'rec-fuel-before': 'diesel', 'eng-diesel-stop': 'not-diesel' },
    'clash',
  ],
  ['fit-charging', charging('110', 'filament-lamp'), 'bolts-up'],
  ['fit-charging', charging('110', 'led-or-cluster'), 'adapt'],
  ['fit-charging', charging('30', 'filament-lamp'), 'clash'],
  [
    'fit-throttle',
    {
      'eng-throttle-kind': 'by-wire',
      'rec-throttle-pedal': 'cable',
      'cho-control': 'carburettor-distributor',
    },
    'clash',
  ],
  [
    'fit-ecu-engine',
    {
      'cho-control': 'donor-unit-trimmed-loom',
      'don-ecu-set': { 'engine-unit': 'present' },
      'don-harness-state': { 'cut-plugs': '5' },
    },
    'clash',
  ],
  [
    'fit-immobiliser',
    {
      'cho-control': 'donor-unit-trimmed-loom',
      'eng-immobiliser-kind': 'key-to-engine-unit',
      'don-ecu-set': { 'engine-unit': 'present', key: 'present', reader: 'present' },
    },
    'bolts-up',
  ],
  [
    'fit-crank-trigger',
    {
      'cho-control': 'donor-unit-trimmed-loom',
      'eng-crank-sensor': 'two-wire-inductive',
      'eng-crank-trigger': { place: 'flywheel' },
      'eng-flywheel': { thickness: '24', 'original-thickness': '28' },
    },
    'adapt',
  ],
  [
    'fit-body-network',
    { 'rec-body-network': 'gateway-needs-engine-data', 'cho-control': 'standalone' },
    'adapt',
  ],
  [
    'fit-gearbox-control',
    { ...auto, 'gbx-control': 'engine-unit', 'cho-gearbox-control': 'none' },
    'clash',
  ],
  [
    'fit-oil-warning',
    {
      'rec-oil-warning-logic': 'one-switch-closes-when-low',
      'rec-oil-switch-thresholds': { low: '0.3 bar' },
      'eng-oil-switch': { threshold: '0.35 bar' },
    },
    'bolts-up',
  ],
  [
    'fit-oil-warning',
    { 'rec-oil-warning-logic': 'two-switch-low-and-high', 'eng-oil-ports': { ports: '1' } },
    'clash',
  ],
  [
    'fit-tach',
    { 'rec-tach-input': 'low-level-pulse', 'eng-layout': 'inline-4', 'rec-tach-pulses': '2' },
    'bolts-up',
  ],
  [
    'fit-tach',
    { 'rec-tach-input': 'low-level-pulse', 'eng-layout': 'inline-5', 'rec-tach-pulses': '2' },
    'adapt',
  ],
  [
    'fit-speedo',
    { 'rec-speedo-drive': 'cable', 'gbx-speed-signal': 'none', 'cho-speedo': 'pulse-converter' },
    'clash',
  ],
  [
    'fit-emission-parts',
    {
      'rec-inspection-regime': 'safety',
      'rec-engine-age-rule': 'engine-same-year-or-newer',
      'eng-model-year': '1990',
      'rec-model-year': '1996',
    },
    'clash',
  ],
];

describe('computed verdicts', () => {
  for (const [id, typed, word, outgoing] of cases) {
    it(`${id} ${JSON.stringify(typed)} says ${word}`, () =>
      expect(verdictOf(id, typed, outgoing ?? {}).verdict.word).toBe(word));
  }

  it('at least 24 interfaces are computed, and each is tried above', () => {
    expect(fitRules.length).toBeGreaterThanOrEqual(24);
    expect(fitRules.map((r) => r.id).filter((id) => !cases.some(([c]) => c === id))).toEqual([]);
  });

  it('with nothing known every one is not measured, and computed ones name what to take', () => {
    for (const line of judgeAll({ job: new Map() }, {})) {
      expect(line.verdict.word).toBe('not-measured');
      if (fitRules.some((r) => r.id === line.def.id))
        expect(line.verdict.needs.length).toBeGreaterThan(0);
    }
  });

  it('the sum adds up to its result', () => {
    const { verdict } = verdictOf(
      'fit-bay-length',
      cases.find(([id]) => id === 'fit-bay-length')![1],
    );
    const total = verdict.sum.reduce(
      (s, r) => s + (r.sign === '−' ? -r.value : r.sign === '+' ? r.value : 0),
      0,
    );
    expect(total).toBeCloseTo(verdict.result!.value, 9);
    expect(verdict.margin!.value).toBe(verdict.result!.value);
    expect(verdict.because).toContain('rec-bay-length');
    expect(verdict.source).toMatch(/common practice/);
  });

  it('unknown cushions count as rubber, the softest', () => {
    const typed = {
      ...place,
      'rec-hood-profile': { 'lowest-z-over-the-engine': '500' },
      'eng-height-up': { 'highest-point': '370' },
    };
    expect(verdictOf('fit-hood', typed).verdict.margin!.value).toBe(
      verdictOf('fit-hood', { ...typed, 'cho-mount-material': 'rubber' }).verdict.margin!.value,
    );
  });
});

describe('trial fits and judgements', () => {
  const typed = {
    'rec-bay-width': { 'between-towers-at-head-height': '600' },
    'eng-width': { 'left-at-covers-and-coils': '300', 'right-at-covers-and-coils': '340' },
  };
  const trial = {
    word: 'bolts-up' as const,
    gapMm: 19,
    place: 'left tower',
    condition: 'cold' as const,
    by: 'A',
    at: '2026-02-01',
  };
  it('a reading overrules the forecast', () => {
    const line = verdictOf('fit-bay-width', typed, {}, { trial });
    expect(line.verdict).toMatchObject({ word: 'bolts-up', basis: 'trial', margin: { value: 19 } });
    expect(line.forecast?.word).toBe('clash');
  });
  it('until a fact it stands on changes', () => {
    const line = judge(
      interfaceOf('fit-bay-width'),
      { job: bookFrom(typed, '2026-03-01') },
      { trial },
    );
    expect(line).toMatchObject({ stale: true, verdict: { word: 'clash', basis: 'computed' } });
  });
  it('a judged interface says who and why', () => {
    const line = verdictOf(
      'fit-service-access',
      {},
      {},
      { judged: { word: 'adapt', why: 'plug behind the hatch', by: 'B', at: '2026-02-01' } },
    );
    expect(line.verdict).toMatchObject({
      word: 'adapt',
      basis: 'judged',
      headline: 'plug behind the hatch',
      source: 'judged by B',
    });
  });
  it('a judgement does not overrule a sum', () => {
    expect(
      verdictOf(
        'fit-bay-width',
        typed,
        {},
        { judged: { word: 'bolts-up', why: 'looks fine', by: 'B', at: '2026-02-01' } },
      ).verdict.word,
    ).toBe('clash');
  });
  it('a resolution opens its knock-on checks and draws the chain', () => {
    const resolution = (asked: string[]) => ({
      resolution: { text: 'other sump', kit: [], asked, by: 'A', at: '2026-02-01' },
    });
    const records = {
      'fit-sump-crossmember': resolution(['fit-turbo-drain']),
      'fit-hood': resolution([]),
    };
    const chain = knockOnChain('fit-sump-crossmember', records);
    expect(chain).toContainEqual({
      from: 'fit-sump-crossmember',
      to: 'fit-turbo-drain',
      asked: true,
    });
    expect(chain).toContainEqual({ from: 'fit-hood', to: 'fit-sump-crossmember', asked: false });
    const line = judge(
      interfaceOf('fit-sump-crossmember'),
      { job: new Map() },
      records['fit-sump-crossmember'],
    );
    expect(line.knockOnOpen).not.toContain('fit-turbo-drain');
    expect(line.knockOnOpen.length).toBe(line.def.knockOn.length - 1);
  });
  it('the content knows its interfaces and clearances', () => {
    expect(interfaces.length).toBe(60);
    expect(clearances.every((c) => c.staticMm > 0 && c.rockMm.length === 3)).toBe(true);
    expect(() => interfaceOf('fit-nothing')).toThrow(/Unknown interface/);
  });
});
