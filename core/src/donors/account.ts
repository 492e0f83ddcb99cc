import type { DonorEntryRecord, DonorEntrySort } from './records.ts';

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

/** Sums a donor's entries by day; what was spent on a day stands before what came back on it. */
export function donorAccount(entries: readonly DonorEntryRecord[]): DonorAccount {
  const known = entries.filter((e) => e.amount !== undefined);
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
    unknown: entries.length - known.length,
    spent: steps.reduce((sum, s) => sum + Math.max(0, -s.amount), 0),
    back: steps.reduce((sum, s) => sum + Math.max(0, s.amount), 0),
    // Of what nobody wrote the price, nobody knows whether it was earned back.
    evenOn: lastUnder >= 0 && !entries.some((e) => spends.has(e.sort) && e.amount === undefined) ? even?.on : undefined,
  };
}
