import type { FluidSystemId } from '../fluids/systems.ts';
import type { Act, Stamp } from '../rules/stamp.ts';

/** What a donor cost and what it brought back. */
export const donorEntrySorts = ['bought', 'cost', 'sold', 'issued', 'core'] as const;
export type DonorEntrySort = (typeof donorEntrySorts)[number];

export const donorEntryWords: Record<DonorEntrySort, string> = {
  bought: 'Bought for',
  cost: 'Cost besides',
  sold: 'Sold',
  issued: 'Taken into a job',
  core: 'Paid for an old part handed back',
};

/** Who bought: each pays otherwise. */
export const buyerKinds = ['private', 'trade', 'breaker', 'export'] as const;
export type BuyerKind = (typeof buyerKinds)[number];
export const buyerWords: Readonly<Record<BuyerKind, string>> = {
  private: 'Somebody for their own car',
  trade: 'A workshop',
  breaker: 'A breaker',
  export: 'Sent abroad',
};

/** One amount on the account of a donor; which way it counts follows from what it is. */
export interface DonorEntryRecord extends Stamp {
  sort: DonorEntrySort;
  what: string;
  on: string;
  /** The part that was sold or taken into a job: it earns once. */
  partKey?: string | undefined;
  /** Several parts that were sold as one: a drivetrain after its test drive. */
  partKeys?: readonly string[] | undefined;
  buyer?: BuyerKind | undefined;
  /** Who has it now. With it the parts are sold by this entry itself. */
  soldTo?: string | undefined;
  /** What the buyer was told, or why a part may go that is wanted or rare: it stands on each part that is sold. */
  note?: string | undefined;
  amount?: number | undefined;
}

/** The parts that an entry of the account speaks of. */
export const partsOfEntry = ({ partKey, partKeys }: Pick<DonorEntryRecord, 'partKey' | 'partKeys'>): string[] => [
  ...(partKey === undefined ? [] : [partKey]),
  ...(partKeys ?? []),
];

/** What a donor costs while it stands, in the smallest unit of a currency. */
export interface DonorTermsRecord extends Stamp {
  aDay?: number | undefined;
  /** From which day on, ISO. */
  from: string;
}

export const purchaseOf = ['donor', 'engine', 'gearbox'] as const;
export const purchaseSources = ['used', 'new-crate', 'rebuilt', 'breaker', 'auction', 'customer'] as const;
export type PurchaseSource = (typeof purchaseSources)[number];
export const purchaseSourceWords: Readonly<Record<PurchaseSource, string>> = {
  used: 'Used, from a private seller',
  'new-crate': 'New, in its crate',
  rebuilt: 'Rebuilt, from who rebuilt it',
  breaker: 'From a breaker',
  auction: 'At auction',
  customer: 'Brought by the customer',
};
export const mileageFrom = ['odometer', 'paper', 'word'] as const;
export const mileageFromWords: Readonly<Record<(typeof mileageFrom)[number], string>> = {
  odometer: 'read on the odometer',
  paper: 'by its papers',
  word: "by the seller's word",
};
export const heardWords = {
  run: 'Seen and heard running',
  'not-run': 'Not seen running',
  'nobody-said': 'Nobody said',
} as const;
export const heardStates = Object.keys(heardWords) as (keyof typeof heardWords)[];

/** How a donor, an engine or a gearbox was bought: an engine that goes on takes it with it. */
export interface PurchaseRecord extends Stamp {
  of: (typeof purchaseOf)[number];
  seller: string;
  source: PurchaseSource;
  on: string;
  price?: number | undefined;
  /** What came with it: certificate, service book, invoice. */
  papers?: string | undefined;
  odometerKm?: number | undefined;
  /** As it was written: miles stay miles. */
  odometerTyped?: string | undefined;
  odometerFrom?: (typeof mileageFrom)[number] | undefined;
  heard: keyof typeof heardWords;
  damage?: string | undefined;
  warranty?: string | undefined;
  /** The last day on which it may go back, ISO. */
  returnBy?: string | undefined;
  /** It stays, or it went back: nothing is due any more. */
  settled?: Act<{ how: 'kept' | 'sent-back' }> | undefined;
}

/** Somebody asked for a part, until a day; nobody else gets it until then. */
export interface ReservationRecord extends Stamp {
  partKey: string;
  who: string;
  until: string;
  deposit?: number | undefined;
  ended?: Act<{ how: string }> | undefined;
}

/** It still holds on this day, ISO: its last day is theirs too. */
export const reservationHolds = ({ ended, until }: ReservationRecord, today: string): boolean =>
  ended === undefined && until >= today;

/** Something that this job wants from a donor and no line of its kit names. */
export interface DonorWantRecord extends Stamp {
  /** The line of the harvest that gives it. */
  takeId: string;
  what: string;
  ended?: Act<{ how: string }> | undefined;
}

/** A fluid that was caught: kept here, or handed to who may take it. */
export interface CaughtRecord extends Stamp {
  from: 'donor' | 'car';
  system: FluidSystemId;
  litres: number;
  fate: 'kept' | 'handed';
  /** Where it stands, or who has it. */
  where: string;
  on: string;
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
  'donor-terms': DonorTermsRecord;
  purchase: PurchaseRecord;
  reservation: ReservationRecord;
  'donor-want': DonorWantRecord;
  caught: CaughtRecord;
}
