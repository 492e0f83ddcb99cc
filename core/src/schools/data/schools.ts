import type { NotASchool, SchoolQuestion, SchoolSide } from '../types.ts';

/** Where practitioners disagree: one question, the sides, the side taken when nobody chose. */
export const schoolQuestions: readonly SchoolQuestion[] = [
  {
    id: 'sch-battery-order', question: 'When does the battery come off?',
    sides: [{ id: 'sch-battery-order-a', label: 'first of all' }, { id: 'sch-battery-order-b', label: 'after powered moves, scan and fuel run-down' }, { id: 'sch-battery-order-c', label: 'by the high-voltage manual' }],
    defaultWords: 'b; c on hybrids and electrics', why: 'later steps need power, and the gate still stops all wiring work until it is off', defaultSide: 'sch-battery-order-b',
  },
  {
    id: 'sch-fuel-release', question: 'How is fuel pressure taken down?',
    sides: [{ id: 'sch-fuel-release-a', label: 'run it dry' }, { id: 'sch-fuel-release-b', label: 'bleed at the valve' }, { id: 'sch-fuel-release-c', label: 'stand cold and crack under a rag' }],
    defaultWords: 'a if it runs, else b, else c; high-pressure side by the maker only', why: 'least fuel in the open', defaultSide: 'sch-fuel-release-a',
  },
  {
    id: 'sch-fuel-open-when', question: 'When are fuel lines opened?',
    sides: [{ id: 'sch-fuel-open-when-a', label: 'last, after all that might need heat' }, { id: 'sch-fuel-open-when-b', label: 'early, with the other hoses' }], defaultWords: 'a',
    why: 'heat, grinding and open fuel never overlap', defaultSide: 'sch-fuel-open-when-a',
  },
  {
    id: 'sch-out-together', question: 'Engine and gearbox out and in together or apart?', sides: [{ id: 'sch-out-together-a', label: 'together' }, { id: 'sch-out-together-b', label: 'apart' }],
    defaultWords: 'by computed height, mass and joint access; a for long rear-drive automatics, b where the gearbox stays well held', why: 'each is wrong in the other\'s bay', defaultSide: 'sch-out-together-a',
  },
  {
    id: 'sch-exit', question: 'Which way out?', sides: [{ id: 'sch-exit-a', label: 'up' }, { id: 'sch-exit-b', label: 'front' }, { id: 'sch-exit-c', label: 'down with subframe' }],
    defaultWords: 'computed from clearances', why: 'fewest parts removed per minute of handling', defaultSide: 'sch-exit-a',
  },
  {
    id: 'sch-sealed-aside', question: 'Steering pump and compressor: tied aside shut, or opened and off?', sides: [{ id: 'sch-sealed-aside-a', label: 'aside' }, { id: 'sch-sealed-aside-b', label: 'opened' }],
    defaultWords: 'a if hoses reach without kink', why: 'no draining, bleeding or charging', defaultSide: 'sch-sealed-aside-a',
  },
  {
    id: 'sch-open-used', question: 'How far is a used engine opened?',
    sides: [{ id: 'sch-open-used-a', label: 'not at all' }, { id: 'sch-open-used-b', label: 'outside reseal' }, { id: 'sch-open-used-c', label: 'strip and measure' }],
    defaultWords: 'b; c when proof is missing or power rises', why: 'proof decides, not hope', defaultSide: 'sch-open-used-b',
  },
  {
    id: 'sch-renew-out', question: 'Renew dry parts while it is out?',
    sides: [{ id: 'sch-renew-out-a', label: 'everything in reach' }, { id: 'sch-renew-out-b', label: 'only what shows wear' }, { id: 'sch-renew-out-c', label: 'by computed worth' }], defaultWords: 'c',
    why: 'both opinions then argue about numbers', defaultSide: 'sch-renew-out-c',
  },
  {
    id: 'sch-clamps', question: 'Hose clamps', sides: [{ id: 'sch-clamps-a', label: 'worm-drive' }, { id: 'sch-clamps-b', label: 'spring (constant tension)' }, { id: 'sch-clamps-c', label: 'ear clamp or band' }],
    defaultWords: 'b where sizes match and heat cycles; a for odd fits with a re-check after the first heat; never either on fuel injection pressure unless rated for it', why: 'size pair first, clamp second',
    defaultSide: 'sch-clamps-b',
  },
  {
    id: 'sch-seal', question: 'Sealing a cover or sump',
    sides: [{ id: 'sch-seal-a', label: 'gasket, liquid only at corners' }, { id: 'sch-seal-b', label: 'silicone alone' }, { id: 'sch-seal-c', label: 'anaerobic on machined faces' }, { id: 'sch-seal-d', label: 'reusable O-ring' }],
    defaultWords: 'what the joint was designed for', why: 'a bead does not mend a bent flange', defaultSide: 'sch-seal-a',
  },
  {
    id: 'sch-mounts', question: 'Mount route', sides: [{ id: 'sch-mounts-a', label: 'fixed-hole adapter' }, { id: 'sch-mounts-b', label: 'sliding adapter' }, { id: 'sch-mounts-c', label: 'fabricated' }],
    defaultWords: 'a where the row can be computed from gearbox length, b if not, c when no kit exists', why: 'lifts per job decide', defaultSide: 'sch-mounts-a',
  },
  {
    id: 'sch-position-from', question: 'What fixes the engine\'s place?', sides: [{ id: 'sch-position-from-a', label: 'rear first' }, { id: 'sch-position-from-b', label: 'front mounts first' }],
    defaultWords: 'the side with the fewest alternatives (transfer-case points, shaft, tunnel → a; bought mounts on existing pads → b)', why: 'derive the rest from the fixed side', defaultSide: 'sch-position-from-a',
  },
  {
    id: 'sch-mockup-unit', question: 'Mock-up with', sides: [{ id: 'sch-mockup-unit-a', label: 'the real engine' }, { id: 'sch-mockup-unit-b', label: 'dummy or sister unit' }],
    defaultWords: 'b if a true-size unit exists', why: 'spares the paint, needs a copy list', defaultSide: 'sch-mockup-unit-b',
  },
  {
    id: 'sch-control', question: 'Engine control',
    sides: [{ id: 'sch-control-a', label: 'factory ECU reprogrammed' }, { id: 'sch-control-b', label: 'standalone' }, { id: 'sch-control-c', label: 'recipient\'s ECU and dressing carried over' }],
    defaultWords: 'by throttle, key system, gearbox, inspection', why: 'costliest part to change late', defaultSide: 'sch-control-a',
  },
  {
    id: 'sch-loom', question: 'Loom', sides: [{ id: 'sch-loom-a', label: 'trimmed donor loom' }, { id: 'sch-loom-b', label: 'new standalone loom' }, { id: 'sch-loom-c', label: 'recipient\'s loom or adapter loom' }],
    defaultWords: 'b if more than a few plugs are cut or the skin is brittle; c if same family; else a with a wire table', why: 'hours against price', defaultSide: 'sch-loom-b',
  },
  {
    id: 'sch-power-dist', question: 'Power distribution', sides: [{ id: 'sch-power-dist-a', label: 'relays and fuses' }, { id: 'sch-power-dist-b', label: 'programmable module' }],
    defaultWords: 'a for one engine circuit set, b when body functions are rebuilt', why: 'fault finding in the field', defaultSide: 'sch-power-dist-a',
  },
  {
    id: 'sch-fuel-return', question: 'Fuel supply',
    sides: [{ id: 'sch-fuel-return-a', label: 'return with regulator' }, { id: 'sch-fuel-return-b', label: 'returnless with regulator at tank or filter' }, { id: 'sch-fuel-return-c', label: 'pump speed controlled' }],
    defaultWords: 'what rail, pump and ECU expect together', why: 'mixed systems fail first', defaultSide: 'sch-fuel-return-a',
  },
  {
    id: 'sch-oil-control', question: 'Oil under cornering',
    sides: [{ id: 'sch-oil-control-a', label: 'stock or baffled sump' }, { id: 'sch-oil-control-b', label: 'baffled with accumulator' }, { id: 'sch-oil-control-c', label: 'dry sump' }],
    defaultWords: 'a for road, b for track days, c by space and budget', why: 'parts owned count', defaultSide: 'sch-oil-control-a',
  },
  {
    id: 'sch-coolant-joints', question: 'Pump and pipe joints', sides: [{ id: 'sch-coolant-joints-a', label: 'barb and rubber hose' }, { id: 'sch-coolant-joints-b', label: 'welded threaded fittings' }],
    defaultWords: 'a on road cars', why: 'spare parts and castings', defaultSide: 'sch-coolant-joints-a',
  },
  {
    id: 'sch-fan-side', question: 'Fans', sides: [{ id: 'sch-fan-side-a', label: 'one behind the core, shroud' }, { id: 'sch-fan-side-b', label: 'in front' }, { id: 'sch-fan-side-c', label: 'belt-driven' }],
    defaultWords: 'a', why: 'airflow and area are computed, looks are not', defaultSide: 'sch-fan-side-a',
  },
  {
    id: 'sch-intake-header', question: 'Missing header or intake',
    sides: [{ id: 'sch-intake-header-a', label: 'make' }, { id: 'sch-intake-header-b', label: 'wait and buy' }, { id: 'sch-intake-header-c', label: 'adapt one made for another' }],
    defaultWords: 'ask the supplier first; a only with hours booked as risk', why: 'top time item of many jobs', defaultSide: 'sch-intake-header-a',
  },
  { id: 'sch-bends', question: 'Exhaust bends', sides: [{ id: 'sch-bends-a', label: 'mandrel' }, { id: 'sch-bends-b', label: 'segmented' }], defaultWords: 'a', why: 'joints, flow, hours', defaultSide: 'sch-bends-a' },
  {
    id: 'sch-paint-when', question: 'Paint before or after fit?', sides: [{ id: 'sch-paint-when-a', label: 'dress painted parts' }, { id: 'sch-paint-when-b', label: 'trial fit, strip, coat, refit' }],
    defaultWords: 'b for anything new to the pair; a for proven kits', why: 'coating a part that must be cut is waste', defaultSide: 'sch-paint-when-b',
  },
  {
    id: 'sch-spacer', question: 'Making up a few millimetres', sides: [{ id: 'sch-spacer-a', label: 'turned spacer, captive' }, { id: 'sch-spacer-b', label: 'stack of washers' }],
    defaultWords: 'a on anything that turns, holds tension or steers', why: 'loose stacks walk', defaultSide: 'sch-spacer-a',
  },
  {
    id: 'sch-hub', question: 'Pulley on the crank', sides: [{ id: 'sch-hub-a', label: 'installer tool' }, { id: 'sch-hub-b', label: 'heat and push' }], defaultWords: 'a; b only for solid hubs or where the maker allows',
    why: 'rubber and thrust bearing', defaultSide: 'sch-hub-a',
  },
  {
    id: 'sch-draw-on', question: 'Last millimetres of the gearbox', sides: [{ id: 'sch-draw-on-a', label: 'push to flush, then bolts' }, { id: 'sch-draw-on-b', label: 'draw on with bolts' }], defaultWords: 'a',
    why: 'a refusal is a message', defaultSide: 'sch-draw-on-a',
  },
  {
    id: 'sch-gearbox-source', question: 'Gearbox',
    sides: [{ id: 'sch-gearbox-source-a', label: 'new or rebuilt' }, { id: 'sch-gearbox-source-b', label: 'used as it is' }, { id: 'sch-gearbox-source-c', label: 'used, opened by a specialist' }],
    defaultWords: 'a when work to reach it again exceeds the price gap', why: 'cost of the second time', defaultSide: 'sch-gearbox-source-a',
  },
  {
    id: 'sch-tighten', question: 'Tightening', sides: [{ id: 'sch-tighten-a', label: 'always torque tool' }, { id: 'sch-tighten-b', label: 'by feel for small ones' }],
    defaultWords: 'a on everything with a value; "unknown" shown where none', why: 'records', defaultSide: 'sch-tighten-a',
  },
  {
    id: 'sch-fastener-reuse', question: 'Old fasteners', sides: [{ id: 'sch-fastener-reuse-a', label: 'renew all' }, { id: 'sch-fastener-reuse-b', label: 'renew stretch, locking, rusted' }],
    defaultWords: 'b; a where a missing bolt would stop a session', why: 'price against a lost day', defaultSide: 'sch-fastener-reuse-b',
  },
  {
    id: 'sch-exhaust-start', question: 'First start without the exhaust?', sides: [{ id: 'sch-exhaust-start-a', label: 'no' }, { id: 'sch-exhaust-start-b', label: 'short run allowed' }],
    defaultWords: 'a; b as a written temporary state', why: 'sensors, heat, noise, law', defaultSide: 'sch-exhaust-start-a',
  },
  {
    id: 'sch-prime', question: 'Oil pressure before start', sides: [{ id: 'sch-prime-a', label: 'crank to pressure, fuel and spark off' }, { id: 'sch-prime-b', label: 'pre-oiler' }],
    defaultWords: 'b if a port is there and it was rebuilt or stood for years, else a', why: 'cranking with fuel on is neither: it washes the bores', defaultSide: 'sch-prime-b',
  },
  {
    id: 'sch-fault', question: 'Runs badly after start', sides: [{ id: 'sch-fault-a', label: 'test, one change at a time' }, { id: 'sch-fault-b', label: 'renew all sensors at once' }], defaultWords: 'a',
    why: 'else nobody knows what cured it', defaultSide: 'sch-fault-a',
  },
  {
    id: 'sch-pump-place', question: 'Electric pump', sides: [{ id: 'sch-pump-place-a', label: 'in the tank' }, { id: 'sch-pump-place-b', label: 'inline outside' }],
    defaultWords: 'a for anything daily; b where the tank cannot be opened, with a low-pressure feed or surge pot', why: 'heat, noise and priming', defaultSide: 'sch-pump-place-a',
  },
  {
    id: 'sch-flywheel', question: 'Flywheel', sides: [{ id: 'sch-flywheel-a', label: 'dual-mass kept' }, { id: 'sch-flywheel-b', label: 'single-mass conversion' }, { id: 'sch-flywheel-c', label: 'light single-mass' }],
    defaultWords: 'a if it fits both sides, else b as one matched set', why: 'noise, price, gearbox rattle', defaultSide: 'sch-flywheel-a',
  },
  {
    id: 'sch-assist', question: 'Brake and steering assistance', sides: [{ id: 'sch-assist-a', label: 'kept' }, { id: 'sch-assist-b', label: 'left off for a simple first run' }],
    defaultWords: 'a; b only with the customer\'s written word and pedal ratio worked out', why: 'the car must stop as before', defaultSide: 'sch-assist-a',
  },
  {
    id: 'sch-ac', question: 'Air conditioning', sides: [{ id: 'sch-ac-a', label: 'kept aside and refitted' }, { id: 'sch-ac-b', label: 'left off with room reserved' }, { id: 'sch-ac-c', label: 'left off for good' }],
    defaultWords: 'a or b by what the customer wants; charging after the road test', why: 'later wish is dear', defaultSide: 'sch-ac-a',
  },
  {
    id: 'sch-heat', question: 'Heat near hoses and looms',
    sides: [{ id: 'sch-heat-a', label: 'distance and shields' }, { id: 'sch-heat-b', label: 'wrap or coat the hot part' }, { id: 'sch-heat-c', label: 'sleeve the cold part' }],
    defaultWords: 'a, then c; b with a re-check of every gap', why: 'layers eat clearance, wrap hides cracks', defaultSide: 'sch-heat-a',
  },
  {
    id: 'sch-gauges', question: 'Instruments',
    sides: [{ id: 'sch-gauges-a', label: 'keep cluster, match senders' }, { id: 'sch-gauges-b', label: 'diagnostic-port display' }, { id: 'sch-gauges-c', label: 'own gauges with own senders' }],
    defaultWords: 'a for road papers; c adds senders, never takes the ECU\'s', why: 'the ECU loses no input', defaultSide: 'sch-gauges-a',
  },
  {
    id: 'sch-thick-oil', question: 'Oil use on a worn engine', sides: [{ id: 'sch-thick-oil-a', label: 'thicker oil' }, { id: 'sch-thick-oil-b', label: 'measure first' }], defaultWords: 'b',
    why: 'a stopgap hides the verdict', defaultSide: 'sch-thick-oil-b',
  },
  {
    id: 'sch-bent-shell', question: 'Bent donor or car rails', sides: [{ id: 'sch-bent-shell-a', label: 'straighten, section' }, { id: 'sch-bent-shell-b', label: 'replace, or not for road' }],
    defaultWords: 'body specialist and maker\'s repair method; high-strength rails: b', why: 'next crash', defaultSide: 'sch-bent-shell-a',
  },
];

/** The sides with their reasons. */
export const schoolSides: readonly SchoolSide[] = [
  {
    id: 'sch-battery-order-a', standsFor: 'Battery first', reasons: 'no short, no crank, no airbag risk while unplugging; people forget it otherwise', suits: 'old cars, manual seats and locks, wreck already dead',
    weak: 'seats, latch, shift lock, fuel run-down, module scan now need jumper feeds', changes: 'adds feed-by-leads tasks',
  },
  {
    id: 'sch-battery-order-b', standsFor: 'Battery after powered moves', reasons: 'grouped work while power is there', suits: 'donors with powered kit, running car', weak: 'tempts to unplug live plugs',
    changes: 'list of powered moves gates the battery, wiring stays locked',
  },
  {
    id: 'sch-battery-order-c', standsFor: 'Manual\'s own order', reasons: 'high voltage has its own sequence with waits and proof', suits: 'hybrids, electrics', weak: 'slow, two people',
    changes: 'from authorising to proving dead, timer, names',
  },
  {
    id: 'sch-fuel-release-a', standsFor: 'Run it dry', reasons: 'uses the fuel inside the engine', suits: 'runs, port injected', weak: 'needs battery, starter, intake, turbo, coolant still there; sets codes',
    changes: 'placed before every step that takes these away',
  },
  { id: 'sch-fuel-release-b', standsFor: 'Bleed at the valve', reasons: 'works dead', suits: 'test valve on the rail', weak: 'fuel in a can', changes: 'can, hose, extinguisher tick' },
  { id: 'sch-fuel-release-c', standsFor: 'Stand cold, crack', reasons: 'nothing needed', suits: 'wreck, no valve', weak: 'still sprays', changes: 'hours of wait, face and eye protection' },
  {
    id: 'sch-fuel-open-when-a', standsFor: 'Fuel last', reasons: 'rusted bolts may call for heat', suits: 'rust, cutting, crash', weak: 'a line may hang in the way meanwhile',
    changes: 'hot-work gate closes when the fuel lines are parted',
  },
  {
    id: 'sch-fuel-open-when-b', standsFor: 'Fuel early', reasons: 'access, tidy order, lines out of the way before the hook is on', suits: 'clean cars, no heat planned', weak: 'blocks all hot work after it',
    changes: 'refuses flame and grinder from then on',
  },
  {
    id: 'sch-out-together-a', standsFor: 'Together', reasons: 'joint made, measured and torqued in the open; no seized dowels under the firewall; converter seating stays proved',
    suits: 'rear drive, long bay, rated hoist, leveller', weak: 'long, heavy, steep tilt, tail pours oil, radiator, bonnet and crossmember come off',
    changes: 'lift mass with converter and fluid, tail plug, crossmember, steeper exit angle',
  },
  {
    id: 'sch-out-together-b', standsFor: 'Apart', reasons: 'short, light load; gearbox and its shafts stay undisturbed', suits: 'transverse, all-wheel drive, low ceiling, gearbox stays',
    weak: 'seized dowels, converter left behind or dropped, lining up splines in the bay, engine tips on its mounts until joined', changes: 'gearbox-held state, bell and converter steps, two people at joining',
  },
  {
    id: 'sch-exit-a', standsFor: 'Up', reasons: 'few parts come off, the usual hoist does it, one lift', suits: 'long bay, bonnet off, engine without much behind it',
    weak: 'tilt, firewall, fragile rear fittings, painted edges', changes: 'leveller, tilt from the centre of gravity, fragile list, pads',
  },
  {
    id: 'sch-exit-b', standsFor: 'Front', reasons: 'hardly any tilt, low hook, nothing over the wing', suits: 'the front panel unbolts, or is scrap anyway',
    weak: 'condenser and coolers in the way, airbag sensors in the nose', changes: 'front panel tasks, licensed recovery if the condenser must open',
  },
  {
    id: 'sch-exit-c', standsFor: 'Down with subframe', reasons: 'everything in sight, mounts, rack and shafts stay as one', suits: 'transverse and mid engines, low bonnets',
    weak: 'body must go very high, tunnel sides catch, brakes and alignment are opened', changes: 'lift range check, cradle, brake bleed and alignment tasks, match marks',
  },
  {
    id: 'sch-sealed-aside-a', standsFor: 'Tied aside', reasons: 'nothing drained, no licence, no bleeding, no dirt', suits: 'hoses long enough, part stays with the car', weak: 'kinks, hangs where one wants to work',
    changes: 'kink photo, tag, kept out of the lift path',
  },
  {
    id: 'sch-sealed-aside-b', standsFor: 'Opened', reasons: 'full room; the part leaves with the engine', suits: 'engine is sold with it, or the circuit leaks anyway',
    weak: 'refrigerant needs a licence, every opening can take in dirt and water', changes: 'recovery order, caps, loop before washing, temporary register',
  },
  {
    id: 'sch-open-used-a', standsFor: 'Leave it closed', reasons: 'factory assembly is better than a hurried one; no hours', suits: 'seen running, mileage proved, stock power, small budget',
    weak: 'sludge, pickup ring, front seal, bearings stay unknown', changes: 'acceptance proofs, list of tests not done, early first oil change',
  },
  {
    id: 'sch-open-used-b', standsFor: 'Outside reseal, lids off', reasons: 'the cheap leaks and the visible truth (sludge, cam, chain) for a day\'s work', suits: 'most road jobs',
    weak: 'bearings and rings are still judged from outside', changes: 'reseal list, sump look, borescope, leak-down',
  },
  {
    id: 'sch-open-used-c', standsFor: 'Strip and measure', reasons: 'the only certainty, and the way to more power', suits: 'unknown, failed, flooded, tuned engines',
    weak: 'hours, machine shop wait, every reassembly mistake is one\'s own', changes: 'section 3 of prep.md, closing gate',
  },
  {
    id: 'sch-renew-out-a', standsFor: 'All in reach', reasons: 'one uncovering, one warranty, no quarrel next month', suits: 'the customer keeps the car, access is dear later',
    weak: 'parts bill, cheap new parts bring new faults, scope creep', changes: 'full list ticked, parts of known make',
  },
  {
    id: 'sch-renew-out-b', standsFor: 'Only what is worn', reasons: 'dry is dry; a part that never leaked is proved', suits: 'short use, resale, scarce parts',
    weak: 'the seal hardens on the shelf and weeps a month later', changes: 'accepted risks printed at handover with a trigger',
  },
  {
    id: 'sch-renew-out-c', standsFor: 'By worth', reasons: 'chance × later cost against now, each line with numbers', suits: 'all', weak: 'chances are guesses until the shop has history',
    changes: 'ranked list, both opinions kept, outcome fed back',
  },
  {
    id: 'sch-clamps-a', standsFor: 'Worm-drive', reasons: 'pulls a slightly loose or tight pairing down, everywhere for sale, undone with any driver', suits: 'odd sizes, mock-up, proof runs',
    weak: 'cuts soft hose, goes slack after the first heat, hides a wrong size that leaks as soon as it is eased', changes: 'size pair flagged, pressure test, re-check task after the first heat cycle',
  },
  {
    id: 'sch-clamps-b', standsFor: 'Spring, constant tension', reasons: 'follows the hose as it heats and ages, even pressure, cannot be over-tightened', suits: 'hose and spigot of one nominal size with a bead',
    weak: 'no help with a wrong size, wants a tool and room', changes: 'hose bore and spigot size recorded as a pair, clamp size on the parts line',
  },
  {
    id: 'sch-clamps-c', standsFor: 'Ear or band', reasons: 'narrow, even, cannot be slackened by accident', suits: 'fuel, breather, boots', weak: 'single use, needs pliers, exact size',
    changes: 'size and spare on the parts line',
  },
  {
    id: 'sch-seal-a', standsFor: 'Gasket, liquid at corners and steps', reasons: 'gasket sets the gap, liquid fills the corner where caps, half-moons or covers meet', suits: 'sumps and cam covers designed for a gasket',
    weak: 'old gasket reused, liquid smeared everywhere so that it creeps out', changes: 'sealant points marked on the photo before cleaning, skin timer',
  },
  {
    id: 'sch-seal-b', standsFor: 'Silicone alone', reasons: 'fills stamped and slightly uneven parts', suits: 'the joint was designed for it', weak: 'strings in the oil screen, short skin time, scraping next time',
    changes: 'bead size, skin deadline, full cure wait',
  },
  {
    id: 'sch-seal-c', standsFor: 'Anaerobic', reasons: 'thin, does not change a bearing bore, surplus inside stays liquid and washes out', suits: 'rigid machined halves and covers',
    weak: 'does not fill gaps, slow when cold or on aluminium, may differ from what the part\'s maker asks', changes: 'deviation from the maker\'s product noted with reason and name; leak result kept per product',
  },
  {
    id: 'sch-seal-d', standsFor: 'Reusable O-ring', reasons: 'off and on without scraping, no cure wait', suits: 'pans and covers that will come off again', weak: 'a nicked groove or ring leaks at once',
    changes: 'ring size and hardness in the service note',
  },
  {
    id: 'sch-mounts-a', standsFor: 'Fixed holes, several rows', reasons: 'stiff, cheap, nothing can slip, the same on the next car', suits: 'known pair, gearbox length known',
    weak: 'the wrong row shows only with the engine hanging: lift, undo, move, lift again', changes: 'hole row computed from gearbox length and shaft before the lift; lifts counted',
  },
  {
    id: 'sch-mounts-b', standsFor: 'Sliding', reasons: 'fore-aft set with engine and gearbox standing in the car', suits: 'gearbox or crossmember not fixed yet',
    weak: 'clamped slots can creep; bolts are left loose on purpose while aligning', changes: '"loose for alignment" list must be empty before the first crank; torque and witness line after the road test again',
  },
  {
    id: 'sch-mounts-c', standsFor: 'Fabricated', reasons: 'any pair, exact place, service access designed in', suits: 'no kit, odd place, four-wheel drive', weak: 'days, several trial lifts, welding and inspection',
    changes: 'tack with the engine in, strip, weld out of the car, refit, measure; structural welder, local code',
  },
  {
    id: 'sch-position-from-a', standsFor: 'Rear first', reasons: 'transfer-case points, tunnel and a kept shaft leave no choice, so the rest follows', suits: 'four-wheel drive, kept shaft, tight tunnel',
    weak: 'front mounts must then be made to suit', changes: 'fix the rear, set fore-aft, then height, then tack the front mounts',
  },
  {
    id: 'sch-position-from-b', standsFor: 'Front first', reasons: 'mounts are bought and sit on existing pads; engine hangs safely early', suits: 'rear drive with a kit',
    weak: 'crossmember and shaft must follow, clash shows late', changes: 'crossmember and shaft lines open as soon as the gearbox is chosen',
  },
  {
    id: 'sch-mockup-unit-a', standsFor: 'Real engine', reasons: 'no surprise between dummy and truth', suits: 'only one at hand', weak: 'scratched paint, weight, open ports, many lifts',
    changes: 'lift count, ports capped, paint later',
  },
  {
    id: 'sch-mockup-unit-b', standsFor: 'Dummy or sister unit', reasons: 'lighter, and work goes on while the real one is away', suits: 'outside sizes proved the same',
    weak: 'every hole drilled and bracket trimmed must be copied', changes: 'identity and role of each unit, copy list before paint',
  },
  {
    id: 'sch-paint-when-a', standsFor: 'Paint, then dress', reasons: 'each part reaches the brush, joints stay clean', suits: 'proven kit, show work', weak: 'scratches while fitting, thick paint on mating faces',
    changes: 'pads at lift, bare-face list',
  },
  {
    id: 'sch-paint-when-b', standsFor: 'Fit, alter, strip, coat', reasons: 'no coated scrap, no cracked paint at altered bolts', suits: 'prototypes, pipes, manifolds, first of a pair', weak: 'one more strip and refit',
    changes: 'trial tick unlocks the coating order',
  },
  {
    id: 'sch-spacer-a', standsFor: 'Turned spacer', reasons: 'square, captive, thickness known to a tenth', suits: 'tensioners, mounts, pulleys, steering parts', weak: 'lathe time',
    changes: 'drawing and thickness kept for the next job',
  },
  { id: 'sch-spacer-b', standsFor: 'Stack of washers', reasons: 'at hand, quick to try', suits: 'covers, trial position', weak: 'walks, tilts, one drops out next time', changes: 'trial only; replaced before final' },
  {
    id: 'sch-hub-a', standsFor: 'Installer tool', reasons: 'no heat, no shock on the thrust bearing, stops at any point', suits: 'rubber-ring dampers, threaded nose',
    weak: 'nose thread must be sound, tool must be there', changes: 'tool booking, thread check',
  },
  {
    id: 'sch-hub-b', standsFor: 'Heat and push', reasons: 'quick, no special tool, grips evenly as it cools', suits: 'solid hub, two people, rehearsed', weak: 'stops short if too cool, burns, bakes rubber and seal',
    changes: 'gloves, clear path, puller ready, seated check',
  },
  {
    id: 'sch-draw-on-a', standsFor: 'Push to flush', reasons: 'the hand feels spline, dowel and converter', suits: 'always possible first', weak: 'patience, second person at the crank',
    changes: 'flush-gap tick all round before any bolt turns',
  },
  {
    id: 'sch-draw-on-b', standsFor: 'Draw with bolts', reasons: 'takes up the last of the dowel fit without hammering', suits: 'flush all round within dowel length, nothing binding',
    weak: 'broken ears, bent disc, crushed pump if used earlier', changes: 'opens only after the flush tick',
  },
  { id: 'sch-gearbox-source-a', standsFor: 'New or rebuilt', reasons: 'known start, warranty', suits: 'high labour to reach it again, more power', weak: 'price, wait', changes: 'ordered with converter or clutch' },
  {
    id: 'sch-gearbox-source-b', standsFor: 'Used as it is', reasons: 'cheap, at once', suits: 'comes out easily, stock power, test-driven', weak: 'dead on arrival, hidden water or metal',
    changes: 'return date in the calendar, fluid and magnet look first',
  },
  {
    id: 'sch-gearbox-source-c', standsFor: 'Used, opened first', reasons: 'worn band or clutch found on the bench', suits: 'a specialist is at hand', weak: 'money into an unknown',
    changes: 'list of neighbours looked at and not looked at',
  },
  {
    id: 'sch-flywheel-a', standsFor: 'Dual-mass kept', reasons: 'smooth idle, quiet gearbox, clutch pedal as before', suits: 'factory pairing, diesels', weak: 'price, hidden wear, thickness for mixed pairs',
    changes: 'play and tilt check by the maker\'s data',
  },
  {
    id: 'sch-flywheel-b', standsFor: 'Single-mass set', reasons: 'disc, cover, bearing and bolts from one maker for the mixed pair', suits: 'other gearbox, more torque', weak: 'rattle at idle in some gearboxes',
    changes: 'sprung disc, trigger teeth, thickness chain',
  },
  { id: 'sch-flywheel-c', standsFor: 'Light single-mass', reasons: 'revs rise and fall faster', suits: 'track', weak: 'stalls easily, harsher pulling away', changes: 'mass written down for the idle program' },
  { id: 'sch-assist-a', standsFor: 'Kept', reasons: 'road manners, inspection', suits: 'daily car', weak: 'room, vacuum at idle with a hot cam', changes: 'vacuum hold test before first movement' },
  {
    id: 'sch-assist-b', standsFor: 'Left off', reasons: 'room beside the rear bank, fewer parts to the first run', suits: 'light or race cars', weak: 'effort, other pedal ratio and bore, law, customer\'s surprise',
    changes: 'written approval, follow-up task, brake force check',
  },
  { id: 'sch-ac-a', standsFor: 'Kept', reasons: 'comfort, resale, clear glass', suits: 'daily cars', weak: 'condenser and fan depth, hose ends, wire count', changes: 'lines, condenser, pressure switch; charged last' },
  {
    id: 'sch-ac-b', standsFor: 'Left off, room reserved', reasons: 'first run sooner, budget in steps', suits: 'undecided customers', weak: 'bracket and belt are designed twice if nobody reserves them',
    changes: 'reserved envelope in the bay model, deferred list',
  },
  { id: 'sch-ac-c', standsFor: 'Gone', reasons: 'weight, room, nothing to license', suits: 'race', weak: 'misted glass, hot cabin, resale', changes: 'circuit recovered by a licensed person, blank plates, belt length' },
  { id: 'sch-heat-a', standsFor: 'Distance and shields', reasons: 'inspectable, nothing trapped, lasts', suits: 'there is room', weak: 'room', changes: 'gap written cold and hot' },
  {
    id: 'sch-heat-b', standsFor: 'Wrap or coat the hot side', reasons: 'hot gas stays hot, bay cooler, neighbours safer', suits: 'turbo, tight bays', weak: 'adds thickness, traps water, hides cracks',
    changes: 'every gap again, hidden-surface note for service',
  },
  {
    id: 'sch-heat-c', standsFor: 'Sleeve the cold side', reasons: 'local and cheap, one line at a time', suits: 'hoses and looms that cannot be moved',
    weak: 'open ends, slides; a second layer where nobody reaches later', changes: 'cut length with overlap, metal ties, paint first',
  },
  { id: 'sch-oil-control-a', standsFor: 'Stock or lightly baffled', reasons: 'simple, quiet, cheap', suits: 'road', weak: 'long corners empty the pickup', changes: 'pressure warning level that can be seen' },
  {
    id: 'sch-oil-control-b', standsFor: 'Baffled sump and accumulator', reasons: 'bridges seconds of pickup in air, can pre-oil before the start', suits: 'track days, good sump already owned and worth little if sold',
    weak: 'a pressurised vessel: line, valve, mounting, level rises when it empties', changes: 'line routed with headers on, valve state in the start gate, oil volume',
  },
  {
    id: 'sch-oil-control-c', standsFor: 'Dry sump', reasons: 'shallow sump, lower engine, steady pressure in long corners', suits: 'race, height is the problem', weak: 'price, tank, belt, hoses, more joints to leak',
    changes: 'plumbing plan with directions, tank level procedure, belt plane',
  },
  { id: 'sch-coolant-joints-a', standsFor: 'Barb and hose', reasons: 'gives with movement, repairable anywhere', suits: 'road cars', weak: 'looks, clamp choice', changes: 'clamp school, size pairs' },
  {
    id: 'sch-coolant-joints-b', standsFor: 'Welded threaded fittings', reasons: 'neat, comes apart without cutting, same as the tank\'s', suits: 'show and race cars',
    weak: 'an unknown casting may not weld; a crack ends the part', changes: 'test weld, air-pressure proof, old part kept until then',
  },
  {
    id: 'sch-fan-side-a', standsFor: 'Behind the core with shroud', reasons: 'draws through the whole core, best air for the current', suits: 'depth is there', weak: 'gap to the pulley when the engine rocks',
    changes: 'depth sum, shroud, relay',
  },
  {
    id: 'sch-fan-side-b', standsFor: 'In front', reasons: 'the only way when nothing fits behind', suits: 'very short bays', weak: 'blocks ram air, small swept area',
    changes: 'swept-area sum, warning, first long idle watched',
  },
  {
    id: 'sch-fan-side-c', standsFor: 'Belt-driven', reasons: 'no wiring, much air at low speed when geared so', suits: 'engine stays on the factory line', weak: 'depth, power, noise, fingers',
    changes: 'fan gap at full engine rock, shroud',
  },
  {
    id: 'sch-intake-header-a', standsFor: 'Make', reasons: 'exact for this car', suits: 'fabricator free, nothing on sale', weak: 'the largest time item of many jobs',
    changes: 'hours as risk, date to ask suppliers again',
  },
  { id: 'sch-intake-header-b', standsFor: 'Wait and buy', reasons: 'less work, repeatable', suits: 'a supplier has a date', weak: 'the date slips', changes: 'order, date, other work meanwhile' },
  { id: 'sch-intake-header-c', standsFor: 'Adapt another', reasons: 'starts today', suits: 'ports match, small change', weak: 'cut, bend, weld, and it still touches', changes: 'tried-part register, stop rule in hours' },
  { id: 'sch-bends-a', standsFor: 'Mandrel', reasons: 'smooth bore, few welds', suits: 'stock radius fits', weak: 'needs length to turn', changes: 'pipe list by radius' },
  { id: 'sch-bends-b', standsFor: 'Segmented', reasons: 'any radius, thin stainless, short turns', suits: 'very tight places', weak: 'many welds, many chances to leak', changes: 'weld hours, back purge' },
  {
    id: 'sch-control-a', standsFor: 'Factory ECU reprogrammed', reasons: 'drives as made, cheap, diagnosis and readiness work', suits: 'one donor set with keys, road papers',
    weak: 'key code, mail wait, few spare outputs', changes: 'spec sheet and sending date before mock-up',
  },
  {
    id: 'sch-control-b', standsFor: 'Standalone', reasons: 'any mix of parts, fans, dash, logging', suits: 'unusual mix, race, big changes', weak: 'tuning hours, gearbox control apart, inspection',
    changes: 'input and output list, base setup sheet, tuner slot',
  },
  {
    id: 'sch-control-c', standsFor: 'Recipient\'s own ECU and dressing', reasons: 'the newer long engine plugs in, key system stays', suits: 'same family, older car', weak: 'newer features given up; sensors must match',
    changes: 'outgoing engine locked until all is moved',
  },
  {
    id: 'sch-loom-a', standsFor: 'Trimmed donor loom', reasons: 'true plugs and lengths, cheap, factory colours match the manual', suits: 'whole loom and ECU from one car, pinout at hand, time',
    weak: 'brittle skin, broken locks, one wrong wire taken out', changes: 'wire table keep, remove, reroute; continuity test per circuit; reject above a set count of cut plugs',
  },
  {
    id: 'sch-loom-b', standsFor: 'New loom', reasons: 'printed labels, sound copper, test sheet, less fault finding', suits: 'cut or aged donor loom, deadline',
    weak: 'price; what was not ticked on the form is missing on the day', changes: 'order blocked while generation, throttle, injectors, alternator, gearbox, fans are blank; cross-check with the parts list',
  },
  {
    id: 'sch-loom-c', standsFor: 'Recipient\'s or adapter loom', reasons: 'reversible, hours saved, plugs known', suits: 'same plugs, or a kit exists', weak: 'an adapter may leave out the second oxygen sensor',
    changes: 'missing-signal list against inspection rules',
  },
  { id: 'sch-power-dist-a', standsFor: 'Relays and fuses', reasons: 'anyone can repair it at the roadside', suits: 'a few circuits', weak: 'many parts, much wire', changes: 'fuse and relay table, spares' },
  {
    id: 'sch-power-dist-b', standsFor: 'Programmable module', reasons: 'logic, current limits, less wire, log', suits: 'full rewire, many functions', weak: 'learning time, a lost file stops the car',
    changes: 'bench test, file and version kept, outputs without an input listed',
  },
  {
    id: 'sch-fuel-return-a', standsFor: 'Return, regulator at the rail', reasons: 'pressure follows the manifold, fuel stays cool, air bubbles leave', suits: 'two-port rail, more power, standalone',
    weak: 'second line to the tank, heats the tank in long traffic', changes: 'the loop tank, pump, filter, rail, regulator, tank is ticked closed before priming',
  },
  {
    id: 'sch-fuel-return-b', standsFor: 'Returnless, regulator at tank or filter', reasons: 'one line forward, less vapour work', suits: 'single-port rail, program made for it',
    weak: 'constant gauge pressure: ECU must know; heat soak in the rail', changes: 'place of the filter-regulator, its own return to the tank, program setting',
  },
  {
    id: 'sch-fuel-return-c', standsFor: 'Controlled pump', reasons: 'pressure by demand, quiet, factory direct injection', suits: 'the ECU or a module drives it', weak: 'module, current, diagnosis',
    changes: 'module on the kit line, current and signal check',
  },
  {
    id: 'sch-pump-place-a', standsFor: 'In the tank', reasons: 'cooled by fuel, quiet, primes itself', suits: 'a module fits, tank is baffled', weak: 'tank work, level sender to match',
    changes: 'ground by voltage drop, gauge reading check',
  },
  {
    id: 'sch-pump-place-b', standsFor: 'Inline outside', reasons: 'no tank work, quick to change', suits: 'race, odd tanks', weak: 'noise, starves uphill, must sit low, can be fitted backwards',
    changes: 'flow-arrow photo, feed height, guard',
  },
  { id: 'sch-tighten-a', standsFor: 'Torque tool', reasons: 'equal clamp, proof on paper', suits: 'everything with a value', weak: 'the tool must be in reach and in date', changes: 'value, tool id, witness line' },
  {
    id: 'sch-tighten-b', standsFor: 'By feel', reasons: 'quick; experienced hands are close on small ones', suits: 'trim, clips, brackets', weak: 'spark plugs, plastic, covers crack or leak',
    changes: 'never offered on safety or sealing joints',
  },
  {
    id: 'sch-fastener-reuse-a', standsFor: 'Renew all', reasons: 'no doubt, one finish, nothing missing at assembly', suits: 'show, high load, long lead', weak: 'money, wait',
    changes: 'hardware order the day the engine is stripped',
  },
  {
    id: 'sch-fastener-reuse-b', standsFor: 'Renew stretch, locking, rusted', reasons: 'sound hardware is proved hardware', suits: 'most jobs', weak: 'a stretch bolt that nobody recognised',
    changes: 'fate per fastener at bagging',
  },
  { id: 'sch-exhaust-start-a', standsFor: 'Complete first', reasons: 'sensors read, heat and noise stay where they should', suits: 'road cars, neighbours', weak: 'the start waits for a pipe', changes: 'start gate line' },
  {
    id: 'sch-exhaust-start-b', standsFor: 'Short open run', reasons: 'leaks and faults found days earlier', suits: 'the pipe is due soon', weak: 'false mixture, flames, hearing, gas',
    changes: 'time limit, extraction, clear zone, hearing protection',
  },
  { id: 'sch-prime-a', standsFor: 'Crank, fuel and spark off', reasons: 'no tool, every engine', suits: 'most', weak: 'starter heats: short bursts and rests', changes: 'pressure number, seconds to rise' },
  { id: 'sch-prime-b', standsFor: 'Pre-oiler or accumulator', reasons: 'bearings wet before anything turns', suits: 'rebuilt, stood for years', weak: 'a port, an adapter', changes: 'port, volume, level afterwards' },
  { id: 'sch-fault-a', standsFor: 'Test, one change at a time', reasons: 'the cause is known afterwards', suits: 'always', weak: 'patience under pressure', changes: 'attempt log: symptom, one change, result' },
  {
    id: 'sch-fault-b', standsFor: 'All sensors at once', reasons: 'quick where hours cost more than parts', suits: 'aged engine of unknown past, off the road anyway',
    weak: 'nobody knows what cured it; poor copies add faults', changes: 'old parts kept as known good, parts reserve',
  },
  {
    id: 'sch-gauges-a', standsFor: 'Keep the cluster, match senders', reasons: 'papers, look, odometer goes on', suits: 'few signals, same maker', weak: 'contact logic, buzzers, curves',
    changes: 'signal matrix: who reads which sender',
  },
  {
    id: 'sch-gauges-b', standsFor: 'Diagnostic-port display', reasons: 'one plug, many readings', suits: 'small budget, first drives', weak: 'no lamps, slow; a legal speedometer is another matter',
    changes: 'legal instrument list',
  },
  {
    id: 'sch-gauges-c', standsFor: 'Own gauges, own senders', reasons: 'free choice, quick needles', suits: 'race, old cars', weak: 'second senders need ports, adapters',
    changes: 'sender per consumer; the ECU keeps its own',
  },
  { id: 'sch-thick-oil-a', standsFor: 'Thicker oil', reasons: 'consumption falls today', suits: 'the last months of an engine', weak: 'poor cold flow, hides wear', changes: 'consumption trend, note at sale' },
  { id: 'sch-thick-oil-b', standsFor: 'Measure first', reasons: 'leak-down tells rings from guides from seals', suits: 'any rise in consumption', weak: 'an hour or two', changes: 'leak-down task, then oil choice' },
  {
    id: 'sch-bent-shell-a', standsFor: 'Straighten or section', reasons: 'cheaper, car stays itself', suits: 'mild steel, published method', weak: 'heat and splices lose strength',
    changes: 'body specialist\'s paper before engine work goes on',
  },
  { id: 'sch-bent-shell-b', standsFor: 'Replace, or not for road', reasons: 'the next crash decides', suits: 'high-strength rails', weak: 'cost, parts', changes: 'shell marked not for road' },
];

/** What is never a matter of school. */
export const notASchool: readonly NotASchool[] = [
  { id: 'floor-hoist-first', floor: 'Load on hook or cradle before a mount is free', because: 'dropped engine' },
  { id: 'floor-slings', floor: 'Rated, dated lifting gear only; no seat belts, rope, unmarked chain', because: 'it fails without notice' },
  { id: 'floor-support-last', floor: 'Exhaust, turbo, gearbox held before the last fastener', because: 'it drops on a person' },
  { id: 'floor-hv', floor: 'High voltage: authorised person, wait, proved dead by meter, numbers written', because: 'death' },
  { id: 'floor-refrigerant', floor: 'Licensed recovery; gauge reading even if thought empty', because: 'injury, law' },
  { id: 'floor-fuel-heat', floor: 'No flame, grinder or torch with fuel open; extinguisher before the pump runs', because: 'fire' },
  { id: 'floor-hp-fuel', floor: 'No cracking of high-pressure lines on a running engine', because: 'injection injury' },
  { id: 'floor-two-turns', floor: 'Two turns by hand after any timing work', because: 'bent valves' },
  { id: 'floor-oil-first', floor: 'Oil pressure seen before fuel and load', because: 'bearings' },
  { id: 'floor-brakes', floor: 'Opened or moved brakes: bled, leak-tested, pedal by a second person before any movement', because: 'no brakes' },
  { id: 'floor-steering-metal', floor: 'Metal off a steering part: second approval, photo, disclosure; maker and inspector first', because: 'loss of steering' },
  { id: 'floor-structure', floor: 'Structural weld and cut: qualified welder, local code', because: 'crash' },
  { id: 'floor-spring', floor: 'Loaded springs and struts: supported, tool rated, lowered under control', because: 'released energy' },
  { id: 'floor-temporary', floor: 'No handover while a temporary, loose, tacked, borrowed or capped item is open', because: 'it is forgotten' },
];
