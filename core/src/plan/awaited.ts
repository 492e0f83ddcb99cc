import { lineTitle } from '../clock/estimate.ts';
import type { KitRecord } from '../kit/records.ts';
import type { QuoteLineRecord, WhoDoes } from '../money/quote/types.ts';
import { titleOf } from './title.ts';

/** Who a line waits for, as it is said. */
export const awaitedFrom: Readonly<Record<Exclude<WhoDoes, 'shop'>, string>> = {
  customer: 'the customer',
  outside: 'somebody outside',
  donor: 'the donor',
};

/** What the customer, somebody outside or the donor does or brings, and has not yet. */
export interface Awaited {
  key: string;
  title: string;
  who: Exclude<WhoDoes, 'shop'>;
  due?: string;
  /** Keys of the steps that wait for it. */
  holds: readonly string[];
}

const came: readonly (KitRecord['status'] | undefined)[] = ['here', 'fitted', 'not-needed'];

/** Lines of the quote that are in it, not the shop's own work, and not done; a part counts as brought once it is here. */
export function awaitedOf(
  decisions: Readonly<Record<string, QuoteLineRecord | undefined>>,
  kit: Readonly<Record<string, KitRecord | undefined>>,
): Awaited[] {
  return Object.entries(decisions).flatMap(([key, line]): Awaited[] => {
    if (!line || line.take === 'out' || line.done || came.includes(kit[key]?.status)) return [];
    if (line.who === undefined || line.who === 'shop') return [];
    return [
      {
        key,
        title: line.title ?? lineTitle(key) ?? titleOf(key),
        who: line.who,
        ...(line.due ? { due: line.due } : {}),
        holds: line.holds ?? [],
      },
    ];
  });
}
