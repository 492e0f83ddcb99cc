import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { criteria, mostWeight, scoreAll, turnOf, weightOf } from './index.ts';
import type { CriterionId, Measured, Weights } from './index.ts';

const only = (...ids: CriterionId[]): Weights =>
  Object.fromEntries(criteria.map((c) => [c.id, ids.includes(c.id) ? 1 : 0]));
const of = (name: string, values: Measured['values']): Measured => ({ id: name, name, values });

describe('choosing', () => {
  it('bare at 500 with 620 of pieces loses against complete at 900 (sum by hand)', () => {
    const [first] = scoreAll(
      [of('bare', { money: 500 + 620 }), of('complete', { money: 900 })],
      only('money'),
    );
    expect(first).toMatchObject({ name: 'complete', low: 1, high: 1 });
  });
  it('more is better of power and less of mass, each between the worst and the best', () => {
    const all = [
      of('a', { power: 100, mass: 20 }),
      of('b', { power: 150, mass: 60 }),
      of('c', { power: 125, mass: 40 }),
    ];
    expect(scoreAll(all, only('power')).map((s) => s.low)).toEqual([1, 0.5, 0]);
    expect(scoreAll(all, only('mass')).map((s) => s.name)).toEqual(['a', 'c', 'b']);
    expect(scoreAll(all, only('power', 'mass')).every((s) => s.low === 0.5)).toBe(true);
  });
  it('what nobody knows is no bad value and no good one: it may be either', () => {
    const all = [
      of('known', { power: 100, money: 900 }),
      of('not', { money: 500 }),
      of('other', { power: 150, money: 800 }),
    ];
    const unknown = scoreAll(all, only('power')).find((s) => s.name === 'not')!;
    expect(unknown).toMatchObject({ low: 0, high: 1, open: ['power'] });
    expect(turnOf(all, only('power'))).toMatchObject({
      winner: 'other',
      sure: false,
      unknown: [{ name: 'not', criterion: 'power' }],
    });
    // Of what nobody of them knows nothing hangs.
    expect(scoreAll(all, only('km')).every((s) => s.low === 1 && s.open.length === 0)).toBe(true);
  });
  it('nothing is chosen of one, of none, or without weights', () => {
    expect(turnOf([], {})).toBeUndefined();
    expect(turnOf([of('a', { power: 1 })], {})).toBeUndefined();
    expect(turnOf([of('a', { power: 1 }), of('b', { power: 2 })], only())).toBeUndefined();
  });

  const some = fc.array(
    fc.record({
      power: fc.integer({ min: 50, max: 300 }),
      mass: fc.integer({ min: -50, max: 120 }),
      money: fc.integer({ min: 100, max: 5000 }),
      hours: fc.integer({ min: 20, max: 400 }),
    }),
    { minLength: 2, maxLength: 6 },
  );
  it('a weight a little beyond the turn puts the other first, one a little before does not (property)', () =>
    fc.assert(
      fc.property(some, (values) => {
        const all = values.map((v, i) => of(`e${i}`, v));
        const turn = turnOf(all, {});
        if (!turn?.weight) return;
        const { criterion, from, to, other } = turn.weight;
        if (Math.abs(to - from) < 1e-9) return;
        const towards = Math.sign(to - from);
        const at = (weight: number) => scoreAll(all, { [criterion]: weight });
        const score = (list: ReturnType<typeof at>, name: string) =>
          list.find((s) => s.name === name)!.low;
        const beyond = at(to + towards * 1e-6);
        expect(score(beyond, other)).toBeGreaterThanOrEqual(score(beyond, turn.winner));
        const before = at(from + (to - from) * 0.999);
        expect(score(before, turn.winner)).toBeGreaterThanOrEqual(score(before, other) - 1e-9);
        expect(to).toBeGreaterThanOrEqual(0);
        expect(to).toBeLessThanOrEqual(mostWeight);
        expect(weightOf({}, criterion)).toBe(from);
      }),
      { seed: 12, numRuns: 300 },
    ));
  it('every score lies between nought and one, and one better in everything is first (property)', () =>
    fc.assert(
      fc.property(some, (values) => {
        const all = values.map((v, i) => of(`e${i}`, v));
        const best = of('best', { power: 301, mass: -51, money: 99, hours: 19 });
        const scored = scoreAll([...all, best], {});
        expect(scored[0]!.name).toBe('best');
        for (const s of scored) expect(s.low >= 0 && s.high <= 1 && s.low <= s.high).toBe(true);
      }),
      { seed: 12 },
    ));
});
