import type { FollowUpDef, HeatCycle, PrimingWay, RoadTestStep, StartStep, WarmUpWatch } from '../types.ts';

/** Ways to oil pressure before spark. */
export const primingWays: readonly PrimingWay[] = [
  {
    id: 'prime-crank', value: 'crank-without-fuel-and-spark', way: 'fuel and spark off, plugs out to take load off, crank in bursts',
    pro: 'no special tool; proves starter, earths, crank signal at once', contra: 'cam and bearings turn dry for the first seconds; heats starter', suits: 'used engine that ran lately',
    stop: '10 to 15 s on, 60 s off; after 3 bursts without pressure stop and look',
  },
  {
    id: 'prime-pressure', value: 'external-pressure', way: 'clean oil pushed in by a pressure pot at a gallery port', pro: 'bearings full before the first turn; shows outside leaks',
    contra: 'needs a port; sump level rises', suits: 'rebuilt, stood, overhead camshafts', stop: '2 to 4 bar until oil at the top end, turn by hand meanwhile; level after',
  },
  {
    id: 'prime-drive', value: 'pump-drive', way: 'oil pump turned by a drill through the distributor hole or the like', pro: 'pressure as in running, seen on the gauge',
    contra: 'only where the pump is driven so; right sense of turning; gear timing afterwards', suits: 'older vee and inline engines', stop: 'until oil at every rocker, turning the crank by hand',
  },
  {
    id: 'prime-hand', value: 'hand-turn-only', way: 'also first for all that stood over two months: oil in plug holes, on cams, filter prefilled, turned by hand several turns', pro: 'nothing runs dry by force',
    contra: 'builds no pressure by itself', suits: 'first part of any school after long standing', stop: 'turns freely',
  },
  {
    id: 'prime-accumulator', way: 'stored oil under pressure let in before each start', pro: 'protects every start', contra: 'one more hose and valve', suits: 'track cars that have it',
    stop: 'valve state on the dash sheet',
  },
];

/** First start, in order. */
export const startSequence: readonly StartStep[] = [
  { id: 'seq-brief', action: 'Say roles, stop word, what will be heard first', howLong: '2 min', watch: 'Everyone repeats it', stopWhen: 'somebody has not understood' },
  { id: 'seq-power', action: 'Battery on, key on, pump off', howLong: '1 min', watch: 'Expected lamp or screen, no smell, no warm wire', stopWhen: 'any smoke, dead unit' },
  { id: 'seq-comms', action: 'Read unit: codes, coolant, air, pressure, throttle, battery', howLong: '3 min', watch: 'Values that a cold engine must show', stopWhen: 'sensor page wrong: mend first' },
  { id: 'seq-prime-fuel', action: 'Pump alone, three primes of 2 to 3 s, then held 2 min', howLong: '5 min', watch: 'Pressure band, joints, paper', stopWhen: 'leak, pressure falling under zero, no rise in 6 s' },
  { id: 'seq-crank-oil', action: 'Crank without fuel and spark', howLong: 'bursts 10 to 15 s, rest 60 s', watch: 'Oil gauge, crank speed, synchronised or not', stopWhen: 'no pressure after 3 bursts; grinding; smoke' },
  { id: 'seq-timing', action: 'Light on the mark while cranking', howLong: '1 burst', watch: 'Commanded = seen', stopWhen: 'off: correct base offset' },
  {
    id: 'seq-attempt', action: 'Fuel and spark on, foot off a by-wire pedal, a little on a cable; crank to start', howLong: '10 s at the most', watch: 'Oil pressure, sound',
    stopWhen: 'bang, flame, hard kick: key off at once',
  },
  { id: 'seq-between', action: 'Wait, write attempt: seconds, what was heard, one change', howLong: '60 s', watch: 'Starter and cables by hand', stopWhen: 'three attempts without fire: go to section D, do not crank on' },
  { id: 'seq-oil-first', action: 'It runs: eyes on oil', howLong: 'pressure within 5 s', watch: 'Gauge, not lamp', stopWhen: 'none in 5 s (10 s with long remote lines), or falling: key off' },
  { id: 'seq-listen', action: 'First half minute at idle', howLong: '30 s', watch: 'Knocks, squeal, leaks of fuel first', stopWhen: 'fuel leak, deep knock, belt off' },
  {
    id: 'seq-hold-speed', action: 'Eng-cam-follower = flat-tappet with new cam: 1800 to 2500 rpm, varied, from the first second; others: idle, no holding at speed',
    howLong: '20 to 30 min in all, in two parts if hot (common practice; cam maker first)', watch: 'Temperature, manifold glow, smell', stopWhen: 'temperature over 105 °C, any noise',
  },
  { id: 'seq-short', action: 'Others: stop after 2 min, look over', howLong: '2 min run', watch: 'Oil level, coolant level, drips', stopWhen: 'level under mark' },
  { id: 'seq-warm', action: 'Run to the first fan cycle', howLong: '10 to 25 min', watch: 'Watch list of E1', stopWhen: 'any red line of E1' },
  { id: 'seq-bleed', action: 'Cap at first notch or tank open until the thermostat opens, then closed', howLong: 'with it', watch: 'Heater hot, both hoses warm', stopWhen: 'boils, spits' },
  { id: 'seq-gearbox', action: 'Automatic: foot on brake, chocks, each range 3 s, level hot; manual: clutch frees at idle', howLong: '3 min', watch: 'Engages within 2 s, no noise', stopWhen: 'flares, no drive: off' },
  { id: 'seq-stop', action: 'Stop, listen, second stop means tried once', howLong: '1 min', watch: 'Stops in 2 s', stopWhen: 'runs on' },
  { id: 'seq-look', action: 'Lamp round all joints, hot gaps, plugs seated', howLong: '10 min', watch: 'Paper dry', stopWhen: 'any wet fuel' },
  { id: 'seq-cool', action: 'Cool to hand-warm, top up, re-tighten worm clamps', howLong: '2 h', watch: 'Litres', stopWhen: 'over 10 % of capacity taken: air or leak' },
  { id: 'seq-write', action: 'Attempt log closed: time, pressures, temperatures, codes, leaks, who', howLong: '5 min', watch: '-', stopWhen: '-' },
];

/** What to watch while it warms up. */
export const warmUpWatch: readonly WarmUpWatch[] = [
  { id: 'w-oil-cold', range: { unit: 'bar', goOn: { min: 2 }, stop: { below: 0.7 } }, watch: 'Oil, cold idle', green: 'over 2 bar', amber: '1 to 2, or slow to rise', red: 'none in 5 s, under 0.7, falling' },
  { id: 'w-oil-hot', range: { unit: 'bar', goOn: { min: 0.7 }, stop: { below: 0.5 } }, watch: 'Oil, hot, for each 1000 rpm', green: 'over 0.7 bar', amber: '0.5 to 0.7', red: 'under 0.5, or lamp confirmed by gauge' },
  { id: 'w-coolant', range: { unit: '°C', goOn: { min: 80, max: 98 }, stop: { above: 108 } }, watch: 'Coolant', green: '80 to 98 °C, rises evenly', amber: '98 to 105, or still under 70 after 20 min', red: 'over 108, or a jump of 10 K in a minute' },
  { id: 'w-fan', watch: 'Fan stages', green: 'on and off inside 6 K', amber: 'stays on', red: 'not on at its temperature and override dead' },
  { id: 'w-charge', range: { unit: 'V', goOn: { min: 13.5, max: 14.8 }, stop: { below: 12.6, above: 15.2 } }, watch: 'Volts at 1500 rpm, loads on', green: '13.5 to 14.8', amber: '13.0 to 13.5, 14.8 to 15.2', red: 'under 12.6, over 15.2' },
  { id: 'w-fuel', watch: 'Rail pressure against set value', green: 'within 0.2 bar', amber: '0.2 to 0.4 off', red: 'any wet joint, over 0.5 off under load' },
  { id: 'w-mixture', watch: 'Trims, oxygen reading', green: 'within 10 %, switching', amber: '10 to 20 %', red: 'over 25 %; petrol leaner than 1.0 at full load' },
  { id: 'w-gearbox', range: { unit: '°C', goOn: { min: 60, max: 95 }, stop: { above: 130 } }, watch: 'Gearbox fluid in the sump', green: '60 to 95 °C', amber: '95 to 120', red: 'over 130, flare, no drive' },
  { id: 'w-neighbour', range: { unit: '°C', goOn: { max: 90 }, stop: { above: 110 } }, watch: 'Rubber, looms, lines near exhaust', green: 'under 90 °C', amber: '90 to 110', red: 'over 110, smell, smoke' },
  { id: 'w-leak', watch: 'Paper under the car, joints', green: 'dry', amber: 'damp, weeping coolant or oil', red: 'any fuel; oil or coolant that drips' },
  { id: 'w-noise', watch: 'Sound and feel', green: 'even', amber: 'tick that follows speed, buzz on throttle', red: 'deep knock, bell knock, rub' },
];

/** Heat cycles, re-torque and early changes. */
export const heatCycles: readonly HeatCycle[] = [
  { id: 'hc-first', when: 'first stop', what: 'cool until hand-warm, top up, worm clamps, joints, gaps again', basis: '2 h; common practice', proof: 'litres, paper photo' },
  { id: 'hc-second', when: 'second and third cycle', what: '20 min at varied 1000 to 2500 rpm, cool, level', basis: 'level steady over two cycles; common practice', proof: 'readings' },
  {
    id: 'hc-retorque', when: 'after the third cycle', what: 'exhaust flanges and manifold, mounts, sliders, intake, wheel and shaft bolts; head bolts only where the maker asks; angle-tightened bolts never',
    basis: 'the manual; witness mark renewed', proof: 'record per group',
  },
  { id: 'hc-oil', when: 'after flat-tappet run-in, or 1 to 2 h or 500 km', what: 'oil and filter, filter cut open', basis: 'common practice; builder first', proof: 'photo of the pleats, filter cut open' },
  { id: 'hc-flush', when: 'engine stood over a year', what: 'coolant and oil changed once more after the first hours', basis: 'common practice', proof: 'litres, colour' },
  { id: 'hc-belt', when: 'after 1 h and 500 km', what: 'belt tension and line; manual tensioner: turns about 90 deg between fingers mid-run', basis: 'common practice; the manual first', proof: 'reading' },
  { id: 'hc-gearbox', when: '50 km; rebuilt 1000 km', what: 'level hot; fluid and filter', basis: 'the manual', proof: 'litres, look' },
  {
    id: 'hc-run-in', when: 'first 500 km of a rebuild', what: 'half to two thirds load, speed varied, no long idling; clutch 300 to 500 km in town; pads bedded by their sheet', basis: 'common practice; makers first',
    proof: 'driver\'s note',
  },
];

/** Road test, in order. */
export const roadTest: readonly RoadTestStep[] = [
  { id: 'rt-yard', action: 'Walking pace: five brakes, lock to lock, reverse, park on a slope', watch: 'Pedal, pull, contact', stopWhen: 'soft pedal, rub' },
  { id: 'rt-low', action: '5 km under 60 km/h, helper logs', watch: 'E1, shifts, smell', stopWhen: 'any red' },
  { id: 'rt-look', action: 'Lamp round, paper, hot gaps, wheel nuts', watch: 'Wet, rub marks', stopWhen: 'fuel' },
  { id: 'rt-mid', action: '20 km mixed up to 100 km/h', watch: 'Vibration by road speed (shaft) or engine speed (engine), trims, speedometer by satellite at 50, 80, 100', stopWhen: 'shudder, over 105 °C' },
  { id: 'rt-load', action: 'Three pulls, half then full throttle, closed or empty road as law allows', watch: 'Fuel pressure, mixture, knock, slip', stopWhen: 'lean, knock, pressure falls over 0.5 bar' },
  { id: 'rt-heat', action: '15 min stop and go, air conditioning on, then 15 min off, then start', watch: 'Fan, oil hot idle, hot start, soaked starter', stopWhen: 'red, slow crank' },
  { id: 'rt-close', action: 'Codes, levels, photo under the car, driver\'s words', watch: 'Pending codes', stopWhen: '-' },
];

/** What comes back after hand over. */
export const followUpDefs: readonly FollowUpDef[] = [
  { id: 'fu-nuts', trigger: '50 to 100 km', atKm: 100, what: 'wheel and shaft bolts, clamps, drips' },
  { id: 'fu-week', trigger: '7 days or first cold start after a night outside', afterDays: 7, what: 'leaks, level, rest current under 50 mA (common practice), cold start heard' },
  { id: 'fu-settle', trigger: '30 days or 500 km', atKm: 500, afterDays: 30, what: 'gaps of sump, hood, exhaust again (cushions settle), bolts of mounts, alignment, early oil' },
  { id: 'fu-second-oil', trigger: '1500 km', atKm: 1500, what: 'oil and filter; litres used since the start' },
  { id: 'fu-diesel-filter', trigger: '1000 km after tank work, any fuel kind', atKm: 1000, what: 'filter, water drain, clear hose' },
  { id: 'fu-valves', trigger: '19 000 km (12 000 miles) on older mechanical diesels, or builder\'s figure', atKm: 19_000, what: 'lash table' },
  { id: 'fu-run-after', trigger: 'tune final, final engine unit in', what: 'rollers or timed run beside the power measured before' },
  { id: 'fu-weigh-after', trigger: 'before papers', what: 'axle masses beside the axle masses and limits, lamp aim, springs' },
  { id: 'fu-season', trigger: 'first frost and first heat', what: 'mixture test, heater, fan, hot start' },
  { id: 'fu-risk', trigger: 'trigger named when a risk was accepted (slip, temperature, noise, distance)', what: 'look, decide, tell the customer' },
  { id: 'fu-deferred', trigger: 'next time the engine or gearbox is out', what: 'upgrades and seals put off, with reason' },
  { id: 'fu-event', trigger: 'after the first hard use', what: 'mounts, shafts, body seams, fasteners, oil' },
];
