import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { donorAccount, returnRange, salesByBuyer, unsoldOf } from './index.ts';
import type { DonorEntryRecord } from './index.ts';
import type { PartRecord } from '../parts/index.ts';

const today = '2027-06-30';
const part = (at: string, over: Partial<PartRecord> = {}): PartRecord => ({
  takeId: '',
  title: 'Seat',
  condition: 'good',
  label: '',
  place: 'C2',
  at: `${at}T10:00:00.000Z`,
  value: 10_000,
  ...over,
});

describe('what is not sold yet', () => {
  it.each([
    ['2027-06-20', 'none', 10_000],
    ['2027-05-31', 'hold', 10_000],
    ['2027-04-01', 'lower', 7_500],
    ['2027-01-01', 'bundle', 5_000],
    ['2026-06-30', 'scrap', 2_500],
  ])('came off on %s: %s, and so much is still counted on', (at, decide, advised) =>
    expect(unsoldOf({ a: part(at) }, today)).toMatchObject([{ decide, advised }]),
  );
  it('is what lies here and is kept for nobody, the oldest first', () => {
    const parts = {
      young: part('2027-06-01'),
      old: part('2026-01-01'),
      sold: part('2026-01-01', { fate: 'sold' }),
      kept: part('2026-01-01', { forJob: 'j' }),
      missing: part('2026-01-01', { condition: 'missing' }),
    };
    expect(unsoldOf(parts, today).map((u) => u.key)).toEqual(['old', 'young']);
  });
  it('a part of which nobody wrote a value counts as nothing, and is said', () => {
    const unsold = unsoldOf(
      { a: part('2027-04-01'), b: part('2027-04-01', { value: undefined }) },
      today,
    );
    expect(returnRange(-5_000, unsold)).toEqual({
      least: -5_000,
      likely: 2_500,
      most: 5_000,
      unvalued: 1,
    });
  });
  it('may end nowhere under what came back so far, and the likely lies between', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -1e6, max: 1e6 }),
        fc.array(
          fc.record({ value: fc.option(fc.nat(1e6), { nil: undefined }), days: fc.nat(900) }),
        ),
        (stands, all) => {
          const parts = Object.fromEntries(
            all.map(({ value, days }, i) => [
              String(i),
              part(new Date(Date.parse(today) - days * 86_400_000).toISOString().slice(0, 10), {
                value,
              }),
            ]),
          );
          const { least, likely, most } = returnRange(stands, unsoldOf(parts, today));
          expect(least).toBe(stands);
          expect(likely).toBeGreaterThanOrEqual(least);
          expect(most).toBeGreaterThanOrEqual(likely);
        },
      ),
    ));
});

describe('who bought', () => {
  it('what each kind paid beside what its parts were worth, only where that is known', () => {
    const entries: DonorEntryRecord[] = [
      { sort: 'sold', what: 'x', on: today, buyer: 'trade', amount: 6_000, partKey: 'a' },
      { sort: 'sold', what: 'x', on: today, buyer: 'trade', amount: 5_000, partKeys: ['a', 'b'] },
      { sort: 'sold', what: 'x', on: today, buyer: 'private', amount: 9_000, partKey: 'c' },
      { sort: 'sold', what: 'x', on: today, amount: 9_000 },
    ];
    const parts = {
      a: part(today),
      b: part(today, { value: undefined }),
      c: part(today),
    };
    expect(salesByBuyer(entries, parts)).toEqual([
      { buyer: 'trade', sales: 2, sum: 11_000, ofValue: 0.6 },
      { buyer: 'private', sales: 1, sum: 9_000, ofValue: 0.9 },
    ]);
  });
});

describe('what it costs to stand', () => {
  const entries: DonorEntryRecord[] = [
    { sort: 'sold', what: 'wheels', on: '2027-06-11', amount: 3_000 },
  ];
  const purchase = {
    of: 'donor',
    seller: 'Marle Yard',
    source: 'auction',
    on: '2027-06-01',
    heard: 'run',
    price: 2_000,
  } as const;
  const terms = { aDay: 50, from: '2027-06-01' };
  it('grows day by day until today: 2000 and 10 days at 50 are back on the eleventh, and 19 more since then', () => {
    const account = donorAccount({ entries, purchase, terms, today });
    expect(account.steps.map((s) => s.stands)).toEqual([-2_000, -2_500, 500, -450]);
    expect(account).toMatchObject({ spent: 3_450, back: 3_000, evenOn: undefined });
  });
  it('ends on the day on which the shell went', () => {
    const account = donorAccount({ entries, purchase, terms, today, shellGone: '2027-06-15' });
    expect(account).toMatchObject({ spent: 2_700, back: 3_000, evenOn: '2027-06-11' });
  });
  it('is unknown where nobody wrote it, and then nobody knows whether it is even', () => {
    const account = donorAccount({
      entries,
      purchase,
      terms: { from: '2027-06-01' },
      today,
    });
    expect(account).toMatchObject({ unknown: 1, evenOn: undefined });
  });
  it('counts the hours that were clocked on it, a day at a time, at what an hour costs the shop', () => {
    const hours = [
      { on: '2027-06-02', hours: 2 },
      { on: '2027-06-02', hours: 1.5 },
      { on: '2027-06-03', hours: 1 },
    ];
    const of = (hourCost: number | undefined) =>
      donorAccount({ entries, purchase, work: { hours, hourCost }, today });
    expect(of(100)).toMatchObject({ spent: 2_450, back: 3_000, evenOn: '2027-06-11', unknown: 0 });
    expect(of(undefined)).toMatchObject({ spent: 2_000, unknown: 2, evenOn: undefined });
  });
});
