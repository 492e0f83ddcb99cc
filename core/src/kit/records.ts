import type { Stamp } from '../rules/stamp.ts';

export const kitStatuses = ['wanted', 'ordered', 'here', 'fitted', 'sent-back', 'not-needed'] as const;
export type KitStatus = (typeof kitStatuses)[number];

export interface KitRecord extends Stamp {
  status: KitStatus;
  options?: string | undefined;
  note?: string | undefined;
  /** Why it was ordered although something about it was open. */
  despite?: string | undefined;
  /** Whom it comes from. */
  supplierId?: string | undefined;
  /** Paid, in the smallest unit of the shop's currency. */
  price?: number | undefined;
}

export interface KitRecords {
  kit: KitRecord;
}
