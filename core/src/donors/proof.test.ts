import { describe, expect, it } from 'vitest';
import { proofOf } from './index.ts';
import type { ProofRunRecord } from './index.ts';

const good: ProofRunRecord = {
  on: '2026-11-20',
  minutes: 25,
  coolantC: 88,
  oilColdBar: 4.5,
  oilHotBar: 1.4,
  codes: 'none',
  shifts: 'well',
  joints: 'dry',
  signed: {
    name: 'Ada Ferrow',
    strokes: [
      [
        [0, 0],
        [10, 10],
      ],
    ],
  },
};

/** Facts of the trade: common practice, no source. */
describe('proof that it runs', () => {
  it('is whole only with every figure and a name under it', () => {
    expect(proofOf(good)).toEqual({ gaps: [], against: [], proved: true });
    for (const field of [
      'minutes',
      'coolantC',
      'oilColdBar',
      'oilHotBar',
      'codes',
      'signed',
    ] as const) {
      const run = { ...good, [field]: undefined };
      expect(proofOf(run), field).toMatchObject({ proved: false });
      expect(proofOf(run).gaps, field).toHaveLength(1);
    }
    expect(proofOf({ ...good, shifts: 'not-tried' }).proved).toBe(false);
    expect(proofOf({ ...good, joints: 'not-looked' }).gaps).toEqual(['whether its joints are dry']);
  });
  it('says what speaks against it', () => {
    expect(proofOf({ ...good, oilHotBar: 0.5 }).against).toEqual([
      '0.5 bar of oil hot at idle, 0.7 wanted',
    ]);
    expect(proofOf({ ...good, coolantC: 60, minutes: 5 }).against).toHaveLength(2);
    expect(proofOf({ ...good, shifts: 'badly', joints: 'leaks' })).toMatchObject({
      proved: false,
      against: ['shifts badly', 'leaks'],
    });
  });
});
