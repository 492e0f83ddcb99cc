import type { ShopHistory, StationPast } from '../../clock/history.ts';
import type { Range } from '../../clock/types.ts';
import type { Act, Stamp } from '../../rules/stamp.ts';

/** What the shop counts with; amounts in the smallest unit of its currency. A figure that nobody set is nothing, never nought. */
export interface Terms {
  /** Charged for an hour of one person. */
  hourRate: number | undefined;
  /** What that hour costs the shop. */
  hourCost: number | undefined;
  /** What one unit of the price lists is worth here. */
  priceUnit: number | undefined;
  /** On parts and outside work, percent. */
  markup: number;
  /** Small things found on the way, percent of parts. */
  sundries: number;
  /** Percent. */
  tax: number;
  deposit: number;
  validDays: number;
  /** What stations took on closed jobs beside what was reckoned; nothing of a station where too few jobs say so. */
  history?: ShopHistory;
}

/** A shop that set nothing yet: percentages that are usual (common practice, no source), and no amount. */
export const noTerms: Terms = {
  hourRate: undefined,
  hourCost: undefined,
  priceUnit: undefined,
  markup: 10,
  sundries: 5,
  tax: 0,
  deposit: 30,
  validDays: 30,
};

export const whoDoes = ['shop', 'customer', 'outside', 'donor'] as const;
export type WhoDoes = (typeof whoDoes)[number];
export const quoteSections = ['work', 'parts', 'outside'] as const;
export type QuoteSection = (typeof quoteSections)[number];

/** What somebody decided of a line of the quote, or a line of their own. */
export interface QuoteLineRecord extends Stamp {
  /** Counted in, or left off with its reason. */
  take: 'in' | 'out';
  why?: string | undefined;
  who?: WhoDoes | undefined;
  /** Hours low, likely and high in place of the estimate. */
  hours?: readonly number[] | undefined;
  /** A fixed amount in place of the estimate: what it costs the shop. */
  price?: number | undefined;
  /** The customer may say no to this line alone. */
  optional?: boolean | undefined;
  /** Percent, where it is not the shop's usual one. */
  tax?: number | undefined;
  /** Of a line of the shop's own. */
  title?: string | undefined;
  section?: QuoteSection | undefined;
  /** Of what the customer or somebody outside does: the steps that wait for it, by the keys of their records, and by when it is due. */
  holds?: readonly string[] | undefined;
  due?: string | undefined;
  /** Done or brought; the steps are free. */
  done?: Act | undefined;
}

/** Where the figures of a line come from. */
export type QuoteBasis = 'estimate' | 'history' | 'typed' | 'paid';

/** A line of the quote as it stands: what it costs, and what is asked for it. */
export interface QuoteLine {
  id: string;
  section: QuoteSection;
  /** Station of work, system of parts. */
  group: string;
  title: string;
  state: 'counted' | 'open' | 'left-off' | 'offered';
  who: WhoDoes;
  basis: QuoteBasis;
  hours?: Range;
  /** Of hours by the shop's own history: by how much they are more or less than the estimate, and on how many jobs that rests. */
  past?: StationPast;
  causes: readonly string[];
  /** Of parts and outside work: what it costs the shop, smallest unit. */
  cost?: Range;
  /** What is asked for it, smallest unit; nothing where a figure of the shop is not set. */
  amount?: number;
  /** Percent. */
  tax: number;
  optional: boolean;
  own: boolean;
  needs: readonly string[];
  because: readonly string[];
  why?: string;
  leftOut?: string;
}
