import { when } from '../../facts/index.ts';
import type { CircuitDef, EarthDef, LabelColumn } from '../types.ts';

/** The circuits a swap usually has, with usual current, fuse and size. */
export const usualCircuits: readonly CircuitDef[] = [
  { id: 'cir-starter-main', title: 'Battery to starter', from: 'Battery', to: 'starter', kind: 'power', load: 'starter feed', amps: { least: 150, most: 250, note: 'start 400-800' }, fuse: { words: 'none, or a link of 300 A and up' }, mm2: { least: 35, most: 70 }, when: when('always'), proof: 'drop under 0.5 V cranking' },
  { id: 'cir-main-feed', title: 'Battery to fuse box', from: 'Battery', to: 'fuse box', kind: 'power', load: 'engine unit', amps: { least: 40, most: 80 }, fuse: { least: 80, most: 125 }, mm2: { least: 16, most: 25 }, when: when('always'), proof: 'drop under 0.2 V' },
  { id: 'cir-alternator-main', title: 'Alternator to battery', from: 'Alternator', to: 'battery', kind: 'power', load: 'alternator to battery', amps: { words: 'its output' }, fuse: { words: '1.2 to 1.5 times the output' }, mm2: { least: 16, most: 35 }, when: when('always'), proof: 'drop under 0.3 V' },
  { id: 'cir-starter-signal', title: 'Start relay to solenoid', from: 'Start relay', to: 'solenoid', kind: 'power', load: 'starter feed', amps: { least: 8, most: 15, note: 'pull-in 30' }, fuse: { least: 30, most: 30 }, mm2: { least: 4, most: 4 }, when: when('always'), proof: 'volts while cranking' },
  { id: 'cir-start-enable', title: 'Key to start relay through inhibitor', from: 'Key', to: 'start relay through inhibitor', kind: 'control', load: 'engine unit', amps: { least: 0.2, most: 0.2 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.75, most: 0.75 }, when: when('gbx-switches known'), proof: 'start only in park, neutral or clutch down' },
  { id: 'cir-ecu-memory', title: 'Battery to engine unit', from: 'Battery', to: 'engine unit', kind: 'power', load: 'engine unit', amps: { least: 0.05, most: 1 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('cho-control != carburettor-distributor'), proof: '12 V key off' },
  { id: 'cir-ecu-ign', title: 'Key to engine unit', from: 'Key', to: 'engine unit', kind: 'control', load: 'engine unit', amps: { least: 0.5, most: 1 }, fuse: { least: 7.5, most: 7.5 }, mm2: { least: 0.75, most: 0.75 }, when: when('cho-control != carburettor-distributor'), proof: 'stays while cranking' },
  {
    id: 'cir-ecu-main', title: 'Main relay to engine unit', from: 'Main relay', to: 'engine unit', kind: 'power', load: 'engine unit', amps: { least: 3, most: 8 }, fuse: { least: 15, most: 15 }, mm2: { least: 1.5, most: 1.5 }, when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'),
    proof: 'unit answers',
  },
  { id: 'cir-injectors', title: 'Main relay to injectors', from: 'Main relay', to: 'injectors', kind: 'power E', load: 'engine unit', amps: { least: 4, most: 8 }, fuse: { least: 15, most: 15 }, mm2: { least: 1.5, most: 1.5 }, when: when('eng-fuelling in {port-injection, throttle-body-injection}'), proof: '12 V each plug' },
  {
    id: 'cir-injector-signal', title: 'Engine unit to each injector', from: 'Engine unit', to: 'each injector', kind: 'switched earth E', load: 'engine unit', amps: { least: 1, most: 1, note: 'each' }, fuse: { words: 'none' }, mm2: { least: 0.75, most: 0.75 }, when: when('eng-fuelling in {port-injection, throttle-body-injection}'),
    proof: 'each injector tested on the bench',
  },
  { id: 'cir-coils', title: 'Relay to coils, by bank', from: 'Relay', to: 'coils, by bank', kind: 'power E', load: 'engine unit', amps: { least: 6, most: 12, note: 'a bank' }, fuse: { least: 15, most: 20 }, mm2: { least: 1.5, most: 2.5 }, when: when('eng-ignition-kind in {wasted-spark, coil-on-plug}'), proof: '12 V under load' },
  { id: 'cir-coil-signal', title: 'Engine unit to each coil', from: 'Engine unit', to: 'each coil', kind: 'pulse E', load: 'engine unit', amps: { least: 0.02, most: 8 }, fuse: { words: 'none' }, mm2: { least: 0.75, most: 0.75 }, when: when('eng-ignition-kind in {wasted-spark, coil-on-plug}'), proof: 'each coil tested on the bench' },
  {
    id: 'cir-distributor', title: 'Key to coil, with run-up resistor where used', from: 'Key', to: 'coil, with run-up resistor where used', kind: 'power', load: 'engine unit', amps: { least: 3, most: 6 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.5, most: 1.5 }, when: when('cho-control = carburettor-distributor'),
    proof: '12 V start, lower in run',
  },
  { id: 'cir-o2-heat', title: 'Relay to oxygen sensor heaters', from: 'Relay', to: 'oxygen sensor heaters', kind: 'power E', load: 'engine unit', amps: { least: 1, most: 1.5, note: 'each' }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('eng-o2-sensors > 0 and cho-control not in {carburettor-distributor, mechanical-diesel}'), proof: 'warm in 1 min' },
  { id: 'cir-wideband', title: 'Relay to wide-band controller', from: 'Relay', to: 'wide-band controller', kind: 'power', load: 'engine unit', amps: { least: 2, most: 4 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.5, most: 1.5 }, when: when('cho-control = standalone'), proof: 'reads air' },
  { id: 'cir-throttle-motor', title: 'Engine unit to by-wire throttle', from: 'Engine unit', to: 'by-wire throttle', kind: 'pair E', load: 'engine unit', amps: { least: 2, most: 5 }, fuse: { words: 'in unit' }, mm2: { least: 1.0, most: 1.0 }, when: when('eng-throttle-kind = by-wire and cho-control not in {carburettor-distributor, mechanical-diesel}'), proof: 'throttle tested on the bench' },
  { id: 'cir-pedal', title: 'Pedal to engine unit, two tracks', from: 'Pedal', to: 'engine unit, two tracks', kind: '5 V', load: 'engine unit', amps: { least: 0.01, most: 0.01 }, fuse: { words: 'none' }, mm2: { least: 0.5, most: 0.5 }, when: when('eng-throttle-kind = by-wire and cho-control not in {carburettor-distributor, mechanical-diesel}'), proof: 'both tracks move' },
  { id: 'cir-idle-valve', title: 'Engine unit to idle valve', from: 'Engine unit', to: 'idle valve', kind: 'pulse E', load: 'engine unit', amps: { least: 1, most: 1 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('eng-throttle-kind = cable and eng-fuelling not in {carburettor, diesel-mechanical, diesel-common-rail}'), proof: 'clicks, steps' },
  { id: 'cir-maf', title: 'Relay to air-mass sensor', from: 'Relay', to: 'air-mass sensor', kind: 'power E', load: 'engine unit', amps: { least: 0.5, most: 0.5 }, fuse: { least: 7.5, most: 7.5 }, mm2: { least: 0.75, most: 0.75 }, when: when('eng-load-sensor in {air-mass, both} and cho-control not in {carburettor-distributor, mechanical-diesel}'), proof: 'reading at rest' },
  {
    id: 'cir-valves', title: 'Relay to cam, purge, boost, intake valves', from: 'Relay', to: 'cam, purge, boost, intake valves', kind: 'power E', load: 'engine unit', amps: { least: 0.5, most: 1, note: 'each' }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 },
    when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'), proof: 'click test',
  },
  { id: 'cir-pump', title: 'Relay to fuel pump', from: 'Relay', to: 'fuel pump', kind: 'power C', load: 'pump or fan', amps: { least: 6, most: 14 }, fuse: { least: 15, most: 20 }, mm2: { least: 2.5, most: 2.5 }, when: when('cho-pump-place in {in-tank, inline, surge-pot}'), proof: 'volts at pump over 12 running' },
  { id: 'cir-lift-pump', title: 'Relay to lift pump', from: 'Relay', to: 'lift pump', kind: 'power C', load: 'pump or fan', amps: { least: 3, most: 6 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.5, most: 1.5 }, when: when('cho-pump-place = surge-pot'), proof: 'pot full' },
  { id: 'cir-inertia', title: 'Roll-over or inertia switch in pump relay coil', from: 'Roll-over or inertia switch in pump relay coil', to: '', kind: 'control', load: 'engine unit', amps: { least: 0.2, most: 0.2 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.75, most: 0.75 }, when: when('cho-pump-place in {in-tank, inline, surge-pot}'), proof: 'knock test' },
  { id: 'cir-fan-1', title: 'Fan relay 1 to fan 1', from: 'Fan relay 1', to: 'fan 1', kind: 'power C', load: 'pump or fan', amps: { least: 12, most: 25, note: 'start 2-3 x' }, fuse: { least: 30, most: 40 }, mm2: { least: 4, most: 6 }, when: when('cho-fan in {electric-puller, electric-pusher}'), proof: 'fan tested on the bench' },
  { id: 'cir-fan-2', title: 'Fan relay 2 to fan 2', from: 'Fan relay 2', to: 'fan 2', kind: 'power C', load: 'pump or fan', amps: { least: 12, most: 25 }, fuse: { least: 30, most: 40 }, mm2: { least: 4, most: 6 }, when: when('cho-fan in {electric-puller, electric-pusher}'), proof: 'fan tested on the bench' },
  {
    id: 'cir-fan-trigger', title: 'Engine unit or switch to fan relays', from: 'Engine unit or switch', to: 'fan relays', kind: 'switched earth', load: 'engine unit', amps: { least: 0.2, most: 0.2 }, fuse: { words: 'none' }, mm2: { least: 0.5, most: 0.5 }, when: when('cho-fan in {electric-puller, electric-pusher}'),
    proof: 'commanded on and off',
  },
  {
    id: 'cir-fan-override', title: 'Dash switch, over-rules automatic while cranking', from: 'Dash switch, over-rules automatic while cranking', to: '', kind: 'control', load: 'engine unit', amps: { least: 0.2, most: 0.2 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.5, most: 0.5 }, when: when('cho-fan in {electric-puller, electric-pusher}'),
    proof: 'on and off',
  },
  { id: 'cir-water-pump', title: 'Relay to electric water pump', from: 'Relay', to: 'electric water pump', kind: 'power C', load: 'pump or fan', amps: { least: 5, most: 10 }, fuse: { least: 15, most: 20 }, mm2: { least: 2.5, most: 2.5 }, when: when('eng-fan-reach = electric'), proof: 'flow seen' },
  { id: 'cir-ac-clutch', title: 'Relay to compressor clutch', from: 'Relay', to: 'compressor clutch', kind: 'power', load: 'engine unit', amps: { least: 3, most: 4 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('cho-ac = kept'), proof: 'pulls in, idle-up' },
  { id: 'cir-ac-request', title: 'Dash to engine unit through pressure switch', from: 'Dash', to: 'engine unit through pressure switch', kind: 'control', load: 'engine unit', amps: { least: 0.1, most: 0.1 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.5, most: 0.5 }, when: when('cho-ac = kept'), proof: 'seen in live data' },
  { id: 'cir-charge-lamp', title: 'Key through lamp or resistor to exciter', from: 'Key through lamp or resistor', to: 'exciter', kind: 'control', load: 'lamps', amps: { least: 0.15, most: 0.3 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.75, most: 0.75 }, when: when('eng-alternator known'), proof: 'lamp on at key, off running' },
  { id: 'cir-gearbox-unit', title: 'Relay to gearbox unit and solenoids', from: 'Relay', to: 'gearbox unit and solenoids', kind: 'power', load: 'engine unit', amps: { least: 4, most: 8 }, fuse: { least: 10, most: 15 }, mm2: { least: 1.5, most: 1.5 }, when: when('gbx-kind = automatic-electronic'), proof: 'unit answers' },
  { id: 'cir-gearbox-signals', title: 'Throttle, speeds, brake, range to gearbox unit', from: 'Throttle, speeds, brake, range', to: 'gearbox unit', kind: 'signals', load: 'engine unit', amps: { least: 0.01, most: 0.01 }, fuse: { words: 'none' }, mm2: { least: 0.5, most: 0.5 }, when: when('gbx-kind = automatic-electronic'), proof: 'live data' },
  { id: 'cir-speed-sensor', title: 'Output sensor to unit and dash', from: 'Output sensor', to: 'unit and dash', kind: 'pulse', load: 'engine unit', amps: { least: 0.02, most: 0.02 }, fuse: { words: 'none' }, mm2: { least: 0.5, most: 0.5, note: 'screened' }, when: when('gbx-speed-signal != none'), proof: 'pulses when turned' },
  { id: 'cir-reverse-lamp', title: 'Switch to lamps', from: 'Switch', to: 'lamps', kind: 'power', load: 'lamps', amps: { least: 3.5, most: 3.5 }, fuse: { least: 7.5, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('always'), proof: 'lamp in reverse' },
  { id: 'cir-brake-lamp', title: 'Switch to lamps, to engine and gearbox unit', from: 'Switch', to: 'lamps, to engine and gearbox unit', kind: 'power and signal', load: 'lamps', amps: { least: 4, most: 5 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('always'), proof: 'lamp and live data' },
  { id: 'cir-oil-sender', title: 'Oil sender or switch to dash', from: 'Oil sender or switch', to: 'dash', kind: 'signal', load: 'engine unit', amps: { least: 0.05, most: 0.05 }, fuse: { words: 'none' }, mm2: { least: 0.75, most: 0.75 }, when: when('always'), proof: 'earth test moves lamp' },
  { id: 'cir-temp-sender', title: 'Temperature sender to dash', from: 'Temperature sender', to: 'dash', kind: 'signal', load: 'engine unit', amps: { least: 0.05, most: 0.05 }, fuse: { words: 'none' }, mm2: { least: 0.75, most: 0.75 }, when: when('always'), proof: 'resistor test moves needle' },
  { id: 'cir-fuel-sender', title: 'Tank sender to dash', from: 'Tank sender', to: 'dash', kind: 'signal', load: 'engine unit', amps: { least: 0.1, most: 0.1 }, fuse: { words: 'none' }, mm2: { least: 0.75, most: 0.75 }, when: when('always'), proof: 'full and empty ohms' },
  { id: 'cir-tach', title: 'Engine unit or coil to tachometer', from: 'Engine unit or coil', to: 'tachometer', kind: 'pulse', load: 'engine unit', amps: { least: 0.01, most: 0.01 }, fuse: { words: 'none' }, mm2: { least: 0.5, most: 0.5 }, when: when('rec-tach-input != none'), proof: 'agrees within 5 %' },
  { id: 'cir-dash-feed', title: 'Key to dash', from: 'Key', to: 'dash', kind: 'power', load: 'engine unit', amps: { least: 1, most: 3 }, fuse: { least: 5, most: 7.5 }, mm2: { least: 1.0, most: 1.0 }, when: when('always'), proof: 'lamps test' },
  {
    id: 'cir-diag', title: 'Socket feed, earth, bus', from: 'Socket feed, earth, bus', to: '', kind: 'power and bus', load: 'engine unit', amps: { least: 0.5, most: 0.5 }, fuse: { least: 10, most: 10 }, mm2: { least: 1.0, most: 1.0 }, when: when('cho-control in {recipient-unit-kept, donor-unit-trimmed-loom, donor-unit-new-loom}'),
    proof: 'tool talks',
  },
  {
    id: 'cir-check-lamp', title: 'Engine unit to warning lamp', from: 'Engine unit', to: 'warning lamp', kind: 'switched earth', load: 'lamps', amps: { least: 0.1, most: 0.1 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.5, most: 0.5 },
    when: when('cho-control in {recipient-unit-kept, donor-unit-trimmed-loom, donor-unit-new-loom}'), proof: 'on at key, off running',
  },
  { id: 'cir-immobiliser', title: 'Reader and unit feed, data line', from: 'Reader and unit feed, data line', to: '', kind: 'power and data', load: 'engine unit', amps: { least: 0.2, most: 0.2 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.5, most: 0.5 }, when: when('eng-immobiliser-kind != none and cho-control not in {recipient-unit-kept, standalone, carburettor-distributor, mechanical-diesel} or rec-immobiliser-kind != none and cho-control = recipient-unit-kept'), proof: 'lamp behaviour' },
  { id: 'cir-glow', title: 'Battery through relay to glow strip', from: 'Battery through relay', to: 'glow strip', kind: 'power', load: 'engine unit', amps: { least: 40, most: 60, note: 'start 90' }, fuse: { least: 60, most: 80, note: 'strip' }, mm2: { least: 10, most: 16 }, when: when('eng-fuel = diesel'), proof: 'ampere a plug' },
  { id: 'cir-diesel-stop', title: 'Key to stop solenoid or valve', from: 'Key', to: 'stop solenoid or valve', kind: 'control', load: 'engine unit', amps: { least: 1, most: 2 }, fuse: { least: 7.5, most: 7.5 }, mm2: { least: 1.0, most: 1.0 }, when: when('eng-diesel-stop in {electric-solenoid, vacuum-shutoff}'), proof: 'click, stops' },
  { id: 'cir-steer-pump', title: 'Battery to electric steering pump', from: 'Battery', to: 'electric steering pump', kind: 'power', load: 'pump or fan', amps: { least: 60, most: 90 }, fuse: { least: 80, most: 125, note: 'by the maker\'s manual' }, mm2: { least: 16, most: 25 }, when: when('cho-ps = electric'), proof: 'drop, idle volts' },
  { id: 'cir-vacuum-pump', title: 'Relay to vacuum pump', from: 'Relay', to: 'vacuum pump', kind: 'power', load: 'pump or fan', amps: { least: 6, most: 12 }, fuse: { least: 20, most: 20 }, mm2: { least: 2.5, most: 2.5 }, when: when('fit-booster-vacuum says Clash'), proof: 'cut-in and cut-out' },
  { id: 'cir-power-key', title: 'Power module, keys, master power', from: 'Power module, keys, master power', to: '', kind: 'control', load: 'engine unit', amps: { least: 1, most: 1 }, fuse: { least: 5, most: 5 }, mm2: { least: 0.75, most: 0.75 }, when: when('cho-power-distribution = programmable-module'), proof: 'module tested on the bench' },
  { id: 'cir-body-b', title: 'Lamps, indicators, horn, wiper, blower, each its own', from: 'Lamps, indicators, horn, wiper, blower, each its own', to: '', kind: 'power B', load: 'lamps', amps: { least: 2, most: 20 }, fuse: { least: 7.5, most: 30 }, mm2: { least: 1.0, most: 4 }, when: when('rec-loom-state = absent'), proof: 'function list' },
];

/** Earths that every swap has. */
export const earths: readonly EarthDef[] = [
  { id: 'gnd-battery-engine', earth: 'Battery to block near starter', size: 'as starter feed', place: 'bare, bolted, not through paint', proof: 'under 0.2 V cranking' },
  { id: 'gnd-battery-body', earth: 'Battery to body', size: '10-16 mm²', place: 'bare, sealed after', proof: 'under 0.1 V, loads on' },
  { id: 'gnd-engine-body', earth: 'Engine to body strap, second side', size: '16 mm² braid', place: 'across the rubber mounts', proof: 'under 0.05 V' },
  { id: 'gnd-unit-power', earth: 'Engine-unit power earths', size: '2.5 mm² each', place: 'head or block, one bolt, as the maker\'s pin list says', proof: 'under 0.05 V' },
  { id: 'gnd-unit-sensor', earth: 'Sensor earth', size: 'pin of the unit only', place: 'never to body', proof: '0.02 V' },
  { id: 'gnd-coils', earth: 'Coil earths', size: '2.5 mm²', place: 'head they sit on', proof: 'under 0.1 V' },
  { id: 'gnd-pump', earth: 'Pump to body or back to front', size: 'as feed', place: 'bare spot near the tank', proof: 'under 0.2 V running' },
  { id: 'gnd-fans', earth: 'Fans to body or battery', size: 'as feed', place: 'own point, not with sensors', proof: 'under 0.2 V' },
  { id: 'gnd-dash', earth: 'Dash and senders', size: '1.5 mm²', place: 'one point', proof: 'needle steady with lamps on' },
  { id: 'gnd-gearbox', earth: 'Gearbox unit and case', size: '1.5 mm²', place: 'case strap if on rubber', proof: 'under 0.05 V' },
  { id: 'gnd-tank', earth: 'Filler neck to body', size: '1.0 mm²', place: 'across hose', proof: 'under 10 ohm' },
  { id: 'gnd-register', earth: 'Every point numbered, what hangs on it, photo bare and sealed, paint-off list after spraying', size: '-', place: '-', proof: 'list complete' },
];

/** What a label and a row of the circuit table must say. */
export const labelColumns: readonly LabelColumn[] = [
  { id: 'con-lab-id', rule: 'circuit id', content: 'stable, printed on every label, with end A or B' },
  { id: 'con-lab-from', rule: 'from', content: 'unit, plug, pin' },
  { id: 'con-lab-to', rule: 'to', content: 'part, plug, pin, cylinder number where there is one' },
  { id: 'con-lab-signal', rule: 'signal', content: 'power, earth, switched earth, 5 V, pulse, bus; direction; which unit reads it' },
  { id: 'con-lab-size', rule: 'size and fuse', content: 'mm², fuse id and A, computed drop' },
  { id: 'con-lab-colour', rule: 'colour', content: 'as found, as made; ISO letter codes' },
  { id: 'con-lab-length', rule: 'length', content: 'as measured along the route; fixed length yes or no; slack left' },
  { id: 'con-lab-fate', rule: 'fate', content: 'keep, remove, reroute, lengthen, spare (pin, end place)' },
  { id: 'con-lab-tested', rule: 'tested', content: 'continuity, no short, volts under load, function; who, when' },
  { id: 'con-lab-splice', rule: 'splice rule', content: 'cut one wire at a time; label both sides before the cut; print again after the splice; a loom end without label cannot be closed' },
  { id: 'con-lab-bank', rule: 'bank rule', content: 'injector and coil branches carry cylinder number and bank; proven one by one on the bench before the first crank' },
  { id: 'con-lab-off', rule: 'left off on purpose', content: 'plug, effect, who; so that the next one does not hunt it as a fault' },
];
