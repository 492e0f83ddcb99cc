import type { FillStep, HeatMeans, PracticeRule } from '../types.ts';

/** Routing and sizing rules with their number and where it comes from. */
export const practiceRules: readonly PracticeRule[] = [
  {
    id: 'con-fuel-loop', group: 'Fuel', rule: 'Draw the loop tank, strainer, pump, filter, rail, regulator, tank; every port has a line, a size, an end, or a plug', number: 'all ports', basis: 'common practice',
    why: 'an unfinished return is found by the first prime',
  },
  {
    id: 'con-fuel-flow', group: 'Fuel', rule: 'Volume flow = kW x specific use / density; 0.30 kg/kWh plain, 0.38 boosted petrol, 0.745 kg/L', number: 'pump at rail pressure and 12 V at least 1.25 times', basis: 'common practice',
    why: 'lean at load is a broken piston',
  },
  {
    id: 'con-fuel-line', group: 'Fuel', rule: 'Feed bore by flow: up to about 370 kW petrol 8 mm, above 10 mm; return same or one size less; loss under 0.3 bar',
    number: 'm/s under 2.5 in pressure lines, under 1 in suction', basis: 'common practice', why: 'regulator cannot correct a starved or blocked line',
  },
  {
    id: 'con-fuel-suction', group: 'Fuel', rule: 'Inline pump low, near the tank, below its outlet, suction short and full bore, 100 micron before it, 10 micron after it', number: 'lift under 0.3 m', basis: 'common practice',
    why: 'these pumps push, they do not pull',
  },
  { id: 'con-fuel-arrow', group: 'Fuel', rule: 'Flow arrow of pump, filter, check valve and regulator photographed as fitted', number: 'each', basis: 'common practice', why: 'a reversed pump shows as pressure that falls below zero' },
  {
    id: 'con-fuel-hose', group: 'Fuel', rule: 'Hose rated for pressure, fuel and ethanol share; date read; injection clamps, not worm-drive, above 1 bar',
    number: 'standard SAE J30 R9 to about 7 bar, J30 R6 and R7 low pressure only, J2044 for quick couplings (memory)', basis: 'standard', why: 'the old line was made for a tenth of the pressure',
  },
  { id: 'con-fuel-clip', group: 'Fuel', rule: 'Clip every 300 to 450 mm, rubber-lined, no clip shared with a cable; follow the factory route where it exists', number: 'mm', basis: 'common practice', why: 'chafe' },
  {
    id: 'con-fuel-flex', group: 'Fuel', rule: 'Flexible piece with slack between body and engine; none above exhaust joints; sleeve where the gap to the exhaust asks for it', number: 'slack for rock plus 30 mm', basis: 'common practice',
    why: 'the engine moves, the body does not',
  },
  { id: 'con-fuel-rear', group: 'Fuel', rule: 'Rear-of-engine fittings fitted or looked at after each lowering', number: 'photo', basis: 'common practice', why: 'crushed on the firewall without leaking yet' },
  { id: 'con-fuel-cutoff', group: 'Fuel', rule: 'Pump off without crank signal, one prime of 2 to 3 s at key-on, inertia or roll-over switch', number: 's', basis: 'common practice; local law', why: 'pump must not feed a fire' },
  {
    id: 'con-fuel-gauge', group: 'Fuel', rule: 'Pressure read at the rail by gauge or sensor; not a gauge with liquid led into the cabin', number: 'in range to 1.5 times', basis: 'common practice; local law',
    why: 'it is what the regulator is set by',
  },
  { id: 'con-fuel-vacuum', group: 'Fuel', rule: 'Regulator reference to a port with full manifold signal, or open to air, as the calibration expects', number: 'the manual', basis: 'the manual', why: '0.4 to 0.6 bar error at idle' },
  { id: 'con-fuel-swap-kind', group: 'Fuel', rule: 'Petrol tank to diesel or back: drained, cleaned, lines, neck and cap label changed', number: 'all', basis: 'common practice', why: 'one litre of the wrong kind spoils the day' },
  {
    id: 'con-cool-flow', group: 'Cooling', rule: 'Arrow on every hose on a sketch; thermostat side decides; cross-flow core may mirror in and out', number: 'each hose', basis: 'common practice',
    why: 'both hoses fit the wrong way round',
  },
  {
    id: 'con-cool-heat', group: 'Cooling', rule: 'Heat to coolant at full load about 0.7 to 1.0 kW for each kW at the crank petrol, 0.5 to 0.8 diesel; cruising a quarter of that', number: 'kW', basis: 'handbook, memory',
    why: 'sizing, not feeling',
  },
  { id: 'con-cool-bore', group: 'Cooling', rule: 'Spigot with bead; hose bore equal to or up to 1 mm below the stub; step pieces for more', number: 'mm', basis: 'common practice', why: 'a clamp cannot shrink a hose' },
  {
    id: 'con-cool-high', group: 'Cooling', rule: 'Filler at least 25 mm above every coolant space; steam lines rise all the way, bore 4 to 6 mm, restrictor where the donor had one', number: 'mm', basis: 'common practice',
    why: 'vapour collects at the highest place',
  },
  { id: 'con-cool-support', group: 'Cooling', rule: 'Hose run over 400 mm supported; spring inside a suction hose that can flatten', number: 'mm', basis: 'common practice', why: 'lower hose collapses at speed' },
  { id: 'con-cool-air', group: 'Cooling', rule: 'Air must pass the core: shroud covers 70 % or more, seal sides and bottom, exit area at least 1.5 times', number: '%', basis: 'common practice', why: 'fan only stirs' },
  { id: 'con-cool-fan', group: 'Cooling', rule: 'Flow for a vee engine of 5 to 6 L about 1.0 to 1.4 m³/s in all; two small fans: recompute area and flow', number: 'm³/s', basis: 'common practice', why: 'looks do not cool' },
  {
    id: 'con-cool-fan-on', group: 'Cooling', rule: 'First stage about 5 K above fully open thermostat, second 5 K higher, off 4 to 6 K lower; on with air conditioning', number: 'K', basis: 'common practice; the manual',
    why: 'short cycling',
  },
  { id: 'con-cool-clamp', group: 'Cooling', rule: 'School of the shop; worm clamps again after the first heat cycle', number: 'one re-tighten', basis: 'common practice', why: 'hose sets' },
  { id: 'con-cool-aux', group: 'Cooling', rule: 'Separate cooler for gearbox with own air; unused ports capped with threaded plugs', number: 'each', basis: 'common practice', why: 'a plain bolt is a stop-gap, list it' },
  { id: 'con-exh-order', group: 'Exhaust', rule: 'Turbo angle and manifold final, then wastegate, then pipe; mid pipe after gearbox, crossmember, shaft', number: 'order', basis: 'common practice', why: 'made twice otherwise' },
  {
    id: 'con-exh-bore', group: 'Exhaust', rule: 'Same bore all the way. Single pipe, petrol: about 57 mm inside to 130 kW, 63 to 180, 76 to 300; two of 63 to 350. Diesel and turbo one size up', number: 'mm', basis: 'common practice',
    why: 'a step back chokes, a size up only hangs low',
  },
  { id: 'con-exh-fit', group: 'Exhaust', rule: 'Flanges parallel and gap even before tacking: tack, off, trial, weld, off, trial', number: '1 mm', basis: 'common practice', why: 'V-band halves leak when forced' },
  { id: 'con-exh-growth', group: 'Exhaust', rule: 'Stainless grows about 1.7 mm per metre per 100 K; slip or flex behind each fixed end', number: 'mm', basis: 'geometry', why: 'cracks at the collector' },
  {
    id: 'con-exh-bung', group: 'Exhaust', rule: 'Oxygen sensor boss 10 to 80 degrees above horizontal, upstream within the donor\'s distance, before any leak; second one after the catalyst', number: 'deg',
    basis: 'common practice; the manual', why: 'water kills it, a leak lies to it',
  },
  { id: 'con-exh-hanger', group: 'Exhaust', rule: 'Hangers near joints, 0.8 to 1.2 m apart, allow 15 mm roll', number: 'm', basis: 'common practice', why: 'rattles' },
  {
    id: 'con-exh-fumes', group: 'Exhaust', rule: 'Joints checked cold by smoke or by closing the tail with a gloved rag and listening, then hot; outlet past the last window', number: 'no leak', basis: 'common practice; local law',
    why: 'carbon monoxide in the cabin',
  },
  {
    id: 'con-el-drop', group: 'Electrics: sizing and protection', rule: 'Drop = 2 x I x L x 0.0172 / mm² at 20 °C; x 1.24 at 80 °C (loop of feed and return of equal size)', number: 'V', basis: 'geometry; IEC 60028',
    why: 'hot bundle counts',
  },
  {
    id: 'con-el-limit', group: 'Electrics: sizing and protection',
    rule: 'Least loss: sensor earth 0.05 V, engine-unit feed 0.2, pump and fans 0.5, lamps 0.5, alternator to battery 0.3, starter feed 0.5 and its earth 0.2 while cranking', number: 'V', basis: 'common practice',
    why: 'pump flow falls with volts',
  },
  {
    id: 'con-el-fuse', group: 'Electrics: sizing and protection', rule: 'Fuse protects the wire: rating not above the wire\'s value; steady load not above 75 to 80 % of the fuse; motors may start at 2 to 3 times',
    number: 'A', basis: 'common practice; standard ISO 8820 (memory)', why: 'nuisance or fire',
  },
  {
    id: 'con-el-place', group: 'Electrics: sizing and protection', rule: 'Fuse within 200 mm of where current is taken; starter cable short, booted, clipped, apart from fuel', number: 'mm', basis: 'common practice',
    why: 'unprotected length',
  },
  {
    id: 'con-el-wire', group: 'Electrics: sizing and protection', rule: 'Thin-wall automotive cable, class for the place: cabin 105 °C, engine bay 125 °C, near exhaust 150 °C and sleeve', number: '°C',
    basis: 'standard SAE J1128, ISO 19642 (memory)', why: 'household cable hardens',
  },
  {
    id: 'con-el-crimp', group: 'Electrics: sizing and protection', rule: 'Crimp with the dies of the terminal, pull test, sealed; solder only with strain relief; heat shrink with adhesive outside the cabin',
    number: '50 N on 1 mm²', basis: 'common practice', why: 'a joint fails where it bends',
  },
  {
    id: 'con-el-shield', group: 'Electrics: sizing and protection', rule: 'Crank, cam, knock: twisted pair or screen, earth at one end, 50 mm from coil and starter wires', number: 'mm', basis: 'common practice; the manual',
    why: 'false pulses',
  },
  {
    id: 'con-el-nocut', group: 'Electrics: sizing and protection', rule: 'Leads marked not to be cut: by-wire pedal and throttle, wide-band sensor, screened pairs, bus pair', number: 'flag', basis: 'the manual',
    why: 'slack computed for each controller place',
  },
  {
    id: 'con-el-bus', group: 'Electrics: sizing and protection', rule: 'Bus pair twisted, about 120 ohm at both ends, 60 ohm across when healthy and unpowered, stubs under 0.3 m', number: 'ohm',
    basis: 'standard ISO 11898 (memory)', why: 'units drop out',
  },
  {
    id: 'con-el-colour', group: 'Electrics: sizing and protection', rule: 'Red only for positive, black or brown only for earth; a cable that breaks this gets a sleeve of the right colour', number: 'each', basis: 'common practice',
    why: 'live black cable at the starter',
  },
  {
    id: 'con-el-crankfeed', group: 'Electrics: sizing and protection', rule: 'Engine unit, pump and ignition fed from a terminal that stays live while cranking', number: 'key test',
    basis: 'common practice; standard DIN 72552 terminal 15, not the accessory one (memory)', why: 'engine dies as soon as it is cranked',
  },
  { id: 'con-el-backfeed', group: 'Electrics: sizing and protection', rule: 'Alternator lamp wire and fan relays checked for feeding the unit after key-off', number: '0 V', basis: 'common practice', why: 'engine will not stop' },
  {
    id: 'con-ctl-cable', group: 'Controls, instruments, vacuum, hydraulics',
    rule: 'Throttle cable: full at the floor with pedal stop, free closing by two springs, no bend under 100 mm radius, 25 mm from exhaust with sleeve', number: 'mm', basis: 'common practice', why: 'a stuck throttle kills',
  },
  { id: 'con-ctl-bywire', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Pedal bolted to metal, floor mat clear, no other current in its earth', number: '0.05 V', basis: 'common practice; the manual', why: 'unit goes to limp' },
  {
    id: 'con-ctl-tv', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Throttle-valve cable: at full throttle fully drawn, at idle no slack, geometry of the throttle arm as the gearbox expects', number: 'the manual',
    basis: 'the manual', why: 'line pressure follows it',
  },
  {
    id: 'con-ctl-clutch', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Pedal free play about 5 mm at the rod, slave stroke measured, stop set so that the slave never over-travels, bleed line brought up',
    number: 'mm', basis: 'common practice; the manual', why: 'drag or blown slave',
  },
  { id: 'con-ctl-shift', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Every gate felt at the gearbox lever, then at the hand lever; park holds on a slope', number: 'each', basis: 'common practice', why: 'rolls away' },
  { id: 'con-ins-one', group: 'Controls, instruments, vacuum, hydraulics', rule: 'One sender, one reader; the unit\'s own sensor is never shared with a needle', number: 'each', basis: 'common practice', why: 'both read wrong' },
  { id: 'con-ins-earth', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Sender body earths through its thread: no sealing tape on the whole thread', number: 'under 1 ohm', basis: 'common practice', why: 'reads low' },
  {
    id: 'con-ins-two-stage', group: 'Controls, instruments, vacuum, hydraulics',
    rule: 'Two-stage oil warning: low switch near 0.2 to 0.5 bar, high near 1.4 to 1.8 bar, one opens on pressure and the other closes; buzzer usually above a set speed only', number: 'bar', basis: 'common practice',
    why: 'wires crossed: it buzzes for ever',
  },
  { id: 'con-ins-tach', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Pulses a turn set in the unit, checked at two speeds', number: '5 %', basis: 'common practice', why: 'half or double' },
  { id: 'con-vac-map', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Every manifold port: consumer or cap, clamp on caps that see boost', number: 'each', basis: 'common practice', why: 'unmetered air' },
  {
    id: 'con-vac-booster', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Booster hose fuel-proof, own port, check valve near booster, assist proved', number: 'two strokes after stop',
    basis: 'common practice; maker first', why: 'first brake is the test otherwise',
  },
  { id: 'con-hyd-fall', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Steering reservoir highest, hoses fall to pump; joints listed loose, tight, marked', number: 'each', basis: 'common practice', why: 'foam and noise' },
  {
    id: 'con-hyd-brake', group: 'Controls, instruments, vacuum, hydraulics', rule: 'Opened brake circuit: flare of one kind with its seat, no flexible used as tube, bled, held under full pedal 1 min', number: 'min',
    basis: 'common practice; manual, local law first', why: 'loss of brakes',
  },
];


/** Ways to keep heat away, in the order to try them. */
export const heatMeans: readonly HeatMeans[] = [
  { id: 'hs-distance', means: 'distance first', use: 'table values without shield', caution: 'read again hot' },
  { id: 'hs-shield', means: 'bright metal sheet, 6 to 10 mm air both sides, stand-offs', use: 'starter, floor, tank, joint', caution: 'not touching either side; no rattles' },
  { id: 'hs-sleeve', means: 'reflective sleeve over the cold part', use: 'hoses, looms; cut longer than the pipe and drawn over the joint', caution: 'ends overlapped, two layers where nobody gets later' },
  { id: 'hs-wrap', means: 'wrap or coating on the hot part', use: 'turbo, downpipe', caution: 'adds 3 to 6 mm, holds water, hides cracks; gaps read again' },
  { id: 'hs-fix', means: 'metal ties or wire', use: 'all of these', caution: 'plastic ties never within 150 mm of exhaust' },
  { id: 'hs-read', means: 'thermometer on each neighbour after the road test', use: 'limit of the part (the manual), rubber over 110 °C or plastic over 90 °C gets more', caution: 'hot parts burn; gloves' },
];

/** Filling and bleeding the coolant. */
export const fillSteps: readonly FillStep[] = [
  { id: 'fill-test', step: 'Empty system under air at cap pressure before coolant', number: '0.8 to 1.0 bar, 10 min, drop under 0.05', caution: 'stand aside of hoses' },
  { id: 'fill-ports', step: 'Plugs counted: block, heater, bleed, cooler ports', number: 'count = table', caution: 'photo behind headers' },
  { id: 'fill-mix', step: 'Glycol by volume for the climate', number: '50 % near -37 °C, 40 % near -24, 60 % near -52 (standard ASHRAE, memory)', caution: 'never mix technologies; poisonous, sweet' },
  { id: 'fill-raise', step: 'Nose up, fill point highest, heater open, bleeds open', number: '150 to 300 mm', caution: 'chocks' },
  { id: 'fill-slow', step: 'Fill until bubble-free from each bleed, close lowest first, squeeze hoses', number: 'litres counted against capacity', caution: 'shortfall over 10 % is air' },
  { id: 'fill-vacuum', step: 'Or: draw vacuum, hold, let it suck coolant in', number: 'about 80 kPa below ambient, 2 min hold', caution: 'soft hoses may fold' },
  { id: 'fill-run', step: 'Run with cap off or at first notch until the thermostat opens, top up as it falls', number: 'both hoses warm, heater hot', caution: 'scald: cap only below 50 °C' },
  { id: 'fill-fan', step: 'Both fan stages seen on and off', number: 'at set temperatures', caution: 'hands away' },
  { id: 'fill-cycle', step: 'Cool down, top up, three heat cycles', number: 'level steady', caution: 'written in the job book: this car\'s bleed order' },
];
