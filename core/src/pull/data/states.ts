import { when } from '../../facts/index.ts';
import type { Loss, WorkState } from '../types.ts';

const by = (...steps: readonly string[]): Loss[] => steps.map((step) => ({ step }));

/** States that a later step may need, and whether the car comes with them. */
export const workStates: readonly WorkState[] = [
  {
    id: 'st-engine-runs', title: 'engine can be run', atStart: true, lostBy: by('rm-fuel-run-dry', 'rm-battery-off', 'rm-coolant-drain', 'rm-intake-off', 'rm-exhaust-front', 'rm-exhaust-cut', 'rm-fuel-open'),
    givenBy: [], proof: 'start log line',
  },
  { id: 'st-cranks', title: 'starter turns it', atStart: true, lostBy: by('rm-battery-off', 'rm-starter-off'), givenBy: [], proof: 'crank seen' },
  { id: 'st-battery-live', title: 'body has power', atStart: true, lostBy: by('rm-battery-off'), givenBy: [], givenWords: 'battery back on, by name', proof: 'lamp lit' },
  {
    id: 'st-power-off', title: 'battery off, its end covered', atStart: false, harm: true, lostBy: [], lostWords: 'battery back on', givenBy: ['rm-battery-off'],
    givenWords: 'a car that has no battery, seen by name', proof: 'end tied away',
  },
  { id: 'st-key', title: 'key and its chip at hand', atStart: true, lostBy: [], lostWords: 'storage away from the car', givenBy: [], givenWords: 'key place on the car card', proof: 'key tag' },
  {
    id: 'st-hv-dead', title: 'high voltage proved dead', atStart: when('rec-hv-system = no'), harm: true, lostBy: [], lostWords: 'service plug refitted', givenBy: ['rm-hv-prove-dead'], proof: 'numbers',
  },
  {
    id: 'st-airbags-safe', title: 'airbags and belt tensioners safe: battery off and the manual\'s wait over', atStart: when('rec-airbags = no'), harm: true, lostBy: [], lostWords: 'battery back on', givenBy: ['rm-airbag-wait'],
    proof: 'minutes by the clock',
  },
  {
    id: 'st-engine-cold', title: 'engine and exhaust cold', atStart: when('eng-condition in {stood, new}'), harm: true, lostBy: by('rm-baseline-run', 'rm-baseline-drive', 'rm-fuel-run-dry'), givenBy: ['rm-cool-down'],
    givenWords: 'a night in the shop', proof: 'hand rests on the top hose',
  },
  {
    id: 'st-no-pressure', title: 'fuel joint holds no pressure', atStart: false, harm: true, lostBy: [], lostWords: 'key on, pump run', givenBy: ['rm-fuel-run-dry', 'rm-fuel-valve-bleed', 'rm-fuel-stand-cold', 'rm-fuel-hp-wait'],
    proof: 'gauge or rag',
  },
  {
    id: 'st-hot-work-ok', title: 'no open fuel, no vapour', atStart: true, harm: true, lostBy: by('rm-fuel-open'), givenBy: ['rm-cap-ports'], givenWords: 'ports capped and an aired bay, tank shut or out',
    proof: 'written by the person',
  },
  { id: 'st-held', title: 'car cannot roll, without park lock or gear', atStart: false, harm: true, lostBy: [], lostWords: 'chocks taken away', givenBy: ['rm-chock'], proof: 'name, photo' },
  {
    id: 'st-neutral', title: 'shaft can be turned by hand', atStart: true,
    lostBy: [{ step: 'rm-battery-off', when: when('gbx-shift-link = by-wire and gbx-kind not in {manual, transaxle-manual}'), unless: 'rm-latches' }], lostWords: 'shift by wire: battery off', givenBy: ['rm-latches'],
    givenWords: 'latches set before power goes', proof: 'shaft turns',
  },
  {
    id: 'st-brakes', title: 'pedal works as it should', atStart: true, harm: true, lostBy: by('rm-booster-hose', 'rm-subframe-loose'), givenBy: [],
    givenWords: 'bled, leak-tested, second person', proof: 'pedal held',
  },
  { id: 'st-steering-shut', title: 'steering circuit unopened', atStart: true, lostBy: by('rm-ps-open'), givenBy: [], givenWords: 'filled and bled', proof: 'no open end' },
  { id: 'st-ac-shut', title: 'refrigerant circuit unopened', atStart: true, lostBy: by('rm-ac-off'), givenBy: [], givenWords: 'licensed charge', proof: 'gauge' },
  {
    id: 'st-ac-recovered', title: 'refrigerant recovered, read on a gauge', atStart: when('rec-ac-state = none'), harm: true, lostBy: [], lostWords: 'charged again', givenBy: ['rm-ac-recover'],
    givenWords: 'recovered before it came here, with the licensed person\'s paper', proof: 'gauge reading, mass recovered',
  },
  { id: 'st-clutch-shut', title: 'clutch circuit unopened', atStart: true, lostBy: by('rm-clutch-line'), givenBy: [], givenWords: 'bled', proof: 'pedal' },
  { id: 'st-mounts-carry', title: 'engine stands on its mounts', atStart: true, lostBy: by('rm-mounts-free'), givenBy: [], proof: 'gap seen' },
  {
    id: 'st-load-carried', title: 'slings tight with the load on the hook, or cradle takes it', atStart: false, harm: true, lostBy: by('rm-set-down'), givenBy: ['rm-hoist-on', 'rm-cradle-under'],
    proof: 'hook scale, gap under a mount',
  },
  { id: 'st-gearbox-held', title: 'gearbox on its own stand', atStart: false, harm: true, lostBy: [], lostWords: 'stand removed', givenBy: ['rm-gearbox-held'], proof: 'photo' },
  { id: 'st-wheels-down', title: 'weight on the wheels', atStart: true, lostBy: by('rm-raise'), givenBy: [], givenWords: 'car let down again', proof: 'wheels on the floor' },
  {
    id: 'st-rolls', title: 'shell steers and rolls', atStart: true, lostBy: by('rm-subframe-loose', 'rm-driveshafts-off'), givenBy: ['rm-shell-rolls'],
    proof: 'pushed 1 m',
  },
];
