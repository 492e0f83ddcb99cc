import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { carOnStands, hookAheadMm, hungOnTwoLegs, ratingLeft } from './index.ts';

describe('what lifting gear keeps of its plate', () => {
  // ASME B30.26, from memory: machinery eye bolts with a shoulder by the angle off upright.
  it.each([
    ['eye-shoulder', 0, 1],
    ['eye-shoulder', 5, 1],
    ['eye-shoulder', 15, 0.55],
    ['eye-shoulder', 16, 0.25],
    ['eye-shoulder', 60, 0.25],
    ['eye-plain', 4, 1],
    ['eye-plain', 6, 0],
    // ASME B30.9, from memory: a choker hitch keeps three quarters.
    ['sling-choked', 0, 0.75],
    ['sling', 45, 1],
    ['swivel-ring', 45, 1],
  ] as const)('%s at %d° off upright keeps %d', (gear, angle, kept) => {
    expect(ratingLeft(gear, angle)).toBe(kept);
  });
  it('of whatever sort never gains by leaning more', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('eye-shoulder', 'eye-plain', 'sling'),
        fc.double({ min: 0, max: 89, noNaN: true }),
        (gear, at) => {
          expect(ratingLeft(gear, at + 1)).toBeLessThanOrEqual(ratingLeft(gear, at));
        },
      ),
    );
  });
  it('refuses an angle that is none', () => {
    expect(() => ratingLeft('sling', Number.NaN)).toThrow(/between 0° and 90°/);
  });
});

describe('the hook for a wanted tilt', () => {
  it('makes the load hang as it was wanted (statics: the balance comes under the hook)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -25, max: 25, noNaN: true }),
        fc.double({ min: 400, max: 1500, noNaN: true }),
        (tail, above) => {
          const x = hookAheadMm(tail, above);
          const hung = hungOnTwoLegs(
            { x: x + 900, z: 0 },
            { x: x - 900, z: 0 },
            { x, z: above },
            { x: 0, z: 0 },
          );
          expect(-hung.tiltDeg).toBeCloseTo(tail, 9);
        },
      ),
    );
  });
});

describe('a car on its stands', () => {
  // Levers by hand: 600 and 400 kg on 2,500 mm balance 1,000 mm behind the front axle. 200 kg leave at the front axle:
  // 1,000,000 kg mm over 800 kg are 1,250 mm.
  const car = {
    frontKg: 600,
    rearKg: 400,
    wheelbaseMm: 2500,
    leavesKg: 200,
    leavesMm: 0,
    standsFrontMm: 250,
    standsRearMm: 2250,
  };
  it('balances as levers say before and after', () => {
    const { before, after } = carOnStands(car);
    expect(before.balanceMm).toBeCloseTo(1000);
    expect(after.balanceMm).toBeCloseTo(1250);
    expect(after.frontKg).toBeCloseTo(400);
    expect(after.rearKg).toBeCloseTo(400);
  });
  it('tips where its balance leaves the supports', () => {
    expect(carOnStands({ ...car, standsRearMm: 1200 }).after.frontKg).toBeLessThan(0);
    expect(carOnStands({ ...car, standsRearMm: 1200 }).before.frontKg).toBeGreaterThan(0);
  });
  it.each([
    [{ leavesKg: 1000 }, /less than the car/],
    [{ standsRearMm: 100 }, /behind the front ones/],
    [{ rearKg: 0 }, /Both axles/],
  ])('refuses %o', (over, why) => {
    expect(() => carOnStands({ ...car, ...over })).toThrow(why);
  });
});
