import type { GateName } from '../../jobs/gates.ts';

/** What came off as a way in, and goes back on: its step comes by itself. */
export interface ReturnDef {
  id: string;
  /** The step at which it came off. */
  after: string;
  title: string;
  /** When it goes back, in words, where it is better later. */
  when?: string;
  /** The gate at which it may no longer be off. */
  gate: GateName;
  /** The way in that it closes: not before the unit is in, where it goes in by that way. */
  closes?: string;
}

/** Common practice, no source. */
export const returnDefs: readonly ReturnDef[] = [
  { id: 'back-radiator', after: 'rm-radiator-out', title: 'Radiator, its rubber feet and shields back in', gate: 'First start', closes: 'st-way-front' },
  { id: 'back-fan', after: 'rm-fan-out', title: 'Fan back on, turning the right way, plug seated', gate: 'First start', closes: 'st-way-front' },
  { id: 'back-front', after: 'rm-front-off', title: 'Bumper and front panel back on', when: 'after the leak check, while all is in reach', gate: 'First drive', closes: 'st-way-front' },
  { id: 'back-front-cut', after: 'rm-front-cut', title: 'Cut front joined again as approved', gate: 'First drive', closes: 'st-way-front' },
  { id: 'back-panels', after: 'rm-mid-panels', title: 'Panels in the middle back on, every clip', gate: 'Hand over' },
  { id: 'back-braces', after: 'rm-exhaust-braces', title: 'Braces and shields below back on', gate: 'First drive' },
  { id: 'back-seats', after: 'rm-seats-move', title: 'Seats back on their bolts at torque, plugs seated before power', gate: 'First drive' },
  { id: 'back-bonnet', after: 'rm-bonnet-off', title: 'Hood back on by its marks, gaps, latch and catch tried', when: 'after the leak check', gate: 'First drive', closes: 'st-way-over' },
];
