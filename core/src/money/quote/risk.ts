import type { CauseLine } from '../../clock/estimate.ts';
import { meanOf, spreadOf } from '../../clock/estimate.ts';
import type { Range } from '../../clock/types.ts';
import { atShare, betaTable } from './beta.ts';
import { unlogged } from './draft.ts';
import type { QuoteLine, Terms } from './types.ts';

/** What a job may cost the shop, as plain data that crosses to a worker. */
export interface RiskInput {
  work: readonly { hours: Range; causes: readonly string[]; odds: number }[];
  parts: readonly { cost: Range; odds: number }[];
  causes: readonly { id: string; by: readonly [number, number]; odds: number }[];
  /** Of an hour, smallest unit. */
  hourCost: number;
  /** Percent of parts. */
  sundries: number;
  trials: number;
  seed: number;
}

export interface Risk {
  /** What it costs, smallest unit, from the least of the trials to the most: every hundredth part of them. */
  quantiles: readonly number[];
  mean: number;
  trials: number;
}

/** Repeatable numbers from 0 up to 1 (a 32-bit xorshift-multiply generator, public domain form "mulberry32"). */
export function numbersFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/**
 * The beta shapes of a range, whose mean is (low + 4 likely + high)/6 and whose standard deviation is (high - low)/6: by its moments.
 * Nothing where low and high are one.
 */
export function shapesOf(range: Range): readonly [alpha: number, beta: number] | undefined {
  const [low, , high] = range;
  if (!(high > low)) return undefined;
  const mean = (meanOf(range) - low) / (high - low);
  const spread = spreadOf(range) / (high - low);
  const both = (mean * (1 - mean)) / spread ** 2 - 1;
  return [mean * both, (1 - mean) * both];
}

/** Draws a number of a range: its table is made before the trials. */
function drawOf(range: Range): (random: () => number) => number {
  const shapes = shapesOf(range);
  if (!shapes) return () => range[0];
  const table = betaTable(shapes);
  const span = range[2] - range[0];
  return (random) => range[0] + span * atShare(table, random());
}

/**
 * What a draft may cost: what the customer does costs the shop nothing. Lines that are open count with even odds where the shop
 * carries them, and not at all where they are asked as extra work once they turn out to be wanted.
 */
export function riskInputOf(
  lines: readonly QuoteLine[],
  causes: readonly CauseLine[],
  terms: Terms,
  { trials = 10_000, seed = 1, carriesOpen = true } = {},
): RiskInput {
  const live = lines.filter(
    (l) => (l.state === 'counted' || (carriesOpen && l.state === 'open')) && l.who !== 'customer' && l.who !== 'donor',
  );
  const odds = (state: string): number => (state === 'counted' ? 1 : 0.5);
  return {
    work: live.flatMap((l) =>
      l.who === 'shop' && l.hours ? [{ hours: l.hours, causes: l.causes, odds: odds(l.state) }] : [],
    ),
    parts: live.flatMap((l) => (l.cost ? [{ cost: l.cost, odds: odds(l.state) }] : [])),
    causes: causes.map((c) => ({
      id: c.def.id,
      by: c.def.by,
      odds: odds(c.state),
    })),
    hourCost: terms.hourCost ?? 0,
    sundries: terms.sundries,
    trials,
    seed,
  };
}

/**
 * What the job may cost, by trials: each line by its own luck, each common cause once for all lines it touches. Refuses fewer than one
 * trial. Tells how far it is, 0 to 1.
 */
export function riskOf(input: RiskInput, progress: (share: number) => void = () => undefined): Risk {
  if (!(input.trials >= 1)) throw new RangeError('At least one trial');
  const random = numbersFrom(input.seed);
  const at = new Map(input.causes.map((c, i) => [c.id, i]));
  const work = input.work.map((w) => ({
    ...w,
    draw: drawOf(w.hours),
    by: w.causes.flatMap((id) => at.get(id) ?? []),
  }));
  const parts = input.parts.map((p) => ({ ...p, draw: drawOf(p.cost) }));
  const costs = new Float64Array(input.trials);
  for (let trial = 0; trial < input.trials; trial += 1) {
    const causes = input.causes.map(({ by: [low, high], odds }) =>
      odds < 1 && random() >= odds ? 1 : low + (high - low) * random(),
    );
    let hours = 0;
    for (const w of work) {
      if (w.odds < 1 && random() >= w.odds) continue;
      let one = w.draw(random);
      for (const i of w.by) one *= causes[i]!;
      hours += one;
    }
    let paid = 0;
    for (const p of parts) if (p.odds >= 1 || random() < p.odds) paid += p.draw(random);
    const [low, high] = unlogged;
    costs[trial] = hours * (1 + low + (high - low) * random()) * input.hourCost + paid * (1 + input.sundries / 100);
    if (trial % 1000 === 999) progress((trial + 1) / input.trials);
  }
  costs.sort();
  const last = input.trials - 1;
  return {
    quantiles: Array.from({ length: 101 }, (_, i) => costs[Math.round((i / 100) * last)]!),
    mean: costs.reduce((sum, c) => sum + c, 0) / input.trials,
    trials: input.trials,
  };
}

/** The chance that the job costs more than a price, 0 to 1: between two of the kept parts it goes straight. */
export function chanceOfLoss({ quantiles }: Pick<Risk, 'quantiles'>, net: number): number {
  const above = quantiles.findIndex((q) => q > net);
  if (above === 0) return 1;
  if (above === -1) return 0;
  const [low, high] = [quantiles[above - 1]!, quantiles[above]!];
  return 1 - (above - 1 + (net - low) / (high - low)) / 100;
}

/** The price at which the job loses money with this chance, 0 to 1, smallest unit, rounded up. Refuses a chance outside of that. */
export function priceForChance({ quantiles }: Pick<Risk, 'quantiles'>, chance: number): number {
  if (!(chance >= 0 && chance <= 1)) throw new RangeError('A chance lies between 0 and 1');
  const place = (1 - chance) * 100;
  const low = Math.floor(place);
  const from = quantiles[low]!;
  const to = quantiles[Math.min(100, low + 1)]!;
  return Math.ceil(from + (to - from) * (place - low));
}
