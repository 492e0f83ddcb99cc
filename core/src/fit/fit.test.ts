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
const halfShafts = (lengths: Record<string, string>): Typed => {
  const inner = {
    'left-x': '100',
    'left-y': '200',
    'left-z': '-50',
    'right-x': '100',
    'right-y': '-250',
    'right-z': '-50',
  };
  const travel = (side: string) => ({
    [`${side}-z-at-bump`]: '30',
    [`${side}-z-at-droop`]: '-130',
  });
  return {
    'rec-drive-layout': 'front-transverse',
    'cho-side-outputs': inner,
    'rec-hub-places': {
      ...inner,
      'left-y': '700',
      'right-y': '-700',
      ...travel('left'),
      ...travel('right'),
    },
    'cho-halfshafts': { ...lengths, plunge: '40', 'largest-angle': '20' },
  };
};
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
  ['fit-present-mounts', { 'cho-mount-school': 'fabricated' }, 'bolts-up'],
  ['fit-exhaust-bore', { 'eng-power': '220 kW' }, 'not-measured'],
  ['fit-exhaust-reach', {}, 'not-measured'],
  ['fit-air-meter', { 'eng-load-sensor': 'pressure' }, 'bolts-up'],
  ['fit-carburettors', { 'eng-fuelling': 'direct-injection' }, 'bolts-up'],
  ['fit-heads', { 'cho-heads': 'own' }, 'bolts-up'],
  ['fit-gearbox-cooler', { 'gbx-kind': 'manual' }, 'bolts-up'],
  ['fit-wheels', { 'cho-hubs': 'changed' }, 'not-measured'],
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
  ['fit-sway-bar', { 'rec-sway-bar-place': 'none' }, 'bolts-up'],
  ['fit-halfshafts', halfShafts({ 'length-left': '503', 'length-right': '453.5' }), 'bolts-up'],
  ['fit-halfshafts', halfShafts({}), 'adapt'],
  ['fit-halfshafts', halfShafts({ 'length-left': '470', 'length-right': '453.5' }), 'clash'],
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
  // A rating as power is held against power: 750 hp over 550 hp is 1.36 (common practice, no source).
  [
    'fit-torque-chain',
    { 'eng-torque': '200', 'eng-power': '550 hp', 'gbx-rating': { 'as-power': '750 hp' } },
    'bolts-up',
  ],
  [
    'fit-torque-chain',
    { 'eng-torque': '200', 'eng-power': '550 hp', 'gbx-rating': { 'as-power': '500 hp' } },
    'clash',
  ],
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
  ['fit-gearing', { ...gear('3.0'), 'gbx-converter-seat': { stall: '3200' } }, 'adapt'],
  ['fit-gearing', { ...gear('3.0'), 'gbx-converter-seat': { stall: '1600' } }, 'bolts-up'],
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
      'eng-power': '80 kW',
      'rec-brake-kind': { front: 'drum' },
    },
    'not-measured',
  ],
  [
    'fit-brakes-power',
    {
      'rec-power-before': { value: '50 kW', 'taken-at': 'wheels' },
      'eng-power': '110 kW',
      'rec-brake-kind': { front: 'drum' },
    },
    'adapt',
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

/** Cases that once said the wrong word, and others of their classes. Common practice and geometry; the rows of the table of places. */
const wrongOnce: readonly (readonly [
  name: string,
  id: string,
  typed: Typed,
  word: FitWord,
  outgoing?: Typed,
])[] = [
  [
    'a flat turbo drain',
    'fit-turbo-drain',
    {
      'eng-induction': 'turbo',
      'eng-turbo-drain': {
        'drain-flange-z': '-25',
        'return-port-z': '-30',
        'angle-from-vertical': '20',
      },
    },
    'clash',
  ],
  [
    'a drain pipe 35 mm too long for another sump',
    'fit-turbo-drain',
    {
      'eng-induction': 'turbo',
      'cho-sump': 'aftermarket',
      'eng-turbo-drain': {
        'drain-flange-z': '-65',
        'return-port-z': '-30',
        'angle-from-vertical': '20',
      },
    },
    'adapt',
  ],
  [
    'a booster inside the covers',
    'fit-bay-width',
    {
      'rec-brake-assist': 'vacuum',
      'rec-bay-width': { 'between-towers-at-head-height': '800', 'booster-to-centre-line': '300' },
      'eng-width': { 'left-at-covers-and-coils': '300', 'right-at-covers-and-coils': '310' },
    },
    'clash',
  ],
  [
    'accessories outside the rails',
    'fit-bay-width',
    {
      'rec-bay-width': { 'between-towers-at-head-height': '800', 'between-rails-at-mounts': '600' },
      'eng-width': {
        'left-at-covers-and-coils': '300',
        'right-at-covers-and-coils': '300',
        'left-at-accessories': '330',
      },
    },
    'clash',
  ],
  [
    'a gearbox wider than the tunnel at its tail',
    'fit-tunnel',
    {
      'rec-tunnel-envelope': {
        'width-at-bell': '500',
        'width-at-waist': '500',
        'width-at-gearbox-mount': '180',
      },
      'gbx-envelope': {
        'widest-at-bell': '440',
        'widest-at-waist': '300',
        'widest-at-tail': '190',
      },
    },
    'clash',
  ],
  [
    'an engine moved sideways in the tunnel',
    'fit-tunnel',
    {
      ...place,
      'cho-engine-place': { 'sideways-from-centre-line-y': '25' },
      'rec-tunnel-envelope': { 'width-at-bell': '500' },
      'gbx-envelope': { 'widest-at-bell': '440' },
    },
    'clash',
  ],
  [
    'a flexplate on a manual',
    'fit-crank-flange',
    {
      'gbx-kind': 'manual',
      'eng-crank-flange': { bolts: '8', circle: '78' },
      'eng-flywheel': { kind: 'flexplate', bolts: '8', circle: '78' },
    },
    'clash',
  ],
  [
    'a flywheel on an automatic',
    'fit-crank-flange',
    {
      ...auto,
      'eng-crank-flange': { bolts: '8', circle: '78' },
      'eng-flywheel': { kind: 'solid', bolts: '8', circle: '78' },
    },
    'clash',
  ],
  [
    'a belt out of plane the other way',
    'fit-accessory-drive',
    {
      'eng-accessory-drive': {
        'worst-plane-offset': '-3',
        'span-there': '300',
        'alternator-wrap': '130',
      },
    },
    'adapt',
  ],
  [
    'joints at nearly six degrees',
    'fit-driveline-angles',
    {
      ...long,
      'gbx-output': { 'output-slope-tail-down': '5.9' },
      'rec-pinion-angle': '5.9',
      'gbx-length': '625',
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': '25',
        'crank-axis-above-body-datum-z': '100',
      },
      'rec-pinion-place': { 'flange-x': '-2000', 'z-at-ride-height': '36' },
    },
    'clash',
  ],
  [
    'a rod at the pedal',
    'fit-throttle',
    { 'eng-throttle-kind': 'cable', 'rec-throttle-pedal': 'rod', 'cho-control': 'standalone' },
    'adapt',
  ],
  [
    'a kickdown cable and a throttle by wire',
    'fit-gearbox-control',
    {
      'gbx-kind': 'automatic-hydraulic',
      'gbx-control': 'hydraulic-governor',
      'gbx-throttle-link': 'kickdown-cable',
      'eng-throttle-kind': 'by-wire',
    },
    'clash',
  ],
  [
    'a vacuum modulator on a diesel',
    'fit-gearbox-control',
    {
      'gbx-kind': 'automatic-hydraulic',
      'gbx-control': 'hydraulic-governor',
      'gbx-throttle-link': 'vacuum-modulator',
      'eng-fuel': 'diesel',
    },
    'adapt',
  ],
  [
    'a tachometer on a diesel',
    'fit-tach',
    {
      'rec-tach-input': 'coil-pulse',
      'eng-layout': 'inline-4',
      'rec-tach-pulses': '2',
      'eng-ignition-kind': 'diesel-none',
    },
    'adapt',
  ],
  [
    'a tachometer on a wasted spark',
    'fit-tach',
    {
      'rec-tach-input': 'coil-pulse',
      'eng-layout': 'inline-4',
      'rec-tach-pulses': '2',
      'eng-ignition-kind': 'wasted-spark',
    },
    'adapt',
  ],
  [
    'joints of which nobody read bump and droop',
    'fit-driveline-angles',
    {
      'rec-drive-layout': 'front-longitudinal-rear-drive',
      'gbx-output': { 'output-slope-tail-down': '3' },
      'rec-pinion-angle': '2.4',
      'gbx-length': '625',
      'cho-engine-place': {
        'bell-face-ahead-of-firewall-x': '25',
        'crank-axis-above-body-datum-z': '100',
      },
      'rec-pinion-place': { 'flange-x': '-2000', 'z-at-ride-height': '45' },
    },
    'not-measured',
  ],
  [
    'a fan nobody chose',
    'fit-charging',
    {
      'rec-electrical-system': '12v-negative-earth',
      'eng-alternator': { output: '110', exciter: 'lamp-wire' },
      'rec-charge-lamp': 'filament-lamp',
      'cho-ps': 'manual',
    },
    'not-measured',
  ],
  [
    'a torque of nothing',
    'fit-torque-chain',
    {
      'eng-torque': '0',
      'gbx-rating': '280',
      'rec-axle-rating': '2000',
      'gbx-ratios': { first: '3' },
    },
    'not-measured',
  ],
  [
    'hydraulic brake help without a pump',
    'fit-booster-vacuum',
    { 'rec-brake-assist': 'hydraulic', 'cho-ps': 'kept-hydraulic', 'eng-ps-pump': 'none' },
    'clash',
  ],
  [
    'hydraulic brake help and a pump that goes',
    'fit-booster-vacuum',
    { 'rec-brake-assist': 'hydraulic', 'cho-ps': 'electric', 'eng-ps-pump': 'belt-left' },
    'clash',
  ],
  [
    'brakes under a front mass up by a fifth',
    'fit-brakes-power',
    {
      'rec-power-before': { value: '80 kW', 'taken-at': 'crank' },
      'eng-power': '90 kW',
      'rec-brake-kind': { front: 'disc', rear: 'disc', 'hose-age': 'sound' },
      'rec-axle-masses': { front: '800' },
      'eng-mass': '330',
    },
    'adapt',
  ],
  [
    'power of which nobody said where it was taken',
    'fit-brakes-power',
    {
      'rec-power-before': '80 kW',
      'eng-power': '90 kW',
      'rec-brake-kind': { front: 'disc', rear: 'disc', 'hose-age': 'sound' },
    },
    'not-measured',
  ],
  [
    'two small pushers',
    'fit-cooling-capacity',
    { 'eng-power': '150 kW', 'cho-fan': { value: 'electric-pusher', count: '2', flow: '700' } },
    'clash',
  ],
  [
    'two of 178 mm on a core of 600 by 400: 497 sq cm of 2400 swept (area of a circle, by hand)',
    'fit-cooling-capacity',
    {
      'eng-power': '60 kW',
      'cho-fan': { value: 'electric-puller', count: '2', flow: '1200', diameter: '178' },
      'rec-radiator-core': { height: '400', width: '600' },
    },
    'adapt',
  ],
  [
    'two of 360 mm on the same core',
    'fit-cooling-capacity',
    {
      'eng-power': '60 kW',
      'cho-fan': { value: 'electric-puller', count: '2', flow: '1200', diameter: '360' },
      'rec-radiator-core': { height: '400', width: '600' },
    },
    'bolts-up',
  ],
  [
    'a slip yoke that bottoms',
    'fit-propshaft-length',
    {
      ...shaft('88.9'),
      'gbx-output': {
        'shaft-length': '1300',
        'tube-outside-diameter': '88.9',
        'tube-wall': '2.1',
        'slip-left': '0',
      },
    },
    'clash',
  ],
  [
    'a converter drawn 40 mm',
    'fit-converter-seat',
    {
      ...auto,
      'gbx-converter-seat': { 'pads-behind-bell-face-when-home': '60' },
      'eng-flywheel': { 'pad-depth-behind-bell-face': '20' },
    },
    'clash',
  ],
  [
    'a gearbox mount a metre off',
    'fit-gearbox-mount',
    {
      ...long,
      ...place,
      'gbx-source-layout': 'rear-drive',
      'rec-gearbox-crossmember': { value: 'bolted-slots', 'mount-x': '-1640', 'slot-range': '40' },
      'gbx-mount-place': { 'bell-face-to-mount': '675' },
    },
    'clash',
  ],
  [
    'a gearbox mount at another height',
    'fit-gearbox-mount',
    {
      ...long,
      ...place,
      'gbx-source-layout': 'rear-drive',
      'rec-gearbox-crossmember': { value: 'fixed', 'mount-x': '-650', 'mount-z': '-120' },
      'gbx-mount-place': { 'bell-face-to-mount': '675', 'mount-z-below-output-axis': '120' },
    },
    'clash',
  ],
  [
    'a car over its gross plate',
    'fit-axle-load',
    {
      ...long,
      'rec-axle-masses': { front: '800', rear: '700' },
      'rec-axle-limits': { front: '1000', gross: '1510' },
      'eng-mass': '180',
    },
    'clash',
    { 'eng-mass': '155' },
  ],
  [
    'an engine that lies across',
    'fit-bay-length',
    {
      'rec-drive-layout': 'front-transverse',
      'cho-fan': { value: 'electric-puller', thickness: '60' },
      'rec-bay-length': { 'to-core-rear-face': '720' },
      'eng-width': { 'left-at-manifolds': '250', 'right-at-manifolds': '280' },
      'eng-fan-reach': { 'pulley-face': '700' },
    },
    'bolts-up',
  ],
  [
    'a common rail is not fed by the figures of petrol',
    'fit-pump-flow',
    {
      'eng-fuelling': 'diesel-common-rail',
      'eng-induction': 'turbo',
      'eng-power': '110 kW',
      'rec-tank-pump': { 'flow-at-rail-pressure': '40' },
    },
    'bolts-up',
  ],
  [
    'a diesel into a diesel car',
    'fit-booster-vacuum',
    { 'rec-brake-assist': 'vacuum', 'eng-fuel': 'diesel', 'rec-fuel-before': 'diesel' },
    'adapt',
  ],
  [
    "the donor's key where the car's own unit stays",
    'fit-immobiliser',
    {
      'cho-control': 'recipient-unit-kept',
      'eng-immobiliser-kind': 'key-to-engine-unit',
      'don-ecu-set': { key: 'missing', reader: 'missing' },
    },
    'bolts-up',
  ],
  [
    'the front of a sump over the crossmember',
    'fit-sump-crossmember',
    {
      ...place,
      'eng-sump-depth': { 'at-front': '178', 'at-bowl': '190' },
      'eng-sump-bowl-place': { value: 'rear', 'bowl-rear-x': '10', 'bowl-front-x': '120' },
      'rec-crossmember-place': { 'top-z': '-80', 'rear-edge-x': '200', 'front-edge-x': '300' },
    },
    'clash',
  ],
  [
    'a bowl that passes the crossmember by two millimetres',
    'fit-sump-crossmember',
    {
      ...place,
      'eng-sump-depth': { 'at-front': '100', 'at-bowl': '190' },
      'eng-sump-bowl-place': { value: 'rear', 'bowl-rear-x': '10', 'bowl-front-x': '173' },
      'rec-crossmember-place': { 'top-z': '-80', 'rear-edge-x': '200', 'front-edge-x': '300' },
    },
    'clash',
  ],
  [
    'a hood over a nose raised by the slope',
    'fit-hood',
    {
      ...place,
      'eng-slope-design': '4',
      'rec-hood-profile': { 'lowest-z-over-the-engine': '500' },
      'eng-height-up': { 'highest-point': '360', 'highest-point-x': '500' },
    },
    'clash',
  ],
  [
    'a lift too low for the unit',
    'fit-install-path',
    {
      'rec-install-path': { 'hoist-rating-at-boom-place': '300', 'lift-height': '600' },
      'eng-mass': '180',
      'cho-unit-lift': 'engine-alone',
      'eng-height-up': { 'highest-point': '400' },
      'eng-sump-depth': { 'at-bowl': '200' },
    },
    'clash',
  ],
  [
    'sump lower than the road allows',
    'fit-ground-clearance',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '260' },
      'rec-crossmember-place': { 'top-z': '-80' },
      'rec-ground-at-crossmember': {
        'ground-to-crossmember': '150',
        'planned-ride-height-change': '-25',
      },
      'gbx-envelope': { 'pan-depth': '120' },
    },
    'clash',
  ],
  [
    'sump well above the road',
    'fit-ground-clearance',
    {
      ...place,
      'eng-sump-depth': { 'at-bowl': '150' },
      'rec-crossmember-place': { 'top-z': '-80' },
      'rec-ground-at-crossmember': {
        'ground-to-crossmember': '180',
        'planned-ride-height-change': '0',
      },
      'gbx-envelope': { 'pan-depth': '120' },
    },
    'bolts-up',
  ],
  [
    'bell against the firewall',
    'fit-firewall',
    {
      'cho-engine-place': { 'bell-face-ahead-of-firewall-x': '5' },
      'rec-bay-length': { 'firewall-recess-depth': '0' },
    },
    'clash',
  ],
  [
    'bell clear of the firewall',
    'fit-firewall',
    {
      'cho-engine-place': { 'bell-face-ahead-of-firewall-x': '30' },
      'rec-bay-length': { 'firewall-recess-depth': '0' },
    },
    'bolts-up',
  ],
  [
    'a tensioner on the bosses of the mount',
    'fit-mount-boss',
    {
      'eng-belt-tensioner': { value: 'automatic', 'bosses-used': 'front left' },
      'eng-mount-bosses': { 'shared-with': 'tensioner' },
    },
    'adapt',
  ],
  [
    'a tensioner on bosses of its own',
    'fit-mount-boss',
    {
      'eng-belt-tensioner': { value: 'automatic', 'bosses-used': 'front left' },
      'eng-mount-bosses': { 'shared-with': 'none' },
    },
    'bolts-up',
  ],
];

/** What the rest of each place must be known to be before it can be said to bolt up. */
const rest: Record<string, Typed> = {
  'fit-bay-length': { ...long, 'rec-radiator-core': { 'overall-depth': '5' } },
  'fit-bay-width': { 'rec-brake-assist': 'none' },
  'fit-hood': { 'eng-slope-design': '0' },
  'fit-sump-crossmember': { 'eng-sump-depth': { 'at-front': '110' } },
  'fit-install-path': {
    'rec-install-path': {
      'opening-width': '1000',
      'opening-length': '1200',
      'lift-height': '1500',
    },
    'eng-length': '600',
    'eng-height-up': { 'highest-point': '400' },
    'eng-sump-depth': { 'at-bowl': '200' },
    'eng-width': { 'left-at-heads': '200', 'right-at-heads': '200' },
  },
  'fit-accessory-drive': { 'eng-accessory-drive': { 'alternator-wrap': '130' } },
  'fit-mount-pads': {
    'rec-mount-pads': { 'right-x': '180', 'right-y': '-400', 'right-z': '90' },
    'eng-mount-bosses': { 'right-x': '155', 'right-y': '-400', 'right-z': '-10' },
  },
  'fit-tunnel': {
    'rec-tunnel-envelope': { 'width-at-waist': '500', 'width-at-gearbox-mount': '400' },
    'gbx-envelope': { 'widest-at-waist': '300', 'widest-at-tail': '200' },
  },
  'fit-turbo-drain': {
    'cho-sump': 'donor-sump',
    'eng-turbo-drain': { bore: '20', 'turbo-drain-bore': '19' },
  },
  'fit-crank-flange': {
    'gbx-kind': 'manual',
    'eng-flywheel': { kind: 'solid', balance: 'internal', 'crank-balance': 'internal' },
  },
  'fit-pilot': {
    'gbx-input-shaft': { 'tip-diameter': '15' },
    'eng-pilot-bore': { 'bearing-inner-size': '15' },
  },
  'fit-gearbox-mount': {
    'rec-gearbox-crossmember': { 'mount-z': '-20' },
    'gbx-mount-place': { 'mount-z-below-output-axis': '120' },
  },
  'fit-driveline-angles': {
    'gbx-length': '625',
    'cho-engine-place': {
      'bell-face-ahead-of-firewall-x': '25',
      'crank-axis-above-body-datum-z': '100',
    },
    'rec-pinion-place': {
      'flange-x': '-2000',
      'z-at-ride-height': '45',
      'z-at-bump': '95',
      'z-at-droop': '15',
    },
  },
  'fit-torque-chain': { 'rec-axle-rating': '2500', 'gbx-ratios': { first: '3.5' } },
  'fit-axle-load': { 'rec-axle-limits': { gross: '2200' } },
  'fit-booster-vacuum': {
    'rec-booster-hose-bore': '10',
    'eng-vacuum-ports': { 'booster-port-bore': '10' },
  },
  'fit-brakes-power': {
    'rec-axle-masses': { front: '800' },
    'eng-mass': '160',
    'rec-brake-kind': { rear: 'disc', 'hose-age': 'sound' },
  },
  'fit-charging': { 'cho-ps': 'manual' },
  'fit-oil-warning': {
    'rec-oil-switch-thresholds': { contact: 'normally-closed' },
    'eng-oil-switch': { contact: 'normally-closed' },
  },
  'fit-tach': { 'eng-ignition-kind': 'coil-on-plug' },
  'fit-emission-parts': {
    'don-emission-set': {
      catalysts: 'present',
      'oxygen-sensors': 'present',
      'purge-valve-and-canister': 'present',
      'recirculation-valve': 'none',
    },
  },
  'fit-crank-trigger': { 'eng-crank-trigger': { gap: '1', place: 'front-pulley' } },
  'fit-ecu-engine': { 'don-harness-state': { 'missing-branches': '0' } },
  'fit-propshaft-length': { 'gbx-output': { 'slip-left': '24' } },
};

const without = <T>(all: Readonly<Record<string, T>>, key: string): Record<string, T> =>
  Object.fromEntries(Object.entries(all).filter(([k]) => k !== key));

/** The engine that leaves. */
const leaving: Typed = { 'eng-mass': '155' };

/** What a case says goes before what the rest of its place is. */
function completed(id: string, typed: Typed): Typed {
  const all: Typed = { ...typed };
  for (const [fact, value] of Object.entries(rest[id] ?? {})) {
    const own = all[fact];
    const parts = (v: Typed[string]): Record<string, string> =>
      typeof v === 'string' ? { value: v } : v;
    all[fact] = own === undefined ? value : { ...parts(value), ...parts(own) };
  }
  return all;
}

describe('computed verdicts', () => {
  for (const [id, typed, word, outgoing] of cases) {
    it(`${id} ${JSON.stringify(typed)} says ${word}`, () =>
      expect(verdictOf(id, completed(id, typed), outgoing ?? leaving).verdict.word).toBe(word));
  }

  for (const [name, id, typed, word, outgoing] of wrongOnce)
    it(name, () => expect(verdictOf(id, typed, outgoing ?? leaving).verdict.word).toBe(word));

  it('says "Bolts up" of no place of which a part is not known (every part left out by turns)', () => {
    const optional = new Set(
      Object.entries(rest).flatMap(([id, facts]) =>
        Object.entries(facts).flatMap(([fact, v]) =>
          (typeof v === 'string' ? ['value'] : Object.keys(v)).map(
            (part) => `${id} ${fact} ${part}`,
          ),
        ),
      ),
    );
    // What a rule does without when it errs to the safe side by that.
    const safe = new Set([
      'fit-bay-length rec-radiator-core overall-depth',
      'fit-sump-crossmember eng-sump-depth at-front',
      'fit-turbo-drain cho-sump value',
      'fit-emission-parts don-emission-set recirculation-valve',
    ]);
    for (const [id, typed, word, outgoing] of cases) {
      // A place that asks for nothing (no turbo, no propshaft) bolts up whatever the rest is.
      if (
        word !== 'bolts-up' ||
        verdictOf(id, typed, outgoing ?? leaving).verdict.word === 'bolts-up'
      )
        continue;
      const all = completed(id, typed);
      for (const [fact, value] of Object.entries(all))
        for (const part of typeof value === 'string' ? ['value'] : Object.keys(value)) {
          if (!optional.has(`${id} ${fact} ${part}`) || safe.has(`${id} ${fact} ${part}`)) continue;
          const others = without(typeof value === 'string' ? {} : value, part);
          const bare = without(all, fact);
          const less = Object.keys(others).length > 0 ? { ...bare, [fact]: others } : bare;
          expect(
            verdictOf(id, less, outgoing ?? leaving).verdict.word,
            `${id} without ${fact} ${part}`,
          ).toBe('not-measured');
        }
    }
  });

  it('at least 24 interfaces are computed, and each is tried above', () => {
    expect(fitRules.length).toBeGreaterThanOrEqual(24);
    expect(
      fitRules
        .map((r) => r.id)
        .filter((id) => !cases.some(([c]) => c === id) && !wrongOnce.some(([, c]) => c === id)),
    ).toEqual([]);
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
      completed('fit-bay-length', cases.find(([id]) => id === 'fit-bay-length')![1]),
    );
    const total = verdict.sum.reduce(
      (s, r) => s + (r.sign === '−' ? -r.value : r.sign === '+' ? r.value : 0),
      0,
    );
    expect(total).toBeCloseTo(verdict.result!.value, 9);
    expect(verdict.margin!.value).toBe(verdict.result!.value - 10);
    expect(verdict.because).toContain('rec-bay-length');
    expect(verdict.source).toMatch(/common practice/);
  });

  it('a compressor by its plug and its kind, against what the car was wired for', () => {
    const says = (engine: Record<string, string>, car: Record<string, string>) =>
      verdictOf('fit-ac', {
        'cho-ac': 'kept',
        'rec-ac-state': { value: 'fitted-charged', ...car },
        'eng-ac-compressor': { value: 'left', ...engine },
      }).verdict.headline;
    expect(says({ 'plug-pins': '2' }, { 'plug-pins': '1' })).toContain(
      'plug of 2 pins, the car has 1',
    );
    expect(says({ 'plug-pins': '2' }, { 'plug-pins': '2' })).toContain('plug pins agree');
    expect(says({ kind: 'variable' }, { 'compressor-kind': 'clutch' })).toContain(
      'steered by a valve',
    );
    expect(says({}, {})).toBe('hose ends and plug pins to be matched');
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
    gapMm: 31,
    place: 'left tower',
    condition: 'cold' as const,
    by: 'A',
    at: '2026-02-01',
  };
  it('a reading overrules the forecast', () => {
    const line = verdictOf('fit-bay-width', typed, {}, { trial });
    expect(line.verdict).toMatchObject({ word: 'bolts-up', basis: 'trial', margin: { value: 31 } });
    expect(line.forecast?.word).toBe('clash');
  });
  it('a gap that was typed is held against the least gap of its row, whatever word stands beside it', () => {
    const said = (gapMm: number, word: Exclude<FitWord, 'not-measured'> = 'bolts-up') =>
      verdictOf('fit-bay-width', typed, {}, { trial: { ...trial, gapMm, word } }).verdict;
    expect(said(19)).toMatchObject({
      word: 'adapt',
      headline: expect.stringContaining('30 mm is the least') as string,
    });
    expect(said(10).word).toBe('clash');
    expect(said(40, 'adapt').word).toBe('adapt');
  });
  describe('several gaps of one place', () => {
    const gap = (place: string, gapMm: number, over: object = {}) => ({
      interfaceId: 'fit-bay-width',
      read: { ...trial, place, gapMm, ...over },
    });
    const said = (gaps: ReturnType<typeof gap>[], facts = bookFrom(typed), first?: typeof trial) =>
      judge(
        interfaceOf('fit-bay-width'),
        { job: facts },
        first ? { trial: first } : undefined,
        gaps,
      );
    it('the worst of them counts, whichever was read last, and none goes by another', () => {
      const gaps = [gap('left tower', 19), gap('right tower', 40, { at: '2026-02-02' })];
      for (const order of [gaps, [...gaps].reverse()])
        expect(said(order).verdict).toMatchObject({
          word: 'adapt',
          margin: { value: 19 },
          headline: expect.stringContaining('left tower, the worst of 2') as string,
        });
      expect(
        said([gap('right tower', 40)], bookFrom(typed), { ...trial, gapMm: 10 }).verdict.word,
      ).toBe('clash');
    });
    it('a later reading of the same spot goes before the earlier one, cold and hot apart', () => {
      const later = { at: '2026-02-02' };
      expect(said([gap('left tower', 10), gap('Left tower ', 40, later)]).verdict.word).toBe(
        'bolts-up',
      );
      expect(
        said([gap('left tower', 10, { condition: 'hot' }), gap('left tower', 40, later)]).verdict
          .word,
      ).toBe('clash');
    });
    it('one that is withdrawn no longer counts', () =>
      expect(
        said([
          { ...gap('left tower', 10), withdrawn: { why: 'sat on one mount' } } as never,
          gap('right', 40),
        ]).verdict.word,
      ).toBe('bolts-up'));
    it('one that is to be looked at again does not make the others a go', () => {
      const moved = bookFrom(typed, '2026-02-15');
      const line = said(
        [gap('left tower', 10), gap('right tower', 40, { at: '2026-03-01' })],
        moved,
      );
      expect(line).toMatchObject({ stale: true, verdict: { word: 'clash', basis: 'computed' } });
      // Nor where nobody measured: one spot that is fine says nothing of the one that is to be read again.
      const bare = bookFrom(
        { 'rec-bay-width': { 'between-towers-at-head-height': '900' } },
        '2026-02-15',
      );
      const fine = said(
        [gap('left tower', 10), gap('right tower', 40, { at: '2026-03-01' })],
        bare,
      );
      expect(fine).toMatchObject({ stale: true, verdict: { word: 'not-measured' } });
      const bad = said([gap('left tower', 40), gap('right tower', 10, { at: '2026-03-01' })], bare);
      expect(bad).toMatchObject({ stale: true, verdict: { word: 'clash', basis: 'trial' } });
      const roomy = bookFrom(
        { ...typed, 'rec-bay-width': { 'between-towers-at-head-height': '900' } },
        '2026-02-15',
      );
      const worse = said(
        [gap('left tower', 40), gap('right tower', 10, { at: '2026-03-01' })],
        roomy,
      );
      expect(worse).toMatchObject({ stale: true, verdict: { word: 'clash', basis: 'trial' } });
    });
  });
  it('a judgement lapses with what it stood on', () => {
    const judged = { word: 'bolts-up' as const, why: 'spanner goes in', by: 'B', at: '2026-02-01' };
    const facts = bookFrom({ 'cho-exhaust': 'long-tube' }, '2026-03-01');
    expect(judge(interfaceOf('fit-service-access'), { job: facts }, { judged })).toMatchObject({
      stale: true,
      verdict: { word: 'not-measured' },
    });
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
    expect(interfaces.length).toBe(67);
    expect(clearances.every((c) => c.staticMm > 0 && c.rockMm.length === 3)).toBe(true);
    expect(() => interfaceOf('fit-nothing')).toThrow(/Unknown interface/);
  });
});
