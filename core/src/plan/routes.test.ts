import { describe, expect, it } from 'vitest';
import { noTerms } from '../money/index.ts';
import type { Terms } from '../money/index.ts';
import { controlRoutes, emptyInput } from './index.ts';
import { bookFrom } from './testing.ts';

const terms: Terms = { ...noTerms, hourRate: 8000, hourCost: 5000, priceUnit: 100 };
const routes = (facts: Parameters<typeof bookFrom>[0], t = terms) =>
  new Map(controlRoutes(emptyInput({ facts: bookFrom(facts) }), t).map((r) => [r.control, r]));

describe('ways of running the engine side by side', () => {
  const all = routes({ 'cho-goal': 'running', 'cho-control': 'standalone' });
  it('are all there, with the one that was chosen', () => {
    expect([...all.values()].filter((r) => r.chosen).map((r) => r.control)).toEqual(['standalone']);
    expect(all.size).toBe(6);
  });
  it('thinning the donor’s loom takes longer than a carburettor, and says by which work', () => {
    const [trimmed, carburettor] = [
      all.get('donor-unit-trimmed-loom')!,
      all.get('carburettor-distributor')!,
    ];
    expect(trimmed.work).toContain('Donor loom thinned, tested, re-covered');
    expect(carburettor.work).not.toContain('Donor loom thinned, tested, re-covered');
    expect(trimmed.hours[1]).toBeGreaterThan(carburettor.hours[1]);
    for (const r of all.values())
      expect(r.hours[0] < r.hours[1] && r.hours[1] < r.hours[2] * 1.3, r.control).toBe(true);
  });
  it('what all of them need is not told of each', () => {
    const everywhere = [...all.values()].map((r) => new Set([...r.buys, ...r.work, ...r.harvest]));
    for (const title of everywhere[0]!)
      expect(
        everywhere.every((own) => own.has(title)),
        title,
      ).toBe(false);
  });
  it('have no price where the shop set no figure, and what the unit has is held against the chosen way only', () => {
    expect(routes({}, noTerms).get('standalone')!.parts).toBeUndefined();
    expect(all.get('standalone')!.io.map((f) => f.what)).toEqual(['inputs', 'outputs', 'fans']);
    expect(all.get('donor-unit-new-loom')!.io).toEqual([]);
  });
});
