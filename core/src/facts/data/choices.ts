import type { FactDef } from '../types.ts';

/** Facts about the choice. Lengths in mm; a part without a unit is a plain count or ratio. */
export const choicesFacts = [
  {
    id: 'cho-goal', subject: 'choice', group: 'Choices', label: 'Goal',
    parts: [{ key: 'value', label: '', options: ['mock-up', 'running', 'road-going', 'track'] }],
    howTo: 'Asked at scope; a change of goal makes extra work packages', neededBy: ['kit-dyno', 'kit-oil-cooler', 'gate-ho-papers', 'gate-ho-run', 'kit lines of all systems'],
  },
  {
    id: 'cho-power-target', subject: 'choice', group: 'Choices', label: 'Power target',
    parts: [
      { key: 'value', label: '', unit: 'kW' }, { key: 'torque', label: 'Torque', unit: 'N·m' },
    ],
    kindNote: 'at crank, with torque',
    howTo: 'Customer; weakest driveline part is shown beside it', neededBy: ['fit-torque-chain', 'fit-pump-flow', 'fit-brakes-power'],
  },
  {
    id: 'cho-control', subject: 'choice', group: 'Choices', label: 'Engine control',
    parts: [{ key: 'value', label: '', options: ['recipient-unit-kept', 'donor-unit-trimmed-loom', 'donor-unit-new-loom', 'standalone', 'carburettor-distributor', 'mechanical-diesel'] }],
    howTo: 'Decided at scope together with gearbox and inspection rule', neededBy: ['fit-ecu-engine', 'fit-immobiliser', 'fit-throttle', 'fit-crank-trigger', 'fit-sensor-plugs', 'fit-body-network', 'kit-ecu', 'kit-loom', 'kit-diag-socket', 'kit-ecu-program', 'kit-fusebox', 'kit-o2-bungs', 'kit-trigger', 'gate-fc-output-test', 'gate-fc-rollcall', 'gate-fs-program', 'gate-fs-timing', 'f-banks-swapped', 'f-base-timing', 'f-coolant-sensor', 'f-crank-signal', 'f-ecu-unpowered', 'f-feed-lost-cranking', 'f-firing-order', 'f-idle-valve', 'f-wrong-tune'],
  },
  {
    id: 'cho-loom', subject: 'choice', group: 'Choices', label: 'Loom as planned',
    parts: [
      { key: 'length', label: 'Length', options: ['as-made', 'lengthened'] }, { key: 'splices', label: 'Splices', unit: '' }, { key: 'labelled-ends', label: 'Labelled ends', unit: '' },
    ],
    howTo: 'Wire table', neededBy: ['gate-fc-output-test', 'f-banks-swapped', 'f-ecu-unpowered', 'f-no-injector-pulse', 'f-no-spark', 'f-o2'],
  },
  {
    id: 'cho-gearbox-control', subject: 'choice', group: 'Choices', label: 'Gearbox control',
    parts: [{ key: 'value', label: '', options: ['none', 'engine-unit', 'own-controller', 'manual-valve-body'] }],
    howTo: 'With gearbox', neededBy: ['fit-gearbox-control', 'kit-gearbox-controller', 'f-gearbox-control'],
  },
  {
    id: 'cho-fuel-system', subject: 'choice', group: 'Choices', label: 'Fuel system',
    parts: [{ key: 'value', label: '', options: ['return-regulator-on-rail', 'return-regulator-external', 'returnless-tank-regulator', 'returnless-speed-controlled', 'carburettor-low-pressure', 'diesel-suction'] }],
    howTo: 'With tank and rail ports', neededBy: ['fit-fuel-pressure', 'kit-regulator', 'f-fuel-pressure-low'],
  },
  {
    id: 'cho-pump-place', subject: 'choice', group: 'Choices', label: 'Fuel pump place',
    parts: [{ key: 'value', label: '', options: ['in-tank', 'inline', 'surge-pot', 'engine-driven'] }],
    howTo: 'With tank', neededBy: ['fit-pump-flow', 'kit-fuel-filter', 'kit-pump-hanger', 'kit-pump-relay', 'kit-surge-pot', 'gate-fs-leak', 'f-pump-reversed', 'f-pump-relay'],
  },
  {
    id: 'cho-mount-school', subject: 'choice', group: 'Choices', label: 'Mount route',
    parts: [{ key: 'value', label: '', options: ['recipient-arms', 'fixed-hole-plate', 'sliding-plate', 'fabricated'] }],
    howTo: 'Shop setting, may differ by job', neededBy: ['fit-mount-pads', 'kit-mount-adapter'],
  },
  {
    id: 'cho-mount-material', subject: 'choice', group: 'Choices', label: 'Mount cushion material',
    parts: [{ key: 'value', label: '', options: ['rubber', 'polyurethane', 'solid'] }],
    howTo: 'Sets rock allowance in the clearance table', neededBy: ['fit-bay-width', 'fit-sump-crossmember', 'fit-tunnel', 'kit-mount-cushions', 'f-contact-noise', 'clearance table'],
  },
  {
    id: 'cho-unit-lift', subject: 'choice', group: 'Choices', label: 'Unit lift',
    parts: [{ key: 'value', label: '', options: ['engine-alone', 'engine-and-gearbox', 'on-subframe'] }],
    howTo: 'With path, hoist, tail weight', neededBy: ['fit-install-path', 'gate-ei-lift'],
  },
  {
    id: 'cho-gearbox-stays', subject: 'choice', group: 'Choices', label: 'All behind the block stays',
    parts: [{ key: 'value', label: '', options: ['yes', 'no'] }],
    howTo: 'Yes where an engine is exchanged for a sister and clutch, gearbox and shaft are left as they are', neededBy: ['kit-gearbox-mount', 'kit-clutch-set', 'kit-propshaft'],
  },
  {
    id: 'cho-engine-depth', subject: 'choice', group: 'Choices', label: 'Engine opened',
    parts: [{ key: 'value', label: '', options: ['closed', 'resealed', 'stripped'] }],
    howTo: 'Closed: nothing comes off. Resealed: covers, sump and outer seals. Stripped: measured and built up from the bare block', neededBy: ['bld-crank', 'bld-sump', 'gate-cu-lash', 'gate-cu-seal'],
  },
  {
    id: 'cho-stand', subject: 'choice', group: 'Choices', label: 'Engine stand',
    parts: [{ key: 'value', label: '', options: ['bell-face', 'sides', 'cradle', 'none'] }],
    howTo: 'Where it holds the engine: what it holds by cannot go on until the engine is off it', neededBy: ['bld-stand-off', 'bld-flywheel'],
  },
  {
    id: 'cho-sump', subject: 'choice', group: 'Choices', label: 'Sump',
    parts: [{ key: 'value', label: '', options: ['donor-sump', 'recipient-variant', 'aftermarket', 'modified', 'dry-sump'] }],
    howTo: 'After trial fit; changes depth, pick-up, dipstick, drain', neededBy: ['fit-sump-crossmember', 'fit-turbo-drain', 'kit-sump', 'kit-dipstick', 'kit-pickup', 'gate-cu-pickup', 'f-oil-level-low', 'f-oil-pickup-leak'],
  },
  {
    id: 'cho-oil-amount', subject: 'choice', group: 'Choices', label: 'Oil beside the engine\'s own',
    parts: [
      { key: 'sump', label: 'Sump and filter as changed', unit: 'L' }, { key: 'lines', label: 'Lines', unit: 'L' }, { key: 'cooler', label: 'Cooler', unit: 'L' }, { key: 'accumulator', label: 'Accumulator', unit: 'L' },
    ],
    howTo: 'Lines by bore and length (calculators); cooler and accumulator by their maker', neededBy: ['gate-fc-oil-level', 'gate-fc-filter'],
  },
  {
    id: 'cho-coolant-amount', subject: 'choice', group: 'Choices', label: 'Coolant of the circuit as built',
    parts: [
      { key: 'engine', label: 'Engine', unit: 'L' }, { key: 'radiator', label: 'Radiator and tank', unit: 'L' }, { key: 'heater', label: 'Heater', unit: 'L' }, { key: 'lines', label: 'Hoses and pipes', unit: 'L' },
    ],
    howTo: 'Manuals of both cars; a radiator is weighed dry and full', neededBy: ['gate-fc-fluids', 'gate-fs-coolant'],
  },
  {
    id: 'cho-oil-filter', subject: 'choice', group: 'Choices', label: 'Oil filter place',
    parts: [{ key: 'value', label: '', options: ['on-engine', 'remote'] }],
    howTo: 'Follows reach', neededBy: ['fit-oil-filter', 'kit-filter-relocation', 'gate-fc-filter', 'f-oil-filter-circuit', 'f-oil-level-low', 'f-oil-unprimed'],
  },
  {
    id: 'cho-exhaust', subject: 'choice', group: 'Choices', label: 'Exhaust',
    parts: [{ key: 'value', label: '', options: ['factory-manifolds', 'shorty', 'long-tube', 'fabricated'] }],
    howTo: 'Follows steering and rails', neededBy: ['fit-exhaust-steering', 'fit-sway-bar', 'fit-service-access', 'kit-manifolds', 'kit-dipstick', 'f-exhaust-leak'],
  },
  {
    id: 'cho-start-exhaust', subject: 'choice', group: 'Choices', label: 'Start exhaust',
    parts: [{ key: 'value', label: '', options: ['complete', 'open-for-first-start'] }],
    howTo: 'Open is a limited state: short run, no tuning by sensor, hearing protection', neededBy: ['gate-fs-exhaust', 'f-exhaust-leak'],
  },
  {
    id: 'cho-radiator', subject: 'choice', group: 'Choices', label: 'Radiator',
    parts: [{ key: 'value', label: '', options: ['recipient', 'larger-bolt-in', 'universal'] }, { key: 'rear-face-back', label: 'Rear face behind that of the old one', unit: 'mm' }],
    howTo: 'Heat and space', neededBy: ['fit-cooling-capacity', 'fit-gearbox-cooler', 'kit-radiator'],
  },
  {
    id: 'cho-fan', subject: 'choice', group: 'Choices', label: 'Fan',
    parts: [
      { key: 'value', label: '', options: ['engine-driven', 'electric-puller', 'electric-pusher'] }, { key: 'count', label: 'Count', unit: '' }, { key: 'flow', label: 'Flow', unit: 'm³/h' },
      { key: 'thickness', label: 'Thickness', unit: 'mm' }, { key: 'current', label: 'Current', unit: 'A' }, { key: 'diameter', label: 'Diameter of each', unit: 'mm' },
    ],
    howTo: 'Space', neededBy: ['fit-radiator-fan', 'fit-cooling-capacity', 'fit-charging', 'kit-fan', 'kit-fan-relay', 'gate-fs-fan', 'f-fan-reversed', 'f-fan-not-running'],
  },
  {
    id: 'cho-fill-point', subject: 'choice', group: 'Choices', label: 'Fill point',
    parts: [{ key: 'value', label: '', options: ['radiator-cap', 'header-tank', 'filler-in-hose'] }],
    howTo: 'Must be the highest point', neededBy: ['fit-coolant-high-point', 'kit-header-tank', 'f-fill-point-low'],
  },
  {
    id: 'cho-heater', subject: 'choice', group: 'Choices', label: 'Heater',
    parts: [{ key: 'value', label: '', options: ['kept', 'deleted'] }],
    howTo: 'Customer; deleting demist can fail inspection (local law)', neededBy: ['fit-heater', 'fit-coolant-high-point', 'kit-heater-hoses'],
  },
  {
    id: 'cho-ac', subject: 'choice', group: 'Choices', label: 'Air conditioning',
    parts: [{ key: 'value', label: '', options: ['kept', 'deleted', 'later'] }],
    howTo: '"Later" keeps bracket and belt space free', neededBy: ['fit-ac', 'fit-accessory-drive', 'kit-ac-bracket', 'kit-ac-lines', 'kit-ac-service'],
  },
  {
    id: 'cho-ps', subject: 'choice', group: 'Choices', label: 'Power steering',
    parts: [{ key: 'value', label: '', options: ['kept-hydraulic', 'electric', 'manual'] }],
    howTo: 'Customer', neededBy: ['fit-power-steering', 'fit-accessory-drive', 'kit-ps-hoses'],
  },
  {
    id: 'cho-instruments', subject: 'choice', group: 'Choices', label: 'Instruments',
    parts: [{ key: 'value', label: '', options: ['recipient-dash', 'separate-gauges', 'digital-dash', 'plug-in-display'] }],
    howTo: 'Must show speed, engine speed, fuel, oil, temperature, volts', neededBy: ['fit-gauge-senders', 'fit-tach', 'kit-gauges', 'kit-senders'],
  },
  {
    id: 'cho-speedo', subject: 'choice', group: 'Choices', label: 'Speedometer',
    parts: [{ key: 'value', label: '', options: ['cable-kept', 'pulse-converter', 'satellite', 'bus-gateway'] }],
    howTo: 'With gearbox and inspection rule', neededBy: ['fit-speedo', 'kit-speedo-adapter'],
  },
  {
    id: 'cho-power-distribution', subject: 'choice', group: 'Choices', label: 'Power distribution',
    parts: [{ key: 'value', label: '', options: ['fuses-and-relays', 'programmable-module'] }],
    howTo: 'With skill and load table', neededBy: ['fit-charging', 'kit-fusebox', 'f-fan-not-running', 'f-pump-relay', 'f-start-circuit', 'bt-module'],
  },
  {
    id: 'cho-oil-priming', subject: 'choice', group: 'Choices', label: 'Oil priming',
    parts: [{ key: 'value', label: '', options: ['crank-without-fuel-and-spark', 'external-pressure', 'pump-drive', 'hand-turn-only'] }],
    howTo: 'School, see start.md', neededBy: ['prime-crank', 'prime-pressure', 'gate-fc-priming'],
  },
  {
    id: 'cho-clamp-school', subject: 'choice', group: 'Choices', label: 'Hose clamps',
    parts: [{ key: 'value', label: '', options: ['worm-drive', 'spring', 't-bolt'] }],
    howTo: 'School. Worm draws down a slightly large hose and is easy to reach; spring keeps its force as parts grow and shrink; t-bolt for boost', neededBy: ['kit-clamps', 'fit-coolant-ports'],
  },
  {
    id: 'cho-engine-place', subject: 'choice', group: 'Choices', label: 'Engine place in the car',
    parts: [
      { key: 'bell-face-ahead-of-firewall-x', label: 'Bell face ahead of firewall x', unit: 'mm' }, { key: 'sideways-from-centre-line-y', label: 'Sideways from centre line y', unit: 'mm' }, { key: 'crank-axis-above-body-datum-z', label: 'Crank axis above body datum z', unit: 'mm' },
      { key: 'slope-tail-down', label: 'Slope, tail down', unit: 'deg' },
    ],
    howTo: 'From the trial fit, or from the drawing before it: crank axis at the bell face against firewall, centre line and top of the frame rail', neededBy: ['fit-hood', 'fit-sump-crossmember', 'fit-sump-steering', 'fit-coolant-high-point', 'fit-bay-length', 'fit-mount-pads', 'fit-gearbox-mount', 'fit-axle-load', 'fit-exhaust-steering', 'fit-ground-clearance'],
  },
  {
    id: 'cho-pulley-side', subject: 'choice', group: 'Choices', label: 'Which way the pulley end points',
    parts: [{ key: 'value', label: '', options: ['front', 'rear', 'left', 'right'] }],
    kindNote: 'front or rear: the engine lies along the car; left or right: across it, as the driver sits',
    howTo: 'Stand behind the wheel and look where the belts will be', neededBy: ['fit-bay-length', 'fit-bay-width', 'fit-radiator-fan', 'fit-mount-pads'],
  },
  {
    id: 'cho-stack', subject: 'choice', group: 'Choices', label: 'Plates and spacers behind the block',
    parts: [
      { key: 'adapter-plate', label: 'Plate between block and bell', unit: 'mm' }, { key: 'crank-spacer', label: 'Spacer between crank and plate', unit: 'mm' }, { key: 'pad-spacer', label: 'Spacers under the converter pads', unit: 'mm' },
    ],
    howTo: 'Callipers on the piece itself, at three places; 0 where there is none', neededBy: ['fit-converter-seat', 'fit-pilot', 'fit-crank-flange', 'fit-clutch', 'fit-gearbox-mount', 'fit-shift-linkage', 'fit-propshaft-length', 'fit-driveline-angles'],
  },
  {
    id: 'cho-side-outputs', subject: 'choice', group: 'Choices', label: 'Inner joints of the half shafts, as the unit sits',
    parts: [
      { key: 'left-x', label: 'Left x', unit: 'mm' }, { key: 'left-y', label: 'Left y', unit: 'mm' }, { key: 'left-z', label: 'Left z', unit: 'mm' },
      { key: 'right-x', label: 'Right x', unit: 'mm' }, { key: 'right-y', label: 'Right y', unit: 'mm' }, { key: 'right-z', label: 'Right z', unit: 'mm' },
    ],
    howTo: 'Middle of each inner joint from body datum, from the trial fit or from the drawing before it', neededBy: ['fit-halfshafts'],
  },
  {
    id: 'cho-halfshafts', subject: 'choice', group: 'Choices', label: 'Half shafts',
    parts: [
      { key: 'length-left', label: 'Left, between the middles of its joints', unit: 'mm' }, { key: 'length-right', label: 'Right, between the middles of its joints', unit: 'mm' },
      { key: 'plunge', label: 'Plunge of the inner joint, whole', unit: 'mm' }, { key: 'largest-angle', label: 'Largest angle of the inner joint', unit: 'deg' },
    ],
    howTo: 'Lengths on the bench, the inner joint in the middle of its plunge; plunge and angle are the maker\'s', neededBy: ['fit-halfshafts'],
  },
  {
    id: 'cho-carrier', subject: 'choice', group: 'Choices', label: 'Centre bearing of the shaft',
    parts: [
      { key: 'value', label: '', options: ['none', 'one'] }, { key: 'x', label: 'x', unit: 'mm' }, { key: 'y', label: 'y', unit: 'mm' }, { key: 'z', label: 'z', unit: 'mm' },
    ],
    howTo: 'Middle of the joint behind the bearing, from body datum, at ride height', neededBy: ['fit-driveline-angles', 'fit-propshaft-length'],
  },
  {
    id: 'cho-mount-rating', subject: 'choice', group: 'Choices', label: 'Rating of the mounts',
    parts: [
      { key: 'load-each', label: 'Load on each', unit: 'kg' }, { key: 'lift-off-each', label: 'Pull upwards on each', unit: 'kg' },
      { key: 'gives-at-that-load', label: 'Gives at that load', unit: 'mm' }, { key: 'rod-load', label: 'Pull on the torque rod', unit: 'kg' },
    ],
    howTo: 'Maker\'s figure for cushion and bolt; where none is given nobody knows', neededBy: ['fit-mount-pads'],
  },
  {
    id: 'cho-wedge', subject: 'choice', group: 'Choices', label: 'Wedge under the axle',
    parts: [{ key: 'value', label: '', unit: 'deg' }],
    kindNote: 'nose of the pinion up positive; 0 where there is none',
    howTo: 'Tapered shim between spring and axle seat, or turned seats; the pinion angle is read without it', neededBy: ['fit-driveline-angles', 'kit-axle-wedge'],
  },
  {
    id: 'cho-masses-moved', subject: 'choice', group: 'Choices', label: 'What else comes in, goes out or moves',
    parts: [{ key: 'list', label: 'Mass by mass', columns: [{ key: 'x', label: 'x', unit: 'mm' }, { key: 'kg', label: 'mass', unit: 'kg' }] }],
    kindNote: 'battery, radiator, tank, transfer case: where it comes to stand with its mass, where it stood with minus its mass',
    howTo: 'Kitchen scale; x ahead of the firewall, behind it negative', neededBy: ['fit-axle-load'],
  },
  {
    id: 'cho-place-range', subject: 'choice', group: 'Choices', label: 'Where the engine may go',
    parts: [
      { key: 'along-from', label: 'Bell face ahead of the firewall, from', unit: 'mm' }, { key: 'along-to', label: 'Bell face ahead of the firewall, to', unit: 'mm' },
      { key: 'sideways-from', label: 'Sideways, left positive, from', unit: 'mm' }, { key: 'sideways-to', label: 'Sideways, left positive, to', unit: 'mm' },
      { key: 'height-from', label: 'Crank axis above the rail, from', unit: 'mm' }, { key: 'height-to', label: 'Crank axis above the rail, to', unit: 'mm' },
      { key: 'slope-from', label: 'Slope, tail down, from', unit: 'deg' }, { key: 'slope-to', label: 'Slope, tail down, to', unit: 'deg' },
    ],
    howTo: 'What is decided beside the gaps: a gearbox that stays, a shifter in its hole, a rule about the axle. Twice the same number holds it there', neededBy: ['fit-hood', 'fit-firewall', 'fit-sump-crossmember'],
  },
  {
    id: 'cho-sureness', subject: 'choice', group: 'Choices', label: 'How sure measures are',
    parts: [
      { key: 'tape', label: 'With a tape', unit: 'mm' }, { key: 'card', label: 'Looked up, or by a card', unit: 'mm' }, { key: 'by-eye', label: 'Assumed or by eye', unit: 'mm' },
    ],
    howTo: 'Take a few sizes twice on different days: two of three pairs differ by less than 1.4 times this. Common practice 2, 5 and 20 mm', neededBy: ['fit-hood', 'fit-firewall', 'fit-sump-crossmember'],
  },
  {
    id: 'cho-pairing', subject: 'choice', group: 'Choices', label: 'This pair in this shop',
    parts: [{ key: 'value', label: '', options: ['first-here', 'near-pair', 'done-here'] }],
    kindNote: 'engine, gearbox and body together: two of three known is a near pair',
    howTo: 'Look over the finished jobs', neededBy: ['factor-first-pair', 'factor-repeat', 'dur-redrop'],
  },
  {
    id: 'cho-finish', subject: 'choice', group: 'Choices', label: 'Finish',
    parts: [{ key: 'value', label: '', options: ['as-found', 'clean', 'show'] }],
    howTo: 'Ask, with a photo of each beside it: later choices are held against it', neededBy: ['factor-show', 'dur-bay-paint', 'wait-paint-hard'],
  },
  {
    id: 'cho-work-place', subject: 'choice', group: 'Choices', label: 'Where it is worked on',
    parts: [{ key: 'value', label: '', options: ['lift', 'stands'] }],
    howTo: 'Which bay is free', neededBy: ['factor-floor'],
  },
  {
    id: 'cho-control-known', subject: 'choice', group: 'Choices', label: 'Electronics known to the shop',
    parts: [{ key: 'value', label: '', options: ['known-here', 'new-here'] }],
    howTo: 'Has anybody here wired and programmed this unit before', neededBy: ['factor-new-device'],
  },
  {
    id: 'cho-unit-io', subject: 'choice', group: 'Choices', label: 'What the engine unit has',
    parts: [
      { key: 'inputs', label: 'Inputs', unit: '' }, { key: 'outputs', label: 'Outputs', unit: '' },
      { key: 'fan-outputs', label: 'Of these for fans', unit: '' }, { key: 'output-current', label: 'An output carries', unit: 'A' },
    ],
    kindNote: 'of the unit that runs the engine, as its maker writes it; nought where it has none',
    howTo: 'Pin table of the unit, the ones in use counted off', neededBy: ['kit-ecu', 'kit-loom', 'kit-fan-relay'],
  },
  {
    id: 'cho-first', subject: 'choice', group: 'Choices', label: 'What counts first',
    parts: [{ key: 'value', label: '', options: ['reliability', 'cost', 'power', 'economy', 'looks-as-made', 'date'] }],
    howTo: 'Ask the customer where the car is driven and how far from help; shown wherever parts are chosen', neededBy: ['say-reliability', 'say-cost'],
  },
  {
    id: 'cho-addons', subject: 'choice', group: 'Choices', label: 'Power added beside the engine',
    parts: [{ key: 'value', label: '', options: ['none', 'nitrous', 'water-injection', 'second-stage'] }],
    howTo: 'Customer; each has dangers of its own', neededBy: ['say-addon-nitrous', 'say-addon-water', 'say-addon-stages'],
  },
  {
    id: 'cho-vent', subject: 'choice', group: 'Choices', label: 'Crankcase vent',
    parts: [{ key: 'value', label: '', options: ['closed', 'open'] }],
    howTo: 'Closed leads back into the intake; open ends in the air or in a catch can with a filter', neededBy: ['say-open-vent'],
  },
  {
    id: 'cho-outside', subject: 'choice', group: 'Choices', label: 'Planned outside of the car',
    parts: [
      { key: 'bumper', label: 'Bumper', options: ['as-it-is', 'other-bumper'] }, { key: 'arches', label: 'Arches', options: ['as-they-are', 'other-arches'] }, { key: 'wheels', label: 'Wheels', options: ['as-they-are', 'other-wheels'] },
    ],
    howTo: 'Customer; air, load in front, gearing and speedometer hang on it', neededBy: ['say-bumper', 'say-arches', 'say-wheels'],
  },
  {
    id: 'cho-hubs', subject: 'choice', group: 'Choices', label: 'Hubs',
    parts: [{ key: 'value', label: '', options: ['as-they-are', 'changed'] }],
    howTo: 'Changed with brakes, axle or crossmember of another car', neededBy: ['fit-wheels'],
  },
  {
    id: 'cho-exhaust-bore', subject: 'choice', group: 'Choices', label: 'Exhaust pipe',
    parts: [
      { key: 'value', label: 'Bore', unit: 'mm' }, { key: 'pipes', label: 'Pipes side by side', unit: '' },
      { key: 'steel', label: 'Steel', options: ['mild', 'aluminised', 'stainless-409', 'stainless-304', 'stainless-321'] },
    ],
    howTo: 'Smallest bore of the run behind the manifolds, the silencer with it', neededBy: ['fit-exhaust-bore', 'kit-exhaust-mid'],
  },
  {
    id: 'cho-exhaust-reach', subject: 'choice', group: 'Choices', label: 'Exhaust, seen with the engine in its place',
    parts: [
      { key: 'comes-off', label: 'Comes off with the engine in', options: ['yes', 'no'] }, { key: 'wastegate', label: 'Arm of the wastegate over its whole way', options: ['none', 'free', 'touches'] },
      { key: 'starter-gap', label: 'Least gap to the starter', unit: 'mm' }, { key: 'starter-shield', label: 'Shield at the starter', options: ['yes', 'no'] },
    ],
    howTo: 'By hand, pressure on the actuator; a photo of each place', neededBy: ['fit-exhaust-reach'],
  },
  {
    id: 'cho-air-housing', subject: 'choice', group: 'Choices', label: 'Housing of the air sensor',
    parts: [
      { key: 'style', label: 'Made for a sensor of style', options: ['inline', 'flat-card', 'round-card', 'vane'] }, { key: 'bore', label: 'Bore', unit: 'mm' },
      { key: 'straight-before', label: 'Straight run before it', unit: 'mm' }, { key: 'arrow', label: 'Arrow of flow', options: ['with-the-flow', 'against', 'not-seen'] },
    ],
    howTo: 'Caliper across, tape along; no bend, no cone, no filter mouth within the straight run', neededBy: ['fit-air-meter', 'kit-maf-adapter'],
  },
  {
    id: 'cho-heads', subject: 'choice', group: 'Choices', label: 'Heads',
    parts: [
      { key: 'value', label: '', options: ['own', 'of-a-sister-engine'] }, { key: 'head-bore', label: 'Bore the heads are made for', unit: 'mm' }, { key: 'block-bore', label: 'Bore of the block', unit: 'mm' },
      { key: 'studs', label: 'Studs', options: ['agree', 'differ'] }, { key: 'oil-passages', label: 'Oil passages', options: ['agree', 'differ'] }, { key: 'water-passages', label: 'Water passages', options: ['agree', 'differ'] },
      { key: 'swept', label: 'Swept volume of one cylinder', unit: 'cm³' }, { key: 'clearance', label: 'All above the piston at the top, with these heads', unit: 'cm³' },
    ],
    howTo: 'Gasket of each laid on the other; chamber by burette, with gasket, deck and dish', neededBy: ['fit-heads'],
  },
  {
    id: 'cho-front-bracket', subject: 'choice', group: 'Choices', label: 'Front bracket of the engine',
    parts: [
      { key: 'value', label: '', options: ['in-use', 'out-of-use'] }, { key: 'alternator-by', label: 'Alternator driven by', options: ['first-belt', 'second-belt', 'not-decided'] },
      { key: 'steering-pump-by', label: 'Steering pump driven by', options: ['first-belt', 'second-belt', 'electric', 'none', 'not-decided'] },
    ],
    howTo: 'Out of use where the mount, the rail or the fan takes its place', neededBy: ['fit-accessory-drive'],
  },
  {
    id: 'cho-ac-ends', subject: 'choice', group: 'Choices', label: 'Ends of the air-conditioning lines',
    parts: [
      { key: 'value', label: '', options: ['as-they-are', 'turned', 'bent', 'brazed', 'made-new'] }, { key: 'turned-by', label: 'Turned by', unit: 'deg' },
      { key: 'looked-at', label: 'Looked at for a kink', options: ['yes', 'no'] },
    ],
    howTo: 'Only while the circuit is empty, by the person licensed for it', neededBy: ['fit-ac'],
  },
  {
    id: 'cho-gearbox-cooler', subject: 'choice', group: 'Choices', label: 'Cooler of the gearbox',
    parts: [
      { key: 'value', label: '', options: ['none', 'in-the-radiator', 'separate'] }, { key: 'duty', label: 'Heat it carries off, by its maker', unit: 'kW' },
      { key: 'old-cooler-was-for', label: 'A cooler that went was for', options: ['nothing', 'gearbox', 'engine-oil', 'steering', 'fuel'] }, { key: 'its-work-done-by', label: 'Its work is done by', options: ['nobody', 'a-new-one', 'not-wanted-any-more'] },
    ],
    howTo: 'Plate or data sheet of the cooler; a small core that was taken out had a work of its own', neededBy: ['fit-gearbox-cooler', 'kit-gearbox-cooler'],
  },
] as const satisfies readonly FactDef[];
