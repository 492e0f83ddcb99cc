import type { Act, Stamp } from '../rules/stamp.ts';
import type { LinkRecord } from './links.ts';

export const partConditions = ['good', 'worn', 'damaged', 'missing'] as const;
export type PartCondition = (typeof partConditions)[number];

/** A part that came off, with its bag or label. */
export interface PartRecord extends Stamp {
  takeId: string;
  title: string;
  condition: PartCondition;
  label: string;
  place: string;
  note?: string | undefined;
}

/** Bolts in a bag: what, how many, where it lies, and whether they went back. */
export interface BagRecord extends Stamp {
  what: string;
  label: string;
  place?: string | undefined;
  back?: Act | undefined;
}

export interface PartsRecords {
  part: PartRecord;
  bag: BagRecord;
  link: LinkRecord;
}
