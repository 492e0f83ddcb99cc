import type { MeasurementDef } from '../types.ts';

/** What is measured on an engine, with what, how often, and whose limit counts. */
export const measurementDefs: readonly MeasurementDef[] = [
  {
    id: 'msr-bore', quantity: 'Bore', instrument: 'bore gauge set on micrometer', readings: '3 heights × 2 directions, each cylinder', computed: 'size, out-of-round = max − min at one height, taper = top − bottom',
    limit: 'mk; sorting: about 0.05 mm out-of-round, 0.10 mm taper asks for a rebore (cp)',
  },
  { id: 'msr-piston', quantity: 'Piston', instrument: 'micrometer at the maker\'s skirt height', readings: '1 a piston, 20 °C', computed: 'wall clearance = smallest bore − piston', limit: 'mk; forged pistons want more' },
  {
    id: 'msr-ring-gap', quantity: 'Ring end gap', instrument: 'feeler, ring squared by a piston', readings: 'each ring in its bore', computed: '—',
    limit: 'mk; 0.004 in per inch of bore, street use (cp); too small breaks lands',
  },
  { id: 'msr-ring-side', quantity: 'Ring in groove', instrument: 'feeler', readings: '3 places', computed: '—', limit: 'mk' },
  { id: 'msr-deck', quantity: 'Block face', instrument: 'straight edge, feeler', readings: '6 lines: 2 long, 2 cross, 2 diagonal', computed: 'largest gap', limit: 'mk; about 0.05 mm in 150 mm (cp)' },
  { id: 'msr-head-face', quantity: 'Head face', instrument: 'same', readings: '6 lines', computed: 'largest gap; metal left', limit: 'mk; about 0.05 mm in 150 mm, 0.10 mm whole (cp)' },
  { id: 'msr-finish', quantity: 'Face roughness', instrument: 'comparator or tester', readings: '3 places', computed: 'Ra', limit: 'gasket maker\'s figure; multi-layer steel wants finer than about 0.8 µm (cp)' },
  { id: 'msr-chamber', quantity: 'Chamber volume', instrument: 'burette and plate', readings: '1–2 per cylinder', computed: 'compression ratio with gasket, deck, dish', limit: 'equal within about 1 cm³ (cp)' },
  {
    id: 'msr-deck-height', quantity: 'Piston to deck at TDC', instrument: 'dial gauge over the pin line', readings: '2 points a piston', computed: 'mean, squish = deck + gasket',
    limit: 'mk; squish near 1.0 mm, steel rods (cp)',
  },
  { id: 'msr-journal', quantity: 'Main and rod journals', instrument: 'micrometer', readings: '2 directions × 2 places', computed: 'out-of-round, taper', limit: 'mk; above about 0.013 mm is doubtful (cp)' },
  { id: 'msr-housing', quantity: 'Main and rod bores, no shells, torqued', instrument: 'bore gauge', readings: '3 directions × 2', computed: 'out-of-round', limit: 'mk' },
  {
    id: 'msr-oil-gap', quantity: 'Bearing clearance', instrument: 'bore gauge on torqued shell, or gauge strip', readings: '2 per bearing; strip: never turn', computed: 'vertical bore − largest journal',
    limit: 'mk; 0.001 in per inch of journal + 0.0005 in (cp)',
  },
  { id: 'msr-crank-runout', quantity: 'Crank runout', instrument: 'V-blocks, dial gauge', readings: 'centre main, 1 turn', computed: 'half for bend', limit: 'mk' },
  { id: 'msr-endfloat', quantity: 'Crank end float', instrument: 'dial gauge, levered both ways', readings: '3', computed: 'mean', limit: 'mk' },
  { id: 'msr-rod-side', quantity: 'Rod side play', instrument: 'feeler', readings: 'each pin', computed: '—', limit: 'mk' },
  { id: 'msr-lobe', quantity: 'Cam lift', instrument: 'dial gauge on the follower', readings: 'each lobe', computed: 'largest − smallest', limit: 'mk; 0.13 mm spread tells of wear (cp)' },
  { id: 'msr-guide', quantity: 'Guide play', instrument: 'dial gauge at the stem, or ball gauge', readings: '2 directions', computed: 'bore − stem', limit: 'mk' },
  {
    id: 'msr-spring', quantity: 'Spring', instrument: 'tester, square; compressor with eye protection', readings: 'free length, load at fitted height', computed: 'fitted height − coil bind',
    limit: 'mk; within 10 % of mk load (cp)',
  },
  { id: 'msr-lash', quantity: 'Valve lash', instrument: 'feeler', readings: 'per valve: found, set, hot or cold', computed: '—', limit: 'mk; older mechanical diesels: look each 12 000 miles (cp)' },
  {
    id: 'msr-piston-valve', quantity: 'Valve to piston', instrument: 'clay, or light spring and dial, ±20° around TDC', readings: 'intake, exhaust, two cylinders', computed: 'smallest',
    limit: 'mk; about 2.0 mm intake, 2.5 mm exhaust (cp)',
  },
  { id: 'msr-tdc', quantity: 'Top dead centre', instrument: 'positive stop, degree wheel', readings: 'stop angle each way', computed: 'mean of the two (phys)', limit: 'pointer error written' },
  { id: 'msr-cam-time', quantity: 'Cam centreline', instrument: 'degree wheel, dial', readings: 'equal lift both flanks', computed: 'mean', limit: 'cam card (mk)' },
  { id: 'msr-oil-pump', quantity: 'Oil pump gaps', instrument: 'feeler, straight edge', readings: 'side, end, tip', computed: '—', limit: 'mk; scored plate: renew (cp)' },
  { id: 'msr-flywheel', quantity: 'Flywheel face runout', instrument: 'dial gauge, end float held one way', readings: '1 turn', computed: 'total', limit: 'mk; about 0.13 mm (cp)' },
  { id: 'msr-bell', quantity: 'Bell bore and face runout', instrument: 'dial on crank', readings: '8 points', computed: 'offset = half of total', limit: 'mk; about 0.13 mm total at the bore for a manual (cp)' },
  { id: 'msr-belt-plane', quantity: 'Pulley plane', instrument: 'straight edge, laser', readings: 'each pulley', computed: 'spacer = offset', limit: 'mk; about 1.5 mm per 300 mm of span (cp)' },
  { id: 'msr-bolt-stretch', quantity: 'Big-end or head bolt length', instrument: 'micrometer over balls, calliper', readings: 'new and now', computed: 'growth', limit: 'mk; no figure: renew' },
  { id: 'msr-protrusion', quantity: 'Stud or bolt stick-out', instrument: 'depth gauge', readings: 'each', computed: 'spare thread, cover gap', limit: 'at least 1 full thread past a nut (cp)' },
  {
    id: 'msr-converter', quantity: 'Converter seating', instrument: 'straight edge, depth gauge', readings: 'face to pads, 3 places; gap to plate after joining', computed: 'pull-out = depth − plate depth',
    limit: 'converter or gearbox maker\'s; often 1.5–5 mm (cp)',
  },
  { id: 'msr-pilot', quantity: 'Pilot bearing depth and bore', instrument: 'depth gauge', readings: '2', computed: 'shaft engagement', limit: 'mk' },
  { id: 'msr-release', quantity: 'Release bearing travel and rest gap', instrument: 'depth gauge, rule', readings: 'pedal up, down', computed: 'free gap, lift', limit: 'clutch or slave maker\'s' },
  { id: 'msr-turbo', quantity: 'Turbo shaft', instrument: 'dial gauge', readings: 'axial, radial', computed: '—', limit: 'mk' },
  { id: 'msr-injector', quantity: 'Diesel injectors', instrument: 'closed tester: the spray pierces skin', readings: 'opening, leakage, pattern each', computed: 'spread', limit: 'mk' },
  { id: 'msr-flow', quantity: 'Petrol injectors', instrument: 'flow bench', readings: 'static, dynamic each', computed: 'spread, mean at rail pressure', limit: 'spread within about 3 % (cp)' },
  { id: 'msr-sender', quantity: 'Temperature and pressure senders', instrument: 'meter, bath, hand pump', readings: '3 points', computed: 'curve match, contact logic', limit: 'by the consumer\'s card' },
  { id: 'msr-thermostat', quantity: 'Opening', instrument: 'bath, thermometer', readings: 'start, full', computed: 'travel', limit: 'stamp, mk' },
  { id: 'msr-vacuum', quantity: 'Vacuum units', instrument: 'hand pump', readings: 'level, minutes, drop', computed: '—', limit: 'mk' },
  { id: 'msr-mass', quantity: 'Engine as hung, flywheel, gearbox', instrument: 'hook scale', readings: '1 each', computed: 'difference to the old one', limit: '—' },
];
