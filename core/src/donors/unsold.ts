import type { PartRecord } from '../parts/records.ts';
import { partsOfEntry } from './records.ts';
import type { BuyerKind, DonorEntryRecord } from './records.ts';

/** Parts of a donor that are still here: how long, at what value, and what is to be decided about them. */

/** Days after which an unsold part is decided about anew, and what share of its value is still counted on then. Common practice for the days; the shares are an estimate of the program's own. */
const ages = [
  { days: 365, decide: 'scrap', share: 0.25, words: 'a year here: sell by weight, or scrap' },
  { days: 180, decide: 'bundle', share: 0.5, words: 'half a year here: bundle it with something that sells' },
  { days: 90, decide: 'lower', share: 0.75, words: 'three months here: lower the price' },
  { days: 30, decide: 'hold', share: 1, words: 'a month here: look whether it is offered well' },
] as const;
const young = { decide: 'none', share: 1, words: '' } as const;

export type AgeDecision = (typeof ages)[number]['decide'] | 'none';

export interface Unsold {
  key: string;
  title: string;
  label: string;
  days: number;
  /** What somebody wrote it is worth; nobody knows where that is left out. */
  value: number | undefined;
  /** What is still counted on for its age. */
  advised: number | undefined;
  decide: AgeDecision;
  words: string;
  notOriginal: string | undefined;
}

const day = 86_400_000;

/** Parts that are in the shop, kept for nobody, by age: the oldest first. `today` is an ISO date. */
export function unsoldOf(parts: Readonly<Record<string, PartRecord>>, today: string): Unsold[] {
  return Object.entries(parts)
    .filter(([, p]) => (p.fate ?? 'here') === 'here' && p.forJob === undefined && p.condition !== 'missing')
    .map(([key, p]): Unsold => {
      const days =
        p.at === undefined ? 0 : Math.max(0, Math.floor((Date.parse(`${today}T23:59:59Z`) - Date.parse(p.at)) / day));
      const { decide, share, words } = ages.find((a) => days >= a.days) ?? young;
      return {
        key,
        title: p.title,
        label: p.label,
        days,
        value: p.value,
        advised: p.value === undefined ? undefined : Math.round(p.value * share),
        decide,
        words,
        notOriginal: p.notOriginal,
      };
    })
    .sort((a, b) => b.days - a.days || (a.title < b.title ? -1 : 1));
}

export interface ReturnRange {
  /** What came back so far and nothing more. */
  least: number;
  /** With what is unsold at what is still counted on for its age. */
  likely: number;
  /** With all of it at its value. */
  most: number;
  /** Parts of which nobody wrote a value: they count as nothing. */
  unvalued: number;
}

/** Where an account may end: from nothing more that is sold to all of it at its value. */
export const returnRange = (stands: number, unsold: readonly Unsold[]): ReturnRange => ({
  least: stands,
  likely: stands + unsold.reduce((sum, u) => sum + (u.advised ?? 0), 0),
  most: stands + unsold.reduce((sum, u) => sum + (u.value ?? 0), 0),
  unvalued: unsold.filter((u) => u.value === undefined).length,
});

export interface BuyerPast {
  buyer: BuyerKind;
  sales: number;
  sum: number;
  /** Of sales of which value and price are known: what was paid of what the parts were worth. */
  ofValue: number | undefined;
}

/** What each kind of buyer paid, beside what the parts were worth; the kind that bought most first. */
export function salesByBuyer(
  entries: readonly DonorEntryRecord[],
  parts: Readonly<Record<string, PartRecord>>,
): BuyerPast[] {
  const byKey = new Map(Object.entries(parts));
  const past = new Map<BuyerKind, { sales: number; sum: number; paid: number; worth: number }>();
  for (const entry of entries) {
    const { sort, buyer, amount } = entry;
    if (sort !== 'sold' || buyer === undefined || amount === undefined) continue;
    const values = partsOfEntry(entry).map((k) => byKey.get(k)?.value);
    const worth = values.length > 0 && values.every((v) => v !== undefined) ? values.reduce((a, b) => a + b, 0) : 0;
    const now = past.get(buyer) ?? { sales: 0, sum: 0, paid: 0, worth: 0 };
    past.set(buyer, {
      sales: now.sales + 1,
      sum: now.sum + amount,
      paid: now.paid + (worth > 0 ? amount : 0),
      worth: now.worth + worth,
    });
  }
  return [...past]
    .map(([buyer, { sales, sum, paid, worth }]) => ({
      buyer,
      sales,
      sum,
      ofValue: worth > 0 ? paid / worth : undefined,
    }))
    .sort((a, b) => b.sum - a.sum || (a.buyer < b.buyer ? -1 : 1));
}
