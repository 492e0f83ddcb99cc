import type { Clearance } from '../types.ts';

/** Least clearances, mm; rock is added for rubber, polyurethane and solid mounts in that order. Common practice unless the words say otherwise. */
export const clearances: readonly Clearance[] = [
  { id: 'cl-fixed', pair: 'engine or gearbox to fixed structure', staticMm: 12.0, rockMm: [8, 4, 0], moving: 'measure again hot', reason: 'roll, growth, vibration; contact is heard in the cabin before it is seen' },
  {
    id: 'cl-rock-upper', pair: 'covers, coils, intake to tower, booster, firewall top', staticMm: 15.0, rockMm: [15, 8, 2], moving: 'reading under load by putty',
    reason: 'the farther from the crank, the larger the swing',
  },
  { id: 'cl-sump-crossmember', pair: 'sump to crossmember', staticMm: 12.0, rockMm: [6, 3, 0], moving: 'cushions settle 3 to 6 mm in the first weeks', reason: 'settled cushion plus bump load cracks a sump' },
  { id: 'cl-sump-steering', pair: 'sump to rack, link, boots', staticMm: 15.0, rockMm: [5, 3, 0], moving: 'both locks, bump and droop', reason: 'steering must never be touched (manual and local law first)' },
  { id: 'cl-ground', pair: 'lowest engine part to road, laden', staticMm: 120.0, rockMm: [0, 0, 0], moving: 'after final springs', reason: 'kerbs and humps; local approval may ask more' },
  { id: 'cl-hood', pair: 'highest point to hood bracing', staticMm: 20.0, rockMm: [15, 8, 2], moving: 'filter lid, coil, oil cap', reason: 'hood flexes and engine lifts' },
  {
    id: 'cl-firewall', pair: 'bell or rear of engine to firewall', staticMm: 20.0, rockMm: [5, 3, 0], moving: 'fittings counted in',
    reason: 'a hand and a spanner must pass; crushed rear fuel fitting is the classic find',
  },
  { id: 'cl-pulley-fan', pair: 'pump nose or pulley to electric fan motor', staticMm: 15.0, rockMm: [5, 3, 0], moving: 'fore-aft shift under braking', reason: 'fan moves with the body, pulley with the engine' },
  { id: 'cl-fan-core', pair: 'engine-driven blade to core', staticMm: 25.0, rockMm: [5, 3, 0], moving: 'blades flatten or cone at speed', reason: 'a blade through the core; thin electric fans may sit on the shroud' },
  { id: 'cl-fan-shroud', pair: 'blade tip to shroud ring', staticMm: 15.0, rockMm: [8, 5, 2], moving: 'engine-driven only', reason: 'engine rolls, shroud stays; electric fans follow their maker' },
  { id: 'cl-belt-hose', pair: 'belt or pulley to hose, loom, line', staticMm: 20.0, rockMm: [5, 3, 0], moving: 'longest run whips', reason: 'belt flutter and a loose clip' },
  { id: 'cl-moving-fuel', pair: 'fuel or brake line to any moving part', staticMm: 25.0, rockMm: [8, 4, 0], moving: 'all travel', reason: 'wear through is fire or loss of brakes' },
  { id: 'cl-exh-steering', pair: 'exhaust to metal steering shaft or joint', staticMm: 20.0, rockMm: [8, 4, 0], moving: 'hot growth 3 to 5 mm', reason: 'joint grease and binding' },
  {
    id: 'cl-exh-rubber-joint', pair: 'exhaust to rubber coupling, boot, bush', staticMm: 75.0, staticWords: '75; 40 with shield', rockMm: [0, 0, 0], moving: 'below the part\'s limit (the manual)',
    reason: 'rubber hardens above about 120 °C',
  },
  { id: 'cl-exh-frame', pair: 'exhaust to rail, crossmember', staticMm: 15.0, rockMm: [5, 3, 0], moving: 'growth along the pipe', reason: 'knock and paint' },
  { id: 'cl-exh-floor', pair: 'pipe to floor; catalyst to floor', staticMm: 30.0, staticWords: '30; 60 with shield', rockMm: [5, 5, 5], moving: 'hangers swing', reason: 'carpet heat, drain plugs' },
  { id: 'cl-exh-starter', pair: 'exhaust to starter and its cable', staticMm: 40.0, staticWords: '40; 25 with shield', rockMm: [3, 3, 3], moving: 'after-run soak', reason: 'heat-soaked solenoid will not pull in' },
  { id: 'cl-exh-brake', pair: 'exhaust to steel brake line; to brake hose', staticMm: 60.0, staticWords: '60; 100. With shield 40; 60', rockMm: [5, 5, 5], moving: 'no closed loop above the pipe', reason: 'boiling fluid' },
  {
    id: 'cl-exh-fuel', pair: 'exhaust to steel fuel line; to hose or plastic', staticMm: 100.0, staticWords: '100; 150. With shield 60; 100', rockMm: [5, 5, 5], moving: 'none above a joint of the exhaust',
    reason: 'fire, vapour lock',
  },
  {
    id: 'cl-exh-wiring', pair: 'exhaust to loom, dipstick tube grip, sensor body', staticMm: 80.0, staticWords: '80; 40 with shield and sleeve', rockMm: [5, 5, 5], moving: 'sensor body under its limit (the manual)',
    reason: 'ordinary insulation is made for 100 to 125 °C (standard ISO 6722 classes B and C, memory)',
  },
  {
    id: 'cl-exh-hose', pair: 'exhaust to coolant or heater hose', staticMm: 60.0, staticWords: '60; 25 with sleeve', rockMm: [5, 5, 5],
    moving: '5 mm to an insulated manifold with two sleeves is the least seen to last; sign, photo, read hot', reason: 'steam burst',
  },
  { id: 'cl-turbine', pair: 'turbine housing to plastic, composite, fluid reservoir', staticMm: 150.0, staticWords: '150; 75 with shield', rockMm: [5, 5, 5], moving: 'glows at full load', reason: 'fire' },
  {
    id: 'cl-fuel-electric', pair: 'fuel line to battery cable, starter, alternator stud', staticMm: 50.0, staticWords: '50 and no shared clip', rockMm: [0, 0, 0], moving: 'chafe',
    reason: 'one worn cable against one wet line',
  },
  { id: 'cl-shaft-tunnel', pair: 'propshaft to tunnel, exhaust, lines', staticMm: 25.0, rockMm: [5, 3, 2], moving: '12 at full bump', reason: 'joint rises with the axle; a loop where code wants one' },
  {
    id: 'cl-slip', pair: 'slip yoke: left before bottoming at ride height', staticMm: 20.0, staticWords: '20 to 25, and two thirds of the spline engaged', rockMm: [0, 0, 0], moving: 'full bump and droop tried',
    reason: 'bottomed yoke breaks the tail housing',
  },
  { id: 'cl-gearbox-tunnel', pair: 'gearbox to floor and lines', staticMm: 15.0, rockMm: [5, 3, 2], moving: 'heat at the converter end', reason: 'vent, plugs and loom need air' },
  {
    id: 'cl-service', pair: 'spanner and hand around filter, plugs, tensioner, drain', staticMm: 60.0, staticWords: '60 for a hand, part length plus 15', rockMm: [0, 0, 0], moving: 'try it',
    reason: 'otherwise the next service takes the engine out',
  },
];

/** The row that a gap read at a place is held against. */
export const gapOfPlace: Readonly<Record<string, string>> = {
  'fit-bay-length': 'cl-pulley-fan',
  'fit-bay-width': 'cl-rock-upper',
  'fit-firewall': 'cl-firewall',
  'fit-hood': 'cl-hood',
  'fit-sump-crossmember': 'cl-sump-crossmember',
  'fit-sump-steering': 'cl-sump-steering',
  'fit-ground-clearance': 'cl-ground',
  'fit-sway-bar': 'cl-fixed',
  'fit-radiator-fan': 'cl-pulley-fan',
  'fit-exhaust-steering': 'cl-exh-steering',
  'fit-exhaust-body': 'cl-exh-frame',
  'fit-exhaust-lines': 'cl-exh-fuel',
  'fit-tunnel': 'cl-gearbox-tunnel',
  'fit-service-access': 'cl-service',
};
