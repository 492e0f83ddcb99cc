import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factCatalogue } from '../facts/index.ts';
import type { FactBook, FactValue } from '../facts/index.ts';
import { leastOf, Sum, weaker } from '../rules/index.ts';
import type { SumRow } from '../rules/index.ts';
import { bookFrom } from '../plan/testing.ts';
import { fitRules, interfaceOf, interfaces, judge, stoodOn } from './index.ts';
import type { FitRecord } from './index.ts';

const sources = ['measured', 'looked-up', 'assumed'] as const;

/** A book in which every fact may be known, with any of its options and numbers of the size of a car; the same for a seed. */
function bookOf(seed: number): FactBook {
  let state = seed >>> 0;
  // A linear congruential generator (constants of Numerical Recipes, from memory): a counterexample stays one number.
  const roll = (n: number): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state >>> 8) % n;
  };
  const known = factCatalogue.filter(() => roll(20) > 0);
  return new Map(
    known.map((fact): [string, FactValue] => {
      const parts = fact.parts.flatMap((p): [string, number | string][] => {
        if (roll(12) === 0) return [];
        if (p.options) return [[p.key, p.options[roll(p.options.length)]!]];
        if (p.text) return [[p.key, ['A', '205/55 R16', 'four'][roll(3)]!]];
        return [[p.key, [roll(5), roll(60), roll(900) / 3, roll(6000)][roll(4)]!]];
      });
      return [fact.id, { parts: Object.fromEntries(parts), typed: {}, source: sources[roll(3)]! }];
    }),
  );
}
const seeds = fc.nat({ max: 2 ** 31 });

const total = (rows: readonly SumRow[]): number =>
  rows.reduce((sum, r) => sum + (r.sign === '+' ? r.value : r.sign === '−' ? -r.value : 0), 0);

describe('every rule, whatever is known', () => {
  it.each(fitRules.map((r) => r.id))(
    '%s: rows add to the result, and every fact it asks for is named by its interface',
    (id) => {
      const def = interfaceOf(id);
      const seen = new Set<string>();
      fc.assert(
        fc.property(seeds, (seed) => {
          const [job, outgoing] = [bookOf(seed), bookOf(seed + 1)];
          const { verdict, reads } = judge(def, { job, outgoing }, undefined);
          seen.add(verdict.word);
          const signed = verdict.sum.filter((r) => r.sign !== '');
          if (verdict.result) expect(total(signed)).toBeCloseTo(verdict.result.value, 6);
          else expect(signed).toEqual([]);
          for (const read of reads)
            expect(def.facts, `${id} reads ${read.factId}`).toContain(read.factId);
          for (const factId of verdict.because)
            expect(reads.map((r) => r.factId)).toContain(factId);
          if (verdict.word !== 'not-measured' && verdict.because.length > 0)
            expect(verdict.weakest).toBeDefined();
        }),
        { numRuns: 150 },
      );
      expect(seen.size, `${id} says something`).toBeGreaterThan(1);
    },
  );

  it('a trial fit is stale when any fact it read changed, went away or came, and only then (property)', () => {
    fc.assert(
      fc.property(
        seeds,
        fc.constantFrom(...interfaces),
        fc.constantFrom(...factCatalogue),
        fc.boolean(),
        (seed, def, fact, goes) => {
          const [job, outgoing] = [bookOf(seed), bookOf(seed + 1)];
          const record: FitRecord = {
            trial: {
              word: 'bolts-up',
              place: 'front',
              condition: 'cold',
              at: '2026-06-01T00:00:00.000Z',
              stoodOn: stoodOn(def.id, { job, outgoing }),
            },
          };
          const line = judge(def, { job, outgoing }, record);
          expect(line.stale).toBe(false);
          expect(line.verdict.basis).toBe('trial');
          const changed = new Map(job);
          const was = job.get(fact.id);
          if (was && goes) changed.delete(fact.id);
          else
            changed.set(fact.id, {
              ...(was ?? { typed: {}, source: 'measured' }),
              parts: { ...was?.parts, extra: 7 },
            });
          const after = judge(def, { job: changed, outgoing }, record);
          const read = [...line.reads, ...after.reads].some(
            (r) => r.book === 'job' && r.factId === fact.id,
          );
          expect(after.stale).toBe(read);
        },
      ),
      { numRuns: 400 },
    );
  });
  it('a fact of the engine that leaves makes it stale too', () => {
    const job = bookFrom({
      'rec-axle-masses': { front: '700 kg', rear: '600 kg' },
      'rec-axle-limits': { front: '900 kg' },
      'rec-drive-layout': 'front-transverse',
      'eng-mass': '150 kg',
    });
    const trial = {
      word: 'bolts-up' as const,
      place: 'scale',
      condition: 'cold' as const,
      stoodOn: stoodOn('fit-axle-load', { job, outgoing: bookFrom({ 'eng-mass': '140 kg' }) }),
    };
    const stale = (mass: string) =>
      judge(
        interfaceOf('fit-axle-load'),
        { job, outgoing: bookFrom({ 'eng-mass': mass }) },
        { trial },
      ).stale;
    expect(stale('140 kg')).toBe(false);
    expect(stale('110 kg')).toBe(true);
  });
  it('an act that kept no facts is told by the time at which they were typed', () => {
    const job = bookFrom({ 'eng-bell-pattern': 'A' }, '2026-03-01T00:00:00.000Z');
    const at = (when: string) =>
      judge(
        interfaceOf('fit-bellhousing'),
        { job },
        { trial: { word: 'adapt', place: 'bell', condition: 'cold', at: when } },
      ).stale;
    expect(at('2026-02-01T00:00:00.000Z')).toBe(true);
    expect(at('2026-04-01T00:00:00.000Z')).toBe(false);
  });
});

describe('a sum', () => {
  const mm = (label: string, value: number, source?: 'measured' | 'assumed') =>
    Sum.of({ label, value, unit: 'mm' }, source);
  it('carries number, rows, signs and the weakest source together', () => {
    const sum = mm('a', 10, 'measured').minus(mm('b', 3).plus(mm('c', 1, 'assumed')));
    expect(sum).toMatchObject({ value: 6, unit: 'mm', weakest: 'assumed' });
    expect(sum.rows.map((r) => `${r.sign}${r.label}`)).toEqual(['+a', '−b', '−c']);
  });
  it('shows a product as one row with what it was made from below it', () => {
    const half = mm('width', 800, 'measured').over(
      Sum.of({ label: 'sides', value: 2, unit: '' }),
      'half the width',
    );
    expect(half).toMatchObject({
      value: 400,
      rows: [{ sign: '+', label: 'half the width', of: [{ sign: '+' }, { sign: '÷' }] }],
    });
  });
  it('refuses to add what has another unit', () =>
    expect(() => mm('a', 1).plus(Sum.of({ label: 'kg', value: 1, unit: 'kg' }))).toThrow(
      RangeError,
    ));
  it('the worst of several keeps the others beside it, and their weakest source', () => {
    const { name, sum } = leastOf([
      ['left', mm('left', 8, 'measured')],
      ['right', mm('right', 5, 'assumed')],
    ]);
    expect(name).toBe('right');
    expect(sum.beside).toMatchObject([{ sign: '', label: 'left', value: 8 }]);
    expect(
      leastOf([
        ['one', mm('one', 1, 'measured')],
        ['two', mm('two', 2, 'assumed')],
      ]).sum.weakest,
    ).toBe('assumed');
  });
  it('what was assumed is weaker than what was looked up, and that than what was measured', () => {
    expect(weaker('measured', 'assumed')).toBe('assumed');
    expect(weaker('looked-up', 'measured')).toBe('looked-up');
    expect(weaker(undefined, 'measured')).toBe('measured');
  });
});
