import { when } from '../../facts/index.ts';
import type { WaitDef } from '../types.ts';

/** What is waited for, without people: estimates (common practice, no source). `d` runs through nights and Sundays, `wd` counts working days of others. */
export const waits: readonly WaitDef[] = [
  { id: 'wait-cool', title: 'Engine cool enough to drain', range: [1, 2, 4], unit: 'h', when: when('always'), shorten: 'running it the evening before' },
  { id: 'wait-paint-hard', title: 'Paint: clamp loads, fuel, washing', range: [3, 7, 14], unit: 'd', when: when('cho-finish in {clean, show}'), shorten: 'bare faces under bolts' },
  { id: 'wait-heat-soak', title: 'Full cool-down before re-torque and second leak look', range: [3, 12, 14], unit: 'h', when: when('cho-goal != mock-up'), shorten: 'planned at day end' },
  { id: 'wait-machine', title: 'Machine shop: face, bore, hone, crank', range: [3, 10, 30], unit: 'wd', when: when('cho-engine-depth = stripped'), shorten: 'slot booked before stripping' },
  { id: 'wait-shaft', title: 'Shaft made and balanced', range: [2, 5, 15], unit: 'wd', when: when('rec-drive-layout in {front-longitudinal-rear-drive, front-longitudinal-all-drive}'), shorten: 'spec by form, length last' },
  { id: 'wait-converter', title: 'Converter made to order', range: [5, 15, 40], unit: 'wd', when: when('gbx-kind in {automatic-hydraulic, automatic-electronic}'), shorten: 'ordered with the gearbox' },
  { id: 'wait-adapter', title: 'Adapter plate or bracket machined', range: [5, 15, 45], unit: 'wd', when: when('eng-bell-pattern != gbx-bell-pattern'), shorten: 'pattern in wood or card first' },
  { id: 'wait-coat', title: 'Powder, ceramic, plating', range: [3, 7, 20], unit: 'wd', when: when('cho-mount-school = fabricated'), shorten: 'bundled; never before the trial fit' },
  { id: 'wait-hose', title: 'Hydraulic or refrigerant hose pressed', range: [0.5, 2, 5], unit: 'wd', when: when('cho-ps = kept-hydraulic'), shorten: 'fitting matrix before ordering' },
  { id: 'wait-parcel', title: 'Parcel in the country', range: [1, 3, 7], unit: 'wd', when: when('always'), shorten: 'ordered the day the gap is seen' },
  { id: 'wait-reprogram', title: 'ECU sent away and back', range: [4, 8, 20], unit: 'wd', when: when('cho-control in {donor-unit-trimmed-loom, donor-unit-new-loom}'), shorten: 'sent before mock-up' },
  { id: 'wait-key', title: 'Key and ECU matched by a visiting tool', range: [0.5, 2, 7], unit: 'wd', when: when('rec-immobiliser-kind known'), shorten: 'battery charged, all keys there' },
  { id: 'wait-ac', title: 'Licensed refrigerant visit', range: [1, 3, 10], unit: 'wd', when: when('cho-ac = kept'), shorten: 'both visits planned at scope' },
  { id: 'wait-roller', title: 'Roller or tuner slot', range: [2, 7, 21], unit: 'wd', when: when('cho-control in {standalone, carburettor-distributor}'), shorten: 'provisional slot' },
  { id: 'wait-inspect', title: 'Road approval', range: [3, 14, 60], unit: 'wd', when: when('cho-goal = road-going'), shorten: 'inspector asked at scope' },
  { id: 'wait-approve', title: 'Customer approval', range: [0.2, 1, 7], unit: 'wd', when: when('always'), shorten: 'one question, price, photo, latest date' },
];
