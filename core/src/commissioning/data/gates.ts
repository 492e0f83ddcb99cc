import { when } from '../../facts/index.ts';
import type { GateLineDef } from '../types.ts';

/** What must be true before each point of harm or damage. harm: a second signature is needed to override. */
export const gateLines: readonly GateLineDef[] = [
  {
    id: 'gate-hvd-people', gate: 'Donor high voltage', mustBe: 'Authorised person, second person and manual pages named; area fenced, keys out of radio range', harm: true, of: 'donor', when: when('rec-hv-system = yes'),
    proof: [{ signature: true, people: 2 }], proofWords: 'names, pages of the manual, two signatures (local law, the manual first)', why: 'somebody touches it who does not know',
  },
  {
    id: 'gate-hvd-wait', gate: 'Donor high voltage', mustBe: 'Waited since the plug came out: at least 5 min, or the manual\'s longer time', harm: true, of: 'donor', when: when('rec-hv-system = yes'),
    proof: [{ reading: [{ key: 'minutes', label: 'Minutes the manual asks for', bands: [{ unit: 'min', min: 5, max: 240 }] }] }], proofWords: 'the manual\'s minutes; they run from the moment the plug was written out', why: 'capacitors hold their charge',
  },
  {
    id: 'gate-hvd-dead', gate: 'Donor high voltage', mustBe: 'Proved dead at two points with a meter proved before and after, by an authorised person', harm: true, of: 'donor', when: when('rec-hv-system = yes'),
    proof: [{ reading: [{ key: 'meter-before', label: 'Meter on a known source, before', bands: [{ unit: 'V', min: 5, max: 1500 }] }, { key: 'point-1', label: 'First point the manual names', bands: [{ unit: 'V', min: -60, max: 60 }] }, { key: 'point-2', label: 'Second point the manual names', bands: [{ unit: 'V', min: -60, max: 60 }] }, { key: 'meter-after', label: 'Meter on the known source, after', bands: [{ unit: 'V', min: 5, max: 1500 }] }] }, { signature: true, people: 2 }], proofWords: 'four numbers, two signatures; the points and the limit by the manual, under 60 V as long as it names none', why: 'death',
  },
  {
    id: 'gate-hv-people', gate: 'High voltage', mustBe: 'Authorised person, second person and manual pages named; area fenced, keys out of radio range', harm: true, when: when('rec-hv-system = yes'),
    proof: [{ signature: true, people: 2 }], proofWords: 'names, pages of the manual, two signatures (local law, the manual first)', why: 'somebody touches it who does not know',
  },
  {
    id: 'gate-hv-wait', gate: 'High voltage', mustBe: 'Waited since the plug came out: at least 5 min, or the manual\'s longer time', harm: true, when: when('rec-hv-system = yes'),
    proof: [{ reading: [{ key: 'minutes', label: 'Minutes the manual asks for', bands: [{ unit: 'min', min: 5, max: 240 }] }] }], proofWords: 'the manual\'s minutes; they run from the moment the plug was written out', why: 'capacitors hold their charge',
  },
  {
    id: 'gate-hv-dead', gate: 'High voltage', mustBe: 'Proved dead at two points with a meter proved before and after, by an authorised person', harm: true, when: when('rec-hv-system = yes'),
    proof: [{ reading: [{ key: 'meter-before', label: 'Meter on a known source, before', bands: [{ unit: 'V', min: 5, max: 1500 }] }, { key: 'point-1', label: 'First point the manual names', bands: [{ unit: 'V', min: -60, max: 60 }] }, { key: 'point-2', label: 'Second point the manual names', bands: [{ unit: 'V', min: -60, max: 60 }] }, { key: 'meter-after', label: 'Meter on the known source, after', bands: [{ unit: 'V', min: 5, max: 1500 }] }] }, { signature: true, people: 2 }], proofWords: 'four numbers, two signatures; the points and the limit by the manual, under 60 V as long as it names none', why: 'death',
  },
  {
    id: 'gate-cu-condition', gate: 'Engine closed up', mustBe: 'Tests of prep done, or the list of tests not done is accepted by name', when: when('eng-condition != proven-running or don-proof-of-running != drove-in-donor'),
    proof: [{ record: true }, { signature: true }], proofWords: 'record, signature', why: 'sludge judged by eye is a guess',
  },
  {
    id: 'gate-cu-plugs', gate: 'Engine closed up', mustBe: 'Gallery, core and end plugs counted: taken out = put in', when: when('eng-condition = rebuilt or cho-engine-depth = stripped'), proof: [{ record: true }, { photo: true }], proofWords: 'record, photo',
    why: 'a missing plug lets oil take the short way',
  },
  {
    id: 'gate-cu-pickup', gate: 'Engine closed up', mustBe: 'Pick-up bolted and braced, new ring, distance to sump floor read', when: when('cho-sump != donor-sump or eng-condition = rebuilt or cho-engine-depth = stripped or eng-condition = stood and cho-engine-depth = resealed'),
    proof: [{ reading: [{ key: 'gap', label: 'Screen to sump floor', bands: [{ unit: 'mm', min: 6, max: 10 }] }] }, { photo: true }], proofWords: 'reading 6 to 10 mm (common practice; the manual first), photo', why: 'torn ring sucks air',
  },
  {
    id: 'gate-cu-fasteners', gate: 'Engine closed up', mustBe: 'Every inside fastener group has value, source, who, witness mark; none "unknown"', when: when('eng-condition = rebuilt or cho-engine-depth = stripped or eng-condition = stood and cho-engine-depth = resealed'), proof: [{ record: true }], proofWords: 'record',
    why: 'reach is lost',
  },
  {
    id: 'gate-cu-timing', gate: 'Engine closed up', mustBe: 'All marks agree after two full turns by hand; top dead centre by positive stop',
    when: when('kit-timing-set fitted or eng-cam-drive missing or eng-condition = rebuilt or cho-engine-depth = stripped'), proof: [{ photo: true }, { reading: [{ key: 'first', label: 'Stop, one way round', bands: [{ unit: 'deg', min: -180, max: 180 }] }, { key: 'second', label: 'Stop, the other way round', bands: [{ unit: 'deg', min: -180, max: 180 }] }] }], proofWords: 'photo, reading: mean of two stops', why: 'a mark can lie, two proofs cannot both',
  },
  {
    id: 'gate-cu-lash', gate: 'Engine closed up', mustBe: 'Valve lash table filled, found and set', when: when('eng-cam-follower in {flat-tappet, finger, bucket} and eng-lash-adjuster != hydraulic and cho-engine-depth != closed'), proof: [{ record: true }], proofWords: 'record per valve, limits of the manual',
    why: 'tight valves read as low compression',
  },
  {
    id: 'gate-cu-oiled', gate: 'Engine closed up', mustBe: 'Surfaces that stood dry are oiled before anything turns', when: when('don-storage-months > 2 or eng-stood-months > 2 or eng-condition = rebuilt or cho-engine-depth = stripped'), proof: [{ signature: true }], proofWords: 'signature',
    why: 'first turn scuffs',
  },
  { id: 'gate-cu-turns', gate: 'Engine closed up', mustBe: 'Engine turns two turns by hand, torque even', when: when('always'), proof: [{ reading: [{ key: 'least', label: 'Least torque over two turns', bands: [{ unit: 'N·m', min: 0, max: 80 }] }, { key: 'most', label: 'Most torque over two turns', bands: [{ unit: 'N·m', min: 0, max: 80 }] }] }], proofWords: 'reading N·m, no hard stop', why: 'something forgotten inside' },
  { id: 'gate-cu-seal', gate: 'Engine closed up', mustBe: 'Sealant points on the photo ticked, cure time over', when: when('cho-engine-depth in {resealed, stripped} or cho-sump != donor-sump or kit-timing-set fitted'), proof: [{ photo: true }, { record: true }], proofWords: 'photo, timer (product\'s sheet)', why: 'leaks at the corners' },
  {
    id: 'gate-cu-count', gate: 'Engine closed up', mustBe: 'Rags, tools, caps counted, nothing inside; every opening covered, covers numbered', when: when('always'), proof: [{ record: true }, { signature: true }], proofWords: 'record, signature',
    why: 'one rag in the sump, one nut down a port',
  },
  {
    id: 'gate-ei-hv', gate: 'Engine in', tillOut: true, mustBe: 'High-voltage system isolated, waited at least 5 min or as the manual says, proven dead at two points, by an authorised person', harm: true, when: when('rec-hv-system = yes'),
    proof: [{ reading: [{ key: 'meter-before', label: 'Meter on a known source, before', bands: [{ unit: 'V', min: 5, max: 1500 }] }, { key: 'point-1', label: 'First point the manual names', bands: [{ unit: 'V', min: -60, max: 60 }] }, { key: 'point-2', label: 'Second point the manual names', bands: [{ unit: 'V', min: -60, max: 60 }] }, { key: 'meter-after', label: 'Meter on the known source, after', bands: [{ unit: 'V', min: 5, max: 1500 }] }] }, { signature: true, people: 2 }], proofWords: 'reading 0 V with meter proven before and after, signatures (local law, the manual first)', why: 'death',
  },
  {
    id: 'gate-ei-lift', gate: 'Engine in', tillOut: true, mustBe: 'Sling, leveller, hoist rated at the boom place in use for the computed mass with 25 % over; legs at 45 deg or more from level; nobody under the load', harm: true,
    when: when('always'), proof: [{ record: true }, { photo: true }], proofWords: 'record of what is lifted and its mass, photo of rigging', why: 'the largest printed rating is not the one in use',
  },
  { id: 'gate-ei-roles', gate: 'Engine in', tillOut: true, mustBe: 'Caller, hoist, two spotters named; car chocked, supported', when: when('always'), proof: [{ signature: true }], proofWords: 'signature', why: 'shouted guesses' },
  { id: 'gate-ei-verdicts', gate: 'Engine in', mustBe: 'No Clash open, every Adapt has a chosen resolution, trial gaps written', when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'in and out three times' },
  { id: 'gate-ei-mount-side', gate: 'Engine in', tillOut: true, mustBe: 'Left and right mounts marked, right way round', when: when('always'), proof: [{ photo: true }], proofWords: 'photo', why: 'turned in the air' },
  { id: 'gate-ei-brake-lines', gate: 'Engine in', mustBe: 'Lines that cross the engine zone re-routed, clipped, shielded', when: when('rec-brake-line-path != clear'), proof: [{ photo: true }], proofWords: 'photo', why: 'reach is lost' },
  { id: 'gate-ei-hidden', gate: 'Engine in', mustBe: 'Plugs, senders, bleed lines, hoses that will be out of reach are fitted; each photographed', when: when('always'), proof: [{ photo: true }], proofWords: 'photo list', why: 'later means engine out' },
  {
    id: 'gate-ei-clutch', gate: 'Engine in', tillOut: true, mustBe: 'Alignment proven, release height sheet filled, remote bleed on, bolts marked', when: when('gbx-kind in {manual, transaxle-manual}'), proof: [{ reading: [{ key: 'height', label: 'Release height', bands: [{ unit: 'mm', min: 0, max: 150 }] }] }, { photo: true }], proofWords: 'reading, photo',
    why: 'nothing is seen afterwards',
  },
  {
    id: 'gate-ei-converter', gate: 'Engine in', tillOut: true, mustBe: 'Converter home, depth written, gap to flexplate read, bolts counted', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, transaxle-automatic}'),
    proof: [{ reading: [{ key: 'gap', label: 'Gap from converter to flexplate', bands: [{ unit: 'mm', min: 3, max: 5 }] }] }], proofWords: 'reading 3 to 5 mm (common practice; the manual first)', why: 'pump broken at the bell bolts',
  },
  { id: 'gate-ei-fragile', gate: 'Engine in', tillOut: true, mustBe: 'Protruding and rear fittings off or guarded', when: when('always'), proof: [{ photo: true }], proofWords: 'photo', why: 'crushed on the firewall' },
  { id: 'gate-ei-loom', gate: 'Engine in', mustBe: 'Whole loom plugged on the engine outside the car, every plug mated and counted', when: when('cho-control != mechanical-diesel'), proof: [{ record: true }], proofWords: 'the dry run among the tests of the bench', why: 'a branch too short is found hanging' },
  { id: 'gate-ei-final-units', gate: 'Engine in', mustBe: 'Changes made on mock-up units copied to the real ones; provisional parts listed', when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'drilled after paint' },
  { id: 'gate-ei-bare', gate: 'Engine in', mustBe: 'Paint off earth points, flywheel, bell and sensor faces', when: when('kit-clean-paint fitted'), proof: [{ photo: true }], proofWords: 'photo', why: 'no earth, no true running' },
  { id: 'gate-ei-last-chance', gate: 'Engine in', tillOut: true, mustBe: 'Last-chance sheet read: what is cheap now with hours it costs later', when: when('always'), proof: [{ signature: true }], proofWords: 'signature', why: 'seal, sensor, hose behind the engine' },
  {
    id: 'gate-fc-oil-level', gate: 'First crank', mustBe: 'Oil of the right grade, level read, remote circuit counted in', when: when('always'), proof: [{ reading: [{ key: 'oil', label: 'Oil put in', bands: [{ unit: 'L', min: 2, max: 20, from: { fact: 'eng-oil-spec', part: 'capacity-with-filter', least: 0.9, most: 1.6 } }] }] }], proofWords: 'reading, litres, oil grade and amount',
    why: 'a pump that sucks air primes nothing',
  },
  {
    id: 'gate-fc-fluids', gate: 'First crank', mustBe: 'Gearbox, axle, transfer, steering, clutch and coolant filled or signed as not needed', when: when('always'), proof: [{ record: true }], proofWords: 'litres each, grade by the gearbox',
    why: 'gearbox filled after the start has a dry shaft',
  },
  {
    id: 'gate-fc-priming', gate: 'First crank', mustBe: 'Way of priming chosen by the condition of the engine and how long it stood, its preparation done', when: when('always'), proof: [{ record: true }], proofWords: 'record of the way of priming',
    why: 'bearings dry',
  },
  { id: 'gate-fc-gauge', gate: 'First crank', mustBe: 'Independent oil gauge on, range right, seen from the start place', when: when('always'), proof: [{ photo: true }], proofWords: 'photo', why: 'a lamp is not a pressure' },
  {
    id: 'gate-fc-hand-turn', gate: 'First crank', tillOut: true, mustBe: 'Two turns by hand with gearbox on, plugs out where fluid may stand in a cylinder', harm: true, when: when('always'), proof: [{ record: true }], proofWords: 'record',
    why: 'hydraulic lock, converter bound',
  },
  { id: 'gate-fc-rear-look', gate: 'First crank', tillOut: true, mustBe: 'Rear fittings and looms looked at since the last lowering', when: when('always'), proof: [{ photo: true }], proofWords: 'photo', why: 'crushed fittings leak later' },
  {
    id: 'gate-fc-loose', gate: 'First crank', mustBe: '"Loose for alignment" and tack-welded lists empty; mount, bell, flexplate, shaft bolts torqued', when: when('always'), proof: [{ record: true }], proofWords: 'record',
    why: 'left loose on purpose, then forgotten',
  },
  {
    id: 'gate-fc-rollcall', gate: 'First crank', mustBe: 'Plugs mated = plugs in the table; left-off list explained', when: when('cho-control != mechanical-diesel'), proof: [{ record: true }], proofWords: 'record',
    why: 'by-wire throttle is the one forgotten',
  },
  {
    id: 'gate-fc-output-test', gate: 'First crank', mustBe: 'Each injector and coil proven by cylinder', when: when('cho-loom = lengthened or cho-control = standalone'), proof: [{ record: true }], proofWords: 'record',
    why: 'banks swapped: bangs and flames',
  },
  { id: 'gate-fc-earths', gate: 'First crank', mustBe: 'Earth register proven', when: when('always'), proof: [{ reading: [{ key: 'engine', label: 'Battery to engine block', bands: [{ unit: 'V', min: -0.2, max: 0.2 }, { unit: 'ohm', min: 0, max: 0.01 }] }, { key: 'body', label: 'Battery to body', bands: [{ unit: 'V', min: -0.2, max: 0.2 }, { unit: 'ohm', min: 0, max: 0.01 }] }, { key: 'unit', label: 'Battery to the earth of the engine unit', bands: [{ unit: 'V', min: -0.2, max: 0.2 }, { unit: 'ohm', min: 0, max: 0.01 }] }] }], proofWords: 'reading under 0.2 V or under 0.01 ohm', why: 'current goes home through cables and bearings' },
  {
    id: 'gate-fc-battery', gate: 'First crank', mustBe: 'Battery charged, load-tested', when: when('always'), proof: [{ reading: [{ key: 'rest', label: 'At rest', bands: [{ unit: 'V', min: 12.5, max: 13.5 }] }, { key: 'load', label: 'Under load, after 15 s', bands: [{ unit: 'V', min: 9.6, max: 13 }] }] }], proofWords: 'reading 12.5 V rest, over 9.6 V at half cold-crank A for 15 s',
    why: 'slow crank floods',
  },
  {
    id: 'gate-fc-filter', gate: 'First crank', mustBe: 'Oil filter arrows and remote in and out photographed, accumulator valve state written', when: when('cho-oil-filter = remote or kit-sump fitted'),
    proof: [{ photo: true }], proofWords: 'photo', why: 'crossed lines give no oil',
  },
  {
    id: 'gate-fc-inhibit', gate: 'First crank', mustBe: 'Fuel and spark off proven; starts only in park, neutral or clutch down', harm: true, when: when('always'), proof: [{ record: true }], proofWords: 'record',
    why: 'moves off, fires early',
  },
  { id: 'gate-fc-clear', gate: 'First crank', mustBe: 'Belts, fan, tools, sleeves, people clear; chocks; brake', harm: true, when: when('always'), proof: [{ signature: true }], proofWords: 'signature', why: 'hands' },
  { id: 'gate-fs-oil-pressure', gate: 'First start', mustBe: 'Pressure shown without fuel or spark', when: when('always'), proof: [{ reading: [{ key: 'pressure', label: 'Pressure shown', bands: [{ unit: 'bar', min: 0.3, max: 12 }] }, { key: 'rise', label: 'Time to rise', bands: [{ unit: 's', min: 0, max: 60 }] }] }], proofWords: 'reading bar and seconds to rise', why: 'oil before spark' },
  {
    id: 'gate-fs-leak', gate: 'First start', mustBe: 'Fuel primed by the pump alone, pressure in band, held 2 min, every joint looked at with a lamp and dry paper', harm: true,
    when: when('cho-pump-place in {in-tank, inline, surge-pot}'), proof: [{ reading: [{ key: 'rail', label: 'Rail pressure, pump alone', bands: [{ unit: 'bar', min: 0.1, max: 10, from: { fact: 'eng-rail-pressure', part: 'low-side', least: 0.85, most: 1.15 } }], belowZero: 'f-pump-reversed' }, { key: 'held', label: 'After 2 min', bands: [{ unit: 'bar', min: 0.05, max: 10, from: { fact: 'eng-rail-pressure', part: 'low-side', least: 0.7, most: 1.15 } }], belowZero: 'f-pump-reversed' }] }, { signature: true }], proofWords: 'reading with the band of the rail pressure, names', why: 'fire',
  },
  { id: 'gate-fs-filler', gate: 'First start', mustBe: 'Filler, vents and cap complete, no open tank port', harm: true, when: when('always'), proof: [{ photo: true }], proofWords: 'photo', why: 'fuel spurts back' },
  {
    id: 'gate-fs-extinguisher', gate: 'First start', mustBe: 'Extinguisher in hand\'s reach, second person holds the stop word', harm: true, when: when('always'), proof: [{ record: true }], proofWords: 'place, names',
    why: 'the first seconds of a fire decide',
  },
  { id: 'gate-fs-gas', gate: 'First start', mustBe: 'Gas led outside or doors open with fan; hearing protection if open', harm: true, when: when('always'), proof: [{ signature: true }], proofWords: 'signature', why: 'carbon monoxide' },
  {
    id: 'gate-fs-stop-means', gate: 'First start', mustBe: 'Way to stop it tried: key, and a second way (fuel pump switch, stop lever, air shut)', harm: true, when: when('always'),
    proof: [{ record: true }], proofWords: 'record; for a diesel the bench test of its stop', why: 'runs away or runs on',
  },
  {
    id: 'gate-fs-throttle', gate: 'First start', mustBe: 'Throttle opens fully, closes by itself, plate straight', harm: true, when: when('eng-throttle-kind != none'), proof: [{ record: true }], proofWords: 'record',
    why: 'a stuck plate overspeeds a fresh engine',
  },
  { id: 'gate-fs-ports', gate: 'First start', mustBe: 'Every vacuum port has consumer or cap; intake and exhaust free of rags and caps', when: when('always'), proof: [{ record: true }], proofWords: 'record: caps out = caps in', why: 'unmetered air' },
  {
    id: 'gate-fs-program', gate: 'First start', mustBe: 'Program, base setup sheet and key match stated by number', when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'), proof: [{ record: true }], proofWords: 'record',
    why: 'another engine\'s fuel and spark',
  },
  { id: 'gate-fs-timing', gate: 'First start', mustBe: 'Base timing checked by light while cranking', when: when('cho-control in {standalone, carburettor-distributor}'), proof: [{ reading: [{ key: 'base', label: 'Base timing', bands: [{ unit: 'deg', min: -10, max: 40 }] }] }], proofWords: 'reading in degrees, by the manual', why: 'kicks and bangs' },
  { id: 'gate-fs-coolant', gate: 'First start', mustBe: 'Filled, first bleed done, plugs counted', when: when('always'), proof: [{ record: true }], proofWords: 'litres against capacity', why: 'rear cylinders boil before the gauge moves' },
  { id: 'gate-fs-fan', gate: 'First start', mustBe: 'Fan blows the right way, override works', when: when('cho-fan in {electric-puller, electric-pusher}'), proof: [{ record: true }], proofWords: 'bt-fan', why: 'nobody wants to find out at 110 °C' },
  { id: 'gate-fs-fuel', gate: 'First start', mustBe: 'Fresh fuel of the grade, litres known', when: when('always'), proof: [{ record: true }], proofWords: 'litres, date', why: 'stale fuel looks like ten other faults' },
  {
    id: 'gate-fs-exhaust', gate: 'First start', mustBe: 'Complete, or limited state: short run, no tuning by sensor, who allowed it', when: when('cho-start-exhaust known'), proof: [{ signature: true }], proofWords: 'signature',
    why: 'noise, heat, blind sensors',
  },
  { id: 'gate-fs-watch', gate: 'First start', mustBe: 'Oil gauge, temperature, leaks, charge: one person each or one screen', when: when('always'), proof: [{ record: true }], proofWords: 'names', why: 'one pair of eyes misses three gauges' },
  {
    id: 'gate-fd-brakes', gate: 'First drive', mustBe: 'Opened circuits bled, held 1 min at full pedal, second person\'s pedal, assist after stop', harm: true, when: when('always'), proof: [{ record: true }, { signature: true, people: 2 }], proofWords: 'record, signatures; the manual, local law first',
    why: 'first brake must not be the test',
  },
  { id: 'gate-fd-steering', gate: 'First drive', mustBe: 'Lock to lock free with weight on wheels, bolts torqued, fluid', harm: true, when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'contact or loose joint' },
  { id: 'gate-fd-throttle', gate: 'First drive', mustBe: 'Closes hot as well as cold', harm: true, when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'cables and plates grow' },
  { id: 'gate-fd-heat', gate: 'First drive', mustBe: 'Two fan cycles, temperature steady, level after cooling', when: when('always'), proof: [{ reading: [{ key: 'first', label: 'Coolant as the fan came on, first time', bands: [{ unit: '°C', min: 75, max: 115 }] }, { key: 'second', label: 'Coolant as the fan came on, second time', bands: [{ unit: '°C', min: 75, max: 115 }] }] }], proofWords: 'reading', why: 'air still in the system shows here' },
  {
    id: 'gate-fd-leaks', gate: 'First drive', mustBe: 'Dry after the first heat: fuel, oil, coolant, gearbox, steering, brake', when: when('always'), proof: [{ photo: true }], proofWords: 'photo of paper under the car',
    why: 'clamps and gaskets set with heat',
  },
  { id: 'gate-fd-oil', gate: 'First drive', mustBe: 'Hot idle pressure', when: when('always'), proof: [{ reading: [{ key: 'idle', label: 'Hot idle', bands: [{ unit: 'bar', min: 0.5, max: 8, from: { fact: 'eng-oil-spec', part: 'idle-pressure-least', least: 1 } }] }] }], proofWords: 'reading; about 0.7 bar for each 1000 rpm (common practice; the manual first)', why: 'hot idle is the hardest moment for oil' },
  { id: 'gate-fd-charge', gate: 'First drive', mustBe: 'Charging in band hot with loads', when: when('always'), proof: [{ reading: [{ key: 'loads', label: 'Hot, loads on', bands: [{ unit: 'V', min: 13.5, max: 14.8 }] }] }], proofWords: 'reading 13.5 to 14.8 V', why: 'battery carries the car until it does not' },
  {
    id: 'gate-fd-gearbox', gate: 'First drive', mustBe: 'Level hot, all ranges, park holds, throttle-valve cable proven, or shift unit without codes',
    when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, dual-clutch, transaxle-automatic}'), proof: [{ record: true }], proofWords: 'record', why: 'burnt in a mile',
  },
  { id: 'gate-fd-driveline', gate: 'First drive', tillOut: true, mustBe: 'Shaft, wheel, axle nuts torqued; slip and angles written', harm: true, when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'a shaft that comes out kills' },
  { id: 'gate-fd-gaps', gate: 'First drive', tillOut: true, mustBe: 'Hot gaps to lines, looms, steering read', when: when('always'), proof: [{ reading: [{ key: 'lines', label: 'Least gap to lines and hoses', bands: [{ unit: 'mm', min: 10, max: 500 }] }, { key: 'looms', label: 'Least gap to looms', bands: [{ unit: 'mm', min: 10, max: 500 }] }, { key: 'steering', label: 'Least gap to the steering', bands: [{ unit: 'mm', min: 10, max: 500 }] }] }], proofWords: 'readings against clearance rows', why: 'everything has grown' },
  { id: 'gate-fd-fumes', gate: 'First drive', mustBe: 'No exhaust leak into the cabin, openings register closed', harm: true, when: when('always'), proof: [{ reading: [{ key: 'cabin', label: 'Carbon monoxide in the cabin, engine idling', bands: [{ unit: 'ppm', min: 0, max: 9 }] }] }], proofWords: 'reading or smoke test', why: 'carbon monoxide' },
  {
    id: 'gate-fd-lamps', gate: 'First drive', mustBe: 'Every warning lamp explained; lights, horn, wipers as law asks; insured, plated, or closed ground', when: when('always'), proof: [{ record: true }], proofWords: 'record (local law)',
    why: 'an unexplained lamp hides the next one',
  },
  {
    id: 'gate-fd-approved', gate: 'First drive', mustBe: 'Structural, steering and brake changes inspected', harm: true, when: when('any approval open'), proof: [{ signature: true }], proofWords: 'signature of the qualified person (local law)',
    why: 'structure and steering carry people',
  },
  { id: 'gate-ho-zero', gate: 'Hand over', mustBe: 'Temporaries, loose, loan, unknown torque, unlabelled ends: all lists empty', when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'provisional is the most dangerous state' },
  { id: 'gate-ho-cycles', gate: 'Hand over', mustBe: 'Heat cycles, re-torque, early oil change done or dated', when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'things settle in the first hours' },
  {
    id: 'gate-ho-papers', gate: 'Hand over', mustBe: 'Inspection, approval, registration, emission parts list', when: when('cho-goal = road-going and rec-inspection-regime != none'), proof: [{ record: true }], proofWords: 'document (local law)',
    why: 'finished car, no road',
  },
  {
    id: 'gate-ho-disclosed', gate: 'Hand over', mustBe: 'Deleted or altered safety functions, accepted risks, deferred work told and signed', harm: true, when: when('always'), proof: [{ signature: true }], proofWords: 'customer\'s signature',
    why: 'the driver must know',
  },
  { id: 'gate-ho-weights', gate: 'Hand over', mustBe: 'Axle masses and ride height after', when: when('always'), proof: [{ reading: [{ key: 'front', label: 'Front axle', bands: [{ unit: 'kg', min: 150, max: 5000, from: { fact: 'rec-axle-limits', part: 'front', most: 1 } }] }, { key: 'rear', label: 'Rear axle', bands: [{ unit: 'kg', min: 100, max: 5000, from: { fact: 'rec-axle-limits', part: 'rear', most: 1 } }] }] }], proofWords: 'reading against the axle limits', why: 'limits are legal ones' },
  { id: 'gate-ho-run', gate: 'Hand over', mustBe: 'Before and after on the same basis, or said that there is none', when: when('cho-goal in {road-going, track}'), proof: [{ record: true }], proofWords: 'sheet', why: 'gain must be like with like' },
  {
    id: 'gate-ho-book', gate: 'Hand over',
    mustBe: 'Job book: part numbers of all parts not of the car, program numbers, bleed order, fluids, belt, filter, fuse list, how to stop it, spares to carry; stickers and key tag in the car', when: when('always'),
    proof: [{ record: true }, { photo: true }], proofWords: 'print, photo', why: 'the next shop starts from here',
  },
  { id: 'gate-ho-followups', gate: 'Hand over', mustBe: 'Follow-ups dated in the calendar', when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'forgotten otherwise' },
  { id: 'gate-ho-money', gate: 'Hand over', mustBe: 'Extra work approved, returns, donor account, hours closed', when: when('always'), proof: [{ record: true }], proofWords: 'record', why: 'hours and parts are known only now' },
];
