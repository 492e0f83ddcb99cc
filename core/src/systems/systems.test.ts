import { describe, expect, it } from 'vitest';
import { doubleLabels, judgeCircuit } from './index.ts';
import type { CircuitRecord } from './index.ts';

const circuit = (over: Partial<CircuitRecord> = {}): CircuitRecord => ({
  title: 'pump',
  from: 'relay',
  to: 'pump',
  signal: 'power',
  load: 'pump or fan',
  currentA: 8,
  lengthM: 4,
  areaMm2: 4,
  fuseA: 10,
  labelA: 'P1A',
  labelB: 'P1B',
  tested: { by: 'A' },
  ...over,
});
const sentences = (c: CircuitRecord, weight: string) =>
  judgeCircuit(c)
    .findings.filter((f) => f.weight === weight)
    .map((f) => f.sentence);

describe('circuits', () => {
  it('a sound circuit has nothing to say', () =>
    expect(judgeCircuit(circuit()).findings).toEqual([]));
  it('computes wire, fuse and drop', () => {
    const v = judgeCircuit(circuit());
    // 2 × 8 × 4 × 0.017241 / 4 × 1.24 (IEC 60028)
    expect(v.dropV).toBeCloseTo((2 * 8 * 4 * 0.017241 * 1.24) / 4, 9);
    expect(v.wanted).toMatchObject({ areaMm2: 4, fuseA: 10 });
  });
  it.each([
    [{ areaMm2: 1 }, /Loses 1.37 V, 0.5 V allowed: take 4 mm²/],
    [{ fuseA: 40 }, /does not protect 4 mm²: at most 30 A/],
    [{ fuseA: 7.5 }, /over 80 % of a 7.5 A fuse/],
    [{ labelB: '' }, /End B has no label/],
    [{ labelA: '' }, /End A has no label/],
    [{ labelB: ' p1a ' }, /Both ends say "P1A"/],
    [{ currentA: 500 }, /more than the fuses/],
  ])('%o is an error', (over, sentence) =>
    expect(sentences(circuit(over), 'error').join('; ')).toMatch(sentence),
  );
  it.each([
    [{ currentA: undefined }, 'Current not known'],
    [{ lengthM: undefined }, 'Length not known'],
    [{ fuseA: undefined }, 'Fuse not chosen'],
    [{ areaMm2: undefined }, 'Wire size not chosen'],
    [{ tested: undefined }, 'Not tested'],
  ])('%o is open', (over, sentence) =>
    expect(sentences(circuit(over), 'open')).toContain(sentence),
  );
  it('finds labels that stand on two ends of the job', () => {
    const all = [
      { id: '1', circuit: circuit() },
      { id: '2', circuit: circuit({ labelA: 'p1b', labelB: 'X' }) },
    ];
    expect(doubleLabels(all)).toEqual([{ label: 'P1B', circuits: ['1', '2'] }]);
  });
});
