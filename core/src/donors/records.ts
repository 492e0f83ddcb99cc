import type { Stamp } from '../rules/stamp.ts';

export const partConditions = ['good', 'worn', 'damaged', 'missing'] as const;
export type PartCondition = (typeof partConditions)[number];

/** A harvested part with its bag or label. */
export interface PartRecord extends Stamp {
  takeId: string;
  title: string;
  condition: PartCondition;
  label: string;
  place: string;
  note?: string | undefined;
}

export interface DonorRecords {
  part: PartRecord;
}
