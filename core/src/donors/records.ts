import type { Stamp } from '../rules/stamp.ts';

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
  amount?: number | undefined;
}

export interface DonorsRecords {
  'donor-entry': DonorEntryRecord;
}
