import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import solver from 'javascript-lp-solver';
import { maximise } from './linear.ts';
import type { LinearProgram } from './linear.ts';

const number = fc.integer({ min: -40, max: 40 }).map((v) => v / 10);

/** Programmes that x = 0 meets, with three to six unknowns. */
const programmes = fc.integer({ min: 1, max: 6 }).chain((n) =>
  fc.record({
    worth: fc.array(number, { minLength: n, maxLength: n }),
    rows: fc.array(
      fc.record({
        of: fc.array(number, { minLength: n, maxLength: n }),
        most: fc.integer({ min: 1, max: 60 }).map((v) => v / 4),
      }),
      { maxLength: 24 },
    ),
    low: fc.array(
      fc.integer({ min: -20, max: -1 }).map((v) => v / 2),
      { minLength: n, maxLength: n },
    ),
    high: fc.array(
      fc.integer({ min: 1, max: 20 }).map((v) => v / 2),
      { minLength: n, maxLength: n },
    ),
  }),
);

const worthOf = ({ worth }: LinearProgram, x: readonly number[]): number =>
  worth.reduce((sum, w, j) => sum + w * x[j]!, 0);

/** The same programme for the solver from the registry, whose unknowns are never below nothing: each is shifted up by its low. */
function byRegistry({ worth, rows, low, high }: LinearProgram): number | undefined {
  const name = (j: number): string => `x${j}`;
  const found = solver.Solve({
    optimize: 'worth',
    opType: 'max',
    constraints: Object.fromEntries([
      ...rows.map((r, i) => [
        `row${i}`,
        { max: r.most - r.of.reduce((sum, a, j) => sum + a * low[j]!, 0) },
      ]),
      ...high.map((h, j) => [`high${j}`, { max: h - low[j]! }]),
    ]),
    variables: Object.fromEntries(
      worth.map((w, j) => [
        name(j),
        {
          worth: w,
          ...Object.fromEntries(rows.map((r, i) => [`row${i}`, r.of[j]!])),
          [`high${j}`]: 1,
        },
      ]),
    ),
  }) as { feasible: boolean; result: number };
  // x = 0 meets every row: where that solver finds nothing, its own tolerances stand in its way.
  if (!found.feasible) return undefined;
  return found.result + worth.reduce((sum, w, j) => sum + w * low[j]!, 0);
}

describe('a linear programme', () => {
  it('comes to what a solver from the registry (javascript-lp-solver) comes to', () => {
    let compared = 0;
    fc.assert(
      fc.property(programmes, (p) => {
        const found = maximise(p);
        expect(found).toBeDefined();
        for (const row of p.rows)
          expect(row.of.reduce((sum, a, j) => sum + a * found!.x[j]!, 0)).toBeLessThanOrEqual(
            row.most + 1e-6,
          );
        found!.x.forEach((v, j) => {
          expect(v).toBeGreaterThanOrEqual(p.low[j]! - 1e-6);
          expect(v).toBeLessThanOrEqual(p.high[j]! + 1e-6);
        });
        const theirs = byRegistry(p);
        if (theirs === undefined) return;
        compared += 1;
        expect(worthOf(p, found!.x)).toBeCloseTo(theirs, 4);
      }),
      { numRuns: 400, seed: 21 },
    );
    expect(compared).toBeGreaterThan(380);
  });

  it('has prices that pay for the optimum: strong duality', () => {
    fc.assert(
      fc.property(programmes, (p) => {
        const { x, rowPrices, lowPrices, highPrices } = maximise(p)!;
        const paid =
          p.rows.reduce((sum, r, i) => sum + rowPrices[i]! * r.most, 0) +
          p.high.reduce((sum, h, j) => sum + highPrices[j]! * h, 0) -
          p.low.reduce((sum, l, j) => sum + lowPrices[j]! * l, 0);
        expect(paid).toBeCloseTo(worthOf(p, x), 3);
      }),
      { numRuns: 400, seed: 22 },
    );
  });

  it('gives nothing where nothing meets all', () => {
    expect(
      maximise({ worth: [1], rows: [{ of: [1], most: -3 }], low: [0], high: [10] }),
    ).toBeUndefined();
  });
});
