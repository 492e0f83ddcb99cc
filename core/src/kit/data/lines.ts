import { when } from '../../facts/index.ts';
import type { KitLineDef } from '../types.ts';

/** What an order must not leave off. Prices low, likely, high: estimates in neutral units, replaced by the shop's own buys. */
export const kitLines: readonly KitLineDef[] = [
  {
    id: 'kit-mount-frame-brackets', touches: 'structure', system: 'mounts', title: 'Frame-side brackets or pads', when: when('rec-mount-pads = none or rec-factory-engines known'), options: 'donor body variant, left and right, weld-in or bolted',
    leftOut: 'unit hangs on the hoist for a day', price: [40, 120, 350],
  },
  {
    id: 'kit-mount-adapter', system: 'mounts', title: 'Engine-side arms or plates', when: when('cho-mount-school in {recipient-arms, fixed-hole-plate, sliding-plate, fabricated}'),
    options: 'hole row from gearbox length; raw or coated; left and right marked', leftOut: 'wrong row means a second lift; sides swapped in the air', price: [50, 110, 300],
  },
  {
    id: 'kit-mount-cushions', system: 'mounts', title: 'Engine cushions, new pair', when: when('always'), options: 'rubber, polyurethane or solid; height under load', optionsFrom: ['cho-mount-material'],
    leftOut: 'old cushions settle, sump meets crossmember', price: [30, 80, 200],
  },
  {
    id: 'kit-gearbox-mount', system: 'mounts', title: 'Gearbox mount, angle shims and wedges', when: when('always'), behind: true, options: 'rubber or stiffer; height; bolt pattern; angle of shim', optionsFrom: ['gbx-mount-place'],
    leftOut: 'torn by the new torque; shudder at road speed', price: [20, 60, 160],
  },
  {
    id: 'kit-gearbox-crossmember', system: 'mounts', title: 'Crossmember or relocation plates', when: when('gbx-mount-place known and rec-gearbox-crossmember in {fixed, bolted-one-place, none}'),
    behind: true, options: 'modular, made or in an exhaust set (not twice)', leftOut: 'clash found with the unit in the car', price: [60, 220, 500],
  },
  {
    id: 'kit-bell-adapter', system: 'drive end', title: 'Adapter plate or adapter bell with dowels and bolts', when: when('eng-bell-pattern != gbx-bell-pattern'), behind: true, options: 'thickness, starter side, dowel length',
    leftOut: 'every length behind it is wrong', price: [150, 400, 1200],
  },
  {
    id: 'kit-bell-bolts', system: 'drive end', title: 'Bell bolts and dowels', when: when('always'), behind: true, options: 'lengths by hole; open threads sealed', leftOut: 'bolts too short after a plate; dowels seized or missing',
    price: [10, 30, 80],
  },
  {
    id: 'kit-flexplate', system: 'drive end', title: 'Flexplate and its ring', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, transaxle-automatic}'),
    behind: true, options: 'crank circle, converter circle, teeth, thickness, balance', leftOut: 'stock thin plate cracks; wrong balance shakes', price: [50, 140, 450],
  },
  {
    id: 'kit-flywheel', system: 'drive end', title: 'Flywheel', when: when('gbx-kind in {manual, transaxle-manual}'), behind: true, options: 'dual-mass or solid, mass, trigger pattern kept, clutch pattern',
    leftOut: 'sensor reads nothing; idle hunts', price: [80, 280, 700],
  },
  {
    id: 'kit-flexplate-bolts', system: 'drive end', title: 'Crank bolts, new', when: when('always'), behind: true, options: 'length for plate and spacer, class, threadlocker', optionsFrom: ['eng-crank-flange'],
    leftOut: 'too short after a thicker plate: joining stops', price: [15, 35, 90],
  },
  {
    id: 'kit-converter', system: 'drive end', title: 'Converter, new or checked', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic}'), behind: true, options: 'stall, hub, spline, bolt circle, lock-up',
    optionsFrom: ['gbx-converter-seat'], leftOut: 'slips, or stall misses the cam', price: [150, 450, 1100],
  },
  {
    id: 'kit-converter-bolts', system: 'drive end', title: 'Converter bolts and spacer washers', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic}'), behind: true, options: 'thread, head height, equal spacers',
    leftOut: 'loose bolt knocks like a rod', price: [8, 20, 50],
  },
  {
    id: 'kit-clutch-set', system: 'drive end', title: 'Cover, disc, alignment tool', when: when('gbx-kind in {manual, transaxle-manual}'), behind: true, options: 'spline, disc diameter equal to ring, torque, new bolts',
    optionsFrom: [{ fact: 'gbx-input-shaft', parts: ['spline-count', 'spline-outside-diameter'] }, { fact: 'eng-flywheel', parts: ['friction-size', 'clutch-pattern'] }, 'gbx-release-kind', 'eng-torque'],
    leftOut: 'spline fits, disc too small: slips', price: [150, 400, 1000],
  },
  {
    id: 'kit-pilot', system: 'drive end', title: 'Pilot bearing or bush', when: when('gbx-kind = manual'), behind: true, options: 'inner size, depth, crank or flywheel', optionsFrom: ['eng-pilot-bore'],
    leftOut: 'howl with clutch down; shaft unsupported', price: [5, 20, 60],
  },
  {
    id: 'kit-release', system: 'drive end', title: 'Release bearing, fork, pivot, or concentric slave', when: when('gbx-kind in {manual, transaxle-manual}'), behind: true, options: 'height, spacer', optionsFrom: ['gbx-release-kind'],
    leftOut: 'over-travel, fluid in the bell', price: [25, 110, 300],
  },
  {
    id: 'kit-slave-lines', system: 'drive end', title: 'Slave, pressure line, remote bleed line', when: when('gbx-release-kind in {external-slave, concentric-slave}'), behind: true, options: 'thread, quick coupling, bleed brought up',
    leftOut: 'bleed screw cannot be reached once in', price: [30, 90, 220],
  },
  {
    id: 'kit-starter', system: 'drive end', title: 'Starter that suits bell and ring', when: when('always'), options: 'teeth, nose clocking, current, heat shield', leftOut: 'bought before the bell is known',
    price: [60, 160, 400],
  },
  {
    id: 'kit-trigger', system: 'drive end', title: 'Trigger wheel, bracket, sensor', when: when('cho-control = standalone or fit-crank-trigger says Adapt'), options: 'teeth, place, offset, sensor kind',
    leftOut: 'no speed signal on the first day', price: [40, 130, 350],
  },
  {
    id: 'kit-gasket-set', system: 'engine', title: 'Gaskets and seals for covers, intake, exhaust, sump, well seals, washers', when: when('always'),
    options: 'exact variant; half-moon plugs; cover and sump bolts in the box or not; sump ring or sealant', leftOut: 'one gasket short holds the turbo, the cover or the sump', price: [45, 170, 450],
  },
  {
    id: 'kit-crank-seals', system: 'engine', title: 'Front and rear crank seals, carrier gasket', when: when('eng-condition != new'), options: 'carrier in or apart, fitting tool, pulley by installer or by heat',
    leftOut: 'an hour now; later a front strip or the gearbox out again', price: [20, 60, 170],
  },
  {
    id: 'kit-timing-set', system: 'engine', title: 'Belt or chain, tensioner, idlers, bolts', when: when('eng-cam-drive = belt or eng-condition in {stood, not-known}'),
    options: 'early or late variant; manual or automatic tensioner', optionsFrom: ['don-mileage'], leftOut: 'bent valves', price: [60, 180, 600],
  },
  {
    id: 'kit-water-pump', system: 'engine', title: 'Water pump and gasket', when: when('eng-cam-drive = belt or don-mileage > 80000'), options: 'impeller material, outlet count by model', leftOut: 'front off again',
    price: [30, 90, 250],
  },
  {
    id: 'kit-thermostat', system: 'engine', title: 'Thermostat, seal, housing', when: when('always'), options: 'temperature, side, bleed hole up', optionsFrom: ['eng-thermostat'], leftOut: 'never warms or boils',
    price: [10, 35, 110],
  },
  {
    id: 'kit-blanking', system: 'engine', title: 'Plugs for every unused water, oil, vacuum and block port; gallery and core plugs of a rebuild', when: when('always'),
    options: 'thread, taper or parallel, press or screw; count in = count out; those behind headers go in first', optionsFrom: ['eng-coolant-ports'],
    leftOut: 'opened port found at fill; oil takes the short way: no pressure', price: [10, 40, 150],
  },
  {
    id: 'kit-leads-coils', system: 'engine', title: 'Plugs, leads or coils, boots', when: when('eng-ignition-kind != diesel-none'), options: 'heat range, reach, gap as supplied, coil height under hood',
    optionsFrom: ['eng-firing-order'], leftOut: 'misfire sold as a tune fault; coil too tall', price: [30, 110, 350],
  },
  {
    id: 'kit-sensors-renew', system: 'engine', title: 'Crank, cam, temperature, knock sensors to be renewed', when: when('always'), options: 'kind by plug of the loom, not by engine year',
    leftOut: 'wrong style found at first crank', price: [20, 120, 400],
  },
  {
    id: 'kit-glow', system: 'engine', title: 'Glow plugs, control unit, bus strip', when: when('eng-fuel = diesel'), options: 'voltage, reach, chamber reamed first', leftOut: 'hard start blamed on the pump',
    price: [30, 110, 300],
  },
  {
    id: 'kit-diesel-stop', system: 'engine', title: 'Stop valve, vacuum line, second stop means', when: when('eng-diesel-stop != not-diesel'), options: 'vacuum, solenoid, cable', leftOut: 'engine will not stop',
    price: [10, 50, 160],
  },
  {
    id: 'kit-sealant', system: 'engine', title: 'Sealants, threadlock, anti-seize, assembly oil by product', when: when('always'), options: 'maker\'s product per joint; cure time; deviation signed',
    leftOut: 'leak at the cap corners', price: [20, 50, 120],
  },
  {
    id: 'kit-fasteners', system: 'engine', title: 'Mount bolts, stretch bolts, long studs, odd lengths from the stack-up sheet', when: when('always'),
    options: 'length, class (8.8, 10.9, grade 8), finish; through-bolt way round', leftOut: 'one fastener stops a whole day', price: [25, 100, 300],
  },
  {
    id: 'kit-turbo-service', system: 'engine', title: 'Turbo core or seals, flange gaskets, studs', when: when('eng-induction = turbo'), options: 'gasket of each flange, drain seals', optionsFrom: ['don-mileage'],
    leftOut: 'blow-by trace found with no gasket on hand', price: [30, 250, 1200],
  },
  {
    id: 'kit-sump', system: 'oil', title: 'Sump that clears, guard, accumulator where wanted', when: when('cho-sump in {recipient-variant, aftermarket, modified, dry-sump} or fit-ground-clearance says Adapt'),
    options: 'depth, bowl place, baffles, pump control it removes; guard with drain reach; accumulator volume and line away from headers where it goes on the track',
    leftOut: 'engine is the lowest part of the car; pressure dips in bends', price: [80, 400, 1700],
  },
  {
    id: 'kit-pickup', system: 'oil', title: 'Pick-up, brace, new ring', when: when('cho-sump != donor-sump or eng-condition in {rebuilt, stood}'), options: 'length for depth, brace, ring size',
    leftOut: 'torn ring sucks air, engine is lost', price: [10, 50, 160],
  },
  {
    id: 'kit-dipstick', system: 'oil', title: 'Dipstick and tube for the new sump', when: when('cho-sump != donor-sump or cho-exhaust = long-tube'), options: 'mark set to measured fill, route off the header',
    optionsFrom: ['eng-filter-dipstick'], leftOut: 'level unknown; tube melts', price: [10, 35, 90],
  },
  {
    id: 'kit-oil-filter', system: 'oil', title: 'Filter, and one more for the early change', when: when('always'), options: 'thread, bypass, length, prefilled where it stands up', leftOut: 'wrong bypass, late pressure',
    price: [6, 15, 40],
  },
  {
    id: 'kit-filter-relocation', system: 'oil', title: 'Remote head, hoses, fittings, bracket', when: when('cho-oil-filter = remote'), options: 'in and out marked, bore, hose length, heat',
    optionsFrom: ['eng-filter-dipstick'], leftOut: 'lines crossed: no oil', price: [60, 160, 400],
  },
  {
    id: 'kit-oil-cooler', system: 'oil', title: 'Oil cooler, plate, lines', when: when('eng-induction = turbo or cho-goal = track'), options: 'size, thermostat plate, stock shelf part\'s rating',
    leftOut: 'temperature creeps on the road test', price: [60, 220, 600],
  },
  { id: 'kit-breather', system: 'oil', title: 'Breather, catch can, hoses', when: when('always'), options: 'bore, return or can, cap threads', leftOut: 'oil in the intake, seals pushed out', price: [10, 60, 220] },
  {
    id: 'kit-engine-oil', system: 'oil', title: 'Oil for fill, flush and early change', when: when('always'),
    options: 'grade and class of the engine; flush fill where it stood over a year (the manual); zinc-rich running-in oil where it has flat tappets (common practice; the manual first)',
    leftOut: 'short at the fill, wrong class, sludge in the new screen', price: [45, 130, 330],
  },
  { id: 'kit-oil-test-gauge', system: 'oil', title: 'Mechanical gauge, hose, adapter', when: when('always'), options: 'thread, range 0 to 7 bar', leftOut: 'pressure judged by a lamp', price: [20, 45, 120] },
  {
    id: 'kit-turbo-lines', system: 'oil', title: 'Turbo oil feed, drain, water pipes, seals', when: when('eng-induction = turbo'), options: 'restrictor, drain bore, heat sleeve, side of tank', optionsFrom: ['eng-turbo-drain'],
    leftOut: 'drain too long after a shallower sump', price: [40, 130, 350],
  },
  {
    id: 'kit-gearbox-service', system: 'gearbox', title: 'Filter, seals, bands or bearings', when: when('always'),
    behind: true, options: 'rating, all-drive or rear-drive tail, mock-up or final unit; changes on a mock-up unit copied to the final one before paint', leftOut: 'worn band accepted without a trigger', price: [60, 400, 2500],
  },
  {
    id: 'kit-gearbox-fluid', system: 'gearbox', title: 'Fluid by code, fill and top-up after cooler', when: when('always'), behind: true, options: 'grade, litres, level method', optionsFrom: ['gbx-fluid'],
    leftOut: 'filled after the first run: dry shaft', price: [25, 80, 200],
  },
  {
    id: 'kit-gearbox-cooler', system: 'gearbox', title: 'Cooler with own air, lines, ends, clips', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic, dual-clutch, transaxle-automatic}'),
    behind: true, options: 'rating by mass and stall, thermostat, 8 mm bore, thread and seat both ends, unused radiator ports capped', leftOut: 'first gearbox cooked; wrong seat drips on the exhaust', price: [70, 220, 620],
  },
  {
    id: 'kit-shifter', system: 'gearbox', title: 'Lever, rods or cable, boot, base seal', when: when('always'), behind: true, options: 'lever x, gates, cable length', optionsFrom: ['gbx-shift-link'], leftOut: 'lever under the dash',
    price: [40, 200, 600],
  },
  {
    id: 'kit-start-inhibitor', system: 'gearbox', title: 'Start inhibitor and reverse lamp switch', when: when('always'), behind: true, options: 'contact, plug, clutch switch for manual', optionsFrom: ['gbx-switches'],
    leftOut: 'starts in gear; no reverse lamp at inspection', price: [10, 35, 90],
  },
  {
    id: 'kit-tv-cable', system: 'gearbox', title: 'Throttle-valve or kickdown cable and bracket with right geometry', when: when('gbx-throttle-link in {throttle-valve-cable, kickdown-cable} and gbx-kind in {automatic-hydraulic, transaxle-automatic}'),
    behind: true, options: 'throttle body bracket, travel', leftOut: 'burnt clutches on the first drive', price: [30, 90, 220],
  },
  {
    id: 'kit-gearbox-controller', system: 'gearbox', title: 'Controller, case plug, lock-up feed, throttle and brake inputs', when: when('cho-gearbox-control = own-controller'),
    behind: true, options: 'connector, tune, pin table, source of the throttle signal; a separate unit only for own-controller', optionsFrom: ['gbx-control'],
    leftOut: 'engine runs, car does not shift; no lock-up runs hot; a large sum not in the quote', price: [40, 700, 1500],
  },
  {
    id: 'kit-speed-sensor', system: 'gearbox', title: 'Output speed sensor or drive gear', when: when('gbx-speed-signal = none or fit-speedo says Adapt'), behind: true, options: 'pulses, thread', leftOut: 'no speed, no upshift',
    price: [20, 70, 200],
  },
  {
    id: 'kit-clutch-pedal', system: 'controls', title: 'Pedal box, bracket, stop, switch', when: when('rec-clutch-pedal = no and gbx-kind in {manual, transaxle-manual}'), options: 'hole in firewall, ratio',
    leftOut: 'conversion priced without the third pedal', price: [60, 200, 450],
  },
  {
    id: 'kit-clutch-master', system: 'controls', title: 'Master, reservoir, hard line, hose', when: when('gbx-release-kind in {external-slave, concentric-slave}'), options: 'bore against slave travel, fluid kind',
    leftOut: 'heavy pedal or drags', price: [40, 120, 300],
  },
  {
    id: 'kit-propshaft', system: 'driveline', title: 'Shaft made or altered, balanced', toPlace: true, when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive}'),
    behind: true, options: 'length at ride height after final position, tube, speed',
    optionsFrom: ['rec-pinion-place', { fact: 'gbx-output', parts: ['spline-count', 'flange-or-yoke'] }], leftOut: 'ordered early, wrong length', price: [120, 350, 900],
  },
  {
    id: 'kit-axle-wedge', system: 'driveline', title: 'Wedges under the axle seats, longer spring bolts', when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive} and cho-wedge > 0 or rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive} and cho-wedge < 0'), options: 'angle, width of the spring, length of the centre bolt; one pair, both sides alike', optionsFrom: ['cho-wedge'],
    leftOut: 'shaft made to an angle that nobody can set; old bolts too short over the wedge', price: [15, 40, 90],
  },
  {
    id: 'kit-shaft-joints', system: 'driveline', title: 'Slip yoke or flange, joints, straps, bolts', when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive}'), behind: true, options: 'spline, seal size, series at both ends, adapter joint',
    leftOut: 'old yoke leaks at the tail seal; joint of two series ordered singly', price: [45, 150, 400],
  },
  {
    id: 'kit-halfshafts', system: 'driveline', title: 'Half shafts, nuts, intermediate bearing', toPlace: true, when: when('rec-drive-layout in {front-transverse, mid-engine, rear-engine}'), behind: true, options: 'splines, lengths, sensor ring',
    leftOut: 'engine in, car cannot move', price: [120, 400, 1200],
  },
  {
    id: 'kit-axle-parts', system: 'driveline', title: 'Ratio, bearings, seals, oil', when: when('fit-torque-chain says Adapt or fit-gearing says Adapt'), behind: true, options: 'ratio, rating', leftOut: 'first bolt-up is the weak link',
    price: [60, 400, 1500],
  },
  {
    id: 'kit-tank', system: 'fuel', title: 'Injected-year or baffled tank', when: when('rec-tank-baffled = no and eng-fuelling in {throttle-body-injection, port-injection, direct-injection}'),
    options: 'body year, sender ohms, filler, rust', leftOut: 'surges in bends, cuts out', price: [80, 200, 600],
  },
  {
    id: 'kit-pump-hanger', system: 'fuel', title: 'Module or hanger, seal ring, strainer, sender', when: when('cho-pump-place = in-tank'), options: 'depth of tank, plug, ring', optionsFrom: ['rec-tank-ports'],
    leftOut: 'strainer above the floor: dry at a quarter', price: [30, 110, 350],
  },
  {
    id: 'kit-surge-pot', system: 'fuel', title: 'Pot, lift pump, returns', when: when('cho-pump-place = surge-pot and rec-tank-baffled = no or rec-tank-baffled = no and eng-fuelling in {port-injection, throttle-body-injection, direct-injection} and cho-pump-place != in-tank'), options: 'volume 1 to 3 L, place, bracket', leftOut: 'injection gulps air',
    price: [60, 180, 450],
  },
  {
    id: 'kit-pump', system: 'fuel', title: 'Pump by flow at rail pressure, flow arrow seen', when: when('eng-fuelling != diesel-mechanical and cho-pump-place != engine-driven'),
    options: '255 L/h covers a stock port-injected vee engine of 5 to 6 L (common practice); kind, connector, current', optionsFrom: ['rec-tank-pump'], leftOut: 'lean at load; fitted backwards', price: [40, 140, 450],
  },
  {
    id: 'kit-fuel-filter', system: 'fuel', title: 'Suction filter 100 micron where the pump is inline, pressure filter 10 micron injection, 40 carburettor (common practice)', when: when('always'),
    options: 'ends, arrows, with regulator or plain', optionsFrom: ['cho-pump-place'], leftOut: 'pump eats rust; injectors plugged', price: [15, 50, 160],
  },
  {
    id: 'kit-regulator', system: 'fuel', title: 'Regulator with port for gauge', when: when('cho-fuel-system in {return-regulator-on-rail, return-regulator-external, returnless-tank-regulator, carburettor-low-pressure}'),
    options: 'spring range, vacuum port or not, place', optionsFrom: ['eng-rail-ports'], leftOut: 'surplus fuel has no way back', price: [20, 80, 250],
  },
  {
    id: 'kit-fuel-hose', system: 'fuel', title: 'Hose and tube for feed and return, clips, injection clamps', when: when('always'),
    options: 'rating for injection pressure and fuel (standard SAE J30 R9 or R14, memory), tube, sleeve, rubber-lined clip every 300 to 450 mm (common practice)', optionsFrom: ['rec-fuel-line-bore'],
    leftOut: 'low-pressure hose bursts on a hot day; chafe', price: [35, 130, 390],
  },
  {
    id: 'kit-fuel-fittings', system: 'fuel', title: 'Ends, unions, quick connectors, washers, spare of each angle', when: when('always'), options: 'count from the routing; one size throughout',
    leftOut: 'one 90-degree end missing', price: [30, 120, 350],
  },
  {
    id: 'kit-fuel-gauge-port', system: 'fuel', title: 'Gauge, test port or sensor at rail', when: when('eng-fuelling not in {carburettor, diesel-mechanical}'), options: 'range, sensor scaling', leftOut: 'pressure is guessed',
    price: [15, 45, 160],
  },
  {
    id: 'kit-pump-relay', system: 'fuel', title: 'Relay, fuse, inertia or roll-over cut-off', when: when('cho-pump-place in {in-tank, inline, surge-pot}'), options: 'one-shot prime, run with crank signal',
    leftOut: 'pump runs on after a crash', price: [15, 45, 120],
  },
  {
    id: 'kit-evap', system: 'fuel', title: 'Canister, purge valve, vent lines, cap', when: when('eng-fuel != diesel and rec-inspection-regime in {safety-and-tailpipe, safety-and-plug-in}'), options: 'volume, plug',
    leftOut: 'smell, failed test', price: [30, 120, 350],
  },
  {
    id: 'kit-fresh-fuel', system: 'fuel', title: 'Fresh fuel of the tune\'s grade, 15 to 20 L', when: when('always'), options: 'octane, stale fuel out first', optionsFrom: ['eng-fuel'],
    leftOut: 'first start on two-year-old fuel', price: [15, 35, 60],
  },
  {
    id: 'kit-injector-adapters', system: 'fuel', title: 'Injector plugs, spacers, rings, resistors', when: when('fit-sensor-plugs says Adapt'), options: 'plug style, length, impedance', leftOut: 'rail will not sit down',
    price: [15, 60, 180],
  },
  {
    id: 'kit-intake-pipe', system: 'air', title: 'Pipe, boots, clamps, sensor bosses, filter and housing', when: when('always'),
    options: 'bore, bends, boss for air temperature and breather, cold-air feed, rain; boots often not in the box', optionsFrom: ['eng-intake-mouth'], leftOut: 'rag as a filter at first start; hot air',
    price: [50, 190, 520],
  },
  {
    id: 'kit-maf-adapter', system: 'air', title: 'Air-mass housing of the calibration\'s bore, straight run', when: when('eng-load-sensor in {air-mass, both} and cho-control not in {carburettor-distributor, mechanical-diesel}'),
    options: 'arrow, screen, 1 to 2 diameters straight before it (common practice)', leftOut: 'reversed: stalls as it starts', price: [10, 45, 150],
  },
  {
    id: 'kit-throttle-body', system: 'air', title: 'Throttle body, gasket', when: when('fit-throttle says Adapt'), options: 'bolt pattern, stiffness of plate, return', leftOut: 'cheap plate bends: idle never settles',
    price: [30, 150, 450],
  },
  {
    id: 'kit-throttle-cable', system: 'controls', title: 'Cable, bracket, second spring', when: when('eng-throttle-kind = cable'), options: 'length, end, bracket', optionsFrom: ['rec-throttle-pedal'],
    leftOut: 'sticking throttle is a danger', price: [15, 40, 110],
  },
  {
    id: 'kit-pedal', system: 'controls', title: 'By-wire pedal of the unit\'s set, plate', when: when('eng-throttle-kind = by-wire and cho-control not in {recipient-unit-kept, carburettor-distributor, mechanical-diesel}'), options: 'same donor as the unit, plug', optionsFrom: ['don-ecu-set', 'rec-throttle-pedal'],
    leftOut: 'bought later as a single piece at three times the price', price: [25, 80, 220],
  },
  { id: 'kit-vacuum-caps', system: 'air', title: 'Caps, plugs and hose for every port', when: when('eng-vacuum-ports > 0 and eng-fuel != diesel'), options: 'sizes counted', leftOut: 'high idle, lean', price: [4, 12, 30] },
  {
    id: 'kit-booster-hose', system: 'air', title: 'Booster hose, check valve, stepped adapter', when: when('rec-brake-assist = vacuum'), options: 'bores both ends, fuel-vapour proof', leftOut: 'no assist at the first stop',
    price: [10, 35, 90],
  },
  { id: 'kit-vacuum-pump', system: 'air', title: 'Vacuum pump, switch, reservoir', when: when('fit-booster-vacuum says Clash'), options: 'current, noise, cut-in', leftOut: 'pedal goes hard', price: [80, 220, 500] },
  {
    id: 'kit-intercooler', system: 'air', title: 'Cooler, pipes, clamps, brackets', when: when('eng-induction != none'), options: 'core size, bar to be cut (use a spare bar)', leftOut: 'pipe meets radiator',
    price: [120, 400, 1200],
  },
  {
    id: 'kit-manifolds', system: 'exhaust', title: 'Manifolds or headers for this engine, body and crossmember', when: when('cho-exhaust in {factory-manifolds, shorty, long-tube, fabricated}'), options: 'three-way fit, port shape, plug reach, coating only after fit',
    optionsFrom: ['eng-exhaust-exit'], leftOut: 'weeks of cutting a wrong set', price: [80, 450, 1500],
  },
  {
    id: 'kit-exhaust-gaskets', system: 'exhaust', title: 'Flange gaskets, studs, nuts, springs', when: when('always'), options: 'studs come out with their nuts', leftOut: 'old stud shears; leak before the sensor',
    price: [15, 50, 140],
  },
  {
    id: 'kit-exhaust-mid', system: 'exhaust', title: 'Mid pipe, bends, silencers, tail', toPlace: true, when: when('always'), options: 'bore same through, sound wish, ground height', optionsFrom: ['rec-exhaust-path'],
    leftOut: 'made before the gearbox is final', price: [120, 450, 1300],
  },
  {
    id: 'kit-hangers', system: 'exhaust', title: 'Rubber hangers, brackets, flexible joint or ball flange', when: when('always'), options: 'engine roll allowed, bore', leftOut: 'pipe knocks; manifold cracks',
    price: [20, 70, 200],
  },
  {
    id: 'kit-catalyst', system: 'exhaust', title: 'Catalyst of the wanted class, heat shield', when: when('rec-inspection-regime in {safety-and-tailpipe, safety-and-plug-in, individual-approval}'),
    options: 'approval mark, distance from ports', optionsFrom: ['don-emission-set'], leftOut: 'fails the test', price: [90, 350, 1400],
  },
  {
    id: 'kit-o2-bungs', system: 'exhaust', title: 'Sensor bosses, up and down stream, plugs', when: when('cho-control != mechanical-diesel and cho-control != carburettor-distributor'),
    options: 'place, angle above level, count', optionsFrom: ['eng-o2-sensors'], leftOut: 'exhaust closed without them', price: [5, 15, 40],
  },
  {
    id: 'kit-o2-sensors', system: 'exhaust', title: 'Oxygen sensors, leads to reach', when: when('eng-o2-sensors > 0 and cho-control not in {carburettor-distributor, mechanical-diesel}'), options: 'kind, lead length, renewed while pipes are off', leftOut: 'lead 300 mm short',
    price: [25, 120, 350],
  },
  {
    id: 'kit-heat-shield', system: 'heat', title: 'Metal shields with stand-offs, sleeve, wrap, metal ties', when: when('always'),
    options: 'starter, steering joint, floor, tank; sleeve bore per pipe, overlap over joints; no plastic ties near exhaust', leftOut: 'soaked starter, boiled line, melted loom', price: [25, 110, 360],
  },
  {
    id: 'kit-radiator', system: 'cooling', title: 'Radiator with brackets', when: when('cho-radiator != recipient'), options: 'sides and bores of ports, cap height, weldable alloy known',
    optionsFrom: [{ fact: 'rec-radiator-core', parts: ['height', 'width', 'overall-depth'] }, 'eng-coolant-ports', { fact: 'cho-fan', parts: ['value'] }],
    leftOut: 'ports mirrored; brackets to be made', price: [120, 280, 700],
  },
  {
    id: 'kit-fan', system: 'cooling', title: 'Fan or fans by flow and depth, shroud with flaps', when: when('always'),
    options: 'puller or pusher, depth, flow, current at start and run; shroud covers at least 70 % of core (common practice)', optionsFrom: ['cho-fan', 'rec-radiator-core'],
    leftOut: 'fan meets pulley; blows the wrong way; hot in traffic only', price: [60, 250, 650],
  },
  {
    id: 'kit-fan-relay', system: 'cooling', title: 'Fan relays, fuses, loom, override switch', when: when('cho-fan in {electric-puller, electric-pusher}'), options: 'fan option ticked on the loom order',
    leftOut: 'fans on the list, no control on the loom', price: [25, 80, 200],
  },
  {
    id: 'kit-hoses', system: 'cooling', title: 'Top, bottom, by-pass, moulded or pieced, stepped hoses, joiners with beads', when: when('always'), options: 'bore and bend at each end, hidden short hoses too',
    optionsFrom: ['rec-radiator-ports'], leftOut: 'start put off for one hose; leaks as soon as a clamp is eased', price: [35, 130, 380],
  },
  { id: 'kit-clamps', system: 'cooling', title: 'Clamps by outside diameter', when: when('always'), options: 'clamp of the shop\'s school, lined for silicone', leftOut: 'clamp cuts the hose', price: [10, 30, 80] },
  {
    id: 'kit-header-tank', system: 'cooling', title: 'Header tank, bracket, cap neck', when: when('cho-fill-point = header-tank'), options: 'volume about 5 to 10 % of system air space (common practice), highest',
    leftOut: 'system cannot be filled', price: [30, 110, 300],
  },
  {
    id: 'kit-steam-vent', system: 'cooling', title: 'Steam and bleed lines with restrictor', when: when('eng-coolant-high-point known'), options: 'rising all the way, never plugged without thought',
    leftOut: 'air lock at rear cylinders', price: [10, 45, 130],
  },
  {
    id: 'kit-coolant', system: 'cooling', title: 'Coolant concentrate, clean water, cap of the right pressure', when: when('always'), options: 'technology, mix, litres plus one flush; one cap only holds pressure, seat depth',
    leftOut: 'mixed kinds gel; boils early or bursts the matrix', price: [25, 65, 140],
  },
  {
    id: 'kit-heater-hoses', system: 'cooling', title: 'Heater hoses, step pieces, valve', when: when('cho-heater = kept'), options: 'bores, restrictor', optionsFrom: ['rec-heater-bore'],
    leftOut: 'reversed or blocked: no demist', price: [15, 45, 120],
  },
  {
    id: 'kit-belt', system: 'accessory', title: 'Belt for this path, spare', when: when('always'), options: 'ribs, length computed, number written on the card', optionsFrom: ['eng-accessory-drive'],
    leftOut: 'stock belt after a delete', price: [10, 30, 80],
  },
  {
    id: 'kit-tensioner', system: 'accessory', title: 'Tensioner, idlers, spacers, studs', when: when('eng-belt-tensioner != none-centres-fixed'), options: 'boss conflict, belt line', leftOut: 'tensioner where the mount goes',
    price: [25, 90, 250],
  },
  {
    id: 'kit-accessory-brackets', system: 'accessory', title: 'Brackets of one spacing variant', when: when('eng-accessory-drive known'), options: 'variant, side, steering box clearance',
    leftOut: 'mixed variants, belt walks off', price: [60, 250, 800],
  },
  {
    id: 'kit-alternator', system: 'accessory', title: 'Alternator and plug pigtail', when: when('always'), options: 'output, exciter kind, side, place donor', optionsFrom: ['eng-alternator'],
    leftOut: 'plug style missing; never charges', price: [60, 170, 450],
  },
  {
    id: 'kit-ps-hoses', system: 'hydraulics', title: 'Pressure and return hoses, reservoir, fluid, pump or delete set', when: when('rec-steering-assist in {hydraulic, electric-pump} and cho-ps != manual'),
    options: 'thread, seat, angle at each end measured; fluid grade', optionsFrom: ['cho-ps', 'eng-ps-pump'], leftOut: 'wrong ends: days at the hose shop; dry pump at first start', price: [45, 155, 430],
  },
  { id: 'kit-ac-bracket', system: 'comfort', title: 'Compressor bracket, belt place', when: when('cho-ac in {kept, later}'), options: 'spacing variant', leftOut: 'rail or mount in the way', price: [40, 160, 450] },
  {
    id: 'kit-ac-lines', system: 'comfort', title: 'Hoses, ends, drier, seals, switch', when: when('cho-ac = kept'), options: 'ends turned or made, condenser', optionsFrom: ['eng-ac-compressor'],
    leftOut: 'chafed line, empty system', price: [60, 250, 700],
  },
  {
    id: 'kit-ac-service', system: 'comfort', title: 'Recovery, vacuum, charge by a certified person', when: when('rec-ac-state != none or cho-ac = kept'), options: 'date after road test',
    leftOut: 'vented, or charged before it must be opened again', price: [40, 120, 250],
  },
  {
    id: 'kit-ecu', system: 'control', title: 'Engine unit', when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'),
    options: 'generation, year with wanted functions, plug colours, gearbox control',
    optionsFrom: [{ fact: 'don-ecu-set', when: when('cho-control != standalone') }, 'eng-throttle-kind', { fact: 'gbx-control', when: when('gbx-kind not in {manual, transaxle-manual}') }], leftOut: 'paired with the wrong loom', price: [80, 500, 2200],
  },
  {
    id: 'kit-loom', system: 'control', title: 'Engine loom', when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'),
    options: 'alternator plug, injector plug, throttle, gearbox, fans, generation, branch lengths', 
    optionsFrom: [
      { fact: 'don-harness-state', when: when('cho-control != standalone') }, 'eng-layout', 'eng-throttle-kind',
      { fact: 'eng-injectors', parts: ['plug-style'], when: when('eng-fuelling not in {carburettor, diesel-mechanical}') },
      { fact: 'eng-alternator', parts: ['exciter'] }, 'eng-crank-sensor', { fact: 'eng-cam-sensor', parts: ['value'] },
      { fact: 'gbx-control', when: when('gbx-kind not in {manual, transaxle-manual}') },
      { fact: 'cho-fan', parts: ['value'] }, { fact: 'cho-fan', parts: ['count', 'current'], when: when('cho-fan in {electric-puller, electric-pusher}') },
    ],
    leftOut: 'one unticked box: a second loom',
    price: [100, 650, 1600],
  },
  {
    id: 'kit-ecu-program', system: 'control', title: 'Programming or base map', when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom, standalone}'),
    options: 'engine as built, options, key function, post days', optionsFrom: ['eng-ecu-id'], leftOut: 'sent too late: start waits by mail', price: [60, 200, 700],
  },
  {
    id: 'kit-immobiliser-set', system: 'control', title: 'Key, reader, body unit, or matching visit', when: when('eng-immobiliser-kind != none and cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom}'), options: 'whole set from one donor; authorised person',
    leftOut: 'no prime, no start, no one knows why', price: [30, 150, 500],
  },
  {
    id: 'kit-bus-gateway', system: 'control', title: 'Gateway for dash and body units', when: when('rec-body-network = gateway-needs-engine-data'), options: 'messages wanted', leftOut: 'dead dash, no assist',
    price: [120, 350, 900],
  },
  {
    id: 'kit-fusebox', system: 'electrics', title: 'Fuse and relay box with relays, or power module', when: when('rec-loom-state != sound or cho-control = standalone'),
    options: 'ways plus a third spare, sealed, place, suppressed coils', optionsFrom: ['cho-power-distribution'], leftOut: 'added circuits on one old fuse; coil spike resets the unit', price: [45, 160, 1000],
  },
  {
    id: 'kit-main-fuse', system: 'electrics', title: 'Main fuse or breaker near the battery; battery switch where it goes on the track', when: when('always'),
    options: 'rating by cable; switch with alternator discharge contact where rules ask', leftOut: 'unfused cable across the car; engine runs on after cut-off', price: [8, 40, 200],
  },
  {
    id: 'kit-battery', system: 'electrics', title: 'Battery and tray', when: when('always'), options: 'cold cranking A, size, vent if inside', optionsFrom: ['rec-battery', 'rec-electrical-system'],
    leftOut: 'slow crank eats the first start', price: [60, 130, 300],
  },
  {
    id: 'kit-battery-cables', system: 'electrics', title: 'Positive and negative cable, lugs, boots', when: when('always'), options: 'size by length and current; red only for positive',
    leftOut: 'black cable live at the starter', price: [25, 80, 220],
  },
  {
    id: 'kit-ground-straps', system: 'electrics', title: 'Engine to battery, engine to body, unit earths', when: when('always'), options: 'size at least that of the starter feed; paint off',
    leftOut: 'current goes home through the throttle cable', price: [8, 25, 60],
  },
  {
    id: 'kit-terminals', system: 'electrics', title: 'Terminals, seals, plugs, splices, right crimp dies', when: when('rec-loom-state != sound or fit-sensor-plugs says Adapt'), options: 'series per plug',
    leftOut: 'pliers crimp fails hot', price: [30, 90, 250],
  },
  { id: 'kit-labels', system: 'electrics', title: 'Printed labels, sleeves, clear cover', when: when('always'), options: 'both ends and each side of a splice', leftOut: 'banks swapped after lengthening', price: [5, 20, 60] },
  { id: 'kit-loom-cover', system: 'electrics', title: 'Sleeving, tape, clips, grommets', when: when('always'), options: 'temperature class, firewall grommet', leftOut: 'chafe in the firewall hole', price: [15, 50, 140] },
  {
    id: 'kit-diag-socket', system: 'electrics', title: 'Diagnostic socket and warning lamp', when: when('cho-control != mechanical-diesel and cho-control != carburettor-distributor'), options: 'pins, reachable for inspection',
    leftOut: 'inspection has nowhere to plug in', price: [5, 20, 60],
  },
  {
    id: 'kit-senders', system: 'instruments', title: 'Oil, temperature, fuel senders of the dash, thread adapters, tees, sandwich plate', when: when('cho-instruments in {recipient-dash, separate-gauges, digital-dash}'),
    options: 'curve, thread, one reader each, earth through the thread', optionsFrom: ['eng-oil-ports', 'rec-gauge-curves'], leftOut: 'dash blind beside a healthy engine', price: [25, 100, 290],
  },
  {
    id: 'kit-oil-switches', system: 'instruments', title: 'Low and high pressure switches', when: when('rec-oil-warning-logic = two-switch-low-and-high'), options: 'threshold, contact; harvested and tested',
    leftOut: 'buzzer for ever', price: [10, 35, 90],
  },
  {
    id: 'kit-gauges', system: 'instruments', title: 'Gauges or display', when: when('cho-instruments in {separate-gauges, digital-dash, plug-in-display}'),
    options: 'speed, engine speed, fuel, oil, temperature, volts all covered; foil left on until proven', optionsFrom: ['rec-dash-kind'], leftOut: 'three gauges and no speedometer', price: [60, 250, 1200],
  },
  {
    id: 'kit-tach-adapter', system: 'instruments', title: 'Pull-up, converter or filter', when: when('fit-tach says Adapt'), options: 'pulses a turn', optionsFrom: ['rec-tach-input'], leftOut: 'reads half or double',
    price: [5, 45, 160],
  },
  {
    id: 'kit-speedo-adapter', system: 'instruments', title: 'Gear, ratio box, converter', when: when('fit-speedo says Adapt'), options: 'constant, law', optionsFrom: ['cho-speedo', 'rec-speedo-drive'],
    leftOut: 'fails inspection', price: [20, 110, 350],
  },
  {
    id: 'kit-charge-lamp-resistor', system: 'electrics', title: 'Lamp or resistor, diode', when: when('rec-charge-lamp in {led-or-cluster, voltmeter, none} and eng-alternator known'), options: 'about 50 ohm, 5 W (common practice)',
    leftOut: 'alternator never wakes', price: [2, 8, 20],
  },
  {
    id: 'kit-firewall-plate', system: 'body', title: 'Plates and grommets for every opening left by removed systems', when: when('always'), options: 'openings register, fire-safe metal',
    leftOut: 'fumes and water in the cabin', price: [10, 40, 150],
  },
  { id: 'kit-tunnel-cover', system: 'body', title: 'Tunnel section, sealer', when: when('fit-tunnel says Clash'), options: 'before paint and loom', leftOut: 'floor cut over new carpet', price: [40, 160, 500] },
  {
    id: 'kit-steering-shaft', touches: 'steering', system: 'steering', title: 'Shaft, joints, support bearing', when: when('fit-exhaust-steering says Adapt'), options: 'spline each end, joint angles by the manual', optionsFrom: ['rec-steering-shaft-path'],
    leftOut: 'header cooks the joint', price: [80, 220, 600],
  },
  { id: 'kit-steering-parts', touches: 'steering', system: 'steering', title: 'Offset bushes, tie-rod ends', when: when('fit-sump-steering says Adapt'), options: 'alignment follows', leftOut: 'pan rubs the rack', price: [30, 100, 300] },
  { id: 'kit-sway-bar', system: 'suspension', title: 'Shaped bar, links, bushes', when: when('fit-sway-bar says Adapt'), options: 'clearance through travel', leftOut: 'bar left off and forgotten', price: [80, 250, 600] },
  {
    id: 'kit-springs', system: 'suspension', title: 'Springs, dampers for new axle load', when: when('fit-axle-load says Adapt'), options: 'rate, ride height, ground clearance again', leftOut: 'nose down, lamps low',
    price: [80, 350, 1200],
  },
  {
    id: 'kit-alignment', system: 'suspension', title: 'Wheel alignment', when: when('kit-springs fitted or kit-steering-parts fitted'), options: 'after first settling', leftOut: 'tyres worn by the follow-up',
    price: [50, 90, 180],
  },
  {
    id: 'kit-brake-lines', touches: 'brakes', system: 'brakes', title: 'Line, unions, clips for the re-routed run; flexible hoses as a full set', when: when('rec-brake-line-path != clear or rec-brake-kind in {ageing, cracked}'),
    options: 'before the engine goes in; flare kind (standard SAE J533 or ISO flare, memory); one cracked hose means all', leftOut: 'reached only with the engine out', price: [40, 140, 380],
  },
  {
    id: 'kit-brake-upgrade', touches: 'brakes', system: 'brakes', title: 'Discs, pads, callipers, master', when: when('fit-brakes-power says Adapt'), options: 'bias, wheel size, bedding', optionsFrom: ['rec-brake-kind'],
    leftOut: 'power without brakes', price: [150, 600, 2500],
  },
  {
    id: 'kit-coat-made', system: 'finish', title: 'Coating of made parts: mounts, brackets, headers', toPlace: true, when: when('cho-mount-school = fabricated or cho-exhaust = fabricated'), options: 'raw at the first trial, holes drilled and threads cut first; wrap or coating thickness taken off the gaps',
    leftOut: 'coated twice: the first coat goes with the first cut', price: [40, 140, 400],
  },
  {
    id: 'kit-clean-paint', system: 'finish', title: 'Degreaser, primer, engine enamel, masking, 30 % for a redo', when: when('always'), options: 'agreed finish, flash times, bare faces list',
    leftOut: 'paint short mid-job; painted earth points', price: [30, 120, 500],
  },
  {
    id: 'kit-sling', system: 'shop', title: 'Rated sling, leveller, lifting eyes, cradle', when: when('always'), options: 'rating at the boom place in use, inspection date',
    leftOut: 'belts used as slings; gear sold with the engine', price: [20, 60, 200],
  },
  {
    id: 'kit-shop-safety', system: 'shop', title: 'Extinguisher, drip trays, spill kit, caps and plugs set, eye and ear protection, high-voltage gear where the car has high voltage', when: when('always'),
    options: 'caps counted out and in', leftOut: 'looped hose left on; nobody near the extinguisher', price: [20, 60, 300],
  },
  { id: 'kit-sundries', system: 'shop', title: 'Ties, clips, cleaner, wipes, small hardware', when: when('always'), options: 'allowance 3 to 6 % of parts (an estimate)', leftOut: 'fifty small trips', price: [40, 150, 400] },
  {
    id: 'kit-inspection', system: 'papers', title: 'Inspection, engineer\'s report, registration change, emission label copy and parts list with marks', when: when('rec-inspection-regime != none'),
    options: 'written answer first, slot booked, photo of donor label', optionsFrom: ['eng-emission-level'], leftOut: 'finished car, no road', price: [60, 260, 1500],
  },
  {
    id: 'kit-dyno', system: 'papers', title: 'Before and after run, base tune hours', when: when('cho-goal in {road-going, track}'), options: 'same rollers, same correction', leftOut: 'gain cannot be shown',
    price: [80, 300, 900],
  },
  {
    id: 'kit-handover-stickers', system: 'papers', title: 'Stickers: oil grade and litres, coolant kind, fuel grade, filter, belt, tyre; isolation and tow points; key tag; job book', when: when('always'),
    options: 'language, place', leftOut: 'next service fills the wrong fluid', price: [5, 20, 60],
  },
];
