import type { MeasurementDef } from '../types.ts';

/** What is measured on an engine, with what, how often, and whose limit counts. */
export const measurementDefs: readonly MeasurementDef[] = [
  {
    id: 'msr-bore', quantity: 'Bore', instrument: 'bore gauge set on micrometer', readings: '3 heights × 2 directions, each cylinder', computed: 'size, out-of-round = max − min at one height, taper = top − bottom',
    limit: 'maker\'s figure; sorting: about 0.05 mm out-of-round, 0.10 mm taper asks for a rebore (common practice)',
  },
  { id: 'msr-piston', quantity: 'Piston', instrument: 'micrometer at the maker\'s skirt height', readings: '1 a piston, 20 °C', computed: 'wall clearance = smallest bore − piston', limit: 'maker\'s figure; forged pistons want more' },
  {
    id: 'msr-ring-gap', quantity: 'Ring end gap', instrument: 'feeler, ring squared by a piston', readings: 'each ring in its bore', computed: '—',
    limit: 'maker\'s figure; 0.004 in per inch of bore, street use (common practice); too small breaks lands',
  },
  { id: 'msr-ring-side', quantity: 'Ring in groove', instrument: 'feeler', readings: '3 places', computed: '—', limit: 'maker\'s figure' },
  { id: 'msr-deck', quantity: 'Block face', instrument: 'straight edge, feeler', readings: '6 lines: 2 long, 2 cross, 2 diagonal', computed: 'largest gap', limit: 'maker\'s figure; about 0.05 mm in 150 mm (common practice)' },
  { id: 'msr-head-face', quantity: 'Head face', instrument: 'same', readings: '6 lines', computed: 'largest gap; metal left', limit: 'maker\'s figure; about 0.05 mm in 150 mm, 0.10 mm whole (common practice)' },
  { id: 'msr-finish', quantity: 'Face roughness', instrument: 'comparator or tester', readings: '3 places', computed: 'Ra', limit: 'gasket maker\'s figure; multi-layer steel wants finer than about 0.8 µm (common practice)' },
  { id: 'msr-chamber', quantity: 'Chamber volume', instrument: 'burette and plate', readings: '1–2 per cylinder', computed: 'compression ratio with gasket, deck, dish', limit: 'equal within about 1 cm³ (common practice)' },
  {
    id: 'msr-deck-height', quantity: 'Piston to deck at TDC', instrument: 'dial gauge over the pin line', readings: '2 points a piston', computed: 'mean, squish = deck + gasket',
    limit: 'maker\'s figure; squish near 1.0 mm, steel rods (common practice)',
  },
  { id: 'msr-journal', quantity: 'Main and rod journals', instrument: 'micrometer', readings: '2 directions × 2 places', computed: 'out-of-round, taper', limit: 'maker\'s figure; above about 0.013 mm is doubtful (common practice)' },
  { id: 'msr-housing', quantity: 'Main and rod bores, no shells, torqued', instrument: 'bore gauge', readings: '3 directions × 2', computed: 'out-of-round', limit: 'maker\'s figure' },
  {
    id: 'msr-oil-gap', quantity: 'Bearing clearance', instrument: 'bore gauge on torqued shell, or gauge strip', readings: '2 per bearing; strip: never turn', computed: 'vertical bore − largest journal',
    limit: 'maker\'s figure; 0.001 in per inch of journal + 0.0005 in (common practice)',
  },
  { id: 'msr-crank-runout', quantity: 'Crank runout', instrument: 'V-blocks, dial gauge', readings: 'centre main, 1 turn', computed: 'half for bend', limit: 'maker\'s figure' },
  { id: 'msr-endfloat', quantity: 'Crank end float', instrument: 'dial gauge, levered both ways', readings: '3', computed: 'mean', limit: 'maker\'s figure' },
  { id: 'msr-rod-side', quantity: 'Rod side play', instrument: 'feeler', readings: 'each pin', computed: '—', limit: 'maker\'s figure' },
  { id: 'msr-lobe', quantity: 'Cam lift', instrument: 'dial gauge on the follower', readings: 'each lobe', computed: 'largest − smallest', limit: 'maker\'s figure; 0.13 mm spread tells of wear (common practice)' },
  { id: 'msr-guide', quantity: 'Guide play', instrument: 'dial gauge at the stem, or ball gauge', readings: '2 directions', computed: 'bore − stem', limit: 'maker\'s figure' },
  {
    id: 'msr-spring', quantity: 'Spring', instrument: 'tester, square; compressor with eye protection', readings: 'free length, load at fitted height', computed: 'fitted height − coil bind',
    limit: 'maker\'s figure; within 10 % of the maker\'s load (common practice)',
  },
  { id: 'msr-lash', quantity: 'Valve lash', instrument: 'feeler', readings: 'per valve: found, set, hot or cold', computed: '—', limit: 'maker\'s figure; older mechanical diesels: look each 12 000 miles (common practice)' },
  {
    id: 'msr-piston-valve', quantity: 'Valve to piston', instrument: 'clay, or light spring and dial, ±20° around TDC', readings: 'intake, exhaust, two cylinders', computed: 'smallest',
    limit: 'maker\'s figure; about 2.0 mm intake, 2.5 mm exhaust (common practice)',
  },
  { id: 'msr-tdc', quantity: 'Top dead centre', instrument: 'positive stop, degree wheel', readings: 'stop angle each way', computed: 'mean of the two (geometry)', limit: 'pointer error written' },
  { id: 'msr-cam-time', quantity: 'Cam centreline', instrument: 'degree wheel, dial', readings: 'equal lift both flanks', computed: 'mean', limit: 'cam card (maker\'s figure)' },
  { id: 'msr-oil-pump', quantity: 'Oil pump gaps', instrument: 'feeler, straight edge', readings: 'side, end, tip', computed: '—', limit: 'maker\'s figure; scored plate: renew (common practice)' },
  { id: 'msr-flywheel', quantity: 'Flywheel face runout', instrument: 'dial gauge, end float held one way', readings: '1 turn', computed: 'total', limit: 'maker\'s figure; about 0.13 mm (common practice)' },
  { id: 'msr-bell', quantity: 'Bell bore and face runout', instrument: 'dial on crank', readings: '8 points', computed: 'offset = half of total', limit: 'maker\'s figure; about 0.13 mm total at the bore for a manual (common practice)' },
  { id: 'msr-belt-plane', quantity: 'Pulley plane', instrument: 'straight edge, laser', readings: 'each pulley', computed: 'spacer = offset', limit: 'maker\'s figure; about 1.5 mm per 300 mm of span (common practice)' },
  { id: 'msr-bolt-stretch', quantity: 'Big-end or head bolt length', instrument: 'micrometer over balls, calliper', readings: 'new and now', computed: 'growth', limit: 'maker\'s figure; no figure: renew' },
  { id: 'msr-protrusion', quantity: 'Stud or bolt stick-out', instrument: 'depth gauge', readings: 'each', computed: 'spare thread, cover gap', limit: 'at least 1 full thread past a nut (common practice)' },
  {
    id: 'msr-converter', quantity: 'Converter seating', instrument: 'straight edge, depth gauge', readings: 'face to pads, 3 places; gap to plate after joining', computed: 'pull-out = depth − plate depth',
    limit: 'converter or gearbox maker\'s; often 1.5–5 mm (common practice)',
  },
  { id: 'msr-pilot', quantity: 'Pilot bearing depth and bore', instrument: 'depth gauge', readings: '2', computed: 'shaft engagement', limit: 'maker\'s figure' },
  { id: 'msr-release', quantity: 'Release bearing travel and rest gap', instrument: 'depth gauge, rule', readings: 'pedal up, down', computed: 'free gap, lift', limit: 'clutch or slave maker\'s' },
  { id: 'msr-turbo', quantity: 'Turbo shaft', instrument: 'dial gauge', readings: 'axial, radial', computed: '—', limit: 'maker\'s figure' },
  { id: 'msr-injector', quantity: 'Diesel injectors', instrument: 'closed tester: the spray pierces skin', readings: 'opening, leakage, pattern each', computed: 'spread', limit: 'maker\'s figure' },
  { id: 'msr-flow', quantity: 'Petrol injectors', instrument: 'flow bench', readings: 'static, dynamic each', computed: 'spread, mean at rail pressure', limit: 'spread within about 3 % (common practice)' },
  { id: 'msr-sender', quantity: 'Temperature and pressure senders', instrument: 'meter, bath, hand pump', readings: '3 points', computed: 'curve match, contact logic', limit: 'by the consumer\'s card' },
  { id: 'msr-thermostat', quantity: 'Opening', instrument: 'bath, thermometer', readings: 'start, full', computed: 'travel', limit: 'stamp, or the maker\'s figure' },
  { id: 'msr-vacuum', quantity: 'Vacuum units', instrument: 'hand pump', readings: 'level, minutes, drop', computed: '—', limit: 'maker\'s figure' },
  { id: 'msr-mass', quantity: 'Engine as hung, flywheel, gearbox', instrument: 'hook scale', readings: '1 each', computed: 'difference to the old one', limit: '—' },
];
