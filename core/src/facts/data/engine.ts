import type { FactDef } from '../types.ts';

/** Facts about the engine. Lengths in mm; a part without a unit is a plain count or ratio. */
export const engineFacts = [
  {
    id: 'eng-code', subject: 'engine', group: 'Identity', label: 'Engine code',
    parts: [{ key: 'value', label: '', text: true }],
    kindNote: 'family, exact variant, serial',
    howTo: 'Stamping and casting photographed. A name is not an identity, and the same maker is not the same bolt pattern', neededBy: ['fit-bellhousing', 'fit-ecu-engine', 'f-wrong-tune', 'every order line'],
  },
  {
    id: 'eng-generation', subject: 'engine', group: 'Identity', label: 'Early or late in its family',
    parts: [
      { key: 'value', label: '', options: ['only-one', 'early', 'late'] }, { key: 'told-by', label: 'Told by', options: ['cover-or-casting', 'sensors-or-plugs', 'throttle', 'papers', 'year-alone'] },
    ],
    howTo: 'By what can be seen: cover colour and shape, cast logo, sensor style, throttle body, plug colours. The year alone is a guess at a changeover', neededBy: ['kit-loom', 'kit-gasket-set', 'kit-senders', 'var-year-edge', 'var-look'],
  },
  {
    id: 'eng-model-year', subject: 'engine', group: 'Identity', label: 'Engine model year',
    parts: [{ key: 'value', label: '', unit: '' }],
    howTo: 'Donor plate, casting date', neededBy: ['fit-emission-parts', 'fit-sensor-plugs', 'fit-immobiliser'],
  },
  {
    id: 'eng-layout', subject: 'engine', group: 'Identity', label: 'Cylinder layout',
    parts: [
      { key: 'value', label: '', options: ['inline-4', 'inline-5', 'inline-6', 'vee-6', 'vee-8', 'flat-4', 'flat-6', 'other'] }, { key: 'cylinder-numbering', label: 'cylinder numbering', text: true },
    ],
    howTo: 'Look; write the numbering on a sketch, front to back by bank', neededBy: ['fit-tach', 'kit-loom', 'f-banks-swapped', 'o-output-test'],
  },
  {
    id: 'eng-displacement', subject: 'engine', group: 'Identity', label: 'Displacement',
    parts: [{ key: 'value', label: '', unit: 'cm³' }],
    howTo: 'Bore, stroke, count (geometry); nominal and real kept apart', neededBy: ['fit-cooling-capacity', 'o-sensor-page'],
  },
  {
    id: 'eng-power', subject: 'engine', group: 'Identity', label: 'Engine power',
    parts: [
      { key: 'value', label: '', unit: 'kW' }, { key: 'at-rpm', label: 'At rpm', unit: 'rpm' },
    ],
    kindNote: 'at rpm',
    howTo: 'Maker\'s figure or sheet; with tune as fitted', neededBy: ['fit-pump-flow', 'fit-cooling-capacity', 'fit-brakes-power', 'fit-gearbox-cooler'],
  },
  {
    id: 'eng-torque', subject: 'engine', group: 'Identity', label: 'Engine torque',
    parts: [
      { key: 'value', label: '', unit: 'N·m' }, { key: 'at-rpm', label: 'At rpm', unit: 'rpm' },
    ],
    kindNote: 'at rpm',
    howTo: 'As above', neededBy: ['fit-torque-chain', 'fit-mount-pads', 'fit-clutch'],
  },
  {
    id: 'eng-max-rpm', subject: 'engine', group: 'Identity', label: 'Highest engine speed',
    parts: [{ key: 'value', label: '', unit: 'rpm' }],
    howTo: 'Limit set in the engine unit', neededBy: ['fit-gearing', 'fit-propshaft-length'],
  },
  {
    id: 'eng-fuel', subject: 'engine', group: 'Identity', label: 'Fuel',
    parts: [
      { key: 'value', label: '', options: ['petrol', 'diesel', 'gas'] }, { key: 'octane-or-grade', label: 'Octane or grade', text: true },
    ],
    howTo: 'Label, calibration sheet', neededBy: ['fit-diesel', 'fit-booster-vacuum', 'kit-fresh-fuel', 'kit-glow', 'f-diesel-air', 'f-flooded', 'f-glow-plugs', 'f-valves-tight'],
  },
  {
    id: 'eng-firing-order', subject: 'engine', group: 'Identity', label: 'Firing order',
    parts: [{ key: 'value', label: '', text: true }],
    howTo: 'Manual; never from memory', neededBy: ['kit-leads-coils', 'f-firing-order', 'o-output-test'],
  },
  {
    id: 'eng-emission-level', subject: 'engine', group: 'Identity', label: 'Emission level',
    parts: [{ key: 'value', label: '', text: true }],
    kindNote: 'market, standard, monitored or not',
    howTo: 'Emission label', neededBy: ['fit-emission-parts', 'kit-inspection'],
  },
  {
    id: 'eng-length', subject: 'engine', group: 'Envelope, mass, reach', label: 'Engine length',
    parts: [{ key: 'value', label: '', unit: 'mm' }],
    kindNote: 'pulley face to bell face',
    howTo: 'Straight edges square to the crank; includes balancer bolt head', neededBy: ['fit-bay-length', 'fit-sway-bar'],
  },
  {
    id: 'eng-width', subject: 'engine', group: 'Envelope, mass, reach', label: 'Engine half-widths',
    parts: [
      { key: 'left-at-heads', label: 'Left at heads', unit: 'mm' }, { key: 'right-at-heads', label: 'Right at heads', unit: 'mm' }, { key: 'left-at-covers-and-coils', label: 'Left at covers and coils', unit: 'mm' },
      { key: 'right-at-covers-and-coils', label: 'Right at covers and coils', unit: 'mm' }, { key: 'left-at-manifolds', label: 'Left at manifolds', unit: 'mm' }, { key: 'right-at-manifolds', label: 'Right at manifolds', unit: 'mm' },
      { key: 'left-at-accessories', label: 'Left at accessories', unit: 'mm' }, { key: 'right-at-accessories', label: 'Right at accessories', unit: 'mm' },
    ],
    howTo: 'Plumb lines from each extreme point', neededBy: ['fit-bay-width', 'fit-exhaust-body'],
  },
  {
    id: 'eng-height-up', subject: 'engine', group: 'Envelope, mass, reach', label: 'Engine height above crank',
    parts: [
      { key: 'rear-cover', label: 'Rear cover', unit: 'mm' }, { key: 'intake', label: 'Intake', unit: 'mm' }, { key: 'throttle', label: 'Throttle', unit: 'mm' },
      { key: 'highest-point', label: 'Highest point', unit: 'mm' }, { key: 'highest-point-x', label: 'Highest point x', unit: 'mm' },
    ],
    howTo: 'As dressed, with coils, hoses and oil cap', neededBy: ['fit-hood', 'fit-firewall'],
  },
  {
    id: 'eng-sump-depth', subject: 'engine', group: 'Envelope, mass, reach', label: 'Sump depth',
    parts: [
      { key: 'at-front', label: 'At front', unit: 'mm' }, { key: 'at-bowl', label: 'At bowl', unit: 'mm' }, { key: 'drain-plug', label: 'Drain plug', unit: 'mm' },
      { key: 'filter', label: 'Filter', unit: 'mm' },
      { key: 'profile', label: 'Floor, station by station', columns: [{ key: 'x', label: 'x', unit: 'mm' }, { key: 'depth', label: 'depth', unit: 'mm' }] },
    ],
    howTo: 'From the crank axis down, engine level: from the centre of the pulley bolt, or off the rails of the block with the distance from rails to axis added', neededBy: ['fit-sump-crossmember', 'fit-ground-clearance', 'fit-oil-filter'],
  },
  {
    id: 'eng-sump-bowl-place', subject: 'engine', group: 'Envelope, mass, reach', label: 'Sump bowl place',
    parts: [
      { key: 'value', label: '', options: ['front', 'middle', 'rear', 'full-length'] }, { key: 'bowl-front-x', label: 'Bowl front x', unit: 'mm' }, { key: 'bowl-rear-x', label: 'Bowl rear x', unit: 'mm' },
    ],
    howTo: 'As above', neededBy: ['fit-sump-crossmember', 'fit-sump-steering'],
  },
  {
    id: 'eng-mount-bosses', subject: 'engine', group: 'Envelope, mass, reach', label: 'Mount bosses',
    parts: [
      { key: 'left-x', label: 'Left x', unit: 'mm' }, { key: 'left-y', label: 'Left y', unit: 'mm' }, { key: 'left-z', label: 'Left z', unit: 'mm' },
      { key: 'right-x', label: 'Right x', unit: 'mm' }, { key: 'right-y', label: 'Right y', unit: 'mm' }, { key: 'right-z', label: 'Right z', unit: 'mm' },
      { key: 'thread', label: 'Thread', text: true }, { key: 'shared-with', label: 'Shared with', text: true },
    ],
    howTo: 'Look for a tensioner, bracket or filter on the same bosses', neededBy: ['fit-mount-pads', 'fit-mount-boss'],
  },
  {
    id: 'eng-cross-bosses', subject: 'engine', group: 'Envelope, mass, reach', label: 'Bosses of a unit that lies across',
    parts: [
      { key: 'engine-end-x', label: 'Engine end x', unit: 'mm' }, { key: 'engine-end-y', label: 'Engine end y', unit: 'mm' }, { key: 'engine-end-z', label: 'Engine end z', unit: 'mm' },
      { key: 'gearbox-end-x', label: 'Gearbox end x', unit: 'mm' }, { key: 'gearbox-end-y', label: 'Gearbox end y', unit: 'mm' }, { key: 'gearbox-end-z', label: 'Gearbox end z', unit: 'mm' },
      { key: 'rod-x', label: 'Torque rod x', unit: 'mm' }, { key: 'rod-y', label: 'Torque rod y', unit: 'mm' }, { key: 'rod-z', label: 'Torque rod z', unit: 'mm' },
      { key: 'second-rod-x', label: 'Second torque rod x', unit: 'mm' }, { key: 'second-rod-y', label: 'Second torque rod y', unit: 'mm' }, { key: 'second-rod-z', label: 'Second torque rod z', unit: 'mm' },
    ],
    howTo: 'In engine datum, as if the engine lay along the car: x to its pulley, behind the bell face negative', neededBy: ['fit-mount-pads'],
  },
  {
    id: 'eng-filter-dipstick', subject: 'engine', group: 'Envelope, mass, reach', label: 'Filter dipstick',
    parts: [
      { key: 'filter-side', label: 'Filter side', options: ['left', 'right', 'under', 'front'] }, { key: 'filter-x', label: 'Filter x', unit: 'mm' }, { key: 'filter-y', label: 'Filter y', unit: 'mm' }, { key: 'filter-z', label: 'Filter z', unit: 'mm' }, { key: 'filter-across', label: 'Filter diameter', unit: 'mm' },
      { key: 'removal-length', label: 'Removal length', unit: 'mm' },
      { key: 'dipstick-side', label: 'Dipstick side', options: ['left', 'right'] }, { key: 'tube-route', label: 'Tube route', text: true },
    ],
    howTo: 'Look; thread of filter, port directions', neededBy: ['fit-oil-filter', 'kit-dipstick', 'kit-filter-relocation'],
  },
  {
    id: 'eng-starter-side', subject: 'engine', group: 'Envelope, mass, reach', label: 'Starter side',
    parts: [
      { key: 'value', label: '', options: ['left', 'right', 'on-gearbox', 'above'] }, { key: 'envelope', label: 'Envelope', text: true },
    ],
    howTo: 'Look', neededBy: ['fit-starter', 'fit-exhaust-body'],
  },
  {
    id: 'eng-intake-mouth', subject: 'engine', group: 'Envelope, mass, reach', label: 'Intake mouth',
    parts: [
      { key: 'direction', label: 'Direction', options: ['front', 'rear', 'left', 'right', 'up'] }, { key: 'throttle-x', label: 'Throttle x', unit: 'mm' }, { key: 'throttle-z', label: 'Throttle z', unit: 'mm' },
      { key: 'bore', label: 'Bore', unit: 'mm' },
    ],
    howTo: 'Look and measure', neededBy: ['fit-throttle', 'fit-hood', 'kit-intake-pipe'],
  },
  {
    id: 'eng-exhaust-exit', subject: 'engine', group: 'Envelope, mass, reach', label: 'Exhaust exit',
    parts: [
      { key: 'value', label: '', options: ['left', 'right', 'both', 'valley'] }, { key: 'flange-place', label: 'Flange place', text: true }, { key: 'angle', label: 'Angle', unit: 'deg' },
      { key: 'bore', label: 'Bore', unit: 'mm' },
    ],
    howTo: 'With the manifolds that are meant to stay', neededBy: ['fit-exhaust-steering', 'fit-exhaust-body', 'kit-manifolds'],
  },
  {
    id: 'eng-induction', subject: 'engine', group: 'Envelope, mass, reach', label: 'Induction',
    parts: [{ key: 'value', label: '', options: ['none', 'turbo', 'supercharger'] }],
    howTo: 'Look', neededBy: ['fit-turbo-drain', 'fit-cooling-capacity', 'fit-booster-vacuum', 'kit-intercooler', 'kit-turbo-service', 'kit-oil-cooler', 'kit-turbo-lines'],
  },
  {
    id: 'eng-turbo-drain', subject: 'engine', group: 'Envelope, mass, reach', label: 'Turbo drain',
    parts: [
      { key: 'drain-flange-z', label: 'Drain flange z', unit: 'mm' }, { key: 'return-port-z', label: 'Return port z', unit: 'mm' }, { key: 'bore', label: 'Bore', unit: 'mm' },
      { key: 'turbo-drain-bore', label: 'Turbo drain bore', unit: 'mm' }, { key: 'angle-from-vertical', label: 'Angle from vertical', unit: 'deg' },
    ],
    howTo: 'In place, with the sump that will be used', neededBy: ['fit-turbo-drain', 'kit-turbo-lines'],
  },
  {
    id: 'eng-coolant-ports', subject: 'engine', group: 'Envelope, mass, reach', label: 'Coolant ports',
    parts: [
      { key: 'outlet-side', label: 'Outlet side', options: ['left', 'right', 'middle'] }, { key: 'outlet-bore', label: 'Outlet bore', unit: 'mm' }, { key: 'inlet-side', label: 'Inlet side', options: ['left', 'right', 'middle'] },
      { key: 'inlet-bore', label: 'Inlet bore', unit: 'mm' }, { key: 'heater-in-bore', label: 'Heater in bore', unit: 'mm' }, { key: 'heater-out-bore', label: 'Heater out bore', unit: 'mm' },
      { key: 'blanked-ports', label: 'Blanked ports', unit: '' },
    ],
    howTo: 'Callipers; mark each port with tape: consumer or plug', neededBy: ['fit-coolant-ports', 'fit-heater', 'kit-blanking'],
  },
  {
    id: 'eng-coolant-high-point', subject: 'engine', group: 'Envelope, mass, reach', label: 'Coolant high point',
    parts: [
      { key: 'value', label: '', unit: 'mm' }, { key: 'steam-or-bleed-ports', label: 'Steam or bleed ports', unit: '' },
    ],
    kindNote: 'above crank axis, with count of steam or bleed ports',
    howTo: 'Engine at its installed angle', neededBy: ['fit-coolant-high-point', 'kit-steam-vent'],
  },
  {
    id: 'eng-fan-reach', subject: 'engine', group: 'Envelope, mass, reach', label: 'Fan reach',
    parts: [
      { key: 'pump-nose', label: 'Pump nose', unit: 'mm' }, { key: 'pulley-face', label: 'Pulley face', unit: 'mm' }, { key: 'fan-face', label: 'Fan face', unit: 'mm' },
      { key: 'pulley-diameter', label: 'Pulley diameter', unit: 'mm' }, { key: 'fan-diameter', label: 'Fan diameter', unit: 'mm' },
      { key: 'pump-kind', label: 'Pump kind', options: ['belt', 'electric'] },
    ],
    howTo: 'As dressed with the accessory drive that stays', neededBy: ['fit-bay-length', 'fit-radiator-fan', 'fit-accessory-drive'],
  },
  {
    id: 'eng-mass', subject: 'engine', group: 'Envelope, mass, reach', label: 'Engine mass',
    parts: [{ key: 'value', label: '', unit: 'kg' }],
    kindNote: 'dressed, with list of what is on it',
    howTo: 'Scale in the sling beats any table', neededBy: ['fit-axle-load', 'fit-mount-pads', 'fit-install-path'],
  },
  {
    id: 'eng-cg', subject: 'engine', group: 'Envelope, mass, reach', label: 'Centre of gravity',
    parts: [
      { key: 'x-ahead-of-bell-face', label: 'x ahead of bell face', unit: 'mm' }, { key: 'z-above-crank', label: 'z above crank', unit: 'mm' },
    ],
    howTo: 'Two-point weighing, or balance point in the sling', neededBy: ['fit-axle-load', 'fit-install-path'],
  },
  {
    id: 'eng-slope-design', subject: 'engine', group: 'Envelope, mass, reach', label: 'Slope design',
    parts: [{ key: 'value', label: '', unit: 'deg' }],
    kindNote: 'tail down positive',
    howTo: 'Carburettor pad or sump rail against the donor\'s floor; about 3 in engines made for it (common practice)', neededBy: ['fit-driveline-angles', 'fit-hood'],
  },
  {
    id: 'eng-service-points', subject: 'engine', group: 'Envelope, mass, reach', label: 'Service points',
    parts: [
      { key: 'filter', label: 'Filter', text: true }, { key: 'drain', label: 'Drain', text: true }, { key: 'plugs', label: 'Plugs', text: true },
      { key: 'coils', label: 'Coils', text: true }, { key: 'tensioner', label: 'Tensioner', text: true }, { key: 'starter', label: 'Starter', text: true },
      { key: 'sensors-behind-covers', label: 'Sensors behind covers', text: true }, { key: 'tool-swing-needed', label: 'Tool swing needed', text: true },
    ],
    howTo: 'Mark on a photo; try with the tool in mock-up', neededBy: ['fit-service-access'],
  },
  {
    id: 'eng-fuelling', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Fuelling',
    parts: [{ key: 'value', label: '', options: ['carburettor', 'throttle-body-injection', 'port-injection', 'direct-injection', 'diesel-mechanical', 'diesel-common-rail'] }],
    howTo: 'Look', neededBy: ['fit-fuel-pressure', 'fit-tank', 'fit-pump-flow', 'kit-pump', 'kit-fuel-gauge-port', 'kit-tank', 'f-fuel-pressure-low', 'f-injector-scaling', 'f-lift-pump-valves', 'f-no-injector-pulse', 'f-idle-valve'],
  },
  {
    id: 'eng-throttle-kind', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Throttle kind',
    parts: [{ key: 'value', label: '', options: ['cable', 'by-wire', 'diesel-lever', 'none'] }],
    howTo: 'Motor on the throttle body or not', neededBy: ['fit-throttle', 'fit-gearbox-control', 'kit-throttle-cable', 'kit-pedal', 'gate-fs-throttle', 'f-throttle-unplugged', 'f-idle-valve', 'f-throttle-plate'],
  },
  {
    id: 'eng-rail-pressure', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Rail pressure',
    parts: [
      { key: 'high-side', label: 'High side', unit: 'bar' }, { key: 'low-side', label: 'Low side', unit: 'bar' },
    ],
    kindNote: 'above manifold or absolute, low side and high side',
    howTo: 'Calibration or manual; port-injected vee engines of the last decades run about 3.8 to 4.1 bar (common practice)', neededBy: ['fit-fuel-pressure', 'fit-pump-flow', 'gate-fs-leak', 'o-fuel-pressure'],
  },
  {
    id: 'eng-rail-ports', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Rail ports',
    parts: [
      { key: 'value', label: '', options: ['one', 'two'] }, { key: 'regulator', label: 'Regulator', options: ['on-rail', 'external', 'in-tank', 'none'] },
    ],
    howTo: 'Count ports, look for a vacuum-referenced can', neededBy: ['fit-fuel-pressure', 'kit-regulator'],
  },
  {
    id: 'eng-injectors', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Injectors',
    parts: [
      { key: 'flow', label: 'Flow', unit: 'mL/min' }, { key: 'at-pressure', label: 'At pressure', unit: 'bar' }, { key: 'impedance', label: 'Impedance', options: ['high', 'low'] },
      { key: 'plug-style', label: 'Plug style', text: true }, { key: 'length', label: 'Length', unit: 'mm' },
    ],
    howTo: 'Label; ohmmeter (about 12 to 16 ohm high, 2 to 5 low, common practice)', neededBy: ['fit-sensor-plugs', 'f-injector-scaling', 'f-no-injector-pulse'],
  },
  {
    id: 'eng-carburettors', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Bank of carburettors or throttles',
    parts: [
      { key: 'spacing', label: 'Spacing of its mouths', unit: 'mm' }, { key: 'port-spacing', label: 'Spacing of the ports of the head', unit: 'mm' },
      { key: 'closed', label: 'Throttle sensor, closed', unit: 'V' }, { key: 'open', label: 'Throttle sensor, open', unit: 'V' },
    ],
    howTo: 'Centre to centre by caliper; sensor fed with 5 V, read at both stops', neededBy: ['fit-carburettors'],
  },
  {
    id: 'eng-load-sensor', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Load sensor',
    parts: [
      { key: 'value', label: '', options: ['air-mass', 'pressure', 'both', 'throttle-angle-only', 'vane'] }, { key: 'body-bore', label: 'Body bore', unit: 'mm' }, { key: 'style', label: 'Style of the air sensor', options: ['inline', 'flat-card', 'round-card', 'vane'] },
      { key: 'plug', label: 'Plug', text: true },
    ],
    howTo: 'Look; arrow for flow on the housing', neededBy: ['fit-air-meter', 'fit-sensor-plugs', 'kit-maf-adapter', 'f-maf-orientation', 'f-map'],
  },
  {
    id: 'eng-crank-sensor', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Crank sensor',
    parts: [{ key: 'value', label: '', options: ['two-wire-inductive', 'three-wire-hall', 'three-wire-optical', 'distributor-only'] }],
    howTo: 'Count pins; ohmmeter shows a coil in the inductive kind', neededBy: ['fit-crank-trigger', 'fit-sensor-plugs', 'f-crank-signal'],
  },
  {
    id: 'eng-crank-trigger', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Crank trigger',
    parts: [
      { key: 'place', label: 'Place', options: ['front-pulley', 'mid-crank', 'flywheel'] }, { key: 'teeth', label: 'Teeth', unit: '' }, { key: 'missing-teeth', label: 'Missing teeth', unit: '' },
      { key: 'offset-to-tdc', label: 'Offset to TDC', unit: 'deg' }, { key: 'gap', label: 'Gap', unit: 'mm' },
    ],
    howTo: 'Count; offset by positive stop', neededBy: ['fit-crank-trigger', 'f-crank-signal'],
  },
  {
    id: 'eng-cam-sensor', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Cam sensor',
    parts: [
      { key: 'value', label: '', options: ['none', 'one-inductive', 'one-hall', 'one-a-bank', 'one-a-cam'] }, { key: 'tooth-pattern', label: 'Tooth pattern', text: true },
    ],
    howTo: 'Look', neededBy: ['fit-sensor-plugs', 'f-cam-sensor'],
  },
  {
    id: 'eng-ignition-kind', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Ignition kind',
    parts: [{ key: 'value', label: '', options: ['points', 'electronic-distributor', 'wasted-spark', 'coil-on-plug', 'diesel-none'] }],
    howTo: 'Look; note whether the driver sits in the coil', neededBy: ['fit-tach', 'fit-ecu-engine', 'kit-leads-coils', 'f-base-timing', 'f-firing-order', 'f-no-spark'],
  },
  {
    id: 'eng-o2-sensors', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Oxygen sensors',
    parts: [
      { key: 'upstream', label: 'Upstream', unit: '' }, { key: 'downstream', label: 'Downstream', unit: '' }, { key: 'kind', label: 'Kind', options: ['narrow', 'wide'] },
      { key: 'thread', label: 'Thread', text: true },
    ],
    kindNote: 'kind {narrow, wide}, thread',
    howTo: 'Look; M18x1.5 is usual (common practice)', neededBy: ['fit-emission-parts', 'kit-o2-bungs', 'kit-o2-sensors', 'f-o2'],
  },
  {
    id: 'eng-ecu-id', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Engine unit (ECU) identity',
    parts: [{ key: 'value', label: '', text: true }],
    kindNote: 'part number, plug colours and pin count, program number, years that interchange',
    howTo: 'Label photo; scan tool', neededBy: ['fit-ecu-engine', 'fit-gearbox-control', 'kit-ecu-program'],
  },
  {
    id: 'eng-immobiliser-kind', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Immobiliser kind',
    parts: [{ key: 'value', label: '', options: ['none', 'key-to-engine-unit', 'key-to-body-unit', 'separate-box'] }],
    howTo: 'Donor diagram; what the unit says when keyless', neededBy: ['fit-immobiliser', 'kit-immobiliser-set', 'f-immobiliser'],
  },
  {
    id: 'eng-diesel-stop', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Diesel stop',
    parts: [{ key: 'value', label: '', options: ['not-diesel', 'vacuum-shutoff', 'electric-solenoid', 'cable', 'engine-unit'] }],
    howTo: 'Look at the pump; hold a hand pump on it', neededBy: ['fit-diesel', 'kit-diesel-stop', 'gate-fs-stop-means', 'f-diesel-shutoff'],
  },
  {
    id: 'eng-vacuum-ports', subject: 'engine', group: 'Fuel, air, ignition, control', label: 'Vacuum ports',
    parts: [
      { key: 'ports', label: 'Ports', unit: '' }, { key: 'booster-port-bore', label: 'Booster port bore', unit: 'mm' }, { key: 'idle-vacuum', label: 'Idle vacuum', unit: 'kPa' },
      { key: 'consumers-and-caps', label: 'Consumers and caps', text: true },
    ],
    howTo: 'Mark each with tape; feel behind the manifold', neededBy: ['fit-booster-vacuum', 'kit-vacuum-caps', 'f-vacuum-leak'],
  },
  {
    id: 'eng-oil-ports', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Oil ports',
    parts: [
      { key: 'ports', label: 'Ports', unit: '' }, { key: 'threads', label: 'Threads', text: true }, { key: 'taper-or-parallel', label: 'Taper or parallel', options: ['taper', 'parallel'] },
      { key: 'plugged', label: 'Plugged', unit: '' },
    ],
    howTo: 'Thread gauge; includes blanking screws of drillings', neededBy: ['fit-oil-warning', 'fit-gauge-senders', 'kit-senders'],
  },
  {
    id: 'eng-oil-switch', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Oil switch',
    parts: [
      { key: 'threshold', label: 'Threshold', unit: 'bar' }, { key: 'contact', label: 'Contact', options: ['normally-closed', 'normally-open'] }, { key: 'wires', label: 'Wires', options: ['switch', 'sender', 'both'] },
    ],
    howTo: 'Stamp; ohmmeter with hand pump', neededBy: ['fit-oil-warning', 'f-oil-switch-wrong'],
  },
  {
    id: 'eng-oil-spec', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Oil spec',
    parts: [
      { key: 'value', label: '', text: true }, { key: 'capacity-with-filter', label: 'Capacity with filter', unit: 'L' }, { key: 'idle-pressure-least', label: 'Idle pressure least', unit: 'bar' },
      { key: 'rated-pressure-least', label: 'Rated pressure least', unit: 'bar' },
    ],
    kindNote: 'grade (SAE J300), quality class, capacity with filter, idle and rated pressure limits',
    howTo: 'Manual; plus remote filter and cooler volume', neededBy: ['kit-engine-oil', 'gate-fc-oil-level', 'o-oil-gauge'],
  },
  {
    id: 'eng-accessory-drive', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Accessory drive',
    parts: [
      { key: 'spacing-variant', label: 'Spacing variant', text: true }, { key: 'worst-plane-offset', label: 'Worst plane offset', unit: 'mm' }, { key: 'span-there', label: 'Span there', unit: 'mm' },
      { key: 'alternator-wrap', label: 'Alternator wrap', unit: 'deg' }, { key: 'belt-length', label: 'Belt length', unit: 'mm' }, { key: 'ribs', label: 'Ribs', unit: '' },
      { key: 'what-is-driven', label: 'What is driven', text: true },
    ],
    howTo: 'Straight edge and tape; variant decides brackets', neededBy: ['fit-accessory-drive', 'fit-mount-boss', 'fit-ac', 'kit-belt', 'kit-accessory-brackets'],
  },
  {
    id: 'eng-belt-tensioner', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Belt tensioner',
    parts: [
      { key: 'value', label: '', options: ['automatic', 'manual', 'none-centres-fixed'] }, { key: 'bosses-used', label: 'Bosses used', text: true }, { key: 'travel', label: 'Travel', unit: 'mm' },
      { key: 'x', label: 'Middle x', unit: 'mm' }, { key: 'y', label: 'Middle y', unit: 'mm' }, { key: 'z', label: 'Middle z', unit: 'mm' }, { key: 'across', label: 'Across, with its swing', unit: 'mm' },
    ],
    howTo: 'Look', neededBy: ['fit-mount-boss', 'fit-accessory-drive', 'kit-tensioner'],
  },
  {
    id: 'eng-thermostat', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Thermostat',
    parts: [
      { key: 'side', label: 'Side', options: ['outlet', 'inlet'] }, { key: 'opens-at', label: 'Opens at', unit: '°C' }, { key: 'kind', label: 'Kind', options: ['mechanical', 'heated'] },
      { key: 'direction-mark', label: 'Direction mark', text: true },
    ],
    howTo: 'Stamp; water bath', neededBy: ['kit-thermostat', 'f-thermostat', 'o-hose-temps'],
  },
  {
    id: 'eng-alternator', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Alternator',
    parts: [
      { key: 'output', label: 'Output', unit: 'A' }, { key: 'terminals', label: 'Terminals', text: true }, { key: 'exciter', label: 'Exciter', options: ['lamp-wire', 'self-exciting', 'engine-unit-controlled', 'ignition-sense'] },
      { key: 'side', label: 'Side', options: ['left', 'right'] }, { key: 'belt-ribs', label: 'Belt ribs', unit: '' },
    ],
    howTo: 'Label and plug; diagram of the donor', neededBy: ['fit-charging', 'kit-alternator', 'kit-charge-lamp-resistor', 'f-alternator-exciter'],
  },
  {
    id: 'eng-ps-pump', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Steering pump',
    parts: [
      { key: 'value', label: '', options: ['none', 'belt-left', 'belt-right', 'electric'] }, { key: 'port-threads', label: 'Port threads', text: true }, { key: 'flow', label: 'Flow', unit: 'L/min' },
    ],
    howTo: 'Look', neededBy: ['fit-power-steering', 'kit-ps-hoses'],
  },
  {
    id: 'eng-ac-compressor', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Air conditioning compressor',
    parts: [
      { key: 'value', label: '', options: ['none', 'left', 'right'] }, { key: 'port-style', label: 'Port style', text: true }, { key: 'plug-pins', label: 'Plug pins', unit: '' },
      { key: 'kind', label: 'Kind', options: ['clutch', 'variable'] },
    ],
    howTo: 'Look', neededBy: ['fit-ac', 'kit-ac-lines'],
  },
  {
    id: 'eng-cam-drive', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Cam drive',
    parts: [
      { key: 'value', label: '', options: ['belt', 'chain', 'gear'] }, { key: 'age-by-distance', label: 'Age by distance', unit: 'km' }, { key: 'age', label: 'Age', unit: 'years' },
      { key: 'interference', label: 'Interference', options: ['yes', 'no', 'not-known'] },
    ],
    howTo: 'Proof by photo, or renew; unknown interference is taken as yes', neededBy: ['kit-timing-set', 'kit-water-pump', 'gate-cu-timing', 'f-cam-timing'],
  },
  {
    id: 'eng-cam-follower', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Cam follower',
    parts: [{ key: 'value', label: '', options: ['flat-tappet', 'roller', 'bucket', 'finger'] }],
    howTo: 'Manual or look', neededBy: ['kit-engine-oil', 'gate-cu-lash', 'f-valves-tight', 'seq-hold-speed'],
  },
  {
    id: 'eng-stood-months', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Months the engine stood',
    parts: [{ key: 'value', label: '', unit: '' }],
    howTo: 'Since it last ran, wherever it stood', neededBy: ['gate-cu-oiled', 'bld-lube', 'f-glow-plugs'],
  },
  {
    id: 'eng-lash-adjuster', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Valve lash adjuster',
    parts: [{ key: 'value', label: '', options: ['by-hand', 'hydraulic'] }],
    howTo: 'Screw or shim: set by hand. Hydraulic followers take up their own lash: there is nothing to set', neededBy: ['gate-cu-lash', 'f-valves-tight'],
  },
  {
    id: 'eng-condition', subject: 'engine', group: 'Oil, coolant, accessories, condition', label: 'Engine condition',
    parts: [
      { key: 'value', label: '', options: ['proven-running', 'stood', 'rebuilt', 'new', 'not-known'] }, { key: 'compression-table', label: 'Compression table', text: true }, { key: 'leak-down-table', label: 'Leak-down table', text: true },
    ],
    howTo: 'Tests of prep; "not known" is a state, not a pass', neededBy: ['kit-crank-seals', 'kit-pickup', 'kit-timing-set', 'gate-cu-condition', 'gate-cu-fasteners', 'gate-cu-oiled', 'gate-cu-pickup', 'gate-cu-plugs', 'gate-cu-timing', 'f-bearing-wear', 'f-head-gasket', 'f-cam-sensor', 'f-cam-timing', 'f-gallery-plug', 'f-oil-unprimed'],
  },
  {
    id: 'eng-bell-pattern', subject: 'engine', group: 'Rear end', label: 'Engine bell pattern',
    parts: [{ key: 'value', label: '', text: true }],
    kindNote: 'family of pattern, dowel places and size, rubbing of the pattern',
    howTo: 'Card rubbing from the real block', neededBy: ['fit-bellhousing', 'kit-bell-adapter'],
  },
  {
    id: 'eng-crank-flange', subject: 'engine', group: 'Rear end', label: 'Crank flange',
    parts: [
      { key: 'bolts', label: 'Bolts', unit: '' }, { key: 'circle', label: 'Circle', unit: 'mm' }, { key: 'thread', label: 'Thread', text: true },
      { key: 'register-bore', label: 'Register bore', unit: 'mm' }, { key: 'depth-behind-bell-face', label: 'Set back from the bell face, into the engine', unit: 'mm' }, { key: 'bolt-engagement', label: 'Bolt engagement', unit: 'mm' },
      { key: 'bolt-diameter', label: 'Bolt diameter', unit: 'mm' },
    ],
    howTo: 'Callipers and depth gauge; straight edge over the bell face: a flange below it is set back, positive', neededBy: ['fit-crank-flange', 'kit-flexplate-bolts'],
  },
  {
    id: 'eng-pilot-bore', subject: 'engine', group: 'Rear end', label: 'Pilot bore',
    parts: [
      { key: 'bore', label: 'Bore', unit: 'mm' }, { key: 'depth', label: 'Depth', unit: 'mm' }, { key: 'bearing-length', label: 'Bearing length', unit: 'mm' },
      { key: 'bearing-inner-size', label: 'Bearing inner size', unit: 'mm' }, { key: 'register-of-converter-hub', label: 'Register of converter hub', unit: 'mm' },
    ],
    howTo: 'Callipers', neededBy: ['fit-pilot', 'fit-converter-seat', 'kit-pilot'],
  },
  {
    id: 'eng-flywheel', subject: 'engine', group: 'Rear end', label: 'Flywheel',
    parts: [
      { key: 'kind', label: 'Kind', options: ['dual-mass', 'solid', 'flexplate'] }, { key: 'bolts', label: 'Bolts', unit: '' }, { key: 'circle', label: 'Circle', unit: 'mm' },
      { key: 'thickness', label: 'Thickness', unit: 'mm' }, { key: 'original-thickness', label: 'Original thickness', unit: 'mm' }, { key: 'friction-size', label: 'Friction size', unit: 'mm' },
      { key: 'clutch-pattern', label: 'Clutch pattern', text: true }, { key: 'converter-bolt-circle', label: 'Converter bolt circle', unit: 'mm' }, { key: 'pad-depth-behind-bell-face', label: 'Pads stand out of the bell face, towards the gearbox', unit: 'mm' },
      { key: 'face-from-crank-flange', label: 'Pads or friction face, from the crank flange', unit: 'mm' },
      { key: 'balance', label: 'Balance', options: ['internal', 'external'] }, { key: 'crank-balance', label: 'Crank balance', options: ['internal', 'external'] },
    ],
    howTo: 'Callipers; photo of part mark', neededBy: ['fit-crank-flange', 'fit-clutch', 'fit-converter-seat', 'fit-crank-trigger'],
  },
  {
    id: 'eng-ring-gear', subject: 'engine', group: 'Rear end', label: 'Ring gear',
    parts: [
      { key: 'teeth', label: 'Teeth', unit: '' }, { key: 'outside-diameter', label: 'Outside diameter', unit: 'mm' }, { key: 'face-from-bell-face', label: 'Face from bell face', unit: 'mm' },
      { key: 'starter-teeth-module-match', label: 'Starter teeth module match', options: ['yes', 'no'] }, { key: 'pinion-rest-gap', label: 'Pinion rest gap', unit: 'mm' },
    ],
    howTo: 'Count twice', neededBy: ['fit-starter'],
  },
] as const satisfies readonly FactDef[];
