import jstat from 'jstat';
import { describe, expect, it } from 'vitest';
import { atShare, betaTable } from './beta.ts';

/** Held against the inverse of an independent statistics library (jstat), at the middle and near the ends. */
describe('the inverse of a beta distribution', () => {
  it.each([
    [3, 3],
    [2.2, 4.1],
    [4, 1.1],
    [0.667, 3.33],
    [3.33, 0.667],
    [1, 1],
  ])('of shapes %d and %d is that of jstat within a thousandth of its span', (alpha, beta) => {
    const table = betaTable([alpha, beta]);
    for (const share of [0.01, 0.05, 0.25, 0.5, 0.75, 0.95, 0.99])
      expect(Math.abs(atShare(table, share) - jstat.beta.inv(share, alpha, beta))).toBeLessThan(
        0.001,
      );
  });
  it('has the mean of the distribution, and refuses shapes that are none', () => {
    const table = betaTable([2.2, 4.1]);
    const n = 20_000;
    const mean =
      Array.from({ length: n }, (_, i) => atShare(table, (i + 0.5) / n)).reduce(
        (a, b) => a + b,
        0,
      ) / n;
    expect(mean).toBeCloseTo(jstat.beta.mean(2.2, 4.1), 4);
    expect(() => betaTable([0, 1])).toThrow('Shapes above nought');
  });
});
