import { lineTitle } from '../clock/estimate.ts';
import type { KitRecord } from '../kit/records.ts';
import type { QuoteLineRecord } from '../money/quote/types.ts';
import { titleOf } from './title.ts';

/** What the customer or somebody outside does or brings, and has not yet. */
export interface Awaited {
  key: string;
  title: string;
  who: 'customer' | 'outside';
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
    if (line.who !== 'customer' && line.who !== 'outside') return [];
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
