import type { FactDef } from '../types.ts';

/** Facts about the gearbox. Lengths in mm; a part without a unit is a plain count or ratio. */
export const gearboxFacts = [
  {
    id: 'gbx-kind', subject: 'gearbox', group: 'Gearbox', label: 'Gearbox kind',
    parts: [{ key: 'value', label: '', options: ['manual', 'automatic-hydraulic', 'automatic-electronic', 'dual-clutch', 'transaxle-manual', 'transaxle-automatic'] }],
    howTo: 'Look and code', neededBy: ['fit-crank-flange', 'fit-gearbox-control', 'fit-gearbox-cooler', 'kit-flexplate', 'kit-clutch-set', 'kit-clutch-pedal', 'kit-converter', 'kit-converter-bolts', 'kit-flywheel', 'kit-pilot', 'kit-release', 'gate-ei-clutch', 'gate-ei-converter', 'gate-fd-gearbox', 'f-converter-bolts', 'f-flexplate-crack', 'f-gearbox-control', 'f-gearbox-fluid-low'],
  },
  {
    id: 'gbx-source-layout', subject: 'gearbox', group: 'Gearbox', label: 'Source layout',
    parts: [
      { key: 'value', label: '', options: ['rear-drive', 'all-drive', 'front-drive'] }, { key: 'donor-vehicle-kind', label: 'Donor vehicle kind', text: true },
    ],
    howTo: 'Tail housing; an all-drive tail does not suit a rear-drive car', neededBy: ['fit-gearbox-mount', 'fit-propshaft-length'],
  },
  {
    id: 'gbx-length', subject: 'gearbox', group: 'Gearbox', label: 'Gearbox length',
    parts: [{ key: 'value', label: '', unit: 'mm' }],
    kindNote: 'bell face to output seal or flange',
    howTo: 'Straight edge', neededBy: ['fit-propshaft-length', 'fit-gearbox-mount', 'fit-shift-linkage'],
  },
  {
    id: 'gbx-mount-place', subject: 'gearbox', group: 'Gearbox', label: 'Mount place',
    parts: [
      { key: 'bell-face-to-mount', label: 'Bell face to mount', unit: 'mm' }, { key: 'mount-z-below-output-axis', label: 'Mount z below output axis', unit: 'mm' }, { key: 'bolt-pattern', label: 'Bolt pattern', text: true },
    ],
    howTo: 'Measure', neededBy: ['fit-gearbox-mount', 'fit-driveline-angles', 'kit-gearbox-mount', 'kit-gearbox-crossmember'],
  },
  {
    id: 'gbx-envelope', subject: 'gearbox', group: 'Gearbox', label: 'Envelope',
    parts: [
      { key: 'widest-at-bell', label: 'Widest at bell', unit: 'mm' }, { key: 'highest-at-bell', label: 'Highest at bell', unit: 'mm' }, { key: 'widest-at-waist', label: 'Widest at waist', unit: 'mm' },
      { key: 'widest-at-tail', label: 'Widest at tail', unit: 'mm' }, { key: 'pan-depth', label: 'Pan depth', unit: 'mm' }, { key: 'pan-rear', label: 'Rear of the pan, behind the bell face', unit: 'mm' },
    ],
    howTo: 'Card templates', neededBy: ['fit-tunnel', 'fit-ground-clearance'],
  },
  {
    id: 'gbx-mass', subject: 'gearbox', group: 'Gearbox', label: 'Gearbox mass',
    parts: [{ key: 'value', label: '', unit: 'kg' }],
    kindNote: 'with converter and fluid',
    howTo: 'Scale', neededBy: ['fit-axle-load', 'fit-install-path'],
  },
  {
    id: 'gbx-cg', subject: 'gearbox', group: 'Gearbox', label: 'Centre of gravity of the gearbox',
    parts: [{ key: 'behind-bell-face', label: 'Behind the bell face', unit: 'mm' }, { key: 'above-axis', label: 'Above the input axis', unit: 'mm' }],
    howTo: 'Balanced on a bar across two stands; without it 40 % of the length is taken', neededBy: ['fit-axle-load', 'fit-install-path', 'fit-mount-pads'],
  },
  {
    id: 'gbx-bell-pattern', subject: 'gearbox', group: 'Gearbox', label: 'Gearbox bell pattern',
    parts: [{ key: 'value', label: '', text: true }],
    kindNote: 'pattern, dowels, bell removable or not',
    howTo: 'Card rubbing', neededBy: ['fit-bellhousing', 'kit-bell-adapter'],
  },
  {
    id: 'gbx-bell-depth', subject: 'gearbox', group: 'Gearbox', label: 'Bell depth',
    parts: [{ key: 'value', label: '', unit: 'mm' }],
    kindNote: 'bell face to front of case or to converter pads',
    howTo: 'Depth gauge over a straight edge', neededBy: ['fit-converter-seat', 'fit-clutch', 'fit-starter', 'fit-bellhousing'],
  },
  {
    id: 'gbx-input-shaft', subject: 'gearbox', group: 'Gearbox', label: 'Input shaft',
    parts: [
      { key: 'spline-count', label: 'Spline count', unit: '' }, { key: 'spline-outside-diameter', label: 'Spline outside diameter', unit: 'mm' }, { key: 'reach-ahead-of-bell-face', label: 'Reach ahead of bell face', unit: 'mm' },
      { key: 'tip-diameter', label: 'Tip diameter', unit: 'mm' }, { key: 'disc-spline-count', label: 'Disc spline count', unit: '' }, { key: 'disc-diameter', label: 'Disc diameter', unit: 'mm' },
    ],
    howTo: 'Callipers', neededBy: ['fit-clutch', 'fit-pilot'],
  },
  {
    id: 'gbx-release-kind', subject: 'gearbox', group: 'Gearbox', label: 'Release kind',
    parts: [{ key: 'value', label: '', options: ['cable-fork', 'rod-fork', 'external-slave', 'concentric-slave', 'not-a-clutch'] }],
    howTo: 'Look', neededBy: ['fit-clutch', 'kit-release', 'kit-clutch-master', 'kit-slave-lines'],
  },
  {
    id: 'gbx-clutch-set', subject: 'gearbox', group: 'Gearbox', label: 'Clutch and release bearing',
    parts: [
      { key: 'finger-height', label: 'Fingers above the friction face, disc clamped', unit: 'mm' }, { key: 'bearing-behind-bell-face', label: 'Bearing pushed home, inside the bell, back from its face', unit: 'mm' }, { key: 'bearing-travel', label: 'Travel of the bearing', unit: 'mm' },
      { key: 'release-travel', label: 'Travel that frees the disc', unit: 'mm' },
    ],
    howTo: 'Clutch bolted to its flywheel, straight edge and depth gauge; bearing pushed fully back on its tube', neededBy: ['fit-clutch'],
  },
  {
    id: 'gbx-converter-seat', subject: 'gearbox', group: 'Gearbox', label: 'Converter seat',
    parts: [
      { key: 'pads-behind-bell-face-when-home', label: 'Pads inside the bell when home, back from its face', unit: 'mm' }, { key: 'hub-diameter', label: 'Hub diameter', unit: 'mm' }, { key: 'bolt-circle', label: 'Bolt circle', unit: 'mm' },
      { key: 'stall', label: 'Stall', unit: 'rpm' },
    ],
    howTo: 'Straight edge and rule, converter pushed home and turned', neededBy: ['fit-converter-seat', 'fit-pilot', 'fit-gearing', 'kit-converter', 'f-engine-bound'],
  },
  {
    id: 'gbx-output', subject: 'gearbox', group: 'Gearbox', label: 'Gearbox output and shaft',
    parts: [
      { key: 'spline-count', label: 'Spline count', unit: '' }, { key: 'flange-or-yoke', label: 'Flange or yoke', text: true }, { key: 'seal-diameter', label: 'Seal diameter', unit: 'mm' },
      { key: 'shaft-length', label: 'Shaft length', unit: 'mm' }, { key: 'tube-outside-diameter', label: 'Tube outside diameter', unit: 'mm' }, { key: 'tube-wall', label: 'Tube wall', unit: 'mm' },
      { key: 'output-slope-tail-down', label: 'Output slope tail down', unit: 'deg' }, { key: 'slip-left', label: 'Slip left', unit: 'mm' },
      { key: 'slip-engaged', label: 'Splines engaged in the slip yoke', unit: 'mm' }, { key: 'output-y', label: 'Output left of the input axis', unit: 'mm' }, { key: 'output-below', label: 'Output below the input axis', unit: 'mm' },
    ],
    howTo: 'Callipers', neededBy: ['fit-propshaft-length', 'fit-halfshafts', 'fit-driveline-angles', 'kit-shaft-joints'],
  },
  {
    id: 'gbx-ratios', subject: 'gearbox', group: 'Gearbox', label: 'Ratios',
    parts: [
      { key: 'first', label: 'First', unit: '' }, { key: 'second', label: 'Second', unit: '' }, { key: 'third', label: 'Third', unit: '' },
      { key: 'fourth', label: 'Fourth', unit: '' }, { key: 'fifth', label: 'Fifth', unit: '' }, { key: 'sixth', label: 'Sixth', unit: '' },
      { key: 'top', label: 'Top', unit: '' }, { key: 'reverse', label: 'Reverse', unit: '' },
    ],
    howTo: 'Code table or count turns', neededBy: ['fit-gearing', 'fit-speedo', 'fit-torque-chain'],
  },
  {
    id: 'gbx-rating', subject: 'gearbox', group: 'Gearbox', label: 'Rating',
    parts: [
      { key: 'value', label: '', unit: 'N·m' }, { key: 'as-power', label: 'Given as power', unit: 'kW' },
    ],
    howTo: 'Supplier\'s figure; built or stock', neededBy: ['fit-torque-chain'],
  },
  {
    id: 'gbx-control', subject: 'gearbox', group: 'Gearbox', label: 'Who shifts the gearbox',
    parts: [{ key: 'value', label: '', options: ['none', 'hydraulic-governor', 'engine-unit', 'own-controller'] }],
    howTo: 'Plug count; wires or none', neededBy: ['fit-gearbox-control', 'kit-gearbox-controller'],
  },
  {
    id: 'gbx-throttle-link', subject: 'gearbox', group: 'Gearbox', label: 'Throttle link',
    parts: [{ key: 'value', label: '', options: ['none', 'throttle-valve-cable', 'kickdown-cable', 'kickdown-switch', 'vacuum-modulator', 'bus-torque-signal'] }],
    howTo: 'Look at the case. A throttle-valve cable sets line pressure: wrong means burnt clutches', neededBy: ['fit-gearbox-control', 'kit-tv-cable', 'f-tv-cable'],
  },
  {
    id: 'gbx-shift-link', subject: 'gearbox', group: 'Gearbox', label: 'Shift link',
    parts: [
      { key: 'value', label: '', options: ['top-lever', 'remote-rod', 'cable', 'by-wire'] }, { key: 'lever-x-from-bell-face', label: 'Lever x from bell face', unit: 'mm' },
    ],
    howTo: 'Measure', neededBy: ['fit-shift-linkage', 'kit-shifter'],
  },
  {
    id: 'gbx-cooler-ports', subject: 'gearbox', group: 'Gearbox', label: 'Cooler ports',
    parts: [
      { key: 'out', label: 'Out', text: true }, { key: 'return', label: 'Return', text: true }, { key: 'thread-and-seat', label: 'Thread and seat', text: true },
      { key: 'lock-up-heat', label: 'Lock-up heat', unit: 'kW' },
    ],
    howTo: 'Manual for which is which', neededBy: ['fit-gearbox-cooler', 'kit-gearbox-cooler'],
  },
  {
    id: 'gbx-fluid', subject: 'gearbox', group: 'Gearbox', label: 'Fluid',
    parts: [
      { key: 'value', label: '', text: true }, { key: 'capacity', label: 'Capacity', unit: 'L' }, { key: 'cooler-and-lines', label: 'Cooler and lines', unit: 'L' }, { key: 'level-method', label: 'Level method', text: true },
    ],
    kindNote: 'grade, capacity, fill and level method',
    howTo: 'Manual', neededBy: ['kit-gearbox-fluid', 'gate-fc-fluids', 'f-gearbox-fluid-low'],
  },
  {
    id: 'gbx-speed-signal', subject: 'gearbox', group: 'Gearbox', label: 'Speed signal',
    parts: [
      { key: 'value', label: '', options: ['none', 'cable-drive', 'pulse-sensor', 'both'] }, { key: 'pulses-a-turn', label: 'Pulses a turn', unit: '' },
    ],
    howTo: 'Look', neededBy: ['fit-speedo', 'kit-speed-sensor'],
  },
  {
    id: 'gbx-switches', subject: 'gearbox', group: 'Gearbox', label: 'Switches',
    parts: [
      { key: 'start-inhibitor', label: 'Start inhibitor', options: ['present', 'missing'] }, { key: 'reverse-lamp', label: 'Reverse lamp', options: ['present', 'missing'] }, { key: 'neutral', label: 'Neutral', options: ['present', 'missing'] },
      { key: 'contact', label: 'Contact', text: true },
    ],
    howTo: 'Ohmmeter in each position', neededBy: ['fit-starter', 'kit-start-inhibitor', 'f-start-circuit'],
  },
] as const satisfies readonly FactDef[];
