import { when } from '../../facts/index.ts';
import type { BenchTest } from '../types.ts';

/** Tests on the bench, and again in the car. */
export const benchTests: readonly BenchTest[] = [
  { id: 'bt-continuity', test: 'Each circuit end to end, and against every neighbour', expect: 'under 0.5 ohm; over 1 Mohm', when: when('cho-loom known'), finds: 'broken, crossed, shorted' },
  { id: 'bt-dry-run', test: 'Whole loom on the engine outside the car, every plug mated and counted', expect: 'plugs = table', when: when('cho-control != mechanical-diesel'), finds: 'missing sensor, short branch, wrong style' },
  { id: 'bt-powerup', test: 'Unit on fused supply', expect: 'tool talks, 5 V present, lamp on', when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'), finds: 'dead unit, earth' },
  { id: 'bt-module', test: 'Each input makes its output; list of outputs with no input; file saved', expect: 'table complete', when: when('cho-power-distribution = programmable-module'), finds: 'unassigned key' },
  {
    id: 'bt-base-setup', test: 'Engine kind, firing order, trigger, injector data, sensors compared with the engine card by a second person', expect: 'sheet signed', when: when('cho-control = standalone'),
    finds: 'wrong base map',
  },
  {
    id: 'bt-fan', test: 'Fan request simulated, then override on and off; strip of paper shows direction; current read', expect: 'toward the engine; A in table', when: when('cho-fan in {electric-puller, electric-pusher}'),
    finds: 'reversed, wrong relay',
  },
  {
    id: 'bt-pump', test: 'Arrow looked at; in the car with tank and return closed up, outdoors, extinguisher: prime 2 to 3 s, then off by itself; a dry blink only where the maker allows it',
    expect: 'pressure rises, stops', when: when('cho-pump-place in {in-tank, inline, surge-pot}'), finds: 'reversed, no cut-off',
  },
  {
    id: 'bt-injector', test: 'Each injector output by cylinder, lamp or listening rod, rail dry', expect: 'cylinder = label', when: when('eng-fuelling in {port-injection, throttle-body-injection}'),
    finds: 'banks crossed, plug dead',
  },
  { id: 'bt-coil', test: 'Each coil by cylinder onto a tester, no fuel in the room', expect: 'cylinder = label', when: when('eng-ignition-kind in {wasted-spark, coil-on-plug}'), finds: 'order, feed' },
  { id: 'bt-throttle', test: 'By-wire: 0 to 100 % follows pedal, both tracks, closes at key-off; fingers away', expect: 'smooth', when: when('eng-throttle-kind = by-wire'), finds: 'plug, set mismatch' },
  { id: 'bt-starter', test: 'Clamped, short spin with heavy leads', expect: 'throws and spins; hold it down, it kicks', when: when('always'), finds: 'dead starter' },
  { id: 'bt-oil-switch', test: 'Hand pump and ohmmeter on each switch', expect: 'changes at its stamp', when: when('rec-oil-warning-logic != none'), finds: 'wrong kind' },
  { id: 'bt-senders', test: 'Resistor or heat at the dash wire', expect: 'needle at marks', when: when('cho-instruments != plug-in-display'), finds: 'curve' },
  { id: 'bt-tach-speedo', test: 'Signal generator or drill', expect: 'marks within 5 %', when: when('rec-tach-input != none'), finds: 'scaling' },
  { id: 'bt-brake-lamp', test: 'Pedal: lamp, engine unit and gearbox unit all see it', expect: 'three yes', when: when('always'), finds: 'lock-up and cruise stay on' },
  { id: 'bt-inhibitor', test: 'Start in every gear', expect: 'only park, neutral or clutch down', when: when('always'), finds: 'starts in gear' },
  { id: 'bt-immobiliser', test: 'Key recognised on the bench or by the visitor with the tool', expect: 'unlocked state read', when: when('eng-immobiliser-kind != none and cho-control not in {recipient-unit-kept, standalone, carburettor-distributor, mechanical-diesel} or rec-immobiliser-kind != none and cho-control = recipient-unit-kept'), finds: 'days lost' },
  { id: 'bt-radiator', test: 'Core, header tank, welded joints at cap pressure plus 0.2 bar, water, 10 min; stand aside', expect: 'holds', when: when('always'), finds: 'pin holes' },
  { id: 'bt-glow', test: 'Each plug by ampere, controller time', expect: 'all alike', when: when('eng-fuel = diesel'), finds: 'dead plug' },
  { id: 'bt-stop', test: 'Stop valve by hand vacuum or supply', expect: 'holds 1 min; clicks', when: when('eng-diesel-stop != not-diesel'), finds: 'runs on' },
];
