import fc from 'fast-check';
import solver from 'javascript-lp-solver';
import { describe, expect, it } from 'vitest';
import { longestChain } from './chain.ts';
import type { ChainStep } from './chain.ts';

/** Steps with random lengths, each after some of those before it. */
const anyPlan = fc
  .integer({ min: 1, max: 14 })
  .chain((n) =>
    fc.tuple(
      fc.array(fc.integer({ min: 0, max: 240 }), { minLength: n, maxLength: n }),
      fc.array(fc.array(fc.nat(13), { maxLength: 4 }), { minLength: n, maxLength: n }),
    ),
  )
  .map(([lengths, after]) =>
    lengths.map((length, i): ChainStep => ({
      id: `s${i}`,
      length,
      after: [...new Set(after[i]!.filter((f) => f < i))].map((f) => `s${f}`),
    })),
  );

/** The same as a linear programme: the whole ends no sooner than each step, each begins no sooner than what is before it ends. */
function byProgramme(steps: readonly ChainStep[]): number {
  const constraints: Record<string, { min: number }> = {};
  const variables: Record<string, Record<string, number>> = { whole: { end: 1 } };
  for (const { id } of steps) variables[id] = { end: 0 };
  for (const { id, length, after } of steps) {
    constraints[`end-${id}`] = { min: length };
    variables['whole']![`end-${id}`] = 1;
    variables[id]![`end-${id}`] = -1;
    for (const f of after) {
      constraints[`${f}-${id}`] = { min: steps.find((s) => s.id === f)!.length };
      variables[id]![`${f}-${id}`] = 1;
      variables[f]![`${f}-${id}`] = -1;
    }
  }
  const solved = solver.Solve({ optimize: 'end', opType: 'min', constraints, variables });
  return Number((solved as { result: number }).result);
}

describe('the critical path without limits of hands', () => {
  it('is as long as a solver from the registry finds it (javascript-lp-solver)', () =>
    fc.assert(
      fc.property(anyPlan, (steps) => {
        expect(longestChain(steps).length).toBeCloseTo(byProgramme(steps), 6);
      }),
      { numRuns: 150 },
    ));

  it('has slack that is really there: a step that waits so long ends the whole no later, and one more ends it later', () =>
    fc.assert(
      fc.property(anyPlan, fc.nat(13), (steps, pick) => {
        const whole = longestChain(steps);
        const at = steps[pick % steps.length]!;
        const { slack } = whole.placed.get(at.id)!;
        const longer = (by: number): number =>
          longestChain(steps.map((s) => (s === at ? { ...s, length: s.length + by } : s))).length;
        expect(longer(slack)).toBe(whole.length);
        expect(longer(slack + 1)).toBe(whole.length + 1);
      }),
    ));

  it('is a chain: each of its steps is before the next, and together they are as long as the whole', () =>
    fc.assert(
      fc.property(anyPlan, (steps) => {
        const { length, steps: chain } = longestChain(steps);
        const by = new Map(steps.map((s) => [s.id, s]));
        expect(chain.reduce((sum, id) => sum + by.get(id)!.length, 0)).toBe(length);
        chain.slice(1).forEach((id, i) => {
          expect(by.get(id)!.after).toContain(chain[i]);
        });
      }),
    ));

  it('leaves out what runs against the order, and what is not there', () => {
    const steps = [
      { id: 'a', length: 5, after: ['b', 'x'] },
      { id: 'b', length: 3, after: ['a'] },
    ];
    expect(longestChain(steps)).toMatchObject({ length: 8, steps: ['a', 'b'] });
    expect(longestChain([])).toMatchObject({ length: 0, steps: [] });
  });

  it('refuses a length under nothing, and one that is no number', () => {
    for (const length of [-1, Number.NaN])
      expect(() => longestChain([{ id: 'a', length, after: [] }])).toThrow(RangeError);
  });
});
