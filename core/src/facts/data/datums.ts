import type { FactId } from '../catalogue.ts';

/**
 * From where and which way things are measured, written once: every sum of the fit reads its facts so. Axes are those of the car
 * for all of them: x forward, y to the car's left, z up.
 */

export type DatumId = 'body' | 'engine' | 'gearbox';

export interface Datum {
  id: DatumId;
  title: string;
  /** Where x, y and z are nought. */
  origin: string;
}

export const datums: Readonly<Record<DatumId, Datum>> = {
  body: {
    id: 'body',
    title: 'Body datum',
    origin: 'the foremost point of the firewall, the centre line of the car, the top of the frame rail',
  },
  engine: { id: 'engine', title: 'Engine datum', origin: 'the crank axis where it meets the bell face of the engine' },
  gearbox: { id: 'gearbox', title: 'Gearbox datum', origin: 'the input axis where it meets the bell face of the gearbox' },
};

export const axisWords = 'x forward, y to the left of the car, z up';

/** The datum of each fact that is a place or a reach, and which way its numbers count where no axis stands in their name. */
export const datumOf: Readonly<Partial<Record<FactId, { datum: DatumId; counts?: string }>>> = {
  'cho-engine-place': { datum: 'body', counts: 'to the left and up are positive; a crank axis below the rail top is negative' },
  'cho-place-range': { datum: 'body', counts: 'to the left and up are positive; a crank axis below the rail top is negative' },
  'rec-bay-length': { datum: 'body', counts: 'forward from the firewall' },
  'rec-bay-width': { datum: 'body' },
  'rec-hood-profile': { datum: 'body', counts: 'up from the rail top to the bracing' },
  'rec-crossmember-place': { datum: 'body', counts: 'up from the rail top; below it is negative' },
  'rec-sway-bar-place': { datum: 'body', counts: 'up from the rail top; below it is negative' },
  'rec-steering-envelope': { datum: 'body', counts: 'up from the rail top; below it is negative' },
  'rec-mount-pads': { datum: 'body', counts: 'the right side has a negative y' },
  'rec-tunnel-envelope': { datum: 'body', counts: 'behind the firewall x is negative' },
  'rec-gearbox-crossmember': { datum: 'body', counts: 'behind the firewall x is negative' },
  'rec-fill-point-z': { datum: 'body', counts: 'up from the rail top' },
  'rec-pinion-place': { datum: 'body', counts: 'behind the firewall x is negative' },
  'eng-length': { datum: 'engine', counts: 'forward from the bell face' },
  'eng-width': { datum: 'engine', counts: 'out from the crank axis on either side, positive on both' },
  'eng-height-up': { datum: 'engine', counts: 'up from the crank axis' },
  'eng-sump-depth': { datum: 'engine', counts: 'down from the crank axis, positive' },
  'eng-sump-bowl-place': { datum: 'engine', counts: 'forward from the bell face' },
  'eng-mount-bosses': { datum: 'engine', counts: 'the right side has a negative y; below the crank axis z is negative' },
  'eng-belt-tensioner': { datum: 'engine', counts: 'the right side has a negative y; below the crank axis z is negative' },
  'eng-filter-dipstick': { datum: 'engine', counts: 'the right side has a negative y; below the crank axis z is negative' },
  'eng-fan-reach': { datum: 'engine', counts: 'forward from the bell face' },
  'eng-coolant-high-point': { datum: 'engine', counts: 'up from the crank axis' },
  'eng-cg': { datum: 'engine' },
  'eng-turbo-drain': { datum: 'engine', counts: 'up from the crank axis' },
  'eng-crank-flange': {
    datum: 'engine',
    counts: 'set back into the engine from the bell face is positive; a flange that stands out towards the gearbox is negative',
  },
  'eng-flywheel': {
    datum: 'engine',
    counts: 'pads that stand out of the bell face of the engine, towards the gearbox, are positive',
  },
  'gbx-length': { datum: 'gearbox', counts: 'back from the bell face, positive' },
  'gbx-mount-place': { datum: 'gearbox', counts: 'back from the bell face and down from the output axis, positive' },
  'gbx-shift-link': { datum: 'gearbox', counts: 'back from the bell face, positive' },
  'gbx-input-shaft': { datum: 'gearbox', counts: 'forward from the bell face, positive' },
  'gbx-clutch-set': { datum: 'gearbox', counts: 'the bearing inside the bell, back from its face, positive' },
  'gbx-output': { datum: 'gearbox', counts: 'left of and below the input axis, positive' },
  'rec-cross-pads': { datum: 'body', counts: 'the right side has a negative y; below the rail top z is negative' },
  'eng-cross-bosses': { datum: 'engine', counts: 'x to the pulley end; behind the bell face and below the crank axis negative' },
  'cho-masses-moved': { datum: 'body', counts: 'behind the firewall x is negative; what goes out has a negative mass' },
  'cho-carrier': { datum: 'body', counts: 'behind the firewall x is negative' },
  'rec-hub-places': { datum: 'body', counts: 'the right side has a negative y; up from the rail top, below it negative' },
  'cho-side-outputs': { datum: 'body', counts: 'the right side has a negative y; up from the rail top, below it negative' },
  'rec-wheelbase': { datum: 'body', counts: 'ahead of the firewall x is positive' },
  'gbx-converter-seat': { datum: 'gearbox', counts: 'pads inside the bell, back from its face, positive' },
};
