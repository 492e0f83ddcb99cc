import type { Stamp } from '../rules/stamp.ts';

/** A job that differs from the shop's school says why. */
export interface SchoolRecord extends Stamp {
  side: string;
  reason: string;
}

export interface SchoolRecords {
  school: SchoolRecord;
}
