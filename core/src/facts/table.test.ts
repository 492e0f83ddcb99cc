import { describe, expect, it } from 'vitest';
import { factCatalogue, factDef, factTable, mostAwaited, readFactTable } from './index.ts';
import type { KeptFact } from './index.ts';

const mass: KeptFact = {
  factId: 'eng-mass',
  typed: { value: '128 kg' },
  source: 'looked-up',
  note: 'plate',
};
const engine = factCatalogue.filter((f) => f.subject === 'engine');

describe('a sheet as a table', () => {
  const rows = factTable(engine, new Map([[mass.factId, mass]]));
  it('has a row for every value, also for those that nobody knows', () => {
    expect(rows).toHaveLength(engine.reduce((n, f) => n + f.parts.length, 0));
    expect(rows.find((r) => r.id === 'eng-mass:value')).toMatchObject({
      fact: factDef('eng-mass').label,
      typed: '128 kg',
      source: 'looked-up',
      note: 'plate',
    });
  });
  it('comes back as it went', () =>
    expect(readFactTable(rows, 'engine')).toEqual({
      facts: [
        {
          factId: 'eng-mass',
          label: factDef('eng-mass').label,
          typed: { value: '128 kg' },
          source: 'looked-up',
          note: 'plate',
        },
      ],
      faults: [],
    }));
  it.each([
    [{ id: 'eng-mass:value', typed: 'heavy' }, /^Engine mass.*does not start with a number/],
    [{ id: 'eng-nothing:value', typed: '1' }, /is no value of a fact/],
    [
      { id: 'rec-bay-width:between-towers-at-head-height', typed: '800' },
      /is not a fact of this sheet/,
    ],
    [{ id: 'eng-mass:value', typed: '128', source: 'inferred' }, /is not where a fact comes from/],
  ])('%o is named with its row and left out', (row, sentence) => {
    const read = readFactTable([{ id: 'eng-mass:value', typed: '' }, row], 'engine');
    expect(read.facts).toEqual([]);
    expect(read.faults).toMatchObject([{ row: 3 }]);
    expect(read.faults[0]!.sentence).toMatch(sentence);
  });
});

describe('what is asked for first', () => {
  it('is what most lines wait for; among equals the order is always the same', () =>
    expect(
      mostAwaited(
        new Map([
          ['b', ['x']],
          ['a', ['x']],
          ['c', ['x', 'y']],
        ]),
      ).map((a) => a.factId),
    ).toEqual(['c', 'a', 'b']));
});
