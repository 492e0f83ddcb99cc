import type { LikelihoodMatrix } from '../types.ts';

/** Chance of an outcome if the fault is there: fault, observation, outcome. Pairs not listed take the base rates. */
export const likelihoods: LikelihoodMatrix = {
  'f-battery-weak': {
    'o-crank': { 'slow': 0.6, 'clicks': 0.25 }, 'o-battery-rest': { 'under-12.2': 0.75 }, 'o-battery-crank': { 'under-9.0': 0.85 },
    'o-ecu-talks': { 'resets': 0.35 }, 'o-crank-rpm': { 'slow': 0.6 },
  },
  'f-earth-missing': {
    'o-earth-drop': { 'over-0.5': 0.8 }, 'o-crank': { 'slow': 0.4 }, 'o-crank-rpm': { 'slow': 0.35 }, 'o-ecu-talks': { 'resets': 0.25 },
    'o-sensor-page': { 'pressure-wrong': 0.2 }, 'o-codes': { 'sensor': 0.45 }, 'o-glow': { 'some-or-none': 0.3 },
    'o-dash-earth': { 'wrong': 0.2 },
  },
  'f-start-circuit': {
    'o-crank': { 'silent': 0.88 }, 'o-start-signal': { 'absent': 0.9 }, 'o-battery-crank': { 'over-9.6': 0.98 },
  },
  'f-starter-engagement': {
    'o-crank': { 'spins-free': 0.7 }, 'o-bell-window': { 'teeth-milled': 0.45 }, 'o-crank-rpm': { 'zero': 0.65 },
  },
  'f-engine-bound': {
    'o-hand-turn': { 'heavy-or-stops': 0.95 }, 'o-crank-rpm': { 'slow': 0.3, 'zero': 0.5 }, 'o-crank': { 'clicks': 0.55, 'slow': 0.25 }, 'o-battery-crank': { 'under-9.0': 0.55 },
    'o-earth-drop': { '0.2-to-0.5': 0.4 },
  },
  'f-ecu-unpowered': {
    'o-ecu-talks': { 'dead': 0.94 }, 'o-unit-feed': { 'none': 0.92 }, 'o-prime-sound': { 'silent': 0.85 },
    'o-injector-lamp': { 'none': 0.93 }, 'o-fires': { 'no-fire': 0.97 }, 'o-exciter': { 'none': 0.25 },
  },
  'f-feed-lost-cranking': {
    'o-unit-feed': { 'lost-cranking': 0.93 }, 'o-ecu-talks': { 'resets': 0.75 }, 'o-crank-rpm': { 'zero': 0.75 },
    'o-fires': { 'no-fire': 0.7, 'fires-and-dies': 0.25 },
  },
  'f-immobiliser': {
    'o-ecu-talks': { 'locked': 0.85 }, 'o-codes': { 'immobiliser': 0.8 }, 'o-fires': { 'fires-and-dies': 0.5, 'no-fire': 0.47 },
    'o-injector-lamp': { 'none': 0.6 }, 'o-prime-sound': { 'silent': 0.4 }, 'o-start-signal': { 'absent': 0.2 },
  },
  'f-throttle-unplugged': {
    'o-rollcall': { 'some-off': 0.92 }, 'o-codes': { 'throttle': 0.85 }, 'o-sensor-page': { 'throttle-wrong': 0.88 },
    'o-fires': { 'no-fire': 0.35, 'fires-and-dies': 0.3 }, 'o-idle': { 'low-or-stalls': 0.55 }, 'o-idle-valve-test': { 'none': 0.55 },
    'o-gearbox-unit': { 'missing': 0.35 },
  },
  'f-banks-swapped': {
    'o-output-test': { 'banks-crossed': 0.95 }, 'o-bang': { 'exhaust': 0.75 }, 'o-misfire': { 'spread': 0.7 },
    'o-fires': { 'no-fire': 0.6 }, 'o-plugs-look': { 'wet': 0.45 },
  },
  'f-firing-order': {
    'o-output-test': { 'order-wrong': 0.92 }, 'o-bang': { 'intake': 0.45, 'exhaust': 0.35 }, 'o-misfire': { 'spread': 0.65 },
    'o-fires': { 'no-fire': 0.45 },
  },
  'f-base-timing': {
    'o-timing-light': { 'constant-offset': 0.92 }, 'o-bang': { 'intake': 0.25, 'exhaust': 0.3 }, 'o-fires': { 'no-fire': 0.3 },
    'o-temp': { 'climbs': 0.25 }, 'o-marks': { 'off': 0.1 },
  },
  'f-cam-timing': {
    'o-marks': { 'off': 0.95 }, 'o-compression': { 'some-low': 0.35, 'all-low': 0.5 }, 'o-crank': { 'uneven-fast': 0.5 },
    'o-fires': { 'no-fire': 0.65 }, 'o-sync': { 'lost-or-never': 0.4 }, 'o-hand-turn': { 'heavy-or-stops': 0.15 },
  },
  'f-crank-signal': {
    'o-crank-rpm': { 'zero': 0.6, 'erratic': 0.35 }, 'o-sync': { 'lost-or-never': 0.92 }, 'o-spark': { 'none': 0.7 },
    'o-fires': { 'no-fire': 0.85 }, 'o-codes': { 'crank-or-cam': 0.7 }, 'o-timing-light': { 'jumps': 0.55 },
    'o-cal-id': { 'wrong-data': 0.3 },
  },
  'f-cam-sensor': {
    'o-sync': { 'lost-or-never': 0.8 }, 'o-codes': { 'crank-or-cam': 0.82 }, 'o-fires': { 'no-fire': 0.32 },
  },
  'f-no-spark': {
    'o-spark': { 'none': 0.8, 'some': 0.16 }, 'o-plugs-look': { 'wet': 0.75 }, 'o-fires': { 'no-fire': 0.88 },
    'o-output-test': { 'some-dead': 0.4 },
  },
  'f-no-injector-pulse': {
    'o-injector-lamp': { 'none': 0.75, 'some': 0.2 }, 'o-plugs-look': { 'dry': 0.85 }, 'o-fires': { 'no-fire': 0.8 },
    'o-output-test': { 'some-dead': 0.45 },
  },
  'f-wrong-tune': {
    'o-cal-id': { 'wrong-program': 0.92 }, 'o-trim': { 'rich': 0.32, 'lean-load': 0.25 }, 'o-idle': { 'hunting': 0.3, 'low-or-stalls': 0.25 },
    'o-codes': { 'misfire-or-fuel': 0.35 }, 'o-fires': { 'fires-and-dies': 0.28 }, 'o-smoke': { 'black': 0.25 },
  },
  'f-pump-reversed': {
    'o-fuel-pressure': { 'below-zero': 0.7, 'zero': 0.25 }, 'o-pump-arrow': { 'reversed': 0.97 }, 'o-fires': { 'no-fire': 0.9 },
    'o-plugs-look': { 'dry': 0.85 },
  },
  'f-pump-relay': {
    'o-prime-sound': { 'silent': 0.93 }, 'o-pump-volts': { 'none': 0.92 }, 'o-fuel-pressure': { 'zero': 0.92 },
    'o-fires': { 'no-fire': 0.85 }, 'o-plugs-look': { 'dry': 0.8 },
  },
  'f-fuel-pressure-low': {
    'o-fuel-pressure': { 'low': 0.92 }, 'o-trim': { 'lean-load': 0.7 }, 'o-lambda': { 'lean': 0.6 },
    'o-fires': { 'fires-and-dies': 0.3 }, 'o-pump-volts': { 'low': 0.25 }, 'o-pump-arrow': { 'reversed': 0.08 },
    'o-fuel-tank': { 'too-little': 0.12 },
  },
  'f-tank-empty': {
    'o-fuel-tank': { 'too-little': 0.75, 'stale-or-wrong': 0.22 }, 'o-fuel-pressure': { 'zero': 0.35, 'low': 0.3 }, 'o-fires': { 'no-fire': 0.5, 'fires-and-dies': 0.35 },
    'o-plugs-look': { 'dry': 0.6 },
  },
  'f-injector-scaling': {
    'o-cal-id': { 'wrong-data': 0.88 }, 'o-trim': { 'rich': 0.72 }, 'o-lambda': { 'rich': 0.68 },
    'o-smoke': { 'black': 0.5 }, 'o-clear-flood': { 'catches': 0.35 }, 'o-dipstick': { 'high-or-fuel': 0.2 },
  },
  'f-flooded': {
    'o-plugs-look': { 'wet': 0.93 }, 'o-clear-flood': { 'catches': 0.75 }, 'o-fires': { 'no-fire': 0.7, 'fires-and-dies': 0.2 },
    'o-dipstick': { 'high-or-fuel': 0.25 },
  },
  'f-vacuum-leak': {
    'o-smoke-test': { 'leaks': 0.93 }, 'o-ports': { 'open-found': 0.7 }, 'o-idle': { 'high': 0.6, 'hunting': 0.22 },
    'o-trim': { 'lean-idle': 0.82 }, 'o-stop-vacuum': { 'leaks': 0.2 },
  },
  'f-throttle-plate': {
    'o-throttle-look': { 'sticks-or-gap': 0.9 }, 'o-idle': { 'high': 0.7, 'hunting': 0.18 }, 'o-smoke-test': { 'leaks': 0.3 },
    'o-tv-travel': { 'wrong': 0.2 },
  },
  'f-idle-valve': {
    'o-idle-valve-test': { 'none': 0.9 }, 'o-idle': { 'high': 0.3, 'low-or-stalls': 0.48 }, 'o-fires': { 'fires-and-dies': 0.4 },
  },
  'f-maf-orientation': {
    'o-sensor-page': { 'airmass-wrong': 0.9 }, 'o-trim': { 'lean-load': 0.5 }, 'o-fires': { 'fires-and-dies': 0.45 },
    'o-codes': { 'sensor': 0.45 }, 'o-idle': { 'low-or-stalls': 0.35, 'hunting': 0.25 },
  },
  'f-map': {
    'o-sensor-page': { 'pressure-wrong': 0.9 }, 'o-lambda': { 'rich': 0.55 }, 'o-codes': { 'sensor': 0.6 },
    'o-idle': { 'hunting': 0.35 }, 'o-ports': { 'open-found': 0.3 },
  },
  'f-coolant-sensor': {
    'o-sensor-page': { 'coolant-wrong': 0.93 }, 'o-codes': { 'sensor': 0.62 }, 'o-plugs-look': { 'sooty': 0.35 },
    'o-fires': { 'no-fire': 0.25 }, 'o-smoke': { 'black': 0.35 },
  },
  'f-o2': {
    'o-lambda': { 'stuck': 0.78 }, 'o-trim': { 'rich': 0.32, 'lean-load': 0.25 }, 'o-codes': { 'sensor': 0.55 },
  },
  'f-exhaust-leak': {
    'o-exhaust-joints': { 'leaks': 0.95 }, 'o-lambda': { 'lean': 0.5 }, 'o-noise': { 'top-tick': 0.6 },
    'o-trim': { 'lean-idle': 0.3 }, 'o-contact': { 'touches': 0.22 },
  },
  'f-oil-unprimed': {
    'o-oil-gauge': { 'zero': 0.85 }, 'o-oil-flow': { 'none': 0.72 }, 'o-oil-lamp': { 'on': 0.92 },
    'o-noise': { 'top-tick': 0.45 }, 'o-lash': { 'wide': 0.3 }, 'o-filter-lines': { 'wrong': 0.09 },
  },
  'f-oil-pickup-leak': {
    'o-oil-gauge': { 'zero': 0.35, 'low': 0.52 }, 'o-oil-flow': { 'foams': 0.7 }, 'o-oil-lamp': { 'on': 0.7 },
    'o-filter-cut': { 'metal': 0.3 },
  },
  'f-oil-switch-wrong': {
    'o-oil-switch-test': { 'other-kind': 0.93 }, 'o-oil-lamp': { 'on': 0.82 }, 'o-oil-gauge': { 'in-band': 0.985 },
    'o-rollcall': { 'some-off': 0.25 },
  },
  'f-oil-dash-logic': {
    'o-dash-earth': { 'wrong': 0.88 }, 'o-oil-lamp': { 'on': 0.9 }, 'o-oil-gauge': { 'in-band': 0.985 },
    'o-oil-switch-test': { 'other-kind': 0.2 }, 'o-rollcall': { 'some-off': 0.25 },
  },
  'f-oil-level-low': {
    'o-dipstick': { 'low': 0.96 }, 'o-oil-gauge': { 'low': 0.45, 'zero': 0.15 }, 'o-oil-flow': { 'foams': 0.4 },
    'o-oil-lamp': { 'on': 0.55 },
  },
  'f-oil-filter-circuit': {
    'o-filter-lines': { 'wrong': 0.94 }, 'o-oil-gauge': { 'zero': 0.5, 'low': 0.33 }, 'o-oil-flow': { 'none': 0.45 },
    'o-oil-lamp': { 'on': 0.75 },
  },
  'f-gallery-plug': {
    'o-oil-gauge': { 'low': 0.7, 'zero': 0.22 }, 'o-noise': { 'top-tick': 0.58 }, 'o-oil-lamp': { 'on': 0.78 },
    'o-filter-cut': { 'metal': 0.25 },
  },
  'f-bearing-wear': {
    'o-filter-cut': { 'metal': 0.82 }, 'o-oil-gauge': { 'low': 0.82 }, 'o-noise': { 'deep-knock': 0.5 },
    'o-gear-noise': { 'same': 0.55 }, 'o-oil-lamp': { 'on': 0.5 },
  },
  'f-air-lock': {
    'o-bubbles': { 'persist-air': 0.82 }, 'o-heater': { 'cold': 0.4, 'hot-and-cold': 0.5 }, 'o-temp': { 'jumps': 0.45, 'climbs': 0.4 },
    'o-hose-temps': { 'top-hot-bottom-cold': 0.4 }, 'o-fill-height': { 'below': 0.3 },
  },
  'f-fill-point-low': {
    'o-fill-height': { 'below': 0.97 }, 'o-bubbles': { 'persist-air': 0.65 }, 'o-heater': { 'hot-and-cold': 0.55 },
    'o-temp': { 'jumps': 0.45 },
  },
  'f-fan-reversed': {
    'o-fan': { 'wrong-way': 0.96 }, 'o-temp': { 'climbs': 0.8 }, 'o-moving': { 'hotter': 0.45, 'cools': 0.3 },
  },
  'f-fan-not-running': {
    'o-fan': { 'no-run': 0.95 }, 'o-temp': { 'climbs': 0.82 }, 'o-moving': { 'cools': 0.84 },
  },
  'f-thermostat': {
    'o-hose-temps': { 'top-hot-bottom-cold': 0.65 }, 'o-temp': { 'climbs': 0.6, 'stays-cold': 0.32 }, 'o-moving': { 'no-change': 0.5 },
  },
  'f-head-gasket': {
    'o-bubbles': { 'exhaust-gas': 0.86 }, 'o-compression': { 'some-low': 0.55 }, 'o-temp': { 'climbs': 0.6 },
    'o-smoke': { 'white': 0.5 }, 'o-moving': { 'hotter': 0.45 },
  },
  'f-diesel-air': {
    'o-clear-hose': { 'bubbles': 0.92 }, 'o-fires': { 'no-fire': 0.42, 'fires-and-dies': 0.45 }, 'o-feed-diesel': { 'low': 0.35 },
    'o-misfire': { 'spread': 0.4 },
  },
  'f-lift-pump-valves': {
    'o-feed-diesel': { 'low': 0.9 }, 'o-fires': { 'fires-and-dies': 0.65 }, 'o-clear-hose': { 'bubbles': 0.28 },
  },
  'f-glow-plugs': {
    'o-glow': { 'some-or-none': 0.93 }, 'o-smoke': { 'white': 0.65 }, 'o-fires': { 'no-fire': 0.5 },
    'o-misfire': { 'spread': 0.35 },
  },
  'f-diesel-shutoff': {
    'o-stop-vacuum': { 'leaks': 0.82 }, 'o-stops': { 'runs-on': 0.7 }, 'o-fires': { 'no-fire': 0.25 },
  },
  'f-valves-tight': {
    'o-lash': { 'tight': 0.95 }, 'o-compression': { 'all-low': 0.45, 'some-low': 0.45 }, 'o-misfire': { 'one-cylinder': 0.4 },
    'o-smoke': { 'white': 0.3 },
  },
  'f-alternator-exciter': {
    'o-charge-volts': { 'under-13.2': 0.94 }, 'o-exciter': { 'none': 0.85 }, 'o-charge-lamp': { 'never-lights': 0.78 },
    'o-stops': { 'runs-on': 0.1 },
  },
  'f-alternator-regulator': {
    'o-charge-volts': { 'under-13.2': 0.55, 'over-15': 0.4 }, 'o-charge-lamp': { 'stays-on': 0.45 }, 'o-battery-rest': { 'under-12.2': 0.4 },
  },
  'f-belt-line': {
    'o-belt-line': { 'off': 0.94 }, 'o-noise': { 'belt-squeal': 0.82 }, 'o-charge-volts': { 'under-13.2': 0.2 },
  },
  'f-gearbox-control': {
    'o-gearbox-unit': { 'missing': 0.86 }, 'o-codes': { 'gearbox': 0.78 }, 'o-drive': { 'no-upshift': 0.58, 'harsh-late': 0.25 },
  },
  'f-tv-cable': {
    'o-tv-travel': { 'wrong': 0.95 }, 'o-drive': { 'harsh-late': 0.45, 'slips': 0.28 }, 'o-gearbox-level': { 'burnt-or-foaming': 0.25 },
    'o-throttle-look': { 'sticks-or-gap': 0.15 },
  },
  'f-gearbox-fluid-low': {
    'o-gearbox-level': { 'low': 0.94 }, 'o-drive': { 'no-drive': 0.4, 'slips': 0.45 }, 'o-noise': { 'thud-or-buzz': 0.25 },
  },
  'f-converter-bolts': {
    'o-bell-window': { 'bolt-loose': 0.93 }, 'o-noise': { 'bell-knock': 0.86 }, 'o-gear-noise': { 'changes': 0.72 },
  },
  'f-flexplate-crack': {
    'o-bell-window': { 'crack': 0.9 }, 'o-noise': { 'bell-knock': 0.84 }, 'o-gear-noise': { 'changes': 0.6 },
  },
  'f-contact-noise': {
    'o-contact': { 'touches': 0.93 }, 'o-noise': { 'thud-or-buzz': 0.8 }, 'o-gear-noise': { 'changes': 0.66 },
    'o-exhaust-joints': { 'leaks': 0.22 }, 'o-belt-line': { 'off': 0.12 },
  },
};
