import { describe, expect, it } from 'vitest';
import { gripN, wheelPullN } from './traction.ts';

describe('pull at the wheel against grip (statics, by hand)', () => {
  it('is torque times ratios over the rolling radius', () => {
    // 400 N·m through 3.0 and 3.5 at 0.3 m: 4200 N·m, 14 000 N without losses.
    expect(wheelPullN(400, 3, 3.5, 2 * Math.PI * 300, 1)).toBeCloseTo(14_000, 6);
    expect(wheelPullN(400, 3, 3.5, 2 * Math.PI * 300, 0.85)).toBeCloseTo(11_900, 6);
  });
  it('holds friction times load, with the load that moves to the rear', () => {
    expect(gripN(1, 500, 'all')).toBeCloseTo(4903.325, 3);
    // F = μ W / (1 − μ h/L): with h/L = 0.2 a rear axle holds a quarter more, a front axle a sixth less.
    expect(gripN(1, 500, 'rear', { cgHeightMm: 500, wheelbaseMm: 2500 })).toBeCloseTo(
      4903.325 / 0.8,
      3,
    );
    expect(gripN(1, 500, 'front', { cgHeightMm: 500, wheelbaseMm: 2500 })).toBeCloseTo(
      4903.325 / 1.2,
      3,
    );
  });
  it('refuses what cannot be', () => {
    expect(() => wheelPullN(0, 3, 3, 1900, 1)).toThrow(/above nothing/);
    expect(() => gripN(1, 500, 'rear', { cgHeightMm: 2600, wheelbaseMm: 2500 })).toThrow(
      /tip over/,
    );
  });
});
