import type { ObservationDef } from '../types.ts';

/** Questions and tests; the first outcome is the healthy one and each carries its base rate. */
export const observations: readonly ObservationDef[] = [
  {
    id: 'o-crank', question: 'What does the starter do', kind: 'level',
    outcomes: [{ id: 'normal', base: 0.93 }, { id: 'silent', base: 0.015 }, { id: 'clicks', base: 0.015 }, { id: 'slow', base: 0.025 }, { id: 'uneven-fast', base: 0.01 }, { id: 'spins-free', base: 0.005 }], minutes: 1,
    risk: 2, needs: 'gate A3',
  },
  { id: 'o-fires', question: 'Does it fire', kind: 'level', outcomes: [{ id: 'runs', base: 0.9 }, { id: 'no-fire', base: 0.05 }, { id: 'fires-and-dies', base: 0.05 }], minutes: 1, risk: 2, needs: 'gate A4' },
  {
    id: 'o-bang', question: 'Bangs or flames, from where', kind: 'level', outcomes: [{ id: 'none', base: 0.94 }, { id: 'exhaust', base: 0.03 }, { id: 'intake', base: 0.03 }], minutes: 0, risk: 2,
    needs: 'cranking or running; eyes',
  },
  {
    id: 'o-idle', question: 'How does it idle, no throttle', kind: 'level', outcomes: [{ id: 'steady', base: 0.85 }, { id: 'high', base: 0.05 }, { id: 'low-or-stalls', base: 0.06 }, { id: 'hunting', base: 0.04 }],
    minutes: 2, risk: 2, needs: 'running',
  },
  {
    id: 'o-misfire', question: 'Misfire: which cylinders (balance or hand-held thermometer on the ports)', kind: 'level',
    outcomes: [{ id: 'none', base: 0.88 }, { id: 'one-cylinder', base: 0.05 }, { id: 'one-bank', base: 0.02 }, { id: 'spread', base: 0.05 }], minutes: 8, risk: 2, needs: 'running, thermometer',
  },
  {
    id: 'o-smoke', question: 'Colour of smoke once the first minute is over', kind: 'level', outcomes: [{ id: 'none', base: 0.88 }, { id: 'black', base: 0.04 }, { id: 'white', base: 0.04 }, { id: 'blue', base: 0.04 }],
    minutes: 2, risk: 1, needs: 'running',
  },
  { id: 'o-oil-lamp', question: 'Dash oil warning after 5 s', kind: 'yes/no', outcomes: [{ id: 'off', base: 0.97 }, { id: 'on', base: 0.03 }], minutes: 0, risk: 1, needs: 'running or cranking' },
  {
    id: 'o-oil-gauge', question: 'Independent oil gauge, as warm as it is', kind: 'reading', unit: 'bar',
    outcomes: [{ id: 'in-band', base: 0.955 }, { id: 'zero', base: 0.007 }, { id: 'low', base: 0.023 }, { id: 'high', base: 0.015 }], minutes: 3, risk: 2,
    needs: 'gauge; band from the oil grade; common practice: over 0.7 bar for each 1000 rpm hot',
  },
  {
    id: 'o-temp', question: 'Coolant temperature over 15 min', kind: 'reading', unit: '°C',
    outcomes: [{ id: 'normal', base: 0.92 }, { id: 'climbs', base: 0.05 }, { id: 'jumps', base: 0.015 }, { id: 'stays-cold', base: 0.015 }], minutes: 15, risk: 2, needs: 'running',
  },
  {
    id: 'o-moving', question: 'When hot: what does it do on the move', kind: 'level', outcomes: [{ id: 'not-hot', base: 0.9 }, { id: 'cools', base: 0.04 }, { id: 'hotter', base: 0.02 }, { id: 'no-change', base: 0.04 }],
    minutes: 10, risk: 2, needs: 'gate A5, or blower before the core',
  },
  {
    id: 'o-heater', question: 'Heater air when the engine is warm', kind: 'level', outcomes: [{ id: 'hot', base: 0.92 }, { id: 'cold', base: 0.04 }, { id: 'hot-and-cold', base: 0.04 }], minutes: 3, risk: 1,
    needs: 'running warm',
  },
  {
    id: 'o-noise', question: 'Noise: what and where', kind: 'level',
    outcomes: [{ id: 'none', base: 0.88 }, { id: 'bell-knock', base: 0.01 }, { id: 'belt-squeal', base: 0.03 }, { id: 'top-tick', base: 0.04 }, { id: 'deep-knock', base: 0.01 }, { id: 'thud-or-buzz', base: 0.03 }],
    minutes: 5, risk: 2, needs: 'running, listening rod',
  },
  {
    id: 'o-gear-noise', question: 'Does the noise change when a gear is taken or load is put on', kind: 'level', outcomes: [{ id: 'no-noise', base: 0.86 }, { id: 'changes', base: 0.06 }, { id: 'same', base: 0.08 }],
    minutes: 3, risk: 2, needs: 'running, foot on brake, chocks',
  },
  { id: 'o-stops', question: 'Stops within 2 s of key-off', kind: 'yes/no', outcomes: [{ id: 'yes', base: 0.99 }, { id: 'runs-on', base: 0.01 }], minutes: 1, risk: 2, needs: 'running' },
  {
    id: 'o-charge-lamp', question: 'Charge lamp at key-on and running', kind: 'level', outcomes: [{ id: 'normal', base: 0.96 }, { id: 'never-lights', base: 0.02 }, { id: 'stays-on', base: 0.02 }], minutes: 1, risk: 1,
    needs: 'running',
  },
  {
    id: 'o-drive', question: 'How does it drive off and shift', kind: 'level',
    outcomes: [{ id: 'normal', base: 0.93 }, { id: 'no-drive', base: 0.015 }, { id: 'no-upshift', base: 0.02 }, { id: 'harsh-late', base: 0.02 }, { id: 'slips', base: 0.015 }], minutes: 10, risk: 2,
    needs: 'gate A5, or wheels off the floor',
  },
  {
    id: 'o-ecu-talks', question: 'Does the engine unit answer, and keep answering while cranking', kind: 'level',
    outcomes: [{ id: 'talks', base: 0.97 }, { id: 'dead', base: 0.01 }, { id: 'resets', base: 0.01 }, { id: 'locked', base: 0.01 }], minutes: 2, risk: 1, needs: 'scan tool or laptop',
  },
  {
    id: 'o-prime-sound', question: 'Pump heard for 2 to 3 s at key-on', kind: 'level', outcomes: [{ id: 'heard', base: 0.945 }, { id: 'silent', base: 0.04 }, { id: 'never-stops', base: 0.015 }], minutes: 1, risk: 1,
    needs: 'ear at the tank',
  },
  {
    id: 'o-fuel-tank', question: 'Litres in the tank by dip, smell and sample in a clear jar', kind: 'level',
    outcomes: [{ id: 'enough-fresh', base: 0.95 }, { id: 'too-little', base: 0.03 }, { id: 'stale-or-wrong', base: 0.02 }], minutes: 8, risk: 3, needs: 'cold, extinguisher',
  },
  { id: 'o-rollcall', question: 'Plug roll-call against the table', kind: 'count', outcomes: [{ id: 'all-mated', base: 0.93 }, { id: 'some-off', base: 0.07 }], minutes: 8, risk: 0, needs: 'wire table' },
  {
    id: 'o-throttle-look', question: 'Throttle plate by eye and finger, engine off', kind: 'level', outcomes: [{ id: 'moves-and-closes', base: 0.97 }, { id: 'sticks-or-gap', base: 0.03 }], minutes: 6, risk: 1,
    needs: 'key off, intake pipe off',
  },
  {
    id: 'o-ports', question: 'Walk round every vacuum port, behind the manifold too', kind: 'count', outcomes: [{ id: 'all-closed', base: 0.94 }, { id: 'open-found', base: 0.06 }], minutes: 8, risk: 0,
    needs: 'mirror, lamp',
  },
  {
    id: 'o-plugs-look', question: 'Spark plugs out and looked at', kind: 'level', outcomes: [{ id: 'normal', base: 0.85 }, { id: 'wet', base: 0.05 }, { id: 'dry', base: 0.05 }, { id: 'sooty', base: 0.05 }], minutes: 20,
    risk: 2, needs: 'cool engine',
  },
  {
    id: 'o-output-test', question: 'Injectors and coils driven one by one: does the labelled cylinder answer', kind: 'level',
    outcomes: [{ id: 'right', base: 0.97 }, { id: 'banks-crossed', base: 0.01 }, { id: 'order-wrong', base: 0.01 }, { id: 'some-dead', base: 0.01 }], minutes: 20, risk: 2,
    needs: 'tool, helper, rail dry; layout and firing order',
  },
  { id: 'o-marks', question: 'Timing marks after two turns by hand', kind: 'yes/no', outcomes: [{ id: 'agree', base: 0.985 }, { id: 'off', base: 0.015 }], minutes: 35, risk: 1, needs: 'covers off' },
  {
    id: 'o-dipstick', question: 'Oil level and smell', kind: 'level', outcomes: [{ id: 'right', base: 0.95 }, { id: 'low', base: 0.03 }, { id: 'high-or-fuel', base: 0.02 }], minutes: 2, risk: 0,
    needs: 'level car, 5 min rest',
  },
  {
    id: 'o-fan', question: 'Fan by override, strip of paper', kind: 'level', outcomes: [{ id: 'toward-engine', base: 0.97 }, { id: 'wrong-way', base: 0.01 }, { id: 'no-run', base: 0.02 }], minutes: 3, risk: 2,
    needs: 'hands away',
  },
  {
    id: 'o-fill-height', question: 'Fill point against highest coolant space, by water level hose', kind: 'reading', unit: 'mm', outcomes: [{ id: 'highest', base: 0.88 }, { id: 'below', base: 0.12 }], minutes: 10,
    risk: 0, needs: 'cold',
  },
  {
    id: 'o-hose-temps', question: 'Upper and lower hose by thermometer, engine hot', kind: 'reading', unit: '°C',
    outcomes: [{ id: 'both-warm', base: 0.9 }, { id: 'top-hot-bottom-cold', base: 0.06 }, { id: 'both-cold', base: 0.04 }], minutes: 4, risk: 2, needs: 'warm; side by where the thermostat sits',
  },
  {
    id: 'o-bubbles', question: 'Bubbles in the tank; if they stay, gas test', kind: 'level', outcomes: [{ id: 'end', base: 0.92 }, { id: 'persist-air', base: 0.07 }, { id: 'exhaust-gas', base: 0.01 }], minutes: 12,
    risk: 2, needs: 'cap off below 50 °C only',
  },
  {
    id: 'o-fuel-pressure', question: 'Rail pressure with pump on', kind: 'reading', unit: 'bar',
    outcomes: [{ id: 'in-band', base: 0.93 }, { id: 'below-zero', base: 0.002 }, { id: 'zero', base: 0.015 }, { id: 'low', base: 0.03 }, { id: 'high', base: 0.023 }], minutes: 6, risk: 2,
    needs: 'gauge; band from the rail pressure',
  },
  {
    id: 'o-pump-volts', question: 'Volts at the pump plug while it should run', kind: 'reading', unit: 'V', outcomes: [{ id: 'good', base: 0.96 }, { id: 'low', base: 0.02 }, { id: 'none', base: 0.02 }], minutes: 8,
    risk: 2, needs: 'meter, helper; good = within 0.5 V of battery',
  },
  {
    id: 'o-pump-arrow', question: 'Arrows of pump, filter, check valve against flow', kind: 'yes/no', outcomes: [{ id: 'right', base: 0.99 }, { id: 'reversed', base: 0.01 }], minutes: 8, risk: 1,
    needs: 'car raised, lamp',
  },
  {
    id: 'o-battery-rest', question: 'Battery at rest', kind: 'reading', unit: 'V', outcomes: [{ id: 'over-12.5', base: 0.8 }, { id: '12.2-to-12.5', base: 0.13 }, { id: 'under-12.2', base: 0.07 }], minutes: 2, risk: 0,
    needs: 'meter, 1 h after charge',
  },
  {
    id: 'o-battery-crank', question: 'Battery while cranking', kind: 'reading', unit: 'V', outcomes: [{ id: 'over-9.6', base: 0.85 }, { id: '9.0-to-9.6', base: 0.1 }, { id: 'under-9.0', base: 0.05 }], minutes: 2,
    risk: 2, needs: 'meter, helper',
  },
  {
    id: 'o-earth-drop', question: 'Drop from block to battery minus while cranking or pump running', kind: 'reading', unit: 'V',
    outcomes: [{ id: 'under-0.2', base: 0.93 }, { id: '0.2-to-0.5', base: 0.05 }, { id: 'over-0.5', base: 0.02 }], minutes: 4, risk: 2, needs: 'meter, helper',
  },
  {
    id: 'o-unit-feed', question: 'Feed at the unit plug, key on and cranking', kind: 'reading', unit: 'V', outcomes: [{ id: 'good', base: 0.97 }, { id: 'lost-cranking', base: 0.01 }, { id: 'none', base: 0.02 }],
    minutes: 8, risk: 2, needs: 'meter, pin table',
  },
  {
    id: 'o-crank-rpm', question: 'Engine speed seen by the unit while cranking', kind: 'reading', unit: 'rpm',
    outcomes: [{ id: 'steady-150-to-300', base: 0.94 }, { id: 'slow', base: 0.02 }, { id: 'erratic', base: 0.02 }, { id: 'zero', base: 0.02 }], minutes: 2, risk: 2, needs: 'tool',
  },
  { id: 'o-sync', question: 'Crank and cam synchronised', kind: 'yes/no', outcomes: [{ id: 'synced', base: 0.96 }, { id: 'lost-or-never', base: 0.04 }], minutes: 2, risk: 2, needs: 'tool' },
  {
    id: 'o-spark', question: 'Spark on a tester, each coil', kind: 'level', outcomes: [{ id: 'all-strong', base: 0.95 }, { id: 'some', base: 0.03 }, { id: 'none', base: 0.02 }], minutes: 10, risk: 3,
    needs: 'tester, fuel off',
  },
  {
    id: 'o-injector-lamp', question: 'Test lamp at the injector plugs while cranking', kind: 'level', outcomes: [{ id: 'all-flash', base: 0.95 }, { id: 'some', base: 0.03 }, { id: 'none', base: 0.02 }], minutes: 8,
    risk: 2, needs: 'lamp',
  },
  { id: 'o-clear-flood', question: 'Throttle fully open, pump off, crank 5 s', kind: 'yes/no', outcomes: [{ id: 'no-change', base: 0.9 }, { id: 'catches', base: 0.1 }], minutes: 2, risk: 2, needs: 'helper' },
  {
    id: 'o-sensor-page', question: 'Live data, key on, cold: coolant = air, pressure = barometer, throttle 0 to 100 %, air mass about 1 to 1.4 g/s a litre at hot idle (common practice)', kind: 'reading',
    outcomes: [{ id: 'plausible', base: 0.94 }, { id: 'coolant-wrong', base: 0.015 }, { id: 'pressure-wrong', base: 0.015 }, { id: 'airmass-wrong', base: 0.015 }, { id: 'throttle-wrong', base: 0.015 }], minutes: 3,
    risk: 1, needs: 'tool; displacement',
  },
  {
    id: 'o-trim', question: 'Fuel trims, warm, idle and 2500 rpm', kind: 'reading', unit: '%',
    outcomes: [{ id: 'within-10', base: 0.85 }, { id: 'lean-idle', base: 0.05 }, { id: 'lean-load', base: 0.05 }, { id: 'rich', base: 0.05 }], minutes: 6, risk: 2, needs: 'running warm, tool',
  },
  {
    id: 'o-lambda', question: 'Oxygen reading', kind: 'reading', outcomes: [{ id: 'near-one', base: 0.88 }, { id: 'rich', base: 0.05 }, { id: 'lean', base: 0.05 }, { id: 'stuck', base: 0.02 }], minutes: 4, risk: 2,
    needs: 'running warm',
  },
  { id: 'o-smoke-test', question: 'Intake smoke test', kind: 'yes/no', outcomes: [{ id: 'tight', base: 0.93 }, { id: 'leaks', base: 0.07 }], minutes: 20, risk: 1, needs: 'smoke machine' },
  {
    id: 'o-timing-light', question: 'Spark timing by light against commanded', kind: 'reading', unit: 'deg', outcomes: [{ id: 'agrees', base: 0.97 }, { id: 'constant-offset', base: 0.015 }, { id: 'jumps', base: 0.015 }],
    minutes: 10, risk: 2, needs: 'light; clear of belts',
  },
  {
    id: 'o-codes', question: 'Trouble codes, first group shown', kind: 'level',
    outcomes: [{ id: 'none', base: 0.66 }, { id: 'crank-or-cam', base: 0.04 }, { id: 'throttle', base: 0.04 }, { id: 'sensor', base: 0.1 }, { id: 'misfire-or-fuel', base: 0.1 }, { id: 'immobiliser', base: 0.02 }, { id: 'gearbox', base: 0.04 }],
    minutes: 3, risk: 1, needs: 'tool',
  },
  {
    id: 'o-compression', question: 'Compression, all plugs out, throttle open', kind: 'reading', unit: 'bar', outcomes: [{ id: 'even', base: 0.95 }, { id: 'some-low', base: 0.03 }, { id: 'all-low', base: 0.02 }],
    minutes: 40, risk: 2, needs: 'helper; lowest at least 75 % of highest (common practice)',
  },
  {
    id: 'o-oil-flow', question: 'Oil at an opened port or filter seat while cranking', kind: 'level', outcomes: [{ id: 'flows', base: 0.96 }, { id: 'foams', base: 0.02 }, { id: 'none', base: 0.02 }], minutes: 20,
    risk: 2, needs: 'fuel and spark off, tray, eyes',
  },
  {
    id: 'o-oil-switch-test', question: 'Each oil switch with hand pump and ohmmeter', kind: 'yes/no', outcomes: [{ id: 'matches', base: 0.96 }, { id: 'other-kind', base: 0.04 }], minutes: 12, risk: 1,
    needs: 'switch out or tee',
  },
  {
    id: 'o-dash-earth', question: 'Earth and open each sender wire: does the dash do what its logic says', kind: 'yes/no', outcomes: [{ id: 'right', base: 0.97 }, { id: 'wrong', base: 0.03 }], minutes: 6, risk: 1,
    needs: 'key on, diagram',
  },
  {
    id: 'o-filter-lines', question: 'Filter number, bypass, remote in and out against the block ports', kind: 'yes/no', outcomes: [{ id: 'right', base: 0.985 }, { id: 'wrong', base: 0.015 }], minutes: 8, risk: 1,
    needs: 'lamp',
  },
  { id: 'o-filter-cut', question: 'Filter cut open, pleats spread', kind: 'level', outcomes: [{ id: 'clean', base: 0.975 }, { id: 'metal', base: 0.025 }], minutes: 15, risk: 1, needs: 'cutter, magnet' },
  {
    id: 'o-charge-volts', question: 'Volts at battery at 1500 rpm, lamps on', kind: 'reading', unit: 'V', outcomes: [{ id: '13.2-to-15', base: 0.95 }, { id: 'under-13.2', base: 0.035 }, { id: 'over-15', base: 0.015 }],
    minutes: 3, risk: 2, needs: 'meter, running',
  },
  { id: 'o-exciter', question: 'Volts at the exciter terminal, key on', kind: 'reading', unit: 'V', outcomes: [{ id: 'battery-volts', base: 0.97 }, { id: 'none', base: 0.03 }], minutes: 5, risk: 1, needs: 'meter' },
  { id: 'o-belt-line', question: 'Pulleys by straight edge, belt deflection', kind: 'reading', unit: 'mm', outcomes: [{ id: 'true', base: 0.96 }, { id: 'off', base: 0.04 }], minutes: 8, risk: 1, needs: 'engine off' },
  {
    id: 'o-gearbox-level', question: 'Gearbox fluid by the maker\'s method: level, look, smell', kind: 'level', outcomes: [{ id: 'right', base: 0.96 }, { id: 'low', base: 0.03 }, { id: 'burnt-or-foaming', base: 0.01 }],
    minutes: 8, risk: 2, needs: 'hot, level car',
  },
  {
    id: 'o-gearbox-unit', question: 'Gearbox unit: feed, throttle, speed, brake signals in live data', kind: 'level', outcomes: [{ id: 'present', base: 0.97 }, { id: 'missing', base: 0.03 }], minutes: 6, risk: 1,
    needs: 'tool',
  },
  {
    id: 'o-tv-travel', question: 'Throttle-valve cable at idle and at full throttle; pedal travel', kind: 'yes/no', outcomes: [{ id: 'right', base: 0.98 }, { id: 'wrong', base: 0.02 }], minutes: 6, risk: 1,
    needs: 'engine off, helper',
  },
  {
    id: 'o-bell-window', question: 'Through the inspection hole, turning by hand: bolts, plate, teeth', kind: 'level',
    outcomes: [{ id: 'sound', base: 0.985 }, { id: 'bolt-loose', base: 0.005 }, { id: 'crack', base: 0.005 }, { id: 'teeth-milled', base: 0.005 }], minutes: 25, risk: 3, needs: 'car raised, battery off',
  },
  {
    id: 'o-contact', question: 'Contact paint or paper round the gap list, engine pried both ways', kind: 'count', outcomes: [{ id: 'free', base: 0.93 }, { id: 'touches', base: 0.07 }], minutes: 15, risk: 1,
    needs: 'bar, lamp',
  },
  { id: 'o-exhaust-joints', question: 'Exhaust joints by smoke or by soap at low air', kind: 'count', outcomes: [{ id: 'tight', base: 0.92 }, { id: 'leaks', base: 0.08 }], minutes: 15, risk: 1, needs: 'cold' },
  {
    id: 'o-cal-id', question: 'Program number, base sheet, injector and trigger data against the engine card', kind: 'yes/no',
    outcomes: [{ id: 'match', base: 0.97 }, { id: 'wrong-program', base: 0.015 }, { id: 'wrong-data', base: 0.015 }], minutes: 8, risk: 0, needs: 'tool, engine card',
  },
  { id: 'o-clear-hose', question: 'Clear hose in feed and return', kind: 'level', outcomes: [{ id: 'clear', base: 0.97 }, { id: 'bubbles', base: 0.03 }], minutes: 12, risk: 2, needs: 'diesel; clean hose' },
  { id: 'o-feed-diesel', question: 'Lift pump pressure at the filter', kind: 'reading', unit: 'bar', outcomes: [{ id: 'in-band', base: 0.97 }, { id: 'low', base: 0.03 }], minutes: 12, risk: 2, needs: 'gauge; band of the manual' },
  {
    id: 'o-glow', question: 'Ampere through each glow plug, controller on time', kind: 'reading', unit: 'A', outcomes: [{ id: 'all', base: 0.95 }, { id: 'some-or-none', base: 0.05 }], minutes: 8, risk: 1,
    needs: 'clamp meter',
  },
  {
    id: 'o-stop-vacuum', question: 'Stop valve and its line on a hand pump, 1 min', kind: 'reading', unit: 'kPa', outcomes: [{ id: 'holds', base: 0.97 }, { id: 'leaks', base: 0.03 }], minutes: 6, risk: 0,
    needs: 'hand pump; level the manual',
  },
  {
    id: 'o-lash', question: 'Valve lash, every valve', kind: 'reading', unit: 'mm', outcomes: [{ id: 'in-limits', base: 0.96 }, { id: 'tight', base: 0.02 }, { id: 'wide', base: 0.02 }], minutes: 60, risk: 1,
    needs: 'cover off, limits of the manual',
  },
  { id: 'o-hand-turn', question: 'Turn the engine two turns by hand', kind: 'level', outcomes: [{ id: 'free', base: 0.99 }, { id: 'heavy-or-stops', base: 0.01 }], minutes: 4, risk: 1, needs: 'battery off, gearbox free' },
  {
    id: 'o-start-signal', question: 'Volts at the solenoid terminal, key at start', kind: 'reading', unit: 'V', outcomes: [{ id: 'present', base: 0.97 }, { id: 'absent', base: 0.03 }], minutes: 4, risk: 2,
    needs: 'meter, helper, chocks',
  },
  {
    id: 'o-idle-valve-test', question: 'Command the idle valve or unplug it: does idle move', kind: 'yes/no', outcomes: [{ id: 'responds', base: 0.97 }, { id: 'none', base: 0.03 }], minutes: 4, risk: 2,
    needs: 'running or tool',
  },
];
