import type { FactBook } from '../facts/index.ts';
import { compareCandidates } from '../fit/candidates.ts';
import type { PartSupply } from '../fit/records.ts';
import type { FitWord } from '../fit/types.ts';
import type { CriterionId, Measured } from '../jobs/choosing.ts';
import type { Range } from '../clock/types.ts';
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
  supply?: PartSupply | undefined;
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
  /** What the inspection of this car says of it. */
  inspection: { word: FitWord; headline: string } | undefined;
  against: string | undefined;
}

/** How far it is proved that it runs, 0 to 1. Common practice, no source; what nobody said is not known. */
const proofOf: Readonly<Record<string, number | undefined>> = {
  new: 1,
  rebuilt: 0.8,
  'proven-running': 0.8,
  stood: 0.2,
};

const supplyOf: Readonly<Record<PartSupply, number>> = { good: 1, scarce: 0.5, none: 0 };

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
    supply: choice.supply && supplyOf[choice.supply],
    days: choice.days,
  };
  const inspected = plan.fits.find((l) => l.def.id === 'fit-emission-parts')?.verdict;
  return {
    id: choice.id,
    name: choice.name,
    values: Object.fromEntries(Object.entries(values).filter(([, v]) => v !== undefined)),
    counts: row!.counts,
    allIn,
    hours: [hours[0], hours[2]],
    open,
    assumed: [...choice.facts.values()].filter((f) => f.source === 'assumed').length,
    inspection: inspected && { word: inspected.word, headline: inspected.headline },
    against: choice.against,
  };
}

/** One gearbox that could go in, with what people know of it beside its facts. */
export type GearboxChoice = Omit<EngineChoice, 'pieces'>;

export interface MeasuredGearbox {
  id: string;
  name: string;
  kind: string | undefined;
  /** Its rating over what reaches it: torque over torque, or power over power, and never the one over the other. */
  rating: { factor: number; of: 'torque' | 'power' } | undefined;
  massKg: number | undefined;
  lengthMm: number | undefined;
  /** What the places say that hang on it most: bell, tunnel, cross member, shaft. */
  places: readonly { title: string; word: FitWord; headline: string }[];
  counts: Readonly<Record<FitWord, number>>;
  /** Itself and the kit of the job with it, likely; nothing where a figure is not known. */
  allIn: number | undefined;
  hours: Range;
  open: number;
  assumed: number;
  km: number | undefined;
  days: number | undefined;
  against: string | undefined;
}

const gearboxPlaces = [
  'fit-bellhousing',
  'fit-pilot',
  'fit-clutch',
  'fit-tunnel',
  'fit-gearbox-mount',
  'fit-gearbox-control',
];

/** A gearbox judged in this job as if it were the one. Torque and power are those of the target where one is set, else of the engine. */
export function measureGearbox(input: PlanInput, choice: GearboxChoice, terms: Terms): MeasuredGearbox {
  const others = [...input.facts].filter(([id]) => !id.startsWith('gbx-'));
  const facts: FactBook = new Map([...others, ...choice.facts]);
  const plan = computePlan({ ...input, facts, fits: {}, gaps: [], lifts: [], kit: {} });
  const { hours, parts, open } = takingOf(draftOfPlan(plan, input.withDonor, terms));
  const part = (id: string, key: string): number | undefined => {
    const value = facts.get(id)?.parts[key];
    return typeof value === 'number' && value > 0 ? value : undefined;
  };
  const over = (rating: number | undefined, of: number | undefined): number | undefined =>
    rating === undefined || of === undefined ? undefined : rating / of;
  const byTorque = over(part('gbx-rating', 'value'), part('cho-power-target', 'torque') ?? part('eng-torque', 'value'));
  const byPower = over(part('gbx-rating', 'as-power'), part('cho-power-target', 'value') ?? part('eng-power', 'value'));
  const rating: MeasuredGearbox['rating'] =
    byTorque !== undefined
      ? { factor: byTorque, of: 'torque' }
      : byPower !== undefined
        ? { factor: byPower, of: 'power' }
        : undefined;
  const counts: Record<FitWord, number> = { 'bolts-up': 0, adapt: 0, clash: 0, 'not-measured': 0 };
  for (const line of plan.fits) counts[line.verdict.word] += 1;
  const kind = choice.facts.get('gbx-kind')?.parts['value'];
  return {
    id: choice.id,
    name: choice.name,
    kind: typeof kind === 'string' ? kind : undefined,
    rating,
    massKg: numberIn(choice.facts, 'gbx-mass'),
    lengthMm: numberIn(choice.facts, 'gbx-length'),
    places: plan.fits
      .filter((l) => gearboxPlaces.includes(l.def.id))
      .map((l) => ({ title: l.def.title, word: l.verdict.word, headline: l.verdict.headline })),
    counts,
    allIn: choice.cost !== undefined && parts ? Math.round(choice.cost + parts[1]) : undefined,
    hours,
    open,
    assumed: [...choice.facts.values()].filter((f) => f.source === 'assumed').length,
    km: choice.km,
    days: choice.days,
    against: choice.against,
  };
}
