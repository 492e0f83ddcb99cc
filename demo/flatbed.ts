import { round } from './types.ts';
import type { DemoJob } from './types.ts';

const bore = (cylinder: number, values: readonly number[]): Record<string, unknown> => {
  const keys = ['top-along', 'top-across', 'middle-along', 'middle-across', 'bottom-along', 'bottom-across'];
  return { sheet: 'bore', place: String(cylinder), readings: Object.fromEntries(values.map((v, i) => [keys[i]!, v])), typed: Object.fromEntries(values.map((v, i) => [keys[i]!, v.toFixed(3)])) };
};
const journal = (n: number, values: readonly number[]): Record<string, unknown> => {
  const keys = ['front-vertical', 'front-level', 'rear-vertical', 'rear-level', 'bearing-bore'];
  return { sheet: 'journal', place: String(n), readings: Object.fromEntries(values.map((v, i) => [keys[i]!, v])), typed: Object.fromEntries(values.map((v, i) => [keys[i]!, v.toFixed(3)])) };
};

/** A farm flat-bed that gets a turbo-diesel six from an ambulance. Stands at Prep, with a journal that is not round. */
export const flatbed: DemoJob = {
  opened: [13, '10:10'], by: 'MH',
  car: { name: '1971 Brockhurst flat-bed', modelYear: 1971, identity: 'BH30-118824' },
  customer: 'Pell Farm', phone: '0555 0177', wish: 'Pull a loaded hay trailer up the quarry lane in third, run on farm diesel',
  faults: 'Petrol six seized after overheating. Brakes pull left. Cab floor rusted under the driver', ownEngine: '3.4 petrol six, seized', bay: '2', promisedIn: 24,
  units: [
    { role: 'donor', kind: 'car', name: '2004 Halden ambulance', identity: 'HLD3T50XX40118276', place: 'yard, row 1' },
    { role: 'engine', kind: 'engine', name: '3.0 turbo-diesel six', identity: 'JW30-66120', place: 'bay 2, on the stand' },
    { role: 'gearbox', kind: 'gearbox', name: 'Six-speed manual of the ambulance', identity: 'H6-2214', place: 'bay 2' },
  ],
  acts: [
    ...round([13, '10:30'], 'MH', 'looked-up', 'car', { 'rec-drive-layout': 'front-longitudinal-rear-drive', 'rec-inspection-regime': 'safety', 'rec-engine-age-rule': 'no-rule', 'rec-hv-system': 'no', 'rec-power-before': { value: '88 hp', 'taken-at': 'crank' }, 'rec-fuel-before': 'petrol-carburettor', 'rec-electrical-system': '12v-negative-earth' }),
    ...round([12, '09:00'], 'RS', 'measured', 'car', {
      'rec-axle-masses': { front: '905 kg', rear: '760 kg' }, 'rec-axle-limits': { front: '1250 kg', rear: '2400 kg', gross: '3500 kg' }, 'rec-axle-ratio': '4.56', 'rec-tyre-size': { value: '215/75 R16', 'rolling-circumference': '2268 mm' }, 'rec-axle-rating': '3900 Nm',
      'rec-bay-length': { 'to-core-rear-face': '3\'1"', 'to-radiator-support': '39 in', 'firewall-recess-depth': '30 mm' }, 'rec-bay-width': { 'between-towers-at-head-height': '812 mm', 'between-rails-at-mounts': '700 mm' }, 'rec-brake-assist': 'none', 'rec-brake-kind': { front: 'drum', rear: 'drum', 'hose-age': 'cracked' }, 'rec-steering-assist': 'manual', 'rec-clutch-pedal': 'yes', 'rec-throttle-pedal': 'rod', 'rec-tank-ports': 'feed-only', 'rec-loom-state': 'brittle', 'rec-charge-lamp': 'ammeter', 'rec-oil-warning-logic': 'gauge-only', 'rec-tach-input': 'none', 'rec-speedo-drive': 'cable', 'rec-body-network': 'none',
      'rec-tunnel-envelope': { 'width-at-bell': '512 mm', 'width-at-waist': '390 mm' }, 'rec-pinion-angle': '2.5 deg', 'rec-gearbox-crossmember': { value: 'bolted-one-place', 'mount-x': '-640 mm' },
    }),
    ...round([11, '10:00'], 'RS', 'looked-up', 'engine', {
      'eng-code': 'JW30, variant 66, serial 120', 'eng-generation': { value: 'only-one', 'told-by': 'papers' }, 'eng-model-year': '2004', 'eng-layout': 'inline-6', 'eng-displacement': '2993 cm³', 'eng-power': '135 kW', 'eng-torque': '410 Nm', 'eng-max-rpm': '4600', 'eng-fuel': 'diesel', 'eng-fuelling': 'diesel-common-rail', 'eng-throttle-kind': 'by-wire', 'eng-induction': 'turbo', 'eng-diesel-stop': 'engine-unit', 'eng-condition': 'stood', 'eng-ignition-kind': 'diesel-none', 'eng-cam-drive': { value: 'chain', interference: 'yes' }, 'eng-mass': '246 kg', 'eng-immobiliser-kind': 'key-to-engine-unit',
    }),
    ...round([11, '11:00'], 'RS', 'measured', 'gearbox', { 'gbx-kind': 'manual', 'gbx-bell-pattern': 'Halden ten-bolt', 'gbx-rating': '450 Nm', 'gbx-mass': '62 kg', 'gbx-ratios': { first: '5.08', second: '2.78', third: '1.79', fourth: '1.27', fifth: '1', top: '0.79' }, 'gbx-source-layout': 'rear-drive', 'gbx-release-kind': 'concentric-slave', 'gbx-envelope': { 'widest-at-bell': '438 mm', 'widest-at-waist': '322 mm' }, 'gbx-output': { 'shaft-length': '1340 mm', 'tube-outside-diameter': '76.2 mm', 'tube-wall': '2.1 mm', 'slip-left': '24 mm' }, 'gbx-mount-place': { 'bell-face-to-mount': '668 mm' } }),
    { when: [11, '11:40'], by: 'RS', fact: ['engine', 'eng-bell-pattern', 'Halden ten-bolt'] },
    ...round([9, '15:20'], 'RS', 'measured', 'car', {
      'rec-hood-profile': { 'lowest-z-over-the-engine': '455 mm', 'at-x-of-that-place': '380 mm', profile: '100; 458\n250; 456\n380; 455\n550; 455\n800; 449' }, 'rec-crossmember-place': { 'rear-edge-x': '420 mm', 'front-edge-x': '520 mm', 'top-z': '-95 mm', fixing: 'fixed' },
      'rec-steering-envelope': { kind: 'box-and-link', 'rear-x': '590 mm', 'front-x': '640 mm', 'top-z-worst-position': '-140 mm' }, 'rec-ground-at-crossmember': { 'ground-to-crossmember': '315 mm' }, 'rec-sway-bar-place': 'none',
    }),
    ...round([9, '16:05'], 'RS', 'measured', 'engine', {
      'eng-length': '802 mm', 'eng-fan-reach': { 'pulley-face': '815 mm', 'pulley-diameter': '142 mm', 'pump-kind': 'belt' }, 'eng-width': { 'left-at-covers-and-coils': '205 mm', 'right-at-covers-and-coils': '248 mm', 'left-at-accessories': '262 mm', 'right-at-accessories': '240 mm' },
      'eng-height-up': { 'highest-point': '380 mm', 'highest-point-x': '310 mm', 'rear-cover': '352 mm' }, 'eng-sump-depth': { 'at-bowl': '232 mm', 'at-front': '165 mm' }, 'eng-sump-bowl-place': { value: 'rear', 'bowl-rear-x': '40 mm', 'bowl-front-x': '330 mm' }, 'eng-slope-design': '2.5 deg',
    }),
    { when: [9, '16:20'], by: 'RS', fact: ['gearbox', 'gbx-length', '742 mm'] },
    ...round([9, '16:30'], 'RS', 'measured', 'car', {
      'rec-mount-pads': { kind: 'rail-brackets', 'left-x': '352 mm', 'left-y': '252 mm', 'left-z': '18 mm', 'right-x': '352 mm', 'right-y': '-250 mm', 'right-z': '16 mm' },
      'rec-pinion-place': { 'flange-x': '-2035 mm', y: '14 mm', 'z-at-ride-height': '-52 mm', 'z-at-bump': '38 mm', 'z-at-droop': '-118 mm' }, 'rec-wheelbase': { value: '2920 mm', 'front-axle-x': '470 mm' },
      'rec-install-path': { value: 'over-the-front', 'opening-length': '1180 mm', 'opening-width': '780 mm', 'lift-height': '1900 mm', 'hoist-rating-at-boom-place': '500 kg', 'panel-height': '1010 mm', 'hook-height': '2550 mm', 'boom-reach': '1250 mm', 'front-edge-x': '1390 mm' },
    }),
    ...round([9, '16:40'], 'RS', 'measured', 'engine', {
      'eng-mount-bosses': { 'left-x': '318 mm', 'left-y': '206 mm', 'left-z': '-78 mm', 'right-x': '318 mm', 'right-y': '-198 mm', 'right-z': '-84 mm', 'shared-with': 'nothing' }, 'eng-cg': { 'x-ahead-of-bell-face': '352 mm', 'z-above-crank': '75 mm' },
      'eng-crank-flange': { bolts: '8', circle: '96 mm', 'depth-behind-bell-face': '18.4 mm', 'bolt-diameter': '12 mm', 'bolt-engagement': '19 mm' }, 'eng-flywheel': { kind: 'dual-mass', bolts: '8', circle: '96 mm', 'face-from-crank-flange': '58.2 mm', 'friction-size': '260 mm', balance: 'internal', 'crank-balance': 'internal' },
      'eng-pilot-bore': { depth: '38 mm', 'bearing-length': '16 mm', 'bearing-inner-size': '17 mm' },
    }),
    ...round([9, '16:50'], 'RS', 'measured', 'gearbox', {
      'gbx-bell-depth': '172 mm', 'gbx-input-shaft': { 'spline-count': '23', 'disc-spline-count': '23', 'disc-diameter': '260 mm', 'reach-ahead-of-bell-face': '31 mm', 'tip-diameter': '17 mm' },
      'gbx-clutch-set': { 'finger-height': '52 mm', 'bearing-behind-bell-face': '94.1 mm', 'bearing-travel': '24 mm', 'release-travel': '8.5 mm' },
    }),
    { when: [9, '17:00'], by: 'MH', record: ['way-out', '5f0e7a52-8f5c-4b1e-9a51-3d1d5a4be001', { title: 'Sump of the sister engine', shape: 'sump-front', z: 45, cost: 42000, hours: 3, typed: { z: '45 mm' } }] },
    { when: [9, '17:02'], by: 'MH', record: ['way-out', '5f0e7a52-8f5c-4b1e-9a51-3d1d5a4be002', { title: 'Flat intake', shape: 'top', z: -40, cost: 18000, hours: 1.5, typed: { z: '-40 mm' } }] },
    ...round([10, '08:30'], 'MH', 'assumed', 'job', { 'cho-goal': 'road-going', 'cho-control': 'donor-unit-trimmed-loom', 'cho-unit-lift': 'engine-and-gearbox', 'cho-fuel-system': 'diesel-suction', 'cho-pump-place': 'in-tank', 'cho-mount-material': 'rubber', 'cho-heater': 'kept', 'cho-ac': 'deleted', 'cho-ps': 'manual', 'cho-sump': 'donor-sump', 'cho-loom': { length: 'lengthened', splices: '4' } }),
    ...round([10, '09:00'], 'RS', 'measured', 'donor', { 'rec-hv-system': 'no', 'don-proof-of-running': 'seller-says', 'don-mileage': { value: '188000 km', source: 'odometer' }, 'don-storage-months': '14', 'don-harness-state': { 'cut-plugs': '0', 'missing-branches': '1' }, 'don-ecu-set': { 'engine-unit': 'present', key: 'present', reader: 'present', pedal: 'present' } }),
    { when: [10, '09:40'], by: 'MH', station: 'donor', sign: 'scope' },
    { when: [10, '14:00'], by: 'RS', record: ['part', '00000000-0000-4000-8000-000000000120', { takeId: 'take-turbo', title: 'Turbo with lines, 0.3 mm axial', condition: 'worn', label: 'F-201', place: 'shelf D1' }] },
    { when: [9, '08:30'], by: 'MH', station: 'pull', sign: 'donor' },
    { when: [9, '08:40'], by: 'RS', stepsUpTo: 'rm-starter-off', minutes: 12 },
    { when: [8, '08:20'], by: 'RS', stepsUpTo: 'rm-cap-ports', minutes: 9 },
    { when: [6, '08:20'], by: 'MH', station: 'prep', sign: 'pull' },
    ...round([6, '09:10'], 'DP', 'measured', 'job', { 'cho-engine-depth': 'stripped', 'cho-stand': 'bell-face' }),
    { when: [6, '09:30'], by: 'DP', record: ['limits', 'bore', { limits: { 'largest-size': 84.03, 'out-of-round': 0.04, taper: 0.05 }, source: 'engine manual, sheet 3' }] },
    { when: [6, '10:00'], by: 'DP', record: ['sheet', 'bore:1', bore(1, [84.012, 84.009, 84.01, 84.008, 84.006, 84.005])] },
    { when: [6, '10:20'], by: 'DP', record: ['sheet', 'bore:2', bore(2, [84.015, 84.011, 84.012, 84.009, 84.008, 84.006])] },
    { when: [6, '10:40'], by: 'DP', record: ['sheet', 'bore:3', bore(3, [84.036, 84.019, 84.018, 84.012, 84.009, 84.008])] },
    { when: [6, '11:00'], by: 'DP', record: ['sheet', 'bore:4', bore(4, [84.013, 84.01])] },
    { when: [5, '09:10'], by: 'DP', record: ['sheet', 'journal:1', journal(1, [59.982, 59.98, 59.981, 59.98, 60.044])] },
    { when: [5, '09:25'], by: 'DP', record: ['sheet', 'journal:2', journal(2, [59.981, 59.98, 59.98, 59.979, 60.043])] },
    { when: [5, '09:40'], by: 'DP', record: ['sheet', 'journal:4', journal(4, [59.981, 59.953, 59.979, 59.955, 60.046])] },
    { when: [5, '09:55'], by: 'DP', record: ['finding', '00000000-0000-4000-8000-000000000411', { on: 'engine', what: 'Journal 4 scored, ridge felt with a fingernail', follows: 'regrind, decision with Maren' }] },
    { when: [4, '11:00'], by: 'DP', record: ['joint', 'main-caps', { name: 'main caps', bolts: 14 }] },
    { when: [4, '11:10'], by: 'DP', line: 'torque main caps 1 30 Nm + 90 deg' },
    { when: [4, '11:12'], by: 'DP', line: 'torque main caps 2 30 Nm + 90 deg' },
    { when: [4, '15:30'], by: 'DP', record: ['torque', 'main caps:2', { joint: 'main caps', bolt: '2', stagesNm: [30], angleDeg: 90, source: 'logged in one line', voided: { why: 'cap off again to see the shell' } }] },
    { when: [5, '10:05'], by: 'DP', photo: ['00000000-0000-4000-8000-000000000431', 'journal', 'Journal 4, ridge in the middle', 'find-bearings'] },
    { when: [5, '10:06'], by: 'DP', record: ['pin', '00000000-0000-4000-8000-000000000441', { photoId: '00000000-0000-4000-8000-000000000431', number: 1, x: 0.48, y: 0.5, sort: 'finding', text: 'ridge, felt with a fingernail' }] },
    { when: [4, '16:10'], by: 'DP', record: ['ask', '00000000-0000-4000-8000-000000000451', { ask: 'approval', to: 'manager', what: 'Second opinion of the machine shop on the block, 2 days outside', amount: 18_000 }] },
    { when: [3, '09:40'], by: 'MH', line: 'decided: regrind and 0.25 shells over a used crank, because nobody knows what the used one did' },
    { when: [3, '10:00'], by: 'MH', line: 'held: waiting for crank from the regrind, in 5 days' },
    { when: [2, '13:00'], by: 'RS', record: ['circuit', '00000000-0000-4000-8000-000000000301', { title: 'battery through relay to glow strip', from: 'battery', to: 'glow strip', signal: 'power', load: 'lamps', currentA: 45, lengthM: 2.1, areaMm2: 10, fuseA: 60, labelA: 'G1A', labelB: 'G1A' }] },
    { when: [1, '11:45'], by: 'DP', line: 'received bearing set 0.25 under, label F-231' },
    { when: [0, '08:20'], by: 'DP', record: ['task', 'bld-clean', { status: 'on-it' }] },
  ],
};
