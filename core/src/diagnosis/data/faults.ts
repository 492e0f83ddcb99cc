import { when } from '../../facts/index.ts';
import type { FaultDef } from '../types.ts';

/** What can be wrong at a first start. Priors are estimates, replaced by the shop's closed cases. */
export const faults: readonly FaultDef[] = [
  {
    id: 'f-battery-weak', title: 'Battery weak or flat', system: 'starting', prior: 0.1, onlyWhen: when('always'), raisedBy: [when('don-storage-months > 3'), when('rec-battery = boot')],
    fix: 'charge, load test, heavier cable; one job of this can hide others',
  },
  {
    id: 'f-earth-missing', title: 'Engine or unit earth missing, painted or thin', system: 'electrics', prior: 0.1, onlyWhen: when('always'), raisedBy: [when('kit-clean-paint fitted'), when('rec-loom-state in {brittle, cut}')],
    fix: 'earths of connect.md, bare metal, drop test',
  },
  {
    id: 'f-start-circuit', title: 'No signal to the solenoid: inhibitor, relay, key, module output', system: 'starting', prior: 0.08, onlyWhen: when('always'),
    raisedBy: [when('cho-power-distribution = programmable-module')], fix: 'feed the step that is dead, set inhibitor',
  },
  {
    id: 'f-starter-engagement', title: 'Starter spins free or grinds: teeth, depth, nose', system: 'starting', prior: 0.03, onlyWhen: when('always'), raisedBy: [when('kit-bell-adapter fitted'), when('kit-starter fitted')],
    fix: 'right starter, shim, ring',
  },
  {
    id: 'f-engine-bound', title: 'Engine will not turn: fluid in cylinder, converter forced, locked part', system: 'engine', prior: 0.012, onlyWhen: when('always'),
    raisedBy: [when('don-storage-months > 24 or eng-stood-months > 24')], fix: 'stop cranking; plugs out, part the bell, find the hard stop',
  },
  {
    id: 'f-ecu-unpowered', title: 'Engine unit has no feed: fuse, relay, main plug', system: 'control', prior: 0.08,
    onlyWhen: when('cho-control in {recipient-unit-kept, donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'), raisedBy: [when('cho-loom = lengthened'), when('rec-loom-state in {brittle, cut, absent}')],
    fix: 'feeds and earths at the plug under load',
  },
  {
    id: 'f-feed-lost-cranking', title: 'Feed taken from a terminal that drops out while cranking', system: 'control', prior: 0.05, onlyWhen: when('cho-control != mechanical-diesel'),
    raisedBy: [when('cho-control in {donor-unit-new-loom, standalone}')], fix: 'take run-and-start terminal, own relay',
  },
  {
    id: 'f-immobiliser', title: 'Key, reader and unit not matched', system: 'control', prior: 0.05, onlyWhen: when('eng-immobiliser-kind != none or rec-immobiliser-kind != none'),
    raisedBy: [when('eng-immobiliser-kind in {key-to-engine-unit, key-to-body-unit}')], fix: 'matching by an authorised person, whole set moved, program (local law)',
  },
  {
    id: 'f-throttle-unplugged', title: 'By-wire throttle or pedal not plugged, or of another set', system: 'control', prior: 0.07, onlyWhen: when('eng-throttle-kind = by-wire'),
    raisedBy: [when('kit-throttle-body fitted'), when('kit-pedal fitted')], fix: 'plug, right pedal, relearn',
  },
  {
    id: 'f-banks-swapped', title: 'Injector and coil branches of the two banks crossed', system: 'control', prior: 0.04, onlyWhen: when('eng-layout in {vee-6, vee-8, flat-4, flat-6}'),
    raisedBy: [when('cho-loom = lengthened'), when('cho-control = standalone')], fix: 'output test by cylinder, cross back, labels',
  },
  {
    id: 'f-firing-order', title: 'Leads or outputs in the wrong order', system: 'ignition', prior: 0.05, onlyWhen: when('eng-ignition-kind != diesel-none'),
    raisedBy: [when('cho-control in {standalone, carburettor-distributor}')], fix: 'order from the manual, cylinder by cylinder',
  },
  {
    id: 'f-base-timing', title: 'Base timing off: distributor a tooth out, trigger offset not set', system: 'ignition', prior: 0.05, onlyWhen: when('eng-ignition-kind != diesel-none'),
    raisedBy: [when('cho-control in {standalone, carburettor-distributor}'), when('kit-trigger fitted')], fix: 'offset by light, re-clock',
  },
  {
    id: 'f-cam-timing', title: 'Cam timing out, belt or chain jumped', system: 'engine', prior: 0.025, onlyWhen: when('always'), raisedBy: [when('kit-timing-set fitted'), when('eng-condition = rebuilt')],
    fix: 'stop; marks, positive stop, compression before anything turns again',
  },
  {
    id: 'f-crank-signal', title: 'Crank sensor of another kind, polarity, pattern or gap', system: 'control', prior: 0.05,
    onlyWhen: when('cho-control in {recipient-unit-kept, donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'),
    raisedBy: [when('fit-crank-trigger says Adapt'), when('fit-sensor-plugs says Adapt')], fix: 'sensor of the loom\'s kind, gap, swap pair, trigger setting',
  },
  {
    id: 'f-cam-sensor', title: 'Cam sensor dead, swapped or of another pattern', system: 'control', prior: 0.035, onlyWhen: when('eng-cam-sensor != none'), raisedBy: [when('fit-sensor-plugs says Adapt'), when('eng-condition = rebuilt')],
    fix: 'sensor, plug of the right bank',
  },
  {
    id: 'f-no-spark', title: 'Coils without feed or driver', system: 'ignition', prior: 0.04, onlyWhen: when('eng-ignition-kind != diesel-none'), raisedBy: [when('cho-loom = lengthened')],
    fix: 'feed under load, driver, earth of coils',
  },
  {
    id: 'f-no-injector-pulse', title: 'Injectors without feed or driver', system: 'fuel', prior: 0.04, onlyWhen: when('eng-fuelling in {throttle-body-injection, port-injection, direct-injection}'),
    raisedBy: [when('cho-loom = lengthened')], fix: 'relay, fuse, driver or resistors',
  },
  {
    id: 'f-wrong-tune', title: 'Program of another engine, gearbox or option', system: 'control', prior: 0.05, onlyWhen: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'),
    raisedBy: [when('kit-ecu-program fitted')], fix: 'right program by number, base sheet',
  },
  {
    id: 'f-pump-reversed', title: 'Pump or its plumbing the wrong way round', system: 'fuel', prior: 0.015, onlyWhen: when('cho-pump-place in {in-tank, inline, surge-pot}'), raisedBy: [when('cho-pump-place in {inline, surge-pot}')],
    fix: 'turn by the arrow, refill, prime',
  },
  {
    id: 'f-pump-relay', title: 'Pump not fed: relay, fuse, inertia switch, prime logic', system: 'fuel', prior: 0.07, onlyWhen: when('cho-pump-place in {in-tank, inline, surge-pot}'),
    raisedBy: [when('rec-tank-pump = none'), when('cho-power-distribution = programmable-module')], fix: 'feed, reset, assign output',
  },
  {
    id: 'f-fuel-pressure-low', title: 'Pressure too low: regulator, filter, pump, line, reversed check valve', system: 'fuel', prior: 0.05,
    onlyWhen: when('eng-fuelling in {throttle-body-injection, port-injection, direct-injection}'), raisedBy: [when('cho-fuel-system = return-regulator-external'), when('rec-tank-pump = in-tank-low')],
    fix: 'set regulator by gauge, filter, volts at pump',
  },
  {
    id: 'f-tank-empty', title: 'Tank empty, pick-up uncovered, or fuel stale or of wrong kind', system: 'fuel', prior: 0.06, onlyWhen: when('always'), raisedBy: [when('rec-tank-baffled = no'), when('kit-tank fitted')],
    fix: '15 L of fresh fuel, level ground, strainer depth',
  },
  {
    id: 'f-injector-scaling', title: 'Injector flow (or rail pressure) not as the program assumes', system: 'fuel', prior: 0.03, onlyWhen: when('eng-fuelling in {throttle-body-injection, port-injection, direct-injection}'),
    raisedBy: [when('kit-injector-adapters fitted')], fix: 'data into the program, or matching injectors',
  },
  { id: 'f-flooded', title: 'Flooded after failed attempts', system: 'fuel', prior: 0.08, onlyWhen: when('eng-fuel = petrol'), raisedBy: [when('three attempts logged')], fix: 'throttle open, pump off, dry plugs, check oil' },
  {
    id: 'f-vacuum-leak', title: 'Open ports, cracked hose, intake gasket', system: 'air', prior: 0.12, onlyWhen: when('always'),
    raisedBy: [when('kit-throttle-body fitted'), when('fit-booster-vacuum says Adapt')], fix: 'caps, gaskets, smoke test',
  },
  {
    id: 'f-throttle-plate', title: 'Plate bent, sticking, or stop wrong', system: 'air', prior: 0.03, onlyWhen: when('eng-throttle-kind in {cable, by-wire}'), raisedBy: [when('kit-throttle-body fitted')],
    fix: 'known-good throttle body from the old engine',
  },
  {
    id: 'f-idle-valve', title: 'Idle valve stuck, unplugged, not learnt', system: 'air', prior: 0.04, onlyWhen: when('eng-throttle-kind = cable and eng-fuelling != carburettor'), raisedBy: [when('cho-control = standalone')],
    fix: 'clean, plug, learn',
  },
  {
    id: 'f-maf-orientation', title: 'Air-mass sensor reversed, in a wrong bore, or leak after it', system: 'air', prior: 0.025, onlyWhen: when('eng-load-sensor in {air-mass, both}'),
    raisedBy: [when('kit-maf-adapter fitted'), when('kit-intake-pipe fitted')], fix: 'arrow, bore, straight run',
  },
  {
    id: 'f-map', title: 'Pressure sensor hose off, split, or of another range', system: 'air', prior: 0.03, onlyWhen: when('eng-load-sensor in {pressure, both}'), raisedBy: [when('fit-sensor-plugs says Adapt')],
    fix: 'hose, scaling',
  },
  {
    id: 'f-coolant-sensor', title: 'Coolant sensor for the unit open, shorted, of another curve', system: 'control', prior: 0.04,
    onlyWhen: when('cho-control in {recipient-unit-kept, donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'), raisedBy: [when('fit-gauge-senders says Adapt')], fix: 'sensor of the unit\'s curve',
  },
  {
    id: 'f-o2', title: 'Oxygen sensor dead, swapped banks, wrong kind', system: 'control', prior: 0.03, onlyWhen: when('eng-o2-sensors > 0'), raisedBy: [when('kit-o2-bungs fitted'), when('cho-loom = lengthened')],
    fix: 'swap, place, kind',
  },
  {
    id: 'f-exhaust-leak', title: 'Leak before or near the sensor', system: 'exhaust', prior: 0.09, onlyWhen: when('always'), raisedBy: [when('cho-exhaust in {fabricated, long-tube}'), when('cho-start-exhaust = open-for-first-start')],
    fix: 'gasket, re-torque hot-cold, flange true',
  },
  {
    id: 'f-oil-unprimed', title: 'Oil absent because it never primed', system: 'oil', prior: 0.05, onlyWhen: when('always'), raisedBy: [when('eng-condition in {rebuilt, stood}'), when('cho-oil-filter = remote')],
    fix: 'prime by another school',
  },
  {
    id: 'f-oil-pickup-leak', title: 'Air drawn at the pick-up ring or tube', system: 'oil', prior: 0.012, onlyWhen: when('always'), raisedBy: [when('cho-sump != donor-sump'), when('kit-pickup fitted')],
    fix: 'sump off; overfill by 1 L as a test only where the maker allows it',
  },
  {
    id: 'f-oil-switch-wrong', title: 'Pressure good, switch of wrong threshold or contact', system: 'instruments', prior: 0.08, onlyWhen: when('rec-oil-warning-logic != none'),
    raisedBy: [when('fit-oil-warning says Adapt')], fix: 'right switch, deviation never silent',
  },
  {
    id: 'f-oil-dash-logic', title: 'Pressure good, two-stage wires crossed or logic unmet', system: 'instruments', prior: 0.05, onlyWhen: when('rec-oil-warning-logic in {two-switch-low-and-high, bus-message}'),
    raisedBy: [when('rec-oil-warning-logic = two-switch-low-and-high')], fix: 'cross back, second switch, logic box',
  },
  {
    id: 'f-oil-level-low', title: 'Oil level low for the new sump or remote circuit', system: 'oil', prior: 0.03, onlyWhen: when('always'), raisedBy: [when('cho-sump != donor-sump'), when('cho-oil-filter = remote')],
    fix: 'measured fill, new dipstick mark',
  },
  {
    id: 'f-oil-filter-circuit', title: 'Filter or remote lines wrong: crossed, blocked, wrong bypass', system: 'oil', prior: 0.015, onlyWhen: when('always'), raisedBy: [when('cho-oil-filter = remote')],
    fix: 'in and out by the block\'s ports',
  },
  { id: 'f-gallery-plug', title: 'Gallery plug left out or passing', system: 'oil', prior: 0.008, onlyWhen: when('always'), raisedBy: [when('eng-condition = rebuilt')], fix: 'strip to the plug' },
  {
    id: 'f-bearing-wear', title: 'Worn bearings or pump, oil too thin', system: 'oil', prior: 0.025, onlyWhen: when('always'), raisedBy: [when('eng-condition in {not-known, stood}'), when('don-mileage > 250000')],
    fix: 'measure, open it; thicker oil only hides it',
  },
  { id: 'f-air-lock', title: 'Air in the cooling system', system: 'cooling', prior: 0.15, onlyWhen: when('always'), raisedBy: [when('fit-coolant-high-point says Adapt'), when('kit-heater-hoses fitted')], fix: 'bleed order, vacuum fill' },
  {
    id: 'f-fill-point-low', title: 'Fill point below the high point', system: 'cooling', prior: 0.05, onlyWhen: when('always'), raisedBy: [when('cho-fill-point = radiator-cap'), when('fit-coolant-high-point says Clash')],
    fix: 'header tank at the top, bleed screw',
  },
  {
    id: 'f-fan-reversed', title: 'Fan turns or is mounted the wrong way', system: 'cooling', prior: 0.03, onlyWhen: when('cho-fan in {electric-puller, electric-pusher}'), raisedBy: [when('kit-fan fitted')],
    fix: 'swap wires or blade, by its maker\'s sheet',
  },
  {
    id: 'f-fan-not-running', title: 'Fan not commanded or not fed', system: 'cooling', prior: 0.05, onlyWhen: when('cho-fan in {electric-puller, electric-pusher}'),
    raisedBy: [when('cho-power-distribution = programmable-module')], fix: 'relay, output set, override',
  },
  {
    id: 'f-thermostat', title: 'Thermostat stuck, reversed, or of wrong place', system: 'cooling', prior: 0.03, onlyWhen: when('always'), raisedBy: [when('kit-thermostat fitted')],
    fix: 'bath test, bleed hole up',
  },
  { id: 'f-head-gasket', title: 'Combustion gas in coolant, cracked head', system: 'engine', prior: 0.02, onlyWhen: when('always'), raisedBy: [when('eng-condition in {not-known, stood}')], fix: 'leak-down, strip' },
  {
    id: 'f-diesel-air', title: 'Air in the fuel: suction side, filter, return', system: 'diesel', prior: 0.12, onlyWhen: when('eng-fuel = diesel'), raisedBy: [when('kit-fuel-filter fitted'), when('kit-fuel-hose fitted')],
    fix: 'clear hose, new washers, bleed',
  },
  { id: 'f-lift-pump-valves', title: 'Lift pump valves worn, drains back', system: 'diesel', prior: 0.05, onlyWhen: when('eng-fuelling = diesel-mechanical'), raisedBy: [when('don-mileage > 200000')], fix: 'valve kit' },
  { id: 'f-glow-plugs', title: 'Glow plugs or control dead, chambers carboned', system: 'diesel', prior: 0.06, onlyWhen: when('eng-fuel = diesel'), raisedBy: [when('don-storage-months > 12 or eng-stood-months > 12')], fix: 'ream, plugs, relay' },
  {
    id: 'f-diesel-shutoff', title: 'Stop valve stuck in stop or will not stop', system: 'diesel', prior: 0.05, onlyWhen: when('eng-diesel-stop in {vacuum-shutoff, electric-solenoid}'),
    raisedBy: [when('eng-diesel-stop = vacuum-shutoff')], fix: 'valve, vacuum line, second stop means',
  },
  {
    id: 'f-valves-tight', title: 'Valve lash closed up', system: 'engine', prior: 0.04, onlyWhen: when('eng-cam-follower in {flat-tappet, finger, bucket} and eng-lash-adjuster != hydraulic'), raisedBy: [when('eng-fuel = diesel')],
    fix: 'set lash, then compression again',
  },
  {
    id: 'f-alternator-exciter', title: 'Alternator not woken: exciter wire, lamp, resistor', system: 'charging', prior: 0.07, onlyWhen: when('always'),
    raisedBy: [when('rec-charge-lamp in {led-or-cluster, voltmeter, none}')], fix: 'lamp or resistor, right terminal',
  },
  { id: 'f-alternator-regulator', title: 'Regulator or diodes', system: 'charging', prior: 0.025, onlyWhen: when('always'), raisedBy: [when('don-storage-months > 24 or eng-stood-months > 24')], fix: 'regulator, unit' },
  {
    id: 'f-belt-line', title: 'Accessory belt out of line, slack or too long', system: 'accessory', prior: 0.04, onlyWhen: when('always'), raisedBy: [when('kit-accessory-brackets fitted'), when('fit-mount-boss says Adapt')],
    fix: 'spacer, belt of computed length',
  },
  {
    id: 'f-gearbox-control', title: 'Gearbox unit unfed, without throttle or speed signal, wrong program', system: 'gearbox', prior: 0.05, onlyWhen: when('gbx-kind in {automatic-electronic, dual-clutch}'),
    raisedBy: [when('cho-gearbox-control = own-controller')], fix: 'feed, signal, program',
  },
  {
    id: 'f-tv-cable', title: 'Throttle-valve cable out of adjustment or geometry', system: 'gearbox', prior: 0.04, onlyWhen: when('gbx-throttle-link in {throttle-valve-cable, kickdown-cable}'),
    raisedBy: [when('fit-gearbox-control says Adapt')], fix: 'set at full throttle before one more metre',
  },
  {
    id: 'f-gearbox-fluid-low', title: 'Fluid short after cooler and converter filled', system: 'gearbox', prior: 0.06,
    onlyWhen: when('gbx-kind in {automatic-hydraulic, automatic-electronic, dual-clutch, transaxle-automatic}'), raisedBy: [when('kit-gearbox-cooler fitted')], fix: 'fill hot, in steps',
  },
  {
    id: 'f-converter-bolts', title: 'Converter bolts loose or too long', system: 'drive end', prior: 0.015, onlyWhen: when('gbx-kind in {automatic-hydraulic, automatic-electronic}'), raisedBy: [when('kit-flexplate fitted')],
    fix: 'stop; inspect, right length, torque',
  },
  {
    id: 'f-flexplate-crack', title: 'Flexplate cracked or bent', system: 'drive end', prior: 0.008, onlyWhen: when('gbx-kind in {automatic-hydraulic, automatic-electronic}'), raisedBy: [when('kit-bell-adapter fitted')],
    fix: 'stop; part the bell, true the dowels',
  },
  {
    id: 'f-contact-noise', title: 'Engine, exhaust or shift linkage touches the body', system: 'mounts', prior: 0.07, onlyWhen: when('always'),
    raisedBy: [when('cho-mount-material in {polyurethane, solid}'), when('fit-exhaust-body says Adapt')], fix: 'contact paint, gap, hanger',
  },
];
