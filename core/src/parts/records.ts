import type { Act, Stamp } from '../rules/stamp.ts';
import type { LinkRecord } from './links.ts';

export const partConditions = ['good', 'worn', 'damaged', 'missing'] as const;
export type PartCondition = (typeof partConditions)[number];

/** What became of a part: in the shop, built in, or gone. */
export const partFates = ['here', 'fitted', 'sold', 'scrapped', 'sent-back', 'left-off'] as const;
export type PartFate = (typeof partFates)[number];
export const partFateWords: Readonly<Record<PartFate, string>> = {
  here: 'In the shop',
  fitted: 'Built in',
  sold: 'Sold',
  scrapped: 'Scrapped',
  'sent-back': 'Sent back',
  'left-off': 'Left on its car',
};
/** It is not to be had any more. */
export const isGone = (fate: PartFate | undefined): boolean =>
  fate === 'sold' || fate === 'scrapped' || fate === 'sent-back';

export const bagReuses = ['reuse', 'replace', 'while-missing'] as const;
export type BagReuse = (typeof bagReuses)[number];
export const bagReuseWords: Readonly<Record<BagReuse, string>> = {
  reuse: 'Used again',
  replace: 'Always replaced',
  'while-missing': 'Replaced while one is missing',
};

/** Where a part came from. */
export const partSources = ['donor', 'outgoing', 'supplier', 'breaker', 'customer', 'shelf'] as const;
export type PartSource = (typeof partSources)[number];
export const partSourceWords: Readonly<Record<PartSource, string>> = {
  donor: 'The donor',
  outgoing: 'The engine that leaves',
  supplier: 'A supplier',
  breaker: "A breaker's yard",
  customer: 'The customer',
  shelf: 'Our shelf',
};

/** A part that came off, with its bag or label. */
export interface PartRecord extends Stamp {
  takeId: string;
  title: string;
  condition: PartCondition;
  label: string;
  place: string;
  note?: string | undefined;
  /** Exact variant, and the number that stands on it. */
  variant?: string | undefined;
  number?: string | undefined;
  fate?: PartFate | undefined;
  /** The job that it is kept for. */
  forJob?: string | undefined;
  /** Who has it now, where it is gone. */
  goneTo?: string | undefined;
  cameFrom?: PartSource | undefined;
  /** Who it was had from. */
  cameOf?: string | undefined;
  /** Home-made, shortened, drilled: it is not sold as an original. */
  notOriginal?: string | undefined;
  photoId?: string | undefined;
  /** What it is worth, in the smallest unit of a currency. */
  value?: number | undefined;
}

/** Bolts in a bag: what, how many, where it lies, and whether they went back. */
export interface BagRecord extends Stamp {
  what: string;
  label: string;
  place?: string | undefined;
  count?: number | undefined;
  /** As it is written: M10 x 1.5. */
  thread?: string | undefined;
  lengthMm?: number | undefined;
  head?: string | undefined;
  reuse?: BagReuse | undefined;
  /** The step at which they came out, and the one at which they go back where that was said, by the keys of their records. */
  step?: string | undefined;
  goesAt?: string | undefined;
  back?: Act | undefined;
  /** How many were left over when it went back, and why. */
  leftOver?: number | undefined;
  leftWhy?: string | undefined;
}

export interface PartsRecords {
  part: PartRecord;
  bag: BagRecord;
  link: LinkRecord;
}
