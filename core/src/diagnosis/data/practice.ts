import type { EngineState } from '../types.ts';

/** What the engine must do for a test to be made; what is not listed can be made with the engine still. Common practice, no source. */
export const testWants: Readonly<Record<string, Exclude<EngineState, 'still'>>> = {
  'o-fires': 'turns', 'o-bang': 'turns', 'o-oil-lamp': 'turns', 'o-oil-gauge': 'turns', 'o-battery-crank': 'turns', 'o-earth-drop': 'turns', 'o-crank-rpm': 'turns', 'o-sync': 'turns',
  'o-spark': 'turns', 'o-injector-lamp': 'turns', 'o-clear-flood': 'turns', 'o-compression': 'turns', 'o-oil-flow': 'turns', 'o-timing-light': 'turns',
  'o-idle': 'runs', 'o-misfire': 'runs', 'o-smoke': 'runs', 'o-temp': 'runs', 'o-moving': 'runs', 'o-heater': 'runs', 'o-noise': 'runs', 'o-gear-noise': 'runs', 'o-stops': 'runs', 'o-drive': 'runs',
  'o-hose-temps': 'runs', 'o-bubbles': 'runs', 'o-trim': 'runs', 'o-lambda': 'runs', 'o-charge-volts': 'runs', 'o-idle-valve-test': 'runs',
};

/** Questions about the starter and about getting it to fire: an engine that runs has answered them. */
export const starterTests: ReadonlySet<string> = new Set(['o-crank', 'o-fires', 'o-start-signal', 'o-battery-crank', 'o-crank-rpm', 'o-clear-flood', 'o-hand-turn', 'o-injector-lamp', 'o-unit-feed', 'o-prime-sound']);

/** What a proved line of a gate speaks against: the fault was looked at and was not there, as far as that look went. Common practice, no source. */
export const provedAgainst: Readonly<Record<string, readonly string[]>> = {
  'gate-cu-timing': ['f-cam-timing'],
  'gate-cu-lash': ['f-valves-tight'],
  'gate-cu-pickup': ['f-oil-pickup-leak'],
  'gate-cu-plugs': ['f-gallery-plug'],
  'gate-ei-converter': ['f-converter-bolts', 'f-engine-bound'],
  'gate-fc-battery': ['f-battery-weak'],
  'gate-fc-earths': ['f-earth-missing'],
  'gate-fc-hand-turn': ['f-engine-bound'],
  'gate-fc-rollcall': ['f-throttle-unplugged', 'f-ecu-unpowered'],
  'gate-fc-output-test': ['f-banks-swapped', 'f-no-spark', 'f-no-injector-pulse', 'f-firing-order'],
  'gate-fc-filter': ['f-oil-filter-circuit'],
  'gate-fc-oil-level': ['f-oil-level-low'],
  'gate-fs-oil-pressure': ['f-oil-unprimed', 'f-oil-pickup-leak', 'f-gallery-plug'],
  'gate-fs-leak': ['f-pump-reversed', 'f-pump-relay', 'f-fuel-pressure-low'],
  'gate-fs-throttle': ['f-throttle-plate'],
  'gate-fs-ports': ['f-vacuum-leak'],
  'gate-fs-program': ['f-wrong-tune', 'f-immobiliser'],
  'gate-fs-timing': ['f-base-timing'],
  'gate-fs-coolant': ['f-air-lock'],
  'gate-fs-fan': ['f-fan-reversed', 'f-fan-not-running'],
  'gate-fs-fuel': ['f-tank-empty'],
  'gate-fs-exhaust': ['f-exhaust-leak'],
  'gate-fd-charge': ['f-alternator-exciter', 'f-alternator-regulator'],
};

/** A known-good part put in its place: what it tells of, and how long it takes. Common practice, no source. */
export const swaps: readonly { id: string; part: string; faults: readonly string[]; minutes: number; risk: number }[] = [
  { id: 'o-swap-battery', part: 'battery', faults: ['f-battery-weak'], minutes: 10, risk: 1 },
  { id: 'o-swap-pump-relay', part: 'fuel pump relay', faults: ['f-pump-relay'], minutes: 3, risk: 1 },
  { id: 'o-swap-crank-sensor', part: 'crank sensor', faults: ['f-crank-signal'], minutes: 20, risk: 1 },
  { id: 'o-swap-cam-sensor', part: 'cam sensor', faults: ['f-cam-sensor'], minutes: 15, risk: 1 },
  { id: 'o-swap-coil', part: 'coil', faults: ['f-no-spark'], minutes: 10, risk: 1 },
  { id: 'o-swap-air-mass', part: 'air-mass sensor', faults: ['f-maf-orientation'], minutes: 10, risk: 1 },
  { id: 'o-swap-pressure-sensor', part: 'manifold pressure sensor', faults: ['f-map'], minutes: 10, risk: 1 },
  { id: 'o-swap-coolant-sensor', part: 'coolant sensor of the unit', faults: ['f-coolant-sensor'], minutes: 15, risk: 1 },
  { id: 'o-swap-oxygen-sensor', part: 'oxygen sensor', faults: ['f-o2'], minutes: 25, risk: 1 },
  { id: 'o-swap-idle-valve', part: 'idle valve', faults: ['f-idle-valve'], minutes: 15, risk: 1 },
  { id: 'o-swap-throttle-body', part: 'throttle body', faults: ['f-throttle-plate', 'f-throttle-unplugged'], minutes: 30, risk: 1 },
  { id: 'o-swap-thermostat', part: 'thermostat', faults: ['f-thermostat'], minutes: 50, risk: 1 },
  { id: 'o-swap-oil-switch', part: 'oil pressure switch', faults: ['f-oil-switch-wrong'], minutes: 12, risk: 1 },
  { id: 'o-swap-alternator', part: 'alternator', faults: ['f-alternator-regulator'], minutes: 60, risk: 1 },
  { id: 'o-swap-glow-unit', part: 'glow plug controller', faults: ['f-glow-plugs'], minutes: 15, risk: 1 },
];
