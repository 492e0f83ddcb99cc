import { estimateOf, meanOf } from '../clock/estimate.ts';
import type { Estimate, TaskLine } from '../clock/estimate.ts';
import type { Range } from '../clock/types.ts';
import type { KitRecord } from '../kit/records.ts';
import { draftQuote, hoursOfLine } from '../money/quote/draft.ts';
import { foreseenOf } from '../money/quote/foreseen.ts';
import type { Foreseen } from '../money/quote/foreseen.ts';
import type { QuoteLine, QuoteLineRecord, Terms } from '../money/quote/types.ts';
import { truthIn } from '../rules/truths.ts';
import type { OwnInPlan } from './own.ts';
import type { Plan } from './plan.ts';

export interface PlanDraft {
  estimate: Estimate;
  lines: readonly QuoteLine[];
  /** What is said beside the lines. */
  foreseen: readonly Foreseen[];
}

/** What people decided and bought, where it counts: a plan of what might be has none of it. */
export interface DraftRecords {
  kit?: Readonly<Record<string, KitRecord | undefined>>;
  decisions?: Readonly<Record<string, QuoteLineRecord | undefined>>;
}

/** A step of people's own as work: the hours of all who are at it; one without minutes is not counted. */
function ownTask({ id, line, because, needs, waits }: OwnInPlan): TaskLine[] {
  const [least, most] = line.minutes ?? [];
  if (least === undefined || most === undefined) return [];
  const people = line.people ?? 1;
  const hours = (minutes: number): number => (minutes * people) / 60;
  return [
    {
      id,
      title: line.title,
      station: line.station,
      state: waits ? 'open' : 'counted',
      hours: [hours(least), hours((least + most) / 2), hours(most)],
      times: 1,
      people,
      causes: [],
      because,
      needs,
      skill: '',
      leftOut: line.why,
    },
  ];
}

/** The quote of a plan as it stands. */
export function draftOfPlan(
  plan: Pick<Plan, 'scope' | 'kit' | 'ownLines'>,
  withDonor: boolean,
  terms: Terms,
  { kit = {}, decisions = {} }: DraftRecords = {},
): PlanDraft {
  const truthOf = truthIn(plan.scope);
  const usual = estimateOf(truthOf, { withDonor });
  const estimate = { ...usual, tasks: [...usual.tasks, ...plan.ownLines.flatMap(ownTask)] };
  return {
    estimate,
    lines: draftQuote({ estimate, kit: plan.kit, kitRecords: kit, decisions, terms }),
    foreseen: foreseenOf(truthOf),
  };
}

/** Hours of the shop on average, of the lines that are counted in. */
export const shopHours = ({ estimate, lines }: Pick<PlanDraft, 'estimate' | 'lines'>): number =>
  lines
    .filter((l) => l.state === 'counted' && l.who === 'shop')
    .reduce((sum, l) => sum + hoursOfLine(l, estimate.causes), 0);

/** What a job takes: from what is counted in alone, over its average, to all that is open still at its highest. */
export interface Taking {
  /** Hours of the shop: low, on average, high. */
  hours: Range;
  /** What parts cost, smallest unit; nothing where the worth of a list unit is not set. */
  parts: Range | undefined;
  /** Lines of which nobody knows whether they are wanted. */
  open: number;
}

/**
 * What a plan takes, to be held beside another. What is open counts with even odds on average: else the one of which least is known
 * would look the cheapest.
 */
export function takingOf({ estimate, lines }: Pick<PlanDraft, 'estimate' | 'lines'>): Taking {
  const live = lines.filter((l) => l.state === 'counted' || l.state === 'open');
  const odds = (line: QuoteLine): number => (line.state === 'counted' ? 1 : 0.5);
  const total = (of: (line: QuoteLine) => number): number => live.reduce((sum, l) => sum + of(l), 0);
  const sure = (line: QuoteLine, value: number | undefined): number => (line.state === 'counted' ? (value ?? 0) : 0);
  const parts = live.filter((l) => l.section === 'parts');
  const cost = (line: QuoteLine): Range | undefined => (line.section === 'parts' ? line.cost : undefined);
  const mean = (line: QuoteLine): number => {
    const range = cost(line);
    return range ? odds(line) * meanOf(range) : 0;
  };
  return {
    hours: [
      total((l) => sure(l, l.hours?.[0])),
      total((l) => odds(l) * hoursOfLine(l, estimate.causes)),
      total((l) => l.hours?.[2] ?? 0),
    ],
    parts: parts.every((l) => l.cost !== undefined)
      ? [total((l) => sure(l, cost(l)?.[0])), total(mean), total((l) => cost(l)?.[2] ?? 0)]
      : undefined,
    open: live.filter((l) => l.state === 'open').length,
  };
}
