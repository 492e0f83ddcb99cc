import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bookFrom } from '../plan/testing.ts';
import { agreementOf, agreementWords, forecastGap } from './index.ts';

const read = (forecastMm: number, gapMm: number) => ({
  interfaceId: 'fit-hood',
  forecastMm,
  gapMm,
});

describe('forecast against tape', () => {
  it('says how near forecasts came, and which way they lean (mean and median by hand)', () => {
    const said = agreementOf([read(30, 28), read(20, 14), read(10, 11), read(40, 30)])!;
    expect(said).toEqual({ readings: 4, biasMm: -4.25, typicalMm: 4 });
    expect(agreementWords(said)).toBe(
      'Over 4 gaps that were read, half came within 4 mm of the forecast; on the whole 4 mm less was left than forecast.',
    );
    expect(agreementOf([])).toBeUndefined();
    expect(agreementWords(agreementOf([read(10, 10)])!)).toContain('Over 1 gap that was');
  });
  it('is the same whatever order they were read in, and half lie within the typical (property)', () => {
    const one = fc.tuple(fc.integer({ min: 0, max: 60 }), fc.integer({ min: -20, max: 60 }));
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 30 }), (pairs) => {
        const reads = pairs.map(([f, g]) => read(f, g));
        const said = agreementOf(reads)!;
        expect(agreementOf([...reads].reverse())!.typicalMm).toBe(said.typicalMm);
        const within = reads.filter((r) => Math.abs(r.gapMm - r.forecastMm) <= said.typicalMm);
        expect(within.length * 2).toBeGreaterThanOrEqual(reads.length);
      }),
    );
  });
  it('takes the gap of the sum, and nothing where a fact of it is not known', () => {
    const facts = {
      'rec-hood-profile': { 'lowest-z-over-the-engine': '500' },
      'eng-height-up': { 'highest-point': '380' },
      'cho-engine-place': { 'crank-axis-above-body-datum-z': '60' },
    };
    expect(forecastGap('fit-hood', { job: bookFrom(facts) })).toBe(60);
    expect(forecastGap('fit-hood', { job: new Map() })).toBeUndefined();
    expect(forecastGap('fit-heater', { job: new Map() })).toBeUndefined();
  });
});
