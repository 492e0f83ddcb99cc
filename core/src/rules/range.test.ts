import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rangeBand, rangeWord } from './index.ts';

const oil = { unit: 'bar', goOn: { min: 2 }, stop: { below: 0.7 } };
const volts = { unit: 'V', goOn: { min: 13.5, max: 14.8 }, stop: { below: 12.6, above: 15.2 } };

describe('a value against its limits', () => {
  it.each([
    [oil, 0.69, 'stop'],
    [oil, 0.7, 'look'],
    [oil, 2, 'goes-on'],
    [oil, 9, 'goes-on'],
    [volts, 12.5, 'stop'],
    [volts, 13.4, 'look'],
    [volts, 14.8, 'goes-on'],
    [volts, 15.2, 'look'],
    [volts, 15.3, 'stop'],
  ] as const)('%o: %d is %s', (range, value, word) => expect(rangeWord(value, range)).toBe(word));
  it('the parts of the band lie side by side, cover all of it, and each has another word than the next (property)', () =>
    fc.assert(
      fc.property(fc.double({ min: -50, max: 50, noNaN: true }), (value) => {
        for (const range of [oil, volts]) {
          const { zones, at } = rangeBand(range, value);
          expect(zones[0]!.from).toBe(0);
          expect(zones.at(-1)!.to).toBeCloseTo(1);
          zones.slice(1).forEach((z, i) => {
            expect(z.from).toBe(zones[i]!.to);
            expect(z.word).not.toBe(zones[i]!.word);
          });
          // The mark stands in the part whose word the value has.
          const inside = zones
            .filter((z) => at! >= z.from - 1e-9 && at! <= z.to + 1e-9)
            .map((z) => z.word);
          expect(inside).toContain(rangeWord(value, range));
        }
      }),
    ));
});
