import { when } from '../../facts/index.ts';
import type { TaskDef } from '../types.ts';

/** What a job takes, hours of one person: estimates (common practice, no source) until the shop's own history stands beside them. Rust, a new pair and show finish are not in them. */
export const tasks: readonly TaskDef[] = [
  {
    id: 'dur-intake', title: 'Car in: identity, photos, faults, what works, what is missing', station: 'scope', hours: [0.7, 1.2, 2.5], people: [1, 1], needs: ['lift'], skill: 'general', sorts: ['office'],
    when: when('always'), leftOut: 'earlier modifications, bay dirt grade',
  },
  {
    id: 'dur-baseline', title: 'Baseline run, drive, roller', station: 'scope', hours: [0.5, 1, 3], people: [1, 2], needs: ['scan'], skill: 'general', sorts: ['office'],
    when: when('always'), leftOut: 'charging, fuel, weather, booking',
  },
  {
    id: 'dur-quote', title: 'Candidates, kit lines, quote', station: 'scope', hours: [1, 3, 8], people: [1, 1], needs: [], skill: 'general', sorts: ['office'],
    when: when('always'), leftOut: 'sundries allowance, hidden control cost',
  },
  {
    id: 'dur-donor-look', title: 'Inspect a donor where it stands', station: 'donor', hours: [1, 2, 4], people: [1, 1], needs: ['scan'], skill: 'engine', sorts: ['office'],
    when: when('always'), donor: true, leftOut: 'travel',
  },
  {
    id: 'dur-donor-run', title: 'Make a wreck run for proof', station: 'donor', hours: [2, 5, 12], people: [1, 1], needs: [], skill: 'engine', sorts: ['removal'],
    when: when('don-proof-of-running missing'), donor: true, leftOut: 'stand-in parts list to clear',
  },
  {
    id: 'dur-donor-strip', title: 'Drivetrain out of a donor, complete', station: 'donor', hours: [6, 12, 25], people: [1, 2], needs: ['lift', 'hoist'], skill: 'general', sorts: ['removal'],
    when: when('always'), donor: true, leftOut: 'seats, labels, fragile parts',
  },
  {
    id: 'dur-donor-list', title: 'Grade, photograph, list, shelve: each part', station: 'donor', hours: [0.2, 0.3, 0.5], people: [1, 1], needs: ['bench'], skill: 'general', sorts: ['office'],
    when: when('always'), donor: true, leftOut: 'cleaning',
  },
  {
    id: 'dur-pack', title: 'Pack engine or gearbox for freight', station: 'donor', hours: [0.5, 1, 2], people: [1, 2], needs: ['hoist'], skill: 'general', sorts: ['office'],
    when: when('always'), offered: true, leftOut: 'draining, gear back',
  },
  {
    id: 'dur-hv', title: 'High-voltage make-safe and pack out', station: 'pull', hours: [3, 5, 8], people: [2, 2], needs: ['lift table'], skill: 'hv', sorts: ['removal'],
    when: when('rec-hv-system = yes'), leftOut: 'manual access, storage place',
  },
  {
    id: 'dur-pull-alone', title: 'Engine alone out, whole job', station: 'pull', hours: [5, 8, 16], people: [1, 2], needs: ['lift', 'hoist'], skill: 'general', sorts: ['removal'],
    when: when('cho-unit-lift = engine-alone'), either: 'unit-out', leftOut: '',
  },
  {
    id: 'dur-pull-joint', title: 'Engine with gearbox out, whole job', station: 'pull', hours: [6, 10, 18], people: [1, 2], needs: ['lift', 'hoist'], skill: 'general', sorts: ['removal'],
    when: when('cho-unit-lift = engine-and-gearbox'), either: 'unit-out', leftOut: 'tail oil, exhaust trimming',
  },
  {
    id: 'dur-pull-subframe', title: 'Out downwards with subframe', station: 'pull', hours: [6, 10, 20], people: [2, 2], needs: ['lift', 'table'], skill: 'general', sorts: ['removal', 'chassis'],
    when: when('cho-unit-lift = on-subframe'), either: 'unit-out', leftOut: 'brakes, steering, alignment',
  },
  {
    id: 'dur-wash', title: 'Scrape, degrease, wash, dry the bay', station: 'pull', hours: [1.5, 3, 6], people: [1, 1], needs: ['wash place'], skill: 'general', sorts: ['prep'],
    when: when('always'), leftOut: 'capping, waste water',
  },
  {
    id: 'dur-bay-paint', title: 'Mask, prime, paint the bay, hands on', station: 'pull', hours: [3, 6, 12], people: [1, 1], needs: ['paint place'], skill: 'paint', sorts: ['prep'],
    when: when('cho-finish in {clean, show}'), leftOut: 'repair of holes, runs',
  },
  {
    id: 'dur-undress', title: 'Dressing off, transfer parts bagged', station: 'prep', hours: [1, 2, 4], people: [1, 1], needs: ['stand'], skill: 'engine', sorts: ['prep'],
    when: when('always'), leftOut: 'labels',
  },
  {
    id: 'dur-clean-parts', title: 'Small parts cleaned by hand', station: 'prep', hours: [1, 3, 10], people: [1, 1], needs: ['bath'], skill: 'general', sorts: ['prep'],
    when: when('always'), leftOut: 'nearly always more than planned',
  },
  {
    id: 'dur-reseal', title: 'Outside reseal', station: 'prep', hours: [3, 6, 12], people: [1, 1], needs: ['stand'], skill: 'engine', sorts: ['prep'],
    when: when('cho-engine-depth = resealed'), leftOut: 'broken studs, cure',
  },
  {
    id: 'dur-timing', title: 'Belt or chain set, proof, two turns', station: 'prep', hours: [2, 3.5, 7], people: [1, 1], needs: ['stand'], skill: 'engine', sorts: ['prep'],
    when: when('cho-engine-depth in {resealed, stripped}'), leftOut: 'special tools',
  },
  {
    id: 'dur-measure', title: 'Strip, clean, measure', station: 'prep', hours: [6, 10, 18], people: [1, 1], needs: ['bench'], skill: 'engine', sorts: ['prep'],
    when: when('cho-engine-depth = stripped'), leftOut: 'writing it down',
  },
  {
    id: 'dur-short', title: 'Short engine assembly', station: 'prep', hours: [8, 14, 24], people: [1, 1], needs: ['clean room'], skill: 'engine', sorts: ['prep'],
    when: when('cho-engine-depth = stripped'), leftOut: 'waiting for one part',
  },
  {
    id: 'dur-heads', title: 'Heads on, torque, lash', station: 'prep', hours: [2, 4, 8], people: [1, 2], needs: ['stand'], skill: 'engine', sorts: ['prep'],
    when: when('cho-engine-depth = stripped'), leftOut: 'bolts missing',
  },
  {
    id: 'dur-turbo', title: 'Turbo strip, seals, back as a unit', station: 'prep', hours: [2, 4, 8], people: [1, 1], needs: ['bench'], skill: 'engine', sorts: ['prep'],
    when: when('eng-induction = turbo'), leftOut: 'studs, drain pipe',
  },
  {
    id: 'dur-join-manual', title: 'Pilot, flywheel, clutch, slave, gearbox on', station: 'prep', hours: [1.5, 3, 6], people: [1, 2], needs: ['hoist'], skill: 'driveline', sorts: ['prep'],
    when: when('gbx-kind in {manual, transaxle-manual}'), either: 'joining', leftOut: 'freeze wait, aligning',
  },
  {
    id: 'dur-join-auto', title: 'Plate, converter, gearbox on, gap measured', station: 'prep', hours: [1.5, 2.5, 5], people: [1, 2], needs: ['hoist'], skill: 'driveline', sorts: ['prep'],
    when: when('gbx-kind not in {manual, transaxle-manual}'), either: 'joining', leftOut: 'bolt length',
  },
  {
    id: 'dur-gearbox-swap-parts', title: 'Opening a gearbox to move shaft, pump, band', station: 'prep', hours: [6, 12, 25], people: [1, 1], needs: ['bench'], skill: 'driveline', sorts: ['prep'],
    when: when('always'), offered: true, leftOut: 'specialist\'s diary',
  },
  {
    id: 'dur-first-drop', title: 'First trial fit with measured gaps', station: 'fit', hours: [1.5, 3, 8], people: [2, 2], needs: ['hoist', 'lift'], skill: 'fabric', sorts: ['fit'],
    when: when('always'), leftOut: 'radiator out and in',
  },
  {
    id: 'dur-redrop', title: 'Each further in-and-out', station: 'fit', hours: [1.5, 3, 6], people: [2, 2], needs: ['hoist'], skill: 'fabric', sorts: ['fit'],
    when: when('always'), times: 3, fewer: { when: when('cho-pairing = done-here'), times: 1 }, leftOut: 'count three unless proven otherwise',
  },
  {
    id: 'dur-mount-kit', title: 'Mounts from a kit', station: 'fit', hours: [1, 2, 5], people: [1, 2], needs: ['hoist'], skill: 'general', sorts: ['fit'],
    when: when('cho-mount-school in {recipient-arms, fixed-hole-plate, sliding-plate}'), either: 'mounts', leftOut: 'row choice',
  },
  {
    id: 'dur-mount-made', title: 'Mounts made, tacked, welded, refitted', station: 'fit', hours: [6, 14, 40], people: [1, 2], needs: ['hoist', 'weld'], skill: 'fabric, weld-s', sorts: ['fit'],
    when: when('cho-mount-school = fabricated'), either: 'mounts', leftOut: 'strip and re-drop',
  },
  {
    id: 'dur-tunnel', title: 'Tunnel or firewall cut and closed', station: 'fit', hours: [3, 8, 20], people: [1, 1], needs: ['weld'], skill: 'fabric, weld-s', sorts: ['fit'],
    when: when('fit-tunnel says Clash or fit-firewall says Clash'), leftOut: 'lines and loom rerouted',
  },
  {
    id: 'dur-cross-kit', title: 'Crossmember from a kit', station: 'fit', hours: [0.7, 1.5, 4], people: [1, 1], needs: ['lift'], skill: 'general', sorts: ['fit', 'under-car'],
    when: when('rec-gearbox-crossmember in {bolted-one-place, bolted-slots}'), either: 'gearbox-crossmember', leftOut: 'body tabs',
  },
  {
    id: 'dur-cross-made', title: 'Crossmember made', station: 'fit', hours: [4, 8, 16], people: [1, 1], needs: ['lift', 'weld'], skill: 'fabric', sorts: ['fit', 'under-car'],
    when: when('rec-gearbox-crossmember in {fixed, none}'), either: 'gearbox-crossmember', leftOut: 'exhaust room',
  },
  {
    id: 'dur-shaft', title: 'Driveline angles, shaft measured and ordered', station: 'fit', hours: [0.5, 0.8, 1.5], people: [1, 1], needs: ['lift at ride height'], skill: 'driveline', sorts: ['fit', 'under-car'],
    when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive}'), leftOut: 'final position must be fixed',
  },
  {
    id: 'dur-final-drop', title: 'Final lowering and bolting', station: 'fit', hours: [1, 2, 4], people: [2, 2], needs: ['hoist'], skill: 'general', sorts: ['fit'],
    when: when('cho-unit-lift in {engine-alone, engine-and-gearbox}'), either: 'unit-in', leftOut: 'pads, lines before engine',
  },
  {
    id: 'dur-subframe-in', title: 'Raised in from below with subframe', station: 'fit', hours: [1.5, 3, 7], people: [2, 3], needs: ['high lift', 'table'], skill: 'general', sorts: ['fit', 'chassis'],
    when: when('cho-unit-lift = on-subframe'), either: 'unit-in', leftOut: 'tunnel contact',
  },
  {
    id: 'dur-gearbox-under', title: 'Gearbox mated from below', station: 'fit', hours: [1, 2, 5], people: [2, 2], needs: ['lift', 'jack'], skill: 'driveline', sorts: ['fit', 'under-car'],
    when: when('cho-unit-lift = engine-alone'), leftOut: 'splines refuse',
  },
  {
    id: 'dur-accessory', title: 'Accessory drive, bracket made, belt found', station: 'fit', hours: [2, 5, 15], people: [1, 1], needs: [], skill: 'fabric', sorts: ['fit', 'service'],
    when: when('fit-accessory-drive says Adapt or fit-accessory-drive says Clash'), leftOut: 'belt tries',
  },
  {
    id: 'dur-header-kit', title: 'Headers or manifolds that fit', station: 'connect', hours: [1.5, 3, 8], people: [1, 1], needs: ['lift'], skill: 'general', sorts: ['exhaust', 'fit'],
    when: when('cho-exhaust in {factory-manifolds, shorty, long-tube}'), either: 'headers', leftOut: 'plugs behind first',
  },
  {
    id: 'dur-header-made', title: 'Headers or manifolds made', station: 'connect', hours: [15, 30, 60], people: [1, 2], needs: ['weld'], skill: 'fabric', sorts: ['exhaust', 'fit'],
    when: when('cho-exhaust = fabricated'), either: 'headers', leftOut: 'often the largest line of the job',
  },
  {
    id: 'dur-exhaust-made', title: 'Pipe, bosses, silencers made', station: 'connect', hours: [6, 12, 30], people: [1, 2], needs: ['lift', 'weld'], skill: 'fabric', sorts: ['exhaust', 'connect', 'under-car'],
    when: when('cho-goal != mock-up'), leftOut: 'sensor bosses, hangers',
  },
  {
    id: 'dur-charge', title: 'Charge pipes and cooler', station: 'connect', hours: [3, 8, 20], people: [1, 1], needs: ['weld'], skill: 'fabric', sorts: ['connect'],
    when: when('eng-induction in {turbo, supercharger} and cho-goal != mock-up'), leftOut: 'bumper cut',
  },
  {
    id: 'dur-radiator', title: 'Radiator, fans, mounts, fill point', station: 'connect', hours: [2, 5, 20], people: [1, 2], needs: ['weld'], skill: 'fabric', sorts: ['connect'],
    when: when('cho-radiator in {larger-bolt-in, universal} and cho-goal != mock-up'), leftOut: 'gap to pulley',
  },
  {
    id: 'dur-coolant-pipes', title: 'Coolant and heater pipes', station: 'connect', hours: [1.5, 5, 14], people: [1, 1], needs: [], skill: 'fabric', sorts: ['connect'],
    when: when('cho-goal != mock-up'), leftOut: 'missing one hose',
  },
  {
    id: 'dur-heat', title: 'Sleeves, shields, second layer out of reach', station: 'connect', hours: [1, 3, 8], people: [1, 1], needs: [], skill: 'general', sorts: ['connect'],
    when: when('cho-goal != mock-up'), leftOut: 'paint first',
  },
  {
    id: 'dur-tank', title: 'Tank or pump module changed', station: 'connect', hours: [2, 4, 8], people: [1, 2], needs: ['lift'], skill: 'general', sorts: ['connect', 'under-car'],
    when: when('fit-tank says Adapt and cho-goal != mock-up or fit-tank says Clash and cho-goal != mock-up'), leftOut: 'fuel to store, sender check',
  },
  {
    id: 'dur-fuel-lines', title: 'Feed, return, filter, regulator, test', station: 'connect', hours: [3, 8, 20], people: [1, 1], needs: ['lift'], skill: 'general', sorts: ['connect', 'under-car'],
    when: when('cho-goal != mock-up'), leftOut: 'one fitting short',
  },
  {
    id: 'dur-brake-lines', title: 'Brake lines moved and bled', station: 'connect', hours: [1.5, 4, 10], people: [1, 2], needs: ['lift'], skill: 'general', sorts: ['connect', 'under-car'],
    when: when('fit-exhaust-lines says Adapt or fit-exhaust-lines says Clash'), leftOut: 'before the engine goes in',
  },
  {
    id: 'dur-clutch-hyd', title: 'Pedal, master, line, bleed', station: 'connect', hours: [1.5, 3, 8], people: [1, 2], needs: [], skill: 'general', sorts: ['connect'],
    when: when('gbx-kind in {manual, transaxle-manual} and cho-goal != mock-up'), leftOut: 'remote bleed line',
  },
  {
    id: 'dur-shift', title: 'Shifter, linkage, cables, reverse and speed signal', station: 'connect', hours: [1, 3, 8], people: [1, 1], needs: ['lift'], skill: 'driveline', sorts: ['connect', 'under-car'],
    when: when('cho-gearbox-stays = no and cho-goal != mock-up'), leftOut: 'hole in the tunnel',
  },
  {
    id: 'dur-loom-bench', title: 'Loom plugged to the engine out of the car', station: 'connect', hours: [1, 2, 4], people: [1, 1], needs: ['bench'], skill: 'electric', sorts: ['wiring', 'connect'],
    when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone} and cho-goal != mock-up'), leftOut: 'every plug named',
  },
  {
    id: 'dur-loom-new', title: 'New engine loom laid and ended', station: 'connect', hours: [6, 14, 30], people: [1, 1], needs: ['laptop'], skill: 'electric', sorts: ['wiring', 'connect'],
    when: when('cho-control in {donor-unit-new-loom, standalone} and cho-goal != mock-up'), either: 'loom', leftOut: 'fan, brake switch, dash wires',
  },
  {
    id: 'dur-loom-trim', title: 'Donor loom thinned, tested, re-covered', station: 'connect', hours: [12, 24, 50], people: [1, 1], needs: ['bench'], skill: 'electric', sorts: ['wiring', 'connect'],
    when: when('cho-control = donor-unit-trimmed-loom and cho-goal != mock-up'), either: 'loom', leftOut: 'pinout search',
  },
  {
    id: 'dur-wire-all', title: 'Whole bare car wired', station: 'connect', hours: [20, 40, 100], people: [1, 1], needs: ['laptop'], skill: 'electric', sorts: ['wiring', 'connect'],
    when: when('rec-loom-state = absent and cho-goal != mock-up'), leftOut: 'labels, test by circuit',
  },
  {
    id: 'dur-gauges', title: 'Cluster, senders, displays matched', station: 'connect', hours: [1, 4, 12], people: [1, 1], needs: ['laptop'], skill: 'electric', sorts: ['wiring', 'connect'],
    when: when('cho-goal != mock-up'), leftOut: 'contact logic',
  },
  {
    id: 'dur-ac', title: 'Air-conditioning lines, fan, brackets', station: 'connect', hours: [2, 5, 12], people: [1, 1], needs: [], skill: 'ac for charge', sorts: ['connect'],
    when: when('cho-ac = kept and cho-goal != mock-up'), leftOut: 'hose ends pressed outside',
  },
  {
    id: 'dur-start-checks', title: 'Pre-start list, plug roll-call, injector and coil test by cylinder', station: 'start', hours: [1.5, 3, 6], people: [1, 2], needs: ['laptop', 'scan'], skill: 'electric', sorts: ['start'],
    when: when('cho-goal != mock-up'), leftOut: 'spare fuse, plug missed',
  },
  {
    id: 'dur-prime', title: 'Oil pressure by cranking, fuel primed, leaks', station: 'start', hours: [0.4, 0.8, 2], people: [2, 2], needs: ['extinguisher'], skill: 'engine', sorts: ['start'],
    when: when('cho-goal != mock-up'), leftOut: 'pump backwards',
  },
  {
    id: 'dur-first-start', title: 'First start to steady idle', station: 'start', hours: [0.3, 1.5, 12], people: [2, 2], needs: ['laptop', 'extraction'], skill: 'tune', sorts: ['start'],
    when: when('cho-goal != mock-up'), leftOut: 'flooded: dry plugs, wait',
  },
  {
    id: 'dur-warm', title: 'Warm-up, bleed, leak look, re-torque', station: 'start', hours: [1.5, 2.5, 5], people: [1, 1], needs: ['lift'], skill: 'engine', sorts: ['start'],
    when: when('cho-goal != mock-up'), leftOut: 'second cold look',
  },
  {
    id: 'dur-tune', title: 'Base tune, roller tune', station: 'start', hours: [3, 6, 16], people: [1, 2], needs: ['roller'], skill: 'tune', sorts: ['start'],
    when: when('cho-control in {standalone, carburettor-distributor} and cho-goal != mock-up'), leftOut: 'outside booking',
  },
  {
    id: 'dur-road', title: 'Road test in steps', station: 'start', hours: [1, 2, 6], people: [1, 2], needs: ['plates'], skill: 'general', sorts: ['start'],
    when: when('cho-goal in {road-going, track}'), leftOut: 'weather, law',
  },
  {
    id: 'dur-align', title: 'Wheel alignment after arms, subframe, springs', station: 'start', hours: [0.8, 1.2, 2], people: [1, 1], needs: ['rig'], skill: 'general', sorts: ['under-car'],
    when: when('cho-goal in {road-going, track}'), leftOut: 'forgotten',
  },
  {
    id: 'dur-papers', title: 'Inspection papers, emissions, weights', station: 'hand-over', hours: [1, 3, 8], people: [1, 1], needs: ['scan'], skill: 'general', sorts: ['office'],
    when: when('cho-goal = road-going'), leftOut: 'inspector\'s calendar',
  },
  {
    id: 'dur-book', title: 'Job book, open ends, follow-up dates', station: 'hand-over', hours: [1, 2, 4], people: [1, 1], needs: [], skill: 'general', sorts: ['office'],
    when: when('always'), leftOut: 'part numbers of foreign parts',
  },
];
