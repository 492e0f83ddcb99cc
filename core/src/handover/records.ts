import type { Act, Stamp } from '../rules/stamp.ts';

export interface FollowUpRecord extends Stamp {
  what: string;
  on?: string | undefined;
  atKm?: number | undefined;
  /** What brings it where no day and no distance does: "next time the engine is out". */
  occasion?: string | undefined;
  done?: Act<{ note?: string | undefined }> | undefined;
}

export const runSorts = ['rollers', 'timed'] as const;
export const runTimes = ['before', 'after'] as const;
export const runPlaces = ['crank', 'wheels'] as const;
export const runFuels = ['spark', 'diesel'] as const;

/** One run of the car: on rollers, or a length of road by the clock. */
export interface RunRecord extends Stamp {
  when: (typeof runTimes)[number];
  sort: (typeof runSorts)[number];
  /** ISO date. */
  on: string;
  /** On rollers: where the power is taken, what the engine burns, and what was read. */
  taken?: (typeof runPlaces)[number] | undefined;
  burns?: (typeof runFuels)[number] | undefined;
  powerKw?: number | undefined;
  torqueNm?: number | undefined;
  /** The air, for the correction. */
  airC?: number | undefined;
  barometerHpa?: number | undefined;
  /** Percent. */
  humidity?: number | undefined;
  /** By the clock. */
  distanceM?: number | undefined;
  seconds?: number | undefined;
  endKmh?: number | undefined;
  /** Tyres, fuel, gear, who sat in it: what must be the same the next time. */
  note: string;
  removed?: boolean | undefined;
}

export interface HandoverRecords {
  'follow-up': FollowUpRecord;
  run: RunRecord;
}
