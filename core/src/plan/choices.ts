import type { FactBook } from '../facts/index.ts';
import { compareCandidates } from '../fit/candidates.ts';
import type { FitWord } from '../fit/types.ts';
import type { CriterionId, Measured } from '../jobs/choosing.ts';
import type { Terms } from '../money/quote/types.ts';
import { draftOfPlan, takingOf } from './draft.ts';
import type { PlanInput } from './plan.ts';
import { computePlan } from './plan.ts';

/** One engine that could go in, with what people know of it beside its facts. */
export interface EngineChoice {
  id: string;
  name: string;
  facts: FactBook;
  /** What it costs as it stands, and what is missing on it with its price, smallest unit. */
  cost: number | undefined;
  pieces: readonly { what: string; price: number | undefined }[];
  km: number | undefined;
  days: number | undefined;
  /** Why it is not recommended. */
  against: string | undefined;
}

export interface MeasuredChoice extends Measured {
  counts: Readonly<Record<FitWord, number>>;
  /** What it costs with its pieces and its kit; nothing where a figure is not known. */
  allIn: number | undefined;
  hours: readonly [low: number, high: number];
  /** Lines of its quote of which nobody knows whether they are wanted. */
  open: number;
  /** Facts of it that are assumed: a verdict that rests on one looks so. */
  assumed: number;
  against: string | undefined;
}

/** How far it is proved that it runs, 0 to 1. Common practice, no source; what nobody said is not known. */
const proofOf: Readonly<Record<string, number | undefined>> = {
  new: 1,
  rebuilt: 0.8,
  'proven-running': 0.8,
  stood: 0.2,
};

const numberIn = (facts: FactBook, id: string): number | undefined => {
  const value = facts.get(id)?.parts['value'];
  return typeof value === 'number' ? value : undefined;
};

/** An engine judged in this job as if it were the one: its places, its kit, its hours. */
export function measureChoice(input: PlanInput, choice: EngineChoice, terms: Terms): MeasuredChoice {
  const others = [...input.facts].filter(([id]) => !id.startsWith('eng-'));
  const facts: FactBook = new Map([...others, ...choice.facts]);
  // What people read or decided is of the engine that was in the plan, not of this one.
  const plan = computePlan({ ...input, facts, fits: {}, gaps: [], lifts: [], kit: {} });
  const [row] = compareCandidates(input.facts, input.outgoing, [
    { unitId: choice.id, name: choice.name, facts: choice.facts, cost: choice.cost },
  ]);
  const { hours, parts, open } = takingOf(draftOfPlan(plan, input.withDonor, terms));
  const pieces = choice.pieces.map((p) => p.price);
  const known = choice.cost !== undefined && parts !== undefined && pieces.every((p) => p !== undefined);
  const allIn = known
    ? Math.round(choice.cost! + pieces.reduce((total: number, p) => total + (p ?? 0), 0) + parts[1])
    : undefined;
  const room = [row!.lengthSpareMm, row!.widthSpareMm].filter((mm) => mm !== undefined);
  const condition = choice.facts.get('eng-condition')?.parts['value'];
  const values: Record<CriterionId, number | undefined> = {
    power: numberIn(choice.facts, 'eng-power'),
    mass: row!.massChangeKg,
    room: room.length === 2 ? Math.min(...room) : undefined,
    clash: row!.counts.clash,
    adapt: row!.counts.adapt,
    unknown: row!.counts['not-measured'],
    money: allIn,
    hours: hours[1],
    km: choice.km,
    proof: typeof condition === 'string' ? proofOf[condition] : undefined,
    days: choice.days,
  };
  return {
    id: choice.id,
    name: choice.name,
    values: Object.fromEntries(Object.entries(values).filter(([, v]) => v !== undefined)),
    counts: row!.counts,
    allIn,
    hours: [hours[0], hours[2]],
    open,
    assumed: [...choice.facts.values()].filter((f) => f.source === 'assumed').length,
    against: choice.against,
  };
}
