import { round } from './types.ts';
import type { Act, DemoJob } from './types.ts';

/** Just booked in, with two engines to choose from. */
export const pickup: DemoJob = {
  opened: [0, '08:00'], by: 'MH', car: { name: '1989 Corvane pick-up', modelYear: 1989, identity: 'CRVP21B44K1006612' }, customer: 'Otto Lindqvist-Bray', phone: '0555 0119', wish: 'More pull with the boat behind, automatic stays', faults: 'Rod knock when hot, gearbox shifts well, heater weak', ownEngine: '2.4 four', promisedIn: 45,
  units: [
    { role: 'candidate', kind: 'engine', name: '3.6 vee six', identity: 'BJ36-5521', place: 'shelf, breaker in town' },
    { role: 'candidate', kind: 'engine', name: '2.8 in-line six', identity: 'CV28-1180', place: 'yard, on a pallet' },
  ],
  acts: [
    ...round([0, '08:15'], 'MH', 'looked-up', 'car', { 'rec-drive-layout': 'front-longitudinal-rear-drive', 'rec-hv-system': 'no', 'rec-power-before': { value: '78 kW', 'taken-at': 'crank' }, 'rec-inspection-regime': 'safety' }),
    ...round([0, '08:30'], 'OT', 'measured', 'car', { 'rec-axle-masses': { front: '830 kg', rear: '610 kg' }, 'rec-axle-limits': { front: '1100 kg', rear: '1400 kg' }, 'rec-bay-length': { 'to-core-rear-face': '33 1/2 in', 'to-radiator-support': '36 in' }, 'rec-bay-width': { 'between-towers-at-head-height': '35 1/4 in' } }),
    ...round([0, '08:50'], 'OT', 'measured', 'own-engine', { 'eng-mass': '152 kg' }),
    { when: [0, '08:52'], by: 'OT', record: ['as-it-came', '00000000-0000-4000-8000-000000000641', { view: 'left', x: 0.9, y: 0.32, what: 'rust', note: 'wing bubbled behind the rear wheel' }] },
    { when: [0, '08:53'], by: 'OT', record: ['as-it-came', '00000000-0000-4000-8000-000000000642', { view: 'front', x: 0.82, y: 0.3, what: 'damage', note: 'bumper end pushed in, lamp whole' }] },
    { when: [0, '08:55'], by: 'OT', record: ['as-it-came', '00000000-0000-4000-8000-000000000643', { view: 'right', x: 0.78, y: 0.05, what: 'leak', note: 'oil on the drive side of the engine, fresh' }] },
    { when: [0, '08:57'], by: 'OT', record: ['arrival', 'sheet', { odometerKm: 214300, odometerFrom: 'odometer', keys: 2, fuel: 'half', fluids: 'oil at the lower mark and black, coolant clear', lamps: 'oil lamp late to go out', things: 'tow rope and jack in the bed', deadline: 'season', deadlineNote: 'boats go in at Easter' }] },
    { when: [0, '08:58'], by: 'OT', record: ['works', 'lights', { what: 'Lights, all round', state: 'works' }] },
    { when: [0, '08:58'], by: 'OT', record: ['works', 'wipers', { what: 'Wipers and washers', state: 'works' }] },
    { when: [0, '08:59'], by: 'OT', record: ['works', 'heater', { what: 'Heater and blower', state: 'does-not', note: 'blower only on the highest step' }] },
  ],
};

/** Pulling the old engine, waiting for a part of the hoist. */
export const saloon: DemoJob = {
  opened: [6, '13:00'], by: 'MH', car: { name: '1987 Larkfield saloon', modelYear: 1987, identity: 'LKF87SE22H0041953' }, customer: 'Noor Castellane', wish: 'Keep it looking original, better economy', faults: 'Head gasket gone twice, loom patched near the bulkhead', ownEngine: '2.2 four', promisedIn: 38,
  units: [
    { role: 'engine', kind: 'engine', name: '1.8 turbo four', identity: 'LT18-4410', place: 'shelf E1' },
    { role: 'own-gearbox', kind: 'gearbox', name: 'five-speed of the saloon', identity: 'LK5-2207', place: 'in the saloon' },
  ],
  acts: [
    ...round([6, '13:30'], 'MH', 'looked-up', 'car', { 'rec-drive-layout': 'front-longitudinal-rear-drive', 'rec-hv-system': 'no', 'rec-install-path': { value: 'over-the-front', 'hoist-rating-at-boom-place': '500 kg' }, 'rec-steering-assist': 'hydraulic', 'rec-ac-state': 'fitted-not-known' }),
    ...round([5, '08:30'], 'RS', 'measured', 'own-engine', { 'eng-fuelling': 'port-injection', 'eng-throttle-kind': 'cable', 'eng-induction': 'none', 'eng-condition': 'proven-running', 'eng-ps-pump': 'belt-left', 'eng-mass': '164 kg', 'eng-length': '545 mm', 'eng-height-up': { 'highest-point': '352 mm' }, 'eng-sump-depth': { 'at-bowl': '186 mm' }, 'eng-cg': { 'x-ahead-of-bell-face': '255 mm', 'z-above-crank': '78 mm' } }),
    ...round([5, '08:50'], 'RS', 'measured', 'own-gearbox', { 'gbx-mass': '38 kg', 'gbx-length': '610 mm' }),
    ...round([5, '09:00'], 'MH', 'assumed', 'job', { 'cho-unit-lift': 'engine-and-gearbox', 'cho-goal': 'road-going' }),
    ...round([5, '09:30'], 'RS', 'looked-up', 'engine', { 'eng-power': '110 kW', 'eng-induction': 'turbo', 'eng-fuelling': 'port-injection', 'eng-fuel': 'petrol', 'eng-mass': '141 kg' }),
    ...round([5, '10:00'], 'MH', 'assumed', 'job', { 'cho-pairing': 'near-pair', 'cho-finish': 'clean', 'cho-work-place': 'lift', 'cho-control-known': 'known-here' }),
    ...round([5, '10:20'], 'MH', 'measured', 'car', { 'rec-rust': 'light', 'rec-bay-room': 'roomy' }),
    { when: [5, '10:30'], by: 'MH', record: ['quote-line', 'dur-wash', { take: 'in', optional: true }] },
    { when: [5, '10:32'], by: 'MH', record: ['quote-line', '00000000-0000-4000-8000-000000000651', { take: 'in', title: 'Number plate light moved to the bumper', section: 'work', hours: [0.5, 1, 2] }] },
    { when: [5, '11:00'], by: 'MH', quote: { net: 19_800_00, exclusions: ['Rust found under the carpet', 'Refrigerant'], note: 'Hours are what it takes on average; what is found later is asked first.', despite: 'Gearbox and mounts are settled once the engine is out', signed: 'Noor Castellane' } },
    { when: [4, '07:50'], by: 'MH', paid: { sort: 'deposit', amount: 6_000_00, note: 'by transfer' } },
    { when: [4, '08:00'], by: 'MH', station: 'pull', sign: 'scope' },
    { when: [4, '09:00'], by: 'RS', stepsUpTo: 'rm-weigh', minutes: 22 },
    { when: [4, '10:00'], by: 'RS', stepsUpTo: 'rm-cool-down', minutes: 22 },
    { when: [4, '14:30'], by: 'RS', stepsUpTo: 'rm-bonnet-off', minutes: 14 },
    { when: [3, '15:20'], by: 'RS', record: ['rig', 'out', { frontX: 430, frontZ: 268, rearX: -40, rearZ: 240, hookAbove: 420, leastRatingKg: 500, typed: { frontX: '43 cm', frontZ: '268 mm', rearX: '-40 mm', rearZ: '240 mm', hookAbove: '42 cm', leastRatingKg: '500 kg' } }] },
    { when: [3, '15:24'], by: 'RS', record: ['lift-item', '00000000-0000-4000-8000-000000000741', { lift: 'out', item: { sort: 'hangs', what: 'alternator, left on', massKg: 6.4, x: 410, z: 90, known: 'weighed' } }] },
    { when: [3, '15:26'], by: 'RS', record: ['lift-item', '00000000-0000-4000-8000-000000000742', { lift: 'out', item: { sort: 'carries', what: 'front lug', gear: 'eye-shoulder', on: 'front', ratingKg: 900 } }] },
    { when: [3, '15:28'], by: 'RS', record: ['lift-item', '00000000-0000-4000-8000-000000000743', { lift: 'out', item: { sort: 'clears', what: 'mount stud', needMm: 64, hasMm: 55 } }] },
    { when: [3, '15:40'], by: 'RS', line: 'held: waiting for hoist chain inspection, tomorrow' },
    { when: [1, '10:00'], by: 'RS', line: 'bolts of the front pipe soaked again, two will not turn' },
    { when: [1, '10:02'], by: 'RS', record: ['snag', '00000000-0000-4000-8000-000000000744', { step: 'rm-exhaust-front', sort: 'stuck', what: 'two bolts of the front pipe will not turn', ways: ['soak', 'heat'], soakHours: 18, extraMinutes: 40 }] },
    { when: [1, '10:03'], by: 'RS', record: ['bag', '00000000-0000-4000-8000-000000000745', { what: 'radiator feet and shields', label: '011', place: 'tray 3', count: 8, thread: 'M6', lengthMm: 16, head: '10 mm, washer', reuse: 'reuse', step: 'rm-radiator-out' }] },
    { when: [1, '10:05'], by: 'RS', line: 'drained 6.2 l coolant' },
    { when: [4, '14:50'], by: 'RS', record: ['own-line', 'own-cut-the-patched-loom-free-of-the-bulkhead-l0o1', { sort: 'step', title: 'Cut the patched loom free of the bulkhead', why: 'it is glued in, and holds the engine', station: 'pull', minutes: [30, 60], people: 1, after: ['rm-battery-off'], before: ['rm-hoist-on'] }] },
    { when: [4, '14:52'], by: 'RS', record: ['own-line', 'own-grommet-for-the-bulkhead-68-mm-l0o2', { sort: 'part', title: 'Grommet for the bulkhead, 68 mm', why: 'fumes and water come in at the hole', station: 'connect', system: 'electrics', options: 'outer and inner diameter, sheet thickness', price: [6, 9, 14] }] },
    { when: [4, '14:54'], by: 'MH', record: ['own-line', 'own-bulkhead-hole-closed-l0o3', { sort: 'check', title: 'Bulkhead hole closed', why: 'fumes and water come in', station: 'connect', gate: 'First drive', parts: ['own-grommet-for-the-bulkhead-68-mm-l0o2'] }] },
    { when: [5, '10:35'], by: 'RS', record: ['proof-run', '00000000-0000-4000-8000-000000000719', { on: '2026-11-19', minutes: 22, coolantC: 87, oilColdBar: 4.2, oilHotBar: 1.3, codes: 'none', shifts: 'well', joints: 'dry', seen: 'no smoke, light tick when cold' }] },
    { when: [5, '10:38'], by: 'MH', record: ['purchase', 'engine', { of: 'engine', seller: 'Hollin Breakers', source: 'breaker', on: 'day', price: 145_000, odometerKm: 98_170, odometerTyped: '61,000 miles', odometerFrom: 'word', heard: 'run', warranty: 'start-up only, three months, not if opened', returnBy: 'day+11' }] },
    { when: [5, '10:40'], by: 'MH', record: ['claim', '00000000-0000-4000-8000-000000000720', { what: 'Turbo was rebuilt', saidBy: 'the seller', on: 'engine', looked: { holds: true, how: 'play of the shaft felt, tag of the rebuilder read' } }] },
    { when: [5, '10:42'], by: 'MH', record: ['claim', '00000000-0000-4000-8000-000000000721', { what: 'Timing belt is two years old', saidBy: 'the seller', on: 'engine' }] },
    { when: [1, '11:10'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000700', { what: 'plug', name: 'Throttle switch plug', from: 'engine loom', to: 'throttle', label: 'L1', fate: 'back', off: {} }] },
    { when: [1, '11:11'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000701', { what: 'plug', name: 'Plug of injector 1', from: 'engine loom', to: 'injector 1', label: 'L2', fate: 'back', off: {} }] },
    { when: [1, '11:12'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000702', { what: 'plug', name: 'Plug of injector 2', from: 'engine loom', to: 'injector 2', label: 'L3', fate: 'back', off: {} }] },
    { when: [1, '11:13'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000703', { what: 'hose', name: 'Heater hose, upper', from: 'head', to: 'bulkhead', label: 'L4', fate: 'back', capped: true, off: {} }] },
    { when: [1, '11:14'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000704', { what: 'hose', name: 'Heater hose, lower', from: 'water pump', to: 'bulkhead', label: 'L5', fate: 'back', capped: true, off: {} }] },
    { when: [1, '11:15'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000705', { what: 'cable', name: 'Throttle cable', from: 'pedal', to: 'throttle', label: 'L6', fate: 'back', off: {} }] },
    { when: [1, '11:16'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000706', { what: 'plug', name: 'Distributor plug', from: 'engine loom', to: 'distributor', label: 'L7', fate: 'goes', off: {} }] },
    { when: [1, '11:17'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000707', { what: 'plug', name: 'Old alarm feed', from: 'battery', to: 'alarm box', label: 'L8', fate: 'out', cut: true, off: {} }] },
    { when: [1, '11:18'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000708', { what: 'strap', name: 'Earth strap at the right mount', from: 'block', to: 'rail', label: 'L9', fate: 'back' }] },
    { when: [1, '11:19'], by: 'RS', record: ['link', '00000000-0000-4000-8000-000000000709', { what: 'hose', name: 'Breather hose to the can', from: 'cover', to: 'can on the wing', label: 'L10', fate: 'back' }] },
    { when: [1, '16:30'], by: 'RS', record: ['task', 'rm-penetrant', { status: 'open', handedTo: 'OT' }] },
  ],
};

const coupePhoto = '00000000-0000-4000-8000-000000000631';

/** Finished and handed over. */
export const coupe: DemoJob = {
  opened: [60, '09:00'], by: 'MH', car: { name: '1978 Merriden coupe', modelYear: 1978, identity: 'JD78C-20714' }, customer: 'Fenna Oduya', wish: 'Reliable six for touring', faults: 'None, engine worn', ownEngine: '2.0 four', promisedIn: -4,
  units: [{ role: 'engine', kind: 'engine', name: '2.8 straight six', identity: 'CV28-9914', place: 'in the coupe' }],
  acts: [
    ...round([59, '09:00'], 'MH', 'looked-up', 'engine', { 'eng-code': 'CV28, variant 2, serial 9914', 'eng-generation': { value: 'only-one', 'told-by': 'papers' }, 'eng-power': '120 kW', 'eng-fuel': 'petrol', 'eng-fuelling': 'port-injection' }),
    ...round([59, '09:30'], 'MH', 'assumed', 'job', { 'cho-goal': 'road-going', 'cho-control': 'donor-unit-trimmed-loom' }),
    { when: [40, '09:00'], by: 'OT', record: ['fit', 'fit-radiator-fan', { resolution: { text: 'Electric fan behind the core, the belt fan left off', kit: ['kit-fan'], asked: [] } }] },
    { when: [36, '10:00'], by: 'OT', record: ['lift', '00000000-0000-4000-8000-000000000671', { reason: 'trial', why: 'sump met the crossmember by 6 mm', foreseen: false, unit: 'real', carries: 'truck sump', deviation: { why: 'an empty block, carried in by two' } }] },
    { when: [35, '15:00'], by: 'OT', record: ['lift', '00000000-0000-4000-8000-000000000671', { reason: 'trial', why: 'sump met the crossmember by 6 mm', foreseen: false, unit: 'real', carries: 'truck sump', out: { why: 'sump notched' } }] },
    { when: [34, '11:00'], by: 'OT', record: ['tried', '00000000-0000-4000-8000-000000000672', { part: 'Car sump of the saloon', variant: '1996', how: 'pick-up 20 mm too far back', fits: 'does-not-fit', back: true }] },
    { when: [20, '07:20'], by: 'OT', fact: ['job', 'cho-oil-priming', 'external-pressure', 'measured'] },
    { when: [20, '07:30'], by: 'OT', record: ['priming', '00000000-0000-4000-8000-000000000601', { way: 'external-pressure', bar: 3.4, seconds: 0 }] },
    { when: [24, '07:50'], by: 'OT', photo: [coupePhoto, 'bay', 'Engine bay before the sling came off', 'gate-ei-hidden'] },
    { when: [24, '08:00'], by: 'OT', passGate: 'Engine closed up', second: 'JV', photoId: coupePhoto },
    { when: [24, '13:00'], by: 'OT', passGate: 'Engine in', second: 'JV', photoId: coupePhoto },
    { when: [20, '08:00'], by: 'OT', passGate: 'First crank', second: 'JV', photoId: coupePhoto },
    { when: [20, '12:00'], by: 'OT', passGate: 'First start', second: 'JV', photoId: coupePhoto },
    { when: [20, '14:40'], by: 'OT', record: ['attempt', '1', { number: 1, seconds: 3, result: 'runs', volts: 11.8 }] },
    ...([[0, 17, 4.4, 1300, 13.9], [4, 38, 4.1, 1200, 14.1], [8, 61, 3.3, 1100, 14.1], [12, 79, 2.4, 1000, 14], [16, 91, 1.6, 900, 13.9], [20, 94, 1.5, 900, 14], [24, 92, 2.6, 1500, 14.2]] as const).map(
      ([minute, coolantC, oilBar, rpm, volts], i): Act => ({ when: [20, `14:${41 + i * 2}`], by: 'OT', record: ['warm-up', `00000000-0000-4000-8000-00000000065${i}`, { minute, coolantC, oilBar, rpm, volts }] }),
    ),
    { when: [5, '10:00'], by: 'MH', record: ['follow-up', '00000000-0000-4000-8000-000000000602', { what: 'Early oil change, filter cut open', atKm: 500 }] },
    { when: [6, '08:00'], by: 'OT', passGate: 'First drive', second: 'JV', photoId: coupePhoto },
    { when: [5, '10:05'], by: 'OT', passGate: 'Hand over', second: 'JV', photoId: coupePhoto },
    { when: [5, '11:30'], by: 'MH', record: ['signature', 'hand-over', { what: 'Hand over', statement: 'Job book given, follow-ups told' }] },
    { when: [5, '11:35'], by: 'MH', sign: 'hand-over', station: 'hand-over' },
  ],
};
