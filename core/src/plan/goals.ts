import { factDef } from '../facts/index.ts';
import { offerOf } from '../money/quote/offer.ts';
import type { QuoteLine, Terms } from '../money/quote/types.ts';
import { recordsOf } from '../records/index.ts';
import { draftOfPlan, shopHours } from './draft.ts';
import { planInputOf } from './input.ts';
import type { JobMaterial } from './input.ts';
import { computePlan } from './plan.ts';

/** Another goal of the job, and what it makes of the quote. */
export interface OtherGoal {
  goal: string;
  /** More hours of the shop on average; fewer below nought. */
  hours: number;
  /** More money before tax, smallest unit; nothing where a figure of the shop is not set. */
  amount: number | undefined;
  /** Lines that it brings and drops, by title. */
  added: readonly string[];
  dropped: readonly string[];
  /** Of those that it brings, how many are open still. */
  open: number;
}

interface Standing {
  lines: readonly QuoteLine[];
  hours: number;
  net: number;
}

/** What the quote comes to with a goal. */
function withGoal(material: JobMaterial, goal: string, terms: Terms): Standing {
  const input = planInputOf(material);
  const facts = new Map(input.facts);
  facts.set('cho-goal', { parts: { value: goal }, typed: {}, source: 'assumed' });
  const plan = computePlan({ ...input, facts });
  const draft = draftOfPlan(plan, input.withDonor, terms, {
    kit: recordsOf(material, 'kit'),
    decisions: recordsOf(material, 'quote-line'),
  });
  const { lines, estimate } = draft;
  return {
    lines: lines.filter((l) => l.state === 'counted' || l.state === 'open'),
    hours: shopHours(draft),
    net: offerOf(lines, estimate, terms).lineSum,
  };
}

/** Every other goal the job could have, held against the one it has; none while nobody said which that is. */
export function otherGoals(material: JobMaterial, terms: Terms): OtherGoal[] {
  const now = planInputOf(material).facts.get('cho-goal')?.parts['value'];
  if (typeof now !== 'string') return [];
  const before = withGoal(material, now, terms);
  const had = new Set(before.lines.map((l) => l.id));
  const priced = terms.hourRate !== undefined && terms.priceUnit !== undefined;
  const goals = factDef('cho-goal').parts[0]!.options ?? [];
  return goals
    .filter((goal) => goal !== now)
    .map((goal) => {
      const then = withGoal(material, goal, terms);
      const has = new Set(then.lines.map((l) => l.id));
      const added = then.lines.filter((l) => !had.has(l.id));
      return {
        goal,
        hours: then.hours - before.hours,
        amount: priced ? then.net - before.net : undefined,
        added: added.map((l) => l.title),
        dropped: before.lines.filter((l) => !has.has(l.id)).map((l) => l.title),
        open: added.filter((l) => l.state === 'open').length,
      };
    });
}
