import type { Stamp } from '../rules/stamp.ts';
import type { FluidSystemId, FluidWay } from './systems.ts';

/** A fluid that came out of the car or went in, or that it does without. */
export interface FluidRecord extends Stamp {
  way: FluidWay;
  /** None where the car does not need it. */
  litres?: number | undefined;
  what: string;
  /** What it is in, where that was understood. */
  system?: FluidSystemId | undefined;
  note?: string | undefined;
}

export interface FluidRecords {
  fluid: FluidRecord;
}
