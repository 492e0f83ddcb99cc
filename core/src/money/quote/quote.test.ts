import fc from 'fast-check';
import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { meanOf, spreadOf } from '../../clock/index.ts';
import type { Estimate, Range } from '../../clock/index.ts';
import { kitLineOf } from '../../kit/index.ts';
import type { KitLine } from '../../kit/index.ts';
import {
  acceptedLines,
  chanceOfLoss,
  currencies,
  decimalsOf,
  draftQuote,
  noTerms,
  offerOf,
  priceForChance,
  riskInputOf,
  riskOf,
  shapesOf,
  termsMissing,
  totalsOf,
} from '../index.ts';
import type { QuoteLineRecord, RiskInput, Terms } from '../index.ts';

const terms: Terms = {
  ...noTerms,
  hourRate: 8000,
  hourCost: 5000,
  priceUnit: 100,
  markup: 20,
  tax: 20,
};
const task = (
  id: string,
  hours: Range,
  state: 'counted' | 'open' = 'counted',
  causes: string[] = [],
) => ({
  id,
  title: id,
  station: 'fit' as const,
  state,
  hours,
  times: 1,
  people: 1,
  causes,
  because: [],
  needs: [],
  skill: 'general',
  leftOut: '',
});
const estimateOf = (...tasks: ReturnType<typeof task>[]): Estimate => ({
  tasks,
  causes: [],
  waits: [],
});
const kitLine = (id: string, state: KitLine['state'] = 'needed'): KitLine => ({
  def: kitLineOf(id),
  state,
  because: [],
  needs: [],
  filled: [],
  blanks: [],
  blankParts: {},
  addedBy: [],
});
const draft = (
  estimate: Estimate,
  kit: KitLine[] = [],
  decisions: Record<string, QuoteLineRecord> = {},
  t: Terms = terms,
) => draftQuote({ estimate, kit, kitRecords: {}, decisions, terms: t });

describe('lines of a quote', () => {
  it('ask hours at their rate with what no clock shows, and parts with their markup', () => {
    const [work, part] = draft(estimateOf(task('a', [2, 2, 2])), [kitLine('kit-mount-cushions')]);
    // 2 h, 15 % beside the clock, 80.00 an hour.
    expect(work!.amount).toBe(18400);
    // 30, 80 and 200 units of 1.00: 91.67 on average, and 20 %.
    expect(part!.amount).toBe(11000);
  });
  it('a figure that the shop did not set is no nought: the line has no amount, and the figure is named', () => {
    const lines = draft(
      estimateOf(task('a', [1, 2, 3])),
      [kitLine('kit-mount-cushions')],
      {},
      noTerms,
    );
    expect(lines.map((l) => l.amount)).toEqual([undefined, undefined]);
    expect(termsMissing(lines, noTerms)).toEqual(['hourRate', 'hourCost', 'priceUnit']);
    expect(termsMissing(lines, terms)).toEqual([]);
  });
  it('are left off by name, fixed, done by the customer or by somebody outside', () => {
    const e = estimateOf(
      task('a', [1, 1, 1]),
      task('b', [1, 1, 1]),
      task('c', [1, 1, 1]),
      task('d', [1, 1, 1], 'open'),
    );
    const lines = draft(e, [], {
      a: { take: 'out', why: 'done before' },
      b: { take: 'in', who: 'customer' },
      c: { take: 'in', who: 'outside', price: 10_000 },
      d: { take: 'in', hours: [2, 2, 2] },
      own: { take: 'in', title: 'Number plate moved', section: 'outside', price: 5000, tax: 0 },
    });
    expect(lines.map((l) => [l.id, l.state, l.amount])).toEqual([
      ['a', 'left-off', 9200],
      ['b', 'counted', 0],
      ['c', 'counted', 12_000],
      ['d', 'counted', 18_400],
      ['own', 'counted', 6000],
    ]);
    const offer = offerOf(lines, e, terms);
    expect(offer.lines.map((l) => l.id)).toEqual(['b', 'c', 'd', 'own', 'sundries']);
    // Sundries are 5 % of 60.00 outside and nothing of work.
    expect(offer.lines.at(-1)!.amount).toBe(300);
  });
  it('an amount beside hours of the shop counts nothing twice, in the price or in what it may cost', () => {
    const e = estimateOf(task('a', [1, 1, 1]));
    const lines = draft(e, [], { a: { take: 'in', price: 99_999 } });
    expect(lines[0]).toMatchObject({ amount: 9200 });
    expect(riskInputOf(lines, [], terms).parts).toEqual([]);
  });
  it('what is proposed or waits is open, and what is open is in no offer', () => {
    const e = estimateOf(task('a', [1, 1, 1], 'open'));
    const lines = draft(e, [
      kitLine('kit-mount-cushions', 'proposed'),
      kitLine('kit-gearbox-mount', 'waits'),
    ]);
    expect(lines.every((l) => l.state === 'open')).toBe(true);
    expect(offerOf(lines, e, terms).lines).toEqual([]);
  });
});

describe('sums of a quote', () => {
  const amounts = fc.array(
    fc.record({
      id: fc.uuid(),
      amount: fc.integer({ min: -1_000_000, max: 100_000_000 }),
      tax: fc.constantFrom(0, 5.5, 7, 19, 20),
      optional: fc.boolean(),
    }),
    { minLength: 1, maxLength: 60 },
  );
  it('nothing is lost: the net is the sum of the lines, the gross the net and its taxes, in every currency (property)', () => {
    for (const currency of [
      'XXX',
      ...currencies.filter((c) => decimalsOf(c) !== 2).slice(0, 4),
      'EUR',
    ])
      fc.assert(
        fc.property(amounts, (lines) => {
          const { net, taxes, gross } = totalsOf(lines, 30);
          expect(net).toBe(lines.reduce((sum, l) => sum + l.amount, 0));
          expect(gross).toBe(taxes.reduce((sum, t) => sum + t.amount, net));
          expect(
            [net, gross, ...taxes.map((t) => t.amount)].every(Number.isInteger),
            currency,
          ).toBe(true);
          // Each tax is within half a smallest unit of the exact one.
          for (const t of taxes)
            expect(Math.abs(t.amount - (t.on * t.rate) / 100)).toBeLessThanOrEqual(0.5);
        }),
        { seed: 12, numRuns: 60 },
      );
  });
  it('only what is optional can be left out alone (property)', () =>
    fc.assert(
      fc.property(amounts, (lines) => {
        const kept = acceptedLines(
          lines,
          lines.map((l) => l.id),
        );
        expect(kept).toEqual(lines.filter((l) => !l.optional));
      }),
      { seed: 12, numRuns: 60 },
    ));
  it('what is asked more than the lines come to is a line of its own, and what is asked less too', () => {
    const e = estimateOf(task('a', [1, 1, 1]));
    const lines = draft(e);
    for (const net of [9200, 12_000, 9000]) {
      const offer = offerOf(lines, e, terms, net);
      expect(offer.net).toBe(net);
      expect(offer.lineSum).toBe(9200);
      expect(offer.lines.find((l) => l.id === 'contingency')?.amount ?? 0).toBe(net - 9200);
    }
  });
});

describe('what a job may cost', () => {
  const bare: RiskInput = {
    work: [],
    parts: [],
    causes: [],
    hourCost: 100,
    sundries: 0,
    trials: 20_000,
    seed: 7,
  };
  const one = { hours: [10, 10, 10] as Range, causes: [] as string[], odds: 1 };

  it('the shapes of a range have its mean and its spread (moments of the beta distribution, jstat)', () =>
    fc.assert(
      fc.property(
        fc.tuple(
          fc.double({ min: 0, max: 50, noNaN: true }),
          fc.double({ min: 0, max: 50, noNaN: true }),
          fc.double({ min: 0.1, max: 50, noNaN: true }),
        ),
        ([low, a, b]) => {
          const range: Range = [low, low + Math.min(a, b), low + Math.max(a, b)];
          const shapes = shapesOf(range);
          if (!shapes) return;
          const span = range[2] - range[0];
          expect(range[0] + span * jstat.beta.mean(...shapes)).toBeCloseTo(meanOf(range), 6);
          expect(span * Math.sqrt(jstat.beta.variance(...shapes))).toBeCloseTo(spreadOf(range), 6);
        },
      ),
      { seed: 12, numRuns: 200 },
    ));

  it('a single task falls as the beta distribution says, at ten places (jstat)', () => {
    const range: Range = [6, 14, 40];
    const risk = riskOf({ ...bare, parts: [{ cost: range, odds: 1 }] });
    const [alpha, beta] = shapesOf(range)!;
    for (const share of [0.05, 0.1, 0.25, 0.4, 0.5, 0.6, 0.75, 0.9, 0.95, 0.99]) {
      const exact = 6 + 34 * jstat.beta.inv(share, alpha, beta);
      // Three standard errors of a quantile of 20,000 trials.
      const density = jstat.beta.pdf((exact - 6) / 34, alpha, beta) / 34;
      const error = (3 * Math.sqrt((share * (1 - share)) / 20_000)) / density;
      expect(Math.abs(risk.quantiles[Math.round(share * 100)]! - exact)).toBeLessThan(error + 0.1);
    }
  });
  it('independent tasks add their means, and their spreads as squares (common practice; jstat normal)', () => {
    const range: Range = [2, 3, 10];
    const risk = riskOf({
      ...bare,
      parts: Array.from({ length: 40 }, () => ({ cost: range, odds: 1 })),
    });
    const mean = 40 * meanOf(range);
    const spread = Math.sqrt(40) * spreadOf(range);
    expect(Math.abs(risk.mean - mean)).toBeLessThan((4 * spread) / Math.sqrt(20_000));
    for (const share of [0.1, 0.5, 0.9])
      expect(
        Math.abs(risk.quantiles[share * 100]! - jstat.normal.inv(share, mean, spread)),
      ).toBeLessThan(0.1 * spread);
  });
  it('a common cause moves all it touches together: the spread is that of the cause, not its root (closed form)', () => {
    const work = Array.from({ length: 25 }, () => ({ ...one, causes: ['c'] }));
    const risk = riskOf({ ...bare, work, causes: [{ id: 'c', by: [1, 2], odds: 1 }] });
    // 250 h times 1 to 2, evenly, with 10 to 20 % beside: from 27,500 to 60,000 at 100 an hour.
    expect(risk.quantiles[0]!).toBeGreaterThanOrEqual(27_500);
    expect(risk.quantiles[100]!).toBeLessThanOrEqual(60_000);
    // Of independent ones nine tenths would lie within a few hundredths of the middle.
    expect(risk.quantiles[95]! / risk.quantiles[5]!).toBeGreaterThan(1.7);
  });
  it('what nobody knows to be wanted counts in half of the trials', () => {
    const risk = riskOf({ ...bare, parts: [{ cost: [100, 100, 100], odds: 0.5 }] });
    expect(risk.quantiles[0]).toBe(0);
    expect(risk.quantiles[100]).toBe(100);
    expect(Math.abs(risk.mean - 50)).toBeLessThan(1.5);
  });
  it('chance and price are the turn of each other, and both go one way (property)', () => {
    const risk = riskOf({
      ...bare,
      work: [{ ...one, hours: [5, 10, 40] }],
      parts: [{ cost: [100, 500, 900], odds: 1 }],
    });
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.99, noNaN: true }), (chance) => {
        expect(chanceOfLoss(risk, priceForChance(risk, chance))).toBeCloseTo(chance, 1);
        expect(priceForChance(risk, chance)).toBeGreaterThanOrEqual(
          priceForChance(risk, Math.min(1, chance + 0.01)),
        );
      }),
      { seed: 12 },
    );
    expect(chanceOfLoss(risk, 0)).toBe(1);
    expect(chanceOfLoss(risk, 1e9)).toBe(0);
    expect(() => priceForChance(risk, 1.2)).toThrow(RangeError);
  });
  it('is the same again from the same seed, and refuses no trials', () => {
    const input = { ...bare, work: [{ ...one, hours: [5, 10, 40] as Range }], trials: 500 };
    expect(riskOf(input)).toEqual(riskOf(input));
    expect(() => riskOf({ ...input, trials: 0 })).toThrow(RangeError);
  });
  it('the customer’s own work costs the shop nothing, outside work its price', () => {
    const e = estimateOf(task('a', [10, 10, 10]), task('b', [10, 10, 10]));
    const lines = draft(e, [], {
      a: { take: 'in', who: 'customer' },
      b: { take: 'in', who: 'outside', price: 7000 },
    });
    const risk = riskOf(riskInputOf(lines, [], { ...terms, sundries: 0 }, { trials: 100 }));
    expect(risk.quantiles[0]).toBe(7000);
    expect(risk.quantiles[100]).toBe(7000);
  });
});
