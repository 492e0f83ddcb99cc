import type { FactDef } from '../types.ts';

/** Facts about the recipient. Lengths in mm; a part without a unit is a plain count or ratio. */
export const recipientFacts = [
  {
    id: 'rec-model-year', subject: 'recipient', group: 'Identity, rules, state', label: 'Car model year',
    parts: [{ key: 'value', label: '', unit: '' }],
    howTo: 'Plate and papers; model year, not date of sale. A fit proven on a later year of the same body proves nothing for this one', neededBy: ['fit-mount-pads', 'fit-firewall', 'fit-tank', 'fit-emission-parts'],
  },
  {
    id: 'rec-drive-layout', subject: 'recipient', group: 'Identity, rules, state', label: 'Drive layout',
    parts: [{ key: 'value', label: '', options: ['front-longitudinal-rear-drive', 'front-longitudinal-all-drive', 'front-transverse', 'mid-engine', 'rear-engine'] }],
    howTo: 'Look', neededBy: ['fit-halfshafts', 'fit-propshaft-length', 'kit-halfshafts', 'kit-propshaft'],
  },
  {
    id: 'rec-factory-engines', subject: 'recipient', group: 'Identity, rules, state', label: 'Factory engines',
    parts: [
      { key: 'value', label: '', text: true }, { key: 'like-ours', label: 'One of the family that goes in', options: ['yes', 'no'] }, { key: 'frame-mounts', label: 'Its frame mounts are to be had', options: ['yes', 'no'] },
    ],
    kindNote: 'list',
    howTo: 'Parts catalogue of the body: every engine it was ever sold with. A vee engine on that list often means bolt-in frame mounts', neededBy: ['fit-mount-pads', 'fit-firewall', 'kit-mount-frame-brackets'],
  },
  {
    id: 'rec-rust', subject: 'recipient', group: 'Identity, rules, state', label: 'Rust and seized hardware',
    parts: [{ key: 'value', label: '', options: ['none', 'light', 'seized'] }],
    howTo: 'Exhaust nuts, subframe bolts, brake unions, seen on the lift and tried with a spanner', neededBy: ['factor-rust'],
  },
  {
    id: 'rec-bay-room', subject: 'recipient', group: 'Identity, rules, state', label: 'Room to work in the bay',
    parts: [{ key: 'value', label: '', options: ['roomy', 'tight'] }],
    kindNote: 'with the new engine in: tight where work goes by feel',
    howTo: 'Envelope against bay, and a look', neededBy: ['factor-tight'],
  },
  {
    id: 'rec-inspection-regime', subject: 'recipient', group: 'Identity, rules, state', label: 'Inspection regime',
    parts: [{ key: 'value', label: '', options: ['none', 'safety', 'safety-and-tailpipe', 'safety-and-plug-in', 'individual-approval'] }],
    howTo: 'Ask the inspecting body before the quote; write down name, date and answer (local law)', neededBy: ['fit-emission-parts', 'kit-inspection', 'kit-catalyst', 'kit-evap', 'gate-ho-papers'],
  },
  {
    id: 'rec-engine-age-rule', subject: 'recipient', group: 'Identity, rules, state', label: 'Engine age rule',
    parts: [{ key: 'value', label: '', options: ['engine-same-year-or-newer', 'vehicle-year-rule', 'no-rule'] }],
    howTo: 'Local code. Usual form: engine of the same year or newer, with every emission part of the car the engine came from (local law; standard North American engine-switching policy)', neededBy: ['fit-emission-parts'],
  },
  {
    id: 'rec-power-before', subject: 'recipient', group: 'Identity, rules, state', label: 'Power before',
    parts: [
      { key: 'value', label: '', unit: 'kW' }, { key: 'taken-at', label: 'Taken at', options: ['crank', 'wheels'] },
    ],
    kindNote: 'at crank or at wheels',
    howTo: 'Maker\'s figure, or baseline run on rollers before the first bolt; note which. Crank and wheel figures are never compared with one another', neededBy: ['fit-brakes-power', 'fit-torque-chain', 'fu-run-after'],
  },
  {
    id: 'rec-hv-system', subject: 'recipient', group: 'Identity, rules, state', label: 'High-voltage system',
    parts: [{ key: 'value', label: '', options: ['yes', 'no'] }],
    howTo: 'Orange cables, rating plate, papers. Yes: high-voltage isolation by an authorised person comes before any other work; maker\'s manual and local law go first', neededBy: ['gate-ei-hv', 'kit-shop-safety'],
  },
  {
    id: 'rec-airbags', subject: 'recipient', group: 'Identity, rules, state', label: 'Airbags or belt tensioners',
    parts: [{ key: 'value', label: '', options: ['yes', 'no'] }],
    howTo: 'Lamp in the dash, lettering on wheel and trim', neededBy: ['st-airbags-safe'],
  },
  {
    id: 'rec-own-engine', subject: 'recipient', group: 'Identity, rules, state', label: 'Own engine',
    parts: [{ key: 'value', label: '', options: ['in-the-car', 'out-of-the-car'] }],
    howTo: 'Look under the hood: a shell may come without', neededBy: ['rm-lift-plan', 'rm-exit'],
  },
  {
    id: 'rec-bay-length', subject: 'recipient', group: 'Space and fixed points', label: 'Bay length',
    parts: [
      { key: 'to-core-rear-face', label: 'To core rear face', unit: 'mm' }, { key: 'to-radiator-support', label: 'To radiator support', unit: 'mm' }, { key: 'firewall-recess-depth', label: 'Firewall recess depth', unit: 'mm' },
      { key: 'firewall-profile', label: 'Firewall, by height', columns: [{ key: 'z', label: 'z', unit: 'mm' }, { key: 'recess', label: 'recess', unit: 'mm' }] },
    ],
    howTo: 'Along the crank line, from the firewall\'s foremost point to rear of core and to support; recess where bell or rear head will sit', neededBy: ['fit-bay-length', 'fit-firewall', 'fit-radiator-fan'],
  },
  {
    id: 'rec-bay-width', subject: 'recipient', group: 'Space and fixed points', label: 'Bay width',
    parts: [
      { key: 'between-rails-at-mounts', label: 'Between rails at mounts', unit: 'mm' }, { key: 'between-towers-at-head-height', label: 'Between towers at head height', unit: 'mm' }, { key: 'booster-to-centre-line', label: 'Booster to centre line', unit: 'mm' },
    ],
    howTo: 'Tape or laser at each station; booster from its most inward point with the rod at rest', neededBy: ['fit-bay-width', 'fit-exhaust-body', 'fit-service-access'],
  },
  {
    id: 'rec-hood-profile', subject: 'recipient', group: 'Space and fixed points', label: 'Hood profile',
    parts: [
      { key: 'lowest-z-over-the-engine', label: 'Lowest z over the engine', unit: 'mm' }, { key: 'at-x-of-that-place', label: 'At x of that place', unit: 'mm' }, 
      { key: 'profile', label: 'Profile, station by station', columns: [{ key: 'x', label: 'x', unit: 'mm' }, { key: 'z', label: 'z', unit: 'mm' }] },
    ],
    howTo: 'Putty cones or a stick with a sliding foot, hood shut, measured to the bracing and not to the skin, with the hood seal in place', neededBy: ['fit-hood'],
  },
  {
    id: 'rec-crossmember-place', subject: 'recipient', group: 'Space and fixed points', label: 'Crossmember place',
    parts: [
      { key: 'front-edge-x', label: 'Front edge x', unit: 'mm' }, { key: 'rear-edge-x', label: 'Rear edge x', unit: 'mm' }, { key: 'top-z', label: 'Top z', unit: 'mm' },
      { key: 'fixing', label: 'Fixing', options: ['fixed', 'bolted', 'subframe'] },
    ],
    howTo: 'Straight edge across the rails; note fixed, bolted or subframe. A crossmember that comes off is an option, not a cure: it carries suspension', neededBy: ['fit-sump-crossmember', 'fit-mount-pads', 'fit-oil-filter'],
  },
  {
    id: 'rec-ground-at-crossmember', subject: 'recipient', group: 'Space and fixed points', label: 'Ground clearance at crossmember',
    parts: [
      { key: 'ground-to-crossmember', label: 'Ground to crossmember', unit: 'mm' }, { key: 'planned-ride-height-change', label: 'Planned ride-height change', unit: 'mm' },
    ],
    kindNote: 'with planned ride-height change',
    howTo: 'Level floor, tyres at pressure, fuel half, driver\'s mass aboard; note planned springs', neededBy: ['fit-ground-clearance'],
  },
  {
    id: 'rec-sway-bar-place', subject: 'recipient', group: 'Space and fixed points', label: 'Sway bar place',
    parts: [
      { key: 'value', label: '', options: ['none', 'ahead-of-engine', 'under-sump', 'behind-sump'] }, { key: 'x', label: 'x', unit: 'mm' }, { key: 'z', label: 'z', unit: 'mm' },
    ],
    howTo: 'Look; measure its highest sweep through bump and droop', neededBy: ['fit-sway-bar', 'fit-sump-steering'],
  },
  {
    id: 'rec-steering-envelope', subject: 'recipient', group: 'Space and fixed points', label: 'Steering envelope',
    parts: [
      { key: 'kind', label: 'Kind', options: ['rack', 'box-and-link'] }, { key: 'top-z-worst-position', label: 'Top z worst position', unit: 'mm' }, { key: 'front-x', label: 'Front x', unit: 'mm' },
      { key: 'rear-x', label: 'Rear x', unit: 'mm' },
    ],
    howTo: 'Wheels turned lock to lock and suspension moved; a rack or centre link moves up and back, so the worst position counts', neededBy: ['fit-sump-steering', 'fit-exhaust-steering'],
  },
  {
    id: 'rec-steering-shaft-path', subject: 'recipient', group: 'Space and fixed points', label: 'Steering shaft path',
    parts: [
      { key: 'least-y-from-centre-line', label: 'Least y from centre line', unit: 'mm' }, { key: 'z-there', label: 'z there', unit: 'mm' }, { key: 'joint-kind', label: 'Joint kind', options: ['metal', 'rubber'] },
      { key: 'path', label: 'Path, station by station', columns: [{ key: 'x', label: 'x', unit: 'mm' }, { key: 'y', label: 'y', unit: 'mm' }, { key: 'z', label: 'z', unit: 'mm' }] },
    ],
    howTo: 'Tape from centre line; heat limit of a rubber coupling is the maker\'s', neededBy: ['fit-exhaust-steering', 'kit-steering-shaft'],
  },
  {
    id: 'rec-mount-pads', subject: 'recipient', group: 'Space and fixed points', label: 'Mount pads',
    parts: [
      { key: 'kind', label: 'Kind', options: ['rail-brackets', 'crossmember-pads', 'subframe', 'none'] }, { key: 'left-x', label: 'Left x', unit: 'mm' }, { key: 'left-y', label: 'Left y', unit: 'mm' },
      { key: 'left-z', label: 'Left z', unit: 'mm' }, { key: 'right-x', label: 'Right x', unit: 'mm' }, { key: 'right-y', label: 'Right y', unit: 'mm' },
      { key: 'right-z', label: 'Right z', unit: 'mm' }, { key: 'bolt-pattern', label: 'Bolt pattern', text: true },
    ],
    howTo: 'From body datum; check left against right, bodies are not always symmetrical', neededBy: ['fit-mount-pads', 'fit-mount-boss', 'kit-mount-frame-brackets'],
  },
  {
    id: 'rec-cross-pads', subject: 'recipient', group: 'Space and fixed points', label: 'Pads for a unit that lies across',
    parts: [
      { key: 'engine-end-x', label: 'Engine end x', unit: 'mm' }, { key: 'engine-end-y', label: 'Engine end y', unit: 'mm' }, { key: 'engine-end-z', label: 'Engine end z', unit: 'mm' },
      { key: 'gearbox-end-x', label: 'Gearbox end x', unit: 'mm' }, { key: 'gearbox-end-y', label: 'Gearbox end y', unit: 'mm' }, { key: 'gearbox-end-z', label: 'Gearbox end z', unit: 'mm' },
      { key: 'rod-x', label: 'Torque rod x', unit: 'mm' }, { key: 'rod-y', label: 'Torque rod y', unit: 'mm' }, { key: 'rod-z', label: 'Torque rod z', unit: 'mm' },
      { key: 'second-rod-x', label: 'Second torque rod x', unit: 'mm' }, { key: 'second-rod-y', label: 'Second torque rod y', unit: 'mm' }, { key: 'second-rod-z', label: 'Second torque rod z', unit: 'mm' },
    ],
    howTo: 'Middle of each cushion on the body or cradle; the rod where its eye bolts on', neededBy: ['fit-mount-pads'],
  },
  {
    id: 'rec-tunnel-envelope', subject: 'recipient', group: 'Space and fixed points', label: 'Tunnel envelope',
    parts: [
      { key: 'width-at-bell', label: 'Width at bell', unit: 'mm' }, { key: 'height-at-bell', label: 'Height at bell', unit: 'mm' }, { key: 'width-at-waist', label: 'Width at waist', unit: 'mm' },
      { key: 'width-at-gearbox-mount', label: 'Width at gearbox mount', unit: 'mm' }, { key: 'lever-hole-x', label: 'Lever hole x', unit: 'mm' },
      { key: 'sections', label: 'Sections, by card template', columns: [{ key: 'x', label: 'x', unit: 'mm' }, { key: 'width', label: 'width', unit: 'mm' }, { key: 'roof', label: 'roof z', unit: 'mm' }] },
    ],
    howTo: 'Card templates every 150 mm; note brake and fuel lines inside the tunnel', neededBy: ['fit-tunnel', 'fit-shift-linkage', 'fit-propshaft-length'],
  },
  {
    id: 'rec-gearbox-crossmember', subject: 'recipient', group: 'Space and fixed points', label: 'Gearbox crossmember',
    parts: [
      { key: 'value', label: '', options: ['fixed', 'bolted-one-place', 'bolted-slots', 'none'] }, { key: 'mount-x', label: 'Mount x', unit: 'mm' }, { key: 'mount-z', label: 'Mount z', unit: 'mm' },
      { key: 'slot-range', label: 'Slot range', unit: 'mm' },
    ],
    howTo: 'Look and measure hole rows', neededBy: ['fit-gearbox-mount', 'kit-gearbox-crossmember'],
  },
  {
    id: 'rec-install-path', subject: 'recipient', group: 'Space and fixed points', label: 'Install path',
    parts: [
      { key: 'value', label: '', options: ['over-the-front', 'from-below', 'through-the-front', 'from-behind'] }, { key: 'opening-length', label: 'Opening length', unit: 'mm' }, { key: 'opening-width', label: 'Opening width', unit: 'mm' },
      { key: 'lift-height', label: 'Lift height', unit: 'mm' }, { key: 'stack-height', label: 'Table, cradle and subframe under the sump', unit: 'mm' }, { key: 'hoist-rating-at-boom-place', label: 'Hoist rating at boom place', unit: 'kg' },
      { key: 'panel-height', label: 'Top of the front panel above the floor', unit: 'mm' }, { key: 'hook-height', label: 'Highest place of the hook at that boom place', unit: 'mm' }, { key: 'boom-reach', label: 'Boom reach past what stops the hoist at the car', unit: 'mm' },
      { key: 'front-edge-x', label: 'Foremost edge of the car as it stands', unit: 'mm' },
    ],
    howTo: 'Decide before suspension or front panel goes back on: each closes a path. Height needed = unit + cradle + clearance', neededBy: ['fit-install-path'],
  },
  {
    id: 'rec-radiator-core', subject: 'recipient', group: 'Space and fixed points', label: 'Radiator core',
    parts: [
      { key: 'height', label: 'Height', unit: 'mm' }, { key: 'width', label: 'Width', unit: 'mm' }, { key: 'core-depth', label: 'Core depth', unit: 'mm' },
      { key: 'overall-depth', label: 'Overall depth', unit: 'mm' }, { key: 'free-depth-ahead', label: 'Free depth ahead', unit: 'mm' }, { key: 'free-depth-behind', label: 'Free depth behind', unit: 'mm' },
    ],
    howTo: 'Rule; free depth ahead is to grille braces or condenser', neededBy: ['fit-radiator-fan', 'fit-cooling-capacity', 'fit-bay-length', 'fit-ac', 'kit-radiator', 'kit-fan'],
  },
  {
    id: 'rec-radiator-ports', subject: 'recipient', group: 'Space and fixed points', label: 'Radiator ports',
    parts: [
      { key: 'inlet-side', label: 'Inlet side', options: ['left', 'right', 'middle'] }, { key: 'inlet-bore', label: 'Inlet bore', unit: 'mm' }, { key: 'outlet-side', label: 'Outlet side', options: ['left', 'right', 'middle'] },
      { key: 'outlet-bore', label: 'Outlet bore', unit: 'mm' }, { key: 'bleed-ports', label: 'Bleed ports', text: true },
    ],
    howTo: 'Callipers on the outside of each stub, bead excluded', neededBy: ['fit-coolant-ports', 'kit-hoses'],
  },
  {
    id: 'rec-fill-point-z', subject: 'recipient', group: 'Space and fixed points', label: 'Fill point z',
    parts: [{ key: 'value', label: '', unit: 'mm' }],
    kindNote: 'above body datum',
    howTo: 'Clear hose with water as a level between fill neck and engine\'s highest point', neededBy: ['fit-coolant-high-point'],
  },
  {
    id: 'rec-exhaust-path', subject: 'recipient', group: 'Space and fixed points', label: 'Exhaust path',
    parts: [
      { key: 'value', label: '', options: ['both-sides', 'left-only', 'right-only', 'centre-tunnel'] }, { key: 'tank-and-line-neighbours', label: 'Tank and line neighbours', text: true },
    ],
    howTo: 'From below; list everything within 150 mm of the path', neededBy: ['fit-exhaust-body', 'fit-exhaust-lines', 'kit-exhaust-mid'],
  },
  {
    id: 'rec-brake-line-path', subject: 'recipient', group: 'Space and fixed points', label: 'Brake line path',
    parts: [{ key: 'value', label: '', options: ['clear', 'crosses-engine-zone', 'within-heat-zone', 'carried-by-structure-to-be-cut'] }],
    howTo: 'Trace by hand with the bay empty. Last cheap moment: after the engine stands there the reach is gone', neededBy: ['fit-exhaust-lines', 'kit-brake-lines', 'gate-ei-brake-lines'],
  },
  {
    id: 'rec-brake-assist', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Brake assist',
    parts: [{ key: 'value', label: '', options: ['vacuum', 'hydraulic', 'electric', 'none'] }],
    howTo: 'Look at what feeds the booster', neededBy: ['fit-booster-vacuum', 'fit-power-steering', 'kit-booster-hose'],
  },
  {
    id: 'rec-booster-hose-bore', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Booster hose bore',
    parts: [{ key: 'value', label: '', unit: 'mm' }],
    howTo: 'Callipers inside the hose, or outside of the booster stub', neededBy: ['fit-booster-vacuum'],
  },
  {
    id: 'rec-brake-kind', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Brake kind',
    parts: [
      { key: 'front', label: 'Front', options: ['disc', 'drum'] }, { key: 'rear', label: 'Rear', options: ['disc', 'drum'] }, { key: 'disc-diameter', label: 'Disc diameter', unit: 'mm' },
      { key: 'hose-age', label: 'Hose age', options: ['sound', 'ageing', 'cracked'] },
    ],
    howTo: 'Wheels off; grade hoses sound, ageing, cracked; one cracked means the set', neededBy: ['fit-brakes-power', 'kit-brake-upgrade', 'kit-brake-lines'],
  },
  {
    id: 'rec-steering-assist', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Steering assist',
    parts: [{ key: 'value', label: '', options: ['manual', 'hydraulic', 'electric-column-or-rack', 'electric-pump'] }],
    howTo: 'Look', neededBy: ['fit-power-steering', 'kit-ps-hoses'],
  },
  {
    id: 'rec-clutch-pedal', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Clutch pedal',
    parts: [{ key: 'value', label: '', options: ['yes', 'no'] }],
    howTo: 'Look; note hole in firewall and pedal box bolting', neededBy: ['fit-clutch', 'kit-clutch-pedal'],
  },
  {
    id: 'rec-throttle-pedal', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Throttle pedal',
    parts: [{ key: 'value', label: '', options: ['cable', 'rod', 'by-wire-module'] }],
    howTo: 'Look at the pedal\'s upper end', neededBy: ['fit-throttle', 'kit-pedal', 'kit-throttle-cable'],
  },
  {
    id: 'rec-axle-ratio', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Axle ratio',
    parts: [{ key: 'value', label: '', unit: '' }],
    howTo: 'Tag, tooth count, or turns of shaft for one turn of wheel (limited slip: both wheels)', neededBy: ['fit-gearing', 'fit-speedo', 'fit-propshaft-length'],
  },
  {
    id: 'rec-axle-rating', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Axle rating',
    parts: [{ key: 'value', label: '', unit: 'N·m' }],
    howTo: 'Supplier\'s figure or, in its absence, the strongest engine the maker sold with that axle, marked assumed', neededBy: ['fit-torque-chain', 'fit-halfshafts'],
  },
  {
    id: 'rec-pinion-place', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Pinion place',
    parts: [
      { key: 'flange-x', label: 'Flange x', unit: 'mm' }, { key: 'y', label: 'y', unit: 'mm' }, { key: 'z-at-ride-height', label: 'z at ride height', unit: 'mm' },
      { key: 'z-at-bump', label: 'z at full bump', unit: 'mm' }, { key: 'z-at-droop', label: 'z at full droop', unit: 'mm' },
      { key: 'joint-series', label: 'Joint series', text: true }, { key: 'bolt-pattern', label: 'Bolt pattern', text: true },
    ],
    howTo: 'Ride height, plumb line to the floor', neededBy: ['fit-propshaft-length', 'kit-propshaft', 'kit-shaft-joints'],
  },
  {
    id: 'rec-pinion-angle', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Pinion angle',
    parts: [
      { key: 'value', label: '', unit: 'deg' }, { key: 'at-bump', label: 'At full bump', unit: 'deg' }, { key: 'at-droop', label: 'At full droop', unit: 'deg' },
    ],
    kindNote: 'nose up positive',
    howTo: 'Digital level on the flange face at ride height, weight on wheels', neededBy: ['fit-driveline-angles'],
  },
  {
    id: 'rec-hub-places', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Outer joints of the half shafts',
    parts: [
      { key: 'left-x', label: 'Left x', unit: 'mm' }, { key: 'left-y', label: 'Left y', unit: 'mm' }, { key: 'left-z', label: 'Left z at ride height', unit: 'mm' }, { key: 'left-z-at-bump', label: 'Left z at full bump', unit: 'mm' }, { key: 'left-z-at-droop', label: 'Left z at full droop', unit: 'mm' },
      { key: 'right-x', label: 'Right x', unit: 'mm' }, { key: 'right-y', label: 'Right y', unit: 'mm' }, { key: 'right-z', label: 'Right z at ride height', unit: 'mm' }, { key: 'right-z-at-bump', label: 'Right z at full bump', unit: 'mm' }, { key: 'right-z-at-droop', label: 'Right z at full droop', unit: 'mm' },
    ],
    howTo: 'Middle of each outer joint from body datum: at ride height, spring out or jacked to full bump, hanging free', neededBy: ['fit-halfshafts'],
  },
  {
    id: 'rec-tyre-size', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Tyre size',
    parts: [
      { key: 'value', label: '', text: true }, { key: 'rolling-circumference', label: 'Rolling circumference', unit: 'mm' },
    ],
    kindNote: 'metric or inch form',
    howTo: 'Side wall; rolling circumference measured over one turn beats the sum', neededBy: ['fit-gearing', 'fit-speedo'],
  },
  {
    id: 'rec-wheels', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Wheels and hubs as they are to be',
    parts: [
      { key: 'front-bolts', label: 'Bolts, front', unit: '' }, { key: 'front-circle', label: 'Bolt circle, front', unit: 'mm' }, { key: 'front-hub', label: 'Hub spigot, front', unit: 'mm' }, { key: 'front-offset', label: 'Offset, front', unit: 'mm' },
      { key: 'rear-bolts', label: 'Bolts, rear', unit: '' }, { key: 'rear-circle', label: 'Bolt circle, rear', unit: 'mm' }, { key: 'rear-hub', label: 'Hub spigot, rear', unit: 'mm' }, { key: 'rear-offset', label: 'Offset, rear', unit: 'mm' },
      { key: 'hubs-from', label: 'Where the hubs are from', text: true },
    ],
    howTo: 'Count the bolts; circle from hole to hole across, for five over two and worked out; spigot by caliper', neededBy: ['fit-wheels'],
  },
  {
    id: 'rec-wheelbase', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Wheelbase',
    parts: [{ key: 'value', label: '', unit: 'mm' }, { key: 'front-axle-x', label: 'Front axle ahead of the firewall', unit: 'mm' }],
    howTo: 'Hub to hub along the floor on both sides; plumb line from the firewall', neededBy: ['fit-axle-load'],
  },
  {
    id: 'rec-axle-masses', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Axle masses',
    parts: [
      { key: 'front', label: 'Front', unit: 'kg' }, { key: 'rear', label: 'Rear', unit: 'kg' }, { key: 'left', label: 'Left', unit: 'kg' },
      { key: 'right', label: 'Right', unit: 'kg' }, { key: 'fuel-level', label: 'Fuel level', text: true },
    ],
    howTo: 'Scales under each wheel before teardown: no second chance', neededBy: ['fit-axle-load', 'fit-brakes-power', 'fu-weigh-after'],
  },
  {
    id: 'rec-axle-limits', subject: 'recipient', group: 'Brakes, steering, axles', label: 'Axle limits',
    parts: [
      { key: 'front', label: 'Front', unit: 'kg' }, { key: 'rear', label: 'Rear', unit: 'kg' }, { key: 'gross', label: 'Gross', unit: 'kg' },
    ],
    howTo: 'Plate or papers (local law)', neededBy: ['fit-axle-load', 'gate-ho-weights'],
  },
  {
    id: 'rec-fuel-before', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Fuel before',
    parts: [{ key: 'value', label: '', options: ['petrol-carburettor', 'petrol-injected', 'diesel', 'gas', 'hybrid'] }],
    howTo: 'Look; decides tank, lines, filler neck and what must be cleaned', neededBy: ['fit-diesel', 'fit-fuel-pressure', 'fit-tank'],
  },
  {
    id: 'rec-tank-baffled', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Tank baffled',
    parts: [{ key: 'value', label: '', options: ['yes', 'no'] }],
    howTo: 'Lamp and mirror through the sender hole, or the catalogue of the year. Tanks of carburettor years are mostly plain', neededBy: ['fit-tank', 'kit-tank', 'kit-surge-pot', 'f-tank-empty'],
  },
  {
    id: 'rec-tank-ports', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Tank ports',
    parts: [
      { key: 'value', label: '', options: ['feed-only', 'feed-and-return', 'module-opening'] }, { key: 'feed-bore', label: 'Feed bore', unit: 'mm' }, { key: 'return-bore', label: 'Return bore', unit: 'mm' },
    ],
    howTo: 'Top of tank; note vent and roll-over valve', neededBy: ['fit-fuel-pressure', 'fit-tank', 'kit-pump-hanger'],
  },
  {
    id: 'rec-tank-pump', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Tank pump',
    parts: [
      { key: 'value', label: '', options: ['none', 'in-tank-low', 'in-tank-high', 'inline'] }, { key: 'flow-at-rail-pressure', label: 'Flow at rail pressure', unit: 'L/h' }, { key: 'label', label: 'Label', text: true },
    ],
    howTo: 'Look and label', neededBy: ['fit-pump-flow', 'kit-pump', 'f-fuel-pressure-low', 'f-pump-relay'],
  },
  {
    id: 'rec-fuel-line-bore', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Fuel line bore',
    parts: [
      { key: 'feed', label: 'Feed', unit: 'mm' }, { key: 'return', label: 'Return', unit: 'mm' }, { key: 'material', label: 'Material', text: true },
      { key: 'age', label: 'Age', text: true },
    ],
    howTo: 'Callipers, wall deducted; old low-pressure rubber is never reused behind an injection pump', neededBy: ['fit-pump-flow', 'fit-exhaust-lines', 'kit-fuel-hose'],
  },
  {
    id: 'rec-heater-bore', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Heater bore',
    parts: [
      { key: 'in', label: 'In', unit: 'mm' }, { key: 'out', label: 'Out', unit: 'mm' }, { key: 'valve-kind', label: 'Valve kind', options: ['none', 'by-passing', 'closes-fully'] },
    ],
    howTo: 'Callipers on matrix stubs; note whether the valve closes the flow fully', neededBy: ['fit-heater', 'kit-heater-hoses'],
  },
  {
    id: 'rec-ac-state', subject: 'recipient', group: 'Fuel, cooling, comfort', label: 'Air conditioning state',
    parts: [
      { key: 'value', label: '', options: ['none', 'fitted-charged', 'fitted-empty', 'fitted-not-known'] }, { key: 'plug-pins', label: 'Pins of its compressor plug', unit: '' },
      { key: 'compressor-kind', label: 'Its compressor', options: ['clutch', 'variable'] },
    ],
    howTo: 'Gauge reading by a certified person; an unknown circuit is treated as charged (local law)', neededBy: ['fit-ac', 'kit-ac-service'],
  },
  {
    id: 'rec-electrical-system', subject: 'recipient', group: 'Electrics and dash', label: 'Electrical system',
    parts: [{ key: 'value', label: '', options: ['12v-negative-earth', '12v-positive-earth', '6v', '24v'] }],
    howTo: 'Look and meter', neededBy: ['fit-charging', 'fit-starter', 'kit-battery'],
  },
  {
    id: 'rec-battery', subject: 'recipient', group: 'Electrics and dash', label: 'Car battery',
    parts: [
      { key: 'place', label: 'Place', options: ['bay', 'cabin', 'boot'] }, { key: 'cold-cranking', label: 'Cold cranking', unit: 'A' }, { key: 'capacity', label: 'Capacity', unit: 'Ah' },
      { key: 'cable-length', label: 'Cable length', unit: 'm' },
    ],
    howTo: 'Label; cable run along its real path', neededBy: ['fit-starter', 'kit-battery', 'kit-battery-cables', 'f-battery-weak'],
  },
  {
    id: 'rec-charge-lamp', subject: 'recipient', group: 'Electrics and dash', label: 'Charge lamp',
    parts: [{ key: 'value', label: '', options: ['filament-lamp', 'led-or-cluster', 'ammeter', 'voltmeter', 'none'] }],
    howTo: 'Look behind the dash; wattage of the lamp', neededBy: ['fit-charging', 'kit-charge-lamp-resistor', 'f-alternator-exciter'],
  },
  {
    id: 'rec-dash-kind', subject: 'recipient', group: 'Electrics and dash', label: 'Dash kind',
    parts: [{ key: 'value', label: '', options: ['separate-gauges', 'wired-cluster', 'bus-cluster', 'none'] }],
    howTo: 'Wiring diagram; count of wires to the cluster', neededBy: ['fit-gauge-senders', 'fit-body-network', 'kit-gauges'],
  },
  {
    id: 'rec-tach-input', subject: 'recipient', group: 'Electrics and dash', label: 'Tach input',
    parts: [{ key: 'value', label: '', options: ['coil-pulse', 'low-level-pulse', 'bus', 'none'] }],
    howTo: 'Diagram, or oscilloscope at idle before the pull', neededBy: ['fit-tach', 'kit-tach-adapter'],
  },
  {
    id: 'rec-tach-pulses', subject: 'recipient', group: 'Electrics and dash', label: 'Tach pulses',
    parts: [{ key: 'value', label: '', unit: '' }],
    howTo: 'Cylinders divided by two for a single-coil four-stroke (geometry); else pulse count at known speed', neededBy: ['fit-tach'],
  },
  {
    id: 'rec-speedo-drive', subject: 'recipient', group: 'Electrics and dash', label: 'Speedo drive',
    parts: [{ key: 'value', label: '', options: ['cable', 'pulse', 'wheel-speed-bus', 'none'] }],
    howTo: 'Look', neededBy: ['fit-speedo', 'kit-speedo-adapter'],
  },
  {
    id: 'rec-speedo-constant', subject: 'recipient', group: 'Electrics and dash', label: 'Speedo constant',
    parts: [{ key: 'value', label: '', unit: '' }],
    kindNote: 'turns or pulses per km',
    howTo: 'Printed on the dial, or counted over a measured distance', neededBy: ['fit-speedo'],
  },
  {
    id: 'rec-oil-warning-logic', subject: 'recipient', group: 'Electrics and dash', label: 'Oil warning logic',
    parts: [{ key: 'value', label: '', options: ['one-switch-closes-when-low', 'two-switch-low-and-high', 'gauge-only', 'bus-message', 'none'] }],
    howTo: 'Diagram, plus key-on test: earth and open each wire in turn and write down lamp and buzzer', neededBy: ['fit-oil-warning', 'kit-oil-switches', 'f-oil-dash-logic', 'f-oil-switch-wrong'],
  },
  {
    id: 'rec-oil-switch-thresholds', subject: 'recipient', group: 'Electrics and dash', label: 'Oil switch thresholds',
    parts: [
      { key: 'low', label: 'Low', unit: 'bar' }, { key: 'high', label: 'High', unit: 'bar' }, { key: 'contact', label: 'Contact', options: ['normally-closed', 'normally-open'] },
    ],
    howTo: 'Stamp on the switch base; ohmmeter with hand pump. Harvest the switches before the old engine leaves', neededBy: ['fit-oil-warning'],
  },
  {
    id: 'rec-gauge-curves', subject: 'recipient', group: 'Electrics and dash', label: 'Gauge curves',
    parts: [
      { key: 'oil', label: 'Oil', unit: 'ohm' }, { key: 'temperature', label: 'Temperature', unit: 'ohm' }, { key: 'fuel-level', label: 'Fuel level', unit: 'ohm' },
      { key: 'table', label: 'Table', text: true },
    ],
    howTo: 'Substitute known resistors and read the needle, or sender table', neededBy: ['fit-gauge-senders', 'kit-senders'],
  },
  {
    id: 'rec-body-network', subject: 'recipient', group: 'Electrics and dash', label: 'Body network',
    parts: [{ key: 'value', label: '', options: ['none', 'body-only', 'gateway-needs-engine-data'] }],
    howTo: 'Scan tool: which units complain when the engine unit is unplugged (done before the pull)', neededBy: ['fit-body-network', 'kit-bus-gateway'],
  },
  {
    id: 'rec-immobiliser-kind', subject: 'recipient', group: 'Electrics and dash', label: 'Immobiliser kind',
    parts: [{ key: 'value', label: '', options: ['none', 'key-to-engine-unit', 'key-to-body-unit', 'separate-box'] }],
    howTo: 'Diagram, key with transponder or not, lamp behaviour', neededBy: ['fit-immobiliser', 'f-immobiliser'],
  },
  {
    id: 'rec-loom-state', subject: 'recipient', group: 'Electrics and dash', label: 'Loom state',
    parts: [{ key: 'value', label: '', options: ['sound', 'brittle', 'cut', 'absent'] }],
    howTo: 'Bend test at three hot places, open one splice', neededBy: ['fit-ecu-engine', 'kit-fusebox', 'kit-terminals', 'f-earth-missing', 'f-ecu-unpowered'],
  },
] as const satisfies readonly FactDef[];
