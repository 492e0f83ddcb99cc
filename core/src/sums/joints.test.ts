import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  angleBetweenDeg,
  jointSpeedRatio,
  rearward,
  rippleAcceleration,
  rippleOf,
} from './index.ts';

describe('joints in a line of shafts', () => {
  it('one joint ripples between cos β and 1/cos β (kinematics; 0.866 and 1.1547 at 30°)', () => {
    for (const beta of [0.5, 3, 12, 30]) {
      const { least, most } = rippleOf([rearward(0), rearward(beta)]);
      expect(least).toBeCloseTo(jointSpeedRatio(beta, 90), 5);
      expect(most).toBeCloseTo(jointSpeedRatio(beta, 0), 5);
    }
    expect(rippleOf([rearward(0), rearward(30)]).most).toBeCloseTo(1.1547, 4);
  });
  it('two equal joints with their yokes in one plane leave no ripple, parallel ends or a broken back (common practice)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        fc.double({ min: -15, max: 15, noNaN: true }),
        (beta, aside) => {
          const shaft = rearward(beta, aside);
          const parallel = rippleOf([rearward(0), shaft, rearward(0)]);
          expect(parallel.most - parallel.least).toBeLessThan(1e-9);
          const broken = rippleOf([rearward(0), rearward(beta), rearward(2 * beta)]);
          expect(broken.most - broken.least).toBeLessThan(1e-9);
        },
      ),
      { seed: 11 },
    );
  });
  it('unequal joints leave about what one joint of the root of the difference of squares would (handbook short form, memory)', () => {
    const { least, most } = rippleOf([rearward(5), rearward(0), rearward(3)]);
    const alone = rippleOf([rearward(0), rearward(Math.sqrt(5 ** 2 - 3 ** 2))]);
    expect(most - least).toBeCloseTo(alone.most - alone.least, 4);
  });
  it('joints whose planes stand square to one another add up instead of taking away', () => {
    const bent = rippleOf([rearward(0), rearward(4), rearward(4, 4)]);
    const one = rippleOf([rearward(0), rearward(4)]);
    expect((bent.most - bent.least) / (one.most - one.least)).toBeCloseTo(2, 1);
  });
  it('counts an angle in both planes together', () => {
    expect(angleBetweenDeg(rearward(0), rearward(3, 4))).toBeCloseTo(4.998, 2);
  });
  it('swings twice a turn: ω² tan β sin β at one joint (kinematics)', () => {
    const beta = (3 * Math.PI) / 180;
    const omega = (3000 * 2 * Math.PI) / 60;
    expect(rippleAcceleration(rippleOf([rearward(0), rearward(3)]), 3000)).toBeCloseTo(
      omega * omega * Math.sin(beta) * Math.tan(beta),
      -1,
    );
  });
  it('refuses an axis without a length and a joint bent too far', () => {
    expect(() => angleBetweenDeg([0, 0, 0], rearward(0))).toThrow(RangeError);
    expect(() => rippleOf([rearward(0), rearward(50)])).toThrow('45');
  });
});
