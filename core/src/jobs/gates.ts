import type { StationId } from './stations.ts';

/** Gates in the order of the job. */
export const gateNames = [
  'Donor high voltage',
  'High voltage',
  'Engine closed up',
  'Engine in',
  'First crank',
  'First start',
  'First drive',
  'Hand over',
] as const;
export type GateName = (typeof gateNames)[number];

/** The gates that are behind a station when it is signed. */
export const gatesOfStation: Readonly<Record<StationId, readonly GateName[]>> = {
  scope: [],
  donor: ['Donor high voltage'],
  pull: ['High voltage'],
  prep: ['Engine closed up'],
  fit: ['Engine in'],
  connect: [],
  start: ['First crank', 'First start'],
  'hand-over': ['First drive', 'Hand over'],
};
