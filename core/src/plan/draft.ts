import { estimateOf } from '../clock/estimate.ts';
import type { Estimate } from '../clock/estimate.ts';
import type { KitRecord } from '../kit/records.ts';
import { draftQuote, hoursOfLine } from '../money/quote/draft.ts';
import type { QuoteLine, QuoteLineRecord, Terms } from '../money/quote/types.ts';
import { truthIn } from '../rules/truths.ts';
import type { Plan } from './plan.ts';

export interface PlanDraft {
  estimate: Estimate;
  lines: readonly QuoteLine[];
}

/** What people decided and bought, where it counts: a plan of what might be has none of it. */
export interface DraftRecords {
  kit?: Readonly<Record<string, KitRecord | undefined>>;
  decisions?: Readonly<Record<string, QuoteLineRecord | undefined>>;
}

/** The quote of a plan as it stands. */
export function draftOfPlan(
  plan: Pick<Plan, 'scope' | 'kit'>,
  withDonor: boolean,
  terms: Terms,
  { kit = {}, decisions = {} }: DraftRecords = {},
): PlanDraft {
  const estimate = estimateOf(truthIn(plan.scope), { withDonor });
  return { estimate, lines: draftQuote({ estimate, kit: plan.kit, kitRecords: kit, decisions, terms }) };
}

/** Hours of the shop on average, of the lines that are counted in. */
export const shopHours = ({ estimate, lines }: PlanDraft): number =>
  lines
    .filter((l) => l.state === 'counted' && l.who === 'shop')
    .reduce((sum, l) => sum + hoursOfLine(l, estimate.causes), 0);
