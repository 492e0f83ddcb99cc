import { round } from './types.ts';
import type { Act, DemoJob } from './types.ts';

const bayPhoto = '00000000-0000-4000-8000-000000000531';
const caseId = '00000000-0000-4000-8000-000000000501';
const filled: Act[] = (
  [
    ['engine-oil', 5.8, '5W-40'],
    ['coolant', 8.2, 'Glycol and water 50/50'],
    ['gearbox', 1.8, '75W-80'],
    ['final-drive', 1.1, '75W-90 for limited slip'],
    ['steering', 1.2, 'Hydraulic fluid of the rack'],
    ['clutch', 0.4, 'DOT 4'],
    ['fuel', 20, 'Petrol, 98 octane, from the pump today'],
  ] as const
).map(([system, litres, what], i): Act => ({
  when: [3, `14:${String(10 + i * 6)}`],
  by: 'JV',
  record: ['fluid', `00000000-0000-4000-8000-00000000052${i}`, { way: 'filled', system, litres, what }],
}));
const tested: Act[] = ['bt-inhibitor', 'bt-fan', 'bt-injector', 'bt-coil'].map((id, i): Act => ({
  when: [3, `15:${String(10 + i * 9)}`],
  by: 'JV',
  record: ['task', id, { status: 'done' }],
}));
const circuits: Act[] = (
  [
    ['main relay to engine unit', 'relay R1', 'unit plug A', 8, 2.4, 2.5, 15, 'E1'],
    ['fan relay to fan', 'relay R3', 'fan plug', 18, 2.2, 4, 30, 'F1'],
    ['relay to fuel pump', 'relay R2', 'pump hanger', 9, 4.6, 4, 15, 'P1'],
    ['coil feed', 'relay R1', 'coils 1 to 5', 10, 1.8, 2.5, 15, 'C1'],
  ] as const
).map(([title, from, to, currentA, lengthM, areaMm2, fuseA, label], i) => ({
  when: [3, `1${i}:20`],
  by: 'JV',
  record: ['circuit', `00000000-0000-4000-8000-00000000040${i}`, { title, from, to, signal: 'power', load: i === 0 || i === 3 ? 'engine unit' : 'pump or fan', currentA, lengthM, areaMm2, fuseA, labelA: `${label}A`, labelB: `${label}B`, tested: {} }],
}));

const saw = (time: string, observationId: string, outcome: string, reading?: string): Act => ({
  when: [0, time], by: 'JV', record: ['observation', `${caseId}:${observationId}`, { caseId, observationId, outcome, ...(reading ? { reading } : {}) }],
});

/** A small roadster that has its new five-cylinder in and does not start. Stands at Start. */
export const roadster: DemoJob = {
  opened: [27, '09:00'], by: 'MH',
  car: { name: '1996 Sorrel roadster', modelYear: 1996, identity: '1SRR34D29TK018840' },
  customer: 'A. Tennant', phone: '0555 0162', wish: 'The five-cylinder sound, road papers kept, heater and top as before', faults: 'Timing belt broke, valves bent. Clutch near its end', ownEngine: '1.8 four, valves bent', bay: '3', promisedIn: 6,
  units: [
    { role: 'donor', kind: 'car', name: '2001 Orlin coupe, front cut', identity: 'ORL5C25TT10442097', place: 'sold on' },
    { role: 'engine', kind: 'engine', name: '2.5 five-cylinder', identity: 'OR25-31877', place: 'in the roadster' },
    { role: 'gearbox', kind: 'gearbox', name: 'Five-speed manual of the coupe', identity: 'OR5-7719', place: 'in the roadster' },
    { role: 'computer', kind: 'computer', name: 'Engine unit of the coupe', identity: 'OR-E44-19', place: 'in the roadster' },
  ],
  acts: [
    ...round([27, '09:30'], 'MH', 'looked-up', 'car', { 'rec-drive-layout': 'front-longitudinal-rear-drive', 'rec-inspection-regime': 'safety-and-tailpipe', 'rec-engine-age-rule': 'engine-same-year-or-newer', 'rec-hv-system': 'no', 'rec-power-before': { value: '96 kW', 'taken-at': 'crank' }, 'rec-fuel-before': 'petrol-injected', 'rec-electrical-system': '12v-negative-earth', 'rec-immobiliser-kind': 'none', 'rec-body-network': 'none' }),
    ...round([26, '09:00'], 'JV', 'measured', 'car', {
      'rec-install-path': { value: 'over-the-front', 'hoist-rating-at-boom-place': '500 kg' }, 'rec-axle-masses': { front: '520 kg', rear: '500 kg' }, 'rec-axle-limits': { front: '640 kg', rear: '660 kg' }, 'rec-axle-ratio': '3.45', 'rec-tyre-size': '195/50 R15', 'rec-axle-rating': '1500 Nm', 'rec-bay-length': { 'to-core-rear-face': '742 mm' }, 'rec-bay-width': { 'between-towers-at-head-height': '846 mm' }, 'rec-brake-assist': 'vacuum', 'rec-booster-hose-bore': '11 mm', 'rec-brake-kind': { front: 'disc', rear: 'disc', 'hose-age': 'sound' },
      'rec-tank-baffled': 'yes', 'rec-tank-ports': 'feed-and-return', 'rec-tank-pump': { value: 'in-tank-high', 'flow-at-rail-pressure': '140 L/h' }, 'rec-throttle-pedal': 'cable', 'rec-tach-input': 'low-level-pulse', 'rec-tach-pulses': '2', 'rec-loom-state': 'sound', 'rec-charge-lamp': 'filament-lamp', 'rec-battery': { place: 'boot', 'cold-cranking': '480 A', 'cable-length': '3.6 m' }, 'rec-oil-warning-logic': 'one-switch-closes-when-low', 'rec-oil-switch-thresholds': { low: '0.3 bar', contact: 'normally-closed' }, 'rec-speedo-drive': 'pulse', 'rec-steering-assist': 'hydraulic', 'rec-ac-state': 'none', 'rec-hood-profile': { 'lowest-z-over-the-engine': '402 mm' },
      'rec-pinion-angle': '1.8 deg',
    }),
    ...round([25, '09:00'], 'JV', 'looked-up', 'engine', {
      'eng-code': 'OR25, variant 31, serial 877', 'eng-generation': { value: 'only-one', 'told-by': 'papers' }, 'eng-model-year': '2001', 'eng-layout': 'inline-5', 'eng-displacement': '2497 cm³', 'eng-power': '125 kW', 'eng-torque': '230 Nm', 'eng-max-rpm': '6500', 'eng-fuel': 'petrol', 'eng-fuelling': 'port-injection', 'eng-throttle-kind': 'cable', 'eng-rail-pressure': { 'high-side': '3.8 bar' }, 'eng-rail-ports': { value: 'two', regulator: 'on-rail' }, 'eng-induction': 'none', 'eng-ignition-kind': 'coil-on-plug', 'eng-immobiliser-kind': 'none', 'eng-crank-sensor': 'two-wire-inductive', 'eng-crank-trigger': { place: 'flywheel', teeth: '58', 'missing-teeth': '2' },
      'eng-cam-sensor': 'one-hall', 'eng-load-sensor': 'air-mass', 'eng-o2-sensors': { upstream: '1', downstream: '1' }, 'eng-diesel-stop': 'not-diesel', 'eng-condition': 'rebuilt', 'eng-mass': '168 kg', 'eng-alternator': { output: '100 A', exciter: 'lamp-wire' }, 'eng-oil-switch': { threshold: '0.3 bar', contact: 'normally-closed' }, 'eng-oil-spec': { value: '5W-40', 'capacity-with-filter': '5.8 L', 'idle-pressure-least': '1.0 bar' }, 'eng-vacuum-ports': { 'booster-port-bore': '11 mm', 'idle-vacuum': '64 kPa' }, 'eng-height-up': { 'highest-point': '266 mm' }, 'eng-ps-pump': 'belt-left', 'eng-cam-follower': 'bucket', 'eng-firing-order': '1-2-4-5-3',
    }),
    ...round([24, '14:00'], 'JV', 'measured', 'engine', { 'eng-fan-reach': { 'pulley-face': '612 mm', 'pump-kind': 'belt' }, 'eng-flywheel': { kind: 'solid', bolts: '8', circle: '78 mm', thickness: '24 mm', 'original-thickness': '28 mm', 'friction-size': '228 mm' }, 'eng-crank-flange': { bolts: '8', circle: '78 mm' }, 'eng-width': { 'left-at-covers-and-coils': '262 mm', 'right-at-covers-and-coils': '288 mm' }, 'eng-bell-pattern': 'Orlin eight-bolt' }),
    ...round([24, '15:00'], 'JV', 'measured', 'gearbox', { 'gbx-kind': 'manual', 'gbx-bell-pattern': 'Orlin eight-bolt', 'gbx-rating': '280 Nm', 'gbx-ratios': { first: '3.55', top: '0.81' }, 'gbx-source-layout': 'rear-drive', 'gbx-mass': '41 kg', 'gbx-speed-signal': 'pulse-sensor', 'gbx-output': { 'output-slope-tail-down': '2.4 deg', 'shaft-length': '960 mm', 'tube-outside-diameter': '70 mm', 'tube-wall': '2 mm' }, 'gbx-input-shaft': { 'spline-count': '22', 'disc-spline-count': '22', 'disc-diameter': '228 mm' }, 'gbx-release-kind': 'external-slave', 'gbx-switches': { 'start-inhibitor': 'present', 'reverse-lamp': 'present' } }),
    ...round([24, '08:30'], 'MH', 'assumed', 'job', { 'cho-goal': 'road-going', 'cho-control': 'donor-unit-trimmed-loom', 'cho-unit-lift': 'engine-and-gearbox', 'cho-fuel-system': 'return-regulator-on-rail', 'cho-pump-place': 'in-tank', 'cho-mount-material': 'polyurethane', 'cho-heater': 'kept', 'cho-ps': 'kept-hydraulic', 'cho-ac': 'deleted', 'cho-sump': 'donor-sump', 'cho-loom': { length: 'lengthened', splices: '6', 'labelled-ends': '6' }, 'cho-oil-filter': 'on-engine', 'cho-coolant-amount': { engine: '4.6 L', radiator: '2.9 L', heater: '0.8 L' }, 'cho-stand': 'bell-face' }),
    ...round([24, '10:00'], 'JV', 'measured', 'donor', { 'rec-hv-system': 'no', 'don-proof-of-running': 'ran-in-donor', 'don-mileage': { value: '54000 mi', source: 'odometer' }, 'don-storage-months': '2', 'don-ecu-set': { 'engine-unit': 'present', pedal: 'none', key: 'none', reader: 'none' }, 'don-harness-state': { 'cut-plugs': '2', 'missing-branches': '0' }, 'don-emission-set': { catalysts: 'present', 'oxygen-sensors': 'present', 'purge-valve-and-canister': 'present', 'recirculation-valve': 'none' } }),
    { when: [22, '08:00'], by: 'MH', station: 'donor', sign: 'scope' },
    { when: [20, '08:00'], by: 'MH', station: 'pull', sign: 'donor' },
    { when: [15, '08:00'], by: 'MH', station: 'prep', sign: 'pull' },
    { when: [9, '08:00'], by: 'MH', station: 'fit', sign: 'prep', despite: 'Closed up after the trial fit; the lines are proved on that day' },
    { when: [8, '10:00'], by: 'JV', record: ['fit', 'fit-crank-trigger', { resolution: { text: 'Lighter flywheel kept, sensor bracket to be set by feeler', kit: ['kit-trigger'], asked: ['fit-sensor-plugs', 'fit-ecu-engine'] } }] },
    { when: [6, '08:00'], by: 'MH', station: 'connect', sign: 'fit', despite: 'Loom is laid on the engine before it goes in for good' },
    ...circuits,
    { when: [4, '07:50'], by: 'JV', photo: [bayPhoto, 'bay', 'Bay from the front, engine going in', 'gate-ei-hidden'] },
    { when: [4, '08:00'], by: 'JV', passGate: 'Engine closed up', second: 'OT', photoId: bayPhoto },
    { when: [4, '13:00'], by: 'JV', passGate: 'Engine in', second: 'OT', photoId: bayPhoto },
    { when: [4, '13:20'], by: 'JV', record: ['lift', '00000000-0000-4000-8000-000000000551', { reason: 'to-stay', why: 'in for good, place as planned', foreseen: true, unit: 'real', carries: 'complete, exhaust off', mounts: 'plates, bolted' }] },
    { when: [4, '13:26'], by: 'JV', record: ['lift', '00000000-0000-4000-8000-000000000551', { reason: 'to-stay', why: 'in for good, place as planned', foreseen: true, unit: 'real', carries: 'complete, exhaust off', mounts: 'plates, bolted', read: { alongMm: 24, sidewaysMm: 0, heightMm: 112, slopeDeg: 4, ownMounts: true, typed: { alongMm: '24 mm', sidewaysMm: '0', heightMm: '112 mm', slopeDeg: '4 deg' } }, sits: { how: 'final', despite: 'Gaps were read that day on paper, before this book was kept' } }] },
    { when: [4, '13:30'], by: 'JV', stepsUpTo: 'ein-gear-off', minutes: 6 },
    ...filled,
    ...tested,
    { when: [2, '16:00'], by: 'MH', station: 'start', sign: 'connect' },
    { when: [1, '08:10'], by: 'JV', fact: ['job', 'cho-oil-priming', 'crank-without-fuel-and-spark', 'measured'] },
    { when: [1, '08:20'], by: 'JV', passGate: 'First crank', second: 'OT', photoId: bayPhoto },
    { when: [1, '12:20'], by: 'JV', record: ['priming', '00000000-0000-4000-8000-000000000502', { way: 'crank-without-fuel-and-spark', bar: 3.1, seconds: 22 }] },
    { when: [1, '13:00'], by: 'JV', passGate: 'First start', second: 'OT', photoId: bayPhoto },
    { when: [1, '15:02'], by: 'JV', record: ['attempt', '1', { number: 1, seconds: 8, result: 'cranks-no-fire', volts: 11.2, heard: 'even cranking, no cough' }] },
    { when: [1, '15:20'], by: 'JV', line: 'battery charged to 12.7 V. One change' },
    { when: [1, '15:24'], by: 'JV', record: ['attempt', '2', { number: 2, seconds: 10, result: 'cranks-no-fire', volts: 11.4, change: 'battery charged', heard: 'no smell of fuel' }] },
    { when: [0, '08:05'], by: 'JV', record: ['case', caseId, { symptom: 'cranks and does not fire', touched: ['control', 'fuel'] }] },
    saw('08:10', 'o-crank', 'normal'), saw('08:12', 'o-fires', 'no-fire'), saw('08:16', 'o-ecu-talks', 'talks'), saw('08:20', 'o-prime-sound', 'heard'), saw('08:31', 'o-earth-drop', 'under-0.2', '0.04 V'),
    { when: [0, '08:40'], by: 'RS', record: ['provisional', '00000000-0000-4000-8000-000000000503', { what: 'battery from bay 2 in the boot', kind: 'borrowed' }] },
  ],
};
