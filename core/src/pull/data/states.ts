import type { WorkState } from '../types.ts';

/** States that a later step may need; atStart tells whether the car arrives with it. */
export const workStates: readonly WorkState[] = [
  {
    id: 'st-engine-runs', title: 'engine can be run', atStart: true, lostBy: ['rm-fuel-run-dry', 'rm-battery-off', 'rm-coolant-drain', 'rm-intake-off', 'rm-exhaust-front', 'rm-fuel-open'],
    givenBy: [], proof: 'start log line',
  },
  { id: 'st-cranks', title: 'starter turns it', atStart: true, lostBy: ['rm-battery-off', 'rm-starter-off'], givenBy: [], proof: 'crank seen' },
  { id: 'st-battery-live', title: 'body has power', atStart: true, lostBy: ['rm-battery-off'], givenBy: [], givenWords: 'battery back on, by name', proof: 'lamp lit' },
  { id: 'st-key', title: 'key and its chip at hand', atStart: true, lostBy: [], lostWords: 'storage away from the car', givenBy: [], givenWords: 'key place on the car card', proof: 'key tag' },
  { id: 'st-hv-dead', title: 'proved dead', atStart: false, lostBy: [], lostWords: 'service plug refitted', givenBy: ['rm-hv-prove-dead'], proof: 'numbers' },
  {
    id: 'st-no-pressure', title: 'fuel joint holds no pressure', atStart: false, lostBy: [], lostWords: 'key on, pump run', givenBy: ['rm-fuel-run-dry', 'rm-fuel-valve-bleed', 'rm-fuel-stand-cold', 'rm-fuel-hp-wait'],
    proof: 'gauge or rag',
  },
  {
    id: 'st-hot-work-ok', title: 'no open fuel, no vapour', atStart: true, lostBy: ['rm-fuel-open'], givenBy: ['rm-cap-ports'], givenWords: 'ports capped and an aired bay, tank shut or out',
    proof: 'written by the person',
  },
  { id: 'st-held', title: 'car cannot roll, without park lock or gear', atStart: false, lostBy: [], lostWords: 'chocks taken away', givenBy: ['rm-chock'], proof: 'name, photo' },
  {
    id: 'st-neutral', title: 'shaft can be turned by hand', atStart: false, lostBy: ['rm-battery-off'], lostWords: 'shift by wire: battery off', givenBy: ['rm-latches'],
    givenWords: 'latches set before power goes', proof: 'shaft turns',
  },
  {
    id: 'st-brakes', title: 'pedal works as it should', atStart: true, lostBy: ['rm-booster-hose', 'rm-subframe-loose'], givenBy: [],
    givenWords: 'bled, leak-tested, second person', proof: 'pedal held',
  },
  { id: 'st-steering-shut', title: 'steering circuit unopened', atStart: true, lostBy: ['rm-ps-open'], givenBy: [], givenWords: 'filled and bled', proof: 'no open end' },
  { id: 'st-ac-shut', title: 'refrigerant circuit unopened', atStart: true, lostBy: ['rm-ac-recover'], givenBy: [], givenWords: 'licensed charge', proof: 'gauge' },
  { id: 'st-clutch-shut', title: 'clutch circuit unopened', atStart: true, lostBy: ['rm-clutch-line'], givenBy: [], givenWords: 'bled', proof: 'pedal' },
  { id: 'st-mounts-carry', title: 'engine stands on its mounts', atStart: true, lostBy: ['rm-mounts-free'], givenBy: [], proof: 'gap seen' },
  {
    id: 'st-load-carried', title: 'slings tight with the load on the hook, or cradle takes it', atStart: false, lostBy: ['rm-set-down'], givenBy: ['rm-hoist-on', 'rm-cradle-under'],
    proof: 'hook scale, gap under a mount',
  },
  { id: 'st-gearbox-held', title: 'gearbox on its own stand', atStart: false, lostBy: [], lostWords: 'stand removed', givenBy: ['rm-gearbox-held'], proof: 'photo' },
  {
    id: 'st-rolls', title: 'shell steers and rolls', atStart: true, lostBy: ['rm-subframe-loose', 'rm-driveshafts-off'], givenBy: ['rm-shell-rolls'],
    proof: 'pushed 1 m',
  },
];
