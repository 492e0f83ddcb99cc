import type { DonorEntryRecord, DonorEntrySort, DonorTermsRecord, PurchaseRecord } from './records.ts';

/** The account of a donor: every amount in its order, and where that leaves it. Amounts are in the smallest unit of a currency. */

const spends: ReadonlySet<DonorEntrySort> = new Set(['bought', 'cost']);

export interface AccountStep {
  on: string;
  what: string;
  sort: DonorEntrySort;
  /** With its sign: what was spent is below nothing. */
  amount: number;
  /** Where the account stands after it. */
  stands: number;
}

export interface DonorAccount {
  steps: readonly AccountStep[];
  /** Entries of which nobody wrote the amount, or that this person may not see. */
  unknown: number;
  spent: number;
  back: number;
  /** The first day on which it has earned back what was spent until then, if that stood. */
  evenOn: string | undefined;
}

export interface AccountOf {
  entries: readonly DonorEntryRecord[];
  purchase?: PurchaseRecord | undefined;
  terms?: DonorTermsRecord | undefined;
  /** When the shell went, ISO: it takes no room any more. */
  shellGone?: string | undefined;
  /** Hours that people clocked on it, by day, and what an hour costs the shop; nothing where nobody set that. */
  work?: { hours: readonly { on: string; hours: number }[]; hourCost: number | undefined } | undefined;
  today: string;
}

type Entry = Pick<DonorEntryRecord, 'on' | 'what' | 'sort' | 'amount'>;

const day = 86_400_000;
const daysBetween = (from: string, to: string): number =>
  Math.max(0, Math.round((Date.parse(`${to}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / day));

/** What it cost to stand, as an entry on each day on which something else was written, and on the last. */
function storageOf({ entries, terms, shellGone, today }: AccountOf): Entry[] {
  if (terms?.aDay === undefined) return [];
  const { aDay, from } = terms;
  const until = shellGone !== undefined && shellGone < today ? shellGone : today;
  const days = [...new Set(entries.map((e) => e.on))].filter((on) => on > from && on < until).sort();
  let last = from;
  return [...days, until].flatMap((on): Entry[] => {
    const stood = daysBetween(last, on);
    last = on;
    return stood === 0
      ? []
      : [
          {
            on,
            what: stood === 1 ? 'a day in the yard' : `${stood} days in the yard`,
            sort: 'cost',
            amount: stood * aDay,
          },
        ];
  });
}

/** What people worked on it, a day at a time. */
function workOf({ work }: AccountOf): Entry[] {
  const days = new Map<string, number>();
  for (const { on, hours } of work?.hours ?? []) days.set(on, (days.get(on) ?? 0) + hours);
  return [...days].map(([on, hours]): Entry => {
    const what = `${Math.round(hours * 10) / 10} h of work`;
    const amount = work!.hourCost === undefined ? undefined : Math.round(hours * work!.hourCost);
    return { on, what, sort: 'cost', amount };
  });
}

/** Sums a donor's account by day; what was spent on a day stands before what came back on it. What it costs to stand grows until today, or until the shell went. */
export function donorAccount(of: AccountOf): DonorAccount {
  const { entries, purchase } = of;
  const bought: Entry[] = purchase
    ? [{ on: purchase.on, what: `from ${purchase.seller}`, sort: 'bought', amount: purchase.price }]
    : [];
  const terms: Entry[] =
    of.terms && of.terms.aDay === undefined
      ? [{ ...of.terms, on: of.terms.from, what: '', sort: 'cost', amount: undefined }]
      : [];
  const all: Entry[] = [...bought, ...entries, ...workOf(of), ...storageOf(of), ...terms];
  const known = all.filter((e) => e.amount !== undefined);
  const ordered = [...known].sort(
    (a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0) || Number(spends.has(b.sort)) - Number(spends.has(a.sort)),
  );
  let stands = 0;
  const steps = ordered.map(({ on, what, sort, amount }): AccountStep => {
    const signed = spends.has(sort) ? -amount! : amount!;
    stands += signed;
    return { on, what, sort, amount: signed, stands };
  });
  const lastUnder = steps.findLastIndex((s) => s.stands < 0);
  const even = steps[lastUnder + 1];
  return {
    steps,
    unknown: all.length - known.length,
    spent: steps.reduce((sum, s) => sum + Math.max(0, -s.amount), 0),
    back: steps.reduce((sum, s) => sum + Math.max(0, s.amount), 0),
    // Of what nobody wrote the price, nobody knows whether it was earned back.
    evenOn: lastUnder >= 0 && !all.some((e) => spends.has(e.sort) && e.amount === undefined) ? even?.on : undefined,
  };
}
