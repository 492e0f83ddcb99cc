import type { Act, Stamp } from '../rules/stamp.ts';

/** What a donor cost and what it brought back. */
export const donorEntrySorts = ['bought', 'cost', 'sold', 'issued'] as const;
export type DonorEntrySort = (typeof donorEntrySorts)[number];

export const donorEntryWords: Record<DonorEntrySort, string> = {
  bought: 'Bought for',
  cost: 'Cost besides',
  sold: 'Sold',
  issued: 'Taken into a job',
};

/** One amount on the account of a donor; which way it counts follows from what it is. */
export interface DonorEntryRecord extends Stamp {
  sort: DonorEntrySort;
  what: string;
  on: string;
  /** The part that was sold or taken into a job: it earns once. */
  partKey?: string | undefined;
  amount?: number | undefined;
}

/** What became of the shell of a donor. */
export interface ShellRecord extends Stamp {
  fate: 'sold' | 'scrapped';
  goneTo: string;
  on: string;
}

/** What a seller says of a donor: nothing rests on it before somebody looked. */
export interface ClaimRecord extends Stamp {
  /** One thing alone: "belt and pump done" is two. */
  what: string;
  saidBy: string;
  /** Engine, gearbox, or the whole car. */
  on: ClaimOn;
  looked?: Act<{ holds: boolean; how: string }> | undefined;
}
export const claimsOn = ['engine', 'gearbox', 'car'] as const;
export type ClaimOn = (typeof claimsOn)[number];

export const shiftWords = ['well', 'badly', 'not-tried'] as const;
export const jointWords = ['dry', 'weeps', 'leaks', 'not-looked'] as const;

/** The run and drive of a donor before it is taken apart: it hangs on the engine and goes with it. */
export interface ProofRunRecord extends Stamp {
  on: string;
  minutes?: number | undefined;
  km?: number | undefined;
  odometerKm?: number | undefined;
  coolantC?: number | undefined;
  oilColdBar?: number | undefined;
  oilHotBar?: number | undefined;
  codes?: string | undefined;
  shifts: (typeof shiftWords)[number];
  joints: (typeof jointWords)[number];
  /** Smoke, noises, compression, whatever else was seen or heard. */
  seen?: string | undefined;
  /** Where a film of it lies. */
  film?: string | undefined;
  /** The buyer's name, or the partner's. */
  signed?: Act<{ name: string; strokes: readonly (readonly (readonly [number, number])[])[] }> | undefined;
}

export interface DonorsRecords {
  'proof-run': ProofRunRecord;
  shell: ShellRecord;
  claim: ClaimRecord;
  'donor-entry': DonorEntryRecord;
}
