import type { GateName } from '../jobs/gates.ts';
import type { Act, Stamp } from '../rules/stamp.ts';

export const askSorts = ['question', 'approval', 'signature', 'reading'] as const;
export const pinSorts = ['bag', 'part', 'finding', 'measurement', 'note'] as const;

export interface HoldRecord extends Stamp {
  waitsFor: string;
  due?: string | undefined;
  /** The step that waits for it, by the key of its record; or another thing that it belongs to. */
  about?: string | undefined;
  /** The first gate at which it may not be open any more, where it is not the usual one. */
  forbiddenAt?: GateName | undefined;
  released?: Act | undefined;
}

export interface DecisionRecord extends Stamp {
  chosen: string;
  over: readonly string[];
  because: string;
}

/** Offered up and failed: kept with what it was tried on, so that nobody tries it again unknowing. */
/** How a part fitted that somebody held to a car. */
export const triedFits = ['fits', 'altered', 'does-not-fit'] as const;
export type TriedFit = (typeof triedFits)[number];

/** A part that was tried on a car, kept for the whole shop: that it is of the same family proves nothing. */
export interface TriedRecord extends Stamp {
  part: string;
  /** Number, year, casting: what tells it from its sisters. */
  variant?: string | undefined;
  how: string;
  fits?: TriedFit | undefined;
  gapMm?: number | undefined;
  /** What else on that car was not standard. */
  alsoNotStandard?: string | undefined;
  interfaceId?: string | undefined;
  /** The line of the kit it was bought for. */
  kitLine?: string | undefined;
  back: boolean;
  moneyBack?: boolean | undefined;
}

export interface PhotoRecord extends Stamp {
  caption: string;
  about?: string | undefined;
  width: number;
  height: number;
}

/** A numbered place on a photo, in shares of its width and height; with a second point it is an arrow. */
export interface PinRecord extends Stamp {
  photoId: string;
  number: number;
  x: number;
  y: number;
  toX?: number | undefined;
  toY?: number | undefined;
  sort: (typeof pinSorts)[number];
  text: string;
  removed?: boolean | undefined;
}

/** Something one person wants of another: an answer, an approval, a signature, a reading. */
export interface AskRecord extends Stamp {
  ask: (typeof askSorts)[number];
  /** The manager whoever that is, the customer, or a person by id. */
  to: string;
  /** The name of that person today. */
  toName?: string | undefined;
  what: string;
  about?: string | undefined;
  /** In the smallest unit of the shop's currency, before tax. */
  amount?: number | undefined;
  /** Percent on the amount. */
  tax?: number | undefined;
  /** Why it is wanted, and what happens without it. */
  why?: string | undefined;
  otherwise?: string | undefined;
  /** A photo of the job that shows it. */
  photoId?: string | undefined;
  /** Steps that are held until somebody says yes, by the keys of their records. */
  holds?: readonly string[] | undefined;
  answer?: Act<{ yes?: boolean | undefined; text: string }> | undefined;
}

export interface LogbookRecords {
  hold: HoldRecord;
  decision: DecisionRecord;
  tried: TriedRecord;
  photo: PhotoRecord;
  pin: PinRecord;
  ask: AskRecord;
}
