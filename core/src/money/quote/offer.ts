import type { Estimate } from '../../clock/estimate.ts';
import { hoursOfLine, whole } from './draft.ts';
import { totalsOf } from './totals.ts';
import type { OfferedLine, Totals } from './totals.ts';
import type { QuoteLine, Terms, WhoDoes } from './types.ts';

/** A line as the customer reads it. */
export interface Offered extends OfferedLine {
  section: string;
  group: string;
  title: string;
  hours?: number;
  who: WhoDoes;
}

export interface Offer extends Totals {
  lines: readonly Offered[];
  /** What the lines come to by themselves, before what is asked more or less. */
  lineSum: number;
}

export const offerSections: Readonly<Record<string, string>> = {
  work: 'Work',
  parts: 'Parts',
  outside: 'Outside work',
  sundries: 'Sundries',
  contingency: 'For what nobody can see yet',
};

/**
 * What is offered: every line that is counted in, sundries as their share of parts, and what is asked more (or less) than the lines
 * come to as a line of its own. `net` is what is asked before tax; what the lines come to where it is left out. Lines of which a
 * figure of the shop is not set are left out: ask `termsMissing` first.
 */
export function offerOf(
  draft: readonly QuoteLine[],
  { causes }: Pick<Estimate, 'causes'>,
  terms: Terms,
  net?: number,
): Offer {
  const lines = draft
    .filter((l) => l.state === 'counted' && l.amount !== undefined)
    .map((l): Offered => {
      const hours = l.who === 'shop' ? hoursOfLine(l, causes) : 0;
      return {
        id: l.id,
        section: l.section,
        group: l.group,
        title: l.title,
        amount: l.amount!,
        tax: l.tax,
        optional: l.optional,
        who: l.who,
        ...(hours > 0 ? { hours: Math.round(hours * 10) / 10 } : {}),
      };
    });
  const parts = lines.filter((l) => l.section !== 'work').reduce((sum, l) => sum + l.amount, 0);
  const small = whole((parts * terms.sundries) / 100);
  const more = { group: '', tax: terms.tax, optional: false, who: 'shop' as const };
  if (small > 0)
    lines.push({ ...more, id: 'sundries', section: 'sundries', title: 'Small things found on the way', amount: small });
  const lineSum = lines.reduce((sum, l) => sum + l.amount, 0);
  const rest = (net ?? lineSum) - lineSum;
  if (rest !== 0)
    lines.push({
      ...more,
      id: 'contingency',
      section: 'contingency',
      title: rest > 0 ? 'For what nobody can see yet' : 'Taken off',
      amount: rest,
    });
  return { lines, lineSum, ...totalsOf(lines, terms.deposit) };
}
